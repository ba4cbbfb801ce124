<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Sizing\BestForJoint;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\Range;

/**
 * Where strength and load are known, they narrow what works: not so tight that a part yields, not so loose that it
 * turns under its load. The size most likely to work is then taken anew.
 */
final readonly class WorksByStrength
{
    /** Stress factor that has to be left; more for brittle metal, which cracks before it gives. Common practice. */
    private const FACTOR = 1.2;

    private const FACTOR_BRITTLE = 1.5;

    /** Halvings of the interference looked through: a thousandth of it. */
    private const HALVINGS = 10;

    public function __construct(private PressStudy $study)
    {
    }

    public function of(SizedJoint $joint): SizedJoint
    {
        $best = $joint->best;
        $works = $best?->case->works;
        if ($best === null || $works === null || ! $best->case->isPress() || $joint->withheld) {
            return $joint;
        }
        [$least, $most] = [-$works->max, -$works->min];
        $bears = fn (float $mm): bool => $this->bears($joint, $mm);
        $slips = fn (float $mm): bool => ! $this->holds($joint, $mm);
        $tightest = $bears($most) ? $most : self::upTo($bears, $least, $most);
        $loosest = $slips($least) ? self::upTo($slips, $least, $most) : $least;
        if (($tightest === $most && $loosest === $least) || $loosest >= $tightest) {
            return $joint;
        }
        $within = new Range(-$tightest, -$loosest);
        $strength = match (true) {
            $loosest === $least => 'beyond that a part comes too near to yielding',
            $tightest === $most => 'with less it would turn under its load',
            default => 'more comes too near to yielding, less would turn under its load',
        };
        $narrowed = BestForJoint::of(
            $best->case->working($within),
            $best->asked,
            $best->promised,
            Say::with('Without strength and load it would be from {w}: '.$strength.'.', ['w' => Words::range($works)]),
        );

        return $narrowed === null ? $joint : $joint->likely($narrowed);
    }

    /** @param  callable(float): bool  $holds  true at the first, false at the last */
    private static function upTo(callable $holds, float $from, float $to): float
    {
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($from + $to) / 2;
            $holds($middle) ? ($from = $middle) : ($to = $middle);
        }

        return $from;
    }

    private function bears(SizedJoint $joint, float $interferenceMm): bool
    {
        $press = $this->study->pressed($joint, new Range($interferenceMm, $interferenceMm));
        if (! $press instanceof Press) {
            return true;
        }
        $enough = static fn (?float $factor, bool $brittle): bool => $factor === null
            || $factor >= ($brittle ? self::FACTOR_BRITTLE : self::FACTOR);

        return $enough($press->outerFactor, $press->fit->outer->brittle)
            && $enough($press->innerFactor, $press->fit->inner->brittle);
    }

    /** A load that something else carries, a key say, does not narrow it. */
    private function holds(SizedJoint $joint, float $interferenceMm): bool
    {
        $needs = $joint->joint->needsTorqueNm;
        if ($needs === null || $joint->joint->held !== []) {
            return true;
        }
        $press = $this->study->pressed($joint, new Range($interferenceMm, $interferenceMm));

        return ! $press instanceof Press || $press->holdTorqueNm->min >= $needs;
    }
}

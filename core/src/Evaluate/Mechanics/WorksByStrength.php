<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Sizing\BestForJoint;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Evaluate\Sizing\SizingCase;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\LengthWriter;
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

    /** Where no class can be promised: the best size within what is left, or why there is none. */
    public function of(SizedJoint $joint): SizedJoint
    {
        $best = $joint->best;
        if ($best === null || ! $best->case->isPress() || $joint->withheld) {
            return $joint;
        }
        $works = $best->case->works;
        [$least, $most] = [-$works->max, -$works->min];
        $bears = fn (float $mm): bool => $this->bears($joint, $mm);
        $slips = fn (float $mm): bool => ! $this->holds($joint, $mm);
        $tightest = $bears($most) ? $most : self::upTo($bears, $least, $most);
        $loosest = $slips($least) ? self::upTo($slips, $least, $most) : $least;
        if ($tightest === $most && $loosest === $least) {
            return $joint;
        }
        if ($tightest <= $least) {
            return $joint->unlikely(
                Say::with(
                    'Even the lightest press that works, {w}, brings a part too near to yielding. Take a lighter fit, bond it, or take a thicker wall or a stronger metal.',
                    ['w' => Words::range($works)],
                ),
            );
        }
        // What no press can carry without yielding has to be held by something else: it narrows nothing.
        $carries = $loosest < $tightest && ! $slips($tightest);
        $loosest = $carries ? $loosest : $least;
        $within = new Range(-$tightest, -$loosest);
        $why = match (true) {
            ! $carries => 'beyond that a part comes too near to yielding, and within it no press carries its load: hold it with a key, a pin or a compound as well',
            $loosest === $least => 'beyond that a part comes too near to yielding',
            $tightest === $most => 'with less it would turn under its load',
            default => 'more comes too near to yielding, less would turn under its load',
        };
        $narrowed = BestForJoint::of(
            $best->case->working($within),
            $best->asked,
            $best->promised,
            Say::with('Without strength and load it would be from {w}: '.$why.'.', ['w' => Words::range($works)]),
        );

        return $narrowed !== null
            ? $joint->likely($narrowed)
            : $joint->unlikely(
                Say::with(
                    'It works from {w} only: '.$why.'. This reading, sure to ±{u}, hits that less often than not. Read the {mate} better.',
                    [
                        'w' => Words::range($within),
                        'u' => LengthWriter::atLeast($best->case->found->sureMeanMm()),
                        'mate' => lcfirst($best->case->mate->name),
                    ],
                ),
            );
    }

    /** Where a class can be promised: the chance is that of what strength leaves, by the mechanics of that class. */
    public function promised(SizedJoint $joint): SizedJoint
    {
        $case = $joint->case;
        $press = $joint->press;
        if ($case === null || $press === null || $joint->best !== null || ! $case->isPress()) {
            return $joint;
        }
        $works = $case->works;
        // Stress goes with the tightest spot: what is typed of interference, and what form and warmth add to it.
        $at = $press->fit->interferenceMm->max;
        $adds = $press->pressureMpa->max / $press->stiffnessMpaMm - $at;
        $tightest = -$works->min;
        $parts = [
            [$press->outerFactor, $press->fit->outer->brittle],
            [$press->innerFactor, $press->fit->inner->brittle],
        ];
        foreach ($parts as [$factor, $brittle]) {
            if ($factor !== null) {
                $tightest = min($tightest, ($factor / self::needs($brittle)) * ($at + $adds) - $adds);
            }
        }
        $needs = $joint->joint->held === [] ? $joint->joint->needsTorqueNm : null;
        $slips = fn (float $mm): bool => ! $this->holds($joint, $mm);
        $loosest = -$works->max;
        // What no press can carry without yielding has to be held by something else: it narrows nothing.
        if ($needs !== null && $tightest > $loosest && $slips($loosest) && ! $slips($tightest)) {
            $loosest = self::upTo($slips, $loosest, $tightest);
        }

        if ($tightest >= -$works->min && $loosest <= -$works->max) {
            return $joint;
        }
        $within = $case->working(new Range(min(-$tightest, -$loosest), -$loosest));

        return $joint->within($within, self::narrowed($joint, $within, $tightest <= $loosest));
    }

    /** What strength leaves of a class, and the size in it that is most likely to work. */
    private static function narrowed(SizedJoint $joint, SizingCase $within, bool $none): ?Note
    {
        $chance = $joint->within($within)->chance();
        if ($chance === null || Likely::isSure($chance)) {
            return null;
        }
        $best = $none ? null : $within->best();
        $of = Likely::ofHundred($chance);

        return Note::caution(
            'strength-narrows',
            $best === null
                ? Say::plain(
                    "Of what this fit may come to, strength and load leave next to nothing: it works in {$of} of 100. Take a lighter fit, bond it, or take a thicker wall or a stronger metal.",
                )
                : Say::with(
                    'Strength and load leave only {w} of what this fit may come to. Anywhere in its limits it works in '
                        .$of.' of 100; aimed at {a}, in '.Likely::ofHundred($best->chance).'.',
                    ['w' => Words::range($within->works), 'a' => LengthWriter::size($best->aimMm)],
                ),
        );
    }

    private static function needs(bool $brittle): float
    {
        return $brittle ? self::FACTOR_BRITTLE : self::FACTOR;
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
            || $factor >= self::needs($brittle);

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

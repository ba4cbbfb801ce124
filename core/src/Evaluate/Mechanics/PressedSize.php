<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Joint\PressAdvice;
use Oldpart\Core\Making\StockInPlace;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Shape\SurfaceType;

/**
 * A size that changes as its part is pressed: the bore of what goes in closes, the outside of what goes round it grows.
 */
final readonly class PressedSize
{
    /** Half a step of the last place in which a size is shown, mm. */
    private const NOTHING_MM = 0.0005;

    /**
     * @param  SizedJoint  $press  the joint that can be tight, with its mechanics where they are known
     * @param  ?Range  $changeMm  on the diameter, below 0 where it closes; null while that is not known
     */
    private function __construct(
        private JobFacts $facts,
        private SurfaceFacts $surface,
        public SizedJoint $press,
        public ?Range $changeMm,
    ) {
    }

    /**
     * Null for a size that no press changes.
     *
     * @param  list<SizedJoint>  $joints  with their mechanics
     */
    public static function of(JobFacts $facts, array $joints, PressStudy $study, SurfaceFacts $surface): ?self
    {
        foreach ($joints as $joint) {
            if (
                $joint->purpose->isLength
                || $joint->purpose->shape !== null
                || ! $joint->canBeTight()
                || ! PressedIn::isHere($facts, $joint)
            ) {
                continue;
            }
            $press = $joint->press;
            if (self::closes($facts, $joint, $surface)) {
                $closing = $press?->boreClosingMm;
                $change = $closing === null ? null : new Range(-$closing->max, -$closing->min);

                return new self($facts, $surface, $joint, $change);
            }
            if (self::grows($facts, $joint, $study, $surface)) {
                return new self($facts, $surface, $joint, $press?->outerGrowthMm);
            }
        }

        return null;
    }

    /** A bore of the part that is pressed in. */
    private static function closes(JobFacts $facts, SizedJoint $joint, SurfaceFacts $surface): bool
    {
        return $surface->kind === SurfaceKind::Bore
            && $facts->surface($joint->joint->inner)?->part === $surface->part;
    }

    /** An outside of the part that goes round it, where it lies round the joint. */
    private static function grows(JobFacts $facts, SizedJoint $joint, PressStudy $study, SurfaceFacts $surface): bool
    {
        return $surface->type === SurfaceType::Shaft
            && $facts->surface($joint->joint->outer)?->part === $surface->part
            && in_array($surface->id, $study->decidedBy($joint), true);
    }

    /**
     * The size to cut so that, whatever it changes by, it ends inside: a bore at lower + most closing … upper + least
     * closing, an outside at lower − least growth … upper − most growth.
     *
     * @param  Band  $after  what it has to be once it is pressed, mm
     * @param  Range  $changeMm  on the diameter, mm, below 0 where it closes
     * @return ?Band mm; null where what it changes by varies by more than the band leaves
     *
     * Source: arithmetic on Lamé's growth (Joint\PressFit); that its whole range is allowed for is common practice.
     */
    public static function before(Band $after, Range $changeMm): ?Band
    {
        return Band::between($after->lowerMm - $changeMm->min, $after->upperMm - $changeMm->max);
    }

    /** It changes by more than is lost in every figure that is shown. */
    public function shows(): bool
    {
        $by = $this->changeMm;

        return $by !== null && max(abs($by->min), abs($by->max)) >= self::NOTHING_MM;
    }

    /**
     * What it comes to once it is pressed.
     *
     * @param  Range  $madeMm  as it was cut, mm
     * @return ?Range mm; null while it is not known by how much it changes
     */
    public function after(Range $madeMm): ?Range
    {
        return $this->changeMm === null
            ? null
            : new Range($madeMm->min + $this->changeMm->min, $madeMm->max + $this->changeMm->max);
    }

    /**
     * Asked for, or needed: a thin wall, a change that leaves less of the band than the lathe holds, a part that gives,
     * or a porous bush that is sized on a mandrel.
     *
     * @param  SizedJoint  $answer  the joint that sizes it
     */
    public function finishInPlace(SizedJoint $answer): bool
    {
        $after = $answer->band();
        $press = $this->press->press;
        if ($after === null || $press === null || $this->changeMm === null) {
            return false;
        }
        $before = self::before($after, $this->changeMm);
        [$wall, $factor] = $this->isBore()
            ? [$press->fit->innerWallMm() ?? INF, $press->innerFactor]
            : [$press->fit->outerWallMm(), $press->outerFactor];
        $needed =
            $before === null
            || $before->widthMm() < $this->facts->shop->latheHoldsMm
            || PressAdvice::isThin($wall, $press->fit->diameterMm)
            || ($factor ?? INF) < 1
            || ($this->isBore() && (FoundSurfaces::material($this->facts->partOf($this->surface))->porous ?? false));

        return $before === null || ($answer->joint->finishInPlace ?? $needed);
    }

    /** By how much it changes. */
    public function says(): Say
    {
        $by = $this->changeMm ?? new Range(0.0, 0.0);
        [$least, $most] = $this->isBore() ? [-$by->max, -$by->min] : [$by->min, $by->max];

        return Say::with(
            $this->isBore() ? 'Closes {a} to {b} when pressed.' : 'Grows {a} to {b} when pressed on.',
            ['a' => LengthWriter::size($least), 'b' => LengthWriter::size($most)],
        );
    }

    /** Why it can't be said yet. */
    public function waits(): Say
    {
        return match (true) {
            $this->press->blocked === null => $this->press->pressBlocked ?? Say::plain('Choose the press fit first.'),
            $this->isBore() => Say::with('It closes when pressed; by how much follows once “{joint}” is sized.', [
                'joint' => $this->press->joint->name,
            ]),
            default => Say::with('It grows when pressed on; by how much follows once “{joint}” is sized.', [
                'joint' => $this->press->joint->name,
            ]),
        };
    }

    /** To be finished once it is where it stays. */
    public function inPlace(Band $after): Say
    {
        return Say::with(
            $this->isBore()
                ? 'Bore or ream it in place. Before pressing, leave it at about {r}.'
                : 'Turn or grind it once it is on. Before pressing, leave it at about {r}.',
            ['r' => LengthWriter::size(self::leftAtMm($this->surface, $after))],
        );
    }

    /**
     * What a size that is finished in place is cut to before, with stock left on.
     *
     * @param  Band  $after  what it is finished to, mm
     * @return float mm
     */
    public static function leftAtMm(SurfaceFacts $surface, Band $after): float
    {
        $stock = StockInPlace::mm($after->lowerMm);

        return $surface->kind === SurfaceKind::Bore ? $after->lowerMm - $stock : $after->upperMm + $stock;
    }

    private function isBore(): bool
    {
        return $this->surface->kind === SurfaceKind::Bore;
    }
}

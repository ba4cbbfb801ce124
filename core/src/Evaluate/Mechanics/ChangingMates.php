<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Sizing\JointSizing;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/**
 * A mate that was read before its part is pressed closes then, or grows: what is made to it is made to what it will be.
 * A shaft cut to a bush as it lies on the bench would be tight in it once it is in.
 */
final readonly class ChangingMates
{
    /** @param  list<SizedJoint>  $joints */
    public function __construct(
        private JobFacts $facts,
        private array $joints,
        private PressStudy $study,
        private JointSizing $sizing,
    ) {
    }

    public function of(SizedJoint $joint): SizedJoint
    {
        $mate = $joint->mate;
        if (
            $joint->make === null
            || $mate === null
            || $joint->mateFound === null
            || $joint->wantedMm === null
            || $joint->withheld
            || $joint->purpose->isLength
            || $this->facts->isCut($mate)
        ) {
            return $joint;
        }
        $pressed = PressedSize::of($this->facts, $this->others($joint, $mate), $this->study, $mate);
        if ($pressed === null || PressedIn::isReadSince($this->facts, $pressed->press, $mate->id)) {
            return $joint;
        }
        $change = $pressed->changeMm;
        if ($change === null) {
            return $joint->noting(Note::caution('mate-changes', Say::with(
                '“{mate}” was read before “{joint}” is pressed, and by how much it changes then is not known yet. Press it first and read it again.',
                ['mate' => $mate->name, 'joint' => $pressed->press->joint->name],
            )));
        }

        return $pressed->shows() ? $this->changed($joint, $mate, $change) : $joint;
    }

    private function changed(SizedJoint $joint, SurfaceFacts $mate, Range $change): SizedJoint
    {
        [$least, $most] = $change->max <= 0 ? [-$change->max, -$change->min] : [$change->min, $change->max];
        $values = ['mate' => $mate->name, 'a' => LengthWriter::size($least), 'b' => LengthWriter::size($most)];
        $sized = $this->sizedTo($joint, $joint->wantedMm, $change);
        if ($sized?->band === null) {
            return $joint->unlikely(Say::with(
                $change->max <= 0
                    ? '“{mate}” closes by {a} to {b} when its part is pressed in, and this reading leaves no size that is sure to suit it then. Press it in, read it again, and this is made to that.'
                    : '“{mate}” grows by {a} to {b} when its part is pressed on, and this reading leaves no size that is sure to suit it then. Press it on, read it again, and this is made to that.',
                $values,
            ));
        }
        $works = $joint->case === null ? null : self::before($joint->case->works, $change);

        return $joint->madeToChange(
            changeMm: $change,
            offers: array_map(fn (array $row): array => [
                ...$row,
                'sized' => $this->sizedTo($joint, $row['offer']->clearanceMm, $change),
            ], $joint->offers),
            sized: $sized,
            case: $works === null ? null : $joint->case?->working($works),
            note: Note::caution('mate-changes', Say::with(
                $change->max <= 0
                    ? '“{mate}” was read before its part is pressed in: it closes by {a} to {b} then, and this is made to what it will be. Pressed in and read again first, it is surer.'
                    : '“{mate}” was read before its part is pressed on: it grows by {a} to {b} then, and this is made to what it will be. Pressed on and read again first, it is surer.',
                $values,
            )),
        );
    }

    /**
     * Null where it changes by more than the fit leaves.
     *
     * @param  ?Range  $wanted  clearance once it is pressed, mm
     */
    private function sizedTo(SizedJoint $joint, ?Range $wanted, Range $change): ?SizeToMate
    {
        $now = $wanted === null ? null : self::before($wanted, $change);

        return $now === null || $joint->mateFound === null
            ? null
            : $this->sizing->sizeFor($joint->makesInner(), $joint->mateFound, $now);
    }

    /**
     * The clearance to the mate as it was read, which ends as it is wanted whatever the mate changes by: a bore that
     * closes takes some away, and so does an outside that grows.
     */
    private static function before(Range $wanted, Range $change): ?Range
    {
        $takes = $change->max <= 0 ? new Range(-$change->max, -$change->min) : $change;
        [$least, $most] = [$wanted->min + $takes->max, $wanted->max + $takes->min];

        return $least > $most ? null : new Range($least, $most);
    }

    /** @return list<SizedJoint> those that may change the mate, with their mechanics */
    private function others(SizedJoint $joint, SurfaceFacts $mate): array
    {
        $isBore = $mate->kind === SurfaceKind::Bore;
        $others = array_filter(
            $this->joints,
            fn (SizedJoint $other): bool => $other->joint->id !== $joint->joint->id
                && $this->facts->surface($isBore ? $other->joint->inner : $other->joint->outer)?->part === $mate->part
                && $other->canBeTight(),
        );

        return array_values(array_map($this->study->of(...), $others));
    }
}

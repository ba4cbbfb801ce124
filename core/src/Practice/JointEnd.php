<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Evaluate\Sizing\Works;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** What became of one joint: within what it works, what it really came to, and whether it does its work. */
final readonly class JointEnd implements \JsonSerializable
{
    private function __construct(
        public JointFacts $joint,
        public Purpose $purpose,
        /** Clearance within which it works, mm. */
        public Range $works,
        /** Clearance at the tightest and at the loosest place, mm; of a press on the mean. */
        public Range $is,
        public ?Joined $joined,
        /** Both sides are there: what is cut has been cut. */
        public bool $made,
    ) {
    }

    /**
     * Null for a joint that practice does not judge: threads, keys, tapers, patterns, what only clears, and two parts
     * of which none is cut.
     *
     * @param  Outcome  $true  with everything read right
     */
    public static function of(JointFacts $joint, Workshop $shop, Outcome $true): ?self
    {
        [$inner, $outer] = [$shop->surface($joint->inner), $shop->surface($joint->outer)];
        $purpose = Purpose::orNull($joint->purpose);
        $sized = array_values(array_filter(
            $true->joints,
            static fn (SizedJoint $j): bool => $j->joint->id === $joint->id,
        ))[0] ?? null;
        $cut = ($inner->cut ?? false) || ($outer->cut ?? false);
        if ($inner === null || $outer === null || ! $cut || $purpose === null || $purpose->shape !== null) {
            return null;
        }
        $wanted = $sized?->wantedMm;
        $works = $wanted === null
            ? $purpose->worksWithin($outer->shape->sizeMm)
            : Works::of($purpose, $outer->shape->sizeMm, $wanted, false);
        if ($works === null) {
            return null;
        }
        $mean = $outer->shape->sizeMm - $inner->shape->sizeMm;
        $crooked = self::crooked($shop, $inner, $outer, $purpose);

        return new self(
            joint: $joint,
            purpose: $purpose,
            works: $works,
            is: $purpose->tight || $outer->kind === SurfaceKind::Length
                ? new Range($mean, $mean)
                : Range::of(
                    $outer->smallestMm() - $inner->largestMm() - $crooked,
                    $outer->largestMm() - $inner->smallestMm(),
                ),
            joined: $shop->joined()[$joint->id] ?? null,
            made: array_filter(
                [$inner, $outer],
                static fn (TrueSurface $s): bool => $s->cut
                    && abs($s->shape->sizeMm - $shop->truth->surfaces[$s->id]->shape->sizeMm) < 1e-6,
            ) === [],
        );
    }

    /** Of two bores out of line: what is lost of the room in one that was finished before it was pressed in. */
    private static function crooked(Workshop $shop, TrueSurface $inner, TrueSurface $outer, Purpose $purpose): float
    {
        if (! $purpose->runs || $shop->truth->outOfLineMm <= 0.0) {
            return 0.0;
        }
        $pressed = false;
        $boredAfter = false;
        foreach ($shop->deeds() as $deed) {
            $ofPart = $shop->surface(self::innerOf($shop, $deed->joint ?? ''))?->part === $outer->part;
            $pressed = $pressed || ($deed->kind === DeedKind::Together && $ofPart);
            $boredAfter = $boredAfter
                || ($pressed && $deed->kind === DeedKind::Cut && $deed->surface === $outer->id && $deed->mm > 0);
        }

        return $pressed && ! $boredAfter ? $shop->truth->outOfLineMm : 0.0;
    }

    private static function innerOf(Workshop $shop, string $joint): string
    {
        foreach ($shop->laid->joints as $one) {
            if ($one->id === $joint) {
                return $one->inner;
            }
        }

        return '';
    }

    /** What slid in without force is judged by its size. */
    public function isGood(): bool
    {
        return $this->made
            && ! $this->failed()
            && $this->is->min >= $this->works->min - 1e-9
            && $this->is->max <= $this->works->max + 1e-9;
    }

    private function failed(): bool
    {
        return $this->joined !== null && ! $this->joined->isGood() && $this->joined !== Joined::Loose;
    }

    public function says(): Say
    {
        $by = static fn (float $mm): Say => LengthWriter::difference(abs($mm));

        return match (true) {
            ! $this->made => Say::plain('It was not made.'),
            $this->failed() => Say::plain($this->joined?->says() ?? ''),
            $this->is->min < $this->works->min => Say::with(
                $this->works->min >= 0
                    ? 'Too tight by {by}: it binds.'
                    : 'Too tight by {by}: more than the parts stand for sure.',
                ['by' => $by($this->works->min - $this->is->min)],
            ),
            $this->is->max > $this->works->max => Say::with(
                $this->works->max <= 0 ? 'Too loose by {by}: it comes loose.' : 'Too loose by {by}: it shakes.',
                ['by' => $by($this->is->max - $this->works->max)],
            ),
            default => Say::plain('It does its work.'),
        };
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'joint' => $this->joint->id,
            'name' => $this->joint->name,
            'purpose' => $this->purpose->name,
            'works' => $this->works,
            'is' => $this->is,
            'joined' => $this->joined?->value,
            'good' => $this->isGood(),
            'says' => $this->says(),
        ];
    }
}

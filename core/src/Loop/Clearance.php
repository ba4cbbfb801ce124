<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Joint\Chance;
use Oldpart\Core\Number\Normal;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/**
 * Whether a round thing clears what stands beside its way, over the whole of its travel and not at one place only. The
 * pivot, or where the slide's height is counted from, is the zero of x and y. Source: plane geometry; the doubt by JCGM
 * 100:2008, 5.1.
 */
final readonly class Clearance
{
    /** How closely the place where it begins to foul is looked for, parts of the travel. */
    private const STEPS = 720;

    /** Standard deviations to one side for the chance of Remedies::WANTED, over the two of a U95 (the normal table). */
    private const SURE = 2.782 / 2;

    /**
     * @param  float  $armMm  from the pivot to the middle of what moves; the height of a slide
     * @param  float  $moverMm  diameter of what moves, above 0
     * @param  Range  $travel  from where to where: degrees from the first direction toward the second, or mm along the first
     * @param  float  $otherMm  diameter of a round neighbour, 0 or more; of no matter for a wall
     * @param  ?float  $xMm  null for a wall along the first direction
     * @param  ?float  $yMm  null for a wall across it
     * @param  float  $doubtMm  U95 of each of these sizes, 0 or more
     *
     * @throws BadInput naming what is missing or out of range
     */
    public function __construct(
        public Travel $kind,
        public float $armMm,
        public float $moverMm,
        public Range $travel,
        public Neighbour $other,
        public ?float $xMm,
        public ?float $yMm,
        public float $otherMm,
        public float $doubtMm,
    ) {
        if (! ($moverMm > 0) || ! is_finite($moverMm)) {
            throw new BadInput('mover', 'mover', 'How wide is what moves? Type its diameter.');
        }
        if (! is_finite($armMm) || ($armMm < 0 && $kind === Travel::Swing)) {
            throw new BadInput('arm', 'arm', 'How far is it from the pivot to the middle of what moves?');
        }
        if ($kind === Travel::Swing && $travel->width() > 360) {
            throw new BadInput('travel', 'to_deg', 'Once round is 360°. Type a swing of that at most.');
        }
        if ($other === Neighbour::Round && ($xMm === null || $yMm === null || ! is_finite($otherMm) || $otherMm < 0)) {
            throw new BadInput('other', 'x', 'Where is the middle of what it passes? Type both its places.');
        }
        if ($other === Neighbour::Wall && ($xMm === null) === ($yMm === null)) {
            throw new BadInput(
                'other',
                'x',
                'A wall stands across the first direction or along it: type one of the two places.',
            );
        }
        if (! is_finite($doubtMm) || $doubtMm < 0) {
            throw new BadInput('doubt', 'doubt', 'The doubt of the places is zero or more.');
        }
    }

    /** @return array{float, float} the middle of what moves, at a place of its travel, mm */
    public function middle(float $at): array
    {
        return $this->kind === Travel::Slide
            ? [$at, $this->armMm]
            : [$this->armMm * cos(deg2rad($at)), $this->armMm * sin(deg2rad($at))];
    }

    /** The room at a place of the travel, mm; below zero where the two are in each other. */
    public function gapAt(float $at): float
    {
        [$x, $y] = $this->middle($at);
        if ($this->other === Neighbour::Round) {
            return hypot($x - (float) $this->xMm, $y - (float) $this->yMm) - ($this->moverMm + $this->otherMm) / 2;
        }
        // A wall is met from the side the travel begins on.
        $off = fn (array $p): float => $this->xMm !== null ? $this->xMm - $p[0] : (float) $this->yMm - $p[1];
        $side = $off($this->middle($this->travel->min)) < 0 ? -1 : 1;

        return $side * $off([$x, $y]) - $this->moverMm / 2;
    }

    /** Where on the travel there is least room. */
    public function nearestAt(): float
    {
        $best = $this->travel->min;
        foreach ([$this->travel->max, ...$this->turningPoints()] as $at) {
            if ($this->gapAt($at) < $this->gapAt($best) - 1e-12) {
                $best = $at;
            }
        }

        return $best;
    }

    /** The least room over the travel, mm. */
    public function leastMm(): float
    {
        return $this->gapAt($this->nearestAt());
    }

    /** U95 of the least room, mm: how it moves with each size, their doubts added in square. */
    public function u95Mm(): float
    {
        if ($this->doubtMm <= 0) {
            return 0.0;
        }
        $step = 1e-4;
        $square = 0.0;
        foreach (
            [
                'armMm',
                'moverMm',
                ...$this->xMm === null ? [] : ['xMm'],
                ...$this->yMm === null ? [] : ['yMm'],
                ...$this->other === Neighbour::Round && $this->otherMm > 0 ? ['otherMm'] : [],
            ] as $size
        ) {
            if ($size === 'armMm' && $this->kind === Travel::Still) {
                continue;
            }
            $square += ((($this->with($size, $step)->leastMm() - $this->leastMm()) / $step) * $this->doubtMm) ** 2;
        }

        return sqrt($square);
    }

    /** The chance that there is at least so much room everywhere on the travel; 0 to 1. */
    public function chance(float $leastMm): float
    {
        $sigma = $this->u95Mm() / 2;
        $spare = $this->leastMm() - $leastMm;

        return $sigma > 0 ? Normal::below($spare / $sigma) : ($spare >= -1e-9 ? 1.0 : 0.0);
    }

    /** From where to where on the travel there is less room than wanted; null where there is enough throughout. */
    public function fouls(float $leastMm): ?Range
    {
        $bad = fn (float $at): bool => $this->gapAt($at) < $leastMm - 1e-9;
        $nearest = $this->nearestAt();
        if (! $bad($nearest)) {
            return null;
        }
        $step = max(1e-9, $this->travel->width() / self::STEPS);
        [$from, $to] = [$nearest, $nearest];
        while ($from - $step >= $this->travel->min && $bad($from - $step)) {
            $from -= $step;
        }
        while ($to + $step <= $this->travel->max && $bad($to + $step)) {
            $to += $step;
        }

        return new Range(
            $from - $step < $this->travel->min ? $this->travel->min : $from - $step,
            $to + $step > $this->travel->max ? $this->travel->max : $to + $step,
        );
    }

    /**
     * How much too little room there is to be sure of it, mm; 0 where there is enough. Sure is the chance of
     * Remedies::WANTED: its doubt counts 2.78 standard deviations, 1.39 of its U95.
     */
    public function shortMm(float $leastMm): float
    {
        return max(0.0, $leastMm - $this->leastMm() + self::SURE * $this->u95Mm());
    }

    public function working(float $leastMm): Working
    {
        $at = $this->nearestAt();
        [$x, $y] = $this->middle($at);
        $signed = LengthWriter::signed(...);

        return new Working([
            new WorkingStep(
                'Nearest at',
                'where the distance turns, or an end of the travel',
                $this->place($at),
                'plane geometry',
            ),
            new WorkingStep(
                'Its middle there',
                $this->kind === Travel::Slide ? 'along, height' : 'arm · cos, arm · sin',
                Say::with('{x}, {y}', ['x' => $signed($x), 'y' => $signed($y)]),
                'plane geometry',
            ),
            new WorkingStep(
                'Room',
                $this->other === Neighbour::Round
                    ? 'distance of the middles − half of both diameters'
                    : 'distance to the wall − half the diameter',
                $signed($this->leastMm()),
                'plane geometry',
            ),
            new WorkingStep(
                'U95 of it',
                '√Σ(change with each size × its doubt)²',
                LengthWriter::plusMinus($this->u95Mm()),
                'JCGM 100:2008, 5.1.2',
            ),
            new WorkingStep(
                'Chance of the room wanted',
                'Φ((room − wanted) / u)',
                Say::plain(number_format(100 * $this->chance($leastMm), 2).' %'),
                'elementary probability',
            ),
        ]);
    }

    /** A place of the travel in words. */
    public function place(float $at): Say
    {
        return $this->kind === Travel::Slide
            ? Say::with($at < 0 ? '−{s}' : '{s}', ['s' => LengthWriter::sizeInWords(abs($at))])
            : Say::plain(str_replace('-', '−', number_format($at, 1)).'°');
    }

    /** @return list<float> places inside the travel where the distance is least or greatest */
    private function turningPoints(): array
    {
        if ($this->kind === Travel::Slide) {
            return $this->xMm !== null
                && $this->other === Neighbour::Round
                && $this->xMm > $this->travel->min
                && $this->xMm < $this->travel->max
                ? [$this->xMm]
                : [];
        }
        $turns =
            $this->other === Neighbour::Round
                ? [rad2deg(atan2((float) $this->yMm, (float) $this->xMm))]
                : ($this->xMm !== null
                    ? [0.0, 180.0]
                    : [90.0, 270.0]);
        $inside = [];
        foreach ($turns as $turn) {
            $at = $turn + 360 * ceil(($this->travel->min - $turn) / 360);
            if ($at <= $this->travel->max) {
                $inside[] = $at;
            }
        }

        return $inside;
    }

    /** @param  'armMm'|'moverMm'|'xMm'|'yMm'|'otherMm'  $size */
    private function with(string $size, float $by): self
    {
        $add = fn (string $which, ?float $mm): ?float => $mm === null || $which !== $size ? $mm : $mm + $by;

        return new self(
            kind: $this->kind,
            armMm: $add('armMm', $this->armMm) ?? 0.0,
            moverMm: $add('moverMm', $this->moverMm) ?? 0.0,
            travel: $this->travel,
            other: $this->other,
            xMm: $add('xMm', $this->xMm),
            yMm: $add('yMm', $this->yMm),
            otherMm: $add('otherMm', $this->otherMm) ?? 0.0,
            doubtMm: $this->doubtMm,
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Joint\Chance;
use Oldpart\Core\Number\Normal;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/**
 * Lengths in two directions at once: how far the end lies from the start, which way, how surely, and the chance that it
 * is as wanted. Source: the law of propagation of uncertainty (JCGM 100:2008, 5.1 and 5.2) and elementary probability.
 */
final class Resultant
{
    private const SLICES = 200;

    /** Where only limits to show are looked for. */
    private const ROUGH = 80;

    /** How far out the chance is followed, in standard deviations. */
    private const SIGMAS = 7.0;

    private ?float $chance = null;

    /**
     * @param  non-empty-list<Offset>  $offsets
     * @param  float  $axisDeg  the direction in which the two scatters are independent
     */
    private function __construct(
        public readonly array $offsets,
        public readonly Range $wanted,
        public readonly float $xMm,
        public readonly float $yMm,
        private readonly float $axisDeg,
        private readonly bool $square,
    ) {
    }

    /**
     * @param  list<Offset>  $offsets
     * @param  Range  $wanted  limits of how far the end lies from the start, mm
     *
     * @throws BadInput without lengths
     */
    public static function of(array $offsets, Range $wanted): self
    {
        if ($offsets === []) {
            throw new BadInput('no-contributors', 'offsets', 'A loop needs at least one length.');
        }
        $x = array_sum(array_map(static fn (Offset $o): float => $o->along(0.0), $offsets));
        $y = array_sum(array_map(static fn (Offset $o): float => $o->along(90.0), $offsets));
        // All along two directions at right angles: each is convolved on its own. Otherwise the scatter is taken as
        // normal along its own two axes.
        $first = $offsets[0]->angleDeg;
        $square =
            array_filter(
                $offsets,
                static fn (Offset $o): bool => $o->halfMm > 0
                    && abs(fmod(abs($o->angleDeg - $first) + 45.0, 90.0) - 45.0) > 1e-9,
            ) === [];
        [$xx, $yy, $xy] = self::covariance($offsets);

        return new self(
            offsets: $offsets,
            wanted: $wanted,
            xMm: $x,
            yMm: $y,
            axisDeg: $square ? $first : rad2deg(0.5 * atan2(2 * $xy, $xx - $yy)),
            square: $square,
        );
    }

    /** How far the end lies from the start, mm. */
    public function sizeMm(): float
    {
        return hypot($this->xMm, $this->yMm);
    }

    /** Which way it lies, degrees from 0 up to 360. */
    public function angleDeg(): float
    {
        return fmod(rad2deg(atan2($this->yMm, $this->xMm)) + 360.0, 360.0);
    }

    /** U95 of the distance, mm, with k = 2. */
    public function u95Mm(): float
    {
        return 2 * sqrt($this->variance($this->angleDeg()));
    }

    /**
     * U95 of the direction, degrees, with k = 2; null where the distance is no longer than its own doubt and points
     * anywhere.
     */
    public function u95Deg(): ?float
    {
        $across = 2 * sqrt($this->variance($this->angleDeg() + 90.0));

        return $this->sizeMm() <= max($across, $this->u95Mm(), 1e-9)
            ? null
            : rad2deg(asin(min(1.0, $across / $this->sizeMm())));
    }

    /** The chance that the distance is as wanted; 0 to 1. */
    public function chance(): float
    {
        return $this->chance ??= max(
            0.0,
            $this->within($this->wanted->max) -
                ($this->wanted->min > 0 ? $this->within($this->wanted->min - 2e-9) : 0.0),
        );
    }

    /** The chance that the end lies within a distance of the start, mm. */
    public function within(float $mm): float
    {
        return $this->sliced($mm, self::SLICES);
    }

    private function sliced(float $mm, int $slices): float
    {
        if ($mm < 0) {
            return 0.0;
        }
        $middle = [$this->on($this->axisDeg), $this->on($this->axisDeg + 90.0)];
        $sigma = [sqrt($this->variance($this->axisDeg)), sqrt($this->variance($this->axisDeg + 90.0))];
        if (max($sigma) < 1e-9) {
            return $this->sizeMm() <= $mm + 1e-9 ? 1.0 : 0.0;
        }
        if (! $this->square && $this->isLong()) {
            // So far out the arc is as good as straight: what counts is the sum along the distance, convolved, and the
            // little it grows by across.
            return $this->straight()->below(
                $mm - $this->sizeMm() - $this->variance($this->angleDeg() + 90.0) / (2 * $this->sizeMm()),
            );
        }
        [$along, $across] = [$this->below($this->axisDeg), $this->below($this->axisDeg + 90.0)];
        if ($sigma[0] < 1e-9) {
            $reach = $mm ** 2 - $middle[0] ** 2;

            return $reach < -1e-12 ? 0.0 : self::in($across, $middle[1], sqrt(max(0.0, $reach)), $sigma[1]);
        }
        $from = max(-$mm, $middle[0] - self::SIGMAS * $sigma[0]);
        $to = min($mm, $middle[0] + self::SIGMAS * $sigma[0]);
        $chance = 0.0;
        $step = ($to - $from) / $slices;
        for ($i = 0; $step > 0 && $i < $slices; $i++) {
            $x = $from + ($i + 0.5) * $step;
            $chance +=
                ($along($x + $step / 2 - $middle[0]) - $along($x - $step / 2 - $middle[0])) *
                self::in($across, $middle[1], sqrt(max(0.0, $mm ** 2 - $x ** 2)), $sigma[1]);
        }

        return min(1.0, $chance);
    }

    /** The range that holds the middle 95 % of distances, mm. */
    public function likely(): Range
    {
        if ($this->isLong() && $this->u95Mm() > 0) {
            $middle = $this->sizeMm() + $this->variance($this->angleDeg() + 90.0) / (2 * $this->sizeMm());
            $straight = $this->straight();

            return new Range($middle + $straight->quantile(0.025), $middle + $straight->quantile(0.975));
        }
        $most =
            hypot($this->xMm, $this->yMm) + self::SIGMAS * sqrt($this->variance(0.0) + $this->variance(90.0)) + 1e-9;
        $at = function (float $share) use ($most): float {
            [$low, $high] = [0.0, $most];
            for ($i = 0; $i < 24; $i++) {
                $middle = ($low + $high) / 2;
                $this->sliced($middle, self::ROUGH) < $share ? ($low = $middle) : ($high = $middle);
            }

            return ($low + $high) / 2;
        };

        return new Range($at(0.025), $at(0.975));
    }

    /**
     * The shortest and the longest it can be with every length at one of its ends, mm: the nearest and the farthest
     * point of the many-sided field the end may lie in.
     */
    public function worst(): Range
    {
        $beyond = fn (float $deg): float => array_sum(
            array_map(
                static fn (Offset $o): float => $o->halfMm * abs(cos(deg2rad($o->angleDeg - $deg))),
                $this->offsets,
            ),
        );
        [$least, $most] = [$this->sizeMm() - $beyond($this->angleDeg()), $this->sizeMm()];
        foreach ($this->offsets as $side) {
            foreach ([90.0, -90.0] as $turn) {
                // Square to a side the field's edge lies there; just beside that, at one of its corners.
                $normal = $side->angleDeg + $turn;
                $least = max($least, $this->on($normal) - $beyond($normal));
                foreach ([1e-6, -1e-6] as $beside) {
                    [$x, $y] = $this->corner($normal + $beside);
                    $most = max($most, hypot($x, $y));
                    $toward = rad2deg(atan2($y, $x));
                    $least = max($least, $this->on($toward) - $beyond($toward));
                }
            }
        }

        return new Range(max(0.0, $least), $most);
    }

    /** @return array{float, float} the end with every length at the end that lies farther in a direction, mm */
    private function corner(float $deg): array
    {
        [$x, $y] = [$this->xMm, $this->yMm];
        foreach ($this->offsets as $o) {
            $by = $o->halfMm * (cos(deg2rad($o->angleDeg - $deg)) >= 0 ? 1 : -1);
            $x += $by * cos(deg2rad($o->angleDeg));
            $y += $by * sin(deg2rad($o->angleDeg));
        }

        return [$x, $y];
    }

    /**
     * @return list<array{name: string, share: float}> of the variance of the distance; they sum to 1, or are 0 where nothing varies
     */
    public function shares(): array
    {
        $total = $this->variance($this->angleDeg());

        return array_map(
            fn (Offset $o): array => [
                'name' => $o->name,
                'share' => $total > 0
                        ? ($o->varianceMm2() * cos(deg2rad($o->angleDeg - $this->angleDeg())) ** 2) / $total
                        : 0.0,
            ],
            $this->offsets,
        );
    }

    /** @return list<Note> */
    public function notes(): array
    {
        $notes = [];
        $doubt = $this->u95Deg();
        if ($doubt === null) {
            $notes[] = Note::caution(
                'no-direction',
                'It is no longer than its own doubt: it may point anywhere. Measure better before you set anything by its direction.',
            );
        } elseif ($doubt > 10) {
            $notes[] = Note::caution(
                'vague-direction',
                'Its direction is known to ±'.number_format($doubt, 0).'° only.',
            );
        }
        if (! $this->square && ! $this->isLong()) {
            $notes[] = Note::info(
                'skew',
                'The lengths are not at right angles: their scatter together is taken as normal.',
            );
        }

        return $notes;
    }

    public function working(): Working
    {
        $signed = LengthWriter::signed(...);
        $sum = fn (string $of, float $deg): Say => Say::with('{s} = {n}', [
            's' => Say::join(
                array_map(
                    static fn (Offset $o): Say => Say::with("{s} {$of} {a}°", [
                        's' => $signed($o->sizeMm),
                        'a' => rtrim(rtrim(number_format($o->angleDeg, 2), '0'), '.'),
                    ]),
                    array_slice($this->offsets, 0, 8),
                ),
                ' + ',
            ),
            'n' => $signed($this->on($deg)),
        ]);

        return new Working([
            new WorkingStep('First direction', 'Σ size · cos angle', $sum('cos', 0.0), 'definition'),
            new WorkingStep('Second direction', 'Σ size · sin angle', $sum('sin', 90.0), 'definition'),
            new WorkingStep('Distance', '√(first² + second²)', $signed($this->sizeMm()), 'Pythagoras'),
            new WorkingStep(
                'Direction',
                'atan2(second, first)',
                Say::plain(number_format($this->angleDeg(), 1).'°'),
                'trigonometry',
            ),
            new WorkingStep(
                'U95 of the distance',
                '2 √Σ(uᵢ cos(angle − direction))²',
                LengthWriter::plusMinus($this->u95Mm()),
                'JCGM 100:2008, 5.1.2',
            ),
        ]);
    }

    private function isLong(): bool
    {
        return $this->sizeMm() > 10 * 2 * sqrt($this->variance($this->angleDeg() + 90.0));
    }

    private function straight(): Distribution
    {
        return new Distribution(
            array_map(function (Offset $o): Contributor {
                $half = $o->halfMm * abs(cos(deg2rad($o->angleDeg - $this->angleDeg())));

                return new Contributor(
                    name: $o->name,
                    sizeMm: 0.0,
                    plusMm: $half,
                    minusMm: $half,
                    direction: 1,
                    spread: $o->spread,
                );
            }, $this->offsets),
        );
    }

    private function on(float $deg): float
    {
        return array_sum(array_map(static fn (Offset $o): float => $o->along($deg), $this->offsets));
    }

    /** Of the sum along a direction, mm². */
    private function variance(float $deg): float
    {
        return array_sum(
            array_map(
                static fn (Offset $o): float => $o->varianceMm2() * cos(deg2rad($o->angleDeg - $deg)) ** 2,
                $this->offsets,
            ),
        );
    }

    /**
     * @param  list<Offset>  $offsets
     * @return array{float, float, float} variances along both directions and their covariance, mm²
     */
    private static function covariance(array $offsets): array
    {
        $sum = [0.0, 0.0, 0.0];
        foreach ($offsets as $o) {
            [$c, $s] = [cos(deg2rad($o->angleDeg)), sin(deg2rad($o->angleDeg))];
            $sum[0] += $o->varianceMm2() * $c * $c;
            $sum[1] += $o->varianceMm2() * $s * $s;
            $sum[2] += $o->varianceMm2() * $c * $s;
        }

        return $sum;
    }

    /** @return \Closure(float): float the chance that the sum along a direction lies below so much beyond its middle */
    private function below(float $deg): \Closure
    {
        if (! $this->square) {
            $sigma = sqrt($this->variance($deg));

            return static fn (float $x): float => $sigma > 0 ? Normal::below($x / $sigma) : ($x > 0 ? 1.0 : 0.0);
        }
        $parts = [];
        foreach ($this->offsets as $o) {
            if (abs(cos(deg2rad($o->angleDeg - $deg))) > 0.5) {
                $parts[] = new Contributor(
                    name: $o->name,
                    sizeMm: 0.0,
                    plusMm: $o->halfMm,
                    minusMm: $o->halfMm,
                    direction: 1,
                    spread: $o->spread,
                );
            }
        }
        $sum = new Distribution($parts);

        return static fn (float $x): float => $sum->below($x);
    }

    /** @param  \Closure(float): float  $below */
    private static function in(\Closure $below, float $middle, float $reach, float $sigma): float
    {
        return $sigma < 1e-9
            ? (abs($middle) <= $reach + 1e-9
                ? 1.0
                : 0.0)
            : max(0.0, $below($reach - $middle) - $below(-$reach - $middle));
    }
}

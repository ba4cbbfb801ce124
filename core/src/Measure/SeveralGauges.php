<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Number\LinearFit;

/**
 * A surface read with more than one gauge: each shifts all its own readings alike, within its permissible error, and
 * the places read with both tell how far apart the two shifts are. Combined by their doubts; a gauge that stands apart
 * from the others by more than both allow is named.
 *
 * Source: least squares with each shift known to be zero within its doubt; JCGM 100:2008, 5.1 and F.1.2.
 */
final readonly class SeveralGauges
{
    /**
     * @param  non-empty-array<string, float>  $sizes  by spot, mm
     * @param  list<Note>  $notes  which gauge stands apart
     */
    private function __construct(
        public array $sizes,
        private LinearFit $fit,
        /** @var list<string> */
        private array $spots,
        public array $notes,
        /** By how much the doubts are widened, since the gauges disagree; 1 where they don't. */
        public float $widened,
    ) {
    }

    /**
     * @param  non-empty-list<WeighedReading>  $readings
     * @param  array<string, string>  $names  of the gauges, by what shifts together
     */
    public static function of(array $readings, array $names): self
    {
        $spots = array_map(static fn (WeighedReading $r): string => $r->read->spot, $readings);
        $spots = array_values(array_unique($spots));
        $gauges = array_keys($names);
        $place = array_flip($spots);
        $column = array_flip($gauges);
        $blank = array_fill(0, count($spots) + count($gauges), 0.0);
        [$rows, $values, $weights, $shifts] = [[], [], [], []];
        foreach ($readings as $r) {
            $row = $blank;
            $row[$place[$r->read->spot]] = 1.0;
            $row[count($spots) + $column[$r->doubt->gauge]] = 1.0;
            $rows[] = $row;
            $values[] = $r->mm;
            $weights[] = 1 / $r->scatterMm ** 2;
            $shifts[$r->doubt->gauge] = max($shifts[$r->doubt->gauge] ?? 1e-6, $r->doubt->shiftMm());
        }
        foreach ($gauges as $i => $gauge) {
            $row = $blank;
            $row[count($spots) + $i] = 1.0;
            $rows[] = $row;
            $values[] = 0.0;
            $weights[] = 1 / $shifts[$gauge] ** 2;
        }
        $fit = LinearFit::of($rows, $values, $weights) ?? throw new \LogicException('each spot was read');
        $apart = GaugesApart::in($readings, $shifts);
        $sizes = array_combine($spots, array_slice($fit->found, 0, count($spots)));
        assert($sizes !== []);

        return new self($sizes, $fit, $spots, GaugesApart::notes($apart, $names, $shifts), GaugesApart::widens($apart));
    }

    /** Standard uncertainty of one spot, mm, but for the warmth. */
    public function sigmaAt(string $spot): float
    {
        return $this->widened * sqrt($this->fit->varianceOf($this->factors([$spot => 1.0])));
    }

    /**
     * Standard uncertainty of the mean of the station means, mm, but for the warmth.
     *
     * @param  non-empty-array<string, non-empty-list<string>>  $stations  the spots of each
     */
    public function sigmaOfMean(array $stations): float
    {
        $weights = [];
        foreach ($stations as $spots) {
            foreach ($spots as $spot) {
                $weights[$spot] = 1 / (count($spots) * count($stations));
            }
        }

        return $this->widened * sqrt($this->fit->varianceOf($this->factors($weights)));
    }

    /**
     * @param  array<string, float>  $weights  by spot
     * @return list<float>
     */
    private function factors(array $weights): array
    {
        return [
            ...array_map(static fn (string $spot): float => $weights[$spot] ?? 0.0, $this->spots),
            ...array_fill(0, count($this->fit->found) - count($this->spots), 0.0),
        ];
    }
}

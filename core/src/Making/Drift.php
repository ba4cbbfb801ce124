<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Number\LinearFit;
use Oldpart\Core\Number\StudentT;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;

/**
 * How a size wanders from piece to piece, as the tool wears or the work warms: a straight line by least squares.
 *
 * Source: least squares; Student's t for how sure its slope and the next piece are.
 */
final readonly class Drift
{
    /** Nobody looks further ahead than so many pieces. */
    private const AHEAD = 500;

    private function __construct(
        private LinearFit $line,
        private float $middle,
        private float $sigmaMm,
        private float $k,
        private int $last,
    ) {
    }

    /**
     * @param  non-empty-array<int, float>  $sizesMm  by number of the piece
     * @param  float  $hiddenMm  standard deviation of what the gauge does not show: the points scatter by that at least
     * @return ?self null for fewer than three pieces
     */
    public static function of(array $sizesMm, float $hiddenMm): ?self
    {
        $n = count($sizesMm);
        if ($n < 3) {
            return null;
        }
        $middle = array_sum(array_keys($sizesMm)) / $n;
        $line = LinearFit::of(
            array_map(static fn (int $piece): array => [1.0, $piece - $middle], array_keys($sizesMm)),
            array_values($sizesMm),
            array_fill(0, $n, 1.0),
        );
        $sigma = $line === null ? 0.0 : sqrt(max(0.0, $line->squares) / ($n - 2));

        return $line === null
            ? null
            : new self($line, $middle, max($sigma, $hiddenMm), StudentT::k95($n - 2), max(array_keys($sizesMm)));
    }

    /** What a piece differs from the one before, mm. */
    public function perPieceMm(): float
    {
        return $this->line->found[1];
    }

    /** U95 of that, mm. */
    public function sureMm(): float
    {
        return $this->k * $this->sigmaMm * sqrt($this->line->varianceOf([0.0, 1.0]));
    }

    /** It wanders, and not by chance: zero is outside what is sure. */
    public function isReal(): bool
    {
        return abs($this->perPieceMm()) > $this->sureMm();
    }

    /** Where a piece comes out if it goes on so, in 95 of 100, mm. */
    public function expected(int $piece): Range
    {
        $at = $this->line->found[0] + $this->line->found[1] * ($piece - $this->middle);
        $by = $this->k * $this->sigmaMm * sqrt(1 + $this->line->varianceOf([1.0, $piece - $this->middle]));

        return new Range($at - $by, $at + $by);
    }

    /** The first piece to come that is more likely outside than in; null where that is far off or never. */
    public function firstOutside(Band $band): ?int
    {
        for ($piece = $this->last + 1; $piece <= $this->last + self::AHEAD; $piece++) {
            if (! $band->holds($this->expected($piece)->middle())) {
                return $piece;
            }
        }

        return null;
    }
}

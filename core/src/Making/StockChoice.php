<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

/** Which bar or tube on the rack a blank is sawn from: the one of its metal that leaves least to turn away; mm. */
final readonly class StockChoice
{
    private function __construct(public Machine $stock)
    {
    }

    /**
     * @param  list<Machine>  $rack  what is on it, each with its metal and how thick it is
     * @param  string  $metal  family of the metal that is wanted
     * @param  float  $acrossMm  of the blank
     * @param  float  $boreMm  up to which a tube may be hollow: 0 for a solid part
     * @param  float  $longMm  of the blank, or of all of them
     * @return ?self null where none does
     */
    public static function of(array $rack, string $metal, float $acrossMm, float $boreMm, float $longMm): ?self
    {
        $best = null;
        foreach ($rack as $stock) {
            $across = $stock->figure('across_mm');
            $does = $across !== null
                && $stock->word('metal') === $metal
                && $across >= $acrossMm
                && ($stock->figure('inside_mm') ?? 0.0) <= $boreMm
                && ($stock->figure('long_mm') ?? INF) >= $longMm;
            if ($does && ($best === null || $across < $best->figure('across_mm'))) {
                $best = $stock;
            }
        }

        return $best === null ? null : new self($best);
    }

    /**
     * Somebody said what is on the rack of this metal.
     *
     * @param  list<Machine>  $rack
     */
    public static function isSaid(array $rack, string $metal): bool
    {
        return array_filter(
            $rack,
            static fn (Machine $m): bool => $m->word('metal') === $metal && $m->figure('across_mm') !== null,
        ) !== [];
    }
}

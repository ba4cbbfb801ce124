<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;

/** Whether a plate is reached all over in one setting on a mill of the shop; mm. What is not said is not asked. */
final readonly class MillReach
{
    /** @param  list<Note>  $notes */
    private function __construct(public Machine $mill, public array $notes)
    {
    }

    /**
     * The first mill that reaches it all, else the one that reaches farthest.
     *
     * @param  list<Machine>  $mills
     * @param  float  $wideMm  along the table
     * @param  float  $highMm  across
     * @return ?self null where the shop said nothing of its mills
     */
    public static function of(array $mills, float $wideMm, float $highMm): ?self
    {
        $best = null;
        $least = INF;
        foreach ($mills as $mill) {
            $short = min(self::shortMm($mill, $wideMm, $highMm), self::shortMm($mill, $highMm, $wideMm));
            if ($short <= 0) {
                return new self($mill, []);
            }
            if ($short < $least) {
                [$best, $least] = [$mill, $short];
            }
        }

        return $best === null ? null : new self($best, [
            Note::caution('mill-travel', Say::with("{$best->name} does not travel over all of it by {s}: in two settings, the second dialled in on a hole of the first; or a half-turn on a rotary table.", [
                's' => LengthWriter::sizeInWords($least),
            ])),
        ]);
    }

    /** By how much its travels are too short for a plate that lies so; 0 or less: they are not. */
    private static function shortMm(Machine $mill, float $alongMm, float $acrossMm): float
    {
        return max(
            $alongMm - ($mill->figure('table_mm') ?? INF),
            $acrossMm - ($mill->figure('cross_mm') ?? INF),
        );
    }
}

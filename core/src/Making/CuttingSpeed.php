<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Range;

/** Surface speeds to begin with, by metal (data/cutting-speeds.json); m/min. */
final readonly class CuttingSpeed
{
    /** @param  ?Range  $steel  with a tool of high-speed steel; null: it does not cut it */
    private function __construct(public ?Range $steel, public Range $carbide, public string $mind)
    {
    }

    /** @return ?self null for a metal of which nothing is said, or that is not known */
    public static function of(?Material $metal): ?self
    {
        /** @var list<array{names?: list<string>, family?: string, hss: ?array{float, float}, carbide: array{float, float}, mind: string}> $rows */
        $rows = Table::read('cutting-speeds')['metals'];
        if ($metal === null || $metal->guessed) {
            return null;
        }
        foreach ($rows as $row) {
            if (in_array($metal->name, $row['names'] ?? [], true) || ($row['family'] ?? null) === $metal->family) {
                return new self(
                    $row['hss'] === null ? null : new Range(...$row['hss']),
                    new Range(...$row['carbide']),
                    $row['mind'],
                );
            }
        }

        return null;
    }

    /**
     * @param  float  $share  of the speed for turning that this work takes
     * @return ?Range rev/min; null where no tool of high-speed steel cuts it
     */
    public function turns(float $diameterMm, float $share): ?Range
    {
        return $this->steel === null ? null : self::rpm($this->steel, $diameterMm, $share);
    }

    /** @return Range rev/min with a tool of carbide */
    public function turnsOfCarbide(float $diameterMm, float $share): Range
    {
        return self::rpm($this->carbide, $diameterMm, $share);
    }

    private static function rpm(Range $speed, float $diameterMm, float $share): Range
    {
        return new Range(
            (new Speed($diameterMm, $share * $speed->min, null, null))->rpm,
            (new Speed($diameterMm, $share * $speed->max, null, null))->rpm,
        );
    }
}

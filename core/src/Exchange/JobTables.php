<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Quantity\Unit;

/** What a job says as tables for a spreadsheet: sizes to make and as made, holes of patterns, cuts. */
final class JobTables
{
    public static function sizes(JobAnswers $answers, Unit $unit): string
    {
        $lines = [['surface', 'lower', 'upper', 'made', 'sure to', 'verdict', 'unit']];
        foreach ($answers->making as $making) {
            $band = $making->entry->band;
            $made = $making->sizeMm();
            $lines[] = [
                $making->entry->label,
                self::inside($band?->lowerMm, $unit, true),
                self::inside($band?->upperMm, $unit, false),
                self::number($made, $unit),
                $made === null ? '' : self::number($making->u95(), $unit),
                $made === null ? '' : ($making->verdict->value ?? ''),
                $unit->value,
            ];
        }

        return CsvText::of($lines);
    }

    public static function holes(JobAnswers $answers, Unit $unit): string
    {
        $lines = [['pattern', 'hole', 'x', 'y', 'angle', 'drilled', 'unit']];
        foreach ($answers->shaped as $shape) {
            foreach ($shape->places as $place) {
                $lines[] = [
                    $shape->surface->name,
                    (string) $place->number,
                    self::number($place->xMm, $unit),
                    self::number($place->yMm, $unit),
                    (string) round(fmod($place->deg + 360, 360), 4),
                    $place->isDrilled ? 'yes' : 'no',
                    $unit->value,
                ];
            }
        }

        return CsvText::of($lines);
    }

    public static function cuts(JobFacts $facts, Unit $unit): string
    {
        $lines = [['surface', 'piece', 'when', 'dialled', 'size after', 'instrument', 'set aside', 'at', 'unit']];
        foreach ($facts->cuts as $cut) {
            $lines[] = [
                $facts->surface($cut->surface)->name ?? '',
                (string) $cut->piece,
                $cut->phase->value,
                self::number($cut->dialled?->length->mm, $unit),
                self::number($cut->after->length->mm, $unit),
                $cut->instrument,
                $cut->setAside ?? '',
                $cut->at ?? '',
                $unit->value,
            ];
        }

        return CsvText::of($lines);
    }

    /** A limit is never rounded outward. */
    private static function inside(?float $mm, Unit $unit, bool $up): string
    {
        $scale = $unit === Unit::Inch ? 1e5 : 1e4;

        if ($mm === null) {
            return '';
        }
        $steps = ($mm / $unit->inMm()) * $scale;

        return (string) (($up ? ceil($steps - 1e-6) : floor($steps + 1e-6)) / $scale);
    }

    private static function number(?float $mm, Unit $unit): string
    {
        return $mm === null ? '' : (string) round($mm / $unit->inMm(), $unit === Unit::Inch ? 5 : 4);
    }
}

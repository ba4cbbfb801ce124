<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;

/** Whether the ovens and freezers of a shop are hot and cold enough for a joint, and the part goes in; °C, mm. */
final class HeatReach
{
    /**
     * @param  list<Machine>  $machines  all of the shop
     * @param  float  $heatC  what the outer part has to be heated to
     * @param  ?float  $chillC  what the inner part would have to be chilled to instead
     * @param  float  $acrossMm  of the outer part
     * @return list<Note> nothing of what the shop did not name
     */
    public static function notes(array $machines, float $heatC, ?float $chillC, float $acrossMm): array
    {
        $of = static fn (string $kind): array => array_values(array_filter(
            $machines,
            static fn (Machine $m): bool => $m->kind === $kind,
        ));

        return [
            ...self::oven($of('oven'), $heatC, $acrossMm, $of('torch') !== []),
            ...$chillC === null ? [] : self::freezer($of('freezer'), $chillC),
        ];
    }

    /**
     * @param  list<Machine>  $ovens
     * @return list<Note>
     */
    private static function oven(array $ovens, float $heatC, float $acrossMm, bool $torch): array
    {
        $hottest = null;
        foreach ($ovens as $oven) {
            $goesIn = ($oven->figure('inside_mm') ?? INF) >= $acrossMm;
            $most = $oven->figure('most_c');
            if ($most !== null && $most >= $heatC && $goesIn) {
                return [Note::info('oven', "{$oven->name} goes to ".self::celsius($most).': hot enough.')];
            }
            if ($most !== null && ($hottest === null || $most > $hottest->figure('most_c'))) {
                $hottest = $oven;
            }
        }
        if ($hottest === null) {
            return [];
        }
        $most = (float) $hottest->figure('most_c');
        $else = $torch
            ? 'Use the torch, moving, with a stick or a thermometer to tell; or chill the other part as well.'
            : 'Chill the other part as well, or press it.';

        return [
            $most < $heatC
                ? Note::caution('oven', "{$hottest->name} goes to ".self::celsius($most).' and this needs '.self::celsius(ceil($heatC)).". {$else}")
                : Note::caution('oven', Say::with("{$hottest->name} is {i} across inside, and the part {a}: it does not go in. {$else}", [
                    'i' => LengthWriter::about((float) $hottest->figure('inside_mm')),
                    'a' => LengthWriter::about($acrossMm),
                ])),
        ];
    }

    /**
     * @param  list<Machine>  $freezers
     * @return list<Note>
     */
    private static function freezer(array $freezers, float $chillC): array
    {
        foreach ($freezers as $freezer) {
            $least = $freezer->figure('least_c');
            if ($least !== null && $least <= $chillC) {
                return [Note::info('freezer', "{$freezer->name} goes to ".self::celsius($least).': cold enough to drop it in without heat.')];
            }
        }

        return [];
    }

    private static function celsius(float $c): string
    {
        return str_replace('-', '−', number_format($c)).' °C';
    }
}

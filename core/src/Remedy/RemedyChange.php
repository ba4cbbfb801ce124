<?php

declare(strict_types=1);

namespace Oldpart\Core\Remedy;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Loop\Remedy;
use Oldpart\Core\Quantity\TypedLength;
use Oldpart\Core\Quantity\Unit;

/** What taking a remedy changes in the facts: a typed length, in every loop where the same piece stands. */
final class RemedyChange
{
    /**
     * @return list<array{list: string, thing: string, fact: array<string, mixed>}> empty where it is work to be done, not a number to be typed
     */
    public static function of(JobFacts $facts, LoopFacts $in, Remedy $remedy): array
    {
        $typed = [];
        foreach ([$remedy->place => $remedy->new] + $remedy->more as $place => $new) {
            $length = $in->lengths[$place];
            if ($length->surface !== null || ! in_array($remedy->kind, ['absorb', 'aim', 'hold', 'together'], true)) {
                return [];
            }
            $unit = $length->size->unit ?? Unit::Millimetre;
            $typed[] = [
                $length,
                ['size' => self::typed($new->sizeMm, $unit, false)] +
                (in_array($remedy->kind, ['hold', 'together'], true)
                    ? [
                        'plus' => self::typed($new->plusMm, $unit, true),
                        'minus' => self::typed($new->minusMm, $unit, true),
                    ]
                    : []),
            ];
        }
        $changes = [];
        foreach ($facts->loops as $loop) {
            $changed = false;
            $lengths = [];
            foreach ($loop->lengths as $length) {
                $row = $length->jsonSerialize();
                foreach ($typed as [$old, $new]) {
                    if ($length->isSamePiece($old)) {
                        $row = [...$row, ...$new];
                        $changed = true;
                    }
                }
                $lengths[] = self::plain($row);
            }
            if ($changed) {
                $changes[] = ['list' => 'loops', 'thing' => $loop->id, 'fact' => ['lengths' => $lengths]];
            }
        }

        return $changes;
    }

    /**
     * @return array{typed: string, unit: string} limits rounded down, so that they are not wider than was worked out
     */
    private static function typed(float $mm, Unit $unit, bool $limit): array
    {
        $places = $unit === Unit::Inch ? 4 : 3;
        $value = $unit === Unit::Inch ? $mm / 25.4 : $mm;

        return [
            'typed' => number_format(
                $limit ? floor($value * 10 ** $places + 1e-6) / 10 ** $places : $value,
                $places,
                '.',
                '',
            ),
            'unit' => $unit->value,
        ];
    }

    /**
     * @param  array<string, mixed>  $length
     * @return array<string, mixed>
     */
    private static function plain(array $length): array
    {
        return array_map(
            static fn (mixed $value): mixed => $value instanceof TypedLength ? $value->jsonSerialize() : $value,
            $length,
        );
    }
}

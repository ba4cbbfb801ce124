<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Catalogue\Bearings;
use Oldpart\Core\Catalogue\Table;

/**
 * The sizes people choose: fractions, decimals, millimetres, bearings, drills, threads (data/nominal-families.json).
 */
final class NominalFamilies
{
    /** @return list<NominalSize> those between two sizes, mm */
    public static function between(NominalKind $kind, float $fromMm, float $toMm): array
    {
        return [
            ...self::fractions($kind, $fromMm, $toMm),
            ...self::decimals($kind, $fromMm, $toMm),
            ...self::millimetres($kind, $fromMm, $toMm),
            ...self::bought($kind, $fromMm, $toMm),
        ];
    }

    /** How likely any size at all is, per mm, beside the chosen ones. */
    public static function anySizePerMm(): float
    {
        $value = Table::read('nominal-families')['any_size_per_mm'];

        return is_numeric($value) ? (float) $value : 0.0;
    }

    /** @return list<NominalSize> */
    private static function fractions(NominalKind $kind, float $from, float $to): array
    {
        $sizes = [];
        for ($n = (int) ceil(($from / 25.4) * 64 - 1e-9); $n <= ($to / 25.4) * 64 + 1e-9; $n++) {
            if ($n < 1) {
                continue;
            }
            $mm = ($n * 25.4) / 64;
            $sizes[] = self::size(
                kind: $kind,
                label: self::fraction($n),
                mm: $mm,
                system: 'inch',
                family: 'inch fraction',
                weight: self::weightOfFraction($n),
                zone: $kind->value,
            );
        }

        return $sizes;
    }

    private static function weightOfFraction(int $sixtyFourths): float
    {
        foreach (self::steps('inch_fractions') as [$denominator, $weight]) {
            if ($sixtyFourths % (int) (64 / $denominator) === 0) {
                return $weight;
            }
        }

        return 0.0;
    }

    private static function fraction(int $n): string
    {
        $whole = intdiv($n, 64);
        $rest = $n % 64;
        if ($rest === 0) {
            return "{$whole} in";
        }
        $d = 64;
        while ($rest % 2 === 0) {
            $rest = intdiv($rest, 2);
            $d = intdiv($d, 2);
        }

        return ($whole > 0 ? "{$whole}-" : '')."{$rest}/{$d} in";
    }

    /** @return list<NominalSize> multiples of five thou that are no fraction */
    private static function decimals(NominalKind $kind, float $from, float $to): array
    {
        $sizes = [];
        for ($n = (int) ceil($from / 25.4 / 0.005 - 1e-9); $n <= $to / 25.4 / 0.005 + 1e-9; $n++) {
            if ($n < 1 || ($n * 64) % 200 === 0) {
                continue;
            }
            $sizes[] = self::size(
                kind: $kind,
                label: number_format($n * 0.005, $n % 2 === 0 ? 2 : 3).' in',
                mm: $n * 0.127,
                system: 'inch',
                family: 'inch decimal',
                weight: self::weightOfStep('inch_decimals', $n * 0.005),
                zone: $kind->value,
            );
        }

        return $sizes;
    }

    /** @return list<NominalSize> */
    private static function millimetres(NominalKind $kind, float $from, float $to): array
    {
        $sizes = [];
        for ($n = (int) ceil($from * 10 - 1e-9); $n <= $to * 10 + 1e-9; $n++) {
            if ($n < 1) {
                continue;
            }
            $sizes[] = self::size(
                kind: $kind,
                label: rtrim(rtrim(number_format($n / 10, 1, '.', ''), '0'), '.').' mm',
                mm: $n / 10,
                system: 'metric',
                family: $n % 10 === 0
                    ? 'whole millimetre'
                    : ($n % 5 === 0
                        ? 'half millimetre'
                        : 'tenth of a millimetre'),
                weight: self::weightOfStep('metric_steps', $n / 10),
                zone: $kind->value,
            );
        }

        return $sizes;
    }

    /** @return list<NominalSize> bearings, drills and threads */
    private static function bought(NominalKind $kind, float $from, float $to): array
    {
        $sizes = [];
        foreach (Bearings::all() as $bearing) {
            // What a bearing sits on or in: its bore is a shaft's size, its outside a bore's.
            [$mm, $what] = match ($kind) {
                NominalKind::Shaft => [$bearing->boreMm, 'bore'],
                NominalKind::Bore => [$bearing->outsideMm, 'outside'],
                NominalKind::Length => [$bearing->widthMm, 'width'],
                NominalKind::Circle => [0.0, ''],
            };
            if ($mm >= $from && $mm <= $to) {
                $sizes[] = self::size(
                    kind: $kind,
                    label: "{$bearing->designation} bearing {$what}",
                    mm: $mm,
                    system: $bearing->isInch() ? 'inch' : 'metric',
                    family: 'bearing',
                    weight: self::weight('bearing'),
                    zone: 'bearing',
                );
            }
        }
        if ($kind === NominalKind::Bore) {
            foreach (['number' => 'No. ', 'letter' => 'letter '] as $set => $prefix) {
                /** @var array<string, float> $drills */
                $drills = Table::read('drills')[$set];
                foreach ($drills as $name => $inches) {
                    if ($inches * 25.4 >= $from && $inches * 25.4 <= $to) {
                        $sizes[] = self::size(
                            kind: $kind,
                            label: "{$prefix}{$name} drill",
                            mm: $inches * 25.4,
                            system: 'inch',
                            family: 'drill',
                            weight: self::weight('drill'),
                            zone: 'drill',
                        );
                    }
                }
            }
        }
        if ($kind === NominalKind::Shaft) {
            /** @var list<array{label: string, system: string, mm: float}> $threads */
            $threads = Table::rows('threads');
            foreach ($threads as $thread) {
                if ($thread['mm'] >= $from && $thread['mm'] <= $to) {
                    $sizes[] = self::size(
                        kind: $kind,
                        label: $thread['label'],
                        mm: $thread['mm'],
                        system: $thread['system'],
                        family: 'thread',
                        weight: self::weight('thread'),
                        zone: 'thread',
                    );
                }
            }
        }

        return $sizes;
    }

    private static function size(
        NominalKind $kind,
        string $label,
        float $mm,
        string $system,
        string $family,
        float $weight,
        string $zone,
    ): NominalSize {
        /** @var array<string, array{float, float}> $zones */
        $zones = Table::read('nominal-families')['zones'];
        // ISO 286-1: the unit of tolerance, here in mm.
        $i = (0.45 * $mm ** (1 / 3) + 0.001 * $mm) / 1000;

        return new NominalSize(
            label: $label,
            mm: $mm,
            system: $system,
            family: $family,
            weight: $weight,
            zoneLowMm: $zones[$zone][0] * $i,
            zoneHighMm: $zones[$zone][1] * $i,
        );
    }

    private static function weightOfStep(string $family, float $size): float
    {
        foreach (self::steps($family) as [$step, $weight]) {
            if (abs($size / $step - round($size / $step)) < 1e-6) {
                return $weight;
            }
        }

        return 0.0;
    }

    /** @return list<array{float, float}> */
    private static function steps(string $family): array
    {
        /** @var list<array{float, float}> $steps */
        $steps = Table::read('nominal-families')[$family];

        return $steps;
    }

    private static function weight(string $family): float
    {
        $weight = Table::read('nominal-families')[$family];

        return is_numeric($weight) ? (float) $weight : 0.0;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Gear;

use Oldpart\Core\Advice\BadInput;

/** Which full-depth spur gear it is likely to be, from its teeth, its outside and a span. */
final class GearLikely
{
    /** Modules one meets: ISO 54:1996, both series, from memory. */
    private const MODULES = [
        0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.125, 1.25, 1.375, 1.5, 1.75, 2, 2.25, 2.5, 2.75, 3, 3.5, 4, 4.5, 5,
        5.5, 6, 7, 8, 9, 10, 11, 12, 14, 16, 18, 20, 22, 25, 28, 32,
    ];

    /** How far under its nominal outside a blank is turned and worn, mm and by module; common practice, no source. */
    private const UNDER_MM = 0.05;

    private const UNDER_PER_MODULE = 0.02;

    /** How close a span reads, mm: thinned for backlash and worn. Common practice, no source. */
    private const SPAN_MM = 0.06;

    /** A half diametral pitch is met far less often than a whole one, and the old 14½° less than 20°. */
    private const HALF = 0.15;

    private const PRESSURES = ['20' => 0.65, '14.5' => 0.35];

    /** That it is none of these: stubbed, corrected, of circular pitch. */
    private const OTHER = 0.03;

    /**
     * Best first; with what is left they sum to one.
     *
     * @param  int  $teeth  5 to 1000
     * @param  float  $outsideMm  above 0
     * @param  float  $u95Mm  of the outside, 0 or more
     * @return list<array{label: string, module_mm: ?float, system: string, pressure_deg: ?float, probability: float}>
     *
     * @throws BadInput for a gear that is none
     */
    public static function of(
        int $teeth,
        float $outsideMm,
        float $u95Mm = 0.0,
        ?float $spanMm = null,
        ?int $spanTeeth = null,
    ): array {
        if (! ($outsideMm > 0)) {
            throw new BadInput('outside', 'outside_mm', 'The outside of the gear must be above zero.');
        }
        if (! ($u95Mm >= 0)) {
            throw new BadInput('u95', 'u95_mm', 'An uncertainty cannot be below zero.');
        }
        if (($spanMm === null) !== ($spanTeeth === null)) {
            throw new BadInput('span', 'span_teeth', 'A span needs both: how much, and over how many teeth.');
        }
        GearSpan::of(1.0, $teeth, 20.0, $spanTeeth);
        $found = [];
        foreach (self::systems() as [$label, $module, $system, $prior]) {
            // A little under, as blanks are turned: the middle of what is common.
            $spread = hypot(self::UNDER_MM + self::UNDER_PER_MODULE * $module, $u95Mm / 2);
            $off = ($outsideMm - ($module * ($teeth + 2) - self::UNDER_MM / 2)) / $spread;
            $weight = ($prior * exp((-$off * $off) / 2)) / $spread;
            if ($spanMm === null) {
                $found[] = [$label, $module, $system, null, $weight];

                continue;
            }
            foreach (self::PRESSURES as $deg => $share) {
                $by = ($spanMm - GearSpan::of($module, $teeth, (float) $deg, $spanTeeth)->spanMm) / self::SPAN_MM;
                $found[] = [$label, $module, $system, (float) $deg, $weight * $share * exp((-$by * $by) / 2)];
            }
        }

        return self::shares($found);
    }

    /** @return list<array{string, float, string, float}> label, module, system, how often it is met */
    private static function systems(): array
    {
        $systems = array_map(
            static fn (int|float $m): array => ["module {$m}", (float) $m, 'metric', 1.0],
            self::MODULES,
        );
        for ($half = 3; $half <= 128; $half++) {
            $dp = $half / 2;
            $systems[] = ["{$dp} DP", 25.4 / $dp, 'inch', $half % 2 === 0 ? 1.0 : self::HALF];
        }

        return $systems;
    }

    /**
     * @param  list<array{string, float, string, ?float, float}>  $found
     * @return list<array{label: string, module_mm: ?float, system: string, pressure_deg: ?float, probability: float}>
     */
    private static function shares(array $found): array
    {
        $all = array_sum(array_column($found, 4));
        usort($found, static fn (array $a, array $b): int => $b[4] <=> $a[4]);
        $rows = [];
        $left = 1.0;
        foreach (array_slice($found, 0, 6) as [$label, $module, $system, $pressure, $weight]) {
            // So far from all of them that it fits none.
            $share = $all > 1e-6 ? ((1 - self::OTHER) * $weight) / $all : 0.0;
            if ($share >= 0.005) {
                $left -= $share;
                $rows[] = [
                    'label' => $label,
                    'module_mm' => $module,
                    'system' => $system,
                    'pressure_deg' => $pressure,
                    'probability' => $share,
                ];
            }
        }
        $rows[] = [
            'label' => 'other',
            'module_mm' => null,
            'system' => 'other',
            'pressure_deg' => null,
            'probability' => $left,
        ];

        return $rows;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;

/** Which thread it is likely to be, from its outside (or the hole's inside), its pitch and its angle. */
final class ThreadLikely
{
    /** How often each family is met on old machines, one beside the other. Common practice, no source. */
    private const MET = [
        'ISO coarse' => 1.0,
        'ISO fine' => 0.5,
        'UNC' => 0.9,
        'UNF' => 0.7,
        'UNEF' => 0.15,
        'BSW' => 0.8,
        'BSF' => 0.5,
        'BSP' => 0.6,
        'BSP taper' => 0.3,
        'BA' => 0.5,
        'cycle' => 0.25,
    ];

    /** A crest is under its nominal size by the tolerance and by wear: so much, and so much of the pitch, mm. */
    private const UNDER_MM = 0.03;

    private const UNDER_OF_PITCH = 0.05;

    /** A hole is tapped into a drill somewhat larger than the basic inside: so much of the pitch. */
    private const OPEN_OF_PITCH = 0.15;

    /** How near a pitch is read with a gauge or counted, in its own size; an angle by a gauge held to it, degrees. */
    private const PITCH = 0.015;

    private const ANGLE_DEG = 2.0;

    /** That it is none of these. */
    private const OTHER = 0.03;

    /**
     * Best first; with what is left they sum to one. Weights by common practice, no source.
     *
     * @param  float  $sizeMm  outside of the screw, or inside of the hole, above 0
     * @param  float  $pitchMm  above 0
     * @param  float  $u95Mm  of the size, 0 or more
     * @param  ?float  $angleDeg  between the flanks; null: not looked at
     * @param  bool  $inside  the size is the hole's minor diameter
     * @return list<array{label: string, family: string, major_mm: ?float, pitch_mm: ?float, angle_deg: ?float, probability: float}>
     *
     * @throws BadInput for what no thread has
     */
    public static function of(
        float $sizeMm,
        float $pitchMm,
        float $u95Mm = 0.0,
        ?float $angleDeg = null,
        bool $inside = false,
    ): array {
        if (! ($sizeMm > 0)) {
            throw new BadInput('size', 'outside_mm', 'The size of the thread must be above zero.');
        }
        if (! ($pitchMm > 0) || ! ($pitchMm < $sizeMm)) {
            throw new BadInput('pitch', 'pitch_mm', 'The pitch must be above zero and below the thread’s size.');
        }
        if (! ($u95Mm >= 0)) {
            throw new BadInput('u95', 'u95_mm', 'An uncertainty cannot be below zero.');
        }
        if ($angleDeg !== null && ! ($angleDeg >= 20 && $angleDeg <= 90)) {
            throw new BadInput('angle', 'angle_deg', 'The angle between the flanks is from 20° to 90°: 60, 55, 47½.');
        }
        /** @var list<array{string, string, float, float, float}> $rows */
        $rows = Table::read('thread-families')['rows'];
        $found = [];
        foreach ($rows as [$label, $family, $major, $pitch, $angle]) {
            $form = $angle == 60 ? 1.082532 : 1.28;
            // A worn or cut crest reads small, a drilled hole large.
            [$expected, $spread] = $inside
                ? [$major - $form * $pitch + self::OPEN_OF_PITCH * $pitch, 0.1 * $pitch + self::UNDER_MM]
                : [
                    $major - self::UNDER_MM - self::UNDER_OF_PITCH * $pitch,
                    self::UNDER_MM + self::UNDER_OF_PITCH * $pitch,
                ];
            $off = ($sizeMm - $expected) / hypot($spread, $u95Mm / 2);
            $step = log($pitchMm / $pitch) / self::PITCH;
            $turn = $angleDeg === null ? 0.0 : ($angleDeg - $angle) / self::ANGLE_DEG;
            $weight = self::MET[$family] * exp(-($off * $off + $step * $step + $turn * $turn) / 2);
            $found[] = [$label, $family, (float) $major, (float) $pitch, (float) $angle, $weight];
        }

        return self::shares($found);
    }

    /**
     * @param  list<array{string, string, float, float, float, float}>  $found
     * @return list<array{label: string, family: string, major_mm: ?float, pitch_mm: ?float, angle_deg: ?float, probability: float}>
     */
    private static function shares(array $found): array
    {
        $all = array_sum(array_column($found, 5));
        usort($found, static fn (array $a, array $b): int => $b[5] <=> $a[5]);
        $rows = [];
        $left = 1.0;
        foreach (array_slice($found, 0, 6) as [$label, $family, $major, $pitch, $angle, $weight]) {
            $share = $all > 1e-5 ? ((1 - self::OTHER) * $weight) / $all : 0.0;
            if ($share >= 0.005) {
                $left -= $share;
                $rows[] = [
                    'label' => $label,
                    'family' => $family,
                    'major_mm' => $major,
                    'pitch_mm' => $pitch,
                    'angle_deg' => $angle,
                    'probability' => $share,
                ];
            }
        }
        $rows[] = [
            'label' => 'other',
            'family' => 'other',
            'major_mm' => null,
            'pitch_mm' => null,
            'angle_deg' => null,
            'probability' => $left,
        ];

        return $rows;
    }
}

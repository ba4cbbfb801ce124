<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Catalogue\Table;

/** A plain bearing under load: its pressure, its sliding speed, and their product, against what its material stands. */
final readonly class PlainBearing
{
    /** Length over diameter that is advised: shorter spills its oil, longer rubs at its ends. Common practice. */
    private const RATIO = [0.8, 1.5];

    /**
     * @param  float  $pressureMpa  on the projected area
     * @param  ?float  $speedMs  null where the speed is not known
     * @param  ?float  $pv  MPa·m/s
     * @param  array{p_mpa: float, v_m_s: float, pv: float}|null  $limits  null for a material nothing is known of here
     * @param  list<Note>  $notes
     */
    private function __construct(
        public float $pressureMpa,
        public ?float $speedMs,
        public ?float $pv,
        public float $ratio,
        public ?array $limits,
        public array $notes,
        public Working $working,
    ) {
    }

    /**
     * p = F/(d·L), v = π·d·n; limits by data/plain-bearings.json.
     *
     * @param  float  $diameterMm  above 0
     * @param  float  $lengthMm  above 0
     * @param  float  $loadN  0 or more
     * @param  ?float  $rpm  0 or more; null: not known
     * @param  ?string  $material  by its name in the material table
     *
     * Source: Shigley's Mechanical Engineering Design, journal bearings and bushings (p, v and pv).
     *
     * @throws BadInput for a size or a load that can't be
     */
    public static function of(float $diameterMm, float $lengthMm, float $loadN, ?float $rpm, ?string $material): self
    {
        foreach (['d_mm' => $diameterMm, 'length_mm' => $lengthMm] as $field => $mm) {
            if (! is_finite($mm) || $mm <= 0) {
                throw new BadInput('size', $field, 'A bearing has a diameter and a length above zero.');
            }
        }
        if (! is_finite($loadN) || $loadN < 0 || ($rpm !== null && (! is_finite($rpm) || $rpm < 0))) {
            throw new BadInput('load', $loadN < 0 ? 'load_n' : 'speed_rpm', 'Load and speed are zero or more.');
        }
        $p = $loadN / ($diameterMm * $lengthMm);
        $v = $rpm === null ? null : (((M_PI * $diameterMm) / 1000) * $rpm) / 60;
        $pv = $v === null ? null : $p * $v;
        $limits = self::limits($material);
        $ratio = $lengthMm / $diameterMm;
        $number = static fn (float $x): string => number_format($x, $x < 10 ? 2 : 1, '.', '');

        return new self(
            pressureMpa: $p,
            speedMs: $v,
            pv: $pv,
            ratio: $ratio,
            limits: $limits,
            notes: self::notes($p, $v, $pv, $ratio, $limits),
            working: new Working([
                new WorkingStep(
                    'Pressure',
                    'p = F / (d · L)',
                    Say::plain(
                        "{$number($loadN)} N over {$number($diameterMm)} × {$number($lengthMm)} mm: {$number($p)} MPa",
                    ),
                    'Shigley, journal bearings',
                ),
                ...$v === null || $pv === null
                    ? []
                    : [
                        new WorkingStep(
                            'Speed and p·v',
                            'v = π · d · n',
                            Say::plain("{$number($v)} m/s, p·v {$number($pv)} MPa·m/s"),
                            'Shigley, journal bearings',
                        ),
                    ],
            ]),
        );
    }

    /** @return array{p_mpa: float, v_m_s: float, pv: float}|null */
    private static function limits(?string $material): ?array
    {
        /** @var list<array{material: string, p_mpa: float, v_m_s: float, pv: float}> $rows */
        $rows = Table::rows('plain-bearings');
        foreach ($rows as $row) {
            if ($row['material'] === $material) {
                return ['p_mpa' => (float) $row['p_mpa'], 'v_m_s' => (float) $row['v_m_s'], 'pv' => (float) $row['pv']];
            }
        }

        return null;
    }

    /**
     * @param  array{p_mpa: float, v_m_s: float, pv: float}|null  $limits
     * @return list<Note>
     */
    private static function notes(float $p, ?float $v, ?float $pv, float $ratio, ?array $limits): array
    {
        $notes = [];
        if ($limits === null) {
            $notes[] = Note::caution(
                'limits-unknown',
                'What this material stands as a bearing is not known here: ask its maker.',
            );
        } else {
            $over = array_keys(
                array_filter([
                    'pressure' => $p > $limits['p_mpa'],
                    'speed' => $v !== null && $v > $limits['v_m_s'],
                    'p·v' => $pv !== null && $pv > $limits['pv'],
                ]),
            );
            if ($over !== []) {
                $notes[] = Note::stop(
                    'bearing-overloaded',
                    'The '.
                        implode(' and the ', $over).
                        ($over === ['p·v'] || count($over) === 1 ? ' is' : ' are').
                        ' more than this material stands: it wears fast or seizes. Make it longer, or of something better.',
                );
            }
        }
        if ($ratio < self::RATIO[0] || $ratio > self::RATIO[1]) {
            $notes[] = Note::caution(
                'bearing-length',
                $ratio < self::RATIO[0]
                    ? 'It is shorter than 0.8 of its diameter: oil runs out at its ends.'
                    : 'It is longer than 1.5 times its diameter: it rubs at its ends unless the shaft is stiff and in line.',
            );
        }
        $notes[] = Note::info('oil-groove', 'Oil hole and groove go on the side away from the load.');

        return $notes;
    }
}

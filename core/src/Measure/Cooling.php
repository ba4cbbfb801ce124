<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Quantity\LengthWriter;

/** How long a warm part must lie before its size can be believed: lumped cooling in still air. Seconds. */
final readonly class Cooling
{
    /** Heat transfer in still air, W/m²K; on cast iron or in a draught 25, under an air jet 60. Common practice. */
    public const STILL_AIR = 10.0;

    /** @param  list<Note>  $notes */
    private function __construct(
        public float $timeConstantS,
        public float $waitS,
        public array $notes,
        public Working $working,
    ) {
    }

    /**
     * τ = ρ c V / (h A); the size differs from its room-temperature size by less than e after τ ln(α D |T0 − Troom| /
     * e).
     *
     * @param  float  $volumeMm3  above 0
     * @param  float  $areaMm2  the whole surface, ends too, above 0
     * @param  float  $sizeMm  the size that is read, above 0
     * @param  float  $limitMm  how much it may still be off, above 0
     * @param  float  $h  W/m²K, above 0
     *
     * Source: lumped capacitance, Incropera, transient conduction; h common practice, a range.
     *
     * @throws BadInput for sizes not above 0, impossible temperatures or a material without the three properties needed
     */
    public static function of(
        float $partC,
        float $roomC,
        Material $material,
        float $volumeMm3,
        float $areaMm2,
        float $sizeMm,
        float $limitMm,
        float $h = self::STILL_AIR,
    ): self {
        foreach (
            [
                'volume_mm3' => $volumeMm3,
                'area_mm2' => $areaMm2,
                'size_mm' => $sizeMm,
                'limit_mm' => $limitMm,
                'h' => $h,
            ] as $field => $value
        ) {
            if (! is_finite($value) || $value <= 0) {
                throw new BadInput('out-of-range', $field, "“{$field}” must be above zero.");
            }
        }
        foreach (['part_c' => $partC, 'room_c' => $roomC] as $field => $celsius) {
            if ($celsius < -273.15 || $celsius > 1500) {
                throw new BadInput('temperature', $field, 'That is no temperature a part is measured at. Check it.');
            }
        }
        $properties = [
            'density_kg_m3' => $material->densityKgM3,
            'specific_heat_j_kgk' => $material->specificHeatJKgK,
            'alpha_per_k' => $material->alphaPerK,
        ];
        foreach ($properties as $field => $value) {
            if ($value === null || $value <= 0) {
                throw new BadInput(
                    'material',
                    "material.{$field}",
                    "To say how it cools, “{$field}” of the material is needed, above zero.",
                );
            }
        }
        [$rho, $c, $alpha] = [
            (float) $material->densityKgM3,
            (float) $material->specificHeatJKgK,
            (float) $material->alphaPerK,
        ];
        $tau = ($rho * $c * ($volumeMm3 / $areaMm2 / 1000)) / $h;
        $off = $alpha * $sizeMm * abs($partC - $roomC);
        $wait = $off > $limitMm ? $tau * log($off / $limitMm) : 0.0;
        $notes = [];
        if (
            $material->conductivityWmK !== null
            && ($h * ($volumeMm3 / $areaMm2 / 1000)) / $material->conductivityWmK > 0.1
        ) {
            $notes[] = Note::caution(
                'lump-coarse',
                'It is too thick for one temperature throughout: its inside stays warm longer than this says. Wait half as long again.',
            );
        }
        if ($wait > 0) {
            $notes[] = Note::info(
                'quicker',
                'On a cast-iron table it takes less than half as long, under an air jet a sixth.',
            );
        }

        return new self(
            $tau,
            $wait,
            $notes,
            new Working([
                new WorkingStep(
                    'Time constant',
                    'τ = ρ c V / (h A)',
                    sprintf('%.0f · %.0f · %.2f mm / %.0f = %.0f s', $rho, $c, $volumeMm3 / $areaMm2, $h, $tau),
                    'lumped capacitance (Incropera, transient conduction); h common practice',
                ),
                new WorkingStep(
                    'Off by now',
                    'α D |T₀ − T_room|',
                    Say::with('{off} at {dt} K from the room', [
                        'off' => LengthWriter::difference($off),
                        'dt' => number_format(abs($partC - $roomC), 1),
                    ]),
                    'linear expansion',
                ),
                new WorkingStep(
                    'Wait',
                    't = τ ln(off / limit)',
                    Say::with('until it is within {e}: {t} s', [
                        'e' => LengthWriter::difference($limitMm),
                        't' => number_format($wait, 0, '.', ''),
                    ]),
                    'the same',
                ),
            ]),
        );
    }
}

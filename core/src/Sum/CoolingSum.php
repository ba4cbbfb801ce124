<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Measure\Cooling;
use Oldpart\Core\Quantity\Fields;

final class CoolingSum implements Sum
{
    public function name(): string
    {
        return 'cooling';
    }

    public function says(): string
    {
        return 'How long a warm part must lie before its size can be believed.';
    }

    public function example(): array
    {
        return [
            'part_c' => 45.0,
            'room_c' => 20.0,
            'material' => ['name' => 'low-carbon steel, cold drawn'],
            'diameter_mm' => 36.0,
            'length_mm' => 60.0,
            'size_mm' => 36.0,
            'limit_mm' => 0.002,
        ];
    }

    public function takes(): array
    {
        return [
            'part_c',
            'room_c',
            'material',
            'volume_mm3',
            'area_mm2',
            'diameter_mm',
            'length_mm',
            'size_mm',
            'limit_mm',
            'h',
        ];
    }

    public function run(Fields $in): array
    {
        [$volume, $area] = self::body($in);
        $cooling = Cooling::of(
            partC: $in->number('part_c'),
            roomC: $in->number('room_c'),
            material: MaterialInput::read($in, 'material', ['density_kg_m3', 'specific_heat_j_kgk', 'alpha_per_k']),
            volumeMm3: $volume,
            areaMm2: $area,
            sizeMm: $in->number('size_mm'),
            limitMm: $in->number('limit_mm'),
            h: $in->numberOrNull('h') ?? Cooling::STILL_AIR,
        );

        return [
            'time_constant_s' => $cooling->timeConstantS,
            'wait_s' => $cooling->waitS,
            'notes' => $cooling->notes,
            'working' => $cooling->working,
        ];
    }

    /** @return array{float, float} volume and area, of a cylinder where a diameter and a length are given */
    private static function body(Fields $in): array
    {
        if ($in->has('volume_mm3') || $in->has('area_mm2')) {
            return [$in->number('volume_mm3'), $in->number('area_mm2')];
        }
        [$d, $l] = [$in->number('diameter_mm'), $in->number('length_mm')];
        foreach (['diameter_mm' => $d, 'length_mm' => $l] as $field => $value) {
            if ($value <= 0) {
                throw $in->bad($field, 'must be above zero.');
            }
        }

        return [(M_PI / 4) * $d ** 2 * $l, (M_PI / 2) * $d ** 2 + M_PI * $d * $l];
    }
}

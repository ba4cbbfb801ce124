<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Fit\PlainBearing;
use Oldpart\Core\Quantity\Fields;

final class PlainBearingSum implements Sum
{
    public function name(): string
    {
        return 'plain-bearing';
    }

    public function says(): string
    {
        return 'Pressure, sliding speed and p·v of a plain bearing, against what its material stands.';
    }

    public function example(): array
    {
        return [
            'd_mm' => 25,
            'length_mm' => 30,
            'load_n' => 1500,
            'speed_rpm' => 400,
            'material' => 'leaded tin bronze (bearing)',
        ];
    }

    public function takes(): array
    {
        return ['d_mm', 'length_mm', 'load_n', 'speed_rpm', 'material'];
    }

    public function run(Fields $in): array
    {
        $bearing = PlainBearing::of(
            $in->number('d_mm'),
            $in->number('length_mm'),
            $in->number('load_n'),
            $in->numberOrNull('speed_rpm'),
            $in->textOrNull('material'),
        );

        return [
            'pressure_mpa' => $bearing->pressureMpa,
            'speed_m_s' => $bearing->speedMs,
            'pv' => $bearing->pv,
            'length_over_diameter' => $bearing->ratio,
            'limits' => $bearing->limits,
            'notes' => $bearing->notes,
            'working' => $bearing->working,
        ];
    }
}

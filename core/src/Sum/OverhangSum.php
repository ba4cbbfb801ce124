<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shaft\Overhang;

final class OverhangSum implements Sum
{
    public function name(): string
    {
        return 'overhang';
    }

    public function says(): string
    {
        return 'How far a bar or thin work bends under the cut, and whether it will chatter.';
    }

    public function example(): array
    {
        return ['stick_out_mm' => 100.0, 'diameter_mm' => 20.0, 'e_gpa' => 205.0, 'force_n' => 200.0];
    }

    public function takes(): array
    {
        return ['stick_out_mm', 'diameter_mm', 'bore_mm', 'e_gpa', 'force_n'];
    }

    public function run(Fields $in): array
    {
        $bar = new Overhang(
            $in->number('stick_out_mm'),
            $in->number('diameter_mm'),
            $in->numberOrNull('bore_mm') ?? 0.0,
            $in->number('e_gpa'),
            $in->number('force_n'),
        );

        return [
            'deflection_mm' => $bar->deflectionMm,
            'ratio' => $bar->ratio,
            'notes' => $bar->notes(),
            'working' => [
                new WorkingStep('Bends', 'F L³/(3 E I)', LengthWriter::fine($bar->deflectionMm), 'cantilever, strength of materials'),
            ],
        ];
    }
}

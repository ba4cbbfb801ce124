<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Offset\TiltShim;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class TiltShimSum implements Sum
{
    public function name(): string
    {
        return 'tilt-shim';
    }

    public function says(): string
    {
        return 'What to shim so that a face or an axis comes true, in one plane or in two.';
    }

    public function example(): array
    {
        return [
            'off_mm' => 0.12,
            'lever_mm' => 200.0,
            'base_mm' => 150.0,
            'across_off_mm' => 0.05,
            'across_base_mm' => 80.0,
        ];
    }

    public function takes(): array
    {
        return ['off_mm', 'lever_mm', 'base_mm', 'across_off_mm', 'across_base_mm'];
    }

    public function run(Fields $in): array
    {
        $lever = $in->number('lever_mm');
        $shim = TiltShim::mm($in->number('off_mm'), $lever, $in->number('base_mm'));
        $acrossOff = $in->numberOrNull('across_off_mm');
        $across = $acrossOff === null ? null : TiltShim::mm($acrossOff, $lever, $in->numberOrNull('across_base_mm') ?? $in->number('base_mm'));

        return [
            'shim_mm' => $shim,
            'across_shim_mm' => $across,
            'tilt_deg' => TiltShim::deg($in->number('off_mm'), $lever),
            'notes' => [
                Note::info('which-end', 'Under the end toward which it leans; or half under one end and half off the other. Shims flat and near the bolts, then tighten and read again.'),
            ],
            'working' => [
                new WorkingStep('Shim', 'base × off / lever', LengthWriter::difference($shim), 'similar triangles'),
            ],
        ];
    }
}

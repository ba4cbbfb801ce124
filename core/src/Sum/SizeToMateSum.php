<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Quantity\Fields;

final class SizeToMateSum implements Sum
{
    public function name(): string
    {
        return 'size-to-mate';
    }

    public function says(): string
    {
        return 'The sizes to make one part so that it fits the mate that was measured.';
    }

    public function example(): array
    {
        return [
            'make' => 'shaft',
            'mate' => ['size_mm' => 28.567, 'u95_mm' => 0.005],
            'clearance_mm' => ['min' => -0.033, 'max' => 0.0],
        ];
    }

    public function takes(): array
    {
        return ['make', 'mate', 'clearance_mm'];
    }

    public function run(Fields $in): array
    {
        $make = $in->text('make');
        if ($make !== 'shaft' && $make !== 'bore') {
            throw $in->bad('make', 'must be one of: shaft, bore.');
        }
        $mate = $in->object('mate') ?? throw $in->bad('mate', 'is missing.');
        $mate->only(['size_mm', 'u95_mm', 'loose_mm']);
        $sized = SizeToMate::of(
            $make === 'shaft',
            $mate->number('size_mm'),
            $mate->number('u95_mm'),
            $in->range('clearance_mm'),
            $mate->numberOrNull('loose_mm'),
        );

        return [
            'possible' => $sized->band !== null,
            'lower_mm' => $sized->band?->lowerMm,
            'upper_mm' => $sized->band?->upperMm,
            'needed_u95_mm' => $sized->neededU95Mm,
            'notes' => $sized->notes,
            'working' => $sized->working,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class FlatsSum implements Sum
{
    public function name(): string
    {
        return 'flats';
    }

    public function says(): string
    {
        return 'How deep flats are cut on a round, and how wide they come out.';
    }

    public function example(): array
    {
        return ['diameter_mm' => 20.0, 'across_flats_mm' => 17.0];
    }

    public function takes(): array
    {
        return ['diameter_mm', 'across_flats_mm'];
    }

    public function run(Fields $in): array
    {
        $diameter = $in->number('diameter_mm');
        $across = $in->number('across_flats_mm');
        if ($diameter <= 0) {
            throw $in->bad('diameter_mm', 'must be above zero.');
        }
        if ($across <= 0 || $across >= $diameter) {
            throw $in->bad('across_flats_mm', 'must be above zero and below the diameter.');
        }
        $depth = ($diameter - $across) / 2;

        return [
            'depth_mm' => $depth,
            'width_mm' => sqrt($diameter ** 2 - $across ** 2),
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Each flat',
                    'deep (D − AF)/2, wide √(D² − AF²)',
                    LengthWriter::difference($depth),
                    'geometry of a chord',
                ),
            ],
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Offset\BoreCentre;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class BoreCentreSum implements Sum
{
    public function name(): string
    {
        return 'bore-centre';
    }

    public function says(): string
    {
        return 'How high the centre of a bore lies, by a roller in its bottom.';
    }

    public function example(): array
    {
        return ['height_mm' => 62.0, 'roller_mm' => 10.0, 'bore_mm' => 40.0];
    }

    public function takes(): array
    {
        return ['height_mm', 'roller_mm', 'bore_mm'];
    }

    public function run(Fields $in): array
    {
        $centre = BoreCentre::mm($in->number('height_mm'), $in->number('roller_mm'), $in->number('bore_mm'));

        return [
            'centre_mm' => $centre,
            'notes' => [],
            'working' => [
                new WorkingStep('Centre', 'over the roller − roller + bore/2', LengthWriter::size($centre), 'geometry'),
            ],
        ];
    }
}

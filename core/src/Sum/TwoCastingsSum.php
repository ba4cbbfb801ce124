<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Offset\BoreCentre;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class TwoCastingsSum implements Sum
{
    public function name(): string
    {
        return 'two-castings';
    }

    public function says(): string
    {
        return 'The centres of the same bore in two castings, over one roller: what is alike drops out.';
    }

    public function example(): array
    {
        return ['height_a_mm' => 62.0, 'bore_a_mm' => 40.0, 'height_b_mm' => 62.35, 'bore_b_mm' => 40.12];
    }

    public function takes(): array
    {
        return ['height_a_mm', 'bore_a_mm', 'height_b_mm', 'bore_b_mm'];
    }

    public function run(Fields $in): array
    {
        $higher = BoreCentre::differenceMm($in->number('height_a_mm'), $in->number('bore_a_mm'), $in->number('height_b_mm'), $in->number('bore_b_mm'));

        return [
            'higher_mm' => $higher,
            'notes' => [
                Note::info('alike', 'The roller and the plate are the same for both, and drop out; the two bores do not: read each.'),
            ],
            'working' => [
                new WorkingStep('B above A', '(height B + bore B/2) − (height A + bore A/2)', LengthWriter::difference($higher), 'geometry'),
            ],
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Key\Keyway;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class KeyCutSum implements Sum
{
    public function name(): string
    {
        return 'key-cut';
    }

    public function says(): string
    {
        return 'How a narrower cutter is moved over to cut a slot, and how far along.';
    }

    public function example(): array
    {
        return ['width_mm' => 10.16, 'cutter_mm' => 9.525, 'length_mm' => 25.4];
    }

    public function takes(): array
    {
        return ['width_mm', 'cutter_mm', 'length_mm'];
    }

    public function run(Fields $in): array
    {
        $cutter = $in->number('cutter_mm');
        $step = Keyway::sideStepMm($in->number('width_mm'), $cutter);
        $length = $in->numberOrNull('length_mm');
        if ($length !== null && $length <= 0) {
            throw $in->bad('length_mm', 'must be above zero.');
        }

        return [
            'side_step_mm' => $step,
            'travel_mm' => $length === null ? null : Keyway::travelMm($length, $cutter),
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Side steps',
                    '(width − cutter) / 2 to either side; along: the flat length and half the cutter',
                    LengthWriter::difference($step),
                    'geometry of the cutter',
                ),
            ],
        ];
    }
}

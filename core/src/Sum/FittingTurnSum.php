<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class FittingTurnSum implements Sum
{
    public function name(): string
    {
        return 'fitting-turn';
    }

    public function says(): string
    {
        return 'How a fitting that stops at the wrong angle is brought round by its washer.';
    }

    public function example(): array
    {
        return ['pitch_mm' => 1.814, 'contact_deg' => 40.0, 'wanted_deg' => 130.0];
    }

    public function takes(): array
    {
        return ['pitch_mm', 'contact_deg', 'wanted_deg'];
    }

    public function run(Fields $in): array
    {
        $pitch = $in->number('pitch_mm');
        if ($pitch <= 0) {
            throw $in->bad('pitch_mm', 'must be above zero.');
        }
        $turn = fmod(fmod($in->number('wanted_deg') - $in->number('contact_deg'), 360) + 360, 360);
        $thinner = ($pitch * $turn) / 360;

        return [
            'turn_deg' => $turn,
            'thinner_mm' => $thinner,
            'thicker_mm' => $turn === 0.0 ? 0.0 : $pitch - $thinner,
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Washer',
                    'pitch × turn / 360 thinner, or the rest of a pitch thicker',
                    LengthWriter::difference($thinner),
                    'one turn goes one pitch',
                ),
            ],
        ];
    }
}

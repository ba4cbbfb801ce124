<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Gear\GearPins;
use Oldpart\Core\Gear\GearSpan;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class GearSpanSum implements Sum
{
    public function name(): string
    {
        return 'gear-span';
    }

    public function says(): string
    {
        return 'What a gear reads over several of its teeth, and over two pins.';
    }

    public function example(): array
    {
        return ['module_mm' => 2.0, 'teeth' => 20, 'pressure_deg' => 20.0];
    }

    public function takes(): array
    {
        return ['module_mm', 'teeth', 'pressure_deg', 'pin_mm'];
    }

    public function run(Fields $in): array
    {
        $gear = [$in->number('module_mm'), $in->whole('teeth'), $in->number('pressure_deg')];
        $span = GearSpan::of(...$gear);
        $pin = $in->numberOrNull('pin_mm');
        $pins = $pin === null ? GearPins::usual(...$gear) : GearPins::of($gear[0], $gear[1], $gear[2], $pin);

        return [
            'span_mm' => $span->spanMm,
            'span_teeth' => $span->teethSpanned,
            'over_pins_mm' => $pins?->overPinsMm,
            'pin_used_mm' => $pins?->pinMm,
            'notes' => match (true) {
                $pins === null => [Note::info('no-pin', 'No pin rests well on so few teeth: go by the span.')],
                $pin === null => [Note::info('pin-taken', 'The pin is taken as 1.728 of the module, to a size that is sold. Type the pin you have: a drill shank or a roller does, if you read it.')],
                default => [],
            },
            'working' => [
                new WorkingStep(
                    'Span',
                    'm cos α [π (k − ½) + z (tan α − α)]',
                    Say::with("{s} over {$span->teethSpanned} teeth", ['s' => LengthWriter::size($span->spanMm)]),
                    'involute geometry, no profile shift; DIN 3960',
                ),
                new WorkingStep(
                    'Over pins',
                    'inv φ = d/(m z cos α) + inv α − π/(2z); m z cos α/cos φ + d, an odd z times cos(90°/z)',
                    $pins === null ? 'no pin rests' : LengthWriter::size($pins->overPinsMm),
                    'involute geometry, no profile shift; DIN 3960',
                ),
            ],
        ];
    }
}

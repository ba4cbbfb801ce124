<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Offset\HalfTurn;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class HalfTurnSum implements Sum
{
    public function name(): string
    {
        return 'half-turn';
    }

    public function says(): string
    {
        return 'Two bores at a spacing on a fixture that is turned half round: where the slide is set, and what errors do.';
    }

    public function example(): array
    {
        return [
            'spacing_mm' => 140.0,
            'index_error_deg' => 0.01,
            'length_mm' => 60.0,
            'slide_error_mm' => 0.01,
            'travel_mm' => 90.0,
        ];
    }

    public function takes(): array
    {
        return ['spacing_mm', 'index_error_deg', 'length_mm', 'slide_error_mm', 'travel_mm'];
    }

    public function run(Fields $in): array
    {
        $of = new HalfTurn($in->number('spacing_mm'));
        [$index, $long] = [$in->numberOrNull('index_error_deg'), $in->numberOrNull('length_mm')];
        [$slide, $travel] = [$in->numberOrNull('slide_error_mm'), $in->numberOrNull('travel_mm')];

        return [
            'offset_mm' => $of->offsetMm,
            'spacing_off_mm' => $slide === null ? null : $of->spacingOffMm($slide),
            'parallel_off_mm' => $index === null || $long === null ? null : $of->parallelOffMm($index, $long),
            'notes' => [
                ...$travel !== null && $travel < $of->offsetMm ? [Note::stop('no-travel', 'The slide does not travel that far even so: offset the fixture on its table.')] : [],
                Note::info('half-turn', 'Both bores are cut at one setting of the slide: only how far it is off the middle of the turn counts, and counts double. Bore one, turn half round, bore the other.'),
            ],
            'working' => [
                new WorkingStep('Slide off the middle', 'spacing / 2; spacing off = 2 × slide; parallel = length × tan of the index error', LengthWriter::size($of->offsetMm), 'geometry'),
            ],
        ];
    }
}

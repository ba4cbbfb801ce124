<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class TaperTrialSum implements Sum
{
    public function name(): string
    {
        return 'taper-trial';
    }

    public function says(): string
    {
        return 'What to take off so that a taper goes in by the difference.';
    }

    public function example(): array
    {
        return ['gap_now_mm' => 14.2, 'gap_wanted_mm' => 9.5, 'ratio' => 4.8];
    }

    public function takes(): array
    {
        return ['gap_now_mm', 'gap_wanted_mm', 'included_deg', 'ratio', 'per_foot_in'];
    }

    public function run(Fields $in): array
    {
        $taper = TaperInput::angle($in) ?? throw TaperInput::missing($in);
        $diameter = $taper->toGoInMm($in->number('gap_now_mm') - $in->number('gap_wanted_mm'));

        return [
            'infeed_mm' => $diameter / 2,
            'diameter_mm' => $diameter,
            'steps' => $diameter <= 0 ? [] : [Say::with('Take {d} more on the diameter, {i} by the cross slide.', [
                'd' => LengthWriter::difference($diameter),
                'i' => LengthWriter::difference($diameter / 2),
            ])],
            'notes' => $diameter < 0
                ? [Note::stop('too-far', 'It goes in further than wanted already: nothing that is taken off brings it back.')]
                : [],
            'working' => [
                new WorkingStep(
                    'To go in by the difference',
                    'gap × tan α per side, twice that on the diameter',
                    LengthWriter::difference($diameter),
                    'definition of a taper',
                ),
            ],
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Taper\StandardTaper;

final class TaperSum implements Sum
{
    public function name(): string
    {
        return 'taper';
    }

    public function says(): string
    {
        return 'A taper said every way there is, and which standard one it is.';
    }

    public function example(): array
    {
        return ['large_mm' => 17.78, 'small_mm' => 14.534, 'length_mm' => 65.0, 'travel_mm' => 25.0];
    }

    public function takes(): array
    {
        return ['included_deg', 'per_foot_in', 'ratio', 'large_mm', 'small_mm', 'length_mm', 'travel_mm'];
    }

    public function run(Fields $in): array
    {
        $taper = TaperInput::read($in);
        $travel = $in->numberOrNull('travel_mm');
        $indicator = $travel === null ? null : $taper->alongSlideMm($travel);

        return [
            'included_deg' => $taper->includedDeg(),
            'half_deg' => $taper->halfDeg,
            'per_foot_in' => $taper->perFootIn(),
            'ratio' => $taper->ratio(),
            'large_mm' => $taper->largeMm,
            'small_mm' => $taper->smallMm,
            'length_mm' => $taper->lengthMm,
            'indicator_mm' => $indicator,
            'standard' => array_map(
                static fn (StandardTaper $s): array => [
                    'name' => $s->name,
                    'difference_per_foot_in' => $s->differencePerFootIn,
                ],
                StandardTaper::near($taper),
            ),
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Half angle',
                    'tan α = half of what the diameter changes by over the length',
                    Say::plain(
                        number_format($taper->halfDeg, 4).'°; one in '.number_format($taper->ratio(), 3).'; '
                            .number_format($taper->perFootIn(), 5).' in per foot',
                    ),
                    'definition of a taper',
                ),
                ...$indicator === null
                    ? []
                    : [
                        new WorkingStep(
                            'Indicator',
                            'travel along the slide × sin α',
                            LengthWriter::difference($indicator),
                            'common practice',
                        ),
                    ],
            ],
        ];
    }
}

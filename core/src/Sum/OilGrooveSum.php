<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Groove\OilGroove;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class OilGrooveSum implements Sum
{
    public function name(): string
    {
        return 'oil-groove';
    }

    public function says(): string
    {
        return 'A groove that spreads oil in a plain bearing: how wide, deep and long, and where it lies clear of the load.';
    }

    public function example(): array
    {
        return ['bore_mm' => 40.0, 'length_mm' => 60.0, 'wall_mm' => 5.0, 'both_ways' => false];
    }

    public function takes(): array
    {
        return ['bore_mm', 'length_mm', 'wall_mm', 'both_ways'];
    }

    public function run(Fields $in): array
    {
        $both = $in->flagOrNull('both_ways') ?? false;
        $groove = new OilGroove($in->number('bore_mm'), $in->number('length_mm'), $in->numberOrNull('wall_mm'), $both);

        return [
            'wide_mm' => $groove->wideMm,
            'deep_mm' => $groove->deepMm,
            'long_mm' => $groove->longMm,
            'land_mm' => $groove->landMm,
            'hole_mm' => $groove->holeMm,
            'from_load_deg' => $groove->fromLoadDeg,
            'notes' => [
                Note::info('clear-of-load', $both
                    ? 'It lies opposite the load, as the shaft turns both ways.'
                    : 'It lies before the load as the shaft comes round, so that the oil is carried in; never where the load presses.'),
                Note::caution('edges', 'Round its edges into the bore: a sharp edge scrapes the oil off. It stops short of both ends, or the oil runs out.'),
            ],
            'working' => [
                new WorkingStep('Groove', '0.12 of the bore wide, 0.03 deep, at most 0.4 of the wall; 0.12 of the length left at either end', LengthWriter::size($groove->wideMm), 'common practice, no source'),
            ],
        ];
    }
}

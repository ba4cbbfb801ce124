<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Measure\BoreLine;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class BoreLineSum implements Sum
{
    public function name(): string
    {
        return 'bore-line';
    }

    public function says(): string
    {
        return 'Whether two bores lie on one line, from a bar swept at two places, and the shim that turns them true.';
    }

    public function example(): array
    {
        return [
            'distance_mm' => 400,
            'a_mm' => 0.02,
            'b_mm' => 0.1,
            'turned_a_mm' => 0.0,
            'turned_b_mm' => 0.08,
            'feet_mm' => 250,
            'bar_mm' => 30,
        ];
    }

    public function takes(): array
    {
        return ['distance_mm', 'a_mm', 'b_mm', 'turned_a_mm', 'turned_b_mm', 'feet_mm', 'bar_mm'];
    }

    public function run(Fields $in): array
    {
        $distance = $in->number('distance_mm');
        $line = BoreLine::plane(
            distanceMm: $distance,
            aMm: $in->number('a_mm'),
            bMm: $in->number('b_mm'),
            turnedAMm: $in->numberOrNull('turned_a_mm'),
            turnedBMm: $in->numberOrNull('turned_b_mm'),
            feetMm: $in->numberOrNull('feet_mm'),
        );
        $bar = $in->numberOrNull('bar_mm');
        $sag = $bar === null ? null : BoreLine::sagMm($bar, $distance);
        $signed = LengthWriter::signedDifference(...);

        return [
            'off_a_mm' => $line->offMm[0],
            'off_b_mm' => $line->offMm[1],
            'tilt' => $line->tilt,
            'shim_mm' => $line->shimMm,
            'bar_out_mm' => $line->barOutMm,
            'sag_mm' => $sag,
            'says' => Say::with('Off by {a} at the first place and {b} at the second: {t} mm in a metre.', [
                'a' => $signed($line->offMm[0]),
                'b' => $signed($line->offMm[1]),
                't' => number_format(abs($line->tilt) * 1000, 3),
            ]),
            'shim_says' => $line->shimMm === null
                    ? null
                    : Say::with('Shim {s} under the {which} foot.', [
                        's' => LengthWriter::difference($line->shimMm),
                        'which' => $line->shimMm > 0 ? 'first' : 'second',
                    ]),
            'sag_says' => $sag === null
                    ? null
                    : Say::with('The bar itself hangs through by {s}: up and down, take that into account.', [
                        's' => LengthWriter::difference($sag),
                    ]),
            'notes' => $line->notes(),
            'working' => $line->working(),
        ];
    }
}

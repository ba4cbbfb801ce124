<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shaft\BentShaft;

final class BendSum implements Sum
{
    public function name(): string
    {
        return 'bend';
    }

    public function says(): string
    {
        return 'Where a shaft is bent, by how much and which way, by what an indicator reads along it.';
    }

    public function example(): array
    {
        return [
            'stations' => [['at_mm' => 0.0, 'tir_mm' => 0.0, 'high_deg' => 0.0], ['at_mm' => 100.0, 'tir_mm' => 0.0, 'high_deg' => 0.0], ['at_mm' => 200.0, 'tir_mm' => 0.4, 'high_deg' => 30.0], ['at_mm' => 300.0, 'tir_mm' => 0.8, 'high_deg' => 30.0]],
        ];
    }

    public function takes(): array
    {
        return ['stations', 'limit_mm'];
    }

    public function run(Fields $in): array
    {
        $stations = array_map(static function (Fields $s): array {
            $s->only(['at_mm', 'tir_mm', 'high_deg']);

            return ['at' => $s->number('at_mm'), 'tir' => $s->number('tir_mm'), 'high' => $s->number('high_deg')];
        }, $in->objects('stations'));
        $limit = $in->numberOrNull('limit_mm');
        if ($limit !== null && ! ($limit > 0)) {
            throw $in->bad('limit_mm', 'must be above zero, or left empty.');
        }
        $bend = BentShaft::of($stations);

        return [
            'kink_at_mm' => $bend->kinkAtMm,
            'angle_deg' => $bend->angleDeg,
            'plane_deg' => $bend->planeDeg < 0 ? $bend->planeDeg + 360 : $bend->planeDeg,
            'bow_mm' => $bend->bowMm,
            'straight_enough' => $limit === null ? null : $bend->bowMm <= $limit,
            'notes' => [
                ...$limit === null ? [] : [
                    $bend->bowMm <= $limit
                        ? Note::info('straight', Say::with('Straight enough: stop. Every further press risks more than it mends.', []))
                        : Note::caution('bent', Say::with('Still bowed by {b}, {l} is allowed.', [
                            'b' => LengthWriter::sizeInWords($bend->bowMm),
                            'l' => LengthWriter::sizeInWords($limit),
                        ])),
                ],
                Note::caution('bend', 'Never cold-bend a hardened or cast shaft. Look for cracks after, and read it again after a rest.'),
                ...count($stations) === 3 ? [Note::info('three-stations', 'With three stations the bend is taken to lie at the middle one: read more to find it.')] : [],
            ],
            'working' => [
                new WorkingStep('Bend', 'centre line = reading/2 toward the high spot; two lines that meet, least squares', LengthWriter::size($bend->bowMm), 'least squares'),
            ],
        ];
    }
}

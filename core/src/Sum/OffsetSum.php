<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Offset\Eccentric;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class OffsetSum implements Sum
{
    public function name(): string
    {
        return 'offset';
    }

    public function says(): string
    {
        return 'An offset from two differences at right angles, and how it is set in four jaws or three.';
    }

    public function example(): array
    {
        return ['a_mm' => 3.0, 'b_mm' => 4.0, 'bar_diameter_mm' => 40.0];
    }

    public function takes(): array
    {
        return ['a_mm', 'b_mm', 'bar_diameter_mm', 'bore_mm', 'boss_mm', 'turned_deg', 'tried_a_mm', 'tried_b_mm'];
    }

    public function run(Fields $in): array
    {
        $of = new Eccentric($in->number('a_mm'), $in->number('b_mm'));
        $bar = $in->numberOrNull('bar_diameter_mm');
        $bore = $in->numberOrNull('bore_mm');
        $boss = $in->numberOrNull('boss_mm');
        $turned = $in->numberOrNull('turned_deg');
        $wall = $bar === null || $bore === null ? null : $of->wallMm($bar, $bore);
        $left = $in->has('tried_a_mm') || $in->has('tried_b_mm')
            ? $of->leftAfter($in->numberOrNull('tried_a_mm') ?? 0.0, $in->numberOrNull('tried_b_mm') ?? 0.0)
            : null;

        return [
            'offset_mm' => $of->offsetMm,
            'direction_deg' => $of->directionDeg,
            'four_jaw_swing_mm' => $of->swingMm(),
            'packing_mm' => $bar === null ? null : $of->packingMm($bar),
            'wall_mm' => $wall,
            'stock_mm' => $boss === null || $bar === null ? null : $of->stockMm($bar, $boss),
            'sideways_mm' => $turned === null ? null : $of->sidewaysMm($turned),
            'left_mm' => $left?->offsetMm,
            'left_deg' => $left === null ? null : fmod($left->directionDeg + 360, 360),
            'notes' => [
                ...self::wall($wall, $bar),
                ...$left === null ? [] : [
                    Note::info('jaws', Say::with('Still {d} to go toward '.round(fmod($left->directionDeg + 360, 360)).'°: slack the jaw there, push with the one opposite, and read again.', [
                        'd' => LengthWriter::difference($left->offsetMm),
                    ])),
                ],
                Note::info('mark', 'Mark which way it is off on the face, before it leaves the chuck.'),
                Note::info('movements', 'Both are movements of the centre. Read on opposite sides of a bore they come out double: halve them.'),
                ...$bar === null ? [] : [Note::info('narrow-jaws', 'The packing is for narrow jaws that grip outside; under wide flat ones it is one and a half times the offset.')],
            ],
            'working' => [
                new WorkingStep('Offset', '√(a² + b²), toward atan2(b, a); the indicator swings by twice that', LengthWriter::size($of->offsetMm), 'geometry'),
            ],
        ];
    }

    /** @return list<Note> */
    private static function wall(?float $wall, ?float $outside): array
    {
        return match (true) {
            $wall === null => [],
            $wall <= 0 => [Note::stop('breaks-out', Say::with('The bore breaks out of the thin side by {w}: a larger outside, a smaller bearing, or less offset.', [
                'w' => LengthWriter::difference(-$wall),
            ]))],
            $wall < 0.06 * (float) $outside => [Note::caution('thin-side', Say::with('Only {w} is left on the thin side: no screw hole and no press fit there.', [
                'w' => LengthWriter::difference($wall),
            ]))],
            default => [],
        };
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Joint\Shrink;
use Oldpart\Core\Quantity\Fields;

final class ShrinkSum implements Sum
{
    public function name(): string
    {
        return 'shrink';
    }

    public function says(): string
    {
        return 'How hot the outer part, or how cold the inner one, for an interference fit to drop together.';
    }

    public function example(): array
    {
        return [
            'd_mm' => 60,
            'interference_max_mm' => 0.06,
            'inner' => ['name' => 'medium-carbon steel, normalised'],
            'outer' => ['name' => 'medium-carbon steel, normalised'],
            'room_c' => 20,
        ];
    }

    public function takes(): array
    {
        return ['d_mm', 'interference_max_mm', 'inner', 'outer', 'room_c', 'clearance_mm'];
    }

    public function run(Fields $in): array
    {
        $shrink = Shrink::of(
            diameterMm: $in->number('d_mm'),
            interferenceMaxMm: $in->number('interference_max_mm'),
            inner: MaterialInput::read($in, 'inner', ['alpha_per_k']),
            outer: MaterialInput::read($in, 'outer', ['alpha_per_k']),
            roomC: $in->number('room_c'),
            clearanceMm: $in->numberOrNull('clearance_mm'),
        );

        return [
            'heat_outer_to_c' => $shrink->heatOuterToC,
            'chill_inner_to_c' => $shrink->chillInnerToC,
            'heat_allowed' => $shrink->heatAllowed,
            'chill_possible' => $shrink->chillInnerToC !== null,
            'clearance_mm' => $shrink->clearanceMm,
            'cold' => $shrink->cold,
            'notes' => $shrink->notes,
            'working' => $shrink->working,
        ];
    }
}

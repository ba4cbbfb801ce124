<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Joint\Roughness;
use Oldpart\Core\Quantity\Fields;

final class PressSum implements Sum
{
    public function name(): string
    {
        return 'press';
    }

    public function says(): string
    {
        return 'Pressure, stress, closing, growth, press force and holding of a press fit over its whole range.';
    }

    public function example(): array
    {
        return [
            'd_mm' => 28.567,
            'inner_bore_mm' => 22.25,
            'outer_od_mm' => 54.0,
            'length_mm' => 38.0,
            'interference_mm' => ['min' => 0.01, 'max' => 0.033],
            'inner' => ['name' => 'leaded tin bronze (bearing)'],
            'outer' => ['name' => 'grey cast iron, ordinary'],
        ];
    }

    public function takes(): array
    {
        return [
            'd_mm',
            'inner_bore_mm',
            'outer_od_mm',
            'length_mm',
            'interference_mm',
            'inner',
            'outer',
            'friction',
            'rz_inner_um',
            'rz_outer_um',
            'finish_inner',
            'finish_outer',
            'runs_at_c',
        ];
    }

    public function run(Fields $in): array
    {
        $friction = $in->object('friction')?->only(['low', 'high']);

        return Press::of(
            new PressFit(
                diameterMm: $in->number('d_mm'),
                innerBoreMm: $in->number('inner_bore_mm'),
                outerOdMm: $in->number('outer_od_mm'),
                lengthMm: $in->number('length_mm'),
                interferenceMm: $in->range('interference_mm'),
                inner: MaterialInput::read($in, 'inner', ['e_gpa', 'nu']),
                outer: MaterialInput::read($in, 'outer', ['e_gpa', 'nu']),
                friction: $friction === null
                    ? null
                    : new Friction($friction->number('low'), $friction->number('high'), 'as given'),
                roughInner: self::roughness($in, 'inner'),
                roughOuter: self::roughness($in, 'outer'),
                runsAtC: $in->numberOrNull('runs_at_c') ?? 20.0,
            ),
        )->jsonSerialize();
    }

    /** As measured, or by its finish; null where neither is given. */
    private static function roughness(Fields $in, string $side): ?Roughness
    {
        $rz = $in->numberOrNull("rz_{$side}_um");
        $finish = $in->textOrNull("finish_{$side}");

        return $rz !== null
            ? Roughness::measured($rz, "rz_{$side}_um")
            : ($finish === null
                ? null
                : Roughness::of($finish, field: "finish_{$side}"));
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Catalogue\Bearing;
use Oldpart\Core\Catalogue\Bearings;
use Oldpart\Core\Fit\BearingDuty;
use Oldpart\Core\Fit\BearingSeat;
use Oldpart\Core\Fit\BearingTable;
use Oldpart\Core\Fit\Limits;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Range;

final class BearingSeatSum implements Sum
{
    public function name(): string
    {
        return 'bearing-seat';
    }

    public function says(): string
    {
        return 'The seats of a rolling bearing by what turns and how heavy the load is, and what they do to its clearance.';
    }

    public function example(): array
    {
        return ['designation' => '6205', 'turning' => 'inner', 'load' => 'normal'];
    }

    public function takes(): array
    {
        return [
            'designation',
            'bore_mm',
            'outer_mm',
            'width_mm',
            'turning',
            'load',
            'housing',
            'shaft_material',
            'housing_material',
            'shaft_bore_mm',
            'inner_warmer_k',
        ];
    }

    public function run(Fields $in): array
    {
        $seat = BearingSeat::of(
            self::bearing($in),
            new BearingDuty(
                turning: self::oneOf($in, 'turning', ['inner', 'outer']),
                load: self::oneOf($in, 'load', ['light', 'normal', 'heavy']),
                housing: $in->has('housing') ? self::oneOf($in, 'housing', ['solid', 'split', 'thin']) : 'solid',
                shaft: $in->has('shaft_material') ? MaterialInput::read($in, 'shaft_material', ['e_gpa', 'nu']) : null,
                housingMaterial: $in->has('housing_material')
                    ? MaterialInput::read($in, 'housing_material', ['e_gpa', 'nu'])
                    : null,
                shaftBoreMm: $in->numberOrNull('shaft_bore_mm') ?? 0.0,
                innerWarmerK: $in->numberOrNull('inner_warmer_k') ?? 0.0,
            ),
        );
        $um = static fn (Limits $l): array => [
            'upper_um' => round($l->upperMm * 1000, 3),
            'lower_um' => round($l->lowerMm * 1000, 3),
        ];
        $range = static fn (?Range $r): ?array => $r === null
            ? null
            : ['min' => $r->min * 1000, 'max' => $r->max * 1000];
        $normal = BearingTable::clearance($seat->bearing);

        return [
            'bearing' => $seat->bearing,
            'shaft_class' => $seat->shaftClass,
            'housing_class' => $seat->housingClass,
            'shaft_um' => $um($seat->shaft),
            'housing_um' => $um($seat->housing),
            'on_shaft_clearance_um' => $range($seat->onShaftMm),
            'in_housing_clearance_um' => $range($seat->inHousingMm),
            'clearance_loss_um' => $range($seat->lossMm),
            'warm_loss_um' => $seat->warmLossMm * 1000,
            'normal_clearance_um' => $range($normal),
            'clearance_left_um' => $range($seat->left),
            'take_group' => $seat->group,
            'shoulder' => BearingTable::shoulder($seat->bearing),
            'notes' => $seat->notes,
            'working' => $seat->working,
        ];
    }

    private static function bearing(Fields $in): Bearing
    {
        $designation = $in->textOrNull('designation');
        if ($designation !== null) {
            return Bearings::named($designation);
        }
        [$bore, $outside, $width] = [$in->number('bore_mm'), $in->number('outer_mm'), $in->number('width_mm')];
        if ($bore <= 0 || $outside <= $bore || $width <= 0) {
            throw $in->bad(
                $outside <= $bore ? 'outer_mm' : ($bore <= 0 ? 'bore_mm' : 'width_mm'),
                'must be above zero, and the outside larger than the bore.',
            );
        }
        foreach (Bearings::all() as $known) {
            if (
                abs($known->boreMm - $bore) < 0.02
                && abs($known->outsideMm - $outside) < 0.02
                && abs($known->widthMm - $width) < 0.02
            ) {
                return $known;
            }
        }

        return new Bearing('as given', 'as given', $bore, $outside, $width);
    }

    /**
     * @template T of string
     *
     * @param  list<T>  $choices
     * @return T
     */
    private static function oneOf(Fields $in, string $name, array $choices): string
    {
        $text = $in->text($name);
        foreach ($choices as $choice) {
            if ($choice === $text) {
                return $choice;
            }
        }
        throw $in->bad($name, 'must be one of: '.implode(', ', $choices).'.');
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Quantity\Fields;

/** A material of a sum: one of the table by its name, or its properties given outright. */
final class MaterialInput
{
    private const KEYS = [
        'name',
        'e_gpa',
        'nu',
        'alpha_per_k',
        'yield_mpa',
        'tensile_mpa',
        'brittle',
        'density_kg_m3',
        'specific_heat_j_kgk',
        'heat_to_c',
    ];

    /** @param  list<string>  $needed  the properties that must be there when it is given outright */
    public static function read(Fields $in, string $which, array $needed): Material
    {
        $f = ($in->object($which) ?? throw $in->bad($which, 'is missing.'))->only(self::KEYS);
        $name = $f->textOrNull('name');
        if ($name !== null && array_filter(array_diff(self::KEYS, ['name']), $f->has(...)) === []) {
            return Material::named($name, "{$which}.name");
        }
        foreach ($needed as $key) {
            $f->number($key);
        }

        return new Material(
            name: $name ?? 'as given',
            family: 'unlisted',
            eGpa: $f->numberOrNull('e_gpa') ?? 0.0,
            nu: $f->numberOrNull('nu'),
            alphaPerK: $f->numberOrNull('alpha_per_k'),
            yieldMpa: $f->numberOrNull('yield_mpa'),
            tensileMpa: $f->numberOrNull('tensile_mpa'),
            brittle: $f->flag('brittle'),
            densityKgM3: $f->numberOrNull('density_kg_m3'),
            specificHeatJKgK: $f->numberOrNull('specific_heat_j_kgk'),
            heatToC: $f->numberOrNull('heat_to_c'),
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

use Oldpart\Core\Advice\BadInput;

/**
 * What a part is made of. E in GPa, expansion per K, density in kg/m³, specific heat in J/kgK, stresses in MPa,
 * temperatures in °C. Null: not known, or it does not apply.
 */
final readonly class Material
{
    public function __construct(
        public string $name,
        public string $family,
        public float $eGpa,
        public ?float $nu,
        public ?float $alphaPerK,
        public ?float $yieldMpa,
        public ?float $tensileMpa,
        public bool $brittle,
        public ?float $densityKgM3 = null,
        public ?float $specificHeatJKgK = null,
        public ?float $heatToC = null,
        public string $remark = '',
        public string $weld = 'ask',
        public string $machine = 'ask',
        public ?float $conductivityWmK = null,
        /** It is or may be a casting: hard spots and blow-holes. */
        public bool $cast = false,
        /** What it is was not found out. */
        public bool $guessed = false,
        /** Sintered: its bore is sized on a mandrel, never reamed. */
        public bool $porous = false,
        /** The table of hardness scales is for it. */
        public bool $hardnessConverts = false,
    ) {
    }

    /**
     * A material from the table, by its name.
     *
     * @throws BadInput when the table has no such material
     */
    public static function named(string $name, string $field = 'material'): self
    {
        return self::byName()[$name] ?? throw new BadInput(
            'unknown-material',
            $field,
            "“{$name}” is not in the material table. Choose one from the table, or give its properties.",
        );
    }

    /** @return list<Material> */
    public static function all(): array
    {
        return array_values(self::byName());
    }

    /** @return array<string, self> */
    private static function byName(): array
    {
        return Table::once(self::class, static fn (): array => array_column(
            array_map(self::fromRow(...), Table::rows('materials')),
            null,
            'name',
        ));
    }

    /** @param  array<string, mixed>  $row */
    private static function fromRow(array $row): self
    {
        $number = static fn (string $key): ?float => is_numeric($row[$key] ?? null) ? (float) $row[$key] : null;
        $text = static fn (string $key): string => is_string($row[$key] ?? null) ? $row[$key] : '';

        $flag = static fn (string $key): bool => ($row[$key] ?? false) === true;

        return new self(
            name: $text('name'),
            family: $text('family'),
            eGpa: $number('e_gpa') ?? 0.0,
            nu: $number('nu'),
            alphaPerK: $number('alpha_per_k'),
            yieldMpa: $number('yield_mpa'),
            tensileMpa: $number('tensile_mpa'),
            brittle: $flag('brittle'),
            densityKgM3: $number('density_kg_m3'),
            specificHeatJKgK: $number('specific_heat_j_kgk'),
            heatToC: $number('heat_to_c'),
            remark: $text('remark'),
            weld: $text('weld') === '' ? 'ask' : $text('weld'),
            machine: $text('machine') === '' ? 'ask' : $text('machine'),
            conductivityWmK: $number('conductivity_w_mk'),
            cast: $flag('cast'),
            guessed: $flag('guessed'),
            porous: $flag('porous'),
            hardnessConverts: $flag('hardness_converts'),
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Quantity\Range;

/**
 * The facts of a press fit: joint diameter, bore of the inner part (0: solid), outside of the outer part, engaged
 * length, all mm; interference on diameter in mm with the measuring uncertainty already in it; roughness Rz in µm.
 */
final readonly class PressFit
{
    public Friction $friction;

    public function __construct(
        public float $diameterMm,
        public float $innerBoreMm,
        public float $outerOdMm,
        public float $lengthMm,
        public Range $interferenceMm,
        public Material $inner,
        public Material $outer,
        ?Friction $friction = null,
        public ?float $rzInnerUm = null,
        public ?float $rzOuterUm = null,
        /** Where the outer part is itself pressed into something. */
        public ?Backing $backing = null,
    ) {
        $this->friction = $friction ?? Friction::between($inner, $outer);
        self::need($diameterMm > 0 && is_finite($diameterMm), 'd_mm', 'The joint diameter must be above zero.');
        self::need($innerBoreMm >= 0 && $innerBoreMm < $diameterMm, 'inner_bore_mm', 'The bore of the inner part must be smaller than the joint diameter (0 when it is solid).');
        self::need($outerOdMm > $diameterMm && is_finite($outerOdMm), 'outer_od_mm', 'The outside of the outer part must be larger than the joint diameter.');
        self::need($lengthMm > 0 && is_finite($lengthMm), 'length_mm', 'The engaged length must be above zero.');
        self::need(($rzInnerUm ?? 0) >= 0 && ($rzOuterUm ?? 0) >= 0, 'rz_inner_um', 'Roughness cannot be below zero.');
        self::need($interferenceMm->max < $diameterMm / 10, 'interference_mm', 'An interference over a tenth of the diameter is no press fit. Check its unit.');
        foreach (['inner' => $inner, 'outer' => $outer] as $which => $material) {
            self::need($material->eGpa > 0, "{$which}.e_gpa", "The {$which} part’s material needs its stiffness E, above zero.");
            self::need($material->nu !== null && $material->nu >= 0 && $material->nu < 0.5, "{$which}.nu", "The {$which} part’s material has no Poisson’s ratio between 0 and 0.5: it can’t be reckoned as a press fit.");
        }
    }

    /** The same joint with its outer part itself pressed into a housing. */
    public function in(float $housingOdMm, Material $housing): self
    {
        return new self(
            $this->diameterMm, $this->innerBoreMm, $this->outerOdMm, $this->lengthMm, $this->interferenceMm, $this->inner, $this->outer, $this->friction, $this->rzInnerUm, $this->rzOuterUm, Backing::of($this, $housingOdMm, $housing),
        );
    }

    public function isHollow(): bool
    {
        return $this->innerBoreMm > 0;
    }

    /** The wall of the inner part, mm; null when solid. */
    public function innerWallMm(): ?float
    {
        return $this->isHollow() ? ($this->diameterMm - $this->innerBoreMm) / 2 : null;
    }

    public function outerWallMm(): float
    {
        return ($this->outerOdMm - $this->diameterMm) / 2;
    }

    private static function need(bool $holds, string $field, string $sentence): void
    {
        if (! $holds) {
            throw new BadInput('out-of-range', $field, $sentence);
        }
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Quantity\Range;

/**
 * The facts of a press fit: joint diameter, bore of the inner part (0: solid), outside of the outer part, engaged
 * length, all mm; interference on diameter in mm with the measuring uncertainty already in it, on the mean of the mate;
 * how rough each side is, by how the mate differs from its mean, and how warm the joint runs.
 */
final readonly class PressFit
{
    public Friction $friction;

    public Roughness $roughInner;

    public Roughness $roughOuter;

    public MateForm $form;

    public function __construct(
        public float $diameterMm,
        public float $innerBoreMm,
        public float $outerOdMm,
        public float $lengthMm,
        public Range $interferenceMm,
        public Material $inner,
        public Material $outer,
        ?Friction $friction = null,
        ?Roughness $roughInner = null,
        ?Roughness $roughOuter = null,
        /** Where the outer part is itself pressed into something. */
        public ?Backing $backing = null,
        ?MateForm $form = null,
        /** How warm both parts run, °C; 20 where nothing is said. */
        public float $runsAtC = 20.0,
    ) {
        $this->roughInner = $roughInner ?? Roughness::none();
        $this->roughOuter = $roughOuter ?? Roughness::none();
        $this->form = $form ?? new MateForm();
        $this->friction = $friction ?? Friction::between($inner, $outer);
        self::need($diameterMm > 0 && is_finite($diameterMm), 'd_mm', 'The joint diameter must be above zero.');
        self::need(
            $innerBoreMm >= 0 && $innerBoreMm < $diameterMm,
            'inner_bore_mm',
            'The bore of the inner part must be smaller than the joint diameter (0 when it is solid).',
        );
        self::need(
            $outerOdMm > $diameterMm && is_finite($outerOdMm),
            'outer_od_mm',
            'The outside of the outer part must be larger than the joint diameter.',
        );
        self::need($lengthMm > 0 && is_finite($lengthMm), 'length_mm', 'The engaged length must be above zero.');
        self::need(
            is_finite($runsAtC) && $runsAtC >= -200 && $runsAtC <= 1000,
            'runs_at_c',
            'It runs between −200 and 1,000 °C. Check the temperature.',
        );
        self::need(
            $interferenceMm->max < $diameterMm / 10,
            'interference_mm',
            'An interference over a tenth of the diameter is no press fit. Check its unit.',
        );
        foreach (['inner' => $inner, 'outer' => $outer] as $which => $material) {
            self::need(
                $material->eGpa > 0,
                "{$which}.e_gpa",
                "The {$which} part’s material needs its stiffness E, above zero.",
            );
            self::need(
                $material->nu !== null && $material->nu >= 0 && $material->nu < 0.5,
                "{$which}.nu",
                "The {$which} part’s material has no Poisson’s ratio between 0 and 0.5: it can’t be reckoned as a press fit.",
            );
        }
    }

    /** The same joint with its outer part itself pressed into a housing. */
    public function in(float $housingOdMm, Material $housing): self
    {
        return $this->with(backing: Backing::of($this, $housingOdMm, $housing));
    }

    /** One stretch of it: as long, with the bore and the outside that stand there. */
    public function stretch(float $lengthMm, float $innerBoreMm, float $outerOdMm): self
    {
        return $this->with($innerBoreMm, $outerOdMm, $lengthMm, null);
    }

    /** The same over another length. */
    public function over(float $lengthMm): self
    {
        return $this->with(null, null, $lengthMm, $this->backing);
    }

    private function with(
        ?float $innerBoreMm = null,
        ?float $outerOdMm = null,
        ?float $lengthMm = null,
        ?Backing $backing = null,
    ): self {
        return new self(
            diameterMm: $this->diameterMm,
            innerBoreMm: $innerBoreMm ?? $this->innerBoreMm,
            outerOdMm: $outerOdMm ?? $this->outerOdMm,
            lengthMm: $lengthMm ?? $this->lengthMm,
            interferenceMm: $this->interferenceMm,
            inner: $this->inner,
            outer: $this->outer,
            friction: $this->friction,
            roughInner: $this->roughInner,
            roughOuter: $this->roughOuter,
            backing: $backing,
            form: $this->form,
            runsAtC: $this->runsAtC,
        );
    }

    /**
     * By how much running warm changes the interference, mm on diameter; null where an expansion is not known. Source:
     * linear expansion.
     */
    public function warmMm(): ?float
    {
        return match (true) {
            abs($this->runsAtC - 20) < 1e-9 => 0.0,
            $this->inner->alphaPerK === null || $this->outer->alphaPerK === null => null,
            default => InUse::interferenceAt(
                diameterMm: $this->diameterMm,
                interferenceMm: 0.0,
                inner: $this->inner,
                outer: $this->outer,
                innerC: $this->runsAtC,
                outerC: $this->runsAtC,
            ),
        };
    }

    /** At the tightest spot, as it has to go in, mm. */
    public function tightestMm(): float
    {
        return $this->interferenceMm->max + $this->form->tighterMm;
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

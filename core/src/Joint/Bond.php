<?php

declare(strict_types=1);

namespace Oldpart\Core\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Quantity\Range;

/** A slip fit held by a retaining compound. Torque N·m, force N. */
final readonly class Bond
{
    /**
     * Shear strength by grade, MPa (test after ISO 10123): the range of retaining compounds; typical, the maker's sheet
     * comes first.
     */
    private const STRENGTH = [12.0, 25.0];

    /** What may be asked of it: a third. Common practice. */
    private const SHARE = 1 / 3;

    /** Above this it keeps half, °C; common practice. */
    private const HOT_C = 120.0;

    /** Most compounds stand no more than this for long, °C; common practice, the maker's sheet comes first. */
    private const GONE_C = 150.0;

    /** The notes on heat, by their codes. */
    public const HEAT_NOTES = ['bond-too-hot', 'bond-hot'];

    /** Best gap on diameter, mm. Makers' common range. */
    private const GAP = [0.02, 0.1];

    /** @param  list<Note>  $notes */
    private function __construct(public Range $holdAxialN, public Range $holdTorqueNm, public array $notes)
    {
    }

    /**
     * F = τ/3 · π d L, T = F d/2, over the range of grades; half when it gets hot.
     *
     * @param  float  $diameterMm  above 0
     * @param  float  $lengthMm  above 0
     * @param  Range  $gapMm  on diameter
     * @param  float  $hottestC  in use
     *
     * Source: ISO 10123 for the strength; a third of it, and the gap, common practice.
     *
     * @throws BadInput for sizes not above 0
     */
    public static function of(float $diameterMm, float $lengthMm, Range $gapMm, float $hottestC = 20.0): self
    {
        foreach (['d_mm' => $diameterMm, 'length_mm' => $lengthMm] as $field => $mm) {
            if (! is_finite($mm) || $mm <= 0) {
                throw new BadInput('out-of-range', $field, 'A bonded joint has a diameter and a length above zero.');
            }
        }
        $area = M_PI * $diameterMm * $lengthMm;
        $keeps = $hottestC >= self::HOT_C ? 0.5 : 1.0;
        $axial = new Range(
            self::STRENGTH[0] * self::SHARE * $keeps * $area,
            self::STRENGTH[1] * self::SHARE * $keeps * $area,
        );
        $notes = [];
        if ($hottestC > self::GONE_C) {
            $notes[] = Note::stop(
                'bond-too-hot',
                'At '.
                    number_format($hottestC).
                    ' °C a usual compound lets go: most stand 150 °C. Hold it another way, or take one sold for that heat and go by its sheet.',
            );
        } elseif ($hottestC >= self::HOT_C) {
            $notes[] = Note::caution(
                'bond-hot',
                'Above 120 °C a compound keeps half of its strength or less: it should not be all that holds.',
            );
        }
        if ($gapMm->min < self::GAP[0] - 1e-9 || $gapMm->max > self::GAP[1] + 1e-9) {
            $notes[] = Note::caution(
                'bond-gap',
                'The film is best 0.02 to 0.10 mm on diameter: thinner is wiped off, thicker cures slowly and holds less.',
            );
        }
        $notes[] = Note::info(
            'bond-clean',
            'Clean, degrease, let it cure as its sheet says; a passive metal wants a primer. It lets go with heat, and its fumes are not to be breathed.',
        );

        return new self($axial, $axial->times($diameterMm / 2000), $notes);
    }
}

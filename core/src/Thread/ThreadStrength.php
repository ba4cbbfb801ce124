<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

use Oldpart\Core\Advice\BadInput;

/**
 * What gives first in a screwed joint: the screw across, its thread, or the nut's; 60°, basic sizes, mm², N. Shear
 * areas π D1 L · 0.75 and π d L · 0.875, shear strength 0.6 of tensile: common practice; tensile area ISO 898-1.
 */
final readonly class ThreadStrength
{
    private const SHEAR = 0.6;

    public float $tensileMm2;

    public float $screwShearMm2;

    public float $nutShearMm2;

    public float $loadN;

    /** @var 'screw breaks'|'screw strips'|'nut strips' */
    public string $failsFirst;

    /** @throws BadInput for a thread, a length or a strength that is none */
    public function __construct(
        float $majorMm,
        float $pitchMm,
        float $lengthMm,
        float $screwTensileMpa,
        float $nutTensileMpa,
    ) {
        TapDrill::of($majorMm, $pitchMm, ThreadForm::Sixty);
        if (! ($lengthMm > 0)) {
            throw new BadInput('length', 'length_mm', 'The engaged length must be above zero.');
        }
        foreach (['screw_tensile_mpa' => $screwTensileMpa, 'nut_tensile_mpa' => $nutTensileMpa] as $field => $mpa) {
            if (! ($mpa > 0)) {
                throw new BadInput('strength', $field, 'A strength must be above zero.');
            }
        }
        $this->tensileMm2 = (M_PI / 4) * ($majorMm - 0.9382 * $pitchMm) ** 2;
        $this->screwShearMm2 = M_PI * ($majorMm - 1.082532 * $pitchMm) * $lengthMm * 0.75;
        $this->nutShearMm2 = M_PI * $majorMm * $lengthMm * 0.875;
        $loads = [
            'screw breaks' => $this->tensileMm2 * $screwTensileMpa,
            'screw strips' => $this->screwShearMm2 * self::SHEAR * $screwTensileMpa,
            'nut strips' => $this->nutShearMm2 * self::SHEAR * $nutTensileMpa,
        ];
        asort($loads);
        $this->failsFirst = array_key_first($loads);
        $this->loadN = min($loads);
    }
}

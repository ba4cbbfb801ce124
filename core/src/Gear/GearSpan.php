<?php

declare(strict_types=1);

namespace Oldpart\Core\Gear;

use Oldpart\Core\Advice\BadInput;

/**
 * What a calliper or a disc micrometer reads over several teeth of a spur gear without profile shift, mm. Source:
 * involute geometry, W = m cos α [π (k − ½) + z (tan α − α)]; DIN 3960 for how many teeth.
 */
final readonly class GearSpan
{
    private function __construct(public int $teethSpanned, public float $spanMm)
    {
    }

    /**
     * @param  float  $moduleMm  above 0
     * @param  int  $teeth  5 to 1000
     * @param  float  $pressureDeg  10 to 35
     * @param  ?int  $over  so many teeth; null: as many as bring the jaws to the middle of the flanks
     *
     * @throws BadInput for a gear that is none
     */
    public static function of(float $moduleMm, int $teeth, float $pressureDeg, ?int $over = null): self
    {
        if (! ($moduleMm > 0)) {
            throw new BadInput('module', 'module_mm', 'The module must be above zero.');
        }
        if ($teeth < 5 || $teeth > 1000) {
            throw new BadInput('teeth', 'teeth', 'A gear has from 5 to 1000 teeth. Count them again.');
        }
        if (! ($pressureDeg >= 10 && $pressureDeg <= 35)) {
            throw new BadInput(
                'pressure',
                'pressure_deg',
                'The pressure angle is from 10° to 35°: 20° for most, 14½° for many old ones.',
            );
        }
        $over ??= max(2, (int) round(($teeth * $pressureDeg) / 180 + 0.5));
        if ($over < 1 || $over >= $teeth) {
            throw new BadInput('span-teeth', 'span_teeth', 'Over how many teeth: one at least, and not all of them.');
        }
        $a = deg2rad($pressureDeg);

        return new self($over, $moduleMm * cos($a) * (M_PI * ($over - 0.5) + $teeth * (tan($a) - $a)));
    }
}

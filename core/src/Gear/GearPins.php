<?php

declare(strict_types=1);

namespace Oldpart\Core\Gear;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * What a spur gear without profile shift reads over two pins in opposite gaps, mm; with an odd number of teeth the pins
 * lie half a tooth off the diameter. Source: involute geometry, inv φ = d / (m z cos α) + inv α − π / (2 z); DIN 3960.
 */
final readonly class GearPins
{
    /** Of the module, for an outside gear: makes the pin touch near the pitch circle and stand out. Common practice. */
    private const USUAL = 1.728;

    private function __construct(public float $pinMm, public float $overPinsMm)
    {
    }

    /** A pin that suits: 1.728 of the module; for teeth by the inch as it is sold, else to a tenth of a millimetre. */
    public static function usualMm(float $moduleMm): float
    {
        $pitch = 2 * 25.4 / $moduleMm;

        return abs($pitch - round($pitch)) < 1e-6
            ? self::USUAL * $moduleMm
            : max(0.1, round(self::USUAL * $moduleMm, 1));
    }

    /**
     * Over pins that suit; null where no pin rests well, on few teeth of a great angle.
     *
     * @throws BadInput for a gear that is none
     */
    public static function usual(float $moduleMm, int $teeth, float $pressureDeg): ?self
    {
        GearSpan::of($moduleMm, $teeth, $pressureDeg);
        try {
            return self::of($moduleMm, $teeth, $pressureDeg, self::usualMm($moduleMm));
        } catch (BadInput) {
            return null;
        }
    }

    /**
     * @param  float  $moduleMm  above 0
     * @param  int  $teeth  5 to 1000
     * @param  float  $pressureDeg  10 to 35
     * @param  float  $pinMm  a pin that lies on both flanks
     *
     * @throws BadInput for a gear that is none, and for a pin that lies on the bottom, on the tips or below them
     */
    public static function of(float $moduleMm, int $teeth, float $pressureDeg, float $pinMm): self
    {
        GearSpan::of($moduleMm, $teeth, $pressureDeg);
        $a = deg2rad($pressureDeg);
        $base = $moduleMm * $teeth * cos($a);
        $involute = $pinMm / $base + tan($a) - $a - M_PI / (2 * $teeth);
        if (! ($pinMm > 0) || $involute <= 0) {
            throw self::pin($moduleMm, 'small');
        }
        if ($involute > 4) {
            throw self::pin($moduleMm, 'large');
        }
        $phi = self::angle($involute);
        $middle = $base / cos($phi);
        // Along the flank's normal, from the base circle to where the pin touches.
        $touches = $base * tan($phi) / 2 - $pinMm / 2;
        $tip = sqrt(($moduleMm * ($teeth + 2)) ** 2 - $base ** 2) / 2;
        if ($touches <= 0 || $middle + $pinMm <= $moduleMm * ($teeth + 2)) {
            throw self::pin($moduleMm, 'small');
        }
        if ($touches >= $tip) {
            throw self::pin($moduleMm, 'large');
        }

        return new self($pinMm, $middle * ($teeth % 2 === 0 ? 1.0 : cos(M_PI / (2 * $teeth))) + $pinMm);
    }

    /** The angle whose involute tan φ − φ is given, by Newton's rule. */
    private static function angle(float $involute): float
    {
        $phi = min(1.4, (3 * $involute) ** (1 / 3));
        for ($i = 0; $i < 30; $i++) {
            $phi -= (tan($phi) - $phi - $involute) / tan($phi) ** 2;
        }

        return $phi;
    }

    private static function pin(float $moduleMm, string $is): BadInput
    {
        $usual = LengthWriter::size(self::usualMm($moduleMm));

        return new BadInput(
            'pin',
            'pin_mm',
            "The pin is too {$is} to rest on the flanks of two teeth. About {$usual->mm} mm ({$usual->in} in) suits.",
        );
    }
}

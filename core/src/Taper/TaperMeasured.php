<?php

declare(strict_types=1);

namespace Oldpart\Core\Taper;

use Oldpart\Core\Advice\BadInput;

/** A taper from what one reads of it with balls, or with rollers and blocks; mm and degrees. */
final readonly class TaperMeasured
{
    private function __construct(public float $halfDeg, public float $diameterMm)
    {
    }

    /**
     * An inside taper with a large and a small ball dropped in: sin of the half angle is the difference of the radii
     * over the distance of the centres; the mouth follows from where the large one touches. Source: geometry of
     * tangents.
     *
     * @param  float  $largeMm  diameter of the large ball, above the small one
     * @param  float  $smallMm  above 0
     * @param  float  $depthLargeMm  from the face down to the top of the ball, below 0 where it stands proud
     * @return self with the diameter at the mouth
     *
     * @throws BadInput where the two balls can't both sit in one taper
     */
    public static function byBalls(float $largeMm, float $smallMm, float $depthLargeMm, float $depthSmallMm): self
    {
        if (! ($smallMm > 0) || ! ($largeMm > $smallMm)) {
            throw new BadInput('balls', 'large_mm', 'It takes two balls, the large one above the small one.');
        }
        $apart = ($largeMm - $smallMm) / 2;
        $centres = $depthSmallMm + $smallMm / 2 - $depthLargeMm - $largeMm / 2;
        if (! ($centres > $apart)) {
            throw new BadInput(
                'depths',
                'depth_small_mm',
                'Read so, the two balls do not both sit in a taper: the small one must lie deeper. Check the two depths.',
            );
        }
        $half = asin($apart / $centres);
        $radius = $largeMm / 2 / cos($half) + ($depthLargeMm + $largeMm / 2) * tan($half);

        return new self(rad2deg($half), 2 * $radius);
    }

    /**
     * An outside taper standing on a plate, read over two equal rollers on the plate and again with the rollers on
     * equal blocks: tan of the half angle is half of what it grew by over the height of the blocks. Below 0: it narrows
     * upward.
     *
     * Source: the roller formula D = M − d (1 + cot((90° − α)/2)), common in metrology handbooks.
     *
     * @param  float  $rollerMm  diameter, above 0
     * @param  float  $blockMm  above 0
     * @return self with the diameter at the plate
     *
     * @throws BadInput for sizes that can't be
     */
    public static function byRollers(float $rollerMm, float $blockMm, float $overLowMm, float $overHighMm): self
    {
        if (! ($rollerMm > 0) || ! ($blockMm > 0)) {
            throw new BadInput('rollers', 'roller_mm', 'The rollers and the blocks must be above zero.');
        }
        $half = atan(($overHighMm - $overLowMm) / (2 * $blockMm));
        $at = $overLowMm - $rollerMm * (1 + tan($half) + 1 / cos($half));
        if (! ($at > 0)) {
            throw new BadInput(
                'rollers',
                'over_low_mm',
                'Over the rollers it must be more than the two rollers take. Check the reading.',
            );
        }

        return new self(rad2deg($half), $at);
    }
}

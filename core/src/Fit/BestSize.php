<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Number\Bisection;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/**
 * The size most likely to work, where no size is sure to: the mate's true size is normal about the found one, its form
 * as it was found. Source: JCGM 106:2012, conformity by probability.
 */
final readonly class BestSize
{
    /** By so much may the chance fall towards the ends of the band. */
    private const FALLS = 0.02;

    private function __construct(
        public float $aimMm,
        public Band $band,
        public float $chance,
        public Range $worksMm,
        public Working $working,
    ) {
    }

    /**
     * @param  bool  $makeShaft  true: the inner part is made to a measured bore
     * @param  float  $matingMm  the mate where it is tightest, mm, above 0; for a press its mean
     * @param  float  $looseMm  the mate where it is loosest; for a press its mean
     * @param  float  $sigmaMm  standard uncertainty of the mate, 0 or more
     * @param  Range  $worksMm  clearance within which the joint works
     * @param  float  $holdsMm  how wide a band the lathe holds, 0 or more
     * @param  float  $makeSigmaMm  standard uncertainty of the gauge that will check the part, 0 or more
     * @return ?self null where the mate's form alone leaves nothing of what works
     *
     * For a shaft of size s: Φ((most − loose + s)/σ) − Φ((least − mating + s)/σ); mirrored for a bore. The chance shown
     * is its mean over the band, or over what the lathe holds where that is wider.
     *
     * @throws BadInput for a size not above 0, an uncertainty below 0
     */
    public static function of(
        bool $makeShaft,
        float $matingMm,
        float $looseMm,
        float $sigmaMm,
        Range $worksMm,
        float $holdsMm,
        float $makeSigmaMm = 0.0,
    ): ?self {
        if (! ($matingMm > 0) || ! ($looseMm > 0)) {
            throw new BadInput('size', 'mate.size_mm', 'The mate needs a size above zero. Measure it first.');
        }
        if (! ($sigmaMm >= 0) || ! ($makeSigmaMm >= 0) || ! ($holdsMm >= 0)) {
            throw new BadInput('u95', 'mate.u95_mm', 'An uncertainty cannot be below zero.');
        }
        $sizes = SizesThatWork::of($makeShaft, $matingMm, $looseMm, $sigmaMm, $worksMm)->checkedTo($makeSigmaMm);

        return self::within($sizes, abs($looseMm - $matingMm), $worksMm, $holdsMm);
    }

    /**
     * @param  SizesThatWork  $sizes  with the doubt of the gauge that will check the part in it
     * @param  float  $formMm  of the mate, which they leave out, for the working
     * @param  float  $holdsMm  how wide a band the lathe holds, 0 or more
     * @return ?self null where the mate's form alone leaves nothing of what works
     */
    public static function within(SizesThatWork $sizes, float $formMm, Range $worksMm, float $holdsMm): ?self
    {
        $aim = $sizes->middleMm();
        $best = $sizes->chanceAt($aim);
        if ($sizes->widthMm() <= 0.0 || $aim <= 0.0) {
            return null;
        }
        $stays = static fn (float $t): bool => $sizes->chanceAt($aim + $t) >= $best - self::FALLS;
        $reach = Bisection::between($stays, 0.0, $sizes->widthMm() / 2 + 9 * $sizes->sigmaMm())[0];
        $reach = min($reach, 0.9 * $aim);
        $over = max($reach, min($holdsMm / 2, 0.9 * $aim));
        $shown = $sizes->chanceOver(new Band($aim - $over, $aim + $over));

        return new self($aim, new Band($aim - $reach, $aim + $reach), $shown, $worksMm, new Working([
            new WorkingStep(
                'Most likely to work',
                'the middle of what works, less the mate’s form; Φ over what is left of it either side',
                Say::with('works {w} wide, form {f}, σ {s}: aim {a}, {n} of 100', [
                    'w' => LengthWriter::difference($worksMm->width()),
                    'f' => LengthWriter::difference($formMm),
                    's' => LengthWriter::difference($sizes->sigmaMm()),
                    'a' => LengthWriter::size($aim),
                    'n' => (string) floor(100 * $shown),
                ]),
                'JCGM 106:2012; what works by common practice, no source',
            ),
        ]));
    }
}

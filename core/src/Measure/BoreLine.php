<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * Two bores against one line: a bar stands in the one, an indicator on it is swept inside the bore at two places, up
 * and down and side to side. Each difference is the whole swing from one side to the opposite one, twice the offset.
 * Turned half round and swept again, what is the bar's own changes its sign and drops out. Lengths mm. Source: plane
 * geometry; common practice of lining up.
 */
final readonly class BoreLine
{
    private const THINNEST_MM = 0.1;

    /** What such a bar is mostly of. Common practice. */
    private const BAR = 'medium-carbon steel, normalised';

    /**
     * @param  array{float, float}  $offMm  of the middle at the first and the second place
     * @param  float  $tilt  change of the offset over the distance
     * @param  ?float  $shimMm  under the foot farther from the first place, to turn the line true; null without feet
     * @param  ?float  $barOutMm  the bar's own run-out, half of its swing; null where it was not turned
     */
    private function __construct(
        public array $offMm,
        public float $tilt,
        public ?float $shimMm,
        public ?float $barOutMm,
    ) {
    }

    /**
     * One plane: the swing (one side less the opposite side) at both places, and again with the bar turned half round.
     *
     * @param  ?float  $turnedAMm  null where the bar was not turned
     * @param  ?float  $feetMm  between the feet that are shimmed
     *
     * @throws BadInput for a distance not above zero, or feet not apart
     */
    public static function plane(
        float $distanceMm,
        float $aMm,
        float $bMm,
        ?float $turnedAMm = null,
        ?float $turnedBMm = null,
        ?float $feetMm = null,
    ): self {
        if (! is_finite($distanceMm) || $distanceMm <= 0) {
            throw new BadInput('out-of-range', 'distance_mm', 'The two places lie apart by more than zero.');
        }
        if ($feetMm !== null && (! is_finite($feetMm) || $feetMm <= 0)) {
            throw new BadInput('out-of-range', 'feet_mm', 'The feet stand apart by more than zero.');
        }
        if (($turnedAMm === null) !== ($turnedBMm === null)) {
            throw new BadInput(
                'half-turned',
                'turned_b_mm',
                'Sweep both places with the bar turned half round, or neither.',
            );
        }
        $off = [self::offset($aMm, $turnedAMm), self::offset($bMm, $turnedBMm)];
        $tilt = ($off[1] - $off[0]) / $distanceMm;

        return new self(
            $off,
            $tilt,
            $feetMm === null ? null : $tilt * $feetMm,
            $turnedAMm === null ? null : max(abs($aMm - $turnedAMm), abs($bMm - (float) $turnedBMm)) / 4,
        );
    }

    /**
     * How much a steel bar hangs through between two supports by its own weight, mm: 5 w L⁴ / (384 E I).
     *
     * Source: beam tables (Shigley, simply supported, uniform load).
     */
    public static function sagMm(float $barMm, float $spanMm): float
    {
        if (
            ! ($barMm >= self::THINNEST_MM)
            || ! is_finite($barMm)
            || ! ($spanMm > 0)
            || $spanMm > LengthReader::LONGEST_MM
        ) {
            throw new BadInput(
                'out-of-range',
                'bar_mm',
                'A bar is at least 0.1 mm thick, and its span above zero and up to 20 m.',
            );
        }
        $steel = Material::named(self::BAR);
        $w = (((float) $steel->densityKgM3 * 1e-9 * 9.81 * M_PI) / 4) * $barMm ** 2;

        return (5 * $w * $spanMm ** 4) / (((384 * $steel->eGpa * 1000 * M_PI) / 64) * $barMm ** 4);
    }

    /** @return list<Note> */
    public function notes(): array
    {
        return $this->barOutMm === null
            ? [
                Note::caution(
                    'bar-not-turned',
                    'Whatever the bar itself is out of true is still in this. Turn it half round and sweep again.',
                ),
            ]
            : [
                Note::info(
                    'bar-out',
                    Say::with('The bar itself is {d} out of true, and that is taken out.', [
                        'd' => LengthWriter::difference($this->barOutMm),
                    ]),
                ),
            ];
    }

    public function working(): Working
    {
        $signed = LengthWriter::signedDifference(...);
        $steps = [
            new WorkingStep(
                'Offset at both places',
                $this->barOutMm === null ? 'swing / 2' : '(swing + swing turned) / 4',
                Say::with('{a}, {b}', ['a' => $signed($this->offMm[0]), 'b' => $signed($this->offMm[1])]),
                'half of the whole indicator reading',
            ),
            new WorkingStep(
                'Tilt',
                '(second − first) / distance',
                Say::plain(number_format($this->tilt * 1000, 3).' mm in a metre'),
                'plane geometry',
            ),
        ];
        if ($this->shimMm !== null) {
            $steps[] = new WorkingStep('Shim', 'tilt × between the feet', $signed($this->shimMm), 'plane geometry');
        }

        return new Working($steps);
    }

    private static function offset(float $swing, ?float $turned): float
    {
        return $turned === null ? $swing / 2 : ($swing + $turned) / 4;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** The sizes to make one part so that it fits the mate that was measured, whatever the reading's doubt. */
final readonly class SizeToMate
{
    /**
     * @param  ?Band  $band  null when no size is safe
     * @param  ?float  $neededU95Mm  the doubt at which the band just opens; null when no reading can open it
     * @param  list<Note>  $notes
     */
    private function __construct(
        public ?Band $band,
        public ?float $neededU95Mm,
        public array $notes,
        public Working $working,
    ) {
    }

    /**
     * Shaft for a bore: M_loose − c_max + U … M_mating − c_min − U. Bore for a shaft, mirrored:
     * M_mating + c_min + U … M_loose + c_max − U. For interference throughout, M is the mean and the mate's form is
     * left to the pressure sums (the metal evens it out).
     *
     * @param  bool  $makeShaft  true: the inner part is made to a measured bore
     * @param  float  $sizeMm  the mate: mating size for clearance, mean for interference, mm, above 0
     * @param  float  $u95Mm  U95 of the mate's size, 0 or more
     * @param  Range  $clearanceMm  wanted, negative for interference
     * @param  ?float  $looseMm  the mate's loose size: at or above the size of a bore, at or below that of a shaft
     *
     * Source: the limits of the fit less the expanded uncertainty at both ends, as ISO 14253-1 guards a limit.
     *
     * @throws BadInput for a size not above 0, an uncertainty below 0, a loose size on the wrong side
     */
    public static function of(
        bool $makeShaft,
        float $sizeMm,
        float $u95Mm,
        Range $clearanceMm,
        ?float $looseMm = null,
    ): self {
        if (! ($sizeMm > 0)) {
            throw new BadInput('size', 'mate.size_mm', 'The mate needs a size above zero. Measure it first.');
        }
        if (! ($u95Mm >= 0)) {
            throw new BadInput('u95', 'mate.u95_mm', 'The uncertainty of the mate cannot be below zero.');
        }
        $tight = $clearanceMm->max <= 0;
        $loose = $tight ? $sizeMm : $looseMm ?? $sizeMm;
        if ($makeShaft ? $loose < $sizeMm : $loose > $sizeMm) {
            throw new BadInput(
                'loose',
                'mate.loose_mm',
                $makeShaft
                    ? 'The loose size of a bore is its largest: it cannot be below the mating size.'
                    : 'The loose size of a shaft is its smallest: it cannot be above the mating size.',
            );
        }
        [$lower, $upper] = $makeShaft
            ? [$loose - $clearanceMm->max + $u95Mm, $sizeMm - $clearanceMm->min - $u95Mm]
            : [$sizeMm + $clearanceMm->min + $u95Mm, $loose + $clearanceMm->max - $u95Mm];
        $form = abs($loose - $sizeMm);
        $needed = ($clearanceMm->width() - $form) / 2;
        $tooLarge = $lower <= 0;
        $band = $tooLarge ? null : Band::between($lower, $upper);

        return new self(
            $band,
            $needed > 0 || $form == 0.0 ? max(0.0, $needed) : null,
            $tooLarge
                ? [
                    Note::stop(
                        'clearance-too-large',
                        'The clearance asked for is larger than the part. Check the size and its unit.',
                    ),
                ]
                : self::notes(
                    band: $band,
                    form: $form,
                    needed: $needed,
                    u95Mm: $u95Mm,
                    clearance: $clearanceMm,
                    looseIgnored: $tight && $looseMm !== null && $looseMm !== $sizeMm,
                ),
            self::working(
                makeShaft: $makeShaft,
                tight: $tight,
                sizeMm: $sizeMm,
                loose: $loose,
                u: $u95Mm,
                c: $clearanceMm,
                lower: $lower,
                upper: $upper,
            ),
        );
    }

    /** The limits of a table, for a mate that is bought to its own. */
    public static function standard(float $sizeMm, Limits $limits, string $class, string $source): self
    {
        $band = new Band($sizeMm + $limits->lowerMm, $sizeMm + $limits->upperMm);

        return new self(
            $band,
            null,
            [],
            new Working([
                new WorkingStep(
                    'Limits to make',
                    'nominal size with the class’s deviations',
                    Say::with($class.' at {s}: {a} … {b}', [
                        's' => LengthWriter::size($sizeMm),
                        'a' => LengthWriter::lower($band),
                        'b' => LengthWriter::upper($band),
                    ]),
                    $source,
                ),
            ]),
        );
    }

    /** Limits that something else gave. */
    public static function given(Band $band): self
    {
        return new self($band, null, [], new Working([]));
    }

    /** @return list<Note> */
    private static function notes(
        ?Band $band,
        float $form,
        float $needed,
        float $u95Mm,
        Range $clearance,
        bool $looseIgnored,
    ): array {
        $notes = [];
        $values = [
            'width' => LengthWriter::difference($clearance->width()),
            'u' => LengthWriter::atLeast($u95Mm),
            'needed' => LengthWriter::atMost(max(0, $needed)),
            'form' => LengthWriter::difference($form),
        ];
        if ($band === null && $needed <= 0 && $form > 0) {
            $notes[] = Note::stop(
                'mate-form',
                Say::with(
                    'The mate’s own form, {form}, is more than the fit’s whole width, {width}: no size fits everywhere, however well it is read. True the mate up, or choose a wider fit.',
                    $values,
                ),
            );
        } elseif ($band === null) {
            $notes[] = Note::stop(
                'reading-not-good-enough',
                Say::with(
                    'The reading is not good enough for this fit: it is sure to ±{u}, and ±{needed} is needed.',
                    $values,
                ),
            );
        } elseif ($form > 0.5 * $clearance->width()) {
            $notes[] = Note::caution(
                'mate-form',
                Say::with(
                    'The mate is out of round or tapered by {form}: that takes most of the fit’s width of {width}.',
                    $values,
                ),
            );
        }
        if ($looseIgnored) {
            $notes[] = Note::info(
                'loose-ignored',
                'For interference the mean decides; the loose size is reported, not used.',
            );
        }

        return $notes;
    }

    private static function working(
        bool $makeShaft,
        bool $tight,
        float $sizeMm,
        float $loose,
        float $u,
        Range $c,
        float $lower,
        float $upper,
    ): Working {
        $size = static fn (float $mm): Say => LengthWriter::size($mm);
        $clearance = LengthWriter::signedDifference(...);
        $formula = match (true) {
            $makeShaft && $tight => 'M + i_min + U … M + i_max − U',
            $tight => 'M − i_max + U … M − i_min − U',
            $makeShaft => 'M_loose − c_max + U … M_mating − c_min − U',
            default => 'M_mating + c_min + U … M_loose + c_max − U',
        };
        $mate = $tight ? 'M {m}' : 'M_mating {m}, M_loose {l}';

        return new Working([
            new WorkingStep(
                'Limits to make',
                $formula,
                Say::with($mate.', c {a} to {b}, U {u}: {lower} … {upper}', [
                    'm' => $size($sizeMm),
                    'l' => $size($loose),
                    'a' => $clearance($c->min),
                    'b' => $clearance($c->max),
                    'u' => LengthWriter::difference($u),
                    'lower' => $size($lower),
                    'upper' => $size($upper),
                ]),
                'the fit’s limits, each guarded by U as in ISO 14253-1',
            ),
        ]);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Catalogue\Bearing;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Joint\ThickRing;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** The seats of a rolling bearing on its shaft and in its housing, and what they do to the clearance in it. */
final readonly class BearingSeat
{
    /**
     * The wall of a housing that nobody measured, as outside over the bearing's outside. Ours: cautious for solid, thin
     * as said.
     */
    private const HOUSING_RATIO = ['solid' => 2.0, 'split' => 2.0, 'thin' => 1.25];

    /** Less than this share of the Normal clearance left, as it mostly falls out, is too little. Common practice. */
    private const SPARE = 0.2;

    private const EXPANSION_OF_STEEL = 11.7e-6;

    /**
     * @param  Range  $lossMm  how much of its radial clearance the fits take, mm, 0 or more
     * @param  float  $warmLossMm  what a warmer inner ring takes besides, mm
     * @param  ?Range  $left  what is left of the Normal clearance, mm; null where its groups are not known
     * @param  ?string  $group  the group that still leaves some; null when Normal does, or none is known
     * @param  list<Note>  $notes
     */
    private function __construct(
        public Bearing $bearing,
        public string $shaftClass,
        public string $housingClass,
        public Limits $shaft,
        public Limits $housing,
        public Range $onShaftMm,
        public Range $inHousingMm,
        public Range $lossMm,
        public float $warmLossMm,
        public ?Range $left,
        public ?string $group,
        public array $notes,
        public Working $working,
    ) {
    }

    /**
     * Classes by data/bearing-seats.json (common practice). The loss is the growth of the inner raceway plus the
     * closing of the outer one over the whole range of fits with a Normal-class bearing (ISO 492): rings as cylinders
     * from bore to d + (D − d)/4 and from D − (D − d)/4 to outside (Lamé; Shigley, press and shrink fits).
     *
     * @throws BadInput for sizes outside the tables
     */
    public static function of(Bearing $bearing, BearingDuty $duty): self
    {
        if ($bearing->isAdjusted()) {
            [$shaft, $housing] = self::tapered($bearing, $duty);
            [$shaftClass, $housingClass] = [self::inWords($shaft), self::inWords($housing)];
        } else {
            [$shaftClass, $housingClass] = self::classes($bearing, $duty);
            $shaft = Iso286::shaft($bearing->boreMm, $shaftClass);
            $housing = Iso286::hole($bearing->outsideMm, $housingClass);
        }
        $onShaft = BearingTable::bore($bearing)->clearance($shaft);
        $inHousing = $housing->clearance(BearingTable::outside($bearing));
        $inner = self::innerShare($bearing, $duty);
        $outer = self::outerShare($bearing, $duty);
        $tight = static fn (float $clearance): float => max(0.0, -$clearance);
        $loss = new Range(
            $inner * $tight($onShaft->max) + $outer * $tight($inHousing->max),
            $inner * $tight($onShaft->min) + $outer * $tight($inHousing->min),
        );
        // The raceways lie about half way out; a warmer inner ring grows toward the outer one.
        $warm = (self::EXPANSION_OF_STEEL * $duty->innerWarmerK * ($bearing->boreMm + $bearing->outsideMm)) / 2;
        $normal = BearingTable::clearance($bearing, $bearing->group);
        $left =
            $normal === null
                ? null
                : new Range($normal->min - $loss->max - $warm, $normal->max - $loss->min - $warm);
        $likely = $loss->middle() + $warm;
        $group =
            $left === null || $normal->middle() - $likely > self::SPARE * $normal->middle()
                ? null
                : self::groupFor($bearing, $likely);

        return new self(
            bearing: $bearing,
            shaftClass: $shaftClass,
            housingClass: $housingClass,
            shaft: $shaft,
            housing: $housing,
            onShaftMm: $onShaft,
            inHousingMm: $inHousing,
            lossMm: $loss,
            warmLossMm: $warm,
            left: $left,
            group: $group,
            notes: self::notes(
                bearing: $bearing,
                duty: $duty,
                left: $left,
                normal: $normal,
                likely: $likely,
                group: $group,
            ),
            working: self::working(
                bearing: $bearing,
                onShaft: $onShaft,
                inHousing: $inHousing,
                inner: $inner,
                outer: $outer,
                loss: $loss,
            ),
        );
    }

    /** @return array{string, string} */
    private static function classes(Bearing $bearing, BearingDuty $duty): array
    {
        /**
         * @var array{shaft: array<string, array<string, list<array{float, string}>>>, housing: array<string, array<string, string>>, aluminium_one_tighter: array<string, string>} $table
         */
        $table = Table::read('bearing-seats');
        $shaft = null;
        foreach ($table['shaft'][$duty->turning][$duty->load] as [$to, $class]) {
            if ($shaft === null && $bearing->boreMm <= $to) {
                $shaft = $class;
            }
        }
        $which = $duty->turning === 'inner' || $duty->housing === 'thin' ? $duty->housing : $duty->load;
        $housing = $table['housing'][$duty->turning][$which];

        return [
            $shaft ?? throw new BadInput('size', 'bore_mm', 'Seats are known here up to a bore of 500 mm.'),
            $duty->isAluminiumHousing() ? $table['aluminium_one_tighter'][$housing] ?? $housing : $housing,
        ];
    }

    /**
     * Seats of an inch tapered set by which ring turns, as deviations (data/bearing-seats.json).
     *
     * @return array{Limits, Limits}
     */
    private static function tapered(Bearing $bearing, BearingDuty $duty): array
    {
        /**
         * @var array{to_bore_mm: float, shaft: array<string, array<string, array{float, float}>>, housing: array<string, array{float, float}>} $table
         */
        $table = Table::read('bearing-seats')['inch_tapered'];
        if ($bearing->boreMm > $table['to_bore_mm']) {
            throw new BadInput(
                'size',
                'bore_mm',
                'Seats of inch tapered sets are known here up to a bore of 3 in.',
            );
        }
        $shaft = $table['shaft'][$duty->turning][$duty->load];
        $housing = $table['housing'][$duty->turning];

        return [
            new Limits($shaft[1] / 1000, $shaft[0] / 1000),
            new Limits($housing[1] / 1000, $housing[0] / 1000),
        ];
    }

    private static function inWords(Limits $limits): string
    {
        $signed = static fn (float $mm): string => ($mm < 0 ? '−' : '+').
            number_format(abs($mm) * 1000).
            ' µm';

        return $signed($limits->lowerMm).' to '.$signed($limits->upperMm);
    }

    /** The share of the interference on the shaft that reaches the inner raceway. */
    private static function innerShare(Bearing $bearing, BearingDuty $duty): float
    {
        $fit = new PressFit(
            diameterMm: $bearing->boreMm,
            innerBoreMm: $duty->shaftBoreMm,
            outerOdMm: $bearing->boreMm + 2 * $bearing->ringMm(),
            lengthMm: $bearing->widthMm,
            interferenceMm: new Range(0.0, 0.001),
            inner: $duty->shaft ?? Material::named('medium-carbon steel, normalised'),
            outer: Material::named('bearing or tool steel, hardened'),
        );

        return ThickRing::outerGrowth($fit, ThickRing::stiffness($fit));
    }

    /** The share of the interference in the housing that reaches the outer raceway. */
    private static function outerShare(Bearing $bearing, BearingDuty $duty): float
    {
        $fit = new PressFit(
            diameterMm: $bearing->outsideMm,
            innerBoreMm: $bearing->outsideMm - 2 * $bearing->ringMm(),
            outerOdMm: $bearing->outsideMm * self::HOUSING_RATIO[$duty->housing],
            lengthMm: $bearing->widthMm,
            interferenceMm: new Range(0.0, 0.001),
            inner: Material::named('bearing or tool steel, hardened'),
            outer: $duty->housingMaterial ?? Material::named('grey cast iron, ordinary'),
        );

        return ThickRing::boreClosing($fit, ThickRing::stiffness($fit));
    }

    /** The first group whose middle, less the likely loss, leaves half of what Normal has in the middle. */
    private static function groupFor(Bearing $bearing, float $likelyLoss): ?string
    {
        $normal = BearingTable::clearance($bearing)?->middle() ?? 0.0;
        foreach (
            array_slice(
                BearingTable::GROUPS,
                1 + (int) array_search($bearing->group, BearingTable::GROUPS, true),
            ) as $group
        ) {
            $clearance = BearingTable::clearance($bearing, $group);
            if ($clearance !== null && $clearance->middle() - $likelyLoss >= $normal / 2) {
                return $group;
            }
        }

        return null;
    }

    /** @return list<Note> */
    private static function notes(
        Bearing $bearing,
        BearingDuty $duty,
        ?Range $left,
        ?Range $normal,
        float $likely,
        ?string $group,
    ): array {
        $notes = [];
        $name = $bearing->group === 'CN' ? 'Normal' : $bearing->group;
        if ($bearing->hasOwnBore) {
            $notes[] = Note::info(
                'own-bore',
                Say::with('Its stamp gives it a bore of its own, {d}: not that of its number.', [
                    'd' => LengthWriter::sizeInWords($bearing->boreMm),
                ]),
            );
        }
        if ($bearing->class !== null) {
            $notes[] = Note::info(
                'finer-class',
                "Its stamp says class {$bearing->class}, finer than Normal: its own limits lie inside those reckoned with here.",
            );
        }
        if ($bearing->isAdjusted()) {
            $notes[] = Note::caution(
                'tapered-set',
                'An inch tapered set: bore and outside run from zero to plus, so its seats are its own, not ISO classes. Its clearance is set when it is put together: adjust the end play as the machine’s book says, turning it as you tighten.',
            );
        }
        if ($left !== null && $normal !== null && $normal->middle() - $likely <= 0) {
            $notes[] = Note::stop(
                'no-clearance-left',
                "With these seats a bearing of {$name} clearance runs with none: it heats and seizes. ".
                    ($group === null ? 'Take looser seats.' : "Take one of group {$group}."),
            );
        } elseif (
            $left !== null
            && $normal !== null
            && $normal->middle() - $likely <= self::SPARE * $normal->middle()
        ) {
            $notes[] = Note::caution(
                'little-clearance-left',
                "These seats leave a bearing of {$name} clearance next to none. ".
                    ($group === null ? 'Take looser seats.' : "Take one of group {$group}, or looser seats."),
            );
        } elseif ($left !== null && $left->min <= 0) {
            $notes[] = Note::info(
                'clearance-may-vanish',
                Say::with(
                    'At worst, the tightest seat with the smallest ring, it is {least} short of running clearance: aim for the loose end of the seat.',
                    ['least' => LengthWriter::difference($left->min)],
                ),
            );
        }
        if ($duty->turning === 'outer' && $duty->housing === 'split') {
            $notes[] = Note::stop(
                'split-housing-turns',
                'A split housing must not hold an outer ring that turns against the load: it pinches the ring out of round. Use a solid one.',
            );
        }
        if ($duty->isAluminiumHousing()) {
            $notes[] = Note::info(
                'aluminium-housing',
                'The housing is aluminium: one class tighter, since it grows away from the ring when warm.',
            );
        }
        if ($duty->turning === 'inner') {
            $notes[] = Note::info(
                'press-on-the-ring',
                'Press or heat the inner ring on; never push through the balls. Heat to 110 °C at most. An insert bearing locked by a screw or collar slides on: h6 to h8, never pressed.',
            );
        } else {
            $notes[] = Note::info(
                'press-on-the-ring',
                'Press the outer ring in by the outer ring; never push through the balls.',
            );
        }
        $notes[] = Note::info('defer', 'The maker’s own table for the machine or the bearing comes first.');

        return $notes;
    }

    private static function working(
        Bearing $bearing,
        Range $onShaft,
        Range $inHousing,
        float $inner,
        float $outer,
        Range $loss,
    ): Working {
        $signed = LengthWriter::signedDifference(...);
        $percent = static fn (float $share): string => number_format(100 * $share).' %';

        return new Working([
            new WorkingStep(
                'Fit on the shaft',
                'bore of the ring less shaft',
                Say::with('{a} to {b} clear', ['a' => $signed($onShaft->min), 'b' => $signed($onShaft->max)]),
                'ISO 286-2:2010, ISO 492:2014 Normal',
            ),
            new WorkingStep(
                'Fit in the housing',
                'housing less outside of the ring',
                Say::with('{a} to {b} clear', [
                    'a' => $signed($inHousing->min),
                    'b' => $signed($inHousing->max),
                ]),
                'ISO 286-2:2010, ISO 492:2014 Normal',
            ),
            new WorkingStep(
                'What reaches the raceways',
                'growth of a ring d … d + (D − d)/4, closing of a ring D − (D − d)/4 … D',
                Say::plain(
                    "{$bearing->designation}: {$percent($inner)} of the shaft’s, ".
                        "{$percent($outer)} of the housing’s interference",
                ),
                'Lamé thick cylinders; Shigley, press and shrink fits',
            ),
            new WorkingStep(
                'Clearance lost',
                'Σ share × interference',
                Say::with('{a} to {b}', [
                    'a' => LengthWriter::difference($loss->min),
                    'b' => LengthWriter::difference($loss->max),
                ]),
                'common practice of bearing makers',
            ),
        ]);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Mechanics\HeldBy;
use Oldpart\Core\Evaluate\Mechanics\HotAndCold;
use Oldpart\Core\Evaluate\Mechanics\JointThread;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Evaluate\Trials\JointTrials;
use Oldpart\Core\Evaluate\Trials\LoopTrials;
use Oldpart\Core\Fit\BearingSeat;
use Oldpart\Core\Fit\BearingTable;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Picture\BandsPicture;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\FitPicture;
use Oldpart\Core\Picture\RingPicture;
use Oldpart\Core\Picture\StressPicture;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Remedy\JointHelp;
use Oldpart\Core\Remedy\JointWay;

/**
 * One joint as it is shown: its fit and size, and beside it what helps to choose, how it goes together, and what holds
 * it.
 */
final readonly class JointAnswer implements \JsonSerializable
{
    /** @param  list<JointWay>  $ways */
    public function __construct(
        public SizedJoint $of,
        public ?JointHelp $help,
        public array $ways,
        private ?HotAndCold $hotAndCold,
        private ?JointThread $thread,
        private ?HeldBy $held,
        private ?JointTrials $trials = null,
        private ?LoopTrials $together = null,
        /** Either side may be the one made first. */
        private bool $bothCut = false,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $band = $this->of->band();
        $chance = $this->of->chance();

        return [
            'id' => $this->of->joint->id,
            'purpose' => $this->of->purpose,
            'tight' => $this->of->isTight(),
            'chosen' => $this->of->chosen,
            'wanted' => $this->of->wantedMm === null ? null : Words::range($this->of->wantedMm),
            'offers' => array_map($this->offer(...), $this->of->offers),
            'mate' => $this->of->mate?->id,
            'make' => $this->of->make?->id,
            'band' => $band,
            'lower' => $band === null ? null : LengthWriter::lower($band),
            'upper' => $band === null ? null : LengthWriter::upper($band),
            'needed_u95' => $this->of->sized?->neededU95Mm === null
                    ? null
                    : LengthWriter::difference($this->of->sized->neededU95Mm),
            'good_enough' => $this->of->goodEnough,
            'blocked' => $this->of->blocked,
            'chance' => $chance === null
                ? null
                : ['kind' => Likely::kind($chance), 'says' => Likely::inWords($chance)],
            'best' => $this->of->withheld ? null : $this->of->best,
            'notes' => [
                ...$this->of->notes,
                ...$this->of->sized->notes ?? [],
                ...$this->of->press->notes ?? [],
                ...$this->of->seat->notes ?? [],
            ],
            'working' => $this->of->withheld
                ? []
                : [
                    ...$this->of->sized->working->steps ?? [],
                    ...$this->of->press->working->steps ?? [],
                    ...$this->of->seat->working->steps ?? [],
                ],
            'press' => $this->of->press === null || $this->of->withheld
                    ? null
                    : PressTiles::of($this->of->press, $this->of->joint->needsTorqueNm),
            'press_blocked' => $this->of->pressBlocked,
            'help' => $this->help,
            'slide' => $this->slide(),
            'ways' => $this->ways,
            'hot_and_cold' => $this->hotAndCold,
            'thread' => $this->thread,
            'held' => $this->held,
            'trials' => $this->trials,
            'together' => $this->together,
            'shows' => [
                'seat' => $this->of->purpose->seat !== null,
                'held' => $this->of->joint->needsTorqueNm !== null
                    || $this->of->joint->held !== []
                    || $this->of->isTight()
                    || $this->of->purpose->fastens,
                'first' => $this->bothCut,
            ],
            'stress' => $this->of->press === null || $this->of->withheld ? null : StressPicture::draw($this->of->press),
            'to_table' => $this->of->withheld ? null : $this->of->toTable,
            'seat' => $this->of->seat === null ? null : self::seat($this->of->seat),
            'picture' => $this->picture(),
            'ring' => $band === null
                || $this->of->wantedMm === null
                || $this->of->purpose->isLength
                || $this->of->mateFound === null
                    ? null
                    : RingPicture::draw(
                        $band->middleMm(),
                        $this->of->wantedMm,
                        $this->of->makesInner(),
                        $this->of->press?->fit->isHollow() === true ? $this->of->press->fit->innerBoreMm : null,
                    ),
        ];
    }

    /**
     * @param  array{offer: Offer, sized: ?SizeToMate, chosen: bool}  $row
     * @return array<string, mixed>
     */
    private function offer(array $row): array
    {
        $band = $this->of->withheld ? null : $row['sized']?->band;

        return [
            'school' => $row['offer']->school->value,
            'label' => $row['offer']->label,
            'range' => Words::range($row['offer']->clearanceMm),
            'remark' => $row['offer']->remark,
            'source' => $row['offer']->source,
            'makes' => $band === null
                    ? null
                    : Say::with('{a} … {b}', ['a' => LengthWriter::lower($band), 'b' => LengthWriter::upper($band)]),
            'possible' => $row['sized'] === null || $row['sized']->band !== null,
            'chosen' => $row['chosen'],
        ];
    }

    /**
     * @return array<string, mixed>|null what the sum fit-at needs to answer as a size is dragged, and how far to drag
     */
    private function slide(): ?array
    {
        $band = $this->of->band();
        $found = $this->of->mateFound;
        if ($band === null || $found === null || $this->of->wantedMm === null) {
            return null;
        }
        $tight = $this->of->isTight();
        $makesInner = $this->of->makesInner();
        $case = $this->of->best->case ?? $this->of->case;
        $reach = max($band->widthMm(), 0.01);

        return [
            'from_mm' => $band->lowerMm - $reach,
            'to_mm' => $band->upperMm + $reach,
            'lower_mm' => $band->lowerMm,
            'upper_mm' => $band->upperMm,
            'sum' => [
                'make' => $this->of->makesInner() ? 'shaft' : 'bore',
                'mate' => $tight
                    ? ['size_mm' => $found->meanMm, 'u95_mm' => $found->sureMeanMm()]
                    : [
                        'size_mm' => $makesInner ? $found->smallestMm() : $found->largestMm(),
                        'u95_mm' => $found->sureMm(),
                        'loose_mm' => $makesInner ? $found->largestMm() : $found->smallestMm(),
                    ],
                'clearance_mm' => ['min' => $this->of->wantedMm->min, 'max' => $this->of->wantedMm->max],
                ...$case === null
                    ? []
                    : [
                        'works_mm' => ['min' => $case->works->min, 'max' => $case->works->max],
                        'make_u95_mm' => 2 * $case->checkedTo(),
                    ],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function seat(BearingSeat $seat): array
    {
        $range = static fn (Range $r): Say => Say::with('{a} to {b}', [
            'a' => LengthWriter::difference(max(0.0, $r->min)),
            'b' => LengthWriter::difference($r->max),
        ]);
        $left = $seat->left;

        return [
            'bearing' => $seat->bearing->designation,
            'shaft_class' => $seat->shaftClass,
            'housing_class' => $seat->housingClass,
            'on_shaft' => Words::range($seat->onShaftMm),
            'in_housing' => Words::range($seat->inHousingMm),
            'loss' => $range($seat->lossMm),
            'warm_loss' => $seat->warmLossMm > 0 ? LengthWriter::difference($seat->warmLossMm) : null,
            'left' => $left === null ? null : ($left->max <= 0 ? Say::plain('none') : $range($left)),
            'group' => $seat->group,
            'shoulder' => BearingTable::shoulderInWords($seat->bearing),
        ];
    }

    private function seatPicture(BearingSeat $seat): Drawing
    {
        $onShaft = $this->of->makesInner();
        $size = $onShaft ? $seat->bearing->boreMm : $seat->bearing->outsideMm;
        $says = Say::with('{part} to make for a {b} bearing: {r}.', [
            'part' => $this->of->makeName,
            'b' => $seat->bearing->designation,
            'r' => Words::range($onShaft ? $seat->onShaftMm : $seat->inHousingMm),
        ]);

        return $onShaft
            ? BandsPicture::draw($size, BearingTable::bore($seat->bearing), $seat->shaft, $says)
            : BandsPicture::draw($size, $seat->housing, BearingTable::outside($seat->bearing), $says);
    }

    private function picture(): mixed
    {
        $band = $this->of->band();
        if ($band !== null && $this->of->mateFound === null && $this->of->seat !== null) {
            return $this->seatPicture($this->of->seat);
        }
        if ($band !== null && $this->of->toTable !== null) {
            $fit = $this->of->toTable->fit;

            return BandsPicture::draw(
                $fit->sizeMm,
                $fit->hole,
                $fit->shaft,
                Say::with('{label} at {s}: {r}.', [
                    'label' => $fit->label,
                    's' => LengthWriter::sizeInWords($fit->sizeMm),
                    'r' => Words::range($fit->clearance()),
                ]),
            );
        }
        if ($band === null || $this->of->mateFound === null || $this->of->wantedMm === null) {
            return null;
        }
        $tight = $this->of->isTight();
        $says = Say::with('{mate} found at {m}; {part} to make from {a} to {b}; {range}.', [
            'mate' => $this->of->mateName,
            'm' => LengthWriter::sizeInWords($this->of->mateFound->meanMm),
            'part' => $this->of->makeName,
            'a' => LengthWriter::lower($band),
            'b' => LengthWriter::upper($band),
            'range' => Words::range($this->of->wantedMm),
        ]);

        return FitPicture::draw(
            mate: $this->of->mateName,
            matingMm: $tight ? $this->of->mateFound->meanMm : $this->of->mateFound->smallestMm(),
            looseMm: $tight ? $this->of->mateFound->meanMm : $this->of->mateFound->largestMm(),
            u95Mm: $tight ? $this->of->mateFound->sureMeanMm() : $this->of->mateFound->sureMm(),
            part: $this->of->makeName,
            make: $band,
            clearanceMm: $this->of->wantedMm,
            says: $says,
            works: ($this->of->best->case ?? $this->of->case)?->sizes(),
            mateIs: $this->of->mateFound->count === 0 ? 'typed' : ($this->bothCut ? 'made first' : 'found'),
        );
    }
}

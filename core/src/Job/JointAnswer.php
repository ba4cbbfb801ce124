<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\BearingSeat;
use Oldpart\Core\Fit\BearingTable;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Picture\BandsPicture;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\FitPicture;
use Oldpart\Core\Picture\RingPicture;
use Oldpart\Core\Picture\StressPicture;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** One joint: the fits on offer, the one taken, and what it makes the size. */
final readonly class JointAnswer implements \JsonSerializable
{
    /**
     * @param  list<array{offer: Offer, sized: ?SizeToMate, chosen: bool}>  $offers
     * @param  ?SurfaceFacts  $make  the surface to make; null when neither side is made
     * @param  ?SurfaceFacts  $mate  the measured other side
     * @param  ?Say  $blocked  what stands in the way of a size
     * @param  list<Note>  $notes
     */
    public function __construct(
        public JointFacts $joint,
        public Purpose $purpose,
        public array $offers,
        public string $chosen,
        public ?Range $wantedMm,
        public ?SurfaceFacts $make,
        public ?SurfaceFacts $mate,
        public string $mateName,
        public string $makeName,
        public ?FoundSize $mateFound,
        public ?SizeToMate $sized,
        public ?GoodEnough $goodEnough,
        public ?Say $blocked,
        public bool $withheld,
        public array $notes,
        public ?Press $press = null,
        public ?Say $pressBlocked = null,
        public ?BearingSeat $seat = null,
        private ?JointHelp $help = null,
        public ?ToTable $toTable = null,
        /** @var list<JointWay> */
        public array $ways = [],
        private ?HotAndCold $hotAndCold = null,
        private ?ThreadAnswer $thread = null,
        private ?HeldBy $held = null,
    ) {
    }

    public function band(): ?Band
    {
        return $this->withheld ? null : $this->sized?->band;
    }

    /** A size is to come out of it: one side is made, and not to a shape's own standard. */
    public function isSized(): bool
    {
        return $this->make !== null && ! $this->purpose->isShape;
    }

    /** The inner part is made to a measured outer one. */
    public function makesInner(): bool
    {
        return $this->make !== null && $this->make->id === $this->joint->inner;
    }

    public function isTight(): bool
    {
        return $this->wantedMm !== null ? $this->wantedMm->max <= 0 : $this->purpose->tight;
    }

    /** Its least clearance is below zero: at one end of its range at least it has to be pressed. */
    public function canBeTight(): bool
    {
        return $this->wantedMm !== null ? $this->wantedMm->min < 0 : $this->purpose->tight;
    }

    /** The size both have to each other where the mate was not read, mm: of the bearing, or of the class. */
    public function nominalMm(): ?float
    {
        return $this->toTable?->fit->sizeMm ?? ($this->seat === null ? null : ($this->purpose->code === 'bearing-on-shaft' ? $this->seat->bearing->boreMm : $this->seat->bearing->outsideMm));
    }

    public function withPress(?Press $press, ?Say $blocked): self
    {
        return new self(
            $this->joint, $this->purpose, $this->offers, $this->chosen, $this->wantedMm, $this->make, $this->mate, $this->mateName,
            $this->makeName, $this->mateFound, $this->sized, $this->goodEnough, $this->blocked, $this->withheld, $this->notes, $press, $blocked, $this->seat, $this->help, $this->toTable, $this->ways, $this->hotAndCold, $this->thread, $this->held,
        );
    }

    /** @param  list<JointWay>  $ways */
    public function withWays(array $ways, ?HotAndCold $hotAndCold, ?ThreadAnswer $thread, ?HeldBy $held): self
    {
        return new self(
            $this->joint, $this->purpose, $this->offers, $this->chosen, $this->wantedMm, $this->make, $this->mate, $this->mateName, $this->makeName,
            $this->mateFound, $this->sized, $this->goodEnough, $this->blocked, $this->withheld, $this->notes, $this->press, $this->pressBlocked, $this->seat, $this->help, $this->toTable, $ways, $hotAndCold, $thread, $held,
        );
    }

    public function withHelp(JointHelp $help): self
    {
        return new self(
            $this->joint, $this->purpose, $this->offers, $this->chosen, $this->wantedMm, $this->make, $this->mate, $this->mateName, $this->makeName,
            $this->mateFound, $this->sized, $this->goodEnough, $this->blocked, $this->withheld, $this->notes, $this->press, $this->pressBlocked, $this->seat, $help, $this->toTable, $this->ways, $this->hotAndCold, $this->thread, $this->held,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $band = $this->band();

        return [
            'id' => $this->joint->id,
            'purpose' => ['code' => $this->purpose->code, 'name' => $this->purpose->name, 'says' => $this->purpose->says, 'shape' => $this->purpose->isShape],
            'tight' => $this->isTight(),
            'chosen' => $this->chosen,
            'wanted' => $this->wantedMm === null ? null : Words::range($this->wantedMm),
            'offers' => array_map($this->offer(...), $this->offers),
            'mate' => $this->mate?->id,
            'make' => $this->make?->id,
            'band' => $band,
            'lower' => $band === null ? null : LengthWriter::lower($band),
            'upper' => $band === null ? null : LengthWriter::upper($band),
            'needed_u95' => $this->sized?->neededU95Mm === null ? null : LengthWriter::difference($this->sized->neededU95Mm),
            'good_enough' => $this->goodEnough,
            'blocked' => $this->blocked,
            'notes' => [...$this->notes, ...($this->sized->notes ?? []), ...($this->press->notes ?? []), ...($this->seat->notes ?? [])],
            'working' => $this->withheld ? [] : [...($this->sized->working->steps ?? []), ...($this->press->working->steps ?? []), ...($this->seat->working->steps ?? [])],
            'press' => $this->press === null || $this->withheld ? null : PressTiles::of($this->press, $this->joint->needsTorqueNm),
            'press_blocked' => $this->pressBlocked,
            'help' => $this->help,
            'slide' => $this->slide(),
            'ways' => $this->ways,
            'hot_and_cold' => $this->hotAndCold,
            'thread' => $this->thread,
            'held' => $this->held,
            'stress' => $this->press === null || $this->withheld ? null : StressPicture::draw($this->press),
            'to_table' => $this->withheld ? null : $this->toTable,
            'seat' => $this->seat === null ? null : self::seat($this->seat),
            'picture' => $this->picture(),
            'ring' => $band === null || $this->wantedMm === null || $this->purpose->isLength || $this->mateFound === null ? null : RingPicture::draw(
                $band->middleMm(), $this->wantedMm, $this->makesInner(),
                $this->press?->fit->isHollow() === true ? $this->press->fit->innerBoreMm : null,
            ),
        ];
    }

    /**
     * @param  array{offer: Offer, sized: ?SizeToMate, chosen: bool}  $row
     * @return array<string, mixed>
     */
    private function offer(array $row): array
    {
        $band = $this->withheld ? null : $row['sized']?->band;

        return [
            'school' => $row['offer']->school->value,
            'label' => $row['offer']->label,
            'range' => Words::range($row['offer']->clearanceMm),
            'remark' => $row['offer']->remark,
            'source' => $row['offer']->source,
            'makes' => $band === null ? null : Say::with('{a} … {b}', ['a' => LengthWriter::lower($band), 'b' => LengthWriter::upper($band)]),
            'possible' => $row['sized'] === null || $row['sized']->band !== null,
            'chosen' => $row['chosen'],
        ];
    }

    /** @return array<string, mixed>|null what the sum fit-at needs to answer as a size is dragged, and how far to drag */
    private function slide(): ?array
    {
        $band = $this->band();
        $found = $this->mateFound;
        if ($band === null || $found === null || $this->wantedMm === null) {
            return null;
        }
        $tight = $this->isTight();
        $reach = max($band->widthMm(), 0.01);

        return [
            'from_mm' => $band->lowerMm - $reach, 'to_mm' => $band->upperMm + $reach, 'lower_mm' => $band->lowerMm, 'upper_mm' => $band->upperMm,
            'sum' => [
                'make' => $this->makesInner() ? 'shaft' : 'bore',
                'mate' => $tight ? ['size_mm' => $found->meanMm, 'u95_mm' => $found->u95MeanMm] : ['size_mm' => $found->matingMm, 'u95_mm' => $found->u95Mm, 'loose_mm' => $found->looseMm],
                'clearance_mm' => ['min' => $this->wantedMm->min, 'max' => $this->wantedMm->max],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function seat(BearingSeat $seat): array
    {
        $range = static fn (Range $r): Say => Say::with('{a} to {b}', ['a' => LengthWriter::difference(max(0.0, $r->min)), 'b' => LengthWriter::difference($r->max)]);
        $left = $seat->left;

        return [
            'bearing' => $seat->bearing->designation, 'shaft_class' => $seat->shaftClass, 'housing_class' => $seat->housingClass,
            'on_shaft' => Words::range($seat->onShaftMm), 'in_housing' => Words::range($seat->inHousingMm), 'loss' => $range($seat->lossMm),
            'warm_loss' => $seat->warmLossMm > 0 ? LengthWriter::difference($seat->warmLossMm) : null,
            'left' => $left === null ? null : ($left->max <= 0 ? Say::plain('none') : $range($left)), 'group' => $seat->group,
            'shoulder' => BearingTable::shoulderInWords($seat->bearing),
        ];
    }

    private function seatPicture(BearingSeat $seat): Drawing
    {
        $onShaft = $this->makesInner();
        $size = $onShaft ? $seat->bearing->boreMm : $seat->bearing->outsideMm;
        $says = Say::with('{part} to make for a {b} bearing: {r}.', ['part' => $this->makeName, 'b' => $seat->bearing->designation, 'r' => Words::range($onShaft ? $seat->onShaftMm : $seat->inHousingMm)]);

        return $onShaft ? BandsPicture::draw($size, BearingTable::bore($seat->bearing), $seat->shaft, $says) : BandsPicture::draw($size, $seat->housing, BearingTable::outside($seat->bearing), $says);
    }

    private function picture(): mixed
    {
        $band = $this->band();
        if ($band !== null && $this->mateFound === null && $this->seat !== null) {
            return $this->seatPicture($this->seat);
        }
        if ($band !== null && $this->toTable !== null) {
            $fit = $this->toTable->fit;

            return BandsPicture::draw($fit->sizeMm, $fit->hole, $fit->shaft, Say::with('{label} at {s}: {r}.', ['label' => $fit->label, 's' => LengthWriter::sizeInWords($fit->sizeMm), 'r' => Words::range($fit->clearance())]));
        }
        if ($band === null || $this->mateFound === null || $this->wantedMm === null) {
            return null;
        }
        $tight = $this->isTight();
        $says = Say::with('{mate} found at {m}; {part} to make from {a} to {b}; {range}.', [
            'mate' => $this->mateName, 'm' => LengthWriter::sizeInWords($this->mateFound->meanMm), 'part' => $this->makeName,
            'a' => LengthWriter::lower($band), 'b' => LengthWriter::upper($band), 'range' => Words::range($this->wantedMm),
        ]);

        return FitPicture::draw(
            $this->mateName,
            $tight ? $this->mateFound->meanMm : $this->mateFound->smallestMm(),
            $tight ? $this->mateFound->meanMm : $this->mateFound->largestMm(),
            $tight ? $this->mateFound->u95MeanMm : $this->mateFound->u95Mm,
            $this->makeName, $band, $this->wantedMm, $says,
        );
    }
}

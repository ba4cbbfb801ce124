<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Length;
use Oldpart\Core\Quantity\TypedLength;

/** A reading as it was typed or taken. A reading is set aside with a reason, never dropped. */
final readonly class ReadingFacts implements \JsonSerializable
{
    /** Where on its surface it was read. */
    public string $spot;

    public function __construct(
        public string $id,
        public string $surface,
        public string $station,
        public string $angle,
        public TypedLength $value,
        public ?TypedLength $was,
        public string $instrument,
        public ?float $partC,
        public ?float $gaugeC,
        public ?bool $worn,
        public ?string $setAside,
        public ?string $remark,
        public ?string $takenAt,
        /**
         * What to add to what the gauge showed, from its last check against a master when the reading was taken, mm.
         */
        public ?float $correctionMm = null,
        /** @var list<TypedLength> what it was before each change, oldest first */
        public array $history = [],
        /** Of a surface that is cut: what it was like when it was read. */
        public ReadState $state = ReadState::Before,
        /** Of a shape: which of its dimensions (data/dimensions.json); empty: the size that stands for it. */
        public string $what = '',
        /** Who did it, by the name they signed in with; null where nobody does. */
        public ?string $by = null,
    ) {
        $this->spot = Reading::spot($station, $angle);
    }

    /** The same reading set aside with a reason, or counting again. */
    public function setAside(?string $why): self
    {
        return new self(
            id: $this->id,
            surface: $this->surface,
            station: $this->station,
            angle: $this->angle,
            value: $this->value,
            was: $this->was,
            instrument: $this->instrument,
            partC: $this->partC,
            gaugeC: $this->gaugeC,
            worn: $this->worn,
            setAside: $why,
            remark: $this->remark,
            takenAt: $this->takenAt,
            correctionMm: $this->correctionMm,
            history: $this->history,
            state: $this->state,
            what: $this->what,
            by: $this->by,
        );
    }

    /** The same reading of something so much larger, mm. */
    public function moved(float $mm): self
    {
        $value = new TypedLength(
            length: Length::mm(max(0.0, $this->value->length->mm + $mm)),
            typed: $this->value->typed,
            unit: $this->value->unit,
            betweenMm: $this->value->betweenMm,
            weights: $this->value->weights,
            masterMm: $this->value->masterMm,
        );

        return new self(
            id: $this->id,
            surface: $this->surface,
            station: $this->station,
            angle: $this->angle,
            value: $value,
            was: $this->was,
            instrument: $this->instrument,
            partC: $this->partC,
            gaugeC: $this->gaugeC,
            worn: $this->worn,
            setAside: $this->setAside,
            remark: $this->remark,
            takenAt: $this->takenAt,
            correctionMm: $this->correctionMm,
            history: $this->history,
            state: $this->state,
            what: $this->what,
            by: $this->by,
        );
    }

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->text('id'),
            surface: $f->text('surface'),
            station: $f->text('station'),
            angle: $f->text('angle'),
            value: $f->length('value', reading: true),
            was: $f->lengthOrNull('was', reading: true),
            instrument: $f->text('instrument'),
            partC: $f->numberOrNull('part_c'),
            gaugeC: $f->numberOrNull('gauge_c'),
            worn: $f->flagOrNull('worn'),
            setAside: $f->textOrNull('set_aside'),
            remark: $f->textOrNull('remark'),
            takenAt: $f->textOrNull('taken_at'),
            correctionMm: $f->numberOrNull('correction_mm'),
            history: $f->lengths('history', reading: true),
            state: $f->choiceOrNull('state', ReadState::class) ?? ReadState::Before,
            what: $f->textOrNull('what') ?? '',
            by: $f->textOrNull('by'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'surface' => $this->surface,
            'station' => $this->station,
            'angle' => $this->angle,
            'value' => $this->value,
            'was' => $this->was,
            'instrument' => $this->instrument,
            'part_c' => $this->partC,
            'gauge_c' => $this->gaugeC,
            'worn' => $this->worn,
            'set_aside' => $this->setAside,
            'remark' => $this->remark,
            'taken_at' => $this->takenAt,
            'correction_mm' => $this->correctionMm,
            'history' => $this->history,
            'state' => $this->state->value,
            'what' => $this->what,
            'by' => $this->by,
        ];
    }

    /** What was read: the surface, or one of its dimensions. */
    public function of(): string
    {
        return $this->what === '' ? $this->surface : "{$this->surface}/{$this->what}";
    }
}

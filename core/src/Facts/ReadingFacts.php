<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Length;
use Oldpart\Core\Quantity\TypedLength;

/** A reading as it was typed or taken. A reading is set aside with a reason, never dropped. */
final readonly class ReadingFacts implements \JsonSerializable
{
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
    ) {
    }

    /** The same reading set aside with a reason, or counting again. */
    public function setAside(?string $why): self
    {
        return new self(
            $this->id,
            $this->surface,
            $this->station,
            $this->angle,
            $this->value,
            $this->was,
            $this->instrument,
            $this->partC,
            $this->gaugeC,
            $this->worn,
            $why,
            $this->remark,
            $this->takenAt,
            $this->correctionMm,
            $this->history,
        );
    }

    /** The same reading of something so much larger, mm. */
    public function moved(float $mm): self
    {
        $value = new TypedLength(
            Length::mm(max(0.0, $this->value->length->mm + $mm)),
            $this->value->typed,
            $this->value->unit,
            $this->value->betweenMm,
            $this->value->weights,
            $this->value->masterMm,
        );

        return new self(
            $this->id,
            $this->surface,
            $this->station,
            $this->angle,
            $value,
            $this->was,
            $this->instrument,
            $this->partC,
            $this->gaugeC,
            $this->worn,
            $this->setAside,
            $this->remark,
            $this->takenAt,
            $this->correctionMm,
            $this->history,
        );
    }

    public static function read(Fields $f): self
    {
        return new self(
            $f->text('id'),
            $f->text('surface'),
            $f->text('station'),
            $f->text('angle'),
            $f->length('value', reading: true),
            $f->lengthOrNull('was', reading: true),
            $f->text('instrument'),
            $f->numberOrNull('part_c'),
            $f->numberOrNull('gauge_c'),
            $f->flagOrNull('worn'),
            $f->textOrNull('set_aside'),
            $f->textOrNull('remark'),
            $f->textOrNull('taken_at'),
            $f->numberOrNull('correction_mm'),
            $f->lengths('history', reading: true),
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
        ];
    }
}

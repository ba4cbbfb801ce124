<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** A part: found, to make or bought, of a material from the table (null: not known yet), with what tests said of it. */
final readonly class PartFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $name,
        public Origin $origin,
        public ?string $material,
        public Form $form,
        public ?HardnessFacts $hardness,
        /** @var array<string, string> what each test showed, by its code in data/material-tests.json */
        public array $tests,
        /** Made twice: as drawn, and mirrored for the other hand. */
        public bool $bothHands = false,
    ) {
    }

    public static function read(Fields $f): self
    {
        $hardness = $f->object('hardness');

        return new self(
            id: $f->text('id'),
            name: $f->text('name'),
            origin: $f->choice('origin', Origin::class),
            material: $f->textOrNull('material'),
            form: $f->choiceOrNull('form', Form::class) ?? Form::Turned,
            hardness: $hardness === null ? null : HardnessFacts::read($hardness),
            tests: $f->textMap('tests'),
            bothHands: $f->flag('both_hands'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'origin' => $this->origin->value,
            'material' => $this->material,
            'form' => $this->form->value,
            'hardness' => $this->hardness,
            'tests' => (object) $this->tests,
            'both_hands' => $this->bothHands,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\TypedLength;

/**
 * How a part came off, in the order they did: by what force or heat, how deep it sat, how it was marked, in which bag.
 * `name` is that of the part then: the record stays when the part is no more in the job.
 */
final readonly class StripFacts implements \JsonSerializable
{
    private function __construct(
        public string $part,
        public string $name,
        public CameOff $how,
        public ?float $forceN,
        public ?float $heatC,
        public ?TypedLength $depth,
        public string $mark,
        public string $bag,
        public string $note,
        /** A photograph of the job that shows its mark, or how it lay. */
        public ?string $photo = null,
    ) {
    }

    public static function read(Fields $f): self
    {
        $force = $f->numberOrNull('force_n');
        if ($force !== null && $force < 0) {
            throw $f->bad('force_n', 'must be zero or more.');
        }

        return new self(
            part: $f->text('part'),
            name: $f->text('name'),
            how: $f->choice('how', CameOff::class),
            forceN: $force,
            heatC: $f->numberOrNull('heat_c'),
            depth: $f->lengthOrNull('depth'),
            mark: $f->label('mark'),
            bag: $f->label('bag'),
            note: $f->label('note'),
            photo: $f->textOrNull('photo'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'part' => $this->part,
            'name' => $this->name,
            'how' => $this->how->value,
            'force_n' => $this->forceN,
            'heat_c' => $this->heatC,
            'depth' => $this->depth,
            'mark' => $this->mark,
            'bag' => $this->bag,
            'note' => $this->note,
            'photo' => $this->photo,
        ];
    }
}

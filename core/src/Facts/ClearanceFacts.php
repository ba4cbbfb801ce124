<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Loop\Neighbour;
use Oldpart\Core\Loop\Travel;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\TypedLength;

/** Something that moves past something else, and the least room wanted between them: what is not typed yet is null. */
final readonly class ClearanceFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public string $name,
        public Travel $travel,
        public ?TypedLength $arm,
        public ?TypedLength $mover,
        public ?float $fromDeg,
        public ?float $toDeg,
        public ?TypedLength $from,
        public ?TypedLength $to,
        public Neighbour $other,
        public ?TypedLength $x,
        public ?TypedLength $y,
        public ?TypedLength $otherSize,
        public ?TypedLength $doubt,
        public ?TypedLength $least,
    ) {
    }

    public static function read(Fields $f): self
    {
        $deg = static function (string $name) use ($f): ?float {
            $value = $f->numberOrNull($name);
            if ($value !== null && abs($value) > 720) {
                throw $f->bad($name, 'must be an angle from −720 to 720°.');
            }

            return $value;
        };

        return new self(
            id: $f->text('id'),
            name: $f->text('name'),
            travel: $f->choice('travel', Travel::class),
            arm: $f->lengthOrNull('arm', true),
            mover: $f->lengthOrNull('mover'),
            fromDeg: $deg('from_deg'),
            toDeg: $deg('to_deg'),
            from: $f->lengthOrNull('from', true),
            to: $f->lengthOrNull('to', true),
            other: $f->choice('other', Neighbour::class),
            x: $f->lengthOrNull('x', true),
            y: $f->lengthOrNull('y', true),
            otherSize: $f->lengthOrNull('other_size'),
            doubt: $f->lengthOrNull('doubt'),
            least: $f->lengthOrNull('least'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'travel' => $this->travel->value,
            'arm' => $this->arm,
            'mover' => $this->mover,
            'from_deg' => $this->fromDeg,
            'to_deg' => $this->toDeg,
            'from' => $this->from,
            'to' => $this->to,
            'other' => $this->other->value,
            'x' => $this->x,
            'y' => $this->y,
            'other_size' => $this->otherSize,
            'doubt' => $this->doubt,
            'least' => $this->least,
        ];
    }
}

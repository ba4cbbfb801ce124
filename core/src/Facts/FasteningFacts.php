<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Joint\FasteningKind;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\TypedLength;

/**
 * What drives or keeps a joint beside its fit. `size`: the key's width, the pin's or screw's diameter, the fillet's
 * leg. `size2`: the key's height. `long`: of the key, or of a dowel along the joint. `circle`: through a flange.
 * `count`; `tighten_nm`: each screw; `half_angle_deg`: of a split bush. `material`: of the key or the pins.
 */
final readonly class FasteningFacts implements \JsonSerializable
{
    public function __construct(
        public FasteningKind $kind,
        public ?TypedLength $size,
        public ?TypedLength $size2,
        public ?TypedLength $long,
        public ?TypedLength $circle,
        public int $count,
        public ?float $tightenNm,
        public ?float $halfAngleDeg,
        public ?string $material,
        /** The mark on a screw’s head, by its code in data/bolt-classes.json; and how it turns: dry, oiled, paste. */
        public ?string $grade = null,
        public ?string $turns = null,
    ) {
    }

    public static function read(Fields $f): self
    {
        $count = $f->numberOrNull('count') ?? 1.0;
        if ($count < 1 || $count > 100 || $count !== floor($count)) {
            throw $f->bad('count', 'must be a whole number from 1 to 100.');
        }

        return new self(
            kind: $f->choice('kind', FasteningKind::class),
            size: $f->lengthOrNull('size'),
            size2: $f->lengthOrNull('size2'),
            long: $f->lengthOrNull('long'),
            circle: $f->lengthOrNull('circle'),
            count: (int) $count,
            tightenNm: $f->numberOrNull('tighten_nm'),
            halfAngleDeg: $f->numberOrNull('half_angle_deg'),
            material: $f->textOrNull('material'),
            grade: $f->textOrNull('grade'),
            turns: $f->textOrNull('turns'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'kind' => $this->kind->value,
            'size' => $this->size,
            'size2' => $this->size2,
            'long' => $this->long,
            'circle' => $this->circle,
            'count' => $this->count,
            'tighten_nm' => $this->tightenNm,
            'half_angle_deg' => $this->halfAngleDeg,
            'material' => $this->material,
            'grade' => $this->grade,
            'turns' => $this->turns,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\TypedLength;

/**
 * One length of a loop: a surface of the job, whose own size and doubt count, or a size typed with its limits.
 *
 * `counts_half`: a diameter in a loop across the axis. `reserve_least` and `reserve_most`: between which sizes it may
 * be moved without harm. `in_use_c` and `material`: how warm it gets and what it is of, where its growth matters.
 * `angle_deg`: which way it points, in a loop of two directions, from the first direction toward the second.
 */
final readonly class LoopLength implements \JsonSerializable
{
    public function __construct(
        public string $name,
        public ?string $surface,
        public ?TypedLength $size,
        public ?TypedLength $plus,
        public ?TypedLength $minus,
        public bool $opens,
        public Spread $spread,
        public bool $countsHalf = false,
        public ?TypedLength $reserveLeast = null,
        public ?TypedLength $reserveMost = null,
        public ?float $inUseC = null,
        public ?string $material = null,
        public ?float $angleDeg = null,
        public LengthOrigin $origin = LengthOrigin::Plan,
    ) {
    }

    public static function read(Fields $f): self
    {
        $celsius = $f->numberOrNull('in_use_c');
        if ($celsius !== null && ($celsius < -200 || $celsius > 1000)) {
            throw $f->bad('in_use_c', 'must be a temperature from −200 to 1000 °C.');
        }
        $angle = $f->numberOrNull('angle_deg');
        if ($angle !== null && abs($angle) > 360) {
            throw $f->bad('angle_deg', 'must be an angle from −360 to 360°.');
        }

        return new self(
            name: $f->text('name'),
            surface: $f->textOrNull('surface'),
            size: $f->lengthOrNull('size'),
            plus: $f->lengthOrNull('plus'),
            minus: $f->lengthOrNull('minus'),
            opens: $f->flag('opens'),
            spread: $f->choice('spread', Spread::class),
            countsHalf: $f->flagOrNull('counts_half') ?? false,
            reserveLeast: $f->lengthOrNull('reserve_least'),
            reserveMost: $f->lengthOrNull('reserve_most'),
            inUseC: $celsius,
            material: $f->textOrNull('material'),
            angleDeg: $angle,
            origin: $f->choiceOrNull('origin', LengthOrigin::class) ?? LengthOrigin::Plan,
        );
    }

    /** What tells it from others: the same surface, or the same name, in two loops is the same piece. */
    public function key(): string
    {
        return $this->surface ?? 'name:'.mb_strtolower(trim($this->name));
    }

    /**
     * The same piece as another: the same surface, or a typed length of the same name and size. Alike named ones of
     * other sizes are others.
     */
    public function isSamePiece(self $other): bool
    {
        return $this->key() === $other->key()
            && ($this->surface !== null
                || (($this->size === null) === ($other->size === null)
                    && abs(($this->size->length->mm ?? 0.0) - ($other->size->length->mm ?? 0.0)) < 1e-9));
    }

    public function direction(): int
    {
        return $this->opens ? 1 : -1;
    }

    public function weight(): float
    {
        return $this->countsHalf ? 0.5 : 1.0;
    }

    /** Between which sizes it may be moved without harm; null where it may not. */
    public function reserve(): ?Range
    {
        if ($this->reserveLeast === null && $this->reserveMost === null) {
            return null;
        }
        $least = $this->reserveLeast->length->mm ?? 0.0;
        $most = $this->reserveMost->length->mm ?? LengthReader::LONGEST_MM;

        return new Range(min($least, $most), max($least, $most));
    }

    /** The same length with another size typed, and other limits where they are given. */
    public function withSize(TypedLength $size, ?TypedLength $plus = null, ?TypedLength $minus = null): self
    {
        return new self(
            name: $this->name,
            surface: $this->surface,
            size: $size,
            plus: $plus ?? $this->plus,
            minus: $minus ?? $this->minus,
            opens: $this->opens,
            spread: $this->spread,
            countsHalf: $this->countsHalf,
            reserveLeast: $this->reserveLeast,
            reserveMost: $this->reserveMost,
            inUseC: $this->inUseC,
            material: $this->material,
            angleDeg: $this->angleDeg,
            origin: $this->origin,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'surface' => $this->surface,
            'size' => $this->size,
            'plus' => $this->plus,
            'minus' => $this->minus,
            'opens' => $this->opens,
            'spread' => $this->spread->value,
            'counts_half' => $this->countsHalf,
            'reserve_least' => $this->reserveLeast,
            'reserve_most' => $this->reserveMost,
            'in_use_c' => $this->inUseC,
            'material' => $this->material,
            'angle_deg' => $this->angleDeg,
            'origin' => $this->origin->value,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** One number of a shape: what one dials, drills or reads. */
final readonly class ShapeNumber implements \JsonSerializable
{
    /** @param  ?string  $what  the dimension it is read at, where it has limits */
    private function __construct(
        public string $name,
        public Say $says,
        public ?Band $band = null,
        public ?string $what = null,
        public ?FoundSize $made = null,
    ) {
    }

    public static function said(string $name, Say|string $says): self
    {
        return new self($name, is_string($says) ? Say::plain($says) : $says);
    }

    public static function size(string $name, float $mm): self
    {
        return new self($name, LengthWriter::size($mm));
    }

    public static function within(string $name, Band $band, ?string $what = null): self
    {
        return new self(
            $name,
            Say::with('{a} to {b}', ['a' => LengthWriter::lower($band), 'b' => LengthWriter::upper($band)]),
            $band,
            $what,
        );
    }

    /** With what it came out at. */
    public function made(?FoundSize $made): self
    {
        return new self($this->name, $this->says, $this->band, $this->what, $made);
    }

    /** Inside its limits, outside, or too near to one to say; null before it is read, and where it has none. */
    public function verdict(): ?Acceptance
    {
        return $this->made === null || $this->band === null
            ? null
            : Acceptance::of($this->made->meanMm, $this->made->sureMm(), $this->band);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'says' => $this->says,
            'what' => $this->what,
            'made' => $this->made === null ? null : LengthWriter::size($this->made->meanMm, $this->made->sureMm()),
            'verdict' => $this->verdict()?->value,
        ];
    }
}

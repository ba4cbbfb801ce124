<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;

/** What a typed length was read as, to be said back while it is typed. */
final readonly class Understood implements \JsonSerializable
{
    /** Below this a size is said in thou and µm too, mm. */
    private const FINE_MM = 0.1;

    private function __construct(public TypedLength $length)
    {
    }

    /**
     * @param  bool  $signed  may be below zero
     * @param  bool  $reading  may be a pair of pins, a sum, or a comparison with a master
     *
     * @throws BadInput for what can't be read as a length
     */
    public static function of(string $text, Unit $unit, bool $signed = false, bool $reading = false): self
    {
        return new self($reading ? ReadingReader::read($text, $unit) : LengthReader::read($text, $unit, $signed));
    }

    public function shown(): Say
    {
        return LengthWriter::signed($this->length->length->mm);
    }

    public function fine(): ?Say
    {
        return abs($this->length->length->mm) < self::FINE_MM ? LengthWriter::fine($this->length->length->mm) : null;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['shown' => $this->shown(), 'fine' => $this->fine()];
    }
}

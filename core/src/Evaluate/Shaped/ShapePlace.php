<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Quantity\LengthWriter;

/** Where one hole of a pattern lies, from where its part is dialled from; drilled off one by one. */
final readonly class ShapePlace implements \JsonSerializable
{
    public function __construct(
        public int $number,
        public float $xMm,
        public float $yMm,
        public float $deg,
        /** What it is ticked by. */
        public string $tick,
        public bool $isDrilled,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'number' => $this->number,
            'x' => LengthWriter::signed($this->xMm),
            'y' => LengthWriter::signed($this->yMm),
            'deg' => round(fmod($this->deg + 360, 360), 3),
            'tick' => $this->tick,
            'drilled' => $this->isDrilled,
        ];
    }
}

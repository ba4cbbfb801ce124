<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** A piece of work in the quote: set up once, then run for each piece; minutes. */
final readonly class OperationFacts implements \JsonSerializable
{
    public function __construct(public string $id, public string $name, public float $setupMin, public float $runMin)
    {
    }

    public static function read(Fields $f): self
    {
        return new self($f->text('id'), $f->text('name'), $f->number('setup_min'), $f->number('run_min'));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'setup_min' => $this->setupMin, 'run_min' => $this->runMin];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** A step of the work that the person wants and nothing works out. */
final readonly class OwnStep implements \JsonSerializable
{
    private function __construct(public string $code, public string $do)
    {
    }

    public static function read(Fields $f): self
    {
        return new self($f->text('code'), $f->text('do'));
    }

    /** @return array{code: string, do: string} */
    public function jsonSerialize(): array
    {
        return ['code' => $this->code, 'do' => $this->do];
    }
}

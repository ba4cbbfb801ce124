<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Catalogue\Table;

/** A hard fact that makes a job longer than it looks (data/risk.json). */
final readonly class Risk implements \JsonSerializable
{
    private function __construct(public string $code, public string $says, public float $factor)
    {
    }

    public static function named(string $code): self
    {
        foreach (Table::rows('risk') as $row) {
            if ($row['code'] === $code && is_string($row['says']) && is_numeric($row['factor'])) {
                return new self($code, $row['says'], (float) $row['factor']);
            }
        }
        throw new \LogicException("There is no risk called {$code}.");
    }

    /** @return array{code: string, says: string, factor: float} */
    public function jsonSerialize(): array
    {
        return ['code' => $this->code, 'says' => $this->says, 'factor' => $this->factor];
    }
}

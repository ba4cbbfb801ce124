<?php

declare(strict_types=1);

namespace Oldpart\Core\Safety;

use Oldpart\Core\Catalogue\Table;

/** A caution that is ticked before its step (data/cautions.json). */
final readonly class Caution
{
    private function __construct(public string $code, public string $process, public string $says)
    {
    }

    /** @return list<Caution> */
    public static function for(string $process): array
    {
        /** @var list<array{code: string, process: string, says: string}> $rows */
        $rows = Table::rows('cautions');

        return array_values(
            array_map(
                static fn (array $r): self => new self($r['code'], $r['process'], $r['says']),
                array_filter($rows, static fn (array $r): bool => $r['process'] === $process),
            ),
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Safety;

use Oldpart\Core\Catalogue\Table;

/** Work where sizes are issued only after someone named accepts responsibility (data/gates.json). */
final readonly class Gate
{
    private function __construct(public string $code, public string $name, public string $says)
    {
    }

    /** @return list<Gate> */
    public static function all(): array
    {
        /** @var list<array{code: string, name: string, says: string}> $rows */
        $rows = Table::rows('gates');

        return array_map(static fn (array $r): self => new self($r['code'], $r['name'], $r['says']), $rows);
    }

    /**
     * @param  list<string>  $codes
     * @return list<Gate>
     */
    public static function those(array $codes): array
    {
        return array_values(array_filter(self::all(), static fn (self $g): bool => in_array($g->code, $codes, true)));
    }
}

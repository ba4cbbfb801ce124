<?php

declare(strict_types=1);

namespace Oldpart\Core\Taper;

use Oldpart\Core\Catalogue\Table;

/** A taper of the tables (data/tapers.json). */
final readonly class StandardTaper
{
    private function __construct(public string $name, public float $perFootIn, public float $differencePerFootIn)
    {
    }

    /**
     * The nearest first.
     *
     * @param  int  $most  how many, 1 or more
     * @return list<self>
     */
    public static function near(Taper $taper, int $most = 5): array
    {
        /** @var list<array{string, float}> $rows */
        $rows = Table::read('tapers')['rows'];
        $all = array_map(
            static fn (array $r): self => new self($r[0], $r[1], $taper->perFootIn() - $r[1]),
            $rows,
        );
        usort(
            $all,
            static fn (self $a, self $b): int => abs($a->differencePerFootIn) <=> abs($b->differencePerFootIn),
        );

        return array_slice($all, 0, $most);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Shape;

use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Measure\SurfaceKind;

/** What may be read of a shape besides the size that stands for it (data/dimensions.json). */
final readonly class Dimension
{
    private function __construct(public string $code, public string $label, public SurfaceKind $kind)
    {
    }

    /** @return list<self> in the order they are asked for; none for what has one size */
    public static function of(SurfaceType $type): array
    {
        return self::all()[$type->value] ?? [];
    }

    /** Of any surface. */
    public static function isKnown(string $code): bool
    {
        return in_array($code, array_column(array_merge(...array_values(self::all())), 'code'), true);
    }

    /** @return array<string, list<self>> */
    private static function all(): array
    {
        /** @var array<string, list<self>> $all */
        static $all = [];
        if ($all === []) {
            /** @var list<array{string, string, string, string}> $rows */
            $rows = Table::read('dimensions')['rows'];
            foreach ($rows as [$surface, $code, $label, $kind]) {
                $all[$surface][] = new self($code, $label, SurfaceKind::from($kind));
            }
        }

        return $all;
    }

    public static function named(SurfaceType $type, string $code): ?self
    {
        foreach (self::of($type) as $dimension) {
            if ($dimension->code === $code) {
                return $dimension;
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

use Oldpart\Core\Advice\BadInput;

/** Friction when pressing: the low end for what will hold, the high end for what the press must give. */
final readonly class Friction
{
    public function __construct(public float $low, public float $high, public string $source)
    {
        if ($low < 0 || $low > $high || $high > 2) {
            throw new BadInput('friction', 'friction', 'Friction goes from low to high, both from 0 to 2.');
        }
    }

    /** For two families of material, oiled; the widest range with a remark when the pair is not listed. */
    public static function between(Material $a, Material $b): self
    {
        $pair = [$a->family, $b->family];
        sort($pair);
        foreach (Table::rows('friction') as $row) {
            /** @var array{pair: list<string>, state: string, low: float, high: float} $row */
            $listed = $row['pair'];
            sort($listed);
            if ($listed === $pair && $row['state'] === 'oiled') {
                return new self(
                    $row['low'],
                    $row['high'],
                    "{$row['pair'][0]} on {$row['pair'][1]}, oiled; common practice",
                );
            }
        }
        /** @var array{low: float, high: float} $wide */
        $wide = Table::read('friction')['unlisted'];

        return new self($wide['low'], $wide['high'], 'this pair is not listed: a wide range is taken; common practice');
    }
}

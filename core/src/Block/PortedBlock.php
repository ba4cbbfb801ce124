<?php

declare(strict_types=1);

namespace Oldpart\Core\Block;

use Oldpart\Core\Advice\BadInput;

/** A block with drillings: which meet, and the least metal from each to a face it does not come out of; mm. */
final readonly class PortedBlock
{
    /**
     * @param  list<Drilling>  $drillings
     *
     * @throws BadInput for a block of nothing
     */
    public function __construct(private Vector $size, private array $drillings)
    {
        if (! ($size->x > 0) || ! ($size->y > 0) || ! ($size->z > 0)) {
            throw new BadInput('block', 'block', 'The block has a length, a width and a height above zero.');
        }
    }

    /** @return list<array{a: string, b: string, meets: bool, gap_mm: float}> */
    public function pairs(): array
    {
        $pairs = [];
        foreach ($this->drillings as $i => $a) {
            foreach (array_slice($this->drillings, $i + 1) as $b) {
                $gap = $a->gapMm($b);
                $pairs[] = ['a' => $a->name, 'b' => $b->name, 'meets' => $gap <= 0, 'gap_mm' => $gap];
            }
        }

        return $pairs;
    }

    /** @return list<array{name: string, least_mm: ?float, face: ?string}> null where it comes out of every face */
    public function walls(): array
    {
        $walls = [];
        foreach ($this->drillings as $drilling) {
            $least = null;
            $face = null;
            foreach ($this->faces($drilling) as $name => $wall) {
                if ($wall !== null && ($least === null || $wall < $least)) {
                    [$least, $face] = [$wall, $name];
                }
            }
            $walls[] = ['name' => $drilling->name, 'least_mm' => $least, 'face' => $face];
        }

        return $walls;
    }

    /** @return array<string, ?float> by face; null where it comes out of it */
    private function faces(Drilling $d): array
    {
        $faces = [];
        foreach (
            ['x' => ['left', 'right'], 'y' => ['front', 'back'], 'z' => ['bottom', 'top']] as $axis => [$low, $high]
        ) {
            // So far its round reaches beyond its axis in this direction.
            $reach = ($d->diameterMm / 2) * sqrt(max(0.0, 1 - $d->along->{$axis} ** 2));
            $least = min($d->from->{$axis}, $d->to->{$axis});
            $most = max($d->from->{$axis}, $d->to->{$axis});
            $faces[$low] = $least <= Vector::NEAR_MM ? null : $least - $reach;
            $beyond = $this->size->{$axis} - $most;
            $faces[$high] = $beyond <= Vector::NEAR_MM ? null : $beyond - $reach;
        }

        return $faces;
    }
}

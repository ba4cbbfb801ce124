<?php

declare(strict_types=1);

namespace Oldpart\Core\Pattern;

use Oldpart\Core\Advice\BadInput;

/** A dividing head: whole turns of its crank and holes of a plate for each division. */
final readonly class Dividing
{
    /** Plates as they mostly come with a head. */
    public const PLATES = [15, 16, 17, 18, 19, 20, 21, 23, 27, 29, 31, 33, 37, 39, 41, 43, 47, 49];

    private const NEAREST = 5;

    /**
     * @param  list<array{plate: int, holes: int}>  $ways  exact ones
     * @param  list<array{plate: int, turns: int, holes: int, error_deg: float}>  $nearest  best first, where none is exact
     */
    private function __construct(public int $turns, public array $ways, public array $nearest)
    {
    }

    /**
     * @param  int  $divisions  1 to 100000
     * @param  int  $ratio  turns of the crank for one of the work, 1 to 1000
     * @param  list<int>  $plates  holes of each circle
     *
     * @throws BadInput for a head that is none
     */
    public static function into(int $divisions, int $ratio = 40, array $plates = self::PLATES): self
    {
        if ($divisions < 1 || $divisions > 100_000) {
            throw new BadInput('divisions', 'divisions', 'How many divisions: from 1 to 100,000.');
        }
        if ($ratio < 1 || $ratio > 1000) {
            throw new BadInput('ratio', 'ratio', 'Turns of the crank for one of the work: from 1 to 1000; 40 for most heads.');
        }
        $turns = intdiv($ratio, $divisions);
        $rest = $ratio % $divisions;
        [$ways, $nearest] = [[], []];
        foreach ($plates as $plate) {
            if ($plate < 1) {
                throw new BadInput('plates', 'plates', 'A plate has one hole at least.');
            }
            if (($rest * $plate) % $divisions === 0) {
                $ways[] = ['plate' => $plate, 'holes' => intdiv($rest * $plate, $divisions)];
            }
            $holes = (int) round(($ratio * $plate) / $divisions);
            $nearest[] = [
                'plate' => $plate,
                'turns' => intdiv($holes, $plate),
                'holes' => $holes % $plate,
                'error_deg' => (360 / $ratio) * ($holes / $plate - $ratio / $divisions),
            ];
        }
        usort($nearest, static fn (array $a, array $b): int => abs($a['error_deg']) <=> abs($b['error_deg']));

        return new self($turns, $ways, $ways === [] ? array_slice($nearest, 0, self::NEAREST) : []);
    }
}

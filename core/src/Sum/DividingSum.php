<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Pattern\Dividing;
use Oldpart\Core\Quantity\Fields;

final class DividingSum implements Sum
{
    public function name(): string
    {
        return 'dividing';
    }

    public function says(): string
    {
        return 'Turns and holes of a dividing head for so many divisions.';
    }

    public function example(): array
    {
        return ['divisions' => 17];
    }

    public function takes(): array
    {
        return ['divisions', 'ratio', 'plates'];
    }

    public function run(Fields $in): array
    {
        $plates = Dividing::PLATES;
        if ($in->has('plates')) {
            $plates = $in->wholes('plates');
        }
        $way = Dividing::into($in->whole('divisions'), $in->has('ratio') ? $in->whole('ratio') : 40, $plates);

        return [
            'possible' => $way->ways !== [],
            'turns' => $way->turns,
            'ways' => $way->ways,
            'nearest' => $way->nearest,
            'notes' => $way->ways !== []
                ? []
                : [Note::caution('not-exact', 'No plate gives it exactly: the error of one division adds up round the work. Take another plate, or divide by angle.')],
            'working' => [
                new WorkingStep('Crank', 'turns = ratio / divisions; the rest in holes of a plate', (string) $way->turns, 'geometry of a worm and wheel'),
            ],
        ];
    }
}

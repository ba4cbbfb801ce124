<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Pattern\Point;
use Oldpart\Core\Quantity\Fields;

/** Places on a plate, as several sums take them. */
final class PointsInput
{
    /** @return list<Point> */
    public static function read(Fields $in, string $name): array
    {
        return array_map(static function (Fields $p): Point {
            $p->only(['x_mm', 'y_mm']);

            return new Point($p->number('x_mm'), $p->number('y_mm'));
        }, $in->objects($name));
    }
}

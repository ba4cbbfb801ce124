<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\RoundedOutline;

final class PlateSum implements Sum
{
    /** From a hole's edge to the outline, in its size. Common practice. */
    private const WALL = 1.0;

    private const MOST = 100;

    public function name(): string
    {
        return 'plate';
    }

    public function says(): string
    {
        return 'A plate or lever from its corners and radii: where lines and arcs meet, holes and slots, walls, weight; left or right.';
    }

    public function example(): array
    {
        return [
            'corners' => [
                ['x_mm' => 0.0, 'y_mm' => 0.0, 'radius_mm' => 5.0],
                ['x_mm' => 120.0, 'y_mm' => 0.0, 'radius_mm' => 12.0],
                ['x_mm' => 120.0, 'y_mm' => 30.0, 'radius_mm' => 12.0],
                ['x_mm' => 60.0, 'y_mm' => 60.0, 'radius_mm' => 20.0],
                ['x_mm' => 0.0, 'y_mm' => 60.0, 'radius_mm' => 5.0],
            ],
            'holes' => [['name' => 'pivot', 'x_mm' => 20.0, 'y_mm' => 40.0, 'diameter_mm' => 20.0], ['name' => 'pin', 'x_mm' => 105.0, 'y_mm' => 15.0, 'diameter_mm' => 10.0]],
            'slots' => [['name' => 'slot', 'x1_mm' => 50.0, 'y1_mm' => 15.0, 'x2_mm' => 80.0, 'y2_mm' => 15.0, 'wide_mm' => 8.0]],
            'thick_mm' => 10.0,
            'mirrored' => false,
        ];
    }

    public function takes(): array
    {
        return ['corners', 'holes', 'slots', 'thick_mm', 'density_kg_m3', 'mirrored'];
    }

    public function run(Fields $in): array
    {
        $way = ($in->flagOrNull('mirrored') ?? false) ? -1.0 : 1.0;
        $rows = function (string $name) use ($in): array {
            $rows = $in->has($name) ? $in->objects($name) : [];
            if (count($rows) > self::MOST) {
                throw $in->bad($name, 'are more than '.self::MOST.'.');
            }

            return $rows;
        };
        $outline = self::corners($rows('corners'), $way);
        $cuts = [...self::holes($rows('holes'), $way), ...self::slots($rows('slots'), $way)];
        $walls = self::walls($outline, $cuts);
        $gone = array_sum(array_column($cuts, 'area'));
        $thick = $in->numberOrNull('thick_mm');
        $density = $in->numberOrNull('density_kg_m3') ?? 7850.0;
        $thin = array_filter($walls, static fn (array $w): bool => $w['wall_mm'] < self::WALL * $w['size']);

        return [
            'arcs' => array_map(static fn (array $arc): array => [
                'corner' => $arc['corner'],
                'from_mm' => array_map(static fn (float $v): float => round($v, 4), $arc['from']),
                'to_mm' => array_map(static fn (float $v): float => round($v, 4), $arc['to']),
                'middle_mm' => array_map(static fn (float $v): float => round($v, 4), $arc['middle']),
                'radius_mm' => $arc['radius'],
            ], $outline->arcs),
            'centres' => self::centres($cuts),
            'walls' => array_map(static fn (array $w): array => ['name' => $w['name'], 'wall_mm' => $w['wall_mm']], $walls),
            'area_mm2' => $outline->areaMm2 - $gone,
            'round_mm' => $outline->roundMm,
            'mass_kg' => $thick === null ? null : ($outline->areaMm2 - $gone) * $thick * $density / 1e9,
            'notes' => [
                ...array_map(static fn (array $w): Note => $w['wall_mm'] <= 0
                    ? Note::stop('breaks-out', Say::plain("“{$w['name']}” breaks out of the plate."))
                    : Note::caution('thin-wall', Say::with("Only {w} is left beside “{$w['name']}”: as much as its size is wanted.", [
                        'w' => LengthWriter::sizeInWords($w['wall_mm']),
                    ])), array_values($thin)),
                ...self::meeting($cuts),
                ...$thick === null || $in->has('density_kg_m3') ? [] : [Note::info('density', 'Steel, 7850 kg/m³, is taken.')],
                Note::info('reference', $way < 0 ? 'Mirrored left to right: its x runs the other way.' : 'Angles are from the x axis; from the other side they are the complement.'),
            ],
            'working' => [
                new WorkingStep('Arcs', 'a radius takes r / tan(θ/2) of each side of its corner', Say::plain(count($outline->arcs).' arcs'), 'geometry'),
            ],
        ];
    }

    /**
     * @param  array<string, mixed>  $in  corners, and whether it is mirrored
     *
     * @throws BadInput naming the corner that can't be read
     */
    public static function outline(array $in): RoundedOutline
    {
        $fields = new Fields($in);

        return self::corners($fields->objects('corners'), ($fields->flagOrNull('mirrored') ?? false) ? -1.0 : 1.0);
    }

    /** @param  list<Fields>  $rows */
    private static function corners(array $rows, float $way): RoundedOutline
    {
        return new RoundedOutline(array_map(static function (Fields $f) use ($way): array {
            $f->only(['x_mm', 'y_mm', 'radius_mm']);

            return ['x' => $way * $f->number('x_mm'), 'y' => $f->number('y_mm'), 'r' => $f->numberOrNull('radius_mm') ?? 0.0];
        }, $rows));
    }

    /**
     * @param  list<Fields>  $rows
     * @return list<array{name: string, x1: float, y1: float, x2: float, y2: float, r: float, area: float}>
     */
    private static function holes(array $rows, float $way): array
    {
        return array_map(static function (Fields $f) use ($way): array {
            $f->only(['name', 'x_mm', 'y_mm', 'diameter_mm']);
            [$x, $y, $r] = [$way * $f->number('x_mm'), $f->number('y_mm'), $f->number('diameter_mm') / 2];
            if (! ($r > 0)) {
                throw $f->bad('diameter_mm', 'must be above zero.');
            }

            return ['name' => $f->textOrNull('name') ?? '', 'x1' => $x, 'y1' => $y, 'x2' => $x, 'y2' => $y, 'r' => $r, 'area' => M_PI * $r ** 2];
        }, $rows);
    }

    /**
     * @param  list<Fields>  $rows
     * @return list<array{name: string, x1: float, y1: float, x2: float, y2: float, r: float, area: float}>
     */
    private static function slots(array $rows, float $way): array
    {
        return array_map(static function (Fields $f) use ($way): array {
            $f->only(['name', 'x1_mm', 'y1_mm', 'x2_mm', 'y2_mm', 'wide_mm']);
            [$x1, $y1, $x2, $y2] = [$way * $f->number('x1_mm'), $f->number('y1_mm'), $way * $f->number('x2_mm'), $f->number('y2_mm')];
            $r = $f->number('wide_mm') / 2;
            if (! ($r > 0)) {
                throw $f->bad('wide_mm', 'must be above zero.');
            }

            return [
                'name' => $f->textOrNull('name') ?? '', 'x1' => $x1, 'y1' => $y1, 'x2' => $x2, 'y2' => $y2, 'r' => $r,
                'area' => M_PI * $r ** 2 + 2 * $r * hypot($x2 - $x1, $y2 - $y1),
            ];
        }, $rows);
    }

    /**
     * @param  list<array{name: string, x1: float, y1: float, x2: float, y2: float, r: float, area: float}>  $cuts
     * @return list<array{name: string, wall_mm: float, size: float}>
     */
    private static function walls(RoundedOutline $outline, array $cuts): array
    {
        return array_map(static function (array $cut) use ($outline): array {
            $least = INF;
            foreach (range(0, $cut['x1'] === $cut['x2'] && $cut['y1'] === $cut['y2'] ? 0 : 16) as $i) {
                $t = $i / 16;
                $least = min($least, $outline->insideMm(
                    $cut['x1'] + $t * ($cut['x2'] - $cut['x1']),
                    $cut['y1'] + $t * ($cut['y2'] - $cut['y1']),
                ));
            }

            return ['name' => $cut['name'], 'wall_mm' => $least - $cut['r'], 'size' => 2 * $cut['r']];
        }, $cuts);
    }

    /**
     * @param  list<array{name: string, x1: float, y1: float, x2: float, y2: float, r: float, area: float}>  $cuts
     * @return list<Note> holes and slots with no metal, or little, between them
     */
    private static function meeting(array $cuts): array
    {
        $notes = [];
        foreach ($cuts as $i => $a) {
            foreach (array_slice($cuts, $i + 1) as $b) {
                $wall = self::apart($a, $b) - $a['r'] - $b['r'];
                $both = "“{$a['name']}” and “{$b['name']}”";
                if ($wall <= 0) {
                    $notes[] = Note::stop('cuts-meet', Say::plain("{$both} run into each other. Area and weight count what they share twice."));
                } elseif ($wall < self::WALL * 2 * min($a['r'], $b['r'])) {
                    $notes[] = Note::caution('thin-between', Say::with("Only {w} is left between {$both}: as much as the smaller’s size is wanted.", [
                        'w' => LengthWriter::sizeInWords($wall),
                    ]));
                }
            }
        }

        return $notes;
    }

    /**
     * The least between the middle lines of two: none where they cross, else from an end of one to the other.
     *
     * @param  array{x1: float, y1: float, x2: float, y2: float}  $a
     * @param  array{x1: float, y1: float, x2: float, y2: float}  $b
     */
    private static function apart(array $a, array $b): float
    {
        $side = static fn (array $l, float $x, float $y): float => ($l['x2'] - $l['x1']) * ($y - $l['y1'])
            - ($l['y2'] - $l['y1']) * ($x - $l['x1']);
        $splits = static function (array $l, array $m) use ($side): bool {
            return $side($l, $m['x1'], $m['y1']) * $side($l, $m['x2'], $m['y2']) < 0;
        };
        if ($splits($a, $b) && $splits($b, $a)) {
            return 0.0;
        }

        return min(
            self::toLine($a, $b['x1'], $b['y1']),
            self::toLine($a, $b['x2'], $b['y2']),
            self::toLine($b, $a['x1'], $a['y1']),
            self::toLine($b, $a['x2'], $a['y2']),
        );
    }

    /** @param  array{x1: float, y1: float, x2: float, y2: float}  $line */
    private static function toLine(array $line, float $x, float $y): float
    {
        [$dx, $dy] = [$line['x2'] - $line['x1'], $line['y2'] - $line['y1']];
        $long = $dx ** 2 + $dy ** 2;
        $t = $long > 0 ? max(0.0, min(1.0, (($x - $line['x1']) * $dx + ($y - $line['y1']) * $dy) / $long)) : 0.0;

        return hypot($x - $line['x1'] - $t * $dx, $y - $line['y1'] - $t * $dy);
    }

    /**
     * @param  list<array{name: string, x1: float, y1: float, x2: float, y2: float, r: float, area: float}>  $cuts
     * @return list<array<string, mixed>> from each to the next: how far, at what angle, and from the other side
     */
    private static function centres(array $cuts): array
    {
        $rows = [];
        for ($i = 1; $i < count($cuts); $i++) {
            [$a, $b] = [$cuts[$i - 1], $cuts[$i]];
            $angle = rad2deg(atan2($b['y1'] - $a['y1'], $b['x1'] - $a['x1']));
            $rows[] = [
                'name' => "{$a['name']} to {$b['name']}",
                'apart_mm' => hypot($b['x1'] - $a['x1'], $b['y1'] - $a['y1']),
                'angle_deg' => round($angle, 4),
                'other_side_deg' => round(90 - min(abs($angle), 180 - abs($angle)), 4),
            ];
        }

        return $rows;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Block\Drilling;
use Oldpart\Core\Block\PortedBlock;
use Oldpart\Core\Block\Vector;
use Oldpart\Core\Quantity\Fields;

final class PortsSum implements Sum
{
    /** Each is held against every other. */
    private const MOST = 60;

    public function name(): string
    {
        return 'ports';
    }

    public function says(): string
    {
        return 'Drillings in a block: which meet, and the least metal to a face.';
    }

    public function example(): array
    {
        return ['block' => ['x_mm' => 80.0, 'y_mm' => 50.0, 'z_mm' => 40.0], 'drillings' => [['name' => 'main', 'from' => [0.0, 25.0, 20.0], 'to' => [60.0, 25.0, 20.0], 'diameter_mm' => 10.0], ['name' => 'cross', 'from' => [40.0, 25.0, 40.0], 'to' => [40.0, 25.0, 20.0], 'diameter_mm' => 8.0]]];
    }

    public function takes(): array
    {
        return ['block', 'drillings'];
    }

    public function run(Fields $in): array
    {
        $size = $in->object('block') ?? throw $in->bad('block', 'is missing.');
        $size->only(['x_mm', 'y_mm', 'z_mm']);
        $drillings = [];
        if (count($in->objects('drillings')) > self::MOST) {
            throw $in->bad('drillings', 'are more than '.self::MOST.': work a block out in two halves.');
        }
        foreach ($in->objects('drillings') as $i => $d) {
            $d->only(['name', 'from', 'to', 'diameter_mm']);
            $drillings[] = new Drilling(
                $d->text('name'),
                self::place($d, 'from'),
                self::place($d, 'to'),
                $d->number('diameter_mm'),
                "drillings.{$i}.",
            );
        }
        $block = new PortedBlock(new Vector($size->number('x_mm'), $size->number('y_mm'), $size->number('z_mm')), $drillings);
        $walls = $block->walls();
        $thin = array_filter($walls, static fn (array $w): bool => $w['least_mm'] !== null && $w['least_mm'] <= 0);

        $smallest = null;
        foreach ($drillings as $drilling) {
            $smallest = $smallest === null || $drilling->diameterMm < $smallest->diameterMm ? $drilling : $smallest;
        }

        return [
            'smallest_mm' => $smallest?->diameterMm,
            'smallest_mm2' => $smallest === null ? null : M_PI / 4 * $smallest->diameterMm ** 2,
            'pairs' => $block->pairs(),
            'walls' => $walls,
            'notes' => [
                Note::info('flat-ends', 'Drillings are taken with flat ends: the point of a drill goes about three tenths of its size deeper.'),
                ...array_map(static fn (array $w): Note => Note::stop('breaks-out', "“{$w['name']}” breaks out of the {$w['face']}."), array_values($thin)),
            ],
            'working' => [
                new WorkingStep('Drillings', 'least distance between two solids; to a face less how far the round reaches', (string) count($drillings), 'geometry'),
            ],
        ];
    }

    private static function place(Fields $d, string $name): Vector
    {
        $at = $d->numbers($name);
        if (count($at) !== 3) {
            throw $d->bad($name, 'must be three numbers: x, y and z.');
        }

        return new Vector(...$at);
    }
}

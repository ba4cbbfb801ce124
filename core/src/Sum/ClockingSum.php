<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Pattern\Clocking;
use Oldpart\Core\Pattern\HoleCircle;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class ClockingSum implements Sum
{
    public function name(): string
    {
        return 'clocking';
    }

    public function says(): string
    {
        return 'How to turn one hole circle against another so that most metal is left between their holes.';
    }

    public function example(): array
    {
        return [
            'a' => ['diameter_mm' => 80.0, 'holes' => 6, 'hole_mm' => 9.0, 'start_deg' => 0.0],
            'b' => ['diameter_mm' => 70.0, 'holes' => 4, 'hole_mm' => 8.0, 'start_deg' => 0.0],
        ];
    }

    public function takes(): array
    {
        return ['a', 'b'];
    }

    public function run(Fields $in): array
    {
        [$a, $b] = [$this->circle($in, 'a'), $this->circle($in, 'b')];
        $way = Clocking::of($a[0], $a[1], $b[0], $b[1]);

        return [
            'turn_deg' => $way->turnDeg,
            'wall_mm' => $way->wallMm,
            'notes' => [
                ...$b[0]->holes === 2
                    ? [Note::info('opposite', 'Two of them stand opposite each other: they hold its direction best so, and do not upset its balance.')]
                    : [],
                ...$way->wallMm >= 0
                ? []
                : [Note::stop('break-in', 'Even so they break into each other: take fewer or smaller holes, or another circle.')],
            ],
            'working' => [
                new WorkingStep('Turned', 'the middle of the widest gap between their angles', LengthWriter::difference($way->wallMm), 'law of cosines'),
            ],
        ];
    }

    /** @return array{HoleCircle, float} with the size of its holes */
    private function circle(Fields $in, string $name): array
    {
        $of = $in->object($name) ?? throw $in->bad($name, 'is missing.');
        $of->only(['diameter_mm', 'holes', 'hole_mm', 'start_deg']);
        $hole = $of->number('hole_mm');
        if ($hole <= 0) {
            throw $of->bad('hole_mm', 'must be above zero.');
        }

        return [new HoleCircle($of->whole('holes'), $of->number('diameter_mm'), $of->numberOrNull('start_deg') ?? 0.0), $hole];
    }
}

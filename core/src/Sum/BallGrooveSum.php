<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class BallGrooveSum implements Sum
{
    public function name(): string
    {
        return 'ball-groove';
    }

    public function says(): string
    {
        return 'How wide a groove is where a ball sinks into it so deep.';
    }

    public function example(): array
    {
        return ['ball_mm' => 6.0, 'depth_mm' => 2.0];
    }

    public function takes(): array
    {
        return ['ball_mm', 'depth_mm', 'side_mm'];
    }

    public function run(Fields $in): array
    {
        $ball = $in->number('ball_mm');
        $depth = $in->number('depth_mm');
        $side = $in->numberOrNull('side_mm') ?? 0.0;
        if ($ball <= 0) {
            throw $in->bad('ball_mm', 'must be above zero.');
        }
        if ($depth <= 0 || $depth > $ball / 2) {
            throw $in->bad('depth_mm', 'must be above zero and no more than half the ball.');
        }
        if ($side < 0) {
            throw $in->bad('side_mm', 'cannot be below zero.');
        }
        $width = 2 * sqrt($ball * $depth - $depth ** 2) + $side;

        return [
            'width_mm' => $width,
            'notes' => [],
            'working' => [
                new WorkingStep('Width', '2 √(2 r h − h²) and the side travel', LengthWriter::size($width), 'geometry of a chord'),
            ],
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class SineBarSum implements Sum
{
    public function name(): string
    {
        return 'sine-bar';
    }

    public function says(): string
    {
        return 'The stack of blocks under a sine bar for an angle.';
    }

    public function example(): array
    {
        return ['length_mm' => 100.0, 'angle_deg' => 10.0];
    }

    public function takes(): array
    {
        return ['length_mm', 'angle_deg'];
    }

    public function run(Fields $in): array
    {
        $length = $in->number('length_mm');
        $angle = $in->number('angle_deg');
        if ($length <= 0) {
            throw $in->bad('length_mm', 'must be above zero.');
        }
        if ($angle < 0 || $angle > 90) {
            throw $in->bad('angle_deg', 'must be from 0 to 90.');
        }
        $stack = $length * sin(deg2rad($angle));

        return [
            'stack_mm' => $stack,
            'notes' => $angle > 45
                ? [Note::caution('steep', 'Over 45° a small error of the stack turns into a large one of the angle: set its complement instead.')]
                : [],
            'working' => [
                new WorkingStep('Stack', 'length × sin of the angle', LengthWriter::size($stack), 'definition of a sine bar'),
            ],
        ];
    }
}

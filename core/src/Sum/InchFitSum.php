<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Fit\InchFit;
use Oldpart\Core\Fit\Limits;
use Oldpart\Core\Quantity\Fields;

final class InchFitSum implements Sum
{
    public function name(): string
    {
        return 'inch-fit';
    }

    public function says(): string
    {
        return 'Limits of a hole and a shaft of an inch class (RC, LC, LT, LN, FN), and the clearance between them.';
    }

    public function example(): array
    {
        return ['size_in' => 1.25, 'class' => 'FN2'];
    }

    public function takes(): array
    {
        return ['size_in', 'class'];
    }

    public function run(Fields $in): array
    {
        [$size, $class] = [$in->number('size_in'), $in->text('class')];
        $fit = InchFit::of($size * 25.4, $class);
        $thou = static fn (float $mm): float => round($mm / 0.0254, 6);
        $limits = static fn (Limits $l): array => [
            'upper_thou' => $thou($l->upperMm),
            'lower_thou' => $thou($l->lowerMm),
        ];
        $clearance = $fit->clearance();

        return [
            'hole' => $limits($fit->hole),
            'shaft' => $limits($fit->shaft),
            'clearance_thou' => ['min' => $thou($clearance->min), 'max' => $thou($clearance->max)],
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Limits',
                    'the row of the table that holds the size',
                    Say::plain("{$class} at {$size} in"),
                    'ANSI B4.1-1967 (R2009)',
                ),
            ],
        ];
    }
}

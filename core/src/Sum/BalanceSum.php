<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Shaft\Balance;

final class BalanceSum implements Sum
{
    public function name(): string
    {
        return 'balance';
    }

    public function says(): string
    {
        return 'The unbalance of a part that turns with its mass off its axis, and what its grade allows.';
    }

    public function example(): array
    {
        return ['mass_kg' => 8.0, 'offset_mm' => 0.05, 'speed_rpm' => 1450.0, 'grade' => 6.3];
    }

    public function takes(): array
    {
        return ['mass_kg', 'offset_mm', 'speed_rpm', 'grade'];
    }

    public function run(Fields $in): array
    {
        $of = new Balance($in->number('mass_kg'), $in->number('offset_mm'), $in->number('speed_rpm'), $in->number('grade'));

        return [
            'unbalance_gmm' => $of->unbalanceGmm,
            'allowed_offset_um' => $of->allowedUm,
            'force_n' => $of->forceN,
            'ratio' => $of->ratio,
            'notes' => $of->ratio <= 1
                ? []
                : [Note::caution('unbalanced', 'More than its grade allows: balance it, or bore it truer, before it runs. Guard the first run.')],
            'working' => [
                new WorkingStep('Balance', 'U = m e; allowed 1000 G/ω µm; F = m e ω²', number_format($of->ratio, 2).' of what is allowed', 'ISO 21940-11'),
            ],
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Casting\Casting;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class CleanUpSum implements Sum
{
    public function name(): string
    {
        return 'clean-up';
    }

    public function says(): string
    {
        return 'Whether a raw size cleans up to a finished one where it runs out.';
    }

    public function example(): array
    {
        return ['raw_mm' => 52.0, 'finished_mm' => 50.0, 'runout_mm' => 0.8, 'outside' => true];
    }

    public function takes(): array
    {
        return ['raw_mm', 'finished_mm', 'runout_mm', 'outside'];
    }

    public function run(Fields $in): array
    {
        $stock = Casting::stockMm($in->number('raw_mm'), $in->number('finished_mm'), $in->number('runout_mm'), $in->flag('outside'));

        return [
            'stock_mm' => $stock,
            'cleans_up' => $stock >= 0,
            'notes' => $stock >= 0
                ? []
                : [Note::caution('not-clean', 'It does not clean up all round: move its centre toward the low side, or take a larger blank.')],
            'working' => [
                new WorkingStep('Stock', '(raw − finished)/2 − run-out/2 per side, mirrored inside', LengthWriter::difference($stock), 'geometry'),
            ],
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Casting\EndsStock;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class EndsStockSum implements Sum
{
    public function name(): string
    {
        return 'stock-at-both-ends';
    }

    public function says(): string
    {
        return 'Whether a rough bore cleans up at both ends on an axis that governs, and with how much a side.';
    }

    public function example(): array
    {
        return [
            'rough_mm' => 48.0,
            'finished_mm' => 52.0,
            'off_near_mm' => 0.6,
            'off_far_mm' => 1.1,
            'clean_mm' => 0.3,
        ];
    }

    public function takes(): array
    {
        return ['rough_mm', 'finished_mm', 'off_near_mm', 'off_far_mm', 'clean_mm'];
    }

    public function run(Fields $in): array
    {
        $stock = new EndsStock($in->number('rough_mm'), $in->number('finished_mm'), $in->number('off_near_mm'), $in->number('off_far_mm'));
        $clean = $in->numberOrNull('clean_mm') ?? 0.0;
        $least = min($stock->nearMm, $stock->farMm);

        return [
            'cleans_up' => $least >= $clean,
            'near_mm' => $stock->nearMm,
            'far_mm' => $stock->farMm,
            'least_bore_mm' => $stock->leastBoreMm($clean),
            'notes' => $least >= $clean ? [] : [
                Note::stop('wont-clean-up', Say::with('It does not clean up at the '.($stock->nearMm < $stock->farMm ? 'near' : 'far').' end. Bore it to {b} at least, build it up, or find another axis before anything is cut.', [
                    'b' => LengthWriter::sizeInWords($stock->leastBoreMm($clean)),
                ])),
            ],
            'working' => [
                new WorkingStep('Stock per side', '(finished − rough)/2 − off, at either end', LengthWriter::size($least), 'geometry'),
            ],
        ];
    }
}

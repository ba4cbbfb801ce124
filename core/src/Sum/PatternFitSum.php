<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Pattern\PatternFit;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class PatternFitSum implements Sum
{
    public function name(): string
    {
        return 'pattern-fit';
    }

    public function says(): string
    {
        return 'One hole pattern laid on another: shift, turn, what is left, and the clearance hole that lets all bolts in.';
    }

    public function example(): array
    {
        return [
            'ours' => [['x_mm' => 0.0, 'y_mm' => 0.0], ['x_mm' => 100.0, 'y_mm' => 0.0], ['x_mm' => 0.0, 'y_mm' => 60.0]],
            'theirs' => [['x_mm' => 5.0, 'y_mm' => 5.0], ['x_mm' => 105.1, 'y_mm' => 5.0], ['x_mm' => 5.0, 'y_mm' => 65.0]],
            'bolt_mm' => 10.0,
        ];
    }

    public function takes(): array
    {
        return ['ours', 'theirs', 'bolt_mm'];
    }

    public function run(Fields $in): array
    {
        $bolt = $in->numberOrNull('bolt_mm');
        if ($bolt !== null && $bolt <= 0) {
            throw $in->bad('bolt_mm', 'must be above zero.');
        }
        $fit = PatternFit::of(PointsInput::read($in, 'ours'), PointsInput::read($in, 'theirs'));

        return [
            'dx_mm' => $fit->dxMm,
            'dy_mm' => $fit->dyMm,
            'turn_deg' => $fit->turnDeg,
            'residuals_mm' => $fit->residualsMm,
            'largest_mm' => $fit->largestMm(),
            'least_hole_mm' => $bolt === null ? null : $bolt + 2 * $fit->leastMostMm,
            'notes' => [],
            'working' => [
                new WorkingStep('Laid on', 'least squares of the distances; for the hole the least greatest distance', LengthWriter::size($fit->largestMm()), 'least squares'),
            ],
        ];
    }
}

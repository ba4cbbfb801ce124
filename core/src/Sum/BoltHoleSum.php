<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Pattern\Fastener;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class BoltHoleSum implements Sum
{
    public function name(): string
    {
        return 'bolt-hole';
    }

    public function says(): string
    {
        return 'The hole a bolt needs where both sides were drilled as well as they could be: both loose, or one side tapped.';
    }

    public function example(): array
    {
        return ['bolt_mm' => 10.0, 'position_mm' => 0.4, 'fixed' => false];
    }

    public function takes(): array
    {
        return ['bolt_mm', 'position_mm', 'fixed'];
    }

    public function run(Fields $in): array
    {
        $fixed = $in->flagOrNull('fixed') ?? false;
        $hole = Fastener::holeMm($in->number('bolt_mm'), $in->number('position_mm'), $fixed);

        return [
            'hole_mm' => $hole,
            'notes' => [
                Note::info('position', $fixed
                    ? 'One side is tapped or carries dowels: its bolt cannot give way, so the hole takes what both sides are off.'
                    : 'The bolt is loose in both sides: each hole takes what its own side is off.'),
            ],
            'working' => [
                new WorkingStep('Hole', $fixed ? 'H = F + 2 T' : 'H = F + T', LengthWriter::size($hole), 'ASME Y14.5, fixed and floating fasteners'),
            ],
        ];
    }
}

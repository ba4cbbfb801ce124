<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Taper\SplitBush;
use Oldpart\Core\Taper\Taper;

final class SplitBushSum implements Sum
{
    public function name(): string
    {
        return 'split-bush';
    }

    public function says(): string
    {
        return 'What closing a slit tapered bush takes: of its slit, and of drawing it in.';
    }

    public function example(): array
    {
        return ['closing_mm' => 0.1, 'ratio' => 12.0];
    }

    public function takes(): array
    {
        return ['closing_mm', 'ratio'];
    }

    public function run(Fields $in): array
    {
        $closing = $in->number('closing_mm');
        $slot = SplitBush::slotMm($closing);
        $drawIn = SplitBush::drawInMm($closing, Taper::oneIn($in->number('ratio')));

        return [
            'slot_mm' => $slot,
            'draw_in_mm' => $drawIn,
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Slit and draw-in',
                    'slit π × closing; drawn in n × closing',
                    Say::with('{s} of the slit, {d} along', [
                        's' => LengthWriter::difference($slot),
                        'd' => LengthWriter::difference($drawIn),
                    ]),
                    'the round of a circle',
                ),
            ],
        ];
    }
}

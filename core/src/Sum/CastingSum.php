<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Casting\Casting;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class CastingSum implements Sum
{
    public function name(): string
    {
        return 'casting';
    }

    public function says(): string
    {
        return 'The size of a pattern for a finished size, with what is cut and what shrinks.';
    }

    public function example(): array
    {
        return ['finished_mm' => 120.0, 'outside' => true, 'allowance_mm' => 3.0, 'shrink_percent' => 1.0];
    }

    public function takes(): array
    {
        return ['finished_mm', 'outside', 'allowance_mm', 'shrink_percent'];
    }

    public function run(Fields $in): array
    {
        $pattern = Casting::patternMm($in->number('finished_mm'), $in->flag('outside'), $in->number('allowance_mm'), $in->number('shrink_percent'));

        return [
            'pattern_mm' => $pattern,
            'notes' => [Note::info('draft', 'Draft comes on top: 1 to 3° on every side that is drawn from the sand.')],
            'working' => [
                new WorkingStep('Pattern', '(finished ± 2 allowance)(1 + shrink/100)', LengthWriter::size($pattern), 'common practice of foundries'),
            ],
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Thread\TapDrill;
use Oldpart\Core\Thread\ThreadForm;

final class TapDrillSum implements Sum
{
    public function name(): string
    {
        return 'tap-drill';
    }

    public function says(): string
    {
        return 'The drill for a share of a full thread, or the share a drill gives.';
    }

    public function example(): array
    {
        return ['major_mm' => 10.0, 'pitch_mm' => 1.5, 'form' => '60', 'percent' => 75.0];
    }

    public function takes(): array
    {
        return ['major_mm', 'pitch_mm', 'form', 'percent', 'drill_mm'];
    }

    public function run(Fields $in): array
    {
        $form = $in->choice('form', ThreadForm::class);
        assert($form instanceof ThreadForm);
        $tap = TapDrill::of($in->number('major_mm'), $in->number('pitch_mm'), $form);
        $percent = $in->numberOrNull('percent');
        $drill = $in->numberOrNull('drill_mm');
        if (($percent === null) === ($drill === null)) {
            throw $in->bad('percent', 'or drill_mm: give the one, and the other follows.');
        }
        $drill ??= $tap->drillMm($percent ?? 0.0);
        $percent ??= $tap->percent($drill);

        return [
            'drill_mm' => $drill,
            'percent' => $percent,
            'near' => $tap->near($drill),
            'notes' => TapDrill::notes($percent),
            'working' => [
                new WorkingStep(
                    'Drill',
                    $form === ThreadForm::Sixty ? 'D − 1.29904 · P · share' : 'D − 1.28 · P · share',
                    LengthWriter::size($drill),
                    'common handbooks; twice the basic height of the thread',
                ),
            ],
        ];
    }
}

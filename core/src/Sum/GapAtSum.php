<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Joint\InUse;
use Oldpart\Core\Picture\RingPicture;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Range;

final class GapAtSum implements Sum
{
    public function name(): string
    {
        return 'gap-at';
    }

    public function says(): string
    {
        return 'How tight or open a joint is with each part at a temperature of its own.';
    }

    public function example(): array
    {
        return [
            'd_mm' => 30,
            'interference_mm' => ['min' => 0.001, 'max' => 0.035],
            'inner' => ['name' => 'leaded tin bronze (bearing)'],
            'outer' => ['name' => 'grey cast iron, ordinary'],
            'inner_c' => -18,
            'outer_c' => 180,
        ];
    }

    public function takes(): array
    {
        return ['d_mm', 'interference_mm', 'inner', 'outer', 'inner_c', 'outer_c', 'inner_bore_mm'];
    }

    public function run(Fields $in): array
    {
        $d = $in->number('d_mm');
        if ($d <= 0) {
            throw $in->bad('d_mm', 'must be above zero.');
        }
        $range = $in->range('interference_mm');
        [$inner, $outer] = [
            MaterialInput::read($in, 'inner', ['alpha_per_k']),
            MaterialInput::read($in, 'outer', ['alpha_per_k']),
        ];
        [$innerC, $outerC] = [$in->number('inner_c'), $in->number('outer_c')];
        foreach (['inner_c' => $innerC, 'outer_c' => $outerC] as $field => $celsius) {
            if ($celsius < -200 || $celsius > 600) {
                throw $in->bad($field, 'must be from −200 to 600 °C.');
            }
        }
        $at = static fn (float $mm): float => InUse::interferenceAt(
            diameterMm: $d,
            interferenceMm: $mm,
            inner: $inner,
            outer: $outer,
            innerC: $innerC,
            outerC: $outerC,
        );
        $clearance = new Range(-$at($range->max), -$at($range->min));
        $bore = $in->numberOrNull('inner_bore_mm');

        return [
            'clearance_mm' => ['min' => $clearance->min, 'max' => $clearance->max],
            'says' => Words::range($clearance),
            'picture' => RingPicture::draw($d, $clearance, true, $bore !== null && $bore > 0 ? $bore : null),
            'notes' => [],
            'working' => [new WorkingStep('Gap', '−(δ + d (ε_i − ε_o))', Words::range($clearance), 'linear expansion')],
        ];
    }
}

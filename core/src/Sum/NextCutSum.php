<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Fit\Aim;
use Oldpart\Core\Making\Cut;
use Oldpart\Core\Making\NextCut;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Fields;

final class NextCutSum implements Sum
{
    public function name(): string
    {
        return 'next-cut';
    }

    public function says(): string
    {
        return 'What to dial for the next cut toward a band, allowing for what earlier cuts took off.';
    }

    public function example(): array
    {
        return [
            'kind' => 'shaft',
            'target' => ['lower_mm' => 28.585, 'upper_mm' => 28.598],
            'now_mm' => 28.9,
            'rough_mm' => 0.5,
            'history' => [['dialled_mm' => 0.5, 'removed_mm' => 0.48]],
        ];
    }

    public function takes(): array
    {
        return ['kind', 'target', 'now_mm', 'rough_mm', 'history', 'aim'];
    }

    public function run(Fields $in): array
    {
        $target = ($in->object('target') ?? throw $in->bad('target', 'is missing.'))->only(['lower_mm', 'upper_mm']);
        $history = array_map(static function (Fields $f): Cut {
            $f->only(['dialled_mm', 'removed_mm']);

            return new Cut($f->number('dialled_mm'), $f->number('removed_mm'));
        }, $in->objects('history'));

        return NextCut::toward(
            kind: $in->choice('kind', SurfaceKind::class),
            target: new Band($target->number('lower_mm'), $target->number('upper_mm')),
            nowMm: $in->number('now_mm'),
            roughMm: $in->number('rough_mm'),
            history: $history,
            aim: $in->has('aim') ? $in->choice('aim', Aim::class) : Aim::MetalLeft,
        )->jsonSerialize();
    }
}

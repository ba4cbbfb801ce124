<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Casting\Scale;
use Oldpart\Core\Quantity\Fields;

final class ScaleSum implements Sum
{
    public function name(): string
    {
        return 'scale';
    }

    public function says(): string
    {
        return 'Sizes of a sister machine brought to ours, by sizes that are known of both.';
    }

    public function example(): array
    {
        return [
            'pairs' => [['theirs_mm' => 100.0, 'ours_mm' => 80.2], ['theirs_mm' => 250.0, 'ours_mm' => 199.9]],
            'sizes_mm' => [60.0, 12.5],
        ];
    }

    public function takes(): array
    {
        return ['pairs', 'sizes_mm'];
    }

    public function run(Fields $in): array
    {
        $scale = Scale::of(array_map(static function (Fields $p): array {
            $p->only(['theirs_mm', 'ours_mm', 'u95_mm']);

            return ['theirs' => $p->number('theirs_mm'), 'ours' => $p->number('ours_mm'), 'u95' => $p->numberOrNull('u95_mm')];
        }, $in->objects('pairs')));
        $scaled = [];
        foreach ($in->numbers('sizes_mm') as $mm) {
            $scaled[] = ['mm' => $mm * $scale->ratio, 'u95_mm' => abs($mm) * $scale->u95];
        }

        return [
            'ratio' => $scale->ratio,
            'spread' => $scale->spread,
            'scaled_mm' => $scaled,
            'notes' => [
                Note::caution('does-not-scale', 'Threads, standard bores, bolts and least walls do not scale; bores for a flow follow their area. Check each size that meets something against the mate.'),
                ...count($in->objects('pairs')) === 1 ? [Note::caution('one-pair', 'One pair shows no spread: how sure the ratio is nobody can say. Name another.')] : [],
            ],
            'working' => [
                new WorkingStep('Ratio', 'Σ w theirs · ours / Σ w theirs²', number_format($scale->ratio, 5), 'least squares through zero'),
            ],
        ];
    }
}

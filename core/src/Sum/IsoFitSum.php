<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Fit\Iso286;
use Oldpart\Core\Fit\Limits;
use Oldpart\Core\Quantity\Fields;

final class IsoFitSum implements Sum
{
    public function name(): string
    {
        return 'iso-fit';
    }

    public function says(): string
    {
        return 'Limits of a hole and a shaft after ISO 286, and the clearance between them.';
    }

    public function example(): array
    {
        return ['size_mm' => 25, 'hole' => 'H7', 'shaft' => 'p6'];
    }

    public function takes(): array
    {
        return ['size_mm', 'hole', 'shaft'];
    }

    public function run(Fields $in): array
    {
        [$size, $holeClass, $shaftClass] = [$in->number('size_mm'), $in->textOrNull('hole'), $in->textOrNull('shaft')];
        if ($holeClass === null && $shaftClass === null) {
            throw $in->bad('hole', 'is missing. Name a hole such as H7, a shaft such as p6, or both.');
        }
        $hole = $holeClass === null ? null : Iso286::hole($size, $holeClass);
        $shaft = $shaftClass === null ? null : Iso286::shaft($size, $shaftClass);
        $um = static fn (?Limits $l): ?array => $l === null
            ? null
            : ['upper_um' => round($l->upperMm * 1000, 3), 'lower_um' => round($l->lowerMm * 1000, 3)];
        $clearance = $hole === null || $shaft === null ? null : $hole->clearance($shaft);

        return [
            'hole' => $um($hole),
            'shaft' => $um($shaft),
            'clearance_um' => $clearance === null
                    ? null
                    : ['min' => round($clearance->min * 1000, 3), 'max' => round($clearance->max * 1000, 3)],
            'notes' => [],
            'working' => [
                new WorkingStep(
                    'Limits',
                    'fundamental deviation and grade from the table',
                    Say::plain(trim("{$holeClass} {$shaftClass} at {$size} mm")),
                    'ISO 286-1:2010 and ISO 286-2:2010',
                ),
            ],
        ];
    }
}

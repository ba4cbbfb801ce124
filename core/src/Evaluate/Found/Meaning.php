<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Found;

use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\Nominal;
use Oldpart\Core\Measure\NominalKind;
use Oldpart\Core\Shape\SurfaceType;

/**
 * What one surface was meant to be, worked out when it is first asked for: the surface and its part's vote both ask.
 */
final class Meaning
{
    private ?Nominal $nominal = null;

    public function of(SurfaceFacts $surface, FoundSize $found): ?Nominal
    {
        if ($found->meanMm > Nominal::LARGEST_MM) {
            return null;
        }
        $kind =
            $surface->type === SurfaceType::HolePattern
                ? NominalKind::Circle
                : NominalKind::from($surface->kind->value);
        $wear = $surface->condition === null ? $kind !== NominalKind::Length : ! $surface->condition->isTrue();

        return $this->nominal ??= Nominal::of($kind, $found->meanMm, min($found->sureMeanMm(), $found->meanMm), $wear);
    }
}

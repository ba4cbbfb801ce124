<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

use Oldpart\Core\Evaluate\Shapes\PartShape;
use Oldpart\Core\Picture\FacePicture;
use Oldpart\Core\Picture\Shop\ShopSize;
use Oldpart\Core\Picture\Shop\ShopView;
use Oldpart\Core\Quantity\Unit;

/** A part as DXF: its outline along the axis, and beside it what is seen from its face, with every size written out. */
final class PartDxf
{
    /** Letters, mm. */
    private const HIGH = 3.0;

    /** @param  ?FacePicture  $face  what is seen from its face, as drawn or of the other hand */
    public static function of(PartShape $shape, ?ShopView $view, ?FacePicture $face, Unit $unit): string
    {
        $dxf = new Dxf($unit);
        $profile = $shape->profile;
        $right = 0.0;
        if (! $profile->isEmpty()) {
            foreach ([1, -1] as $side) {
                foreach ($profile->runs() as $run) {
                    $outer = $inner = [];
                    foreach ($run as $cell) {
                        array_push(
                            $outer,
                            [$cell->fromMm, $side * $cell->outerStartMm],
                            [$cell->toMm, $side * $cell->outerEndMm],
                        );
                        array_push(
                            $inner,
                            [$cell->fromMm, $side * $cell->innerStartMm],
                            [$cell->toMm, $side * $cell->innerEndMm],
                        );
                    }
                    $dxf->outline('OUTLINE', [...$outer, ...array_reverse($inner)], true);
                }
            }
            $over = 0.05 * ($profile->toMm() - $profile->fromMm());
            $dxf->line('CENTRE', $profile->fromMm() - $over, 0, $profile->toMm() + $over, 0);
            $right = $profile->toMm() + $profile->largestMm() + 10 * self::HIGH;
        }
        if ($face !== null) {
            self::face($dxf, $face, $right);
        }
        if ($view !== null) {
            self::sizes($dxf, $view, -$profile->largestMm() - 3 * self::HIGH, $unit);
        }

        return $dxf->written();
    }

    private static function face(Dxf $dxf, FacePicture $face, float $x0): void
    {
        if ($face->outline !== []) {
            $dxf->outline('OUTLINE', array_map(static fn (array $p): array => [$x0 + $p[0], $p[1]], $face->outline), true);
        }
        foreach ($face->circles as $circle) {
            $dxf->circle($circle->hole ? 'BORE' : 'OUTLINE', $x0 + $circle->xMm, $circle->yMm, $circle->radiusMm);
        }
        foreach ($face->patterns as $pattern) {
            $dxf->circle('CENTRE', $x0, 0, $pattern->circleMm / 2);
            foreach ($pattern->centres() as [$x, $y]) {
                $dxf->circle('HOLES', $x0 + $x, $y, $pattern->holeMm / 2);
            }
        }
    }

    /** Each size on a line of its own below: what it is between, and its limits. */
    private static function sizes(Dxf $dxf, ShopView $view, float $top, Unit $unit): void
    {
        $say = static fn ($line): string => $unit === Unit::Inch ? $line->in : $line->mm;
        $lines = [];
        foreach ([...$view->diameters, ...$view->lengths, ...$view->notes] as $one) {
            $lines[] = implode($one instanceof ShopSize ? ' / ' : '; ', array_map($say, $one->lines));
        }
        foreach ($lines as $i => $line) {
            $dxf->text('SIZES', $view->part->profile->fromMm(), $top - 1.7 * self::HIGH * $i, self::HIGH, $line);
        }
    }
}

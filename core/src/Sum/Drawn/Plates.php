<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum\Drawn;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Fill;
use Oldpart\Core\Picture\Sketch\Sketch;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\RoundedOutline;

/** Plates to scale. */
final class Plates
{
    public static function plate(Fields $in, Fields $out): Drawing
    {
        $way = ($in->flagOrNull('mirrored') ?? false) ? -1.0 : 1.0;
        $outline = new RoundedOutline(array_map(
            static fn (Fields $f): array => ['x' => $way * $f->number('x_mm'), 'y' => $f->number('y_mm'), 'r' => $f->numberOrNull('radius_mm') ?? 0.0],
            $in->objects('corners'),
        ));
        $sketch = (new Sketch(Say::plain('The plate to scale.')))->area($outline->points, Tone::Make, Fill::Tint, 2);
        foreach ($in->has('holes') ? $in->objects('holes') : [] as $hole) {
            [$x, $y, $r] = [$way * $hole->number('x_mm'), $hole->number('y_mm'), $hole->number('diameter_mm') / 2];
            $sketch->circle($x, $y, $r, Tone::Make, Fill::Blank)->centre($x, $y, $r * 0.4)
                ->text($x, $y, Say::with('⌀{d}', ['d' => LengthWriter::size(2 * $r)]), 0, -$r > -8 ? -12 : 22);
        }
        foreach ($in->has('slots') ? $in->objects('slots') : [] as $slot) {
            [$x1, $y1, $x2, $y2] = [$way * $slot->number('x1_mm'), $slot->number('y1_mm'), $way * $slot->number('x2_mm'), $slot->number('y2_mm')];
            $r = $slot->number('wide_mm') / 2;
            $at = atan2($y2 - $y1, $x2 - $x1);
            $points = [];
            foreach (range(0, 24) as $i) {
                $points[] = [
                    $x2 + $r * cos($at - M_PI / 2 + M_PI * $i / 24),
                    $y2 + $r * sin($at - M_PI / 2 + M_PI * $i / 24),
                ];
            }
            foreach (range(0, 24) as $i) {
                $points[] = [
                    $x1 + $r * cos($at + M_PI / 2 + M_PI * $i / 24),
                    $y1 + $r * sin($at + M_PI / 2 + M_PI * $i / 24),
                ];
            }
            $sketch->area($points, Tone::Make, Fill::Blank);
        }
        $xs = array_column($outline->points, 0) ?: [0.0];
        $ys = array_column($outline->points, 1) ?: [0.0];

        return $sketch->size(min($xs), min($ys), max($xs), min($ys), LengthWriter::size(max($xs) - min($xs)), -18)
            ->size(max($xs), min($ys), max($xs), max($ys), LengthWriter::size(max($ys) - min($ys)), -18)->drawing();
    }
}

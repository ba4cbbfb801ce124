<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Range;

/** A joint in end view, its gap or overlap exaggerated by a stated factor. */
final readonly class RingPicture
{
    /**
     * @param  bool  $outerFound  the outer part exists, the inner is to be made; else the other way round
     * @param  Range  $clearanceMm  negative for interference
     */
    public static function draw(
        float $diameterMm,
        Range $clearanceMm,
        bool $outerFound,
        ?float $innerBoreMm = null,
    ): Drawing {
        $radius = 60.0;
        $middle = $clearanceMm->middle();
        $perMm = $radius / ($diameterMm / 2);
        $factor = Scale::exaggeration(9 / max((abs($middle) / 2) * $perMm, 1e-6));
        $gap = max(2.5, (abs($middle) / 2) * $perMm * $factor);
        $tight = $middle < 0;
        $says = Say::plain(
            $tight
                ? "The inner part overlaps the outer one; the overlap is drawn {$factor} times too large."
                : "A gap lies between the two; it is drawn {$factor} times too large.",
        );
        $drawing = new Drawing(198, 268, $says);
        [$x, $y] = [99.0, 112.0];
        [$outer, $inner] = $outerFound ? [Tone::Found, Tone::Make] : [Tone::Make, Tone::Found];
        $hole = $tight ? $radius : $radius + $gap;
        $drawing->area(Drawing::circle($x, $y, 88), $outer, Fill::Hatch, 1.5, [Drawing::circle($x, $y, $hole)]);
        $bore =
            $innerBoreMm !== null ? [Drawing::circle($x, $y, max(18.0, ($radius * $innerBoreMm) / $diameterMm))] : [];
        $drawing->area(
            Drawing::circle($x, $y, $radius),
            $inner,
            $innerBoreMm === null ? Fill::Tint : Fill::Hatch,
            1.5,
            $bore,
        );
        if ($tight) {
            $drawing->area(Drawing::circle($x, $y, $radius + $gap), Tone::Overlap, Fill::Hatch, 1.2, [
                Drawing::circle($x, $y, $radius),
            ]);
        }
        $drawing
            ->line($x - 95, $y, $x + 95, $y, Tone::Ink, 0.8, true)
            ->line($x, $y - 95, $x, $y + 95, Tone::Ink, 0.8, true);
        $drawing->text(12, 224, ($tight ? 'Overlap' : 'Gap')." drawn ×{$factor}", 13);
        $drawing
            ->text(12, 242, 'brass: found', 13, Anchor::Start, Tone::Found)
            ->text(104, 242, 'blue: to make', 13, Anchor::Start, Tone::Make);

        return $tight ? $drawing->text(12, 260, 'red: metal in metal', 13, Anchor::Start, Tone::Overlap) : $drawing;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;

/** The pile of shims that closes a gap, to scale, thickest first, and what of the gap it leaves. */
final class ShimPicture
{
    private const LEFT = 20.0;

    private const WIDTH = 520.0;

    private const LEAST = 8.0;

    /**
     * @param  non-empty-list<float>  $pileMm
     * @param  float  $leftMm  of the gap, with the pile in; 0 or more
     */
    public static function draw(array $pileMm, float $leftMm): Drawing
    {
        $whole = array_sum($pileMm) + $leftMm;
        $per = (self::WIDTH - count($pileMm) * self::LEAST) / max(1e-9, $whole);
        $drawing = new Drawing(
            560,
            96,
            Say::with('{n} shims, {sum} together, leave {left}.', [
                'n' => count($pileMm),
                'sum' => LengthWriter::sizeInWords(array_sum($pileMm)),
                'left' => LengthWriter::sizeInWords($leftMm),
            ]),
        );
        $x = self::LEFT;
        $drawing->line($x, 8, $x, 72, Tone::Found, 4);
        foreach ($pileMm as $i => $mm) {
            $width = self::LEAST + $mm * $per;
            $drawing->box($x, 16, $width, 44, Tone::Make);
            $drawing->text(
                $x + $width / 2,
                $i % 2 === 0 ? 90 : 78,
                LengthWriter::size($mm),
                12,
                Anchor::Middle,
                Tone::Make,
                mono: true,
            );
            $x += $width;
        }
        $end = $x + $leftMm * $per;
        $drawing->line($end, 8, $end, 72, Tone::Found, 4);
        if ($leftMm > 0) {
            $drawing->line($x, 38, $end, 38, Tone::Good, 4);
        }

        return $drawing;
    }
}

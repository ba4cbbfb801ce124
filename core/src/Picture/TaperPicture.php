<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Taper\Taper;

/** A taper in section, to scale: its ends, its length, and the angle the slide is set over to. */
final class TaperPicture
{
    private const WIDTH = 560.0;

    private const HEIGHT = 250.0;

    private const LEFT = 130.0;

    private const LONG = 300.0;

    private const TALL = 170.0;

    /** Drawn so, as far as it is not known. */
    private const AS_IF_LONG = 40.0;

    public static function draw(Taper $taper, bool $inside): Drawing
    {
        $long = $taper->lengthMm ?? self::AS_IF_LONG;
        $large = $taper->largeMm ?? max(2 * $long * $taper->onDiameter(), $long / 2);
        $small = $taper->smallMm ?? max(0.0, $large - $long * $taper->onDiameter());
        $wall = $inside ? 0.2 * $large : 0.0;
        $per = min(self::LONG / $long, self::TALL / ($large + 2 * $wall));
        $angle = rtrim(rtrim(number_format($taper->halfDeg, 3, '.', ''), '0'), '.');
        $drawing = new Drawing(
            self::WIDTH,
            self::HEIGHT,
            Say::plain('A taper '.($inside ? 'bore' : 'plug').", its sides {$angle}° to the axis."),
        );
        [$x, $middle] = [self::LEFT + (self::LONG - $long * $per) / 2, 108.0];
        $end = $x + $long * $per;
        [$l, $s] = [($large * $per) / 2, ($small * $per) / 2];
        $cone = [[$x, $middle - $l], [$end, $middle - $s], [$end, $middle + $s], [$x, $middle + $l]];
        if ($inside) {
            $half = $l + $wall * $per;
            $drawing->box($x, $middle - $half, $end - $x, 2 * $half, Tone::Make)->area($cone, Tone::Ink, Fill::Blank);
        } else {
            $drawing->area($cone, Tone::Make);
        }
        $drawing->line($x - 30, $middle, $end + 40, $middle, Tone::Soft, 1, true);
        // The angle, at the small end.
        $drawing->line($x, $middle - $l, $end, $middle - $l, Tone::Soft, 1, true);
        $drawing->text(
            $end + 8,
            $middle - ($l + $s) / 2 + 5,
            "{$angle}°",
            18,
            Anchor::Start,
            Tone::Make,
            mono: true,
            bold: true,
        );
        if ($taper->largeMm !== null) {
            $drawing->line($x - 14, $middle - $l, $x - 14, $middle + $l, Tone::Make, 2)
                ->text(
                    $x - 20,
                    $middle + 6,
                    LengthWriter::size($large),
                    18,
                    Anchor::End,
                    Tone::Make,
                    mono: true,
                    bold: true,
                );
        }
        if ($taper->smallMm !== null && $taper->lengthMm !== null) {
            $drawing->line($end + 14, $middle - $s, $end + 14, $middle + $s, Tone::Ink, 1.5)
                ->text($end + 20, $middle + 22, LengthWriter::size($small), 15, Anchor::Start, mono: true);
        }
        if ($taper->lengthMm !== null) {
            $drawing->whisker($x, $end, 222, Tone::Ink)
                ->text(($x + $end) / 2, 244, LengthWriter::size($long), 15, Anchor::Middle, mono: true);
        }

        return $drawing;
    }
}

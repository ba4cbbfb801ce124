<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\LengthWriter;

/** Station means along a bore or a shaft, taper and bell-mouth exaggerated. Null with one station. */
final readonly class AlongPicture
{
    public static function draw(FoundSize $found): ?Drawing
    {
        $n = count($found->stations);
        if ($n < 2 || $found->kind === SurfaceKind::Length) {
            return null;
        }
        $span = max($found->stations) - min($found->stations);
        $bore = $found->kind === SurfaceKind::Bore;
        [$axis, $half, $left, $right] = [64.0, 30.0, 58.0, 466.0];
        $perMm = $half / ($found->meanMm / 2);
        $factor = $span > 0 ? Scale::exaggeration(14 / (($span / 2) * $perMm)) : 1.0;
        $drawing = new Drawing(
            524,
            138,
            Say::with('Mean sizes along it differ by {span}.', ['span' => LengthWriter::difference($span)]),
        );
        $upper = $lower = [];
        $i = 0;
        foreach ($found->stations as $name => $mean) {
            $x = $left + (($right - $left) * $i) / ($n - 1);
            $r = $half + (($mean - $found->meanMm) / 2) * $perMm * $factor;
            $upper[] = [$x, $axis - $r];
            $lower[] = [$x, $axis + $r];
            $drawing->text($x, $axis - 6, $name === '' ? 'here' : (string) $name, 13, Anchor::Middle, Tone::Soft);
            $drawing->text($x, $axis + 17, LengthWriter::size($mean), 14, Anchor::Middle, Tone::Ink, mono: true);
            $i++;
        }
        if ($bore) {
            $drawing->area([...$upper, [$right, $axis - 58], [$left, $axis - 58]], Tone::Found);
            $drawing->area([...$lower, [$right, $axis + 58], [$left, $axis + 58]], Tone::Found);
        } else {
            $drawing->area([...$upper, ...array_reverse($lower)], Tone::Found, Fill::None, 2);
        }
        $drawing->line(30, $axis, 494, $axis, Tone::Ink, 0.8, true);

        return $drawing->text(14, 134, 'Shown ×'.number_format($factor, 0, '.', ''), 13, Anchor::Start, Tone::Soft);
    }
}

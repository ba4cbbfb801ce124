<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum\Drawn;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Fill;
use Oldpart\Core\Picture\Sketch\Sketch;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Sum\TaperInput;

/** Tapers as their sums see them. */
final class Tapers
{
    public static function taper(Fields $in, Fields $out): ?Drawing
    {
        [$large, $small, $long] = [$out->numberOrNull('large_mm'), $out->numberOrNull('small_mm'), $out->numberOrNull('length_mm')];
        if ($large === null || $small === null || $long === null) {
            return null;
        }
        $half = round($out->number('half_deg'), 3);
        $sketch = new Sketch(Say::plain("A taper of {$half}° per side."));
        $sketch->area(
            [[0, -$large / 2], [$long, -$small / 2], [$long, $small / 2], [0, $large / 2]],
            Tone::Make,
            Fill::Tint,
        )
            ->line(-$long / 12, 0, $long * 13 / 12, 0, Tone::Soft, 1.0, true)
            ->size(0, -$large / 2, 0, $large / 2, LengthWriter::size($large), 30)
            ->size($long, $small / 2, $long, -$small / 2, LengthWriter::size($small), 30)
            ->size($long, -max($large, $small) / 2, 0, -max($large, $small) / 2, LengthWriter::size($long), 24)
            ->text($long / 2, ($large + $small) / 4, "{$half}°", 0, -8, Anchor::Middle, Tone::Make, true);

        return $sketch->drawing();
    }

    public static function trial(Fields $in, Fields $out): Drawing
    {
        [$now, $wanted] = [$in->number('gap_now_mm'), $in->number('gap_wanted_mm')];
        $perMm = TaperInput::angle($in)?->toGoInMm(1.0) ?? 0.0;
        [$long, $large] = [max($now, $wanted) * 3, max($now, $wanted) * 2.2];
        $radius = static fn (float $x): float => $large / 2 - $x * $perMm / 2;
        $sketch = new Sketch(Say::with('It stands out {a}, and is to stand out {b}.', ['a' => LengthWriter::sizeInWords($now), 'b' => LengthWriter::sizeInWords($wanted)]));
        // The plug from its large end at the left; the hub’s face where it stops now.
        $sketch->area(
            [[0, -$radius(0)], [$long, -$radius($long)], [$long, $radius($long)], [0, $radius(0)]],
            Tone::Found,
            Fill::Tint,
        );
        foreach ([1, -1] as $side) {
            $sketch->area(
                [
                    [$now, $side * $radius($now)],
                    [$long, $side * $radius($long)],
                    [$long, $side * $large * 0.85],
                    [$now, $side * $large * 0.85],
                ],
                Tone::Make,
                Fill::Hatch,
            );
        }
        $sketch->size(0, $large * 0.62, $now, $large * 0.62, Say::with('now {s}', ['s' => LengthWriter::size($now)]), 0, Tone::Found)
            ->size($wanted, -$large * 0.62, 0, -$large * 0.62, Say::with('wanted {s}', ['s' => LengthWriter::size($wanted)]), 0)
            ->text($long * 0.72, $large * 0.85, Say::with('infeed {s} a side', ['s' => LengthWriter::difference($out->number('infeed_mm'))]), 0, -8, Anchor::Middle, Tone::Make, true);

        return $sketch->drawing();
    }

    public static function balls(Fields $in, Fields $out): Drawing
    {
        [$d1, $d2, $h1, $h2] = [$in->number('large_mm'), $in->number('small_mm'), $in->number('depth_large_mm'), $in->number('depth_small_mm')];
        $half = deg2rad($out->number('half_angle_deg'));
        $mouth = $out->number('mouth_mm');
        $deep = $h2 + $d2 * 1.2;
        $radius = static fn (float $z): float => max($d2 / 8, $mouth / 2 - $z * tan($half));
        $wide = $mouth * 0.85;
        $sketch = new Sketch(Say::plain('Two balls in a taper bore, and how deep each lies under the face.'));
        foreach ([1, -1] as $side) {
            $sketch->area(
                [
                    [$side * $radius(0), 0],
                    [$side * $wide, 0],
                    [$side * $wide, -$deep],
                    [$side * $radius($deep), -$deep],
                ],
                Tone::Found,
                Fill::Hatch,
            );
        }
        $sketch->circle(
            0,
            -$h2 - $d2 / 2,
            $d2 / 2,
            Tone::Ink,
            Fill::Tint,
        )->circle(0, -$h1 - $d1 / 2, $d1 / 2, Tone::Ink, Fill::Tint)
            ->size($wide, 0, $wide, -$h1, LengthWriter::size($h1), -18, Tone::Found)
            ->size(-$wide, -$h2, -$wide, 0, LengthWriter::size($h2), -18, Tone::Found)
            ->line(-$wide, -$h2, 0, -$h2, Tone::Soft, 1)->line($wide, -$h1, 0, -$h1, Tone::Soft, 1)
            ->size(-$mouth / 2, 0, $mouth / 2, 0, LengthWriter::size($mouth), 18);

        return $sketch->drawing();
    }

    public static function rollers(Fields $in, Fields $out): Drawing
    {
        [$d, $block, $low, $high] = [$in->number('roller_mm'), $in->number('block_mm'), $in->number('over_low_mm'), $in->number('over_high_mm')];
        [$bottom, $tan] = [$out->number('at_plate_mm'), tan(deg2rad($out->number('half_angle_deg')))];
        $high0 = $block + 2 * $d;
        $sketch = new Sketch(Say::plain('A taper plug on a plate, read over two rollers low and on blocks.'));
        $sketch->area(
            [
                [-$bottom / 2, 0],
                [$bottom / 2, 0],
                [$bottom / 2 + $high0 * $tan, $high0],
                [-$bottom / 2 - $high0 * $tan, $high0],
            ],
            Tone::Found,
            Fill::Tint,
        )
            ->line(-$high * 0.7, 0, $high * 0.7, 0, Tone::Ink, 2.5);
        foreach ([[$low, 0.0], [$high, $block]] as [$over, $up]) {
            foreach ([1, -1] as $side) {
                $sketch->circle($side * ($over / 2 - $d / 2), $up + $d / 2, $d / 2, Tone::Ink, Fill::Blank);
                if ($up > 0) {
                    $sketch->box($side * ($over / 2 - $d), 0, $side * $over / 2, $up, Tone::Soft, Fill::None);
                }
            }
        }
        $sketch->size(-$high / 2, $block + $d, $high / 2, $block + $d, LengthWriter::size($high), 26, Tone::Found)
            ->size($low / 2, 0, -$low / 2, 0, LengthWriter::size($low), 22, Tone::Found)
            ->size(-$high / 2, 0, -$high / 2, $block, LengthWriter::size($block), 16, Tone::Ink);

        return $sketch->drawing();
    }

    public static function sineBar(Fields $in, Fields $out): Drawing
    {
        [$long, $stack, $deg] = [$in->number('length_mm'), $out->number('stack_mm'), $in->number('angle_deg')];
        $base = sqrt(max(0.0, $long ** 2 - $stack ** 2));
        $r = $long / 16;
        $sketch = new Sketch(Say::plain('A sine bar on its stack of blocks.'));
        $sketch->line(-$r * 2, -$r, $base + $r * 4, -$r, Tone::Ink, 2.5)
            ->box($base - $r, -$r, $base + $r, $stack - $r, Tone::Make, Fill::Tint)
            ->line(0, 0, $base, $stack, Tone::Ink, 9.0)
            ->circle(0, 0, $r, Tone::Ink, Fill::Blank)->circle($base, $stack, $r, Tone::Ink, Fill::Blank)
            ->size($base + $r, -$r, $base + $r, $stack - $r, LengthWriter::size($stack), -22)
            ->size(0, 0, $base, $stack, LengthWriter::size($long), 26, Tone::Ink)
            ->text($base * 0.42, -$r, round($deg, 3).'°', 0, -12, Anchor::Middle, Tone::Make, true);

        return $sketch->drawing();
    }
}

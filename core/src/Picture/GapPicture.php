<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Joint\DropIn;
use Oldpart\Core\Quantity\Unit;

/** The gap between a hot and a cold part over the seconds in the air, to where it grips. */
final class GapPicture
{
    public static function draw(DropIn $drop, float $wantedMm): Drawing
    {
        $curve = $drop->curve();
        $gaps = array_column($curve, 1);
        $end = $curve[count($curve) - 1][0];
        $low = min(0.0, ...$gaps);
        $high = max($wantedMm, ...$gaps);
        $pad = 0.08 * ($high - $low);
        $y = new Scale($low - $pad, $high + $pad, 176, 20);
        $x = new Scale(0.0, $end, 64, 420);
        $grips = $drop->secondsUntil();
        $drawing = new Drawing(
            450,
            214,
            Say::plain(
                $grips === null
                    ? 'The gap stays open.'
                    : 'The gap closes after '.number_format($grips).' seconds in the air.',
            ),
        );
        $drawing
            ->line(64, 20, 64, 176)
            ->line(64, $y->at(0.0), 420, $y->at(0.0), Tone::Overlap, 2)
            ->text(416, $y->at(0.0) - 5, 'grips', 13, Anchor::End, Tone::Overlap, bold: true);
        $drawing
            ->line(64, $y->at($wantedMm), 420, $y->at($wantedMm), Tone::Good, 1, true)
            ->text(416, $y->at($wantedMm) - 5, 'room wanted', 13, Anchor::End, Tone::Good);
        for ($i = 1; $i < count($curve); $i++) {
            $drawing->line(
                $x->at($curve[$i - 1][0]),
                $y->at($curve[$i - 1][1]),
                $x->at($curve[$i][0]),
                $y->at($curve[$i][1]),
                Tone::Make,
                3,
            );
        }
        if ($grips !== null && $grips > 0) {
            $drawing->line($x->at($grips), 20, $x->at($grips), 176, Tone::Overlap, 1, true);
        }
        foreach ([[Unit::Inch, 0.0254, 'thou'], [Unit::Millimetre, 0.001, 'µm']] as [$unit, $mm, $name]) {
            $step = Scale::step(($high - $low) / $mm, 4);
            for ($i = (int) ceil(($low - $pad) / $mm / $step); $i * $step * $mm <= $high + $pad; $i++) {
                $drawing->text(
                    58,
                    $y->at($i * $step * $mm) + 5,
                    str_replace('-', '−', rtrim(rtrim(number_format($i * $step, 2), '0'), '.')),
                    13,
                    Anchor::End,
                    Tone::Soft,
                    mono: true,
                    only: $unit,
                );
            }
            $drawing->text(6, 14, "{$name} open", 13, Anchor::Start, Tone::Soft, only: $unit);
        }
        $step = Scale::step($end, 5);
        for ($s = 0.0; $s <= $end; $s += $step) {
            $drawing->text($x->at($s), 194, number_format($s), 13, Anchor::Middle, Tone::Soft, mono: true);
        }

        return $drawing->text(420, 210, 'seconds in the air', 13, Anchor::End, Tone::Soft);
    }
}

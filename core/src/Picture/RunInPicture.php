<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** How warm it got over the first run, and how warm it may get. */
final readonly class RunInPicture
{
    /**
     * @param  non-empty-list<array{float, float}>  $points  minutes and °C, in the order of time
     * @param  ?float  $limitC  no warmer than that
     */
    public static function draw(array $points, ?float $limitC): Drawing
    {
        $minutes = array_column($points, 0);
        $warm = array_column($points, 1);
        [$low, $high] = [min([...$warm, 20.0]), max([...$warm, $limitC ?? 0.0])];
        $along = new Scale(min($minutes), max(max($minutes), min($minutes) + 1.0), 56, 500);
        $up = new Scale($low - 2.0, $high + max(4.0, 0.08 * ($high - $low)), 186, 14);
        $drawing = new Drawing(560, 216, Say::plain(
            'From '.number_format($warm[0]).' °C to '.number_format($warm[count($warm) - 1]).' °C after '
                .number_format($minutes[count($minutes) - 1]).' minutes'
                .($limitC === null ? '.' : '; no more than '.number_format($limitC).' °C is wanted.'),
        ));
        if ($limitC !== null) {
            $drawing->line(56, $up->at($limitC), 500, $up->at($limitC), Tone::Overlap, 1.6, true);
            $says = Say::plain(number_format($limitC).' °C');
            $drawing->text(504, $up->at($limitC) + 5, $says, 15, Anchor::Start, Tone::Overlap, bold: true);
        }
        $drawing->line(56, 186, 500, 186, Tone::Soft, 1.0);
        $step = Scale::step(max($high - $low, 1.0), 4);
        for ($c = ceil($low / $step) * $step; $c <= $high; $c += $step) {
            $drawing->text(48, $up->at($c) + 5, Say::plain(number_format($c)), 14, Anchor::End, Tone::Soft);
            $drawing->line(52, $up->at($c), 56, $up->at($c), Tone::Soft, 1.0);
        }
        $before = null;
        foreach ($points as [$minute, $celsius]) {
            [$x, $y] = [$along->at($minute), $up->at($celsius)];
            if ($before !== null) {
                $drawing->line($before[0], $before[1], $x, $y, Tone::Ink, 2.0);
            }
            $over = $limitC !== null && $celsius > $limitC;
            $drawing->area(
                Drawing::circle($x, $y, 4.5, 16),
                $over ? Tone::Overlap : Tone::Ink,
                $over ? Fill::Blank : Fill::Tint,
            );
            $before = [$x, $y];
        }
        foreach ([$minutes[0], $minutes[count($minutes) - 1]] as $minute) {
            $says = Say::plain(number_format($minute).' min');
            $drawing->text($along->at($minute), 206, $says, 14, Anchor::Middle, Tone::Soft);
        }

        return $drawing;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** Sizes after each cut as a staircase toward the band, the cuts still planned dashed. */
final readonly class CutPicture
{
    /**
     * @param  non-empty-list<float>  $sizes  mm, oldest first
     * @param  list<float>  $planned  sizes after the cuts still planned
     */
    public static function draw(array $sizes, array $planned, Band $band): Drawing
    {
        $recent = array_slice($sizes, -6);
        $all = [...$recent, ...array_slice($planned, -3), $band->lowerMm, $band->upperMm];
        // The last steps matter: a far start is cut off at the picture's edge.
        $reach = max(6 * $band->widthMm(), 1.3 * max(abs($recent[count($recent) - 1] - $band->middleMm()), $band->widthMm()));
        $low = max(min($all), $band->middleMm() - $reach);
        $high = min(max($all), $band->middleMm() + $reach);
        $pad = 0.12 * max($high - $low, 0.002);
        $scale = new Scale($low - $pad, $high + $pad, 200, 16);
        $last = $recent[count($recent) - 1];
        $drawing = new Drawing(560, 216, Say::with('The size is {now}; the band runs from {a} to {b}.', ['now' => LengthWriter::size($last), 'a' => LengthWriter::lower($band), 'b' => LengthWriter::upper($band)]));
        $top = $scale->at($band->upperMm);
        $bottom = max($top + 3, $scale->at($band->lowerMm));
        $drawing->box(20, $top, 440, $bottom - $top, Tone::Make);
        $drawing->text(468, $top + 2, LengthWriter::upper($band), 15, Anchor::Start, Tone::Make, mono: true, bold: true);
        $drawing->text(468, max($top + 20, $bottom + 10), LengthWriter::lower($band), 15, Anchor::Start, Tone::Make, mono: true, bold: true);
        $steps = [...$recent, ...$planned];
        $width = 430 / max(4, count($steps));
        $clip = static fn (float $mm): float => min(212.0, max(4.0, $scale->at($mm)));
        foreach ($steps as $i => $size) {
            $x = 24 + $i * $width;
            $done = $i < count($recent);
            $drawing->line($x, $clip($size), $x + $width, $clip($size), $done ? Tone::Ink : Tone::Soft, $done ? 3 : 2, ! $done);
            if ($i + 1 < count($steps)) {
                $drawing->line($x + $width, $clip($size), $x + $width, $clip($steps[$i + 1]), $done && $i + 1 < count($recent) ? Tone::Ink : Tone::Soft, 1.2, ! ($i + 1 < count($recent)));
            }
        }
        $x = 24 + (count($recent) - 0.5) * $width;

        return $drawing->text(max(40.0, $x), max(14.0, $clip($last) - 8), LengthWriter::size($last), 15, Anchor::Middle, Tone::Ink, mono: true, bold: true);
    }
}

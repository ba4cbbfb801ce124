<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * Sizes after each cut as a staircase toward the band, the cuts still planned dashed. Heights are square roots of the
 * distance.
 */
final readonly class CutPicture
{
    /**
     * @param  non-empty-list<float>  $sizes  mm, oldest first
     * @param  list<float>  $planned  sizes after the cuts still planned
     */
    public static function draw(array $sizes, array $planned, Band $band): Drawing
    {
        $recent = array_slice($sizes, -6);
        // Distances from the band's middle on a square-root scale: the far first cuts and the last tenths both show.
        $root = static fn (float $mm): float => ($mm < $band->middleMm() ? -1 : 1) * sqrt(abs($mm - $band->middleMm()));
        $all = array_map($root, [...$recent, ...$planned, $band->lowerMm, $band->upperMm]);
        $pad = 0.12 * (max($all) - min($all));
        $scale = new Scale(min($all) - $pad, max($all) + $pad, 196, 20);
        $place = static fn (float $mm): float => $scale->at($root($mm));
        $last = $recent[count($recent) - 1];
        $drawing = new Drawing(
            560,
            216,
            Say::with('The size is {now}; the band runs from {a} to {b}.', [
                'now' => LengthWriter::size($last),
                'a' => LengthWriter::lower($band),
                'b' => LengthWriter::upper($band),
            ]),
        );
        $top = $place($band->upperMm);
        $bottom = max($top + 3, $place($band->lowerMm));
        $drawing->box(20, $top, 440, $bottom - $top, Tone::Make);
        $drawing->text(
            468,
            $top + 2,
            LengthWriter::upper($band),
            15,
            Anchor::Start,
            Tone::Make,
            mono: true,
            bold: true,
        );
        $drawing->text(
            468,
            max($top + 20, $bottom + 10),
            LengthWriter::lower($band),
            15,
            Anchor::Start,
            Tone::Make,
            mono: true,
            bold: true,
        );
        $steps = [...$recent, ...$planned];
        $width = 430 / max(4, count($steps));
        foreach ($steps as $i => $size) {
            $x = 24 + $i * $width;
            $done = $i < count($recent);
            $drawing->line(
                $x,
                $place($size),
                $x + $width,
                $place($size),
                $done ? Tone::Ink : Tone::Soft,
                $done ? 3 : 2,
                ! $done,
            );
            if ($i + 1 < count($steps)) {
                $drawing->line(
                    $x + $width,
                    $place($size),
                    $x + $width,
                    $place($steps[$i + 1]),
                    $done && $i + 1 < count($recent) ? Tone::Ink : Tone::Soft,
                    1.2,
                    ! ($i + 1 < count($recent)),
                );
            }
        }
        foreach ($recent as $i => $size) {
            $now = $i === count($recent) - 1;
            $drawing->text(
                24 + ($i + 0.5) * $width,
                max(14.0, $place($size) - 7),
                LengthWriter::size($size),
                $now ? 16 : 13,
                Anchor::Middle,
                $now ? Tone::Ink : Tone::Soft,
                mono: true,
                bold: $now,
            );
        }

        return $drawing;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Fit\Batch;
use Oldpart\Core\Fit\Limits;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Unit;

/**
 * A fit from a table on one true scale: the hole's band, the shaft's band, the nominal size between, and what comes of
 * it.
 */
final class BandsPicture
{
    private const WIDTH = 720;

    private const LEFT = 96;

    private const RIGHT = 700;

    public static function draw(float $sizeMm, Limits $hole, Limits $shaft, Say $says): Drawing
    {
        $low = min(0.0, $hole->lowerMm, $shaft->lowerMm);
        $high = max(0.0, $hole->upperMm, $shaft->upperMm);
        $pad = max(0.1 * ($high - $low), 0.0005);
        $scale = new Scale($low - $pad, $high + $pad, self::LEFT, self::RIGHT);
        $drawing = new Drawing(self::WIDTH, 314, $says);
        self::grid($drawing, $scale);
        $zero = $scale->at(0.0);
        $drawing
            ->line($zero, 40, $zero, 208, Tone::Ink, 2)
            ->text(
                self::inside($zero, 70),
                34,
                Say::with('nominal {s}', ['s' => LengthWriter::sizeInWords($sizeMm)]),
                14,
                Anchor::Middle,
                bold: true,
            );
        self::band(
            drawing: $drawing,
            scale: $scale,
            y: 52,
            name: 'Hole',
            limits: $hole,
            sizeMm: $sizeMm,
            fill: Fill::Hatch,
        );
        self::band(
            drawing: $drawing,
            scale: $scale,
            y: 136,
            name: 'Shaft',
            limits: $shaft,
            sizeMm: $sizeMm,
            fill: Fill::Tint,
        );
        self::outcome($drawing, $hole, $shaft, $sizeMm);

        return $drawing;
    }

    private static function band(
        Drawing $drawing,
        Scale $scale,
        float $y,
        string $name,
        Limits $limits,
        float $sizeMm,
        Fill $fill,
    ): void {
        $band = new Band($sizeMm + $limits->lowerMm, $sizeMm + $limits->upperMm);
        $x = $scale->at($limits->lowerMm);
        $drawing->text(12, $y + 28, $name, 15, bold: true);
        $drawing->box($x, $y, max(2, $scale->at($limits->upperMm) - $x), 42, Tone::Make, $fill, 2);
        $drawing->text(
            self::inside($x + max(2, $scale->at($limits->upperMm) - $x) / 2, 110),
            $y + 62,
            Say::with('{a} … {b}', ['a' => LengthWriter::lower($band), 'b' => LengthWriter::upper($band)]),
            17,
            Anchor::Middle,
            Tone::Make,
            mono: true,
            bold: true,
        );
    }

    private static function grid(Drawing $drawing, Scale $scale): void
    {
        foreach ([[Unit::Inch, 0.0254, 'thou'], [Unit::Millimetre, 0.001, 'µm']] as [$unit, $mm, $name]) {
            $step = Scale::step(($scale->toValue - $scale->fromValue) / $mm, 9);
            for ($i = ceil($scale->fromValue / $mm / $step); $i * $step * $mm <= $scale->toValue; $i++) {
                $x = $scale->at($i * $step * $mm);
                $drawing->line($x, 46, $x, 208, Tone::Rule, only: $unit);
                $drawing->text(
                    $x,
                    226,
                    ($i > 0 ? '+' : ($i < 0 ? '−' : '')).rtrim(rtrim(number_format(abs($i * $step), 2), '0'), '.'),
                    13,
                    Anchor::Middle,
                    Tone::Soft,
                    mono: true,
                    only: $unit,
                );
            }
            $drawing->text(12, 226, $name, 13, Anchor::Start, Tone::Soft, only: $unit);
        }
    }

    /**
     * How the clearance falls out: the whole of it, the middle 95 % of pairs thick, and where it turns to interference.
     */
    private static function outcome(Drawing $drawing, Limits $hole, Limits $shaft, float $sizeMm): void
    {
        $range = $hole->clearance($shaft);
        $likely = (new Batch(
            new Band($sizeMm + $hole->lowerMm, $sizeMm + $hole->upperMm),
            new Band($sizeMm + $shaft->lowerMm, $sizeMm + $shaft->upperMm),
        ))->likely();
        $pad = max(0.12 * $range->width(), 0.0002);
        $scale = new Scale(min(0.0, $range->min) - $pad, max(0.0, $range->max) + $pad, self::LEFT, self::RIGHT);
        $zero = $scale->at(0.0);
        $drawing->text(12, 262, 'Fit', 15, bold: true);
        foreach (
            [
                [$range->min, min(0.0, $range->max), Tone::Overlap, Fill::Hatch],
                [max(0.0, $range->min), $range->max, Tone::Good, Fill::None],
            ] as [$a, $b, $tone, $fill]
        ) {
            if ($b > $a) {
                $drawing->box($scale->at($a), 246, $scale->at($b) - $scale->at($a), 22, $tone, $fill, 1.5);
            }
        }
        $drawing->whisker($scale->at($likely->min), $scale->at($likely->max), 257, Tone::Ink, 4);
        $drawing
            ->line($zero, 240, $zero, 272, Tone::Ink, 2)
            ->text($zero, 286, '0', 13, Anchor::Middle, Tone::Soft, mono: true);
        $drawing->text(
            12,
            308,
            Say::with('{r}; 95 of 100 pairs {l}', ['r' => Words::range($range), 'l' => Words::range($likely)]),
            15,
            Anchor::Start,
            $range->max <= 0 ? Tone::Overlap : Tone::Ink,
            bold: true,
        );
    }

    private static function inside(float $x, float $half): float
    {
        return min(self::RIGHT - $half, max(self::LEFT + $half, $x));
    }
}

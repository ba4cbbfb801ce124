<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;

/**
 * Both surfaces of a joint on one true scale: the mate as found with its doubt, the band to make, the range between.
 */
final readonly class FitPicture
{
    private const WIDTH = 626;

    private const LEFT = 104;

    private const RIGHT = 596;

    /**
     * @param  float  $matingMm  the mate's deciding size
     * @param  float  $looseMm  the mate's other end, equal to mating when only the mean counts
     * @param  Band  $make  mm
     * @param  Range  $clearanceMm  what the joint then has, negative for interference
     */
    public static function draw(
        string $mate,
        float $matingMm,
        float $looseMm,
        float $u95Mm,
        string $part,
        Band $make,
        Range $clearanceMm,
        Say $says,
        string $mateIs = 'found',
    ): Drawing {
        $mateLow = min($matingMm, $looseMm) - $u95Mm;
        $mateHigh = max($matingMm, $looseMm) + $u95Mm;
        [$low, $high] = [min($mateLow, $make->lowerMm), max($mateHigh, $make->upperMm)];
        $pad = max(0.18 * ($high - $low), 0.0005);
        $scale = new Scale($low - $pad, $high + $pad, self::LEFT, self::RIGHT);
        $drawing = new Drawing(self::WIDTH, 268, $says);
        self::grid($drawing, $scale);

        $tight = $clearanceMm->max <= 0;
        $drawing
            ->text(12, 72, $mate, 14, Anchor::Start, Tone::Found, bold: true)
            ->text(12, 90, $mateIs, 14, Anchor::Start, Tone::Found);
        $drawing->box($scale->at($mateLow), 52, max(2, $scale->at($mateHigh) - $scale->at($mateLow)), 42, Tone::Found);
        $drawing->whisker($scale->at($mateLow), $scale->at($mateHigh), 106, Tone::Found);
        $drawing->text(
            self::inside($scale->at(($mateLow + $mateHigh) / 2)),
            44,
            self::found($matingMm, $looseMm, $u95Mm),
            16,
            Anchor::Middle,
            Tone::Found,
            mono: true,
            bold: true,
        );

        $drawing
            ->text(12, 150, $part, 14, Anchor::Start, Tone::Make, bold: true)
            ->text(12, 168, 'to make', 14, Anchor::Start, Tone::Make);
        $drawing->box(
            $scale->at($make->lowerMm),
            132,
            max(2, $scale->at($make->upperMm) - $scale->at($make->lowerMm)),
            42,
            Tone::Make,
            line: 2,
        );
        $drawing->text(
            self::inside($scale->at($make->middleMm())),
            194,
            Say::with('{a} … {b}', ['a' => LengthWriter::lower($make), 'b' => LengthWriter::upper($make)]),
            16,
            Anchor::Middle,
            Tone::Make,
            mono: true,
            bold: true,
        );

        self::between(
            drawing: $drawing,
            scale: $scale,
            mateLow: $mateLow,
            mateHigh: $mateHigh,
            make: $make,
            tight: $tight,
        );
        $drawing->text(
            12,
            260,
            Words::range($clearanceMm),
            16,
            Anchor::Start,
            $tight ? Tone::Overlap : Tone::Ink,
            bold: true,
        );

        return $drawing;
    }

    /** The mate's size, or the span of its form, with the doubt of one reading. */
    private static function found(float $matingMm, float $looseMm, float $u95Mm): Say
    {
        $u = LengthWriter::plusMinus($u95Mm);
        $a = LengthWriter::size(min($matingMm, $looseMm));
        $b = LengthWriter::size(max($matingMm, $looseMm));

        return $a->in === $b->in && $a->mm === $b->mm
            ? Say::with('{a} ±{u}', ['a' => $a, 'u' => $u])
            : Say::with('{a} … {b} ±{u}', ['a' => $a, 'b' => $b, 'u' => $u]);
    }

    private static function grid(Drawing $drawing, Scale $scale): void
    {
        foreach ([[Unit::Inch, 25.4, 4], [Unit::Millimetre, 1.0, 3]] as [$unit, $mm, $places]) {
            $step = Scale::step(($scale->toValue - $scale->fromValue) / $mm, 7);
            for ($i = ceil($scale->fromValue / $mm / $step); $i * $step * $mm <= $scale->toValue; $i++) {
                $x = $scale->at($i * $step * $mm);
                $drawing->line($x, 54, $x, 204, Tone::Rule, only: $unit);
                if ((int) $i % 2 === 0) {
                    $drawing->text(
                        $x,
                        222,
                        number_format($i * $step, $places),
                        13,
                        Anchor::Middle,
                        Tone::Soft,
                        mono: true,
                        only: $unit,
                    );
                }
            }
            $division = rtrim(number_format($step, 6), '0');
            $drawing->text(
                12,
                20,
                "diameter, {$unit->value}. One division {$division}",
                13,
                Anchor::Start,
                Tone::Soft,
                only: $unit,
            );
        }
    }

    private static function between(
        Drawing $drawing,
        Scale $scale,
        float $mateLow,
        float $mateHigh,
        Band $make,
        bool $tight,
    ): void {
        $tone = $tight ? Tone::Overlap : Tone::Good;
        $above = $make->lowerMm >= $mateHigh;
        [$a, $b] = $above ? [$mateHigh, $make->lowerMm] : [$make->upperMm, $mateLow];
        if ($b > $a) {
            $drawing->box(
                $scale->at($a),
                108,
                $scale->at($b) - $scale->at($a),
                14,
                $tone,
                $tight ? Fill::Hatch : Fill::None,
                1,
            );
        }
        [$far1, $far2] = $above ? [$mateLow, $make->upperMm] : [$make->lowerMm, $mateHigh];
        $drawing->whisker($scale->at($far1), $scale->at($far2), 236, $tone, 5);
    }

    private static function inside(float $x): float
    {
        return min(self::RIGHT - 90, max(self::LEFT + 80, $x));
    }
}

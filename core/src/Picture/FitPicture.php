<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Fit\SizesThatWork;
use Oldpart\Core\Number\Normal;
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

    /** Of the mate's curve. */
    private const POINTS = 36;

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
        ?SizesThatWork $works = null,
    ): Drawing {
        $mateLow = min($matingMm, $looseMm) - $u95Mm;
        $mateHigh = max($matingMm, $looseMm) + $u95Mm;
        [$low, $high] = [min($mateLow, $make->lowerMm), max($mateHigh, $make->upperMm)];
        if ($works !== null && $works->widthMm() > 0) {
            // What works may reach far: as much of it as leaves the rest readable.
            $reach = $high - $low;
            $low = max($low - $reach / 2, min($low, $works->fromMm));
            $high = min($high + $reach / 2, max($high, $works->toMm));
        }
        $pad = max(0.18 * ($high - $low), 0.0005);
        $scale = new Scale($low - $pad, $high + $pad, self::LEFT, self::RIGHT);
        $drawing = new Drawing(self::WIDTH, 268, $says);
        self::grid($drawing, $scale);

        $tight = $clearanceMm->max <= 0;
        $drawing
            ->text(12, 72, $mate, 14, Anchor::Start, Tone::Found, bold: true)
            ->text(12, 90, $mateIs, 14, Anchor::Start, Tone::Found);
        self::mate($drawing, $scale, min($matingMm, $looseMm), max($matingMm, $looseMm), $u95Mm / 2);
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
        if ($works !== null && $works->widthMm() > 0) {
            self::works($drawing, $scale, $works);
        }
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

    /** How likely the mate is to be each size: a curve over its doubt, its form in the middle. */
    private static function mate(Drawing $drawing, Scale $scale, float $low, float $high, float $sigmaMm): void
    {
        $sigma = max($sigmaMm, 1e-6);
        [$from, $to] = [$low - 3 * $sigma, $high + 3 * $sigma];
        $height = static fn (float $mm): float => $high - $low < 1e-9
            ? exp((-(($mm - $low) / $sigma) ** 2) / 2)
            : Normal::below(($mm - $low) / $sigma) - Normal::below(($mm - $high) / $sigma);
        $most = $height(($low + $high) / 2);
        $points = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $mm = $from + ($i / self::POINTS) * ($to - $from);
            $points[] = [$scale->at($mm), 94 - (42 * $height($mm)) / $most];
        }
        $drawing->area($points, Tone::Found, Fill::Tint, 1.5);
    }

    /** Where it still works, around what was asked. */
    private static function works(Drawing $drawing, Scale $scale, SizesThatWork $works): void
    {
        $from = max($scale->fromValue, $works->fromMm);
        $to = min($scale->toValue, $works->toMm);
        if ($to > $from) {
            $drawing->box($scale->at($from), 124, $scale->at($to) - $scale->at($from), 58, Tone::Good, Fill::None, 1);
            $drawing->text(614, 260, 'green frame: where it works', 14, Anchor::End, Tone::Good);
        }
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

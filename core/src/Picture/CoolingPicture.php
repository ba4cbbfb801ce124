<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Measure\Cooling;

/** How a warm part comes down to the warmth of the shop, and from when on it can be read. */
final class CoolingPicture
{
    private const LEFT = 64.0;

    private const RIGHT = 400.0;

    private const TOP = 20.0;

    private const FOOT = 176.0;

    private const POINTS = 24;

    /** @return ?Drawing null where there is nothing to wait for */
    public static function draw(Cooling $cooling, float $partC, float $roomC): ?Drawing
    {
        if ($cooling->waitS <= 0.0 || abs($partC - $roomC) < 1e-9) {
            return null;
        }
        $minutes = 1.25 * $cooling->waitS / 60;
        $x = new Scale(0.0, $minutes, self::LEFT, self::RIGHT);
        [$low, $high] = [min($partC, $roomC), max($partC, $roomC)];
        $pad = 0.12 * ($high - $low);
        $y = new Scale($low - $pad, $high + $pad, self::FOOT, self::TOP);
        $at = static fn (float $min): float => $roomC
            + ($partC - $roomC) * exp(-60 * $min / $cooling->timeConstantS);
        $ready = ceil($cooling->waitS / 60);
        $drawing = new Drawing(430, 214, Say::plain('How the part comes to the warmth of the shop, and when it can be read.'));
        $drawing
            ->line(self::LEFT, self::TOP, self::LEFT, self::FOOT)
            ->line(self::LEFT, self::FOOT, self::RIGHT, self::FOOT)
            ->line(self::LEFT, $y->at($roomC), self::RIGHT, $y->at($roomC), Tone::Good, 1.5, true);
        for ($i = 0; $i < self::POINTS; $i++) {
            [$from, $to] = [$minutes * $i / self::POINTS, $minutes * ($i + 1) / self::POINTS];
            $drawing->line($x->at($from), $y->at($at($from)), $x->at($to), $y->at($at($to)), Tone::Found, 2);
        }
        $drawing
            ->line($x->at($ready), self::TOP, $x->at($ready), self::FOOT, Tone::Ink, 1, true)
            ->text(
                $x->at($ready) - 6,
                // Where the curve is not.
                $partC > $roomC ? self::TOP + 12 : self::FOOT - 8,
                'read it after '.number_format($ready).' min',
                13,
                Anchor::End,
                bold: true,
            )
            ->text(6, 14, '°C', 13, Anchor::Start, Tone::Soft)
            ->text(self::RIGHT, 196, 'min', 13, Anchor::End, Tone::Soft);
        foreach ([[$partC, Tone::Found], [$roomC, Tone::Good]] as [$celsius, $tone]) {
            $says = rtrim(rtrim(number_format($celsius, 1), '0'), '.');
            $drawing->text(58, $y->at($celsius) + 5, $says, 13, Anchor::End, $tone, mono: true, bold: true);
        }
        $step = Scale::step($minutes, 5);
        for ($min = 0.0; $min < $minutes - 0.6 * $step; $min += $step) {
            $drawing->text($x->at($min), 196, number_format($min), 13, Anchor::Middle, Tone::Soft, mono: true);
        }

        return $drawing;
    }
}

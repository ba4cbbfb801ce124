<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

/**
 * Numbers in a crowded picture, each at its surface and beside every other, with a short line to it where it had to
 * move.
 */
final class Balloons
{
    private const RADIUS = 10.0;

    private const LETTER = 13.0;

    /** Tried in turn round the place itself, in so many steps of so far. */
    private const STEPS = 12;

    private const FAR = 5.0;

    /** @param  list<Label>  $labels  numbered from 1 in this order */
    public static function draw(Drawing $drawing, array $labels): void
    {
        $placed = [];
        foreach ($labels as $i => $label) {
            [$x, $y] = self::free($label, $placed, $drawing);
            $placed[] = [$x, $y];
            if (hypot($x - $label->x, $y - $label->y) > self::RADIUS) {
                $drawing->line($label->x, $label->y, $x, $y, $label->tone, 0.9);
            }
        }
        foreach ($labels as $i => $label) {
            [$x, $y] = $placed[$i];
            $drawing->area(Drawing::circle($x, $y, self::RADIUS, 32), $label->tone, Fill::Blank, 1.2)
                ->text($x, $y + self::LETTER / 2 - 2, (string) ($i + 1), self::LETTER, Anchor::Middle, $label->tone);
        }
    }

    /**
     * The nearest place where it meets no other and stays on the drawing.
     *
     * @param  list<array{float, float}>  $placed
     * @return array{float, float}
     */
    private static function free(Label $label, array $placed, Drawing $drawing): array
    {
        for ($ring = 0; $ring < 60; $ring++) {
            for ($step = 0; $step < ($ring === 0 ? 1 : self::STEPS); $step++) {
                $angle = (2 * M_PI * $step) / self::STEPS;
                $x = $label->x + $ring * self::FAR * cos($angle);
                $y = $label->y + $ring * self::FAR * sin($angle);
                $isOn = $x > self::RADIUS && $y > self::RADIUS && $y < $drawing->height - self::RADIUS;
                if ($isOn && self::isClear($x, $y, $placed)) {
                    return [$x, $y];
                }
            }
        }

        return [$label->x, $label->y];
    }

    /** @param  list<array{float, float}>  $placed */
    private static function isClear(float $x, float $y, array $placed): bool
    {
        foreach ($placed as [$px, $py]) {
            if (hypot($x - $px, $y - $py) < 2 * self::RADIUS + 2) {
                return false;
            }
        }

        return true;
    }
}

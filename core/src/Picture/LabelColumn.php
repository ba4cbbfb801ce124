<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** Sizes in a column beside the picture, in the order they are met from the top, so that no two texts meet. */
final class LabelColumn
{
    public const PITCH = 48.0;

    private const NAME = 14.0;

    private const VALUE = 19.0;

    /** How high a column of so many labels stands. */
    public static function height(int $labels): float
    {
        return 26 + $labels * self::PITCH;
    }

    /**
     * @param  list<Label>  $labels
     * @param  float  $x  where the texts begin
     * @param  float  $right  where the frame ends
     */
    public static function draw(Drawing $drawing, array $labels, float $x, float $right, float $height): void
    {
        usort($labels, static fn (Label $a, Label $b): int => [$a->y, $a->x, $a->name] <=> [$b->y, $b->x, $b->name]);
        $n = count($labels);
        $pitch = $n < 2 ? 0.0 : min(1.4 * self::PITCH, ($height - 26 - self::PITCH) / ($n - 1));
        $top = ($height - ($n - 1) * $pitch) / 2 + 2;
        foreach ($labels as $i => $label) {
            $y = $top + $i * $pitch;
            $drawing
                ->line($label->x, $label->y, $x - 20, $y - 5, $label->tone, 0.9)
                ->line($x - 20, $y - 5, $x - 6, $y - 5, $label->tone, 0.9);
            $drawing->text(
                $x,
                $y - 8,
                TextWidth::within($label->name, self::NAME, $right - $x),
                self::NAME,
                Anchor::Start,
                $label->tone,
            );
            $drawing->text(
                $x,
                $y + 13,
                $label->says ?? Say::plain('not yet known'),
                $label->says === null ? self::NAME : self::fitting($label->says, $right - $x),
                Anchor::Start,
                $label->tone,
                mono: $label->says !== null,
                bold: $label->says !== null,
            );
        }
    }

    /** The largest letter height at which the value stays inside the frame in either unit. */
    private static function fitting(Say $says, float $width): float
    {
        $longest = max(mb_strlen($says->in), mb_strlen($says->mm), min(mb_strlen($says->both), 24));

        return min(self::VALUE, floor(($width / ($longest * 0.62)) * 2) / 2);
    }
}

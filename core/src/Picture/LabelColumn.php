<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** Sizes in a column beside the picture, in the order they are met from the top, so that no two texts meet. */
final class LabelColumn
{
    public const PITCH = 48.0;

    /** More than so many leaders are a tangle: numbers stand in the picture instead. */
    private const CROWDED = 8;

    /** The level piece of a leader, and its gap to the text. */
    private const SHELF = 20.0;

    private const NAME = 14.0;

    private const VALUE = 19.0;

    /** How high a column of so many labels stands. */
    public static function height(int $labels): float
    {
        return 26 + $labels * self::PITCH;
    }

    /**
     * Names on the nearer side: those left of a line in a column to the left of the picture, the others to the right.
     *
     * @param  list<Label>  $labels  no more than a column takes
     * @param  array{float, float}  $left  from where to where its texts stand
     * @param  array{float, float}  $right
     */
    public static function both(
        Drawing $drawing,
        array $labels,
        float $middle,
        array $left,
        array $right,
        float $height,
    ): void {
        $isLeft = static fn (Label $l): bool => $l->x < $middle;
        self::draw(
            $drawing,
            array_values(array_filter($labels, static fn (Label $l): bool => ! $isLeft($l))),
            $right[0],
            $right[1],
            $height,
        );
        self::draw(
            drawing: $drawing,
            labels: array_values(array_filter($labels, $isLeft)),
            x: $left[0],
            right: $left[1],
            height: $height,
            leaderAt: $left[1] + self::SHELF,
        );
    }

    /** So many that leaders to them are a tangle. */
    public static function isCrowded(int $labels): bool
    {
        return $labels > self::CROWDED;
    }

    /**
     * @param  list<Label>  $labels
     * @param  float  $x  where the texts begin
     * @param  float  $right  where the frame ends
     * @param  ?float  $leaderAt  where the leaders bend: before the texts, or behind them where they stand on the left
     */
    public static function draw(
        Drawing $drawing,
        array $labels,
        float $x,
        float $right,
        float $height,
        ?float $leaderAt = null,
    ): void {
        $bend = $leaderAt ?? $x - self::SHELF;
        [$shelf, $at, $anchor] = $leaderAt === null
            ? [$x - 6, $x, Anchor::Start]
            : [$right + 6, $right, Anchor::End];
        usort($labels, static fn (Label $a, Label $b): int => [$a->y, $a->x, $a->name] <=> [$b->y, $b->x, $b->name]);
        $n = count($labels);
        $pitch = $n < 2 ? 0.0 : min(1.4 * self::PITCH, ($height - 26 - self::PITCH) / ($n - 1));
        $top = ($height - ($n - 1) * $pitch) / 2 + 2;
        $ports = array_map(static fn (int $i): float => $top + $i * $pitch, array_keys($labels));
        $isCrowded = self::isCrowded($n);
        $labels = $isCrowded ? $labels : self::uncrossed($labels, $bend, $ports);
        if ($isCrowded) {
            Balloons::draw($drawing, $labels);
        }
        foreach ($labels as $i => $label) {
            $y = $ports[$i];
            if (! $isCrowded) {
                $drawing
                    ->line($label->x, $label->y, $bend, $y - 5, $label->tone, 0.9)
                    ->line($bend, $y - 5, $shelf, $y - 5, $label->tone, 0.9);
            }
            if ($label->id !== null) {
                $drawing->spot(new Spot(
                    id: $label->id,
                    name: $label->name,
                    x: $x - 6,
                    y: $y - 8 - self::NAME,
                    width: $right - $x + 6,
                    height: min(self::PITCH, $n < 2 ? self::PITCH : $pitch),
                ));
            }
            $name = ($isCrowded ? ($i + 1).'  ' : '').$label->name;
            $size = TextWidth::height($name, self::NAME, $right - $x);
            $drawing->text(
                $at,
                $y - 8,
                TextWidth::within($name, $size, $right - $x),
                $size,
                $anchor,
                $label->tone,
            );
            $drawing->text(
                $at,
                $y + 13,
                $label->says ?? Say::plain('not yet known'),
                $label->says === null ? self::NAME : self::fitting($label->says, $right - $x),
                $anchor,
                $label->tone,
                mono: $label->says !== null,
                bold: $label->says !== null && ! $label->free,
            );
        }
    }

    /**
     * Two leaders that cross change places: together they are shorter then, so it comes to an end, and no two cross
     * (one-sided boundary labelling with straight leaders).
     *
     * @param  list<Label>  $labels
     * @param  list<float>  $ports  heights of the texts
     * @return list<Label> in the order of the ports
     */
    private static function uncrossed(array $labels, float $x, array $ports): array
    {
        $n = count($labels);
        for ($again = true; $again;) {
            $again = false;
            for ($i = 0; $i < $n; $i++) {
                for ($j = $i + 1; $j < $n; $j++) {
                    if (self::cross($labels[$i], $ports[$i] - 5, $labels[$j], $ports[$j] - 5, $x)) {
                        [$labels[$i], $labels[$j]] = [$labels[$j], $labels[$i]];
                        $again = true;
                    }
                }
            }
        }

        return array_values($labels);
    }

    /** Whether the leaders of two labels to these heights at x cross between their ends. */
    private static function cross(Label $a, float $ya, Label $b, float $yb, float $x): bool
    {
        $side = static fn (float $px, float $py, Label $of, float $to): float => ($x - $of->x) * ($py - $of->y)
            - ($to - $of->y) * ($px - $of->x);

        return $side($b->x, $b->y, $a, $ya) * $side($x, $yb, $a, $ya) < -1e-6
            && $side($a->x, $a->y, $b, $yb) * $side($x, $ya, $b, $yb) < -1e-6;
    }

    /** The largest letter height at which the value stays inside the frame in either unit. */
    private static function fitting(Say $says, float $width): float
    {
        $longest = max(mb_strlen($says->in), mb_strlen($says->mm), min(mb_strlen($says->both), 24));

        return min(self::VALUE, floor(($width / ($longest * 0.62)) * 2) / 2);
    }
}

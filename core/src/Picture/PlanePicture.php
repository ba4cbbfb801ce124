<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Loop\Resultant;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Quantity\LengthWriter;

/** Lengths in two directions as arrows end to end, to scale, and the way from the start to the end. */
final class PlanePicture
{
    private const WIDTH = 560.0;

    private const HEIGHT = 330.0;

    private const PAD = 60.0;

    public static function draw(Resultant $plane): Drawing
    {
        $points = [[0.0, 0.0]];
        foreach ($plane->offsets as $o) {
            [$x, $y] = $points[count($points) - 1];
            $points[] = [$x + $o->along(0.0), $y + $o->along(90.0)];
        }
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];
        $perMm = min(
            (self::WIDTH - 2 * self::PAD) / max(1e-6, max($xs) - min($xs)),
            (self::HEIGHT - 2 * self::PAD) / max(1e-6, max($ys) - min($ys)),
        );
        $at = static fn (array $p): array => [
            self::PAD + ($p[0] - min($xs)) * $perMm,
            self::HEIGHT - self::PAD - ($p[1] - min($ys)) * $perMm,
        ];
        $size = LengthWriter::size($plane->sizeMm());
        $deg = number_format($plane->angleDeg(), 1);
        $drawing = new Drawing(
            self::WIDTH,
            self::HEIGHT,
            Say::with('The end lies {s} from the start, at {a}°.', ['s' => $size, 'a' => $deg]),
        );
        foreach ($plane->offsets as $i => $o) {
            $tone = $o->spread === Spread::Measured ? Tone::Found : Tone::Make;
            [$from, $to] = [$at($points[$i]), $at($points[$i + 1])];
            self::arrow($drawing, $from, $to, $tone, 2);
            $upright = abs($to[1] - $from[1]) > abs($to[0] - $from[0]);
            $drawing->text(
                ($from[0] + $to[0]) / 2 + ($upright ? 8 : 0),
                ($from[1] + $to[1]) / 2 + ($upright ? 4 : -8),
                Say::with('{n} {s}', ['n' => $o->name, 's' => LengthWriter::signed($o->sizeMm)]),
                13,
                $upright ? Anchor::Start : Anchor::Middle,
                $tone,
            );
        }
        [$start, $end] = [$at($points[0]), $at($points[count($points) - 1])];
        $good = $plane->chance() > 0.995 ? Tone::Good : Tone::Overlap;
        self::arrow($drawing, $start, $end, $good, 4);
        // Where the end may lie, drawn no smaller than can be seen.
        $ring = max(5.0, $plane->u95Mm() * $perMm);
        $drawing->area(
            array_map(
                static fn (int $k): array => [
                    $end[0] + $ring * cos((2 * M_PI * $k) / 24),
                    $end[1] + $ring * sin((2 * M_PI * $k) / 24),
                ],
                range(0, 23),
            ),
            $good,
            Fill::None,
            1.2,
        );
        $drawing->text(
            self::WIDTH - 12,
            self::HEIGHT - 14,
            Say::with('{s} at {a}°', ['s' => $size, 'a' => $deg]),
            18,
            Anchor::End,
            $good,
            mono: true,
            bold: true,
        );

        return $drawing;
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private static function arrow(Drawing $drawing, array $from, array $to, Tone $tone, float $width): void
    {
        $long = hypot($to[0] - $from[0], $to[1] - $from[1]);
        $drawing->line($from[0], $from[1], $to[0], $to[1], $tone, $width);
        if ($long < 1) {
            return;
        }
        $head = min(11.0, $long);
        foreach ([0.4, -0.4] as $turn) {
            $angle = atan2($to[1] - $from[1], $to[0] - $from[0]) + M_PI + $turn;
            $drawing->line(
                $to[0],
                $to[1],
                $to[0] + $head * cos($angle),
                $to[1] + $head * sin($angle),
                $tone,
                max(1.5, $width / 2),
            );
        }
    }
}

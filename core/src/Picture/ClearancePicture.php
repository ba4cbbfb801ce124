<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Loop\Clearance;
use Oldpart\Core\Loop\Neighbour;
use Oldpart\Core\Loop\Remedies;
use Oldpart\Core\Loop\Travel;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * What moves, over its whole travel, beside what it must not touch: to scale, at the place where there is least room.
 */
final class ClearancePicture
{
    private const WIDTH = 560.0;

    private const HEIGHT = 380.0;

    private const PAD = 34.0;

    public static function draw(Clearance $c, float $leastMm, string $name): Drawing
    {
        $places = array_map(
            static fn (int $k): float => $c->travel->min + ($c->travel->width() * $k) / 60,
            range(0, 60),
        );
        $middles = array_map($c->middle(...), $places);
        $r = $c->moverMm / 2;
        $points = $c->kind === Travel::Slide ? [] : [[0.0, 0.0]];
        foreach ($middles as [$x, $y]) {
            array_push($points, [$x - $r, $y - $r], [$x + $r, $y + $r]);
        }
        $near = $c->middle($c->nearestAt());
        $o = $c->otherMm / 2;
        $wallAt = [$c->xMm ?? $near[0], $c->yMm ?? $near[1]];
        $points = [
            ...$points,
            ...$c->other === Neighbour::Round
                ? [[$wallAt[0] - $o, $wallAt[1] - $o], [$wallAt[0] + $o, $wallAt[1] + $o]]
                : [[$wallAt[0], $wallAt[1]]],
        ];
        [$left, $right] = [min(array_column($points, 0)), max(array_column($points, 0))];
        [$low, $high] = [min(array_column($points, 1)), max(array_column($points, 1))];
        $per = min(
            (self::WIDTH - 2 * self::PAD) / max(1e-6, $right - $left),
            (self::HEIGHT - 2 * self::PAD - 20) / max(1e-6, $high - $low),
        );
        $x0 = self::WIDTH / 2 - (($left + $right) / 2) * $per;
        $y0 = (self::HEIGHT - 20) / 2 + (($low + $high) / 2) * $per;
        $at = static fn (array $p): array => [$x0 + $p[0] * $per, $y0 - $p[1] * $per];
        $room = LengthWriter::signed($c->leastMm());
        $tone = $c->chance($leastMm) >= Remedies::WANTED ? Tone::Good : Tone::Overlap;
        $drawing = new Drawing(
            self::WIDTH,
            self::HEIGHT,
            Say::with('{name}: least room {room}.', ['name' => $name, 'room' => $room]),
        );
        self::swept($drawing, $c, array_map($at, $middles), $r * $per);
        if ($c->other === Neighbour::Round) {
            $drawing->area(self::circle($at($wallAt), max(2.0, $o * $per)), Tone::Found, Fill::Hatch);
        } else {
            self::wall($drawing, $c, $at($wallAt), $at($near));
        }
        if ($c->kind === Travel::Swing && $c->armMm > 0) {
            $pivot = $at([0.0, 0.0]);
            $drawing
                ->line($pivot[0], $pivot[1], ...[...$at($near), Tone::Ink, 1.5, true])
                ->area(self::circle($pivot, 4), Tone::Ink, Fill::Blank, 2);
        }
        $drawing->area(self::circle($at($near), $r * $per), Tone::Make, Fill::Hatch);
        self::room(
            drawing: $drawing,
            c: $c,
            near: $at($near),
            other: $at($wallAt),
            r: $r * $per,
            o: $o * $per,
            tone: $tone,
        );
        $drawing->text(
            self::WIDTH - 12,
            self::HEIGHT - 12,
            Say::with('least room {r}', ['r' => $room]),
            18,
            Anchor::End,
            $tone,
            mono: true,
            bold: true,
        );

        return $drawing;
    }

    /**
     * The band it sweeps: outlines at both ends, and the lines between.
     *
     * @param  list<array{float, float}>  $middles
     */
    private static function swept(Drawing $drawing, Clearance $c, array $middles, float $r): void
    {
        foreach ([0, count($middles) - 1] as $end) {
            $drawing->area(self::circle($middles[$end], $r), Tone::Soft, Fill::None, 1);
        }
        if ($c->kind === Travel::Still) {
            return;
        }
        foreach ([1, -1] as $side) {
            for ($k = 1; $k < count($middles); $k++) {
                [$a, $b] = [$middles[$k - 1], $middles[$k]];
                $long = max(1e-9, hypot($b[0] - $a[0], $b[1] - $a[1]));
                [$nx, $ny] = [(-($b[1] - $a[1]) / $long) * $r * $side, (($b[0] - $a[0]) / $long) * $r * $side];
                $drawing->line($a[0] + $nx, $a[1] + $ny, $b[0] + $nx, $b[1] + $ny, Tone::Soft, 1);
            }
        }
    }

    /**
     * @param  array{float, float}  $at
     * @param  array{float, float}  $near
     */
    private static function wall(Drawing $drawing, Clearance $c, array $at, array $near): void
    {
        $thick = 16.0;
        if ($c->xMm !== null) {
            $drawing->box($at[0] - ($near[0] > $at[0] ? $thick : 0), 8, $thick, self::HEIGHT - 44, Tone::Found);
        } else {
            $drawing->box(8, $at[1] - ($near[1] > $at[1] ? $thick : 0), self::WIDTH - 16, $thick, Tone::Found);
        }
    }

    /**
     * @param  array{float, float}  $near
     * @param  array{float, float}  $other
     */
    private static function room(
        Drawing $drawing,
        Clearance $c,
        array $near,
        array $other,
        float $r,
        float $o,
        Tone $tone,
    ): void {
        $to = match (true) {
            $c->other === Neighbour::Round => $other,
            $c->xMm !== null => [$other[0], $near[1]],
            default => [$near[0], $other[1]],
        };
        $long = hypot($to[0] - $near[0], $to[1] - $near[1]);
        if ($long < 1e-6) {
            return;
        }
        [$ux, $uy] = [($to[0] - $near[0]) / $long, ($to[1] - $near[1]) / $long];
        $end = $long - ($c->other === Neighbour::Round ? $o : 0.0);
        $drawing->line(
            $near[0] + $ux * $r,
            $near[1] + $uy * $r,
            $near[0] + $ux * $end,
            $near[1] + $uy * $end,
            $tone,
            4,
        );
    }

    /**
     * @param  array{float, float}  $at
     * @return list<array{float, float}>
     */
    private static function circle(array $at, float $r): array
    {
        return array_map(
            static fn (int $k): array => [
                $at[0] + $r * cos((2 * M_PI * $k) / 48),
                $at[1] + $r * sin((2 * M_PI * $k) / 48),
            ],
            range(0, 47),
        );
    }
}

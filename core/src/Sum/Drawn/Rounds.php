<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum\Drawn;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Fill;
use Oldpart\Core\Picture\Sketch\Sketch;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

/** What is cut into round stock, seen on its end: keyways, flats, grooves, slits, threads over wires. */
final class Rounds
{
    /** @return list<array{float, float}> the arc from one way round to another, anticlockwise */
    private static function arc(float $r, float $from, float $to, float $x = 0.0, float $y = 0.0): array
    {
        return array_map(
            static fn (int $i): array => [
                $x + $r * cos(deg2rad($from + ($to - $from) * $i / 60)),
                $y + $r * sin(deg2rad($from + ($to - $from) * $i / 60)),
            ],
            range(0, 60),
        );
    }

    public static function keyway(Fields $in, Fields $out): Drawing
    {
        $d = $in->number('shaft_mm');
        [$across, $top] = [$out->number('across_mm'), $out->number('from_top_mm')];
        $w = $in->numberOrNull('width_mm') ?? $d / 4;
        $floor = $d / 2 - $top;
        $edge = rad2deg(asin(min(1.0, $w / $d)));
        $sketch = new Sketch(Say::plain('The keyway, and where its depth is read.'));
        $sketch->area(
            [...self::arc($d / 2, 90 + $edge, 450 - $edge), [$w / 2, $floor], [-$w / 2, $floor]],
            Tone::Make,
            Fill::Hatch,
        )
            ->line(-$d / 2, $d / 2, $d / 2, $d / 2, Tone::Soft, 1, true)
            ->size(
                $d / 2,
                $d / 2,
                $d / 2,
                $floor,
                LengthWriter::size($top),
                26,
            )->line($w / 2, $floor, $d / 2, $floor, Tone::Soft, 1)
            ->size(
                -$d / 2,
                -$d / 2,
                -$d / 2,
                $floor,
                LengthWriter::size($across),
                20,
            )->line(-$w / 2, $floor, -$d / 2, $floor, Tone::Soft, 1)->line(0, -$d / 2, -$d / 2, -$d / 2, Tone::Soft, 1)
            ->size(-$w / 2, $d / 2, $w / 2, $d / 2, LengthWriter::size($w), 14);

        return $sketch->drawing();
    }

    public static function keyCut(Fields $in, Fields $out): Drawing
    {
        [$w, $c, $l] = [$in->number('width_mm'), $in->number('cutter_mm'), $in->number('length_mm')];
        $sketch = new Sketch(Say::plain('The slot from above, and the cutter in it.'));
        $travel = $out->number('travel_mm');
        $sketch->area([[0, -$w / 2], [$l, -$w / 2], [$l, $w / 2], [0, $w / 2]], Tone::Make, Fill::None)
            ->area(
                [...self::arc($c / 2, 90, 270, 0.0, 0.0), ...self::arc($c / 2, -90, 90, $travel - $c / 2)],
                Tone::Soft,
            )
            ->circle($travel - $c / 2, 0, $c / 2, Tone::Ink, Fill::Tint)
            ->size(0, $w / 2, $l, $w / 2, LengthWriter::size($l), 18, Tone::Ink)
            ->size($travel, -$w / 2, 0, -$w / 2, Say::with('travel {t}', ['t' => LengthWriter::size($travel)]), 26)
            ->size(0, -$w / 2, 0, $w / 2, LengthWriter::size($w), 40, Tone::Ink);

        return $sketch->drawing();
    }

    public static function flats(Fields $in, Fields $out): Drawing
    {
        [$d, $across] = [$in->number('diameter_mm'), $in->number('across_flats_mm')];
        $half = rad2deg(acos(min(1.0, $across / $d)));
        $sketch = new Sketch(Say::plain('Two flats across the round.'));
        $sketch->circle(0, 0, $d / 2, Tone::Soft, Fill::None, 1)
            ->area(
                [...self::arc($d / 2, $half, 180 - $half), ...self::arc($d / 2, 180 + $half, 360 - $half)],
                Tone::Make,
                Fill::Tint,
            )
            ->size(-$across / 2, -$d / 2, $across / 2, -$d / 2, LengthWriter::size($across), -16)
            ->size($across / 2, $d / 2, $d / 2, $d / 2, Say::with('depth {s}', ['s' => LengthWriter::size($out->number('depth_mm'))]), 14)
            ->size($across / 2, $out->number('width_mm') / 2, $across / 2, -$out->number('width_mm') / 2, LengthWriter::size($out->number('width_mm')), 60);

        return $sketch->drawing();
    }

    public static function splitBush(Fields $in, Fields $out): Drawing
    {
        $slot = $out->number('slot_mm');
        $sketch = new Sketch(Say::plain('The slit closes as the bush draws in.'));
        $half = 5.0;
        $sketch->area(
            [
                ...self::arc(10, 90 + $half, 450 - $half),
                ...array_reverse(self::arc(7, 90 + $half * 1.43, 450 - $half * 1.43)),
            ],
            Tone::Make,
            Fill::Hatch,
        )
            ->text(0, 10, Say::with('slit closes {s}', ['s' => LengthWriter::size($slot)]), 0, -10, Anchor::Middle, Tone::Make, true)
            ->text(0, 0, Say::with('draw in {s}', ['s' => LengthWriter::size($out->number('draw_in_mm'))]), 0, 5, Anchor::Middle, Tone::Make, true);

        return $sketch->drawing();
    }

    public static function ballGroove(Fields $in, Fields $out): Drawing
    {
        [$ball, $depth, $wide] = [$in->number('ball_mm'), $in->number('depth_mm'), $out->number('width_mm')];
        $side = max(0.0, $wide - 2 * sqrt(max(0.0, $depth * ($ball - $depth))));
        $chord = ($wide - $side) / 2;
        $dip = rad2deg(acos(min(1.0, max(-1.0, ($ball / 2 - $depth) / ($ball / 2)))));
        $base = $ball * 1.2;
        $sketch = new Sketch(Say::plain('The ball in its groove.'));
        $sketch->area(
            [
                [-$base, 0],
                [-$wide / 2, 0],
                ...self::arc($ball / 2, 270 - $dip, 270, -$side / 2, $ball / 2 - $depth),
                ...self::arc($ball / 2, 270, 270 + $dip, $side / 2, $ball / 2 - $depth),
                [$wide / 2, 0],
                [$base, 0],
                [$base, -$ball],
                [-$base, -$ball],
            ],
            Tone::Make,
            Fill::Hatch,
        )
            ->circle(0, $ball / 2 - $depth, $ball / 2, Tone::Found, Fill::None, 2)
            ->size(-$wide / 2, 0, $wide / 2, 0, LengthWriter::size($wide), max(24.0, 0.0))
            ->size(
                $base,
                0,
                $base,
                -$depth,
                LengthWriter::size($depth),
                20,
                Tone::Ink,
            )->line($chord * 0.1, -$depth, $base, -$depth, Tone::Soft, 1);

        return $sketch->drawing();
    }

    public static function fittingTurn(Fields $in, Fields $out): Drawing
    {
        [$from, $to] = [$in->number('contact_deg'), $in->number('wanted_deg')];
        $turn = $out->number('turn_deg');
        $sketch = new Sketch(Say::plain('Seen on the face: where it points when it touches, and where it is to point.'));
        $sketch->circle(0, 0, 4, Tone::Ink)->centre(0, 0, 0.8);
        foreach ([[$from, Tone::Found, 'touches'], [$to, Tone::Make, 'wanted']] as [$deg, $tone, $name]) {
            [$c, $s] = [cos(deg2rad($deg)), sin(deg2rad($deg))];
            $sketch->line(0, 0, 9 * $c, 9 * $s, $tone, 7.0)->text(
                9 * $c,
                9 * $s,
                "{$name} ".round($deg).'°',
                12 * $c,
                $s > 0 ? -10 : 18,
                Anchor::Middle,
                $tone,
                true,
            );
        }

        return $sketch->path(self::arc(6, $from, $from + $turn), Tone::Ink, 1.5)
            ->text(0, -4, Say::with('turn '.round($turn).'°, or a washer {w} thinner', ['w' => LengthWriter::size($out->number('thinner_mm'))]), 0, 26, Anchor::Middle, Tone::Ink)->drawing();
    }

    public static function threeWire(Fields $in, Fields $out): Drawing
    {
        [$d, $p, $wire, $over] = [$in->number('major_mm'), $in->number('pitch_mm'), $in->numberOrNull('wire_mm') ?? $out->number('best_wire_mm'), $out->number('over_wires_mm')];
        $deep = 0.61 * $p;
        $flank = static fn (float $side, float $from): array => array_merge(...array_map(
            static fn (int $i): array => [
                [$from + $i * $p, $side * ($d / 2 - $deep)],
                [$from + ($i + 0.44) * $p, $side * $d / 2],
                [$from + ($i + 0.56) * $p, $side * $d / 2],
            ],
            range(0, 5),
        ));
        $sketch = new Sketch(Say::plain('Two wires on one side, one on the other.'));
        $sketch->area(
            [
                ...$flank(1, 0.0),
                [6 * $p, $d / 2 - $deep],
                [6 * $p, -$d / 2 + $deep],
                ...array_reverse($flank(-1, 0.5 * $p)),
            ],
            Tone::Found,
            Fill::Tint,
        );
        foreach ([[2 * $p, 1], [3 * $p, 1], [2.5 * $p, -1]] as [$x, $side]) {
            $sketch->circle($x, $side * ($over / 2 - $wire / 2), $wire / 2, Tone::Ink, Fill::Blank, 2);
        }

        return $sketch->line(0, $over / 2, 6 * $p, $over / 2, Tone::Soft, 1)->line(
            0,
            -$over / 2,
            6 * $p,
            -$over / 2,
            Tone::Soft,
            1,
        )
            ->size(6.4 * $p, -$over / 2, 6.4 * $p, $over / 2, LengthWriter::size($over), -10)
            ->text(3 * $p, 0, Say::with('wire {w}', ['w' => LengthWriter::size($wire)]), 0, 5)->drawing();
    }

    public static function screwHole(Fields $in, Fields $out): Drawing
    {
        [$through, $head] = [$out->number('through_mm'), $out->number('head_mm')];
        $deep = $out->numberOrNull('deep_mm') ?? $head * 0.04;
        $plate = max($in->numberOrNull('plate_mm') ?? 2 * $head, $deep * 1.1);
        $flat = $in->text('head') !== 'countersunk';
        $wide = $head * 1.1;
        $sketch = new Sketch(Say::plain('The hole in section.'));
        foreach ([1, -1] as $side) {
            $sketch->area([
                [$side * $through / 2, 0], [$side * $through / 2, $plate - $deep], [
                    $side * ($flat ? $head : $through) / 2,
                    $plate - $deep,
                ],
                [$side * $head / 2, $plate], [$side * $wide, $plate], [$side * $wide, 0],
            ], Tone::Make, Fill::Hatch);
        }

        return $sketch->line(0, -$plate * 0.1, 0, $plate * 1.1, Tone::Soft, 1, true)
            ->size(-$head / 2, $plate, $head / 2, $plate, LengthWriter::size($head), 18)
            ->size($through / 2, 0, -$through / 2, 0, LengthWriter::size($through), 18)
            ->size($wide, $plate, $wide, $plate - $deep, LengthWriter::size($deep), 18)
            ->line($head / 2, $plate - $deep, $wide, $plate - $deep, Tone::Soft, 1)->drawing();
    }

    /** Seen on the end, the load pressing down. */
    public static function oilGroove(Fields $in, Fields $out): Drawing
    {
        $r = $in->number('bore_mm') / 2;
        $wall = $in->numberOrNull('wall_mm') ?? $r / 3;
        [$wide, $deep] = [$out->number('wide_mm'), $out->number('deep_mm')];
        // The load presses at the bottom; the shaft turns clockwise as seen.
        $at = 270 + $out->number('from_load_deg');
        $half = rad2deg($wide / 2 / $r);
        $sketch = new Sketch(Say::plain('On its end: the load presses at the bottom, the groove lies clear of it.'));
        $sketch->circle(0, 0, $r + $wall, Tone::Make, Fill::Hatch)
            ->area(
                [...self::arc($r, $at + $half, $at + 360 - $half), ...self::arc($r + $deep, $at - $half, $at + $half)],
                Tone::Make,
                Fill::Blank,
                2,
            )
            ->line(0, -0.3 * $r, 0, -0.95 * $r, Tone::Overlap, 6)
            ->text(0, 0, 'load', 0, 0, Anchor::Middle, Tone::Overlap, true)
            ->text(($r + $deep) * cos(deg2rad($at)), ($r + $deep) * sin(deg2rad($at)), Say::with('{w} wide, {d} deep', ['w' => LengthWriter::size($wide), 'd' => LengthWriter::size($deep)]), $wall > 0 ? 60 * cos(deg2rad($at)) : 0, -40 * sin(deg2rad($at)), cos(deg2rad($at)) < -0.2 ? Anchor::End : (cos(deg2rad($at)) > 0.2 ? Anchor::Start : Anchor::Middle), Tone::Make, true);

        return $sketch->path(self::arc($r * 0.55, 150, 60), Tone::Ink, 1.5)->text(
            $r * 0.55 * cos(deg2rad(60)),
            $r * 0.55 * sin(deg2rad(60)),
            'turns',
            8,
            -4,
            Anchor::Start,
        )->drawing();
    }
}

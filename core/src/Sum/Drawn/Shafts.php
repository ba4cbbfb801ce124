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

/** Shafts that run out, are bent, hang over, or lie off their axis. */
final class Shafts
{
    /** Two faces seen from the tail: where the high spot is, the arrow as long as it is off. */
    public static function runOut(Fields $in, Fields $out): Drawing
    {
        $sketch = new Sketch(Say::plain('Seen from the tail end: which way it lies off, near the jaws and at the far end.'));
        $off = ['near' => $out->number('near_offset_mm'), 'far' => $out->number('far_offset_mm')];
        $by = 0.8 / max(1e-9, ...array_values($off));
        foreach (['near' => ['near the jaws', 0.0], 'far' => ['far end', 4.4]] as $end => [$name, $x]) {
            $deg = $out->number("{$end}_direction_deg");
            $at = deg2rad($deg);
            $sketch->circle($x, 0, 1, Tone::Found)->centre($x, 0, 0.12);
            foreach ([0, 90, 180, 270] as $way) {
                $w = deg2rad($way);
                $sketch->line($x + 0.92 * cos($w), 0.92 * sin($w), $x + cos($w), sin($w), Tone::Ink)
                    ->text(
                        $x + 1.1 * cos($w),
                        1.1 * sin($w),
                        "{$way}°",
                        $way === 0 ? 12 : ($way === 180 ? -12 : 0),
                        $way === 90 ? -2 : ($way === 270 ? 14 : 5),
                        $way === 0 ? Anchor::Start : ($way === 180 ? Anchor::End : Anchor::Middle),
                        Tone::Soft,
                    );
            }
            if ($off[$end] > 0) {
                $sketch->line($x, 0, $x + $off[$end] * $by * cos($at), $off[$end] * $by * sin($at), Tone::Overlap, 5.0);
            }
            $sketch->text($x, -1.25, Say::with("{$name}: {o}", ['o' => LengthWriter::difference($off[$end])]), 0, 26, Anchor::Middle, Tone::Ink, true);
        }

        return $sketch->drawing();
    }

    public static function bend(Fields $in, Fields $out): Drawing
    {
        $rows = $in->objects('stations');
        $at = array_map(static fn (Fields $s): float => $s->number('at_mm'), $rows) ?: [0.0];
        $plane = $out->number('plane_deg');
        $off = array_map(
            static fn (Fields $s): float => ($s->number('tir_mm') / 2) * cos(deg2rad($s->number('high_deg') - $plane)),
            $rows,
        );
        $long = max($at) - min($at);
        $most = max(1e-9, max(0.0, ...array_map(abs(...), $off)));
        $tall = 0.3 * $long / $most;
        $sketch = new Sketch(Say::plain('The shaft in the plane of its bend, across much larger than along.'), $tall);
        $order = array_keys($at);
        usort($order, static fn (int $a, int $b): int => $at[$a] <=> $at[$b]);
        $sketch->line(min($at), 0, max($at), 0, Tone::Soft, 1.0, true)
            ->path(array_map(static fn (int $i): array => [$at[$i], $off[$i]], $order), Tone::Found, 4.0);
        foreach ($order as $i) {
            $sketch->text($at[$i], $off[$i], LengthWriter::difference($off[$i]), 0, -12);
        }
        $kink = $out->number('kink_at_mm');

        return $sketch->line($kink, -0.25 * $most, $kink, 0.5 * $most, Tone::Make, 2.0)
            ->text($kink, -0.25 * $most, Say::with('bent at {s}, toward '.round($plane).'°', ['s' => LengthWriter::size($kink)]), 0, 20, Anchor::Middle, Tone::Make, true)->drawing();
    }

    public static function straighten(Fields $in, Fields $out): Drawing
    {
        [$span, $bow] = [$in->number('span_mm'), $in->number('bow_mm')];
        $travel = $out->object('travel_mm')?->number('min') ?? 0.0;
        $force = $out->object('force_n')?->number('min') ?? 0.0;
        $up = $span / 9;
        $by = $up / max(1e-9, $bow, $travel);
        $curve = static fn (float $mid): array => array_map(
            static fn (int $i): array => [$span * $i / 24, $mid * (1 - (2 * $i / 24 - 1) ** 2)],
            range(0, 24),
        );
        $sketch = new Sketch(Say::plain('Between two blocks, the high side up, pressed past straight so that it springs back to it.'));
        $sketch->path($curve($bow * $by), Tone::Found, 5.0)->path($curve(-($travel - $bow) * $by), Tone::Make, 2.0)
            ->line(0, 0, $span, 0, Tone::Soft, 1.0, true);
        foreach ([0.0, $span] as $x) {
            $sketch->area([[$x, 0], [$x - $span / 30, -$up], [$x + $span / 30, -$up]], Tone::Ink, Fill::Tint);
        }

        return $sketch->size(0, -$up, $span, -$up, LengthWriter::size($span), -20, Tone::Ink)
            ->text($span / 2, $bow * $by, Say::with('press down {t}, about '.round($force / 1000, 1).' kN', ['t' => LengthWriter::size($travel)]), 0, -14, Anchor::Middle, Tone::Make, true)->drawing();
    }

    public static function overhang(Fields $in, Fields $out): Drawing
    {
        [$long, $d] = [$in->number('stick_out_mm'), $in->number('diameter_mm')];
        $give = $long / 5;
        $sketch = new Sketch(Say::plain('How it gives way at its end, drawn larger.'));
        $curve = static fn (float $side): array => array_map(
            static fn (int $i): array => [
                $long * $i / 20,
                $side * $d / 2 - $give * (3 * ($i / 20) ** 2 - ($i / 20) ** 3) / 2,
            ],
            range(0, 20),
        );
        $sketch->box(-$long / 5, $d / 2, 0, $d * 1.4, Tone::Ink, Fill::Hatch)->box(
            -$long / 5,
            -$d * 1.4,
            0,
            -$d / 2,
            Tone::Ink,
            Fill::Hatch,
        )
            ->area([[0, -$d / 2], [$long, -$d / 2], [$long, $d / 2], [0, $d / 2]], Tone::Soft)
            ->area([...$curve(1), ...array_reverse($curve(-1))], Tone::Found, Fill::Tint)
            ->size(0, $d / 2, $long, $d / 2, Say::with('{l}, '.round($out->number('ratio'), 1).' to 1', ['l' => LengthWriter::size($long)]), 20, Tone::Ink)
            ->text($long, -$give, Say::with('gives {g}', ['g' => LengthWriter::difference($out->number('deflection_mm'))]), -20, 30, Anchor::Middle, Tone::Make, true);

        return $sketch->drawing();
    }

    public static function offset(Fields $in, Fields $out): Drawing
    {
        [$e, $deg] = [$out->number('offset_mm'), $out->number('direction_deg')];
        $bar = $in->numberOrNull('bar_diameter_mm') ?? 8 * $e;
        [$x, $y] = [$e * cos(deg2rad($deg)), $e * sin(deg2rad($deg))];
        $sketch = new Sketch(Say::with('Off the axis by {e} toward '.round($deg).'°.', ['e' => LengthWriter::sizeInWords($e)]));
        $sketch->circle(0, 0, $bar / 2, Tone::Found)->centre(0, 0, $bar / 12)
            ->circle($x, $y, max($bar / 5, ($bar / 2 - $e) * 0.6), Tone::Make)->centre($x, $y, $bar / 16)
            ->line(0, 0, $bar * 0.62 * cos(deg2rad($deg)), $bar * 0.62 * sin(deg2rad($deg)), Tone::Make, 1.0, true)
            ->line(0, 0, $x, $y, Tone::Make, 4.0)
            ->text($x, $y, Say::with('{e}, '.round($deg).'°', ['e' => LengthWriter::size($e)]), 18, -14, Anchor::Start, Tone::Make, true);

        return $sketch->drawing();
    }

    public static function boreCentre(Fields $in, Fields $out): Drawing
    {
        [$h, $d, $bore] = [$in->number('height_mm'), $in->number('roller_mm'), $in->number('bore_mm')];
        $centre = $out->number('centre_mm');
        $wide = $bore * 0.85;
        $sketch = new Sketch(Say::plain('A roller lies in the bottom of the bore; the height is read over it.'));
        $sketch->line(-$bore * 1.3, 0, $bore * 1.3, 0, Tone::Ink, 2.5)
            ->box(-$wide, 0, $wide, $centre + $bore * 0.8, Tone::Found, Fill::Tint)
            ->circle(0, $centre, $bore / 2, Tone::Found, Fill::Blank)->centre(0, $centre, $bore / 10)
            ->circle(0, $h - $d / 2, $d / 2, Tone::Ink, Fill::Tint)
            ->size(
                -$wide,
                0,
                -$wide,
                $h,
                LengthWriter::size($h),
                20,
                Tone::Found,
            )->line(-$wide, $h, 0, $h, Tone::Soft, 1)
            ->size(
                $wide,
                $centre,
                $wide,
                0,
                LengthWriter::size($centre),
                20,
            )->line($wide, $centre, 0, $centre, Tone::Soft, 1);

        return $sketch->drawing();
    }

    /** Two bores and the line through them, across much larger than along. */
    public static function boreLine(Fields $in, Fields $out): Drawing
    {
        [$long, $a, $b] = [$in->number('distance_mm'), $out->number('off_a_mm'), $out->number('off_b_mm')];
        $most = max(abs($a), abs($b), 1e-9);
        $by = 0.12 * $long / $most;
        [$wide, $half] = [0.12 * $long, 0.1 * $long];
        $sketch = new Sketch(Say::plain('The two bores as they lie to the line of the bar, across much larger than along.'));
        $sketch->line(-0.1 * $long, 0, 1.1 * $long, 0, Tone::Soft, 1.0, true)
            ->line(0, $a * $by, $long, $b * $by, Tone::Overlap, 2.0);
        foreach ([[0.0, $a, 'first'], [$long, $b, 'second']] as [$x, $off, $name]) {
            $y = $off * $by;
            foreach ([1, -1] as $side) {
                $sketch->box(
                    $x - $wide / 2,
                    $y + $side * $half,
                    $x + $wide / 2,
                    $y + $side * $half * 2,
                    Tone::Found,
                    Fill::Hatch,
                );
            }
            $sketch->text($x, $y + 2 * $half, Say::with("{$name}: {o}", ['o' => LengthWriter::difference($off)]), 0, -8, Anchor::Middle, Tone::Ink, true);
        }
        $shim = $out->numberOrNull('shim_mm');

        return ($shim === null ? $sketch : $sketch->text($long / 2, 0, Say::with('shim {s}', ['s' => LengthWriter::difference($shim)]), 0, 30, Anchor::Middle, Tone::Make, true))->drawing();
    }
}

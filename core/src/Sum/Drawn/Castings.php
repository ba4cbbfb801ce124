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

/** What is poured and what is drilled into a block. */
final class Castings
{
    public static function pour(Fields $in, Fields $out): Drawing
    {
        [$mandrel, $shell, $long] = [$out->number('mandrel_mm'), $in->number('shell_bore_mm'), $in->number('length_mm')];
        $head = $in->numberOrNull('headroom_mm') ?? 0.0;
        $wall = max($shell * 0.14, 4.0);
        $top = $long + $head;
        $sketch = new Sketch(Say::plain('Stood on end: the mandrel, the metal round it, the shell.'));
        foreach ([1, -1] as $side) {
            $sketch->box($side * $shell / 2, 0, $side * ($shell / 2 + $wall), $long, Tone::Found, Fill::Hatch)
                ->box($side * $mandrel / 2, 0, $side * $shell / 2, $top, Tone::Make, Fill::Tint);
            if ($head > 0) {
                $sketch->box(
                    $side * $shell / 2,
                    $long,
                    $side * ($shell / 2 + $wall / 3),
                    $top + $long * 0.03,
                    Tone::Ink,
                    Fill::None,
                );
            }
        }
        $under = $long * 0.06;
        $sketch->box(-$mandrel / 2, -$under, $mandrel / 2, $top + $long * 0.1, Tone::Ink, Fill::None)
            ->box(-$shell / 2 - 2 * $wall, -$under, $shell / 2 + 2 * $wall, 0, Tone::Ink, Fill::Hatch)
            ->text(
                0,
                $top + $long * 0.1,
                Say::with('mandrel ⌀ {m}', ['m' => LengthWriter::size($mandrel)]),
                0,
                -8,
                Anchor::Middle,
                Tone::Make,
                true,
            )
            ->text(0, $long / 2, 'melt '.round($out->number('mass_kg'), 2).' kg', 0, 5)
            ->size($shell / 2 + $wall, 0, $shell / 2 + $wall, $long, LengthWriter::size($long), -18, Tone::Ink);
        if ($head > 0) {
            $sketch->size(
                -$shell / 2 - $wall / 3,
                $long,
                -$shell / 2 - $wall / 3,
                $top,
                LengthWriter::size($head),
                18,
                Tone::Ink,
            );
        }

        return $sketch->drawing();
    }

    public static function pattern(Fields $in, Fields $out): Drawing
    {
        return self::nested($in->number('finished_mm'), $out->number('pattern_mm'), $in->flag('outside'), 'pattern');
    }

    public static function cleanUp(Fields $in, Fields $out): Drawing
    {
        $off = $in->numberOrNull('runout_mm') ?? 0.0;

        return self::nested($in->number('finished_mm'), $in->number('raw_mm'), $in->flag('outside'), 'raw', $off);
    }

    /** The finished size inside the raw one, or round it; what is off is off to one side. */
    private static function nested(
        float $finished,
        float $raw,
        bool $outside,
        string $outer,
        float $runOut = 0.0,
    ): Drawing {
        $sketch = new Sketch(Say::plain($outside ? 'What comes off an outside.' : 'What comes out of a bore.'));
        $gap = ($raw - $finished) / 2;
        // A little stock is drawn larger, so that it can be seen.
        $shown = $gap === 0.0 ? 0.0 : $gap / abs($gap) * max(abs($gap), $finished * 0.06);
        $by = $gap === 0.0 ? 1.0 : $shown / $gap;

        return $sketch->circle(-$runOut / 2 * $by, 0, $finished / 2 + $shown, Tone::Found, Fill::None, 2)
            ->circle(0, 0, $finished / 2, Tone::Make, Fill::Tint)->centre(0, 0, $finished / 20)
            ->text(0, 0, Say::with('finished {f}', ['f' => LengthWriter::size($finished)]), 0, -8, Anchor::Middle, Tone::Make, true)
            ->text(0, 0, Say::with("{$outer} {r}", ['r' => LengthWriter::size($raw)]), 0, 20, Anchor::Middle, Tone::Found, true)->drawing();
    }

    /** From the front, from the left and from above, each drilling where it lies; those that meet stand out. */
    public static function ports(Fields $in, Fields $out): ?Drawing
    {
        $block = $in->object('block');
        if ($block === null) {
            return null;
        }
        [$x, $y, $z] = [$block->number('x_mm'), $block->number('y_mm'), $block->number('z_mm')];
        $gap = 0.35 * max($x, $y, $z);
        $sketch = new Sketch(Say::plain('The block from above, and under it from the front; from the side at the right.'));
        $views = [
            'from above' => [0, 1, 0.0, $z + $gap, $x, $y],
            'from the front' => [0, 2, 0.0, 0.0, $x, $z],
            'from the side' => [1, 2, $x + $gap, 0.0, $y, $z],
        ];
        foreach ($views as $name => [$h, $v, $left, $bottom, $wide, $high]) {
            $sketch->box($left, $bottom, $left + $wide, $bottom + $high, Tone::Found, Fill::None)
                ->text($left + $wide / 2, $bottom, $name, 0, 16, Anchor::Middle, Tone::Soft);
            foreach ($in->objects('drillings') as $drilling) {
                [$from, $to, $r] = [$drilling->numbers('from'), $drilling->numbers('to'), $drilling->number('diameter_mm') / 2];
                [$ax, $ay, $bx, $by] = [$left + $from[$h], $bottom + $from[$v], $left + $to[$h], $bottom + $to[$v]];
                $long = hypot($bx - $ax, $by - $ay);
                if ($long < 1e-9) {
                    $sketch->circle($ax, $ay, $r, Tone::Make, Fill::None, 2);

                    continue;
                }
                [$ux, $uy] = [($bx - $ax) / $long, ($by - $ay) / $long];
                $sketch->area([
                    [$ax - $uy * $r, $ay + $ux * $r], [$bx - $uy * $r, $by + $ux * $r],
                    [$bx + $uy * $r, $by - $ux * $r], [$ax + $uy * $r, $ay - $ux * $r],
                ], Tone::Make, Fill::Tint, 1.5)->line($ax, $ay, $bx, $by, Tone::Soft, 1, true);
                if ($name === 'from the front') {
                    $sketch->text(($ax + $bx) / 2, ($ay + $by) / 2, $drilling->text('name'), 0, 5, Anchor::Middle, Tone::Make);
                }
            }
        }

        return $sketch->drawing();
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum\Drawn;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Pattern\HoleCircle;
use Oldpart\Core\Pattern\Point;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Fill;
use Oldpart\Core\Picture\PatternPicture;
use Oldpart\Core\Picture\Sketch\Sketch;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Sum\PointsInput;

/** Holes where their sums put them. */
final class Patterns
{
    public static function circle(Fields $in, Fields $out): Drawing
    {
        return PatternPicture::draw(
            new HoleCircle($in->whole('holes'), $in->number('diameter_mm'), $in->numberOrNull('start_deg') ?? 0.0),
            null,
        );
    }

    public static function found(Fields $in, Fields $out): Drawing
    {
        [$x, $y, $r] = [$out->number('x_mm'), $out->number('y_mm'), $out->number('diameter_mm') / 2];
        $sketch = new Sketch(Say::with('The circle through them: {d}.', ['d' => LengthWriter::sizeInWords(2 * $r)]));
        $sketch->circle($x, $y, $r, Tone::Make)->centre($x, $y, $r / 10);
        $off = $out->numbers('residuals_mm');
        foreach ($in->objects('points') as $i => $p) {
            [$px, $py] = [$p->number('x_mm'), $p->number('y_mm')];
            $sketch->circle($px, $py, $r / 14, Tone::Found, Fill::Blank, 2)
                ->text(
                    $px,
                    $py,
                    Say::with(($i + 1).': {o}', ['o' => LengthWriter::difference($off[$i] ?? 0.0)]),
                    0,
                    -16,
                );
        }

        return $sketch->text($x, $y, Say::with('⌀ {d}', ['d' => LengthWriter::size(2 * $r)]), 0, 34, Anchor::Middle, Tone::Make, true)->drawing();
    }

    public static function chord(Fields $in, Fields $out): Drawing
    {
        $holes = $in->whole('holes');
        $circle = new HoleCircle($holes, $out->number('diameter_mm'), 90.0 - 180.0 / $holes);
        $r = $circle->diameterMm / 2;
        $pin = $in->numberOrNull('pin_mm') ?? $r / 6;
        $skip = max(1, $in->has('skip') ? $in->whole('skip') : 1);
        $points = $circle->points();
        [$a, $b] = [$points[0], $points[$skip % $holes]];
        $sketch = new Sketch(Say::with('{n} holes on a circle of {d}.', ['n' => Say::plain((string) $holes), 'd' => LengthWriter::sizeInWords(2 * $r)]));
        $sketch->circle(0, 0, $r, Tone::Soft)->centre(0, 0, $r / 12);
        foreach (array_slice($points, 0, PatternPicture::DRAWN) as $p) {
            $sketch->circle($p->x, $p->y, $pin / 2, Tone::Found, Fill::Blank, 2);
        }

        return $sketch->size($b->x, $b->y, $a->x, $a->y, LengthWriter::size($out->number('chord_mm')), 26, Tone::Found)
            ->text(0, 0, Say::with('⌀ {d}', ['d' => LengthWriter::size(2 * $r)]), 0, 30, Anchor::Middle, Tone::Make, true)->drawing();
    }

    public static function fit(Fields $in, Fields $out): Drawing
    {
        [$ours, $theirs] = [PointsInput::read($in, 'ours'), PointsInput::read($in, 'theirs')];
        $moved = array_map(
            static fn (Point $p): Point => $p->moved($out->number('turn_deg'), $out->number('dx_mm'), $out->number('dy_mm')),
            $ours,
        );
        $all = [...$moved, ...$theirs];
        [$xs, $ys] = [array_column($all, 'x') ?: [0.0], array_column($all, 'y') ?: [0.0]];
        $span = max(1e-6, max($xs) - min($xs), max($ys) - min($ys));
        $off = $out->numbers('residuals_mm');
        $most = max([1e-9, ...$off]);
        $by = $span / 8 / $most;
        $bolt = ($in->numberOrNull('bolt_mm') ?? $span / 20) / 2;
        $sketch = new Sketch(Say::plain('Our holes laid on the mate’s; how far each is off is drawn larger.'));
        foreach ($theirs as $i => $p) {
            $sketch->circle($p->x, $p->y, $bolt, Tone::Found, Fill::Blank, 2);
            $o = $moved[$i] ?? $p;
            $sketch->line(
                $p->x,
                $p->y,
                $p->x + ($o->x - $p->x) * $by,
                $p->y + ($o->y - $p->y) * $by,
                $off[$i] >= $most * 0.999 ? Tone::Overlap : Tone::Make,
                2.5,
            )
                ->text(
                    $p->x,
                    $p->y,
                    Say::with(($i + 1).': {o}', ['o' => LengthWriter::difference($off[$i] ?? 0.0)]),
                    0,
                    -18,
                    Anchor::Middle,
                    $off[$i] >= $most * 0.999 ? Tone::Overlap : Tone::Ink,
                );
        }

        return $sketch->drawing();
    }

    public static function clocking(Fields $in, Fields $out): ?Drawing
    {
        [$fa, $fb] = [$in->object('a'), $in->object('b')];
        if ($fa === null || $fb === null) {
            return null;
        }
        $turn = $out->number('turn_deg');
        $sketch = new Sketch(Say::plain('The second circle turned by '.round($turn, 2).'°: '.'the least wall is as wide as it can be.'));
        foreach ([[$fa, 0.0, Tone::Found], [$fb, $turn, Tone::Make]] as [$f, $by, $tone]) {
            $circle = new HoleCircle($f->whole('holes'), $f->number('diameter_mm'), ($f->numberOrNull('start_deg') ?? 0.0) + $by);
            $sketch->circle(0, 0, $circle->diameterMm / 2, Tone::Soft, Fill::None, 1.0);
            foreach (array_slice($circle->points(), 0, PatternPicture::DRAWN) as $p) {
                $sketch->circle($p->x, $p->y, $f->number('hole_mm') / 2, $tone, Fill::Blank, 2.0);
            }
        }
        $r = max($fa->number('diameter_mm'), $fb->number('diameter_mm')) / 2;

        return $sketch->centre(0, 0, $r / 12)
            ->text(0, 0, Say::with('turn '.round($turn, 2).'°, wall {w}', ['w' => LengthWriter::size($out->number('wall_mm'))]), 0, 34, Anchor::Middle, Tone::Make, true)->drawing();
    }

    public static function cage(Fields $in, Fields $out): Drawing
    {
        $balls = $out->whole('balls');
        [$r, $ball] = [$in->number('pitch_circle_mm') / 2, $in->number('ball_mm')];
        $step = 2 * rad2deg(asin(min(1.0, ($ball + $in->number('web_mm')) / (2 * $r))));
        $sketch = new Sketch(Say::plain("{$balls} balls, as close as their webs let them stand."));
        $sketch->circle(0, 0, $r, Tone::Soft, Fill::None, 1.0)->circle(0, 0, $r + $ball * 0.75, Tone::Ink)->circle(
            0,
            0,
            max($r * 0.2, $r - $ball * 0.75),
            Tone::Ink,
        );
        for ($i = 0; $i < min($balls, PatternPicture::DRAWN); $i++) {
            $at = deg2rad(90 - $i * $step);
            $sketch->circle($r * cos($at), $r * sin($at), $ball / 2, Tone::Make, Fill::Tint);
        }

        return $sketch->text(0, 0, (string) $balls, 0, 4, Anchor::Middle, Tone::Make, true)
            ->text(0, 0, Say::with('gap {g}', ['g' => LengthWriter::size($out->number('gap_mm'))]), 0, 26)->drawing();
    }
}

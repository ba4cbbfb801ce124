<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Loop\Sureness;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Unit;

/**
 * The loop as arrows end to end, to scale, as thick as each one's share of the spread; below it the gap that closes it,
 * enlarged, with what is wanted.
 */
final class LoopPicture
{
    private const NAMES = 8.0;

    private const LEFT = 192.0;

    /** What a name has for itself. */
    private const NAMED = self::LEFT - self::NAMES - 16;

    private const RIGHT = 620.0;

    private const ROW = 27.0;

    private const GAP = 98.0;

    private const BOX = 38.0;

    /** The least length of an arrow that carries the mark of a break. */
    private const MARKED = 30.0;

    /** Points of the curve. */
    private const CURVE = 64;

    /** What is lower than this share of the highest is not drawn. */
    private const SEEN = 0.004;

    /** The least length of an arrow, so that a shim shows beside a housing. */
    private const LEAST = 5.0;

    /** A wish without an end is drawn as far as this many times the loop's own spread. */
    private const OPEN_END = 1.5;

    /**
     * @param  list<array{name: string, loop: Loop}>  $others  loops that some of its lengths stand in too: their gaps, below its own
     */
    public static function draw(Loop $loop, array $others = []): Drawing
    {
        $parts = $loop->contributors;
        $shares = array_column($loop->shares(), 'share');
        $ends = [0.0];
        foreach ($parts as $part) {
            $ends[] = $ends[count($ends) - 1] + $part->addsMm();
        }
        $scale = BrokenScale::of($ends, self::LEFT, self::RIGHT);
        $below = 24 + self::ROW * (count($parts) + 1);
        $drawing = new Drawing(
            760,
            $below + 96 + self::GAP * count($others),
            Say::with('The loop closes at {n}, at worst {a} to {b}.', [
                'n' => LengthWriter::signed($loop->nominalMm()),
                'a' => LengthWriter::signed($loop->worst()->min),
                'b' => LengthWriter::signed($loop->worst()->max),
            ]),
        );
        foreach ($parts as $i => $part) {
            $y = 20 + self::ROW * $i;
            self::arrow(
                drawing: $drawing,
                scale: $scale,
                fromMm: $ends[$i],
                toMm: $ends[$i + 1],
                direction: $part->direction,
                y: $y,
                tone: self::tone($part),
                width: 1.5 + 6 * $shares[$i],
            );
            $drawing->line($scale->at($ends[$i + 1]), $y, $scale->at($ends[$i + 1]), $y + self::ROW, Tone::Rule);
            $drawing->text(
                634,
                $y + 5,
                Say::with(($part->direction > 0 ? '+ ' : '− ').'{s}'.($part->weight === 0.5 ? ' / 2' : ''), [
                    's' => LengthWriter::size($part->sizeMm),
                ]),
                14,
                Anchor::Start,
                self::tone($part),
                mono: true,
            );
            $size = TextWidth::height($part->name, 13, self::NAMED);
            $drawing->text(self::NAMES, $y + 5, TextWidth::within($part->name, $size, self::NAMED), $size);
        }
        $y = 20 + self::ROW * count($parts);
        $tone = $loop->chance() > 0.995 ? Tone::Good : Tone::Overlap;
        $nominal = $loop->nominalMm();
        self::arrow(
            drawing: $drawing,
            scale: $scale,
            fromMm: 0.0,
            toMm: $ends[count($parts)],
            direction: $nominal < 0 ? -1 : 1,
            y: $y,
            tone: $tone,
            width: 3,
        );
        $drawing
            ->line($scale->at(0.0), 20, $scale->at(0.0), $y, Tone::Rule)
            ->text(
                634,
                $y + 5,
                Say::with('= {s}', ['s' => LengthWriter::signed($nominal)]),
                15,
                Anchor::Start,
                $tone,
                mono: true,
                bold: true,
            )
            ->text(self::NAMES, $y + 5, 'closes at', 13, bold: true);
        self::gap($drawing, $loop, $below, $tone, 'the gap, enlarged');
        foreach ($others as $i => $other) {
            self::gap(
                $drawing,
                $other['loop'],
                $below + self::GAP * ($i + 1),
                $other['loop']->chance() > 0.995 ? Tone::Good : Tone::Overlap,
                $other['name'],
            );
        }

        return $drawing;
    }

    /** The gap enlarged: what is wanted as a box, how the gaps fall as a hump, the worst case below. */
    private static function gap(Drawing $drawing, Loop $loop, float $y, Tone $tone, string $name): void
    {
        $worst = $loop->worst();
        $spread = max($worst->width(), 0.001) * self::OPEN_END;
        // A wish that reaches far beyond the gap, or has no end there, is cut off; one beside it is shown, however far
        // it lies.
        $from = max($loop->wanted->min, min($worst->min, $loop->wanted->max) - $spread);
        $to = min($loop->wanted->max, max($worst->max, $loop->wanted->min) + $spread);
        $low = min($from, $worst->min);
        $high = max($to, $worst->max);
        $pad = 0.06 * max($high - $low, 1e-6);
        $scale = new Scale($low - $pad, $high + $pad, self::LEFT, self::RIGHT);
        $drawing->text(
            self::NAMES,
            $y + 24,
            TextWidth::within($name, TextWidth::height($name, 13, self::NAMED), self::NAMED),
            TextWidth::height($name, 13, self::NAMED),
            Anchor::Start,
            Tone::Soft,
        );
        self::hump($drawing, $loop, $scale, $y + self::BOX);
        if ($to > $from) {
            $drawing->box(
                $scale->at($from),
                $y,
                max(2.0, $scale->at($to) - $scale->at($from)),
                self::BOX,
                Tone::Good,
                Fill::None,
                1.5,
            );
        }
        $drawing
            ->text(634, $y + 16, 'wanted', 13, Anchor::Start, Tone::Good)
            ->text(
                634,
                $y + 33,
                Sureness::ofHundred($loop->chance()).' of 100',
                13,
                Anchor::Start,
                $tone,
                bold: true,
            );
        $drawing
            ->whisker($scale->at($worst->min), $scale->at($worst->max), $y + 50, Tone::Soft, 4)
            ->text(634, $y + 55, 'at worst', 13, Anchor::Start, Tone::Soft);
        $drawing->line(
            $scale->at($loop->nominalMm()),
            $y - 4,
            $scale->at($loop->nominalMm()),
            $y + self::BOX + 4,
            Tone::Ink,
            2,
        );
        foreach ([[Unit::Inch, 25.4, 4], [Unit::Millimetre, 1.0, 3]] as [$unit, $mm, $places]) {
            $step = Scale::step(($scale->toValue - $scale->fromValue) / $mm, 5);
            for ($i = (int) ceil($scale->fromValue / $mm / $step); $i * $step * $mm <= $scale->toValue; $i++) {
                $drawing->text(
                    $scale->at($i * $step * $mm),
                    $y + 76,
                    str_replace('-', '−', number_format($i * $step, $places)),
                    13,
                    Anchor::Middle,
                    Tone::Soft,
                    mono: true,
                    only: $unit,
                );
            }
        }
    }

    /** How often each gap comes, as it falls from the lengths: what is not as wanted in red. */
    private static function hump(Drawing $drawing, Loop $loop, Scale $scale, float $base): void
    {
        $sigma = sqrt($loop->spreadMm2());
        if ($sigma <= 0) {
            return;
        }
        $worst = $loop->worst();
        [$from, $to] = [
            max($worst->min - $sigma, $loop->middleMm() - 4 * $sigma),
            min($worst->max + $sigma, $loop->middleMm() + 4 * $sigma),
        ];
        $step = ($to - $from) / self::CURVE;
        $heights = [];
        $below = $loop->below($from);
        for ($i = 0; $i < self::CURVE; $i++) {
            $next = $loop->below($from + ($i + 1) * $step);
            $heights[] = max(0.0, $next - $below);
            $below = $next;
        }
        $most = max($heights);
        /** @var list<list<array{float, float}>> $runs */
        $runs = [];
        /** @var list<bool> $wanted */
        $wanted = [];
        foreach ($heights as $i => $height) {
            if ($most <= 0 || $height < self::SEEN * $most) {
                continue;
            }
            $x = $from + ($i + 0.5) * $step;
            $good = $x >= $loop->wanted->min && $x <= $loop->wanted->max;
            $point = [$scale->at($x), $base - ($height / $most) * (self::BOX - 4)];
            $last = count($runs) - 1;
            if ($last >= 0 && $wanted[$last] === $good) {
                $runs[$last][] = $point;
            } else {
                // A run begins where the one before it ended, so that no slit is left between them.
                $runs[] = $last < 0 ? [$point] : [$runs[$last][count($runs[$last]) - 1], $point];
                $wanted[] = $good;
            }
        }
        foreach ($runs as $k => $points) {
            $drawing->area(
                [[$points[0][0], $base], ...$points, [$points[count($points) - 1][0], $base]],
                $wanted[$k] ? Tone::Good : Tone::Overlap,
                $wanted[$k] ? Fill::Tint : Fill::Hatch,
                1.2,
            );
        }
    }

    private static function tone(Contributor $part): Tone
    {
        return $part->spread === Spread::Measured ? Tone::Found : Tone::Make;
    }

    private static function arrow(
        Drawing $drawing,
        BrokenScale $scale,
        float $fromMm,
        float $toMm,
        int $direction,
        float $y,
        Tone $tone,
        float $width,
    ): void {
        [$from, $to] = [$scale->at($fromMm), $scale->at($toMm)];
        $to = abs($to - $from) < self::LEAST ? $from + $direction * self::LEAST : $to;
        $head = -$direction * min(9.0, abs($to - $from));
        $drawing
            ->line($from, $y, $to, $y, $tone, $width)
            ->line($to, $y, $to + $head, $y - 5, $tone, 1.5)
            ->line($to, $y, $to + $head, $y + 5, $tone, 1.5)
            ->line($from, $y - 6, $from, $y + 6, $tone, 1.5);
        // On an arrow too short for it the mark would hide the arrow; the others across the same stretch show it.
        foreach (abs($to - $from) < self::MARKED ? [] : $scale->breaks as $mm) {
            if ($mm > min($fromMm, $toMm) && $mm < max($fromMm, $toMm)) {
                $x = $scale->at($mm);
                $drawing
                    ->area(
                        [[$x - 7, $y + 8], [$x - 1, $y - 8], [$x + 7, $y - 8], [$x + 1, $y + 8]],
                        Tone::Rule,
                        Fill::Blank,
                        0,
                    )
                    ->line($x - 7, $y + 8, $x - 1, $y - 8, $tone, 1.5)
                    ->line($x + 1, $y + 8, $x + 7, $y - 8, $tone, 1.5);
            }
        }
    }
}

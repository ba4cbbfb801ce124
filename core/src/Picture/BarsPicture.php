<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** Amounts of one kind under one another, each with its name above it, on one scale that begins at nothing. */
final class BarsPicture
{
    private const WIDTH = 430;

    private const LEFT = 8;

    /** Where the longest ends: what is written behind it needs the rest. */
    private const RIGHT = 318;

    private const ROW = 44;

    /** More are not read any more. */
    private const MOST = 8;

    /**
     * @param  non-empty-list<Bar>  $bars  in order; of more than eight the first
     * @param  ?float  $limit  a line that must be reached, or not passed, in what the bars are in
     * @param  string  $limitSays  what is written at it
     */
    public static function draw(array $bars, Say $says, ?float $limit = null, string $limitSays = ''): Drawing
    {
        $bars = array_slice($bars, 0, self::MOST);
        $most = max(1e-9, $limit ?? 0.0, ...array_map(static fn (Bar $bar): float => max($bar->from, $bar->to), $bars));
        $x = new Scale(0.0, $most, self::LEFT, self::RIGHT);
        $foot = self::ROW * count($bars) + 6;
        $drawing = new Drawing(self::WIDTH, $foot + ($limit === null ? 4 : 22), $says);
        $drawing->line(self::LEFT, 4, self::LEFT, $foot, Tone::Ink, 1);
        foreach ($bars as $i => $bar) {
            $y = self::ROW * $i + 8;
            [$from, $to] = [$x->at(min($bar->from, $bar->to)), $x->at(max($bar->from, $bar->to))];
            $drawing
                ->text(self::LEFT + 6, $y + 10, $bar->name, 13)
                ->box($from, $y + 16, max(1.0, $to - $from), 16, $bar->tone)
                ->text(
                    self::behind($to, $bar->says, $limit === null ? null : $x->at($limit)) + 6,
                    $y + 29,
                    $bar->says,
                    13,
                    Anchor::Start,
                    $bar->tone,
                    mono: true,
                    bold: true,
                );
            if ($bar->from > 0.0) {
                // What it stands on.
                $drawing->line($from, $y - 12, $from, $y + 16, Tone::Rule, 1, true);
            }
        }
        if ($limit !== null) {
            $at = $x->at($limit);
            $left = $at > self::WIDTH / 2;
            $drawing
                ->line($at, 4, $at, $foot, Tone::Overlap, 2, true)
                ->text($at, $foot + 15, $limitSays, 13, $left ? Anchor::End : Anchor::Start, Tone::Overlap, bold: true);
        }

        return $drawing;
    }

    /** Behind the bar, or behind the line where it would stand on that. */
    private static function behind(float $end, string $says, ?float $limit): float
    {
        $crosses = $limit !== null && $end - 3 < $limit && $end + 10 + TextWidth::of($says, 13, mono: true) > $limit;

        return $crosses ? $limit : $end;
    }
}

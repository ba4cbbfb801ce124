<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Quantity\LengthWriter;

/** The loop as arrows end to end, the gap that closes it last; as thick as each one's share of the spread. */
final class LoopPicture
{
    private const LEFT = 30.0;

    private const RIGHT = 620.0;

    private const ROW = 30.0;

    public static function draw(Loop $loop): Drawing
    {
        $parts = $loop->contributors;
        $shares = array_column($loop->shares(), 'share');
        // Each arrow's length is drawn by its root, so that a shim shows beside a housing.
        $long = static fn (float $mm): float => sqrt(abs($mm));
        $place = 0.0;
        $spans = [];
        foreach ($parts as $part) {
            $to = $place + $part->direction * $long($part->sizeMm);
            $spans[] = [$place, $to];
            $place = $to;
        }
        $ends = array_merge([0.0], ...$spans);
        $scale = new Scale(min($ends), max(max($ends), min($ends) + 1e-6), self::LEFT, self::RIGHT);
        $height = 20 + self::ROW * (count($parts) + 1) + 20;
        $drawing = new Drawing(760, $height, Say::with('The loop closes at {n}; each arrow is one length, drawn by its root.', ['n' => Say::with($loop->nominalMm() < 0 ? '−{s}' : '{s}', ['s' => LengthWriter::size(abs($loop->nominalMm()))])]));
        foreach ($parts as $i => $part) {
            $y = 24 + self::ROW * $i;
            self::arrow($drawing, $scale->at($spans[$i][0]), $scale->at($spans[$i][1]), $y, self::tone($part), 1.5 + 6 * $shares[$i]);
            $drawing->line($scale->at($spans[$i][1]), $y, $scale->at($spans[$i][1]), $y + self::ROW, Tone::Rule);
            $drawing->text(634, $y + 5, Say::with(($part->direction > 0 ? '+ ' : '− ').'{s}', ['s' => LengthWriter::size($part->sizeMm)]), 14, Anchor::Start, self::tone($part), mono: true);
            $drawing->text(self::LEFT, $y - 6, $part->name, 12, Anchor::Start, Tone::Soft);
        }
        $y = 24 + self::ROW * count($parts);
        $good = $loop->chance() > 0.995;
        self::arrow($drawing, $scale->at(0.0), $scale->at($place), $y, $good ? Tone::Good : Tone::Overlap, 3);
        $drawing->line($scale->at(0.0), 24, $scale->at(0.0), $y, Tone::Rule);
        $nominal = $loop->nominalMm();

        return $drawing->text(634, $y + 5, Say::with($nominal < 0 ? '= −{s}' : '= {s}', ['s' => LengthWriter::size(abs($nominal))]), 15, Anchor::Start, $good ? Tone::Good : Tone::Overlap, mono: true, bold: true)
            ->text(self::LEFT, $y - 6, 'closes at', 12, Anchor::Start, Tone::Soft);
    }

    private static function tone(Contributor $part): Tone
    {
        return $part->spread === Spread::Measured ? Tone::Found : Tone::Make;
    }

    private static function arrow(Drawing $drawing, float $from, float $to, float $y, Tone $tone, float $width): void
    {
        $drawing->line($from, $y, $to, $y, $tone, $width);
        $head = $to >= $from ? -9 : 9;
        $drawing->line($to, $y, $to + $head, $y - 5, $tone, 1.5)->line($to, $y, $to + $head, $y + 5, $tone, 1.5)->line($from, $y - 6, $from, $y + 6, $tone, 1.5);
    }
}

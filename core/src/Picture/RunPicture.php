<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** Sizes from piece to piece in their band, what the work itself spreads dashed, the next piece hollow. */
final readonly class RunPicture
{
    private const LEFT = 20.0;

    private const RIGHT = 460.0;

    /** With more pieces than this only every few get their number. */
    private const NUMBERS = 16;

    /**
     * @param  non-empty-array<int, float>  $sizesMm  by number of the piece
     * @param  ?Range  $limits  what the work itself spreads
     * @param  ?Range  $expected  where the next piece comes out
     */
    public static function draw(array $sizesMm, Band $band, ?Range $limits, ?Range $expected): Drawing
    {
        $pieces = array_keys($sizesMm);
        $next = max($pieces) + 1;
        $all = [
            ...array_values($sizesMm),
            $band->lowerMm,
            $band->upperMm,
            ...($limits === null ? [] : [$limits->min, $limits->max]),
            ...($expected === null ? [] : [$expected->middle()]),
        ];
        $pad = max(0.12 * (max($all) - min($all)), 1e-4);
        $up = new Scale(min($all) - $pad, max($all) + $pad, 186, 14);
        $along = new Scale(min($pieces) - 0.5, $next + 0.5, self::LEFT, self::RIGHT);
        $drawing = new Drawing(560, 216, self::says($sizesMm, $band));
        [$top, $bottom] = [$up->at($band->upperMm), $up->at($band->lowerMm)];
        $drawing->box(self::LEFT, $top, self::RIGHT - self::LEFT, max(3.0, $bottom - $top), Tone::Make);
        $ends = [[LengthWriter::upper($band), $top + 2], [LengthWriter::lower($band), max($top + 20, $bottom + 6)]];
        foreach ($ends as [$says, $y]) {
            $drawing->text(468, $y, $says, 15, Anchor::Start, Tone::Make, mono: true, bold: true);
        }
        foreach ($limits === null ? [] : [$limits->min, $limits->max] as $mm) {
            $drawing->line(self::LEFT, $up->at($mm), self::RIGHT, $up->at($mm), Tone::Soft, 1.4, true);
        }
        $before = null;
        $apart = max(1, (int) ceil(count($sizesMm) / self::NUMBERS));
        $k = 0;
        foreach ($sizesMm as $piece => $mm) {
            [$x, $y] = [$along->at($piece), $up->at($mm)];
            if ($before !== null) {
                $drawing->line($before[0], $before[1], $x, $y, Tone::Ink, 1.6);
            }
            $drawing->area(
                Drawing::circle($x, $y, 4.5, 16),
                $band->holds($mm) ? Tone::Ink : Tone::Overlap,
                $band->holds($mm) ? Fill::Tint : Fill::Blank,
            );
            if ($k++ % $apart === 0) {
                $drawing->text($x, 206, Say::plain((string) $piece), 14, Anchor::Middle, Tone::Soft);
            }
            $before = [$x, $y];
        }
        if ($expected !== null) {
            [$x, $y] = [$along->at($next), $up->at($expected->middle())];
            $drawing->line($along->at(max($pieces)), $up->at($sizesMm[max($pieces)]), $x, $y, Tone::Soft, 1.4, true);
            $drawing->area(
                Drawing::circle($x, $y, 5, 16),
                $band->holds($expected->middle()) ? Tone::Soft : Tone::Overlap,
                Fill::None,
            );
            $drawing->text($x, 206, Say::plain("{$next}?"), 14, Anchor::Middle, Tone::Soft);
        }

        return $drawing;
    }

    /** @param  non-empty-array<int, float>  $sizesMm */
    private static function says(array $sizesMm, Band $band): Say
    {
        $out = array_keys(array_filter($sizesMm, static fn (float $mm): bool => ! $band->holds($mm)));

        return Say::with(
            count($sizesMm).' pieces from {a} to {b} in the band {l} to {u}. '
                .($out === [] ? 'None is outside.' : 'Outside: '.implode(', ', $out).'.'),
            [
                'a' => LengthWriter::size(min($sizesMm)),
                'b' => LengthWriter::size(max($sizesMm)),
                'l' => LengthWriter::lower($band),
                'u' => LengthWriter::upper($band),
            ],
        );
    }
}

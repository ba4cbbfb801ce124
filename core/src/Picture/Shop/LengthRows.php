<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture\Shop;

use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Tone;

/**
 * Lengths below the view, one a row, from short to long. A text stands in its line where no extension line of a row
 * below passes; where there is no such place, past the end of the view.
 */
final readonly class LengthRows
{
    /** @param  list<array{size: ShopSize, from: float, to: float, text: float, inside: bool}>  $rows */
    private function __construct(private array $rows)
    {
    }

    /**
     * @param  list<ShopSize>  $lengths
     * @param  callable(float): float  $place
     * @param  float  $edge  the end of the view
     * @param  ?float  $datum  where another line comes down through all rows
     */
    public static function of(array $lengths, callable $place, float $edge, ?float $datum): self
    {
        usort(
            $lengths,
            static fn (ShopSize $a, ShopSize $b): int => ($a->toMm - $a->fromMm) <=> ($b->toMm - $b->fromMm),
        );
        $spans = array_map(static fn (ShopSize $l): array => [$place($l->fromMm), $place($l->toMm)], $lengths);
        $rows = [];
        foreach ($lengths as $i => $length) {
            [$from, $to] = $spans[$i];
            $half = ShopDrawing::wide([$length->lines[0]]) / 2 + 7;
            // What comes down through this row from the rows below it, and its own two ends.
            $lines = array_merge($datum === null ? [] : [$datum], ...array_slice($spans, $i + 1));
            $text = null;
            foreach ([0.5, 0.35, 0.65, 0.25, 0.75] as $share) {
                $x = $from + $share * ($to - $from);
                $isFree = $x - $half > $from + 12 && $x + $half < $to - 12
                    && array_filter($lines, static fn (float $l): bool => abs($l - $x) < $half) === [];
                if ($isFree) {
                    $text = $x;
                    break;
                }
            }
            $rows[] = [
                'size' => $length,
                'from' => $from,
                'to' => $to,
                'text' => $text ?? $edge + 14 + $half,
                'inside' => $text !== null,
            ];
        }

        return new self($rows);
    }

    public function count(): int
    {
        return count($this->rows);
    }

    public function right(): float
    {
        return max([0.0, ...array_map(
            static fn (array $row): float => $row['text'] + ShopDrawing::wide([$row['size']->lines[0]]) / 2,
            $this->rows,
        )]);
    }

    public function draw(Drawing $drawing, float $edge, float $top, float $rowHigh): void
    {
        foreach ($this->rows as $i => $row) {
            $y = $top + ($i + 0.5) * $rowHigh;
            foreach ([$row['from'], $row['to']] as $x) {
                $drawing->line($x, $edge + 3, $x, $y + 5, Tone::Soft, 0.8);
            }
            $half = ShopDrawing::wide([$row['size']->lines[0]]) / 2 + 4;
            if ($row['inside']) {
                $drawing->line($row['from'], $y, $row['text'] - $half, $y, Tone::Make, 1.2)
                    ->line($row['text'] + $half, $y, $row['to'], $y, Tone::Make, 1.2);
                ShopDrawing::arrow($drawing, $row['from'], $y, 1, 0, tone: Tone::Make);
                ShopDrawing::arrow($drawing, $row['to'], $y, -1, 0, tone: Tone::Make);
            } else {
                $drawing->line($row['from'] - 14, $y, $row['text'] - $half, $y, Tone::Make, 1.2);
                ShopDrawing::arrow($drawing, $row['from'], $y, -1, 0, tone: Tone::Make);
                ShopDrawing::arrow($drawing, $row['to'], $y, 1, 0, tone: Tone::Make);
            }
            $drawing->text(
                $row['text'],
                $y + 6,
                $row['size']->lines[0],
                ShopDrawing::MAIN,
                Anchor::Middle,
                Tone::Make,
                mono: true,
                bold: ! $row['size']->free,
            );
        }
    }
}

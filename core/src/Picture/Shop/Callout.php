<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture\Shop;

use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Tone;

/**
 * A call-out above the view: an upright leader, a shelf to its right, the lines on it. From the right to the left each
 * stands as low as it can: above every leader that its shelf would cross, beside every shelf of its own height. So no
 * leader crosses another, and none passes a text (one-sided boundary labelling).
 */
final readonly class Callout
{
    private const APART = 12.0;

    private function __construct(
        private ShopNote $note,
        private float $x,
        private float $footX,
        public int $level,
        private float $width,
        private float $height,
        private float $base,
    ) {
    }

    /**
     * @param  list<ShopNote>  $notes
     * @param  callable(float): float  $place  of a millimetre along the axis
     * @param  float  $edge  the end of the view: no leader stands beyond it
     * @return list<self>
     */
    public static function stacked(array $notes, callable $place, float $edge): array
    {
        usort($notes, static fn (ShopNote $a, ShopNote $b): int => $a->atMm <=> $b->atMm);
        $at = [];
        foreach ($notes as $i => $note) {
            $foot = $place($note->atMm);
            $at[$i] = $i === 0 ? $foot : max($foot, $at[$i - 1] + self::APART);
        }
        for ($i = count($notes) - 1; $i >= 0; $i--) {
            $at[$i] = min($at[$i], ($at[$i + 1] ?? $edge + self::APART) - self::APART);
        }
        $levels = $heights = $stacked = [];
        for ($i = count($notes) - 1; $i >= 0; $i--) {
            $width = ShopDrawing::wide($notes[$i]->lines) + 10;
            $level = 0;
            foreach ($levels as $j => $other) {
                // Another leader comes up under its shelf.
                if ($at[$j] < $at[$i] + $width + self::APART) {
                    $level = max($level, $other + 1);
                }
            }
            $levels[$i] = $level;
            $heights[$level] = max($heights[$level] ?? 0.0, ShopDrawing::high($notes[$i]->lines) + 14);
        }
        foreach ($notes as $i => $note) {
            $base = 0.0;
            for ($below = 0; $below < $levels[$i]; $below++) {
                $base += $heights[$below] ?? 0.0;
            }
            $stacked[] = new self(
                note: $note,
                x: $at[$i],
                footX: $place($note->atMm),
                level: $levels[$i],
                width: ShopDrawing::wide($note->lines) + 10,
                height: ShopDrawing::high($note->lines) + 14,
                base: $base,
            );
        }

        return $stacked;
    }

    /** @param  list<self>  $callouts */
    public static function height(array $callouts): float
    {
        return max([0.0, ...array_map(static fn (self $c): float => $c->base + $c->height, $callouts)]);
    }

    /** @param  list<self>  $callouts */
    public static function right(array $callouts): float
    {
        return max([0.0, ...array_map(static fn (self $c): float => $c->x + $c->width, $callouts)]);
    }

    /**
     * @param  float  $bottom  of the lowest shelf
     * @param  callable(float): float  $up  of a radius
     */
    public function draw(Drawing $drawing, float $bottom, callable $up): void
    {
        $shelf = $bottom - $this->base;
        $foot = $up($this->note->radiusMm);
        // Below the shelves it may run aslant to its foot; above it stands upright.
        $drawing->line($this->footX, $foot, $this->x, $bottom + 6, Tone::Make, 1)
            ->line($this->x, $bottom + 6, $this->x, $shelf, Tone::Make, 1)
            ->line($this->x, $shelf, $this->x + $this->width, $shelf, Tone::Make, 1);
        $y = $shelf - 5;
        foreach (array_reverse($this->note->lines, true) as $i => $say) {
            $size = $i === 0 ? ShopDrawing::MAIN : ShopDrawing::MORE;
            $drawing->text($this->x + 5, $y, $say, $size, tone: Tone::Make, mono: true, bold: $i === 0);
            $y -= $size + 2;
        }
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture\Shop;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\AxisPicture;
use Oldpart\Core\Picture\BrokenAxis;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Fill;
use Oldpart\Core\Picture\TextWidth;
use Oldpart\Core\Picture\Tone;

/**
 * A turned part to cut from: half section, diameters beside it from small to large outward, lengths below it from short
 * to long, call-outs above it. Every text has a place of its own that no line passes: it is laid out so, not moved
 * until it happens to fit. Conventions of ISO 128 and ISO 129.
 */
final class ShopDrawing
{
    private const LONG = 560.0;

    private const HIGH = 300.0;

    /** Letters of a first line, and of those under it. */
    public const MAIN = 18.0;

    public const MORE = 15.0;

    /** Between the view and the first column, and between two rows. */
    private const GAP = 24.0;

    private const ROW = 32.0;

    private const SMALL = 12.0;

    /** What the ring round a detail wants above the view. */
    private const RING = 14.0;

    private float $perMm;

    private BrokenAxis $along;

    /** @var list<Column> */
    private array $leftColumns;

    /** @var list<Column> */
    private array $rightColumns;

    /** @var list<Callout> */
    private array $callouts;

    /** @var list<Detail> */
    private array $details;

    private float $left;

    private float $right;

    private float $axis;

    private float $half;

    /** Above the view, where diameters are written that are too small to be written in. */
    private float $above;

    private function __construct(private ShopView $view)
    {
        $profile = $view->part->profile;
        $this->along = BrokenAxis::of($view->part);
        $long = max(1e-6, $this->along->at($profile->toMm()) - $profile->fromMm());
        $this->perMm = min(self::LONG / $long, self::HIGH / (2 * max(1e-6, $profile->largestMm())));
        $this->half = $profile->largestMm() * $this->perMm;
        $middle = ($profile->fromMm() + $profile->toMm()) / 2;
        $side = fn (bool $left): array => $this->columns(array_filter(
            $view->diameters,
            static fn (ShopSize $d): bool => (($d->fromMm + $d->toMm) / 2 < $middle) === $left,
        ));
        $this->leftColumns = $side(true);
        $this->rightColumns = $side(false);
        $width = static fn (array $columns): float => array_sum(
            array_map(static fn (Column $c): float => $c->width, $columns),
        );
        $this->left = 20.0 + $width($this->leftColumns) + self::GAP;
        $this->right = $this->left + $long * $this->perMm;
        $small = array_filter(
            [...$this->leftColumns, ...$this->rightColumns],
            static fn (Column $c): bool => $c->isSmall,
        );
        $this->above = $small === [] ? 0.0 : 8.0 + max(array_map(static fn (Column $c): float => $c->height, $small));
        [$notes, $this->details] = Detail::of($view->part, $view->notes, $this->perMm);
        $this->above += $this->details === [] ? 0.0 : self::RING;
        $this->callouts = Callout::stacked($notes, $this->x(...), $this->right);
        $this->axis = 16.0 + Callout::height($this->callouts) + $this->above + 14.0 + $this->half;
    }

    public static function draw(ShopView $view): ?Drawing
    {
        return $view->part->profile->isEmpty() ? null : (new self($view))->drawing();
    }

    private function drawing(): Drawing
    {
        $rows = LengthRows::of(
            $this->view->lengths,
            $this->x(...),
            $this->right,
            $this->view->datumMm === null ? null : $this->x($this->view->datumMm),
        );
        $edge = $this->right + self::GAP + array_sum(
            array_map(static fn (Column $c): float => $c->width, $this->rightColumns),
        );
        $width = 20.0 + max(
            $edge,
            Callout::right($this->callouts),
            $rows->right(),
            self::saysTo($this->view),
            20.0 + count($this->details) * Detail::WIDE,
        );
        $below = $this->axis + $this->half + self::GAP;
        $rowsEnd = $below + self::ROW * $rows->count() + ($this->view->datumMm === null ? 0.0 : 34.0);
        $height = $rowsEnd + 8.0
            + ($this->details === [] ? 0.0 : Detail::HIGH)
            + ($this->view->says === null ? 0.0 : self::SMALL + 10.0);
        $drawing = new Drawing($width, $height, Say::plain("{$this->view->part->name}: half section with its sizes."));
        AxisPicture::into($drawing, $this->view->part, $this->left, $this->axis, $this->perMm, along: $this->along);
        $this->side($drawing, $this->leftColumns, -1);
        $this->side($drawing, $this->rightColumns, 1);
        foreach ($this->callouts as $callout) {
            $callout->draw(
                $drawing,
                $this->axis - $this->half - $this->above - 14.0,
                fn (float $mm): float => $this->axis - $mm * $this->perMm,
            );
        }
        $rows->draw($drawing, $this->axis + $this->half, $below, self::ROW);
        foreach ($this->details as $i => $detail) {
            $detail->ring($drawing, $this->x(...), $this->axis, $this->perMm);
            $detail->draw($drawing, 20.0 + $i * Detail::WIDE, $rowsEnd, $this->perMm);
        }
        if ($this->view->says !== null) {
            $drawing->text(20.0, $height - 8.0, $this->view->says, self::SMALL, tone: Tone::Soft);
        }
        if ($this->view->datumMm !== null) {
            $this->datum($drawing, $this->view->datumMm, $below + self::ROW * $rows->count());
        }

        return $drawing;
    }

    /** How far what is said under it reaches. */
    private static function saysTo(ShopView $view): float
    {
        return $view->says === null ? 0.0 : 20.0 + TextWidth::of($view->says->both, self::SMALL, false);
    }

    private function x(float $mm): float
    {
        return $this->left + ($this->along->at($mm) - $this->view->part->profile->fromMm()) * $this->perMm;
    }

    /**
     * @param  array<ShopSize>  $diameters
     * @return list<Column> from the view outward, from small to large
     */
    private function columns(array $diameters): array
    {
        usort($diameters, static fn (ShopSize $a, ShopSize $b): int => $a->radiusMm <=> $b->radiusMm);

        return array_map(fn (ShopSize $d): Column => new Column($d, $d->radiusMm * $this->perMm), $diameters);
    }

    /** @param  list<Column>  $columns */
    private function side(Drawing $drawing, array $columns, int $way): void
    {
        $at = $way < 0 ? $this->left - self::GAP : $this->right + self::GAP;
        foreach ($columns as $column) {
            $x = $at + ($way * $column->width) / 2;
            $at += $way * $column->width;
            $size = $column->size;
            $from = $this->x($way < 0 ? $size->fromMm : $size->toMm);
            $r = $column->radius;
            foreach ([-1, 1] as $up) {
                $drawing->line($from, $this->axis + $up * $r, $x + $way * 6, $this->axis + $up * $r, Tone::Soft, 0.8);
            }
            $tone = Tone::Make;
            if ($column->isSmall) {
                $top = $this->axis - $this->half - 8.0 - ($this->details === [] ? 0.0 : self::RING);
                $drawing->line($x, $this->axis + $r + 14, $x, $top, $tone, 1.2);
                self::arrow($drawing, $x, $this->axis - $r, 0, -1, tone: $tone);
                self::arrow($drawing, $x, $this->axis + $r, 0, 1, tone: $tone);
                $this->write($drawing, $column, $x, $top - 4.0);

                continue;
            }
            $gap = $column->height / 2 + 3;
            $drawing->line($x, $this->axis - $r, $x, $this->axis - $gap, $tone, 1.2)
                ->line($x, $this->axis + $gap, $x, $this->axis + $r, $tone, 1.2);
            self::arrow($drawing, $x, $this->axis - $r, 0, 1, tone: $tone);
            self::arrow($drawing, $x, $this->axis + $r, 0, -1, tone: $tone);
            $this->write($drawing, $column, $x, $this->axis + $column->height / 2 - 3);
        }
    }

    /** Its lines one above the other, the last on the line that is said. */
    private function write(Drawing $drawing, Column $column, float $x, float $bottom): void
    {
        $lines = $column->size->lines;
        $bottom -= $column->asked->height;
        $column->asked->draw($drawing, $x, $bottom + 3);
        foreach (array_reverse($lines, true) as $i => $say) {
            $size = $i === 0 ? self::MAIN : self::MORE;
            $drawing->text(
                $x,
                $bottom,
                $say,
                $size,
                Anchor::Middle,
                Tone::Make,
                mono: true,
                bold: $i === 0 && ! $column->size->free,
            );
            $bottom -= $size + 2;
        }
    }

    private function datum(Drawing $drawing, float $mm, float $top): void
    {
        $x = $this->x($mm);
        $drawing->line($x, $this->axis + $this->half, $x, $top + 6, Tone::Soft, 0.8)
            ->area([[$x - 6, $top + 6], [$x + 6, $top + 6], [$x, $top - 2]], Tone::Ink, Fill::Tint, 1)
            ->box($x - 11, $top + 6, 22, 22, Tone::Ink, Fill::Blank, 1.2)
            ->text($x, $top + 23, 'A', 16, Anchor::Middle, bold: true);
    }

    public static function arrow(Drawing $drawing, float $x, float $y, int $dx, int $dy, Tone $tone): void
    {
        $drawing->area(
            [
                [$x, $y],
                [$x + 9 * $dx + 3 * $dy, $y + 9 * $dy + 3 * $dx],
                [$x + 9 * $dx - 3 * $dy, $y + 9 * $dy - 3 * $dx],
            ],
            $tone,
            Fill::Tint,
            1,
        );
    }

    /** @param  list<Say>  $lines */
    public static function wide(array $lines): float
    {
        $wide = 0.0;
        foreach ($lines as $i => $say) {
            foreach ([$say->mm, $say->in] as $text) {
                $wide = max($wide, TextWidth::of($text, $i === 0 ? self::MAIN : self::MORE, true));
            }
        }

        return $wide;
    }

    /** @param  list<Say>  $lines */
    public static function high(array $lines): float
    {
        return self::MAIN + max(0, count($lines) - 1) * (self::MORE + 2);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture\Shop;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\AxisPart;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Fill;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Shape\Cell;

/**
 * A groove too narrow to be seen in the view, drawn again larger beside its neighbours: the metal above the axis from a
 * width before it to a width behind it. Convention of ISO 128-3.
 */
final readonly class Detail
{
    /** Narrower than this in the view it gets a detail of its own, in the units of the frame. */
    private const NARROW = 12.0;

    private const MOST = 3;

    public const WIDE = 150.0;

    public const HIGH = 150.0;

    private const LETTER = 14.0;

    private const LETTERS = ['C', 'D', 'E'];

    private function __construct(private AxisPart $part, public string $letter, private ShopNote $note)
    {
    }

    /**
     * @param  list<ShopNote>  $notes
     * @return array{list<ShopNote>, list<self>} the notes with the letters of their details, and those
     */
    public static function of(AxisPart $part, array $notes, float $perMm): array
    {
        $details = [];
        foreach ($notes as $i => $note) {
            $wide = $note->widthMm === null ? 0.0 : ($note->widthMm[1] - $note->widthMm[0]) * $perMm;
            if ($wide > 0 && $wide < self::NARROW && count($details) < self::MOST) {
                $letter = self::LETTERS[count($details)];
                $notes[$i] = $note->lettered($letter);
                $details[] = new self($part, $letter, $note);
            }
        }

        return [$notes, $details];
    }

    /**
     * @param  callable(float): float  $x  of a millimetre along the axis, in the view
     */
    public function ring(Drawing $drawing, callable $x, float $axis, float $perMm): void
    {
        [$from, $to] = $this->width();
        $middle = ($from + $to) / 2;
        $drawing->area(
            Drawing::circle($x($middle), $axis - $this->note->radiusMm * $perMm, self::NARROW, 32),
            Tone::Soft,
            Fill::None,
            0.9,
        );
    }

    public function draw(Drawing $drawing, float $left, float $top, float $viewPerMm): void
    {
        [$from, $to] = $this->width();
        $long = $to - $from;
        [$x1, $x2] = [
            max($this->part->profile->fromMm(), $from - $long),
            min($this->part->profile->toMm(), $to + $long),
        ];
        $cells = array_values(array_filter(
            $this->part->profile->cells,
            static fn (Cell $c): bool => $c->toMm > $x1 + 1e-9 && $c->fromMm < $x2 - 1e-9,
        ));
        [$outer, $inner] = [self::contour($cells, $x1, $x2, true), self::contour($cells, $x1, $x2, false)];
        $heights = array_column($this->isInside($cells) ? $inner : $outer, 1);
        if ($heights === []) {
            return;
        }
        [$low, $high] = [min($heights) - 0.6 * $long, max($heights) + 0.6 * $long];
        $per = min((self::WIDE - 20) / ($x2 - $x1), (self::HIGH - 40) / ($high - $low));
        $place = static fn (array $p): array => [
            $left + 10 + ($p[0] - $x1) * $per,
            $top + 6 + ($high - max($low, min($high, $p[1]))) * $per,
        ];
        $drawing->area(
            array_map($place, [...$outer, ...array_reverse($inner)]),
            $this->part->tone,
            $this->part->profile->isHollow() ? Fill::Hatch : Fill::Tint,
            1.4,
        );
        $times = round($per / $viewPerMm, $per / $viewPerMm < 10 ? 1 : 0);
        $drawing->text(
            $left + self::WIDE / 2,
            $top + self::HIGH - 8,
            Say::plain("{$this->letter}, {$times} times larger"),
            self::LETTER,
            Anchor::Middle,
        );
    }

    /** @return array{float, float} */
    private function width(): array
    {
        return $this->note->widthMm ?? [$this->note->atMm, $this->note->atMm];
    }

    /**
     * Whether it is cut into the bore: there the bore steps, and the outside does not.
     *
     * @param  list<Cell>  $cells
     */
    private function isInside(array $cells): bool
    {
        $bores = array_map(static fn (Cell $c): float => $c->innerStartMm, $cells);
        $outsides = array_map(static fn (Cell $c): float => $c->outerStartMm, $cells);

        return $bores !== [] && $outsides !== [] && max($bores) - min($bores) > max($outsides) - min($outsides);
    }

    /**
     * @param  list<Cell>  $cells
     * @return list<array{float, float}>
     */
    private static function contour(array $cells, float $x1, float $x2, bool $outer): array
    {
        $points = [];
        foreach ($cells as $cell) {
            [$start, $end] = $outer
                ? [$cell->outerStartMm, $cell->outerEndMm]
                : [$cell->innerStartMm, $cell->innerEndMm];
            foreach ([max($x1, $cell->fromMm), min($x2, $cell->toMm)] as $x) {
                $share = ($x - $cell->fromMm) / max(1e-9, $cell->toMm - $cell->fromMm);
                $points[] = [$x, $start + $share * ($end - $start)];
            }
        }

        return $points;
    }
}

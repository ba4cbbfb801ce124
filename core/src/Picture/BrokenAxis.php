<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

/**
 * A long part with pieces of its plain stretches left out, so that the rest is drawn large enough to read; each piece
 * is marked by two break lines. Convention of ISO 128.
 */
final readonly class BrokenAxis
{
    /** A part so many times its diameter long is broken. */
    private const LONG = 6.0;

    /** A plain stretch so many times the part's diameter long is cut short, to twice that diameter. */
    private const STRETCH = 3.0;

    private const LEFT = 2.0;

    /** @param  list<array{float, float}>  $removed  mm along the axis, rising */
    private function __construct(public array $removed)
    {
    }

    public static function of(AxisPart $part): self
    {
        $profile = $part->profile;
        $across = 2 * $profile->largestMm();
        if ($profile->toMm() - $profile->fromMm() <= self::LONG * $across) {
            return new self([]);
        }
        $removed = [];
        $edges = self::edges($part);
        for ($i = 1; $i < count($edges); $i++) {
            $long = $edges[$i] - $edges[$i - 1];
            if ($long > self::STRETCH * $across && self::isPlain($part, $edges[$i - 1], $edges[$i])) {
                $middle = ($edges[$i] + $edges[$i - 1]) / 2;
                $gone = ($long - self::LEFT * $across) / 2;
                $removed[] = [$middle - $gone, $middle + $gone];
            }
        }

        return new self($removed);
    }

    /** How far from the same zero it is drawn, mm; what lies in a piece left out is drawn at its break. */
    public function at(float $mm): float
    {
        $at = $mm;
        foreach ($this->removed as [$from, $to]) {
            $at -= max(0.0, min($mm, $to) - $from);
        }

        return $at;
    }

    /** @return list<float> where anything begins or ends, mm, rising */
    private static function edges(AxisPart $part): array
    {
        $edges = [];
        foreach ($part->profile->cells as $cell) {
            array_push($edges, $cell->fromMm, $cell->toMm);
        }
        foreach ($part->profile->marks as $mark) {
            array_push($edges, $mark->fromMm, $mark->toMm);
        }
        foreach ([...$part->holes, ...$part->slots] as $cut) {
            array_push($edges, $cut['from_mm'], $cut['to_mm']);
        }
        sort($edges);

        return $edges;
    }

    /** The same across all along it, with nothing cut into it. */
    private static function isPlain(AxisPart $part, float $from, float $to): bool
    {
        $middle = ($from + $to) / 2;
        foreach ([...$part->holes, ...$part->slots] as $cut) {
            if ($cut['from_mm'] < $middle && $cut['to_mm'] > $middle) {
                return false;
            }
        }
        foreach ($part->profile->cells as $cell) {
            if ($cell->fromMm < $middle && $cell->toMm > $middle) {
                return abs($cell->outerStartMm - $cell->outerEndMm) < 1e-6
                    && abs($cell->innerStartMm - $cell->innerEndMm) < 1e-6;
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** Parts on one axis: cut above the axis, seen from outside below it. Shafts are not cut, as drawing offices do. */
final readonly class SectionPicture
{
    private const AXIS = 158.0;

    private const LEFT = 120.0;

    /** @param  non-empty-list<SectionPart>  $parts from outside to inside */
    public static function draw(array $parts): Drawing
    {
        $names = implode(', ', array_map(static fn (SectionPart $p): string => lcfirst($p->name), $parts));
        $drawing = new Drawing(700, 330, Say::plain("Half section along the axis: {$names}."));
        $largest = max(array_map(static fn (SectionPart $p): float => $p->outsideMm, $parts));
        $longest = max(array_map(static fn (SectionPart $p): float => $p->lengthMm, $parts));
        $perMm = min(2 * 122 / $largest, 240 / $longest);
        $middle = self::LEFT + 130;
        foreach ($parts as $part) {
            self::part($drawing, $part, $perMm, $middle, $longest);
        }
        $drawing->line($middle - 214, self::AXIS, $middle + 214, self::AXIS, Tone::Ink, 0.8, true);
        self::labels($drawing, $parts, $perMm, $middle);
        self::length($drawing, $parts, $perMm, $middle);

        return $drawing;
    }

    private static function part(Drawing $drawing, SectionPart $part, float $perMm, float $middle, float $longest): void
    {
        $half = ($part->throughShaft ? $longest * 1.45 : $part->lengthMm) * $perMm / 2;
        $outer = $part->outsideMm / 2 * $perMm;
        $inner = $part->boreMm / 2 * $perMm;
        $x = $middle - $half;
        if ($part->throughShaft) {
            $drawing->box($x, self::AXIS - $outer, 2 * $half, 2 * $outer, $part->tone, Fill::Tint);
            foreach ([$x, $x + 2 * $half] as $end) {
                $drawing->line($end, self::AXIS - $outer, $end + 5, self::AXIS, $part->tone)->line($end + 5, self::AXIS, $end, self::AXIS + $outer, $part->tone);
            }

            return;
        }
        $drawing->box($x, self::AXIS - $outer, 2 * $half, $outer - $inner, $part->tone);
        if ($part->tone === Tone::Found) {
            $drawing->box($x, self::AXIS, 2 * $half, $outer, $part->tone, Fill::Blank);
        }
    }

    /** @param  list<SectionPart>  $parts */
    private static function labels(Drawing $drawing, array $parts, float $perMm, float $middle): void
    {
        $rows = [];
        foreach ($parts as $part) {
            $half = $part->lengthMm * $perMm / 2;
            $outer = $part->outsideMm / 2 * $perMm;
            // A shaft is seen below the axis too, so its leader need not cross the parts above it.
            $rows[] = $part->throughShaft
                ? [self::AXIS + $outer, $middle + 1.2 * $half, $part->name, $part->outsideSays, $part->tone]
                : [self::AXIS - $outer, $middle + $half, "{$part->name}, outside", $part->outsideSays, $part->tone];
            if ($part->boreMm > 0) {
                $rows[] = [self::AXIS - $part->boreMm / 2 * $perMm, $middle + 0.94 * $half, "{$part->name}, bore", $part->boreSays, $part->tone];
            }
        }
        usort($rows, static fn (array $a, array $b): int => [$a[0], $a[2]] <=> [$b[0], $b[2]]);
        foreach ($rows as $i => [$at, $edge, $name, $says, $tone]) {
            $y = 34.0 + $i * 52;
            $drawing->line($edge, $at, 486, $y - 5, $tone, 0.9)->line(486, $y - 5, 500, $y - 5, $tone, 0.9);
            $drawing->text(506, $y - 8, $name, 14, Anchor::Start, $tone);
            $drawing->text(506, $y + 13, $says === null ? Say::plain('not yet known') : Say::with('⌀ {s}', ['s' => $says]), $says === null ? 14 : 19, Anchor::Start, $tone, mono: $says !== null, bold: $says !== null);
        }
    }

    /** @param  list<SectionPart>  $parts */
    private static function length(Drawing $drawing, array $parts, float $perMm, float $middle): void
    {
        foreach ($parts as $part) {
            if ($part->lengthSays !== null && ! $part->throughShaft && $part->tone === Tone::Make) {
                $half = $part->lengthMm * $perMm / 2;
                $drawing->whisker($middle - $half, $middle + $half, 304, $part->tone, 5);
                $drawing->text($middle, 324, Say::with('{n} long {s}', ['n' => $part->name, 's' => $part->lengthSays]), 14, Anchor::Middle, $part->tone, bold: true);
            }
        }
    }
}

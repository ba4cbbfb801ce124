<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Unit;

/**
 * The outline of a plate out of a DXF: the largest closed run of its lines, arcs and polylines, as corners with their
 * radii. An arc of more than a quarter turn becomes several corners of one radius. Source: geometry.
 */
final class OutlineIn
{
    /** Ends so near are one point, mm. */
    private const MEETS = 0.02;

    /** Two that run into each other may be off by so much, degrees. */
    private const SMOOTH = 0.5;

    private const MOST = 100;

    /**
     * @param  Unit  $unit  where the file does not say
     * @return list<array{x: float, y: float, radius: float}> mm, in order; empty where nothing closed is drawn
     *
     * @throws BadInput for an outline that is no run of straight sides and rounded corners
     */
    public static function read(string $text, Unit $unit): array
    {
        $text = str_replace(["\r\n", "\r"], "\n", $text);
        $per = (PointsIn::unitOf($text) ?? $unit)->inMm();
        $runs = DxfRun::closed(DxfRun::all(DxfThing::all($text), $per), self::MEETS);
        usort($runs, static fn (array $a, array $b): int => self::span($b) <=> self::span($a));
        $corners = $runs === [] ? [] : self::corners($runs[0]);
        if (count($corners) > self::MOST) {
            throw new BadInput('too-many', 'text', 'The outline has over '.self::MOST.' corners: draw its curves as arcs, not as many short lines.');
        }

        return $corners;
    }

    /** @param  non-empty-list<DxfRun>  $runs */
    private static function span(array $runs): float
    {
        $xs = array_merge(...array_map(static fn (DxfRun $r): array => [$r->from[0], $r->to[0]], $runs));
        $ys = array_merge(...array_map(static fn (DxfRun $r): array => [$r->from[1], $r->to[1]], $runs));

        return (max($xs) - min($xs)) * (max($ys) - min($ys));
    }

    /**
     * @param  non-empty-list<DxfRun>  $runs
     * @return list<array{x: float, y: float, radius: float}>
     */
    private static function corners(array $runs): array
    {
        $corners = [];
        foreach ($runs as $i => $run) {
            $before = $runs[($i + count($runs) - 1) % count($runs)];
            $turn = abs(self::turned($before->endsTowardDeg(), $run->beginsTowardDeg()));
            if ($turn > self::SMOOTH) {
                if (! $before->isStraight() || ! $run->isStraight()) {
                    throw new BadInput('not-smooth', 'text', sprintf(
                        'At %.3f, %.3f mm an arc of the outline does not run smoothly into what it meets (%.1f° off): a plate here has straight sides and rounded corners. Mend it there, or type its corners.',
                        $run->from[0],
                        $run->from[1],
                        $turn,
                    ));
                }
                $corners[] = ['x' => $run->from[0], 'y' => $run->from[1], 'radius' => 0.0];
            }
            array_push($corners, ...$run->corners());
        }

        return $corners;
    }

    private static function turned(float $from, float $to): float
    {
        return fmod($to - $from + 540.0 + 720.0, 360.0) - 180.0;
    }
}

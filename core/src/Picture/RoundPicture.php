<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\LengthWriter;

/** Readings round one station, out of round exaggerated. */
final readonly class RoundPicture
{
    /** The roundest story: the station that is most out of round. Null with fewer than two angles anywhere. */
    public static function draw(FoundSize $found): ?Drawing
    {
        $best = null;
        foreach (self::byStation($found) as $station => $sizes) {
            if (count($sizes) > 1 && ($best === null || max($sizes) - min($sizes) > $best[2])) {
                $best = [(string) $station, $sizes, max($sizes) - min($sizes)];
            }
        }
        if ($best === null || $found->kind === SurfaceKind::Length) {
            return null;
        }
        [$station, $sizes, $out] = $best;
        ksort($sizes);
        $mean = array_sum($sizes) / count($sizes);
        [$x, $y, $radius] = [150.0, 134.0, 86.0];
        $perMm = $radius / ($mean / 2);
        $factor = $out > 0 ? Scale::exaggeration(18 / (($out / 2) * $perMm)) : 1.0;
        $shape = self::outline(sizes: $sizes, mean: $mean, perMm: $perMm * $factor, x: $x, y: $y, radius: $radius);
        $values = ['out' => LengthWriter::difference($out), 'station' => $station === '' ? '' : ", {$station}"];
        $drawing = new Drawing(300, 292, Say::with('Out of round by {out}{station}.', $values));
        $bore = $found->kind === SurfaceKind::Bore;
        $bore
            ? $drawing->area(Drawing::circle($x, $y, 122), Tone::Found, Fill::Hatch, 1.5, [$shape])
            : $drawing->area($shape, Tone::Found, Fill::Tint, 2);
        foreach (Drawing::circle($x, $y, $radius, 48) as $i => $point) {
            $next = Drawing::circle($x, $y, $radius, 48)[($i + 1) % 48];
            if ($i % 2 === 0) {
                $drawing->line($point[0], $point[1], $next[0], $next[1], Tone::Ink, 0.8);
            }
        }
        foreach (array_keys($sizes) as $degrees) {
            $a = deg2rad($degrees);
            $drawing->line($x - 84 * cos($a), $y + 84 * sin($a), $x + 84 * cos($a), $y - 84 * sin($a), Tone::Soft, 0.8);
            $drawing->text(
                $x + 54 * cos($a) + 4,
                $y - 54 * sin($a) - 4,
                "{$degrees}°",
                13,
                Anchor::Middle,
                Tone::Ink,
                mono: true,
            );
        }

        return $drawing->text(
            14,
            282,
            Say::with('Out of round {out}{station}, shown ×'.number_format($factor, 0, '.', ''), $values),
            13,
        );
    }

    /** @return array<string, array<int, float>> */
    private static function byStation(FoundSize $found): array
    {
        $stations = [];
        foreach ($found->spots as $spot) {
            if (is_numeric($spot['angle'])) {
                $stations[$spot['station']][(((int) $spot['angle'] % 180) + 180) % 180] = $spot['mm'];
            }
        }
        foreach ($stations as &$sizes) {
            ksort($sizes);
        }

        return $stations;
    }

    /**
     * Diameters repeat after half a turn; between two of them the outline swings over as half a cosine.
     *
     * @param  array<int, float>  $sizes
     * @return list<array{float, float}>
     */
    private static function outline(array $sizes, float $mean, float $perMm, float $x, float $y, float $radius): array
    {
        $angles = array_keys($sizes);
        $values = array_values($sizes);
        $n = count($angles);
        $points = [];
        for ($degrees = 0; $degrees < 360; $degrees += 4) {
            $at = $degrees % 180;
            $i = 0;
            while ($i < $n && $angles[$i] <= $at) {
                $i++;
            }
            [$a, $va] = $i === 0 ? [$angles[$n - 1] - 180, $values[$n - 1]] : [$angles[$i - 1], $values[$i - 1]];
            [$b, $vb] = $i === $n ? [$angles[0] + 180, $values[0]] : [$angles[$i], $values[$i]];
            $share = (1 - cos((M_PI * ($at - $a)) / ($b - $a))) / 2;
            $r = $radius + (($va + ($vb - $va) * $share - $mean) / 2) * $perMm;
            $points[] = [$x + $r * cos(deg2rad($degrees)), $y - $r * sin(deg2rad($degrees))];
        }

        return $points;
    }
}

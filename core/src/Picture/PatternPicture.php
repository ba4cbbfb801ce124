<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Pattern\HoleCircle;
use Oldpart\Core\Quantity\LengthWriter;

/** A hole circle to scale, its holes numbered as they are listed. */
final class PatternPicture
{
    private const SIZE = 300.0;

    private const RADIUS = 96.0;

    /** More would be a ring of ink. */
    public const DRAWN = 120;

    public static function draw(HoleCircle $circle, ?float $holeMm): Drawing
    {
        [$x, $y] = [280.0, self::SIZE / 2];
        $per = (2 * self::RADIUS) / $circle->diameterMm;
        $hole = max(5.0, min(26.0, (($holeMm ?? 0.08 * $circle->diameterMm) * $per) / 2));
        $drawing = new Drawing(
            560,
            self::SIZE,
            Say::with(
                $circle->holes === 1
                    ? '1 hole on a circle of {d}.'
                    : "{$circle->holes} holes on a circle of {d}.",
                ['d' => LengthWriter::sizeInWords($circle->diameterMm)],
            ),
        );
        $round = Drawing::circle($x, $y, self::RADIUS);
        foreach ($round as $i => $p) {
            if ($i % 2 === 0) {
                $q = $round[($i + 1) % count($round)];
                $drawing->line($p[0], $p[1], $q[0], $q[1], Tone::Soft);
            }
        }
        $drawing->line($x - 8, $y, $x + 8, $y, Tone::Soft)->line($x, $y - 8, $x, $y + 8, Tone::Soft);
        for ($i = 0; $i < ($circle->holes <= self::DRAWN ? $circle->holes : 0); $i++) {
            $at = deg2rad($circle->angleDeg($i));
            [$hx, $hy] = [$x + self::RADIUS * cos($at), $y - self::RADIUS * sin($at)];
            $drawing->area(Drawing::circle($hx, $hy, $hole, 36), Tone::Make, Fill::Blank, 2);
            if ($circle->holes <= 24) {
                $out = self::RADIUS + $hole + 14;
                $drawing->text($x + $out * cos($at), $y - $out * sin($at) + 5, (string) ($i + 1), 14, Anchor::Middle);
            }
        }
        $drawing->text(
            $x,
            $y + 30,
            LengthWriter::size($circle->diameterMm),
            20,
            Anchor::Middle,
            Tone::Make,
            mono: true,
            bold: true,
        );

        return $drawing;
    }
}

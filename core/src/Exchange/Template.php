<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

use Oldpart\Core\Picture\FacePicture;

/**
 * A face one to one, to print and lay on: outline, circles, the middle of every hole, and a length to measure that
 * tells whether the printer kept the size.
 */
final class Template
{
    private const MARGIN = 10.0;

    /** To be measured on the print, mm: 100 mm, and 4 in. */
    private const CHECKS = [['100 mm', 100.0], ['4 in', 101.6]];

    /** @return array{svg: string, width: float, height: float} with its size, mm */
    public static function svg(FacePicture $face): array
    {
        [$x1, $y1, $x2, $y2] = $face->bounds();
        $long = max(self::CHECKS[0][1], self::CHECKS[1][1]);
        $width = max($x2 - $x1, $long) + 2 * self::MARGIN;
        $height = $y2 - $y1 + 2 * self::MARGIN + 26;
        $x = static fn (float $mm): float => self::MARGIN + $mm - $x1;
        $y = static fn (float $mm): float => self::MARGIN + $y2 - $mm;
        $body = '';
        if ($face->outline !== []) {
            $points = implode(' ', array_map(static fn (array $p): string => self::n($x($p[0])).','.self::n($y($p[1])), $face->outline));
            $body .= "<polygon points=\"{$points}\"/>";
        }
        $holes = [];
        foreach ($face->circles as $circle) {
            $holes[] = [$circle->xMm, $circle->yMm, $circle->radiusMm];
        }
        foreach ($face->patterns as $pattern) {
            foreach ($pattern->centres() as [$hx, $hy]) {
                $holes[] = [$hx, $hy, $pattern->holeMm / 2];
            }
        }
        foreach ($holes as [$hx, $hy, $r]) {
            [$cx, $cy, $arm] = [$x($hx), $y($hy), min(3.0, max(1.0, $r / 2))];
            $body .= '<circle cx="'.self::n($cx).'" cy="'.self::n($cy).'" r="'.self::n($r).'"/>'
                .self::line($cx - $arm, $cy, $cx + $arm, $cy).self::line($cx, $cy - $arm, $cx, $cy + $arm);
        }
        $at = $height - 22;
        foreach (self::CHECKS as [$says, $mm]) {
            $body .= self::line(self::MARGIN, $at, self::MARGIN + $mm, $at)
                .self::line(self::MARGIN, $at - 2, self::MARGIN, $at + 2).self::line(
                    self::MARGIN + $mm,
                    $at - 2,
                    self::MARGIN + $mm,
                    $at + 2,
                )
                .'<text x="'.self::n(self::MARGIN + 3).'" y="'.self::n($at - 1.5)."\" font-size=\"4\" fill=\"#000\" stroke=\"none\">{$says}: measure it on the print</text>";
            $at += 10;
        }
        [$w, $h] = [self::n($width), self::n($height)];

        return [
            'svg' => "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$w}mm\" height=\"{$h}mm\" viewBox=\"0 0 {$w} {$h}\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.2\" font-family=\"DejaVu Sans, sans-serif\">{$body}</svg>",
            'width' => $width,
            'height' => $height,
        ];
    }

    private static function line(float $x1, float $y1, float $x2, float $y2): string
    {
        return '<line x1="'.self::n($x1).'" y1="'.self::n($y1).'" x2="'.self::n($x2).'" y2="'.self::n($y2).'"/>';
    }

    private static function n(float $number): string
    {
        return rtrim(rtrim(sprintf('%.4F', $number), '0'), '.');
    }
}

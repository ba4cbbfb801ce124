<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Quantity\LengthWriter;

/** Press force against depth: it rises straight between the least and the most expected. */
final readonly class ForcePicture
{
    /** @param  list<array{float, float}>  $seen  depth mm and force N, in the order they were seen */
    public static function draw(Press $press, float $shopPressN, array $seen = []): Drawing
    {
        $most = $press->pressForceN;
        $least = $press->pressForceLeastN;
        // At least 0.1 kN high: without interference there is no force at all.
        $top = max(100.0, max($most, min($shopPressN, 1.5 * $most), ...array_column($seen, 1), ...[0.0]) * 1.1);
        $force = new Scale(0, $top, 196, 18);
        $drawing = new Drawing(
            440,
            232,
            Say::with('The press force rises straight to between {a} and {b} kN at full depth.', [
                'a' => Figure::atLeast($least / 1000, 1),
                'b' => Figure::upTo($most / 1000, 1),
            ]),
        );
        $drawing->line(56, 196, 380, 196)->line(56, 18, 56, 196);
        $drawing->area([[56.0, 196.0], [380.0, $force->at($most)], [380.0, $force->at($least)]], Tone::Make);
        $step = Scale::step($top / 1000, 4);
        for ($kn = 0.0; $kn * 1000 <= $top; $kn += $step) {
            $y = $force->at($kn * 1000);
            $drawing
                ->line(51, $y, 56, $y)
                ->text(
                    46,
                    $y + 5,
                    rtrim(rtrim(number_format($kn, 2), '0'), '.'),
                    13,
                    Anchor::End,
                    Tone::Soft,
                    mono: true,
                );
        }
        if ($shopPressN <= $top) {
            $y = $force->at($shopPressN);
            $drawing
                ->line(56, $y, 380, $y, Tone::Overlap, 2, true)
                ->text(60, $y - 5, 'your press', 13, Anchor::Start, Tone::Overlap, bold: true);
        }
        $drawing
            ->text(386, $force->at($most) + 4, 'most', 13, Anchor::Start, Tone::Make)
            ->text(386, max($force->at($least), $force->at($most) + 18) + 4, 'least', 13, Anchor::Start, Tone::Make);
        $before = [56.0, 196.0];
        foreach ($seen as [$depth, $newton]) {
            $at = [56 + 324 * min(1.0, max(0.0, $depth / $press->fit->lengthMm)), $force->at($newton)];
            $drawing
                ->line($before[0], $before[1], $at[0], $at[1], Tone::Ink, 2)
                ->area(Drawing::circle($at[0], $at[1], 4, 12), Tone::Ink, Fill::None, 2);
            $before = $at;
        }
        $drawing->text(10, 13, 'kN', 13, Anchor::Start, Tone::Soft);

        return $drawing->text(
            380,
            216,
            Say::with('full depth {l}', ['l' => LengthWriter::sizeInWords($press->fit->lengthMm)]),
            13,
            Anchor::End,
            Tone::Soft,
        );
    }
}

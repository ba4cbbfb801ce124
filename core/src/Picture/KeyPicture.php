<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Key\Keyway;
use Oldpart\Core\Quantity\LengthWriter;

/** A keyway seen along the axis, to scale, with its width and its depth where one reads them. */
final class KeyPicture
{
    private const WIDTH = 560.0;

    private const HEIGHT = 250.0;

    private const RADIUS = 84.0;

    public static function draw(float $roundMm, float $widthMm, Keyway $way, bool $hub): Drawing
    {
        $per = (2 * self::RADIUS) / $roundMm;
        [$x, $y] = [170.0, 140.0];
        $half = ($widthMm * $per) / 2;
        $drawing = new Drawing(
            self::WIDTH,
            self::HEIGHT,
            Say::with($hub ? 'A hub of {d} bore with a keyway {w} wide.' : 'A shaft of {d} with a keyway {w} wide.', [
                'd' => LengthWriter::sizeInWords($roundMm),
                'w' => LengthWriter::sizeInWords($widthMm),
            ]),
        );
        $top = $y - sqrt(max(0.0, self::RADIUS ** 2 - $half ** 2));
        if ($hub) {
            $bottom = $y + self::RADIUS - $way->hubMm * $per;
            $drawing->area(Drawing::circle($x, $y, self::RADIUS + 34), Tone::Found)
                ->area(Drawing::circle($x, $y, self::RADIUS), Tone::Ink, Fill::Blank)
                ->box($x - $half, $bottom, 2 * $half, $top - $bottom + 2, Tone::Make, Fill::Blank, 2);
            $deep = $way->hubMm;
        } else {
            $bottom = $y + self::RADIUS - $way->acrossMm * $per;
            $drawing->area(Drawing::circle($x, $y, self::RADIUS), Tone::Found)
                ->box(
                    $x - $half,
                    $y - self::RADIUS - 4,
                    2 * $half,
                    $bottom - ($y - self::RADIUS) + 4,
                    Tone::Make,
                    Fill::Blank,
                    2,
                );
            $deep = $way->acrossMm;
        }
        $side = $x + self::RADIUS + ($hub ? 54 : 24);
        $drawing->line($x + $half, $bottom, $side + 8, $bottom, Tone::Soft)
            ->line($x, $y + self::RADIUS, $side + 8, $y + self::RADIUS, Tone::Soft)
            ->line($side, $bottom, $side, $y + self::RADIUS, Tone::Make, 2)
            ->text(
                $side + 10,
                ($bottom + $y + self::RADIUS) / 2 + 6,
                LengthWriter::size($deep),
                20,
                Anchor::Start,
                Tone::Make,
                mono: true,
                bold: true,
            )
            ->text(
                $side + 10,
                ($bottom + $y + self::RADIUS) / 2 + 26,
                $hub ? 'across the bore' : 'across the shaft',
                13,
            );
        $over = $hub ? $bottom - 12 : $y - self::RADIUS - 16;
        $drawing->whisker($x - $half, $x + $half, $over, Tone::Make, 5)
            ->text($x + $half + 10, $over + 5, LengthWriter::size($widthMm), 16, Anchor::Start, Tone::Make, mono: true);
        if (! $hub) {
            $drawing->line($x - $half, $bottom, $x - self::RADIUS - 8, $bottom, Tone::Soft)
                ->text(
                    $x - self::RADIUS - 12,
                    $bottom + 5,
                    LengthWriter::size($way->atCornerMm),
                    15,
                    Anchor::End,
                    mono: true,
                )
                ->text($x - self::RADIUS - 12, $bottom + 22, 'at its corners', 12, Anchor::End);
        }

        return $drawing;
    }
}

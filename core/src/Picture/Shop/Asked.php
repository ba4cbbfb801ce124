<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture\Shop;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Picture\Anchor;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Fill;
use Oldpart\Core\Picture\TextWidth;
use Oldpart\Core\Picture\Tone;

/**
 * What is asked of a surface beside its limits, under them: roughness at its tick, run-out in its frame with an arrow,
 * the letter of a datum in its box. Conventions of ISO 21920-1, ISO 1101 and ISO 5459.
 */
final readonly class Asked
{
    private const LETTER = 14.0;

    private const FINISH = 20.0;

    private const FRAME = 26.0;

    /** Of a frame: its height, and its field for the arrow and for a letter. */
    private const HIGH = 20.0;

    private const FIELD = 20.0;

    private const TICK = 16.0;

    public float $width;

    public float $height;

    public function __construct(private ShopSize $size)
    {
        $wide = static fn (Say $say): float => max(
            TextWidth::of($say->in, self::LETTER, true),
            TextWidth::of($say->mm, self::LETTER, true),
        );
        $finish = $size->finish === null ? 0.0 : self::TICK + $wide($size->finish);
        $frame = match (true) {
            $size->runOut !== null => 2 * self::FIELD + $wide($size->runOut) + 8.0,
            $size->datum !== '' => self::FIELD,
            default => 0.0,
        };
        $this->width = max($finish, $frame);
        $this->height = ($finish > 0 ? self::FINISH : 0.0) + ($frame > 0 ? self::FRAME : 0.0);
    }

    /** @param  float  $x  the middle, and $top where it begins */
    public function draw(Drawing $drawing, float $x, float $top): void
    {
        if ($this->size->finish !== null) {
            $wide = self::TICK + TextWidth::of($this->size->finish->mm, self::LETTER, true);
            $left = $x - $wide / 2;
            $foot = $top + self::FINISH - 3;
            $drawing->line($left, $foot - 6, $left + 4, $foot, Tone::Make, 1.1)
                ->line($left + 4, $foot, $left + 11, $foot - 14, Tone::Make, 1.1)
                ->text($left + self::TICK, $foot, $this->size->finish, self::LETTER, tone: Tone::Make, mono: true);
            $top += self::FINISH;
        }
        if ($this->size->runOut !== null) {
            $this->frame($drawing, $this->size->runOut, $x, $top + 3);
        } elseif ($this->size->datum !== '') {
            $drawing->box($x - self::FIELD / 2, $top + 3, self::FIELD, self::HIGH, Tone::Ink, Fill::Blank, 1.1)
                ->text($x, $top + 3 + self::HIGH - 5, $this->size->datum, self::LETTER, Anchor::Middle, bold: true);
        }
    }

    private function frame(Drawing $drawing, Say $runOut, float $x, float $top): void
    {
        $value = $this->width > 0 ? max(
            TextWidth::of($runOut->in, self::LETTER, true),
            TextWidth::of($runOut->mm, self::LETTER, true),
        ) + 8.0 : 0.0;
        $left = $x - (2 * self::FIELD + $value) / 2;
        $base = $top + self::HIGH - 5;
        $drawing->box($left, $top, self::FIELD, self::HIGH, Tone::Make, Fill::Blank, 1.1)
            ->box($left + self::FIELD, $top, $value, self::HIGH, Tone::Make, Fill::Blank, 1.1)
            ->box($left + self::FIELD + $value, $top, self::FIELD, self::HIGH, Tone::Make, Fill::Blank, 1.1)
            ->line($left + 5, $top + self::HIGH - 4, $left + 14, $top + 6, Tone::Make, 1.1)
            ->area(
                [[$left + 16, $top + 4], [$left + 10, $top + 7], [$left + 13, $top + 10]],
                Tone::Make,
                Fill::Tint,
                1,
            )
            ->text(
                $left + self::FIELD + $value / 2,
                $base,
                $runOut,
                self::LETTER,
                Anchor::Middle,
                Tone::Make,
                mono: true,
            )
            ->text(
                $left + 1.5 * self::FIELD + $value,
                $base,
                $this->size->datum,
                self::LETTER,
                Anchor::Middle,
                Tone::Make,
            );
    }
}

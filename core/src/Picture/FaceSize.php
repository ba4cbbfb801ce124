<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** A size of a plate that has no place on its face: a thickness, a distance, an angle. */
final readonly class FaceSize
{
    private const NAME = 14.0;

    private const VALUE = 17.0;

    /** Between the name and the value. */
    private const APART = 8.0;

    public function __construct(public string $name, public Say $says, public bool $free)
    {
    }

    public function draw(Drawing $drawing, float $x, float $y, float $wide): void
    {
        $value = max(
            TextWidth::of($this->says->in, self::VALUE, true),
            TextWidth::of($this->says->mm, self::VALUE, true),
        );
        $size = TextWidth::height($this->name, self::NAME, $wide - $value - self::APART);
        $name = TextWidth::within($this->name, $size, $wide - $value - self::APART);
        $drawing->text($x, $y, $name, $size, tone: Tone::Make)
            ->text(
                $x + TextWidth::of($name, $size, false) + self::APART,
                $y,
                $this->says,
                self::VALUE,
                tone: Tone::Make,
                mono: true,
                bold: ! $this->free,
            );
    }
}

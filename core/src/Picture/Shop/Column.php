<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture\Shop;

/** One diameter beside the view, in a column of its own; in the units of the frame. */
final readonly class Column
{
    public Asked $asked;

    public float $width;

    public float $height;

    /** Too small to be written inside its own arrows: it is written above the view. */
    public bool $isSmall;

    public function __construct(public ShopSize $size, public float $radius)
    {
        $this->asked = new Asked($size);
        $this->width = max(ShopDrawing::wide($size->lines), $this->asked->width) + 18.0;
        $this->height = ShopDrawing::high($size->lines) + $this->asked->height;
        $this->isSmall = 2 * $radius < $this->height + 30.0;
    }
}

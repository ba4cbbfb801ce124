<?php

declare(strict_types=1);

namespace Oldpart\Core\Pour;

use Oldpart\Core\Quantity\Range;

/** White metal by what it is mostly of: how warm the shell, how hot the pour, °C. Common practice. */
enum WhiteMetal: string
{
    case Tin = 'tin';
    case Lead = 'lead';

    public function densityKgM3(): float
    {
        return $this === self::Tin ? 7400.0 : 9700.0;
    }

    public function preheatC(): Range
    {
        return new Range(100.0, 150.0);
    }

    public function pourC(): Range
    {
        return $this === self::Tin ? new Range(420.0, 450.0) : new Range(330.0, 400.0);
    }
}

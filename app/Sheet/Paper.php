<?php

declare(strict_types=1);

namespace App\Sheet;

use Oldpart\Core\Advice\BadInput;

enum Paper: string
{
    case A4 = 'a4';
    case Letter = 'letter';

    public static function named(mixed $name): self
    {
        return (is_string($name) ? self::tryFrom($name) : null) ??
            throw new BadInput('paper', 'paper', 'The sheet prints on a4 or letter paper.');
    }

    /** @return array{float, float} upright, mm */
    public function size(): array
    {
        return $this === self::A4 ? [210.0, 297.0] : [215.9, 279.4];
    }
}

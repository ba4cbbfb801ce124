<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

enum QuoteVerdict: string
{
    case Take = 'take';
    case AtThisPrice = 'at-this-price';
    case Alternative = 'alternative';
    case Decline = 'decline';

    public function label(): string
    {
        return match ($this) {
            self::Take => 'Take it',
            self::AtThisPrice => 'Take it at this price',
            self::Alternative => 'Offer an alternative',
            self::Decline => 'Decline',
        };
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Key;

/** How a key sits in its slots: sideways play lets a reversing drive hammer. */
enum SlotFit: string
{
    case Free = 'free';
    case Normal = 'normal';
    case Tight = 'tight';

    /** Class of the slot's width in the shaft, for a key of class h9. Source: DIN 6885-1. */
    public function inShaft(): string
    {
        return match ($this) {
            self::Free => 'H9',
            self::Normal => 'N9',
            self::Tight => 'P9',
        };
    }

    public function inHub(): string
    {
        return match ($this) {
            self::Free => 'D10',
            self::Normal => 'JS9',
            self::Tight => 'P9',
        };
    }
}

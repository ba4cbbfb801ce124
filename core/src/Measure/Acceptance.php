<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Quantity\Band;

/** Is a made size inside its band, given how sure the reading is? Source: ISO 14253-1, with the full U as guard. */
enum Acceptance: string
{
    case Inside = 'inside';
    case CannotTell = 'cannot-tell';
    case Above = 'above';
    case Below = 'below';

    public static function of(float $sizeMm, float $u95Mm, Band $band): self
    {
        $sure = $band->lessGuard($u95Mm);

        return match (true) {
            $sure !== null && $sure->holds($sizeMm) => self::Inside,
            $sizeMm > $band->upperMm + $u95Mm => self::Above,
            $sizeMm < $band->lowerMm - $u95Mm => self::Below,
            default => self::CannotTell,
        };
    }
}

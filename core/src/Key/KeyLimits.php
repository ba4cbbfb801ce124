<?php

declare(strict_types=1);

namespace Oldpart\Core\Key;

use Oldpart\Core\Catalogue\Table;

/** How much deeper and wider than asked a slot may be (data/key-limits.json); mm. */
final class KeyLimits
{
    /** @param  float  $widthMm  of the key, above 0 */
    public static function deeperMm(float $widthMm, bool $inch, bool $hub): float
    {
        $table = self::table();
        if ($inch) {
            return 25.4 * $table['inch_deeper_in'][$hub ? 'hub' : 'shaft'];
        }
        foreach ($table['metric_deeper_mm'] as [$upTo, $deeper]) {
            if ($widthMm <= $upTo) {
                break;
            }
        }

        return (float) $deeper;
    }

    /** Of the slot of a Woodruff key, in shaft and hub alike. */
    public static function woodruffDeeperMm(float $widthMm, bool $inch): float
    {
        return $inch ? 25.4 * self::table()['woodruff_inch_deeper_in'] : self::deeperMm($widthMm, false, false);
    }

    /** Of an inch slot; a metric one goes by its ISO fit. */
    public static function inchWiderMm(): float
    {
        return 25.4 * self::table()['inch_wider_in'];
    }

    /** @return array{metric_deeper_mm: non-empty-list<array{float, float}>, inch_wider_in: float, inch_deeper_in: array{shaft: float, hub: float}, woodruff_inch_deeper_in: float} */
    private static function table(): array
    {
        /** @var array{metric_deeper_mm: non-empty-list<array{float, float}>, inch_wider_in: float, inch_deeper_in: array{shaft: float, hub: float}, woodruff_inch_deeper_in: float} */
        return Table::read('key-limits');
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Gear;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Gear\ToothSize;
use PHPUnit\Framework\TestCase;

/** Teeth as the trade names them: a diametral pitch is 25.4 over it in module (ISO 54). */
final class ToothSizeTest extends TestCase
{
    public function test_as_they_are_named(): void
    {
        foreach (['module 2' => 2.0, '2 mod' => 2.0, 'mod 1.25' => 1.25, '10 DP' => 2.54, 'dp 8' => 3.175, '12-1/2 dp' => 2.032] as $text => $module) {
            $size = ToothSize::named($text);
            self::assertEqualsWithDelta($module, $size->moduleMm ?? 0.0, 1e-9, $text);
            self::assertSame([20.0, false], [$size->pressureDeg, $size->pressureSaid], $text);
        }
        self::assertSame([14.5, true], [ToothSize::named('10 DP, 14½°')->pressureDeg, ToothSize::named('10 DP, 14½°')->pressureSaid]);
        self::assertSame(20.0, ToothSize::named('module 3, 20°')->pressureDeg);
        self::assertEqualsWithDelta(12.7, ToothSize::named('chain 1/2')->chainMm ?? 0.0, 1e-9);
        self::assertEqualsWithDelta(9.525, ToothSize::named('chain 9.525 mm')->chainMm ?? 0.0, 1e-9);
        self::assertSame('8M', ToothSize::named('belt 8m')->belt);
        self::assertEqualsWithDelta(15.875, ToothSize::named('chain 0.625 in')->chainMm ?? 0.0, 1e-9);
    }

    public function test_what_names_none(): void
    {
        foreach (['', '2', 'module', '0 dp', 'module 0', 'gear'] as $text) {
            try {
                ToothSize::named($text);
                self::fail("“{$text}” was taken for teeth");
            } catch (BadInput $bad) {
                self::assertSame('shape', $bad->field);
            }
        }
    }
}

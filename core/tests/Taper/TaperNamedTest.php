<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Taper;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Taper\TaperNamed;
use PHPUnit\Framework\TestCase;

/** A taper as the trade says it. */
final class TaperNamedTest extends TestCase
{
    /** Included angles of handbooks: 1:10 5°43′29″, 1:20 2°51′51″, 7/24 16°35′39″, Morse 2 2°51′41″ (ISO 296 and 297). */
    public function test_as_it_is_said(): void
    {
        $dms = static fn (int $d, int $m, int $s): float => $d + $m / 60 + $s / 3600;
        foreach (
            [
                '1:10' => $dms(5, 43, 29), '1 in 10' => $dms(5, 43, 29), '1:20' => $dms(2, 51, 51), '7/24' => $dms(16, 35, 39), '7 / 24' => $dms(16, 35, 39),
                'Morse 2' => $dms(2, 51, 41), 'morse 2' => $dms(2, 51, 41), 'MT2' => $dms(2, 51, 41), 'mt 2' => $dms(2, 51, 41),
                '8°' => 8.0, '8 deg' => 8.0, '8° included' => 8.0, '4° per side' => 8.0, '4 degrees per side' => 8.0,
                '0.5 per foot' => 2 * rad2deg(atan(1 / 48)), '1/2 in/ft' => 2 * rad2deg(atan(1 / 48)), '0.5 in per foot' => 2 * rad2deg(atan(1 / 48)),
            ] as $text => $deg
        ) {
            self::assertEqualsWithDelta($deg, TaperNamed::of((string) $text)->includedDeg(), 3e-4, (string) $text);
        }
    }

    public function test_what_says_none(): void
    {
        foreach (['', 'taper', '1:', '10', '1:0', '0°', '0/24', '200°', 'Morse 9'] as $text) {
            try {
                TaperNamed::of($text);
                self::fail("“{$text}” was taken for a taper");
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->getMessage());
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Drills;
use Oldpart\Core\Fit\Iso286;
use Oldpart\Core\Fit\StandardSize;
use Oldpart\Core\Making\HoleLadder;
use Oldpart\Core\Making\HoleTools;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** From solid to size: common practice, no source; drills and reamers by what is stamped on them. */
final class HoleLadderTest extends TestCase
{
    private static function said(Band $band, ?float $deep = null): string
    {
        return implode("\n", array_map(static fn ($s): string => $s->mm, HoleLadder::steps($band, $deep)));
    }

    /** Of the drawer, not of the table: 10 H7 with a reamer that cuts 10.012, one that cuts over, and none. */
    public function test_what_the_drawer_has(): void
    {
        $band = new Band(10.0, 10.015);
        $steps = static fn (string $drills, string $reamers): string => implode("\n", array_map(static fn ($s): string => $s->mm, HoleLadder::steps($band, null, HoleTools::read($drills, $reamers, Unit::Millimetre))));
        self::assertStringContainsString('Ream 10 (10.000)', $steps('', '8, 10 cuts 10.012, 12'));
        self::assertStringNotContainsString('nobody said', $steps('', '10'));
        self::assertStringContainsString('Ream 10 (10.000)', $steps('', '10, 10.004'), 'the smallest that does');
        self::assertStringContainsString('Ream 10 (10.000)', $steps('', '10.004, 10'));
        self::assertStringContainsString('bore it', $steps('', '10 cuts 10.02'), 'it cuts over');
        self::assertStringContainsString('bore it', $steps('', '8, 12'), 'there is none');
        self::assertStringContainsString('If the drawer has one', $steps('', ''), 'nobody said which there are');
        // 0.2 under the reamer is 9.8: the drawer has 9.5, and says what that leaves; then only a large one.
        self::assertStringContainsString('Drill 9.5', $steps('6, 9.5, 10.5', '10'));
        self::assertStringNotContainsString('more is left', $steps('6, 9.5, 10.5', '10'));
        self::assertStringContainsString('Drill 6 (', $steps('6, 10.5', '10'));
        self::assertStringContainsString('more is left', $steps('6, 10.5', '10'));
        self::assertStringContainsString('No drill of the drawer', $steps('12', '10'));
    }

    /** By hand: letter F is 0.257 in, #7 0.201 in, 1/2 in 12.7 mm whatever the shop's unit. */
    public function test_sizes_as_they_are_typed(): void
    {
        $tools = HoleTools::read('#7, letter F, 1/2', '', Unit::Millimetre);
        self::assertEqualsWithDelta([12.7, 0.257 * 25.4, 0.201 * 25.4], [$tools->drillUpTo(20)[1] ?? 0, $tools->drillUpTo(12)[1] ?? 0, $tools->drillUpTo(6)[1] ?? 0], 1e-6);
        self::assertNull($tools->drillUpTo(5));
        self::assertEqualsWithDelta(25.4 * 0.3, HoleTools::read('0.3', '', Unit::Inch)->drillUpTo(10)[1] ?? 0, 1e-9);
        foreach (['wide', '0', '10 cuts 11', '10 cuts 9.5', '10 cuts 10.01 cuts 10.02'] as $typed) {
            try {
                HoleTools::read('', $typed, Unit::Millimetre);
                self::fail("{$typed} must be refused");
            } catch (BadInput $bad) {
                self::assertSame('reamers', $bad->field);
                self::assertStringContainsString("“{$typed}”", $bad->getMessage());
            }
        }
    }

    /** 10 H7 (ISO 286: +0.015): a 10 mm reamer, and 0.2 under it the 9.8 mm drill; no pilot under ten. */
    public function test_a_reamed_hole(): void
    {
        $limits = Iso286::hole(10.0, 'H7');
        $said = self::said(new Band(10 + $limits->lowerMm, 10 + $limits->upperMm));
        self::assertStringContainsString('Drill 9.8 mm', $said);
        self::assertStringContainsString('Ream 10 mm', $said);
        self::assertStringNotContainsString('Pilot', $said);
    }

    /** A reamer that might come out under the least is not told: 10 in 10.003 to 10.018 is bored. */
    public function test_a_reamer_too_small_is_none(): void
    {
        self::assertStringContainsString('bore it', self::said(new Band(10.003, 10.018)));
    }

    /** A pin of 0.3125 held half a thou tight: the 0.3120 reamer, since the 5/16 one is too large. */
    public function test_a_dowel_reamer(): void
    {
        $said = self::said(new Band(25.4 * 0.3118, 25.4 * 0.3124));
        self::assertStringContainsString('Ream 0.3120 in', $said);
    }

    /** 21.65 to 21.66 no reamer gives: a drill a millimetre under it with a pilot over its web, and a bar. */
    public function test_a_bored_hole(): void
    {
        $said = self::said(new Band(21.65, 21.66), 30.0);
        self::assertStringContainsString('bore it, 21.650 to 21.660', $said);
        self::assertMatchesRegularExpression('/Drill (20\.6 mm|13\/16 in)/', $said);
        self::assertStringContainsString('Pilot', $said);
        self::assertStringContainsString('30.000 to its full size', $said);
        self::assertStringContainsString('Drill 1 in', self::said(new Band(60.0, 60.03)));
    }

    public function test_what_is_in_the_drawer(): void
    {
        self::assertSame(['letter O', 25.4 * 0.316], Drills::upTo(8.03));
        self::assertSame(['1/2 in', 12.7], Drills::upTo(12.72));
        self::assertSame('1-1/64 in', Drills::upTo(25.4 * (1 + 1 / 64))[0]);
        self::assertSame(['0.2490 in', '0.2495 in', '1/4 in', '0.2505 in', '0.2510 in'], array_map(
            static fn (StandardSize $s): string => $s->label,
            StandardSize::reamers(25.4 * 0.2488, 25.4 * 0.2512),
        ));
        self::assertSame([], StandardSize::reamers(21.65, 21.66));
        // Over and under sets end at half an inch.
        self::assertNotSame([], StandardSize::reamers(25.4 * 0.5009, 25.4 * 0.5011));
        self::assertSame([], StandardSize::reamers(25.4 * 0.5634, 25.4 * 0.5636));
    }

    /** Left for a reamer, common practice: 0.15 up to 5 mm, 0.2 up to 10, 0.3 up to 20, 0.4 above. */
    public function test_what_is_left_for_a_reamer(): void
    {
        foreach ([[4.0, 3.85], [5.0, 4.85], [6.0, 5.8], [10.0, 9.8], [12.0, 11.7], [20.0, 19.7], [22.0, 21.6]] as [$size, $drill]) {
            $tools = HoleTools::read(sprintf('%.3f, %.3f', $drill, $drill - 0.004), "{$size}", Unit::Millimetre);
            $said = implode("\n", array_map(static fn ($s): string => $s->mm, HoleLadder::steps(new Band($size, $size + 0.012), null, $tools)));
            self::assertStringContainsString(sprintf('Drill %.3f', $drill), $said);
            $tools = HoleTools::read(sprintf('%.3f, %.3f', $drill + 0.004, $drill - 0.004), "{$size}", Unit::Millimetre);
            $said = implode("\n", array_map(static fn ($s): string => $s->mm, HoleLadder::steps(new Band($size, $size + 0.012), null, $tools)));
            self::assertStringContainsString(sprintf('Drill %.3f', $drill - 0.004), $said, 'more would leave too little');
        }
    }
}

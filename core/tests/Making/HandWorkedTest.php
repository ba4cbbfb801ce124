<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Making\CutKind;
use Oldpart\Core\Making\PlannedCut;
use Oldpart\Core\Making\Quote;
use Oldpart\Core\Making\Workability;
use PHPUnit\Framework\TestCase;

/** Steps of what is said of a material and of a price; common practice. */
final class HandWorkedTest extends TestCase
{
    /** From HRC 40 on a file skates: ground only. */
    public function test_from_forty_on_it_is_ground(): void
    {
        $codes = static fn (float $hrc): array => array_map(
            static fn (Note $n): string => $n->code,
            Workability::of(Material::named('alloy steel, quenched and tempered'), $hrc),
        );
        self::assertContains('grind-only', $codes(40.0));
        self::assertNotContains('grind-only', $codes(39.9));
    }

    /** Whole units below 100, fives below 1000, tens above. */
    public function test_nobody_quotes_cents(): void
    {
        $money = static fn (float $amount): string => Quote::money($amount, 'X');
        self::assertSame(['X 99', 'X 100', 'X 995', 'X 1,000', 'X 1,010', 'X 1,040'], array_map(
            $money,
            [99.4, 101.0, 997.0, 1003.0, 1006.0, 1043.0],
        ));
    }

    public function test_a_planned_cut_says_what_it_is(): void
    {
        self::assertSame(
            '{"take_mm":0.25,"dial_mm":0.26,"kind":"rough"}',
            json_encode(new PlannedCut(0.25, 0.26, CutKind::Rough)),
        );
    }
}

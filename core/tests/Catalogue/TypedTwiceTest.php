<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Catalogue;

use Oldpart\Core\Catalogue\Table;
use PHPUnit\Framework\TestCase;

/**
 * Tables that stand a second time here, so that a slip of the pen in them shows. The drills were typed anew from memory and
 * agreed; seats, shoulders, slots, trials and stock were written down as the tables have them: no outside check.
 */
final class TypedTwiceTest extends TestCase
{
    /** Twist drills by number, thousandths of an inch. ANSI B94.11M, from memory. */
    private const NUMBERS = '228 221 213 209 205.5 204 201 199 196 193.5 191 189 185 182 180 177 173 169.5 166 161 '
        .'159 157 154 152 149.5 147 144 140.5 136 128.5 120 116 113 111 110 106.5 104 101.5 99.5 98 '
        .'96 93.5 89 86 82 81 78.5 76 73 70 67 63.5 59.5 55 52 46.5 43 42 41 40 '
        .'39 38 37 36 35 33 32 31 29.2 28 26 25 24 22.5 21 20 18 16 14.5 13.5';

    /** By letter, A to Z, thousandths of an inch. ANSI B94.11M, from memory. */
    private const LETTERS = '234 238 242 246 250 257 261 266 272 277 281 290 295 302 316 323 332 339 348 358 368 377 386 397 404 413';

    public function test_number_and_letter_drills(): void
    {
        $drills = Table::read('drills');
        $thousandths = static fn (string $list): array => array_map(static fn (string $n): float => (float) $n / 1000, explode(' ', $list));
        self::assertSame(range(1, 80), array_map(intval(...), array_keys((array) $drills['number'])));
        self::assertEqualsWithDelta($thousandths(self::NUMBERS), array_values((array) $drills['number']), 1e-9);
        self::assertSame(range('A', 'Z'), array_keys((array) $drills['letter']));
        self::assertEqualsWithDelta($thousandths(self::LETTERS), array_values((array) $drills['letter']), 1e-9);
    }

    /** Inch tapered sets, class 4, µm from the nominal. Common practice, no source. */
    public function test_seats_of_inch_tapered_sets(): void
    {
        $seats = (array) Table::read('bearing-seats')['inch_tapered'];
        self::assertSame(76.2, $seats['to_bore_mm']);
        self::assertSame(
            ['inner' => ['light' => [25, 38], 'normal' => [25, 38], 'heavy' => [38, 64]], 'outer' => ['light' => [-18, -5], 'normal' => [-18, -5], 'heavy' => [-13, 0]]],
            $seats['shaft'],
        );
        self::assertSame(['inner' => [50, 76], 'outer' => [-38, -13]], $seats['housing']);
    }

    /** Up to which bore each class of a seat holds. Common practice, no source. */
    public function test_seats_on_a_shaft(): void
    {
        self::assertSame(
            [
                'inner' => [
                    'light' => [[100, 'j6'], [200, 'k5'], [500, 'k6']],
                    'normal' => [[18, 'js5'], [100, 'k5'], [140, 'm5'], [200, 'm6'], [500, 'n6']],
                    'heavy' => [[100, 'm6'], [140, 'n6'], [500, 'p6']],
                ],
                'outer' => ['light' => [[500, 'g6']], 'normal' => [[500, 'g6']], 'heavy' => [[500, 'h6']]],
            ],
            Table::read('bearing-seats')['shaft'],
        );
    }

    /** Fillet and shoulder by the bearing's chamfer, mm. Common practice of bearing makers after ISO 582, from memory. */
    public function test_shoulders(): void
    {
        $rows = ((array) Table::read('bearing-tolerances')['shoulder'])['rows'];
        self::assertEqualsWithDelta(
            [
                [0.15, 0.15, 0.4], [0.2, 0.2, 0.7], [0.3, 0.3, 1.0], [0.6, 0.6, 2.1], [1.0, 1.0, 2.8],
                [1.1, 1.0, 3.5], [1.5, 1.5, 4.5], [2.0, 2.0, 5.5], [2.1, 2.0, 6.0], [3.0, 2.5, 7.0],
            ],
            $rows,
            1e-9,
        );
    }

    /** How much deeper than its key a slot may be. DIN 6885-1, ANSI B17.1 class 2 and B17.2, from memory. */
    public function test_slots_for_keys(): void
    {
        $limits = Table::read('key-limits');
        self::assertEqualsWithDelta([[6, 0.1], [32, 0.2], [1000, 0.3]], $limits['metric_deeper_mm'], 1e-9);
        self::assertSame([0.002, 0.005], [$limits['inch_wider_in'], $limits['woodruff_inch_deeper_in']]);
        self::assertEqualsWithDelta(['shaft' => 0.015, 'hub' => 0.010], $limits['inch_deeper_in'], 1e-9);
    }

    /** What a metal shows in a test are chances: of all that it can show they make one, and so do all metals together. */
    public function test_what_metals_show_makes_one(): void
    {
        /** @var list<array{code: string, prior: float, shows: array<string, array<string, float>>}> $groups */
        $groups = Table::read('material-tests')['groups'];
        self::assertEqualsWithDelta(1.0, array_sum(array_column($groups, 'prior')), 1e-9);
        foreach ($groups as $group) {
            foreach ($group['shows'] as $test => $chances) {
                self::assertEqualsWithDelta(1.0, array_sum($chances), 1e-9, "{$group['code']}, {$test}");
            }
        }
    }

    /** What a shaft that starts, goes half way, slides or drops in tells of its clearance, mm. Common practice, no source. */
    public function test_what_a_trial_by_hand_tells(): void
    {
        $rows = array_map(static fn (array $row): array => [$row['least_mm'], $row['most_mm']], Table::rows('trial-feels'));
        self::assertSame([[null, 0.0], [-0.01, 0.005], [-0.005, 0.01], [0.004, 0.03], [0.015, null]], $rows);
    }

    /** What a dealer has, by its step up to a size: inches, then millimetres. Common stock, no source. */
    public function test_what_can_be_bought(): void
    {
        $sizes = Table::read('standard-sizes');
        foreach ([
            'reamer' => [[[1, 1 / 64], [2, 1 / 32], [3, 1 / 16]], [[12, 0.5], [50, 1]]],
            'ground bar' => [[[1, 1 / 16], [4, 1 / 8]], [[20, 1], [60, 5]]],
            'stock bush outside' => [[[2, 1 / 16], [3, 1 / 8]], [[30, 1], [60, 5]]],
            'stock bush bore' => [[[1.5, 1 / 16], [3, 1 / 8]], [[25, 1], [50, 5]]],
        ] as $what => [$inch, $mm]) {
            self::assertEqualsWithDelta(['inch' => $inch, 'mm' => $mm], $sizes[$what], 1e-9, $what);
        }
    }
}

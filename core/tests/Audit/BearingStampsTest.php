<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Audit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Bearings;
use Oldpart\Core\Fit\BearingDuty;
use Oldpart\Core\Fit\BearingSeat;
use Oldpart\Core\Fit\BearingTable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Case 6 of an outside audit: what is stamped on a bearing and changes its sizes. Sizes as makers' lists print them,
 * from memory.
 */
final class BearingStampsTest extends TestCase
{
    /**
     * @return iterable<string, array{float, float, float}> bore, outside, width, mm; the inch ones in sixteenths and thirty-seconds
     */
    public static function stamps(): iterable
    {
        $in = 25.4;
        yield 'R8' => [$in / 2, (9 / 8) * $in, $in / 4];
        yield 'R8ZZ' => [$in / 2, (9 / 8) * $in, (5 / 16) * $in];
        yield 'R8-2RS' => [$in / 2, (9 / 8) * $in, (5 / 16) * $in];
        yield 'R6ZZ' => [(3 / 8) * $in, (7 / 8) * $in, (9 / 32) * $in];
        yield 'R3ZZ' => [(3 / 16) * $in, $in / 2, 0.196 * $in];
        yield 'R4ZZ' => [$in / 4, (5 / 8) * $in, 0.196 * $in];
        yield 'R4AZZ' => [$in / 4, (3 / 4) * $in, (9 / 32) * $in];
        yield 'R10ZZ' => [(5 / 8) * $in, (11 / 8) * $in, (11 / 32) * $in];
        yield 'R12 ZZ' => [(3 / 4) * $in, (13 / 8) * $in, (7 / 16) * $in];
        yield 'R14-ZZ' => [(7 / 8) * $in, (15 / 8) * $in, $in / 2];
        yield 'R16DDU' => [$in, 2 * $in, $in / 2];
        yield '688ZZ' => [8, 16, 5];
        yield '688' => [8, 16, 4];
        yield '686-2Z' => [6, 13, 5];
        yield '683ZZ' => [3, 7, 3];
        yield '685 ZZ' => [5, 11, 5];
        yield '693ZZ' => [3, 8, 4];
        yield '699ZZ' => [9, 20, 6];
        yield '608-2RS' => [8, 22, 7];
        yield '623ZZ' => [3, 10, 4];
        yield '6203-5/8' => [(5 / 8) * $in, 40, 12];
        yield '6203-2RS-5/8"' => [(5 / 8) * $in, 40, 12];
        yield '62/22' => [22, 50, 14];
        yield '60/28 2RS' => [28, 52, 12];
        yield 'SS6204-2RS' => [20, 47, 14];
        yield '6204-2RS1/C3' => [20, 47, 14];
        yield '6205 NR TN9' => [25, 52, 15];
    }

    #[DataProvider('stamps')]
    public function test_6_what_is_stamped_gives_its_sizes(float $bore, float $outside, float $width): void
    {
        $bearing = Bearings::named((string) $this->dataName());
        self::assertEqualsWithDelta(
            [$bore, $outside, $width],
            [$bearing->boreMm, $bearing->outsideMm, $bearing->widthMm],
            0.0015,
        );
    }

    /** What may change its sizes and is not known is refused, with the way out. */
    public function test_6_what_is_not_understood_is_refused(): void
    {
        foreach (
            [
                '6204K' => 'tapers',
                '6204 K C3' => 'tapers',
                '6204/22' => '22',
                '6205-QQ' => 'QQ',
                '6203-1/4' => 'Measure its bore',
                '6203-3/0' => 'Measure its bore',
                '62/21' => 'not in the bearing table',
                '63004-2RS' => 'not in the bearing table',
                'R8B' => 'B',
            ] as $stamp => $says
        ) {
            try {
                Bearings::named($stamp);
                self::fail("{$stamp} was taken");
            } catch (BadInput $bad) {
                self::assertStringContainsString($says, $bad->getMessage(), $stamp);
            }
        }
    }

    /** By sizes too: a shielded miniature is found at its own width. */
    public function test_6_a_shielded_one_is_found_by_its_width(): void
    {
        $found = Bearings::like(12.7, 28.575, 7.94, 0.05)[0];
        self::assertSame('R8 shielded', $found->designation);
        self::assertSame('R8', Bearings::like(12.7, 28.575, 6.35, 0.05)[0]->designation);
    }

    /** ISO 5753-1, a 25 mm bore: C3 has 13 to 28 µm where Normal has 5 to 20 (from memory): its stamp counts. */
    public function test_6_the_clearance_group_on_the_stamp_counts(): void
    {
        $duty = new BearingDuty('inner', 'normal', innerWarmerK: 10);
        $normal = BearingSeat::of(Bearings::named('6205'), $duty);
        $wide = BearingSeat::of(Bearings::named('6205 C3'), $duty);
        self::assertEqualsWithDelta(0.008, ($wide->left?->min ?? 0) - ($normal->left?->min ?? 0), 1e-9);
        self::assertSame('C3', $normal->group);
        self::assertNull($wide->group, 'it is one already');
    }

    /**
     * ABMA class 4, from memory: bore zero to half a thou over. A seat that is 25 to 38 µm over is 12 to 38 tight, not
     * the 38 to 51 an ISO table would give with a ring that is under.
     */
    public function test_6_inch_tapered_sets_have_their_own_limits_and_seats(): void
    {
        $set = Bearings::named('L68149/L68110');
        self::assertEqualsWithDelta(1.3775 * 25.4, $set->boreMm, 0.001);
        self::assertEqualsWithDelta(
            [0.013, 0.0],
            [BearingTable::bore($set)->upperMm, BearingTable::bore($set)->lowerMm],
            1e-9,
        );
        $seat = BearingSeat::of($set, new BearingDuty('inner', 'normal'));
        self::assertEqualsWithDelta([-0.038, -0.012], [$seat->onShaftMm->min, $seat->onShaftMm->max], 1e-9);
        self::assertGreaterThan(0.0, $seat->inHousingMm->min, 'a cup that stands still can be adjusted');
        self::assertContains('tapered-set', array_map(static fn (Note $n): string => $n->code, $seat->notes));
        self::assertSame('+25 µm to +38 µm', $seat->shaftClass);
        self::assertSame('−38 µm to −13 µm', BearingSeat::of($set, new BearingDuty('outer', 'normal'))->housingClass);
        self::assertLessThan(
            0.0,
            BearingSeat::of($set, new BearingDuty('outer', 'normal'))->inHousingMm->max,
            'a cup that turns is held',
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Sum\Sums;
use Oldpart\Core\Sum\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Sums beside their examples: at an edge, with a field left out, of the other sort. By hand and by standard tables from memory. */
final class SumEdgesTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $in  over its example; null leaves a field out
     * @return array<string, mixed>
     */
    private static function worked(string $sum, array $in = []): array
    {
        return Sums::run($sum, array_filter([...Sums::named($sum)->example(), ...$in], static fn (mixed $v): bool => $v !== null));
    }

    /**
     * @param  array<string, mixed>  $in
     * @return list<string>
     */
    private static function codes(string $sum, array $in = []): array
    {
        return array_map(static fn (Note $n): string => $n->code, self::worked($sum, $in)['notes']);
    }

    /** @return iterable<array{string, array<string, mixed>, list<string>}> sum, what is typed, the notes it gives */
    public static function noted(): iterable
    {
        yield 'as large as it was' => ['clean-up', ['raw_mm' => 50.0, 'runout_mm' => 0.0], []];
        yield 'a hair less' => ['clean-up', ['raw_mm' => 50.0, 'runout_mm' => 0.002], ['not-clean']];
        yield 'just clean at both ends' => ['stock-at-both-ends', ['off_far_mm' => 1.0, 'clean_mm' => 1.0], []];
        yield 'not quite at the far one' => ['stock-at-both-ends', ['off_far_mm' => 1.0, 'clean_mm' => 1.01], ['wont-clean-up']];
        yield 'three points' => ['find-circle', [], ['three-points']];
        yield 'four points' => ['find-circle', ['points' => [['x_mm' => 10.0, 'y_mm' => 0.0], ['x_mm' => 0.0, 'y_mm' => 10.0], ['x_mm' => -10.0, 'y_mm' => 0.0], ['x_mm' => 0.0, 'y_mm' => -10.5]]], ['farthest']];
        yield 'a quarter of the passage' => ['fitting-reach', ['thread_long_mm' => 11.5], []];
        yield 'more than a quarter' => ['fitting-reach', ['thread_long_mm' => 11.6], ['narrows']];
        yield 'all of the passage' => ['fitting-reach', ['thread_long_mm' => 17.5], ['closes']];
        yield 'a pin of one’s own' => ['gear-span', ['pin_mm' => 3.5], []];
        yield 'a pin that is taken' => ['gear-span', [], ['pin-taken']];
        yield 'holes clear of each other' => ['clocking', [], []];
        yield 'two stand opposite' => ['clocking', ['b' => ['diameter_mm' => 60.0, 'holes' => 2, 'hole_mm' => 4.0]], ['opposite']];
        yield 'holes that meet' => ['clocking', ['b' => ['diameter_mm' => 79.0, 'holes' => 12, 'hole_mm' => 12.0]], ['break-in']];
        yield 'a density of one’s own' => ['balance-hole', [], ['heavy-side']];
        yield 'none' => ['balance-hole', ['density_kg_m3' => null], ['heavy-side', 'density']];
        yield 'half a screw under its head' => ['screw-hole', ['screw' => 'M10', 'head' => 'cap', 'plate_mm' => 15.5], []];
        yield 'less than half' => ['screw-hole', ['screw' => 'M10', 'head' => 'cap', 'plate_mm' => 15.4], ['thin-seat']];
        yield 'nothing' => ['screw-hole', ['screw' => 'M10', 'head' => 'cap', 'plate_mm' => 10.0], ['no-plate']];
    }

    /**
     * @param  array<string, mixed>  $in
     * @param  list<string>  $codes
     */
    #[DataProvider('noted')]
    public function test_what_it_warns_of(string $sum, array $in, array $codes): void
    {
        self::assertSame($codes, self::codes($sum, $in));
    }

    /** The end that has less is named, and the point that lies farthest off. */
    public function test_which_one_is_named(): void
    {
        $says = static fn (string $sum, array $in): string => self::worked($sum, $in)['notes'][0]->say->mm;
        self::assertStringContainsString('at the far end', $says('stock-at-both-ends', ['off_far_mm' => 2.5]));
        self::assertStringContainsString('at the near end', $says('stock-at-both-ends', ['off_near_mm' => 2.5]));
        self::assertStringContainsString('point 4', $says('find-circle', ['points' => [['x_mm' => 10.0, 'y_mm' => 0.0], ['x_mm' => 0.0, 'y_mm' => 10.0], ['x_mm' => -10.0, 'y_mm' => 0.0], ['x_mm' => 7.4, 'y_mm' => -7.4], ['x_mm' => 0.0, 'y_mm' => -10.0]]]));
    }

    /** ISO 286: 25 H7 is 21/0, p6 is 35/22; 6205: 25 k5 is 11/2, 52 H7 30/0, ordinary clearance 5 to 20 (ISO 5753). */
    public function test_limits_in_thousandths(): void
    {
        $fit = self::worked('iso-fit');
        self::assertSame([['upper_um' => 21.0, 'lower_um' => 0.0], ['upper_um' => 35.0, 'lower_um' => 22.0], ['min' => -35.0, 'max' => -1.0]], [$fit['hole'], $fit['shaft'], $fit['clearance_um']]);
        $hole = self::worked('iso-fit', ['shaft' => null]);
        self::assertSame([['upper_um' => 21.0, 'lower_um' => 0.0], null, null], [$hole['hole'], $hole['shaft'], $hole['clearance_um']]);
        $seat = self::worked('bearing-seat');
        self::assertSame([['upper_um' => 11.0, 'lower_um' => 2.0], ['upper_um' => 30.0, 'lower_um' => 0.0]], [$seat['shaft_um'], $seat['housing_um']]);
        self::assertEqualsWithDelta(['min' => 5.0, 'max' => 20.0], $seat['normal_clearance_um'], 1e-9);
        // ANSI B4.1: FN 2 at 1¼ in: hole 1.0/0, shaft 2.4/1.8 thou.
        $press = self::worked('inch-fit');
        self::assertSame([['upper_thou' => 1.0, 'lower_thou' => 0.0], ['upper_thou' => 2.4, 'lower_thou' => 1.8]], [$press['hole'], $press['shaft']]);
    }

    /** A bearing is known by its three sizes as they are read, two hundredths off; farther off it is one as given. */
    public function test_a_bearing_by_its_sizes(): void
    {
        $name = static fn (float $bore, float $wide): string => self::worked('bearing-seat', ['designation' => null, 'bore_mm' => $bore, 'outer_mm' => 52.0, 'width_mm' => $wide])['bearing']->designation;
        self::assertSame(['6205', '6205', 'as given', 'as given'], [$name(25.0, 15.0), $name(25.019, 14.985), $name(25.0205, 15.0), $name(25.0, 15.1)]);
    }

    /**
     * A press goes by the mean of its mate, what runs by its nearest and its farthest: with the chance alike to both
     * sides the middle of the works lies at the middle between them.
     */
    public function test_what_the_aim_goes_by(): void
    {
        $press = self::worked('aim');
        self::assertEqualsWithDelta(28.56 - ($press['works_mm']['min'] + $press['works_mm']['max']) / 2, $press['aim_mm'], 0.002);
        $runs = self::worked('aim', ['purpose' => 'free-running', 'mate' => ['mean_mm' => 28.56, 'mating_mm' => 28.551, 'loose_mm' => 28.561, 'u95_mm' => 0.002]]);
        self::assertEqualsWithDelta((28.551 - $runs['works_mm']['min'] + 28.561 - $runs['works_mm']['max']) / 2, $runs['aim_mm'], 0.002);
    }

    /** A listed metal of which one figure is typed is as typed: half the modulus is half the pressure where the other is as stiff as that. */
    public function test_a_metal_with_a_figure_of_ones_own(): void
    {
        $pressure = static fn (array $metal): float => Sums::run('press', ['d_mm' => 30.0, 'inner_bore_mm' => 20.0, 'outer_od_mm' => 60.0, 'length_mm' => 30.0, 'interference_mm' => ['min' => 0.02, 'max' => 0.02], 'inner' => $metal, 'outer' => $metal])['pressure_mpa']->max ?? 0.0;
        $soft = $pressure(['name' => 'leaded tin bronze (bearing)', 'e_gpa' => 50.0, 'nu' => 0.3]);
        self::assertEqualsWithDelta(2.0, $pressure(['name' => 'leaded tin bronze (bearing)', 'e_gpa' => 100.0, 'nu' => 0.3]) / $soft, 1e-9);
        self::assertNotEqualsWithDelta($soft, $pressure(['name' => 'leaded tin bronze (bearing)']), 1.0);
    }

    /** Worn is to be said: then a larger nominal may have been there. */
    public function test_wear_is_to_be_said(): void
    {
        $of = static fn (?string $wear): string => json_encode(self::worked('nominal', ['wear' => $wear])['candidates']) ?: '';
        self::assertSame($of('none'), $of(null));
        self::assertNotSame($of('none'), $of('possible'));
        $this->expectException(BadInput::class);
        $of('perhaps');
    }

    /** A wish of one size only is one; upside down it is none. */
    public function test_a_wish_of_one_size(): void
    {
        self::assertSame(0.0, round(self::worked('loop', ['wanted' => ['min_mm' => 0.1, 'max_mm' => 0.1]])['chance'], 9));
        $this->expectExceptionMessage('Swap the two');
        self::worked('loop', ['wanted' => ['min_mm' => 0.11, 'max_mm' => 0.1]]);
    }

    /** 3 and 4 wanted, 1 and 0.1 tried: 2 and 3.9 to go, toward 62.85°, to the nearest degree. */
    public function test_what_is_still_to_go(): void
    {
        $out = self::worked('offset', ['tried_a_mm' => 1.0, 'tried_b_mm' => 0.1]);
        self::assertEqualsWithDelta([hypot(2, 3.9), rad2deg(atan2(3.9, 2))], [$out['left_mm'], $out['left_deg']], 1e-9);
        self::assertStringContainsString('63°', $out['notes'][0]->say->mm);
        self::assertNull(self::worked('pattern-fit', ['bolt_mm' => null])['least_hole_mm']);
    }

    /** A slot of 8 that runs up to 12 from an edge leaves 8 at that end; one aslant, 5 to 4 to 3, passes a hole at 10: 2 between. */
    public function test_walls_of_slots(): void
    {
        $slot = ['name' => 'slot', 'x1_mm' => 50.0, 'y1_mm' => 15.0, 'x2_mm' => 108.0, 'y2_mm' => 15.0, 'wide_mm' => 8.0];
        $out = self::worked('plate', ['holes' => null, 'slots' => [$slot]]);
        self::assertEqualsWithDelta(8.0, $out['walls'][0]['wall_mm'], 1e-9);
        $up = self::worked('plate', ['holes' => null, 'slots' => [[...$slot, 'x1_mm' => 40.0, 'x2_mm' => 40.0, 'y1_mm' => 30.0, 'y2_mm' => 52.0]]]);
        self::assertEqualsWithDelta(4.0, $up['walls'][0]['wall_mm'], 1e-9);
        $aslant = self::worked('plate', [
            'holes' => [['name' => 'hole', 'x_mm' => 34.0, 'y_mm' => 43.0, 'diameter_mm' => 8.0]],
            'slots' => [[...$slot, 'x1_mm' => 20.0, 'y1_mm' => 20.0, 'x2_mm' => 60.0, 'y2_mm' => 50.0]],
        ]);
        $between = array_values(array_filter($aslant['notes'], static fn (Note $n): bool => $n->code === 'thin-between'));
        self::assertStringContainsString('2.000 mm', $between[0]->say->mm ?? '');
        $last = static fn (?bool $mirrored): string => (self::worked('plate', ['mirrored' => $mirrored])['notes'][2] ?? self::worked('plate', ['mirrored' => $mirrored])['notes'][1])->say->mm;
        self::assertStringStartsWith('Mirrored', $last(true));
        self::assertStringStartsWith('Angles', $last(false));
        self::assertStringStartsWith('Angles', $last(null));
        // As much as the smaller’s size: 20 and 4 across, 6 between them is enough, 3 is not.
        $codes = static fn (float $wall): array => array_column(self::worked('plate', ['slots' => null, 'holes' => [
            ['name' => 'large', 'x_mm' => 40.0, 'y_mm' => 30.0, 'diameter_mm' => 20.0],
            ['name' => 'small', 'x_mm' => 52.0 + $wall, 'y_mm' => 30.0, 'diameter_mm' => 4.0],
        ]])['notes'], 'code');
        self::assertNotContains('thin-between', $codes(6.0));
        self::assertContains('thin-between', $codes(3.0));
    }

    /** Sixty drillings are taken, one more is not. */
    public function test_how_many_drillings(): void
    {
        $drillings = static fn (int $n): array => array_map(static fn (int $i): array => ['name' => "d{$i}", 'from' => [1.0 + $i, 10.0, 0.0], 'to' => [1.0 + $i, 10.0, 5.0], 'diameter_mm' => 0.5], range(1, $n));
        self::assertCount(60, self::worked('ports', ['drillings' => $drillings(60)])['walls']);
        $this->expectExceptionMessage('more than 60');
        self::worked('ports', ['drillings' => $drillings(61)]);
    }

    /** Tapered either way is tapered: 0.03 off over a limit of 0.02. */
    public function test_tapered_either_way(): void
    {
        foreach ([1, -1] as $way) {
            $out = Sums::run('run-out', ['near_mm' => [0.0, 0.0, 0.0, 0.0], 'far_mm' => array_fill(0, 4, 0.03 * $way), 'apart_mm' => 50.0, 'limit_mm' => 0.02]);
            self::assertNotSame([], array_filter($out['notes'], static fn (Note $n): bool => $n->code === 'not-true' && str_contains($n->say->mm, 'tapered')), (string) $way);
        }
    }

    /** What the shop’s lathe knows is taken from it. */
    public function test_what_the_shop_knows(): void
    {
        self::assertArrayHasKey('spindle_mm', Words::shop('lathe-reach'));
        self::assertSame([], Words::shop('taper'));
    }

    /** What is off the other way tilts the other way; how much in a metre has no sign. */
    public function test_a_line_of_bores_off_either_way(): void
    {
        $up = self::worked('bore-line', ['a_mm' => 0.1, 'b_mm' => 0.3, 'distance_mm' => 400.0, 'turned_a_mm' => null, 'turned_b_mm' => null]);
        $down = self::worked('bore-line', ['a_mm' => -0.1, 'b_mm' => -0.3, 'distance_mm' => 400.0, 'turned_a_mm' => null, 'turned_b_mm' => null]);
        self::assertEqualsWithDelta(0.0, $up['tilt'] + $down['tilt'], 1e-12);
        self::assertNotEqualsWithDelta(0.0, $up['tilt'], 1e-6);
        foreach ([$up, $down] as $line) {
            self::assertMatchesRegularExpression('/: '.number_format(abs($up['tilt']) * 1000, 3).' mm in a metre/', $line['says']->mm);
        }
    }

    /** 800 points are 160, 300 are 60.4: 0.2 and 0.20133 a point, 0.67 of 100 apart by the larger. One length alone cannot disagree. */
    public function test_what_known_lengths_disagree(): void
    {
        self::assertEqualsWithDelta(0.665, self::worked('from-picture')['disagree_percent'], 0.005);
        self::assertNull(self::worked('from-picture', ['known' => [Sums::named('from-picture')->example()['known'][0]]])['disagree_percent']);
    }

    public function test_what_a_clean_up_shows(): void
    {
        foreach ([[true, 60.0, 'outside'], [false, 40.0, 'bore']] as [$outside, $raw, $word]) {
            $drawing = self::worked('clean-up', ['outside' => $outside, 'raw_mm' => $raw])['picture'];
            self::assertInstanceOf(Drawing::class, $drawing);
            self::assertStringContainsString($word, $drawing->says->mm);
        }
    }
}

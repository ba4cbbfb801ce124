<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Measure\Cooling;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\TestCase;

final class CoolingTest extends TestCase
{
    private static function steel(): Material
    {
        return new Material('steel', 'steel', 205, 0.29, 11.7e-6, 350, 420, false, 7870, 480, conductivityWmK: 51);
    }

    /**
     * τ = ρ c V / (h A) worked by hand: 36 × 60 mm steel, V/A = 36·60/(2·36 + 4·60) = 6.923 mm; 7870 · 480 · 0.006923 /
     * 10 = 2615 s.
     */
    public function test_time_constant(): void
    {
        $out = Sums::run('cooling', Sums::named('cooling')->example());
        self::assertEqualsWithDelta(2615.3, $out['time_constant_s'], 0.1);
        // ln(11.7e-6 · 36 · 25 / 0.002) = ln 5.265 = 1.6611
        self::assertEqualsWithDelta(2615.3 * 1.66108, $out['wait_s'], 1.0);
    }

    /** After one time constant a lump has lost all but 1/e of its excess (Newton's law of cooling). */
    public function test_it_agrees_with_newtons_law(): void
    {
        [$start, $room, $size, $limit] = [60.0, 18.0, 50.0, 0.001];
        $c = Cooling::of($start, $room, self::steel(), 1e5, 1e4, $size, $limit);
        // Integrate dT/dt = −(T − T_room)/τ in small steps until the size is within the limit.
        $t = 0.0;
        $temperature = $start;
        $dt = $c->timeConstantS / 20000;
        while (11.7e-6 * $size * ($temperature - $room) > $limit) {
            $temperature -= (($temperature - $room) / $c->timeConstantS) * $dt;
            $t += $dt;
        }
        self::assertEqualsWithDelta($t, $c->waitS, 0.001 * $t);
    }

    public function test_no_wait_when_it_is_near_enough(): void
    {
        self::assertEqualsWithDelta(0.0, Cooling::of(20.5, 20, self::steel(), 1e5, 1e4, 30, 0.002)->waitS, 1e-12);
        self::assertGreaterThan(
            0,
            Cooling::of(-18, 20, self::steel(), 1e5, 1e4, 30, 0.002)->waitS,
            'a frozen part warms up',
        );
    }

    public function test_properties(): void
    {
        $wait = static fn (float $t, float $h, float $limit): float => Cooling::of(
            $t,
            20,
            self::steel(),
            1e5,
            1e4,
            40,
            $limit,
            $h,
        )->waitS;
        self::assertGreaterThan($wait(40, 10, 0.002), $wait(80, 10, 0.002));
        self::assertGreaterThan($wait(40, 25, 0.002), $wait(40, 10, 0.002));
        self::assertGreaterThan($wait(40, 10, 0.004), $wait(40, 10, 0.002));
    }

    /** Bi = h V / (A k) over 0.1: the lump is too coarse (Incropera). */
    public function test_a_thick_part_is_said_to_be_one(): void
    {
        $codes = static fn (Cooling $c): array => array_map(static fn (Note $n): string => $n->code, $c->notes);
        self::assertContains('lump-coarse', $codes(Cooling::of(60, 20, self::steel(), 3e8, 3e6, 300, 0.002, 60)));
        self::assertNotContains('lump-coarse', $codes(Cooling::of(60, 20, self::steel(), 1e5, 1e4, 30, 0.002)));
        // 51 W/mK: h V/A is 5.1 at a tenth: 51 mm under 102 W/m²K is 0.102, under 98 it is 0.098.
        self::assertContains('lump-coarse', $codes(Cooling::of(60, 20, self::steel(), 5.1e6, 1e5, 300, 0.002, 102)));
        self::assertNotContains('lump-coarse', $codes(Cooling::of(60, 20, self::steel(), 5.1e6, 1e5, 300, 0.002, 98)));
    }

    public function test_bad_input_names_its_field(): void
    {
        $example = Sums::named('cooling')->example();
        foreach (
            [
                'size_mm' => ['size_mm' => 0],
                'limit_mm' => ['limit_mm' => -1],
                'h' => ['h' => 0],
                'diameter_mm' => ['diameter_mm' => 0],
                'part_c' => ['part_c' => -400],
                'material.alpha_per_k' => ['material' => ['density_kg_m3' => 7000, 'specific_heat_j_kgk' => 400]],
                'area_mm2' => ['volume_mm3' => 5],
            ] as $field => $change
        ) {
            try {
                Sums::run('cooling', [...$example, ...$change]);
                self::fail("{$field} should have been refused");
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }
}

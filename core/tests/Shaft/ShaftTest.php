<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Shaft;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Shaft\Balance;
use Oldpart\Core\Shaft\BentShaft;
use Oldpart\Core\Shaft\Overhang;
use Oldpart\Core\Shaft\RunOut;
use Oldpart\Core\Shaft\Straightening;
use PHPUnit\Framework\TestCase;

/** Bent shafts, balance and overhang: closed forms by hand, ISO 21940-11. */
final class ShaftTest extends TestCase
{
    /** @return list<array{at: float, tir: float, high: float}> */
    private static function bent(float $kink, float $slope, float $plane, float $tilt, float ...$at): array
    {
        $stations = [];
        foreach ($at as $s) {
            $x = $tilt * $s + $slope * max(0.0, $s - $kink) * cos(deg2rad($plane));
            $y = $slope * max(0.0, $s - $kink) * sin(deg2rad($plane));
            $stations[] = ['at' => $s, 'tir' => 2 * hypot($x, $y), 'high' => rad2deg(atan2($y, $x))];
        }

        return $stations;
    }

    /** Two straight lines that meet at 137, 0.002 a millimetre, toward 40°: found again, also where it was held tilted. */
    public function test_the_kink_is_found(): void
    {
        foreach ([0.0, 0.0004] as $tilt) {
            $bend = BentShaft::of(self::bent(137.0, 0.002, 40.0, $tilt, 0.0, 50.0, 100.0, 150.0, 200.0, 300.0));
            self::assertEqualsWithDelta(137.0, $bend->kinkAtMm, 1e-3);
            self::assertEqualsWithDelta(rad2deg(atan(0.002)), $bend->angleDeg, 1e-6);
            self::assertEqualsWithDelta(40.0, $bend->planeDeg, 1e-3);
            // From the line through its ends the corner is off by slope · a b/(a + b).
            self::assertEqualsWithDelta(0.002 * 137 * 163 / 300, $bend->bowMm, 1e-5);
        }
        // Bent square to where it is read from first: nothing shows there.
        $square = BentShaft::of(self::bent(137.0, 0.002, 90.0, 0.0, 0.0, 50.0, 100.0, 150.0, 200.0, 300.0));
        self::assertEqualsWithDelta([137.0, 90.0], [$square->kinkAtMm, $square->planeDeg], 1e-3);
        $three = BentShaft::of(self::bent(100.0, 0.004, 0.0, 0.0, 0.0, 100.0, 300.0));
        self::assertSame(100.0, $three->kinkAtMm);
        self::assertEqualsWithDelta(0.004 * 100 * 200 / 300, $three->bowMm, 1e-9);
        self::assertEqualsWithDelta(0.0, BentShaft::of(self::bent(50.0, 0.0, 0.0, 0.001, 0.0, 50.0, 100.0, 150.0))->bowMm, 1e-9, 'held tilted is not bent');
    }

    /** 25 round over 400, 350 MPa: 350 · 400²/(6 · 205000 · 25) = 1.8211; π 350 25³/(8 · 400) = 5369 N; full 1.6977 times. */
    public function test_straightening(): void
    {
        $press = new Straightening(25.0, 400.0, 0.5, 205.0, 350.0);
        self::assertEqualsWithDelta(1.82114, $press->yieldsAtMm, 5e-6);
        self::assertEqualsWithDelta([1.82114, 3.09166], [$press->springbackMm->min, $press->springbackMm->max], 5e-6);
        self::assertEqualsWithDelta([2.32114, 3.59166], [$press->travelMm->min, $press->travelMm->max], 5e-6);
        self::assertEqualsWithDelta([5368.9, 9114.6], [$press->forceN->min, $press->forceN->max], 0.05);
    }

    /** ISO 21940-11, figure of grades: G 6.3 at 1500 a minute allows 40 µm, G 2.5 at 3000 8 µm; 8 kg 0.05 off are 400 g mm. */
    public function test_balance(): void
    {
        self::assertEqualsWithDelta(40.1, (new Balance(1.0, 0.0, 1500.0, 6.3))->allowedUm, 0.05);
        self::assertEqualsWithDelta(7.96, (new Balance(1.0, 0.0, 3000.0, 2.5))->allowedUm, 0.01);
        $of = new Balance(8.0, 0.05, 1450.0, 6.3);
        self::assertEqualsWithDelta(400.0, $of->unbalanceGmm, 1e-9);
        // m e ω²: 8 · 5e-5 · (151.84)² = 9.22 N.
        self::assertEqualsWithDelta(9.2226, $of->forceN, 1e-3);
        self::assertEqualsWithDelta(50 / 41.49, $of->ratio, 1e-3);
    }

    /** 200 N at 100 of a 20 bar: I 7854, 200 · 1e6/(3 · 205000 · 7854) = 0.0414; a tube of half its bore loses a sixteenth. */
    public function test_overhang(): void
    {
        $bar = new Overhang(100.0, 20.0, 0.0, 205.0, 200.0);
        self::assertEqualsWithDelta(0.041406, $bar->deflectionMm, 1e-6);
        self::assertSame(5.0, $bar->ratio);
        self::assertEqualsWithDelta(0.041406 * 16 / 15, (new Overhang(100.0, 20.0, 10.0, 205.0, 200.0))->deflectionMm, 1e-6);
        $code = static fn (float $out): ?string => (new Overhang($out, 20.0, 0.0, 205.0, 200.0))->notes()[0]->code ?? null;
        self::assertSame([null, null, 'chatters', 'chatters', 'too-far'], array_map($code, [60.0, 80.0, 81.0, 120.0, 121.0]));
    }

    /**
     * An axis 0.03 off toward 0° near the jaws and 0.05 toward 90° at 100 farther: √(0.03² + 0.05²) over 100; a tenth of
     * taper is five hundredths at each reading; an oval of 0.02 is half of it each way and takes nothing of the rest.
     */
    public function test_how_it_runs(): void
    {
        $at = static fn (float $x, float $y, float $grown, float $oval): array => [
            $x + $grown + $oval / 4, $y + $grown - $oval / 4, -$x + $grown + $oval / 4, -$y + $grown - $oval / 4,
        ];
        $run = new RunOut($at(0.03, 0.0, 0.0, 0.02), $at(0.0, 0.05, 0.05, 0.03), 100.0);
        self::assertEqualsWithDelta([0.03, 0.0, 0.05, 90.0], [$run->nearMm, $run->nearDeg, $run->farMm, $run->farDeg], 1e-9);
        self::assertEqualsWithDelta(rad2deg(atan(hypot(0.03, 0.05) / 100)), $run->leanDeg, 1e-9);
        self::assertEqualsWithDelta([0.02, 0.1], [$run->ovalMm, $run->taperMm], 1e-9);
        self::assertEqualsWithDelta(225.0, (new RunOut($at(-0.01, -0.01, 0.0, 0.0), $at(0.0, 0.0, 0.0, 0.0), 10.0))->nearDeg, 1e-9);
        $this->expectException(BadInput::class);
        new RunOut([0.0, 0.0, 0.0, 0.0], [0.0, 0.0, 0.0, 0.0], 0.0);
    }

    public function test_what_is_refused(): void
    {
        $good = ['at' => 0.0, 'tir' => 0.0, 'high' => 0.0];
        foreach (
            [
                'stations' => static fn () => BentShaft::of([$good, [...$good, 'at' => 1.0]]),
                'stations.2.at_mm' => static fn () => BentShaft::of([$good, [...$good, 'at' => 1.0], [...$good, 'at' => 1.0]]),
                'stations.1.tir_mm' => static fn () => BentShaft::of([$good, [...$good, 'at' => 1.0, 'tir' => -0.1], [...$good, 'at' => 2.0]]),
                'span_mm' => static fn () => new Straightening(25.0, 0.0, 0.5, 205.0, 350.0),
                'bow_mm' => static fn () => new Straightening(25.0, 400.0, -0.5, 205.0, 350.0),
                'speed_rpm' => static fn () => new Balance(1.0, 0.0, 0.0, 6.3),
                'offset_mm' => static fn () => new Balance(1.0, -1.0, 100.0, 6.3),
                'bore_mm' => static fn () => new Overhang(100.0, 20.0, 20.0, 205.0, 200.0),
                'stick_out_mm' => static fn () => new Overhang(0.0, 20.0, 0.0, 205.0, 200.0),
            ] as $field => $make
        ) {
            try {
                $make();
                self::fail("{$field} was taken");
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }
}

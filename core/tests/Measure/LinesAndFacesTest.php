<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Measure\BoreLine;
use Oldpart\Core\Measure\Parallel;
use PHPUnit\Framework\TestCase;

/** Faces that are not parallel, and bores that are not on one line: worked by hand. */
final class LinesAndFacesTest extends TestCase
{
    /**
     * @param  array<int, float>  $at  mm by degrees
     * @return list<array{deg: float, mm: float}>
     */
    private static function round(array $at): array
    {
        return array_map(
            static fn (int $deg, float $mm): array => ['deg' => (float) $deg, 'mm' => $mm],
            array_keys($at),
            $at,
        );
    }

    /**
     * A wedge of 0.06 across, thickest at 30°: 20 + 0.03 cos(θ − 30°). At four places it comes back, flat; and facing
     * takes what lies between the thickest and the thinnest read.
     */
    public function test_a_wedge_is_found(): void
    {
        $at = [];
        foreach ([0, 90, 180, 270] as $deg) {
            $at[$deg] = 20 + 0.03 * cos(deg2rad($deg - 30));
        }
        $face = Parallel::of(self::round($at));
        self::assertNotNull($face);
        self::assertEqualsWithDelta([0.06, 30.0, 0.0], [$face->wedgeMm, $face->thickestDeg, $face->offFlatMm], 1e-9);
        self::assertEqualsWithDelta(0.06 * cos(deg2rad(30)), $face->cleanUpMm, 1e-9);
        // By hand: 10.02, 10.00, 10.00 and 10.02 at 0, 90, 180, 270: a = 0.01, b = −0.01, so 0.0283 at 315°; the
        // residuals are nothing.
        $face = Parallel::of(self::round([0 => 10.02, 90 => 10.0, 180 => 10.0, 270 => 10.02]));
        self::assertEqualsWithDelta(
            [0.02 * M_SQRT2, 315.0, 0.0],
            [$face?->wedgeMm, $face?->thickestDeg, $face?->offFlatMm],
            1e-9,
        );
        // Uneven angles, by hand: 30 + 0.03 cos θ + 0.02 sin θ at 0, 40, 150 and 260 is 2 √(0.03² + 0.02²) across,
        // thickest at 33.7°; −100° is 260°.
        $slanted = static fn (float $deg): array => [
            'deg' => $deg,
            'mm' => 30 + 0.03 * cos(deg2rad($deg)) + 0.02 * sin(deg2rad($deg)),
        ];
        $face = Parallel::of([$slanted(0), $slanted(40), $slanted(150), $slanted(-100)]);
        self::assertEqualsWithDelta(
            [0.072111, 33.690068, 0.0],
            [$face?->wedgeMm, $face?->thickestDeg, $face?->offFlatMm],
            1e-6,
        );
        self::assertNull(Parallel::of([$slanted(0), $slanted(180), $slanted(-180)]), '−180° and 180° are one place');
        // Saddle: 0.01 up at 0 and 180, down at 90 and 270: no wedge, 0.02 off flat.
        $face = Parallel::of(self::round([0 => 10.01, 90 => 9.99, 180 => 10.01, 270 => 9.99]));
        self::assertEqualsWithDelta([0.0, 0.02, 0.02], [$face?->wedgeMm, $face?->offFlatMm, $face?->cleanUpMm], 1e-9);
    }

    /** Three places always lie on a plane; two, or all on one side, tell nothing of the rest. */
    public function test_what_the_places_can_not_show(): void
    {
        self::assertNull(Parallel::of(self::round([0 => 10.0, 120 => 10.01, 240 => 10.02]))?->offFlatMm);
        self::assertNotNull(Parallel::of(self::round([0 => 10.0, 120 => 10.01, 240 => 10.02])));
        self::assertNull(Parallel::of(self::round([0 => 10.0, 180 => 10.02])));
        self::assertNull(Parallel::of(self::round([0 => 10.0, 30 => 10.01, 60 => 10.02, 90 => 10.0])));
        // Given over a full turn and again, the same angle is one place.
        self::assertNull(
            Parallel::of([
                ['deg' => 0.0, 'mm' => 10.0],
                ['deg' => 360.0, 'mm' => 10.0],
                ['deg' => 180.0, 'mm' => 10.0],
            ]),
        );
    }

    /**
     * By hand: swings of 0.02 and 0.10 with the bar one way, 0.00 and 0.08 turned: offsets 0.005 and 0.045, 0.04 in 400
     * or 0.1 mm in a metre; over feet 250 apart 0.025 of shim;
     * the bar is (0.02 − 0.00)/4 = 0.005 out.
     */
    public function test_two_bores_on_one_line(): void
    {
        $line = BoreLine::plane(400, 0.02, 0.1, 0.0, 0.08, 250);
        self::assertEqualsWithDelta([0.005, 0.045], $line->offMm, 1e-12);
        self::assertEqualsWithDelta([1e-4, 0.025, 0.005], [$line->tilt, $line->shimMm, $line->barOutMm], 1e-12);
        // An indicator's whole reading is twice the offset; not turned, what the bar is out stays in it and is said.
        $once = BoreLine::plane(400, 0.02, 0.1);
        self::assertEqualsWithDelta([0.01, 0.05], $once->offMm, 1e-12);
        self::assertSame(['bar-not-turned'], array_column($once->notes(), 'code'));
        self::assertSame(['bar-out'], array_column($line->notes(), 'code'));
        $other = BoreLine::plane(400, -0.02, -0.1, feetMm: 250)->working()->steps;
        self::assertSame(
            ['−0.010 mm, −0.050 mm', '−0.025 mm'],
            [$other[0]->numbers->mm, $other[2]->numbers->mm],
            'one minus sign each',
        );
    }

    /**
     * By hand: a steel bar of 30 over 1000: w = 7.85e-6 · 9.81 · 706.86 = 0.05443 N/mm, I = 39761: 5 · 0.05443 · 1e12 /
     * (384 · 2.05e5 · 39761) = 0.0869 mm, E and density as the material table has them; sixteen times that over 2000.
     */
    public function test_a_bar_hangs_through(): void
    {
        self::assertEqualsWithDelta(0.0869, BoreLine::sagMm(30, 1000), 1e-4);
        self::assertEqualsWithDelta(16 * BoreLine::sagMm(30, 1000), BoreLine::sagMm(30, 2000), 1e-9);
        self::assertEqualsWithDelta(BoreLine::sagMm(30, 1000) / 4, BoreLine::sagMm(60, 1000), 1e-9);
    }

    public function test_refusals(): void
    {
        foreach (
            [
                'distance_mm' => static fn (): BoreLine => BoreLine::plane(0, 0, 0),
                'feet_mm' => static fn (): BoreLine => BoreLine::plane(1, 0, 0, feetMm: -1),
                'turned_b_mm' => static fn (): BoreLine => BoreLine::plane(1, 0, 0, 0.0),
                'bar_mm' => static fn (): float => BoreLine::sagMm(0, 100),
            ] as $field => $make
        ) {
            try {
                $make();
                self::fail($field);
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }

    /** The bar's run-out is the larger of what it shows at the two places: (0.06 − 0.02)/4 there, (0.10 − 0.08)/4 here. */
    public function test_the_bar_at_either_place(): void
    {
        self::assertEqualsWithDelta(0.01, BoreLine::plane(400, 0.06, 0.10, 0.02, 0.08)->barOutMm, 1e-12);
        self::assertEqualsWithDelta(0.01, BoreLine::plane(400, 0.10, 0.02, 0.08, 0.06)->barOutMm, 1e-12);
    }
}

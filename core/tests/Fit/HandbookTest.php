<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Fit\Iso286;
use Oldpart\Core\Fit\NamedFit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Worked examples and printed fit tables of named handbooks, typed from memory of their pages. */
final class HandbookTest extends TestCase
{
    /**
     * ANSI B4.2-1978, tables of preferred hole basis fits, as Machinery's Handbook prints them: the largest hole, then
     * largest and smallest shaft, for loose running to force.
     *
     * @return iterable<string, array{float, string, float, float, float}>
     */
    public static function preferredFits(): iterable
    {
        $fits = ['H11/c11', 'H9/d9', 'H8/f7', 'H7/g6', 'H7/h6', 'H7/k6', 'H7/n6', 'H7/p6', 'H7/s6', 'H7/u6'];
        $rows = [
            10 => [
                [10.09, 9.92, 9.83],
                [10.036, 9.96, 9.924],
                [10.022, 9.987, 9.972],
                [10.015, 9.995, 9.986],
                [10.015, 10.0, 9.991],
                [10.015, 10.01, 10.001],
                [10.015, 10.019, 10.01],
                [10.015, 10.024, 10.015],
                [10.015, 10.032, 10.023],
                [10.015, 10.037, 10.028],
            ],
            25 => [
                [25.13, 24.89, 24.76],
                [25.052, 24.935, 24.883],
                [25.033, 24.98, 24.959],
                [25.021, 24.993, 24.98],
                [25.021, 25.0, 24.987],
                [25.021, 25.015, 25.002],
                [25.021, 25.028, 25.015],
                [25.021, 25.035, 25.022],
                [25.021, 25.048, 25.035],
                [25.021, 25.061, 25.048],
            ],
            40 => [
                [40.16, 39.88, 39.72],
                [40.062, 39.92, 39.858],
                [40.039, 39.975, 39.95],
                [40.025, 39.991, 39.975],
                [40.025, 40.0, 39.984],
                [40.025, 40.018, 40.002],
                [40.025, 40.033, 40.017],
                [40.025, 40.042, 40.026],
                [40.025, 40.059, 40.043],
                [40.025, 40.076, 40.06],
            ],
            100 => [
                [100.22, 99.83, 99.61],
                [100.087, 99.88, 99.793],
                [100.054, 99.964, 99.929],
                [100.035, 99.988, 99.966],
                [100.035, 100.0, 99.978],
                [100.035, 100.025, 100.003],
                [100.035, 100.045, 100.023],
                [100.035, 100.059, 100.037],
                [100.035, 100.093, 100.071],
                [100.035, 100.146, 100.124],
            ],
            200 => [
                [200.29, 199.76, 199.47],
                [200.115, 199.83, 199.715],
                [200.072, 199.95, 199.904],
                [200.046, 199.985, 199.956],
                [200.046, 200.0, 199.971],
                [200.046, 200.033, 200.004],
                [200.046, 200.06, 200.031],
                [200.046, 200.079, 200.05],
                [200.046, 200.151, 200.122],
                [200.046, 200.265, 200.236],
            ],
        ];
        foreach ($rows as $size => $limits) {
            foreach ($fits as $i => $fit) {
                yield "{$size} {$fit}" => [(float) $size, $fit, ...$limits[$i]];
            }
        }
    }

    #[DataProvider('preferredFits')]
    public function test_preferred_fits_as_printed(
        float $size,
        string $fit,
        float $hole,
        float $shaftMost,
        float $shaftLeast,
    ): void {
        $named = NamedFit::named($size, $fit);
        self::assertEqualsWithDelta(
            [$hole, $size, $shaftMost, $shaftLeast],
            [
                $size + $named->hole->upperMm,
                $size + $named->hole->lowerMm,
                $size + $named->shaft->upperMm,
                $size + $named->shaft->lowerMm,
            ],
            1e-9,
        );
    }

    /**
     * Shigley's Mechanical Engineering Design, chapter on shafts, limits and fits: a loose running fit at 34 mm; hole
     * 34.000 to 34.160, shaft 33.720 to 33.880.
     */
    public function test_shigley_loose_running_fit(): void
    {
        $fit = NamedFit::named(34.0, 'H11/c11');
        self::assertEqualsWithDelta(
            [0.16, 0.0, -0.12, -0.28],
            [$fit->hole->upperMm, $fit->hole->lowerMm, $fit->shaft->upperMm, $fit->shaft->lowerMm],
            1e-9,
        );
    }

    /**
     * Shigley, same chapter: a medium drive fit (H7/s6) of the step to 50 mm, worked there in inches as ΔD 0.0010, Δd
     * 0.0006, δF 0.0017: hole
     * +0.0010/0, shaft +0.0023/+0.0017 in, rounded from the metric table.
     */
    public function test_shigley_medium_drive_fit(): void
    {
        $fit = NamedFit::named(50.0, 'H7/s6');
        $inch = static fn (float $mm): float => round($mm / 25.4, 4);
        self::assertSame(
            [0.001, 0.0, 0.0023, 0.0017],
            [
                $inch($fit->hole->upperMm),
                $inch($fit->hole->lowerMm),
                $inch($fit->shaft->upperMm),
                $inch($fit->shaft->lowerMm),
            ],
        );
    }

    /**
     * Bearing makers' catalogues print the fits of their rings with common seats; ring 0/−10 and 0/−13 µm at 25 and 52
     * mm (ISO 492): 25 k5 is 2 to 21 µm tight, 52 H7 0 to 43 µm clear.
     */
    public function test_bearing_seats_as_catalogues_print_them(): void
    {
        $k5 = Iso286::shaft(25.0, 'k5');
        self::assertEqualsWithDelta([-0.021, -0.002], [-0.01 - $k5->upperMm, 0.0 - $k5->lowerMm], 1e-9);
        $h7 = Iso286::hole(52.0, 'H7');
        self::assertEqualsWithDelta([0.0, 0.043], [$h7->lowerMm, $h7->upperMm + 0.013], 1e-9);
    }
}

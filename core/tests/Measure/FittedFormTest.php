<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Measure\FittedForm;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\LikelyForm;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Measure\Warmth;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Form told apart from what the gauge scatters. */
final class FittedFormTest extends TestCase
{
    private static function tool(float $repeats = 0.002, float $mpe = 0.0, float $digit = 0.0): Instrument
    {
        return new Instrument(resolutionMm: $digit, mpeMm: $mpe, repeatabilityMm: $repeats, code: 'gauge');
    }

    /** @param  list<array{float|int|string, float|int|string, float}>  $readings  station, angle, mm */
    private static function found(
        array $readings,
        ?Instrument $tool = null,
        SurfaceKind $kind = SurfaceKind::Bore,
    ): FoundSize {
        return (new Readings(
            $kind,
            array_map(
                static fn (array $r): Reading => new Reading(
                    valueMm: $r[2],
                    station: (string) $r[0],
                    angle: (string) $r[1],
                ),
                $readings,
            ),
            $tool ?? self::tool(),
            new Warmth(halfWidthK: 0.0),
        ))->found();
    }

    /** @return iterable<array{array<string, mixed>}> core/tests/reference/form_python.py: Householder's QR */
    public static function reference(): iterable
    {
        $json = json_decode((string) file_get_contents(__DIR__.'/../reference/form_python.json'), true, 32);
        foreach ($json['forms'] as $form) {
            yield [$form];
        }
    }

    /** @param  array<string, mixed>  $form */
    #[DataProvider('reference')]
    public function test_agrees_with_least_squares_done_otherwise(array $form): void
    {
        $bore = self::found($form['readings'])->fitted;
        self::assertNotNull($bore);
        self::assertTrue($bore->describes);
        self::assertEqualsWithDelta(
            [$form['mean'], $form['taper'], $form['ovality'], $form['at'], $form['smallest'], $form['largest']],
            [
                $bore->meanMm, $bore->taperMm, $bore->ovalityMm, $bore->ovalityAtDeg, $bore->matingMm, $bore->looseMm,
            ],
            1e-7,
        );
        $shaft = self::found($form['readings'], null, SurfaceKind::Shaft)->fitted;
        self::assertEqualsWithDelta(
            [$form['largest'], $form['smallest']],
            [$shaft?->matingMm, $shaft?->looseMm],
            1e-7,
        );
        // Between the residuals and the figure, by how much each counts: the figure as two readings.
        $free = count($form['readings']) - (count(array_unique(array_column($form['readings'], 1))) === 2 ? 3 : 4);
        $noise = sqrt(($free * $form['residual'] ** 2 + 2 * 0.002 ** 2) / ($free + 2));
        self::assertEqualsWithDelta($noise, $bore->noiseMm, 1e-9);
    }

    /**
     * Three stations by four ways round, no gauge error: variances of a balanced design by hand, σ²/12 for the mean,
     * σ²/8 for a taper over −½, 0, ½ and 2σ²/12 for the ovality's size.
     */
    public function test_doubt_of_a_balanced_design_by_hand(): void
    {
        $readings = [];
        foreach ([1, 2, 3] as $i => $station) {
            foreach ([0, 45, 90, 135] as $j => $angle) {
                // Residuals of ±1 µm that no taper and no ovality explains.
                $off = ($i + $j) % 2 === 0 ? 0.001 : -0.001;
                $z = ($i - 1) / 2;
                $readings[] = [$station, $angle, 30 + 0.04 * $z + 0.03 * cos(2 * deg2rad($angle)) + $off];
            }
        }
        $form = self::found($readings)->fitted;
        self::assertNotNull($form);
        self::assertEqualsWithDelta([0.06, 0.0, 0.04], [$form->ovalityMm, $form->ovalityAtDeg, $form->taperMm], 1e-9);
        self::assertEqualsWithDelta([29.95, 30.05], [$form->matingMm, $form->looseMm], 1e-9);
        // χ² of twelve residuals is 12/4 = 3 of the figure's variance; eight free and the figure's two.
        $variance = (0.002 ** 2 * (3 + 2)) / (8 + 2);
        self::assertEqualsWithDelta(sqrt($variance), $form->noiseMm, 1e-9);
        // k for ten degrees of freedom: 2.228 (JCGM 100:2008, table G.2).
        self::assertEqualsWithDelta(2.228 * sqrt($variance * (1 / 12 + 1 / 8 + 1 / 6)), $form->u95Mm, 2e-6);
        self::assertEqualsWithDelta(2.228 * sqrt($variance / 12), $form->u95MeanMm, 1e-6);
    }

    /** Of bores that are round and straight, fewer than one in twenty is said to have a form. */
    public function test_noise_alone_is_not_called_form(): void
    {
        $random = new Randomizer(new Mt19937(1));
        foreach ([[3, [0, 45, 90, 135]], [3, [0, 90]], [1, [0, 22.5, 45, 67.5, 90, 112.5, 135, 157.5]]] as [$n, $angles]) {
            $shown = 0;
            for ($i = 0; $i < 600; $i++) {
                $readings = [];
                for ($s = 1; $s <= $n; $s++) {
                    foreach ($angles as $angle) {
                        $readings[] = [$s, $angle, 30 + 0.008 * self::normal($random)];
                    }
                }
                $form = self::found($readings, self::tool(0.008))->fitted;
                $shown += (int) (($form->ovalityMm ?? 0) > 0 || ($form->taperMm ?? 0) != 0);
            }
            self::assertLessThanOrEqual(36, $shown, "{$n} stations"); // one in twenty, and what 600 scatter by
        }
    }

    private static function normal(Randomizer $random): float
    {
        return sqrt(-2 * log($random->getInt(1, 1_000_000) / 1_000_000))
            * cos((2 * M_PI * $random->getInt(0, 999_999)) / 1_000_000);
    }

    /** U95 of the smallest size holds the truth in about 95 of 100, where the smallest reading does not. */
    public function test_the_smallest_size_of_an_oval_bore_is_held(): void
    {
        $random = new Randomizer(new Mt19937(3));
        [$held, $raw] = [0, 0];
        for ($i = 0; $i < 800; $i++) {
            $at = $random->getInt(0, 179);
            $readings = [];
            foreach ([1, 2, 3] as $station) {
                foreach ([0, 45, 90, 135] as $angle) {
                    $readings[] = [
                        $station,
                        $angle,
                        30 + 0.02 * cos(2 * deg2rad($angle - $at)) + 0.01 * self::normal($random),
                    ];
                }
            }
            $found = self::found($readings, self::tool(0.01));
            $held += (int) (abs($found->smallestMm() - 29.98) <= $found->sureMm());
            $raw += (int) (abs($found->matingMm - 29.98) <= $found->u95Mm);
        }
        self::assertGreaterThan(0.93, $held / 800);
        self::assertLessThan($held, $raw);
    }

    /** Where there is too little to fit, nothing is: each says which. */
    public function test_too_little_to_fit(): void
    {
        $grid = static fn (array $stations, array $angles): array => array_merge(
            ...array_map(
                static fn ($s): array => array_map(static fn ($a): array => [$s, $a, 30.0 + 0.001 * $s], $angles),
                $stations,
            ),
        );
        self::assertNull(self::found($grid([1], [0, 90]))->fitted, 'two spots');
        self::assertNull(self::found($grid([1, 2], [0, 90]))->fitted, 'four spots');
        self::assertNull(self::found($grid([1, 2, 3], [0, 45]))->fitted, 'two angles not square to each other');
        self::assertNull(self::found($grid([1, 2, 3, 4, 5, 6], ['top', 'side']))->fitted, 'angles without a number');
        self::assertNull(
            self::found($grid([1, 2, 3, 4, 5, 6], [0]), null, SurfaceKind::Length)->fitted,
            'a length has no diameter',
        );
        self::assertNull(
            self::found(array_merge($grid([1, 2], [0, 90]), $grid([1, 2], [0, 90])))->fitted,
            'four spots read twice',
        );
        $one = self::found($grid([1], [0, 30, 60, 90, 120, 150]))->fitted;
        self::assertNull($one?->taperMm, 'one station');
        self::assertNotNull($one?->ovalityMm);
        $line = self::found($grid([1, 2, 3, 4, 5, 6], [0]))->fitted;
        self::assertNull($line?->ovalityMm, 'one angle');
        self::assertNotNull($line?->taperMm);
        $two = self::found($grid([1, 2, 3], [10, 100]))->fitted;
        self::assertTrue($two?->twoAngles);
        self::assertContains('two-angles', array_column($two->notes(), 'code'));
    }

    /** Stations go by their numbers where they have any: the third is three times as far along as the second. */
    public function test_stations_along_by_number(): void
    {
        $readings = [];
        foreach ([0, 10, 30, 60] as $along) {
            foreach ([0, 90] as $angle) {
                $readings[] = [$along, $angle, 25 + 0.001 * $along];
            }
        }
        $form = self::found($readings, self::tool(0.0002))->fitted;
        self::assertEqualsWithDelta(0.06, $form?->taperMm, 1e-9);
        self::assertEqualsWithDelta([25.0, 25.06], [$form?->matingMm, $form?->looseMm], 1e-9);
    }

    /** A bell-mouth of a tenth under a gauge good to two hundredths of that is no taper: the raw extremes count. */
    public function test_another_form_is_not_fitted_away(): void
    {
        $readings = [];
        foreach ([1 => 0.1, 2 => 0.0, 3 => 0.0, 4 => 0.1] as $station => $off) {
            foreach ([0, 45, 90, 135] as $angle) {
                $readings[] = [$station, $angle, 30 + $off];
            }
        }
        $found = self::found($readings);
        self::assertFalse($found->fitted?->describes);
        self::assertNull($found->form());
        self::assertEqualsWithDelta([30.0, 30.1], [$found->smallestMm(), $found->largestMm()], 1e-9);
        self::assertSame($found->u95Mm, $found->sureMm());
        self::assertContains('other-form', array_column($found->notes(), 'code'));
    }

    /** The gauge's own shift does not average out, however many readings there are (JCGM 100:2008, 4.3 and F.1.2). */
    public function test_the_shift_stays(): void
    {
        $readings = [];
        for ($i = 0; $i < 40; $i++) {
            $readings[] = [$i % 4, (intdiv($i, 4) * 45) % 180, 30 + 0.001 * (-1) ** $i];
        }
        $form = self::found($readings, self::tool(0.002, 0.009))->fitted;
        self::assertGreaterThan((2 * 0.009) / sqrt(3), $form?->u95Mm);
        self::assertLessThan(1.1 * ((2 * 0.009) / sqrt(3)), $form?->u95MeanMm);
    }

    /**
     * Few spots say for a chance how much of their spread is likely the gauge's; what is promised goes by the extremes.
     */
    public function test_few_spots_for_a_chance(): void
    {
        $tool = self::tool(0.01);
        $two = self::found([[1, 0, 30.0], [1, 90, 30.01]], $tool);
        self::assertNull($two->fitted);
        self::assertNull($two->form());
        self::assertSame([30.0, 30.01], [$two->smallestMm(), $two->largestMm()]);
        $like = $two->likeliest();
        self::assertEqualsWithDelta(30.005, $like->meanMm, 1e-9);
        self::assertGreaterThan(30.0, $like->matingMm, 'most of the spread is likely the gauge’s');
        self::assertLessThan(30.005, $like->matingMm);
        self::assertContains('form-allowed', array_column($two->notes(), 'code'));
        // Clearly oval: that is form with few spots too, once the gauge is sure enough.
        $oval = self::found([[1, 0, 30.0], [1, 45, 30.01], [1, 90, 30.02], [1, 135, 30.01]], self::tool(0.0001));
        // A taper nobody looked for comes to half its usual size, on average, at either end.
        $tapered = (LikelyForm::TAPER_MM * sqrt(2 / M_PI)) / 2;
        self::assertEqualsWithDelta(
            [30.0 - $tapered, 30.02 + $tapered],
            [$oval->likeliest()->matingMm, $oval->likeliest()->looseMm],
            1e-4,
        );
        // A length has no form of that kind.
        $length = self::found([[1, 0, 30.0]], $tool, SurfaceKind::Length);
        self::assertSame($length, $length->likeliest());
        self::assertNotContains('form-allowed', array_column($length->notes(), 'code'));
    }

    /**
     * One reading alone, by hand: its scatter, the ovality there (half of what is allowed for it, squared, since the
     * angle is known) and, for the two ends, what is usual of form.
     */
    public function test_one_reading_by_hand(): void
    {
        $one = self::found([[1, 0, 30.0]], self::tool(0.01))->likeliest();
        self::assertInstanceOf(LikelyForm::class, $one);
        $oval = LikelyForm::OVAL_MM ** 2 / 2;
        $mean = 0.01 ** 2 + $oval;
        self::assertEqualsWithDelta(sqrt($mean), $one->u95MeanMm / $one->kMean, 1e-6);
        // Out of round by two normal parts across each other is as far as Rayleigh's distribution says; a taper either
        // way as far as half a normal one does.
        $half = LikelyForm::OVAL_MM * sqrt(M_PI / 4) + (LikelyForm::TAPER_MM / sqrt(2 * M_PI));
        $ends = $mean + $oval * (2 - M_PI / 2) + (LikelyForm::TAPER_MM ** 2 / 4) * (1 - 2 / M_PI);
        self::assertEqualsWithDelta(sqrt($ends), $one->u95Mm / $one->k, 1e-6);
        self::assertEqualsWithDelta([30.0 - $half, 30.0 + $half], [$one->matingMm, $one->looseMm], 1e-6);
    }

    /** More places never make it less sure, and nor does a sixth, from which on the form is fitted. */
    public function test_more_readings_are_surer(): void
    {
        $spots = [];
        foreach ([1, 2] as $station) {
            foreach ([0, 45, 90, 135] as $angle) {
                $spots[] = [$station, $angle, 30.0];
            }
        }
        $last = INF;
        foreach ([1, 2, 3, 4, 5, 6, 7, 8] as $n) {
            $like = self::found(array_slice($spots, 0, $n), self::tool(0.01, 0.004))->likeliest();
            self::assertLessThan(1.01 * $last, $like->u95Mm / $like->k, "{$n} spots");
            $last = $like->u95Mm / $like->k;
        }
    }

    /** A taper either way makes the ends as far apart; few spots show it as much as the gauge allows. */
    public function test_a_taper_either_way(): void
    {
        foreach ([1, -1] as $sign) {
            $few = self::found([[1, 0, 30.0], [1, 90, 30.0], [2, 0, 30.0 + 0.02 * $sign], [2, 90, 30.0 + 0.02 * $sign]], self::tool(0.0001));
            // Across 45° nothing was read: what is usual stays there.
            $open = abs($few->likeliest()->looseMm - $few->likeliest()->matingMm) - 0.02;
            self::assertGreaterThan(0.0, $open);
            self::assertLessThan(2 * LikelyForm::OVAL_MM, $open);
            self::assertLessThan($few->likeliest()->looseMm, $few->likeliest()->matingMm);
        }
        $notes = self::found([[1, 0, 30.0], [1, 90, 30.0], [2, 0, 30.0], [2, 90, 30.0], [3, 0, 30.0], [3, 90, 30.0]])->notes();
        self::assertContains('rounder-than-gauge', array_column($notes, 'code'));
        self::assertContains('two-angles', array_column($notes, 'code'));
    }

    /**
     * An oval bore read all round at one station and at 0° only at two more: the mean of the stations lies 0.02 above the
     * bore's, and what is said of it holds the true one all the same.
     */
    public function test_stations_read_unevenly(): void
    {
        $readings = [[2, 0, 30.03], [3, 0, 30.03]];
        foreach ([0 => 30.03, 45 => 30.0, 90 => 29.97, 135 => 30.0] as $angle => $mm) {
            $readings[] = [1, $angle, $mm];
        }
        $found = self::found($readings, self::tool(0.0005));
        self::assertEqualsWithDelta(30.02, $found->meanMm, 1e-9);
        self::assertEqualsWithDelta(30.0, $found->fitted?->meanMm, 1e-4);
        self::assertGreaterThan(0.02, $found->sureMeanMm());
        self::assertLessThan(0.03, $found->sureMeanMm());
    }

    /** Six spots are the least. */
    public function test_six_spots(): void
    {
        self::assertSame(6, FittedForm::LEAST_SPOTS);
        $six = [[1, 0, 30.0], [1, 90, 30.0], [2, 0, 30.0], [2, 90, 30.0], [3, 0, 30.0], [3, 90, 30.0]];
        self::assertNotNull(self::found($six)->fitted);
        self::assertNull(self::found(array_slice($six, 0, 5))->fitted);
    }

    /**
     * When a form is called one, at angles that lie unevenly: where the variance ratio of the model with the oval and
     * without it reaches what scatter comes to once in forty. For two terms that is ν/2 (0.025^(−2/ν) − 1) in closed form
     * (any text on the F distribution); the squares left without the oval are those of a straight line, by hand.
     */
    public function test_from_where_on_an_oval_is_one(): void
    {
        foreach ([10.0, 80.0, 140.0] as $along) {
            $spots = [];
            foreach ([1, 2, 3] as $i => $station) {
                foreach ([0, 20, 50, 100] as $angle) {
                    $spots[] = [$station, $angle, ($i - 1) / 2, cos(2 * deg2rad($angle - $along))];
                }
            }
            array_pop($spots);
            $n = count($spots);
            [$z, $y] = [array_column($spots, 2), array_column($spots, 3)];
            [$mz, $my] = [array_sum($z) / $n, array_sum($y) / $n];
            [$zz, $zy, $yy] = [0.0, 0.0, 0.0];
            foreach ($spots as $spot) {
                $zz += ($spot[2] - $mz) ** 2;
                $zy += ($spot[2] - $mz) * ($spot[3] - $my);
                $yy += ($spot[3] - $my) ** 2;
            }
            $left = $yy - $zy ** 2 / $zz;
            // Eleven readings, four unknowns, and the two that a stated figure counts for; nothing is left over.
            $dof = $n - 4 + 2;
            $variance = 2 * 0.002 ** 2 / $dof;
            $limit = sqrt(2 * $variance * ($dof / 2) * (0.025 ** (-2 / $dof) - 1) / $left);
            foreach ([[0.99, 0.0], [1.01, 2 * 1.01 * $limit]] as [$times, $shown]) {
                $form = self::found(array_map(
                    static fn (array $s): array => [$s[0], $s[1], 30.0 + 0.05 * $s[2] + $times * $limit * $s[3]],
                    $spots,
                ))->fitted;
                self::assertEqualsWithDelta($shown, $form?->ovalityMm, 1e-9, "along {$along}, {$times}");
                if ($shown > 0) {
                    self::assertEqualsWithDelta($along, $form?->ovalityAtDeg, 1e-6);
                    self::assertNull($form?->ovalityHiddenMm);
                }
            }
        }
    }

    /**
     * Along two ways square to each other there is one term, and t that is passed once in forty is 2.634 for ten degrees of
     * freedom, 2.391 for thirty (t of 1.25 % on either side, as tables for two comparisons have it, from memory).
     */
    public function test_from_where_on_two_ways_differ(): void
    {
        // Six stations by two ways: twelve readings, three unknowns and the figure's two: eleven. t is 2.593 there.
        $t = 2.593;
        $half = $t * sqrt(2 * 0.002 ** 2 / 11 / 12);
        foreach ([[0.995, false], [1.005, true]] as [$times, $shown]) {
            $readings = [];
            for ($station = 1; $station <= 6; $station++) {
                $readings[] = [$station, 0, 30.0 + $times * $half + 0.02 * $station];
                $readings[] = [$station, 90, 30.0 - $times * $half + 0.02 * $station];
            }
            $form = self::found($readings)->fitted;
            self::assertSame($shown, ($form->ovalityMm ?? 0.0) > 0.0, "{$times}");
            self::assertTrue($form?->twoAngles);
            if (! $shown) {
                self::assertEqualsWithDelta(2 * $half, $form->ovalityHiddenMm, 0.01 * $half, 'what would not show');
            }
        }
    }

    /** Two angles are square to each other within a sixth of a turn of the oval: 0 and 60 are, 0 and 59 are not; 350 and 80 are. */
    public function test_which_two_angles_are_square(): void
    {
        $fits = static function (float $one, float $other): bool {
            $readings = [];
            foreach ([1, 2, 3, 4] as $station) {
                array_push($readings, [$station, $one, 30.0], [$station, $other, 30.03]);
            }

            return self::found($readings)->fitted?->twoAngles ?? false;
        };
        self::assertSame([true, true, false, true, true, false], [$fits(0, 90), $fits(0, 61), $fits(0, 59), $fits(350, 80), $fits(30, 120), $fits(80, 100)]);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Bearings;
use Oldpart\Core\Measure\Nominal;
use Oldpart\Core\Measure\NominalCandidate;
use Oldpart\Core\Measure\NominalFamilies;
use Oldpart\Core\Measure\NominalKind;
use Oldpart\Core\Measure\NominalLikelihood;
use Oldpart\Core\Measure\NominalSize;
use Oldpart\Core\Measure\UnitVote;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NominalTest extends TestCase
{
    /**
     * What a machinist would say at once (common practice, no source).
     *
     * @return iterable<string, array{NominalKind, float, float, bool, float}>
     */
    public static function plain(): iterable
    {
        yield 'a shaft 0.0008 in under 7/8' => [NominalKind::Shaft, 22.205, 0.005, false, 22.225];
        yield 'a bearing housing of 52 mm' => [NominalKind::Bore, 52.01, 0.005, false, 52.0];
        yield 'a round metric shaft' => [NominalKind::Shaft, 24.99, 0.004, false, 25.0];
        yield 'a four-inch hole circle' => [NominalKind::Circle, 101.62, 0.05, false, 101.6];
        yield 'a length of 13/16 in' => [NominalKind::Length, 20.63, 0.03, false, 20.6375];
        yield 'a worn inch shaft' => [NominalKind::Shaft, 25.3, 0.01, true, 25.4];
        yield 'a worn inch bore' => [NominalKind::Bore, 28.7, 0.01, true, 28.575];
    }

    #[DataProvider('plain')]
    public function test_what_it_was_meant_to_be(
        NominalKind $kind,
        float $size,
        float $u,
        bool $wear,
        float $meant,
    ): void {
        $candidates = Nominal::of($kind, $size, $u, $wear)->candidates;
        $near = array_filter(
            array_slice($candidates, 0, 3),
            static fn (NominalCandidate $c): bool => abs($c->nominalMm - $meant) < 1e-6,
        );
        self::assertNotSame(
            [],
            $near,
            implode(', ', array_map(static fn (NominalCandidate $c): string => $c->label, $candidates)),
        );
        if (! $wear) {
            self::assertEqualsWithDelta($meant, $candidates[0]->nominalMm, 1e-6);
        }
    }

    public function test_chances_add_up_and_fall(): void
    {
        mt_srand(4);
        for ($i = 0; $i < 300; $i++) {
            $kind = NominalKind::cases()[mt_rand(0, 3)];
            $size = 2 + (118 * mt_rand()) / mt_getrandmax();
            $nominal = Nominal::of($kind, $size, [0.0, 0.002, 0.01, 0.1][mt_rand(0, 3)], mt_rand(0, 1) === 1);
            $chances = array_map(static fn (NominalCandidate $c): float => $c->probability, $nominal->candidates);
            self::assertEqualsWithDelta(1.0, array_sum($chances) + $nominal->other, 1e-9);
            self::assertGreaterThanOrEqual(-1e-9, $nominal->other);
            $sorted = $chances;
            rsort($sorted);
            self::assertSame($sorted, $chances);
        }
    }

    /** A better reading never makes the truth less clear: 7/8 in at ±0.003 is surer than at ±0.05. */
    public function test_a_better_reading_is_surer(): void
    {
        $first = static fn (float $u): float => Nominal::of(NominalKind::Shaft, 22.215, $u, false)->candidates[0]
            ->probability;
        self::assertGreaterThan($first(0.02), $first(0.003));
        self::assertGreaterThan($first(0.05), $first(0.02));
    }

    /** Wear goes one way: a bore grows, so a size well over may be a worn one, a size well under may not. */
    public function test_wear_counts_on_its_own_side(): void
    {
        $size = new NominalSize('1 in', 25.4, 'inch', 'inch fraction', 1.0, -0.007, 0.033);
        $at = static fn (NominalKind $kind, float $mm): float => (new NominalLikelihood($kind, $mm, 0.01, true))->of(
            $size,
        );
        self::assertGreaterThan(100 * $at(NominalKind::Bore, 25.2), $at(NominalKind::Bore, 25.6));
        $shaft = new NominalSize('1 in', 25.4, 'inch', 'inch fraction', 1.0, -0.033, 0.007);
        self::assertGreaterThan(
            100 * (new NominalLikelihood(NominalKind::Shaft, 25.6, 0.01, true))->of($shaft),
            (new NominalLikelihood(NominalKind::Shaft, 25.2, 0.01, true))->of($shaft),
        );
    }

    /** A density over all found sizes holds 1 (probability theory), with and without wear. */
    public function test_the_likelihood_is_a_density(): void
    {
        foreach (
            [[NominalKind::Bore, true], [NominalKind::Shaft, true], [NominalKind::Length, false]] as [$kind, $wear]
        ) {
            $size = new NominalSize('30 mm', 30.0, 'metric', 'whole millimetre', 1.0, -0.02, 0.03);
            $sum = 0.0;
            for ($x = 27.0; $x < 33.0; $x += 0.002) {
                $sum += 0.002 * (new NominalLikelihood($kind, $x, 0.02, $wear))->of($size);
            }
            // The scale of wear follows the found size a little, so not quite 1.
            self::assertEqualsWithDelta(1.0, $sum, $wear ? 0.02 : 0.001);
        }
    }

    public function test_fractions_are_written_as_the_trade_writes_them(): void
    {
        $labels = array_map(
            static fn (NominalSize $s): string => $s->label,
            NominalFamilies::between(NominalKind::Length, 33.0, 34.2),
        );
        self::assertContains('1-5/16 in', $labels);
        self::assertContains('33.5 mm', $labels);
        self::assertContains('1.34 in', $labels);
        self::assertNotContains('1-20/64 in', $labels);
    }

    /** Small ball bearings against the openscad-mcad table (tests/reference/mcad_bearings.json). */
    public function test_small_bearings_against_an_outside_table(): void
    {
        $outside = json_decode(
            (string) file_get_contents(__DIR__.'/../reference/mcad_bearings.json'),
            true,
            16,
            JSON_THROW_ON_ERROR,
        )['rows'];
        $checked = 0;
        foreach (Bearings::all() as $bearing) {
            $row = $outside[$bearing->designation] ?? null;
            if ($row === null) {
                continue;
            }
            self::assertEqualsWithDelta($row[0], $bearing->boreMm, 1e-9, $bearing->designation);
            self::assertEqualsWithDelta($row[1], $bearing->outsideMm, 1e-9, $bearing->designation);
            // The thin series is listed there with shields, which are wider.
            if (! in_array(substr($bearing->designation, 0, 2), ['68', '69'], true)) {
                self::assertEqualsWithDelta($row[2], $bearing->widthMm, 1e-9, $bearing->designation);
            }
            $checked++;
        }
        self::assertGreaterThanOrEqual(25, $checked);
    }

    /**
     * Within a series every size rises with the bore, and a heavier series is larger outside (ISO 15, how it is built).
     */
    public function test_bearings_rise_within_their_series(): void
    {
        $by = [];
        foreach (Bearings::all() as $bearing) {
            $by[$bearing->series][] = $bearing;
        }
        foreach (['60', '62', '63', '64', '68', '69', '160', 'R'] as $series) {
            foreach ($by[$series] as $i => $bearing) {
                self::assertGreaterThan($bearing->boreMm, $bearing->outsideMm);
                if ($i > 0) {
                    self::assertGreaterThan($by[$series][$i - 1]->boreMm, $bearing->boreMm);
                    self::assertGreaterThan($by[$series][$i - 1]->outsideMm, $bearing->outsideMm);
                    self::assertGreaterThanOrEqual($by[$series][$i - 1]->widthMm, $bearing->widthMm);
                }
            }
        }
        foreach ($by['60'] as $i => $light) {
            self::assertLessThan($by['62'][$i]->outsideMm, $light->outsideMm);
            self::assertLessThan($by['63'][$i]->outsideMm, $by['62'][$i]->outsideMm);
            // From 20 mm on the bore is five times the last two digits, or stands after a stroke (ISO 15 designation
            // rule).
            if ($light->boreMm >= 20 && ! str_contains($light->designation, '/')) {
                self::assertEqualsWithDelta(5 * (int) substr($light->designation, 2), $light->boreMm, 1e-9);
            }
        }
    }

    public function test_inches_or_millimetres(): void
    {
        $d = static fn (string $label, NominalKind $kind, float $mm, float $u): array => [
            'label' => $label,
            'nominal' => Nominal::of($kind, $mm, $u, false),
        ];
        $inch = UnitVote::of([
            $d('shaft', NominalKind::Shaft, 22.21, 0.005),
            $d('bore', NominalKind::Bore, 12.71, 0.01),
            $d('length', NominalKind::Length, 38.12, 0.03),
        ]);
        self::assertGreaterThan(0.99, $inch->inchProbability);
        self::assertSame([], $inch->against);
        $metric = UnitVote::of([
            $d('shaft', NominalKind::Shaft, 24.99, 0.004),
            $d('bore', NominalKind::Bore, 52.01, 0.005),
            $d('length', NominalKind::Length, 40.02, 0.03),
        ]);
        self::assertLessThan(0.01, $metric->inchProbability);
        // One metric hole circle among inches is the one to measure again.
        $mixed = UnitVote::of([
            $d('shaft', NominalKind::Shaft, 22.21, 0.005),
            $d('bore', NominalKind::Bore, 12.71, 0.01),
            $d('hole circle', NominalKind::Circle, 80.0, 0.02),
        ]);
        self::assertSame(['hole circle'], $mixed->against);
        self::assertSame('breaks-the-vote', $mixed->notes[0]->code);
        self::assertEqualsWithDelta(0.5, UnitVote::of([])->inchProbability, 1e-12);
    }

    /**
     * 400 made-up dimensions with known truth: the truth is first for most, and nearly always among the first three.
     */
    public function test_it_finds_the_truth(): void
    {
        $unworn = (new NominalScore(20261124))->of(200, false);
        self::assertGreaterThan(0.85, $unworn['first'], (string) json_encode($unworn));
        self::assertGreaterThan(0.95, $unworn['in_three'], (string) json_encode($unworn));
        $worn = (new NominalScore(20261125))->of(200, true);
        self::assertGreaterThan(0.5, $worn['first'], (string) json_encode($worn));
        self::assertGreaterThan(0.8, $worn['in_three'], (string) json_encode($worn));
    }

    public function test_bad_input(): void
    {
        foreach (
            [[0.0, 0.01], [-3.0, 0.01], [3000.0, 0.01], [NAN, 0.01], [20.0, -1.0], [20.0, 30.0], [20.0, INF]] as [$size, $u]
        ) {
            try {
                Nominal::of(NominalKind::Bore, $size, $u, false);
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertContains($bad->field, ['size_mm', 'u95_mm']);
            }
        }
    }

    /** Where no one size has half the chance nobody is sure, and that is said; where one has, it is not. */
    public function test_when_it_stays_open(): void
    {
        $codes = static fn (float $mm, float $u): array => array_map(static fn ($n): string => $n->code, Nominal::of(NominalKind::Shaft, $mm, $u, false)->notes);
        self::assertNotContains('open', $codes(25.4, 0.003));
        foreach ([[25.4, 0.003], [31.37, 0.1], [22.215, 0.003], [17.77, 0.02], [40.0, 0.5]] as [$mm, $u]) {
            $first = Nominal::of(NominalKind::Shaft, $mm, $u, false)->candidates[0]->probability ?? 0.0;
            self::assertSame($first < 0.5, in_array('open', $codes($mm, $u), true), "{$mm} ± {$u}: {$first}");
        }
        self::assertContains('open', $codes(31.37, 0.1));
    }
}

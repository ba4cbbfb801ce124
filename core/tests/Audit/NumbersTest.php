<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Audit;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Catalogue\Hardness;
use Oldpart\Core\Catalogue\HardnessScale;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Fit\InchFit;
use Oldpart\Core\Fit\Iso286;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Joint\Fastening;
use Oldpart\Core\Making\BondAssembly;
use Oldpart\Core\Making\BushOrder;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Making\TaperAssembly;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Shape\Chamfer;
use Oldpart\Core\Shape\Profile;
use Oldpart\Core\Shape\Segment;
use Oldpart\Core\Tests\Evaluate\SampleJob;
use PHPUnit\Framework\TestCase;

/** Cases of an outside audit by their numbers there: tables, measuring, lengths, wording. */
final class NumbersTest extends TestCase
{
    private static function answers(SampleJob $job): JobAnswers
    {
        return JobAnswers::of($job->build());
    }

    private static function joint(SampleJob $job, string $name): SizedJoint
    {
        foreach (self::answers($job)->joints as $answer) {
            if ($answer->joint->name === $name) {
                return $answer;
            }
        }
        self::fail($name);
    }

    private static function worn(string $mm): SampleJob
    {
        $job = (new SampleJob())->answered()->materials();
        foreach (['mouth', 'far end'] as $station) {
            foreach (['0', '90'] as $angle) {
                $job->read('Housing bore', $mm, 'three-point', $station, $angle);
            }
        }

        return $job;
    }

    /**
     * ISO 286-2: H7/p6 to 30 mm is 1 to 35 tight, beyond it 1 to 42: a bore worn to 30.012 was 30, and so was one that
     * is typed as 30.
     */
    public function test_7_the_table_is_read_at_the_nominal_not_at_the_worn_size(): void
    {
        self::assertEqualsWithDelta(0.042, -Iso286::clearance(30.012, 'H7/p6')->min, 1e-9, 'the step beyond');
        foreach (
            [
                self::worn('30.012'),
                self::worn('30.012')->change('Housing bore', ['size' => ['typed' => '30', 'unit' => 'mm']]),
            ] as $job
        ) {
            $answer = self::joint($job->joint('Bush in housing', ['school' => 'iso']), 'Bush in housing');
            self::assertEqualsWithDelta(-0.035, $answer->wantedMm?->min, 1e-9);
            self::assertContains('read-at-nominal', array_column($answer->notes, 'code'));
        }
        $far = self::joint(self::worn('32.200')->joint('Bush in housing', ['school' => 'iso']), 'Bush in housing');
        self::assertEqualsWithDelta(-0.042, $far->wantedMm?->min, 1e-9);
        self::assertNotContains('read-at-nominal', array_column($far->notes, 'code'));
    }

    /**
     * 40.20 less 40.00 to 40.10 round the face: 0.10 to 0.20 is left, wider by the doubt of both, not the 0.15 of the
     * mean.
     */
    public function test_8_a_length_out_of_parallel_counts_from_its_least_to_its_most(): void
    {
        $job = (new SampleJob())->answered()->materials();
        foreach (['0' => '40.00', '90' => '40.05', '180' => '40.10', '270' => '40.05'] as $angle => $mm) {
            $job->read('Housing length', $mm, 'depth-micrometer', '1', (string) $angle);
        }
        $length = static fn (string $name, bool $opens, array $more): array => [
            ...[
                'name' => $name,
                'surface' => null,
                'size' => null,
                'plus' => null,
                'minus' => null,
                'opens' => $opens,
                'spread' => 'uniform',
            ],
            ...$more,
        ];
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $job->facts['loops'] = [
            [
                'id' => 'l',
                'name' => 'Float',
                'least' => $mm('0.05'),
                'most' => $mm('0.25'),
                'plane' => false,
                'lengths' => [
                    $length('Between', true, ['size' => $mm('40.20')]),
                    $length('Housing length', false, ['surface' => $job->surface('Housing length')]),
                ],
            ],
        ];
        $loop = json_decode((string) json_encode(self::answers($job)->jsonSerialize()['loops'][0]), true);
        self::assertSame('found, out of parallel', $loop['rows'][1]['from']);
        preg_match_all('/\d\.\d+/', $loop['worst']['mm'], $m);
        $u = self::answers($job)->surfaces[0]->found ?? null;
        self::assertNull($u, 'the housing bore is not read');
        $doubt = (new Readings(
            SurfaceKind::Length,
            [new Reading(40.0)],
            Instrument::named('depth-micrometer'),
        ))->found()->u95Mm;
        self::assertEqualsWithDelta([0.1 - $doubt, 0.2 + $doubt], array_map(floatval(...), $m[0]), 0.002);
    }

    /**
     * Take-in's temperature reaches the lengths: 40 mm of iron (10.5e-6) and a steel shaft 40 long (11.5e-6) at 120 °C
     * differ by 0.004.
     */
    public function test_4_the_float_is_said_as_it_runs(): void
    {
        $job = SampleJob::measured();
        $length = static fn (string $name, bool $opens, array $more): array => [
            ...[
                'name' => $name,
                'surface' => null,
                'size' => null,
                'plus' => null,
                'minus' => null,
                'opens' => $opens,
                'spread' => 'uniform',
            ],
            ...$more,
        ];
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $job->facts['loops'] = [
            [
                'id' => 'l',
                'name' => 'Float',
                'least' => $mm('0.05'),
                'most' => $mm('0.25'),
                'plane' => false,
                'lengths' => [
                    $length('Between the shoulders', true, [
                        'size' => $mm('40.1'),
                        'material' => 'medium-carbon steel, normalised',
                    ]),
                    $length('Housing length', false, ['surface' => $job->surface('Housing length')]),
                ],
            ],
        ];
        self::assertNull(
            json_decode((string) json_encode(self::answers($job)->jsonSerialize()['loops'][0]), true)['in_use'],
        );
        $job->facts['take_in']['runs_at_c'] = 120.0;
        $warm = json_decode((string) json_encode(self::answers($job)->jsonSerialize()['loops'][0]), true)['in_use'];
        self::assertStringContainsString('0.104', $warm['closes_at']['mm']);
        self::assertStringContainsString('120 °C as it runs', $warm['says']['mm']);
    }

    /**
     * ANSI B4.1, 15.75 to 19.69 in: half of RC5's allowance of 8, as in every other row; from memory of the published
     * table.
     */
    public function test_9_inch_fits_at_seventeen_inches(): void
    {
        $thou = static fn (float $mm): float => round($mm / 0.0254, 4);
        $at = static fn (string $class): array => [
            $thou(InchFit::of(17 * 25.4, $class)->shaft->upperMm),
            $thou(InchFit::of(17 * 25.4, $class)->shaft->lowerMm),
        ];
        self::assertSame([-4.0, -5.6], $at('RC3'));
        self::assertSame([-4.0, -6.5], $at('RC4'));
        foreach ([0.5, 1.0, 2.0, 5.0, 9.0, 14.0, 17.0] as $inches) {
            $allowance = static fn (string $class): float => InchFit::of($inches * 25.4, $class)->clearance()->min;
            self::assertEqualsWithDelta(
                $allowance('RC4'),
                $allowance('RC3'),
                1e-9,
                "{$inches} in: RC3 and RC4 share their allowance",
            );
            self::assertEqualsWithDelta(0.5, $allowance('RC3') / $allowance('RC5'), 0.11, "{$inches} in");
        }
    }

    /**
     * A flat of w stands on a chord: d − √(d² − w²). At 10 mm with 0.45: 0.0101; known to a third either way, 0.0045 to
     * 0.0180.
     */
    public function test_11_flat_jaws_read_a_bore_small(): void
    {
        $shift = Instrument::named('calliper')->jawShiftMm(SurfaceKind::Bore, 10.0);
        self::assertEqualsWithDelta([10 - sqrt(100 - 0.09), 10 - sqrt(100 - 0.36)], [$shift->min, $shift->max], 1e-12);
        self::assertSame(0.0, Instrument::named('calliper')->jawShiftMm(SurfaceKind::Shaft, 10.0)->max);
        self::assertSame(0.0, Instrument::named('three-point')->jawShiftMm(SurfaceKind::Bore, 10.0)->max);
        $job = (new SampleJob())->answered()->read('Housing bore', '10.00', 'calliper');
        $found = self::answers($job)->surfaces[0]->found;
        self::assertEqualsWithDelta(10.0 + $shift->middle(), $found?->meanMm, 1e-4);
        self::assertContains('jaws', array_column($found?->notes() ?? [], 'code'));
        self::assertContains('jaws', array_column($found?->budget() ?? [], 'source'));
    }

    /** Repeats that agree take the place of the assumed feel: ten of them are surer than one, and surer than three. */
    public function test_11_repeats_take_the_place_of_feel(): void
    {
        $u = static function (int $n, float $spread): float {
            $readings = array_map(
                static fn (int $i): Reading => new Reading(30.0 + ($i % 2 === 0 ? $spread : -$spread)),
                range(1, $n),
            );

            return (new Readings(SurfaceKind::Bore, $readings, Instrument::named('telescoping')))->found()->u95Mm;
        };
        self::assertGreaterThan(
            2 * 0.01,
            $u(1, 0.002),
            'one reading: the feel of the table, 0.010 one standard deviation',
        );
        self::assertLessThan($u(1, 0.002), $u(3, 0.002));
        self::assertLessThan($u(3, 0.002), $u(10, 0.002));
        // JCGM 100: s/√n of ten readings 0.002 either way is 0.00211/√10; with 0.004/√3 and the last digit, times 2.
        self::assertEqualsWithDelta(2 * sqrt(0.002108 ** 2 / 10 + 0.004 ** 2 / 3 + 1e-6 / 12), $u(10, 0.002), 1e-5);
        self::assertGreaterThan($u(10, 0.002), $u(10, 0.02), 'repeats that do not agree say so');
    }

    /** Repeats of the same gauge elsewhere in the job say it too. */
    public function test_11_repeats_are_pooled_over_the_job(): void
    {
        $job = (new SampleJob())->answered()->read('Housing bore', '30.000', 'telescoping');
        $before = self::answers($job)->surfaces[0]->found;
        $job->facts['surfaces'][] = [...$job->facts['surfaces'][0], 'id' => 'other', 'name' => 'Other bore'];
        foreach (['40.001', '40.000', '39.999', '40.000'] as $mm) {
            $job->read('Other bore', $mm, 'telescoping');
        }
        $after = self::answers($job)->surfaces[0]->found;
        self::assertLessThan($before?->u95Mm, $after?->u95Mm);
    }

    /**
     * A cut's doubt is its gauge's and its temperature's: a degree of steel 100 long is 1.2 µm, taken as a rectangle.
     */
    public function test_11_a_cut_is_no_surer_than_its_temperature(): void
    {
        $job = SampleJob::measured()->cut('Bush outside', 'only', null, '30.020', 'outside-micrometer', 60.0);
        $making = array_values(
            array_filter(
                self::answers($job)->making,
                static fn (CutProgress $m): bool => $m->entry->label === 'Bush outside',
            ),
        )[0];
        // α of bronze 18e-6, of the gauge 11.7e-6, each 1 K unsure; α itself by 1e-6 over 40 K.
        $temperature = (30.02 / sqrt(3)) * sqrt(18e-6 ** 2 + 11.7e-6 ** 2 + (1e-6 * 40) ** 2);
        self::assertEqualsWithDelta(
            2 * sqrt((Instrument::named('outside-micrometer')->bestU95Mm(30.0) / 2) ** 2 + $temperature ** 2),
            $making->log->u95(),
            2e-5,
        );
        self::assertGreaterThan(Instrument::named('outside-micrometer')->bestU95Mm(30.0), $making->log->u95());
    }

    /**
     * Three hard 8 pins half in iron of 180 MPa, by hand: the side p · (d/2) · L · n · R decides, a tenth of what the
     * pins shear at.
     */
    public function test_11_the_weaker_side_of_a_dowel_is_crushed_first(): void
    {
        $held = Fastening::dowels(60, 8, 3, 1700, 40, 180);
        self::assertEqualsWithDelta((180 * 4 * 40 * 3 * 30) / 1000, $held->torqueNm, 1e-6);
        self::assertSame('the sides of their holes crush', $held->gives);
        self::assertGreaterThan(10 * $held->torqueNm, Fastening::dowels(60, 8, 3, 1700, 40)->torqueNm);
        self::assertContains('dowel-side', array_column(Fastening::dowels(60, 8, 3, 1700, 40)->notes, 'code'));
        // In hard steel the pin shears: 0.577 · 300 · d L against 600 · d L / 2.
        self::assertSame('the dowels shear', Fastening::dowels(60, 8, 3, 300, 40, 600)->gives);
        // Through a flange, 10 deep: p · d · L · R.
        self::assertEqualsWithDelta(
            (180 * 8 * 10 * 50) / 1000,
            Fastening::dowels(100, 8, 1, 1700, null, 180, 10)->torqueNm,
            1e-6,
        );
    }

    /** A lead-in takes at most half the wall, and no sketched chamfer ever is the wall. */
    public function test_11_a_chamfer_never_makes_the_wall(): void
    {
        $profile = Profile::of([new Segment(0, 20, 10, 10)], [new Segment(0, 20, 9, 9)], [new Chamfer(0, 5.0, false)]);
        self::assertEqualsWithDelta(0.5, $profile->cells[0]->outerStartMm - $profile->cells[0]->innerStartMm, 1e-9);
        $job = SampleJob::measured();
        $hints = json_decode((string) json_encode(self::answers($job)), true)['survey']['hints'];
        self::assertStringNotContainsString('0.0064', (string) json_encode($hints));
        self::assertSame('1 to 3 mm', BushOrder::leadIn(4.0)->mm);
        self::assertSame('1 to 1.3 mm', BushOrder::leadIn(1.0)->mm);
        self::assertSame('0.600 mm at most, half the wall,', BushOrder::leadIn(0.5)->mm);
    }

    /**
     * π/4 · 33² · 52 · 8.9e-6 = 0.396 kg for a bush 30 across and 40 long; its own metal, half as much again, would be
     * 0.19.
     */
    public function test_11_a_bush_is_paid_for_by_the_bar_it_is_cut_from(): void
    {
        $job = SampleJob::measured()
            ->change('Bush outside', [
                'at' => ['typed' => '0', 'unit' => 'mm'],
                'long' => ['typed' => '40', 'unit' => 'mm'],
            ])
            ->change('Bush bore', [
                'at' => ['typed' => '0', 'unit' => 'mm'],
                'long' => ['typed' => '40', 'unit' => 'mm'],
            ]);
        $quote = json_decode((string) json_encode(self::answers($job)), true)['quote'];
        $bar =
            array_values(
                array_filter(
                    $quote['working'],
                    static fn (array $step): bool => str_starts_with($step['what'], 'Bar for'),
                ),
            )[0]['numbers']['mm'] ?? '';
        preg_match('/([\d.]+) kg/', $bar, $m);
        self::assertEqualsWithDelta((M_PI / 4) * 33.02 ** 2 * 52 * 8.9e-6, (float) ($m[1] ?? 0), 0.006, $bar);
    }

    /** B4.1 gives a sliding fit two ways: RC2 and the locational LC5, as ISO's H7/g6. */
    public function test_11_slides_has_two_inch_classes_and_each_can_be_taken(): void
    {
        self::assertContains('LC5', array_column(Purpose::named('slides-no-shake')->offers(25.4), 'label'));
        $job = SampleJob::measured()->joint('Shaft in bush', [
            'purpose' => 'slides-no-shake',
            'school' => 'inch',
            'fit' => 'LC5',
        ]);
        self::assertEqualsWithDelta(
            InchFit::of(22, 'LC5')->clearance(),
            self::joint($job, 'Shaft in bush')->wantedMm,
            1e-9,
        );
        $other = $job->joint('Shaft in bush', ['fit' => null]);
        self::assertEqualsWithDelta(
            InchFit::of(22, 'RC2')->clearance(),
            self::joint($other, 'Shaft in bush')->wantedMm,
            1e-9,
        );
    }

    /**
     * Holes on a flange of 330 that stands elsewhere than a spigot of 280: their edge is the flange's, or the circle is
     * off the part.
     */
    public function test_12_the_edge_that_counts_is_the_one_the_holes_come_near(): void
    {
        $job = SampleJob::measured();
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $bush = $job->facts['surfaces'][4];
        $job->facts['surfaces'] = [
            ...$job->facts['surfaces'],
            [
                ...$bush,
                'id' => 'flange',
                'name' => 'Flange',
                'kind' => 'shaft',
                'sketch' => null,
                'size' => $mm('330'),
                'at' => $mm('40'),
                'long' => $mm('20'),
            ],
            [
                ...$bush,
                'id' => 'holes',
                'name' => 'Holes',
                'kind' => 'hole-pattern',
                'sketch' => null,
                'size' => $mm('300'),
                'size2' => $mm('9'),
                'at' => $mm('0'),
                'long' => $mm('0'),
            ],
        ];
        $codes = static fn (SampleJob $job): array => array_column(
            json_decode((string) json_encode(self::answers($job)), true)['survey']['hints'],
            'code',
        );
        self::assertNotContains('hole-near-edge', $codes($job), '15 to the edge of the flange, 13.5 wanted');
        $job->change('Holes', ['size' => $mm('310')]);
        self::assertContains('hole-near-edge', $codes($job));
        $job->change('Holes', ['size' => $mm('400')]);
        self::assertContains('holes-off-part', $codes($job));
        $says = (string) json_encode(json_decode((string) json_encode(self::answers($job)), true)['survey']['hints']);
        self::assertStringNotContainsString('circle of 0.000', $says);
    }

    /**
     * The C scale begins at 20: HRC 18 is soft, at most what the table's first row says (ISO 18265: HV 240, 770 MPa).
     */
    public function test_13_a_soft_reading_on_the_c_scale_is_an_answer(): void
    {
        $soft = Hardness::of(HardnessScale::RockwellC, 18.0);
        self::assertTrue($soft->isAtMost);
        self::assertEqualsWithDelta([240, 770], [$soft->hv, $soft->tensileMpa], 1e-9);
    }

    /** A reamer that lies in the band is offered whether or not the band is wide enough for the lathe. */
    public function test_13_a_reamer_is_offered_for_any_bore(): void
    {
        $job = SampleJob::measured();
        $job->facts['readings'] = array_map(
            static fn (array $r): array => $r['value']['typed'] === '22.000'
                ? [...$r, 'value' => ['typed' => '21.950', 'unit' => 'mm']]
                : $r,
            $job->facts['readings'],
        );
        $answer = json_decode(
            (string) json_encode(
                self::answers(
                    $job->joint('Shaft in bush', [
                        'least' => ['typed' => '0.02', 'unit' => 'mm'],
                        'most' => ['typed' => '0.10', 'unit' => 'mm'],
                    ]),
                )->jointAnswers[1],
            ),
            true,
        );
        self::assertContains('ream', array_column($answer['help']['ways_out'], 'code'));
        self::assertNotContains('sneak-up', array_column($answer['help']['ways_out'], 'code'));
    }

    /**
     * What is bonded is degreased, what is tapered is dry, and an oil hole is asked for only where there is one (common
     * practice).
     */
    public function test_13_each_way_of_putting_together_has_its_own_steps(): void
    {
        $says = static fn (array $steps): string => implode(
            ' ',
            array_map(static fn (Step $s): string => $s->do->mm.' '.$s->why, $steps),
        );
        self::assertStringNotContainsString('thin film of oil', $says(BondAssembly::steps(true, false)));
        self::assertStringContainsString('Degrease', $says(BondAssembly::steps(true, false)));
        self::assertStringContainsString('No oil', $says(TaperAssembly::steps()));
        $bonded = SampleJob::measured()->joint('Bush in housing', ['purpose' => 'bonded']);
        $codes = static fn (SampleJob $job): array => array_map(
            static fn (Step $s): string => $s->code,
            self::answers($job)->assembly->steps,
        );
        self::assertContains('degrease', $codes($bonded));
        self::assertNotContains('clean', $codes($bonded));
        self::assertNotContains('check-oil', $codes(SampleJob::measured()));
        $job = SampleJob::measured();
        $job->facts['surfaces'][] = [
            ...$job->facts['surfaces'][5],
            'id' => 'oil',
            'name' => 'Oil hole',
            'sketch' => null,
        ];
        self::assertContains('check-oil', $codes($job));
    }

    /** A bonded bush has a plan of its own: bored to size, as nothing closes it, bonded at the end. */
    public function test_13_a_bonded_bush_has_a_plan(): void
    {
        $plan = self::answers(SampleJob::measured()->joint('Bush in housing', ['purpose' => 'bonded']))->plan;
        $codes = array_map(static fn (Step $s): string => $s->code, $plan);
        self::assertContains('bond', $codes);
        self::assertNotContains('press', $codes);
        self::assertContains('finish-bore', $codes);
    }

    /** @return list<string> */
    private static function noteCodes(SizedJoint $answer): array
    {
        return array_map(static fn (Note $n): string => $n->code, $answer->notes);
    }

    public function test_1_nothing_is_said_of_a_press_where_there_is_none(): void
    {
        $answer = self::joint(SampleJob::measured(), 'Shaft in bush');
        self::assertNull($answer->press);
        self::assertNotContains('no-interference', self::noteCodes($answer));
    }
}

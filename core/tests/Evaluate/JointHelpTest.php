<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Answer\JointAnswer;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Fit\StandardSize;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/**
 * Help at a joint: the ways out where it can't be made, bearing seats, sizes made standard, what the job knows of
 * itself.
 */
final class JointHelpTest extends TestCase
{
    private static function joint(JobFacts $facts, string $name): SizedJoint
    {
        return self::shown($facts, $name)->of;
    }

    private static function shown(JobFacts $facts, string $name): JointAnswer
    {
        foreach (JobAnswers::of($facts)->jointAnswers as $joint) {
            if ($joint->of->joint->name === $name) {
                return $joint;
            }
        }
        self::fail("no joint {$name}");
    }

    /** @return array<string, mixed> */
    private static function help(JobFacts $facts, string $name): array
    {
        return json_decode(
            json_encode(self::shown($facts, $name), JSON_THROW_ON_ERROR),
            true,
            64,
            JSON_THROW_ON_ERROR,
        )['help'];
    }

    /** A bush whose housing was read by calliper: H7/p6 at 30 mm allows 34 µm, the calliper is sure to about 31. */
    private static function poor(): SampleJob
    {
        $job = (new SampleJob())->answered()->materials();
        foreach (['0', '90'] as $angle) {
            $job->read('Housing bore', '30.00', 'calliper', 'mouth', $angle);
        }

        return $job
            ->joint('Bush in housing', ['school' => 'iso'])
            ->read('Boss outside', '36', 'calliper')
            ->read('Housing length', '12.00', 'depth-micrometer')
            ->read('Shaft journal', '22.000', 'outside-micrometer');
    }

    public function test_a_poor_reading_has_ways_out(): void
    {
        $joint = self::joint(self::poor()->build(), 'Bush in housing');
        self::assertNotNull($joint->best, 'no size is promised');
        $ways = self::help(self::poor()->build(), 'Bush in housing')['ways_out'];
        self::assertSame(['widen'], array_column($ways, 'code'));
        $helps = array_column($joint->best->helps, null, 'code');
        self::assertSame($joint->mate?->id, $helps['other-gauge']->measure);
        self::assertStringContainsString('three-point bore gauge', $helps['other-gauge']->says->mm);
        self::assertGreaterThan($joint->best->best->chance, $helps['other-gauge']->chance);
        self::assertSame('bonded', $helps['bond']->joint['purpose'] ?? '');
    }

    /** Each way, once taken, does what it says: the size can be made, as wide as the lathe holds. */
    public function test_a_way_taken_is_a_way_out(): void
    {
        foreach (['widen'] as $code) {
            $way = array_column(self::help(self::poor()->build(), 'Bush in housing')['ways_out'], null, 'code')[$code];
            $after = self::joint(self::poor()->joint('Bush in housing', $way['joint'])->build(), 'Bush in housing');
            self::assertNotNull($after->band(), $code);
            self::assertGreaterThanOrEqual(0.01 - 1e-9, $after->band()->widthMm(), $code);
            self::assertStringContainsString(
                number_format(floor($after->band()->upperMm * 1000 + 1e-6) / 1000, 3),
                $way['says']['mm'],
                'the size it promised',
            );
        }
        $widened = array_column(self::help(self::poor()->build(), 'Bush in housing')['ways_out'], null, 'code')[
            'widen'
        ];
        self::assertStringStartsWith('-', $widened['joint']['least']['typed']);
        self::assertLessThanOrEqual(0, (float) $widened['joint']['most']['typed'], 'a press stays a press');
    }

    /** A band narrower than the lathe holds is sneaked up to; one that is wide enough has no ways out at all. */
    public function test_a_narrow_band_and_a_wide_one(): void
    {
        $narrow = SampleJob::measured()->joint('Bush in housing', [
            'least' => ['typed' => '-0.022', 'unit' => 'mm'],
            'most' => ['typed' => '-0.008', 'unit' => 'mm'],
        ]);
        $joint = self::joint($narrow->build(), 'Bush in housing');
        self::assertNotNull($joint->band());
        $sneak = array_column(self::help($narrow->build(), 'Bush in housing')['ways_out'], null, 'code')['sneak-up'];
        self::assertStringContainsString(
            'Turn to '.number_format($joint->band()->upperMm + 0.02, 3),
            $sneak['says']['mm'],
        );
        self::assertSame($sneak['says']['mm'], $sneak['operation']);
        self::assertSame([], self::help(SampleJob::measured()->build(), 'Bush in housing')['ways_out']);
        // A round bore has no form to ream away; what is bonded already is not bonded instead.
        self::assertSame(['sneak-up', 'widen', 'bond'], array_column(self::help($narrow->build(), 'Bush in housing')['ways_out'], 'code'));
        $reason = static fn (): array => array_column(self::help($narrow->build(), 'Bush in housing')['ways_out'], 'joint', 'code')['bond'];
        self::assertStringContainsString('too narrow', $reason()['reason']);
        $narrow->joint('Bush in housing', ['reason' => 'as the maker says']);
        self::assertSame('as the maker says', $reason()['reason'], 'a reason that was given stays');
        $film = $narrow->joint('Bush in housing', ['purpose' => 'bonded', 'least' => ['typed' => '0.100', 'unit' => 'mm'], 'most' => ['typed' => '0.116', 'unit' => 'mm']]);
        self::assertSame(['sneak-up', 'widen'], array_column(self::help($film->build(), 'Bush in housing')['ways_out'], 'code'));
    }

    /** Oval by 0.02, it is reamed by the next reamer that still cuts all round: of 30.163 and 30.5 the first (1-3/16 in). */
    public function test_an_oval_mate_is_reamed(): void
    {
        $job = (new SampleJob())->answered()->materials()->read('Boss outside', '60', 'calliper');
        foreach (['0' => '30.000', '90' => '30.020'] as $angle => $mm) {
            foreach (['mouth', 'middle', 'far end'] as $station) {
                $job->read('Housing bore', $mm, 'three-point', $station, (string) $angle);
            }
        }
        $job->joint('Bush in housing', ['least' => ['typed' => '-0.035', 'unit' => 'mm'], 'most' => ['typed' => '-0.020', 'unit' => 'mm']]);
        $ways = array_column(self::help($job->build(), 'Bush in housing')['ways_out'], null, 'code');
        self::assertStringContainsString('ream the housing bore to 1-3/16 in (30.163)', $ways['change-the-mate']['says']['mm'] ?? implode(', ', array_keys($ways)));
    }

    /** To a shaft of 22.000 a bush is bored: where 7/8 in (22.225) makes the fit, the reamer is named; where none does, none is. */
    public function test_a_reamer_makes_the_bore(): void
    {
        $codes = static function (string $least, string $most): array {
            $job = SampleJob::measured()->joint('Shaft in bush', [
                'least' => ['typed' => $least, 'unit' => 'mm'], 'most' => ['typed' => $most, 'unit' => 'mm'],
            ]);

            $ways = self::help($job->build(), 'Shaft in bush')['ways_out'];

            return array_map(static fn (array $says): string => $says['mm'], array_column($ways, 'says', 'code'));
        };
        self::assertStringStartsWith('Ream it with the 7/8 in reamer, 22.225:', $codes('0.210', '0.240')['ream'] ?? 'none');
        self::assertArrayNotHasKey('ream', $codes('0.100', '0.130'));
    }

    /** The widening is the least that will do: a thousandth, or a tenth of a thou, less at each end is too narrow. */
    public function test_no_more_is_widened_than_is_needed(): void
    {
        foreach ([['mm', '-0.022', '-0.008', 0.001, '%.3f'], ['in', '-0.0008', '-0.0003', 0.0001, '%.4f']] as [$unit, $least, $most, $step, $as]) {
            $job = static function (float|string $least, float|string $most) use ($unit, $as): SampleJob {
                $typed = static fn (float|string $size): array => ['typed' => is_string($size) ? $size : sprintf($as, $size), 'unit' => $unit];
                $job = SampleJob::measured()->joint('Bush in housing', ['least' => $typed($least), 'most' => $typed($most)]);
                $job->facts['unit'] = $unit;

                return $job;
            };
            $widen = array_column(self::help($job($least, $most)->build(), 'Bush in housing')['ways_out'], null, 'code')['widen']['joint'];
            $ends = [(float) $widen['least']['typed'], (float) $widen['most']['typed']];
            $wide = self::joint($job(...$ends)->build(), 'Bush in housing')->band();
            self::assertGreaterThanOrEqual(0.01 - 1e-9, $wide?->widthMm(), $unit);
            $less = self::joint($job($ends[0] + $step, $ends[1] - $step)->build(), 'Bush in housing')->band();
            self::assertLessThan(0.01, $less?->widthMm() ?? 0.0, $unit);
        }
    }

    /**
     * It is widened alike at both ends, by what it says at least, to limits that can be typed: whole thousandths, or
     * tenths of a thou, outward of the wish; a tight fit at most to size for size.
     */
    public function test_it_is_widened_by_what_it_says(): void
    {
        $cases = [
            ['mm', '0.0303', '0.0405', 0.001, 3, false],
            ['mm', '0.0307', '0.0405', 0.001, 3, false],
            ['mm', '-0.022', '-0.008', 0.001, 3, true],
            ['in', '0.00133', '0.00171', 0.0001, 4, false],
            ['in', '-0.00083', '-0.00029', 0.0001, 4, true],
        ];
        foreach ($cases as [$unit, $least, $most, $step, $digits, $tight]) {
            $typed = static fn (string $size): array => ['typed' => $size, 'unit' => $unit];
            $job = SampleJob::measured()->joint('Bush in housing', ['least' => $typed($least), 'most' => $typed($most)]);
            $job->facts['unit'] = $unit;
            $way = array_column(self::help($job->build(), 'Bush in housing')['ways_out'], null, 'code')['widen'] ?? null;
            self::assertNotNull($way, "{$least} {$unit}");
            self::assertSame(1, preg_match('/Widen the fit by ([\d.]+)/', $way['says'][$unit], $by));
            [$from, $to] = [(float) $way['joint']['least']['typed'], (float) $way['joint']['most']['typed']];
            $case = "{$least} … {$most} {$unit} by {$by[1]} to {$from} … {$to}";
            self::assertGreaterThan(0.0, (float) $by[1], $case);
            foreach ([$from, $to] as $end) {
                self::assertEqualsWithDelta(round($end / $step), $end / $step, 1e-6, $case);
            }
            self::assertLessThanOrEqual((float) $least - (float) $by[1] + 1e-9, $from, $case);
            self::assertGreaterThan((float) $least - (float) $by[1] - $step - 1e-9, $from, $case);
            if ($tight) {
                self::assertEqualsWithDelta(min(0.0, (float) $most + (float) $by[1]), $to, $step / 2 + 1e-9, $case);
                self::assertLessThanOrEqual(0.0, $to, $case);
            } else {
                self::assertGreaterThanOrEqual((float) $most + (float) $by[1] - 1e-9, $to, $case);
                self::assertLessThan((float) $most + (float) $by[1] + $step + 1e-9, $to, $case);
            }
        }
    }

    /**
     * What the survey and the readings say fills the questions in: cast iron is brittle; 36 over 30 is a thin wall, 60
     * is not.
     */
    public function test_the_job_answers_for_itself(): void
    {
        $answers = static fn (SampleJob $job): array => array_column(
            self::help(
                $job->joint('Bush in housing', ['asked' => ['moves' => 'stays', 'apart' => 'never']])->build(),
                'Bush in housing',
            )['advice']['questions'],
            'answer',
            'code',
        );
        self::assertSame(['brittle', 'thin'], [$answers(self::poor())['metal'], $answers(self::poor())['wall']]);
        self::assertSame('stout', $answers(SampleJob::measured())['wall']);
        self::assertSame('tough', $answers(SampleJob::measured()->materials('low-carbon steel, cold drawn'))['metal']);
        $advice = self::help(
            self::poor()
                ->joint('Bush in housing', ['asked' => ['moves' => 'stays', 'apart' => 'never']])
                ->build(),
            'Bush in housing',
        )['advice'];
        self::assertSame('bonded', $advice['purpose']['code'], 'thin cast iron');
    }

    /**
     * A shaft for bearings that are bought. ISO 286-2 at 25 mm: k5 is +2 to +11 µm; at 52 mm in a housing H7 is 0 to
     * +30.
     */
    public function test_a_seat_for_a_bearing_that_is_bought(): void
    {
        $next = 0;
        $facts = JobFile::toArray(
            Kind::named('stepped-shaft')->layOut(
                'job-1',
                'Rig',
                'Shaft',
                Unit::Millimetre,
                new ShopFacts('Shop', 20.0, 0.005, 0.5, 1e4),
                static function () use (&$next): string {
                    return 'i'.++$next;
                },
                true,
            ),
        );
        $facts['take_in']['gates_answered'] = true;
        $bearing = [
            'designation' => '6205-2RS',
            'bore_mm' => null,
            'outside_mm' => null,
            'width_mm' => null,
            'turning' => 'inner',
            'load' => 'normal',
            'housing' => 'solid',
            'inner_warmer_k' => 0.0,
        ];
        $facts['joints'][0]['bearing'] = $bearing;
        $joint = self::joint(JobFile::fromArray($facts), 'Left bearing on the shaft');
        self::assertEqualsWithDelta([25.002, 25.011], [$joint->band()?->lowerMm, $joint->band()?->upperMm], 1e-9);
        self::assertSame('k5', $joint->seat?->shaftClass);
        self::assertContains('bearing-unread', array_map(static fn (Note $n): string => $n->code, $joint->notes));
        // Its ring stands for the wall round the shaft, a quarter of 13.5 thick: 25 and 2 × 3.375. The shaft is solid.
        self::assertSame('To say whether it holds and how far the bore closes, this is needed: what the shaft is made of.', $joint->pressBlocked?->mm);
        foreach (array_keys($facts['parts']) as $part) {
            $facts['parts'][$part]['material'] = 'medium-carbon steel, normalised';
        }
        $joint = self::joint(JobFile::fromArray($facts), 'Left bearing on the shaft');
        self::assertInstanceOf(Press::class, $joint->press);
        self::assertEqualsWithDelta([0.0, 31.75], [$joint->press->fit->innerBoreMm, $joint->press->fit->outerOdMm], 1e-9);
        self::assertContains('ring-taken', array_column(array_map(static fn (Note $n): array => [$n->code], $joint->press->notes), 0));
        // Read, the size is made to the bearing itself: 24.996 ± U, the fit 2 to 21 µm tight.
        $facts['readings'][] = [
            'id' => 'r',
            'surface' => $joint->mate->id ?? '',
            'station' => '1',
            'angle' => '0',
            'value' => ['typed' => '24.996', 'unit' => 'mm'],
            'was' => null,
            'instrument' => 'three-point',
            'part_c' => 20.0,
            'gauge_c' => 20.0,
            'worn' => null,
            'set_aside' => null,
            'remark' => null,
            'taken_at' => null,
            'correction_mm' => null,
        ];
        $read = self::joint(JobFile::fromArray($facts), 'Left bearing on the shaft');
        $u = $read->mateFound->u95MeanMm ?? 0.0;
        self::assertEqualsWithDelta(
            [24.998 + $u, 25.017 - $u],
            [$read->sized?->band?->lowerMm, $read->sized?->band?->upperMm],
            1e-6,
        );
        // An unknown stamp is refused by name and the way out.
        $facts['joints'][0]['bearing'] = [...$bearing, 'designation' => 'nonesuch'];
        try {
            JobAnswers::of(JobFile::fromArray($facts));
            self::fail('taken');
        } catch (BadInput $bad) {
            self::assertSame('joints.0.bearing', $bad->field);
        }
    }

    /**
     * From a list of reamers and bar by hand: over 28.60 mm come 28.972 (1-9/64 is no step there), 29 mm, 1-5/32 in
     * (29.369).
     */
    public function test_the_odd_size_made_standard(): void
    {
        $labels = static fn (bool $bore, float $mm, float $most): array => array_map(
            static fn (StandardSize $s): string => "{$s->what} {$s->label}",
            StandardSize::near($bore, $mm, $most),
        );
        self::assertSame(
            ['reamer 29 mm', 'stock bush outside 29 mm', 'reamer 1-5/32 in'],
            array_slice($labels(true, 28.6, 1.0), 0, 3),
        );
        self::assertContains('bearing 6202 bearing', $labels(true, 34.99, 0.02));
        self::assertContains('ground bar 3/4 in', $labels(false, 19.4, 0.6));
        self::assertContains('stock bush bore 19 mm', $labels(false, 19.4, 0.6));
        foreach (StandardSize::near(true, 40.01, 2.0) as $size) {
            self::assertGreaterThanOrEqual(40.01, $size->mm);
        }
        foreach (StandardSize::near(false, 40.01, 2.0) as $size) {
            self::assertLessThanOrEqual(40.01, $size->mm);
        }
    }

    /**
     * 2000 N over 22 × 40 are 2.27 MPa, π · 0.022 · 300/60 is 0.35 m/s; a length of 33 is one and a half diameters, the most
     * that is advised, 17.6 the least. Without a speed nothing is said of it.
     */
    public function test_a_running_joint_under_load(): void
    {
        $tiles = static function (string $length, ?float $rpm): array {
            $job = SampleJob::measured()->joint('Shaft in bush', ['load_n' => 2000.0, 'speed_rpm' => $rpm]);
            foreach ($job->facts['readings'] as $i => $r) {
                if ($r['surface'] === $job->surface('Housing length')) {
                    $job->facts['readings'][$i]['value']['typed'] = $length;
                }
            }
            foreach ($job->facts['joints'] as $i => $joint) {
                $job->facts['joints'][$i]['along'] = $job->surface('Housing length');
            }

            $plain = self::help($job->build(), 'Shaft in bush')['plain'];

            return [...array_column($plain['tiles'], null, 'label'), 'drawn' => $plain['picture']];
        };
        $full = $tiles('40.00', 300.0);
        self::assertSame('2.27 MPa', $full['Pressure']['value']['mm']);
        self::assertSame('0.35 m/s', $full['Sliding speed']['value']['mm']);
        self::assertSame(['good', 'good'], [$full['Pressure']['tone'], $full['Sliding speed']['tone']]);
        self::assertSame(['1.82', 'plain'], [$full['Length over diameter']['value']['mm'], $full['Length over diameter']['tone']]);
        // Drawn as shares of what the metal stands, never rounded down; without a speed only the pressure is.
        $shares = static fn (array $tiles): array => array_values(array_filter(array_column(array_column($tiles['drawn']['shapes'], 'say'), 'mm'), static fn (string $text): bool => str_ends_with($text, ' %')));
        $stands = static fn (string $tile): float => (float) str_replace('stands ', '', $full[$tile]['remark']['mm']);
        self::assertSame(
            array_map(static fn (string $tile, float $value): string => ceil(100 * $value / $stands($tile)).' %', ['Pressure', 'Sliding speed', 'p·v'], [2000 / 880, M_PI * 0.022 * 5, M_PI * 0.022 * 5 * 2000 / 880]),
            $shares($full),
        );
        self::assertCount(1, $shares($tiles('40.00', null)));
        $over = array_column($tiles('40.00', 30000.0)['drawn']['shapes'], 'tone');
        self::assertContains('overlap', array_slice($over, 0, -2), 'what is beyond it is red');
        // Drawn two and a half times as long as what it stands, and no longer: the bars by their right ends, from the dashed line.
        $shapes = $tiles('40.00', 30000.0)['drawn']['shapes'];
        $bars = array_filter($shapes, static fn (array $s): bool => $s['type'] === 'area');
        $limit = array_values(array_filter($shapes, static fn (array $s): bool => $s['dashed'] ?? false))[0]['x1'];
        $left = min(array_column($shapes, 'x1'));
        $long = array_map(static fn (array $bar): float => (max(array_column($bar['rings'][0], 0)) - $left) / ($limit - $left), array_values($bars));
        self::assertEqualsWithDelta([2000 / 880 / $stands('Pressure'), 2.5, 2.5], $long, 0.01);
        self::assertNotContains('overlap', array_slice(array_column($full['drawn']['shapes'], 'tone'), 0, -2));
        $of = static fn (string $length): array => $tiles($length, null)['Length over diameter'];
        self::assertSame(['1.50', 'good'], [$of('33.00')['value']['mm'], $of('33.00')['tone']]);
        self::assertSame('plain', $of('34.00')['tone']);
        self::assertSame(['0.80', 'good'], [$of('17.60')['value']['mm'], $of('17.60')['tone']]);
        self::assertSame('plain', $of('17.00')['tone']);
        $still = $tiles('40.00', null);
        self::assertSame(['–', 'plain'], [$still['Sliding speed']['value']['mm'], $still['Sliding speed']['tone']]);
    }

    /** While the shaft is not measured, nobody knows over what the load is spread. */
    public function test_a_load_on_what_is_not_measured(): void
    {
        $job = SampleJob::measured();
        $job->joint('Shaft in bush', ['load_n' => 2000.0, 'speed_rpm' => 300.0, 'along' => $job->surface('Housing length')]);
        self::assertNotNull(self::help($job->build(), 'Shaft in bush')['plain']);
        $job->facts['readings'] = array_values(
            array_filter($job->facts['readings'], static fn (array $r): bool => $r['surface'] !== $job->surface('Shaft journal')),
        );
        self::assertNull(self::help($job->build(), 'Shaft in bush')['plain']);
    }

    /** A bush of a metal no limits are known of: the pressure is told and not judged, and nothing is drawn. */
    public function test_a_load_on_a_metal_without_known_limits(): void
    {
        $job = SampleJob::measured()->materials('grey cast iron, ordinary', 'low-carbon steel, cold drawn');
        $job->joint('Shaft in bush', ['load_n' => 2000.0, 'speed_rpm' => 300.0, 'along' => $job->surface('Housing length')]);
        $plain = self::help($job->build(), 'Shaft in bush')['plain'];
        $tiles = array_column($plain['tiles'], null, 'label');
        self::assertSame('2.27 MPa', $tiles['Pressure']['value']['mm']);
        foreach (['Pressure', 'Sliding speed', 'p·v'] as $tile) {
            self::assertSame(['plain', 'no limit known'], [$tiles[$tile]['tone'], $tiles[$tile]['remark']['mm']]);
        }
        self::assertNull($plain['picture']);
    }

    /** What is asked and the bearing go into the job's file and come back. */
    public function test_answers_and_bearings_survive_the_file(): void
    {
        $job = SampleJob::measured()->joint('Bush in housing', [
            'asked' => ['moves' => 'stays'],
            'bearing' => [
                'designation' => null,
                'bore_mm' => 25.0,
                'outside_mm' => 52.0,
                'width_mm' => 15.0,
                'turning' => 'outer',
                'load' => 'heavy',
                'housing' => 'thin',
                'inner_warmer_k' => 5.0,
            ],
        ]);
        $text = JobFile::write($job->build());
        self::assertSame($text, JobFile::write(JobFile::read($text)));
        self::assertStringContainsString('"moves": "stays"', $text);
        $this->expectException(BadInput::class);
        JobFile::read(str_replace('"turning": "outer"', '"turning": "sideways"', $text));
    }

    /**
     * Both sides made, to the table. ISO 286-2 at 30 mm: H7 0 to +21, p6 +22 to +35 µm; FN2-like inch classes where the
     * job is in inches.
     * With a wish typed, the chance is the trapezoid's: −30 to −5 µm of −35 to −1, by hand 1 − 5²/(2·21·13) −
     * 4²/(2·21·13) = 0.925.
     */
    public function test_both_sides_made_take_the_tables_limits(): void
    {
        $job = SampleJob::measured();
        foreach ($job->facts['parts'] as &$part) {
            $part['origin'] = $part['name'] === 'Shaft' ? 'found' : 'make';
        }
        unset($part);
        $blocked = self::joint($job->build(), 'Bush in housing');
        self::assertStringContainsString('type the size', $blocked->blocked->mm ?? '');
        foreach ($job->facts['surfaces'] as &$surface) {
            if ($surface['name'] === 'Bush outside') {
                $surface['size'] = ['typed' => '30', 'unit' => 'mm'];
            }
        }
        unset($surface);
        $job->joint('Bush in housing', [
            'least' => ['typed' => '-0.030', 'unit' => 'mm'],
            'most' => ['typed' => '-0.005', 'unit' => 'mm'],
        ]);
        $joint = self::joint($job->build(), 'Bush in housing');
        self::assertEqualsWithDelta([30.022, 30.035], [$joint->band()?->lowerMm, $joint->band()?->upperMm], 1e-9);
        self::assertEqualsWithDelta(
            [30.0, 30.021],
            [$joint->firstSized?->band?->lowerMm, $joint->firstSized?->band?->upperMm],
            1e-9,
        );
        $shown = json_decode(
            json_encode(self::shown($job->build(), 'Bush in housing'), JSON_THROW_ON_ERROR),
            true,
            64,
            JSON_THROW_ON_ERROR,
        )['to_table'];
        self::assertStringContainsString('0.001 to 0.035 tight', $shown['extremes']['mm']);
        self::assertStringContainsString('as they come 92.4 fit', $shown['pairs']['mm']);
        $card = array_map(static fn ($e): string => $e->label, JobAnswers::of($job->build())->make);
        self::assertContains('Housing bore', $card);
        self::assertContains('Bush outside', $card);
    }

    /** Both made and cut: what was achieved comes from both logs, 30.010 in 30.030 is 0.020 tight. */
    public function test_what_two_made_parts_achieve(): void
    {
        $job = SampleJob::measured();
        foreach ($job->facts['parts'] as &$part) {
            $part['origin'] = $part['name'] === 'Shaft' ? 'found' : 'make';
        }
        unset($part);
        foreach ($job->facts['surfaces'] as &$surface) {
            $surface['size'] =
                $surface['name'] === 'Bush outside' ? ['typed' => '30', 'unit' => 'mm'] : $surface['size'];
        }
        unset($surface);
        $job->cut('Bush outside', 'only', null, '30.030')->cut('Housing bore', 'only', null, '30.010', 'three-point');
        $fits = json_decode(
            json_encode(JobAnswers::of($job->build())->handOver, JSON_THROW_ON_ERROR),
            true,
            64,
            JSON_THROW_ON_ERROR,
        )['fits'];
        $fit = array_column($fits, null, 'label')['Bush in housing'];
        self::assertSame('inside', $fit['verdict']);
        self::assertMatchesRegularExpression('/0\.01\d to 0\.02\d tight/', $fit['achieved']['mm']);
    }

    /** A bought pin nobody has read is taken to be to its class; read, it decides. */
    public function test_a_bought_mate_is_taken_to_be_to_its_class(): void
    {
        $job = (new SampleJob())->answered()->materials();
        foreach ($job->facts['parts'] as &$part) {
            $part['origin'] = $part['name'] === 'Shaft' ? 'bought' : $part['origin'];
        }
        unset($part);
        foreach ($job->facts['surfaces'] as &$surface) {
            $surface['size'] =
                $surface['name'] === 'Shaft journal' ? ['typed' => '22', 'unit' => 'mm'] : $surface['size'];
        }
        unset($surface);
        // H8 at 22 mm: 0 to +33 µm (ISO 286-2).
        $joint = self::joint($job->build(), 'Shaft in bush');
        self::assertEqualsWithDelta([22.0, 22.033], [$joint->band()?->lowerMm, $joint->band()?->upperMm], 1e-9);
        self::assertContains('mate-unread', array_map(static fn (Note $n): string => $n->code, $joint->notes));
        $read = self::joint($job->read('Shaft journal', '21.950', 'outside-micrometer')->build(), 'Shaft in bush');
        self::assertNull($read->toTable);
        self::assertLessThan(22.0, $read->sized?->band?->lowerMm);
    }

    /**
     * 0.010 to 0.074 tight over a bore that a calliper found: a gauge that is surer leaves more of it. By hand: the shaft
     * from the mean and 0.010 and the doubt to the mean and 0.074 less the doubt; of the gauges the two surest are named.
     */
    public function test_reading_again_with_a_better_gauge(): void
    {
        $job = (new SampleJob())->answered()->materials()->read('Boss outside', '60', 'calliper')->read('Housing length', '40.00', 'depth-micrometer');
        foreach (['0', '90'] as $angle) {
            $job->read('Housing bore', '30.00', 'calliper', 'mouth', $angle);
        }
        $job->joint('Bush in housing', ['least' => ['typed' => '-0.074', 'unit' => 'mm'], 'most' => ['typed' => '-0.010', 'unit' => 'mm']]);
        $mean = self::joint($job->build(), 'Bush in housing')->mateFound->meanMm ?? 0.0;
        $ways = array_values(array_filter(self::help($job->build(), 'Bush in housing')['ways_out'], static fn (array $way): bool => $way['code'] === 'read-again'));
        self::assertCount(2, $ways);
        $before = 0.0;
        foreach ($ways as $way) {
            self::assertSame($job->surface('Housing bore'), $way['measure']);
            self::assertSame(1, preg_match('/±([\d.]+) mm at best, it makes ([\d.]+) … ([\d.]+)\./', $way['says']['mm'], $said), $way['says']['mm']);
            [$u, $from, $to] = [(float) $said[1], (float) $said[2], (float) $said[3]];
            self::assertEqualsWithDelta([$mean + 0.010 + $u, $mean + 0.074 - $u], [$from, $to], 0.0011);
            self::assertGreaterThanOrEqual($before, $u, 'the surest first');
            $before = $u;
        }
        // Read with the first of them there is nothing to mend.
        $again = (new SampleJob())->answered()->materials();
        foreach (['0', '90'] as $angle) {
            $again->read('Housing bore', '30.004', 'three-point', 'mouth', $angle);
        }
        $again->joint('Bush in housing', ['least' => ['typed' => '-0.074', 'unit' => 'mm'], 'most' => ['typed' => '-0.010', 'unit' => 'mm']]);
        self::assertSame([], self::help($again->build(), 'Bush in housing')['ways_out']);
    }

    /** What is bought or made anew is not made standard; of what was found four sizes at most, of each four that give it. */
    public function test_only_what_was_found_is_made_standard(): void
    {
        $lines = self::help(SampleJob::measured()->build(), 'Bush in housing')['standards'];
        self::assertCount(4, $lines);
        self::assertEqualsWithDelta(30.0, $lines[0]['mm'], 1e-9);
        foreach ($lines as $line) {
            [, $gives] = explode(': ', $line['says']['mm'], 2);
            $all = array_filter(StandardSize::near(true, 30.0, 1.6), static fn (StandardSize $z): bool => abs($z->mm - $line['mm']) < 5e-5);
            self::assertCount(min(4, count($all)), explode(', ', $gives));
            self::assertSame(count($all) > 4, str_ends_with($gives, ' …'), $gives);
        }
        // Over 46.9 mm lie five bearings and more of 47, a reamer and a bush.
        $wide = SampleJob::measured();
        foreach ($wide->facts['readings'] as $i => $reading) {
            $typed = [$wide->surface('Housing bore') => '46.900', $wide->surface('Boss outside') => '90'][$reading['surface']] ?? null;
            $wide->facts['readings'][$i]['value']['typed'] = $typed ?? $reading['value']['typed'];
        }
        $first = self::help($wide->build(), 'Bush in housing')['standards'][0]['says']['mm'];
        self::assertCount(4, explode(', ', $first), $first);
        self::assertStringEndsWith(' …', $first);
        $bought = SampleJob::measured();
        foreach ($bought->facts['parts'] as $i => $part) {
            $bought->facts['parts'][$i]['origin'] = $part['name'] === 'Shaft' ? 'bought' : $part['origin'];
        }
        self::assertNotSame([], self::help(SampleJob::measured()->build(), 'Shaft in bush')['standards']);
        self::assertSame([], self::help($bought->build(), 'Shaft in bush')['standards']);
    }

    /** A press up to size for size stays one: only its tight end moves. */
    public function test_size_for_size_is_not_widened_into_play(): void
    {
        $job = SampleJob::measured()->joint('Bush in housing', ['least' => ['typed' => '-0.013', 'unit' => 'mm'], 'most' => ['typed' => '0', 'unit' => 'mm']]);
        $widen = array_column(self::help($job->build(), 'Bush in housing')['ways_out'], null, 'code')['widen']['joint'] ?? null;
        self::assertNotNull($widen);
        self::assertSame(0.0, (float) $widen['most']['typed']);
        self::assertLessThan(-0.013, (float) $widen['least']['typed']);
    }

    /** Read again it is as sure as the gauge, and the warmth of the part stays unsure: U = 2 √((U₀/2)² + u²), JCGM 100. */
    public function test_a_better_gauge_does_not_cool_the_part(): void
    {
        $job = (new SampleJob())->answered()->materials()->read('Boss outside', '60', 'calliper')->read('Housing length', '40.00', 'depth-micrometer');
        foreach (['0', '90'] as $angle) {
            // Read warm, so that how it grows counts.
            $job->read('Housing bore', '30.00', 'calliper', 'mouth', $angle, 140.0);
        }
        $job->joint('Bush in housing', ['least' => ['typed' => '-0.074', 'unit' => 'mm'], 'most' => ['typed' => '-0.010', 'unit' => 'mm']]);
        $said = static function (SampleJob $job): float {
            foreach (self::help($job->build(), 'Bush in housing')['ways_out'] as $way) {
                if ($way['code'] === 'read-again' && preg_match('/±([\d.]+) mm at best/', $way['says']['mm'], $u) === 1) {
                    return (float) $u[1];
                }
            }
            self::fail('nothing to read again with');
        };
        $unsure = 0.0;
        foreach (self::joint($job->build(), 'Bush in housing')->mateFound?->budget() ?? [] as $share) {
            $unsure = $share->source === 'temperature' ? $share->uMm : $unsure;
        }
        self::assertGreaterThan(0.0005, $unsure);
        $with = $said($job);
        $best = min(array_map(
            static fn (\Oldpart\Core\Measure\Instrument $tool): float => $tool->canMeasure(\Oldpart\Core\Measure\SurfaceKind::Bore, 30.0) ? $tool->bestU95Mm(30.0) : INF,
            $job->build()->shop->instruments->all(),
        ));
        self::assertEqualsWithDelta(2 * sqrt(($best / 2) ** 2 + $unsure ** 2), $with, 0.00051);
        self::assertGreaterThan($best + 0.0004, $with);
    }
}

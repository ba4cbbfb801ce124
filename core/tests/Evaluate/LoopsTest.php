<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Loop\ShimStock;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** Loops inside a job: lengths from readings, from bands and typed. */
final class LoopsTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    private static function length(string $name, bool $opens, array $changes): array
    {
        return [
            'name' => $name,
            'surface' => null,
            'size' => null,
            'plus' => null,
            'minus' => null,
            'opens' => $opens,
            'spread' => 'uniform',
            ...$changes,
        ];
    }

    /** @return array{typed: string, unit: string} */
    private static function mm(string $typed): array
    {
        return ['typed' => $typed, 'unit' => 'mm'];
    }

    /**
     * @param  list<array<string, mixed>>  $lengths
     * @return array<string, mixed>
     */
    private static function loop(SampleJob $job, array $lengths, ?string $least, ?string $most): array
    {
        $job->facts['loops'] = [
            [
                'id' => 'loop-1',
                'name' => 'End float',
                'least' => $least === null ? null : self::mm($least),
                'most' => $most === null ? null : self::mm($most),
                'lengths' => $lengths,
            ],
        ];

        return json_decode(
            json_encode(JobAnswers::of($job->build())->jsonSerialize()['loops'][0], JSON_THROW_ON_ERROR),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );
    }

    /**
     * A housing of 50 ±0.1 and a gap of 0 to 0.1: none is sure, 49.95 does for half of such housings (by hand, as in
     * BestLengthTest). It stands in the loop, on the card of the surface and in the chance of the whole.
     */
    public function test_where_none_is_sure_the_likeliest_is_said(): void
    {
        $job = SampleJob::measured();
        $sleeve = $job->surface('Bush length');
        $job->facts['joints'] = array_slice($job->facts['joints'], 0, 2);
        $answer = self::loop(
            $job,
            [
                self::length('Housing', true, [
                    'size' => self::mm('50'),
                    'plus' => self::mm('0.1'),
                    'minus' => self::mm('0.1'),
                ]),
                self::length('Bush length', false, ['surface' => $sleeve]),
            ],
            '0',
            '0.1',
        );
        self::assertMatchesRegularExpression(
            '/^No “Bush length” closes it for sure.*49.950 closes it in (49|50) of 100/',
            $answer['solved']['mm'],
        );
        self::assertEqualsWithDelta(0.5, $answer['chance'], 0.01);
        $answers = JobAnswers::of($job->build());
        $entry = array_values(array_filter($answers->make, static fn ($e): bool => $e->surface->id === $sleeve))[0];
        self::assertEqualsWithDelta(49.95, $entry->band?->middleMm(), 1e-6);
        self::assertEqualsWithDelta(0.5, $entry->chance, 0.01);
        self::assertContains('End float', array_column($answers->whole->pieces ?? [], 'name'));
        // Made so and read, the loop is closed by what it came out at.
        $job->cut('Bush length', 'only', null, '49.950', 'calliper');
        self::assertEqualsWithDelta(0.5, JobAnswers::of($job->build())->loops[0]->chance(), 0.02);
    }

    /**
     * By hand: 10 less 0.10005 to 0.19995 is 9.80005 to 9.89995; written to three places inside that, 9.801 to 9.899.
     * Nothing left for a length is said.
     */
    public function test_an_open_length_is_written_inside_its_limits(): void
    {
        $lengths = [self::length('Housing', true, ['size' => self::mm('10')]), self::length('Bush', false, [])];
        $answer = self::loop(SampleJob::measured(), $lengths, '0.10005', '0.19995');
        self::assertSame('Bush: 9.801 to 9.899.', $answer['solved']['mm']);
        self::assertSame('anywhere from 9.801 to 9.899', $answer['length']['limit']['mm']);
        self::assertNotNull($answer['picture']);
        self::assertSame(
            ['10.000 to 10.000', '10.000 − 0.200 = 9.800', '10.000 − 0.100 = 9.900'],
            array_map(static fn (array $s): string => $s['numbers']['mm'], $answer['working']),
        );
        self::assertSame('Bush: 0.3859 to 0.3897.', $answer['solved']['in'], '0.385829 to 0.389762 in, inward');
        self::assertSame(
            ['9.899', 'or shorter'],
            [
                self::loop(SampleJob::measured(), $lengths, '0.10005', null)['length']['aim']['mm'],
                self::loop(SampleJob::measured(), $lengths, '0.10005', null)['length']['limit']['mm'],
            ],
        );
        $full = self::loop(SampleJob::measured(), $lengths, '10.5', '11');
        self::assertNull($full['length']);
        self::assertStringContainsString('no room left', $full['solved']['mm']);
    }

    public function test_a_gate_withholds_the_length_too(): void
    {
        $job = SampleJob::measured();
        $job->facts['take_in']['gates'] = ['road'];
        $answer = self::loop(
            $job,
            [self::length('Housing', true, ['size' => self::mm('10')]), self::length('Bush', false, [])],
            '0.1',
            '0.2',
        );
        self::assertNull($answer['solved']);
        self::assertNull($answer['length']);
        self::assertStringContainsString('No size is issued', $answer['blocked']['mm']);
        $answer = self::loop($job, [self::length('Housing', true, ['size' => self::mm('10')])], '0.1', '0.2');
        self::assertSame(
            [null, null, [], []],
            [$answer['closes_at'], $answer['picture'], $answer['notes'], $answer['working']],
        );
    }

    /**
     * The housing found 40.00, washers typed 1.5 ± 0.05: a bush in between leaves 0.1 to 0.4: by hand 38.1 to 38.4 less
     * the housing's own doubt and the washer's.
     */
    public function test_an_open_length_is_solved_for(): void
    {
        $job = SampleJob::measured();
        $lengths = [
            self::length('Housing', true, ['surface' => $job->surface('Housing length')]),
            self::length('Washer', false, [
                'size' => self::mm('1.5'),
                'plus' => self::mm('0.05'),
                'minus' => self::mm('0.05'),
            ]),
            self::length('Bush', false, []),
        ];
        $answer = self::loop($job, $lengths, '0.1', '0.4');
        self::assertMatchesRegularExpression('/^Bush: 38\.1\d\d to 38\.3\d\d\.$/', $answer['solved']['mm']);
        self::assertMatchesRegularExpression('/^38\.2\d\d$/', $answer['length']['aim']['mm']);
        self::assertNull($answer['closes_at']);
        self::assertSame(['found', 'typed', 'open'], array_column($answer['rows'], 'from'));
        $lengths[2]['size'] = self::mm('38.25');
        $closed = self::loop($job, $lengths, '0.1', '0.4');
        self::assertSame('0.250', $closed['closes_at']['mm']);
        self::assertGreaterThan(0.999, $closed['chance']);
        self::assertEqualsWithDelta(1.0, array_sum(array_column($closed['rows'], 'share')), 1e-9);
        self::assertNotNull($closed['picture']);
    }

    /** A length to be made comes with its band: the bush length of the plan is up to 0.1 mm short, so is its gap. */
    public function test_a_made_length_comes_with_its_band(): void
    {
        $job = SampleJob::measured();
        $answer = self::loop(
            $job,
            [
                self::length('Housing', true, ['surface' => $job->surface('Housing length')]),
                self::length('Bush', false, ['surface' => $job->surface('Bush length')]),
            ],
            '0',
            null,
        );
        self::assertSame(['found', 'to make'], array_column($answer['rows'], 'from'));
        self::assertGreaterThan(0.5, $answer['chance']);
        self::assertStringNotContainsString('100000', $answer['worst']['mm']);
    }

    /**
     * @param  list<array{string, string, list<array<string, mixed>>, string}>  $loops  name, least, lengths, most
     * @return list<array<string, mixed>>
     */
    private static function loops(SampleJob $job, array $loops): array
    {
        $job->facts['loops'] = array_map(
            static fn (array $l): array => [
                'id' => 'loop-'.$l[0],
                'name' => $l[0],
                'least' => self::mm($l[1]),
                'most' => self::mm($l[2]),
                'lengths' => $l[3],
            ],
            $loops,
        );

        return json_decode(
            json_encode(JobAnswers::of($job->build())->jsonSerialize()['loops'], JSON_THROW_ON_ERROR),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );
    }

    /**
     * By hand: the one loop asks the spacer to be 9.8 to 9.9, the other 9.85 to 9.95: 9.85 to 9.9 serves both. Where
     * they ask for 9.8 to 9.9 and 9.95 to 10 none does.
     */
    public function test_one_piece_serves_two_loops(): void
    {
        $spacer = self::length('Spacer', false, []);
        $ten = static fn (string $size): array => [self::length('Housing', true, ['size' => self::mm($size)]), $spacer];
        [$a, $b] = self::loops(SampleJob::measured(), [
            ['float', '0.1', '0.2', $ten('10')],
            ['clamp', '0.05', '0.15', $ten('10')],
        ]);
        self::assertSame(
            ['Spacer: 9.850 to 9.900.', 'Spacer: 9.850 to 9.900.'],
            [$a['solved']['mm'], $b['solved']['mm']],
        );
        self::assertSame('“clamp” asks for 9.850 to 9.950: the limits here serve both.', $a['shared']['mm']);
        [$a] = self::loops(SampleJob::measured(), [
            ['float', '0.1', '0.2', $ten('10')],
            ['clamp', '0', '0.05', $ten('10')],
        ]);
        self::assertSame(
            'No one Spacer serves both: here it would be 9.800 to 9.900, and “clamp” asks for 9.950 to 10.000. Change a wish, or another length.',
            $a['solved']['mm'],
        );
        self::assertNull($a['length']);
        // Solved in the one, known in the other: 20 − (9.8 … 9.9) − x within 0 to 1 leaves 9.2 to 10.1.
        [, $b] = self::loops(SampleJob::measured(), [
            ['float', '0.1', '0.2', $ten('10')],
            [
                'end',
                '0',
                '1',
                [self::length('Box', true, ['size' => self::mm('20')]), $spacer, self::length('Cap', false, [])],
            ],
        ]);
        self::assertSame('Cap: 9.200 to 10.100.', $b['solved']['mm']);
    }

    /**
     * Across an axis diameters count half: a bore of 100 round a rim of 97 leaves 1.5; and 1 to 2 asked of a rim gives
     * 96 to 98.
     */
    public function test_diameters_count_half(): void
    {
        $half = static fn (?string $rim): array => [
            self::length('Guard bore', true, ['size' => self::mm('100'), 'counts_half' => true]),
            self::length('Rim', false, [
                'size' => $rim === null ? null : self::mm($rim),
                'plus' => self::mm('0.2'),
                'minus' => self::mm('0.2'),
                'counts_half' => true,
            ]),
        ];
        $answer = self::loop(SampleJob::measured(), $half('97'), '1', '2');
        self::assertSame(['1.500', '1.400 to 1.600'], [$answer['closes_at']['mm'], $answer['worst']['mm']]);
        self::assertSame(
            'Rim: 96.000 to 98.000.',
            self::loop(SampleJob::measured(), $half(null), '1', '2')['solved']['mm'],
        );
        self::assertContains(
            'Make “Rim” 97.000 mm instead of 99.000 mm.',
            array_map(
                static fn (array $r): string => $r['do']['mm'],
                self::loop(SampleJob::measured(), $half('99'), '1', '2')['remedies'],
            ),
        );
    }

    /**
     * By hand: an aluminium housing (23.6e-6/K or as the table has it) of 200 at 80 °C against a steel shaft at 50: the
     * change is 200 (αh 60 − αs 30).
     */
    public function test_warm_as_in_use(): void
    {
        $housing = 'aluminium alloy, wrought, aged';
        $shaft = 'medium-carbon steel, normalised';
        $alpha = static fn (string $name): float => (float) Material::named($name)->alphaPerK;
        $answer = self::loop(
            SampleJob::measured(),
            [
                self::length('Housing', true, ['size' => self::mm('200'), 'in_use_c' => 80, 'material' => $housing]),
                self::length('Shaft', false, ['size' => self::mm('199.8'), 'in_use_c' => 50, 'material' => $shaft]),
                self::length('Felt', false, ['size' => self::mm('0.1'), 'in_use_c' => 50]),
            ],
            '0.05',
            '0.15',
        );
        self::assertSame('0.100', $answer['closes_at']['mm']);
        $grows = 200 * $alpha($housing) * 60 - 199.8 * $alpha($shaft) * 30;
        self::assertEqualsWithDelta(0.1 + $grows, (float) $answer['in_use']['closes_at']['mm'], 6e-4);
        self::assertStringContainsString('wider than cold', $answer['in_use']['says']['mm']);
        self::assertSame(0, (int) $answer['in_use']['chance']);
        self::assertStringContainsString('“Felt”', $answer['in_use']['unknown']);
        self::assertNull(
            self::loop(SampleJob::measured(), [self::length('Housing', true, ['size' => self::mm('200')])], '0', '1')[
                'in_use'
            ],
        );
    }

    /**
     * A length to make without a joint gets its limits from its loop, its own line on the make card and its own cut
     * log; once cut, the loop closes with what it came out at.
     */
    public function test_a_length_to_make_has_its_own_cut_log(): void
    {
        $job = SampleJob::measured();
        $job->facts['surfaces'][] = [
            ...$job->facts['surfaces'][0],
            'id' => 'collar',
            'name' => 'Collar width',
            'part' => array_column($job->facts['parts'], 'id', 'name')['Bush'],
            'kind' => 'length',
            'size' => null,
            'at' => null,
            'long' => null,
            'sketch' => null,
        ];
        $lengths = [
            self::length('Frame', true, ['size' => self::mm('40')]),
            self::length('Collar width', false, ['surface' => 'collar']),
        ];
        $job->facts['loops'] = [
            [
                'id' => 'loop-1',
                'name' => 'End float',
                'least' => self::mm('0.1'),
                'most' => self::mm('0.3'),
                'lengths' => $lengths,
            ],
        ];
        $answers = json_decode(
            json_encode(JobAnswers::of($job->build()), JSON_THROW_ON_ERROR),
            true,
            128,
            JSON_THROW_ON_ERROR,
        );
        $entry = array_column($answers['make'], null, 'surface')['collar'];
        self::assertSame(
            ['39.900', 'stop anywhere down to 39.700', 'For “End float”.'],
            [$entry['aim']['mm'], $entry['limit']['mm'], $entry['remarks'][0]['mm']],
        );
        self::assertContains('collar', array_column($answers['making'], 'surface'));
        // Still being cut: the loop goes on asking. Come out at 39.8 it closes at 0.2; cut too far, at 39.5, it does
        // not.
        self::assertSame(
            'Collar width: 39.700 to 39.900.',
            self::loop($job->cut('Collar width', 'only', null, '41'), $lengths, '0.1', '0.3')['solved']['mm'],
        );
        $done = self::loop($job->cut('Collar width', 'only', null, '39.8', 'depth-micrometer'), $lengths, '0.1', '0.3');
        self::assertSame(['0.200', 'made'], [$done['closes_at']['mm'], $done['rows'][1]['from']]);
        self::assertGreaterThan(0.999, $done['chance']);
        self::assertSame(
            0,
            (int) self::loop(
                $job->cut('Collar width', 'only', null, '39.5', 'depth-micrometer'),
                $lengths,
                '0.1',
                '0.3',
            )['chance'],
        );
    }

    /**
     * By hand: housing found 40.00 and a shaft of 40.05 bind by 0.05; 0.1 to 0.3 is wanted, so 0.15 to 0.35 comes off
     * whatever is there and closes; a length that opens is not faced to widen.
     */
    public function test_how_much_to_face_off(): void
    {
        $job = SampleJob::measured();
        $lengths = [
            self::length('Frame', true, ['size' => self::mm('39.95')]),
            self::length('Housing length', false, ['surface' => $job->surface('Housing length')]),
        ];
        $does = array_map(
            static fn (array $r): string => $r['do']['mm'],
            self::loop($job, $lengths, '0.1', '0.3')['remedies'],
        );
        $face = array_values(preg_grep('/^Take/', $does) ?: []);
        self::assertCount(1, $face);
        self::assertSame(
            1,
            preg_match(
                '/^Take 0\.250 mm off “Housing length”: anywhere from (0\.\d{3}) mm to (0\.\d{3}) mm\.$/',
                $face[0],
                $m,
            ),
        );
        self::assertEqualsWithDelta([0.15, 0.35], [(float) $m[1], (float) $m[2]], 0.03);
        // The others spread more than is wanted: to the middle, with no range promised. One limit alone: just as much
        // as it takes, or nothing.
        $wide = [
            self::length('Frame', true, [
                'size' => self::mm('39.95'),
                'plus' => self::mm('0.3'),
                'minus' => self::mm('0.3'),
            ]),
            $lengths[1],
        ];
        $of = static fn (array $l, ?string $least, ?string $most): array => array_values(
            preg_grep(
                '/^Take/',
                array_map(
                    static fn (array $r): string => $r['do']['mm'],
                    self::loop($job, $l, $least, $most)['remedies'],
                ),
            ) ?:
            [],
        );
        self::assertSame(['Take 0.250 mm off “Housing length”.'], $of($wide, '0.1', '0.3'));
        self::assertStringStartsWith('Take 0.1', $of($lengths, '0.1', null)[0]);
        self::assertSame([], $of($lengths, null, '-0.1'));
        // A bore gets no smaller by taking metal off it.
        $bore = [self::length('Frame', true, ['size' => self::mm('29.95')]), self::length('Housing bore', false, ['surface' => $job->surface('Housing bore')])];
        self::assertSame([], $of($bore, '0.1', '0.3'));
        $boss = [self::length('Frame', true, ['size' => self::mm('59.95')]), self::length('Boss outside', false, ['surface' => $job->surface('Boss outside')])];
        self::assertStringStartsWith('Take 0.2', $of($boss, '0.1', '0.3')[0]);
        // As noted on a drawing, and not read, it can be faced as well.
        $noted = SampleJob::measured()->change('Housing length', ['size' => self::mm('40'), 'source' => 'drawing']);
        $noted->facts['readings'] = array_values(
            array_filter($noted->facts['readings'], static fn (array $r): bool => $r['surface'] !== $noted->surface('Housing length')),
        );
        $says = array_map(static fn (array $r): string => $r['do']['mm'], self::loop($noted, $lengths, '0.1', '0.3')['remedies']);
        self::assertCount(1, preg_grep('/^Take 0\.250 mm off “Housing length”/', $says) ?: []);
        $turned = self::loop(
            $job,
            [
                self::length('Housing length', true, ['surface' => $job->surface('Housing length')]),
                self::length('Frame', false, ['size' => self::mm('40.05')]),
            ],
            '0.1',
            '0.3',
        );
        self::assertSame(
            [],
            preg_grep('/^Take/', array_map(static fn (array $r): string => $r['do']['mm'], $turned['remedies'])),
        );
    }

    /**
     * One end of a reserve alone is enough: at least 15 of engagement, and as much as there is. By hand 60 − 39.8 −
     * 20.2 = 0 is 0.2 too narrow: to 20.0, which leaves 5.
     */
    public function test_a_reserve_with_one_end(): void
    {
        $answer = self::loop(
            SampleJob::measured(),
            [
                self::length('Frame', true, ['size' => self::mm('60')]),
                self::length('Dial', false, ['size' => self::mm('39.8'), 'origin' => 'bought']),
                self::length('Shaft', false, ['size' => self::mm('20.2'), 'reserve_least' => self::mm('15')]),
            ],
            '0.1',
            '0.3',
        );
        self::assertSame(
            'Let “Shaft” go to 20.000 mm instead of 20.200 mm: 5.000 mm of its reserve is left.',
            $answer['remedies'][0]['do']['mm'],
        );
        self::assertSame(
            ['20.000'],
            array_column(
                array_filter(
                    array_column($answer['remedies'][0]['changes'][0]['fact']['lengths'], 'size', 'name'),
                    static fn (array $s): bool => $s['typed'] === '20.000',
                ),
                'typed',
            ),
        );
        self::assertSame(
            [],
            preg_grep('/Dial/', array_map(static fn (array $r): string => $r['do']['mm'], $answer['remedies'])),
            'what is bought is not made another size',
        );
    }

    /**
     * What was typed in inches is answered in inches: 2.0 less 1.5 is 0.1 too wide for a wish of 0.4; to 1.6 with what was typed of it
     * else. Held closer, its limits are written to four places and never wider than was worked out.
     */
    public function test_a_remedy_is_typed_in_the_unit_of_the_length(): void
    {
        $in = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'in'];
        $answer = self::loop(
            SampleJob::measured(),
            [
                self::length('Frame', true, ['size' => $in('2.0'), 'origin' => 'there', 'spread' => 'measured']),
                self::length('Spacer', false, ['size' => $in('1.5'), 'plus' => $in('0.02'), 'minus' => $in('0.02')]),
            ],
            '9.66',
            '10.66',
        );
        $typed = [];
        foreach ($answer['remedies'] as $remedy) {
            foreach ($remedy['changes'] as $change) {
                $row = array_column($change['fact']['lengths'], null, 'name')['Spacer'];
                $typed[] = [$row['size']['typed'], $row['size']['unit'], $row['plus']['typed']];
            }
        }
        self::assertContains(['1.6000', 'in', '0.02'], $typed, 'aimed at the middle, its limits as they were');
        // Held closer its limits stay of their own order of size.
        foreach ($typed as [, , $plus]) {
            self::assertGreaterThan(0.0005, (float) $plus);
            self::assertLessThan(1.0, (float) $plus);
        }
        foreach ($typed as [$size, , $plus]) {
            self::assertEqualsWithDelta(1.6, (float) $size, 0.0001);
            self::assertLessThanOrEqual(0.02, (float) $plus);
        }
    }

    /** 3 and 4 at right angles are 5 at 53.1°; each with its way, one without is asked for. */
    public function test_two_directions_at_once(): void
    {
        $job = SampleJob::measured();
        $of = static function (array $lengths, ?string $most) use ($job): array {
            $job->facts['loops'] = [
                [
                    'id' => 'loop-1',
                    'name' => 'Offset of the centre',
                    'least' => null,
                    'most' => $most === null ? null : self::mm($most),
                    'lengths' => $lengths,
                    'plane' => true,
                ],
            ];

            return json_decode(
                json_encode(JobAnswers::of($job->build())->jsonSerialize()['loops'][0], JSON_THROW_ON_ERROR),
                true,
                64,
                JSON_THROW_ON_ERROR,
            );
        };
        $lengths = [
            self::length('Across', true, [
                'size' => self::mm('3'),
                'plus' => self::mm('0.02'),
                'minus' => self::mm('0.02'),
                'spread' => 'measured',
                'angle_deg' => 0,
            ]),
            self::length('Up', true, [
                'size' => self::mm('4'),
                'plus' => self::mm('0.02'),
                'minus' => self::mm('0.02'),
                'spread' => 'measured',
                'angle_deg' => 90,
            ]),
        ];
        $answer = $of($lengths, '5.1');
        self::assertSame('5.000', $answer['closes_at']['mm']);
        self::assertStringContainsString('It lies at 53.1° ± 0.3°', $answer['notes'][0]['say']['mm']);
        self::assertGreaterThan(0.9999, $answer['chance']);
        self::assertNotNull($answer['picture']);
        self::assertEqualsWithDelta([0.36, 0.64], array_column($answer['rows'], 'share'), 1e-9);
        // The limit at the middle is met by half of them, one far below it by none.
        $codes = static fn (string $most): array => array_column($of($lengths, $most)['notes'], 'code');
        self::assertSame([[], ['may-not-close'], ['never-closes']], array_map(
            static fn (string $most): array => array_values(array_intersect($codes($most), ['may-not-close', 'never-closes'])),
            ['5.1', '5', '3'],
        ));
        unset($lengths[1]['angle_deg']);
        self::assertSame('Not known yet: Up (which way).', $of($lengths, '5.1')['blocked']['mm']);
    }

    public function test_what_is_missing_is_said(): void
    {
        $job = SampleJob::measured();
        self::assertStringContainsString('Add the lengths', self::loop($job, [], '0', '1')['blocked']['mm']);
        self::assertStringContainsString(
            'at least, at most',
            self::loop($job, [self::length('A', true, ['size' => self::mm('1')])], null, null)['blocked']['mm'],
        );
        self::assertStringContainsString(
            'Not known yet: A, B',
            self::loop(
                $job,
                [
                    self::length('A', true, []),
                    self::length('B', false, []),
                    self::length('C', true, ['size' => self::mm('1')]),
                ],
                '0',
                '1',
            )['blocked']['mm'],
        );
        self::assertStringContainsString(
            'at least',
            self::loop(
                $job,
                [self::length('A', true, []), self::length('C', false, ['size' => self::mm('5')])],
                '0.1',
                null,
            )['solved']['mm'],
        );
        $text = JobFile::write($job->build());
        self::assertSame($text, JobFile::write(JobFile::read($text)));
        $this->expectException(BadInput::class);
        self::loop($job, [self::length('A', true, ['surface' => 'none'])], '0', '1');
    }

    /**
     * By hand: 40.00 less 39.00 is 1 mm; 0.1 to 0.4 is wanted: 0.6 to 0.9 of shims, less the doubts; of 0.5, 0.2 and
     * 0.1 the fewest are two.
     */
    public function test_a_gap_too_wide_is_shimmed(): void
    {
        $job = SampleJob::measured();
        $lengths = [
            self::length('Housing', true, ['surface' => $job->surface('Housing length')]),
            self::length('Bush', false, ['size' => self::mm('39')]),
        ];
        self::assertNull(self::loop($job, $lengths, '0.1', '0.4')['shims']);
        $job->facts['shop']['shims'] = '0.1 x4, 0.2 x2, 0.5';
        self::assertStringContainsString(
            '0.500 mm + 0.200 mm: it then closes at 0.300',
            self::loop($job, $lengths, '0.1', '0.4')['shims']['mm'],
        );
        $job->facts['shop']['shims'] = '2 x1';
        self::assertStringContainsString('No pile', self::loop($job, $lengths, '0.1', '0.4')['shims']['mm']);
        foreach (['0.05 x3, smudge', '0', '30'] as $bad) {
            try {
                ShimStock::read($bad, Unit::Millimetre);
                self::fail($bad);
            } catch (BadInput $e) {
                self::assertSame('shims', $e->field);
            }
        }
        self::assertEqualsWithDelta(0.0508, ShimStock::read('0.05 x3; 0.002 in', Unit::Millimetre)[1]['mm'], 1e-9);
    }

    /**
     * By hand: an arm of 100 with a boss of 20, turned past a pin of 4 at 150, 20: √(150² + 20²) − 100 − 10 − 2 is
     * 39.327 mm of room, at atan(20/150), 7.6°.
     */
    public function test_an_arm_past_a_pin(): void
    {
        $codes = static function (?string $doubt): array {
            $job = SampleJob::measured();
            $job->facts['clearances'] = [[
                'id' => 'c1', 'name' => 'Arm past the pin', 'travel' => 'swing', 'arm' => self::mm('100'), 'mover' => self::mm('20'),
                'from_deg' => 0, 'to_deg' => 90, 'from' => null, 'to' => null, 'other' => 'round', 'x' => self::mm('150'),
                'y' => self::mm('20'), 'other_size' => self::mm('4'), 'doubt' => $doubt === null ? null : self::mm($doubt), 'least' => self::mm('1'),
            ]];
            $clearance = json_decode((string) json_encode(JobAnswers::of($job->build())), true)['clearances'][0];
            self::assertStringContainsString('39.327 mm at 7.6°', $clearance['notes'][0]['say']['mm']);

            return array_column($clearance['notes'], 'code');
        };
        self::assertSame(['clears', 'no-doubt'], $codes(null));
        self::assertSame(['clears'], $codes('0.5'));
    }
}

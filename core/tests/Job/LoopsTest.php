<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Job;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Job\Evaluator;
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
        return ['name' => $name, 'surface' => null, 'size' => null, 'plus' => null, 'minus' => null, 'opens' => $opens, 'spread' => 'uniform', ...$changes];
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
        $job->facts['loops'] = [['id' => 'loop-1', 'name' => 'End float', 'least' => $least === null ? null : self::mm($least), 'most' => $most === null ? null : self::mm($most), 'lengths' => $lengths]];

        return json_decode(json_encode((new Evaluator)->evaluate($job->build())->loops[0], JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR);
    }

    /** By hand: 10 less 0.10005 to 0.19995 is 9.80005 to 9.89995; written to three places inside that, 9.801 to 9.899. Nothing left for a length is said. */
    public function test_an_open_length_is_written_inside_its_limits(): void
    {
        $lengths = [self::length('Housing', true, ['size' => self::mm('10')]), self::length('Bush', false, [])];
        $answer = self::loop(SampleJob::measured(), $lengths, '0.10005', '0.19995');
        self::assertSame('Bush: 9.801 to 9.899.', $answer['solved']['mm']);
        self::assertSame('anywhere from 9.801 to 9.899', $answer['length']['limit']['mm']);
        self::assertNotNull($answer['picture']);
        self::assertSame(['10.000 to 10.000', '10.000 − 0.200 = 9.800', '10.000 − 0.100 = 9.900'], array_map(static fn (array $s): string => $s['numbers']['mm'], $answer['working']));
        self::assertSame('Bush: 0.3859 to 0.3897.', $answer['solved']['in'], '0.385829 to 0.389762 in, inward');
        self::assertSame(['9.899', 'or shorter'], [self::loop(SampleJob::measured(), $lengths, '0.10005', null)['length']['aim']['mm'], self::loop(SampleJob::measured(), $lengths, '0.10005', null)['length']['limit']['mm']]);
        $full = self::loop(SampleJob::measured(), $lengths, '10.5', '11');
        self::assertNull($full['length']);
        self::assertStringContainsString('no room left', $full['solved']['mm']);
    }

    public function test_a_gate_withholds_the_length_too(): void
    {
        $job = SampleJob::measured();
        $job->facts['take_in']['gates'] = ['road'];
        $answer = self::loop($job, [self::length('Housing', true, ['size' => self::mm('10')]), self::length('Bush', false, [])], '0.1', '0.2');
        self::assertNull($answer['solved']);
        self::assertNull($answer['length']);
        self::assertStringContainsString('No size is issued', $answer['blocked']['mm']);
        $answer = self::loop($job, [self::length('Housing', true, ['size' => self::mm('10')])], '0.1', '0.2');
        self::assertSame([null, null, [], []], [$answer['closes_at'], $answer['picture'], $answer['notes'], $answer['working']]);
    }

    /** The housing found 40.00, washers typed 1.5 ± 0.05: a bush in between leaves 0.1 to 0.4: by hand 38.1 to 38.4 less the housing's own doubt and the washer's. */
    public function test_an_open_length_is_solved_for(): void
    {
        $job = SampleJob::measured();
        $lengths = [
            self::length('Housing', true, ['surface' => $job->surface('Housing length')]), self::length('Washer', false, ['size' => self::mm('1.5'), 'plus' => self::mm('0.05'), 'minus' => self::mm('0.05')]),
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
        $answer = self::loop($job, [self::length('Housing', true, ['surface' => $job->surface('Housing length')]), self::length('Bush', false, ['surface' => $job->surface('Bush length')])], '0', null);
        self::assertSame(['found', 'to make'], array_column($answer['rows'], 'from'));
        self::assertGreaterThan(0.5, $answer['chance']);
        self::assertStringNotContainsString('100000', $answer['worst']['mm']);
    }

    public function test_what_is_missing_is_said(): void
    {
        $job = SampleJob::measured();
        self::assertStringContainsString('Add the lengths', self::loop($job, [], '0', '1')['blocked']['mm']);
        self::assertStringContainsString('at least, at most', self::loop($job, [self::length('A', true, ['size' => self::mm('1')])], null, null)['blocked']['mm']);
        self::assertStringContainsString('Not known yet: A, B', self::loop($job, [self::length('A', true, []), self::length('B', false, []), self::length('C', true, ['size' => self::mm('1')])], '0', '1')['blocked']['mm']);
        self::assertStringContainsString('at least', self::loop($job, [self::length('A', true, []), self::length('C', false, ['size' => self::mm('5')])], '0.1', null)['solved']['mm']);
        $text = JobFile::write($job->build());
        self::assertSame($text, JobFile::write(JobFile::read($text)));
        $this->expectException(BadInput::class);
        self::loop($job, [self::length('A', true, ['surface' => 'none'])], '0', '1');
    }

    /** By hand: 40.00 less 39.00 is 1 mm; 0.1 to 0.4 is wanted: 0.6 to 0.9 of shims, less the doubts; of 0.5, 0.2 and 0.1 the fewest are two. */
    public function test_a_gap_too_wide_is_shimmed(): void
    {
        $job = SampleJob::measured();
        $lengths = [self::length('Housing', true, ['surface' => $job->surface('Housing length')]), self::length('Bush', false, ['size' => self::mm('39')])];
        self::assertNull(self::loop($job, $lengths, '0.1', '0.4')['shims']);
        $job->facts['shop']['shims'] = '0.1 x4, 0.2 x2, 0.5';
        self::assertStringContainsString('0.500 mm + 0.200 mm: it then closes at 0.300', self::loop($job, $lengths, '0.1', '0.4')['shims']['mm']);
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
}

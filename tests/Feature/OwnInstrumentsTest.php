<?php

declare(strict_types=1);

namespace Tests\Feature;

/** The figures of the shop's instruments: changed, added, put back, and what that does to jobs. */
final class OwnInstrumentsTest extends FeatureTestCase
{
    /** @return array{typed: string, unit: string} */
    private static function mm(string $typed): array
    {
        return ['typed' => $typed, 'unit' => 'mm'];
    }

    /** @return array<string, mixed> the state of a job with one journal reading */
    private function readJob(string $instrument = 'outside-micrometer'): array
    {
        $journal = self::idOf($this->startJob(), 'surfaces', 'Shaft journal');

        return $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(1, ['surface' => $journal, 'value' => self::mm('22.203'), 'instrument' => $instrument]),
            200,
        );
    }

    /** @param  array<string, mixed>  $state */
    private static function u95(array $state): float
    {
        foreach ($state['answers']['surfaces'] as $surface) {
            if ($surface['found'] !== null) {
                return $surface['found']['u95_mm'];
            }
        }
        self::fail('Nothing is found.');
    }

    /** By hand: MPE from 0.004 to 0.012 adds (0.012² − 0.004²)/3 to u², so 4 times that to U² (k = 2). */
    public function test_a_figure_changed_in_the_shop_holds_for_every_job(): void
    {
        $before = self::u95($this->readJob());
        $shown = $this->api(
            'PUT',
            '/api/instruments/outside-micrometer',
            ['mpe' => ['typed' => '12 um', 'unit' => 'in']],
            200,
        );
        self::assertFalse($shown['usual']);
        self::assertSame('12 um', array_column($shown['figures'], 'typed', 'field')['mpe']);
        $after = $this->api('GET', '/api/jobs/job-1', null, 200);
        self::assertEqualsWithDelta(sqrt($before ** 2 + (4 * (0.012 ** 2 - 0.004 ** 2)) / 3), self::u95($after), 1e-6);
        self::assertSame(0.012, $after['facts']['shop']['instruments'][0]['mpe_mm']);
        self::assertTrue($this->api('DELETE', '/api/instruments/outside-micrometer', null, 200)['usual']);
        self::assertEqualsWithDelta($before, self::u95($this->api('GET', '/api/jobs/job-1', null, 200)), 1e-12);
    }

    public function test_one_that_left_the_shop_is_offered_no_more_but_its_readings_stand(): void
    {
        $this->readJob();
        $this->api('PUT', '/api/instruments/outside-micrometer', ['in_shop' => false], 200);
        self::assertNotContains(
            'outside-micrometer',
            array_column($this->api('GET', '/api/catalogue', null, 200)['instruments'], 'code'),
        );
        self::assertGreaterThan(0, self::u95($this->api('GET', '/api/jobs/job-1', null, 200)));
    }

    public function test_an_instrument_of_ones_own(): void
    {
        $this->api(
            'PUT',
            '/api/instruments/snap-gauge',
            ['name' => 'Snap gauge', 'fits' => ['shaft'], 'resolution' => self::mm('0.0005'), 'to' => self::mm('60')],
            200,
        );
        self::assertContains(
            'snap-gauge',
            array_column($this->api('GET', '/api/catalogue', null, 200)['instruments'], 'code'),
        );
        $state = $this->readJob('snap-gauge');
        self::assertSame('snap-gauge', $state['facts']['readings'][0]['instrument']);
        $this->api('DELETE', '/api/instruments/snap-gauge', null, 422);
    }

    public function test_what_makes_no_sense_is_refused_by_name(): void
    {
        foreach (
            [
                ['resolution', ['name' => 'New', 'fits' => ['bore']]],
                ['name', ['resolution' => self::mm('0.01')]],
                ['fits', ['name' => 'New', 'fits' => ['thread'], 'resolution' => self::mm('0.01')]],
                ['from_mm', ['name' => 'New', 'resolution' => self::mm('0.01'), 'from' => self::mm('200')]],
                ['mpe', ['name' => 'New', 'resolution' => self::mm('0.01'), 'mpe' => self::mm('6')]],
                ['mpe', ['name' => 'New', 'resolution' => self::mm('0.01'), 'mpe' => self::mm('smudge')]],
            ] as [$field, $body]
        ) {
            self::assertSame($field, $this->api('PUT', '/api/instruments/new-one', $body, 422)['error']['field']);
        }
        $this->api('PUT', '/api/instruments/b%20d', ['name' => 'New', 'resolution' => self::mm('0.01')], 422);
        self::assertNotContains(
            'new-one',
            array_column($this->api('GET', '/api/instruments', null, 200)['instruments'], 'code'),
        );
        $this->readJob();
        self::assertSame(
            'shop.instruments',
            $this->api('PATCH', '/api/jobs/job-1', $this->change(2, ['shop' => ['instruments' => []]]), 422)['error'][
                'field'
            ],
        );
    }

    /** A file read where the gauge is another keeps how sure its readings were; read here again nothing changes. */
    public function test_a_file_brings_its_own_instruments_along(): void
    {
        $this->readJob();
        $this->api('PUT', '/api/instruments/outside-micrometer', ['mpe' => self::mm('0.02')], 200);
        $state = $this->api('GET', '/api/jobs/job-1', null, 200);
        $text = (string) $this->get('/api/jobs/job-1/file')->assertOk()->getContent();
        $here = $this->api('POST', '/api/jobs/import', $text, 201);
        self::assertSame('outside-micrometer', $here['facts']['readings'][0]['instrument']);
        $this->api('DELETE', '/api/instruments/outside-micrometer', null, 200);
        $there = $this->api('POST', '/api/jobs/import', $text, 201);
        self::assertSame('outside-micrometer~2', $there['facts']['readings'][0]['instrument']);
        self::assertEqualsWithDelta(self::u95($state), self::u95($there), 1e-9);
        $again = $this->api('POST', '/api/jobs/import', $text, 201);
        self::assertSame(
            'outside-micrometer~2',
            $again['facts']['readings'][0]['instrument'],
            'the same one comes once',
        );
        self::assertNotContains(
            'outside-micrometer~2',
            array_column($this->api('GET', '/api/catalogue', null, 200)['instruments'], 'code'),
        );
    }
}

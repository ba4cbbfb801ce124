<?php

declare(strict_types=1);

namespace Tests\Feature;

/** Checks of the shop's instruments, and what they do to a reading taken after. */
final class InstrumentTest extends FeatureTestCase
{
    /** @return array<string, mixed> */
    private static function check(string $id, string $read, string $at): array
    {
        return [
            'id' => $id,
            'read' => ['typed' => $read, 'unit' => 'mm'],
            'true' => ['typed' => '25', 'unit' => 'mm'],
            'at' => $at,
        ];
    }

    public function test_a_check_corrects_the_readings_after_it(): void
    {
        $state = $this->startJob();
        $journal = self::idOf($state, 'surfaces', 'Shaft journal');
        $reading = [
            'surface' => $journal,
            'value' => ['typed' => '22.203', 'unit' => 'mm'],
            'instrument' => 'outside-micrometer',
        ];
        $this->api('PUT', '/api/jobs/job-1/readings/r1', $this->change(1, [...$reading, 'angle' => '0']), 200);
        $now = now()->toIso8601ZuluString();
        $shown = $this->api(
            'POST',
            '/api/instruments/outside-micrometer/checks',
            self::check('c1', '25.003', $now),
            201,
        );
        self::assertTrue($shown['checks'][0]['over']);
        $this->api('POST', '/api/instruments/outside-micrometer/checks', self::check('c1', '25.003', $now), 201);
        $after = $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r2',
            $this->change(2, [...$reading, 'angle' => '90']),
            200,
        );
        self::assertNull($after['facts']['readings'][0]['correction_mm'], 'what was read before stays as it was');
        self::assertEqualsWithDelta(-0.003, $after['facts']['readings'][1]['correction_mm'], 1e-9);
        $tools = array_column($this->api('GET', '/api/instruments', null, 200)['instruments'], null, 'code');
        self::assertCount(1, $tools['outside-micrometer']['checks']);
        self::assertSame(
            ['25.003 mm', '25 mm'],
            [$shown['checks'][0]['read'], $shown['checks'][0]['true']],
            'as typed',
        );
        self::assertSame('never-checked', $tools['calliper']['notes'][0]['code']);
    }

    /** The check of the day of reading stays with it; only a number read anew takes the newer one. */
    public function test_a_newer_check_leaves_what_was_read_before(): void
    {
        $journal = self::idOf($this->startJob(), 'surfaces', 'Shaft journal');
        $reading = [
            'surface' => $journal,
            'value' => ['typed' => '22.203', 'unit' => 'mm'],
            'instrument' => 'outside-micrometer',
        ];
        $this->api(
            'POST',
            '/api/instruments/outside-micrometer/checks',
            self::check('c1', '25.003', now()->subDays(2)->toIso8601ZuluString()),
            201,
        );
        $this->api('PUT', '/api/jobs/job-1/readings/r1', $this->change(1, $reading), 200);
        $this->api(
            'POST',
            '/api/instruments/outside-micrometer/checks',
            self::check('c2', '25.001', now()->toIso8601ZuluString()),
            201,
        );
        $worn = $this->api('PUT', '/api/jobs/job-1/readings/r1', $this->change(2, [...$reading, 'worn' => true]), 200);
        self::assertEqualsWithDelta(-0.003, $worn['facts']['readings'][0]['correction_mm'], 1e-9);
        $again = $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(3, [
                ...$reading,
                'value' => ['typed' => '22.201', 'unit' => 'mm'],
                'taken_at' => now()->toIso8601ZuluString(),
            ]),
            200,
        );
        self::assertEqualsWithDelta(-0.001, $again['facts']['readings'][0]['correction_mm'], 1e-9);
    }

    public function test_an_old_check_corrects_nothing(): void
    {
        $state = $this->startJob();
        $this->api(
            'POST',
            '/api/instruments/outside-micrometer/checks',
            self::check('c1', '25.003', now()->subDays(400)->toIso8601ZuluString()),
            201,
        );
        $after = $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(1, [
                'surface' => self::idOf($state, 'surfaces', 'Shaft journal'),
                'value' => ['typed' => '22.203', 'unit' => 'mm'],
                'instrument' => 'outside-micrometer',
            ]),
            200,
        );
        self::assertNull($after['facts']['readings'][0]['correction_mm']);
    }

    public function test_what_is_no_check_is_refused(): void
    {
        $now = now()->toIso8601ZuluString();
        self::assertSame(
            'far-off',
            $this->api('POST', '/api/instruments/calliper/checks', self::check('c', '27', $now), 422)['error']['code'],
        );
        self::assertSame(
            'at',
            $this->api('POST', '/api/instruments/calliper/checks', self::check('c', '25', 'someday'), 422)['error'][
                'field'
            ],
        );
        self::assertSame(
            'read',
            $this->api('POST', '/api/instruments/calliper/checks', self::check('c', 'smudge', $now), 422)['error'][
                'field'
            ],
        );
        $this->api('POST', '/api/instruments/yardstick/checks', self::check('c', '25', $now), 422);
    }
}

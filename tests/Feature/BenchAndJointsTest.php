<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Change;
use App\Models\Job;
use Database\Seeders\DemoShop;

final class BenchAndJointsTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->seed(DemoShop::class);
    }

    public function test_the_bench_says_what_is_next(): void
    {
        $rows = array_column($this->api('GET', '/api/jobs', null, 200)['jobs'], null, 'id');
        self::assertSame('done', $rows['demo-carder']['state']);
        self::assertSame('now', $rows['demo-drill']['state']);
        self::assertSame('measure', $rows['demo-drill']['next']['stage']);
        self::assertStringContainsString('again', $rows['demo-drill']['next']['says']['in']);
    }

    public function test_the_demo_is_one_finished_job_and_one_reading_not_good_enough(): void
    {
        $carder = $this->api('GET', '/api/jobs/demo-carder', null, 200)['answers'];
        self::assertTrue($carder['hand_over']['good']);
        foreach ($carder['stages'] as $stage) {
            self::assertSame(0, $stage['open'], $stage['name']);
        }
        $drill = $this->api('GET', '/api/jobs/demo-drill', null, 200)['answers'];
        self::assertSame('not-good-enough', $drill['joints'][0]['good_enough']['verdict']);
        self::assertStringContainsString('works in', $drill['make'][0]['chance']['says']);
    }

    public function test_choosing_another_school_moves_the_size_and_is_remembered(): void
    {
        $state = $this->api('GET', '/api/jobs/demo-carder', null, 200);
        $joint = $state['facts']['joints'][0]['id'];
        $after = $this->api(
            'PUT',
            "/api/jobs/demo-carder/joints/{$joint}",
            $this->change($state['version'], ['school' => 'thumb', 'reason' => 'as the old hand does it']),
            200,
        );
        self::assertSame('thumb', $after['answers']['joints'][0]['chosen']);
        self::assertNotSame($state['answers']['make'][0]['aim'], $after['answers']['make'][0]['aim']);
        self::assertSame(
            'as the old hand does it',
            $this->api('GET', '/api/jobs/demo-carder', null, 200)['facts']['joints'][0]['reason'],
        );
    }

    public function test_limits_by_hand_the_wrong_way_round_are_refused(): void
    {
        $joint = $this->api('GET', '/api/jobs/demo-carder', null, 200)['facts']['joints'][0]['id'];
        $typed = static fn (string $text): array => ['typed' => $text, 'unit' => 'in'];
        $error = $this->api(
            'PUT',
            "/api/jobs/demo-carder/joints/{$joint}",
            $this->change(1, ['least' => $typed('-0.0005'), 'most' => $typed('-0.0015')]),
            422,
        )['error'];
        self::assertSame('limits-reversed', $error['code']);
        $right = $this->api(
            'PUT',
            "/api/jobs/demo-carder/joints/{$joint}",
            $this->change(1, ['least' => $typed('-1.5 thou'), 'most' => $typed('-0.5 thou')]),
            200,
        );
        self::assertSame('limits', $right['answers']['joints'][0]['chosen']);
        self::assertSame('0.0005 to 0.0015 tight', $right['answers']['joints'][0]['wanted']['in']);
    }

    public function test_an_unknown_purpose_or_material_is_refused(): void
    {
        $facts = $this->api('GET', '/api/jobs/demo-carder', null, 200)['facts'];
        $this->api(
            'PUT',
            "/api/jobs/demo-carder/joints/{$facts['joints'][0]['id']}",
            $this->change(1, ['purpose' => 'magic']),
            422,
        );
        $error = $this->api(
            'PUT',
            "/api/jobs/demo-carder/parts/{$facts['parts'][0]['id']}",
            $this->change(1, ['material' => 'moon dust']),
            422,
        )['error'];
        self::assertSame('unknown-material', $error['code']);
        self::assertSame(0, Change::query()->where('job_id', 'demo-carder')->count());
    }

    public function test_a_gate_withholds_sizes_from_screen_and_sheet(): void
    {
        $size = $this->api('GET', '/api/jobs/demo-carder', null, 200)['answers']['make'][0]['aim']['in'];
        $held = $this->api(
            'PATCH',
            '/api/jobs/demo-carder',
            $this->change(1, ['take_in' => ['gates' => ['lifting']]]),
            200,
        );
        self::assertTrue($held['answers']['withheld']);
        self::assertStringNotContainsString($size, (string) json_encode($held['answers']));
        $open = $this->api(
            'PATCH',
            '/api/jobs/demo-carder',
            $this->change(2, [
                'take_in' => [
                    'acceptances' => [
                        [
                            'by' => 'the crane inspector',
                            'capacity' => 'licensed',
                            'at' => '2026-11-20T08:00:00Z',
                            'gates' => ['lifting'],
                        ],
                    ],
                ],
            ]),
            200,
        );
        self::assertSame($size, $open['answers']['make'][0]['aim']['in']);
    }

    public function test_the_head_takes_only_what_is_in_it(): void
    {
        self::assertSame(
            'kind',
            $this->api('PATCH', '/api/jobs/demo-carder', $this->change(1, ['kind' => 'teapot']), 422)['error']['field'],
        );
        self::assertSame(
            'take_in.quantity',
            $this->api('PATCH', '/api/jobs/demo-carder', $this->change(1, ['take_in' => ['quantity' => 0]]), 422)[
                'error'
            ]['field'],
        );
        self::assertSame(
            'shop.temperature_c',
            $this->api('PATCH', '/api/jobs/demo-carder', $this->change(1, ['shop' => ['temperature_c' => 900]]), 422)[
                'error'
            ]['field'],
        );
        $after = $this->api('PATCH', '/api/jobs/demo-carder', $this->change(1, ['take_in' => ['quantity' => 3]]), 200);
        self::assertSame(
            'Carries the doffer roller; turns at 90 rev/min in oil.',
            $after['facts']['take_in']['does'],
            'the rest stays',
        );
    }

    public function test_an_id_of_another_job_is_not_taken_over(): void
    {
        $reading = $this->api('GET', '/api/jobs/demo-drill', null, 200)['facts']['readings'][0];
        $surface = $this->api('GET', '/api/jobs/demo-carder', null, 200)['facts']['surfaces'][0]['id'];
        $error = $this->api(
            'PUT',
            "/api/jobs/demo-carder/readings/{$reading['id']}",
            $this->change(1, [...$reading, 'surface' => $surface]),
            422,
        )['error'];
        self::assertSame('id-taken', $error['code']);
        self::assertSame(1, Job::query()->whereKey('demo-carder')->value('version'), 'nothing half-written');
    }

    public function test_a_new_job_starts_with_the_shops_own_limits(): void
    {
        $this->api('PATCH', '/api/shop', ['press_n' => 4321, 'temperature_c' => 11], 200);
        $shop = $this->startJob()['facts']['shop'];
        self::assertEqualsWithDelta(4321, $shop['press_n'], 1e-9);
        self::assertEqualsWithDelta(11, $shop['temperature_c'], 1e-9);
        self::assertEqualsWithDelta(
            18.5,
            $this->api('GET', '/api/jobs/demo-carder', null, 200)['facts']['shop']['temperature_c'],
            1e-9,
            'an old job keeps its own',
        );
    }
}

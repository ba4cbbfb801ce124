<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Seeders\DemoShop;

/** Sums of a job, over HTTP: stored as typed, taking the job's sizes and giving sizes to it. */
final class ReckoningsApiTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->seed(DemoShop::class);
    }

    /** Scaled as the demo has it: Σ theirs·ours/Σ theirs² over 140, 180 and 96 is 0.70037; 171 comes to 119.76. */
    public function test_what_a_sum_gives_is_on_the_card_and_in_the_next_sum(): void
    {
        $state = $this->api('GET', '/api/jobs/demo-turbine', null, 200);
        $flange = array_column($state['answers']['make'], null, 'label')['Nozzle flange'];
        self::assertStringContainsString('119.7', json_encode($flange['remarks'], JSON_UNESCAPED_UNICODE) ?: '');
        $reckoned = array_column($state['answers']['reckoned'], null, 'sum');
        self::assertEqualsWithDelta(0.70037, $reckoned['scale']['result']['ratio'], 1e-5);
        // (119.763 + 6) · 1.01
        self::assertEqualsWithDelta(127.02, $reckoned['casting']['result']['pattern_mm'], 0.01);
        self::assertSame('Nozzle flange', $reckoned['casting']['taken']['finished_mm']['name']);
    }

    public function test_one_is_begun_changed_taken_back_and_taken_out(): void
    {
        $state = $this->api('GET', '/api/jobs/demo-drill', null, 200);
        $url = '/api/jobs/demo-drill/reckonings/r-1';
        $state = $this->api('PUT', $url, $this->change($state['version'], ['sum' => 'flats', 'name' => 'Flats', 'unit' => 'in']), 200);
        $mine = $this->reckoned($state, 'r-1');
        self::assertNull($mine['result']);
        self::assertStringContainsString('is missing', $mine['refused']['message']);
        $state = $this->api('PUT', $url, $this->change($state['version'], ['given' => ['diameter_mm' => '1', 'across_flats_mm' => '7/8']]), 200);
        self::assertEqualsWithDelta(1.5875, $this->reckoned($state, 'r-1')['result']['depth_mm'], 1e-9);
        // What can't be read stays as typed, and is asked about.
        $state = $this->api('PUT', $url, $this->change($state['version'], ['given' => ['diameter_mm' => 'wide', 'across_flats_mm' => '7/8']]), 200);
        self::assertSame('diameter_mm', $this->reckoned($state, 'r-1')['refused']['field']);
        self::assertSame('wide', $state['facts']['reckonings'][0]['given']['diameter_mm']);
        $state = $this->api('POST', '/api/jobs/demo-drill/undo', ['version' => $state['version'], 'request' => 'u-1'], 200);
        self::assertNotNull($this->reckoned($state, 'r-1')['result']);
        $state = $this->api('DELETE', $url, ['version' => $state['version'], 'request' => 'd-1'], 200);
        self::assertSame([], $state['answers']['reckoned']);
    }

    public function test_a_surface_that_goes_takes_its_links_with_it(): void
    {
        $state = $this->api('GET', '/api/jobs/demo-turbine', null, 200);
        $id = self::idOf($state, 'surfaces', 'Nozzle flange');
        $state = $this->api('DELETE', "/api/jobs/demo-turbine/surfaces/{$id}", ['version' => $state['version'], 'request' => 'd-1'], 200);
        $facts = array_column($state['facts']['reckonings'], null, 'sum');
        self::assertSame([], (array) $facts['casting']['from']);
        self::assertArrayNotHasKey('scaled_mm.0.mm', (array) $facts['scale']['gives']);
        self::assertCount(2, (array) $facts['scale']['gives']);
    }

    public function test_a_link_to_nowhere_is_refused(): void
    {
        $state = $this->api('GET', '/api/jobs/demo-drill', null, 200);
        $this->api('PUT', '/api/jobs/demo-drill/reckonings/r-1', $this->change($state['version'], [
            'sum' => 'flats', 'name' => 'Flats', 'unit' => 'in', 'from' => ['diameter_mm' => 'nowhere'],
        ]), 422);
    }

    public function test_a_copy_has_its_own_links(): void
    {
        $old = $this->api('GET', '/api/jobs/demo-turbine', null, 200);
        $file = json_encode($this->get('/api/jobs/demo-turbine/file')->json()) ?: '';
        $copy = $this->api('POST', '/api/jobs/import', json_decode($file, true), 201);
        $state = $this->api('GET', "/api/jobs/{$copy['facts']['id']}", null, 200);
        $flange = self::idOf($state, 'surfaces', 'Nozzle flange');
        self::assertNotSame(self::idOf($old, 'surfaces', 'Nozzle flange'), $flange);
        $facts = array_column($state['facts']['reckonings'], null, 'sum');
        self::assertSame($flange, $facts['casting']['from']['finished_mm']);
        self::assertSame($flange, $facts['scale']['gives']['scaled_mm.0.mm']);
    }

    public function test_a_sum_takes_what_is_typed(): void
    {
        $got = $this->api('POST', '/api/sums/offset/typed', ['given' => ['a_mm' => '3 mm', 'b_mm' => '0.15748', 'bar_diameter_mm' => '1-9/16'], 'unit' => 'in'], 200);
        self::assertEqualsWithDelta(5.0, $got['offset_mm'], 1e-4);
        self::assertEqualsWithDelta(39.6875, $got['read']['bar_diameter_mm'], 1e-9);
        self::assertArrayHasKey('picture', $got);
        $bad = $this->api('POST', '/api/sums/offset/typed', ['given' => ['a_mm' => 'a bit', 'b_mm' => '1'], 'unit' => 'mm'], 422);
        self::assertSame('a_mm', $bad['error']['field']);
        $this->api('POST', '/api/sums/offset/typed', ['given' => ['a_mm' => 3], 'unit' => 'mm'], 422);
    }

    /**
     * @param  array<string, mixed>  $state
     * @return array<string, mixed>
     */
    private function reckoned(array $state, string $id): array
    {
        return array_column($state['answers']['reckoned'], null, 'id')[$id];
    }
}

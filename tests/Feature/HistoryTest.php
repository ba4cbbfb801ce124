<?php

declare(strict_types=1);

namespace Tests\Feature;

/** What was done to a job reads as a person would say it. */
final class HistoryTest extends FeatureTestCase
{
    public function test_what_was_done_from_what_to_what(): void
    {
        $state = $this->startJob();
        $job = $state['facts']['id'];
        $bore = self::idOf($state, 'surfaces', 'Housing bore');
        $version = static fn (array $state): int => $state['version'];
        $reading = ['surface' => $bore, 'station' => 'mouth', 'angle' => '0', 'value' => ['typed' => '1.1242', 'unit' => 'in'], 'instrument' => 'three-point'];
        $state = $this->api('PUT', "/api/jobs/{$job}/readings/r1", ['version' => $version($state), 'request' => 'a', 'fact' => $reading], 200);
        $state = $this->api('PUT', "/api/jobs/{$job}/readings/r1", ['version' => $version($state), 'request' => 'b', 'fact' => ['value' => ['typed' => '1.1246', 'unit' => 'in']]], 200);
        $state = $this->api('PATCH', "/api/jobs/{$job}", ['version' => $version($state), 'request' => 'c', 'fact' => ['take_in' => ['failed' => 'worn']]], 200);
        $state = $this->api('PUT', "/api/jobs/{$job}/readings/r1", ['version' => $version($state), 'request' => 'c2', 'fact' => ['set_aside' => 'slipped']], 200);
        $state = $this->api('PUT', "/api/jobs/{$job}/operations/o1", ['version' => $version($state), 'request' => 'c3', 'fact' => ['name' => 'Turn it', 'setup_min' => 10, 'run_min' => 5]], 200);
        $state = $this->api('DELETE', "/api/jobs/{$job}/operations/o1", ['version' => $version($state), 'request' => 'd'], 200);
        $state = $this->api('POST', "/api/jobs/{$job}/undo", ['version' => $version($state), 'request' => 'e'], 200);

        $rows = $this->api('GET', "/api/jobs/{$job}/history", null, 200)['rows'];
        self::assertSame(
            [
                ['undo', false, 'Turn it', '', 'added'],
                ['change', false, 'Turn it', '', 'taken away'],
                ['change', true, 'Turn it', '', 'added'],
                ['change', true, 'Reading of Housing bore, mouth, 0°: set aside', '', 'slipped'],
                ['change', true, 'take in, failed', '', 'worn'],
                ['change', true, 'Reading of Housing bore, mouth, 0°', '1.1242 in', '1.1246 in'],
                ['change', true, 'Reading of Housing bore, mouth, 0°', '', '1.1242 in'],
            ],
            array_map(static fn (array $r): array => [$r['kind'], $r['stands'], ...array_values($r['told'][0])], $rows),
        );
        foreach ($rows as $row) {
            self::assertMatchesRegularExpression('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ$/', $row['at']);
        }
        // What came before a row is asked for by it; a job that is not there has no history.
        self::assertCount(2, $this->api('GET', "/api/jobs/{$job}/history?before={$rows[4]['id']}", null, 200)['rows']);
        $this->api('GET', '/api/jobs/none/history', null, 404);
    }

    /** Carried out again it stands again, and is told as that; another device sees that it was not done on it. */
    public function test_back_and_forth_on_two_devices(): void
    {
        $state = $this->startJob();
        $job = $state['facts']['id'];
        $step = function (string $verb, string $path, array $body) use (&$state, $job): void {
            $state = $this->api($verb, "/api/jobs/{$job}{$path}", ['version' => $state['version'], 'request' => $path.$state['version'], ...$body], 200);
        };
        $this->withServerVariables(['HTTP_X_CLIENT' => 'bench']);
        $step('PATCH', '', ['fact' => ['machine' => 'Loom']]);
        $step('POST', '/undo', []);
        $step('POST', '/redo', []);
        $rows = $this->api('GET', "/api/jobs/{$job}/history", null, 200)['rows'];
        self::assertSame([['redo', false], ['undo', false], ['change', true]], array_map(static fn (array $r): array => [$r['kind'], $r['stands']], $rows));
        self::assertSame(['machine', 'Loom'], [$rows[2]['told'][0]['what'], $rows[2]['told'][0]['to']]);
        self::assertSame([true, true, true], array_column($rows, 'here'));
        $this->withServerVariables(['HTTP_X_CLIENT' => 'tablet']);
        self::assertSame([false, false, false], array_column($this->api('GET', "/api/jobs/{$job}/history", null, 200)['rows'], 'here'));
    }

    /** What the check of a gauge puts right is told as that: nobody did it in the job, and nobody undid it. */
    public function test_what_a_check_of_a_gauge_put_right(): void
    {
        $state = $this->startJob();
        $job = $state['facts']['id'];
        $reading = ['surface' => self::idOf($state, 'surfaces', 'Shaft journal'), 'station' => 'middle', 'angle' => '0', 'value' => ['typed' => '0.9983', 'unit' => 'in'], 'instrument' => 'outside-micrometer'];
        $check = ['id' => 'c1', 'read' => ['typed' => '25.003', 'unit' => 'mm'], 'true' => ['typed' => '25', 'unit' => 'mm'], 'at' => now()->subDay()->toIso8601ZuluString()];
        $this->api('POST', '/api/instruments/outside-micrometer/checks', $check, 201);
        $this->api('PUT', "/api/jobs/{$job}/readings/r1", ['version' => $state['version'], 'request' => 'a', 'fact' => $reading], 200);
        $this->api('POST', '/api/instruments/outside-micrometer/checks/c1/void', ['why' => 'the block was warm'], 200);
        $rows = $this->api('GET', "/api/jobs/{$job}/history", null, 200)['rows'];
        self::assertSame(['check', 'change'], array_column($rows, 'kind'));
        self::assertStringContainsString('correction of the gauge', $rows[0]['told'][0]['what']);
    }
}

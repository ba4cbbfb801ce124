<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Seeders\DemoShop;
use Illuminate\Support\Facades\Cache;

/** To a browser that says which state it knows only what changed is sent; put together it is the whole. */
final class PatchTest extends FeatureTestCase
{
    /** @return array<string, mixed> */
    private static function reading(string $surface, string $typed): array
    {
        return [
            'surface' => $surface,
            'station' => 'mouth',
            'angle' => '0',
            'value' => ['typed' => $typed, 'unit' => 'in'],
            'instrument' => 'three-point',
        ];
    }

    /**
     * @param  array<string, mixed>  $base
     * @param  array{set: array<string, mixed>, lists: array<string, array{changed: list<array{at: int, is: array<string, mixed>}>, gone: list<string>}>}  $patch
     * @return array<string, mixed>
     */
    private static function filled(array $base, array $patch): array
    {
        foreach ($patch['lists'] as $name => $list) {
            $new = array_map(static fn (array $c): string => (string) $c['is']['id'], $list['changed']);
            $away = [...$list['gone'], ...$new];
            $things = array_filter($base[$name], static fn (array $t): bool => ! in_array($t['id'], $away, true));
            foreach ($list['changed'] as ['at' => $at, 'is' => $is]) {
                array_splice($things, $at, 0, [$is]);
            }
            $base[$name] = array_values($things);
        }

        return [...$base, ...$patch['set']];
    }

    /** @return array<string, mixed> the job whole, as one that knows nothing gets it */
    private function whole(): array
    {
        [$known, $this->known] = [$this->known, null];
        $state = $this->api('GET', '/api/jobs/job-1', null, 200);
        $this->known = $known;

        return $state;
    }

    /** What a person changes of the order of work is stored, undone, and refused where it is none. */
    public function test_the_order_of_work(): void
    {
        $this->seed(DemoShop::class);
        $state = $this->api('GET', '/api/jobs/demo-tedder', null, 200);
        $codes = array_column($state['answers']['plan'], 'code');
        $plan = ['order' => array_reverse($codes), 'dropped' => [], 'own' => [['code' => 'own-1', 'do' => 'Ask.']], 'remarks' => [$codes[1] => 'Mind the crack.']];
        $state = $this->api('PATCH', '/api/jobs/demo-tedder', ['version' => $state['version'], 'request' => 'p-1', 'fact' => ['plan' => $plan]], 200);
        self::assertContains('out-of-order', array_column(array_merge(...array_column($state['answers']['plan'], 'notes')), 'code'));
        self::assertSame('Ask.', array_column($state['answers']['plan'], null, 'code')['own-1']['do']['in']);
        self::assertContains('Mind the crack.', array_column(array_column($state['answers']['plan'], null, 'code')[$codes[1]]['notes'], 'text'));
        $wrong = $this->api('PATCH', '/api/jobs/demo-tedder', ['version' => $state['version'], 'request' => 'p-2', 'fact' => ['plan' => [...$plan, 'own' => [['code' => 'own-1', 'do' => '']]]]], 422);
        self::assertStringStartsWith('plan.own.0', $wrong['error']['field']);
        $state = $this->api('POST', '/api/jobs/demo-tedder/undo', ['version' => $state['version'], 'request' => 'p-3'], 200);
        self::assertNull($state['facts']['plan']);
        self::assertSame($codes, array_column($state['answers']['plan'], 'code'));
        $state = $this->api('PATCH', '/api/jobs/demo-tedder', ['version' => $state['version'], 'request' => 'p-4', 'fact' => ['plan' => $plan]], 200);
        $file = json_decode((string) $this->send('GET', '/api/jobs/demo-tedder/file')->getContent(), true);
        self::assertSame($plan, $file['plan']);
    }

    public function test_what_changed_put_onto_what_was_known_is_the_whole(): void
    {
        $state = $this->startJob();
        $bore = self::idOf($state, 'surfaces', 'Housing bore');
        $journal = self::idOf($state, 'surfaces', 'Shaft journal');
        $steps = [
            ['PUT', 'readings/a', ['fact' => self::reading($bore, '1.2500')]],
            ['PUT', 'readings/b', ['fact' => self::reading($bore, '1.2510')]],
            ['PUT', 'readings/c', ['fact' => self::reading($journal, '1.0000')]],
            ['PUT', 'readings/b', ['fact' => ['value' => ['typed' => '1.2505', 'unit' => 'in']]]],
            [
                'PUT',
                'operations/x',
                ['fact' => ['name' => 'Hone', 'setup_min' => 5, 'run_min' => 2]],
            ],
            ['DELETE', 'operations/x', []],
            ['PATCH', '', ['fact' => ['machine' => 'Lathe']]],
        ];
        foreach ($steps as $n => [$method, $path, $body]) {
            $this->known = $state['tag'];
            $patch = $this->api(
                $method,
                rtrim("/api/jobs/job-1/{$path}", '/'),
                ['version' => $state['version'], 'request' => "step-{$n}", ...$body],
                200,
            );
            self::assertSame($state['tag'], $patch['base'] ?? null, "step {$n} is answered by what changed");
            self::assertArrayNotHasKey('survey', $n === 0 ? [] : $patch['answers']['lists']);
            $state = [
                ...$state,
                'version' => $patch['version'],
                'tag' => $patch['tag'],
                'can_undo' => $patch['can_undo'],
                'can_redo' => $patch['can_redo'],
                'facts' => self::filled($state['facts'], $patch['facts']),
                'answers' => self::filled($state['answers'], $patch['answers']),
            ];
            self::assertEquals($this->whole(), $state, "step {$n}");
        }
        // What an undo brings back stands where it stood.
        $this->known = $state['tag'];
        $this->api('POST', '/api/jobs/job-1/undo', ['version' => 8, 'request' => 'undo-1'], 200);
        $patch = $this->api('POST', '/api/jobs/job-1/undo', ['version' => 9, 'request' => 'undo-2'], 200);
        self::assertContains('x', array_column(self::filled($state['facts'], $patch['facts'])['operations'], 'id'));
    }

    public function test_where_little_changed_little_is_sent(): void
    {
        $state = $this->startJob();
        $this->known = $state['tag'];
        $size = strlen((string) $this->send('GET', '/api/jobs/job-1')->getContent());
        self::assertLessThan(400, $size, 'nothing changed: nothing is sent');
        $put = $this->send('PATCH', '/api/jobs/job-1', $this->change(1, ['machine' => 'Loom']));
        self::assertSame(200, $put->getStatusCode());
        $this->known = null;
        $all = strlen((string) $this->send('GET', '/api/jobs/job-1')->getContent());
        self::assertLessThan($all / 10, strlen((string) $put->getContent()));
    }

    public function test_one_that_names_a_state_nobody_knows_gets_the_whole(): void
    {
        $this->startJob();
        $this->known = 'made-up';
        self::assertArrayHasKey('parts', $this->api('GET', '/api/jobs/job-1', null, 200)['facts']);
        $this->known = "x'\n";
        self::assertArrayNotHasKey('base', $this->api('GET', '/api/jobs/job-1', null, 200));
    }

    /** A cache that can't be written or read takes nothing away: everything is sent. */
    public function test_without_a_cache_everything_is_sent(): void
    {
        $state = $this->startJob();
        Cache::swap(new class
        {
            public function get(): never
            {
                throw new \RuntimeException('no cache');
            }

            public function put(): never
            {
                throw new \RuntimeException('no cache');
            }
        });
        $this->known = $state['tag'];
        $bore = self::idOf($state, 'surfaces', 'Housing bore');
        $after = $this->api('PUT', '/api/jobs/job-1/readings/a', $this->change(1, self::reading($bore, '1.25')), 200);
        self::assertSame('1.25', $after['facts']['readings'][0]['value']['typed']);
    }

    public function test_a_preview_says_what_it_understood_and_what_would_change(): void
    {
        $state = $this->startJob();
        $bore = self::idOf($state, 'surfaces', 'Housing bore');
        $this->known = $state['tag'];
        $body = ['list' => 'readings', 'thing' => 'new', 'fact' => self::reading($bore, '1 1/4')];
        $shown = $this->api('POST', '/api/jobs/job-1/preview', $body, 200);
        // A quarter inch over the inch is 31.75 mm, exactly.
        self::assertSame('31.750', $shown['understood']['value']['shown']['mm']);
        self::assertNull($shown['understood']['value']['fine']);
        self::assertSame([$bore], array_map(
            static fn (array $c): string => $c['is']['id'],
            $shown['answers']['lists']['surfaces']['changed'],
        ));
        $few = $this->api('POST', '/api/jobs/job-1/preview', [...$body, 'shows' => ['make', 'no-such']], 200);
        self::assertSame([], $few['answers']['lists'], 'only what the screen shows');
        self::assertSame($state, $this->whole(), 'nothing is stored');
    }
}

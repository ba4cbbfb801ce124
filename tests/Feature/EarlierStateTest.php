<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Change;
use App\Models\Job;
use Oldpart\Core\Exchange\JobFile;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Any earlier state of a job is looked at as it was, and brought back without losing what is on record. */
final class EarlierStateTest extends FeatureTestCase
{
    private string $job = '';

    private int $n = 0;

    /** @var array<string, mixed> */
    private array $state = [];

    /** @return array<string, mixed> */
    private function facts(): array
    {
        $facts = $this->api('GET', "/api/jobs/{$this->job}", null, 200)['facts'];
        unset($facts['shop']);

        return $facts;
    }

    /** @param  array<string, mixed>  $body */
    private function go(string $verb, string $path, array $body = []): void
    {
        $this->n++;
        $this->state = $this->api($verb, "/api/jobs/{$this->job}{$path}", ['version' => $this->state['version'], 'request' => "r{$this->n}", ...$body], 200);
    }

    private function last(): int
    {
        return (int) Change::query()->where('job_id', $this->job)->max('id');
    }

    private function begin(): void
    {
        $this->state = $this->startJob();
        $this->job = $this->state['facts']['id'];
    }

    /** @return array<string, mixed> */
    private function asOf(int $change): array
    {
        $facts = $this->api('GET', "/api/jobs/{$this->job}/history/{$change}", null, 200)['facts'];
        unset($facts['shop']);

        return $facts;
    }

    /** @return array<string, mixed> */
    private function reading(string $surface, string $typed): array
    {
        return ['fact' => ['surface' => $surface, 'station' => 'mouth', 'angle' => '0', 'value' => ['typed' => $typed, 'unit' => 'mm'], 'instrument' => 'three-point']];
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 4; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    /** Whatever was done, each state that was is seen again letter by letter. */
    #[DataProvider('seeds')]
    public function test_every_state_is_seen_as_it_was(int $seed): void
    {
        $dice = new Randomizer(new Mt19937($seed));
        $this->begin();
        $surfaces = array_column($this->state['facts']['surfaces'], 'id');
        $part = $this->state['facts']['parts'][0]['id'];
        $was = [];
        for ($step = 0; $step < 24; $step++) {
            $surface = $surfaces[$dice->getInt(0, count($surfaces) - 1)];
            $readings = $this->state['facts']['readings'];
            $costs = $this->state['facts']['costs'];
            match ($dice->getInt(0, 8)) {
                0 => $this->go('PATCH', '', ['fact' => ['machine' => "Loom {$step}", 'take_in' => ['failed' => "worn {$step}"]]]),
                1, 2 => $this->go('PUT', "/readings/r-{$step}", $this->reading($surface, (string) (30 + $step / 100))),
                3 => $readings === [] ? null : $this->go('PUT', "/readings/{$readings[0]['id']}", ['fact' => ['value' => ['typed' => (string) (40 + $step), 'unit' => 'mm']]]),
                4 => $this->go('PUT', "/costs/c-{$step}", ['fact' => ['name' => "Stock {$step}", 'kind' => 'material', 'amount' => $step]]),
                5 => $costs === [] ? null : $this->go('DELETE', "/costs/{$costs[0]['id']}"),
                6 => $this->state['can_undo'] ? $this->go('POST', '/undo') : null,
                7 => $this->state['can_redo'] ? $this->go('POST', '/redo') : null,
                default => $this->go('PUT', "/surfaces/s-{$step}", ['fact' => ['part' => $part, 'name' => "Step {$step}", 'kind' => 'bore']]),
            };
            if ($this->last() > 0) {
                $was[$this->last()] = $this->facts();
            }
        }
        self::assertGreaterThan(8, count($was));
        foreach ($was as $change => $facts) {
            self::assertEquals($facts, $this->asOf($change), "as it was after change {$change}");
        }
        // Brought back, it is as it was but for the record, which is all there; taken back, it is as it was before.
        $before = $this->facts();
        $change = array_keys($was)[intdiv(count($was), 3)];
        $this->go('POST', "/history/{$change}");
        $now = $this->facts();
        foreach (['readings', 'surfaces', 'parts'] as $list) {
            self::assertSame([], array_diff(array_column($was[$change][$list], 'id'), array_column($now[$list], 'id')), $list);
        }
        self::assertEqualsCanonicalizing(array_column($before['readings'], 'id'), array_column($now['readings'], 'id'), 'no reading is lost');
        foreach (['machine', 'take_in', 'costs', 'operations'] as $same) {
            self::assertEquals($was[$change][$same], $now[$same], $same);
        }
        self::assertEquals(JobFile::plain($this->state['facts']['readings']), JobFile::plain($this->api('GET', "/api/jobs/{$this->job}", null, 200)['facts']['readings']));
        $this->go('POST', '/undo');
        self::assertEquals($before, $this->facts());
    }

    public function test_what_was_measured_since_stays_with_what_it_hangs_on(): void
    {
        $this->begin();
        $part = $this->state['facts']['parts'][0]['id'];
        $bore = self::idOf($this->state, 'surfaces', 'Housing bore');
        $this->go('PUT', '/readings/first', $this->reading($bore, '30.00'));
        $early = $this->last();
        $this->go('PUT', '/surfaces/new', ['fact' => ['part' => $part, 'name' => 'Found later', 'kind' => 'bore']]);
        $this->go('PUT', '/readings/on-new', $this->reading('new', '12.5'));
        $this->go('PUT', '/readings/first', ['fact' => ['value' => ['typed' => '30.05', 'unit' => 'mm']]]);
        $this->go('PUT', '/costs/c', ['fact' => ['name' => 'Stock', 'kind' => 'material', 'amount' => 5]]);
        $this->go('POST', "/history/{$early}");
        $facts = $this->facts();
        $readings = array_column($facts['readings'], null, 'id');
        self::assertSame('30.00', $readings['first']['value']['typed']);
        self::assertSame('30.05', $readings['first']['was']['typed'], 'the number it had is not lost');
        self::assertSame(['30.00', '30.05'], array_column($readings['first']['history'], 'typed'));
        self::assertSame('measured after the state that was brought back', $readings['on-new']['set_aside']);
        self::assertContains('new', array_column($facts['surfaces'], 'id'));
        self::assertNotContains('c', array_column($facts['costs'], 'id'));
        $rows = $this->api('GET', "/api/jobs/{$this->job}/history", null, 200)['rows'];
        self::assertSame(['change', true], [$rows[0]['kind'], $rows[0]['stands']]);
        $this->go('POST', '/undo');
        self::assertContains('c', array_column($this->facts()['costs'], 'id'));
    }

    public function test_what_is_not_there_is_said(): void
    {
        $this->begin();
        $this->go('PATCH', '', ['fact' => ['machine' => 'Loom']]);
        $last = $this->last();
        $says = $this->api('POST', "/api/jobs/{$this->job}/history/{$last}", ['version' => $this->state['version'], 'request' => 'x'], 422);
        self::assertSame('as-it-is', $says['error']['code']);
        $this->api('GET', "/api/jobs/{$this->job}/history/999999", null, 422);
        $this->api('GET', '/api/jobs/none/history/1', null, 404);
        $this->api('POST', "/api/jobs/{$this->job}/history/{$last}", ['version' => 1, 'request' => 'y'], 409);
    }

    /** Of one surface: what was done to it, and what was read and cut on it, and nothing else. */
    public function test_the_history_of_a_surface(): void
    {
        $this->begin();
        $bore = self::idOf($this->state, 'surfaces', 'Housing bore');
        $other = self::idOf($this->state, 'surfaces', 'Shaft journal');
        $this->go('PUT', '/readings/a', $this->reading($bore, '30.00'));
        $this->go('PUT', '/readings/b', $this->reading($other, '22.00'));
        $this->go('PUT', "/surfaces/{$bore}", ['fact' => ['finish' => 'ground']]);
        $this->go('PATCH', '', ['fact' => ['machine' => 'Loom']]);
        $rows = $this->api('GET', "/api/jobs/{$this->job}/history?surface={$bore}", null, 200)['rows'];
        self::assertSame(
            ['Housing bore: finish', 'Reading of Housing bore, mouth, 0°'],
            array_map(static fn (array $row): string => $row['told'][0]['what'], $rows),
        );
        self::assertCount(4, $this->api('GET', "/api/jobs/{$this->job}/history", null, 200)['rows']);
        // Whatever is in it, it is a name and no pattern.
        self::assertSame([], $this->api('GET', "/api/jobs/{$this->job}/history?surface=%25", null, 200)['rows']);
    }
}

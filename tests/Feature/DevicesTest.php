<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Bench\Conflict;
use App\Bench\FactList;
use App\Bench\JobStore;
use App\Change\FactChange;
use App\Models\Change;
use Oldpart\Core\Advice\BadInput;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Two devices against each other, as the saver of the screens works: each types into a queue, sends its head on the
 * version it knows, and hears the answer or does not. Whatever the interleaving, nothing that was acknowledged is lost,
 * and nothing is there twice.
 */
final class DevicesTest extends FeatureTestCase
{
    private const STEPS = 70;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_nothing_acknowledged_is_lost_and_nothing_is_there_twice(int $seed): void
    {
        $dice = new Randomizer(new Mt19937($seed));
        $store = app(JobStore::class);
        $state = $this->startJob();
        $job = $state['facts']['id'];
        $surface = self::idOf($state, 'surfaces', 'Housing bore');
        $devices = [];
        foreach (['tablet', 'office'] as $name) {
            $devices[$name] = ['version' => $state['version'], 'queue' => [], 'typed' => 0];
        }
        /** @var array<string, string> $acknowledged by request, what was sent */
        $acknowledged = [];
        /** @var list<array{string, string}> $heads of the one field both type into, in the order the store took them */
        $heads = [];
        $sent = 0;
        $send = function (string $name, bool $heard) use (&$devices, &$acknowledged, &$heads, &$sent, $store, $job): void {
            $device = &$devices[$name];
            $head = $device['queue'][0] ?? null;
            if ($head === null) {
                return;
            }
            $sent++;
            request()->headers->set('X-Client', $name);
            try {
                $version = $device['version'];
                $new = Change::query()->where('request', $head['request'])->doesntExist();
                $after = $store->apply($job, $version, $head['request'], [$head['change']]);
                if ($new && $head['change']->list === null) {
                    $heads[] = [$head['request'], $head['says']];
                }
                if (! $heard) {
                    // The answer is lost on the way: it will be sent again.
                    return;
                }
                $device['version'] = $after->version;
                $acknowledged[$head['request']] = $head['says'];
                array_shift($device['queue']);
            } catch (Conflict $conflict) {
                if ($heard) {
                    $device['version'] = $conflict->current->version;
                }
            }
        };
        for ($step = 0; $step < self::STEPS; $step++) {
            $name = $dice->getInt(0, 1) === 0 ? 'tablet' : 'office';
            $device = &$devices[$name];
            switch ($dice->getInt(0, 5)) {
                case 0:
                case 1:
                    $n = ++$device['typed'];
                    $says = number_format(30 + $n / 1000 + ($name === 'office' ? 0.0005 : 0), 4);
                    $device['queue'][] = [
                        'request' => "{$name}-{$n}",
                        'says' => $says,
                        'change' => $dice->getInt(0, 3) === 0
                            ? new FactChange(null, '', ['take_in' => ['failed' => $says]])
                            : new FactChange(FactList::Readings, "r-{$name}-{$n}", ['surface' => $surface, 'station' => 'mouth', 'angle' => '0', 'value' => ['typed' => $says, 'unit' => 'mm'], 'instrument' => 'three-point']),
                    ];
                    break;
                case 2:
                    $send($name, false);
                    break;
                case 3:
                    // The same once more, as a retry that crosses its own answer.
                    $send($name, false);
                    $send($name, true);
                    break;
                default:
                    $send($name, true);
            }
            unset($device);
        }
        // Both come back into reach, and everything arrives.
        for ($i = 0; $i < 400 && array_filter(array_column($devices, 'queue')) !== []; $i++) {
            $send($dice->getInt(0, 1) === 0 ? 'tablet' : 'office', $dice->getInt(0, 3) > 0);
        }
        self::assertSame([[], []], array_column($devices, 'queue'), 'not everything arrived');
        $typed = array_sum(array_column($devices, 'typed'));
        self::assertCount($typed, $acknowledged);
        self::assertGreaterThan($typed, $sent, 'no answer was lost: the dice prove nothing');

        $facts = $store->facts($job);
        $there = array_count_values(array_map(static fn ($r): string => $r->id, $facts->readings));
        foreach ($acknowledged as $request => $says) {
            self::assertSame(1, Change::query()->where('job_id', $job)->where('request', $request)->count(), "{$request} was carried out once");
            if (! in_array($request, array_column($heads, 0), true)) {
                self::assertSame(1, $there["r-{$request}"] ?? 0, "{$request} is there once");
                foreach ($facts->readings as $reading) {
                    if ($reading->id === "r-{$request}") {
                        self::assertSame($says, $reading->value->typed);
                    }
                }
            }
        }
        self::assertSame(array_sum($there), count($acknowledged) - count($heads));
        // Of the field that both typed into, the last that the store took stands, and each before it is in the history.
        self::assertSame($heads === [] ? '' : end($heads)[1], $facts->takeIn->failed);
        self::assertSame($state['version'] + $typed, $store->state($job)->version);
    }

    /** The same name for another content is not taken for the same change. */
    public function test_a_name_is_used_for_one_change(): void
    {
        $state = $this->startJob();
        $job = $state['facts']['id'];
        $store = app(JobStore::class);
        $store->apply($job, $state['version'], 'once', [new FactChange(null, '', ['machine' => 'Loom'])]);
        $this->expectException(BadInput::class);
        $store->apply($job, $state['version'] + 1, 'once', [new FactChange(null, '', ['machine' => 'Pump'])]);
    }
}

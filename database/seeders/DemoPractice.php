<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Bench\FactList;
use App\Bench\JobStore;
use App\Change\FactChange;
use App\Practice\Practising;
use Oldpart\Core\Practice\Deed;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Quantity\Fields;

/** Two lessons as somebody did them: one walked into, one seen in time. */
final class DemoPractice
{
    private int $next = 0;

    private string $job = '';

    public function __construct(private readonly Practising $practising, private readonly JobStore $store)
    {
    }

    public function run(): void
    {
        $this->warm();
        $this->declined();
    }

    /** Measured well, cut well, and read warm. */
    private function warm(): void
    {
        $this->begin('demo-practice-warm', 'warm-part', 7);
        $facts = $this->store->facts($this->job);
        $ids = array_column($facts->surfaces, 'id', 'name');
        foreach (['mouth' => 0.0, 'middle' => 0.5, 'far end' => 1.0] as $station => $along) {
            foreach ([0, 45, 90, 135] as $angle) {
                $read = $this->do([
                    'kind' => 'read', 'surface' => $ids['Housing bore'], 'instrument' => 'three-point', 'along' => $along, 'angle_deg' => $angle,
                ]);
                $this->put(FactList::Readings, $read->id, [
                    'surface' => $ids['Housing bore'], 'station' => $station, 'angle' => (string) $angle, 'instrument' => 'three-point',
                    'value' => ['typed' => number_format($read->number('mm') ?? 0.0, 3, '.', ''), 'unit' => 'mm'],
                ]);
            }
        }
        $seen = $this->log($ids['Bush outside'], null);
        for ($n = 0; $n < 14 && $seen > 28.064; $n++) {
            $mm = round(min(0.5, max(0.01, 0.8 * ($seen - 28.056))), 3);
            $this->do(['kind' => 'cut', 'surface' => $ids['Bush outside'], 'mm' => $mm]);
            $seen = $this->log($ids['Bush outside'], $mm);
        }
        $joint = array_column($facts->joints, 'id', 'name')['Bush in housing'];
        $this->do(['kind' => 'together', 'joint' => $joint, 'way' => 'press']);
        $this->do(['kind' => 'end']);
    }

    private function declined(): void
    {
        $this->begin('demo-practice-refused', 'to-decline', 7);
        $this->do([
            'kind' => 'decline',
            'why' => 'People work below it, and an approved one costs less than this would. Who is licensed for lifting gear should fit that.',
        ]);
    }

    private function begin(string $job, string $lesson, int $seed): void
    {
        $this->job = $job;
        $this->practising->start($job, Lesson::named($lesson), $seed);
    }

    /** @return float what it showed, mm */
    private function log(string $surface, ?float $dialled): float
    {
        $read = $this->do(['kind' => 'read', 'surface' => $surface, 'instrument' => 'outside-micrometer']);
        $this->put(FactList::Cuts, $read->id, [
            'surface' => $surface, 'phase' => 'only', 'instrument' => 'outside-micrometer',
            'dialled' => $dialled === null ? null : ['typed' => (string) $dialled, 'unit' => 'mm'],
            'after' => ['typed' => number_format($read->number('mm') ?? 0.0, 3, '.', ''), 'unit' => 'mm'],
        ]);

        return $read->number('mm') ?? 0.0;
    }

    /** @param  array<string, mixed>  $fact */
    private function put(FactList $list, string $id, array $fact): void
    {
        $version = $this->store->state($this->job)->version;
        $this->store->apply($this->job, $version, "demo-{$id}", [new FactChange($list, $id, $fact)]);
    }

    /** @param  array<string, mixed>  $deed */
    private function do(array $deed): Deed
    {
        return $this->practising->do($this->job, Deed::read(new Fields(['id' => $this->job.'-'.++$this->next, ...$deed])))['deed'];
    }
}

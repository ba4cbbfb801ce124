<?php

declare(strict_types=1);

// Times the things people wait for. Wanted: a whole job under 10 ms, a change on screen under 100 ms.

use App\Bench\BenchList;
use App\Bench\FactList;
use App\Bench\Finder;
use App\Bench\JobStore;
use App\Models\IndexedJob;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Oldpart\Core\Job\Evaluator;
use Oldpart\Core\Job\Kind;

require __DIR__.'/../vendor/autoload.php';
putenv('DB_DATABASE=:memory:');
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = ':memory:';
$app = require __DIR__.'/../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$kernel->bootstrap();
$kernel->call('migrate', ['--force' => true, '--seed' => true]);

/** @param  callable(): mixed  $run */
function timed(string $what, callable $run, float $wanted): void
{
    $times = [];
    for ($i = 0; $i < 40; $i++) {
        $start = hrtime(true);
        $run();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);
    printf("%-48s median %6.2f ms, worst %6.2f ms, wanted under %.0f ms\n", $what, $times[20], $times[39], $wanted);
}

$store = $app->make(JobStore::class);
$facts = $store->facts('demo-carder');
$surface = $facts->surfaces[0]->id;
$reading = ['surface' => $surface, 'station' => 'mouth', 'angle' => '0', 'value' => ['typed' => '1.6252', 'unit' => 'in'], 'instrument' => 'three-point'];
timed('evaluate a whole job', static fn () => (new Evaluator)->evaluate($facts), 10);
timed('evaluate and write it as JSON', static fn () => json_encode((new Evaluator)->evaluate($facts)), 20);
timed('preview a typed reading, store to JSON', static fn () => json_encode($store->preview('demo-carder', FactList::Readings, 'new', $reading)), 100);

// A shop with many years behind it: 5,000 jobs with ten surfaces each.
$job = IndexedJob::query()->findOrFail('demo-cider');
DB::transaction(static function () use ($job): void {
    mt_srand(7);
    for ($i = 0; $i < 5000; $i++) {
        $id = sprintf('many-%05d', $i);
        DB::table('jobs')->insert(['id' => $id, 'version' => 1, 'machine' => "Machine {$i}", 'part' => 'Part', 'kind' => 'plain-bush', 'unit' => 'mm', 'take_in' => '{}', 'shop' => '{}', 'hand_over' => '{}']);
        $row = [...$job->row, 'id' => $id, 'machine' => "Machine {$i}"];
        DB::table('indexed_jobs')->insert(['job_id' => $id, 'state' => ['now', 'waits', 'done', 'done', 'done'][$i % 5], 'shelf' => 'bench', 'sort' => (string) mt_rand(), 'row' => json_encode($row), 'words' => "machine {$i} · bush · grey cast iron"]);
        $surfaces = [];
        for ($k = 0; $k < 10; $k++) {
            $surfaces[] = ['job_id' => $id, 'surface_id' => "{$id}-{$k}", 'name' => "Surface {$k}", 'part' => 'Part', 'made' => $k % 2, 'size_mm' => 5 + 95 * mt_rand() / mt_getrandmax()];
        }
        DB::table('indexed_surfaces')->insert($surfaces);
    }
});
$bench = $app->make(BenchList::class);
$finder = $app->make(Finder::class);
printf("%d jobs, %d surfaces\n", DB::table('jobs')->count(), DB::table('indexed_surfaces')->count());
timed('the bench of 5,000 jobs, to JSON', static fn () => json_encode($bench->of('bench')), 100);
timed('find a size among 50,000 surfaces', static fn () => json_encode($finder->find('1.060', 0.2)), 100);
timed('find a word among 5,000 jobs', static fn () => json_encode($finder->find('machine 4711', 0.2)), 100);
timed('the sheet of kinds with its pictures', static fn () => json_encode(array_map(static fn (Kind $k): mixed => $k->thumb(), Kind::all())), 100);

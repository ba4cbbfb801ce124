<?php

declare(strict_types=1);

// Times the things people wait for. Wanted: a whole job under 10 ms, a change on screen under 100 ms.

use App\Bench\FactList;
use App\Bench\JobStore;
use Illuminate\Contracts\Console\Kernel;
use Oldpart\Core\Job\Evaluator;

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

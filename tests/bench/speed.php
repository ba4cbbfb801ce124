<?php

declare(strict_types=1);

// Times the things people wait for. Wanted: a whole job under 10 ms, a change on screen under 100 ms. Ends with 1 where
// a stated figure
// is missed by twice. With --short: what takes seconds only.

use App\Bench\BenchList;
use App\Bench\FactList;
use App\Bench\Finder;
use App\Bench\JobStore;
use App\Change\FactChange;
use App\Models\IndexedJob;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Answer\KindThumb;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Facts\LoopLength;
use Oldpart\Core\Fit\FitSearch;
use Oldpart\Core\Fit\NamedFit;
use Oldpart\Core\Joint\Chance;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Remedies;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Tests\Gauge\Coverage;
use Oldpart\Core\Tests\Measure\NominalScore;

require __DIR__.'/../../vendor/autoload.php';
require __DIR__.'/pace.php';
require __DIR__.'/../../core/tests/Gauge/Coverage.php';
require __DIR__.'/../../core/tests/Measure/NominalScore.php';
putenv('DB_DATABASE=:memory:');
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = ':memory:';
$app = require __DIR__.'/../../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$kernel->bootstrap();
$kernel->call('migrate', ['--force' => true, '--seed' => true]);

/** @var list<string> $missed */
$missed = [];

/** @param  callable(): mixed  $run */
function timed(string $what, callable $run, float $wanted): void
{
    global $missed;
    $times = $fair = [];
    for ($i = 0; $i < 40; $i++) {
        $before = pace();
        $start = hrtime(true);
        $run();
        $times[] = $took = (hrtime(true) - $start) / 1e6;
        $fair[] = $took / max($before, pace());
    }
    sort($times);
    sort($fair);
    printf(
        "%-48s median %6.2f ms, worst %6.2f ms, at a quiet pace %6.2f ms, wanted under %.0f ms\n",
        $what,
        $times[20],
        $times[39],
        $fair[10],
        $wanted,
    );
    // Judged by the quicker quarter of them, so that what else the machine does at the time is no fault of ours.
    if ($fair[10] > 2 * $wanted) {
        $missed[] = $what;
    }
}

/** @param  list<string>  $missed */
function finish(array $missed): never
{
    foreach ($missed as $what) {
        fwrite(STDERR, "Twice as slow as wanted, or worse: {$what}\n");
    }
    exit($missed === [] ? 0 : 1);
}

$store = $app->make(JobStore::class);
$facts = $store->facts('demo-carder');
$surface = $facts->surfaces[0]->id;
$reading = [
    'surface' => $surface,
    'station' => 'mouth',
    'angle' => '0',
    'value' => ['typed' => '1.6252', 'unit' => 'in'],
    'instrument' => 'three-point',
];
timed('evaluate a whole job', static fn () => JobAnswers::of($facts), 10);
timed('evaluate and write it as JSON', static fn () => json_encode(JobAnswers::of($facts)), 20);
timed(
    'preview a typed reading, store to JSON',
    static fn () => json_encode($store->preview('demo-carder', [new FactChange(FactList::Readings, 'new', $reading)])),
    25,
);

// A length dragged in a what-if, and a job in which a number was wrong: looked back at, and each way out tried on the
// whole of it.
$drill = $store->facts('demo-drill');
$float = array_values(
    array_filter($drill->loops, static fn (LoopFacts $l): bool => $l->name === 'End float of the shaft'),
)[0];
$lengths = array_map(static fn (LoopLength $l): array => $l->jsonSerialize(), $float->lengths);
$lengths[1]['size'] = ['typed' => '0.0630', 'unit' => 'in'];
timed(
    'a length dragged, store to JSON',
    static fn () => json_encode(
        $store->preview('demo-drill', [
            new FactChange(FactList::Loops, $float->id, [
                'lengths' => json_decode((string) json_encode($lengths), true),
            ]),
        ]),
    ),
    100,
);
$wrong = $store->facts('demo-grinder');
timed('a job in which a number was wrong', static fn () => JobAnswers::of($wrong), 50);

// A large job: 60 surfaces with 25 readings each.
$large = JobFile::toArray($facts);
$large['surfaces'] = $large['readings'] = $large['joints'] = $large['cuts'] = [];
$found = array_values(array_filter($large['parts'], static fn (array $p): bool => $p['origin'] === 'found'));
for ($i = 0; $i < 60; $i++) {
    $large['surfaces'][] = [
        ...FactList::Surfaces->blank(),
        'id' => "s{$i}",
        'part' => $found[$i % count($found)]['id'],
        'name' => "Surface {$i}",
        'kind' => ['bore', 'shaft', 'length'][$i % 3],
    ];
    for ($k = 0; $k < 25; $k++) {
        $large['readings'][] = [
            ...FactList::Readings->blank(),
            'id' => "r{$i}-{$k}",
            'surface' => "s{$i}",
            'station' => (string) ($k % 3),
            'angle' => (string) (45 * ($k % 4)),
            'value' => ['typed' => number_format(30 + $i + $k / 1000, 3), 'unit' => 'mm'],
            'instrument' => 'calliper',
        ];
    }
}
$largeFacts = JobFacts::fromArray($large);
timed('evaluate 60 surfaces with 1,500 readings', static fn () => JobAnswers::of($largeFacts), 10);

// The tables: a fit looked up, over sizes and classes.
$fits = ['H7/p6', 'H8/f7', 'P7/h6', 'K7/h6', 'H11/c11', 'FN2', 'RC4'];
$start = hrtime(true);
for ($i = 0; $i < 7000; $i++) {
    NamedFit::named(25.0 + ($i % 300), $fits[$i % 7])->clearance();
}
/** The script a browser is sent before the bench stands, in kB: what main.tsx brings with it and nothing later. */
function scriptOfTheBench(): ?float
{
    $manifest = json_decode((string) @file_get_contents(public_path('build/manifest.json')), true);
    if (! is_array($manifest)) {
        return null;
    }
    $bytes = 0;
    [$open, $seen] = [['resources/js/main.tsx'], []];
    while ($open !== []) {
        $name = array_shift($open);
        if (! isset($seen[$name])) {
            $seen[$name] = true;
            array_push($open, ...$manifest[$name]['imports'] ?? []);
            // What is too small to be packed goes as it is.
            $file = public_path("build/{$manifest[$name]['file']}");
            $bytes += filesize(is_file("{$file}.br") ? "{$file}.br" : $file);
        }
    }

    return $bytes / 1000;
}

$script = scriptOfTheBench();
if ($script !== null) {
    printf("%-48s %6.0f kB, wanted under 150 kB\n", 'script sent before the bench stands', $script);
}
printf("%-48s %6.2f µs each, wanted under 50 µs\n", 'a fit from the tables', (hrtime(true) - $start) / 7000 / 1e3);
timed('all fits at a size, for find by result', static fn () => FitSearch::inside(40.0, new Range(-0.04, 0.0)), 100);

timed(
    'the sheet of kinds with its pictures',
    static fn () => json_encode(array_map(static fn (Kind $k): mixed => KindThumb::of($k), Kind::all())),
    100,
);
if (in_array('--short', $argv, true)) {
    finish($missed);
}

// Ten thousand press fits with their chances, beside the same work in numpy and scipy where they are installed.
mt_srand(1);
$even = static fn (float $from, float $to): float => $from + (($to - $from) * mt_rand()) / mt_getrandmax();
$bronze = Material::named('leaded tin bronze (bearing)');
$iron = Material::named('grey cast iron, ordinary');
$start = hrtime(true);
for ($i = 0; $i < 10000; $i++) {
    $d = $even(10, 100);
    $low = $even(0, 0.02);
    $press = Press::of(
        new PressFit(
            $d,
            $d * $even(0, 0.8),
            $d * $even(1.2, 3),
            $d * $even(0.5, 2),
            new Range($low, $low + $even(0.005, 0.03)),
            $bronze,
            $iron,
        ),
    );
    $chance = new Chance($press->fit->interferenceMm->min, $press->fit->interferenceMm->max, $even(0.0005, 0.004));
    $chance->below(0.0);
    $chance->below(($press->fit->interferenceMm->max * ($press->outerFactor ?? 1.0)) / 2.5);
}
$own = (hrtime(true) - $start) / 1e9;
$numpy = (float) shell_exec(
    '/usr/bin/python3 '.escapeshellarg(__DIR__.'/../../core/tests/reference/joints_numpy.py').' 2>/dev/null',
);
printf(
    "10,000 press fits with chances: %.2f s, wanted under 1 s; %s\n",
    $own,
    $numpy > 0
        ? sprintf('numpy and scipy, one by one: %.2f s, %.1f times as long', $numpy, $numpy / $own)
        : 'numpy is not installed here',
);

// A loop of twelve lengths, exact, beside a million draws in numpy where it is installed.
$twelve = [];
for ($i = 0; $i < 12; $i++) {
    $half = 0.05 + 0.0015 * $i;
    $twelve[] = new Contributor(
        "length {$i}",
        0,
        $half,
        $half,
        1,
        [Spread::Uniform, Spread::Triangular, Spread::Normal][$i % 3],
    );
}
$best = INF;
for ($i = 0; $i < 20; $i++) {
    $start = hrtime(true);
    $chance = Loop::of($twelve, new Range(-0.12, 0.15))->chance();
    $best = min($best, (hrtime(true) - $start) / 1e9);
}
$numpy = array_map(
    floatval(...),
    explode(
        ' ',
        trim(
            (string) shell_exec(
                '/usr/bin/python3 '.
                    escapeshellarg(__DIR__.'/../../core/tests/reference/loops_numpy.py').
                    ' --draw 2>/dev/null',
            ),
        ),
    ),
);
printf(
    "a loop of 12 lengths, exact: %.2f ms, chance %.6f; %s\n",
    $best * 1e3,
    $chance,
    count($numpy) === 3
        ? sprintf(
            'a million draws: %.0f ms, %.1f times as long; errors %.6f and %.6f',
            $numpy[0] * 1e3,
            $numpy[0] / $best,
            abs($chance - $numpy[2]),
            abs($numpy[1] - $numpy[2]),
        )
        : 'numpy is not installed here',
);

// The same loop with a wish that it does not meet: what would close it, looked for among all its lengths.
$remedies = new Remedies(Loop::of($twelve, new Range(-0.12, 0.15)), 0.02);
$best = INF;
for ($i = 0; $i < 20; $i++) {
    $start = hrtime(true);
    $remedies->all(range(0, 11), range(0, 11));
    $best = min($best, (hrtime(true) - $start) / 1e9);
}
printf("what would close it: %.1f ms\n", $best * 1e3);

// A thousand readings, one after the other, as a gauge sends them.
$state = $store->start('bench-1000', 'plain-bush', 'Bench', 'Bush', Unit::Inch);
$bore = $state->facts->surfaces[0]->id;
$start = hrtime(true);
for ($i = 0; $i < 1000; $i++) {
    $store->apply('bench-1000', $i + 1, "bench-{$i}", [
        new FactChange(FactList::Readings, "bench-r{$i}", [
            'surface' => $bore,
            'station' => 'mouth',
            'angle' => (string) (($i % 4) * 45),
            'value' => ['typed' => sprintf('1.%04d', 1240 + ($i % 7)), 'unit' => 'in'],
            'instrument' => 'three-point',
        ]),
    ]);
}
printf(
    "1,000 readings stored one by one: %.1f s, %d there\n",
    (hrtime(true) - $start) / 1e9,
    count($store->facts('bench-1000')->readings),
);

// How often U95 holds the truth, and how often the guess at the nominal size is right.
$coverage = new Coverage(20261124);
foreach (['telescoping', 'three-point', 'dial-bore', 'calliper'] as $code) {
    printf(
        "U95 holds the truth, %-12s %.1f %% of 500 bores\n",
        $code,
        100 * $coverage->share(Instrument::named($code), 500),
    );
}
printf(
    "  repeatability alone          %.1f %% of 2,000 bores\n",
    100 * $coverage->share(new Instrument(0.0005, repeatabilityMm: 0.02), 2000),
);
printf(
    "  an unchecked gauge, +0.015   %.1f %%; three lobes of 0.008 met in one place  %.1f %%\n",
    100 * $coverage->share(Instrument::named('three-point'), 500, 1, 0.015),
    100 * $coverage->share(Instrument::named('three-point'), 500, 1, null, 0.008),
);
foreach ([false, true] as $worn) {
    $score = (new NominalScore($worn ? 2 : 1))->of(500, $worn);
    printf(
        "nominal size of %d %s dimensions: first %.1f %%, in the first three %.1f %%\n",
        $score['count'],
        $worn ? 'worn' : 'unworn',
        100 * $score['first'],
        100 * $score['in_three'],
    );
}

// A shop with many years behind it: 5,000 jobs with ten surfaces each.
$job = IndexedJob::query()->findOrFail('demo-cider');
DB::transaction(static function () use ($job): void {
    mt_srand(7);
    for ($i = 0; $i < 5000; $i++) {
        $id = sprintf('many-%05d', $i);
        DB::table('jobs')->insert([
            'id' => $id,
            'version' => 1,
            'machine' => "Machine {$i}",
            'part' => 'Part',
            'kind' => 'plain-bush',
            'unit' => 'mm',
            'take_in' => '{}',
            'shop' => '{}',
            'hand_over' => '{}',
        ]);
        $row = [...$job->row, 'id' => $id, 'machine' => "Machine {$i}"];
        DB::table('indexed_jobs')->insert([
            'job_id' => $id,
            'state' => ['now', 'waits', 'done', 'done', 'done'][$i % 5],
            'shelf' => 'bench',
            'sort' => (string) mt_rand(),
            'row' => json_encode($row),
            'words' => "machine {$i} · bush · grey cast iron",
        ]);
        $surfaces = [];
        for ($k = 0; $k < 10; $k++) {
            $surfaces[] = [
                'job_id' => $id,
                'surface_id' => "{$id}-{$k}",
                'name' => "Surface {$k}",
                'part' => 'Part',
                'made' => $k % 2,
                'size_mm' => 5 + (95 * mt_rand()) / mt_getrandmax(),
            ];
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
finish($missed);

<?php

declare(strict_types=1);

// Sends mangled bodies to every endpoint that writes; wanted: not one server error. Usage: fuzz.php [BODIES] [SEED]

use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;

require __DIR__.'/../../vendor/autoload.php';
putenv('DB_DATABASE=:memory:');
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = ':memory:';
putenv('BACKUP_DIR='.sys_get_temp_dir().'/oldpart-fuzz-backups');
putenv('SESSION_DRIVER=array');
putenv('PHOTO_DIR='.sys_get_temp_dir().'/oldpart-fuzz-photos');
$app = require __DIR__.'/../../bootstrap/app.php';
$kernel = $app->make(Kernel::class);
$app->make(Illuminate\Contracts\Console\Kernel::class)->call('migrate', ['--force' => true, '--seed' => true]);

$count = (int) ($argv[1] ?? 50000);
mt_srand((int) ($argv[2] ?? 1));
$one = static fn (array $of): mixed => $of[mt_rand(0, count($of) - 1)];

$length = ['typed' => '1.0605', 'unit' => 'in'];
$jobs = ['demo-carder', 'demo-drill', 'demo-printer', 'demo-cider', 'nowhere', '..', 'ü'];
/** @var list<array<string, mixed>> $seeds what a sensible body may hold */
$seeds = [
    [
        'version' => 1,
        'request' => 'r',
        'fact' => [
            'machine' => 'Loom',
            'take_in' => ['failed' => 'worn', 'wanted_by' => '2027-01-01', 'runs_at_c' => 80, 'gates' => ['driveline']],
            'waits' => ['for' => 'stock', 'until' => null, 'note' => ''],
        ],
    ],
    [
        'version' => 1,
        'request' => 'r',
        'fact' => [
            'surface' => 'demo-carder-4',
            'station' => 'mouth',
            'angle' => '0',
            'value' => $length,
            'instrument' => 'three-point',
            'taken_at' => '2026-11-09T09:30:00Z',
            'part_c' => 20,
        ],
    ],
    [
        'version' => 1,
        'request' => 'r',
        'fact' => [
            'purpose' => 'light-press',
            'school' => 'iso',
            'least' => $length,
            'most' => $length,
            'held' => [
                [
                    'kind' => 'dowels',
                    'size' => $length,
                    'size2' => null,
                    'long' => $length,
                    'circle' => null,
                    'count' => 2,
                    'tighten_nm' => 5,
                    'half_angle_deg' => null,
                    'material' => null,
                ],
            ],
            'bearing' => [
                'designation' => '6204K',
                'bore_mm' => 20,
                'outside_mm' => 47,
                'width_mm' => 14,
                'turning' => 'inner',
                'load' => 'normal',
                'housing' => 'solid',
                'inner_warmer_k' => 0,
            ],
        ],
    ],
    [
        'version' => 1,
        'request' => 'r',
        'fact' => [
            'name' => 'Float',
            'least' => $length,
            'most' => $length,
            'lengths' => [
                [
                    'name' => 'A',
                    'surface' => null,
                    'size' => $length,
                    'plus' => $length,
                    'minus' => $length,
                    'opens' => true,
                    'spread' => 'uniform',
                ],
            ],
            'plane' => false,
        ],
    ],
    [
        'version' => 1,
        'request' => 'r',
        'fact' => [
            'kind' => 'shaft',
            'size' => $length,
            'finish' => 'ground',
            'rz_um' => 3,
            'count' => 3,
            'hand' => 'left',
            'angle_deg' => 30,
        ],
    ],
    [
        'changes' => [
            [
                'list' => 'readings',
                'thing' => 'x',
                'fact' => ['value' => $length, 'surface' => 'demo-carder-4', 'instrument' => 'calliper'],
            ],
        ],
    ],
    [
        'version' => 1,
        'request' => 'r',
        'id' => 'm',
        'surface' => 'demo-carder-4',
        'loop' => null,
        'place' => 0,
        'right' => $length,
        'cause' => 'misread',
        'note' => '',
    ],
    ['id' => 'fresh', 'kind' => 'plain-bush', 'machine' => 'M', 'part' => 'P', 'unit' => 'in'],
    ['shelf' => 'bin'],
    ['why' => 'mistyped'],
    ['faces' => ['demo-carder-1.0', 'demo-carder-1.1']],
    ['id' => 'c', 'read' => $length, 'true' => $length, 'at' => '2026-11-01'],
    ['name' => 'Gauge', 'fits' => ['bore'], 'resolution' => $length, 'reach' => $length, 'in_shop' => true],
    ['size' => $length, 'fit' => 'H7/p6'],
    ['text' => '0.01 to 0.03 mm tight at 40 mm', 'unit' => 'mm'],
    ['designation' => 'R8ZZ', 'bore' => $length],
    [
        'version' => 1,
        'request' => 'r',
        'text' => "surface,value\nHousing bore,1.62\n",
        'columns' => ['surface', 'value'],
        'surface' => 'demo-carder-4',
        'unit' => 'in',
        'instrument' => 'calliper',
    ],
    ['person' => 'p-1', 'secret' => '482915', 'code' => 'AAAAA-AAAAA'],
    ['name' => 'Bench one', 'role' => 'machinist', 'left' => false],
    ['temperature_c' => 20, 'shims' => '0.05 x4', 'currency' => '€', 'unit' => 'mm'],
];
$examples = [];
foreach (Oldpart\Core\Sum\Sums::all() as $sum) {
    $seeds[] = $examples[$sum->name()] = $sum->example();
}
$nasty = [
    null,
    true,
    false,
    0,
    -1,
    1e308,
    -1e308,
    1.5,
    PHP_INT_MAX,
    '',
    ' ',
    "\0",
    "a\u{202E}b",
    '1,200',
    '1/0',
    '../../etc/passwd',
    '=1+1',
    "'; drop table jobs; --",
    str_repeat('x', 300),
    '2126-13-45',
    'NaN',
    'M12',
    '№',
    [],
    [[]],
    [[[[]]]],
    ['typed' => [], 'unit' => 7],
    ['typed' => '1', 'unit' => 'ells'],
    new stdClass(),
    ['0' => 1, '2' => 3],
    '9'.str_repeat('0', 400),
];
$mangle = static function (mixed $value, int $deep = 0) use (&$mangle, $one, $nasty): mixed {
    if (mt_rand(1, 30) === 1) {
        return $one($nasty);
    }
    if (is_array($value)) {
        foreach ($value as $key => $inner) {
            if (mt_rand(1, 80) === 1) {
                unset($value[$key]);
            } else {
                $value[$key] = $mangle($inner, $deep + 1);
            }
        }
        if (mt_rand(1, 25) === 1) {
            $value[$one(['extra', '0', '', 'id', 'mm', 'fact', '__proto__'])] = $one($nasty);
        }
    } elseif (is_string($value) && mt_rand(1, 10) === 1) {
        $at = mt_rand(0, strlen($value));
        $value =
            substr($value, 0, $at).
            $one(['"', '\\', '0', '-', '.', ',', ' ', "\x7f", 'é', '/', '']).
            substr($value, $at);
        $value = mb_convert_encoding($value, 'UTF-8', 'UTF-8');
    } elseif ((is_int($value) || is_float($value)) && mt_rand(1, 6) === 1) {
        $value = $one([0, -$value, $value * 1e9, 1e-300, (string) $value]);
    }

    return $value;
};
/** @var list<Route> $routes */
$routes = array_values(
    array_filter(
        iterator_to_array(Routes::getRoutes(), false),
        static fn (Route $r): bool => array_intersect($r->methods(), ['POST', 'PUT', 'PATCH', 'DELETE']) !== []
            && str_starts_with($r->uri(), 'api/')
            && ! str_contains($r->uri(), 'fallback'),
    ),
);
$values = [
    'job' => $jobs,
    'list' => [
        'readings',
        'joints',
        'surfaces',
        'parts',
        'loops',
        'cuts',
        'ticks',
        'pushes',
        'photos',
        'mistakes',
        'costs',
        'operations',
        'wishes',
    ],
    'thing' => ['demo-carder-4', 'demo-carder-12', 'x', 'a b', str_repeat('y', 60)],
    'photo' => ['p1', 'p1-small', '%00'],
    'instrument' => ['calliper', 'three-point', 'mine', 'Ü'],
    'check' => ['demo-check-0', 'none'],
    'name' => [...array_map(static fn ($s) => $s->name(), Oldpart\Core\Sum\Sums::all()), 'none'],
    'gauge' => ['bore'],
    'person' => ['p-1', 'p-2', 'Ü', '..'],
    'backup' => ['shop-20261101-000000.zip', 'none'],
];
$statuses = $bad = [];
$start = microtime(true);
for ($i = 0; $i < $count; $i++) {
    if ($i % 200 === 0) {
        array_map(unlink(...), glob(sys_get_temp_dir().'/oldpart-fuzz-backups/*.zip') ?: []);
    }
    // Now and then as a device on the network asks, that nobody signed in on.
    config(['shop.network' => mt_rand(1, 10) === 1]);
    $route = $one($routes);
    $uri =
        '/'.
        preg_replace_callback(
            '/\{(\w+)\??\}/',
            static fn (array $m): string => rawurlencode((string) $one($values[$m[1]] ?? ['x'])),
            $route->uri(),
        );
    $method = $one(array_values(array_intersect($route->methods(), ['POST', 'PUT', 'PATCH', 'DELETE'])));
    // Mostly what the endpoint asks for, so that the mangling gets past the door; now and then anything.
    $parts = explode('/', trim($uri, '/'));
    $fits = match (true) {
        mt_rand(1, 6) === 1 => $one($seeds),
        str_ends_with($uri, '/undo'), str_ends_with($uri, '/redo'), $method === 'DELETE' => [
            'version' => 1,
            'request' => 'r',
        ],
        str_ends_with($uri, '/preview'), str_ends_with($uri, '/changes') => [
            'version' => 1,
            'request' => 'r',
            'changes' => array_map(
                static fn (): array => mt_rand(0, 3) === 0
                    ? $seeds[5]['changes'][0]
                    : [
                        'list' => $one(['joints', 'surfaces', 'loops', 'readings', 'parts', 'job']),
                        'thing' => $one(['demo-carder-12', 'demo-carder-4', 'x']),
                        'fact' => $one([
                            $seeds[1]['fact'],
                            $seeds[2]['fact'],
                            $seeds[3]['fact'],
                            $seeds[4]['fact'],
                            null,
                        ]),
                    ],
                range(1, mt_rand(1, 4)),
            ),
        ],
        str_ends_with($uri, '/mistakes') => $seeds[6],
        str_ends_with($uri, '/faces') => $seeds[10],
        str_ends_with($uri, '/shelf') => $seeds[8],
        str_ends_with($uri, '/copy') => ['id' => "c{$i}"],
        str_ends_with($uri, '/void') => $seeds[9],
        str_ends_with($uri, '/checks') => $seeds[11],
        str_contains($uri, 'readings-table') => $seeds[16],
        str_starts_with($uri, '/api/instruments') => $seeds[12],
        str_starts_with($uri, '/api/fits/look') => $seeds[13],
        str_starts_with($uri, '/api/fits/find') => $seeds[14],
        str_starts_with($uri, '/api/bearings') => $seeds[15],
        str_starts_with($uri, '/api/shop') => $seeds[17],
        str_starts_with($uri, '/api/sums/') => $examples[$parts[2]] ?? $one($seeds),
        $uri === '/api/jobs' => [...$seeds[7], 'id' => "n{$i}"],
        count($parts) === 3 => $seeds[0],
        count($parts) === 5 => $seeds[
            ['readings' => 1, 'joints' => 2, 'loops' => 3, 'surfaces' => 4][$parts[3]] ?? mt_rand(1, 4)
        ],
        default => $one($seeds),
    };
    $body = $mangle($fits);
    if (is_array($body) && isset($body['version']) && mt_rand(0, 2) > 0) {
        $body['version'] =
            (int) (App\Models\Job::query()
                ->where('id', explode('/', $uri)[3] ?? '')
                ->value('version') ?? 1);
        $body['request'] = "r{$i}";
    }
    $text =
        mt_rand(1, 60) === 1
            ? $one(['', '{', '[]', 'null', '"x"', "\xff\xfe", str_repeat('[', 600)])
            : (string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
    $type = str_contains($uri, '/pictures/') ? 'image/jpeg' : 'application/json';
    $query = str_contains($uri, '/pictures/') ? '?version=1&request=r'.$i : '';
    try {
        $request = Request::create(
            'http://127.0.0.1'.$uri.$query,
            $method,
            [],
            [],
            [],
            ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json', 'HTTP_HOST' => '127.0.0.1'],
            $text,
        );
        $response = $kernel->handle($request);
        $status = $response->getStatusCode();
        if ($status >= 500 && ! str_contains((string) $response->getContent(), 'gauge-silent')) {
            $bad[] =
                "{$method} {$uri} {$status} ".
                substr($text, 0, 400).
                ' => '.
                ($response->exception ?? null
                    ? get_class($response->exception).
                        ': '.
                        $response->exception->getMessage().
                        ' at '.
                        basename($response->exception->getFile()).
                        ':'.
                        $response->exception->getLine()
                    : substr((string) $response->getContent(), 0, 200));
        }
    } catch (Throwable $e) {
        $status = 599;
        $bad[] = "{$method} {$uri} thrown ".get_class($e).': '.$e->getMessage().' '.substr($text, 0, 300);
    }
    $statuses[$status] = ($statuses[$status] ?? 0) + 1;
    if (count($bad) >= 20) {
        break;
    }
}
ksort($statuses);
printf(
    "%d bodies to %d endpoints in %.0f s: %s\n",
    array_sum($statuses),
    count($routes),
    microtime(true) - $start,
    implode(', ', array_map(static fn (int $s, int $n): string => "{$s}: {$n}", array_keys($statuses), $statuses)),
);
foreach ($bad as $line) {
    echo $line, "\n";
}
echo count($bad) === 0 ? "No server error.\n" : count($bad)." server errors.\n";
exit($bad === [] ? 0 : 1);

<?php

declare(strict_types=1);

// What came true of what was promised: 4,000 worn joints, simulated and seeded, sized and made. Ends with 1 where a class
// of promise is further than three points, and twice what so few jobs scatter by, from what came true.

use Oldpart\Core\Tests\Evaluate\WornJoints;

require __DIR__.'/../../vendor/autoload.php';
require __DIR__.'/../../core/tests/Evaluate/SampleJob.php';
require __DIR__.'/../../core/tests/Evaluate/WornJoints.php';

$jobs = (int) ($argv[1] ?? 4000);
$rack = (new WornJoints((int) ($argv[2] ?? 20261129)))->run($jobs);
$of = static fn (int $n, int $all): string => number_format((100 * $n) / max(1, $all), 1);
echo "{$jobs} worn joints, read with the gauges of a common shop\n";
printf("  %-52s %s of 100\n", 'right by the table at the nominal size', $of($rack->byTable, $rack->jobs));
printf("  %-52s %s of 100\n", 'right by the thumb from the size read', $of($rack->byThumb, $rack->jobs));
printf("  %-52s %s of 100\n", 'given a size', $of($rack->sized, $rack->jobs));
printf("  %-52s %s of 100\n", 'of these in the class asked for', $of($rack->promised, $rack->sized));
printf("  %-52s %s of 100\n", 'of these right', $of($rack->right, $rack->sized));
$worst = 0;
foreach ($rack->told as $class => ['told' => $told, 'true' => $true, 'jobs' => $n]) {
    $share = $told / $n;
    $off = $true / $n - $share;
    $bad = $n >= 30 && abs($off) > 0.03 + 2 * sqrt(($share * (1 - $share)) / $n);
    $worst = max($worst, (int) $bad);
    $from = $class === 98 ? '98 and over' : "{$class} to ".($class === 90 ? 98 : $class + 10);
    printf(
        "  told %-12s %5d jobs: told %s, came true %s%s\n",
        $from,
        $n,
        number_format(100 * $share, 1),
        $of($true, $n),
        $bad ? '  MISSED' : '',
    );
}
exit($worst);

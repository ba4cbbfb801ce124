<?php

declare(strict_types=1);

// Whole jobs of all kinds on simulated parts, by three who practise: one follows the product's advice, one makes the
// table's class at the nominal size, one goes by the thumb from one reading. Ends with 1 where following the product is
// not well ahead of both, or less than four in five of its joints do their work.

use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Practice\JointEnd;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Level;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Tests\Practice\Bots;

require __DIR__.'/../../vendor/autoload.php';
require __DIR__.'/../../core/tests/Practice/Bots.php';

$each = max(1, (int) ($argv[1] ?? 2));
$of = static fn (int $n, int $all): string => number_format((100 * $n) / max(1, $all), 1);
$shares = [];
echo "Jobs of every kind at three levels, {$each} of each\n";
foreach (['product' => 'following the product', 'table' => 'by the table at the nominal size', 'thumb' => 'by the thumb from one reading'] as $who => $name) {
    $joints = $good = $jobs = $well = 0;
    foreach (Kind::all() as $kind) {
        foreach ($kind->code === 'free-form' ? [] : Level::cases() as $level) {
            for ($seed = 1; $seed <= $each; $seed++) {
                $end = Bots::run(Lesson::free($kind->code, $level, Unit::Millimetre), $seed, $who);
                $joints += count($end->joints);
                $good += count(array_filter($end->joints, static fn (JointEnd $j): bool => $j->isGood()));
                $jobs++;
                $well += (int) $end->good;
            }
        }
    }
    $shares[$who] = $good / max(1, $joints);
    printf("  %-34s %s of 100 joints do their work (%d), %s of 100 jobs in all (%d)\n", $name, $of($good, $joints), $joints, $of($well, $jobs), $jobs);
}
exit($shares['product'] < 0.8 || $shares['product'] < max($shares['table'], $shares['thumb']) + 0.2 ? 1 : 0);

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use PHPUnit\Framework\TestCase;

/** What is promised comes true: seeded worn joints, read, sized, made and tried. */
final class WornJointsTest extends TestCase
{
    public function test_of_what_is_told_as_much_comes_true(): void
    {
        $rack = (new WornJoints(7))->run(500);
        self::assertGreaterThan(0.93 * $rack->jobs, $rack->sized, 'a size nearly always');
        self::assertGreaterThan($rack->byThumb / $rack->jobs, $rack->right / $rack->sized);
        self::assertGreaterThan($rack->byTable, $rack->byThumb);
        $told = 0.0;
        foreach ($rack->told as $class) {
            $told += $class['told'];
            $share = $class['told'] / $class['jobs'];
            self::assertEqualsWithDelta(
                $share,
                $class['true'] / $class['jobs'],
                0.03 + 2.5 * sqrt(max(0.0004, $share * (1 - $share)) / $class['jobs']),
                sprintf('of %d told %.2f', $class['jobs'], $share),
            );
        }
        self::assertEqualsWithDelta($told / $rack->sized, $rack->right / $rack->sized, 0.03, 'all together');
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\WorkTimes;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\OperationFacts;
use PHPUnit\Framework\TestCase;

/** What work took beside what was quoted, by hand. */
final class WorkTimesTest extends TestCase
{
    use KindJob;

    public function test_quoted_and_taken(): void
    {
        $this->job('spacer');
        $this->facts['take_in']['quantity'] = 4;
        $row = static fn (string $id, ?float $spent): array => ['id' => $id, 'name' => "Work {$id}", 'setup_min' => 20.0, 'run_min' => 10.0, 'spent_min' => $spent, 'running_since' => null];
        $this->facts['operations'] = [$row('a', null), $row('b', null)];
        self::assertNull((new WorkTimes(JobFacts::fromArray($this->facts)))->says());
        $this->facts['operations'] = [$row('a', 100.0), $row('b', null)];
        // 20 and four times 10 is 60.
        self::assertStringStartsWith('1 h 40 min for what was timed, quoted 60 min.', (string) (new WorkTimes(JobFacts::fromArray($this->facts)))->says());
        $this->facts['operations'] = [$row('a', 100.0), $row('b', 44.0)];
        self::assertStringStartsWith('2 h 24 min for all of it, quoted 2 h 0 min.', (string) (new WorkTimes(JobFacts::fromArray($this->facts)))->says());
    }

    /** 100 min for four, 20 of them setting up, is 20 a piece the next time; less than the set-up is all set-up. */
    public function test_the_next_is_quoted_by_it(): void
    {
        $next = (new OperationFacts('a', 'Turn', 20.0, 10.0, 100.0))->next(4);
        self::assertSame([20.0, 20.0, null], [$next->setupMin, $next->runMin, $next->spentMin]);
        self::assertEqualsWithDelta(100.0, $next->quotedMin(4), 1e-12);
        $short = (new OperationFacts('a', 'Turn', 20.0, 10.0, 15.0))->next(4);
        self::assertSame([15.0, 0.0], [$short->setupMin, $short->runMin]);
        $same = (new OperationFacts('a', 'Turn', 20.0, 10.0))->next(4);
        self::assertSame([20.0, 10.0], [$same->setupMin, $same->runMin]);
    }
}

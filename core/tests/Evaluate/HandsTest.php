<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\HandsAnswer;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use PHPUnit\Framework\TestCase;

/** Who did what, for a stranger who reads the record: invented, with what is expected of it written down first. */
final class HandsTest extends TestCase
{
    /** @return list<array{by: string, did: list<string>}> */
    private static function hands(SampleJob $job): array
    {
        return (new HandsAnswer(JobFacts::fromArray($job->facts)))->jsonSerialize();
    }

    public function test_nobody_is_named_where_nobody_signs_in(): void
    {
        self::assertSame([], self::hands(SampleJob::measured()));
    }

    public function test_each_is_named_once_with_each_thing_once(): void
    {
        $job = SampleJob::measured();
        $names = array_column($job->facts['surfaces'], 'name', 'id');
        foreach ($job->facts['readings'] as $i => $reading) {
            $job->facts['readings'][$i]['by'] = match ($names[$reading['surface']]) {
                'Housing bore' => 'Bench one',
                'Shaft journal' => 'Lathe two',
                default => null,
            };
        }
        $outside = (string) array_search('Bush outside', $names, true);
        self::assertNotSame('', $outside);
        $cut = ['surface' => $outside, 'phase' => 'only', 'instrument' => 'outside-micrometer', 'part_c' => null, 'set_aside' => null, 'at' => null, 'after' => ['typed' => '30.5', 'unit' => 'mm']];
        $job->facts['cuts'] = [
            [...$cut, 'id' => 'c-1', 'dialled' => ['typed' => '0.5', 'unit' => 'mm'], 'by' => 'Lathe two'],
            [...$cut, 'id' => 'c-2', 'dialled' => null, 'by' => 'Bench one'],
            [...$cut, 'id' => 'c-3', 'dialled' => ['typed' => '0.1', 'unit' => 'mm'], 'by' => 'Lathe two'],
        ];
        $joint = $job->facts['joints'][0];
        $job->facts['pushes'] = [['id' => 'p-1', 'joint' => $joint['id'], 'depth' => ['typed' => '5', 'unit' => 'mm'], 'force_n' => 900, 'at' => null, 'by' => 'Lathe two']];
        $job->facts['trials'] = [['id' => 't-1', 'joint' => $joint['id'], 'loop' => null, 'cut' => null, 'seen' => 'binds', 'amount' => null, 'turn' => null, 'pitch' => null, 'note' => '', 'at' => null, 'by' => 'Bench one']];
        $job->facts['ticks'] = [
            ['id' => 'k-1', 'code' => 'chips', 'at' => null, 'remark' => null, 'by' => 'Learner'],
            ['id' => 'k-2', 'code' => 'press', 'at' => null, 'remark' => null, 'by' => 'Learner'],
            ['id' => 'k-3', 'code' => 'heat', 'at' => null, 'remark' => null, 'by' => 'Lathe two'],
        ];
        self::assertSame(
            [
                ['by' => 'Bench one', 'did' => ['measured: Housing bore, Bush outside', "tried: {$joint['name']}"]],
                ['by' => 'Lathe two', 'did' => ['measured: Shaft journal', 'cut: Bush outside', "pressed: {$joint['name']}", 'ticked one point']],
                ['by' => 'Learner', 'did' => ['ticked 2 points']],
            ],
            self::hands($job),
        );
        // It goes out with the job file and comes in again.
        $facts = JobFacts::fromArray($job->facts);
        self::assertEquals($facts, JobFile::read(JobFile::write($facts)));
        self::assertSame('Lathe two', JobFile::read(JobFile::write($facts))->pushes[0]->by);
    }
}

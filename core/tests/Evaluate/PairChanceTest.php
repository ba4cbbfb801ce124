<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Sizing\PairChance;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** Two parts that are both there: by tables of the normal distribution (any handbook of statistics; from memory). */
final class PairChanceTest extends TestCase
{
    /** Doubts of 0.003 and 0.004 are 0.005 together; Φ(0.4) 0.65542, Φ(1) 0.84134, Φ(2) 0.97725, Φ(4) 0.99997. */
    public function test_by_hand(): void
    {
        $outer = FoundSize::typed(SurfaceKind::Bore, 22.020, 0.006);
        $inner = FoundSize::typed(SurfaceKind::Shaft, 22.000, 0.008);
        $gap = new PairChance($inner, $outer, new Range(0.0, 0.030));
        self::assertEqualsWithDelta(0.97722, $gap->of(), 2e-5);
        self::assertEqualsWithDelta(0.97722, $gap->of(new Range(0.010, 0.010)), 2e-5, 'as much from the other end');
        self::assertEqualsWithDelta(0.65542, $gap->of(new Range(0.018, 0.018)), 2e-5);
        self::assertLessThan($gap->of(new Range(0.010, 0.010)), $gap->of(new Range(0.004, 0.016)));
        $press = new PairChance(FoundSize::typed(SurfaceKind::Shaft, 22.030, 0.008), $outer, new Range(-0.030, -0.005));
        self::assertEqualsWithDelta(0.84131, $press->of(), 2e-5);
    }

    /** Such a pair counts in the job as a whole, and one that is far too loose brings it down to nothing. */
    public function test_it_counts_in_the_whole(): void
    {
        foreach (['21.990' => true, '21.500' => false] as $shaft => $works) {
            $job = SampleJob::measured()->read('Bush bore', '22.020', 'three-point');
            foreach ($job->facts['parts'] as &$part) {
                $part['origin'] = 'found';
            }
            unset($part);
            foreach ($job->facts['readings'] as $i => $r) {
                if ($r['surface'] === $job->surface('Shaft journal')) {
                    $job->facts['readings'][$i]['value']['typed'] = $shaft;
                }
            }
            $answers = JobAnswers::of($job->build());
            $pair = array_values(
                array_filter($answers->joints, static fn ($j): bool => $j->joint->name === 'Shaft in bush'),
            )[0];
            self::assertNull($pair->make);
            self::assertNotNull($pair->chance(), "{$shaft}");
            self::assertSame($works, $pair->chance() > 0.5);
            self::assertContains('Shaft in bush', array_column($answers->whole->pieces ?? [], 'name'));
            self::assertSame($works, ($answers->whole->chance ?? 0.0) > 0.1);
        }
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Joint\Chance;
use Oldpart\Core\Joint\Fastening;
use Oldpart\Core\Joint\NestedRings;
use Oldpart\Core\Joint\Shrink;
use Oldpart\Core\Joint\ThreadShear;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Joints worked by hand, and what is refused. */
final class HandWorkedTest extends TestCase
{
    private static function steel(?float $alpha = 11.7e-6): Material
    {
        return new Material('steel', 'steel', 207, 0.29, $alpha, 350, 420, false);
    }

    /**
     * Two pins of 6 across 30 in a steel of 300 MPa: 0.577 · 300 · π/4 · 36 · 30 · 2 = 293.7 N·m, and along the axis both sections
     * of both, 19.58 kN. A third of the shaft is thick enough to be said (common practice).
     */
    public function test_pins_across(): void
    {
        $pins = Fastening::crossPin(30.0, 6.0, 2, 300.0);
        self::assertEqualsWithDelta(293.7, $pins->torqueNm, 0.1);
        self::assertEqualsWithDelta(19577, $pins->axialN, 5);
        self::assertSame([], $pins->notes);
        self::assertSame([], Fastening::crossPin(30.0, 10.0, 1, 300.0)->notes);
        $codes = array_map(static fn (Note $n): string => $n->code, Fastening::crossPin(30.0, 10.1, 1, 300.0)->notes);
        self::assertSame(['pin-thick'], $codes);
    }

    /**
     * M16 × 2: minor 13.835, pitch diameter 14.701 (ISO 724). Ten millimetres of the screw's threads shear over
     * π · 10 · 13.835 · (0.5 + 0.57735 · 0.866/2) = 326 mm², of the nut's over π · 10 · 16 · (0.5 + 0.57735 · 1.299/2) = 439.8.
     */
    public function test_threads_shear_over_their_flanks(): void
    {
        $thread = new ThreadShear(16.0, 2.0);
        self::assertEqualsWithDelta(326.0, $thread->externalMm2(10.0), 0.5);
        self::assertEqualsWithDelta(439.8, $thread->internalMm2(10.0), 0.5);
        self::assertEqualsWithDelta(2 * $thread->externalMm2(10.0), $thread->externalMm2(20.0), 1e-9);
    }

    /**
     * A housing of 40 to 60 with a pressure of p inside pulls with p (60² + 40²)/(60² − 40²) = 2.6 p (Lamé), whatever presses on it.
     */
    public function test_the_housing_s_pull_is_that_of_its_pressure(): void
    {
        $steel = self::steel();
        $rings = NestedRings::of([0.0, 30.0, 40.0, 60.0], 0.02, 0.01, [$steel, $steel, $steel]);
        self::assertEqualsWithDelta(2.6 * $rings->outerPressureMpa, $rings->housingHoopMpa, 1e-9);
        self::assertGreaterThan(0.0, $rings->outerPressureMpa);
    }

    /** @return iterable<string, array{\Closure(): mixed}> */
    public static function refused(): iterable
    {
        yield 'a metal that does not expand' => [
            static fn () => Shrink::of(30.0, 0.03, self::steel(), self::steel(0.0), 20.0),
        ];
        yield 'a doubt below nothing' => [static fn () => new Chance(0.0, 0.02, -0.001)];
        yield 'a doubt without end' => [static fn () => new Chance(0.0, 0.02, INF)];
        yield 'a band turned round' => [static fn () => new Chance(0.03, 0.02, 0.001)];
        yield 'an end nowhere' => [static fn () => new Chance(NAN, 0.02, 0.001)];
    }

    #[DataProvider('refused')]
    public function test_refused(\Closure $act): void
    {
        $this->expectException(BadInput::class);
        $act();
    }
}

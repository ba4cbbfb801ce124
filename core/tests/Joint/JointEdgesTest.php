<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Joint\Body;
use Oldpart\Core\Joint\Bond;
use Oldpart\Core\Joint\NestedRings;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Joint\PressLog;
use Oldpart\Core\Joint\Shrink;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Joints at the ends of what is taken, and what follows from superposition. */
final class JointEdgesTest extends TestCase
{
    private static function steel(float $nu = 0.3): Material
    {
        return new Material('steel', 'steel', 207, $nu, 11.7e-6, 350, 420, false, densityKgM3: 7850, specificHeatJKgK: 470);
    }

    private static function press(Material $inner): PressFit
    {
        return new PressFit(50, 0, 100, 40, new Range(0.03, 0.05), $inner, self::steel(), new Friction(0.1, 0.15, 'by hand'));
    }

    /** @return iterable<string, array{callable(): mixed, bool}> */
    public static function ends(): iterable
    {
        foreach ([[-30.0, true], [60.0, true], [-30.1, false], [60.1, false]] as [$room, $taken]) {
            yield "a shop at {$room}" => [static fn () => Shrink::of(60, 0.06, self::steel(), self::steel(), $room), $taken];
        }
        yield 'a tenth of the diameter' => [static fn () => Shrink::of(60, 6.0, self::steel(), self::steel(), 20), true];
        yield 'more than that' => [static fn () => Shrink::of(60, 6.01, self::steel(), self::steel(), 20), false];
        yield 'as stretchy as rubber' => [static fn () => self::press(self::steel(0.5)), false];
        yield 'nearly so' => [static fn () => self::press(self::steel(0.49)), true];
        yield 'a body' => [static fn () => new Body(self::steel(), 1e4, 1e3, 20), true];
        foreach ([[INF, 1e3], [1e4, INF], [0.0, 1e3], [1e4, 0.0], [NAN, 1e3]] as $i => [$volume, $area]) {
            yield "no body {$i}" => [static fn () => new Body(self::steel(), $volume, $area, 20), false];
        }
    }

    /** @param  callable(): mixed  $do */
    #[DataProvider('ends')]
    public function test_the_ends_of_what_is_taken(callable $do, bool $taken): void
    {
        if (! $taken) {
            $this->expectException(BadInput::class);
        }
        self::assertNotNull($do());
    }

    /** A film is best from 0.02 to 0.10 (makers' sheets, from memory): at both ends nothing is said, past them it is. */
    public function test_how_thick_a_film_is_best(): void
    {
        $said = static fn (float $least, float $most): bool => in_array('bond-gap', array_column(Bond::of(30, 40, new Range($least, $most))->notes, 'code'), true);
        self::assertSame([false, true, true, true], [$said(0.02, 0.10), $said(0.019, 0.10), $said(0.02, 0.101), $said(0.0, 0.2)]);
    }

    /**
     * What a force tells runs from the least it can be with the most friction and a gauge that reads a tenth high to the
     * most with the least friction and one that reads a tenth low: 1.1 · 0.15 / (0.9 · 0.1) apart; twice the force is
     * twice both. 62.1 MPa is 40 µm of Shigley's joint.
     */
    public function test_what_a_force_tells(): void
    {
        $log = new PressLog(Press::of(self::press(self::steel())));
        $force = 0.12 * 62.1 * M_PI * 50 * 30;
        $told = $log->impliedMm(30, $force);
        self::assertNotNull($told);
        self::assertEqualsWithDelta(1.1 * 0.15 / (0.9 * 0.1), $told->max / $told->min, 1e-9);
        self::assertEqualsWithDelta(0.04 * 0.12 * 1.1 / 0.1, $told->max, 2e-4);
        self::assertEqualsWithDelta(2 * $told->min, $log->impliedMm(30, 2 * $force)?->min, 1e-12);
        self::assertEqualsWithDelta($told->max, $log->impliedMm(60, 4 / 3 * $force)?->max, 1e-12, 'past its length nothing is added');
    }

    /**
     * Of one metal all through, the bush sees liner and housing as one ring, however tight the liner sits: p₁ = (E δ / d₁)
     * (d₃² − d₁²)(d₁² − d₀²) / (2 d₁² (d₃² − d₀²)) (superposition, Shigley).
     */
    public function test_a_bush_in_a_liner_of_the_same_metal(): void
    {
        [$d0, $d1, $d2, $d3, $e] = [20.0, 30.0, 40.0, 60.0, 207000.0];
        $alone = ($e * 0.02 / $d1) * ($d3 ** 2 - $d1 ** 2) * ($d1 ** 2 - $d0 ** 2) / (2 * $d1 ** 2 * ($d3 ** 2 - $d0 ** 2));
        foreach ([0.0, 0.01, 0.03] as $outer) {
            $rings = NestedRings::of([$d0, $d1, $d2, $d3], 0.02, $outer, [self::steel(), self::steel(), self::steel()]);
            // The bush is sized to the liner as it stands after it was pressed in.
            self::assertEqualsWithDelta($alone, $rings->innerPressureMpa, 1e-6, "{$outer}");
        }
    }
}

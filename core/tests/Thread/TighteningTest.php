<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Thread;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Thread\Thread;
use Oldpart\Core\Thread\Tightening;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Torques against published tables. */
final class TighteningTest extends TestCase
{
    /**
     * Metric 8.8 and 10.9 with K 0.20, three quarters of the proof load: tables of fastener makers after ISO 898-1.
     * SAE 5 and 8, dry, K 0.20: tables after SAE J429, in lb·ft. All from memory.
     *
     * @return iterable<string, array{string, string, float}>
     */
    public static function dry(): iterable
    {
        yield 'M6 8.8' => ['M6', '8.8', 10.5];
        yield 'M8 8.8' => ['M8', '8.8', 25.5];
        yield 'M10 8.8' => ['M10', '8.8', 50.5];
        yield 'M12 8.8' => ['M12', '8.8', 88.0];
        yield 'M10 10.9' => ['M10', '10.9', 72.0];
        yield '3/8-16 SAE 5' => ['3/8-16 UNC', 'sae-5', 31 * 1.3558];
        yield '1/2-13 SAE 5' => ['1/2-13 UNC', 'sae-5', 75 * 1.3558];
        yield '1/2-13 SAE 8' => ['1/2-13 UNC', 'sae-8', 106 * 1.3558];
        yield '1/4-20 SAE 8' => ['1/4-20 UNC', 'sae-8', 12 * 1.3558];
    }

    #[DataProvider('dry')]
    public function test_against_tables(string $screw, string $class, float $nm): void
    {
        $torque = Tightening::of(Thread::named($screw), $class, 'dry')->torqueNm;
        self::assertEqualsWithDelta(1.0, $torque->middle() / $nm, 0.03);
        self::assertLessThan($nm, $torque->min);
        self::assertGreaterThan($nm, $torque->max);
    }

    /** Tensile areas of ISO 898-1: M10 58.0, M12 84.3, M20 245 mm²; the pull is three quarters of 580 MPa on it. */
    public function test_the_pull(): void
    {
        foreach (['M10' => 58.0, 'M12' => 84.3, 'M20' => 245.0] as $screw => $area) {
            $tight = Tightening::of(Thread::named($screw), '8.8', 'oiled');
            self::assertEqualsWithDelta(0.75 * 580 * $area, $tight->pullN, 0.002 * $tight->pullN, $screw);
            self::assertEqualsWithDelta(0.7 * $tight->pullN, $tight->pull()->min, 1e-6);
        }
    }

    /** The numbers as they are put in: 0.75 · 580 · 58.0 is 25.2 kN, · 84.3 is 36.7 kN. */
    public function test_the_working(): void
    {
        foreach (['M10' => ['58.0', '25.2', '10.00'], 'M12' => ['84.3', '36.7', '12.00']] as $screw => [$area, $kn, $across]) {
            [$pull, $torque] = Tightening::of(Thread::named($screw), '8.8', 'oiled')->working()->steps;
            self::assertSame("0.75 × 580 MPa × {$area} mm² = {$kn} kN", $pull->numbers->mm);
            self::assertMatchesRegularExpression('/^0\.\d\d to 0\.\d\d \(.*oil.*\) × '.preg_quote("{$across} mm × {$kn} kN").'$/', $torque->numbers->mm);
        }
    }

    public function test_oil_turns_easier_and_no_mark_is_the_softest(): void
    {
        $of = static fn (string $class, string $how): float => Tightening::of(Thread::named('M10'), $class, $how)->torqueNm->middle();
        self::assertEqualsWithDelta(0.75, $of('8.8', 'oiled') / $of('8.8', 'dry'), 1e-9);
        self::assertEqualsWithDelta(0.6, $of('8.8', 'paste') / $of('8.8', 'dry'), 1e-9);
        self::assertSame($of('4.6', 'dry'), $of('unmarked', 'dry'));
        self::assertSame(['feel', 'soft', 'class'], array_column(Tightening::of(Thread::named('M10'), 'unmarked', 'dry')->notes(), 'code'));
        self::assertSame('45 to 55 N·m', Tightening::of(Thread::named('M10'), '8.8', 'dry')->torque()->mm);
        self::assertSame('33 to 41 lb·ft', Tightening::of(Thread::named('M10'), '8.8', 'dry')->torque()->in);
    }

    public function test_what_has_no_class(): void
    {
        foreach ([['1/2 BSW', '8.8', 'dry'], ['M10', '9.9', 'dry'], ['M10', '8.8', 'spit']] as [$screw, $class, $how]) {
            try {
                Tightening::of(Thread::named($screw), $class, $how);
                self::fail("{$screw} {$class} {$how} was taken");
            } catch (BadInput $bad) {
                self::assertContains($bad->field, ['thread', 'class', 'lubrication']);
            }
        }
    }

    /** Marked classes are of metric and unified screws: a Whitworth and a tapered pipe thread have none. */
    public function test_threads_without_a_class(): void
    {
        foreach (['1/2-12 BSW', '1/2 NPT', '1/2 BSPT'] as $label) {
            try {
                $thread = Thread::named($label);
            } catch (BadInput) {
                continue;
            }
            try {
                Tightening::of($thread, '8.8', 'oiled');
                self::fail($label);
            } catch (BadInput $bad) {
                self::assertSame('thread', $bad->field);
            }
        }
        self::assertContains('8.8', array_column(Tightening::classes(), 'code'));
        self::assertSame(count(Tightening::classes()), count(array_unique(array_column(Tightening::classes(), 'name'))));
        self::assertStringContainsString('8.8', Tightening::of(Thread::named('M10'), '8.8', 'oiled')->class);
        self::assertStringContainsString('three lines', Tightening::of(Thread::named('3/8-16 UNC'), 'sae-5', 'oiled')->class, 'as it is marked');
    }
}

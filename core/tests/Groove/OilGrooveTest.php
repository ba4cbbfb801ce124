<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Groove;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Groove\OilGroove;
use Oldpart\Core\Tests\Evaluate\KindJob;
use PHPUnit\Framework\TestCase;

/** Oil grooves: common practice, no source; what pins them down is what they must never do. */
final class OilGrooveTest extends TestCase
{
    use KindJob;

    public function test_it_leaves_its_ends_and_its_wall(): void
    {
        foreach ([20.0, 60.0, 150.0] as $bore) {
            foreach ([0.6, 1.0, 2.0] as $ratio) {
                foreach ([1.5, 4.0, 12.0] as $wall) {
                    $groove = new OilGroove($bore, $bore * $ratio, $wall, false);
                    self::assertGreaterThanOrEqual(2.0, $groove->landMm);
                    self::assertEqualsWithDelta($bore * $ratio, $groove->longMm + 2 * $groove->landMm, 1e-9);
                    self::assertLessThan($wall / 2, $groove->deepMm);
                    self::assertLessThanOrEqual($groove->wideMm + 0.8, $groove->holeMm);
                    self::assertGreaterThan(90.0, $groove->fromLoadDeg, 'clear of the loaded half');
                }
            }
        }
        self::assertSame(180.0, (new OilGroove(20, 30, null, true))->fromLoadDeg);
        // 0.12 · 40 and 0.03 · 40, by hand; the oil hole is 0.8 of its width.
        $groove = new OilGroove(40, 60, 5, false);
        self::assertEqualsWithDelta(3.84, $groove->holeMm, 1e-9);
        self::assertEqualsWithDelta([4.8, 1.2, 7.2, 45.6], [$groove->wideMm, $groove->deepMm, $groove->landMm, $groove->longMm], 1e-9);
        // What a cutter can still cut, and what a small bore still takes; and no more than a large one needs.
        $small = new OilGroove(10, 12, null, false);
        self::assertEqualsWithDelta([1.5, 0.5, 2.0, 8.0, 2.0], [$small->wideMm, $small->deepMm, $small->landMm, $small->longMm, $small->holeMm], 1e-9);
        $large = new OilGroove(100, 120, null, false);
        self::assertEqualsWithDelta([8.0, 2.5], [$large->wideMm, $large->deepMm], 1e-9);
        // A thin wall is cut to four tenths of it.
        self::assertEqualsWithDelta(0.6, (new OilGroove(40, 60, 1.5, false))->deepMm, 1e-9);
    }

    /** As a shape of a job: 0.12 of 32 is 3.84, 0.12 of 80 is 9.6. */
    public function test_in_a_job(): void
    {
        $this->job('stepped-shaft')->is('Undercut', ['shape' => 'oil groove'])->is('Middle', ['size' => ['typed' => '32', 'unit' => 'mm'], 'long' => ['typed' => '80', 'unit' => 'mm']]);
        $shape = array_column($this->answers()->shaped, null)[array_search('Undercut', array_map(static fn ($s): string => $s->surface->name, $this->answers()->shaped), true)];
        $says = json_encode($shape->numbers, JSON_UNESCAPED_UNICODE) ?: '';
        foreach (['3.840', '9.600', '60.800', '110°'] as $number) {
            self::assertStringContainsString($number, $says);
        }
    }

    public function test_what_takes_no_groove_is_refused(): void
    {
        foreach ([[0, 10, null], [20, 5, null], [20, 30, 0.8]] as [$bore, $long, $wall]) {
            try {
                new OilGroove($bore, $long, $wall, false);
                self::fail('taken');
            } catch (BadInput $bad) {
                self::assertContains($bad->field, ['bore_mm', 'length_mm', 'wall_mm']);
            }
        }
    }
}

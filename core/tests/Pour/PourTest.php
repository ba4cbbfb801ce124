<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Pour;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Pour\Poured;
use Oldpart\Core\Pour\PouredBearing;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\TestCase;

/** A bearing to pour: geometry and hydrostatics by hand. */
final class PourTest extends TestCase
{
    /**
     * Journal 60 less 3 is a mandrel of 57; π/4 (72² − 57²) · 105 + π/4 (90² − 57²) · 6 = 159,573 + 22,860 mm³; a fifth
     * more at 7400 is 1.620 kg; 111 high 8.055 kPa.
     */
    public function test_by_hand(): void
    {
        $pour = new PouredBearing(60.0, 3.0, 72.0, 90.0, [['outside' => 90.0, 'thickness' => 6.0]], 15.0);
        self::assertSame([57.0, 6.0], [$pour->mandrelMm, $pour->wallMm]);
        self::assertEqualsWithDelta(M_PI / 4 * ((72 ** 2 - 57 ** 2) * 105 + (90 ** 2 - 57 ** 2) * 6), $pour->volumeMm3, 1e-6);
        self::assertEqualsWithDelta(1.620, $pour->massKg, 5e-4);
        self::assertEqualsWithDelta(8.055, $pour->pressureKpa, 5e-4);
        $bare = new PouredBearing(60.0, 3.0, 72.0, 90.0, densityKgM3: 9700.0);
        self::assertEqualsWithDelta(M_PI / 4 * (72 ** 2 - 57 ** 2) * 90, $bare->volumeMm3, 1e-6);
        self::assertEqualsWithDelta(9700 * 9.80665 * 0.09 / 1000, $bare->pressureKpa, 1e-9);
    }

    /** Tin poured at 420 to 450 °C, lead lower; the split shims fill the saw's cut and 0.3 more; common practice. */
    public function test_the_recipe(): void
    {
        $in = ['journal_mm' => 50.0, 'boring_mm' => 2.0, 'shell_bore_mm' => 66.0, 'length_mm' => 90.0, 'kerf_mm' => 1.0, 'base_mm' => 20.0, 'washer_mm' => 3.0, 'rod_mm' => 22.4];
        $tin = Sums::run('pour', $in);
        $lead = Sums::run('pour', [...$in, 'metal' => 'lead']);
        self::assertEqualsWithDelta([1.3, 0.6], [$tin['split_shim_mm'], $tin['level_shim_mm']], 1e-9);
        self::assertEquals([new Range(420.0, 450.0), new Range(330.0, 400.0)], [$tin['pour_c'], $lead['pour_c']]);
        self::assertEqualsWithDelta(9700 / 7400, $lead['mass_kg'] / $tin['mass_kg'], 1e-9);
        self::assertEquals([new Range(100.0, 150.0), new Range(100.0, 150.0)], [$tin['preheat_c'], $lead['preheat_c']]);
        self::assertNull($tin['kept']);
        self::assertStringContainsString('48.000 mm', $tin['steps'][1]->mm);
        foreach (Poured::cases() as $seen) {
            $result = Sums::run('pour', [...$in, 'seen' => $seen->value]);
            self::assertSame(in_array($seen, [Poured::Sound, Poured::PoresElsewhere], true), $result['kept']);
            self::assertSame($seen->says(), $result['notes'][0]->say->mm);
            self::assertSame($result['kept'] ? 'kept' : 'pour-again', $result['notes'][0]->code);
        }
        foreach ([['metal' => 'iron'], ['seen' => 'fine'], ['kerf_mm' => -1.0]] as $bad) {
            try {
                Sums::run('pour', [...$in, ...$bad]);
                self::fail('taken');
            } catch (BadInput $e) {
                self::assertSame(array_key_first($bad), $e->field);
            }
        }
    }

    public function test_no_room_for_the_metal(): void
    {
        foreach ([[60.0, 3.0, 60.0, 90.0], [60.0, 60.0, 72.0, 90.0], [60.0, -1.0, 72.0, 90.0], [60.0, 3.0, 72.0, 0.0]] as $sizes) {
            try {
                new PouredBearing(...$sizes);
                self::fail(json_encode($sizes).' was taken');
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->field);
            }
        }
        foreach ([['outside' => 50.0, 'thickness' => 6.0], ['outside' => 90.0, 'thickness' => 0.0]] as $flange) {
            try {
                new PouredBearing(60.0, 3.0, 72.0, 90.0, [$flange]);
                self::fail('taken');
            } catch (BadInput $bad) {
                self::assertStringStartsWith('flanges.0', $bad->field);
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Thread;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Thread\TapDrill;
use Oldpart\Core\Thread\Thread;
use Oldpart\Core\Thread\ThreadForm;
use Oldpart\Core\Thread\ThreadLimits;
use Oldpart\Core\Thread\ThreeWires;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Threads by their names, and the limits of the standards. */
final class NamedThreadTest extends TestCase
{
    /** @return iterable<string, array{string, string, float, float, string}> */
    public static function names(): iterable
    {
        yield 'metric' => ['M10', 'M10', 10.0, 1.5, '60'];
        yield 'small letter, fine' => ['m10x1.25', 'M10×1.25', 10.0, 1.25, '60'];
        yield 'coarse said in full' => ['M10 × 1.5', 'M10', 10.0, 1.5, '60'];
        yield 'a metric one of no family' => ['37×1.5', '37×1.5', 37.0, 1.5, '60'];
        yield 'whitworth' => ['1/2 bsw', '1/2 BSW', 12.7, 25.4 / 12, '55'];
        yield 'unified' => ['5/16-18 UNC', '5/16-18 UNC', 7.9375, 25.4 / 18, '60'];
        yield 'without its pitch' => ['5/16 UNC', '5/16-18 UNC', 7.9375, 25.4 / 18, '60'];
        yield 'without its family' => ['1/2-20', '1/2-20 UNF', 12.7, 1.27, '60'];
        yield 'pipe' => ['1/8 BSP', '1/8 BSP', 9.728, 25.4 / 28, '55'];
        yield 'small ones' => ['2 BA', '2 BA', 4.7, 0.81, '47.5'];
        yield 'inches and threads per inch' => ['0.75-14', '0.75-14', 19.05, 25.4 / 14, '60'];
        yield 'a fraction of no family, Whitworth' => ['1-5/16-9 55°', '1-5/16-9, 55°', 33.3375, 25.4 / 9, '55'];
    }

    #[DataProvider('names')]
    public function test_names(string $text, string $label, float $major, float $pitch, string $form): void
    {
        $thread = Thread::named($text);
        self::assertSame($label, $thread->label);
        self::assertEqualsWithDelta($major, $thread->majorMm, 2e-4);
        self::assertEqualsWithDelta($pitch, $thread->pitchMm, 2e-5);
        self::assertSame(ThreadForm::from($form), $thread->form);
        self::assertFalse($thread->left);
        self::assertTrue(Thread::named("{$text} LH")->left);
        self::assertStringContainsString('LEFT HAND', Thread::named("{$text} left hand")->called());
    }

    public function test_what_names_none(): void
    {
        foreach (['', 'screw', 'M', 'left', '10', '3/0-8', '1-0'] as $text) {
            try {
                Thread::named($text);
                self::fail("“{$text}” was taken for a thread");
            } catch (BadInput $bad) {
                self::assertSame('shape', $bad->field);
            }
        }
        $this->expectException(BadInput::class);
        Thread::named('2×3');
    }

    /** @return iterable<string, array{string, float, float, float, float, float, float}> ISO 965-2, limits of 6g and 6H, from memory */
    public static function metricLimits(): iterable
    {
        yield 'M6' => ['M6', 5.794, 5.974, 5.212, 5.324, 4.917, 5.153];
        yield 'M8' => ['M8', 7.760, 7.972, 7.042, 7.160, 6.647, 6.912];
        yield 'M10' => ['M10', 9.732, 9.968, 8.862, 8.994, 8.376, 8.676];
        yield 'M12' => ['M12', 11.701, 11.966, 10.679, 10.829, 10.106, 10.441];
        yield 'M16' => ['M16', 15.682, 15.962, 14.503, 14.663, 13.835, 14.210];
        yield 'M20' => ['M20', 19.623, 19.958, 18.164, 18.334, 17.294, 17.744];
    }

    #[DataProvider('metricLimits')]
    public function test_metric_limits(string $name, float $d, float $dMax, float $p, float $pMax, float $m, float $mMax): void
    {
        $limits = ThreadLimits::of(Thread::named($name));
        self::assertEqualsWithDelta(
            [$d, $dMax, $p, $pMax, $m, $mMax],
            [
                $limits?->screwMajor->lowerMm, $limits?->screwMajor->upperMm,
                $limits?->screwPitch?->lowerMm, $limits?->screwPitch?->upperMm,
                $limits?->nutMinor->lowerMm, $limits?->nutMinor->upperMm,
            ],
            6e-4,
        );
    }

    /** The table of allowances and tolerances against the formulas of ISO 965-1, within their rounding to the R 40 series. */
    public function test_metric_table_against_its_formulas(): void
    {
        foreach (['M3', 'M4', 'M5', 'M6', 'M8', 'M10', 'M12', 'M16', 'M20', 'M24', 'M30', 'M36', 'M42', 'M48'] as $name) {
            $thread = Thread::named($name);
            $p = $thread->pitchMm;
            $limits = ThreadLimits::of($thread);
            self::assertNotNull($limits);
            $es = 1000 * ($thread->majorMm - $limits->screwMajor->upperMm);
            self::assertEqualsWithDelta(15 + 11 * $p, $es, 1.6, $name);
            $major = 180 * $p ** (2 / 3) - 3.15 / sqrt($p);
            self::assertEqualsWithDelta(1.0, 1000 * $limits->screwMajor->widthMm() / $major, 0.055, $name);
            $minor = $p < 1 ? 433 * $p - 190 * $p ** 1.22 : 230 * $p ** 0.7;
            self::assertEqualsWithDelta(1.0, 1000 * $limits->nutMinor->widthMm() / $minor, 0.05, $name);
        }
    }

    /** @return iterable<string, array{string, float, float, float, float, float, float}> ASME B1.1, 2A and 2B, inches, from memory */
    public static function inchLimits(): iterable
    {
        yield '1/4-20' => ['1/4-20 UNC', 0.2408, 0.2489, 0.2127, 0.2164, 0.1960, 0.2070];
        yield '3/8-16' => ['3/8-16 UNC', 0.3643, 0.3737, 0.3287, 0.3331, 0.3070, 0.3210];
        yield '1/2-13' => ['1/2-13 UNC', 0.4876, 0.4985, 0.4435, 0.4485, 0.4170, 0.4340];
        yield '3/4-10' => ['3/4-10 UNC', 0.7353, 0.7482, 0.6773, 0.6832, 0.6420, 0.6630];
        yield '6-32' => ['#6-32 UNC', 0.1312, 0.1372, 0.1141, 0.1169, 0.1040, 0.1140];
        yield '1-8' => ['1-8 UNC', 0.9830, 0.9980, 0.9100, 0.9168, 0.8650, 0.8900];
    }

    #[DataProvider('inchLimits')]
    public function test_inch_limits(string $name, float $d, float $dMax, float $p, float $pMax, float $m, float $mMax): void
    {
        $limits = ThreadLimits::of(Thread::named($name));
        self::assertEqualsWithDelta(
            [$d, $dMax, $p, $pMax],
            [
                $limits?->screwMajor->lowerMm / 25.4, $limits?->screwMajor->upperMm / 25.4,
                $limits?->screwPitch?->lowerMm / 25.4, $limits?->screwPitch?->upperMm / 25.4,
            ],
            1.2e-4,
        );
        // The nut's minor is rounded to a thousandth in the table.
        self::assertEqualsWithDelta([$m, $mMax], [$limits?->nutMinor->lowerMm / 25.4, $limits?->nutMinor->upperMm / 25.4], 8e-4);
        self::assertEqualsWithDelta(1.3 * ($pMax - $p), ($limits?->nutPitch?->widthMm() ?? 0.0) / 25.4, 1.5e-4);
    }

    /** @return iterable<string, array{string, float, float, float, float, float, float}> ISO 228-1, mm, from memory: least outside, least and basic pitch of class A, the hole */
    public static function pipeLimits(): iterable
    {
        yield 'G 1/8' => ['1/8 BSP', 9.728, 9.514, 9.147, 9.040, 8.566, 8.848];
        yield 'G 1/4' => ['1/4 BSP', 13.157, 12.907, 12.301, 12.176, 11.445, 11.890];
        yield 'G 3/8' => ['3/8 BSP', 16.662, 16.412, 15.806, 15.681, 14.950, 15.395];
        yield 'G 1/2' => ['1/2 BSP', 20.955, 20.671, 19.793, 19.651, 18.631, 19.172];
        yield 'G 3/4' => ['3/4 BSP', 26.441, 26.157, 25.279, 25.137, 24.117, 24.658];
        yield 'G 1' => ['1 BSP', 33.249, 32.889, 31.770, 31.590, 30.291, 30.931];
        yield 'G 1-1/4' => ['1-1/4 BSP', 41.910, 41.550, 40.431, 40.251, 38.952, 39.592];
        yield 'G 2' => ['2 BSP', 59.614, 59.254, 58.135, 57.955, 56.656, 57.296];
    }

    #[DataProvider('pipeLimits')]
    public function test_pipe_limits(string $name, float $d, float $least, float $pitch, float $low, float $hole, float $most): void
    {
        $limits = ThreadLimits::of(Thread::named($name));
        self::assertEqualsWithDelta(
            [$least, $d, $low, $pitch, $hole, $most, $pitch, 2 * $pitch - $low],
            [
                $limits?->screwMajor->lowerMm, $limits?->screwMajor->upperMm, $limits?->screwPitch?->lowerMm, $limits?->screwPitch?->upperMm,
                $limits?->nutMinor->lowerMm, $limits?->nutMinor->upperMm, $limits?->nutPitch?->lowerMm, $limits?->nutPitch?->upperMm,
            ],
            0.0011,
        );
    }

    /**
     * BS 84, medium, from memory. Nuts’ minor in inches: 1/4 BSW 0.1860 to 0.2030, 1/2 BSW 0.3933 to 0.4169, 1/4 BSF (26) 0.2007
     * to 0.2124, 3/8 BSF (20) 0.3110 to 0.3280. T by hand for 1 BSW, 8 threads: 0.002 + 0.003 + 0.005 · 0.35355 = 0.006768; its outside
     * 0.003536 more; a quarter of 20: 0.00126 + 0.0015 + 0.001118 = 0.003878.
     */
    public function test_whitworth_limits(): void
    {
        foreach ([
            '1/4 BSW' => [0.1860, 0.2030], '1/2 BSW' => [0.3933, 0.4169], '1/4 BSF' => [0.2007, 0.2124], '3/8 BSF' => [0.3110, 0.3280],
        ] as $name => $minor) {
            $limits = ThreadLimits::of(Thread::named($name));
            self::assertEqualsWithDelta($minor, [$limits?->nutMinor->lowerMm / 25.4, $limits?->nutMinor->upperMm / 25.4], 1.1e-4, $name);
        }
        foreach (['1 BSW' => [0.006768, 0.010304], '1/4 BSW' => [0.003878, 0.006114]] as $name => [$pitch, $major]) {
            $limits = ThreadLimits::of(Thread::named($name));
            self::assertEqualsWithDelta(25.4 * $major, $limits?->screwMajor->widthMm(), 1e-4);
            self::assertEqualsWithDelta([25.4 * $pitch, 25.4 * $pitch], [$limits?->screwPitch?->widthMm(), $limits?->nutPitch?->widthMm()], 1e-4);
            self::assertEqualsWithDelta(Thread::named($name)->majorMm, $limits?->screwMajor->upperMm, 1e-9);
        }
        // Basic pitch of 1/2 BSW: 0.5 − 0.640327/12.
        self::assertEqualsWithDelta(25.4 * 0.446639, ThreadLimits::of(Thread::named('1/2 BSW'))?->screwPitch?->upperMm, 1e-3);
        // What a nut has at the least, a screw has not reached at the most.
        self::assertSame(['medium', 'BS 84, medium'], [ThreadLimits::of(Thread::named('1 BSF'))?->screwClass, ThreadLimits::of(Thread::named('1 BSF'))?->source]);
    }

    /** BS 93, normal, mm, from memory: 0 BA has 6.0 to 5.8 outside, 5.4 to 5.275 on its pitch, its nut 4.8 to 5.175 and 5.4 to 5.55; 2 BA’s nut 3.728 to 4.031. */
    public function test_ba_limits(): void
    {
        $limits = ThreadLimits::of(Thread::named('0 BA'));
        self::assertEqualsWithDelta(
            [5.8, 6.0, 5.275, 5.4, 4.8, 5.175, 5.4, 5.55],
            [
                $limits?->screwMajor->lowerMm, $limits?->screwMajor->upperMm, $limits?->screwPitch?->lowerMm, $limits?->screwPitch?->upperMm,
                $limits?->nutMinor->lowerMm, $limits?->nutMinor->upperMm, $limits?->nutPitch?->lowerMm, $limits?->nutPitch?->upperMm,
            ],
            1e-6,
        );
        $two = ThreadLimits::of(Thread::named('2 BA'))?->nutMinor;
        self::assertEqualsWithDelta([3.728, 4.031], [$two?->lowerMm, $two?->upperMm], 1e-3);
    }

    public function test_other_families_have_none_here(): void
    {
        self::assertNull(ThreadLimits::of(Thread::named('1/2 BSPT')), 'it is tapered');
        self::assertNull(ThreadLimits::of(Thread::named('1/4-26 cycle')));
        self::assertNull(ThreadLimits::of(Thread::named('M37×2.2')));
    }

    /** What one goes to where a hole has stripped: common practice, the next size up of the same family. */
    public function test_the_next_larger(): void
    {
        foreach (['M6' => 'M8', 'M8' => 'M10', 'M10' => 'M12', '1/4-20 UNC' => '5/16-18 UNC', '3/8-16 UNC' => '7/16-14 UNC', '1/2 BSW' => '9/16 BSW'] as $from => $to) {
            self::assertSame($to, Thread::named($from)->next()?->label, $from);
        }
        self::assertNull(Thread::named('37×1.5')->next());
        self::assertTrue(Thread::named('M6 LH')->next()?->left);
    }

    /** A drill that is told leaves the hole within the limits that stand beside it, of every thread that has any. */
    public function test_tap_drills_lie_within_the_limits(): void
    {
        foreach (['M3', 'M4', 'M6', 'M8', 'M10', 'M12', 'M16', 'M20', 'M24', 'M30', 'M36', '1/4-20 UNC', '1/2-13 UNC', '1-8 UNC', '1/4-28 UNF'] as $name) {
            $thread = Thread::named($name);
            $band = ThreadLimits::of($thread)?->nutMinor;
            self::assertNotNull($band);
            foreach (TapDrill::of($thread->majorMm, $thread->pitchMm, $thread->form)->inside($band, 70.0, 3) as $drill) {
                self::assertTrue($band->holds($drill['mm']), "{$name}: {$drill['label']}");
            }
        }
        // 10 − 0.7 · 1.29904 · 1.5 is 8.636: the letter R, 8.611, is nearer than 8.6.
        self::assertSame('letter R', TapDrill::of(10.0, 1.5, ThreadForm::Sixty)->inside(null, 70.0, 1)[0]['label']);
        self::assertCount(1, TapDrill::of(10.0, 1.5, ThreadForm::Sixty)->inside(new Band(8.401, 8.402), 70.0, 3), 'none fits: the nearest');
    }

    public function test_a_taper_pipe_thread_has_no_one_size(): void
    {
        self::assertTrue(Thread::named('1/2 BSPT')->isTapered());
        self::assertFalse(Thread::named('1/2 BSP')->isTapered());
    }

    public function test_what_is_to_be_minded_of_a_family(): void
    {
        self::assertStringContainsString('not its outside', Thread::named('1/8 BSP')->remark());
        self::assertStringContainsString('seals on its flanks', Thread::named('1/8 BSPT')->remark());
        self::assertSame('', Thread::named('M10')->remark());
    }

    /** 60° with an eighth flat at the crest: 0.61343 P deep (ISO 68-1); Whitworth 0.6403 P; BA 0.6 P (BS 93). */
    public function test_depth_and_minor(): void
    {
        self::assertEqualsWithDelta(0.920, Thread::named('M10')->depthMm(), 5e-4);
        self::assertEqualsWithDelta(0.64 * 25.4 / 12, Thread::named('1/2 BSW')->depthMm(), 1e-3);
        self::assertEqualsWithDelta(0.6, Thread::named('0 BA')->depthMm(), 1e-9);
        self::assertEqualsWithDelta(4.8, Thread::named('0 BA')->minorMm(), 1e-9);
        self::assertEqualsWithDelta(8.376, Thread::named('M10')->minorMm(), 5e-4);
    }

    /** Best wires and what they read, 47½°: by geometry, w = P/2 sec α, M = E + w (1 + 1/sin α) − P/2 cot α. */
    public function test_wires_of_a_british_association_thread(): void
    {
        $wires = ThreeWires::of(6.0, 1.0, ThreadForm::British);
        $half = deg2rad(47.5 / 2);
        self::assertEqualsWithDelta(0.5 / cos($half), $wires->bestWireMm(), 1e-5);
        self::assertEqualsWithDelta(5.4 + 0.55 * (1 + 1 / sin($half)) - 0.5 / tan($half), $wires->overMm(0.55), 1e-5);
    }
}

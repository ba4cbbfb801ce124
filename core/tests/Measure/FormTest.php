<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use PHPUnit\Framework\TestCase;

/** The form of made-up shapes whose form is known by geometry, and what may not change the answer. */
final class FormTest extends TestCase
{
    /**
     * @param  callable(float, int): float  $diameter  of place along (0 to 1) and angle, mm
     * @return list<Reading>
     */
    private static function read(callable $diameter): array
    {
        $readings = [];
        foreach (['1' => 0.0, '2' => 0.5, '3' => 1.0] as $station => $along) {
            foreach ([0, 45, 90, 135] as $angle) {
                $readings[] = new Reading($diameter($along, $angle), (string) $station, (string) $angle);
            }
        }

        return $readings;
    }

    /** @param  list<Reading>  $readings */
    private static function found(array $readings, SurfaceKind $kind = SurfaceKind::Bore): FoundSize
    {
        return (new Readings($kind, $readings, new Instrument(0.001, 0.002, 0.001)))->found();
    }

    /** An ellipse-like bore D + e cos 2φ: out of round 2e, mean D. */
    public function test_an_oval(): void
    {
        $found = self::found(
            self::read(static fn (float $along, int $angle): float => 30 + 0.02 * cos(2 * deg2rad($angle))),
        );
        self::assertEqualsWithDelta(0.04, $found->ovalityMm, 1e-9);
        self::assertEqualsWithDelta(30.0, $found->meanMm, 1e-9);
        self::assertEqualsWithDelta(0.0, $found->taperMm, 1e-9);
        self::assertEqualsWithDelta(29.98, $found->matingMm, 1e-9);
        self::assertEqualsWithDelta(30.02, $found->looseMm, 1e-9);
    }

    /**
     * Three lobes, cos 3φ: a two-point diameter adds opposite radii, and cos 3φ + cos 3(φ + 180°) = 0: nothing is seen.
     */
    public function test_three_lobes_hide_from_two_points(): void
    {
        $radius = static fn (float $degrees): float => 15 + 0.02 * cos(3 * deg2rad($degrees));
        $found = self::found(
            self::read(static fn (float $along, int $angle): float => $radius($angle) + $radius($angle + 180)),
        );
        self::assertEqualsWithDelta(0.0, $found->ovalityMm, 1e-9);
        self::assertContains('lobes-unseen', array_map(static fn ($n): string => $n->code, $found->notes()));
    }

    /** A cone of 0.03 over its length: taper 0.03, no bell; a bell-mouth of 0.02 at both ends: bell 0.02, no taper. */
    public function test_taper_and_bell_mouth(): void
    {
        $cone = self::found(self::read(static fn (float $along): float => 30 + 0.03 * $along));
        self::assertEqualsWithDelta(0.03, $cone->taperMm, 1e-9);
        self::assertEqualsWithDelta(0.0, $cone->bellMm, 1e-9);
        $bell = self::found(self::read(static fn (float $along): float => 30 + 0.02 * (2 * $along - 1) ** 2));
        self::assertEqualsWithDelta(0.0, $bell->taperMm, 1e-9);
        self::assertEqualsWithDelta(0.02, $bell->bellMm, 1e-9);
    }

    /** A shaft that fills a bore exactly mates at the other end of the same readings. */
    public function test_bore_and_shaft_are_each_others_mirror(): void
    {
        $readings = self::read(
            static fn (float $along, int $angle): float => 30 + 0.01 * $along + 0.004 * sin(deg2rad(2 * $angle)),
        );
        $bore = self::found($readings);
        $shaft = self::found($readings, SurfaceKind::Shaft);
        self::assertEqualsWithDelta($bore->matingMm, $shaft->looseMm, 1e-12);
        self::assertEqualsWithDelta($bore->looseMm, $shaft->matingMm, 1e-12);
        self::assertEqualsWithDelta($bore->meanMm, $shaft->meanMm, 1e-12);
    }

    /**
     * The order in which spots are read changes nothing; a master that reads c over moves every size by c and no doubt.
     */
    public function test_order_and_shift(): void
    {
        mt_srand(20261125);
        for ($i = 0; $i < 60; $i++) {
            $readings = self::read(static fn (): float => 30 + mt_rand(-30, 30) / 1000);
            $readings = [...$readings, ...self::read(static fn (): float => 30 + mt_rand(-30, 30) / 1000)];
            $first = self::found($readings);
            shuffle($readings);
            $mixed = self::found($readings);
            $moved = self::found(
                array_map(
                    static fn (Reading $r): Reading => new Reading($r->valueMm + 0.25, $r->station, $r->angle),
                    $readings,
                ),
            );
            foreach (
                ['meanMm', 'matingMm', 'looseMm', 'ovalityMm', 'taperMm', 'bellMm', 'u95Mm', 'repeatabilityMm'] as $what
            ) {
                self::assertEqualsWithDelta($first->{$what}, $mixed->{$what}, 1e-9, $what);
                $shift = in_array($what, ['meanMm', 'matingMm', 'looseMm'], true) ? 0.25 : 0.0;
                self::assertEqualsWithDelta($first->{$what} + $shift, $moved->{$what}, 1e-6, "{$what} moved");
            }
            self::assertGreaterThanOrEqual($first->matingMm, $first->meanMm);
            self::assertGreaterThanOrEqual($first->meanMm, $first->looseMm);
        }
    }

    /** A worse gauge is never surer (JCGM 100:2008, 5.1: contributions add in square). */
    public function test_a_worse_gauge_is_never_surer(): void
    {
        $readings = self::read(static fn (): float => 30.0);
        $u = static fn (Instrument $tool): float => (new Readings(SurfaceKind::Bore, $readings, $tool))->found()->u95Mm;
        $gauges = [
            'gauge' => static fn (float $worse): Instrument => new Instrument(0.001, $worse, 0.001),
            'last digit' => static fn (float $worse): Instrument => new Instrument($worse, 0.001, 0.001),
            'feel' => static fn (float $worse): Instrument => new Instrument(0.001, 0.001, 0.001, $worse),
            'master' => static fn (float $worse): Instrument => new Instrument(0.001, 0.001, 0.001, 0, $worse),
        ];
        foreach ($gauges as $what => $gauge) {
            $before = 0.0;
            foreach ([0.0, 0.001, 0.002, 0.005, 0.01, 0.02] as $worse) {
                self::assertGreaterThan($before, $u($gauge($worse)), "{$what} {$worse}");
                $before = $u($gauge($worse));
            }
        }
    }

    /**
     * In words, by hand: mouth 28.56 and 28.58 (mean 28.57), middle 28.56, far end 28.60: out of round 0.020, larger at
     * the far end by 0.030, ends 28.585 against 28.56: bell-mouth 0.025. Worn at the far end: 0.035 larger than the
     * mean of the others, 28.565.
     */
    public function test_form_in_words(): void
    {
        $at = static fn (float $mm, string $station, string $angle, bool $worn = false): Reading => new Reading(
            $mm,
            $station,
            $angle,
            20.0,
            20.0,
            $worn,
        );
        $found = (new Readings(
            SurfaceKind::Bore,
            [
                $at(28.56, 'mouth', '0'),
                $at(28.58, 'mouth', '90'),
                $at(28.555, 'middle', '0'),
                $at(28.565, 'middle', '90'),
                $at(28.6, 'far end', '0', true),
            ],
            new Instrument(0.001, repeatabilityMm: 0.002),
        ))->found();
        $words = array_column(
            array_map(
                static fn (array $row): array => ['name' => $row['name'], 'mm' => $row['says']->mm],
                $found->formInWords(),
            ),
            'mm',
            'name',
        );
        self::assertSame(['out of round', 'taper', 'bell-mouth', 'repeats to', 'worn'], array_keys($words));
        self::assertStringStartsWith('0.020 mm', $words['out of round']);
        self::assertSame('0.030 mm, larger at far end', $words['taper']);
        self::assertSame('0.025 mm larger at the ends', $words['bell-mouth']);
        self::assertStringStartsWith('0.002 mm', $words['repeats to']);
        self::assertSame('0.035 mm larger than unworn, 28.565 mm', $words['worn']);
        $shaft = (new Readings(
            SurfaceKind::Shaft,
            [$at(20.01, '1', '0'), $at(20.03, '2', '0'), $at(20.0, '3', '0')],
            new Instrument(0.001),
        ))
            ->found()
            ->formInWords();
        self::assertSame(['taper', 'barrel'], array_column($shaft, 'name'));
        self::assertSame('0.010 mm, larger at 1', $shaft[0]['says']->mm);
    }
}

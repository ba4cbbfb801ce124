<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Bearing;
use Oldpart\Core\Catalogue\Bearings;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Fit\BearingDuty;
use Oldpart\Core\Fit\BearingSeat;
use Oldpart\Core\Fit\BearingTable;
use PHPUnit\Framework\TestCase;

/** Rolling bearings: their tables, which one it was, and their seats. */
final class BearingSeatTest extends TestCase
{
    /**
     * ISO 15 boundary sizes as catalogues print them, from memory: bore × outside × width.
     */
    public function test_boundary_sizes(): void
    {
        foreach (
            [
                '6004' => [20, 42, 12],
                '6205' => [25, 52, 15],
                '6308' => [40, 90, 23],
                '6407' => [35, 100, 25],
                '16006' => [30, 55, 9],
                '6806' => [30, 42, 7],
                '6908' => [40, 62, 12],
                '608' => [8, 22, 7],
                'R8' => [12.7, 28.575, 6.35],
                'LM11949/LM11910' => [19.05, 45.237, 15.494],
                'LM67048/LM67010' => [31.75, 59.131, 15.875],
            ] as $designation => [$bore, $outside, $width]
        ) {
            $bearing = Bearings::named((string) $designation);
            self::assertEqualsWithDelta(
                [$bore, $outside, $width],
                [$bearing->boreMm, $bearing->outsideMm, $bearing->widthMm],
                1e-9,
                (string) $designation,
            );
        }
        foreach (
            ['6204-2RS C3' => '6204', '6004 zz' => '6004', ' 608ZZ' => '608', '6001/C3' => '6001'] as $stamped => $designation
        ) {
            self::assertSame((string) $designation, Bearings::named($stamped)->designation);
        }
        // One number inside another is another bearing.
        self::assertSame('16004', Bearings::named('16004')->designation);
        $this->expectException(BadInput::class);
        Bearings::named('62040');
    }

    /**
     * Whole series, outside × width from bore number 00 on, from memory of ISO 15. The 160 series has the outsides of
     * the 60, both being of diameter series 0; a 64 is as large round and as wide as the 63 of two numbers on, up to
     * 6413.
     */
    public function test_whole_series(): void
    {
        $series = [
            '60' => '26×8 28×8 32×9 35×10 42×12 47×12 55×13 62×14 68×15 75×16 80×16 90×18 95×18 100×18 110×20 115×20 125×22 130×22 140×24 145×24 150×24',
            '62' => '30×9 32×10 35×11 40×12 47×14 52×15 62×16 72×17 80×18 85×19 90×20 100×21 110×22 120×23 125×24 130×25 140×26 150×28 160×30 170×32 180×34',
            '63' => '35×11 37×12 42×13 47×14 52×15 62×17 72×19 80×21 90×23 100×25 110×27 120×29 130×31 140×33 150×35 160×37 170×39 180×41 190×43 200×45 215×47',
            '68' => '19×5 21×5 24×5 26×5 32×7 37×7 42×7 47×7 52×7 58×7 65×7',
            '69' => '22×6 24×6 28×7 30×7 37×9 42×9 47×9 55×10 62×12 68×12 72×12',
        ];
        $sizes = static fn (string $designation): array => [Bearings::named($designation)->outsideMm, Bearings::named($designation)->widthMm];
        foreach ($series as $of => $list) {
            foreach (explode(' ', $list) as $number => $size) {
                $designation = $of.sprintf('%02d', $number);
                self::assertEquals(array_map(floatval(...), explode('×', $size)), $sizes($designation), $designation);
            }
        }
        foreach (explode(' ', '7 8 8 8 8 9 9 9 10 10 11 11 11 13 13 14 14 16 16 16') as $at => $width) {
            $number = sprintf('%02d', $at + 1);
            self::assertEquals([$sizes("60{$number}")[0], (float) $width], $sizes("160{$number}"), "160{$number}");
        }
        for ($number = 3; $number <= 13; $number++) {
            self::assertEquals($sizes('63'.sprintf('%02d', $number + 2)), $sizes('64'.sprintf('%02d', $number)), "64 of {$number}");
        }
        self::assertEquals([180.0, 42.0], $sizes('6414'));
    }

    /**
     * The odd bores between, the inch R series and inch tapered sets, from memory of makers' lists: bore, outside and
     * width, the R series in inches with its width open and shielded.
     */
    public function test_sizes_between_and_in_inches(): void
    {
        $between = [
            '60/22' => [22, 44, 12], '60/28' => [28, 52, 12], '60/32' => [32, 58, 13],
            '62/22' => [22, 50, 14], '62/28' => [28, 58, 16], '62/32' => [32, 65, 17],
            '63/22' => [22, 56, 16], '63/28' => [28, 68, 18], '63/32' => [32, 75, 20],
            'LM11749/LM11710' => [17.462, 39.878, 13.843], 'LM12749/LM12710' => [21.986, 45.237, 15.494],
            'L44643/L44610' => [25.4, 50.292, 14.224], 'L44649/L44610' => [26.988, 50.292, 14.224],
            'L45449/L45410' => [29.0, 50.292, 14.224], 'LM48548/LM48510' => [34.925, 65.088, 18.034],
            'L68149/L68110' => [34.988, 59.131, 15.875], 'LM29749/LM29710' => [38.1, 65.088, 18.034],
            'LM501349/LM501310' => [41.275, 73.431, 19.558], 'LM102949/LM102910' => [45.242, 73.431, 19.558],
            'LM603049/LM603011' => [45.242, 77.788, 19.842], 'LM104949/LM104911' => [50.8, 82.55, 21.59],
        ];
        foreach ($between as $designation => $size) {
            $b = Bearings::named($designation);
            self::assertEqualsWithDelta($size, [$b->boreMm, $b->outsideMm, $b->widthMm], 1e-9, $designation);
        }
        $inches = [
            'R2' => [1 / 8, 3 / 8, 5 / 32, null], 'R3' => [3 / 16, 1 / 2, 5 / 32, 0.196], 'R4' => [1 / 4, 5 / 8, 0.196, null],
            'R4A' => [1 / 4, 3 / 4, 7 / 32, 9 / 32], 'R6' => [3 / 8, 7 / 8, 7 / 32, 9 / 32], 'R8' => [1 / 2, 9 / 8, 1 / 4, 5 / 16],
            'R10' => [5 / 8, 11 / 8, 9 / 32, 11 / 32], 'R12' => [3 / 4, 13 / 8, 5 / 16, 7 / 16], 'R14' => [7 / 8, 15 / 8, 3 / 8, 1 / 2],
            'R16' => [1, 2, 3 / 8, 1 / 2],
        ];
        foreach ($inches as $designation => $size) {
            $b = Bearings::named($designation);
            $mm = array_map(static fn (float|int|null $in): ?float => $in === null ? null : 25.4 * $in, $size);
            // To a thousandth of a millimetre: lists round to a tenth of a thou.
            self::assertEqualsWithDelta($mm, [$b->boreMm, $b->outsideMm, $b->widthMm, $b->shieldedWidthMm], 0.0015, $designation);
        }
    }

    /** r_s min of ISO 15, from memory: by series, from which bore number on. */
    public function test_smallest_chamfers(): void
    {
        $from = [
            '60' => [0 => 0.3, 4 => 0.6, 6 => 1.0, 11 => 1.1, 18 => 1.5],
            '62' => [0 => 0.6, 4 => 1.0, 7 => 1.1, 11 => 1.5, 16 => 2.0, 19 => 2.1],
            '63' => [0 => 0.6, 1 => 1.0, 4 => 1.1, 7 => 1.5, 10 => 2.0, 12 => 2.1, 17 => 3.0],
            '64' => [3 => 1.1, 5 => 1.5, 8 => 2.0, 10 => 2.1, 14 => 3.0],
            '68' => [0 => 0.3], '69' => [0 => 0.3, 7 => 0.6], '160' => [1 => 0.3, 9 => 0.6, 18 => 1.0],
        ];
        $checked = 0;
        foreach (Bearings::all() as $bearing) {
            if (isset($from[$bearing->series]) && preg_match('/^'.$bearing->series.'(\d\d)$/', $bearing->designation, $m) === 1) {
                $steps = array_filter($from[$bearing->series], static fn (int $at): bool => $at <= (int) $m[1], ARRAY_FILTER_USE_KEY);
                self::assertEqualsWithDelta(end($steps), $bearing->chamferMinMm, 1e-9, $bearing->designation);
                $checked++;
            }
        }
        self::assertSame(117, $checked);
    }

    /**
     * From the bore number: 00, 01, 02, 03 are 10, 12, 15, 17 mm, from 04 on five times the number (ISO 15 series, how
     * they are named).
     */
    public function test_the_bore_number_gives_the_bore(): void
    {
        $first = ['00' => 10, '01' => 12, '02' => 15, '03' => 17];
        foreach (Bearings::all() as $bearing) {
            if (
                preg_match('/^(?:6[02348]|69|160)(\d\d)$/', $bearing->designation, $m) === 1
                && strlen($bearing->designation) > 3
            ) {
                self::assertEqualsWithDelta(
                    $first[$m[1]] ?? 5 * (int) $m[1],
                    $bearing->boreMm,
                    1e-9,
                    $bearing->designation,
                );
            }
        }
    }

    /** ISO 492 Normal and ISO 5753-1, rows from memory. */
    public function test_tolerances_and_clearance(): void
    {
        foreach (
            [
                '6000' => [8, 9, 120, 2, 13],
                '6205' => [10, 13, 120, 5, 20],
                '6308' => [12, 15, 120, 6, 20],
                '6212' => [15, 15, 150, 8, 28],
                '6320' => [20, 30, 200, 12, 36],
            ] as $designation => [$bore, $outside, $width, $least, $most]
        ) {
            $bearing = Bearings::named((string) $designation);
            $um = static fn (float $mm): float => round(-1000 * $mm, 6);
            self::assertSame(
                [(float) $bore, (float) $outside, (float) $width],
                [
                    $um(BearingTable::bore($bearing)->lowerMm),
                    $um(BearingTable::outside($bearing)->lowerMm),
                    $um(BearingTable::width($bearing)->lowerMm),
                ],
                (string) $designation,
            );
            $normal = BearingTable::clearance($bearing);
            self::assertEqualsWithDelta(
                [$least / 1000, $most / 1000],
                [$normal?->min, $normal?->max],
                1e-9,
                (string) $designation,
            );
            $before = -1.0;
            foreach (BearingTable::GROUPS as $group) {
                $range = BearingTable::clearance($bearing, $group);
                self::assertNotNull($range);
                self::assertGreaterThan($before, $range->middle(), 'each group is looser than the one before');
                $before = $range->middle();
            }
        }
        self::assertNull(BearingTable::clearance(Bearings::named('LM67048/LM67010')), 'a tapered set is adjusted');
    }

    /** Which bearing was this: a worn 6205 measured by calliper, and a bore alone. */
    public function test_which_bearing_it_was(): void
    {
        self::assertSame('6205', Bearings::like(25.01, 51.97, 14.98, 0.1)[0]->designation);
        self::assertSame(
            ['6004', '6204', '6304', '6404', '6804', '6904', '16004'],
            self::sorted(Bearings::like(20.0, null, null, 0.01)),
        );
        self::assertSame([], Bearings::like(25.3, 51.0, 15.0, 0.1));
        foreach ([[null, null, null, 0.1], [-1.0, null, null, 0.1], [25.0, null, null, 0.0]] as $bad) {
            try {
                Bearings::like(...$bad);
                self::fail('taken');
            } catch (BadInput $e) {
                self::assertSame('bore_mm', $e->field);
            }
        }
    }

    /**
     * @param  list<Bearing>  $bearings
     * @return list<string>
     */
    private static function sorted(array $bearings): array
    {
        $names = array_map(static fn (Bearing $b): string => $b->designation, $bearings);
        usort($names, static fn (string $a, string $b): int => [strlen($a), $a] <=> [strlen($b), $b]);

        return $names;
    }

    /** Classes as bearing makers' tables give them for radial ball bearings; common practice, no source. */
    public function test_classes_by_what_turns_and_how_heavy(): void
    {
        foreach (
            [
                ['608', 'inner', 'normal', 'solid', 'js5', 'H7'],
                ['6205', 'inner', 'light', 'solid', 'j6', 'H7'],
                ['6205', 'inner', 'normal', 'solid', 'k5', 'H7'],
                ['6205', 'inner', 'normal', 'split', 'k5', 'H8'],
                ['6220', 'inner', 'normal', 'solid', 'k5', 'H7'],
                ['6310', 'inner', 'heavy', 'solid', 'm6', 'H7'],
                ['6205', 'outer', 'light', 'solid', 'g6', 'M7'],
                ['6205', 'outer', 'normal', 'solid', 'g6', 'N7'],
                ['6205', 'outer', 'heavy', 'solid', 'h6', 'P7'],
                ['6205', 'outer', 'normal', 'thin', 'g6', 'P7'],
            ] as [$designation, $turning, $load, $housing, $shaft, $hole]
        ) {
            $seat = BearingSeat::of(Bearings::named($designation), new BearingDuty($turning, $load, $housing));
            self::assertSame(
                [$shaft, $hole],
                [$seat->shaftClass, $seat->housingClass],
                "{$designation} {$turning} {$load} {$housing}",
            );
        }
        $aluminium = new BearingDuty(
            'inner',
            'normal',
            'solid',
            housingMaterial: Material::named('aluminium casting alloy'),
        );
        self::assertSame('J7', BearingSeat::of(Bearings::named('6205'), $aluminium)->housingClass);
    }

    /**
     * By hand for a 6205 on k5 (25 +11/+2, ring 0/−10): 2 to 21 µm tight. On a solid shaft of the ring's own steel the
     * raceway at d + (D − d)/4 = 31.75 grows by d/31.75 = 0.787 of it (Lamé, one metal: the share is the ratio of
     * diameters), 1.6 to 16.5 µm; in H7 the ring is loose and takes nothing. Of 5 to 20 µm some −11.5 to 18.4 are left.
     */
    public function test_what_the_fit_takes_from_the_clearance(): void
    {
        $seat = BearingSeat::of(
            Bearings::named('6205'),
            new BearingDuty('inner', 'normal', shaft: Material::named('bearing or tool steel, hardened')),
        );
        self::assertEqualsWithDelta([-0.021, -0.002], [$seat->onShaftMm->min, $seat->onShaftMm->max], 1e-9);
        self::assertEqualsWithDelta([0.787 * 0.002, 0.787 * 0.021], [$seat->lossMm->min, $seat->lossMm->max], 2e-5);
        self::assertEqualsWithDelta([0.005 - 0.01654, 0.02 - 0.00157], [$seat->left?->min, $seat->left?->max], 3e-5);
        // Ten degrees between the rings: 11.7e-6 · 10 · 38.5 = 4.5 µm more.
        $warm = BearingSeat::of(Bearings::named('6205'), new BearingDuty('inner', 'normal', innerWarmerK: 10));
        self::assertEqualsWithDelta(0.0045, $warm->warmLossMm, 1e-5);
        // Middle against middle: 12.5 of Normal less 9.1 and 4.5 is none; of C3, 20.5, seven are left.
        self::assertSame('C3', $warm->group);
        self::assertContains('no-clearance-left', self::codes($warm));
        self::assertContains('clearance-may-vanish', self::codes($seat));
        // Four degrees take 1.8 µm: of 12.5, 1.6 are left, which is next to nothing; three fewer and it is a quarter.
        $near = BearingSeat::of(Bearings::named('6205'), new BearingDuty('inner', 'normal', innerWarmerK: 4));
        self::assertContains('little-clearance-left', self::codes($near));
        self::assertNotContains('no-clearance-left', self::codes($near));
        self::assertNotContains(
            'little-clearance-left',
            self::codes(BearingSeat::of(Bearings::named('6205'), new BearingDuty('inner', 'normal', innerWarmerK: 1))),
        );
        self::assertNotContains('clearance-may-vanish', self::codes($near), 'said once');
        self::assertNull($seat->group);
    }

    /** A thinner housing or a hollow shaft takes less from the clearance; a heavier fit takes more. */
    public function test_properties_of_the_loss(): void
    {
        foreach (['6004', '6205', '6310', '6908', '16008'] as $designation) {
            $bearing = Bearings::named($designation);
            $loss = static fn (BearingDuty $duty): float => BearingSeat::of($bearing, $duty)->lossMm->max;
            self::assertGreaterThan($loss(new BearingDuty('inner', 'light')), $loss(new BearingDuty('inner', 'heavy')));
            self::assertLessThan(
                $loss(new BearingDuty('inner', 'normal')),
                $loss(new BearingDuty('inner', 'normal', shaftBoreMm: 0.8 * $bearing->boreMm)),
            );
            self::assertGreaterThan($loss(new BearingDuty('outer', 'light')), $loss(new BearingDuty('outer', 'heavy')));
            self::assertGreaterThanOrEqual(
                0.0,
                BearingSeat::of($bearing, new BearingDuty('outer', 'light'))->lossMm->min,
            );
        }
        self::assertContains(
            'split-housing-turns',
            self::codes(BearingSeat::of(Bearings::named('6205'), new BearingDuty('outer', 'normal', 'split'))),
        );
        self::assertContains(
            'no-clearance-left',
            self::codes(BearingSeat::of(Bearings::named('6205'), new BearingDuty('inner', 'heavy', innerWarmerK: 20))),
        );
    }

    /**
     * DIN 5418, from memory: a 6205 (chamfer 1) stands against at least 30.6 mm with a fillet of 1 at most; catalogues
     * give 30.6.
     */
    public function test_shoulder_and_fillet(): void
    {
        self::assertEqualsWithDelta(
            ['fillet_max_mm' => 1.0, 'shaft_shoulder_min_mm' => 30.6, 'housing_shoulder_max_mm' => 46.4],
            BearingTable::shoulder(Bearings::named('6205')),
            1e-9,
        );
        self::assertNull(BearingTable::shoulder(Bearings::named('LM67048/LM67010')));
    }

    /** @return list<string> */
    private static function codes(BearingSeat $seat): array
    {
        return array_map(static fn (Note $n): string => $n->code, $seat->notes);
    }
}

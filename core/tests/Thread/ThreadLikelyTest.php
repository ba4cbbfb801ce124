<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Thread;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which thread it is, as the trade names it. */
final class ThreadLikelyTest extends TestCase
{
    /** @return list<array{string, string, float, float, float}> */
    private static function rows(): array
    {
        /** @var list<array{string, string, float, float, float}> $rows */
        $rows = Table::read('thread-families')['rows'];

        return $rows;
    }

    /**
     * @param  array<string, mixed>  $in
     * @return list<array{label: string, family: string, probability: float}>
     */
    private static function of(array $in): array
    {
        return Sums::run('thread-identify', $in)['candidates'];
    }

    /**
     * What every mechanic's chart says of a measured screw.
     *
     * @return iterable<array{array<string, mixed>, string}>
     */
    public static function charts(): iterable
    {
        yield [['outside_mm' => 9.85, 'pitch_mm' => 1.5], 'M10'];
        yield [['outside_mm' => 12.6, 'per_inch' => 12], '1/2 BSW'];
        yield [['outside_mm' => 12.6, 'per_inch' => 13], '1/2-13 UNC'];
        yield [['outside_mm' => 7.85, 'per_inch' => 18, 'angle_deg' => 60], '5/16-18 UNC'];
        yield [['outside_mm' => 7.85, 'per_inch' => 18, 'angle_deg' => 55], '5/16 BSW'];
        yield [['outside_mm' => 9.65, 'per_inch' => 28], '1/8 BSP'];
        yield [['outside_mm' => 20.8, 'per_inch' => 14], '1/2 BSP'];
        yield [['outside_mm' => 5.93, 'pitch_mm' => 1.0, 'angle_deg' => 47.5], '0 BA'];
        yield [['outside_mm' => 9.45, 'per_inch' => 26], '3/8-26 cycle'];
        yield [['outside_mm' => 8.5, 'pitch_mm' => 1.5, 'inside' => true], 'M10'];
        yield [['outside_mm' => 11.8, 'pitch_mm' => 1.25], 'M12×1.25'];
        yield 'coarse, its crests under by what its tolerance allows' => [['outside_mm' => 35.75, 'pitch_mm' => 4.0], 'M36'];
        yield 'its flanks seen too' => [['outside_mm' => 9.85, 'pitch_mm' => 1.5, 'angle_deg' => 60.0], 'M10'];
    }

    /** @param  array<string, mixed>  $in */
    #[DataProvider('charts')]
    public function test_as_the_charts_say(array $in, string $label): void
    {
        $candidates = self::of($in);
        self::assertSame($label, $candidates[0]['label']);
        self::assertEqualsWithDelta(1.0, array_sum(array_column($candidates, 'probability')), 1e-9);
    }

    /** Each of the table, a little worn, is among the first that have its size, pitch and angle. */
    public function test_every_thread_is_found_again(): void
    {
        foreach (self::rows() as [$label, , $major, $pitch, $angle]) {
            $candidates = self::of([
                'outside_mm' => $major - 0.03 - 0.05 * $pitch,
                'pitch_mm' => $pitch,
                'angle_deg' => $angle,
            ]);
            self::assertContains($label, array_column(array_slice($candidates, 0, 3), 'label'));
        }
    }

    /** The table against itself: a coarser family has the coarser pitch at the same size; angles by family. */
    public function test_the_table_pins_itself_down(): void
    {
        $by = [];
        foreach (self::rows() as [$label, $family, $major, $pitch, $angle]) {
            self::assertLessThan($major / 3, $pitch, $label);
            $by[$family][(string) round($major, 3)][] = $pitch;
            self::assertSame(
                match ($family) {
                    'BSW', 'BSF', 'BSP', 'BSP taper' => 55.0,
                    'BA' => 47.5,
                    default => 60.0,
                },
                (float) $angle,
            );
        }
        foreach ([['ISO coarse', 'ISO fine'], ['UNC', 'UNF'], ['UNF', 'UNEF'], ['BSW', 'BSF']] as [$coarse, $fine]) {
            foreach (array_intersect_key($by[$coarse], $by[$fine]) as $major => $pitches) {
                self::assertGreaterThan(max($by[$fine][$major]), min($pitches), "{$coarse} {$major}");
            }
        }
        foreach ($by as $family => $sizes) {
            self::assertNotEmpty($sizes, $family);
        }
        // BA pitches are 0.9 to the power of the number (BS 93).
        foreach (self::rows() as [$label, $family, , $pitch]) {
            if ($family === 'BA') {
                self::assertEqualsWithDelta(0.9 ** (int) $label, $pitch, 0.006, $label);
            }
        }
    }

    /**
     * Each by its own name: metric ones and those with their threads an inch say their size and pitch (ISO 262, ASME
     * B1.1; a numbered one is 0.060 + 0.013 n in), BA by the rule of BS 93: p = 0.9ⁿ and D = 6 p^1.2. Coarse metric
     * pitches, BSW, BSF and BSP from memory of ISO 262, BS 84 and ISO 228-1: threads an inch, and for BSP the outside.
     */
    public function test_each_is_what_its_name_says(): void
    {
        $coarse = ['1.6' => 0.35, '2' => 0.4, '2.5' => 0.45, '3' => 0.5, '4' => 0.7, '5' => 0.8, '6' => 1, '7' => 1, '8' => 1.25, '10' => 1.5, '12' => 1.75, '14' => 2, '16' => 2, '18' => 2.5, '20' => 2.5, '22' => 2.5, '24' => 3, '27' => 3, '30' => 3.5, '33' => 3.5, '36' => 4, '39' => 4, '42' => 4.5, '45' => 4.5, '48' => 5];
        $bsw = ['1/8' => 40, '3/16' => 24, '1/4' => 20, '5/16' => 18, '3/8' => 16, '7/16' => 14, '1/2' => 12, '9/16' => 12, '5/8' => 11, '3/4' => 10, '7/8' => 9, '1' => 8, '1-1/8' => 7, '1-1/4' => 7, '1-1/2' => 6, '1-3/4' => 5, '2' => 4.5];
        $bsf = ['3/16' => 32, '7/32' => 28, '1/4' => 26, '9/32' => 26, '5/16' => 22, '3/8' => 20, '7/16' => 18, '1/2' => 16, '9/16' => 16, '5/8' => 14, '11/16' => 14, '3/4' => 12, '7/8' => 11, '1' => 10, '1-1/8' => 9, '1-1/4' => 9, '1-3/8' => 8, '1-1/2' => 8];
        $bsp = ['1/16' => [7.723, 28], '1/8' => [9.728, 28], '1/4' => [13.157, 19], '3/8' => [16.662, 19], '1/2' => [20.955, 14], '5/8' => [22.911, 14], '3/4' => [26.441, 14], '7/8' => [30.201, 14], '1' => [33.249, 11], '1-1/4' => [41.91, 11], '1-1/2' => [47.803, 11], '2' => [59.614, 11]];
        $inch = static function (string $name): float {
            $parts = explode('-', str_replace('No. ', '', $name));

            return 25.4 * array_sum(array_map(static function (string $p): float {
                [$over, $under] = [...explode('/', $p), '1'];

                return (float) $over / (float) $under;
            }, $parts));
        };
        foreach (self::rows() as [$label, $family, $major, $pitch]) {
            [$name] = explode(' ', str_replace('No. ', 'No.', (string) $label));
            $perInch = static fn (string $of): string => substr($of, (int) strrpos($of, '-') + 1);
            $before = static fn (string $of): string => substr($of, 0, (int) strrpos($of, '-'));
            [$size, $step] = match ($family) {
                'ISO coarse' => [(float) substr($name, 1), $coarse[substr($name, 1)]],
                'ISO fine' => array_map(floatval(...), explode('×', substr($name, 1))),
                'BSW' => [$inch($name), 25.4 / $bsw[$name]],
                'BSF' => [$inch($name), 25.4 / $bsf[$name]],
                'BSP', 'BSP taper' => [$bsp[$name][0], 25.4 / $bsp[$name][1]],
                'BA' => [round(6 * round(0.9 ** (int) $name, 2) ** 1.2, 1), round(0.9 ** (int) $name, 2)],
                default => [
                    str_starts_with($name, 'No.') ? 25.4 * (0.06 + 0.013 * (int) substr($name, 3)) : $inch($before($name)),
                    25.4 / (float) $perInch($name),
                ],
            };
            self::assertEqualsWithDelta($size, $major, 1e-4, (string) $label);
            self::assertEqualsWithDelta($step, $pitch, 1e-5, (string) $label);
        }
    }

    /** Not looked at, the angle leaves both; a coarse reading leaves more of them; nothing near leaves all open. */
    public function test_doubt_leaves_it_open(): void
    {
        $both = Sums::run('thread-identify', ['outside_mm' => 9.4, 'per_inch' => 16]);
        self::assertSame(['3/8-16 UNC', '3/8 BSW'], array_column(array_slice($both['candidates'], 0, 2), 'label'));
        self::assertSame(['which-hand', 'angle-unknown'], array_column($both['notes'], 'code'));
        self::assertCount(1, Sums::run('thread-identify', ['outside_mm' => 9.4, 'per_inch' => 16, 'angle_deg' => 60])['notes']);
        $sure = self::of(['outside_mm' => 11.88, 'pitch_mm' => 1.0]);
        $coarse = self::of(['outside_mm' => 11.88, 'pitch_mm' => 1.0, 'u95_mm' => 4.0]);
        self::assertLessThan($sure[0]['probability'], $coarse[0]['probability']);
        self::assertSame('other', self::of(['outside_mm' => 100.0, 'pitch_mm' => 1.0])[0]['label']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'no size' => [['outside_mm' => 0.0, 'pitch_mm' => 1.0], 'outside_mm'];
        yield 'no pitch' => [['outside_mm' => 6.0], 'pitch_mm'];
        yield 'both' => [['outside_mm' => 6.0, 'pitch_mm' => 1.0, 'per_inch' => 25.0], 'pitch_mm'];
        yield 'none to the inch' => [['outside_mm' => 6.0, 'per_inch' => 0.0], 'per_inch'];
        yield 'a pitch as large as it' => [['outside_mm' => 6.0, 'pitch_mm' => 6.0], 'pitch_mm'];
        yield 'no such angle' => [['outside_mm' => 6.0, 'pitch_mm' => 1.0, 'angle_deg' => 5.0], 'angle_deg'];
        yield 'a doubt below none' => [['outside_mm' => 6.0, 'pitch_mm' => 1.0, 'u95_mm' => -1.0], 'u95_mm'];
    }

    /** @param  array<string, mixed>  $in */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_by_name(array $in, string $field): void
    {
        try {
            self::of($in);
            self::fail('was taken');
        } catch (BadInput $bad) {
            self::assertSame($field, $bad->field);
        }
    }

    /**
     * A coarse thread is cut further under its size than a fine one: M36 at 35.75 and M8 at 7.9 are themselves, and their
     * tapped holes, 32 and 6.8, as the drill charts have them.
     */
    public function test_what_a_coarse_and_a_fine_one_lose(): void
    {
        foreach ([[['outside_mm' => 35.75, 'pitch_mm' => 4.0], 'M36'], [['outside_mm' => 7.9, 'pitch_mm' => 1.25], 'M8'], [['outside_mm' => 32.0, 'pitch_mm' => 4.0, 'inside' => true], 'M36'], [['outside_mm' => 6.8, 'pitch_mm' => 1.25, 'inside' => true], 'M8']] as [$in, $label]) {
            $first = self::of($in)[0];
            self::assertSame($label, $first['label']);
            self::assertGreaterThan(0.5, $first['probability'], $label);
        }
    }

    /** Flanks stand between 20 and 90 degrees: what is beyond is misread. */
    public function test_angles_that_no_thread_has(): void
    {
        foreach ([[19.0, false], [20.0, true], [90.0, true], [91.0, false]] as [$deg, $taken]) {
            try {
                self::of(['outside_mm' => 10.0, 'pitch_mm' => 1.5, 'angle_deg' => $deg]);
                self::assertTrue($taken, (string) $deg);
            } catch (BadInput $bad) {
                self::assertFalse($taken, (string) $deg);
                self::assertSame('angle_deg', $bad->field);
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Catalogue;

use Oldpart\Core\Catalogue\Table;
use PHPUnit\Framework\TestCase;

/**
 * Tables of standards cell by cell: by the rule the standard was made with where there is one, else against its list,
 * column by column, from memory.
 */
final class StandardTablesTest extends TestCase
{
    /** ISO 3: the R40 series of preferred numbers from 75, as ISO 965-1 rounds its tolerances. */
    private const R40 = [75, 80, 85, 90, 95, 100, 106, 112, 118, 125, 132, 140, 150, 160, 170, 180, 190, 200, 212, 224, 236, 250, 265, 280, 300, 315, 335, 355, 375, 400, 425, 450, 475, 500, 530, 560, 600, 630, 670, 710, 750];

    /** @return list<list<mixed>> */
    private static function rows(string $table, string $part = 'rows'): array
    {
        return Table::read($table)[$part];
    }

    /**
     * @param  list<list<mixed>>  $rows
     * @param  list<string>  $columns  what each column from the first on is, numbers with spaces between
     */
    private static function assertColumns(array $columns, array $rows, int $from = 0): void
    {
        foreach ($columns as $at => $list) {
            $wanted = array_map(self::number(...), explode(' ', trim((string) preg_replace('/\s+/', ' ', $list))));
            self::assertEqualsWithDelta($wanted, array_column($rows, $from + $at), 1e-9, 'column '.($from + $at));
        }
    }

    /** @return array<string, array{float, float}> tolerance by its name and pitch: as typed, by the formula */
    private static function threadTolerances(): array
    {
        $of = [];
        foreach (self::rows('thread-limits') as [$p, , $major, $minor]) {
            $of["major, {$p}"] = [$major, 180 * $p ** (2 / 3) - 3.15 / sqrt($p)];
            $of["minor, {$p}"] = [$minor, $p < 1 ? 433 * $p - 190 * $p ** 1.22 : 230 * $p ** 0.7];
        }
        // The middle of the range of sizes a thread is in, ISO 965-1: 2.8, 5.6, 11.2, 22.4, 45.
        $middle = static function (float $d): float {
            [$low, $high] = [1.4, 2.8];
            foreach ([5.6, 11.2, 22.4, 45.0] as $next) {
                [$low, $high] = $d > $high ? [$high, $next] : [$low, $high];
            }

            return sqrt($low * $high);
        };
        $pitch = ['M3' => 0.5, 'M4' => 0.7, 'M5' => 0.8, 'M6' => 1, 'M8' => 1.25, 'M10' => 1.5, 'M12' => 1.75, 'M14' => 2, 'M16' => 2, 'M18' => 2.5, 'M20' => 2.5, 'M22' => 2.5, 'M24' => 3, 'M27' => 3, 'M30' => 3.5, 'M36' => 4];
        foreach (self::rows('thread-limits', 'pitch_rows') as [$label, $outside, $inside]) {
            $td2 = 90 * $pitch[$label] ** 0.4 * $middle((float) substr($label, 1)) ** 0.1;
            $of["pitch of a bolt, {$label}"] = [$outside, $td2];
            $of["pitch of a nut, {$label}"] = [$inside, 1.32 * $td2];
        }

        return $of;
    }

    /**
     * ISO 965-1: each tolerance by its formula, rounded to a number of R40, which lie 6 % apart; the space of g is
     * 15 + 11 P.
     */
    public function test_limits_of_metric_threads(): void
    {
        foreach (self::threadTolerances() as $which => [$typed, $formula]) {
            self::assertContains($typed, self::R40, $which);
            self::assertEqualsWithDelta($formula, $typed, 0.055 * $formula, $which);
        }
        foreach (self::rows('thread-limits') as [$pitch, $allowance]) {
            self::assertEqualsWithDelta(15 + 11 * $pitch, $allowance, 1.6, (string) $pitch);
        }
        self::assertColumns(['0.35 0.4 0.45 0.5 0.6 0.7 0.75 0.8 1 1.25 1.5 1.75 2 2.5 3 3.5 4 4.5 5'], self::rows('thread-limits'));
    }

    /** ISO 273: fine, medium and coarse holes from M1 to M64. */
    public function test_clearance_holes(): void
    {
        $rows = self::rows('clearance-holes');
        foreach ($rows as [$label, $major]) {
            self::assertEqualsWithDelta((float) substr((string) $label, 1), $major, 1e-9);
        }
        self::assertColumns([
            '1.1 1.3 1.5 1.7 2 2.2 2.7 3.2 3.7 4.3 4.8 5.3 6.4 7.4 8.4 10.5 13 15 17 19 21 23 25 28 31 34 37 40 43 46 50 54 58 62 66',
            '1.2 1.4 1.6 1.8 2.1 2.4 2.9 3.4 3.9 4.5 5 5.5 6.6 7.6 9 11 13.5 15.5 17.5 20 22 24 26 30 33 36 39 42 45 48 52 56 62 66 70',
            '1.3 1.5 1.8 2 2.2 2.6 3.1 3.6 4.2 4.8 5.3 5.8 7 8 10 12 14.5 16.5 18.5 21 24 26 28 32 35 38 42 45 48 52 56 62 66 70 74',
        ], $rows, 2);
    }

    /**
     * ISO 4762 and 4014, ISO 7089, DIN 974-1; the holes are those of ISO 273. A metric cap head is as high as its screw
     * is thick.
     */
    public function test_heads_of_metric_screws(): void
    {
        $rows = self::rows('screws', 'metric');
        $holes = array_column(self::rows('clearance-holes'), null, 0);
        foreach ($rows as $row) {
            self::assertEquals(array_slice($holes["M{$row[0]}"], 2), array_slice($row, 1, 3), "M{$row[0]}");
            self::assertEqualsWithDelta($row[0], $row[5], 1e-9);
        }
        self::assertColumns(['3 4 5 6 8 10 12 14 16 20 24 30'], $rows);
        self::assertColumns(['5.5 7 8.5 10 13 16 18 21 24 30 36 45'], $rows, 4);
        self::assertColumns([
            '6.5 8 10 11 15 18 20 24 26 33 40 50',
            '5.5 7 8 10 13 16 18 21 24 30 36 46',
            '2 2.8 3.5 4 5.3 6.4 7.5 8.8 10 12.5 15 18.7',
            '7 9 10 12 16 20 24 28 30 37 44 56',
        ], $rows, 6);
    }

    /** ASME B18.2.8, B18.3, B18.2.1, B18.21.1: a cap head is one and a half of its screw, and as high as that is thick. */
    public function test_heads_of_inch_screws(): void
    {
        $rows = self::rows('screws', 'inch');
        foreach ($rows as $row) {
            self::assertEqualsWithDelta([1.5 * $row[0], $row[0]], [$row[4], $row[5]], 1e-9);
        }
        self::assertColumns(['1/4 5/16 3/8 1/2 5/8 3/4 1', '17/64 21/64 25/64 17/32 21/32 25/32 33/32', '9/32 11/32 13/32 9/16 11/16 13/16 35/32', '19/64 23/64 27/64 39/64 47/64 29/32 37/32'], $rows);
        self::assertColumns(['7/16 17/32 5/8 13/16 1 19/16 13/8', '7/16 1/2 9/16 3/4 15/16 9/8 3/2', '5/32 13/64 15/64 5/16 25/64 15/32 39/64', '5/8 11/16 13/16 17/16 21/16 47/32 2'], $rows, 6);
    }

    /**
     * ISO 3912: the two depths of a metric key are its height and 0.2 of room, 0.3 from a width of 4 on. ANSI B17.2: an inch
     * key is half its disc high less what lies above its middle: 3/64 to 7/64.
     */
    public function test_woodruff_keys(): void
    {
        $rows = self::rows('woodruff', 'metric');
        // A key of 3 × 6.5 and all narrower ones have 0.2.
        foreach ($rows as [$wide, $high, , $shaft, $hub]) {
            self::assertEqualsWithDelta($high + ($wide < 4 ? 0.2 : 0.3), $shaft + $hub, 1e-9, "{$wide} × {$high}");
        }
        self::assertColumns([
            '1 1.5 2 2 2.5 3 3 4 4 5 5 5 6 6 8 10',
            '1.4 2.6 2.6 3.7 3.7 5 6.5 6.5 7.5 6.5 7.5 9 9 10 11 13',
            '4 7 7 10 10 13 16 16 19 16 19 22 22 25 28 32',
        ], $rows);
        self::assertColumns(['0.6 0.8 1 1 1.2 1.4 1.4 1.8 1.8 2.3 2.3 2.3 2.8 2.8 3.3 3.3'], $rows, 4);
        $above = [3, 4, 4, 4, 4, 5, 5, 6, 7];
        foreach (self::rows('woodruff', 'inch_heights') as $at => [$disc, $high]) {
            self::assertEqualsWithDelta($disc / 2 - $above[$at] / 64, $high, 0.0006, "{$disc}");
        }
        self::assertColumns(['1/2 5/8 3/4 7/8 1 9/8 5/4 11/8 3/2'], self::rows('woodruff', 'inch_heights'));
    }

    /** DIN 6885-1: the depths of a key are its height and 0.1 to 0.4 more; widths and heights by the standard's list. */
    public function test_parallel_keys(): void
    {
        self::assertColumns([
            '2 3 4 5 6 8 10 12 14 16 18 20 22 25 28 32 36 40 45 50',
            '2 3 4 5 6 7 8 8 9 10 11 12 14 14 16 18 20 22 25 28',
            '1.2 1.8 2.5 3 3.5 4 5 5 5.5 6 7 7.5 9 9 10 11 12 13 15 17',
            '1 1.4 1.8 2.3 2.8 3.3 3.3 3.3 3.8 4.3 4.4 4.9 5.4 5.4 6.4 7.4 8.4 9.4 10.4 11.4',
        ], self::rows('keys'));
    }

    /** ISO 14: number, inner and outer size and width of a tooth. */
    public function test_straight_splines(): void
    {
        $of = static fn (string $series): array => array_values(array_filter(self::rows('splines'), static fn (array $r): bool => $r[0] === $series));
        self::assertColumns([
            '6 6 6 8 8 8 8 8 8 8 10 10',
            '23 26 28 32 36 42 46 52 56 62 72 82',
            '26 30 32 36 40 46 50 58 62 68 78 88',
            '6 6 7 6 7 8 9 10 10 12 12 12',
        ], $of('light'), 1);
        self::assertColumns([
            '6 6 6 6 6 6 6 6 8 8 8 8 8 8 8 10',
            '11 13 16 18 21 23 26 28 32 36 42 46 52 56 62 72',
            '14 16 20 22 25 28 32 34 38 42 48 54 60 65 72 82',
            '3 3.5 4 5 5 6 6 7 6 7 8 9 10 10 12 12',
        ], $of('medium'), 1);
    }

    /** ISO 492, Normal class: bore, outside and width, all to minus. */
    public function test_tolerances_of_bearings(): void
    {
        self::assertColumns(['2.5 10 18 30 50 80 120 180 250 315 400 500', '8 8 8 10 12 15 20 25 30 35 40 45'], self::rows('bearing-tolerances', 'bore_minus_um'));
        self::assertColumns(['6 18 30 50 80 120 150 180 250 315 400 500', '8 8 9 11 13 15 18 25 30 35 40 45'], self::rows('bearing-tolerances', 'outside_minus_um'));
        self::assertColumns(['2.5 10 18 30 50 80 120 180 250 315 400 500', '40 120 120 120 120 150 200 250 300 350 400 450'], self::rows('bearing-tolerances', 'width_minus_um'));
    }

    /** ISO 5753-1, deep-groove ball bearings: least and most of groups 2, N, 3, 4 and 5. */
    public function test_clearance_of_bearings(): void
    {
        $rows = Table::read('bearing-tolerances')['radial_clearance_um']['rows'];
        self::assertColumns(['2.5 10 18 24 30 40 50 65 80 100 120 140 160 180', '10 18 24 30 40 50 65 80 100 120 140 160 180 200'], $rows);
        $groups = [
            ['0 0 0 1 1 1 1 1 1 2 2 2 2 2', '7 9 10 11 11 11 15 15 18 20 23 23 25 30'],
            ['2 3 5 5 6 6 8 10 12 15 18 18 20 25', '13 18 20 20 20 23 28 30 36 41 48 53 61 71'],
            ['8 11 13 13 15 18 23 25 30 36 41 46 53 63', '23 25 28 28 33 36 43 51 58 66 81 91 102 117'],
            ['14 18 20 23 28 30 38 46 53 61 71 81 91 107', '29 33 36 41 46 51 61 71 84 97 114 130 147 163'],
            ['20 25 28 30 40 45 55 65 75 90 105 120 135 150', '37 45 48 53 64 73 90 105 120 140 160 180 200 230'],
        ];
        foreach ($groups as $group => $columns) {
            self::assertColumns($columns, array_column($rows, 2 + $group));
        }
    }

    /** ISO 2768-1, table 1. */
    public function test_general_tolerances(): void
    {
        $rows = self::rows('general-tolerances');
        self::assertColumns([
            '0.5 3 6 30 120 400 1000 2000', '3 6 30 120 400 1000 2000 4000',
            '0.05 0.05 0.1 0.15 0.2 0.3 0.5 -', '0.1 0.1 0.2 0.3 0.5 0.8 1.2 2', '0.2 0.3 0.5 0.8 1.2 2 3 4', '- 0.5 1 1.5 2.5 4 6 8',
        ], $rows);
    }

    /** Outsides of threads by their names: M and millimetres, a part of an inch, or 0.060 + 0.013 n in (ASME B1.1). */
    public function test_outsides_of_threads(): void
    {
        foreach (self::rows('threads') as $row) {
            preg_match('~^(M|No\. )?(?:(\d+)-)?([\d/]+)(?: in)? thread$~', (string) $row['label'], $m);
            $size = (float) ($m[2] ?? 0) + (self::number($m[3] ?? '') ?? 0.0);
            $wanted = match ($m[1] ?? '') {
                'M' => $size,
                'No. ' => 25.4 * (0.06 + 0.013 * $size),
                default => 25.4 * $size,
            };
            self::assertEqualsWithDelta($wanted, $row['mm'], 1e-4, (string) $row['label']);
            self::assertSame(($m[1] ?? '') === 'M' ? 'metric' : 'inch', $row['system']);
        }
    }

    /** Those named by a ratio have twelve times it in a foot; the others from memory of ISO 296 (one in so much) and makers' lists. */
    public function test_tapers(): void
    {
        $oneIn = ['Morse 0' => 19.212, 'Morse 1' => 20.047, 'Morse 2' => 20.02, 'Morse 3' => 19.922, 'Morse 4' => 19.254, 'Morse 5' => 19.002, 'Morse 6' => 19.18, 'Morse 7' => 19.231];
        $foot = ['Brown & Sharpe (but 10)' => 0.5, 'Brown & Sharpe 10' => 0.5161, 'Jarno' => 0.6, 'Jacobs 0' => 0.59145, 'Jacobs 1' => 0.92508, 'Jacobs 2' => 0.97861, 'Jacobs 3' => 0.63898, 'Jacobs 4' => 0.62886, 'Jacobs 5' => 0.6201, 'Jacobs 6' => 0.62292, 'Jacobs 33' => 0.76194];
        foreach (self::rows('tapers') as [$name, $perFoot]) {
            $wanted = match (true) {
                isset($oneIn[$name]) => 12 / $oneIn[$name],
                isset($foot[$name]) => $foot[$name],
                default => preg_match('~^(\d+)[:/](\d+)~', (string) $name, $m) === 1 ? 12 * (float) $m[1] / (float) $m[2] : 0.0,
            };
            self::assertEqualsWithDelta($wanted, $perFoot, 3e-5, (string) $name);
        }
    }

    private static function number(string $text): ?float
    {
        [$over, $under] = [...explode('/', $text), '1'];

        return $text === '-' ? null : (float) $over / (float) $under;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Exchange\JobTables;
use Oldpart\Core\Exchange\PartDxf;
use Oldpart\Core\Exchange\SheetChanges;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Tests\Evaluate\KindJob;
use PHPUnit\Framework\TestCase;

/** Tables of a job in the unit they say, limits never rounded outward; 25.4 mm to the inch. */
final class TablesInTheirUnitTest extends TestCase
{
    use KindJob;

    public function test_limits_and_cuts(): void
    {
        $this->job('plain-bush')->read('Housing bore', 'three-point', '32.010')->read('Shaft journal', 'outside-micrometer', '24.990');
        $this->facts['cuts'][] = [
            'id' => 'c-1', 'surface' => $this->id('Bush outside'), 'phase' => 'only', 'dialled' => ['typed' => '0.254', 'unit' => 'mm'],
            'after' => ['typed' => '33.02', 'unit' => 'mm'], 'instrument' => 'outside-micrometer', 'part_c' => null, 'set_aside' => null, 'at' => null,
        ];
        $facts = JobFacts::fromArray($this->facts);
        $band = $this->card('Bush outside')->band;
        self::assertNotNull($band);
        foreach ([[Unit::Millimetre, 1.0, 1e-4], [Unit::Inch, 25.4, 1e-5]] as [$unit, $per, $step]) {
            $rows = self::rows(JobTables::sizes($this->answers(), $unit));
            $row = array_column($rows, null, 0)['Bush outside'] ?? array_values(array_filter($rows, static fn (array $r): bool => in_array('Bush outside', $r, true)))[0];
            $limits = array_values(array_filter(array_map('floatval', array_filter($row, 'is_numeric')), static fn (float $v): bool => abs($v * $per - $band->middleMm()) < 0.5));
            self::assertGreaterThanOrEqual(2, count($limits));
            [$low, $high] = [min($limits), max($limits)];
            self::assertGreaterThanOrEqual($band->lowerMm - 1e-6, $low * $per, 'never outward');
            self::assertLessThanOrEqual($band->upperMm + 1e-6, $high * $per);
            self::assertEqualsWithDelta($band->lowerMm, $low * $per, $step * $per + 1e-6);
            self::assertEqualsWithDelta($band->upperMm, $high * $per, $step * $per + 1e-6);
            $cut = self::rows(JobTables::cuts($facts, $unit))[1];
            self::assertContains((string) round(33.02 / $per, 4), $cut);
            self::assertContains((string) round(0.254 / $per, 4), $cut);
        }
    }

    /** A later sheet says what is otherwise, and only that. */
    public function test_a_later_sheet_says_what_changed(): void
    {
        $this->job('plain-bush')->read('Housing bore', 'three-point', '32.010')->read('Shaft journal', 'outside-micrometer', '24.990');
        $before = $this->answers();
        self::assertSame([], SheetChanges::between($before, $before, Unit::Millimetre));
        $this->read('Housing bore', 'three-point', '32.030');
        $changes = SheetChanges::between($before, $this->answers(), Unit::Millimetre);
        self::assertCount(1, array_filter($changes, static fn (string $c): bool => str_starts_with($c, 'Bush outside: was ')));
        self::assertSame([], array_filter($changes, static fn (string $c): bool => str_starts_with($c, 'Bush length')));
    }

    /** Above the axis and below it alike: a shaft drawn twice above would be half a shaft. */
    public function test_a_turned_part_lies_on_both_sides_of_its_axis(): void
    {
        $this->job('stepped-shaft')->is('Middle', ['size' => ['typed' => '32', 'unit' => 'mm']]);
        $facts = JobFacts::fromArray($this->facts);
        $answers = $this->answers();
        $shape = $answers->shapes->shapes[array_column($this->facts['parts'], 'id', 'name')['Shaft']];
        preg_match_all('/\n 20\n(-?[\d.]+)/', str_replace("\n20\n", "\n 20\n", PartDxf::of($shape, null, null, $facts->unit)), $ys);
        $ys = array_map('floatval', $ys[1]);
        self::assertEqualsWithDelta($shape->profile->largestMm(), max($ys), 1e-3);
        self::assertEqualsWithDelta(-$shape->profile->largestMm(), min($ys), 1e-3);
        // Each step has its own radius, above and below: the thinnest of this shaft is several millimetres.
        self::assertSame([], array_filter($ys, static fn (float $y): bool => abs($y) > 0 && abs($y) < 2.0));
    }

    /** @return list<list<?string>> */
    private static function rows(string $csv): array
    {
        $lines = array_filter(explode("\n", str_replace("\r", '', preg_replace('/^\xEF\xBB\xBF/', '', $csv) ?? '')), static fn (string $l): bool => $l !== '');
        $between = str_contains($csv, ';') ? ';' : ',';

        return array_values(array_map(static fn (string $line): array => str_getcsv($line, $between, '"', ''), $lines));
    }
}

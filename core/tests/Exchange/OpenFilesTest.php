<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\Dxf;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Exchange\JobTables;
use Oldpart\Core\Exchange\OutlineIn;
use Oldpart\Core\Exchange\PartDxf;
use Oldpart\Core\Exchange\PointsIn;
use Oldpart\Core\Exchange\ReadingsCsv;
use Oldpart\Core\Exchange\Template;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Picture\FacePicture;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Tests\Evaluate\KindJob;
use Oldpart\Core\Tests\Evaluate\SampleJob;
use PHPUnit\Framework\TestCase;

/** Open files at their ends: what is just taken, what is just refused, and what another program would stumble over. */
final class OpenFilesTest extends TestCase
{
    use KindJob;

    /** A drawing file says its unit by INSUNITS, 1 for inches and 4 for millimetres, and each layer has its own colour. */
    public function test_the_head_of_a_drawing(): void
    {
        foreach ([[Unit::Millimetre, '4', 'millimetres'], [Unit::Inch, '1', 'inches']] as [$unit, $code, $said]) {
            $text = (new Dxf($unit))->line('CENTRE', 0, 0, 1, 1)->written();
            self::assertMatchesRegularExpression("/\\\$INSUNITS\\n\\s*70\\n{$code}\\n/", $text);
            self::assertStringContainsString("true size in {$said}", $text);
            preg_match_all('/\n\s*0\nLAYER\n\s*2\n(\w+)\n\s*70\n0\n\s*62\n(\d+)\n\s*6\nCONTINUOUS(?=\n)/', "\n".$text, $layers);
            self::assertSame(['OUTLINE', 'BORE', 'HOLES', 'CENTRE', 'SIZES'], $layers[1]);
            self::assertCount(5, array_unique($layers[2]));
        }
    }

    /** The lengths to check a print by: a line with an upright stroke of 4 at each end, 10 from the left, what it is above it. */
    public function test_what_a_print_is_checked_by(): void
    {
        $template = Template::svg(new FacePicture(name: 'Plate', tone: Tone::Make, outline: [[0.0, 0.0], [20.0, 0.0], [20.0, 30.0]], circles: [], patterns: []));
        $svg = new \SimpleXMLElement($template['svg']);
        $lines = [];
        foreach ($svg->line as $line) {
            $lines[] = array_map(floatval(...), [(string) $line['x1'], (string) $line['y1'], (string) $line['x2'], (string) $line['y2']]);
        }
        $at = $template['height'] - 22;
        foreach ([100.0, 101.6] as $long) {
            self::assertContains([10.0, $at, 10.0 + $long, $at], $lines);
            self::assertContains([10.0, $at - 2, 10.0, $at + 2], $lines);
            self::assertContains([10.0 + $long, $at - 2, 10.0 + $long, $at + 2], $lines);
            $at += 10;
        }
        self::assertSame(['13', (string) ($template['height'] - 23.5)], [rtrim(rtrim((string) $svg->text[0]['x'], '0'), '.'), rtrim(rtrim((string) $svg->text[0]['y'], '0'), '.')]);
        self::assertSame(['100 mm: measure it on the print', '4 in: measure it on the print'], [(string) $svg->text[0], (string) $svg->text[1]]);
    }

    /** A job file of 20 MB to the byte is taken, one byte more is not. */
    public function test_how_large_a_job_file_may_be(): void
    {
        $file = JobFile::write((new SampleJob())->build());
        self::assertNotSame('', JobFile::read(str_pad($file, 20_000_000))->id);
        $this->expectExceptionMessage('over 20 MB');
        JobFile::read(str_pad($file, 20_000_001));
    }

    public function test_how_much_a_list_takes_where_nothing_else_is_said(): void
    {
        self::assertSame(5000, JobFile::most('no-such-list'));
    }

    /** What a drawing holds beside what is sought: a bulge of no corner, a number past all bounds, flags of several meanings. */
    public function test_a_drawing_with_more_in_it(): void
    {
        $rectangle = "10\n-5\n20\n0\n10\n5\n20\n0\n10\n5\n20\n4\n10\n-5\n20\n4\n";
        foreach (['1', '129'] as $closed) {
            $corners = OutlineIn::read(self::dxf("0\nLWPOLYLINE\n70\n{$closed}\n42\n0.5\n{$rectangle}"), Unit::Millimetre);
            self::assertEqualsWithDelta([[-5.0, 0.0, 0.0], [5.0, 0.0, 0.0], [5.0, 4.0, 0.0], [-5.0, 4.0, 0.0]], array_map(array_values(...), $corners), 1e-9);
        }
        foreach (['0', '128'] as $open) {
            self::assertSame([], OutlineIn::read(self::dxf("0\nLWPOLYLINE\n70\n{$open}\n{$rectangle}"), Unit::Millimetre));
        }
        $read = PointsIn::read(self::dxf("0\nCIRCLE\n10\n1\n20\n2\n40\n1e999\n0\nCIRCLE\n10\n1\n40\n3\n0\nCIRCLE\n20\n1\n40\n3\n"), Unit::Millimetre);
        self::assertEquals([['x' => 1.0, 'y' => 2.0, 'diameter' => null]], $read['points']);
        self::assertSame(['CIRCLE without a place.', 'CIRCLE without a place.'], array_column($read['refused'], 'says'));
    }

    /**
     * A line up the side runs into an arc that begins 28° off it and ends smoothly, and the same the other way about: by
     * hand, the arc about (21.25, 30) through (40, 20) is upright at (0, 30), as 18.75² + 10² = 21.25².
     */
    public function test_a_kink_is_found_on_either_side_of_an_arc(): void
    {
        $bulge = tan(deg2rad((180 + rad2deg(atan2(10, 18.75))) / 4));
        foreach ([1, -1] as $hand) {
            $points = [[0, 0, 0.0], [40 * $hand, 0, 0.0], [40 * $hand, 20, $hand * $bulge], [0, 30, 0.0]];
            $text = implode('', array_map(static fn (array $p): string => "10\n{$p[0]}\n20\n{$p[1]}\n42\n{$p[2]}\n", $points));
            $back = implode('', array_map(static fn (array $p): string => "10\n{$p[0]}\n20\n{$p[1]}\n42\n{$p[2]}\n", [[0, 0, 0.0], [0, 30, -$hand * $bulge], [40 * $hand, 20, 0.0], [40 * $hand, 0, 0.0]]));
            foreach ([$text, $back] as $drawn) {
                try {
                    OutlineIn::read(self::dxf("0\nLWPOLYLINE\n70\n1\n{$drawn}"), Unit::Millimetre);
                    self::fail('a kink was taken');
                } catch (BadInput $bad) {
                    self::assertSame('not-smooth', $bad->reason);
                    self::assertStringContainsString('(28.1° off)', $bad->getMessage());
                }
            }
        }
    }

    /** 2,000 places are taken, one more is not; two columns are x and y, whatever they count. */
    public function test_how_many_places(): void
    {
        $rows = static fn (int $n): string => implode("\n", array_map(static fn (int $i): string => "{$i}.5,{$i}", range(1, $n)));
        self::assertCount(2000, PointsIn::read($rows(2000), Unit::Millimetre)['points']);
        $two = PointsIn::read("1,10\n2,20", Unit::Millimetre);
        self::assertEquals([false, [['x' => 1.0, 'y' => 10.0, 'diameter' => null], ['x' => 2.0, 'y' => 20.0, 'diameter' => null]]], [$two['numbered'], $two['points']]);
        $this->expectExceptionMessage('over 2000 places');
        PointsIn::read($rows(2001), Unit::Millimetre);
    }

    /** The axis stands out by a twentieth of the part at either end. */
    public function test_the_axis_stands_out(): void
    {
        $this->job('stepped-shaft')->is('Middle', ['size' => ['typed' => '32', 'unit' => 'mm']]);
        $facts = JobFacts::fromArray($this->facts);
        $shape = $this->answers()->shapes->shapes[array_column($this->facts['parts'], 'id', 'name')['Shaft']];
        $long = $shape->profile->toMm() - $shape->profile->fromMm();
        preg_match('/LINE\n\s*8\nCENTRE\n(?:\s*\d+\n.*\n){6}/', PartDxf::of($shape, null, null, Unit::Millimetre), $line);
        preg_match_all('/^\s*1[01]\n(.*)$/m', $line[0], $xs);
        self::assertEqualsWithDelta([$shape->profile->fromMm() - $long / 20, $shape->profile->toMm() + $long / 20], array_map(floatval(...), $xs[1]), 1e-5);
    }

    /** Five holes of 9 on 94, the first straight up: x 0, y 47 at 90°; the next 72° on. What is not made has no size. */
    public function test_tables_of_holes_and_sizes(): void
    {
        $this->job('flanged-axle')->is('Flange hole circle', ['count' => 5, 'size' => ['typed' => '94', 'unit' => 'mm'], 'size2' => ['typed' => '9', 'unit' => 'mm'], 'angle_deg' => 90]);
        $rows = array_map(static fn (string $l): array => str_getcsv($l, ',', '"', ''), array_values(array_filter(explode("\n", str_replace(["\r", "\xEF\xBB\xBF"], '', JobTables::holes($this->answers(), Unit::Millimetre))))));
        self::assertSame(['pattern', 'hole', 'x', 'y', 'angle', 'drilled', 'unit'], $rows[0]);
        self::assertCount(6, $rows);
        self::assertEqualsWithDelta([1, 0.0, 47.0, 90.0], array_map(floatval(...), [$rows[1][1], $rows[1][2], $rows[1][3], $rows[1][4]]), 1e-4);
        self::assertEqualsWithDelta([2, 47 * cos(deg2rad(162)), 47 * sin(deg2rad(162)), 162.0], array_map(floatval(...), array_slice($rows[2], 1, 4)), 1e-4);
        self::assertSame('mm', $rows[1][6]);
    }

    public function test_a_size_that_is_made_stands_in_the_table(): void
    {
        $this->job('plain-bush')->read('Housing bore', 'three-point', '32.010')->read('Shaft journal', 'outside-micrometer', '24.990');
        $row = fn (): array => array_column(array_map(static fn (string $l): array => str_getcsv($l, ',', '"', ''), explode("\n", str_replace("\r", '', JobTables::sizes($this->answers(), Unit::Millimetre)))), null, 0)['Bush outside'];
        self::assertSame(['', '', ''], array_slice($row(), 3, 3));
        $this->facts['cuts'][] = [
            'id' => 'c-1', 'surface' => $this->id('Bush outside'), 'phase' => 'only', 'dialled' => null,
            'after' => ['typed' => '33.02', 'unit' => 'mm'], 'instrument' => 'outside-micrometer', 'part_c' => null, 'set_aside' => null, 'at' => null,
        ];
        [$made, $sure, $verdict] = array_slice($row(), 3, 3);
        self::assertSame(['33.02', 'above'], [$made, $verdict]);
        self::assertGreaterThan(0.0, (float) $sure);
    }

    /** The figures of a machine go with the job, and come back. */
    public function test_what_a_machine_can_do_comes_back(): void
    {
        $job = new SampleJob();
        $job->facts['shop']['machines'] = [
            ['id' => 'm-1', 'kind' => 'lathe', 'name' => 'Lathe', 'unit' => 'in', 'figures' => ['swing_mm' => '9']],
            ['id' => 'm-2', 'kind' => 'mill', 'name' => 'Mill', 'unit' => 'mm', 'figures' => []],
        ];
        $back = JobFile::toArray(JobFile::read(JobFile::write($job->build())))['shop']['machines'];
        self::assertSame([['swing_mm' => '9'], []], array_column($back, 'figures'));
        self::assertSame(['in', 'mm'], array_column($back, 'unit'));
    }

    /** What tests of a metal showed goes with the part, and a part without any comes back without any. */
    public function test_what_tests_showed_comes_back(): void
    {
        $job = new SampleJob();
        $code = \Oldpart\Core\Catalogue\MaterialTests::all()[0]['code'];
        $job->facts['parts'][0]['tests'] = [$code => 'strong'];
        $back = JobFile::toArray(JobFile::read(JobFile::write($job->build())))['parts'];
        self::assertSame([$code => 'strong'], (array) $back[0]['tests']);
        self::assertSame([], (array) $back[1]['tests']);
    }

    /** A state is said in words of the table; a day is a day, and one that is none is refused. */
    public function test_states_and_days_of_readings(): void
    {
        $read = static fn (string $state, string $at): array => ReadingsCsv::read("surface,value,state,taken_at\nHousing bore,30.01,{$state},{$at}\n", ReadingsCsv::guess(['surface', 'value', 'state', 'taken_at']), (new SampleJob())->build(), null, Unit::Millimetre, 'calliper', static fn (): string => 'n');
        self::assertSame('before', $read('', '')['readings'][0]['state']);
        self::assertSame('before', $read(' Before ', '')['readings'][0]['state']);
        self::assertStringContainsString('is no state here', $read('rusty', '')['refused'][0]['says']);
        self::assertStringStartsWith('2026-02-28T', (string) $read('', '2026-02-28')['readings'][0]['taken_at']);
        self::assertNotSame([], $read('', '2026-02-29')['refused']);
        self::assertSame([], $read('', '2024-02-29')['refused']);
        self::assertNotSame([], $read('', '2024-02-30')['refused']);
    }

    /** Parts are read between 60 degrees of frost and 400 °C, neither of them taken. */
    public function test_how_warm_a_part_may_be(): void
    {
        $read = static fn (string $c): array => ReadingsCsv::read("surface,value,part_c\nHousing bore,30.01,{$c}\n", ReadingsCsv::guess(['surface', 'value', 'part_c']), (new SampleJob())->build(), null, Unit::Millimetre, 'calliper', static fn (): string => 'n');
        foreach (['399.9', '-59.9', '20'] as $taken) {
            self::assertCount(1, $read($taken)['readings'], $taken);
        }
        foreach (['400', '-60', 'warm', '410'] as $refused) {
            self::assertStringContainsString('is no temperature a part is measured at', $read($refused)['refused'][0]['says'], $refused);
        }
    }

    private static function dxf(string $entities): string
    {
        return "0\nSECTION\n2\nENTITIES\n{$entities}0\nENDSEC\n0\nEOF\n";
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\ReadingsCsv;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Tests\Evaluate\SampleJob;
use PHPUnit\Framework\TestCase;

final class ReadingsCsvTest extends TestCase
{
    /**
     * @return array{readings: list<array<string, mixed>>, refused: list<array{line: int, says: string}>, shown: list<array{line: int, surface: string, says: string}>}
     */
    private static function read(
        string $text,
        ?JobFacts $facts = null,
        ?string $surface = null,
        Unit $unit = Unit::Millimetre,
    ): array {
        $n = 0;

        return ReadingsCsv::read(
            $text,
            ReadingsCsv::guess(ReadingsCsv::table($text)['heading']),
            $facts ?? (new SampleJob())->build(),
            $surface,
            $unit,
            'calliper',
            static function () use (&$n): string {
                return 'new-'.++$n;
            },
        );
    }

    /** RFC 4180: commas, CRLF, quotes doubled inside quotes; and it comes back as it went. */
    public function test_what_goes_out_comes_back(): void
    {
        $job = SampleJob::measured();
        $job->facts['readings'][0]['remark'] = "he said \"tight\", twice\nand left";
        $facts = $job->build();
        $csv = ReadingsCsv::write($facts);
        $lines = explode("\r\n", $csv);
        self::assertSame(implode(',', ReadingsCsv::COLUMNS), $lines[0]);
        self::assertStringContainsString('"he said ""tight"", twice'."\n".'and left"', $csv);
        self::assertStringEndsWith("\r\n", $csv);
        $back = self::read($csv, $facts);
        self::assertSame([], $back['refused']);
        self::assertCount(count($facts->readings), $back['readings']);
        foreach ($facts->readings as $i => $reading) {
            self::assertSame(
                [$reading->surface, $reading->station, $reading->angle, $reading->value->typed],
                [
                    $back['readings'][$i]['surface'],
                    $back['readings'][$i]['station'],
                    $back['readings'][$i]['angle'],
                    $back['readings'][$i]['value']['typed'],
                ],
            );
        }
        $one = ReadingsCsv::write($facts, $job->surface('Shaft journal'));
        self::assertSame(1 + 2, substr_count($one, "\r\n"));
    }

    /** A cell that a spreadsheet would run as a formula is kept from it. */
    public function test_no_formula_leaves(): void
    {
        $job = SampleJob::measured();
        $job->facts['readings'][0]['remark'] = '=HYPERLINK("x")';
        self::assertStringContainsString("'=HYPERLINK", ReadingsCsv::write($job->build()));
        // Also behind what a spreadsheet passes over, or reads as a cell of its own (OWASP, CSV injection).
        foreach (["\t=1+1", "\r=1+1", ' =1+1', "\tx", ' @SUM(A1)', ' -2+3'] as $remark) {
            $job->facts['readings'][0]['remark'] = $remark;
            $csv = ReadingsCsv::write($job->build());
            self::assertStringContainsString("'{$remark}", $csv, json_encode($remark) ?: '');
            $back = self::read($csv, $job->build());
            self::assertSame(trim($remark), $back['readings'][0]['remark'], 'the mark is not its own');
        }
        $job->facts['readings'][0]['remark'] = '-0.5';
        self::assertStringNotContainsString("'-0.5", ReadingsCsv::write($job->build()), 'a number stays one');
    }

    public function test_tables_as_people_have_them(): void
    {
        $job = new SampleJob();
        $bore = $job->surface('Housing bore');
        $semicolon = self::read(
            "Surface;Place;Angle;Reading\nHousing bore;mouth;0°;30,01\nhousing bore;mouth;90;30,02\n",
            $job->build(),
        );
        self::assertSame(
            [[$bore, 'mouth', '0', '30,01'], [$bore, 'mouth', '90', '30,02']],
            array_map(
                static fn (array $r): array => [$r['surface'], $r['station'], $r['angle'], $r['value']['typed']],
                $semicolon['readings'],
            ),
        );
        $tab = self::read(
            "\xEF\xBB\xBFposition\tdiameter\tunit\ttemp\nmiddle\t1-3/16\tin\t24,5 °C\n",
            $job->build(),
            $bore,
        );
        self::assertSame(
            ['middle', 'in', 24.5, 'calliper'],
            [
                $tab['readings'][0]['station'],
                $tab['readings'][0]['value']['unit'],
                $tab['readings'][0]['part_c'],
                $tab['readings'][0]['instrument'],
            ],
        );
        $bare = self::read("value\n1.18\n\n1.19\n", $job->build(), $bore, Unit::Inch);
        self::assertCount(2, $bare['readings']);
    }

    public function test_bad_rows_are_named_by_their_line(): void
    {
        $text =
            "surface,value,part_c,instrument,worn\nHousing bore,30.01,,,\nNowhere,30.02,,,\nHousing bore,smudge,,,\nHousing bore,30.03,hot,,\nHousing bore,30.04,,yardstick,\nHousing bore,30.05,,,perhaps\n\"Housing bore\",\"30.06\n\",,,\nHousing bore,-3,,,\n";
        $read = self::read($text);
        self::assertSame([3, 4, 5, 6, 7, 10], array_column($read['refused'], 'line'));
        self::assertCount(2, $read['readings']);
        foreach ($read['refused'] as $row) {
            self::assertGreaterThan(15, strlen($row['says']));
        }
    }

    public function test_what_is_no_table_is_refused(): void
    {
        foreach (
            [
                static fn (): array => ReadingsCsv::table(''),
                static fn (): array => ReadingsCsv::table("\xFF\xFE\x00bad"),
                static fn (): array => ReadingsCsv::table("value\n".str_repeat("1\n", ReadingsCsv::MAX_ROWS + 1)),
                static fn (): array => self::read("surface,station\nHousing bore,mouth\n"),
                static fn (): array => ReadingsCsv::read(
                    "value\n1\n",
                    ['price'],
                    (new SampleJob())->build(),
                    null,
                    Unit::Inch,
                    'calliper',
                    static fn (): string => 'x',
                ),
            ] as $wrong
        ) {
            try {
                $wrong();
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->field);
            }
        }
    }

    /** Whatever comes, it answers or refuses; it never breaks. */
    public function test_any_text(): void
    {
        mt_srand(11);
        $answered = 0;
        for ($i = 0; $i < 400; $i++) {
            $text = 'surface,value,worn'."\n";
            for ($k = mt_rand(1, 60); $k > 0; $k--) {
                $text .= ["\n", ',', '"', '30.01', 'Housing bore', ' ', "\t", '=', '1/0', '(', '°'][mt_rand(0, 10)];
            }
            try {
                self::read($text);
            } catch (BadInput) {
            }
            $answered++;
        }
        self::assertSame(400, $answered);
    }

    /** A column is taken once, by the first title that names it; a title nobody knows is left. */
    public function test_a_column_is_taken_once(): void
    {
        $guess = ReadingsCsv::guess(['value', 'nobody knows', 'value', 'angle']);
        self::assertSame('value', $guess[0]);
        self::assertNull($guess[1]);
        self::assertNull($guess[2]);
        self::assertSame('angle', $guess[3]);
    }

    /** So many readings at once and no more: the two thousandth goes in. */
    public function test_how_many_at_once(): void
    {
        $text = static fn (int $n): string => "surface,value\n".str_repeat("Housing bore,30.0\n", $n);
        self::assertCount(2000, self::read($text(2000))['readings']);
        $this->expectException(BadInput::class);
        $this->expectExceptionMessage('More than 2000 readings');
        self::read($text(2001));
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\ReadState;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Quantity\ReadingReader;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Shape\Dimension;

/** Readings as a table: RFC 4180 out; in with comma, semicolon or tab, columns chosen, bad rows named by their line. */
final class ReadingsCsv
{
    public const COLUMNS = [
        'surface',
        'station',
        'angle',
        'value',
        'unit',
        'value_mm',
        'instrument',
        'part_c',
        'gauge_c',
        'worn',
        'state',
        'what',
        'set_aside',
        'remark',
        'taken_at',
    ];

    /** What a column may hold when readings come in. */
    public const FIELDS = [
        'surface',
        'station',
        'angle',
        'value',
        'unit',
        'instrument',
        'part_c',
        'gauge_c',
        'worn',
        'state',
        'what',
        'remark',
        'taken_at',
    ];

    public const MAX_ROWS = 2000;

    /** What people call the columns. */
    private const ALSO = [
        'surface' => ['surface', 'feature', 'name'],
        'station' => ['station', 'place', 'position', 'where'],
        'angle' => ['angle', 'deg', 'degrees'],
        'value' => ['value', 'reading', 'size', 'measured', 'diameter', 'mm', 'in', 'inch'],
        'unit' => ['unit', 'units'],
        'instrument' => ['instrument', 'gauge', 'tool'],
        'part_c' => ['part_c', 'part temperature', 'temperature', 'temp'],
        'gauge_c' => ['gauge_c'],
        'worn' => ['worn'],
        'state' => ['state'],
        'what' => ['what', 'dimension'],
        'remark' => ['remark', 'note', 'comment'],
        'taken_at' => ['taken_at', 'time', 'date'],
    ];

    /** All readings of a job, or of one surface, those set aside too; lines end as RFC 4180 says. */
    public static function write(JobFacts $facts, ?string $surfaceId = null): string
    {
        $lines = [self::COLUMNS];
        foreach ($facts->readings as $r) {
            if ($surfaceId !== null && $r->surface !== $surfaceId) {
                continue;
            }
            $lines[] = [
                $facts->surface($r->surface)->name ?? '',
                $r->station,
                $r->angle,
                $r->value->typed,
                $r->value->unit->value,
                (string) round($r->value->length->mm, 6),
                $r->instrument,
                (string) $r->partC,
                (string) $r->gaugeC,
                $r->worn === null ? '' : ($r->worn ? 'yes' : 'no'),
                $r->state->value,
                $r->what,
                $r->setAside ?? '',
                $r->remark ?? '',
                $r->takenAt ?? '',
            ];
        }

        return CsvText::of($lines);
    }

    /** The mark before such a text is none of its own. */
    private static function asWritten(string $cell): string
    {
        return str_starts_with($cell, "'") && preg_match(CsvText::FORMULA, substr($cell, 1)) === 1
            ? substr($cell, 1)
            : $cell;
    }

    /**
     * The lines of a table, its heading first.
     *
     * @return array{heading: list<string>, rows: array<int, list<string>>} rows by their line number
     *
     * @throws BadInput when it is no table
     */
    public static function table(string $text): array
    {
        $text = preg_replace('/^\xEF\xBB\xBF/', '', $text) ?? '';
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw new BadInput('encoding', 'text', 'This table is not UTF-8 text. Save it as CSV, UTF-8.');
        }
        $first = strtok($text, "\r\n");
        if ($first === false || trim($first) === '') {
            throw new BadInput('empty', 'text', 'There is no table here. Its first line names the columns.');
        }
        $counts = array_map(static fn (string $d): int => substr_count($first, $d), [
            "\t" => "\t",
            ';' => ';',
            ',' => ',',
        ]);
        arsort($counts);
        $in = fopen('php://memory', 'r+');
        if ($in === false) {
            throw new \RuntimeException('No memory for a table.');
        }
        fwrite($in, str_replace(["\r\n", "\r"], "\n", $text));
        rewind($in);
        $heading = null;
        $rows = [];
        $line = 1;
        while (($row = fgetcsv($in, null, (string) array_key_first($counts), '"', '')) !== false) {
            $cells = array_map(static fn (?string $cell): string => trim(self::asWritten((string) $cell)), $row);
            if ($heading === null) {
                $heading = $cells;
            } elseif (array_filter($cells, static fn (string $c): bool => $c !== '') !== []) {
                $rows[$line] = $cells;
            }
            $line +=
                1 +
                array_sum(
                    array_map(static fn (string $c): int => substr_count($c, "\n"), array_map(strval(...), $row)),
                );
        }
        if (count($rows) > self::MAX_ROWS) {
            throw new BadInput(
                'too-many',
                'text',
                'More than '.self::MAX_ROWS.' readings at once. Bring them in in parts.',
            );
        }

        return ['heading' => $heading ?? [], 'rows' => $rows];
    }

    /**
     * Which column holds what, by what it is called; null for a column nobody knows.
     *
     * @param  list<string>  $heading
     * @return list<?string>
     */
    public static function guess(array $heading): array
    {
        $taken = [];
        $fields = [];
        foreach ($heading as $title) {
            $found = null;
            foreach (self::ALSO as $field => $names) {
                if ($found === null && ! isset($taken[$field]) && in_array(mb_strtolower($title), $names, true)) {
                    $found = $field;
                }
            }
            if ($found !== null) {
                $taken[$found] = true;
            }
            $fields[] = $found;
        }

        return $fields;
    }

    /**
     * Readings from a table; rows that can't be read are refused by their line, and then none is taken.
     *
     * @param  list<?string>  $columns  what each column holds
     * @param  ?string  $surfaceId  the surface of rows that name none
     * @param  callable(): string  $newId
     * @return array{readings: list<array<string, mixed>>, refused: list<array{line: int, says: string}>, shown: list<array{line: int, surface: string, says: string}>}
     *
     * @throws BadInput when the columns make no sense
     */
    public static function read(
        string $text,
        array $columns,
        JobFacts $facts,
        ?string $surfaceId,
        Unit $unit,
        string $instrument,
        callable $newId,
    ): array {
        foreach ($columns as $i => $field) {
            if ($field !== null && ! in_array($field, self::FIELDS, true)) {
                throw new BadInput(
                    'column',
                    "columns.{$i}",
                    "“{$field}” is nothing a column can hold. It can hold: ".implode(', ', self::FIELDS).'.',
                );
            }
        }
        if (! in_array('value', $columns, true)) {
            throw new BadInput('no-value', 'columns', 'Say which column holds the readings.');
        }
        $readings = $refused = $shown = [];
        foreach (self::table($text)['rows'] as $line => $cells) {
            $row = [];
            foreach ($columns as $i => $field) {
                if ($field !== null) {
                    $row[$field] = $cells[$i] ?? '';
                }
            }
            try {
                $reading = self::reading($row, $facts, $surfaceId, $unit, $instrument);
                $readings[] = ['id' => $newId(), ...$reading];
                $shown[] = [
                    'line' => $line,
                    'surface' => $facts->surface($reading['surface'])->name ?? '',
                    'says' => "{$reading['station']}, {$reading['angle']}°: {$reading['value']['typed']} {$reading['value']['unit']}",
                ];
            } catch (BadInput $bad) {
                $refused[] = ['line' => $line, 'says' => $bad->getMessage()];
            }
        }

        return ['readings' => $readings, 'refused' => $refused, 'shown' => $shown];
    }

    /**
     * @param  array<string, string>  $row
     * @return array{surface: string, station: string, angle: string, value: array{typed: string, unit: string}, instrument: string, part_c: ?float, gauge_c: ?float, worn: ?bool, state: string, what: string, remark: ?string, taken_at: ?string}
     */
    private static function reading(
        array $row,
        JobFacts $facts,
        ?string $surfaceId,
        Unit $unit,
        string $instrument,
    ): array {
        $surface = self::surface($row['surface'] ?? '', $facts, $surfaceId);
        $in = match (mb_strtolower($row['unit'] ?? '')) {
            '' => $unit,
            'in', 'inch', '"' => Unit::Inch,
            'mm' => Unit::Millimetre,
            default => throw new BadInput('unit', 'unit', "“{$row['unit']}” is no unit here: in or mm."),
        };
        $typed = $row['value'] ?? '';
        ReadingReader::read($typed, $in);
        $code = ($row['instrument'] ?? '') === '' ? $instrument : (string) $row['instrument'];

        return [
            'surface' => $surface->id,
            'station' => ($row['station'] ?? '') === '' ? $surface->stationsAsked()[0] : $row['station'],
            'angle' => ($row['angle'] ?? '') === '' ? $surface->anglesAsked()[0] : rtrim($row['angle'], '° '),
            'value' => ['typed' => $typed, 'unit' => $in->value],
            'instrument' => $facts->shop->instruments->named($code)->code,
            'part_c' => self::celsius($row['part_c'] ?? ''),
            'gauge_c' => self::celsius($row['gauge_c'] ?? ''),
            'worn' => match (mb_strtolower($row['worn'] ?? '')) {
                '' => null,
                'yes', 'worn', 'true', '1' => true,
                'no', 'unworn', 'false', '0' => false,
                default => throw new BadInput('worn', 'worn', "“{$row['worn']}” at worn is neither yes nor no."),
            },
            'state' => self::state($row['state'] ?? ''),
            'what' => self::what($row['what'] ?? '', $surface),
            'remark' => ($row['remark'] ?? '') === '' ? null : $row['remark'],
            'taken_at' => self::time($row['taken_at'] ?? ''),
        ];
    }

    private static function state(string $text): string
    {
        $said = mb_strtolower(trim($text));
        $state = $said === '' ? ReadState::Before : ReadState::tryFrom($said);
        $known = implode(', ', array_map(static fn (ReadState $s): string => $s->value, ReadState::cases()));

        return $state->value ?? throw new BadInput('state', 'state', "“{$text}” is no state here: {$known}.");
    }

    /** A dimension by its code, or by what it is called. */
    private static function what(string $text, SurfaceFacts $surface): string
    {
        $said = mb_strtolower(trim($text));
        if ($said === '') {
            return '';
        }
        $known = Dimension::of($surface->type);
        foreach ($known as $dimension) {
            if ($said === $dimension->code || $said === mb_strtolower($dimension->label)) {
                return $dimension->code;
            }
        }
        $codes = implode(', ', array_column($known, 'code'));
        throw new BadInput(
            'what',
            'what',
            "“{$text}” is nothing one reads of “{$surface->name}”".($codes === '' ? '.' : ": there are {$codes}."),
        );
    }

    private static function surface(string $name, JobFacts $facts, ?string $surfaceId): SurfaceFacts
    {
        foreach ($facts->surfaces as $surface) {
            if (
                $name === '' ? $surface->id === $surfaceId : mb_strtolower($surface->name) === mb_strtolower($name)
            ) {
                return $surface;
            }
        }
        throw new BadInput(
            'surface',
            'surface',
            $name === ''
                ? 'It names no surface. Add a column for it, or bring it in at the surface.'
                : "There is no surface called “{$name}” in this job.",
        );
    }

    private static function celsius(string $text): ?float
    {
        $clean = str_replace(',', '.', trim($text, " °C\t"));
        if ($clean === '') {
            return null;
        }

        return is_numeric($clean) && $clean > -60 && $clean < 400
            ? (float) $clean
            : throw new BadInput('temperature', 'part_c', "“{$text}” is no temperature a part is measured at.");
    }

    private static function time(string $text): ?string
    {
        if ($text === '') {
            return null;
        }
        try {
            if (
                preg_match(
                    '/^(\d{4})-(\d\d)-(\d\d)(?:[T ]\d\d:\d\d(?::\d\d(?:\.\d+)?)?(?:Z|[+-]\d\d:?\d\d)?)?$/',
                    $text,
                    $m,
                ) !== 1
                || ! checkdate((int) $m[2], (int) $m[3], (int) $m[1])
            ) {
                throw new \UnexpectedValueException();
            }

            return (new \DateTimeImmutable($text, new \DateTimeZone('UTC')))
                ->setTimezone(new \DateTimeZone('UTC'))
                ->format('Y-m-d\TH:i:s\Z');
        } catch (\Exception) {
            throw new BadInput(
                'time',
                'taken_at',
                "“{$text}” is no time that can be read. Write it as 2026-11-24T09:30.",
            );
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\FactList;
use App\Bench\JobStore;
use App\Change\FactChange;
use App\Http\Body;
use App\Wire\Sent;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\ReadingsCsv;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;

/** Readings in and out as a table. */
final class ReadingsCsvController
{
    private const MAX_BYTES = 1_000_000;

    public function __construct(private readonly JobStore $store)
    {
    }

    public function show(Request $request, string $job): Response
    {
        $surface = $request->query('surface');
        $facts = $this->store->facts($job);

        return new Response(ReadingsCsv::write($facts, is_string($surface) ? $surface : null), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="readings.csv"',
        ]);
    }

    /** What the table holds, how its columns are understood, and which rows can't be read; nothing is stored. */
    public function look(Request $request, string $job): JsonResponse
    {
        $in = Body::of($request, self::MAX_BYTES)->only(['text', 'columns', 'surface', 'unit', 'instrument']);
        $table = ReadingsCsv::table($in->text('text'));
        $columns = $in->has('columns') ? self::columns($in) : ReadingsCsv::guess($table['heading']);
        $read = in_array('value', $columns, true)
            ? $this->read($in, $job, $columns)
            : ['readings' => [], 'refused' => [], 'shown' => []];

        return new JsonResponse([
            'heading' => $table['heading'],
            'columns' => $columns,
            'fields' => ReadingsCsv::FIELDS,
            'count' => count($table['rows']),
            'refused' => array_slice($read['refused'], 0, 50),
            'shown' => array_slice($read['shown'], 0, 20),
        ]);
    }

    /** Brings all of them in, or none. */
    public function store(Request $request, string $job): JsonResponse
    {
        $in = Body::of($request, self::MAX_BYTES)->only([
            'version',
            'request',
            'text',
            'columns',
            'surface',
            'unit',
            'instrument',
        ]);
        $read = $this->read($in, $job, self::columns($in));
        if ($read['refused'] !== []) {
            $first = $read['refused'][0];
            throw new BadInput(
                'rows',
                'text',
                'Line '.
                    $first['line'].
                    ': '.
                    $first['says'].
                    (count($read['refused']) > 1
                        ? ' And '.(count($read['refused']) - 1).' more. None was taken in.'
                        : ' None was taken in.'),
            );
        }
        if ($read['readings'] === []) {
            throw new BadInput('empty', 'text', 'There is no reading in this table.');
        }

        $changes = array_map(
            static fn (array $reading): FactChange => new FactChange(
                FactList::Readings,
                $reading['id'],
                array_diff_key($reading, ['id' => 0]),
            ),
            $read['readings'],
        );
        // Ids are made here, afresh for each sending: the request is known by what was sent.
        $content = [
            'table',
            array_map(static fn (array $reading): array => array_diff_key($reading, ['id' => 0]), $read['readings']),
        ];

        return Sent::state($request, $this->store->apply($job, (int) $in->number('version'), $in->text('request'), $changes, $content),
        );
    }

    /**
     * @param  list<?string>  $columns
     * @return array{readings: list<array<string, mixed>>, refused: list<array{line: int, says: string}>, shown: list<array{line: int, surface: string, says: string}>}
     */
    private function read(Fields $in, string $job, array $columns): array
    {
        return ReadingsCsv::read(
            text: $in->text('text'),
            columns: $columns,
            facts: $this->store->facts($job),
            surfaceId: $in->textOrNull('surface'),
            unit: $in->choice('unit', Unit::class),
            instrument: $in->text('instrument'),
            newId: static fn (): string => (string) Str::ulid(),
        );
    }

    /** @return list<?string> an empty text stands for a column that is left out */
    private static function columns(Fields $in): array
    {
        return array_map(static fn (string $c): ?string => $c === '' ? null : $c, $in->texts('columns'));
    }
}

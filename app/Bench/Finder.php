<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\IndexedJob;
use App\Models\IndexedSurface;
use Illuminate\Database\Eloquent\Builder;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Unit;

/** Finds jobs by machine, part or material, and surfaces by their size in either unit. */
final class Finder
{
    private const MOST = 20;

    /**
     * @param  float  $withinMm  how far a size may be off, above 0
     * @return array{jobs: list<array<string, mixed>>, surfaces: list<array<string, mixed>>}
     */
    public function find(string $text, float $withinMm): array
    {
        $text = trim($text);
        if ($text === '') {
            return ['jobs' => [], 'surfaces' => []];
        }

        return ['jobs' => $this->jobs($text), 'surfaces' => $this->surfaces($text, $withinMm)];
    }

    /** @return list<array<string, mixed>> */
    private function jobs(string $text): array
    {
        $query = IndexedJob::query()->whereNotIn('shelf', ['bin', BenchIndex::PRACTICE]);
        foreach (array_slice(preg_split('/\s+/', mb_strtolower($text)) ?: [], 0, 8) as $word) {
            $query->where('words', 'like', '%'.addcslashes($word, '%_\\').'%');
        }

        $found = [];
        foreach ($query->orderBy('shelf', 'desc')->orderBy('state')->limit(self::MOST)->get() as $job) {
            assert($job instanceof IndexedJob);
            $found[] = array_intersect_key($job->row, array_flip(['id', 'machine', 'part', 'state', 'next']));
        }

        return $found;
    }

    /** @return list<array<string, mixed>> nearest first */
    private function surfaces(string $text, float $withinMm): array
    {
        $sizes = [];
        foreach (Unit::cases() as $unit) {
            try {
                $sizes[] = LengthReader::read($text, $unit)->length->mm;
            } catch (BadInput) {
                // Not a size: it is a word.
            }
        }
        $sizes = array_values(array_unique(array_filter($sizes, static fn (float $mm): bool => $mm > 0)));
        if ($sizes === []) {
            return [];
        }
        $rows = IndexedSurface::query()
            ->join('indexed_jobs', 'indexed_jobs.job_id', '=', 'indexed_surfaces.job_id')
            ->whereNotIn('shelf', ['bin', BenchIndex::PRACTICE])
            ->where(static function (Builder $query) use ($sizes, $withinMm): void {
                foreach ($sizes as $mm) {
                    $query->orWhereBetween('size_mm', [$mm - $withinMm, $mm + $withinMm]);
                }
            })
            ->limit(500)
            ->get(['indexed_surfaces.*', 'row']);
        $found = $offs = [];
        foreach ($rows as $surface) {
            assert($surface instanceof IndexedSurface);
            $off = min(array_map(static fn (float $mm): float => abs($surface->size_mm - $mm), $sizes));
            /** @var array<string, mixed> $row */
            $row = json_decode((string) $surface->getAttribute('row'), true);
            $offs[] = $off;
            $found[] = [
                'job' => $surface->job_id,
                'machine' => $row['machine'],
                'job_part' => $row['part'],
                'surface' => $surface->surface_id,
                'name' => $surface->name,
                'part' => $surface->part,
                'made' => $surface->made,
                'size' => LengthWriter::size($surface->size_mm),
                'off' => LengthWriter::difference($off),
            ];
        }
        array_multisort($offs, $found);

        return array_slice($found, 0, self::MOST);
    }
}

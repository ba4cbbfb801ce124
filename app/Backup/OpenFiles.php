<?php

declare(strict_types=1);

namespace App\Backup;

use App\Bench\JobStore;
use App\Models\Job;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Exchange\JobTables;
use Oldpart\Core\Exchange\ReadingsCsv;
use Oldpart\Core\Facts\JobFacts;
use ZipArchive;

/**
 * Everything out as files that any program opens, and in again into an empty shop: each job as its job file with its
 * readings and cuts as CSV and its photographs, and what the shop says of itself. Histories and issued sheets stay in
 * backups.
 */
final readonly class OpenFiles
{
    private const SHOP = 'shop.json';

    private const PRACTICE = 'practice.json';

    /** What belongs to practice beside the facts of its jobs; each row of a job of it, but for the exercises. */
    private const PRACTICE_TABLES = ['practices', 'deeds', 'exercises'];

    private const FORMAT = 'oldpart-fit-shop';

    /** What the shop says of itself: tables, and what of a row belongs to this machine alone. */
    private const TABLES = ['shops' => ['demo', 'demo_before'], 'own_instruments' => [], 'instrument_checks' => []];

    public function __construct(private JobStore $store, private string $photos)
    {
    }

    /**
     * @return int how many jobs went out
     *
     * @throws BadBackup where it can't be written
     */
    public function write(string $path): int
    {
        $zip = new ZipArchive();
        $part = "{$path}.part";
        if (! is_dir(dirname($path)) || @$zip->open($part, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new BadBackup("{$path} can’t be written: name a folder that is there.");
        }
        $jobs = Job::query()->whereNull('binned_at')->orderBy('id')->pluck('id')->all();
        $zip->addFromString('READ ME.txt', (string) file_get_contents(resource_path('texts/open-files.txt')));
        $zip->addFromString(self::SHOP, self::json(['format' => self::FORMAT, 'version' => 1, 'archived' => Job::query()->whereNull('binned_at')->whereNotNull('archived_at')->orderBy('id')->pluck('id')->all(), ...array_map(
            static fn (string $table): array => array_map(
                static fn (object $row): array => array_diff_key((array) $row, array_flip([...self::TABLES[$table], 'created_at', 'updated_at'])),
                DB::table($table)->get()->all(),
            ),
            array_combine(array_keys(self::TABLES), array_keys(self::TABLES)),
        )]));
        $zip->addFromString(self::PRACTICE, self::json(array_combine(
            self::PRACTICE_TABLES,
            array_map(static function (string $table) use ($jobs): array {
                $rows = DB::table($table);

                return ($table === 'exercises' ? $rows->orderBy('id') : $rows->whereIn('job_id', $jobs)->orderBy('job_id'))->get()->all();
            }, self::PRACTICE_TABLES),
        )));
        foreach ($jobs as $id) {
            $this->add($zip, $this->store->facts((string) $id));
        }
        if (! @$zip->close() || ! @rename($part, $path)) {
            @unlink($part);
            throw new BadBackup("{$path} could not be written: make room on its disk, then try again.");
        }

        return count($jobs);
    }

    /**
     * @return int how many jobs came in
     *
     * @throws BadBackup for a shop that is not empty, or a file that can't be read; then nothing came in
     */
    public function read(string $path): int
    {
        if (Job::query()->exists()) {
            throw new BadBackup('There are jobs in this shop: everything comes in into an empty one only (bin/start --empty). A single job comes in at the bench.');
        }
        $zip = new ZipArchive();
        if (! is_file($path) || $zip->open($path, ZipArchive::RDONLY | ZipArchive::CHECKCONS) !== true) {
            throw new BadBackup("{$path} can’t be opened: name the zip that shop:export made.");
        }
        $shop = json_decode((string) $zip->getFromName(self::SHOP), true);
        if (! is_array($shop) || ($shop['format'] ?? null) !== self::FORMAT) {
            throw new BadBackup("{$path} is no shop in open files. A backup is brought back with bin/restore.");
        }
        $folders = [];
        for ($i = 0; $i < $zip->numFiles; $i++) {
            if (preg_match('~^jobs/[^/]+/(?=job\.json$)~', (string) $zip->getNameIndex($i), $m) === 1) {
                $folders[] = $m[0];
            }
        }

        try {
            return $this->takeAll($zip, $shop, $folders);
        } catch (\PDOException $e) {
            throw new BadBackup("What {$path} says of the shop can’t be stored ({$e->getMessage()}): nothing came in.", previous: $e);
        }
    }

    /**
     * @param  array<array-key, mixed>  $shop
     * @param  list<string>  $folders
     */
    private function takeAll(ZipArchive $zip, array $shop, array $folders): int
    {
        return DB::transaction(function () use ($zip, $shop, $folders): int {
            foreach (array_keys(self::TABLES) as $table) {
                DB::table($table)->delete();
                foreach (is_array($shop[$table] ?? null) ? $shop[$table] : [] as $row) {
                    // What a newer version says of itself beside that is left out.
                    $known = array_intersect_key((array) $row, array_flip(Schema::getColumnListing($table)));
                    DB::table($table)->insert([...$known, 'created_at' => now(), 'updated_at' => now()]);
                }
            }
            foreach ($folders as $folder) {
                $this->take($zip, $folder);
            }
            $this->takePractice($zip);
            foreach (is_array($shop['archived'] ?? null) ? $shop['archived'] : [] as $id) {
                if (is_string($id) && Job::query()->whereKey($id)->exists()) {
                    $this->store->put($id, 'archive');
                }
            }

            return count($folders);
        });
    }

    /** After the jobs it belongs to; a zip of an earlier version has none. */
    private function takePractice(ZipArchive $zip): void
    {
        $practice = json_decode((string) $zip->getFromName(self::PRACTICE), true);
        foreach (self::PRACTICE_TABLES as $table) {
            $columns = array_flip(Schema::getColumnListing($table));
            $rows = is_array($practice) ? $practice[$table] ?? [] : [];
            foreach (is_array($rows) ? $rows : [] as $row) {
                $row = array_intersect_key((array) $row, $columns);
                if ($table === 'exercises' || Job::query()->whereKey($row['job_id'] ?? '')->exists()) {
                    DB::table($table)->insert($row);
                }
            }
        }
    }

    private function add(ZipArchive $zip, JobFacts $facts): void
    {
        $name = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower("{$facts->machine} {$facts->part}")), '-');
        $folder = 'jobs/'.trim(substr($name, 0, 60)."-{$facts->id}", '-').'/';
        $zip->addFromString("{$folder}job.json", JobFile::write($facts));
        $zip->addFromString("{$folder}readings.csv", ReadingsCsv::write($facts));
        $zip->addFromString("{$folder}cuts.csv", JobTables::cuts($facts, $facts->unit));
        foreach (Backup::filesIn("{$this->photos}/{$facts->id}") as $photo => $file) {
            $zip->addFile($file, "{$folder}photos/{$photo}");
        }
    }

    private function take(ZipArchive $zip, string $folder): void
    {
        $facts = $this->store->import((string) $zip->getFromName("{$folder}job.json"))->facts;
        foreach ($facts->photos as $photo) {
            foreach (["{$photo->id}.jpg", "small/{$photo->id}.jpg"] as $name) {
                $bytes = $zip->getFromName("{$folder}photos/{$name}");
                $to = "{$this->photos}/{$facts->id}/{$name}";
                is_dir(dirname($to)) || @mkdir(dirname($to), 0770, true);
                if ($bytes !== false && @file_put_contents($to, $bytes) !== strlen($bytes)) {
                    throw new BadBackup("A photograph could not be written to {$to}: make room on the disk, then try again.");
                }
            }
        }
    }

    private static function json(mixed $what): string
    {
        return json_encode($what, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
    }
}

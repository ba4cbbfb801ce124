<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** Brings a backup back over the shop that is there. */
final readonly class Restoring
{
    public function __construct(private Backups $backups, private string $photos)
    {
    }

    /**
     * @return list<string> what would be lost of the shop that is there, a sentence a job; nothing: nothing
     *
     * @throws BadBackup where the backup is damaged, or newer than this version
     */
    public function loses(Backup $backup): array
    {
        return $backup->inside(function (string $shop): array {
            $this->known($shop);
            $mine = (string) DB::connection()->getDatabaseName();
            if (! ShopFile::isWhole($mine)) {
                return [];
            }
            [$then, $lost] = [ShopFile::versions($shop), []];
            if (! in_array(ShopFile::settings($mine), ['', ShopFile::settings($shop)], true)) {
                $lost[] = 'The shop’s own settings, its gauges or their checks were changed after it, and would be as they were.';
            }
            foreach (ShopFile::versions($mine) as $id => $job) {
                $lost[] = match (true) {
                    ! isset($then[$id]) => "“{$job['name']}” was begun after it, and would be gone.",
                    $then[$id]['version'] === $job['version'] - 1 => "“{$job['name']}” was changed after it: that would be gone.",
                    $then[$id]['version'] < $job['version'] => "“{$job['name']}” was changed after it: ".($job['version'] - $then[$id]['version']).' changes would be gone.',
                    default => null,
                };
            }

            return array_values(array_filter($lost));
        });
    }

    /**
     * The shop that is there is backed up first; one that is damaged is put aside as it is. SQLite itself writes the pages over, in one step for whoever reads or
     * writes meanwhile; photographs of the backup are put beside those that are there.
     *
     * @return string where what was there is now
     *
     * @throws BadBackup where one of the two can't be done: the shop is as it was then
     */
    public function carryOut(Backup $backup): string
    {
        return $backup->inside(function (string $shop, string $photos): string {
            $this->known($shop);
            $mine = (string) DB::connection()->getDatabaseName();
            $isWhole = ShopFile::isWhole($mine);
            $before = $isWhole ? $this->backups->make()->path : null;
            foreach (Backup::filesIn($photos) as $name => $file) {
                $to = "{$this->photos}/{$name}";
                is_dir(dirname($to)) || @mkdir(dirname($to), 0700, true);
                if (! is_file($to) && ! (@copy($file, "{$to}.part") && @rename("{$to}.part", $to))) {
                    throw new BadBackup("A photograph could not be written to {$to}: make room on the disk, then try again. The shop is as it was.");
                }
            }
            if ($isWhole) {
                self::writeOver($shop, $mine);
            } else {
                $before = self::putAside($mine);
                if (! @copy($shop, "{$mine}.part") || ! @rename("{$mine}.part", $mine)) {
                    throw new BadBackup("The shop’s file {$mine} could not be written: make room on the disk, then try again. The damaged one is in {$before}.");
                }
            }
            DB::purge();
            // A backup of an earlier version is brought up to this one.
            Artisan::call('migrate', ['--force' => true]);
            Artisan::call('shop:tidy', ['--anew' => true]);

            return (string) $before;
        });
    }

    private static function writeOver(string $shop, string $mine): void
    {
        $from = new \SQLite3($shop, SQLITE3_OPEN_READONLY);
        $into = new \SQLite3($mine);
        $into->busyTimeout(10000);
        if (! @$from->backup($into)) {
            throw new BadBackup("The shop’s file could not be written ({$into->lastErrorMsg()}): it is as it was. Stop whatever holds it, then try again.");
        }
        $from->close();
        $into->close();
    }

    /** @return string where it is now, with what belongs to it */
    private static function putAside(string $mine): string
    {
        $aside = $mine.'.damaged-'.gmdate('Ymd-His');
        foreach (['', '-wal', '-shm'] as $end) {
            if (is_file($mine.$end) && ! @rename($mine.$end, $aside.$end)) {
                throw new BadBackup("The damaged file {$mine}{$end} could not be put aside: give the right to write its folder.");
            }
        }

        return $aside;
    }

    private function known(string $shop): void
    {
        $mine = array_map(static fn (string $file): string => basename($file, '.php'), glob(database_path('migrations/*.php')) ?: []);
        if (array_diff(ShopFile::migrations($shop), $mine) !== []) {
            throw new BadBackup('This backup was made by a newer version than this one: bring this one up to date first, then bring the backup back.');
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\DB;

/** The backups of this shop in their folder, and which of them are kept. */
final readonly class Backups
{
    private const EVERY_HOURS = 1;

    /** Each of the last day, one a day for a month, one a month for two years. */
    private const ALL_FOR = '-26 hours';

    private const DAILY_FOR = '-32 days';

    private const MONTHLY_FOR = '-24 months';

    public function __construct(private string $folder, private string $photos)
    {
    }

    /** @throws BadBackup where it can't be made */
    public function make(?\DateTimeImmutable $now = null): Backup
    {
        $now ??= new \DateTimeImmutable();
        is_dir($this->folder) || @mkdir($this->folder, 0700, true);
        if (! is_dir($this->folder) || ! is_writable($this->folder)) {
            throw new BadBackup("Backups can’t be put into {$this->folder}: give the right to write there, or name another folder in BACKUP_DIR.");
        }
        $name = $this->folder.'/shop-'.$now->setTimezone(new \DateTimeZone('UTC'))->format('Ymd-His');
        for ($n = 1, $path = "{$name}.zip"; is_file($path); $n++) {
            $path = "{$name}-{$n}.zip";
        }
        $shop = DB::connection()->getPdo();
        // What waits beside the file goes into it first, so that its mark stays when whoever wrote goes.
        $shop->exec('PRAGMA wal_checkpoint(TRUNCATE)');
        $backup = Backup::make($shop, $this->photos, $path, $now, $this->mark());
        $this->tidy($now);

        return $backup;
    }

    /** Something was written since the last one, and that is an hour ago, or there is none. */
    public function isDue(\DateTimeImmutable $now): bool
    {
        $last = $this->last();

        // One of tomorrow was made while the clock was wrong.
        return $this->hasChanged() && ($last === null
            || $last->madeAt > $now
            || $last->madeAt <= $now->modify('-'.self::EVERY_HOURS.' hours'));
    }

    /** Something was written since the last one. */
    public function hasChanged(): bool
    {
        return $this->last()?->mark !== $this->mark();
    }

    /** Otherwise after anything that was written, also within one second. */
    private function mark(): string
    {
        $file = (string) DB::connection()->getDatabaseName();
        clearstatcache();

        return implode(' ', [
            (int) @filemtime($file),
            (int) @filesize($file),
            (int) @filesize("{$file}-wal"),
            (int) DB::table('jobs')->sum('version'),
            (int) DB::table('changes')->max('rowid'),
        ]);
    }

    public function last(): ?Backup
    {
        return $this->all()[0] ?? null;
    }

    /** @return list<Backup> the newest first; what is none is passed over */
    public function all(): array
    {
        $all = [];
        foreach (glob("{$this->folder}/shop-*.zip") ?: [] as $path) {
            try {
                $all[] = Backup::open($path);
            } catch (BadBackup) {
                // A damaged one is no backup; it is left for whoever wants to look.
            }
        }
        usort($all, static fn (Backup $a, Backup $b): int => $b->madeAt <=> $a->madeAt);

        return $all;
    }

    private function tidy(\DateTimeImmutable $now): void
    {
        foreach (self::tooMany($this->all(), $now) as $backup) {
            @unlink($backup->path);
        }
    }

    /**
     * @param  list<Backup>  $all  the newest first
     * @return list<Backup> those that are not kept
     */
    public static function tooMany(array $all, \DateTimeImmutable $now): array
    {
        $days = $months = $gone = [];
        foreach ($all as $backup) {
            $at = $backup->madeAt->setTimezone(new \DateTimeZone('UTC'));
            [$day, $month] = [$at->format('Y-m-d'), $at->format('Y-m')];
            $isKept = $at >= $now->modify(self::ALL_FOR)
                || $at >= $now->modify(self::DAILY_FOR) && ! isset($days[$day])
                || $at >= $now->modify(self::MONTHLY_FOR) && ! isset($months[$month]);
            if (! $isKept) {
                $gone[] = $backup;

                continue;
            }
            $days[$day] = $months[$month] = true;
        }

        return $gone;
    }
}

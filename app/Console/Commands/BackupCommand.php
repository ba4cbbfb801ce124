<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Backups;
use App\Backup\BadBackup;
use Illuminate\Console\Command;

/** Backs the shop up: by hand, on leaving, or on the hour while it is in use. */
final class BackupCommand extends Command
{
    protected $signature = 'shop:backup {--to= : a folder that gets a copy of it as well, such as a stick} {--if-changed : only where something was written since the last one} {--hourly : on the hour while something is written, as long as the process lives that started it} {--parent= : that process}';

    protected $description = 'Backs the shop up with its photographs, and looks whether the backup can be opened';

    private const LOOK_SECONDS = 60;

    public function handle(Backups $backups): int
    {
        if ($this->option('hourly')) {
            return $this->hourly($backups);
        }
        if ($this->option('if-changed') && ! $backups->hasChanged()) {
            return self::SUCCESS;
        }
        try {
            $backup = $backups->make();
        } catch (BadBackup $bad) {
            $this->error($bad->getMessage());

            return self::FAILURE;
        }
        $this->line("The shop is backed up, {$backup->jobs} jobs and {$backup->photos} photographs: {$backup->path}");
        $to = $this->option('to');
        if (is_string($to)) {
            $copy = rtrim($to, '/').'/'.basename($backup->path);
            if (! is_dir($to) || ! @copy($backup->path, "{$copy}.part") || hash_file('sha256', "{$copy}.part") !== hash_file('sha256', $backup->path) || ! @rename("{$copy}.part", $copy)) {
                @unlink("{$copy}.part");
                $this->error("It could not be copied to {$to}: see whether that folder is there and has room. The backup itself is made.");

                return self::FAILURE;
            }
            $this->line("A copy of it is in {$copy}");
        }

        return self::SUCCESS;
    }

    private function hourly(Backups $backups): int
    {
        $parent = (int) $this->option('parent');
        while ($parent > 0 && (! function_exists('posix_kill') || posix_kill($parent, 0))) {
            try {
                if ($backups->isDue(new \DateTimeImmutable())) {
                    $backups->make();
                }
            } catch (BadBackup $bad) {
                report($bad);
            }
            sleep(self::LOOK_SECONDS);
        }

        return self::SUCCESS;
    }
}

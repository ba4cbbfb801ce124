<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Backup;
use App\Backup\BadBackup;
use App\Backup\Restoring;
use Illuminate\Console\Command;

/** Brings a backup back; what would be lost is said before. */
final class RestoreCommand extends Command
{
    protected $signature = 'shop:restore {file : a backup, as shop:backups lists them} {--yes : do it, whatever is lost}';

    protected $description = 'Brings a backup back; says first what would be lost, and backs up what is there';

    public function handle(Restoring $restoring): int
    {
        $file = $this->argument('file');
        try {
            $backup = Backup::open(is_string($file) ? $file : '');
            $lost = $restoring->loses($backup);
            foreach ($lost as $line) {
                $this->line($line);
            }
            if ($lost !== [] && ! $this->option('yes')) {
                $this->line('Nothing was done. To bring it back all the same, add --yes; what is there now is backed up first.');

                return self::FAILURE;
            }
            $before = $restoring->carryOut($backup);
        } catch (BadBackup $bad) {
            $this->error($bad->getMessage());

            return self::FAILURE;
        }
        $this->line("The shop is as it was on {$backup->madeAt->format('Y-m-d H:i T')}, {$backup->jobs} jobs. What was there before is in {$before}");

        return self::SUCCESS;
    }
}

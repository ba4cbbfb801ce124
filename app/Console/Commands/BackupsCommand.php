<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\Backup;
use App\Backup\Backups;
use Illuminate\Console\Command;

final class BackupsCommand extends Command
{
    protected $signature = 'shop:backups';

    protected $description = 'Lists the backups that are here, the newest first';

    public function handle(Backups $backups): int
    {
        $all = $backups->all();
        if ($all === []) {
            $this->line('There is no backup yet. bin/backup makes one.');

            return self::SUCCESS;
        }
        $this->table(['made', 'jobs', 'photographs', 'version', 'file'], array_map(static fn (Backup $b): array => [
            $b->madeAt->setTimezone(new \DateTimeZone(date_default_timezone_get()))->format('Y-m-d H:i'),
            $b->jobs,
            $b->photos,
            $b->version,
            $b->path,
        ], $all));

        return self::SUCCESS;
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BadBackup;
use App\Backup\OpenFiles;
use Illuminate\Console\Command;

final class ExportCommand extends Command
{
    protected $signature = 'shop:export {file : a zip that is written}';

    protected $description = 'Puts everything out as one zip of open files: job files, CSV, photographs';

    public function handle(OpenFiles $files): int
    {
        $file = $this->argument('file');
        $file = is_string($file) ? $file : '';
        try {
            $jobs = $files->write($file);
        } catch (BadBackup $bad) {
            $this->error($bad->getMessage());

            return self::FAILURE;
        }
        $this->line("{$jobs} jobs are in {$file}. READ ME.txt in it says what is where.");

        return self::SUCCESS;
    }
}

<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BadBackup;
use App\Backup\OpenFiles;
use Illuminate\Console\Command;
use Oldpart\Core\Advice\BadInput;

final class ImportCommand extends Command
{
    protected $signature = 'shop:import {file : a zip that shop:export made}';

    protected $description = 'Takes everything in that shop:export put out, into an empty shop';

    public function handle(OpenFiles $files): int
    {
        $file = $this->argument('file');
        try {
            $jobs = $files->read(is_string($file) ? $file : '');
        } catch (BadBackup|BadInput $bad) {
            $this->error($bad->getMessage());

            return self::FAILURE;
        }
        $this->line("{$jobs} jobs came in.");

        return self::SUCCESS;
    }
}

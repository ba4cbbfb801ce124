<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Sum\Sums;
use Symfony\Component\Console\Output\OutputInterface;

final class JobAnswersCommand extends Command
{
    protected $signature = 'job:answers {file : a job file}';

    protected $description = 'Evaluates a job file, without a database';

    public function handle(): int
    {
        $path = $this->argument('file');
        try {
            if (! is_string($path) || ! is_file($path) || ! is_readable($path)) {
                throw new BadInput(
                    'no-file',
                    'file',
                    'There is no such file to read: '.(is_string($path) ? $path : '').'. Check the name.',
                );
            }
            $answers = JobAnswers::of(JobFile::read((string) file_get_contents($path)));
            $this->output->writeln(
                json_encode(
                    $answers,
                    JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                ),
                OutputInterface::OUTPUT_RAW,
            );

            return self::SUCCESS;
        } catch (BadInput $bad) {
            $this->output->writeln(
                json_encode(Sums::error($bad), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE),
                OutputInterface::OUTPUT_RAW,
            );

            return self::INVALID;
        }
    }
}

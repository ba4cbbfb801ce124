<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Sum\Sums;
use Symfony\Component\Console\Output\OutputInterface;

final class SumCommand extends Command
{
    protected $signature = 'sum {name? : which sum} {--example : print an input that works}';

    protected $description = 'Runs a stand-alone sum: one JSON object in on standard input, one out';

    public function handle(): int
    {
        $name = $this->argument('name');
        if (! is_string($name)) {
            foreach (Sums::all() as $sum) {
                $this->line(str_pad($sum->name(), 14).$sum->says());
            }

            return self::SUCCESS;
        }
        try {
            $example = Sums::named($name)->example();
            if ($this->option('example')) {
                return $this->print($example);
            }
            $in = json_decode((string) stream_get_contents(STDIN), true, 64);
            if (! is_array($in) || ($in !== [] && array_is_list($in))) {
                throw new BadInput(
                    'not-json',
                    'input',
                    'Give one JSON object on standard input. `--example` prints one that works.',
                );
            }

            return $this->print(Sums::run($name, $in));
        } catch (BadInput $bad) {
            $this->print(Sums::error($bad));

            return self::INVALID;
        }
    }

    /** @param  array<string, mixed>  $out */
    private function print(array $out): int
    {
        $this->output->writeln(
            json_encode(
                $out,
                JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            ),
            OutputInterface::OUTPUT_RAW,
        );

        return self::SUCCESS;
    }
}

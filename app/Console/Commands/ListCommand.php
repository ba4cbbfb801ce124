<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Symfony\Component\Console\Command\Command as AnyCommand;
use Symfony\Component\Console\Command\ListCommand as WholeList;
use Symfony\Component\Console\Input\ArrayInput;

/** The list of commands: what is ours first; all that the framework brings where it is asked for. */
final class ListCommand extends Command
{
    protected $signature = 'list {namespace? : Only commands of it} {--all : What the framework brings, too} {--raw : Names alone} {--format=txt} {--short}';

    protected $description = 'Lists the commands of this application; --all also what the framework brings';

    /** Of the framework, what one needs here. */
    private const NEEDED = ['migrate', 'db:seed'];

    public function handle(): int
    {
        $console = $this->getApplication();
        if ($console === null) {
            return self::FAILURE;
        }
        if ($this->option('all') || $this->option('raw') || $this->option('format') !== 'txt' || $this->argument('namespace') !== null) {
            $whole = new WholeList();
            $whole->setApplication($console);

            return $whole->run(new ArrayInput(array_filter([
                'namespace' => $this->argument('namespace'),
                '--raw' => $this->option('raw'),
                '--format' => $this->option('format'),
                '--short' => $this->option('short'),
            ])), $this->output);
        }
        $ours = array_filter(
            $console->all(),
            static fn (AnyCommand $command, string $name): bool => $name !== 'list'
                && (str_starts_with($command::class, 'App\\') || in_array($name, self::NEEDED, true)),
            ARRAY_FILTER_USE_BOTH,
        );
        ksort($ours);
        $this->line('Oldpart Fit '.trim((string) file_get_contents(base_path('VERSION'))));
        $this->line('');
        $wide = max(array_map(strlen(...), array_keys($ours)) ?: [0]) + 2;
        foreach ($ours as $name => $command) {
            $this->line('  '.str_pad($name, $wide).$command->getDescription());
        }
        $this->line('');
        $this->line('php artisan help NAME says how each is used, php artisan list --all what else the framework brings.');

        return self::SUCCESS;
    }
}

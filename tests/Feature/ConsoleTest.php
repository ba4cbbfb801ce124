<?php

declare(strict_types=1);

namespace Tests\Feature;

use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The commands as a shell runs them: standard input, standard output, exit status. */
final class ConsoleTest extends TestCase
{
    /**
     * @param  list<string>  $arguments
     * @return array{int, string}
     */
    private static function artisan(array $arguments, string $input = ''): array
    {
        // No database at all: sums and job files do not need one.
        $process = new Process(
            ['php', 'artisan', ...$arguments],
            dirname(__DIR__, 2),
            ['DB_DATABASE' => '/nowhere/at/all.sqlite'],
            $input,
        );
        $process->run();

        return [(int) $process->getExitCode(), $process->getOutput()];
    }

    public function test_sum_alone_lists_all(): void
    {
        [$code, $out] = self::artisan(['sum']);
        self::assertSame(0, $code);
        foreach (['length', 'readings', 'size-to-mate', 'press', 'next-cut'] as $name) {
            self::assertStringContainsString($name, $out);
        }
    }

    /** 1-5/16 in is 33.3375 mm: 25.4 · 21/16. */
    public function test_a_sum_reads_one_object_and_prints_one(): void
    {
        [$code, $out] = self::artisan(['sum', 'length'], '{"text":"1-5/16","unit":"mm"}');
        self::assertSame(0, $code);
        self::assertEqualsWithDelta(33.3375, json_decode($out, true)['mm'], 1e-9);
    }

    public function test_an_example_can_be_fed_back(): void
    {
        [, $example] = self::artisan(['sum', 'press', '--example']);
        [$code, $out] = self::artisan(['sum', 'press'], $example);
        self::assertSame(0, $code);
        self::assertArrayHasKey('pressure_mpa', json_decode($out, true));
    }

    public function test_bad_input_is_status_two_and_an_object(): void
    {
        foreach (
            [
                [['sum', 'length'], 'hello'],
                [['sum', 'length'], '{"text":"","unit":"in"}'],
                [['sum', 'magic'], '{}'],
                [['job:answers', '/no/such/file'], ''],
            ] as [$arguments, $input]
        ) {
            [$code, $out] = self::artisan($arguments, $input);
            self::assertSame(2, $code);
            self::assertArrayHasKey('message', json_decode($out, true)['error']);
        }
    }

    public function test_a_job_file_is_answered_without_a_database(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'job');
        file_put_contents(
            $file,
            JobFile::write(
                Kind::named('plain-bush')->layOut(
                    'job-1',
                    'Rig',
                    'Bush',
                    Unit::Inch,
                    new ShopFacts('Shop', 20, 0.01, 0.5, 9000),
                    static function (): string {
                        static $n = 0;

                        return 'id-'.++$n;
                    },
                ),
            ),
        );
        [$code, $out] = self::artisan(['job:answers', $file]);
        unlink($file);
        self::assertSame(0, $code);
        self::assertCount(4, json_decode($out, true)['make']);
    }

    public function test_the_list_shows_what_is_ours(): void
    {
        [$code, $out] = self::artisan(['list']);
        self::assertSame(0, $code);
        foreach (['sum', 'job:answers', 'gauges:rack', 'shop:tidy'] as $ours) {
            self::assertMatchesRegularExpression("/^  {$ours} +\S/m", $out);
        }
        self::assertStringNotContainsString('queue:work', $out);
        self::assertStringContainsString(trim((string) file_get_contents(dirname(__DIR__, 2).'/VERSION')), $out);
        self::assertStringContainsString('queue:work', self::artisan(['list', '--all'])[1]);
    }
}

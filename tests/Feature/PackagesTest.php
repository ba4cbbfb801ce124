<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** What the project is made of; and that each case of the outside audit has a test that bears its number. */
final class PackagesTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function json(string $path): array
    {
        return json_decode((string) file_get_contents(dirname(__DIR__, 2)."/{$path}"), true, 32, JSON_THROW_ON_ERROR);
    }

    public function test_22_no_stand_ins_and_nothing_unused(): void
    {
        self::assertDirectoryDoesNotExist(dirname(__DIR__, 2).'/compat');
        $composer = self::json('composer.json');
        self::assertArrayNotHasKey('replace', $composer);
        self::assertStringStartsWith('3.', $composer['require']['dompdf/dompdf']);
        $sources = (string) shell_exec(
            'cat $(find '.escapeshellarg(dirname(__DIR__, 2).'/resources/js').' -name "*.ts" -o -name "*.tsx") '.escapeshellarg(dirname(__DIR__, 2).'/vite.config.ts'),
        );
        foreach (array_keys(self::json('package.json')['dependencies']) as $package) {
            // What builds the pages, and what the others bring to life, is not named in them.
            if (! in_array($package, ['vite', 'laravel-vite-plugin', '@vitejs/plugin-react', '@emotion/styled'], true)) {
                self::assertMatchesRegularExpression(
                    '~from \''.preg_quote($package, '~').'|import \''.preg_quote($package, '~').'~',
                    $sources,
                    "{$package} is used by nothing",
                );
            }
        }
    }

    /** To start, nothing is fetched that only checks or tests need. */
    public function test_22_starting_needs_no_development_packages(): void
    {
        $script = (string) file_get_contents(dirname(__DIR__, 2).'/bin/start');
        self::assertMatchesRegularExpression('/^install_php$/m', $script);
        self::assertMatchesRegularExpression('/^build_front_end$/m', $script);
        $dev = array_keys(self::json('composer.json')['require-dev']);
        exec(
            'grep -rhoE "^use (PHPUnit|Facebook|PHPStan|Mockery|Symfony.Component.Yaml)" '.
                escapeshellarg(dirname(__DIR__, 2).'/app').
                ' '.
                escapeshellarg(dirname(__DIR__, 2).'/core/src').
                ' '.
                escapeshellarg(dirname(__DIR__, 2).'/database'),
            $found,
        );
        self::assertSame([], $found, 'used to run, but only there for '.implode(', ', $dev));
    }

    public function test_every_case_of_the_audit_has_its_test(): void
    {
        $cases = self::json('core/tests/Audit/cases.json')['cases'];
        self::assertSame(range(1, 22), array_keys($cases));
        foreach ($cases as $number => $files) {
            foreach ($files as $file) {
                self::assertMatchesRegularExpression(
                    "/function test_{$number}_\\w+\\(/",
                    (string) file_get_contents(dirname(__DIR__, 2)."/{$file}"),
                    "case {$number} in {$file}",
                );
            }
        }
    }
}

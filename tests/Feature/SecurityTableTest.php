<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** The table of what is asked of such an application names tests that are there. */
final class SecurityTableTest extends TestCase
{
    public function test_each_test_it_names_is_there(): void
    {
        $root = dirname(__DIR__, 2);
        $table = (string) file_get_contents("{$root}/docs/security.md");
        self::assertGreaterThan(40, preg_match_all('/^\| (\d+\.\d+|50,000)/m', $table));
        preg_match_all('/`((?:Browser\\\\)?\w+Test)(?:::(\w+))?/', $table, $named, PREG_SET_ORDER);
        $seen = 0;
        $last = '';
        foreach ($named as $name) {
            $last = str_contains($name[1], '\\') ? "tests/{$name[1]}.php" : "tests/Feature/{$name[1]}.php";
            $file = str_replace('\\', '/', $last);
            $file = is_file("{$root}/{$file}") ? $file : str_replace('Feature', 'Browser', $file);
            self::assertFileExists("{$root}/{$file}", $name[0]);
            if (isset($name[2])) {
                self::assertMatchesRegularExpression('/function (test_\w*)?'.preg_quote($name[2], '/').'/', (string) file_get_contents("{$root}/{$file}"), $name[0]);
                $seen++;
            }
        }
        self::assertGreaterThan(10, $seen);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

/** Reads the tables in data/, once each. */
final class Table
{
    /** @var array<string, array<string, mixed>> */
    private static array $read = [];

    /** @var array<string, mixed> */
    private static array $made = [];

    /**
     * @param  string  $name  the file's name in data/, without `.json`
     * @return array<string, mixed>
     */
    public static function read(string $name): array
    {
        if (! isset(self::$read[$name])) {
            $text = file_get_contents(self::path($name));
            $table = json_decode($text === false ? '' : $text, true, 64, JSON_THROW_ON_ERROR);
            if (! is_array($table)) {
                throw new \RuntimeException("The table {$name} is not an object.");
            }
            /** @var array<string, mixed> $table */
            self::$read[$name] = $table;
        }

        return self::$read[$name];
    }

    /**
     * The rows of a table that has them.
     *
     * @return list<array<string, mixed>>
     */
    public static function rows(string $name): array
    {
        /** @var list<array<string, mixed>> $rows */
        $rows = self::read($name)['rows'] ?? [];

        return $rows;
    }

    /**
     * What is made of a table, made once: things that do not change.
     *
     * @template T
     *
     * @param  string  $of  who makes it
     * @param  \Closure(): T  $make
     * @return T
     */
    public static function once(string $of, \Closure $make): mixed
    {
        /** @var T */
        return self::$made[$of] ??= $make();
    }

    public static function source(string $name): string
    {
        $source = self::read($name)['source'] ?? '';

        return is_string($source) ? $source : '';
    }

    public static function path(string $name): string
    {
        return dirname(__DIR__, 2)."/data/{$name}.json";
    }
}

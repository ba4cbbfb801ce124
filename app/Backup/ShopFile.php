<?php

declare(strict_types=1);

namespace App\Backup;

/** A shop's file that lies somewhere, opened by itself: whether it is whole, and what is in it. */
final class ShopFile
{
    /** What the shop says of itself, its gauges and what was learned of them. */
    private const SETTINGS = ['shops', 'own_instruments', 'instrument_checks', 'take_offs'];

    /** @throws BadBackup where it is damaged, or no shop's */
    public static function look(string $path): void
    {
        $answer = (string) current(self::rows($path, 'PRAGMA integrity_check')[0] ?? ['nothing']);
        if ($answer !== 'ok') {
            throw new BadBackup("The shop’s file in the backup is damaged ({$answer}). Take another backup.");
        }
        self::jobs($path);
    }

    public static function isWhole(string $path): bool
    {
        try {
            self::look($path);

            return true;
        } catch (BadBackup) {
            return false;
        }
    }

    /** @throws BadBackup for a file that holds no jobs */
    public static function jobs(string $path): int
    {
        return (int) current(self::rows($path, 'SELECT count(*) FROM jobs')[0] ?? [0]);
    }

    /** @return list<string> of the migrations it has been through */
    public static function migrations(string $path): array
    {
        return array_map(strval(...), array_column(self::rows($path, 'SELECT migration FROM migrations'), 'migration'));
    }

    /** @return array<string, array{name: string, version: int}> its jobs by their ids */
    public static function versions(string $path): array
    {
        $jobs = [];
        foreach (self::rows($path, 'SELECT id, machine, part, version FROM jobs ORDER BY machine, part') as $row) {
            $jobs[(string) $row['id']] = [
                'name' => trim("{$row['machine']}, {$row['part']}", ', '),
                'version' => (int) $row['version'],
            ];
        }

        return $jobs;
    }

    /** Alike where nothing of it was changed; empty where nobody said anything yet. */
    public static function settings(string $path): string
    {
        $all = array_map(static fn (string $table): array => self::rows($path, "SELECT * FROM {$table} ORDER BY 1"), self::SETTINGS);

        return array_filter($all) === [] ? '' : hash('sha256', (string) json_encode($all));
    }

    /**
     * @return list<array<string, scalar|null>>
     *
     * @throws BadBackup for what can't be read as a shop's file
     */
    private static function rows(string $path, string $sql): array
    {
        try {
            $pdo = new \PDO("sqlite:{$path}", options: [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
            $found = $pdo->query($sql);

            /** @var list<array<string, scalar|null>> */
            return $found === false ? [] : $found->fetchAll(\PDO::FETCH_ASSOC);
        } catch (\PDOException $e) {
            throw new BadBackup("The shop’s file {$path} can’t be read: {$e->getMessage()}. Take another backup.", previous: $e);
        }
    }
}

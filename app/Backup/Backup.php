<?php

declare(strict_types=1);

namespace App\Backup;

use ZipArchive;

/** One backup: the shop's file as SQLite itself copies it, its photographs, and what both were, in a zip anybody can open. */
final readonly class Backup
{
    public const SHOP = 'shop.sqlite';

    private const SAYS = 'backup.json';

    private const PHOTOS = 'photos/';

    private function __construct(
        public string $path,
        public \DateTimeImmutable $madeAt,
        public string $version,
        public int $jobs,
        public int $photos,
        private string $sum,
        /** What the shop's file looked like from outside when it was made. */
        public string $mark,
    ) {
    }

    public function name(): string
    {
        return basename($this->path);
    }

    /**
     * Made beside its place, opened and looked through, and only then put there: what lies there is whole.
     *
     * @throws BadBackup where the disk has no room, or what was written can't be opened again
     */
    public static function make(\PDO $shop, string $photos, string $path, \DateTimeImmutable $now, string $mark = ''): self
    {
        $part = "{$path}.part";
        $copy = "{$path}.sqlite";
        @unlink($copy);
        try {
            $shop->exec('VACUUM INTO '.$shop->quote($copy));
            $jobs = ShopFile::jobs($copy);
            $zip = new ZipArchive();
            $files = self::filesIn($photos);
            $ok = $zip->open($part, ZipArchive::CREATE | ZipArchive::OVERWRITE) === true
                && $zip->addFile($copy, self::SHOP);
            foreach ($files as $name => $file) {
                // They are compressed as they are.
                $ok = $ok && $zip->addFile($file, self::PHOTOS.$name) && $zip->setCompressionName(self::PHOTOS.$name, ZipArchive::CM_STORE);
            }
            $ok = $ok && $zip->addFromString(self::SAYS, (string) json_encode([
                'made_at' => $now->format(\DateTimeInterface::ATOM),
                'version' => trim((string) file_get_contents(base_path('VERSION'))),
                'jobs' => $jobs,
                'photos' => count($files),
                'sha256' => hash_file('sha256', $copy),
                'mark' => $mark,
            ], JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR));
            if (! $ok || ! @$zip->close()) {
                throw new BadBackup('The backup could not be written: make room on the disk of '.dirname($path).', then try again.');
            }
            self::open($part)->inside(static fn () => null);
            rename($part, $path);
        } catch (\PDOException $e) {
            throw new BadBackup("The shop’s file could not be copied ({$e->getMessage()}): make room on the disk of ".dirname($path).', then try again.', previous: $e);
        } finally {
            @unlink($copy);
            @unlink($part);
        }

        return self::open($path);
    }

    /** @throws BadBackup for what is none, or is damaged */
    public static function open(string $path): self
    {
        $zip = self::zip($path);
        $says = json_decode((string) $zip->getFromName(self::SAYS), true);
        $zip->close();
        if (
            ! is_array($says)
            || ! is_string($says['made_at'] ?? null)
            || ! is_string($says['version'] ?? null)
            || ! is_int($says['jobs'] ?? null)
            || ! is_int($says['photos'] ?? null)
            || ! is_string($says['sha256'] ?? null)
            || ! is_string($says['mark'] ?? null)
        ) {
            throw new BadBackup("{$path} is a zip, but no backup of a shop: choose one that was made by bin/backup.");
        }

        return new self($path, new \DateTimeImmutable($says['made_at']), $says['version'], $says['jobs'], $says['photos'], $says['sha256'], $says['mark']);
    }

    /**
     * Takes it apart into a folder of its own, looks the shop's file through, and hands both over.
     *
     * @template T
     *
     * @param  callable(string, string): T  $do  the shop's file, and the folder of its photographs
     * @return T
     *
     * @throws BadBackup where something in it is not as it was written
     */
    public function inside(callable $do): mixed
    {
        $folder = sys_get_temp_dir().'/oldpart-fit-backup-'.bin2hex(random_bytes(4));
        mkdir($folder, 0700);
        try {
            $zip = self::zip($this->path);
            $names = array_map(static fn (int $i): string => (string) $zip->getNameIndex($i), range(0, $zip->numFiles - 1));
            foreach ($names as $name) {
                if (str_starts_with($name, '/') || in_array('..', explode('/', $name), true)) {
                    throw new BadBackup("{$this->path} holds a file that would land elsewhere: it was not made here.");
                }
            }
            $whole = @$zip->extractTo($folder);
            $zip->close();
            $shop = "{$folder}/".self::SHOP;
            $photos = self::filesIn("{$folder}/".rtrim(self::PHOTOS, '/'));
            if (! $whole || ! is_file($shop) || hash_file('sha256', $shop) !== $this->sum || count($photos) !== $this->photos) {
                throw new BadBackup("The backup {$this->path} is damaged: something in it is not as it was written. Take another one.");
            }
            ShopFile::look($shop);

            return $do($shop, "{$folder}/".rtrim(self::PHOTOS, '/'));
        } finally {
            self::remove($folder);
        }
    }

    /** @return array<string, string> path by its name within the folder */
    public static function filesIn(string $folder): array
    {
        $files = [];
        if (is_dir($folder)) {
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
                assert($file instanceof \SplFileInfo);
                if ($file->isFile() && $file->getExtension() === 'jpg') {
                    $files[substr($file->getPathname(), strlen($folder) + 1)] = $file->getPathname();
                }
            }
        }
        ksort($files);

        return $files;
    }

    private static function zip(string $path): ZipArchive
    {
        $zip = new ZipArchive();
        if (! is_file($path) || $zip->open($path, ZipArchive::RDONLY | ZipArchive::CHECKCONS) !== true) {
            throw new BadBackup(is_file($path) ? "{$path} can’t be opened: it is damaged, or no backup." : "There is no {$path}. php artisan shop:backups lists those that are here.");
        }

        return $zip;
    }

    private static function remove(string $folder): void
    {
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS), \RecursiveIteratorIterator::CHILD_FIRST) as $file) {
            assert($file instanceof \SplFileInfo);
            $file->isDir() ? @rmdir($file->getPathname()) : @unlink($file->getPathname());
        }
        @rmdir($folder);
    }
}

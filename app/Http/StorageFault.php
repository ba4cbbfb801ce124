<?php

declare(strict_types=1);

namespace App\Http;

/** What is wrong with where things are kept, told apart by what SQLite says of it, each with its way out. */
enum StorageFault: string
{
    case Full = 'disk-full';
    case ReadOnly = 'read-only';
    case Corrupt = 'damaged';
    case Missing = 'missing';
    case Busy = 'busy';
    case Other = 'storage';

    public static function of(\PDOException $e): self
    {
        $says = strtolower($e->getMessage());
        $has = static fn (string ...$any): bool => array_filter(
            $any,
            static fn (string $part): bool => str_contains($says, $part),
        ) !== [];

        return match (true) {
            $has('database or disk is full', 'disk i/o error') => self::Full,
            $has('readonly database', 'read-only') => self::ReadOnly,
            $has('malformed', 'not a database', 'file is encrypted') => self::Corrupt,
            $has('unable to open database', 'no such table', 'no such column') => self::Missing,
            $has('database is locked', 'table is locked', 'busy') => self::Busy,
            default => self::Other,
        };
    }

    public function sentence(): string
    {
        return match ($this) {
            self::Full => 'The disk is full, or does not answer: nothing more can be stored on it. Make room on it; what you typed is kept in this browser and is sent again by itself.',
            self::ReadOnly => 'The shop’s file can’t be written: its folder or disk is read-only. Give the right to write it back; what you typed is kept in this browser.',
            self::Corrupt => 'The shop’s file is damaged. Stop the application, bring the last backup back with bin/restore, and start again. What you typed is kept in this browser.',
            self::Missing => 'The shop’s file is gone, or is not of this version. Stop the application and start it again with bin/start; it says what it finds. What you typed is kept in this browser.',
            self::Busy => 'Another window is storing just now. What you typed is kept; it is sent again by itself.',
            self::Other => 'It could not be stored just now. What you typed is kept; it is tried again.',
        };
    }

    public function status(): int
    {
        return $this === self::Full ? 507 : 503;
    }
}

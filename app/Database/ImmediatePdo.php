<?php

declare(strict_types=1);

namespace App\Database;

/**
 * Begins every transaction by taking the right to write, and waits for it. SQLite's own way, to read first and to ask
 * for writing later, is refused at once where another one wrote meanwhile. Below PHP 8.4 there is no setting for it.
 */
final class ImmediatePdo extends \PDO
{
    private bool $open = false;

    public function beginTransaction(): bool
    {
        $this->exec('BEGIN IMMEDIATE');
        $this->open = true;

        return true;
    }

    public function commit(): bool
    {
        $this->exec('COMMIT');
        $this->open = false;

        return true;
    }

    public function rollBack(): bool
    {
        // A full disk or a lost file may have ended it already.
        $this->open = false;
        try {
            $this->exec('ROLLBACK');
        } catch (\PDOException) {
            return false;
        }

        return true;
    }

    public function inTransaction(): bool
    {
        return $this->open;
    }
}

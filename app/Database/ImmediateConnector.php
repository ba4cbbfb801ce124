<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\SQLiteConnector;

/** Opens SQLite so that its transactions begin by writing. */
final class ImmediateConnector extends SQLiteConnector
{
    /**
     * @param  string  $dsn
     * @param  string  $username
     * @param  string  $password
     * @param  array<int, mixed>  $options
     */
    protected function createPdoConnection($dsn, $username, $password, $options): \PDO
    {
        // From PHP 8.4 on the connection does it by itself (transaction_mode).
        return PHP_VERSION_ID >= 80400
            ? parent::createPdoConnection($dsn, $username, $password, $options)
            : new ImmediatePdo($dsn, $username, $password, $options);
    }
}

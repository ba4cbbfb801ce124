<?php

declare(strict_types=1);

namespace App\Backup;

/** Why a backup could not be made, opened or brought back: one sentence with the way out. */
final class BadBackup extends \RuntimeException
{
}

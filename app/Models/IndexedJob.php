<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A job as the bench shows it; made from its facts, never changed by hand.
 *
 * @property string $job_id
 * @property array<string, mixed> $row
 */
final class IndexedJob extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $primaryKey = 'job_id';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['row' => 'array'];
    }
}

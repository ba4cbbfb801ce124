<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One thing done in practice, with what came of it. Never changed.
 *
 * @property string $id
 * @property string $job_id
 * @property int $place
 * @property array<string, mixed> $deed
 * @property array<string, mixed> $result
 */
final class DeedRow extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $table = 'deeds';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['deed' => 'array', 'result' => 'array', 'place' => 'integer'];
    }
}

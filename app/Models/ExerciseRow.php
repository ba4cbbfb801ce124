<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * An exercise that was asked, and what was answered.
 *
 * @property string $id
 * @property string $kind
 * @property int $seed
 * @property string $asked_at
 * @property ?string $typed
 * @property ?bool $right
 * @property ?float $seconds
 */
final class ExerciseRow extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $table = 'exercises';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['right' => 'boolean', 'seconds' => 'float', 'seed' => 'integer'];
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * What belongs to a practice job and not to its facts: what was done in the simulated shop, and the marks.
 *
 * @property string $job_id
 * @property array<string, mixed> $laid  the job as it came in
 * @property ?string $by
 * @property ?string $ended_at
 * @property ?list<array<string, mixed>> $scores
 * @property ?bool $good
 * @property ?Carbon $created_at
 */
final class Practice extends Model
{
    public $incrementing = false;

    protected $primaryKey = 'job_id';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['laid' => 'array', 'scores' => 'array', 'good' => 'boolean'];
    }
}

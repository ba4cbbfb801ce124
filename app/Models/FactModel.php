<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A thing of a job, stored under the names it has in the job file.
 *
 * @property string $id
 * @property string $job_id
 * @property int $place
 */
abstract class FactModel extends Model
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return array<string, mixed> the fact as the job file has it */
    public function fact(): array
    {
        return collect($this->attributesToArray())->except(['job_id', 'place', 'created_at', 'updated_at'])->all();
    }
}

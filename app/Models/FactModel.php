<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/**
 * A thing of a job, stored under the names it has in the job file.
 *
 * @property string $id
 * @property string $job_id
 * @property int $place
 */
abstract class FactModel extends Model
{
    /** Not of the fact. */
    private const OURS = ['job_id' => true, 'place' => true, 'created_at' => true, 'updated_at' => true];

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /**
     * What a job has of these, without a model for each: a job may hold thousands.
     *
     * @return list<array<string, mixed>> as the job file has them, in their order
     */
    public static function factsOf(string $job): array
    {
        // Seventeen lists are read for every key that is typed: to make a model ready takes longer than to read its rows,
        // and so does building the query.
        $like = (new \ReflectionClass(static::class))->newInstanceWithoutConstructor();
        $casts = $like->casts();
        $all = "select * from \"{$like->table}\" where \"job_id\" = ? order by \"place\"";
        $facts = [];
        foreach (DB::select($all, [$job]) as $row) {
            $fact = array_diff_key((array) $row, self::OURS);
            foreach ($casts as $field => $cast) {
                if (isset($fact[$field])) {
                    $fact[$field] = self::cast($fact[$field], $cast);
                }
            }
            $facts[] = $fact;
        }

        return $facts;
    }

    private static function cast(mixed $stored, string $as): mixed
    {
        return match ($as) {
            'array' => json_decode(is_string($stored) ? $stored : '', true, 64, JSON_THROW_ON_ERROR),
            'float' => is_numeric($stored) ? (float) $stored : null,
            'integer' => is_numeric($stored) ? (int) $stored : null,
            'boolean' => (bool) $stored,
            default => throw new \LogicException("No fact is stored as {$as}."),
        };
    }
}

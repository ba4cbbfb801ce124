<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * @property string $id
 * @property int $version
 * @property string $machine
 * @property string $part
 * @property string $kind
 * @property string $unit
 * @property array<string, mixed> $take_in
 * @property array<string, mixed> $shop
 * @property array<string, mixed> $hand_over
 * @property array<string, mixed>|null $quote
 * @property array<string, mixed>|null $waits
 * @property Carbon|null $archived_at
 * @property Carbon|null $binned_at
 * @property Carbon|null $updated_at
 */
final class Job extends Model
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'take_in' => 'array',
            'shop' => 'array',
            'hand_over' => 'array',
            'quote' => 'array',
            'waits' => 'array',
            'plan' => 'array',
            'batch' => 'array',
            'assembly' => 'array',
            'practice' => 'array',
            'version' => 'integer',
            'archived_at' => 'datetime',
            'binned_at' => 'datetime',
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A surface as Find looks for it by its size; made from the facts, never changed by hand.
 *
 * @property string $job_id
 * @property string $surface_id
 * @property string $name
 * @property string $part
 * @property bool $made
 * @property float $size_mm
 */
final class IndexedSurface extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['made' => 'boolean', 'size_mm' => 'float'];
    }
}

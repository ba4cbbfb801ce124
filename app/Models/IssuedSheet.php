<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $job_id
 * @property int $number
 * @property string $issued_at
 * @property string $by
 * @property string $unit
 * @property string $checksum
 * @property string $facts
 * @property string $html
 */
final class IssuedSheet extends Model
{
    public $timestamps = false;

    protected $guarded = [];
}

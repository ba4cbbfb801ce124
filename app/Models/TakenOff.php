<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Oldpart\Core\Evaluate\Making\Learned;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\TakeOffFacts;

/**
 * What the cuts of a job took off for what was dialled. Made anew from the facts with each change of them.
 *
 * @property string $metal
 * @property bool $inside
 * @property bool $slender
 * @property list<float> $ratios
 */
final class TakenOff extends Model
{
    /** No more than the latest of these count. */
    private const MOST = 40;

    public $timestamps = false;

    protected $table = 'take_offs';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['inside' => 'boolean', 'slender' => 'boolean', 'ratios' => 'array'];
    }

    public static function keep(JobFacts $facts, ?string $since): void
    {
        self::drop($facts->id);
        foreach (Learned::ofJob($facts, $since) as $learned) {
            self::query()->create(['job_id' => $facts->id, ...$learned->jsonSerialize()]);
        }
    }

    public static function drop(string $job): void
    {
        self::query()->where('job_id', $job)->delete();
    }

    /** @return list<TakeOffFacts> oldest first */
    public static function learned(): array
    {
        $learned = [];
        foreach (self::query()->orderByDesc('id')->limit(self::MOST)->get()->reverse() as $row) {
            assert($row instanceof self);
            $learned[] = new TakeOffFacts($row->metal, $row->inside, $row->slender, $row->ratios);
        }

        return $learned;
    }

    /** Nothing cut up to now counts any more. */
    public static function forget(): void
    {
        self::query()->delete();
    }
}

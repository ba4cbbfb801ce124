<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Oldpart\Core\Measure\GaugeCheck;

/**
 * A check of one of the shop's instruments against a master; kept, and void where it was mistyped.
 *
 * @property string $id
 * @property string $instrument
 * @property float $read_mm
 * @property float $true_mm
 * @property string $at
 * @property ?string $void_at
 * @property ?string $void_why
 */
final class InstrumentCheck extends Model
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['read' => 'array', 'true' => 'array', 'read_mm' => 'float', 'true_mm' => 'float'];
    }

    /** One of its two lengths as it was typed, with its unit. */
    public function typed(string $which): string
    {
        /** @var array{typed: string, unit: string} $length */
        $length = $this->getAttribute($which);

        return preg_match('/[a-zµ"]/iu', $length['typed']) === 1
            ? $length['typed']
            : "{$length['typed']} {$length['unit']}";
    }

    public function check(): GaugeCheck
    {
        return new GaugeCheck($this->read_mm, $this->true_mm, new \DateTimeImmutable($this->at));
    }

    /**
     * @param  list<string>  $instruments
     * @return array<string, \DateTimeImmutable> by instrument: its last check that counts
     */
    public static function lastOf(array $instruments): array
    {
        $last = [];
        /** @var self $check */
        foreach (self::query()->whereIn('instrument', $instruments)->whereNull('void_at')->orderBy('at')->get() as $check) {
            $last[$check->instrument] = $check->check()->at;
        }

        return $last;
    }

    /**
     * What to add to a reading of an instrument, mm; null where it was not checked before it was taken, or too long
     * before, or the check is void.
     */
    public static function correctionFor(string $instrument, ?string $takenAt = null): ?float
    {
        $when = now()->toDateTimeImmutable();
        try {
            $when = $takenAt === null ? $when : new \DateTimeImmutable($takenAt);
        } catch (\Exception) {
            // An old record may hold a time that is none: it counts as taken now.
        }
        /** @var ?self $last */
        $last = self::query()
            ->where('instrument', $instrument)
            ->whereNull('void_at')
            ->where('at', '<=', $when->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'))
            ->orderByDesc('at')
            ->first();
        $check = $last?->check();

        return $check !== null && $check->isRecent($when) ? $check->correctionMm() : null;
    }
}

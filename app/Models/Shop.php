<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;

/**
 * @property string $id
 * @property string $name
 * @property float $temperature_c
 * @property float $lathe_holds_mm
 * @property float $rough_cut_mm
 * @property float $press_n
 * @property float $rate_per_h
 * @property string $currency
 * @property string $unit
 * @property ?string $shims
 * @property ?string $taps
 * @property ?string $dies
 * @property ?string $drills
 * @property ?string $reamers
 * @property ?string $tool_unit
 * @property ?list<array<string, mixed>> $machines
 * @property ?list<array<string, mixed>> $recipes
 * @property ?bool $polishes_last
 * @property ?bool $demo
 * @property ?array{jobs: array<string, string>, shop: array<string, mixed>} $demo_before  what it was before somebody began their own
 * @property ?string $learns_since  of what was cut before, nothing is learned
 */
final class Shop extends Model
{
    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'temperature_c' => 'float',
            'lathe_holds_mm' => 'float',
            'rough_cut_mm' => 'float',
            'press_n' => 'float',
            'rate_per_h' => 'float',
            'machines' => 'array',
            'recipes' => 'array',
            'demo' => 'boolean',
            'demo_before' => 'array',
            'polishes_last' => 'boolean',
        ];
    }

    /** The one shop of this installation, made with usual values when there is none. */
    public static function here(): self
    {
        return self::query()->first() ??
            self::query()->create([
                'id' => 'shop',
                'name' => 'My shop',
                'temperature_c' => 20.0,
                'lathe_holds_mm' => 0.0127,
                'rough_cut_mm' => 0.508,
                'press_n' => 9000.0,
                'rate_per_h' => 40.0,
                'currency' => '€',
                'unit' => 'in',
            ]);
    }

    /** What bare numbers of its drills and reamers are in: what the shop's unit was when the first was typed. */
    public function toolUnit(): Unit
    {
        return Unit::tryFrom($this->tool_unit ?? $this->unit) ?? Unit::Inch;
    }

    public function facts(): ShopFacts
    {
        return new ShopFacts(
            name: $this->name,
            temperatureC: $this->temperature_c,
            saidHoldsMm: $this->lathe_holds_mm,
            roughCutMm: $this->rough_cut_mm,
            saidPressN: $this->press_n,
            ratePerH: $this->rate_per_h,
            currency: $this->currency,
            instruments: OwnInstrument::set(),
            shims: $this->shims ?? '',
            taps: $this->taps ?? '',
            dies: $this->dies ?? '',
            drills: $this->drills ?? '',
            reamers: $this->reamers ?? '',
            toolUnit: $this->toolUnit(),
            takeOffs: TakenOff::learned(),
            polishesLast: $this->polishes_last ?? false,
            machines: Machine::list(new Fields(['machines' => $this->machines ?? []]), 'machines'),
        );
    }
}

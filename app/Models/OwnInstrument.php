<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\InstrumentSet;
use Oldpart\Core\Quantity\Fields;

/**
 * An instrument of this shop that is not as the typical ones; what was typed for its figures is kept beside them.
 *
 * @property string $code
 * @property array<string, mixed> $figures
 * @property array<string, array{typed: string, unit: string}> $typed
 */
final class OwnInstrument extends Model
{
    public $incrementing = false;

    protected $primaryKey = 'code';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['figures' => 'array', 'typed' => 'array'];
    }

    public static function store(Instrument $tool, mixed $typed = []): void
    {
        self::query()->updateOrCreate(
            ['code' => $tool->code],
            ['figures' => $tool->jsonSerialize(), 'typed' => $typed],
        );
    }

    /** All instruments of this shop. */
    public static function set(): InstrumentSet
    {
        $own = [];
        foreach (self::query()->orderBy('created_at')->get() as $record) {
            assert($record instanceof self);
            $own[] = Instrument::read(new Fields($record->figures));
        }

        return InstrumentSet::typical()->with(...$own);
    }
}

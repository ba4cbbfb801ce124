<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\InstrumentSet;
use Oldpart\Core\Quantity\Fields;

/**
 * What the job needs to know of the shop: temperature in °C, what the lathe holds on diameter in mm, the press in N, an
 * hour's work in its currency.
 */
final readonly class ShopFacts implements \JsonSerializable
{
    public InstrumentSet $instruments;

    public function __construct(
        public string $name,
        public float $temperatureC,
        public float $latheHoldsMm,
        public float $roughCutMm,
        public float $pressN,
        public float $ratePerH = 40.0,
        public string $currency = '€',
        ?InstrumentSet $instruments = null,
        /** What shims are in the drawer, as typed in millimetres where no unit is said. */
        public string $shims = '',
        /** Which taps and dies are in the drawer, as typed. */
        public string $taps = '',
        public string $dies = '',
    ) {
        $this->instruments = $instruments ?? InstrumentSet::typical();
    }

    public static function read(Fields $f): self
    {
        return new self(
            name: $f->text('name'),
            temperatureC: $f->number('temperature_c'),
            latheHoldsMm: $f->number('lathe_holds_mm'),
            roughCutMm: $f->number('rough_cut_mm'),
            pressN: $f->number('press_n'),
            ratePerH: $f->number('rate_per_h'),
            currency: $f->text('currency'),
            instruments: InstrumentSet::typical()->with(
                ...array_map(Instrument::read(...), $f->objects('instruments')),
            ),
            shims: $f->textOrNull('shims') ?? '',
            taps: $f->textOrNull('taps') ?? '',
            dies: $f->textOrNull('dies') ?? '',
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'temperature_c' => $this->temperatureC,
            'lathe_holds_mm' => $this->latheHoldsMm,
            'rough_cut_mm' => $this->roughCutMm,
            'press_n' => $this->pressN,
            'rate_per_h' => $this->ratePerH,
            'currency' => $this->currency,
            'shims' => $this->shims,
            'taps' => $this->taps,
            'dies' => $this->dies,
            'instruments' => array_map(
                static fn (Instrument $i): array => $i->jsonSerialize(),
                $this->instruments->own(),
            ),
        ];
    }
}

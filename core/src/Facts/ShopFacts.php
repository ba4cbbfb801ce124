<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Making\HoleTools;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\InstrumentSet;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;

/**
 * What the job needs to know of the shop: temperature in °C, what the lathe holds on diameter in mm, the press in N, an
 * hour's work in its currency.
 */
final readonly class ShopFacts implements \JsonSerializable
{
    public InstrumentSet $instruments;

    /** What the best lathe really holds on diameter: as its machines say, else as said of the shop. */
    public float $latheHoldsMm;

    /** What the strongest press gives: as its machines say, else as said of the shop. */
    public float $pressN;

    public function __construct(
        public string $name,
        public float $temperatureC,
        private float $saidHoldsMm,
        public float $roughCutMm,
        private float $saidPressN,
        public float $ratePerH = 40.0,
        public string $currency = '€',
        ?InstrumentSet $instruments = null,
        /** What shims are in the drawer, as typed in millimetres where no unit is said. */
        public string $shims = '',
        /** Which taps and dies are in the drawer, as typed. */
        public string $taps = '',
        public string $dies = '',
        /** @var list<Machine> */
        public array $machines = [],
        /** Which drills and reamers are in the drawer, as typed; bare numbers in the shop's unit. */
        public string $drills = '',
        public string $reamers = '',
        public Unit $toolUnit = Unit::Millimetre,
        /** @var list<TakeOffFacts> what earlier cuts took off for what was dialled: of other jobs, so not written with this one */
        public array $takeOffs = [],
        /** The last half thou is polished or honed, where others take two equal cuts and a spring pass. */
        public bool $polishesLast = false,
    ) {
        $this->instruments = $instruments ?? InstrumentSet::typical();
        $holds = $this->figures('lathe', 'holds_mm');
        $forces = $this->figures('press', 'force_n');
        $this->latheHoldsMm = $holds === [] ? $saidHoldsMm : min($holds);
        $this->pressN = $forces === [] ? $saidPressN : max($forces);
    }

    /** @throws BadInput for a drawer that can't be read */
    public function holeTools(): HoleTools
    {
        return HoleTools::read($this->drills, $this->reamers, $this->toolUnit);
    }

    /** @return list<Machine> of one kind */
    public function machinesOf(string $kind): array
    {
        return array_values(array_filter($this->machines, static fn (Machine $m): bool => $m->kind === $kind));
    }

    /** @return list<float> what is known of a figure, of all machines of a kind */
    private function figures(string $kind, string $field): array
    {
        return array_values(array_filter(
            array_map(static fn (Machine $m): ?float => $m->figure($field), $this->machinesOf($kind)),
            static fn (?float $figure): bool => $figure !== null,
        ));
    }

    public static function read(Fields $f): self
    {
        return new self(
            name: $f->text('name'),
            temperatureC: $f->number('temperature_c'),
            saidHoldsMm: $f->number('lathe_holds_mm'),
            roughCutMm: $f->number('rough_cut_mm'),
            saidPressN: $f->number('press_n'),
            ratePerH: $f->number('rate_per_h'),
            currency: $f->text('currency'),
            instruments: InstrumentSet::typical()->with(
                ...array_map(Instrument::read(...), $f->objects('instruments')),
            ),
            shims: $f->textOrNull('shims') ?? '',
            taps: $f->textOrNull('taps') ?? '',
            dies: $f->textOrNull('dies') ?? '',
            machines: Machine::list($f, 'machines'),
            drills: $f->textOrNull('drills') ?? '',
            reamers: $f->textOrNull('reamers') ?? '',
            toolUnit: $f->choiceOrNull('tool_unit', Unit::class) ?? Unit::Millimetre,
            takeOffs: array_map(TakeOffFacts::read(...), $f->objects('take_offs')),
            polishesLast: $f->flag('polishes_last'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'temperature_c' => $this->temperatureC,
            'lathe_holds_mm' => $this->saidHoldsMm,
            'rough_cut_mm' => $this->roughCutMm,
            'press_n' => $this->saidPressN,
            'rate_per_h' => $this->ratePerH,
            'currency' => $this->currency,
            'shims' => $this->shims,
            'taps' => $this->taps,
            'dies' => $this->dies,
            'drills' => $this->drills,
            'reamers' => $this->reamers,
            'tool_unit' => $this->toolUnit->value,
            'polishes_last' => $this->polishesLast,
            'machines' => array_map(static fn (Machine $m): array => $m->jsonSerialize(), $this->machines),
            'instruments' => array_map(
                static fn (Instrument $i): array => $i->jsonSerialize(),
                $this->instruments->own(),
            ),
        ];
    }
}

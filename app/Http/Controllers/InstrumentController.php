<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\BenchIndex;
use App\Bench\JobStore;
use App\Bench\Moments;
use App\Http\Body;
use App\Http\Id;
use App\Models\InstrumentCheck;
use App\Models\OwnInstrument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Measure\GaugeCheck;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\InstrumentSet;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

/** The shop's instruments with their checks against a master. */
final class InstrumentController
{
    /** Label, most in mm, and whether it may be left open. */
    private const FIGURES = [
        'resolution' => ['Its last digit', 5, false],
        'mpe' => ['It may err by, ±', 5, false],
        'mpe_per_50' => ['and more from every 50 mm on', 5, false],
        'repeatability' => ['Its own spread, one standard deviation', 5, false],
        'feel' => ['Feel, one standard deviation', 5, false],
        'master_u' => ['Its setting master is good to, ±', 5, false],
        'from' => ['Measures from', 20000, false],
        'to' => ['up to', 20000, false],
        'smallest_bore' => ['Smallest bore it enters', 20000, false],
        'reach' => ['Reaches in', 20000, true],
        'travel' => ['Travel of its point', 1000, true],
    ];

    public function index(): JsonResponse
    {
        return new JsonResponse(['instruments' => array_map($this->shown(...), OwnInstrument::set()->all())]);
    }

    /** Changes an instrument's figures, or adds one; lengths as they are typed. What is not sent stays as it is. */
    public function update(Request $request, string $instrument): JsonResponse
    {
        $in = Body::of($request)->only(['name', 'fits', 'in_shop', ...array_keys(self::FIGURES)]);
        Id::of($instrument, 'instrument');
        $set = OwnInstrument::set();
        $before = $set->has($instrument) ? $set->named($instrument) : null;
        $typed = OwnInstrument::query()->find($instrument)->typed ?? [];
        $figures = $before?->jsonSerialize() ?? [
            'code' => $instrument,
            'name' => '',
            'fits' => [],
            'in_shop' => true,
            'to_mm' => 150.0,
            'reach_mm' => null,
            'travel_mm' => null,
        ];
        foreach (
            [
                'name' => $in->textOrNull('name'),
                'fits' => $in->has('fits') ? $in->texts('fits') : null,
                'in_shop' => $in->flagOrNull('in_shop'),
            ] as $field => $value
        ) {
            $figures[$field] = $value ?? $figures[$field];
        }
        foreach (self::FIGURES as $field => [$label, $most, $optional]) {
            $length = $in->lengthOrNull($field);
            if ($length !== null && $length->length->mm > $most) {
                throw new BadInput('out-of-range', $field, "{$label}: at most {$most} mm. Check the unit.");
            }
            if ($length !== null) {
                $figures["{$field}_mm"] = $length->length->mm;
                $typed[$field] = ['typed' => $length->typed, 'unit' => $length->unit->value];
            }
            $figures["{$field}_mm"] ??= $optional ? null : 0.0;
        }
        $name = is_string($figures['name']) ? trim($figures['name']) : '';
        if ($name === '' || mb_strlen($name) > 80) {
            throw new BadInput('name', 'name', 'Name the instrument, in 1 to 80 letters.');
        }
        if (array_diff((array) $figures['fits'], array_column(SurfaceKind::cases(), 'value')) !== []) {
            throw new BadInput('fits', 'fits', 'An instrument measures bores, shafts or lengths.');
        }
        if ($figures['resolution_mm'] <= 0) {
            throw new BadInput(
                'resolution',
                'resolution',
                'Say what its last digit is: without it nothing can be said of how sure it is.',
            );
        }
        $tool = Instrument::read(new Fields([...$figures, 'name' => $name]));
        DB::transaction(static function () use ($tool, $typed): void {
            OwnInstrument::store($tool, $typed);
            BenchIndex::ofInstrument($tool->code);
        });

        return new JsonResponse($this->shown($tool));
    }

    /** Back to the usual figures of its kind. */
    public function usual(string $instrument): JsonResponse
    {
        $tool = Instrument::named($instrument);
        DB::transaction(static function () use ($instrument): void {
            OwnInstrument::query()->whereKey($instrument)->delete();
            BenchIndex::ofInstrument($instrument);
        });

        return new JsonResponse($this->shown($tool));
    }

    /** Sent twice it is one check. */
    public function check(Request $request, string $instrument): JsonResponse
    {
        $tool = OwnInstrument::set()->named($instrument);
        $in = Body::of($request)->only(['id', 'read', 'true', 'at']);
        $read = $in->length('read');
        $true = $in->length('true');
        $at = $in->text('at');
        if (
            preg_match('/^(\d{4})-(\d\d)-(\d\d)(?:T\d\d:\d\d(?::\d\d(?:\.\d+)?)?(?:Z|[+-]\d\d:\d\d)?)?$/', $at, $m) !==
                1
            || ! checkdate((int) $m[2], (int) $m[3], (int) $m[1])
            || (int) $m[1] < 1900
        ) {
            throw new BadInput('time', 'at', 'When it was checked can’t be read. Write it as 2026-11-24.');
        }
        Moments::refuse($at, 'at');
        $day = (new \DateTimeImmutable($at, new \DateTimeZone('UTC')))->setTimezone(new \DateTimeZone('UTC'));
        $check = new GaugeCheck($read->length->mm, $true->length->mm, $day);
        InstrumentCheck::query()->firstOrCreate(
            ['id' => Id::of($in->text('id'))],
            [
                'instrument' => $instrument,
                'read' => $read->jsonSerialize(),
                'true' => $true->jsonSerialize(),
                'read_mm' => $check->readMm,
                'true_mm' => $check->trueMm,
                'at' => $check->at->format('Y-m-d\TH:i:s\Z'),
            ],
        );

        return new JsonResponse($this->shown($tool), 201);
    }

    /**
     * A check that was mistyped counts no more, and readings that it corrected are corrected by the one before; it
     * stays on record with its reason.
     */
    public function void(Request $request, string $instrument, string $check, JobStore $store): JsonResponse
    {
        $tool = OwnInstrument::set()->named($instrument);
        $why = trim(
            Body::of($request)
                ->only(['why'])
                ->text('why'),
        );
        if ($why === '' || mb_strlen($why) > 500) {
            throw new BadInput('why', 'why', 'Say why it does not count, in 1 to 500 letters.');
        }
        $record = InstrumentCheck::query()->where('instrument', $instrument)->findOrFail(Id::of($check, 'check'));
        DB::transaction(static function () use ($record, $why, $instrument, $store): void {
            if ($record->void_at === null) {
                $record->update(['void_at' => now()->toIso8601ZuluString(), 'void_why' => $why]);
                $store->recorrect($instrument);
            }
        });

        return new JsonResponse($this->shown($tool));
    }

    /** @return array<string, mixed> */
    private function shown(Instrument $tool): array
    {
        $records = [];
        foreach (InstrumentCheck::query()->where('instrument', $tool->code)->orderBy('at')->get() as $record) {
            assert($record instanceof InstrumentCheck);
            $records[] = $record;
        }

        return [
            'code' => $tool->code,
            'name' => $tool->name,
            'fits' => $tool->fits,
            'in_shop' => $tool->inShop,
            'figures' => self::figures($tool),
            'usual' => ! InstrumentSet::typical()->has($tool->code) ? null : Instrument::named($tool->code) == $tool,
            'sure_to' => LengthWriter::difference($tool->bestU95Mm($tool->fromMm)),
            'notes' => GaugeCheck::verdict(
                $tool,
                array_map(
                    static fn (InstrumentCheck $c): GaugeCheck => $c->check(),
                    array_values(array_filter($records, static fn (InstrumentCheck $c): bool => $c->void_at === null)),
                ),
                now()->toDateTimeImmutable(),
            ),
            'checks' => array_map(
                static fn (InstrumentCheck $c): array => [
                    'id' => $c->id,
                    'void' => $c->void_at === null ? null : (string) $c->void_why,
                    'at' => substr($c->at, 0, 10),
                    'read' => $c->typed('read'),
                    'true' => $c->typed('true'),
                    'off' => LengthWriter::difference($c->check()->correctionMm()),
                    'over' => $c->check()->correctionMm() < 0,
                ],
                $records,
            ),
        ];
    }

    /**
     * @return list<array{field: string, label: string, typed: string, unit: string, shown: ?Say}> each as it was typed, else in mm
     */
    private static function figures(Instrument $tool): array
    {
        $typed = OwnInstrument::query()->find($tool->code)->typed ?? [];
        $mm = $tool->jsonSerialize();
        $figures = [];
        foreach (self::FIGURES as $field => [$label]) {
            $value = is_float($mm["{$field}_mm"]) ? $mm["{$field}_mm"] : null;
            $figures[] = [
                'field' => $field,
                'label' => $label,
                'typed' => $typed[$field]['typed'] ?? ($value === null ? '' : (string) $value),
                'unit' => $typed[$field]['unit'] ?? 'mm',
                'shown' => $value === null ? null : LengthWriter::difference($value),
            ];
        }

        return $figures;
    }
}

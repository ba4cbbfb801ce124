<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Body;
use App\Models\InstrumentCheck;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Measure\GaugeCheck;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Quantity\LengthWriter;

/** The shop's instruments with their checks against a master. */
final class InstrumentController
{
    public function index(): JsonResponse
    {
        return new JsonResponse(['instruments' => array_map($this->shown(...), Instrument::all())]);
    }

    /** Sent twice it is one check. */
    public function check(Request $request, string $instrument): JsonResponse
    {
        $tool = Instrument::named($instrument);
        $in = Body::of($request)->only(['id', 'read', 'true', 'at']);
        $read = $in->length('read');
        $true = $in->length('true');
        try {
            $day = (new \DateTimeImmutable($in->text('at')))->setTimezone(new \DateTimeZone('UTC'));
        } catch (\Exception) {
            throw new BadInput('time', 'at', 'When it was checked can’t be read. Write it as 2026-11-24.');
        }
        $check = new GaugeCheck($read->length->mm, $true->length->mm, $day);
        InstrumentCheck::query()->firstOrCreate(['id' => $in->text('id')], [
            'instrument' => $instrument, 'read' => $read->jsonSerialize(), 'true' => $true->jsonSerialize(), 'read_mm' => $check->readMm, 'true_mm' => $check->trueMm, 'at' => $check->at->format('Y-m-d\TH:i:s\Z'),
        ]);

        return new JsonResponse($this->shown($tool), 201);
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
            'code' => $tool->code, 'name' => $tool->name, 'sure_to' => LengthWriter::difference($tool->bestU95Mm()),
            'notes' => GaugeCheck::verdict($tool, array_map(static fn (InstrumentCheck $c): GaugeCheck => $c->check(), $records), now()->toDateTimeImmutable()),
            'checks' => array_map(static fn (InstrumentCheck $c): array => [
                'at' => substr($c->at, 0, 10), 'read' => $c->typed('read'), 'true' => $c->typed('true'),
                'off' => LengthWriter::difference($c->check()->correctionMm()), 'over' => $c->check()->correctionMm() < 0,
            ], $records),
        ];
    }
}

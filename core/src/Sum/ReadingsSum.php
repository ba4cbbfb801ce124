<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Measure\Warmth;
use Oldpart\Core\Quantity\Fields;

final class ReadingsSum implements Sum
{
    public function name(): string
    {
        return 'readings';
    }

    public function says(): string
    {
        return 'Found size, mating size, form and uncertainty from a set of readings.';
    }

    public function example(): array
    {
        return [
            'kind' => 'bore',
            'readings' => [
                ['value_mm' => 28.567, 'station' => 'mouth', 'angle' => '0'],
                ['value_mm' => 28.571, 'station' => 'mouth', 'angle' => '90'],
                ['value_mm' => 28.565, 'station' => 'far end', 'angle' => '0'],
                ['value_mm' => 28.568, 'station' => 'far end', 'angle' => '90'],
            ],
            'instrument' => ['resolution_mm' => 0.001, 'mpe_mm' => 0.004, 'repeatability_mm' => 0.002],
            'temperature_u_k' => 1,
        ];
    }

    public function takes(): array
    {
        return ['kind', 'readings', 'instrument', 'alpha_per_k', 'gauge_alpha_per_k', 'temperature_u_k'];
    }

    public function run(Fields $in): array
    {
        $kind = $in->choice('kind', SurfaceKind::class);
        $tool = $in->object('instrument') ?? throw $in->bad('instrument', 'is missing.');
        $tool->only(['resolution_mm', 'mpe_mm', 'repeatability_mm', 'feel_mm', 'master_u_mm']);
        $readings = array_map(self::reading(...), $in->objects('readings'));
        $halfWidth = $in->numberOrNull('temperature_u_k') ?? 0.0;
        if ($halfWidth < 0) {
            throw $in->bad('temperature_u_k', 'cannot be below zero.');
        }
        $warm =
            array_filter($readings, static fn (Reading $r): bool => $r->partC !== null || $r->gaugeC !== null) !== [];
        $remarks =
            $warm && ! $in->has('alpha_per_k')
                ? [Note::info('alpha-steel', 'No expansion is given: it is taken as steel’s, 11.7e-6 per K.')]
                : [];

        return (new Readings(
            $kind,
            $readings,
            new Instrument(
                $tool->number('resolution_mm'),
                $tool->numberOrNull('mpe_mm') ?? 0.0,
                $tool->numberOrNull('repeatability_mm') ?? 0.0,
                $tool->numberOrNull('feel_mm') ?? 0.0,
                $tool->numberOrNull('master_u_mm') ?? 0.0,
            ),
            new Warmth(
                $in->numberOrNull('alpha_per_k') ?? Warmth::STEEL,
                $in->numberOrNull('gauge_alpha_per_k') ?? Warmth::STEEL,
                $halfWidth,
            ),
            static fn (): array => $remarks,
        ))
            ->found()
            ->jsonSerialize();
    }

    private static function reading(Fields $f): Reading
    {
        $f->only(['value_mm', 'station', 'angle', 'part_c', 'gauge_c', 'worn']);

        return new Reading(
            valueMm: $f->number('value_mm'),
            station: $f->label('station'),
            angle: $f->label('angle'),
            partC: $f->numberOrNull('part_c'),
            gaugeC: $f->numberOrNull('gauge_c'),
            worn: $f->flagOrNull('worn'),
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\Warmth;
use Oldpart\Core\Quantity\LengthWriter;

/** From a job's readings to its found sizes. */
final class FoundSurfaces
{
    /** How far a shop thermometer and a part lying beside it may differ, K. Common practice. */
    private const TEMPERATURE_UNSURE_K = 1.0;

    /** @return array<string, FoundSize> by surface id; only those with readings */
    public static function of(JobFacts $facts): array
    {
        $found = [];
        foreach ($facts->surfaces as $surface) {
            $readings = $facts->readingsOf($surface->id);
            if ($readings !== [] && $facts->partOf($surface)->origin !== Origin::Make) {
                $found[$surface->id] = self::one($facts, $surface, $readings);
            }
        }

        return $found;
    }

    /** @param  non-empty-list<ReadingFacts>  $readings */
    private static function one(JobFacts $facts, SurfaceFacts $surface, array $readings): FoundSize
    {
        $remarks = [];
        $material = self::material($facts->partOf($surface));
        $alpha = $material?->alphaPerK;
        if ($alpha === null) {
            $remarks[] = Note::info('alpha-steel', 'The material is not named yet: its expansion is taken as steel’s.');
        }
        $room = $facts->shop->temperatureC;
        $warmest = max(array_map(static fn (ReadingFacts $r): float => $r->partC ?? $room, $readings));
        if ($warmest - $room >= 2) {
            $shift = $readings[0]->value->length->mm * ($alpha ?? Warmth::STEEL) * ($warmest - $room);
            $remarks[] = Note::caution('read-warm', Say::with('Read warm, at {t} °C: it will be {shift} smaller when cool. The size is corrected for it; better, read it again cool.', [
                't' => number_format($warmest, 0), 'shift' => LengthWriter::difference($shift),
            ]));
        }

        $corrections = array_unique(array_filter(array_map(static fn (ReadingFacts $r): float => $r->correctionMm ?? 0.0, $readings)));
        foreach ($corrections as $correction) {
            $remarks[] = Note::info('corrected', Say::with('Corrected by {c}: what the gauge’s last check against a master showed.', ['c' => Say::with($correction > 0 ? '+{d}' : '−{d}', ['d' => LengthWriter::difference($correction)])]));
        }

        $apart = array_filter(array_map(static fn (ReadingFacts $r): ?float => $r->value->betweenMm, $readings));
        if ($apart !== []) {
            $remarks[] = Note::info('between-pins', Say::with('Read by pins: the size lies anywhere between the one that goes and the one that does not, {d} apart. Its middle is taken.', ['d' => LengthWriter::difference(max($apart))]));
        }

        $terms = max(array_map(static fn (ReadingFacts $r): int => $r->value->terms, $readings));
        if ($terms > 1) {
            $remarks[] = Note::info('sum-of-readings', "Typed as a sum of {$terms} sizes: the gauge's uncertainty counts for each, √{$terms} times in all. Where it was one reading, type its total.");
        }

        return (new Readings(
            $surface->kind,
            array_map(static fn (ReadingFacts $r): Reading => new Reading(
                $r->value->length->mm + ($r->correctionMm ?? 0.0), $r->station, $r->angle, $r->partC ?? $room, $r->gaugeC ?? $room, $r->worn, $r->value->betweenMm, $r->value->terms,
            ), $readings),
            self::worst($readings),
            new Warmth($alpha ?? Warmth::STEEL, Warmth::STEEL, self::TEMPERATURE_UNSURE_K),
            $remarks,
        ))->found();
    }

    public static function material(PartFacts $part): ?Material
    {
        return $part->material === null ? null : Material::named($part->material, 'material');
    }

    /**
     * Where several instruments were used the least sure of them decides.
     *
     * @param  non-empty-list<ReadingFacts>  $readings
     */
    private static function worst(array $readings): Instrument
    {
        $codes = array_unique(array_map(static fn (ReadingFacts $r): string => $r->instrument, $readings));
        $used = array_map(static fn (string $code): Instrument => Instrument::named($code, 'instrument'), array_values($codes));
        usort($used, static fn (Instrument $a, Instrument $b): int => $b->bestU95Mm() <=> $a->bestU95Mm());

        return $used[0];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Found;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Facts\ReadState;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Measure\Warmth;
use Oldpart\Core\Quantity\LengthWriter;

/** From a job's readings to its found sizes. */
final class FoundSurfaces
{
    /** How far a shop thermometer and a part lying beside it may differ, K. Common practice. */
    public const TEMPERATURE_UNSURE_K = 1.0;

    /**
     * @return array<string, FoundSize> by surface, and by dimension of one: those that stay, as they were read; and those that are cut once they were read finished
     */
    public static function of(JobFacts $facts): array
    {
        $found = [];
        $repeats = self::askedOnce($facts);
        foreach ($facts->surfaces as $whole) {
            foreach (JobFacts::readAs($whole) as $surface) {
                $key = $surface->key();
                $readings = $facts->isCut($surface)
                    ? self::inState($facts, $surface, ReadState::Done)
                    : $facts->readingsOf($key);
                if ($readings !== []) {
                    $found[$key] = self::one($facts, $surface, $readings, self::elsewhere($repeats, $key));
                }
            }
        }

        return $found;
    }

    /**
     * What surfaces that are cut were before, in every state they were read in.
     *
     * @return array<string, array<string, FoundSize>> by surface or dimension, by state
     */
    public static function before(JobFacts $facts): array
    {
        $sizes = [];
        $repeats = self::askedOnce($facts);
        $cut = array_filter($facts->surfaces, $facts->isCut(...));
        foreach (array_merge(...array_map(JobFacts::readAs(...), array_values($cut))) as $surface) {
            $key = $surface->key();
            if ($facts->readingsOf($key) === []) {
                continue;
            }
            foreach ([ReadState::Before, ReadState::BuiltUp, ReadState::Roughed] as $state) {
                $readings = self::inState($facts, $surface, $state);
                if ($readings !== []) {
                    $elsewhere = self::elsewhere($repeats, $key);
                    $sizes[$key][$state->value] = self::one($facts, $surface, $readings, $elsewhere);
                }
            }
        }

        return $sizes;
    }

    /**
     * Sizes that were typed with how sure they are; one that was read counts as it was read.
     *
     * @return array<string, FoundSize>
     */
    public static function typed(JobFacts $facts): array
    {
        $typed = [];
        foreach ($facts->surfaces as $surface) {
            $mm = $surface->size->length->mm ?? 0.0;
            $sure = $surface->sure->length->mm ?? null;
            if ($mm > 0 && $sure !== null && ! $facts->isCut($surface)) {
                $typed[$surface->id] = FoundSize::typed(
                    $surface->kind,
                    $mm,
                    $sure,
                    Note::caution(
                        'typed',
                        Say::with(
                            'Nobody measured it: {s}'.self::from($surface).', taken as sure to ±{h} as typed. Measure it before you cut to it.',
                            ['s' => LengthWriter::sizeInWords($mm), 'h' => LengthWriter::difference($sure)],
                        ),
                    ),
                );
            }
        }

        return $typed;
    }

    private static function from(SurfaceFacts $surface): string
    {
        return $surface->source === null ? '' : " ({$surface->source->value})";
    }

    /** @return list<ReadingFacts> that count */
    public static function inState(JobFacts $facts, SurfaceFacts $surface, ReadState $state): array
    {
        return array_values(
            array_filter(
                $facts->readingsOf($surface->key()),
                static fn (ReadingFacts $r): bool => $r->state === $state,
            ),
        );
    }

    /**
     * Where every surface has repeats enough of its own nobody asks how the others repeat.
     *
     * @return \Closure(): array<string, array<string, array{squares: float, dof: int}>>
     */
    private static function askedOnce(JobFacts $facts): \Closure
    {
        $once = null;

        return static function () use (&$once, $facts): array {
            return $once ??= self::repeats($facts);
        };
    }

    /**
     * @return array<string, array<string, array{squares: float, dof: int}>> how each instrument repeats within a spot, by its code, then by surface; mm²
     */
    private static function repeats(JobFacts $facts): array
    {
        $spots = [];
        foreach ($facts->readings as $r) {
            // Pins, sums and comparisons scatter in their own way.
            if (
                $r->setAside === null
                && $r->value->betweenMm === null
                && $r->value->masterMm === null
                && count($r->value->weights) === 1
            ) {
                $spots[$r->instrument][$r->of()][$r->spot][] = $r->value->length->mm;
            }
        }
        $repeats = [];
        foreach ($spots as $instrument => $surfaces) {
            foreach ($surfaces as $surface => $bySpot) {
                $squares = 0.0;
                $dof = 0;
                foreach ($bySpot as $values) {
                    $mean = array_sum($values) / count($values);
                    foreach ($values as $value) {
                        $squares += ($value - $mean) ** 2;
                    }
                    $dof += count($values) - 1;
                }
                if ($dof > 0) {
                    $repeats[$instrument][$surface] = ['squares' => $squares, 'dof' => $dof];
                }
            }
        }

        return $repeats;
    }

    /**
     * @param  \Closure(): array<string, array<string, array{squares: float, dof: int}>>  $repeats
     * @return \Closure(string): array{squares: float, dof: int} of an instrument by its code, over all other surfaces
     */
    private static function elsewhere(\Closure $repeats, string $surface): \Closure
    {
        return static function (string $instrument) use ($repeats, $surface): array {
            $others = $repeats()[$instrument] ?? [];
            unset($others[$surface]);

            return [
                'squares' => (float) array_sum(array_column($others, 'squares')),
                'dof' => (int) array_sum(array_column($others, 'dof')),
            ];
        };
    }

    /**
     * @param  non-empty-list<ReadingFacts>  $readings
     * @param  \Closure(string): array{squares: float, dof: int}  $elsewhere
     */
    private static function one(JobFacts $facts, SurfaceFacts $surface, array $readings, \Closure $elsewhere): FoundSize
    {
        $tools = $facts->shop->instruments;
        $alpha = self::material($facts->partOf($surface))?->alphaPerK;
        $room = $facts->shop->temperatureC;
        $seen = ['corrections' => [], 'masters' => [], 'tools' => []];
        [$apart, $jaws, $most, $warmest, $taken] = [0.0, 0.0, 1, $room, []];
        $flat = $surface->kind === SurfaceKind::Bore;
        foreach ($readings as $r) {
            $tool = $seen['tools'][$r->instrument] ??= $tools->named($r->instrument);
            $value = $r->value;
            $size = $value->length->mm;
            $correction = $r->correctionMm === null ? 0.0 : self::correction($r);
            $shift = $flat && $tool->jawFlatMm > 0 ? $tool->jawShiftMm($surface->kind, $size)->middle() : 0.0;
            $taken[] = new Reading(
                valueMm: $size + $correction + $shift,
                station: $r->station,
                angle: $r->angle,
                partC: $r->partC ?? $room,
                gaugeC: $r->gaugeC ?? $room,
                worn: $r->worn,
                betweenMm: $value->betweenMm,
                weights: $value->weights,
                masterMm: $value->masterMm,
                instrument: $tool,
                spot: $r->spot,
            );
            if ($correction !== 0.0) {
                $seen['corrections'][] = $correction;
            }
            if ($value->masterMm !== null) {
                $seen['masters'][] = $value->masterMm;
            }
            if ($value->betweenMm > $apart) {
                $apart = $value->betweenMm;
            }
            if ($shift > $jaws) {
                $jaws = $shift;
            }
            if (count($value->weights) > $most) {
                $most = count($value->weights);
            }
            if ($r->partC > $warmest) {
                $warmest = $r->partC;
            }
        }
        $seen['tools'] = array_keys($seen['tools']);
        $seen += ['apart' => $apart, 'jaws' => $jaws, 'most' => $most, 'warmest' => $warmest];
        $first = $readings[0]->value->length->mm;

        return (new Readings(
            kind: $surface->kind,
            readings: $taken,
            instrument: $taken[0]->instrument ?? $tools->named($readings[0]->instrument),
            warmth: new Warmth($alpha ?? Warmth::STEEL, Warmth::STEEL, self::TEMPERATURE_UNSURE_K),
            remarks: static fn (): array => self::remarks($first, $alpha, $room, $seen),
            elsewhere: $elsewhere,
        ))->found();
    }

    /**
     * @param  float  $first  reading, mm
     * @param  array{corrections: list<float>, apart: float, masters: list<float>, tools: list<string>, jaws: float, most: int, warmest: float}  $seen  among the readings
     * @return list<Note>
     */
    private static function remarks(float $first, ?float $alpha, float $room, array $seen): array
    {
        $remarks = [];
        if ($alpha === null) {
            $remarks[] = Note::info('alpha-steel', 'The material is not named yet: its expansion is taken as steel’s.');
        }
        if ($seen['warmest'] - $room >= 2) {
            $shift = $first * ($alpha ?? Warmth::STEEL) * ($seen['warmest'] - $room);
            $remarks[] = Note::caution(
                'read-warm',
                Say::with(
                    'Read warm, at {t} °C: it will be {shift} smaller when cool. The size is corrected for it; better, read it again cool.',
                    ['t' => number_format($seen['warmest'], 0), 'shift' => LengthWriter::difference($shift)],
                ),
            );
        }
        foreach (array_unique($seen['corrections']) as $correction) {
            $remarks[] = Note::info(
                'corrected',
                Say::with('Corrected by {c}: what the gauge’s last check against a master showed.', [
                    'c' => Say::with($correction > 0 ? '+{d}' : '−{d}', ['d' => LengthWriter::difference($correction)]),
                ]),
            );
        }
        if ($seen['jaws'] > 0) {
            $remarks[] = Note::info(
                'jaws',
                Say::with(
                    'The calliper’s inside jaws are flat and read a bore small: {d} is added, half as much again either way is in the doubt.',
                    ['d' => LengthWriter::difference($seen['jaws'])],
                ),
            );
        }
        if ($seen['apart'] > 0) {
            $remarks[] = Note::info(
                'between-pins',
                Say::with(
                    'Read by pins: the size lies anywhere between the one that goes and the one that does not, {d} apart. Its middle is taken.',
                    ['d' => LengthWriter::difference($seen['apart'])],
                ),
            );
        }
        $most = $seen['most'];
        if ($most > 1) {
            $remarks[] = Note::info(
                'sum-of-readings',
                "Typed as a sum of {$most} sizes: the gauge counts for each, by how often the size stands in the sum. Where it was one reading, type its total.",
            );
        }
        foreach (array_unique($seen['masters']) as $master) {
            $remarks[] = Note::info(
                'compared',
                Say::with(
                    'Compared with a master of {m}: the gauge’s long-range error drops out, the master’s own takes its place.',
                    ['m' => LengthWriter::sizeInWords($master)],
                ),
            );
        }
        if (count($seen['tools']) > 1) {
            $remarks[] = Note::info(
                'several-instruments',
                'Read with several instruments: each place is as sure as what read it. Set a rough reading aside where a better one took its place.',
            );
        }

        return $remarks;
    }

    /**
     * The gauge's zero error counts as often as its sizes do: not at all in a difference, or where it was set on a
     * master.
     */
    private static function correction(ReadingFacts $r): float
    {
        return $r->correctionMm === null || $r->value->masterMm !== null
            ? 0.0
            : $r->correctionMm * array_sum($r->value->weights);
    }

    public static function material(PartFacts $part): ?Material
    {
        return $part->material === null ? null : Material::named($part->material, 'material');
    }
}

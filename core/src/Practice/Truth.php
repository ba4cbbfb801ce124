<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Gauge\TrueShape;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Fields;

/** What is true of a practice job and nobody is told: drawn from its lesson and its seed, the same every time. */
final readonly class Truth
{
    /** A blank is so much too large outside, and so much too small inside, mm. */
    public const STOCK_MM = 2.0;

    private const MAY_BE_OFF = ['outside-micrometer', 'three-point', 'telescoping'];

    /**
     * @param  array<string, TrueSurface>  $surfaces  by surface, at the beginning
     * @param  array<string, float>  $gaugeErrors  by instrument: what it reads too much all the time, mm
     * @param  array<string, string>  $materials  by part: what it really is of
     * @param  array<string, float>  $warm  by part: how warm it is at the beginning, °C
     * @param  list<array{name: string, mm: float, long: float}>  $bars  on the rack
     */
    private function __construct(
        public int $seed,
        public array $surfaces,
        public array $gaugeErrors,
        public TrueLathe $lathe,
        public array $materials,
        public array $warm,
        public float $roomC,
        /** How far the two bores are out of line, mm. */
        public float $outOfLineMm,
        public array $bars,
        public float $spindleMm,
    ) {
    }

    /**
     * @param  JobFacts  $laid  as the lesson lays it out
     */
    public static function of(Lesson $lesson, int $seed, JobFacts $laid): self
    {
        $hard = $lesson->level === Level::Hard;
        $easy = $lesson->level === Level::Easy;
        $given = new Fields($lesson->truth);
        $scale = Drawn::scale($lesson, $seed);
        $roomC = Drawn::roomC($lesson, $seed);
        $materials = self::materials($laid, $given->object('materials') ?? new Fields([]), $seed);
        $surfaces = [];
        foreach ($laid->surfaces as $surface) {
            $row = $given->object('surfaces')?->object($surface->name) ?? new Fields([]);
            $drawn = self::drawn($surface, $scale, $lesson, new Dice($seed, "surface-{$surface->name}"));
            $at = ['metal' => $materials[$surface->part], 'room' => $roomC];
            $true = self::surface($laid, $surface, $row, $drawn, $at);
            if ($true !== null) {
                $surfaces[$surface->id] = $true;
            }
        }
        $lathe = $given->object('lathe') ?? new Fields([]);
        $dice = new Dice($seed, 'lathe');

        return new self(
            seed: $seed,
            surfaces: $surfaces,
            gaugeErrors: self::gaugeErrors($laid, $given->object('gauges') ?? new Fields([]), $seed, $hard && $lesson->trap === null),
            lathe: new TrueLathe(
                springs: $lathe->numberOrNull('springs') ?? ($easy ? 0.04 : $dice->even(0.03, 0.12)),
                backlashMm: $lathe->numberOrNull('backlash_mm') ?? ($hard ? $dice->even(0.01, 0.06) : 0.0),
                taperPer100: $lathe->numberOrNull('taper_per_100') ?? ($easy ? 0.002 : 0.006 * $dice->normal()),
                scatterMm: $lathe->numberOrNull('scatter_mm') ?? ($easy ? 0.0015 : 0.0025),
                onRadius: $lathe->flagOrNull('on_radius') ?? false,
            ),
            materials: $materials,
            warm: self::warm($laid, $given->object('warm') ?? new Fields([]), $seed, $roomC, $lesson),
            roomC: $roomC,
            outOfLineMm: $given->numberOrNull('out_of_line_mm') ?? 0.0,
            bars: array_map(
                static fn (Fields $bar): array => [
                    'name' => $bar->text('name'),
                    'mm' => $bar->number('mm'),
                    'long' => $bar->number('long'),
                ],
                $given->objects('bars'),
            ),
            spindleMm: $given->numberOrNull('spindle_mm') ?? 38.0,
        );
    }

    /** What drawing by the seed makes of a surface where the lesson says nothing: wear, form, burrs. */
    private static function drawn(SurfaceFacts $surface, float $scale, Lesson $lesson, Dice $dice): Drawn
    {
        $level = $lesson->level;
        $nominal = Drawn::nominalMm($surface->sketch->size ?? 0.0, $scale, $lesson->unit);
        $round = $surface->kind !== SurfaceKind::Length;
        [$wear, $form, $burrs] = match ($level) {
            Level::Easy => [0.012, 0.0, 0.0],
            Level::Fair => [0.02, 0.006, 0.15],
            Level::Hard => [0.03, 0.012, 0.3],
        };

        return new Drawn(
            nominalMm: $nominal,
            wearMm: $dice->worn($wear),
            ovalityMm: $round ? min(0.04, $dice->worn(max(1e-6, $form))) : 0.0,
            taperMm: $round ? max(-0.03, min(0.03, $form * $dice->normal())) : 0.0,
            lobesMm: $round && $level === Level::Hard ? min(0.008, $dice->worn(0.002)) : 0.0,
            burrMm: $dice->happens($burrs) ? 0.02 + $dice->worn(0.02) : 0.0,
        );
    }

    /**
     * Null for what has no size of its own.
     *
     * @param  array{metal: string, room: float}  $at
     */
    private static function surface(
        JobFacts $laid,
        SurfaceFacts $surface,
        Fields $row,
        Drawn $drawn,
        array $at,
    ): ?TrueSurface {
        if (($surface->sketch->size ?? 0.0) <= 0.0) {
            return null;
        }
        $part = $laid->partOf($surface);
        $make = $part->origin === Origin::Make;
        $nominal = $row->numberOrNull('size_mm') ?? $drawn->nominalMm;
        $sign = match ($surface->kind) {
            SurfaceKind::Bore => 1,
            SurfaceKind::Shaft => -1,
            SurfaceKind::Length => 0,
        };
        $worn = $surface->type->isSized() && $part->origin === Origin::Found;
        $stock = $row->numberOrNull('stock_mm') ?? self::STOCK_MM;
        $size = match (true) {
            ! $make => $nominal + ($worn ? $sign * ($row->numberOrNull('wear_mm') ?? $drawn->wearMm) : 0.0),
            ! $surface->type->isSized() => $nominal,
            $surface->kind === SurfaceKind::Bore => max(1.0, $nominal - $stock),
            default => $nominal + $stock,
        };

        return new TrueSurface(
            id: $surface->id,
            part: $part->id,
            kind: $surface->kind,
            shape: new TrueShape(
                sizeMm: $size,
                ovalityMm: $worn ? ($row->numberOrNull('ovality_mm') ?? $drawn->ovalityMm) : 0.0,
                taperMm: $worn ? ($row->numberOrNull('taper_mm') ?? $drawn->taperMm) : 0.0,
                lobesMm: $worn ? ($row->numberOrNull('lobes_mm') ?? $drawn->lobesMm) : 0.0,
                temperatureC: $at['room'],
                alphaPerK: Material::named($at['metal'])->alphaPerK ?? 11.7e-6,
            ),
            burrMm: $worn ? ($row->numberOrNull('burr_mm') ?? $drawn->burrMm) : 0.0,
            otherFaceMm: $row->numberOrNull('other_face_mm') ?? 0.0,
            offCentreMm: $row->numberOrNull('off_centre_mm') ?? 0.0,
            cut: $laid->isCut($surface),
            longMm: max(2.0, $surface->sketch->long ?? 20.0),
        );
    }

    /**
     * Each gauge carries an error of its own within what it may have; of a hard job one carries more.
     *
     * @return array<string, float>
     */
    private static function gaugeErrors(JobFacts $laid, Fields $given, int $seed, bool $oneIsOff): array
    {
        $errors = [];
        foreach ($laid->shop->instruments->all() as $tool) {
            // Each its own, whatever other gauges the shop has.
            $dice = new Dice($seed, "gauge-{$tool->code}");
            $own = $tool->mpeMm * $dice->even(-1, 1) + ($tool->masterUMm / 2) * $dice->normal();
            $errors[$tool->code] = $given->numberOrNull($tool->code) ?? $own;
        }
        $able = array_values(array_filter(
            $laid->shop->instruments->all(),
            static fn (Instrument $i): bool => in_array($i->code, self::MAY_BE_OFF, true),
        ));
        if ($oneIsOff && $able !== []) {
            $dice = new Dice($seed, 'which-gauge');
            $bad = $dice->pick($able);
            $errors[$bad->code] = ($dice->happens(0.5) ? 1 : -1) * max(0.012, $bad->mpeMm * $dice->even(2, 4));
        }

        return $errors;
    }

    /** @return array<string, string> */
    private static function materials(JobFacts $laid, Fields $given, int $seed): array
    {
        return array_map(
            static fn (PartFacts $part): string => $given->textOrNull($part->name)
                ?? $part->material
                ?? Metals::of($laid, $part->id, $seed),
            array_column($laid->parts, null, 'id'),
        );
    }

    /** @return array<string, float> */
    private static function warm(JobFacts $laid, Fields $given, int $seed, float $roomC, Lesson $lesson): array
    {
        $warm = [];
        foreach ($laid->parts as $part) {
            $dice = new Dice($seed, "warm-{$part->name}");
            $often = $lesson->trap === null && $lesson->level === Level::Hard && $part->origin === Origin::Found;
            $is = $given->numberOrNull($part->name)
                ?? ($often && $dice->happens(0.25) ? $roomC + $dice->even(6, 20) : null);
            if ($is !== null) {
                $warm[$part->id] = $is;
            }
        }

        return $warm;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shapes;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Found\JudgedSurface;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Shape\Cell;
use Oldpart\Core\Shape\SurfaceType;
use Oldpart\Core\Shape\WeakPlaces;

/** What is there: datums, parts and their metal, places to change rather than copy, what to think of. */
final readonly class JobSurvey
{
    /**
     * @param  list<JudgedPart>  $parts
     * @param  list<Note>  $hints
     * @param  list<string>  $minds
     * @param  list<array{name: string, changes: list<array{list: string, thing: string, fact: array<string, mixed>}>}>  $offers  what such a job may have beside
     */
    private function __construct(
        public Datums $datums,
        public array $parts,
        public array $hints,
        public array $minds,
        public ?string $causeSays,
        public array $offers,
    ) {
    }

    /** @param  list<JudgedSurface>  $surfaces */
    public static function of(JobFacts $facts, JobShapes $shapes, array $surfaces): self
    {
        $hints = [];
        foreach ($facts->parts as $part) {
            array_push($hints, ...self::hints($part, $facts, $shapes->shapes[$part->id], $shapes->sizes));
        }

        $kind = Kind::orNull($facts->kind);

        return new self(
            datums: Datums::of($facts),
            parts: array_map(
                static fn (PartFacts $p): JudgedPart => JudgedPart::of($p, $shapes, $surfaces),
                $facts->parts,
            ),
            hints: $hints,
            minds: $kind->minds ?? [],
            causeSays: $facts->takeIn->cause?->advice(),
            offers: $kind?->offers($facts) ?? [],
        );
    }

    /** @return list<Note> */
    private static function hints(PartFacts $part, JobFacts $facts, PartShape $shape, Sizes $sizes): array
    {
        $material = FoundSurfaces::material($part);
        $weak = in_array($material?->family, ['cast iron', 'aluminium', 'white metal', 'plastic'], true);
        $notes = [];
        foreach ($facts->surfacesOf($part->id) as $surface) {
            $mm = $sizes->known($surface);
            $extent = $shape->extent($surface);
            if (
                $surface->type === SurfaceType::HolePattern
                && $mm !== null
                && $surface->size2 !== null
                && $extent !== null
            ) {
                $outside = self::outsideRound($shape, $extent, $mm);
                $notes[] =
                    $outside === null
                        ? WeakPlaces::offPart($surface->name, $mm, 2 * $shape->walls->largestMm(), $surface->id)
                        : WeakPlaces::edge(
                            name: $surface->name,
                            circleMm: $mm,
                            holeMm: max(1e-6, $surface->size2->length->mm),
                            outsideMm: $outside,
                            weakMetal: $weak,
                            about: $surface->id,
                        );
            }
            if ($surface->type === SurfaceType::ThreadInside && $weak && $material !== null) {
                $notes[] = WeakPlaces::thread(
                    $surface->name,
                    $mm ?? 0.0,
                    $mm === null ? null : $surface->long?->length->mm,
                    $material->name,
                    $surface->id,
                );
            }
        }
        if ($part->origin === Origin::Make && $shape->body() !== null) {
            $notes[] = self::thinnest($part, $shape);
        }

        return array_values(array_filter($notes));
    }

    /**
     * The outside that a circle of holes comes near: the smallest round it where it is said to be, or else anywhere on
     * the part.
     *
     * @param  array{float, float}  $extent
     * @return ?float the diameter, mm; null where the circle lies off the part
     */
    private static function outsideRound(PartShape $shape, array $extent, float $circleMm): ?float
    {
        $round = array_filter(
            $shape->walls->cells,
            static fn (Cell $c): bool => $c->outerStartMm + $c->outerEndMm > $circleMm,
        );
        $here = array_filter(
            $round,
            static fn (Cell $c): bool => min($c->toMm, $extent[1]) - max($c->fromMm, $extent[0]) > 1e-6,
        );
        $outside = array_map(
            static fn (Cell $c): float => $c->outerStartMm + $c->outerEndMm,
            $here === [] ? $round : $here,
        );

        return $outside === [] ? null : min($outside);
    }

    private static function thinnest(PartFacts $part, PartShape $shape): ?Note
    {
        $wall = $diameter = INF;
        foreach ($shape->walls->cells as $cell) {
            $here =
                min($cell->outerStartMm - $cell->innerStartMm, $cell->outerEndMm - $cell->innerEndMm) -
                abs($cell->offsetMm);
            if ($cell->innerStartMm > 0 && $here < $wall) {
                [$wall, $diameter] = [$here, $cell->outerStartMm + $cell->outerEndMm];
            }
        }

        return is_finite($wall) && $wall > 0 ? WeakPlaces::thinWall($part->name, $wall, $diameter, $part->id) : null;
    }
}

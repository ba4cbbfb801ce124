<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\ReadState;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Shape\SurfaceType;

/** What is known of the sizes of shapes: to be made, read, or noted at the survey. */
final readonly class ShapeSizes
{
    /**
     * @param  array<string, FoundSize>  $found  by surface, and by dimension of one
     * @param  array<string, array<string, FoundSize>>  $before  of what is cut, by surface or dimension, by state
     * @param  array<string, Band>  $bands  of what is sized otherwise, by surface
     */
    public function __construct(
        public JobFacts $facts,
        private array $found,
        private array $before,
        private array $bands,
    ) {
    }

    /** Of what is there, or was there before it is cut; null where nobody read or noted it. */
    public function of(SurfaceFacts $surface, string $what = ''): ?KnownSize
    {
        $key = $what === '' ? $surface->id : "{$surface->id}/{$what}";
        $band = $what === '' && ! isset($this->found[$key]) ? $this->bands[$key] ?? null : null;
        if ($band !== null) {
            return new KnownSize($band->middleMm(), $band->widthMm() / 2, true);
        }
        $read = $this->found[$key] ?? $this->before[$key][ReadState::Before->value] ?? null;
        if ($read !== null) {
            // Elsewhere along a taper it has another size.
            $mm = $what === '' && $surface->type->isTaper() && $read->stations !== []
                ? $read->stations[SurfaceFacts::TAPER_BEGINS] ?? array_values($read->stations)[0]
                : $read->meanMm;

            return new KnownSize($mm, $read->sureMm(), true);
        }
        $noted = match ($what) {
            '' => $surface->size,
            'far' => $surface->size2,
            'over' => $surface->long,
            'pitch' => $surface->pitch,
            default => null,
        };

        return $noted === null || $noted->length->mm <= 0
            ? null
            : new KnownSize($noted->length->mm, $surface->sure->length->mm ?? 0.0, false);
    }

    /** How long the round is that a groove or slot of this part lies in, mm; its own length first. */
    public function lengthOf(SurfaceFacts $groove): ?float
    {
        foreach ($this->facts->surfacesOf($groove->part) as $surface) {
            $long = $surface->long->length->mm ?? null;
            if (
                $long !== null && $long > 0 && $surface->type === (
                    $groove->type === SurfaceType::GrooveInside ? SurfaceType::Bore : SurfaceType::Shaft
                )
            ) {
                return $long;
            }
        }
        foreach ($this->facts->surfacesOf($groove->part) as $surface) {
            $known = $surface->type === SurfaceType::Length ? $this->of($surface) : null;
            if ($known !== null) {
                return $known->mm;
            }
        }

        return null;
    }

    /** Read finished, for the record. */
    public function done(SurfaceFacts $surface, string $what): ?FoundSize
    {
        $key = $what === '' ? $surface->id : "{$surface->id}/{$what}";

        return $this->facts->isCut($surface) ? $this->found[$key] ?? null : null;
    }

    /** The round a slot or flat is cut in: the one of its part that reaches over where it begins, or the only one. */
    public function round(SurfaceFacts $slot, SurfaceType $type): ?KnownSize
    {
        $own = $this->of($slot, 'round');
        if ($own !== null) {
            return $own;
        }
        $at = $slot->at->length->mm ?? $slot->sketch->at ?? 0.0;
        [$best, $begins, $only] = [null, -INF, null];
        foreach ($this->facts->surfacesOf($slot->part) as $surface) {
            $known = $surface->type === $type ? $this->of($surface) : null;
            if ($known === null) {
                continue;
            }
            $from = $surface->at->length->mm ?? $surface->sketch->at ?? 0.0;
            $long = $surface->long->length->mm ?? $surface->sketch->long ?? INF;
            // Where two steps meet, it lies on the one that begins there.
            if ($at >= $from - 1e-9 && $at <= $from + $long && $from > $begins) {
                [$best, $begins] = [$known, $from];
            }
            $only ??= $known;
        }

        return $best ?? $only;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Facts\TakeOffFacts;
use Oldpart\Core\Making\TakeOff;

/** What the lathe took off for what was dialled, kept by metal, by inside and outside, and by how far it stands out. */
final class Learned
{
    /** Longer than so many times as thick, and it springs away from the tool. Common practice. */
    private const SLENDER = 3.0;

    /** Of one job's cuts of a kind only the latest count, so that one long job does not drown others. */
    private const MOST = 12;

    /** What earlier cuts like those on this surface say; null while they are too few, or its metal is not known. */
    public static function forSurface(JobFacts $facts, SurfaceFacts $surface): ?TakeOff
    {
        $like = self::kindOf($facts, $surface);
        if ($like === null || $facts->shop->takeOffs === []) {
            return null;
        }
        $ratios = [];
        foreach ($facts->shop->takeOffs as $earlier) {
            array_push($ratios, ...($earlier->isLike($like) ? $earlier->ratios : []));
        }

        return TakeOff::of($ratios);
    }

    /**
     * What is known of each kind of cut, in words.
     *
     * @param  list<TakeOffFacts>  $earlier
     * @return list<string>
     */
    public static function inWords(array $earlier): array
    {
        $says = [];
        $done = [];
        foreach ($earlier as $kind) {
            $known = array_filter($done, static fn (TakeOffFacts $k): bool => $k->isLike($kind));
            if ($known !== []) {
                continue;
            }
            $done[] = $kind;
            $ratios = array_merge(...array_map(
                static fn (TakeOffFacts $t): array => $t->isLike($kind) ? $t->ratios : [],
                $earlier,
            ));
            $where = ($kind->inside ? 'inside' : 'outside').($kind->slender ? ', long and thin' : '');
            $off = TakeOff::of($ratios);
            $says[] = "{$kind->metal}, {$where}: ".($off === null
                ? count($ratios).' cuts, too few to go by'
                : $off->says());
        }

        return $says;
    }

    /**
     * What the cuts of a job have to say to later ones.
     *
     * @param  ?string  $since  only those logged from then on; null: all
     * @return list<TakeOffFacts>
     */
    public static function ofJob(JobFacts $facts, ?string $since = null): array
    {
        /** @var array<string, TakeOffFacts> $kinds */
        $kinds = [];
        $ratios = [];
        $seen = [];
        foreach ($facts->cuts as $cut) {
            $of = "{$cut->surface}:{$cut->phase->value}:{$cut->piece}";
            $surface = $facts->surface($cut->surface);
            if (isset($seen[$of]) || $surface === null) {
                continue;
            }
            $seen[$of] = true;
            $kind = self::kindOf($facts, $surface);
            if ($kind === null) {
                continue;
            }
            $key = (string) json_encode($kind);
            $kinds[$key] = $kind;
            foreach (CutLog::of($facts, $surface, $cut->phase, $cut->piece)->taken() as [$logged, $taken]) {
                if ($taken->dialledMm > 0 && ($since === null || ($logged->at ?? '') >= $since)) {
                    $ratios[$key][] = round($taken->removedMm / $taken->dialledMm, 4);
                }
            }
        }
        $learned = [];
        foreach ($ratios as $key => $of) {
            $kind = $kinds[$key];
            $learned[] = new TakeOffFacts(
                $kind->metal,
                $kind->inside,
                $kind->slender,
                array_slice($of, -self::MOST),
            );
        }

        return $learned;
    }

    private static function kindOf(JobFacts $facts, SurfaceFacts $surface): ?TakeOffFacts
    {
        $metal = FoundSurfaces::material($facts->partOf($surface))?->family;
        $round = $surface->type->isInside() || $surface->type->isOutside();
        if ($metal === null || ! $round) {
            return null;
        }
        $thick = $surface->size?->length->mm ?? 0.0;
        $slender = $surface->long !== null && $thick > 0 && $surface->long->length->mm > self::SLENDER * $thick;

        return new TakeOffFacts($metal, $surface->type->isInside(), $slender, []);
    }
}

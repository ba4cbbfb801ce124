<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Facts\Hand;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Thread\Thread;

/** A link with a left- and a right-hand end: what a turn of it does, and how far it can be set. */
final class LinkEnds
{
    /**
     * @param  float  $mates  of engagement at least, in the thread's outside
     * @return list<ShapeNumber> none where its part has no end of the other hand
     */
    public static function of(ShapeCase $case, Thread $thread, float $mates): array
    {
        $other = self::other($case);
        if ($other === null) {
            return [];
        }
        $pitch = $other->pitch->length->mm ?? $thread->pitchMm;
        $numbers = [ShapeNumber::size('A turn changes the length by', $thread->pitchMm + $pitch)];
        $lengths = array_filter(
            [$case->surface->long->length->mm ?? null, $case->mate->long->length->mm ?? null],
            static fn (?float $mm): bool => $mm !== null,
        );
        $least = $mates * $thread->majorMm;
        if ($lengths !== [] && min($lengths) > $least) {
            $numbers[] = ShapeNumber::size('Each end may come out by', min($lengths) - $least);
        }

        return $numbers;
    }

    private static function other(ShapeCase $case): ?SurfaceFacts
    {
        $left = $case->surface->hand === Hand::Left;
        foreach ($case->sizes->facts->surfacesOf($case->surface->part) as $surface) {
            $isLeft = $surface->hand === Hand::Left;
            if ($surface->id !== $case->surface->id && $surface->type === $case->surface->type && $isLeft !== $left) {
                return $surface;
            }
        }

        return null;
    }

    /** Engaged by the metal of the hole: of its mate for a screw. */
    public static function engaged(ShapeCase $case, bool $inside): float
    {
        $hole = $inside ? $case->surface : $case->mate;

        return Engagement::inDiameters(
            $hole === null ? null : FoundSurfaces::material($case->sizes->facts->partOf($hole)),
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Pattern\HoleCircle;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Unit;

/** A hole circle as it is said, or by what was read of it. */
final readonly class KnownPattern
{
    private function __construct(
        public HoleCircle $circle,
        public float $u95Mm,
        public ?float $holeMm,
        public string $how,
        public bool $isRead,
    ) {
    }

    /**
     * From one hole's centre to the next: over or between pins, by the edges and a hole, or by both edges alone.
     *
     * @return array{?KnownSize, string} and how it was read
     */
    private static function chord(ShapeSizes $sizes, SurfaceFacts $surface): array
    {
        $near = $sizes->of($surface, 'near-edges');
        $far = $sizes->of($surface, 'far-edges');
        if ($near !== null && $far !== null) {
            $middle = new KnownSize(($near->mm + $far->mm) / 2, hypot($near->u95Mm, $far->u95Mm) / 2, true);

            return [$middle, 'Between the near and over the far edges of two neighbours, halved.'];
        }
        foreach (
            [
                ['over-pins', 'pin', -1, 'Over pins in two neighbours.'],
                ['between-pins', 'pin', 1, 'Between pins in two neighbours.'],
                ['far-edges', 'hole', -1, 'Over the far edges of two neighbours, less a hole.'],
                ['near-edges', 'hole', 1, 'Between the near edges of two neighbours, and a hole.'],
            ] as [$what, $other, $sign, $how]
        ) {
            [$read, $size] = [$sizes->of($surface, $what), $sizes->of($surface, $other)];
            if ($read !== null && $size !== null) {
                return [new KnownSize($read->mm + $sign * $size->mm, hypot($read->u95Mm, $size->u95Mm), true), $how];
            }
        }

        return [null, ''];
    }

    /**
     * As it is said; else by two neighbours; else as it was read or noted.
     *
     * @param  ?int  $holes  of what it meets, where nobody counted its own
     *
     * @throws BadInput where what is said or read makes no circle
     */
    public static function of(ShapeSizes $sizes, SurfaceFacts $surface, Unit $unit, ?int $holes): ?self
    {
        $n = $surface->count ?? $holes;
        if ($n === null) {
            return null;
        }
        $hole = $sizes->of($surface, 'hole')->mm ?? $surface->size2->length->mm ?? null;
        $start = $surface->angleDeg ?? 0.0;
        $said = trim((string) preg_replace('/\bcircle\b/i', '', $surface->shape ?? ''));
        if ($said !== '') {
            $mm = LengthReader::read($said, $unit)->length->mm;

            return new self(new HoleCircle($n, $mm, $start), 0.0, $hole, "As typed: {$surface->shape}.", false);
        }
        [$chord, $how] = $n > 1 ? self::chord($sizes, $surface) : [null, ''];
        if ($chord !== null) {
            $found = HoleCircle::fromChord($n, $chord->mm);

            return new self(
                new HoleCircle($n, $found->diameterMm, $start),
                $chord->u95Mm / HoleCircle::ofCircle($n, 1),
                $hole,
                $how,
                true,
            );
        }
        $size = $sizes->of($surface);

        return $size === null
            ? null
            : new self(
                new HoleCircle($n, $size->mm, $start),
                $size->u95Mm,
                $hole,
                $size->isRead ? 'As it was read.' : 'As noted at the survey.',
                $size->isRead,
            );
    }
}

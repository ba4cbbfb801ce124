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
     * As it is said; else over or between pins in two neighbours; else as it was read or noted.
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
        $pin = $sizes->of($surface, 'pin');
        $over = $sizes->of($surface, 'over-pins');
        $between = $sizes->of($surface, 'between-pins');
        $read = $over ?? $between;
        if ($n > 1 && $read !== null && $pin !== null) {
            $chord = $read->mm + ($over !== null ? -1 : 1) * $pin->mm;
            $found = HoleCircle::fromChord($n, $chord);

            return new self(
                new HoleCircle($n, $found->diameterMm, $start),
                hypot($read->u95Mm, $pin->u95Mm) / HoleCircle::ofCircle($n, 1),
                $hole,
                ($over !== null ? 'Over' : 'Between').' pins in two neighbours.',
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

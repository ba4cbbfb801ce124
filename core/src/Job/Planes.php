<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Shape\SurfaceType;

/**
 * Where a part's surfaces begin and end along its axis. They start where the sketch puts them; each length that is known
 * then moves everything beyond its far end, the short lengths first.
 */
final class Planes
{
    /** @var array<string, float> from a plane of the sketch (by its own place, written out) to where it is, mm */
    private array $places = [];

    /** At least one length along the axis is known. */
    public readonly bool $anyKnown;

    /** @param  list<SurfaceFacts>  $surfaces of one part */
    public function __construct(array $surfaces, private readonly Sizes $sizes)
    {
        $known = [];
        $noted = false;
        foreach ($surfaces as $surface) {
            foreach ($this->sketch($surface) ?? [] as $plane) {
                $this->places[self::key($plane)] = $plane;
            }
            $noted = $noted || $surface->source !== null && $surface->long !== null;
            $sketch = $this->sketch($surface);
            $length = $surface->type === SurfaceType::Length ? $sizes->known($surface) : null;
            if ($length !== null && $sketch !== null && $sketch[1] > $sketch[0]) {
                $known[] = [$sketch[0], $sketch[1], $length];
            }
        }
        usort($known, static fn (array $a, array $b): int => $a[1] - $a[0] <=> $b[1] - $b[0]);
        foreach ($known as [$from, $to, $length]) {
            $shift = $length - ($this->places[self::key($to)] - $this->places[self::key($from)]);
            foreach ($this->places as $key => $place) {
                if ((float) $key >= $to - 1e-9) {
                    $this->places[$key] = $place + $shift;
                }
            }
        }
        $this->anyKnown = $known !== [] || $noted;
    }

    /** @return array{float, float}|null mm */
    public function of(SurfaceFacts $surface): ?array
    {
        $sketch = $this->sketch($surface);

        return $sketch === null ? null : [$this->places[self::key($sketch[0])], $this->places[self::key($sketch[1])]];
    }

    /** @return array{float, float}|null */
    private function sketch(SurfaceFacts $surface): ?array
    {
        $at = $this->sizes->drawn($surface, $surface->at);
        if ($at === null) {
            return null;
        }

        return [$at, $at + ($this->sizes->drawn($surface, $surface->long) ?? 0.0)];
    }

    private static function key(float $mm): string
    {
        return number_format($mm, 6, '.', '');
    }
}

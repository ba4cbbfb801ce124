<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shapes;

use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Shape\SurfaceType;

/**
 * Where a part's surfaces begin and end along its axis. They start where the sketch puts them; each length that is
 * known then moves everything beyond its far end, the short lengths first.
 */
final class Planes
{
    /** @var array<string, float> from a plane of the sketch (by its own place, written out) to where it is, mm */
    private array $places = [];

    /**
     * @var array<string, true> planes whose place was typed or follows from known lengths; the first one is the zero
     */
    private array $known = [];

    /** @param  list<SurfaceFacts>  $surfaces of one part */
    public function __construct(array $surfaces, private readonly Sizes $sizes)
    {
        $known = [];
        foreach ($surfaces as $surface) {
            foreach ($this->sketch($surface) ?? [] as $plane) {
                $this->places[self::key($plane)] = $plane;
            }
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
        $this->know($surfaces);
    }

    /** Both its ends are known places, not only sketched ones. */
    public function areKnown(SurfaceFacts $surface): bool
    {
        $sketch = $this->sketch($surface);

        return $sketch !== null && isset($this->known[self::key($sketch[0])], $this->known[self::key($sketch[1])]);
    }

    /** @return list<float> the places that were typed or follow from known lengths, mm, from the left */
    public function knownMm(): array
    {
        $known = array_values(array_intersect_key($this->places, $this->known));
        sort($known);

        return $known;
    }

    /** @param  list<SurfaceFacts>  $surfaces */
    private function know(array $surfaces): void
    {
        if ($this->places === []) {
            return;
        }
        $this->known[self::key(min(array_map(floatval(...), array_keys($this->places))))] = true;
        do {
            $before = count($this->known);
            foreach ($surfaces as $surface) {
                $sketch = $this->sketch($surface);
                if ($sketch === null) {
                    continue;
                }
                [$from, $to] = array_map(self::key(...), $sketch);
                if ($surface->at !== null) {
                    $this->known[$from] = true;
                }
                $long =
                    $surface->long !== null
                    || ($surface->type === SurfaceType::Length && $this->sizes->known($surface) !== null);
                if ($long && (isset($this->known[$from]) || isset($this->known[$to]))) {
                    $this->known[$from] = $this->known[$to] = true;
                }
            }
        } while (count($this->known) > $before);
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
        $at = $this->sizes->at($surface);
        if ($at === null) {
            return null;
        }

        return [$at, $at + ($this->sizes->long($surface) ?? 0.0)];
    }

    private static function key(float $mm): string
    {
        return number_format($mm, 6, '.', '');
    }
}

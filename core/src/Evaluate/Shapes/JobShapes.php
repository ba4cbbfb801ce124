<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shapes;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;

/** The parts of a job as bodies: each from what is known of its surfaces, and where each lies on the common axis. */
final class JobShapes
{
    /** @var array<string, PartShape> by part id */
    public readonly array $shapes;

    public readonly Sizes $sizes;

    /** @var array<string, array{float, float}>|null */
    private ?array $places = null;

    /**
     * @param  array<string, FoundSize>  $found
     * @param  array<string, Band>  $bands
     * @param  array<string, Band>  $shaped  of shapes that are cut
     */
    public function __construct(private readonly JobFacts $facts, array $found, array $bands, array $shaped = [])
    {
        $this->sizes = $sizes = new Sizes($facts, $found, $bands, $shaped);
        $shapes = [];
        foreach ($facts->parts as $part) {
            $shapes[$part->id] = new PartShape($part, $facts, $sizes);
        }
        $this->shapes = $shapes;
    }

    /**
     * Where each part's zero lies on the common axis, and how far its own axis lies beside it: a surface inside another
     * is set to its middle. What is joined to nothing stands beside the rest.
     *
     * @return array<string, array{float, float}>
     */
    public function places(): array
    {
        return $this->places ??= $this->placed();
    }

    /** @return array<string, array{float, float}> */
    private function placed(): array
    {
        $places = [];
        $right = null;
        foreach ($this->facts->parts as $part) {
            if (isset($places[$part->id])) {
                continue;
            }
            $group = [$part->id => [0.0, 0.0]];
            $this->spread($part->id, $group);
            [$from, $to] = $this->reach($group);
            $shift = $right === null ? 0.0 : $right + 0.12 * max($to - $from, 1.0) - $from;
            foreach ($group as $id => [$offset, $rise]) {
                $places[$id] = [$offset + $shift, $rise];
            }
            $right = $to > $from ? max($right ?? -INF, $to + $shift) : $right;
        }

        return $places;
    }

    /**
     * @param  array<string, array{float, float}>  $group
     * @return array{float, float}
     */
    private function reach(array $group): array
    {
        [$from, $to] = [INF, -INF];
        foreach ($group as $id => [$offset]) {
            $profile = $this->shapes[$id]->profile;
            if (! $profile->isEmpty()) {
                $from = min($from, $offset + $profile->fromMm());
                $to = max($to, $offset + $profile->toMm());
            }
        }

        return $from <= $to ? [$from, $to] : [0.0, 0.0];
    }

    /** @param  array<string, array{float, float}>  $places */
    private function spread(string $from, array &$places): void
    {
        foreach ($this->facts->joints as $joint) {
            $inner = $this->facts->surface($joint->inner);
            $outer = $this->facts->surface($joint->outer);
            if ($inner === null || $outer === null || ! $inner->type->isOutside() || ! $outer->type->isInside()) {
                continue;
            }
            $other = match ($from) {
                $inner->part => $outer,
                $outer->part => $inner,
                default => null,
            };
            if ($other === null || isset($places[$other->part])) {
                continue;
            }
            $here = $other === $outer ? $inner : $outer;
            $a = $this->shapes[$here->part]->extent($here);
            $b = $this->shapes[$other->part]->extent($other);
            if ($a !== null && $b !== null) {
                $rise = abs($this->shapes[$outer->part]->offsetOf($outer));
                $places[$other->part] = [
                    $places[$from][0] + ($a[0] + $a[1]) / 2 - ($b[0] + $b[1]) / 2,
                    $places[$from][1] + ($other === $inner ? $rise : -$rise),
                ];
                $this->spread($other->part, $places);
            }
        }
    }
}

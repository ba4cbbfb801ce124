<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

/** A straight or round piece of a drawing, end to end; mm, sweep in radians, counter-clockwise above 0. */
final readonly class DxfRun
{
    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @param  array{float, float}|null  $middle  of an arc
     */
    private function __construct(
        public array $from,
        public array $to,
        private ?array $middle = null,
        private float $sweep = 0.0,
    ) {
    }

    /**
     * @param  list<DxfThing>  $things
     * @return list<self> of lines, arcs and polylines
     */
    public static function all(array $things, float $perMm): array
    {
        $runs = [];
        /** @var list<array{float, float, float}> $vertices */
        $vertices = [];
        $isClosed = false;
        foreach ($things as $thing) {
            $at = static fn (int $x, int $y): array => [
                ($thing->first($x) ?? 0.0) * $perMm,
                ($thing->first($y) ?? 0.0) * $perMm,
            ];
            switch ($thing->type) {
                case 'LINE':
                    $runs[] = new self($at(10, 20), $at(11, 21));
                    break;
                case 'ARC':
                    $radius = ($thing->first(40) ?? 0.0) * $perMm;
                    $runs[] = self::arc($at(10, 20), $radius, $thing->first(50) ?? 0.0, $thing->first(51) ?? 0.0);
                    break;
                case 'LWPOLYLINE':
                    array_push($runs, ...self::through(self::vertices($thing, $perMm), self::isClosed($thing)));
                    break;
                case 'POLYLINE':
                    [$vertices, $isClosed] = [[], self::isClosed($thing)];
                    break;
                case 'VERTEX':
                    $vertices[] = [...$at(10, 20), $thing->first(42) ?? 0.0];
                    break;
                case 'SEQEND':
                    array_push($runs, ...self::through($vertices, $isClosed));
                    $vertices = [];
            }
        }

        return array_values(array_filter(
            $runs,
            static fn (self $r): bool => hypot($r->from[0] - $r->to[0], $r->from[1] - $r->to[1]) > 1e-6,
        ));
    }

    /**
     * @param  list<self>  $runs
     * @return list<non-empty-list<self>> those that close, end to end
     */
    public static function closed(array $runs, float $meets): array
    {
        $closed = [];
        while ($runs !== []) {
            $chain = [array_shift($runs)];
            for ($more = true; $more;) {
                $more = false;
                $end = $chain[count($chain) - 1]->to;
                foreach ($runs as $i => $run) {
                    $isNext = self::apart($run->from, $end) < $meets;
                    if ($isNext || self::apart($run->to, $end) < $meets) {
                        $chain[] = $isNext ? $run : $run->turnedRound();
                        array_splice($runs, $i, 1);
                        $more = true;
                        break;
                    }
                }
            }
            if (count($chain) > 1 && self::apart($chain[0]->from, $chain[count($chain) - 1]->to) < $meets) {
                $closed[] = $chain;
            }
        }

        return $closed;
    }

    public function isStraight(): bool
    {
        return $this->middle === null;
    }

    public function beginsTowardDeg(): float
    {
        return $this->toward($this->from);
    }

    public function endsTowardDeg(): float
    {
        return $this->toward($this->to);
    }

    /** @return list<array{x: float, y: float, radius: float}> of an arc: where the straight sides beside each quarter of it would meet */
    public function corners(): array
    {
        if ($this->middle === null) {
            return [];
        }
        $radius = self::apart($this->middle, $this->from);
        $begin = atan2($this->from[1] - $this->middle[1], $this->from[0] - $this->middle[0]);
        $pieces = max(1, (int) ceil(abs($this->sweep) / (M_PI / 2) - 1e-6));
        $each = $this->sweep / $pieces;
        $corners = [];
        for ($i = 0; $i < $pieces; $i++) {
            $angle = $begin + ($i + 0.5) * $each;
            $far = $radius / cos($each / 2);
            $corners[] = [
                'x' => $this->middle[0] + $far * cos($angle),
                'y' => $this->middle[1] + $far * sin($angle),
                'radius' => $radius,
            ];
        }

        return $corners;
    }

    /**
     * @param  array{float, float}  $middle
     */
    private static function arc(array $middle, float $radius, float $fromDeg, float $toDeg): self
    {
        $sweep = deg2rad(fmod($toDeg - $fromDeg + 720.0, 360.0));
        $at = static fn (float $deg): array => [
            $middle[0] + $radius * cos(deg2rad($deg)),
            $middle[1] + $radius * sin(deg2rad($deg)),
        ];

        return new self($at($fromDeg), $at($toDeg), $middle, $sweep);
    }

    /**
     * @param  list<array{float, float, float}>  $vertices  x, y and the bulge to the next: the tangent of a quarter of its turn
     * @return list<self>
     */
    private static function through(array $vertices, bool $isClosed): array
    {
        $runs = [];
        $n = count($vertices);
        for ($i = 0; $i < ($isClosed ? $n : $n - 1); $i++) {
            [[$x1, $y1, $bulge], [$x2, $y2]] = [$vertices[$i], $vertices[($i + 1) % $n]];
            if (abs($bulge) < 1e-9) {
                $runs[] = new self([$x1, $y1], [$x2, $y2]);

                continue;
            }
            // The middle lies square to the chord, (1 − b²)/(4 b) of it away, to the left where it turns left.
            $off = (1 - $bulge ** 2) / (4 * $bulge);
            $middle = [($x1 + $x2) / 2 - $off * ($y2 - $y1), ($y1 + $y2) / 2 + $off * ($x2 - $x1)];
            $runs[] = new self([$x1, $y1], [$x2, $y2], $middle, 4 * atan($bulge));
        }

        return $runs;
    }

    /** @return list<array{float, float, float}> */
    private static function vertices(DxfThing $thing, float $perMm): array
    {
        [$xs, $ys, $bulges] = [[], [], []];
        foreach ($thing->numbers as [$code, $value]) {
            $last = count($xs) - 1;
            if ($code === 10) {
                [$xs[], $ys[], $bulges[]] = [$value * $perMm, 0.0, 0.0];
            } elseif ($last >= 0 && $code === 20) {
                $ys[$last] = $value * $perMm;
            } elseif ($last >= 0 && $code === 42) {
                $bulges[$last] = $value;
            }
        }

        return array_map(
            static fn (float $x, float $y, float $bulge): array => [$x, $y, $bulge],
            $xs,
            array_values($ys),
            array_values($bulges),
        );
    }

    private static function isClosed(DxfThing $thing): bool
    {
        return ((int) ($thing->first(70) ?? 0)) % 2 === 1;
    }

    private function turnedRound(): self
    {
        return new self($this->to, $this->from, $this->middle, -$this->sweep);
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    private static function apart(array $a, array $b): float
    {
        return hypot($a[0] - $b[0], $a[1] - $b[1]);
    }

    /**
     * @param  array{float, float}  $at  one of its ends
     */
    private function toward(array $at): float
    {
        if ($this->middle === null) {
            return rad2deg(atan2($this->to[1] - $this->from[1], $this->to[0] - $this->from[0]));
        }

        return rad2deg(atan2($at[1] - $this->middle[1], $at[0] - $this->middle[0])) + ($this->sweep > 0 ? 90.0 : -90.0);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Number\LinearDesign;

/** Where a round surface was read, and which form that shows. */
final class FormDesign
{
    /** @var array<string, self> by where was read: the same few places come again and again */
    private static array $known = [];

    private const KEPT = 100;

    /** @var LinearDesign|false|null false: it settles nothing */
    private LinearDesign|false|null $even = null;

    /** @param  list<list<float>>  $rows  size, taper, and out of round along and across, as far as they can be seen */
    private function __construct(
        public readonly array $rows,
        public readonly bool $hasTaper,
        /** 0: one angle; 1: two, about square to each other; 2: more. */
        public readonly int $ovals,
        /** Where out of round is counted from. */
        public readonly float $fromDeg,
        public readonly int $spots,
        /** Two angles not square to each other, or angles that are no numbers: it can't be told what it is like. */
        public readonly bool $isBlind,
    ) {
    }

    /**
     * @param  list<WeighedReading>  $readings
     * @param  list<string>  $stations  in order
     */
    public static function of(array $readings, array $stations): self
    {
        $key = implode("\1", $stations);
        foreach ($readings as $r) {
            $key .= "\2".$r->read->spot;
        }
        if (! isset(self::$known[$key])) {
            self::$known = count(self::$known) < self::KEPT ? self::$known : [];
            self::$known[$key] = self::worked($readings, $stations);
        }

        return self::$known[$key];
    }

    /** With every reading as sure as any other; null where it settles nothing. */
    public function even(): ?LinearDesign
    {
        $this->even ??= LinearDesign::of($this->rows, array_fill(0, count($this->rows), 1.0)) ?? false;

        return $this->even === false ? null : $this->even;
    }

    /**
     * @param  list<WeighedReading>  $readings
     * @param  list<string>  $stations
     */
    private static function worked(array $readings, array $stations): self
    {
        $spots = [];
        $angles = [];
        $blind = false;
        foreach ($readings as $r) {
            $spots[$r->read->spot] = true;
            $blind = $blind || ! is_numeric($r->read->angle);
            $angles[(string) fmod(fmod((float) $r->read->angle, 180) + 180, 180)] = true;
        }
        $seen = array_map(floatval(...), array_keys($angles));
        $square = count($seen) === 2 && cos(2 * deg2rad($seen[1] - $seen[0])) <= -0.5;
        $ovals = $square ? 1 : (count($seen) > 2 ? 2 : 0);
        $hasTaper = count($stations) > 1;
        $fromDeg = $square ? $seen[0] : 0.0;
        $along = self::along($stations);
        $rows = [];
        foreach ($readings as $r) {
            $row = [1.0];
            if ($hasTaper) {
                $row[] = $along[$r->read->station];
            }
            $at = 2 * deg2rad((float) $r->read->angle - $fromDeg);
            if ($ovals > 0) {
                $row[] = cos($at);
            }
            if ($ovals > 1) {
                $row[] = sin($at);
            }
            $rows[] = $row;
        }

        return new self(
            rows: $rows,
            hasTaper: $hasTaper,
            ovals: $ovals,
            fromDeg: $fromDeg,
            spots: count($spots),
            isBlind: $blind || (count($seen) === 2 && ! $square),
        );
    }

    /**
     * @param  list<string>  $stations
     * @return array<string, float> −½ at the first … ½ at the last; by their numbers where they have any
     */
    public static function along(array $stations): array
    {
        $numbered = array_filter($stations, is_numeric(...)) === $stations;
        $at = $numbered ? array_map(floatval(...), $stations) : array_map(floatval(...), array_keys($stations));
        $first = $at[0];
        $long = $at[count($at) - 1] - $first;
        $along = [];
        foreach ($stations as $i => $name) {
            $along[$name] = $long != 0.0 ? ($at[$i] - $first) / $long - 0.5 : 0.0;
        }

        return $along;
    }
}

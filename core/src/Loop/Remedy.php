<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** One thing that makes a loop close more surely, and how surely it then does. */
final readonly class Remedy
{
    /**
     * @param  'absorb'|'aim'|'face'|'hold'|'measure'|'together'  $kind
     * @param  int  $place  of the length in the loop
     * @param  Contributor  $new  the length once it is done
     * @param  float  $chance  0 to 1, once it is done
     * @param  float  $effort  to be compared with others only
     * @param  array<int, Contributor>  $more  other lengths that change with it, by place
     */
    private function __construct(
        public string $kind,
        public int $place,
        public Contributor $old,
        public Contributor $new,
        public Say $do,
        public float $chance,
        public bool $enough,
        public float $effort,
        public array $more = [],
    ) {
    }

    /** Make the length another size, with the limits it has. It costs nothing while it is not made. */
    public static function aim(Contributor $old, Contributor $new, int $place, float $chance, float $wanted): self
    {
        return new self(
            kind: 'aim',
            place: $place,
            old: $old,
            new: $new,
            do: Say::with('Make “{name}” {to} instead of {from}.', [
                'name' => $old->name,
                'to' => LengthWriter::sizeInWords($new->sizeMm),
                'from' => LengthWriter::sizeInWords($old->sizeMm),
            ]),
            chance: $chance,
            enough: $chance >= $wanted,
            effort: 0.0,
        );
    }

    /** Let a length that may be moved take it up: nothing is cut for it. */
    public static function absorb(
        Contributor $old,
        Contributor $new,
        int $place,
        Range $between,
        float $chance,
        float $wanted,
    ): self {
        $left = $new->sizeMm < $old->sizeMm ? $new->sizeMm - $between->min : $between->max - $new->sizeMm;

        return new self(
            kind: 'absorb',
            place: $place,
            old: $old,
            new: $new,
            do: Say::with('Let “{name}” go to {to} instead of {from}: {left}.', [
                'name' => $old->name,
                'to' => LengthWriter::sizeInWords($new->sizeMm),
                'from' => LengthWriter::sizeInWords($old->sizeMm),
                'left' => $left < 5e-4
                        ? 'its reserve is then used up'
                        : Say::with('{left} of its reserve is left', ['left' => LengthWriter::difference($left)]),
            ]),
            chance: $chance,
            enough: $chance >= $wanted,
            effort: 0.0,
        );
    }

    /** Take metal off a length that is there. */
    public static function face(
        Contributor $old,
        Contributor $new,
        int $place,
        ?Range $off,
        float $chance,
        float $wanted,
    ): self {
        $by = $old->sizeMm - $new->sizeMm;

        return new self(
            kind: 'face',
            place: $place,
            old: $old,
            new: $new,
            do: $off === null
                ? Say::with('Take {by} off “{name}”.', ['by' => LengthWriter::difference($by), 'name' => $old->name])
                : Say::with('Take {by} off “{name}”: anywhere from {a} to {b}.', [
                    'by' => LengthWriter::difference($by),
                    'name' => $old->name,
                    'a' => LengthWriter::atLeast($off->min),
                    'b' => LengthWriter::atMost($off->max),
                ]),
            chance: $chance,
            enough: $chance >= $wanted,
            effort: 2.0,
        );
    }

    /** Keep the length between closer limits about the same middle. */
    public static function hold(
        Contributor $old,
        Contributor $new,
        int $place,
        float $chance,
        float $wanted,
        float $holdsMm,
    ): self {
        $hard = 2 * $new->ownHalfMm() < $holdsMm;
        $even = abs($old->plusMm - $old->minusMm) < 1e-9;
        $band = static fn (Contributor $c): Band => new Band($c->sizeMm - $c->minusMm, $c->sizeMm + $c->plusMm);
        [$to, $from] = [$band($new), $band($old)];

        // Limits that were not alike to both sides of the size are written out, as ± would be about another size.
        return new self(
            kind: 'hold',
            place: $place,
            old: $old,
            new: $new,
            do: Say::with(
                'Hold “{name}” '.
                    ($even
                        ? 'to ±{to} instead of ±{from}'
                        : 'between {low} and {high} instead of {old low} and {old high}').
                    ($hard ? ': closer than your lathe holds.' : '.'),
                [
                    'name' => $old->name,
                    'to' => LengthWriter::atMost($new->ownHalfMm()),
                    'from' => LengthWriter::difference($old->ownHalfMm()),
                    'low' => LengthWriter::lower($to),
                    'high' => LengthWriter::upper($to),
                    'old low' => LengthWriter::lower($from),
                    'old high' => LengthWriter::upper($from),
                ],
            ),
            chance: $chance,
            enough: $chance >= $wanted,
            effort: (($hard ? 10.0 : 1.0) * $old->halfMm()) / $new->halfMm(),
        );
    }

    /**
     * Hold several lengths to the same limits, those that are closer already left as they are: least work where half
     * the width costs double.
     *
     * @param  non-empty-array<int, array{old: Contributor, new: Contributor}>  $held  by place
     */
    public static function together(array $held, float $halfMm, float $chance, float $wanted, float $holdsMm): self
    {
        $names = array_map(static fn (array $h): string => "“{$h['old']->name}”", array_values($held));
        $last = array_pop($names);
        $places = array_keys($held);
        $first = $held[$places[0]];
        $hard = 2 * $halfMm < $holdsMm;

        return new self(
            kind: 'together',
            place: $places[0],
            old: $first['old'],
            new: $first['new'],
            do: Say::with(
                'Hold {names} to ±{to}, each about the middle of its limits'.
                    ($hard ? ': closer than your lathe holds.' : '.'),
                [
                    'names' => ($names === [] ? '' : implode(', ', $names).' and ').$last,
                    'to' => LengthWriter::atMost($halfMm),
                ],
            ),
            chance: $chance,
            enough: $chance >= $wanted,
            effort: ($hard ? 10.0 : 1.0) *
                array_sum(array_map(static fn (array $h): float => $h['old']->ownHalfMm() / $halfMm, $held)),
            more: array_map(static fn (array $h): Contributor => $h['new'], array_slice($held, 1, null, true)),
        );
    }

    /** Measure the length better. */
    public static function measure(Contributor $old, Contributor $new, int $place, float $chance, float $wanted): self
    {
        return new self(
            kind: 'measure',
            place: $place,
            old: $old,
            new: $new,
            do: Say::with('Measure “{name}” to ±{to} instead of ±{from}, should it come out the same.', [
                'name' => $old->name,
                'to' => LengthWriter::atMost($new->ownHalfMm()),
                'from' => LengthWriter::difference($old->ownHalfMm()),
            ]),
            chance: $chance,
            enough: $chance >= $wanted,
            effort: (0.5 * $old->halfMm()) / $new->halfMm(),
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Sum\Drawn\Castings;
use Oldpart\Core\Sum\Drawn\Patterns;
use Oldpart\Core\Sum\Drawn\Plates;
use Oldpart\Core\Sum\Drawn\Rounds;
use Oldpart\Core\Sum\Drawn\Shafts;
use Oldpart\Core\Sum\Drawn\Tapers;

/** What a sum is about, drawn with the numbers one dials. A sum that draws itself is not listed here. */
final class Pictures
{
    /**
     * @param  array<array-key, mixed>  $in  as the sum was run with
     * @param  array<array-key, mixed>  $out  what it came to
     */
    public static function of(string $sum, array $in, array $out): ?Drawing
    {
        $draw = self::draws()[$sum] ?? null;

        if ($draw === null) {
            return null;
        }
        $numbers = array_map(
            static fn (mixed $value): mixed => $value instanceof Range ? [
                'min' => $value->min,
                'max' => $value->max,
            ] : $value,
            $out,
        );

        try {
            return $draw(new Fields($in), new Fields($numbers));
        } catch (BadInput) {
            // The sum does without a field that its picture would need.
            return null;
        }
    }

    /** @return array<string, callable(Fields, Fields): ?Drawing> */
    private static function draws(): array
    {
        return [
            'taper' => Tapers::taper(...),
            'taper-trial' => Tapers::trial(...),
            'taper-by-balls' => Tapers::balls(...),
            'taper-by-rollers' => Tapers::rollers(...),
            'sine-bar' => Tapers::sineBar(...),
            'split-bush' => Rounds::splitBush(...),
            'keyway' => Rounds::keyway(...),
            'key-cut' => Rounds::keyCut(...),
            'flats' => Rounds::flats(...),
            'three-wire' => Rounds::threeWire(...),
            'screw-hole' => Rounds::screwHole(...),
            'oil-groove' => Rounds::oilGroove(...),
            'ball-groove' => Rounds::ballGroove(...),
            'fitting-turn' => Rounds::fittingTurn(...),
            'hole-circle' => Patterns::circle(...),
            'find-circle' => Patterns::found(...),
            'circle-from-chord' => Patterns::chord(...),
            'pattern-fit' => Patterns::fit(...),
            'clocking' => Patterns::clocking(...),
            'cage' => Patterns::cage(...),
            'offset' => Shafts::offset(...),
            'bore-line' => Shafts::boreLine(...),
            'bore-centre' => Shafts::boreCentre(...),
            'run-out' => Shafts::runOut(...),
            'bend' => Shafts::bend(...),
            'straighten' => Shafts::straighten(...),
            'overhang' => Shafts::overhang(...),
            'pour' => Castings::pour(...),
            'casting' => Castings::pattern(...),
            'clean-up' => Castings::cleanUp(...),
            'plate' => Plates::plate(...),
            'ports' => Castings::ports(...),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Joint\Bond;
use Oldpart\Core\Joint\InUse;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/**
 * What running warm does to a joint that has room in it, and to one that is bonded. A press says it with its mechanics.
 */
final class WarmJoint
{
    /**
     * The clearance as it runs: c + d (ε_o − ε_i). Source: linear expansion.
     *
     * @param  float  $diameterMm  of the joint, above 0
     * @return list<Note>
     */
    public static function notes(
        JobFacts $facts,
        JointFacts $joint,
        Purpose $purpose,
        Range $clearanceMm,
        float $diameterMm,
    ): array {
        $celsius = $facts->takeIn->runsAtC;
        if ($celsius === null || abs($celsius - 20) < 1e-9 || $clearanceMm->max <= 0) {
            return [];
        }
        $bond = $purpose->bonds
            ? array_values(
                array_filter(
                    Bond::of($diameterMm, 1.0, $clearanceMm, $celsius)->notes,
                    static fn (Note $n): bool => in_array($n->code, Bond::HEAT_NOTES, true),
                ),
            )
            : [];
        [$inner, $outer] = array_map(
            static function (string $id) use ($facts) {
                $surface = $facts->surface($id);

                return $surface === null ? null : FoundSurfaces::material($facts->partOf($surface));
            },
            [$joint->inner, $joint->outer],
        );
        $at = number_format($celsius).' °C';
        if ($inner?->alphaPerK === null || $outer?->alphaPerK === null) {
            return [
                ...$bond,
                Note::caution(
                    'runs-warm-unknown',
                    "It runs at {$at}. Say what both parts are made of, and what is left of the clearance there follows.",
                ),
            ];
        }
        $change = -InUse::interferenceAt(
            diameterMm: $diameterMm,
            interferenceMm: 0.0,
            inner: $inner,
            outer: $outer,
            innerC: $celsius,
            outerC: $celsius,
        );
        if (abs($change) < 1e-5) {
            return $bond;
        }
        $warm = new Range($clearanceMm->min + $change, $clearanceMm->max + $change);
        $signed = static fn (float $mm): Say => Say::with($mm < 0 ? '{d} tight' : '{d} loose', [
            'd' => LengthWriter::difference($mm),
        ]);
        $says = Say::with("At {$at}, as it runs, it is {d} ".($change < 0 ? 'tighter' : 'looser').': {a} to {b}.', [
            'd' => LengthWriter::difference($change),
            'a' => $signed($warm->min),
            'b' => $signed($warm->max),
        ]);

        return [
            ...$bond,
            $warm->min < 0 && $clearanceMm->min >= 0
                ? Note::stop(
                    'tight-warm',
                    Say::with('{s} It seizes where it should have room: ask for that much more clearance.', [
                        's' => $says,
                    ]),
                )
                : Note::info('runs-warm', $says),
        ];
    }
}

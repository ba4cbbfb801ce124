<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Say;

/** Putting together what is not pressed, and what to check after. Source: common practice of the trade. */
final class TrialAssembly
{
    /**
     * @param  bool  $turns  something turns in it afterwards
     * @return list<Step>
     */
    public static function steps(bool $turns = true): array
    {
        return [
            new Step(
                'deburr',
                Say::plain('Deburr every edge, and look at the inside corners: the mate’s chamfer must clear them.'),
                'A burr feels like a tight fit.',
                'prepare',
            ),
            new Step(
                'clean',
                Say::plain('Clean both, then a thin film of oil.'),
                'Grit scores; a dry start jumps.',
                'prepare',
            ),
            new Step(
                'size-check',
                Say::plain('Measure what was made once more, at the shop’s temperature.'),
                'The last chance before it goes to its place.',
                'prepare',
            ),
            new Step(
                'try',
                Say::plain('Put it together loosely, without force; mark how it stood.'),
                'What must turn has to turn before anything is tightened.',
                'trial',
            ),
            new Step(
                'check-clear',
                Say::plain('Look all round for what fouls: rims, flanges, bolt heads, over the whole travel.'),
                'Found now it costs a pass; found later, the job.',
                'trial',
            ),
            new Step(
                'tighten',
                Say::plain('Tighten evenly, opposite pairs in turn.'),
                'One side first pulls it off its seat.',
                'trial',
            ),
            ...$turns
                ? [
                    new Step(
                        'check-turns',
                        Say::plain('Turn it by hand through a full turn: no tight spot.'),
                        'A tight spot now is a hot spot later.',
                        'check',
                    ),
                ]
                : [
                    new Step(
                        'check-sits',
                        Say::plain('Pull and twist it by hand: it sits, and nothing moves that is not meant to.'),
                        'What is loose by hand is looser under load.',
                        'check',
                    ),
                ],
        ];
    }
}

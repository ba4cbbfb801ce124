<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Say;

/** Putting a taper together. Source: common practice of the trade. */
final class TaperAssembly
{
    /** @return list<Step> */
    public static function steps(): array
    {
        return [
            new Step(
                'taper-blue',
                Say::plain(
                    'Blue one of the two thinly, put them together with a light twist, look where it rubs: most of the length, both ends.',
                ),
                'A taper that bears at one end only works loose.',
                'prepare',
            ),
            new Step(
                'taper-dry',
                Say::plain('Wipe both clean and dry. No oil: a taper holds by friction.'),
                'Oiled it draws in too far, and may split the hub.',
                'prepare',
            ),
            new Step(
                'taper-gap',
                Say::plain('Push it on by hand and note the gap that is left to the shoulder.'),
                'It is what the screws will draw it in by.',
                'trial',
            ),
            new Step(
                'taper-draw',
                Say::plain('Draw it up evenly, screws in turn, to the torque that is asked.'),
                'One side first tilts it.',
                'trial',
            ),
            new Step(
                'taper-again',
                Say::plain('Tap it, tighten again, and look at the gap: the same all round.'),
                'It settles once.',
                'check',
            ),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Say;

/**
 * Putting together what a compound holds, and what to check after. Source: common practice of compound makers; their
 * sheet comes first.
 */
final class BondAssembly
{
    /**
     * @param  bool  $turns  something turns in it afterwards
     * @param  bool  $oilHole  the part has a hole for oil that must stay open
     * @return list<Step>
     */
    public static function steps(bool $turns, bool $oilHole): array
    {
        return [
            new Step(
                'deburr',
                Say::plain('Deburr both, and try them dry: they slide together by hand.'),
                'What is tight dry wipes the film off.',
                'prepare',
            ),
            new Step(
                'size-check',
                Say::plain('Measure both once more, at the shop’s temperature.'),
                'The film wants its gap: too little is wiped off, too much does not cure.',
                'prepare',
            ),
            new Step(
                'key-face',
                Say::plain('Key both faces with coarse emery, across the way it would turn; a smooth one holds half as much.'),
                'A bond holds on what is rough and bright.',
                'prepare',
            ),
            new Step(
                'degrease',
                Say::plain(
                    'Degrease both with a clean solvent and let them dry; no oil, no fingers. A primer where the metal is passive.',
                ),
                'A film of oil is the usual reason why a bond lets go.',
                'prepare',
            ),
            new Step(
                'compound',
                Say::plain(
                    'Compound on both, a full ring at the leading end; put together turning, to the shoulder or mark.',
                ),
                'Turning spreads it; what is missing at the mouth is missing all along.',
                'bond',
            ),
            new Step(
                'wipe',
                Say::plain($oilHole ? 'Wipe off what comes out, and out of the oil hole.' : 'Wipe off what comes out.'),
                'Cured it is a tight spot.',
                'bond',
            ),
            new Step(
                'clamp',
                Say::plain('Hold it so that it can’t slide or sink: a stop, a clamp, level. Warm it only as far as its sheet allows.'),
                'It creeps before it sets, and sets where it crept to.',
                'bond',
            ),
            new Step(
                'cure',
                Say::plain('Leave it alone until it has cured, by its sheet and the shop’s temperature.'),
                'Moved while it cures it holds nothing; cold makes it slow.',
                'bond',
            ),
            new Step(
                'scrape',
                Say::plain('Scrape off what stands proud; where it has drawn in, clean and fill a second time.'),
                'A hollow at the mouth is where it lets go first.',
                'bond',
            ),
            new Step(
                'bond-test',
                Say::plain('Try it by hand before it is loaded: it does not twist, and rings the same all round when tapped.'),
                'What lets go on the bench would have let go in use.',
                'check',
            ),
            ...$turns
                ? [
                    new Step(
                        'check-turns',
                        Say::plain('Oil the shaft and turn it by hand through a full turn: no tight spot.'),
                        'A tight spot now is a hot spot later.',
                        'check',
                    ),
                ]
                : [],
            ...$oilHole
                ? [
                    new Step(
                        'check-oil',
                        Say::plain('Oil hole open and in line.'),
                        'Compound in it starves the bearing.',
                        'check',
                    ),
                ]
                : [],
        ];
    }
}

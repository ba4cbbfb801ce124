<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Quantity\Figure;

/** Putting a pressed bush together, step by step, and what to check after. Source: common practice of the trade. */
final class PressAssembly
{
    /**
     * @param  ?Press  $press  null while its numbers are not known
     * @param  float  $shopPressN  what the shop's press gives
     * @param  bool  $turns  something turns in its bore afterwards
     * @param  bool  $oilHole  the part has a hole for oil
     * @param  bool  $hollow  what goes in has a bore, where its numbers are not known
     * @param  bool  $grows  what goes round it has an outside that has to fit afterwards
     * @return list<Step>
     */
    public static function steps(
        ?Press $press,
        float $shopPressN,
        bool $turns = true,
        bool $oilHole = false,
        bool $hollow = true,
        bool $grows = false,
    ): array {
        $force =
            $press === null
                ? 'how hard is not known yet'
                : 'it rises straight to between '.
                    Figure::forceAtLeast($press->pressForceLeastN).
                    ' and '.
                    Figure::forceUpTo($press->pressForceN).
                    ' at full depth';

        return [
            new Step(
                'chamfer',
                Say::with('Look at both lead-ins: 10 to 20° per side, {l} long, no burr.', [
                    'l' => BushOrder::leadIn($press?->fit->innerWallMm()),
                ]),
                'A sharp edge shaves the bore and starts crooked.',
                'prepare',
            ),
            new Step(
                'clean',
                Say::plain('Clean and degrease both, then a thin film of oil.'),
                'Grit scores; a dry start jumps.',
                'prepare',
            ),
            new Step(
                'size-check',
                Say::plain('Measure outside and bore once more, both at the shop’s temperature.'),
                'The last chance before it is stuck.',
                'prepare',
            ),
            new Step(
                'guide',
                Say::plain('Start it on a guide: a stepped drift or a bolt through both.'),
                'It follows the way it starts.',
                'press',
            ),
            new Step('press', Say::plain("Press in one go; {$force}."), self::canPress($press, $shopPressN), 'press'),
            new Step(
                'flush',
                Say::plain('Stop flush or a little below; look at both ends.'),
                'A proud bush takes the thrust meant for the face.',
                'press',
            ),
            ...$press?->fit->isHollow() ?? $hollow
                ? [
                    new Step(
                        'check-bore',
                        Say::plain('Measure the bore again, at three places.'),
                        'It has closed; how far tells how tight it went in.',
                        'check',
                    ),
                ]
                : [],
            ...$grows
                ? [
                    new Step(
                        'check-outside',
                        Say::plain('Measure its outside again, at three places; turn or grind it now where that was left for it.'),
                        'It has grown; how far tells how tight it went on.',
                        'check',
                    ),
                ]
                : [],
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
                        'A pressed bush may have turned on its way in.',
                        'check',
                    ),
                ]
                : [],
        ];
    }

    private static function canPress(?Press $press, float $shopPressN): string
    {
        return match (true) {
            $press === null => 'Give the missing sizes and materials first.',
            $press->pressForceN > $shopPressN => 'Your press gives '.
                Figure::forceAtLeast($shopPressN).
                ': it may not be able to. Stop before it is half way in, or warm the housing instead.',
            default => 'Your press gives '.
                Figure::forceAtLeast($shopPressN).
                ': enough. A jump means crooked, a burr or a taper: stop.',
        };
    }
}

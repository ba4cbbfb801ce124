<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Number\Bisection;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * The length most likely to close a loop, where the others spread more than the gap may and none is sure to. Source:
 * JCGM 106:2012, conformity by probability; the spread of the others by convolution.
 */
final readonly class BestLength
{
    /** By so much may the chance fall towards the ends of the band. */
    private const FALLS = 0.02;

    /** In so many steps the chance is averaged over what the lathe holds. */
    private const STEPS = 40;

    private function __construct(
        public float $aimMm,
        public Band $band,
        public float $chance,
        public Working $working,
    ) {
    }

    /**
     * @param  Loop  $rest  the lengths that are known, with the gap that is wanted; both its limits
     * @param  int  $direction  of the open one, 1 or −1
     * @param  float  $weight  how much of it counts, above 0
     * @param  float  $holdsMm  how wide a band the machine holds, 0 or more
     * @return ?self null where there is no room for one, or the gap has one limit only
     */
    public static function of(Loop $rest, int $direction, float $weight, float $holdsMm): ?self
    {
        if ($rest->wanted->max > Loop::FAR || $rest->wanted->min < -Loop::FAR) {
            return null;
        }
        // Every spread lies evenly about its middle, so the middle of the wish is the likeliest.
        $moved = $rest->wanted->middle() - $rest->middleMm();
        $aim = ($direction * $moved) / $weight;
        if ($aim <= 0.0) {
            return null;
        }
        $at = static fn (float $off): float => $rest->chanceMoved($moved + $weight * $off);
        $best = $at(0.0);
        $far = ($rest->worst()->width() + $rest->wanted->width()) / $weight;
        $stays = static fn (float $off): bool => $at($off) >= $best - self::FALLS;
        $reach = min(Bisection::between($stays, 0.0, $far)[0], 0.9 * $aim);
        $over = max($reach, min($holdsMm / 2, 0.9 * $aim));
        $sum = 0.0;
        for ($i = 0; $i < self::STEPS; $i++) {
            $sum += $at($over * ((2 * ($i + 0.5)) / self::STEPS - 1));
        }
        $chance = $sum / self::STEPS;

        return new self($aim, new Band($aim - $reach, $aim + $reach), $chance, new Working([
            new WorkingStep(
                'Most likely to close it',
                'the middle of the gap that is wanted less that of the others; the share of what they come to that then lies within',
                Say::with('the others spread over {w}, the gap may over {g}: aim {a}, {n} of 100', [
                    'w' => LengthWriter::difference($rest->worst()->width()),
                    'g' => LengthWriter::difference($rest->wanted->width()),
                    'a' => LengthWriter::size($aim),
                    'n' => (string) floor(100 * $chance),
                ]),
                'JCGM 106:2012; spreads by convolution',
            ),
        ]));
    }
}

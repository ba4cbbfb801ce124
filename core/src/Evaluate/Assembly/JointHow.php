<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Assembly;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Mechanics\HeldBy;
use Oldpart\Core\Evaluate\Mechanics\HotAndCold;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\FasteningFacts;
use Oldpart\Core\Joint\FasteningKind;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Quantity\Range;

/** How a joint goes together, with the numbers of its own fit. Common practice of the trade. */
final class JointHow
{
    /** What holds a joint beside its fit, as it is put in. */
    private const HELD = [
        'key' => 'The key first, fitted to its sides, clear on top; then the other part over it.',
        'cross-pin' => 'The pin last: drill and ream through both as they stand, drive it, stake its ends.',
        'dowels' => 'Dowels: ream in place, oil them, drive them flush; two of them opposite for balance.',
        'weld' => 'Tack at four places, opposite ones in turn, look that it still runs true, then weld short runs; let it cool by itself.',
        'compound' => 'The compound goes on wet as it is pressed, on a knurl or a groove: a smooth one wipes it off.',
        'knurl' => 'The knurl goes in straight and once: drawn out it holds no more.',
    ];

    private const SCREWS = ['set-screws' => 'set screws', 'bolts' => 'bolts', 'taper-bush' => 'screws of the split bush'];

    /**
     * @param  float  $roomC  of the shop
     * @return list<Say>
     */
    public static function all(SizedJoint $joint, bool $withheld, float $roomC): array
    {
        $hot = $withheld ? null : HotAndCold::of($joint, $roomC)?->together();
        $lines = [self::of($joint, $withheld), ...$hot === null ? [] : [$hot]];
        foreach ($joint->joint->held as $held) {
            $says = self::HELD[$held->kind->value] ?? '';
            if ($says !== '') {
                $lines[] = Say::plain($says);
            }
        }

        return $lines;
    }

    private static function of(SizedJoint $joint, bool $withheld): Say
    {
        $name = "“{$joint->joint->name}”";
        $press = $withheld ? null : $joint->press;
        $fit = $withheld ? null : $joint->pairMm ?? $joint->wantedMm;
        $torque = $press?->holdTorqueNm->min ?? 0.0;
        $holds = $torque > 0
            ? ', where it holds '.Figure::torqueAtLeast($torque).' at worst, and half way in half of that'
            : '';
        $range = $fit === null ? '' : ' ({r})';
        $values = ['r' => $fit === null ? Say::plain('') : Words::range($fit)];

        return match (true) {
            $joint->purpose->shape !== null => Say::plain("{$name}: {$joint->purpose->name}; dry and clean, seat it, look that it bears."),
            $joint->purpose->isLength => Say::with("{$name}: by its length{$range}; feel it once it is in.", $values),
            $joint->purpose->bonds => Say::with("{$name}: bond{$range}; degrease both, no oil near it, turn it in, hold it until it is set. Wipe off what comes out toward what slides.", $values),
            $press !== null => Say::with(
                "{$name}: press{$range}, ".Figure::forceAtLeast($press->pressForceLeastN).' to '.Figure::forceUpTo($press->pressForceN)
                    ." at full depth{$holds}. Stuck part-way: stop, press it out the way it came, or warm the outer part: that spoils a compound.",
                $values,
            ),
            $joint->canBeTight() => Say::with("{$name}: press or tap{$range}, straight, on a guide.", $values),
            $joint->purpose->runs => Say::with("{$name}: slide it in by hand{$range}, oiled; it turns freely all round.", $values),
            default => Say::with("{$name}: by hand{$range}, clean, a film of oil.", $values),
        };
    }

    /**
     * @param  list<FasteningFacts>  $screws
     * @param  bool  $dowelled  dowels keep it in its place as well
     * @return list<Say>
     */
    public static function tightened(array $screws, bool $dowelled = false): array
    {
        $says = array_map(static function (FasteningFacts $f): Say {
            $tight = HeldBy::tightening($f);
            $name = self::SCREWS[$f->kind->value] ?? 'screws';
            $isRing = $f->count > 2 && $f->kind === FasteningKind::Bolts;
            $crosswise = $isRing ? ', opposite ones in turn, in three rounds' : '';

            return match (true) {
                $f->tightenNm !== null => Say::with("The {$f->count} {$name}: {t}{$crosswise}.", ['t' => Figure::torque(new Range($f->tightenNm, $f->tightenNm))]),
                $tight !== null => Say::with("The {$f->count} {$name}, {$tight->thread->label} {$tight->class}, ".($f->turns ?? 'dry').": {t}{$crosswise}.", ['t' => $tight->torque()]),
                default => Say::plain("The {$f->count} {$name}: how hard is not known: say the mark on the head under Size{$crosswise}."),
            };
        }, $screws);

        return $dowelled
            ? [...$says, Say::plain('Dowels: where it is set true by hand, tighten first, then ream for them and drive them; where they locate it, drive them first and tighten on them.')]
            : $says;
    }
}

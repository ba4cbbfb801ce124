<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Fit\Seat;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/**
 * A bore that is there, in a part that is to be pressed in: it closes then, and its fit with it. Once it is read anew
 * what is read counts.
 */
final readonly class ClosedBores
{
    /** @param  list<SizedJoint>  $joints  with their mechanics */
    public function __construct(private JobFacts $facts, private array $joints)
    {
    }

    /** The joint as it will be; any other as it is. */
    public function of(SizedJoint $pair): SizedJoint
    {
        if ($pair->pairMm === null || $pair->withheld) {
            return $pair;
        }
        $part = $this->facts->surface($pair->joint->outer)?->part;
        foreach ($this->joints as $press) {
            $closing = $press->press?->boreClosingMm;
            $presses = $this->facts->surface($press->joint->inner)?->part === $part;
            // The two rings of a bearing are not one part.
            $isRing = $press->purpose->seat === Seat::Housing;
            $closes = $presses && ! $isRing && PressedIn::isHere($this->facts, $press);
            if ($closing !== null && $closes && ! PressedIn::isReadSince($this->facts, $press, $pair->joint->outer)) {
                $after = new Range($pair->pairMm->min - $closing->max, $pair->pairMm->max - $closing->min);

                return $pair->closed($after, $closing, PressedIn::at($this->facts, $press) === null
                    ? self::willClose($pair, $press, $closing, $after)
                    : self::hasClosed($pair, $press, $closing, $after));
            }
        }

        return $pair;
    }

    private static function willClose(SizedJoint $pair, SizedJoint $press, Range $closing, Range $after): Note
    {
        $says = 'As they are: {now}. The bore closes by {a} to {b} when “'.$press->joint->name.'” is pressed: then {after}';
        $values = [
            'now' => Words::range($pair->pairMm ?? $after),
            'a' => LengthWriter::size($closing->min),
            'b' => LengthWriter::size($closing->max),
            'after' => Words::range($after),
        ];
        if ($pair->wantedMm !== null) {
            $says .= ', and {wanted} is wanted. Ream it after pressing where that is too tight, and read it again';
            $values['wanted'] = Words::range($pair->wantedMm);
        }

        return Note::caution('closes-when-pressed', Say::with("{$says}.", $values));
    }

    private static function hasClosed(SizedJoint $pair, SizedJoint $press, Range $closing, Range $after): Note
    {
        return Note::caution(
            'closed-since-read',
            Say::with(
                'As they were read: {now}. “'.$press->joint->name.'” was pressed since, and the bore has closed by about {a} to {b}: {after}. Read it again, and set aside what was read before.',
                [
                    'now' => Words::range($pair->pairMm ?? $after),
                    'a' => LengthWriter::size($closing->min),
                    'b' => LengthWriter::size($closing->max),
                    'after' => Words::range($after),
                ],
            ),
        );
    }
}

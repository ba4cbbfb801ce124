<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\PushFacts;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Facts\SurfaceFacts;
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
            $pressed = $this->pressedAt($press);
            $readSince = $pressed !== null && $pressed < $this->readAt($pair->joint->outer);
            // The two rings of a bearing are not one part.
            $isRing = $press->purpose->seat === Seat::Housing;
            $closes = $presses && ! $isRing && self::isPressedHere($this->facts, $press);
            if ($closing !== null && $closes && ! $readSince) {
                $after = new Range($pair->pairMm->min - $closing->max, $pair->pairMm->max - $closing->min);

                return $pair->closed($after, $closing, $pressed === null
                    ? self::willClose($pair, $press, $closing, $after)
                    : self::hasClosed($pair, $press, $closing, $after));
            }
        }

        return $pair;
    }

    /**
     * Whether it is pressed together here: one of the two is made or bought. What was found together is in already.
     */
    public static function isPressedHere(JobFacts $facts, SizedJoint $press): bool
    {
        $bought = array_filter(
            [$facts->surface($press->joint->inner), $facts->surface($press->joint->outer)],
            static fn (?SurfaceFacts $s): bool => $s !== null && $facts->partOf($s)->origin === Origin::Bought,
        );

        return $press->make !== null || $bought !== [];
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

    /** When it was pressed in, by the force that was logged or the step that was ticked, in seconds; null: not yet. */
    private function pressedAt(SizedJoint $press): ?int
    {
        $steps = ['press', 'in:'.$this->facts->surface($press->joint->inner)?->part];
        $times = array_map(static fn (PushFacts $p): ?string => $p->at, $this->facts->pushesOf($press->joint->id));
        foreach ($this->facts->ticks as $tick) {
            if (! $tick->failed && in_array($tick->code, $steps, true)) {
                $times[] = $tick->at;
            }
        }

        // Of what nobody knows when it was done, what was read may have been read before.
        $done = array_map(static fn (?string $at): int => self::seconds($at) ?? PHP_INT_MAX, $times);

        return $done === [] ? null : max($done);
    }

    /** When it was read last; long ago where nobody knows. */
    private function readAt(string $surface): int
    {
        $taken = array_map(
            static fn (ReadingFacts $r): int => self::seconds($r->takenAt) ?? 0,
            $this->facts->readingsOf($surface),
        );

        return max([0, ...$taken]);
    }

    private static function seconds(?string $at): ?int
    {
        return $at === null ? null : (strtotime($at) ?: null);
    }
}

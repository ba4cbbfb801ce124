<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Assembly;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Joint\Body;
use Oldpart\Core\Joint\DropIn;
use Oldpart\Core\Joint\Expansion;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Safety\Caution;

/** The one try there is, rehearsed: hot and cold as chosen, how the gap closes, and how long there is. */
final readonly class Rehearsal
{
    /** Carried through the shop: a little more than still air. Common practice, 10 to 25 W/m²K. */
    private const CARRIED_H = 15.0;

    private function __construct(public SizedJoint $joint, private JobFacts $facts, public DropIn $drop)
    {
    }

    /** Null where there is nothing to drop in, or the materials are not known well enough. */
    public static function of(JobFacts $facts, SizedJoint $joint): ?self
    {
        $press = $joint->press;
        if ($press === null || $joint->withheld) {
            return null;
        }
        $fit = $press->fit;
        $room = $facts->shop->temperatureC;
        try {
            return new self(
                $joint,
                $facts,
                new DropIn(
                    diameterMm: $fit->diameterMm,
                    interferenceMm: max(0.0, $fit->tightestMm()),
                    inner: Body::ring(
                        $fit->inner,
                        $fit->diameterMm,
                        $fit->innerBoreMm,
                        $fit->lengthMm,
                        $joint->joint->innerC ?? $room,
                    ),
                    outer: Body::ring(
                        $fit->outer,
                        $fit->outerOdMm,
                        $fit->diameterMm,
                        $fit->lengthMm,
                        $joint->joint->outerC ?? $room,
                    ),
                    roomC: $room,
                    h: self::CARRIED_H,
                ),
            );
        } catch (BadInput) {
            return null;
        }
    }

    /** The room that is wanted to drop it in: a thousandth of the diameter, of 20 mm at least, mm. */
    public function wantedMm(): float
    {
        return max($this->joint->press->fit->diameterMm ?? 0.0, 20.0) / 1000;
    }

    /** The room there is when it is begun, mm; below zero where metal is in the way. */
    public function gapMm(): float
    {
        return $this->drop->gapAfter(0.0);
    }

    /** @return list<Caution> */
    public function cautions(): array
    {
        $room = $this->facts->shop->temperatureC;

        return [
            ...$this->drop->outer->celsius > $room + 20 ? Caution::for('heat') : [],
            ...$this->drop->inner->celsius < -30 ? Caution::for('cold') : [],
        ];
    }

    /** @return list<Note> */
    public function notes(): array
    {
        [$gap, $wanted, $seconds] = [$this->gapMm(), $this->wantedMm(), $this->drop->secondsUntil()];
        $notes = [];
        foreach (['outer' => $this->drop->outer, 'inner' => $this->drop->inner] as $which => $body) {
            if ($body->material->heatToC !== null && $body->celsius > $body->material->heatToC) {
                $notes[] = Note::stop(
                    "{$which}-too-hot",
                    'The '.
                        $which.
                        ' part, '.
                        self::named($body->material).
                        ', stands '.
                        number_format($body->material->heatToC).
                        ' °C at most.',
                );
            }
            if ($body->celsius < Expansion::COLDEST_C) {
                $notes[] = Note::stop(
                    "{$which}-too-cold",
                    'Nothing in a shop is colder than liquid nitrogen, −196 °C.',
                );
            }
        }
        if ($gap <= 0) {
            $notes[] = Note::stop(
                'does-not-go-in',
                Say::with('It does not go in so: {g} of metal is still in the way. Hotter, or colder.', [
                    'g' => LengthWriter::difference($gap),
                ]),
            );
        } elseif ($gap < $wanted) {
            $notes[] = Note::caution(
                'tight-drop',
                Say::with('It goes in, with {g} of room where {w} is wanted: dead straight, and no stopping.', [
                    'g' => LengthWriter::difference($gap),
                    'w' => LengthWriter::difference($wanted),
                ]),
            );
        }
        if ($seconds !== null && $seconds > 0) {
            $notes[] = Note::info(
                'once-it-touches',
                'Reckoned in the air, each part by itself. Once they touch, a thin ring on a cold mass grips in a second or two: one go, stop at the shoulder, no second try.',
            );
        }
        $notes[] = Note::info(
            'ring-only',
            'The outer part is taken as the ring round the joint; where it is larger it stays hot longer than this says.',
        );

        return $notes;
    }

    private static function named(Material $material): string
    {
        return $material->name;
    }
}

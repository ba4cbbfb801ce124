<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Joint\Body;
use Oldpart\Core\Joint\DropIn;
use Oldpart\Core\Joint\Expansion;
use Oldpart\Core\Picture\GapPicture;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Safety\Caution;

/** The one try there is, rehearsed: hot and cold as chosen, how the gap closes, and how long there is. */
final readonly class RehearsalAnswer implements \JsonSerializable
{
    /** Carried through the shop: a little more than still air. Common practice, 10 to 25 W/m²K. */
    private const CARRIED_H = 15.0;

    private function __construct(private JointAnswer $joint, private JobFacts $facts, private DropIn $drop)
    {
    }

    /** Null where there is nothing to drop in, or the materials are not known well enough. */
    public static function of(JobFacts $facts, JointAnswer $joint): ?self
    {
        $press = $joint->press;
        if ($press === null || $joint->withheld) {
            return null;
        }
        $fit = $press->fit;
        $room = $facts->shop->temperatureC;
        try {
            return new self($joint, $facts, new DropIn(
                $fit->diameterMm, max(0.0, $fit->tightestMm()),
                Body::ring($fit->inner, $fit->diameterMm, $fit->innerBoreMm, $fit->lengthMm, $joint->joint->innerC ?? $room),
                Body::ring($fit->outer, $fit->outerOdMm, $fit->diameterMm, $fit->lengthMm, $joint->joint->outerC ?? $room),
                $room, self::CARRIED_H,
            ));
        } catch (BadInput) {
            return null;
        }
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $seconds = $this->drop->secondsUntil();
        $wanted = max($this->joint->press->fit->diameterMm ?? 0.0, 20.0) / 1000;
        $gap = $this->drop->gapAfter(0.0);
        $signed = static fn (float $mm): Say => Say::with($mm >= 0 ? '{d} open' : '{d} tight', ['d' => LengthWriter::difference($mm)]);

        return [
            'joint' => $this->joint->joint->id, 'name' => $this->joint->joint->name, 'outer_c' => $this->drop->outer->celsius, 'inner_c' => $this->drop->inner->celsius,
            'gap' => $signed($gap), 'seconds' => $seconds, 'enough' => $gap >= $wanted - 1e-9,
            'no_return' => $gap > 0 ? $this->drop->secondsUntil(min($gap, $wanted) / 2) : 0.0,
            'sources' => Table::rows('heat-sources'),
            'points' => array_map(static fn (array $p): array => ['s' => $p[0], 'gap' => $signed($p[1])], $this->drop->curve(60)),
            'picture' => GapPicture::draw($this->drop, $wanted),
            'started_at' => $this->facts->tickedAt('go:'.$this->joint->joint->id),
            'notes' => $this->notes($gap, $wanted, $seconds),
            'cautions' => array_map(fn (Caution $c): array => ['code' => $c->code, 'says' => $c->says, 'ticked' => $this->facts->isTicked($c->code)], $this->cautions()),
        ];
    }

    /** @return list<Caution> */
    public function cautions(): array
    {
        $room = $this->facts->shop->temperatureC;

        return [...($this->drop->outer->celsius > $room + 20 ? Caution::for('heat') : []), ...($this->drop->inner->celsius < -30 ? Caution::for('cold') : [])];
    }

    /** @return list<Note> */
    private function notes(float $gap, float $wanted, ?float $seconds): array
    {
        $notes = [];
        foreach (['outer' => $this->drop->outer, 'inner' => $this->drop->inner] as $which => $body) {
            if ($body->material->heatToC !== null && $body->celsius > $body->material->heatToC) {
                $notes[] = Note::stop("{$which}-too-hot", 'The '.$which.' part, '.self::named($body->material).', stands '.number_format($body->material->heatToC).' °C at most.');
            }
            if ($body->celsius < Expansion::COLDEST_C) {
                $notes[] = Note::stop("{$which}-too-cold", 'Nothing in a shop is colder than liquid nitrogen, −196 °C.');
            }
        }
        if ($gap <= 0) {
            $notes[] = Note::stop('does-not-go-in', Say::with('It does not go in so: {g} of metal is still in the way. Hotter, or colder.', ['g' => LengthWriter::difference($gap)]));
        } elseif ($gap < $wanted) {
            $notes[] = Note::caution('tight-drop', Say::with('It goes in, with {g} of room where {w} is wanted: dead straight, and no stopping.', ['g' => LengthWriter::difference($gap), 'w' => LengthWriter::difference($wanted)]));
        }
        if ($seconds !== null && $seconds > 0) {
            $notes[] = Note::info('once-it-touches', 'Reckoned in the air, each part by itself. Once they touch, a thin ring on a cold mass grips in a second or two: one go, stop at the shoulder, no second try.');
        }
        $notes[] = Note::info('ring-only', 'The outer part is taken as the ring round the joint; where it is larger it stays hot longer than this says.');

        return $notes;
    }

    private static function named(Material $material): string
    {
        return $material->name;
    }
}

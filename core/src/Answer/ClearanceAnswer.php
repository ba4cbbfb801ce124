<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Facts\ClearanceFacts;
use Oldpart\Core\Loop\Clearance;
use Oldpart\Core\Loop\Neighbour;
use Oldpart\Core\Loop\Remedies;
use Oldpart\Core\Loop\Sureness;
use Oldpart\Core\Loop\Travel;
use Oldpart\Core\Picture\ClearancePicture;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** Whether something clears its neighbour over its whole travel, and what to do where it does not. */
final readonly class ClearanceAnswer implements \JsonSerializable
{
    /** Common practice. */
    private const SPANNER = ' A spanner’s head is about 2.2 times as wide as the nut across its flats: measure yours.';

    private function __construct(
        private ClearanceFacts $facts,
        private ?Clearance $clearance,
        private float $leastMm,
        private ?Say $blocked,
        private bool $withheld,
    ) {
    }

    /** @param  bool  $withheld  no size is issued: what would make room is not said either */
    public static function of(ClearanceFacts $facts, bool $withheld): self
    {
        $still = $facts->travel === Travel::Still;
        $missing = array_keys(
            array_filter([
                'how far from the pivot' => $facts->travel === Travel::Swing && $facts->arm === null,
                'at what height' => $facts->travel === Travel::Slide && $facts->arm === null,
                'how wide it is' => $facts->mover === null,
                'from which angle' => $facts->travel === Travel::Swing && $facts->fromDeg === null,
                'to which angle' => $facts->travel === Travel::Swing && $facts->toDeg === null,
                'from where' => $facts->travel === Travel::Slide && $facts->from === null,
                'to where' => $facts->travel === Travel::Slide && $facts->to === null,
                'where its neighbour is' => $facts->other === Neighbour::Round
                        ? $facts->x === null || $facts->y === null
                        : $facts->x === null && $facts->y === null,
            ]),
        );
        $least = $facts->least->length->mm ?? 0.0;
        if ($missing !== []) {
            return new self(
                $facts,
                null,
                $least,
                Say::plain(
                    'Still to type: '.
                        implode(', ', $missing).
                        '.'.
                        ($facts->mover === null && $still ? self::SPANNER : ''),
                ),
                $withheld,
            );
        }
        $travel = match ($facts->travel) {
            Travel::Swing => Range::of($facts->fromDeg ?? 0.0, $facts->toDeg ?? 0.0),
            Travel::Slide => Range::of($facts->from->length->mm ?? 0.0, $facts->to->length->mm ?? 0.0),
            Travel::Still => new Range(0.0, 0.0),
        };
        try {
            $wall = $facts->other === Neighbour::Wall;

            return new self(
                $facts,
                new Clearance(
                    kind: $facts->travel,
                    armMm: $still ? 0.0 : $facts->arm->length->mm ?? 0.0,
                    moverMm: $facts->mover->length->mm ?? 0.0,
                    travel: $travel,
                    other: $facts->other,
                    xMm: $facts->x?->length->mm,
                    yMm: $wall && $facts->x !== null ? null : $facts->y?->length->mm,
                    otherMm: $wall ? 0.0 : $facts->otherSize->length->mm ?? 0.0,
                    doubtMm: $facts->doubt->length->mm ?? 0.0,
                ),
                $least,
                null,
                $withheld,
            );
        } catch (BadInput $bad) {
            return new self($facts, null, $least, Say::plain($bad->getMessage()), $withheld);
        }
    }

    public function id(): string
    {
        return $this->facts->id;
    }

    public function name(): string
    {
        return $this->facts->name;
    }

    /** The chance that there is the room wanted, over the whole travel; null while that is not known. */
    public function chance(): ?float
    {
        return $this->clearance?->chance($this->leastMm);
    }

    /** @return list<Note> */
    private function notes(Clearance $c): array
    {
        $chance = $c->chance($this->leastMm);
        $place = Say::with($this->facts->travel === Travel::Still ? '' : ' at {at}', [
            'at' => $c->place($c->nearestAt()),
        ]);
        $room = LengthWriter::sizeInWords(abs($c->leastMm()));
        $notes = [
            match (true) {
                $c->leastMm() < 0 => Note::stop(
                    'hits',
                    Say::with('It hits: the two are {room} into each other{place}.', [
                        'room' => $room,
                        'place' => $place,
                    ]),
                ),
                $chance < 0.5 => Note::stop(
                    'too-near',
                    Say::with('It passes{place}, but with {room} only.', ['room' => $room, 'place' => $place]),
                ),
                $chance < Remedies::WANTED => Note::caution(
                    'may-touch',
                    Say::with('It may come too near{place}: the room there is {room} ± {u}.', [
                        'room' => $room,
                        'place' => $place,
                        'u' => LengthWriter::plusMinus($c->u95Mm()),
                    ]),
                ),
                default => Note::info(
                    'clears',
                    Say::with('It clears over its whole travel; least room {room}{place}.', [
                        'room' => $room,
                        'place' => $place,
                    ]),
                ),
            },
        ];
        if ($this->facts->doubt === null) {
            $notes[] = Note::caution(
                'no-doubt',
                'How surely are these places measured? Without that the room is taken as exact.',
            );
        }
        if ($this->facts->travel !== Travel::Still && $c->travel->width() < 1e-9) {
            $notes[] = Note::caution('one-place', 'The travel begins where it ends: only one place was looked at.');
        }

        return $notes;
    }

    /** @return list<Say> ways to make room, the least trouble first */
    private function ways(Clearance $c): array
    {
        $short = $c->shortMm($this->leastMm);
        if ($short <= 0) {
            return [];
        }
        $ways = [];
        $fouls = $c->fouls($c->leastMm() + $short);
        if (
            $fouls !== null
            && $this->facts->travel !== Travel::Still
            && ($fouls->min > $c->travel->min || $fouls->max < $c->travel->max)
        ) {
            $ways[] = match (true) {
                $fouls->min <= $c->travel->min => Say::with('Let it begin no sooner than {at}.', [
                    'at' => $c->place($fouls->max),
                ]),
                $fouls->max >= $c->travel->max => Say::with('Stop it at {at}.', ['at' => $c->place($fouls->min)]),
                default => Say::with('It fouls from {a} to {b}: keep it to one side of that.', [
                    'a' => $c->place($fouls->min),
                    'b' => $c->place($fouls->max),
                ]),
            };
        }
        if ($c->moverMm - 2 * $short > 0) {
            $ways[] = Say::with('Make what moves no wider than {d}.', [
                'd' => LengthWriter::atMost($c->moverMm - 2 * $short),
            ]);
        }
        if ($c->other === Neighbour::Round && $c->otherMm - 2 * $short > 0) {
            $ways[] = Say::with('Make its neighbour no wider than {d}.', [
                'd' => LengthWriter::atMost($c->otherMm - 2 * $short),
            ]);
        }
        $ways[] = Say::with('Set its neighbour {by} farther off.', ['by' => LengthWriter::atLeast($short)]);

        return $ways;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $c = $this->clearance;

        return [
            'id' => $this->facts->id,
            'blocked' => $this->blocked,
            'room' => $c === null
                    ? null
                    : LengthWriter::signed($c->leastMm()),
            'doubt' => $c === null ? null : LengthWriter::plusMinus($c->u95Mm()),
            'at' => $c === null || $this->facts->travel === Travel::Still ? null : $c->place($c->nearestAt()),
            'chance' => $this->chance(),
            'sure' => $c === null
                    ? null
                    : Sureness::of($c->chance($this->leastMm), 'it clears', 'clears in {n} of 100', Remedies::WANTED),
            'ways' => $c === null ? [] : ($this->withheld ? [Gatekeeper::sentence()] : $this->ways($c)),
            'picture' => $c === null ? null : ClearancePicture::draw($c, $this->leastMm, $this->facts->name),
            'notes' => $c === null ? [] : $this->notes($c),
            'working' => $c === null ? [] : $c->working($this->leastMm),
        ];
    }
}

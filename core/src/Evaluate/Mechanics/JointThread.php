<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\ShapeJoint;
use Oldpart\Core\Joint\ThreadShear;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/** A threaded joint: how much must be engaged so that the screw breaks before either thread strips. */
final readonly class JointThread implements \JsonSerializable
{
    /** @param  list<Note>  $notes */
    private function __construct(private Say $says, private array $notes)
    {
    }

    /**
     * Null where the joint is no thread, or its size, pitch or materials are not known yet.
     *
     * @param  array<string, FoundSize>  $found
     */
    public static function of(JobFacts $facts, array $found, SizedJoint $answer): ?self
    {
        $inner = $facts->surface($answer->joint->inner);
        $outer = $facts->surface($answer->joint->outer);
        if ($answer->purpose->shape !== ShapeJoint::Thread || $inner === null || $outer === null) {
            return null;
        }
        $screw = FoundSurfaces::material($facts->partOf($inner));
        $hole = FoundSurfaces::material($facts->partOf($outer));
        $major = $inner->size->length->mm ?? ($outer->size->length->mm ?? null);
        $pitch = $inner->pitch->length->mm ?? ($outer->pitch->length->mm ?? null);
        if ($screw?->tensileMpa === null || $hole?->tensileMpa === null || $major === null || $pitch === null) {
            return null;
        }
        try {
            $thread = new ThreadShear($major, $pitch);
        } catch (BadInput) {
            return null;
        }
        $needed = $thread->engagementMm($screw->tensileMpa, $hole->tensileMpa);
        $there = self::engaged($answer, $found, $inner, $outer);
        $notes = [];
        if ($there !== null && $there < $needed) {
            $holds =
                0.577 *
                min(
                    $hole->tensileMpa * $thread->internalMm2($there),
                    $screw->tensileMpa * $thread->externalMm2($there),
                );
            $notes[] = Note::caution(
                'thread-strips',
                Say::with(
                    'With {l} engaged the thread strips first, at about {f}. Make it longer, or fit an insert of something stronger.',
                    ['l' => LengthWriter::sizeInWords($there), 'f' => Figure::forceAtLeast($holds)],
                ),
            );
        }
        $outside = self::outsideOf($facts, $found, $outer->part);
        if ($outside !== null && ($outside - $major) / 2 < 0.25 * $major) {
            $notes[] = Note::caution(
                'thread-wall',
                Say::with('The wall round it is {w}: at least a quarter of the thread’s outside is wanted.', [
                    'w' => LengthWriter::difference(($outside - $major) / 2),
                ]),
            );
        }

        return new self(
            Say::with(
                'The screw breaks before the thread strips from {n} of engagement on; it then carries about {f}.',
                [
                    'n' => LengthWriter::sizeInWords($needed),
                    'f' => Figure::forceAtLeast($screw->tensileMpa * $thread->stressMm2()),
                ],
            ),
            $notes,
        );
    }

    /** @param  array<string, FoundSize>  $found */
    private static function engaged(SizedJoint $answer, array $found, SurfaceFacts $inner, SurfaceFacts $outer): ?float
    {
        $along = $answer->joint->along === null ? null : $found[$answer->joint->along]->meanMm ?? null;
        $lengths = array_filter(
            [$along, $inner->long->length->mm ?? null, $outer->long->length->mm ?? null],
            static fn (?float $mm): bool => $mm !== null && $mm > 0,
        );

        return $lengths === [] ? null : min($lengths);
    }

    /** @param  array<string, FoundSize>  $found */
    private static function outsideOf(JobFacts $facts, array $found, string $part): ?float
    {
        foreach ($facts->surfacesOf($part) as $surface) {
            if ($surface->type === SurfaceType::Shaft) {
                return $found[$surface->id]->meanMm ?? ($surface->size->length->mm ?? null);
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['says' => $this->says, 'notes' => $this->notes];
    }
}

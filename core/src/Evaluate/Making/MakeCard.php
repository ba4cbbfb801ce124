<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Evaluate\Loops\LoopLengths;
use Oldpart\Core\Evaluate\Mechanics\PressedSize;
use Oldpart\Core\Evaluate\Mechanics\PressStudy;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Evaluate\Trials\LoopTrials;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** Everything to be made, with its number: the answer people came for. */
final readonly class MakeCard
{
    /** @param  list<SizedJoint>  $joints  with their mechanics */
    public function __construct(private JobFacts $facts, private array $joints, private PressStudy $study)
    {
    }

    /** @return list<MakeEntry> */
    public function entries(): array
    {
        $entries = [];
        foreach ($this->joints as $answer) {
            if ($answer->isSized()) {
                $likely = static fn (MakeEntry $e): MakeEntry => $e->surface->id === $answer->make?->id
                    ? $e->likely($answer->chance(), $answer->withheld ? null : $answer->best)
                    : $e;
                array_push($entries, ...array_map($likely, $this->forJoint($answer)));
            }
        }

        return $entries;
    }

    /** @return list<MakeEntry> */
    private function forJoint(SizedJoint $answer): array
    {
        $surface = $answer->make ?? throw new \LogicException('checked by the caller');
        $goto = match (true) {
            $answer->withheld => ['stage' => 'take-in', 'surface' => null],
            $answer->band() === null => ['stage' => 'measure', 'surface' => $answer->mate?->id],
            default => ['stage' => 'size', 'surface' => $answer->joint->id],
        };
        $pressed = PressedSize::of($this->facts, $this->joints, $this->study, $surface);
        if ($pressed === null) {
            return [
                new MakeEntry(
                    surface: $surface,
                    phase: Phase::Only,
                    label: $surface->name,
                    jointId: $answer->joint->id,
                    band: $answer->band(),
                    blocked: $answer->blocked,
                    reading: $answer->goodEnough,
                    remarks: [],
                    notes: $answer->notes,
                    goto: $goto,
                ),
                ...$this->otherSide($answer, $goto),
            ];
        }

        return $this->pressedEntries($surface, $answer, $pressed, $goto);
    }

    /**
     * Lengths to make that follow from loops: a surface's own, with its limits; those without two limits stay with
     * their loop.
     *
     * @param  array<string, Band>  $bands  of surfaces that a joint sizes already
     * @return list<MakeEntry>
     */
    public static function lengths(JobFacts $facts, LoopLengths $lengths, array $bands, bool $withheld): array
    {
        $entries = [];
        foreach ($withheld ? [] : $lengths->bands() as $id => ['band' => $band, 'loop' => $loop, 'best' => $best]) {
            $surface = $facts->surface($id);
            if ($surface !== null && ! isset($bands[$id])) {
                $entries[] = new MakeEntry(
                    surface: $surface,
                    phase: Phase::Only,
                    label: $surface->name,
                    jointId: $loop->id,
                    band: $band,
                    blocked: null,
                    reading: null,
                    remarks: [
                        Say::with(
                            $best === null
                                ? 'For “{loop}”.'
                                : 'For “{loop}”: none closes it for sure, since the others already spread more than is wanted.',
                            ['loop' => $loop->name],
                        ),
                    ],
                    notes: [],
                    goto: ['stage' => 'size', 'surface' => $loop->id],
                    chance: $best?->chance,
                );
            }
        }

        return $entries;
    }

    /**
     * Shapes that are cut: the size that stands for each, with the numbers one dials beside it.
     *
     * @param  list<ShapedSurface>  $shapes
     * @return list<MakeEntry>
     */
    public static function shapes(array $shapes): array
    {
        $entries = [];
        foreach ($shapes as $shape) {
            // A flat is asked for by its own demand.
            if (! $shape->isCut || $shape->surface->type->isSized()) {
                continue;
            }
            $entries[] = new MakeEntry(
                surface: $shape->surface,
                phase: Phase::Only,
                label: $shape->surface->name,
                jointId: '',
                band: $shape->band,
                blocked: $shape->band === null ? $shape->missing : null,
                reading: null,
                remarks: array_values(array_filter([$shape->is])),
                notes: $shape->notes,
                goto: ['stage' => 'size', 'surface' => $shape->surface->id],
                // Where a place is asked for, nothing has limits of size: its numbers stand there all the same.
                more: array_slice($shape->numbers, $shape->band === null ? 0 : 1, 3),
                // Edges and angles are no more than the rest of the part.
                rest: $shape->surface->type->isEdge(),
                free: $shape->band === null && $shape->is !== null,
            );
        }

        return $entries;
    }

    /**
     * What was tried together and has to come off: the trial says it more surely than the lengths did.
     *
     * @param  array<string, ?LoopTrials>  $trials  by loop, and by joint of two lengths
     * @return list<MakeEntry>
     */
    public static function tried(JobFacts $facts, array $trials): array
    {
        $entries = [];
        foreach ($trials as $loop => $trial) {
            $surface = $trial?->surface;
            $take = $trial?->takeMm;
            $now = $surface === null ? null : CutLog::of($facts, $surface, Phase::Only)->made()?->middle();
            if ($surface === null || $take === null || $now === null || (! $surface->grows() && $take->max >= $now)) {
                continue;
            }
            $band = $surface->grows()
                ? new Band($now + $take->min, $now + $take->max)
                : new Band($now - $take->max, $now - $take->min);
            $entries[] = new MakeEntry(
                surface: $surface,
                phase: Phase::Only,
                label: $surface->name,
                jointId: $loop,
                band: $band,
                blocked: null,
                reading: null,
                remarks: [
                    Say::with('As it was tried together: take {a} to {b} off.', [
                        'a' => LengthWriter::difference($take->min),
                        'b' => LengthWriter::difference($take->max),
                    ]),
                ],
                notes: [],
                goto: ['stage' => 'size', 'surface' => $loop],
            );
        }

        return $entries;
    }

    /**
     * Every other surface that is cut, with what is asked of it for itself: the rest of the part.
     *
     * @param  list<MakeEntry>  $entries  those that joints and loops ask for
     * @param  array<string, array<string, FoundSize>>  $before  of surfaces that are cut, by surface, by state
     * @param  array<string, string>  $givers  by surface: the sum of the job that gives its size
     * @return list<MakeEntry>
     */
    public static function rest(
        JobFacts $facts,
        array $entries,
        array $before,
        bool $withheld,
        array $givers = [],
    ): array {
        $asked = array_map(static fn (MakeEntry $e): string => $e->surface->id, $entries);
        $rest = [];
        foreach ($facts->surfaces as $surface) {
            if (! $facts->isCut($surface) || in_array($surface->id, $asked, true) || ! $surface->type->isSized()) {
                continue;
            }
            $own = OwnDemand::of($surface, $before[$surface->id] ?? []);
            $rest[] = new MakeEntry(
                surface: $surface,
                phase: Phase::Only,
                label: $surface->name,
                jointId: '',
                band: $withheld ? null : $own->band,
                blocked: $withheld ? Gatekeeper::sentence() : $own->blocked,
                reading: null,
                remarks: [
                    ...$own->says->both === '' ? [] : [$own->says],
                    ...isset($givers[$surface->id]) ? [Say::plain("From the sum “{$givers[$surface->id]}”.")] : [],
                ],
                notes: [],
                goto: $withheld
                    ? ['stage' => 'take-in', 'surface' => null]
                    : ['stage' => 'survey', 'surface' => $surface->id],
                rest: true,
                free: $own->free,
            );
        }

        return $rest;
    }

    /** The rest of a part that is pressed is cut to its own limits, and by how much it changes then is said. */
    public function onPress(MakeEntry $entry): MakeEntry
    {
        $pressed =
            $entry->rest && ! $entry->free && $entry->band !== null
                ? PressedSize::of($this->facts, $this->joints, $this->study, $entry->surface)
                : null;

        return $pressed === null || ! $pressed->shows() ? $entry : $entry->with([
            $pressed->says(),
            Say::plain('Its limits are what it is cut to: where they count once it is pressed, allow for that.'),
        ], []);
    }

    /**
     * The other side, where the joint gives that its limits too.
     *
     * @param  array{stage: string, surface: ?string}  $goto
     * @return list<MakeEntry>
     */
    private function otherSide(SizedJoint $answer, array $goto): array
    {
        $other = $answer->first;

        return $other === null
            ? []
            : [
                new MakeEntry(
                    surface: $other,
                    phase: Phase::Only,
                    label: $other->name,
                    jointId: $answer->joint->id,
                    band: $answer->withheld ? null : $answer->firstSized?->band,
                    blocked: $answer->withheld ? $answer->blocked : null,
                    reading: null,
                    remarks: [],
                    notes: [],
                    goto: $goto,
                ),
            ];
    }

    /**
     * A size that changes when its part is pressed: what to cut before, and what it must be after.
     *
     * @param  array{stage: string, surface: ?string}  $goto
     * @return list<MakeEntry>
     */
    private function pressedEntries(SurfaceFacts $surface, SizedJoint $answer, PressedSize $pressed, array $goto): array
    {
        $after = $answer->band();
        $inPlace = $pressed->finishInPlace($answer);
        $afterEntry = new MakeEntry(
            surface: $surface,
            phase: Phase::After,
            label: "{$surface->name}, after pressing",
            jointId: $answer->joint->id,
            band: $after,
            blocked: $answer->blocked,
            reading: $answer->goodEnough,
            remarks: $inPlace && $after !== null ? [$pressed->inPlace($after), $pressed->says()] : [],
            notes: $answer->notes,
            goto: $goto,
        );
        if ($after === null) {
            return [$afterEntry];
        }
        if ($inPlace) {
            return [...$this->cutBefore($surface, $answer, $pressed, $goto), $afterEntry];
        }
        $press = $pressed->press;
        $before = $pressed->changeMm === null ? null : PressedSize::before($after, $pressed->changeMm);

        return [
            new MakeEntry(
                surface: $surface,
                phase: Phase::Before,
                label: "{$surface->name}, before pressing",
                jointId: $answer->joint->id,
                band: $before,
                blocked: $before === null ? $pressed->waits() : null,
                reading: $before === null ? null : $answer->goodEnough,
                remarks: $before === null ? [] : [$pressed->says()],
                notes: $before === null ? [] : $answer->notes,
                goto: $before === null
                    ? ['stage' => $press->blocked !== null ? 'measure' : 'survey', 'surface' => $press->mate?->id]
                    : $goto,
            ),
            $afterEntry,
        ];
    }

    /**
     * What was cut before it turned out that it is finished in place: nothing that was logged is hidden.
     *
     * @param  array{stage: string, surface: ?string}  $goto
     * @return list<MakeEntry>
     */
    private function cutBefore(SurfaceFacts $surface, SizedJoint $answer, PressedSize $pressed, array $goto): array
    {
        $made = CutLog::of($this->facts, $surface, Phase::Before)->made();
        $comes = $made === null ? null : $pressed->after($made);
        if ($comes === null) {
            return [];
        }

        return [
            new MakeEntry(
                surface: $surface,
                phase: Phase::Before,
                label: "{$surface->name}, before pressing",
                jointId: $answer->joint->id,
                band: null,
                blocked: null,
                reading: null,
                remarks: [
                    Say::with('As it was cut it comes to {a} to {b} once pressed; it is finished in place.', [
                        'a' => LengthWriter::size($comes->min),
                        'b' => LengthWriter::size($comes->max),
                    ]),
                ],
                notes: [],
                goto: $goto,
                free: true,
            ),
        ];
    }

    /** Whether a bore is finished once its part is in. */
    public function finishInPlace(SurfaceFacts $bore, SizedJoint $answer): bool
    {
        return PressedSize::of($this->facts, $this->joints, $this->study, $bore)?->finishInPlace($answer) ?? false;
    }

    public function isPorous(SurfaceFacts $surface): bool
    {
        return FoundSurfaces::material($this->facts->partOf($surface))->porous ?? false;
    }

    /**
     * The joint that holds the outside of the part a bore is in: pressed, bonded or slipped in; null where it has none.
     */
    public function heldOutside(SurfaceFacts $bore): ?SizedJoint
    {
        foreach ($this->round($bore) as $joint) {
            if ($joint->isSized() && ! $joint->purpose->runs) {
                return $joint;
            }
        }

        return null;
    }

    /** @return list<SizedJoint> in which the part of a bore is the inner one */
    private function round(SurfaceFacts $bore): array
    {
        return array_values(
            array_filter(
                $this->joints,
                fn (SizedJoint $j): bool => ! $j->purpose->isLength
                    && $this->facts->surface($j->joint->inner)?->part === $bore->part,
            ),
        );
    }
}

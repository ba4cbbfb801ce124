<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Mechanics\JointWalls;
use Oldpart\Core\Evaluate\Mechanics\KnownSizes;
use Oldpart\Core\Evaluate\Sizing\JointConditions;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\ReadState;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Facts\Work;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * A surface of a part that is there, cut again: how much metal comes off, whether the worst spot cleans up, and what
 * wall is left.
 */
final readonly class WorkedSurfaces
{
    /** What is left to cut on weld or spray so that it cleans up, a side, mm. Common practice. */
    private const BUILD_UP_MM = 1.0;

    private KnownSizes $sizes;

    /**
     * @param  array<string, FoundSize>  $found  by surface
     * @param  array<string, array<string, FoundSize>>  $before  by surface, by state
     * @param  array<string, Band>  $bands  of what is made
     */
    public function __construct(private JobFacts $facts, array $found, private array $before, array $bands)
    {
        $this->sizes = new KnownSizes($facts, $found, $bands, []);
    }

    /** The line of the make card with what its work means for the part; any other line as it is. */
    public function on(MakeEntry $entry): MakeEntry
    {
        $work = $entry->surface->work;
        if ($work === null || $entry->band === null) {
            return $entry;
        }
        $states = $this->before[$entry->surface->id] ?? [];
        $state = $this->latest($states);
        if ($state === null) {
            $read = 'Nobody has read it as it is: read it at Measure, and what is to come off is said.';

            [$remarks, $notes] = [[Say::plain($read)], []];
        } else {
            [$remarks, $notes] = $this->metal($entry->surface, $entry->band, $states[$state->value], $state, $work);
        }
        [$wall, $walls] = $this->wallLeft($entry->surface, $entry->band);

        return $entry->with([...$remarks, ...$wall === null ? [] : [$wall]], [...$notes, ...$walls]);
    }

    /** @param  array<string, FoundSize>  $states */
    private function latest(array $states): ?ReadState
    {
        foreach ([ReadState::Roughed, ReadState::BuiltUp, ReadState::Before] as $state) {
            if (isset($states[$state->value])) {
                return $state;
            }
        }

        return null;
    }

    /** @return array{list<Say>, list<Note>} */
    private function metal(
        SurfaceFacts $surface,
        Band $band,
        FoundSize $now,
        ReadState $state,
        Work $work,
    ): array {
        $bore = $surface->grows();
        $round = $surface->kind !== SurfaceKind::Length;
        $takes = $bore ? $band->lowerMm - $now->meanMm : $now->meanMm - $band->upperMm;
        // The spot that is deepest already has to be cut away too.
        $worst = $bore ? $now->largestMm() : $now->smallestMm();
        $cleans = $bore ? $worst <= $band->upperMm : $worst >= $band->lowerMm;
        $values = [
            's' => LengthWriter::size($now->meanMm),
            'worst' => LengthWriter::size($worst),
            't' => LengthWriter::difference(max(0.0, $takes)),
            'a' => LengthWriter::lower($band),
            'b' => LengthWriter::upper($band),
        ];
        if ($cleans) {
            $on = $round ? ' on the diameter' : '';

            return [
                [Say::with(ucfirst($state->says()).' it is {s}: {t} comes off'.$on.' to the first limit.', $values)],
                [],
            ];
        }
        if ($work === Work::BuiltUp && $state === ReadState::Before) {
            $allowance = ($round ? 2 : 1) * self::BUILD_UP_MM;
            $values['to'] = LengthWriter::size(
                $bore ? max(0.0, $band->lowerMm - $allowance) : $band->upperMm + $allowance,
            );

            return [
                [
                    Say::with(
                        $bore
                            ? 'As it was it is {s}. Build it up until its bore is {to} or less, so that it cleans up; read it then, built up.'
                            : 'As it was it is {s}. Build it up to {to} or more, so that it cleans up; read it then, built up.',
                        $values,
                    ),
                ],
                [],
            ];
        }

        return [
            [],
            [
                Note::stop(
                    'wont-clean-up',
                    Say::with(
                        ucfirst($state->says()).
                            ' its worst spot is {worst}, beyond its limits of {a} to {b}: it does not clean up. Build it up or sleeve it first, or choose a size it cleans up at.',
                        $values,
                    ),
                ),
            ],
        ];
    }

    /** @return array{?Say, list<Note>} the wall that is left, at its thinnest and with the most cut off */
    private function wallLeft(SurfaceFacts $surface, Band $band): array
    {
        if ($surface->kind === SurfaceKind::Length) {
            return [null, []];
        }
        $bore = $surface->kind === SurfaceKind::Bore;
        $other = JointWalls::thinnest($this->facts, $this->sizes, $surface);
        if ($other === null && $bore) {
            return [Say::plain('What wall is left is not known: say or read the outside round it.'), []];
        }
        if ($other === null || (! $bore && $other <= 0)) {
            return [null, []];
        }
        $wall = $bore ? ($other - $band->upperMm) / 2 : ($band->lowerMm - $other) / 2;
        if ($wall <= 0) {
            $says = Say::with('Nothing is left of the wall: what lies on the other side of it is {o}.', [
                'o' => LengthWriter::size($other),
            ]);

            return [null, [Note::stop('no-wall', $says)]];
        }
        $says = Say::with('The wall that is left is {w} at least.', ['w' => LengthWriter::difference($wall)]);
        [$outside, $inside] = $bore ? [$other, $band->upperMm] : [$band->lowerMm, $other];
        $thin = $outside < JointConditions::THIN_RATIO * $inside;
        $minds = 'That wall is thin: press nothing hard into it, and clamp it gently.';

        return [$says, $thin ? [Note::caution('thin-wall-left', $minds)] : []];
    }
}

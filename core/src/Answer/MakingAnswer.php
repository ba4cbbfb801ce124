<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Making\CutKind;
use Oldpart\Core\Making\CutState;
use Oldpart\Core\Making\HoleLadder;
use Oldpart\Core\Making\HoleTools;
use Oldpart\Core\Making\LatheDial;
use Oldpart\Core\Making\PlannedCut;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Picture\CutPicture;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Remedy\Deviation;
use Oldpart\Core\Shape\SurfaceType;

/** Cutting one surface as it is shown. */
final readonly class MakingAnswer implements \JsonSerializable
{
    /**
     * @param  list<Say>  $touches  what it upsets when it comes out otherwise
     * @param  ?LatheDial  $dial  that it is cut by, where the shop said which
     */
    public function __construct(
        public CutProgress $of,
        public array $touches = [],
        private ?LatheDial $dial = null,
        private ?HoleTools $tools = null,
        /** What it does that it was cut too far; null where it was not. */
        private ?Deviation $deviation = null,
    ) {
    }

    /** What is dialled in the lathe's own lines; null where it is not cut round, or the dial is not known. */
    private function lines(): ?Say
    {
        $dialled = $this->dialMm();
        $type = $this->of->entry->surface->type;

        return $this->dial === null || $dialled === null || ! ($type->isOutside() || $type->isInside())
            ? null
            : $this->dial->says($dialled);
    }

    /** Nothing is dialled any more. */
    private function isPolished(): bool
    {
        return ($this->of->next?->plan[0]->kind ?? null) === CutKind::Polish;
    }

    /** What is dialled next, mm; null where nothing is. */
    private function dialMm(): ?float
    {
        $next = $this->of->next;

        return $next?->state !== CutState::Cut || $this->isPolished() ? null : $next->dialMm;
    }

    private function says(): Say
    {
        $next = $this->of->next;
        if ($next === null) {
            $first = $this->of->entry->more[0] ?? null;
            if ($this->of->entry->band === null && $first !== null) {
                // No limits, but a number all the same.
                return Say::with('{n}: {s}.', ['n' => $first->name, 's' => $first->says]);
            }

            return $this->of->entry->band === null
                ? $this->of->entry->blocked ?? Say::plain($this->of->entry->free ? 'As it comes.' : 'No band yet.')
                : Say::plain('Enter the size it has now.');
        }

        return match ($next->state) {
            CutState::Inside => Say::plain(
                $this->of->verdict === Acceptance::Inside
                    ? 'Stop: inside the band.'
                    : 'Stop: inside, but near a limit.',
            ),
            CutState::Past => Say::plain('Past the band.'),
            CutState::Cut => $this->isPolished() ? Say::with(
                $this->of->entry->surface->grows()
                    ? 'Hone or lap off the last {d}, measuring in between.'
                    : 'Polish off the last {d} with emery on a flat stick, measuring in between.',
                ['d' => LengthWriter::difference($next->plan[0]->takeMm)],
            ) : Say::with('Dial {d} on the diameter.', ['d' => LengthWriter::difference($next->dialMm)]),
        };
    }

    /** @return list<array<string, mixed>> */
    private function rows(): array
    {
        $rows = [];
        $sizes = $this->of->log->sizes();
        $band = $this->of->entry->band;
        $kind = $this->of->entry->surface->cutAs();
        foreach ($this->of->log->cuts as $i => $cut) {
            $took = $i > 0 ? abs($sizes[$i] - $sizes[$i - 1]) : null;
            $rows[] = [
                'id' => $cut->id,
                'dialled' => $cut->dialled === null ? null : LengthWriter::difference($cut->dialled->length->mm),
                'after' => LengthWriter::size($sizes[$i]),
                'took' => $took === null ? null : LengthWriter::difference($took),
                'state' => $band === null ? CutState::Cut : CutState::of($sizes[$i], $band, $kind),
            ];
        }

        return $rows;
    }

    /** @return list<Say> how a bore comes about where there was none */
    private function hole(): array
    {
        $entry = $this->of->entry;

        return $entry->band === null
            || $entry->surface->type !== SurfaceType::Bore
            || $entry->surface->work !== null
            || $entry->phase === Phase::After
            ? []
            : HoleLadder::steps($entry->band, null, $this->tools);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $band = $this->of->entry->band;
        $sizes = $this->of->log->sizes();
        $now = $sizes === [] ? null : $sizes[count($sizes) - 1];
        $next = $this->of->next;
        $dialled = $this->dialMm();

        return [
            'key' => $this->of->entry->key(),
            'surface' => $this->of->entry->surface->id,
            'phase' => $this->of->entry->phase->value,
            'piece' => $this->of->piece,
            'label' => $this->of->entry->label,
            'hole' => $this->hole(),
            'touches' => $this->touches,
            'measured_as' => $this->of->entry->surface->kind->value,
            'now' => $now === null ? null : LengthWriter::size($now),
            'state' => $next->state->value ?? 'none',
            'verdict' => $this->of->verdict?->value,
            'says' => $this->says(),
            'dial' => $dialled === null ? null : LengthWriter::size($dialled),
            'dial_per_side' => $dialled === null ? null : LengthWriter::size($dialled / 2),
            'dial_lines' => $this->lines(),
            'left' => $next === null ? null : LengthWriter::size(abs($next->leftMm)),
            'cuts' => $next === null ? null : $next->cuts,
            'deviation' => $this->deviation === null ? null : [
                ...$this->deviation->jsonSerialize(),
                'row' => HandOverAnswer::size($this->of),
            ],
            'plan' => $next === null
                    ? []
                    : array_map(
                        static fn (PlannedCut $c): array => [
                            'kind' => $c->kind,
                            'dial' => LengthWriter::size($c->kind === CutKind::Polish ? $c->takeMm : $c->dialMm),
                        ],
                        $next->plan,
                    ),
            'rough' => LengthWriter::size($this->of->roughMm),
            'rows' => $this->rows(),
            'notes' => $this->of->notes(),
            'working' => $next->working->steps ?? [],
            'picture' => $band === null || $sizes === [] ? null : CutPicture::draw($sizes, $this->of->plannedMm(), $band),
        ];
    }
}

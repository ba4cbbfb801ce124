<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Making\Cut;
use Oldpart\Core\Making\NextCut;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Picture\CutPicture;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** Cutting one surface: where it stands, what to dial next, and whether it is inside. */
final readonly class MakingAnswer implements \JsonSerializable
{
    private function __construct(
        public MakeEntry $entry,
        public CutLog $log,
        public ?NextCut $next,
        public ?Acceptance $verdict,
        private float $roughMm,
    ) {
    }

    public static function of(JobFacts $facts, MakeEntry $entry): self
    {
        $log = CutLog::of($facts, $entry->surface, $entry->phase);
        $rough = $facts->shop->roughCutMm;
        if ($log->last() === null || $entry->band === null) {
            return new self($entry, $log, null, null, $rough);
        }
        $sizes = $log->sizes();
        $now = $sizes[count($sizes) - 1];

        return new self(
            $entry, $log,
            NextCut::toward($entry->surface->kind, $entry->band, $now, $rough, self::history($entry, $log)),
            Acceptance::of($now, $log->u95(), $entry->band), $rough,
        );
    }

    /** As it was measured last, at 20 °C. */
    public function lastSize(): ?Say
    {
        $last = $this->log->last();

        return $last === null ? null : LengthWriter::size($this->log->atTwenty($last));
    }

    /** @return list<Cut> */
    private static function history(MakeEntry $entry, CutLog $log): array
    {
        $history = [];
        $sizes = $log->sizes();
        $sign = $entry->surface->kind === SurfaceKind::Bore ? 1 : -1;
        foreach ($log->cuts as $i => $cut) {
            if ($i > 0 && $cut->dialled !== null) {
                $history[] = new Cut($cut->dialled->length->mm, $sign * ($sizes[$i] - $sizes[$i - 1]));
            }
        }

        return $history;
    }

    /** @return list<Note> */
    private function notes(Band $band): array
    {
        $notes = $this->next->notes ?? [];
        $shift = $this->log->warmShift();
        if (abs($shift) > 0.1 * $band->widthMm()) {
            $notes[] = Note::caution('cut-warm', Say::with('Read warm: it will shrink by {s}. The size here is corrected for it, but let it cool before you accept it.', ['s' => LengthWriter::difference($shift)]));
        }
        if ($this->verdict === Acceptance::CannotTell) {
            $notes[] = Note::caution('cannot-tell', Say::with('It is within ±{u} of a limit: the reading can’t tell which side. Read it with something surer before you accept it.', ['u' => LengthWriter::difference($this->log->u95())]));
        }

        return $notes;
    }

    private function says(): Say
    {
        $next = $this->next;
        if ($next === null) {
            return $this->entry->band === null ? ($this->entry->blocked ?? Say::plain('No band yet.')) : Say::plain('Enter the size it has now.');
        }

        return match ($next->state) {
            'inside' => Say::plain($this->verdict === Acceptance::Inside ? 'Stop: inside the band.' : 'Stop: inside, but near a limit.'),
            'past' => Say::plain('Past the band.'),
            default => Say::with('Dial {d} on the diameter.', ['d' => LengthWriter::difference($next->dialMm)]),
        };
    }

    /** @return list<array<string, mixed>> */
    private function rows(): array
    {
        $rows = [];
        $sizes = $this->log->sizes();
        foreach ($this->log->cuts as $i => $cut) {
            $took = $i > 0 ? abs($sizes[$i] - $sizes[$i - 1]) : null;
            $rows[] = [
                'id' => $cut->id,
                'dialled' => $cut->dialled === null ? null : LengthWriter::difference($cut->dialled->length->mm),
                'after' => LengthWriter::size($sizes[$i]),
                'took' => $took === null ? null : LengthWriter::difference($took),
                'inside' => $this->entry->band?->holds($sizes[$i]) ?? false,
            ];
        }

        return $rows;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $band = $this->entry->band;
        $sizes = $this->log->sizes();
        $now = $sizes === [] ? null : $sizes[count($sizes) - 1];
        $next = $this->next;
        $planned = [];
        if ($next !== null && $now !== null) {
            $size = $now;
            foreach ($next->plan as $cut) {
                if ($cut['kind'] !== 'spring') {
                    $size += ($this->entry->surface->kind === SurfaceKind::Bore ? 1 : -1) * $cut['take_mm'];
                    $planned[] = $size;
                }
            }
        }

        return [
            'key' => $this->entry->key(),
            'surface' => $this->entry->surface->id,
            'phase' => $this->entry->phase->value,
            'label' => $this->entry->label,
            'measured_as' => $this->entry->surface->kind->value,
            'now' => $now === null ? null : LengthWriter::size($now),
            'state' => $next->state ?? 'none',
            'verdict' => $this->verdict?->value,
            'says' => $this->says(),
            'dial' => $next === null || $next->state !== 'cut' ? null : LengthWriter::size($next->dialMm),
            'dial_per_side' => $next === null || $next->state !== 'cut' ? null : LengthWriter::size($next->dialMm / 2),
            'left' => $next === null ? null : LengthWriter::size(abs($next->leftMm)),
            'cuts' => $next === null ? null : $next->cuts,
            'plan' => $next === null ? [] : array_map(static fn (array $c): array => ['kind' => $c['kind'], 'dial' => LengthWriter::size($c['dial_mm'])], $next->plan),
            'rough' => LengthWriter::size($this->roughMm),
            'rows' => $this->rows(),
            'notes' => $band === null ? [] : $this->notes($band),
            'working' => $next->working->steps ?? [],
            'picture' => $band === null || $sizes === [] ? null : CutPicture::draw($sizes, $planned, $band),
        ];
    }
}

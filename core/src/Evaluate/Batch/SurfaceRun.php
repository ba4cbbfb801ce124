<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Batch;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Making\Drift;
use Oldpart\Core\Making\RunChart;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** One size from piece to piece: whether it wanders, and whether the work can hold it at all. */
final readonly class SurfaceRun
{
    /** More than so many in 100 outside, and the work can't hold the size. */
    private const TOO_MANY = 0.01;

    /**
     * @param  non-empty-array<int, float>  $sizesMm  at 20 °C, by number of the piece
     */
    private function __construct(
        public MakeEntry $entry,
        public Band $band,
        public array $sizesMm,
        public ?RunChart $chart,
        public ?Drift $drift,
        private int $pieces,
    ) {
    }

    /**
     * @param  array<int, CutProgress>  $cuts  by number of the piece
     * @param  int  $pieces  how many there are to be
     * @return ?self null while fewer than two are measured
     */
    public static function of(MakeEntry $entry, array $cuts, int $pieces): ?self
    {
        // A piece that is still being cut says nothing of where the next comes out.
        $done = array_filter($cuts, static fn (CutProgress $c): bool => ! $c->hasMetalLeft());
        $sizes = array_filter(
            array_map(static fn (CutProgress $c): ?float => $c->sizeMm(), $done),
            static fn (?float $mm): bool => $mm !== null,
        );
        if (count($sizes) < 2 || $entry->band === null) {
            return null;
        }

        $steps = array_map(static fn (CutProgress $c): float => $c->stepMm(), $done);

        return new self(
            entry: $entry,
            band: $entry->band,
            sizesMm: $sizes,
            chart: RunChart::of(array_values($sizes)),
            // What lies between two lines of the gauge is not seen.
            drift: Drift::of($sizes, max([0.0, ...$steps]) / sqrt(12)),
            pieces: $pieces,
        );
    }

    /** The next piece to be made. */
    public function next(): int
    {
        return max(array_keys($this->sizesMm)) + 1;
    }

    /** By how much to set the cut finer (above 0) or deeper, on diameter, so that the next comes to the middle, mm. */
    public function resetMm(): ?float
    {
        if ($this->drift === null || ! $this->drift->isReal()) {
            return null;
        }
        $off = $this->drift->expected($this->next())->middle() - $this->band->middleMm();

        return $this->entry->surface->grows() ? $off : -$off;
    }

    public function says(): Say
    {
        if ($this->drift === null) {
            return Say::plain('Two measured: whether it wanders shows from the third on.');
        }
        $by = $this->drift->perPieceMm();
        if (! $this->drift->isReal()) {
            return Say::with('No wandering shows beyond chance: {by} a piece, ±{u}.', [
                'by' => LengthWriter::fine($by),
                'u' => LengthWriter::fine($this->drift->sureMm()),
            ]);
        }

        return Say::with(
            ($by > 0 ? 'Grows' : 'Shrinks').' by {by} a piece, ±{u}. '
                ."Piece {$this->next()} is expected at {at}, in 95 of 100 within ±{r}.",
            [
                'by' => LengthWriter::fine($by),
                'u' => LengthWriter::fine($this->drift->sureMm()),
                'at' => LengthWriter::size($this->drift->expected($this->next())->middle()),
                'r' => LengthWriter::plusMinus($this->drift->expected($this->next())->width() / 2),
            ],
        );
    }

    /** @return list<Note> */
    public function notes(): array
    {
        return [...$this->driftNotes(), ...$this->chartNotes()];
    }

    /** @return list<Note> */
    private function driftNotes(): array
    {
        $reset = $this->resetMm();
        $out = $this->drift?->firstOutside($this->band);
        // After the last piece it does not matter any more.
        if ($reset === null || $out === null || $out > $this->pieces) {
            return [];
        }

        return [
            Note::caution(
                'batch-drift',
                Say::with(
                    'If it goes on so, piece '.$out.' comes out outside. Before the next, set the last cut {how} by {by}{on} to come back to the middle, and look at the edge of the tool.',
                    [
                        'how' => Say::plain($reset > 0 ? 'finer' : 'deeper'),
                        'by' => LengthWriter::difference(abs($reset)),
                        'on' => Say::plain($this->isLength() ? '' : ' on the diameter'),
                    ],
                ),
                $this->entry->surface->id,
            ),
        ];
    }

    /** @return list<Note> */
    private function chartNotes(): array
    {
        if ($this->chart === null) {
            return [];
        }
        $notes = [];
        $says = match ($this->chart->signal()) {
            'beyond' => 'The last piece is further off than the work itself spreads: something changed. Chips under it, the tool, the stop, how it is held.',
            'jump' => 'The last piece jumped from the one before further than the work itself spreads. Measure it again, then look at the stop and the tool.',
            'steady' => 'Six one after the other, each beyond the one before: that is no chance.',
            'one-side' => 'Nine one after the other on one side of the middle: something has shifted.',
            default => null,
        };
        if ($says !== null) {
            $notes[] = Note::caution('batch-signal', $says, $this->entry->surface->id);
        }
        $outside = $this->chart->outsideAtBest($this->band);
        if ($outside > self::TOO_MANY && ! ($this->drift?->isReal() ?? false)) {
            $share = max(1, (int) round(100 * $outside));
            $notes[] = Note::caution(
                'batch-spread',
                "The work spreads too much for these limits: even set to the middle about {$share} in 100 come out outside. Hold it better, take lighter last cuts, measure every one, or pair pieces with mates.",
                $this->entry->surface->id,
            );
        }
        if (count($this->sizesMm) < RunChart::FEW) {
            $notes[] = Note::info(
                'batch-few',
                'From '.count($this->sizesMm).' pieces: the dashed limits may still move a good deal.',
                $this->entry->surface->id,
            );
        }

        return $notes;
    }

    public function working(): Working
    {
        $steps = [];
        if ($this->chart !== null) {
            $limits = $this->chart->limits();
            $steps[] = new WorkingStep(
                'What the work itself spreads',
                'mean ± 2.66 × mean moving range',
                Say::with('{m} ± 2.66 × {r}: {a} … {b}', [
                    'm' => LengthWriter::size($this->chart->meanMm),
                    'r' => LengthWriter::difference($this->chart->meanRangeMm),
                    'a' => LengthWriter::size($limits->min),
                    'b' => LengthWriter::size($limits->max),
                ]),
                'ISO 7870-2, individuals',
            );
        }
        if ($this->drift !== null) {
            $steps[] = new WorkingStep(
                'From piece to piece',
                'slope of the best line, ± t × its standard deviation',
                Say::with('{b} a piece, ±{u}', [
                    'b' => LengthWriter::fine($this->drift->perPieceMm()),
                    'u' => LengthWriter::fine($this->drift->sureMm()),
                ]),
                'least squares, Student’s t',
            );
        }

        return new Working($steps);
    }

    /** It is read as a length or a step, not over a diameter. */
    private function isLength(): bool
    {
        return $this->entry->surface->kind === SurfaceKind::Length;
    }
}

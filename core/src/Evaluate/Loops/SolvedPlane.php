<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Loops;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Offset;
use Oldpart\Core\Loop\Resultant;
use Oldpart\Core\Loop\Sureness;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** A loop of the job in two directions at once: how far the end lies from the start, and which way. */
final readonly class SolvedPlane
{
    /** @param  list<LoopRow>  $rows */
    private function __construct(
        public LoopFacts $facts,
        public array $rows,
        public ?Resultant $plane,
        public ?Say $blocked,
        public bool $withheld,
    ) {
    }

    public static function of(LoopFacts $loop, LoopLengths $lengths, bool $withheld): self
    {
        $rows = $lengths->rows($loop);
        $offsets = $unknown = [];
        foreach ($rows as $row) {
            $known = $row->contributor;
            if ($known === null || $row->length->angleDeg === null) {
                $unknown[] = $row->length->name.($known === null ? '' : ' (which way)');

                continue;
            }
            $offsets[] = new Offset(
                $row->length->name,
                $known->direction * $known->weight * ($known->sizeMm + ($known->plusMm - $known->minusMm) / 2),
                $known->halfMm(),
                $row->length->angleDeg,
                $known->spread,
            );
        }
        $blocked = match (true) {
            $withheld => Gatekeeper::sentence(),
            $rows === [] => Say::plain('Add the lengths in order, each with the way it points.'),
            $unknown !== [] => Say::plain('Not known yet: '.implode(', ', $unknown).'.'),
            default => null,
        };

        return new self(
            $loop,
            $rows,
            $unknown === [] && $offsets !== []
                ? Resultant::of($offsets, $loop->wanted() ?? new Range(0, 2 * Loop::FAR))
                : null,
            $blocked,
            $withheld,
        );
    }

    /** The chance that the distance is as wanted; null while that is not known, or nothing is wanted. */
    public function chance(): ?float
    {
        return $this->plane === null || $this->blocked !== null || $this->facts->wanted() === null
            ? null
            : $this->plane->chance();
    }

    /** What it comes to, in a few words; null while it is not known. */
    public function says(): ?Say
    {
        $chance = $this->chance();

        return $this->plane === null || $this->blocked !== null
            ? null
            : Say::with('{s} at {a}°{chance}', [
                's' => LengthWriter::size($this->plane->sizeMm()),
                'a' => number_format($this->plane->angleDeg(), 1),
                'chance' => $chance === null ? '' : ', '.Sureness::ofHundred($chance).' of 100 as wanted',
            ]);
    }

    /** @return list<Note> */
    public function notes(): array
    {
        if ($this->plane === null || $this->blocked !== null) {
            return [];
        }
        $plane = $this->plane;
        $chance = $this->chance();
        $doubt = $plane->u95Deg();
        $notes = [
            Note::info(
                'direction',
                Say::with('It lies at {a}°{doubt}, from the first direction toward the second; {s} ± {u} far.', [
                    'a' => number_format($plane->angleDeg(), 1),
                    'doubt' => $doubt === null ? '' : ' ± '.number_format(max(0.1, ceil($doubt * 10) / 10), 1).'°',
                    's' => LengthWriter::size($plane->sizeMm()),
                    'u' => LengthWriter::plusMinus($plane->u95Mm()),
                ]),
            ),
        ];
        if ($chance !== null && $chance < 0.9999) {
            $notes[] =
                $chance <= 0
                    ? Note::stop('never-closes', 'It is never as wanted: one of the lengths is wrong, or the wish is.')
                    : Note::caution(
                        'may-not-close',
                        'Of a hundred as they come '.Sureness::ofHundred($chance).' are as wanted.',
                    );
        }

        return [...$notes, ...$plane->notes()];
    }
}

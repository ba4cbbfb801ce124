<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Batch\BatchRun;
use Oldpart\Core\Evaluate\Batch\MatedPieces;
use Oldpart\Core\Evaluate\Batch\PieceState;
use Oldpart\Core\Evaluate\Batch\SurfaceRun;
use Oldpart\Core\Evaluate\Making\AchievedFit;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Picture\RunPicture;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\LengthWriter;

/** A batch as it is shown: its pieces, how its sizes run, which piece goes with which mate. */
final readonly class BatchAnswer implements \JsonSerializable
{
    public function __construct(private JobFacts $facts, public BatchRun $of)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'piece' => $this->facts->batch->piece,
            'wanted' => $this->facts->takeIn->quantity,
            'every' => $this->facts->batch->every,
            'says' => $this->of->says(),
            'next' => $this->of->next(),
            'done' => $this->of->isDone(),
            'pieces' => array_map(
                fn (int $piece, PieceState $state): array => [
                    'piece' => $piece,
                    'state' => $state->value,
                    'says' => $state->says(),
                    'sizes' => array_values(array_map($this->size(...), $this->of->logged[$piece] ?? [])),
                ],
                array_keys($this->of->states),
                array_values($this->of->states),
            ),
            'runs' => array_map($this->run(...), $this->of->runs),
            'mated' => array_map($this->mated(...), $this->of->mated),
        ];
    }

    /** @return array<string, mixed> */
    private function size(CutProgress $cut): array
    {
        $mm = $cut->sizeMm();

        return [
            'key' => $cut->entry->key(),
            'label' => $cut->entry->label,
            'size' => $mm === null ? null : LengthWriter::size($mm),
            'verdict' => $cut->hasMetalLeft() ? null : $cut->verdict?->value,
            'decided' => $cut->decision === null ? null : "{$cut->decision->decision->says()}, by {$cut->decision->by}",
        ];
    }

    /** @return array<string, mixed> */
    private function run(SurfaceRun $run): array
    {
        return [
            'key' => $run->entry->key(),
            'label' => $run->entry->label,
            'says' => $run->says(),
            'notes' => $run->notes(),
            'working' => $run->working()->steps,
            'picture' => RunPicture::draw(
                $run->sizesMm,
                $run->band,
                $run->chart?->limits(),
                $run->drift?->isReal() === true ? $run->drift->expected($run->next()) : null,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function mated(MatedPieces $of): array
    {
        $rows = [];
        foreach ($of->mates as $k => $mate) {
            $piece = $of->pieceFor($k);
            $clearance = $piece === null ? null : $of->clearance($piece, $k);
            $made = $of->madeFor($k);
            $rows[] = [
                'mark' => $mate->mark,
                'size' => LengthWriter::size($of->found[$k]->meanMm),
                'plus_minus' => Say::with('±{u}', ['u' => LengthWriter::plusMinus($of->found[$k]->sureMm())]),
                'piece' => $piece === null ? null : $of->pieces[$piece],
                'clearance' => $clearance === null ? null : Words::range($clearance),
                'verdict' => AchievedFit::verdict($clearance, $of->wanted),
                'make_lower' => $made === null ? null : LengthWriter::lower($made),
                'make_upper' => $made === null ? null : LengthWriter::upper($made),
            ];
        }
        $pairs = count($of->pairing->mates ?? []);
        $inside = $of->pairing->inside ?? 0;
        $left = array_values(array_filter(
            $of->pieces,
            static fn (int $i): bool => ! isset($of->pairing?->mates[$i]),
            ARRAY_FILTER_USE_KEY,
        ));

        return [
            'joint' => $of->joint->joint->id,
            'label' => $of->joint->joint->name,
            'wanted' => Words::range($of->wanted),
            'says' => Say::plain($pairs === 0
                ? 'No piece goes into any of them yet. Each can be made to its own mate, to the sizes below.'
                : "{$inside} of {$pairs} pairs are surely as wanted; no other way to pair them does better."
                    .($left === [] ? '' : ' Left over: piece '.implode(', ', $left).'.')
                    .($of->fitsNone === [] ? '' : ' As it is, this goes into none: piece '.implode(', ', $of->fitsNone).'.')),
            'rows' => $rows,
        ];
    }
}

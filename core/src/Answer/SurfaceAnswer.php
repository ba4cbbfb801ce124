<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WayOut;
use Oldpart\Core\Evaluate\Found\JudgedSurface;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\Slip;
use Oldpart\Core\Picture\AlongPicture;
use Oldpart\Core\Picture\RoundPicture;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Unit;

/** What is known of one found surface. */
final readonly class SurfaceAnswer implements \JsonSerializable
{
    public function __construct(public JudgedSurface $of)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->of->key(),
            'surface' => $this->of->surface->id,
            'state' => $this->of->state?->value,
            'what' => $this->of->surface->dimension->code ?? '',
            'what_says' => $this->of->surface->dimension->label ?? $this->of->surface->type->sizes()['size'] ?? 'Size',
            'name' => $this->of->name(),
            'folded' => $this->of->folded,
            'decides' => $this->of->decides,
            'asks' => [
                'stations' => $this->of->surface->stationsAsked(),
                'angles' => $this->of->surface->anglesAsked(),
                'measured_as' => $this->of->surface->kind->value,
                'instrument' => $this->of->surface->criticality->instrument($this->of->surface->kind),
                'says' => $this->of->surface->criticality->says(),
                'must' => $this->of->mustMeasure(),
            ],
            'found' => $this->of->found === null ? null : $this->foundAnswer($this->of->found),
            'good_enough' => $this->of->goodEnough,
            'chance' => $this->chance(),
            'next_reading' => $this->of->nextReading(),
            'notes' => array_values(
                array_filter($this->of->found?->notes() ?? [], static fn (Note $n): bool => $n->code !== 'slip'),
            ),
            'slips' => $this->slips(),
            'cooling' => $this->of->coolDown,
            'meant' => $this->of->meant()->candidates ?? [],
            'round' => $this->of->found === null ? null : RoundPicture::draw($this->of->found),
            'along' => $this->of->found === null ? null : AlongPicture::draw($this->of->found),
        ];
    }

    /**
     * @return list<array{reading: string, says: Say, mend: ?array{typed: string, unit: string}}> each with what one tap would store
     */
    private function slips(): array
    {
        $slips = [];
        foreach ($this->of->found?->slips() ?? [] as $slip) {
            $reading = $this->of->readings[$slip->index] ?? null;
            if ($reading !== null) {
                $slips[] = ['reading' => $reading->id, 'says' => $slip->says, 'mend' => self::mend($slip, $reading)];
            }
        }

        return $slips;
    }

    /** @return ?array{typed: string, unit: string} */
    private static function mend(Slip $slip, ReadingFacts $reading): ?array
    {
        $unit = $reading->value->unit;
        if ($slip->otherUnit) {
            return is_numeric(str_replace(',', '.', $reading->value->typed))
                ? [
                    'typed' => $reading->value->typed,
                    'unit' => $unit === Unit::Inch ? Unit::Millimetre->value : Unit::Inch->value,
                ]
                : null;
        }

        return $slip->mendedMm === null
            ? null
            : ['typed' => LengthWriter::size($slip->mendedMm)->{$unit->value}, 'unit' => $unit->value];
    }

    /**
     * @return ?array{kind: string, says: string, next: ?Say} how likely what is made to it works, and which reading would raise that most
     */
    private function chance(): ?array
    {
        $chance = $this->of->least?->chance();
        if ($chance === null) {
            return null;
        }
        $helps = array_values(
            array_filter($this->of->least->best->helps ?? [], static fn (WayOut $w): bool => $w->measure !== null),
        );
        usort($helps, static fn (WayOut $a, WayOut $b): int => ($b->chance ?? 0.0) <=> ($a->chance ?? 0.0));

        return [
            'kind' => Likely::kind($chance),
            'says' => Likely::inWords($chance),
            'next' => $helps === [] ? null : $helps[0]->says,
        ];
    }

    /** @return array<string, mixed> */
    private function foundAnswer(FoundSize $found): array
    {
        $places = [];
        foreach ($found->spots as $spot) {
            $places[(string) $spot['mm']] = trim(
                $spot['station'].($spot['angle'] === '' ? '' : ", {$spot['angle']}°"),
                ', ',
            );
        }

        return [
            'size' => LengthWriter::size($found->meanMm),
            'plus_minus' => LengthWriter::plusMinus($found->sureMm()),
            'mean_mm' => $found->meanMm,
            'u95_mm' => $found->u95Mm,
            'mating' => LengthWriter::size($found->matingMm),
            'mating_at' => $places[(string) $found->matingMm] ?? '',
            'loose' => LengthWriter::size($found->looseMm),
            'loose_at' => $places[(string) $found->looseMm] ?? '',
            'deciding' => array_map(
                static fn (array $s): array => ['station' => $s['station'], 'angle' => $s['angle']],
                $found->deciding(),
            ),
            'fitted' => ($form = $found->form()) === null
                ? null
                : [
                    'smallest' => LengthWriter::size($found->smallestMm()),
                    'largest' => LengthWriter::size($found->largestMm()),
                    'plus_minus' => LengthWriter::plusMinus($form->u95Mm),
                    'round' => $form->inWords(),
                ],
            'form' => $found->formInWords(),
            'count' => $found->count,
            'budget' => array_map(
                static fn ($share): array => [
                    'source' => $share->source,
                    'share' => $share->share,
                    'size' => LengthWriter::difference($share->uMm),
                    'improve' => $share->improve,
                ],
                $found->budget(),
            ),
            'working' => $found->working(),
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\Condition;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Measure\Nominal;
use Oldpart\Core\Measure\Slip;
use Oldpart\Core\Picture\AlongPicture;
use Oldpart\Core\Picture\RoundPicture;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Unit;

/** What is known of one found surface. */
final readonly class SurfaceAnswer implements \JsonSerializable
{
    /**
     * @param  bool  $decides  a joint that is being sized depends on it
     * @param  list<Note>  $notes
     */
    public function __construct(
        public SurfaceFacts $surface,
        public ?FoundSize $found,
        public ?GoodEnough $goodEnough,
        public bool $decides,
        public array $notes,
        /** @var list<ReadingFacts> those that count */
        private array $readings = [],
        public ?CoolDown $coolDown = null,
        private Meaning $meaning = new Meaning,
    ) {
    }

    /** It has to be read before the job can go on: something is sized from it, or it matters and is there to be read. */
    public function mustMeasure(): bool
    {
        return $this->decides || $this->surface->criticality->mustMeasure() && $this->surface->condition !== Condition::Missing;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->surface->id,
            'decides' => $this->decides,
            'asks' => [
                'stations' => $this->surface->stationsAsked(),
                'angles' => $this->surface->anglesAsked(),
                'measured_as' => $this->surface->kind->value,
                'instrument' => $this->surface->criticality->instrument($this->surface->kind),
                'says' => $this->surface->criticality->says(),
                'must' => $this->mustMeasure(),
            ],
            'found' => $this->found === null ? null : $this->foundAnswer($this->found),
            'good_enough' => $this->goodEnough,
            'notes' => array_values(array_filter($this->notes, static fn (Note $n): bool => $n->code !== 'slip')),
            'slips' => $this->slips(),
            'cooling' => $this->coolDown,
            'meant' => $this->meant()->candidates ?? [],
            'round' => $this->found === null ? null : RoundPicture::draw($this->found),
            'along' => $this->found === null ? null : AlongPicture::draw($this->found),
        ];
    }

    /** @return list<array{reading: string, says: Say, mend: ?array{typed: string, unit: string}}> each with what one tap would store */
    private function slips(): array
    {
        $slips = [];
        foreach ($this->found->slips ?? [] as $slip) {
            $reading = $this->readings[$slip->index] ?? null;
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
            return is_numeric(str_replace(',', '.', $reading->value->typed)) ? ['typed' => $reading->value->typed, 'unit' => $unit === Unit::Inch ? Unit::Millimetre->value : Unit::Inch->value] : null;
        }

        return $slip->mendedMm === null ? null : ['typed' => LengthWriter::size($slip->mendedMm)->{$unit->value}, 'unit' => $unit->value];
    }

    /** What it was meant to be; null before it is measured, and beyond the sizes it is asked for. */
    public function meant(): ?Nominal
    {
        return $this->found === null ? null : $this->meaning->of($this->surface, $this->found);
    }

    /** @return array<string, mixed> */
    private function foundAnswer(FoundSize $found): array
    {
        $places = [];
        foreach ($found->spots as $spot) {
            $places[(string) $spot['mm']] = trim($spot['station'].($spot['angle'] === '' ? '' : ", {$spot['angle']}°"), ', ');
        }

        return [
            'size' => LengthWriter::size($found->meanMm),
            'plus_minus' => LengthWriter::plusMinus($found->u95Mm),
            'mean_mm' => $found->meanMm,
            'u95_mm' => $found->u95Mm,
            'mating' => LengthWriter::size($found->matingMm),
            'mating_at' => $places[(string) $found->matingMm] ?? '',
            'loose' => LengthWriter::size($found->looseMm),
            'loose_at' => $places[(string) $found->looseMm] ?? '',
            'form' => $found->form(),
            'count' => $found->count,
            'budget' => array_map(static fn ($share): array => [
                'source' => $share->source, 'share' => $share->share, 'size' => LengthWriter::difference($share->uMm), 'improve' => $share->improve,
            ], $found->budget),
            'working' => $found->working(),
        ];
    }
}

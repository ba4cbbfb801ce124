<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Evaluate\Batch\BatchRun;
use Oldpart\Core\Evaluate\Making\AchievedFit;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Evaluate\Shaped\ShapeNumber;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\ConcessionFacts;
use Oldpart\Core\Facts\Decision;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** What was made and what fits came of it. */
final readonly class HandOverAnswer implements \JsonSerializable
{
    /**
     * @param  list<CutProgress>  $making
     * @param  list<SizedJoint>  $joints
     * @param  list<ConcessionFacts>  $concessions
     * @param  list<ShapedSurface>  $shapes
     */
    public function __construct(
        private array $making,
        private array $joints,
        private array $concessions,
        private array $shapes = [],
        private ?BatchRun $batch = null,
        private ?HandsAnswer $hands = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        // Nobody is handed the size of a chamfer.
        $asked = array_filter(
            $this->making,
            static fn (CutProgress $c): bool => $c->entry->band !== null || ! $c->entry->surface->type->isEdge(),
        );
        $sizes = [...array_map(self::size(...), array_values($asked)), ...$this->dimensions()];
        $fits = array_map($this->fit(...), $this->joints);
        $count = static fn (array $rows, string ...$verdicts): int => count(
            array_filter($rows, static fn (array $r): bool => in_array($r['verdict'], $verdicts, true)),
        );
        $undecided = array_values(
            array_filter([...$sizes, ...$fits], static fn (array $r): bool => $r['decided'] === null),
        );
        $bad = $count($undecided, 'above', 'below', 'outside');
        $unsure = $count($undecided, 'cannot-tell');
        $open = count(
            array_filter($sizes, static fn (array $r): bool => $r['verdict'] === null && $r['decided'] === null),
        );

        return [
            'sizes' => $sizes,
            'fits' => $fits,
            'hands' => $this->hands?->jsonSerialize() ?? [],
            'says' => $this->batch === null
                ? self::verdict($sizes, $fits, $bad, $unsure, $open)
                : "Piece {$this->batch->first()}: ".lcfirst(self::verdict($sizes, $fits, $bad, $unsure, $open))
                    ." The batch: {$this->batch->says()}",
            'good' => $bad === 0 && $open === 0 && $unsure === 0 && $sizes !== []
                && ($this->batch === null || $this->batch->isDone()),
        ];
    }

    /**
     * In words, and no more than the rows say.
     *
     * @param  list<array<string, mixed>>  $sizes
     * @param  list<array<string, mixed>>  $fits
     */
    private static function verdict(array $sizes, array $fits, int $bad, int $unsure, int $open): string
    {
        $inside = count(array_filter($sizes, static fn (array $r): bool => $r['verdict'] === 'inside'));
        $free = count(
            array_filter($sizes, static fn (array $r): bool => $r['verdict'] === 'free' && $r['decided'] === null),
        );
        $decided = static fn (Decision $d): int => count(
            array_filter(
                [...$sizes, ...$fits],
                static fn (array $r): bool => ($r['decided']['decision'] ?? '') === $d->value,
            ),
        );
        $rest = array_filter([
            $decided(Decision::Accepted) > 0 ? "{$decided(Decision::Accepted)} accepted as it is" : '',
            $decided(Decision::ByOthers) > 0 ? "{$decided(Decision::ByOthers)} left to others" : '',
            $decided(Decision::NotMeasured) > 0 ? "{$decided(Decision::NotMeasured)} handed over unmeasured" : '',
            $free > 0 ? "{$free} free and not measured" : '',
        ]);
        $also = $rest === [] ? '' : ' '.ucfirst(implode(', ', $rest)).'.';
        $all = count($sizes);
        $of = $inside === $all ? "all {$all}" : "{$inside} of {$all}";

        return match (true) {
            $sizes === [] => 'Nothing of it has a number to be made to.',
            $bad === 1 => 'One is outside what was asked: say below what was decided about it.',
            $bad > 1 => "{$bad} are outside what was asked: say below what was decided about them.",
            $open > 0 => "Not all of it is made and measured yet: {$open} of {$all} still open.{$also}",
            $unsure > 0 => "Made; {$unsure} too near a limit to be sure.{$also}",
            $rest === [] => 'Made, measured, and inside every limit.',
            default => ($inside === 0 ? 'Nothing left open.' : "Made and measured, {$of} inside.").$also,
        };
    }

    /** @return array<string, mixed> a size as made, beside what was asked */
    public static function size(CutProgress $making): array
    {
        $band = $making->entry->band;
        $made = $making->sizeMm();
        $free = $making->verdict === null && $made === null && $making->entry->free;

        return [
            'key' => $making->entry->key(),
            'surface' => $making->entry->surface->id,
            'phase' => $making->entry->phase->value,
            'cut' => $making->log->last()?->id,
            'label' => $making->entry->label,
            'lower' => $band === null ? null : LengthWriter::lower($band),
            'upper' => $band === null ? null : LengthWriter::upper($band),
            'made' => $made === null ? null : LengthWriter::size($made),
            'plus_minus' => $made === null ? null : LengthWriter::plusMinus($making->u95()),
            'verdict' => $making->hasMetalLeft()
                ? null
                : $making->verdict->value ?? ($making->entry->free ? 'free' : null),
            'verdict_says' => $free ? 'free, not measured' : self::sizeWords($making),
            'decided' => $making->decision === null ? null : self::decision($making->decision),
            'choices' => self::choices($making),
            'goto' => $making->entry->goto,
        ];
    }

    /** @return list<array<string, mixed>> what a shape is read by besides its own size, where that has limits */
    private function dimensions(): array
    {
        $rows = [];
        foreach ($this->making as $making) {
            foreach ($this->shapes as $shape) {
                if ($shape->surface->id !== $making->entry->surface->id) {
                    continue;
                }
                foreach ($shape->numbers as $number) {
                    if ($number->band !== null && ($number->what ?? '') !== '') {
                        $rows[] = $this->dimension($making, $number, $number->band);
                    }
                }
            }
        }

        return $rows;
    }

    /** @return array<string, mixed> */
    private function dimension(CutProgress $making, ShapeNumber $number, Band $band): array
    {
        $verdict = $number->verdict();
        $key = "{$making->entry->surface->id}/{$number->what}";
        $open = $verdict !== null && $verdict !== Acceptance::Inside;

        return [
            'key' => $key,
            'surface' => $making->entry->surface->id,
            'phase' => $making->entry->phase->value,
            'cut' => $making->log->last()?->id,
            'label' => "{$making->entry->label}: ".lcfirst($number->name),
            'lower' => LengthWriter::lower($band),
            'upper' => LengthWriter::upper($band),
            'made' => $number->made === null ? null : LengthWriter::size($number->made->meanMm),
            'plus_minus' => $number->made === null ? null : LengthWriter::plusMinus($number->made->sureMm()),
            // Nobody has to read it: the mate, or a gauge, tells as well.
            'verdict' => $verdict->value ?? 'free',
            'verdict_says' => $verdict === null ? 'not read' : self::verdictWords($verdict, true),
            'decided' => $open && $making->decision !== null ? self::decision($making->decision) : null,
            'choices' => $open
                ? [['decision' => Decision::Accepted->value, 'says' => Decision::Accepted->says()]]
                : [],
            'goto' => ['stage' => 'measure', 'surface' => "{$key}:done"],
        ];
    }

    /** @return list<array{decision: string, says: string}> what can be decided of it */
    private static function choices(CutProgress $making): array
    {
        $choices = match (true) {
            $making->verdict === Acceptance::Inside => [],
            $making->hasMetalLeft() => [Decision::Accepted, Decision::ByOthers],
            $making->sizeMm() !== null => [Decision::Accepted],
            $making->entry->free => [Decision::ByOthers],
            default => [Decision::ByOthers, Decision::NotMeasured],
        };

        return array_map(
            static fn (Decision $d): array => ['decision' => $d->value, 'says' => $d->says()],
            $making->verdict === null && $making->sizeMm() !== null && $making->entry->free ? [] : $choices,
        );
    }

    /** @return array{id: string, decision: string, says: string, at: ?string} */
    private static function decision(ConcessionFacts $one): array
    {
        return [
            'id' => $one->id,
            'decision' => $one->decision->value,
            'says' => "{$one->decision->says()}, by {$one->by}: {$one->why}",
            'at' => $one->at,
        ];
    }

    private static function sizeWords(CutProgress $making): string
    {
        if ($making->hasMetalLeft()) {
            return 'metal still on it';
        }

        return $making->verdict === null
            ? ($making->sizeMm() === null ? 'not measured yet' : 'measured; nothing is asked of it')
            : self::verdictWords($making->verdict, $making->entry->best === null);
    }

    private static function verdictWords(Acceptance $verdict, bool $limits): string
    {
        return match ($verdict) {
            Acceptance::Inside => $limits ? 'inside its limits' : 'inside what most likely works',
            Acceptance::CannotTell => 'too near a limit to tell',
            Acceptance::Above => 'above its limits',
            Acceptance::Below => 'below its limits',
        };
    }

    private function isStillCut(SizedJoint $joint): bool
    {
        foreach ($this->making as $cut) {
            if ($cut->entry->surface->id === $joint->make?->id && $cut->hasMetalLeft()) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, mixed> */
    private function fit(SizedJoint $answer): array
    {
        $own = $this->batch?->achieved($this->batch->first(), $answer->joint->id);
        $achieved = $this->isStillCut($answer) ? null : $own ?? AchievedFit::of($answer, $this->making);
        $wanted = $answer->wantedMm;
        $verdict = AchievedFit::verdict($achieved, $wanted);
        $decided = null;
        foreach ($this->concessions as $one) {
            $decided = $one->joint === $answer->joint->id && $verdict !== 'inside' ? $one : $decided;
        }
        $choices = in_array($verdict, ['outside', 'cannot-tell'], true) ? [Decision::Accepted] : [];

        return [
            'joint' => $answer->joint->id,
            'label' => $answer->joint->name,
            'wanted' => $wanted === null ? null : Words::range($wanted),
            'achieved' => $achieved === null ? null : Words::range($achieved),
            'verdict' => $verdict,
            'verdict_says' => match ($verdict) {
                null => $achieved === null ? 'not made yet' : 'as it is',
                'inside' => 'as wanted',
                'outside' => 'not what was wanted',
                default => 'too near a limit to tell',
            },
            'decided' => $decided === null || $achieved === null ? null : self::decision($decided),
            'choices' => array_map(
                static fn (Decision $d): array => ['decision' => $d->value, 'says' => $d->says()],
                $choices,
            ),
        ];
    }
}

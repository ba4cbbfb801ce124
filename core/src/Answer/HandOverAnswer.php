<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Evaluate\Making\AchievedFit;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\LengthWriter;

/** What was made and what fits came of it. */
final readonly class HandOverAnswer implements \JsonSerializable
{
    /**
     * @param  list<CutProgress>  $making
     * @param  list<SizedJoint>  $joints
     */
    public function __construct(private array $making, private array $joints)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $sizes = array_map($this->size(...), $this->making);
        $fits = array_map($this->fit(...), $this->joints);
        $bad = array_filter(
            [...$sizes, ...$fits],
            static fn (array $row): bool => in_array($row['verdict'], ['above', 'below', 'outside'], true),
        );
        $unsure = array_filter(
            [...$sizes, ...$fits],
            static fn (array $row): bool => $row['verdict'] === 'cannot-tell',
        );
        $open = array_filter($sizes, static fn (array $row): bool => $row['verdict'] === null);

        return [
            'sizes' => $sizes,
            'fits' => $fits,
            'says' => match (true) {
                $bad !== [] => 'Something is outside its limits: see which, and what was decided about it.',
                $sizes === [] || $open !== [] => 'Not all of it is made and measured yet.',
                $unsure !== [] => 'Made; some readings are too near a limit to be sure.',
                default => 'Made, measured, and inside every limit.',
            },
            'good' => $bad === [] && $open === [] && $unsure === [] && $sizes !== [],
        ];
    }

    /** @return array<string, mixed> */
    private function size(CutProgress $making): array
    {
        $band = $making->entry->band;
        $made = $making->log->last();

        return [
            'key' => $making->entry->key(),
            'label' => $making->entry->label,
            'lower' => $band === null ? null : LengthWriter::lower($band),
            'upper' => $band === null ? null : LengthWriter::upper($band),
            'made' => $made === null ? null : LengthWriter::size($making->log->atTwenty($made)),
            'plus_minus' => $made === null ? null : LengthWriter::plusMinus($making->log->u95()),
            'verdict' => $making->verdict->value ?? ($making->entry->free ? 'free' : null),
            'verdict_says' => $making->verdict === null && $making->entry->free
                ? 'free, not measured'
                : self::sizeWords($making->verdict),
        ];
    }

    private static function sizeWords(?Acceptance $verdict): string
    {
        return match ($verdict) {
            null => 'not measured yet',
            Acceptance::Inside => 'inside its limits',
            Acceptance::CannotTell => 'too near a limit to tell',
            Acceptance::Above => 'above its limits',
            Acceptance::Below => 'below its limits',
        };
    }

    /** @return array<string, mixed> */
    private function fit(SizedJoint $answer): array
    {
        $achieved = AchievedFit::of($answer, $this->making);
        $wanted = $answer->wantedMm;
        $verdict = AchievedFit::verdict($achieved, $wanted);

        return [
            'joint' => $answer->joint->id,
            'label' => $answer->joint->name,
            'wanted' => $wanted === null ? null : Words::range($wanted),
            'achieved' => $achieved === null ? null : Words::range($achieved),
            'verdict' => $verdict,
            'verdict_says' => match ($verdict) {
                null => 'not made yet',
                'inside' => 'as wanted',
                'outside' => 'not what was wanted',
                default => 'too near a limit to tell',
            },
        ];
    }
}

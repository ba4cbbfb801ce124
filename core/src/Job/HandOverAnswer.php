<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** What was made and what fits came of it. */
final readonly class HandOverAnswer implements \JsonSerializable
{
    /**
     * @param  list<MakingAnswer>  $making
     * @param  list<JointAnswer>  $joints
     */
    public function __construct(private JobFacts $facts, private array $making, private array $joints)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $sizes = array_map($this->size(...), $this->making);
        $fits = array_map($this->fit(...), $this->joints);
        $bad = array_filter([...$sizes, ...$fits], static fn (array $row): bool => in_array($row['verdict'], ['above', 'below', 'outside'], true));
        $unsure = array_filter([...$sizes, ...$fits], static fn (array $row): bool => $row['verdict'] === 'cannot-tell');
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
    private function size(MakingAnswer $making): array
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
            'verdict' => $making->verdict?->value,
            'verdict_says' => self::sizeWords($making->verdict),
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
    private function fit(JointAnswer $answer): array
    {
        $achieved = $this->achieved($answer);
        $wanted = $answer->wantedMm;
        $verdict = match (true) {
            $achieved === null || $wanted === null => null,
            $achieved->min >= $wanted->min && $achieved->max <= $wanted->max => 'inside',
            $achieved->min > $wanted->max || $achieved->max < $wanted->min => 'outside',
            default => 'cannot-tell',
        };

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

    /** Clearance of the made part in its mate, with both doubts in quadrature, mm. Source: JCGM 100. */
    private function achieved(JointAnswer $answer): ?Range
    {
        $made = $answer->make === null || $answer->withheld ? null : $this->madeSize($answer->make->id);
        if ($made === null) {
            return null;
        }
        [$size, $doubt] = $made;
        if ($answer->toTable?->other !== null) {
            $other = $this->madeSize($answer->toTable->other->id);
            $clearance = $other === null ? 0.0 : ($answer->makesInner() ? $other[0] - $size : $size - $other[0]);

            return $other === null ? null : new Range($clearance - hypot($doubt, $other[1]), $clearance + hypot($doubt, $other[1]));
        }
        $found = $answer->mateFound;
        if ($found === null) {
            return null;
        }
        $tight = $answer->isTight();
        $u = hypot($doubt, $tight ? $found->u95MeanMm : $found->u95Mm);
        [$smallest, $largest] = $tight ? [$found->meanMm, $found->meanMm] : [$found->smallestMm(), $found->largestMm()];

        return $answer->makesInner()
            ? new Range($smallest - $size - $u, $largest - $size + $u)
            : new Range($size - $largest - $u, $size - $smallest + $u);
    }

    /** @return array{float, float}|null the last size of a made surface, and its doubt, mm */
    private function madeSize(string $surface): ?array
    {
        $log = null;
        foreach ($this->making as $making) {
            if ($making->entry->surface->id === $surface && $making->entry->phase !== Phase::Before) {
                $log = $making->log;
            }
        }
        $last = $log?->last();

        return $log === null || $last === null ? null : [$log->atTwenty($last), $log->u95()];
    }

    public function isFinished(): bool
    {
        return $this->facts->handOver->finishedAt !== null;
    }
}

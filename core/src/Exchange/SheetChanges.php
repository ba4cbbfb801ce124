<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Quantity\Unit;

/** What a later sheet says otherwise than an earlier one: limits, sizes as made, verdicts, fits; in words. */
final class SheetChanges
{
    /** @return list<string> nothing where they say the same */
    public static function between(JobAnswers $before, JobAnswers $now, Unit $unit): array
    {
        [$old, $new] = [self::lines($before, $unit), self::lines($now, $unit)];
        $changes = [];
        foreach ($new as $what => $says) {
            if (! isset($old[$what])) {
                $changes[] = "{$what}: new, {$says}.";
            } elseif ($old[$what] !== $says) {
                $changes[] = "{$what}: was {$old[$what]}, is {$says}.";
            }
        }
        foreach (array_diff_key($old, $new) as $what => $says) {
            $changes[] = "{$what}: gone, was {$says}.";
        }

        return $changes;
    }

    /** @return array<string, string> by what it is about */
    private static function lines(JobAnswers $answers, Unit $unit): array
    {
        /** @var array{sizes: list<array<string, mixed>>, fits: list<array<string, mixed>>} $rows */
        $rows = json_decode(json_encode($answers->handOver, JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR);
        $lines = [];
        foreach ($rows['sizes'] as $row) {
            $lines[self::text($row['label'])] = implode(', ', [
                self::in($row['lower'], $unit).' to '.self::in($row['upper'], $unit),
                'made '.self::in($row['made'], $unit),
                self::text($row['verdict_says']),
            ]);
        }
        foreach ($rows['fits'] as $row) {
            $lines[self::text($row['label'])] = implode(', ', [
                'wanted '.self::in($row['wanted'], $unit),
                'came out '.self::in($row['achieved'], $unit),
                self::text($row['verdict_says']),
            ]);
        }

        return $lines;
    }

    private static function in(mixed $say, Unit $unit): string
    {
        $text = is_array($say) ? $say[$unit->value] ?? null : null;

        return is_string($text) ? $text : 'open';
    }

    private static function text(mixed $text): string
    {
        return is_string($text) ? $text : '';
    }
}

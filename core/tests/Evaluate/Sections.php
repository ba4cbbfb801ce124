<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;

/** A job's answers section by section, each as a short sum over all it says: to tell where something moved. */
final class Sections
{
    /** @return array<string, string> */
    public static function of(JobAnswers $answers): array
    {
        /** @var array<string, mixed> $all */
        $all = json_decode(json_encode($answers, JSON_THROW_ON_ERROR), true, 128, JSON_THROW_ON_ERROR);

        return array_map(
            static fn (mixed $section): string => substr(
                hash('sha256', (string) json_encode(self::rounded($section))),
                0,
                12,
            ),
            $all,
        );
    }

    /** All of them together. */
    public static function whole(JobAnswers $answers): string
    {
        return substr(hash('sha256', implode(self::of($answers))), 0, 12);
    }

    /** The last bits of a number are no answer. */
    private static function rounded(mixed $value): mixed
    {
        return match (true) {
            is_array($value) => array_map(self::rounded(...), $value),
            is_float($value) => round($value, 7),
            default => $value,
        };
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Picture\Shop\ShopDrawing;

/** A job's answers section by section, each as a short sum over all it says: to tell where something moved. */
final class Sections
{
    /** @return array<string, string> */
    public static function of(JobAnswers $answers): array
    {
        /** @var array<string, mixed> $all */
        $all = json_decode(json_encode($answers, JSON_THROW_ON_ERROR), true, 128, JSON_THROW_ON_ERROR);

        return array_map(self::sum(...), $all);
    }

    private static function sum(mixed $section): string
    {
        return substr(hash('sha256', (string) json_encode(self::rounded($section))), 0, 12);
    }

    /** All of them together, with the shop drawings of what is cut. */
    public static function whole(JobFacts $facts): string
    {
        $answers = JobAnswers::of($facts);
        $views = $answers->shopViews($facts);
        $drawn = [];
        foreach (array_keys($views->parts()) as $part) {
            $drawn[] = ShopDrawing::draw($views->of($part));
        }
        foreach (array_keys([...$views->parts(), ...$views->plates()]) as $part) {
            array_push($drawn, $views->face($part)?->draw(), $views->otherHand($part)?->draw());
        }
        /** @var list<mixed> $all */
        $all = json_decode(json_encode($drawn, JSON_THROW_ON_ERROR), true, 128, JSON_THROW_ON_ERROR);

        return self::sum([...self::of($answers), $all]);
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

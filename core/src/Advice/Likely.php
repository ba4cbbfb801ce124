<?php

declare(strict_types=1);

namespace Oldpart\Core\Advice;

/** A chance in a word, always with its figure: the same words for a joint, a loop, a clearance and the whole job. */
final class Likely
{
    private const SURE = 0.98;

    private const LIKELY = 0.9;

    private const RISK = 0.7;

    /** @param  float  $chance  0 to 1 */
    public static function word(float $chance): string
    {
        return match (true) {
            $chance >= self::SURE => 'sure',
            $chance >= self::LIKELY => 'likely',
            $chance >= self::RISK => 'a risk',
            default => 'a gamble',
        };
    }

    public static function isSure(float $chance): bool
    {
        return $chance >= self::SURE;
    }

    /** @return 'good'|'usable'|'bad' */
    public static function kind(float $chance): string
    {
        return $chance >= self::SURE ? 'good' : ($chance >= self::RISK ? 'usable' : 'bad');
    }

    /** How many of a hundred, rounded down so that it never promises too much. */
    public static function ofHundred(float $chance): string
    {
        return (string) floor(100 * $chance + 1e-9);
    }

    public static function inWords(float $chance): string
    {
        return self::word($chance).', works in '.self::ofHundred($chance).' of 100';
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Taper;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Fraction;

/** A taper as the trade says it. */
final class TaperNamed
{
    /**
     * “1:10”, “1 in 20”, “7/24”, “8°” for the angle between its sides, “4° per side”, “0.602 per foot”, “5/8 in/ft”,
     * or a
     * name of data/tapers.json: Morse 2, MT2.
     *
     * @throws BadInput for what says no taper
     */
    public static function of(string $text): Taper
    {
        $bare = strtolower(
            trim(
                str_replace(
                    ['degrees', 'degree', 'deg', 'per ft', 'in/ft', 'in per foot'],
                    ['°', '°', '°', 'per foot', 'per foot', 'per foot'],
                    strtolower($text),
                ),
            ),
        );
        $number = Fraction::PATTERN;
        /** @var list<array{string, float}> $rows */
        $rows = Table::read('tapers')['rows'];
        foreach ($rows as [$name, $perFoot]) {
            $known = strtolower(trim((string) preg_replace('/\(.*\)/', '', $name)));
            $short = str_starts_with($known, 'morse ') ? 'mt'.substr($known, 6) : $known;
            if (in_array($bare, [$known, strtolower($name), $short, str_replace('mt', 'mt ', $short)], true)) {
                return Taper::perFoot((float) $perFoot);
            }
        }

        return match (true) {
            preg_match("/^1\s*(?::|in)\s*{$number}$/", $bare, $m) === 1 => Taper::oneIn(Fraction::read($m[1])),
            preg_match("/^{$number}\s*(?:in)?\s*per foot$/", $bare, $m) === 1 => Taper::perFoot(Fraction::read($m[1])),
            preg_match("/^{$number}\s*°\s*(?:per side|half|each side)$/u", $bare, $m) === 1 => Taper::included(
                2 * Fraction::read($m[1]),
            ),
            preg_match("/^{$number}\s*°(?:\s*included)?$/u", $bare, $m) === 1 => Taper::included(Fraction::read($m[1])),
            preg_match('/^(\d+)\s*\/\s*(\d+)$/', $bare, $m) === 1 && (int) $m[1] > 0 => Taper::oneIn(
                (int) $m[2] / (int) $m[1],
            ),
            default => throw new BadInput(
                'no-such-taper',
                'shape',
                "“{$text}” says no taper. Write 1:10, 7/24, 8° between its sides, 4° per side, 0.602 per foot, or a name such as Morse 2.",
            ),
        };
    }
}

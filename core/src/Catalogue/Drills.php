<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Length;

/** Number and letter drills (data/drills.json). */
final class Drills
{
    /** @throws BadInput unless the number is from 1 to 80 */
    public static function number(int $number): Length
    {
        return self::find('number', (string) $number, "There is no number {$number} drill. They run from 1 to 80.");
    }

    /** @throws BadInput unless the letter is from A to Z */
    public static function letter(string $letter): Length
    {
        return self::find('letter', $letter, "There is no letter {$letter} drill. They run from A to Z.");
    }

    /**
     * What a drawer of drills holds: numbers, letters, sixty-fourths to 2 in, tenths of a millimetre to 50.
     *
     * @return array<string, float> mm, by what is stamped on them
     */
    public static function all(): array
    {
        /** @var array<string, float> $drills */
        static $drills = [];
        if ($drills === []) {
            foreach (['number' => 'No. ', 'letter' => 'letter '] as $set => $word) {
                /** @var array<string, float> $sizes */
                $sizes = Table::read('drills')[$set];
                foreach ($sizes as $name => $inches) {
                    $drills["{$word}{$name}"] = 25.4 * $inches;
                }
            }
            for ($n = 1; $n <= 128; $n++) {
                $drills[self::fraction($n)] = (25.4 * $n) / 64;
            }
            for ($n = 3; $n <= 500; $n++) {
                $drills[number_format($n / 10, 1).' mm'] = $n / 10;
            }
        }

        return $drills;
    }

    /** @return array{string, float} the largest that is no larger than a size, by its stamp, mm */
    public static function upTo(float $mm): array
    {
        $best = ['0.3 mm', 0.3];
        foreach (self::all() as $label => $its) {
            if ($its <= $mm + 1e-9 && $its > $best[1]) {
                $best = [(string) $label, $its];
            }
        }

        return $best;
    }

    private static function fraction(int $n): string
    {
        $d = 64;
        while ($n % 2 === 0 && $d > 1) {
            [$n, $d] = [intdiv($n, 2), intdiv($d, 2)];
        }
        $whole = intdiv($n, $d);
        $rest = $n % $d;

        return match (true) {
            $rest === 0 => "{$whole} in",
            $whole === 0 => "{$rest}/{$d} in",
            default => "{$whole}-{$rest}/{$d} in",
        };
    }

    private static function find(string $set, string $key, string $sentence): Length
    {
        /** @var array<string, float> $sizes */
        $sizes = Table::read('drills')[$set];

        return isset($sizes[$key])
            ? Length::inches($sizes[$key])
            : throw new BadInput('no-such-drill', 'text', $sentence);
    }
}

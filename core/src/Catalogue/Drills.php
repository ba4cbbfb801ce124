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

    private static function find(string $set, string $key, string $sentence): Length
    {
        /** @var array<string, float> $sizes */
        $sizes = Table::read('drills')[$set];

        return isset($sizes[$key])
            ? Length::inches($sizes[$key])
            : throw new BadInput('no-such-drill', 'text', $sentence);
    }
}

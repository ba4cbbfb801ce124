<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;

/**
 * A fit asked for by its result, as one says it: `0.01 to 0.03 mm tight at 40 mm`, `1 thou tight to 1 thou clear at
 * 1-1/4`.
 */
final readonly class FitWish
{
    private function __construct(public float $sizeMm, public Range $clearanceMm)
    {
    }

    /** @throws BadInput with a sentence when it can't be read */
    public static function read(string $text, Unit $unit): self
    {
        if (
            preg_match(
                '/^\s*(.+?)\s*(tight|clear|loose)?\s+to\s+(.+?)\s*(tight|clear|loose)\s+(?:at|on|for)\s+(.+?)\s*$/iu',
                $text,
                $m,
            ) !== 1
        ) {
            throw new BadInput(
                'unreadable',
                'text',
                "“{$text}” can't be read. Say it like 0.01 to 0.03 mm tight at 40 mm.",
            );
        }
        [, $from, $fromWay, $to, $toWay, $at] = $m;
        // `0.01 to 0.03 mm`: the unit said once holds for both.
        if (preg_match('/[\d.,]\s*([a-zµ"]+)$/iu', $to, $u) === 1 && preg_match('/[a-zµ"]/iu', $from) !== 1) {
            $from .= ' '.$u[1];
        }
        $sign = static fn (string $way): int => mb_strtolower($way) === 'tight' ? -1 : 1;
        $a = $sign($fromWay === '' ? $toWay : $fromWay) * LengthReader::read($from, $unit)->length->mm;
        $b = $sign($toWay) * LengthReader::read($to, $unit)->length->mm;
        $size = LengthReader::read($at, $unit)->length->mm;
        if ($size <= 0) {
            throw new BadInput('size', 'text', 'The size must be above zero.');
        }
        if (abs($a) > $size / 4 || abs($b) > $size / 4) {
            throw new BadInput(
                'too-much',
                'text',
                'That clearance is more than a quarter of the size. Check the units.',
            );
        }

        return new self($size, new Range(min($a, $b), max($a, $b)));
    }
}

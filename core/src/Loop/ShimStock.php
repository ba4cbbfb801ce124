<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\LengthReader;
use Oldpart\Core\Quantity\Unit;

/** The shims in the drawer as one types them: `0.05 x3, 0.1 x2, 0.002 in x10`; without a count, five of each. */
final class ShimStock
{
    private const USUAL_COUNT = 5;

    /**
     * @return list<array{mm: float, count: int}>
     *
     * @throws BadInput naming the one that can't be read
     */
    public static function read(string $text, Unit $unit): array
    {
        $stock = [];
        foreach (preg_split('/[,;\n]+/', $text) ?: [] as $entry) {
            if (trim($entry) === '') {
                continue;
            }
            if (preg_match('/^(.+?)(?:\s*[x×*]\s*(\d{1,3}))?\s*$/u', trim($entry), $m) !== 1) {
                throw new BadInput('shims', 'shims', "“{$entry}” is no shim. Write them like 0.05 x3, 0.1 x2.");
            }
            try {
                $mm = LengthReader::read($m[1], $unit)->length->mm;
            } catch (BadInput $bad) {
                throw $bad->about('shims');
            }
            if ($mm <= 0 || $mm > 25) {
                throw new BadInput(
                    'shims',
                    'shims',
                    "“{$entry}”: a shim is thicker than nothing, and thinner than 25 mm.",
                );
            }
            $stock[] = ['mm' => $mm, 'count' => isset($m[2]) ? (int) $m[2] : self::USUAL_COUNT];
        }

        return $stock;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Offset;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Offset\Eccentric;
use PHPUnit\Framework\TestCase;

/** Three jaws hold a bar as far off as 0.75 e² stays within r²: by hand, just within and just beyond. */
final class PackingTest extends TestCase
{
    public function test_just_within_and_just_beyond(): void
    {
        $of = new Eccentric(10.0, 0.0);
        // √0.75 · 10 = 8.6603: a bar of 17.4 has 8.7.
        self::assertEqualsWithDelta(15.0 - 8.7 + sqrt(8.7 ** 2 - 75.0), $of->packingMm(17.4), 1e-9);
        $this->expectException(BadInput::class);
        $of->packingMm(17.3);
    }
}

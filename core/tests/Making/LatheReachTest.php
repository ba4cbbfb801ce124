<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\TestCase;

/** What goes into a lathe: each limit by itself, at it and past it. */
final class LatheReachTest extends TestCase
{
    /**
     * @param  array<string, float>  $in
     * @return array<string, mixed>
     */
    private static function reach(array $in): array
    {
        return Sums::run('lathe-reach', ['diameter_mm' => 40.0, 'long_mm' => 100.0, ...$in]);
    }

    public function test_each_limit(): void
    {
        foreach (['spindle_mm' => 'through_spindle', 'swing_mm' => 'swings', 'chuck_most_mm' => 'gripped'] as $limit => $result) {
            self::assertTrue(self::reach([$limit => 40.0])[$result], $limit);
            self::assertFalse(self::reach([$limit => 39.9])[$result], $limit);
            self::assertNull(self::reach([])[$result], 'what is not said is not asked');
        }
        self::assertTrue(self::reach(['centres_mm' => 100.0])['between_centres']);
        self::assertFalse(self::reach(['centres_mm' => 99.0])['between_centres']);
        self::assertFalse(self::reach(['chuck_least_mm' => 41.0])['gripped']);
    }

    public function test_what_to_do_instead(): void
    {
        $codes = static fn (array $in): array => array_map(static fn (Note $n): string => $n->code, self::reach($in)['notes']);
        self::assertSame([], $codes([]));
        self::assertSame(['spindle'], $codes(['spindle_mm' => 38.0]));
        self::assertSame(['swing'], $codes(['swing_mm' => 38.0]));
        self::assertSame(['tail'], $codes(['long_mm' => 121.0]));
        self::assertSame(['centres', 'steady'], $codes(['long_mm' => 490.0, 'centres_mm' => 400.0]));
        self::assertSame(['chuck'], $codes(['chuck_most_mm' => 30.0]));
        $this->expectException(BadInput::class);
        self::reach(['long_mm' => 0.0]);
    }
}

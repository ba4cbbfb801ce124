<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Who may use whom in the core: the rooms stand on one another like floors, and none looks up. */
final class RoomsTest extends TestCase
{
    /**
     * From the ground up. Rooms on one floor may use each other: a length is read with the
     * drill tables ("#7", "letter F"), and the tables hold lengths.
     */
    private const FLOORS = [
        ['Number'],
        ['Advice'],
        ['Quantity', 'Catalogue'],
        ['Measure', 'Language'],
        ['Shape', 'Joint', 'Safety', 'Taper', 'Thread', 'Key', 'Gear', 'Pattern', 'Offset', 'Shaft', 'Pour', 'Block', 'Casting'],
        ['Loop', 'Fit', 'Gauge', 'Groove'],
        ['Making', 'Picture'],
        ['Sum'],
        ['Facts'],
        ['Evaluate'],
        ['Remedy'],
        ['Answer', 'Practice'],
        ['Exchange', 'Tables'],
    ];

    /** None of these knows another. */
    private const TOP = ['Exchange', 'Tables'];

    /** The core has no interface code and no database in it. */
    private const OUTSIDE = '/^use (?:Illuminate|App|Symfony\\\\Component\\\\Http|Dompdf)\b/m';

    /** @return iterable<string, array{string, string}> its room, its file */
    public static function sources(): iterable
    {
        $root = dirname(__DIR__).'/src';
        /** @var \SplFileInfo $file */
        foreach (
            new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file
        ) {
            $path = substr($file->getPathname(), strlen($root) + 1);
            yield $path => [explode('/', $path)[0], $file->getPathname()];
        }
    }

    #[DataProvider('sources')]
    public function test_a_room_uses_only_what_it_stands_on(string $room, string $file): void
    {
        $source = (string) file_get_contents($file);
        preg_match_all('/Oldpart\\\\Core\\\\(\w+)\\\\/', $source, $found);
        $above = array_filter(
            array_unique($found[1]),
            fn (string $other): bool => $other !== $room
                && ($this->floor($other) > $this->floor($room)
                    || (in_array($room, self::TOP, true) && in_array($other, self::TOP, true))),
        );
        self::assertSame([], array_values($above), "{$room} must not use a room above it, nor one top room another.");
        self::assertDoesNotMatchRegularExpression(
            self::OUTSIDE,
            $source,
            'The core knows nothing of the web or the database.',
        );
    }

    private function floor(string $room): int
    {
        foreach (self::FLOORS as $floor => $rooms) {
            if (in_array($room, $rooms, true)) {
                return $floor;
            }
        }
        self::fail("The room {$room} has no floor: give it one.");
    }
}

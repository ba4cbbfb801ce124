<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Shape;

use Oldpart\Core\Shape\WeakPlaces;
use PHPUnit\Framework\TestCase;

final class WeakPlacesTest extends TestCase
{
    /** Centre to edge at least one and a half diameters, two in iron and aluminium (common practice, no source). */
    public function test_holes_near_an_edge(): void
    {
        self::assertNull(WeakPlaces::edge('Holes', 80, 8, 104, false), '12 mm is one and a half of 8');
        self::assertNotNull(WeakPlaces::edge('Holes', 80, 8, 103.9, false));
        self::assertNotNull(WeakPlaces::edge('Holes', 80, 8, 104, true));
        self::assertNull(WeakPlaces::edge('Holes', 80, 8, 112, true), '16 mm is twice 8');
        $iron = WeakPlaces::edge('Holes', 80, 8, 104, true)->say->mm ?? '';
        self::assertStringContainsString('112.000 mm', $iron, 'the circle and twice 16 mm outside it');
        self::assertStringContainsString('72.000 mm', $iron, 'or twice 16 mm inside the outside');
        self::assertStringContainsString('12.000 mm, wanted at least 16.000 mm (2.0', $iron);
        self::assertStringContainsString(
            '80.000 mm',
            WeakPlaces::edge('Holes', 84, 8, 104, false)->say->mm ?? '',
            'in steel twice 12 mm inside',
        );
    }

    /** A wall under a millimetre, or under a twentieth of the diameter, is thin (common practice, no source). */
    public function test_thin_walls(): void
    {
        self::assertNotNull(
            WeakPlaces::thinWall('Sleeve', 0.8255, 28.6),
            'a bush 1.060 in its bore and 1.125 outside has 0.0325 in of wall',
        );
        self::assertNull(WeakPlaces::thinWall('Sleeve', 2.0, 30));
        self::assertNull(WeakPlaces::thinWall('Sleeve', 1.02, 12), 'over a millimetre');
        self::assertNotNull(WeakPlaces::thinWall('Sleeve', 0.98, 12));
        self::assertNotNull(WeakPlaces::thinWall('Sleeve', 4.0, 100));
    }

    public function test_threads_in_weak_metal(): void
    {
        self::assertStringContainsString('insert', WeakPlaces::thread('Thread', 10, 12, 'grey cast iron')->say->mm);
        self::assertStringContainsString('20.000 mm', WeakPlaces::thread('Thread', 10, 12, 'grey cast iron')->say->mm);
        self::assertStringNotContainsString('It has', WeakPlaces::thread('Thread', 10, 25, 'grey cast iron')->say->mm);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Picture;

use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Measure\Cooling;
use Oldpart\Core\Picture\CoolingPicture;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Picture\Tone;
use PHPUnit\Framework\TestCase;

/** The curve of a part that cools: half the way down after τ ln 2, the shop's warmth its floor (Newton's law). */
final class CoolingPictureTest extends TestCase
{
    private static function drawn(float $part, float $room): ?Drawing
    {
        $steel = Material::named('low-carbon steel, cold drawn');

        return CoolingPicture::draw(Cooling::of($part, $room, $steel, 1e5, 1e4, 40.0, 0.002), $part, $room);
    }

    /** @return list<Line> of the curve */
    private static function curve(Drawing $drawing): array
    {
        return array_values(array_filter($drawing->shapes(), static fn (object $s): bool => $s instanceof Line && $s->tone === Tone::Found));
    }

    public function test_it_falls_to_the_shop_s_warmth(): void
    {
        foreach ([[60.0, 20.0], [0.0, 20.0]] as [$part, $room]) {
            $drawing = self::drawn($part, $room);
            self::assertNotNull($drawing);
            $lines = self::curve($drawing);
            $floor = array_values(array_filter($drawing->shapes(), static fn (object $s): bool => $s instanceof Line && $s->tone === Tone::Good))[0];
            self::assertInstanceOf(Line::class, $floor);
            [$first, $last] = [$lines[0], $lines[count($lines) - 1]];
            // y grows downward: a warm part comes down, a cold one up, and neither passes the floor.
            $sign = $part > $room ? 1 : -1;
            foreach ($lines as $line) {
                self::assertGreaterThanOrEqual(0.0, $sign * ($line->y2 - $line->y1));
                self::assertGreaterThanOrEqual(0.0, $sign * ($floor->y1 - $line->y2));
            }
            self::assertEqualsWithDelta(0.0, $floor->y1 - $last->y2, 0.15 * abs($floor->y1 - $first->y1), 'nearly there at the end');
        }
    }

    /** In time τ what is left falls to 1/e, whatever the scale: of two places so far apart the heights stand 2.718 to 1. */
    public function test_it_falls_as_newton_says(): void
    {
        $steel = Material::named('low-carbon steel, cold drawn');
        $cooling = Cooling::of(60.0, 20.0, $steel, 1e5, 1e4, 40.0, 0.002);
        $drawing = self::drawn(60.0, 20.0);
        self::assertNotNull($drawing);
        $floor = array_values(array_filter($drawing->shapes(), static fn (object $s): bool => $s instanceof Line && $s->tone === Tone::Good))[0];
        self::assertInstanceOf(Line::class, $floor);
        foreach (self::curve($drawing) as $line) {
            $share = ($line->x2 - $line->x1) / ($floor->x2 - $floor->x1);
            $seconds = $share * 1.25 * $cooling->waitS;
            self::assertEqualsWithDelta(exp(-$seconds / $cooling->timeConstantS), ($floor->y1 - $line->y2) / ($floor->y1 - $line->y1), 1e-6);
        }
        $texts = array_map(static fn (object $s): string => $s instanceof Text ? $s->say->mm : '', $drawing->shapes());
        self::assertContains('read it after '.number_format(ceil($cooling->waitS / 60)).' min', $texts);
        self::assertNull(self::drawn(20.5, 20.0), 'near enough: nothing to wait for');
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Measure\FromPicture;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\TestCase;

/** Sizes from a photograph: ratios by hand. */
final class FromPictureTest extends TestCase
{
    /** 160 over 800 points is 0.2 a point; 500 points are 100. */
    public function test_by_one_length(): void
    {
        $picture = new FromPicture([['pixels' => 800, 'mm' => 160]], 2);
        self::assertSame(0.2, $picture->mmPerPixel);
        self::assertNull($picture->disagree);
        $length = $picture->length(500);
        self::assertEqualsWithDelta(100, $length['mm'], 1e-9);
        // √((100 · √((2√2/800)² + 0.006²))² + (2√2 · 0.2)²)
        self::assertEqualsWithDelta(hypot(100 * hypot(2 * M_SQRT2 / 800, 0.006), 2 * M_SQRT2 * 0.2), $length['u95'], 1e-9);
    }

    public function test_a_second_length_tells_a_lean(): void
    {
        $straight = new FromPicture([['pixels' => 800, 'mm' => 160], ['pixels' => 300, 'mm' => 60.2]], 2);
        self::assertLessThan(FromPicture::LEANS, $straight->disagree);
        $aslant = new FromPicture([['pixels' => 800, 'mm' => 160], ['pixels' => 300, 'mm' => 66]], 2);
        self::assertEqualsWithDelta(0.0988, $aslant->disagree, 1e-3);
        self::assertGreaterThan(3 * $straight->length(500)['u95'], $aslant->length(500)['u95']);
        $notes = Sums::run('from-picture', ['known' => [['x1' => 0, 'y1' => 0, 'x2' => 800, 'y2' => 0, 'size_mm' => 160], ['x1' => 0, 'y1' => 0, 'x2' => 0, 'y2' => 300, 'size_mm' => 66]]])['notes'];
        self::assertSame('leans', $notes[0]->code);
    }

    /** From a corner at (100, 200): along x and up y a right angle, half way between 45°; arms of 100 and 50 by two taps each. */
    public function test_angles_about_a_corner(): void
    {
        $picture = new FromPicture([['pixels' => 800, 'mm' => 160]], 2);
        self::assertEqualsWithDelta(90.0, $picture->angle([100, 200], [200, 200], [100, 300])['deg'], 1e-9);
        self::assertEqualsWithDelta(45.0, $picture->angle([100, 200], [200, 200], [150, 250])['deg'], 1e-9);
        self::assertEqualsWithDelta(135.0, $picture->angle([100, 200], [200, 200], [50, 250])['deg'], 1e-9);
        self::assertEqualsWithDelta(rad2deg(2 * M_SQRT2 * hypot(1 / 100, 1 / 50)), $picture->angle([100, 200], [200, 200], [100, 250])['u95'], 1e-9);
    }

    /** A circle of radius 50 about (700, 360). */
    public function test_a_circle_through_three_taps(): void
    {
        $picture = new FromPicture([['pixels' => 800, 'mm' => 160]], 2);
        $circle = $picture->circle([650, 360], [700, 310], [750, 360]);
        self::assertEqualsWithDelta([700, 360, 20], [$circle['x'], $circle['y'], $circle['mm']], 1e-9);
        $flat = $picture->circle([700 + 50 * cos(1.2), 360 + 50 * sin(1.2)], [700, 410], [700 + 50 * cos(1.9), 360 + 50 * sin(1.9)]);
        self::assertEqualsWithDelta(20, $flat['mm'], 1e-6);
        self::assertGreaterThan(2 * $circle['u95'], $flat['u95'], 'taps close together say less');
        $this->expectExceptionMessageMatches('/on one line/');
        $picture->circle([0, 0], [100, 1], [200, 0]);
    }

    public function test_an_angle_and_its_other_side(): void
    {
        $angle = Sums::run('from-picture', [
            'known' => [['x1' => 0, 'y1' => 0, 'x2' => 800, 'y2' => 0, 'size_mm' => 160]],
            'angles' => [['name' => 'arm', 'x1' => 0, 'y1' => 0, 'x2' => 400, 'y2' => 0, 'x3' => 400 * cos(deg2rad(43)), 'y3' => 400 * sin(deg2rad(43))]],
        ])['angles'][0];
        self::assertEqualsWithDelta([43, 137], [$angle['angle_deg'], $angle['other_side_deg']], 1e-9);
    }

    /** Taps thrown by chance come out within the doubt nearly always: 95 of 100 and more are wanted. */
    public function test_the_doubt_holds(): void
    {
        mt_srand(7);
        $tap = static fn (): float => 1.0 * sqrt(-2 * log(mt_rand(1, 1000000) / 1000000)) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
        $inside = 0;
        for ($i = 0; $i < 2000; $i++) {
            $known = FromPicture::apart([$tap(), $tap()], [600 + $tap(), $tap()]);
            $picture = new FromPicture([['pixels' => $known, 'mm' => 120]], 2);
            $length = $picture->length(FromPicture::apart([$tap(), $tap()], [300 + $tap(), 400 + $tap()]));
            $inside += abs($length['mm'] - 100) <= $length['u95'] ? 1 : 0;
        }
        self::assertGreaterThan(0.95, $inside / 2000);
    }

    public function test_refusals(): void
    {
        foreach ([[[], 2], [[['pixels' => 800, 'mm' => 0]], 2], [[['pixels' => 3, 'mm' => 10]], 2], [[['pixels' => 800, 'mm' => 10]], 0]] as [$known, $tap]) {
            try {
                new FromPicture($known, $tap);
                self::fail('taken');
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->field);
            }
        }
        $this->expectException(BadInput::class);
        (new FromPicture([['pixels' => 800, 'mm' => 160]], 2))->angle([0, 0], [3, 0], [100, 0]);
    }

    /** A round of three taps is as sure as its taps, in mm: at 0.2 mm a point ten times as sure as at 2. */
    public function test_a_circle_in_millimetres(): void
    {
        $fine = (new FromPicture([['pixels' => 800, 'mm' => 160]], 2))->circle([650, 360], [700, 310], [750, 360]);
        $coarse = (new FromPicture([['pixels' => 800, 'mm' => 1600]], 2))->circle([650, 360], [700, 310], [750, 360]);
        self::assertEqualsWithDelta([10 * $fine['mm'], 10 * $fine['u95']], [$coarse['mm'], $coarse['u95']], 1e-9);
        // Three taps of 2 points each on a half circle: at least 2 √2 · 2 of 0.2 mm.
        self::assertGreaterThanOrEqual(2 * M_SQRT2 * 2 * 0.2, $fine['u95']);
        self::assertLessThan(3 * 2 * M_SQRT2 * 2 * 0.2, $fine['u95']);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Picture;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Picture\Area;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\Hatch;
use Oldpart\Core\Picture\Line;
use Oldpart\Core\Picture\RoundPicture;
use Oldpart\Core\Picture\Scale;
use Oldpart\Core\Picture\SvgWriter;
use Oldpart\Core\Picture\Text;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Tests\Evaluate\SampleJob;
use PHPUnit\Framework\TestCase;

final class PictureTest extends TestCase
{
    /** Hatching fills an area: total line length times spacing is the area, holes left out (geometry). */
    public function test_hatch_covers_the_area_and_spares_holes(): void
    {
        foreach ([0.0, 45.0, -45.0, 30.0] as $degrees) {
            $lines = Hatch::lines(
                [Drawing::circle(100, 80, 60, 360), Drawing::circle(100, 80, 25, 360)],
                0.5,
                $degrees,
            );
            $length = array_sum(array_map(static fn (array $l): float => hypot($l[2] - $l[0], $l[3] - $l[1]), $lines));
            self::assertEqualsWithDelta(M_PI * (60 ** 2 - 25 ** 2), $length * 0.5, 40);
            foreach ($lines as [$x1, $y1, $x2, $y2]) {
                self::assertGreaterThan(24.9, hypot(($x1 + $x2) / 2 - 100, ($y1 + $y2) / 2 - 80));
            }
        }
    }

    public function test_round_steps_and_factors(): void
    {
        self::assertEqualsWithDelta(0.0004, Scale::step(0.0026, 7), 1e-12);
        self::assertEqualsWithDelta(200.0, Scale::exaggeration(340), 1e-9);
        self::assertEqualsWithDelta(1.0, Scale::exaggeration(0.3), 1e-9);
    }

    /** Every picture of a job is well-formed SVG, stays in its frame, and says in words what it shows. */
    public function test_pictures_of_a_whole_job(): void
    {
        $job = SampleJob::measured()
            ->read('Housing bore', '30.006', 'three-point', 'mouth', '45')
            ->cut('Bush outside', 'only', null, '30.3')
            ->cut('Bush outside', 'only', '0.1', '30.2');
        $answers = JobAnswers::of($job->build());
        $drawings = self::drawings($answers);
        self::assertGreaterThanOrEqual(8, count($drawings));
        foreach ($drawings as $drawing) {
            foreach (Unit::cases() as $unit) {
                $svg = (new SvgWriter($unit))->write($drawing);
                $xml = simplexml_load_string($svg);
                self::assertNotFalse($xml, 'well-formed');
                self::assertNotSame('', (string) $xml->title);
                self::assertStringNotContainsString('NAN', strtoupper($svg));
            }
            foreach ($drawing->shapes() as $shape) {
                $points = match (true) {
                    $shape instanceof Line => [[$shape->x1, $shape->y1], [$shape->x2, $shape->y2]],
                    $shape instanceof Text => [[$shape->x, $shape->y]],
                    default => $shape->points,
                };
                foreach ($points as [$x, $y]) {
                    self::assertTrue(
                        $x >= -1 && $x <= $drawing->width + 1 && $y >= -1 && $y <= $drawing->height + 1,
                        "({$x}, {$y}) is outside {$drawing->says->mm}",
                    );
                }
            }
        }
    }

    /** @return list<Drawing> all that an answer holds, however deep */
    private static function drawings(mixed $value): array
    {
        if ($value instanceof Drawing) {
            return [$value];
        }
        $inside = $value instanceof \JsonSerializable ? $value->jsonSerialize() : $value;

        return is_array($inside) ? array_merge(...array_map(self::drawings(...), array_values($inside))) : [];
    }

    /** An angle below nothing is the same across as half a turn more, in whatever order they were read. */
    public function test_angles_either_way_round(): void
    {
        $drawn = static fn (array $angles): array => RoundPicture::draw(
            (new Readings(
                SurfaceKind::Bore,
                array_map(
                    static fn (string $a, int $i): Reading => new Reading(30 + $i / 100, 'mouth', $a),
                    $angles,
                    [1, 2, 3],
                ),
                new Instrument(0.01),
            ))->found(),
        )?->shapes() ?? [];
        self::assertNotSame([], $drawn(['135', '45', '90']));
        self::assertEquals(
            array_filter($drawn(['135', '45', '90']), static fn ($s): bool => $s instanceof Area),
            array_filter($drawn(['-45', '225', '90']), static fn ($s): bool => $s instanceof Area),
        );
    }
}

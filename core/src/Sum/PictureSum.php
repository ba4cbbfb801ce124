<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Measure\FromPicture;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class PictureSum implements Sum
{
    public function name(): string
    {
        return 'from-picture';
    }

    public function says(): string
    {
        return 'Sizes from a photograph, by a length in it that is known; a second one checks whether it was taken aslant.';
    }

    public function example(): array
    {
        return [
            'known' => [
                ['x1' => 100.0, 'y1' => 500.0, 'x2' => 900.0, 'y2' => 500.0, 'size_mm' => 160.0],
                ['x1' => 200.0, 'y1' => 100.0, 'x2' => 200.0, 'y2' => 400.0, 'size_mm' => 60.4],
            ],
            'lengths' => [['name' => 'centres', 'x1' => 150.0, 'y1' => 300.0, 'x2' => 700.0, 'y2' => 360.0]],
            'circles' => [['name' => 'boss', 'x1' => 650.0, 'y1' => 360.0, 'x2' => 700.0, 'y2' => 310.0, 'x3' => 750.0, 'y3' => 360.0]],
            'angles' => [['name' => 'arm', 'x1' => 150.0, 'y1' => 300.0, 'x2' => 700.0, 'y2' => 360.0, 'x3' => 700.0, 'y3' => 300.0]],
            'tap_px' => 2.0,
        ];
    }

    public function takes(): array
    {
        return ['known', 'lengths', 'circles', 'angles', 'tap_px', 'photo'];
    }

    public function run(Fields $in): array
    {
        $known = array_map(static function (Fields $f): array {
            $f->only(['name', 'x1', 'y1', 'x2', 'y2', 'size_mm']);

            return ['pixels' => FromPicture::apart(self::at($f, 1), self::at($f, 2)), 'mm' => $f->number('size_mm')];
        }, $in->has('known') ? $in->objects('known') : []);
        $picture = new FromPicture($known, $in->numberOrNull('tap_px') ?? 2.0);
        $in->textOrNull('photo');
        $rows = static fn (string $name): array => $in->has($name) ? $in->objects($name) : [];
        $leans = $picture->disagree !== null && $picture->disagree > FromPicture::LEANS;

        return [
            'lengths' => array_map(static function (Fields $f) use ($picture): array {
                $length = $picture->length(FromPicture::apart(self::at($f, 1), self::at($f, 2)));

                return ['name' => $f->textOrNull('name') ?? '', 'mm' => $length['mm'], 'u95_mm' => $length['u95']];
            }, $rows('lengths')),
            'circles' => array_map(static function (Fields $f) use ($picture): array {
                $circle = $picture->circle(self::at($f, 1), self::at($f, 2), self::at($f, 3));

                return ['name' => $f->textOrNull('name') ?? '', 'mm' => $circle['mm'], 'u95_mm' => $circle['u95'], 'x' => $circle['x'], 'y' => $circle['y']];
            }, $rows('circles')),
            'angles' => array_map(static function (Fields $f) use ($picture): array {
                $angle = $picture->angle(self::at($f, 1), self::at($f, 2), self::at($f, 3));

                return ['name' => $f->textOrNull('name') ?? '', 'angle_deg' => $angle['deg'], 'other_side_deg' => 180 - $angle['deg'], 'u95_deg' => $angle['u95']];
            }, $rows('angles')),
            'mm_per_pixel' => $picture->mmPerPixel,
            'disagree_percent' => $picture->disagree === null ? null : 100 * $picture->disagree,
            'notes' => [
                match (true) {
                    $leans => Note::caution('leans', 'The known lengths disagree by '.round(100 * (float) $picture->disagree, 1).' of 100: it was taken aslant, or they lie in different planes. Take it again from straight in front and far away.'),
                    $picture->disagree === null => Note::caution('one-length', 'One known length only: a second, across the first, would show whether it was taken aslant.'),
                    default => Note::info('straight-on', 'The known lengths agree: it was taken straight on.'),
                },
                Note::caution('one-plane', 'Only what lies in the plane of the known length has its size; what stands nearer looks larger. Sizes to fit to are measured, not photographed.'),
            ],
            'working' => [
                new WorkingStep('Scale', 'known length / its pixels; doubt by two taps of ± '.round($in->numberOrNull('tap_px') ?? 2.0, 1).' points, the lens, and what the known lengths disagree', LengthWriter::size($picture->mmPerPixel), 'ratio; JCGM 100'),
            ],
        ];
    }

    /** @return array{float, float} */
    private static function at(Fields $f, int $i): array
    {
        return [$f->number("x{$i}"), $f->number("y{$i}")];
    }
}

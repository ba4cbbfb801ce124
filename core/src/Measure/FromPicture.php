<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\BadInput;

/**
 * Sizes taken from a photograph by one or more lengths in it that are known: how many millimetres a pixel is, what
 * doubt the taps leave, and whether the picture was taken aslant. Source: ratio of lengths, JCGM 100 for the doubts.
 */
final readonly class FromPicture
{
    /**
     * Known lengths that disagree by more than this share say the picture leans, or lies out of its plane. Common
     * practice.
     */
    public const LEANS = 0.015;

    /** What a picture distorts of itself, as a share: a lens, edges out of focus. Common practice. */
    private const LENS = 0.003;

    public float $mmPerPixel;

    /** How far the known lengths disagree, as a share of their mean; null where there is one only. */
    public ?float $disagree;

    /** Doubt of the scale, as a share, 95 of 100. */
    private float $share;

    /**
     * @param  list<array{pixels: float, mm: float}>  $known  each above 0
     * @param  float  $tapPixels  how near one taps, ± of 95 of 100, above 0
     *
     * @throws BadInput for no known length, or one of nothing
     */
    public function __construct(array $known, private float $tapPixels)
    {
        if ($known === []) {
            throw new BadInput('known', 'known', 'Tap the two ends of a length that you know, and type it: all else goes by that.');
        }
        if (! ($tapPixels > 0)) {
            throw new BadInput('tap', 'tap_px', 'How near you tap is above zero: two or three points of the picture.');
        }
        $scales = $weights = [];
        foreach ($known as $i => $one) {
            if (! ($one['pixels'] > 2 * $tapPixels) || ! ($one['mm'] > 0)) {
                throw new BadInput('known', "known.{$i}.size_mm", 'A known length is above zero, and its two ends lie well apart in the picture.');
            }
            $scales[] = $one['mm'] / $one['pixels'];
            // Two taps: the longer it is in the picture, the more it counts.
            $weights[] = $one['pixels'] ** 2;
        }
        $sum = array_sum($weights);
        $this->mmPerPixel = array_sum(
            array_map(static fn (float $s, float $w): float => $s * $w, $scales, $weights),
        ) / $sum;
        $this->disagree = count($scales) < 2 ? null : (max($scales) - min($scales)) / $this->mmPerPixel;
        $tap = M_SQRT2 * $tapPixels / sqrt($sum);
        $this->share = sqrt($tap ** 2 + (2 * self::LENS) ** 2 + (($this->disagree ?? 0.0) / 2) ** 2);
    }

    /**
     * @param  float  $pixels  between two taps
     * @return array{mm: float, u95: float}
     */
    public function length(float $pixels): array
    {
        $mm = $pixels * $this->mmPerPixel;

        return ['mm' => $mm, 'u95' => hypot($mm * $this->share, M_SQRT2 * $this->tapPixels * $this->mmPerPixel)];
    }

    /**
     * The circle through three taps on its edge.
     *
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @param  array{float, float}  $c
     * @return array{x: float, y: float, mm: float, u95: float} its middle in the picture, its diameter
     *
     * @throws BadInput for taps on one line
     */
    public function circle(array $a, array $b, array $c): array
    {
        $d = 2 * ($a[0] * ($b[1] - $c[1]) + $b[0] * ($c[1] - $a[1]) + $c[0] * ($a[1] - $b[1]));
        $spread = max(self::apart($a, $b), self::apart($b, $c), self::apart($a, $c));
        if ($spread < 4 * $this->tapPixels || abs($d) < 0.02 * $spread ** 2) {
            throw new BadInput('circle', 'circles', 'The three taps lie nearly on one line: tap them well round the circle.');
        }
        [$qa, $qb, $qc] = [$a[0] ** 2 + $a[1] ** 2, $b[0] ** 2 + $b[1] ** 2, $c[0] ** 2 + $c[1] ** 2];
        $x = ($qa * ($b[1] - $c[1]) + $qb * ($c[1] - $a[1]) + $qc * ($a[1] - $b[1])) / $d;
        $y = ($qa * ($c[0] - $b[0]) + $qb * ($a[0] - $c[0]) + $qc * ($b[0] - $a[0])) / $d;
        $radius = self::apart([$x, $y], $a);
        $mm = 2 * $radius * $this->mmPerPixel;
        // The flatter the three lie, the more a tap moves the circle.
        $flat = $spread ** 2 / abs($d);

        return [
            'x' => $x,
            'y' => $y,
            'mm' => $mm,
            'u95' => hypot($mm * $this->share, 2 * M_SQRT2 * max(1.0, $flat) * $this->tapPixels * $this->mmPerPixel),
        ];
    }

    /**
     * Between two arms from a corner, and what is left to a straight line.
     *
     * @param  array{float, float}  $corner
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @return array{deg: float, u95: float}
     *
     * @throws BadInput for an arm of nothing
     */
    public function angle(array $corner, array $a, array $b): array
    {
        [$la, $lb] = [self::apart($corner, $a), self::apart($corner, $b)];
        if (min($la, $lb) < 4 * $this->tapPixels) {
            throw new BadInput('angle', 'angles', 'Tap the arms of the angle further out: so near its corner they say nothing.');
        }
        $cos = (
            ($a[0] - $corner[0]) * ($b[0] - $corner[0]) + ($a[1] - $corner[1]) * ($b[1] - $corner[1])
        ) / ($la * $lb);

        return [
            'deg' => rad2deg(acos(max(-1.0, min(1.0, $cos)))),
            'u95' => rad2deg(hypot(M_SQRT2 * $this->tapPixels / $la, M_SQRT2 * $this->tapPixels / $lb)),
        ];
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    public static function apart(array $a, array $b): float
    {
        return hypot($b[0] - $a[0], $b[1] - $a[1]);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Shape;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * Where a part is likely to fail by its shape, so that it is changed and not copied. Source: common practice of the
 * trade.
 */
final class WeakPlaces
{
    /** Centre to edge in hole diameters: ordinary metal, and iron or aluminium. */
    private const EDGE = 1.5;

    private const EDGE_WEAK = 2.0;

    /**
     * Holes too near an edge.
     *
     * @param  float  $circleMm  hole circle
     * @param  float  $holeMm  hole diameter, above 0
     * @param  float  $outsideMm  the outside the holes come near
     * @param  bool  $weakMetal  cast iron, aluminium, white metal
     */
    public static function edge(
        string $name,
        float $circleMm,
        float $holeMm,
        float $outsideMm,
        bool $weakMetal,
        string $about = '',
    ): ?Note {
        $edge = ($outsideMm - $circleMm) / 2;
        $factor = $weakMetal ? self::EDGE_WEAK : self::EDGE;
        if ($edge >= $factor * $holeMm - 1e-9) {
            return null;
        }

        $circle = $outsideMm - 2 * $factor * $holeMm;

        return Note::caution(
            'hole-near-edge',
            Say::with(
                '{n}: centre to edge is {e}, wanted at least {w} ({f} hole diameters). A larger outside of {o}'.
                    ($circle > $holeMm ? ', a circle of {c}' : '').
                    ' or smaller holes would do it.',
                [
                    'n' => $name,
                    'e' => LengthWriter::difference($edge),
                    'w' => LengthWriter::difference($factor * $holeMm),
                    'f' => number_format($factor, 1),
                    'o' => LengthWriter::difference($circleMm + 2 * $factor * $holeMm),
                    'c' => LengthWriter::difference($circle),
                ],
            ),
            $about,
        );
    }

    /** A circle of holes beyond the part's own outside: one of the two is wrong. */
    public static function offPart(string $name, float $circleMm, float $outsideMm, string $about = ''): ?Note
    {
        return $outsideMm <= 0
            ? null
            : Note::caution(
                'holes-off-part',
                Say::with(
                    '{n}: a circle of {c} lies off the part, which is {o} at its largest. One of the two is wrong.',
                    [
                        'n' => $name,
                        'c' => LengthWriter::sizeInWords($circleMm),
                        'o' => LengthWriter::sizeInWords($outsideMm),
                    ],
                ),
                $about,
            );
    }

    /** A thread in a metal too weak for it: an insert, or at least so much engagement. */
    public static function thread(string $name, float $majorMm, ?float $longMm, string $metal, string $about = ''): Note
    {
        $wanted = 2 * $majorMm;
        $short =
            $longMm !== null && $longMm < $wanted
                ? Say::with(' It has {l}, twice its diameter would be {w}.', [
                    'l' => LengthWriter::difference($longMm),
                    'w' => LengthWriter::difference($wanted),
                ])
                : Say::plain('');

        return Note::caution(
            'weak-thread',
            Say::with('{n}: a thread in {m} strips before its screw. Think of a steel insert with a shoulder.{s}', [
                'n' => $name,
                'm' => $metal,
                's' => $short,
            ]),
            $about,
        );
    }

    /**
     * A wall under a millimetre, or under a twentieth of the diameter.
     *
     * @param  float  $wallMm  above 0
     */
    public static function thinWall(string $name, float $wallMm, float $diameterMm, string $about = ''): ?Note
    {
        if ($wallMm >= 1.0 && $wallMm >= $diameterMm / 20) {
            return null;
        }

        return Note::caution(
            'thin-wall-shape',
            Say::with(
                '{n}: the wall is down to {w}. Finish the bore while the wall is thick, or bond it in and finish in place.',
                ['n' => $name, 'w' => LengthWriter::difference($wallMm)],
            ),
            $about,
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Taper\Taper;
use Oldpart\Core\Taper\TaperMeasured;
use Oldpart\Core\Taper\TaperNamed;

/** A taper as it is said to be, read or noted; how sure its angle and its large end are. */
final readonly class KnownTaper
{
    /** Off by so much over its length, what was read is doubted; and what was only noted. Common practice. */
    private const READ_OFF_MM = 0.005;

    private const NOTED_OFF_MM = 0.2;

    /** @param  list<Note>  $notes */
    private function __construct(
        public Taper $taper,
        public bool $isNamed,
        public string $how,
        public string $formula,
        public float $u95HalfDeg,
        public float $u95LargeMm,
        public array $notes = [],
        /** Read, not typed or noted. */
        public bool $isRead = true,
    ) {
    }

    /**
     * As it is said to be; else by its two diameters, balls, rollers or an indicator run.
     *
     * @throws BadInput where what is said or read makes no taper
     */
    public static function of(ShapeSizes $sizes, SurfaceFacts $surface): ?self
    {
        [$begins, $far, $over] = [$sizes->of($surface), $sizes->of($surface, 'far'), $sizes->of($surface, 'over')];
        $large = $begins === null || $far === null
            ? $begins ?? $far
            : ($begins->mm >= $far->mm ? $begins : $far);
        $measured = self::measured($sizes, $surface, $begins, $far, $over);
        $said = trim($surface->shape ?? '');
        if ($said === '') {
            return $measured;
        }
        $named = TaperNamed::of($said);
        $sized = $large === null || $large->mm <= ($over->mm ?? 0.0) * $named->onDiameter()
            ? $named
            : $named->sized($large->mm, null, $over?->mm);
        $notes = [];
        if ($measured !== null && $over !== null) {
            $off = abs($measured->taper->onDiameter() - $named->onDiameter()) * $over->mm;
            $unsure = 2 * deg2rad($measured->u95HalfDeg) * $over->mm;
            if ($off > max($unsure, $measured->isRead ? self::READ_OFF_MM : self::NOTED_OFF_MM)) {
                $ratio = number_format($measured->taper->ratio(), 2);
                $notes[] = Note::caution(
                    $measured->isRead ? 'taper-not-as-said' : 'taper-not-as-noted',
                    Say::with(
                        $measured->isRead
                            ? "As it was read it is 1 in {$ratio}: {d} on the diameter over its length off what is typed. Check which is right before you cut."
                            : "By its two ends and its length, as noted, it is 1 in {$ratio}: {d} on the diameter over its length off what is typed. Check which is right before you cut.",
                        ['d' => LengthWriter::difference($off)],
                    ),
                );
            }
        }

        return new self(
            taper: $sized,
            isNamed: true,
            how: "As typed: {$said}.",
            formula: 'as typed',
            u95HalfDeg: 0.0,
            u95LargeMm: $large->u95Mm ?? 0.0,
            notes: $notes,
            isRead: false,
        );
    }

    private static function measured(
        ShapeSizes $sizes,
        SurfaceFacts $surface,
        ?KnownSize $begins,
        ?KnownSize $far,
        ?KnownSize $over,
    ): ?self {
        $of = static fn (string ...$what): array => array_values(
            array_filter(array_map(static fn (string $w): ?KnownSize => $sizes->of($surface, $w), $what)),
        );
        $ends = array_values(array_filter([$begins, $far, $over]));
        $byEnds = static fn (array $in): Taper => Taper::between(
            max($in[0], $in[1]),
            min($in[0], $in[1]),
            $in[2],
        );
        $isRead = ($begins->isRead ?? false) || ($far->isRead ?? false);
        $balls = $of('ball-large', 'ball-small', 'depth-large', 'depth-small');
        $rollers = $of('roller', 'block', 'over-low', 'over-high');
        $run = $of('travel', 'rise');
        $sized = static fn (float $halfDeg, ?float $largeMm): Taper => Taper::included(2 * $halfDeg)
            ->sized($largeMm, null, $over?->mm);

        return match (true) {
            count($ends) === 3 && $isRead => self::by(
                $ends,
                $byEnds,
                'By its two diameters and the length between them.',
                'tan of the half angle = (D − d)/2L',
            ),
            count($balls) === 4 => self::by(
                $balls,
                static function (array $in) use ($sized): Taper {
                    $found = TaperMeasured::byBalls($in[0], $in[1], $in[2], $in[3]);

                    return $sized($found->halfDeg, $found->diameterMm);
                },
                'By two balls.',
                'sin of the half angle = (R − r)/distance of their middles',
            ),
            count($rollers) === 4 => self::by(
                $rollers,
                static fn (array $in): Taper => $sized(
                    TaperMeasured::byRollers($in[0], $in[1], $in[2], $in[3])->halfDeg,
                    $begins?->mm,
                ),
                'By rollers on a plate and on blocks.',
                'tan of the half angle = (over − over)/2 blocks',
                $begins,
            ),
            count($run) === 2 => self::by(
                $run,
                static fn (array $in): Taper => $sized(rad2deg(atan($in[1] / $in[0])), $begins?->mm),
                'By an indicator run along the axis.',
                'tan of the half angle = movement/travel',
                $begins,
            ),
            count($ends) === 3 => self::by(
                $ends,
                $byEnds,
                'As noted at the survey.',
                'tan of the half angle = (D − d)/2L',
                isRead: false,
            ),
            default => null,
        };
    }

    /**
     * With the doubt of the angle and of the large end, by what each reading moves them: JCGM 100:2008, 5.1.
     *
     * @param  list<KnownSize>  $sizes
     * @param  callable(list<float>): Taper  $taper
     * @param  ?KnownSize  $begins  where its size is none of those
     */
    private static function by(
        array $sizes,
        callable $taper,
        string $how,
        string $formula,
        ?KnownSize $begins = null,
        bool $isRead = true,
    ): self {
        $in = array_column($sizes, 'mm');
        $at = $taper($in);
        [$angle, $large] = [0.0, $begins === null ? 0.0 : $begins->u95Mm];
        foreach ($sizes as $i => $size) {
            if ($size->u95Mm > 0) {
                $moved = $in;
                $moved[$i] += $size->u95Mm;
                $other = $taper(array_values($moved));
                $angle = hypot($angle, $other->halfDeg - $at->halfDeg);
                $large = hypot($large, ($other->largeMm ?? 0.0) - ($at->largeMm ?? 0.0));
            }
        }
        $noted = Note::caution(
            'taper-noted',
            'Nobody measured it: its sizes are as noted. Read it before you cut to it.',
        );

        return new self(
            taper: $at,
            isNamed: false,
            how: $how,
            formula: $formula,
            u95HalfDeg: $angle,
            u95LargeMm: $large,
            notes: $isRead ? [] : [$noted],
            isRead: $isRead,
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Range;

/** Fits by what they give, and fits beside a fit. */
final class FitSearch
{
    private const SHAFT_GRADES = [4, 5, 6, 7, 8, 9, 10, 11];

    private const HOLE_GRADES = [5, 6, 7, 8, 9, 10, 11];

    /**
     * All fits at a size that people would use: hole basis H5 to H11 with any shaft of a grade up to one coarser and
     * two finer, shaft basis h5 to h9 likewise, and every inch class.
     *
     * @return list<NamedFit>
     */
    public static function all(float $sizeMm): array
    {
        $fits = [];
        foreach (self::HOLE_GRADES as $grade) {
            foreach (self::SHAFT_GRADES as $other) {
                if ($other > $grade + 1 || $other < $grade - 2) {
                    continue;
                }
                foreach (Iso286::LETTERS as $letter) {
                    $fits[] = self::orNull(
                        static fn (): NamedFit => NamedFit::iso($sizeMm, "H{$grade}", "{$letter}{$other}"),
                    );
                    if ($other >= 5 && $other <= 9 && $letter !== 'h') {
                        $fits[] = self::orNull(
                            static fn (): NamedFit => NamedFit::iso($sizeMm, strtoupper($letter).$grade, "h{$other}"),
                        );
                    }
                }
            }
        }
        foreach (InchFit::classes() as $class) {
            $fits[] = self::orNull(static fn (): NamedFit => NamedFit::inch($sizeMm, $class));
        }

        return array_values(array_filter($fits));
    }

    /**
     * The fits whose whole range lies inside the wanted one, the widest first since it is the easiest to make; of
     * equally wide ones hole basis first.
     *
     * @return list<NamedFit> at most $most
     */
    public static function inside(float $sizeMm, Range $wantedMm, int $most = 12): array
    {
        $inside = array_values(
            array_filter(
                self::all($sizeMm),
                static fn (NamedFit $f): bool => $f->clearance()->min >= $wantedMm->min - 1e-9
                    && $f->clearance()->max <= $wantedMm->max + 1e-9,
            ),
        );
        usort(
            $inside,
            static fn (NamedFit $a, NamedFit $b): int => round($b->clearance()->width(), 6) <=>
            round($a->clearance()->width(), 6) ?:
            self::basis($a) <=> self::basis($b),
        );

        return array_slice($inside, 0, $most);
    }

    /**
     * The fits of a school nearest to a range, by how far both its ends are off.
     *
     * @return list<NamedFit> at most $most
     */
    public static function like(float $sizeMm, Range $clearanceMm, ?School $school = null, int $most = 3): array
    {
        $fits = array_values(
            array_filter(
                self::all($sizeMm),
                static fn (NamedFit $f): bool => $school === null || $f->school === $school,
            ),
        );
        $off = static fn (NamedFit $f): float => abs($f->clearance()->min - $clearanceMm->min) +
            abs($f->clearance()->max - $clearanceMm->max);
        usort(
            $fits,
            static fn (NamedFit $a, NamedFit $b): int => round($off($a), 6) <=> round($off($b), 6) ?:
            self::basis($a) <=> self::basis($b),
        );

        return array_slice($fits, 0, $most);
    }

    /**
     * The fits to either side of one, loosest first: for ISO other shafts of the same grade in the same hole, for an
     * inch class the others of its family.
     *
     * @return list<NamedFit> itself among them
     */
    public static function beside(NamedFit $fit): array
    {
        $size = $fit->sizeMm;
        if ($fit->school === School::Inch) {
            $family = substr($fit->label, 0, 2);
            $near = array_map(
                static fn (string $class): ?NamedFit => str_starts_with($class, $family)
                    ? self::orNull(static fn (): NamedFit => NamedFit::inch($size, $class))
                    : null,
                InchFit::classes(),
            );
            $near = array_values(array_filter($near));
        } else {
            [$hole, $shaft] = explode('/', $fit->label);
            $grade = ltrim($shaft, 'abcdefghijklmnopqrstuvwxyz');
            $near = [];
            foreach (Iso286::LETTERS as $letter) {
                $near[] = self::orNull(static fn (): NamedFit => NamedFit::iso($size, $hole, "{$letter}{$grade}"));
            }
            $near = array_values(array_filter($near));
        }
        usort(
            $near,
            static fn (NamedFit $a, NamedFit $b): int => $b->clearance()->middle() <=> $a->clearance()->middle(),
        );

        return $near;
    }

    /** @param  callable(): NamedFit  $make */
    private static function orNull(callable $make): ?NamedFit
    {
        try {
            return $make();
        } catch (BadInput) {
            return null;
        }
    }

    private static function basis(NamedFit $fit): int
    {
        return $fit->school === School::Inch || str_starts_with($fit->label, 'H') ? 0 : 1;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Catalogue\Bearings;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Measure\NominalFamilies;
use Oldpart\Core\Measure\NominalKind;

/** A size that can be bought or reamed, near an odd one. */
final readonly class StandardSize
{
    /** Out of round of what a reamer or a clean cut leaves, mm. Common practice. */
    public const CLEAN_MM = 0.008;

    /** With less to take a reamer or a cut does not clean up all round, on diameter, mm. Common practice. */
    private const CLEANS_UP_MM = 0.05;

    /** How much may come off a mate to true it, on diameter, mm. Common practice: 1/32 in. */
    private const TRUED_MM = 0.8;

    private function __construct(public string $what, public string $label, public float $mm)
    {
    }

    /**
     * What the old part could be brought to, nearest first: a bore only grows, a shaft only shrinks.
     *
     * @param  bool  $bore  a worn bore (opened to a reamer, a bearing or a stock bush) or a worn shaft (turned down to a bearing or a stock bush's bore)
     * @param  float  $sizeMm  as found, the size from which metal is taken: a bore's largest, a shaft's smallest
     * @param  float  $mostMm  how much may be taken, on diameter, above 0
     * @return list<StandardSize>
     */
    public static function near(bool $bore, float $sizeMm, float $mostMm): array
    {
        [$from, $to] = $bore ? [$sizeMm, $sizeMm + $mostMm] : [$sizeMm - $mostMm, $sizeMm];
        $sizes = [];
        foreach ($bore ? ['reamer', 'stock bush outside'] : ['ground bar', 'stock bush bore'] as $what) {
            array_push($sizes, ...self::listed($what, $from, $to));
        }
        foreach (Bearings::all() as $bearing) {
            $mm = $bore ? $bearing->outsideMm : $bearing->boreMm;
            if ($mm >= $from && $mm <= $to) {
                $sizes[] = new self('bearing', "{$bearing->designation} bearing", $mm);
            }
        }
        usort(
            $sizes,
            static fn (self $a, self $b): int => round(abs($a->mm - $sizeMm), 6) <=> round(abs($b->mm - $sizeMm), 6),
        );

        return $sizes;
    }

    /**
     * What a mate out of true is cut to: a bore by the next reamer, a shaft to the next size that is bought.
     *
     * @param  float  $fromMm  a bore's largest, a shaft's smallest
     * @param  float  $formMm  largest less smallest
     * @return ?self null where it is as true as that would leave it, and where none is near enough
     */
    public static function trued(bool $bore, float $fromMm, float $formMm): ?self
    {
        if ($formMm <= self::CLEAN_MM) {
            return null;
        }
        $first = $fromMm + ($bore ? self::CLEANS_UP_MM : -self::CLEANS_UP_MM);
        foreach (self::near($bore, $first, self::TRUED_MM - self::CLEANS_UP_MM) as $size) {
            if (! $bore || $size->what === 'reamer') {
                return $size;
            }
        }

        return null;
    }

    /**
     * Reamers that cut inside limits, the smallest first; those for dowels, a little under and over, among them.
     *
     * @return list<StandardSize>
     */
    public static function reamers(float $fromMm, float $toMm): array
    {
        $sizes = self::listed('reamer', $fromMm, $toMm);
        /** @var array{from_in: float, to_in: float, step_in: float, off_in: list<float>} $sets */
        $sets = Table::read('standard-sizes')['dowel reamer'];
        $last = (int) round(($sets['to_in'] - $sets['from_in']) / $sets['step_in']);
        for ($n = 0; $n <= $last; $n++) {
            foreach ($sets['off_in'] as $off) {
                $inches = $sets['from_in'] + $n * $sets['step_in'] + $off;
                if (25.4 * $inches >= $fromMm - 1e-9 && 25.4 * $inches <= $toMm + 1e-9) {
                    $sizes[] = new self('reamer', number_format($inches, 4).' in', 25.4 * $inches);
                }
            }
        }
        usort($sizes, static fn (self $a, self $b): int => $a->mm <=> $b->mm);

        return $sizes;
    }

    /** @return list<StandardSize> */
    private static function listed(string $what, float $from, float $to): array
    {
        /** @var array{inch: list<array{float, float}>, mm: list<array{float, float}>} $table */
        $table = Table::read('standard-sizes')[$what];
        $sizes = [];
        foreach (['inch' => 25.4, 'mm' => 1.0] as $unit => $mm) {
            $begin = 0.0;
            foreach ($table[$unit] as [$end, $step]) {
                for (
                    $n = (int) ceil(max($begin + $step, $from / $mm) / $step - 1e-9);
                    $n * $step <= min($end, $to / $mm) + 1e-9;
                    $n++
                ) {
                    $sizes[] = new self($what, self::label($unit, $n * $step), $n * $step * $mm);
                }
                $begin = $end;
            }
        }

        return $sizes;
    }

    private static function label(string $unit, float $size): string
    {
        if ($unit === 'mm') {
            return rtrim(rtrim(number_format($size, 1, '.', ''), '0'), '.').' mm';
        }
        foreach (NominalFamilies::between(NominalKind::Length, $size * 25.4 - 1e-6, $size * 25.4 + 1e-6) as $named) {
            if ($named->system === 'inch') {
                return $named->label;
            }
        }

        return rtrim(rtrim(number_format($size, 6, '.', ''), '0'), '.').' in';
    }
}

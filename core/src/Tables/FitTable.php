<?php

declare(strict_types=1);

namespace Oldpart\Core\Tables;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Fit\FitSearch;
use Oldpart\Core\Fit\FitWish;
use Oldpart\Core\Fit\NamedFit;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\School;
use Oldpart\Core\Picture\BandsPicture;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** A fit looked up: its limits, its picture, what lies beside it, and what it would be in the other school. */
final class FitTable
{
    /**
     * @return array<string, mixed>
     *
     * @throws BadInput for a fit that is not given at the size
     */
    public static function look(float $sizeMm, string $name): array
    {
        $fit = NamedFit::named($sizeMm, $name);
        $other = $fit->school === School::Iso ? School::Inch : School::Iso;

        return [
            ...self::row($fit),
            'size' => LengthWriter::sizeInWords($sizeMm),
            'shaft_shown' => self::member($fit, false),
            'hole_shown' => self::member($fit, true),
            'says' => self::says($fit),
            'picture' => BandsPicture::draw($sizeMm, $fit->hole, $fit->shaft, self::says($fit)),
            'beside' => array_map(self::row(...), FitSearch::beside($fit)),
            'steps' => $fit->school === School::Iso ? self::steps($fit) : [],
            'like' => array_map(self::row(...), FitSearch::like($sizeMm, $fit->clearance(), $other)),
            'used_for' => self::usedFor($fit),
            'source' => $fit->source,
        ];
    }

    /**
     * @return array<string, mixed> the fits that give what is wished, or the nearest ones where none does
     */
    public static function find(FitWish $wish): array
    {
        $inside = FitSearch::inside($wish->sizeMm, $wish->clearanceMm);
        $found = $inside === [] ? FitSearch::like($wish->sizeMm, $wish->clearanceMm, most: 6) : $inside;

        return [
            'size_mm' => $wish->sizeMm,
            'asked' => Say::with('{r} at {s}', [
                'r' => Words::range($wish->clearanceMm),
                's' => LengthWriter::sizeInWords($wish->sizeMm),
            ]),
            'fits' => array_map(self::row(...), $found),
            'notes' => $inside === []
                    ? [
                        Note::caution(
                            'none-inside',
                            'No class of either school stays wholly within that. These come nearest; or type the limits themselves at Size.',
                        ),
                    ]
                    : [],
        ];
    }

    /** @return array<string, mixed> */
    private static function row(NamedFit $fit): array
    {
        return [
            'school' => $fit->school->value,
            'label' => $fit->label,
            'range' => Words::range($fit->clearance()),
            'tight' => $fit->clearance()->max <= 0,
        ];
    }

    /** @return array<string, mixed> */
    private static function member(NamedFit $fit, bool $hole): array
    {
        $limits = $hole ? $fit->hole : $fit->shaft;
        $band = new Band($fit->sizeMm + $limits->lowerMm, $fit->sizeMm + $limits->upperMm);
        $signed = static fn (float $mm): Say => Say::with(abs($mm) < 1e-9 ? '{d}' : ($mm > 0 ? '+{d}' : '−{d}'), [
            'd' => LengthWriter::fine($mm),
        ]);

        return [
            'class' => $fit->school === School::Inch ? $fit->label : explode('/', $fit->label)[$hole ? 0 : 1],
            'lower' => LengthWriter::lower($band),
            'upper' => LengthWriter::upper($band),
            'under' => $signed($limits->lowerMm),
            'over' => $signed($limits->upperMm),
            'width' => LengthWriter::fine($limits->widthMm()),
        ];
    }

    private static function says(NamedFit $fit): Say
    {
        $band = static fn (bool $hole): array => [
            LengthWriter::lower(
                new Band(
                    $fit->sizeMm + ($hole ? $fit->hole : $fit->shaft)->lowerMm,
                    $fit->sizeMm + ($hole ? $fit->hole : $fit->shaft)->upperMm,
                ),
            ),
            LengthWriter::upper(
                new Band(
                    $fit->sizeMm + ($hole ? $fit->hole : $fit->shaft)->lowerMm,
                    $fit->sizeMm + ($hole ? $fit->hole : $fit->shaft)->upperMm,
                ),
            ),
        ];
        [$h1, $h2] = $band(true);
        [$s1, $s2] = $band(false);

        return Say::with("{$fit->label} at {size}: hole {h1} to {h2}, shaft {s1} to {s2}; {r}.", [
            'size' => LengthWriter::sizeInWords($fit->sizeMm),
            'h1' => $h1,
            'h2' => $h2,
            's1' => $s1,
            's2' => $s2,
            'r' => Words::range($fit->clearance()),
        ]);
    }

    /** @return list<array{name: string, to: string}> one grade finer and coarser, where the standard gives it */
    private static function steps(NamedFit $fit): array
    {
        if (preg_match('~^([A-Z]+)(\d+)/([a-z]+)(\d+)$~', $fit->label, $m) !== 1) {
            return [];
        }
        [, $hole, $holeGrade, $shaft, $shaftGrade] = $m;
        $steps = [];
        foreach (
            [
                ['hole one grade finer', -1, 0],
                ['hole one grade coarser', 1, 0],
                ['shaft one grade finer', 0, -1],
                ['shaft one grade coarser', 0, 1],
            ] as [$name, $h, $s]
        ) {
            $to = $hole.((int) $holeGrade + $h).'/'.$shaft.((int) $shaftGrade + $s);
            try {
                NamedFit::named($fit->sizeMm, $to);
                $steps[] = ['name' => $name, 'to' => $to];
            } catch (BadInput) {
                continue;
            }
        }

        return $steps;
    }

    /** @return list<string> what the trade uses it for */
    private static function usedFor(NamedFit $fit): array
    {
        $uses = array_filter(Purpose::all(), static fn (Purpose $p): bool => $p->fit($fit->school) === $fit->label);

        return array_values(array_map(static fn (Purpose $p): string => "{$p->name}: {$p->says}", $uses));
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\School;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What each purpose offers and works within, against docs/purposes.md, row by row; and against the classes it names. */
final class PurposeFiguresTest extends TestCase
{
    private const IN = 25.4;

    /** @return array<string, array{string, string, string, string, string, string}> */
    public static function rows(): array
    {
        $rows = [];
        foreach (file(dirname(__DIR__, 3).'/docs/purposes.md') ?: [] as $line) {
            $cells = array_map(trim(...), explode('|', trim($line, "| \n")));
            if (count($cells) === 6 && preg_match('/^[a-z-]+$/', $cells[0]) === 1 && $cells[0] !== 'purpose' && trim($cells[0], '-') !== '') {
                $rows[$cells[0]] = $cells;
            }
        }

        return $rows;
    }

    public function test_every_purpose_of_two_round_things_or_lengths_is_told(): void
    {
        $told = array_filter(Purpose::all(), static fn (Purpose $p): bool => $p->shape === null && ! $p->copiesOld);
        self::assertSame(array_values(array_map(static fn (Purpose $p): string => $p->code, $told)), array_keys(self::rows()));
    }

    #[DataProvider('rows')]
    public function test_it_is_as_it_is_told(string $code, string $iso, string $inch, string $thumb, string $works, string $rough): void
    {
        $purpose = Purpose::named($code);
        self::assertSame($iso === '–' ? null : $iso, $purpose->fit(School::Iso));
        foreach ([10.0, self::IN, 80.0] as $size) {
            $by = ['iso' => [], 'inch' => [], 'thumb' => []];
            foreach ($purpose->offers($size) as $offer) {
                $by[$offer->school->value][] = $offer;
            }
            $names = array_map(static fn (Offer $o): string => $o->label, $by['inch']);
            self::assertSame($inch === '–' ? [] : explode(' or ', $inch), array_values(array_diff($names, ['film, inch'])));
            self::assertRange(self::range($thumb, $size / self::IN, self::IN / 1000), $by['thumb'][0]->clearanceMm ?? null, "{$code} thumb {$size}");
            self::assertRange($works === '–' ? null : self::range($works, $size, 0.001), $purpose->worksWithin($size), "{$code} works {$size}");
        }
        self::assertSame($rough, $purpose->ra === null ? '–' : "{$purpose->ra['um']} µm, {$purpose->ra['uin']} µin");
    }

    /** It works outside its class: what ISO 286-2 gives lies in what it works within, at sizes people meet. */
    #[DataProvider('rows')]
    public function test_its_class_works(string $code): void
    {
        $purpose = Purpose::named($code);
        foreach ($purpose->fit(School::Iso) === null ? [] : [12.0, 25.0, 40.0, 63.0, 100.0] as $size) {
            $works = $purpose->worksWithin($size);
            $class = $purpose->offers($size)[0]->clearanceMm;
            self::assertNotNull($works);
            // Its edges are met by parts at the far ends of both tolerances only: a sixth of the width is let out there.
            $edge = $class->width() / 6;
            self::assertGreaterThanOrEqual($works->min - $edge, $class->min, "{$code} {$size}");
            self::assertLessThanOrEqual($works->max + $edge, $class->max, "{$code} {$size}");
        }
        self::assertTrue($purpose->tight === false || ($purpose->worksWithin(25.0)->max ?? 0.0) <= 0.0041, $code);
    }

    private static function range(string $told, float $size, float $unit): Range
    {
        $ends = array_map(static function (string $end) use ($size, $unit): float {
            $sum = 0.0;
            foreach (explode(' + ', $end) as $term) {
                $sum += (float) str_replace('−', '-', $term) * (preg_match('#/in|·d#', $term) === 1 ? $size : 1.0);
            }

            return $unit * $sum;
        }, explode(' to ', $told));

        return new Range($ends[0], $ends[1]);
    }

    private static function assertRange(?Range $wanted, ?Range $is, string $what): void
    {
        self::assertSame($wanted === null, $is === null, $what);
        self::assertEqualsWithDelta($wanted->min ?? 0.0, $is->min ?? 0.0, 1e-9, $what);
        self::assertEqualsWithDelta($wanted->max ?? 0.0, $is->max ?? 0.0, 1e-9, $what);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Fit\SizesThatWork;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Chances of sizes to work. */
final class SizesThatWorkTest extends TestCase
{
    /** @return iterable<array{array<string, mixed>}> core/tests/reference/form_python.py: Simpson's rule */
    public static function reference(): iterable
    {
        $json = json_decode((string) file_get_contents(__DIR__.'/../reference/form_python.json'), true, 32);
        foreach ($json['chances'] as $case) {
            yield [$case];
        }
    }

    /** @param  array<string, mixed>  $case */
    #[DataProvider('reference')]
    public function test_agrees_with_quadrature(array $case): void
    {
        $sizes = SizesThatWork::of(
            $case['shaft'],
            $case['shaft'] ? $case['small'] : $case['large'],
            $case['shaft'] ? $case['large'] : $case['small'],
            $case['sigma'],
            new Range($case['least'], $case['most']),
        )->checkedTo($case['check']);
        $middle = ($case['from'] + $case['to']) / 2;
        self::assertEqualsWithDelta($case['at_middle'], $sizes->chanceAt($middle), 1e-6);
        self::assertEqualsWithDelta($case['over'], $sizes->chanceOver(new Band($case['from'], $case['to'])), 1e-6);
        self::assertEqualsWithDelta($case['at_middle'], $sizes->chanceOver(new Band($middle, $middle)), 1e-6);
    }

    /** By hand: a bore of 30.00 to 30.02 takes a shaft with 0 to 0.05 clearance from 29.97 to 30.00. */
    public function test_from_and_to_by_hand(): void
    {
        $shaft = SizesThatWork::of(true, 30.0, 30.02, 0.003, new Range(0.0, 0.05));
        self::assertEqualsWithDelta([29.97, 30.0, 0.03], [$shaft->fromMm, $shaft->toMm, $shaft->widthMm()], 1e-12);
        $bore = SizesThatWork::of(false, 30.02, 30.0, 0.003, new Range(0.0, 0.05));
        self::assertEqualsWithDelta([30.02, 30.05], [$bore->fromMm, $bore->toMm], 1e-12);
        self::assertEqualsWithDelta(30.035, $bore->middleMm(), 1e-12);
        // Its own shape takes all that works: none does.
        $none = SizesThatWork::of(true, 30.0, 30.06, 0.003, new Range(0.0, 0.05));
        self::assertSame(0.0, $none->chanceAt($none->middleMm()));
        self::assertSame(0.0, $none->chanceOver(new Band(29.9, 30.1)));
    }

    /** Two doubts add in square; a misreading moves the sizes, and then only the gauge that checks is left unsure. */
    public function test_doubts(): void
    {
        $sizes = SizesThatWork::of(true, 30.0, 30.0, 0.004, new Range(0.0, 0.02));
        self::assertEqualsWithDelta(0.005, $sizes->checkedTo(0.003)->sigmaMm(), 1e-12);
        $off = $sizes->misreadBy(2.0, 0.001);
        self::assertEqualsWithDelta([29.988, 30.008, 0.001], [$off->fromMm, $off->toMm, $off->sigmaMm()], 1e-12);
    }

    /** At the end of what works the chance is a half; two deviations inside, 97.7 (table of the normal distribution). */
    public function test_known_chances(): void
    {
        $sizes = SizesThatWork::of(false, 20.0, 20.0, 0.001, new Range(0.0, 0.1));
        self::assertEqualsWithDelta(0.5, $sizes->chanceAt(20.0), 1e-9);
        self::assertEqualsWithDelta(0.97725, $sizes->chanceAt(20.002), 1e-5);
        self::assertEqualsWithDelta(0.02275, $sizes->chanceAt(20.102), 1e-5);
    }

    /**
     * A gauge that may be off by 0.01 either way, and nothing else: in a window of ±0.005 half of it works; and of twenty
     * gauges one is off by more than that, of which nothing does (geometry).
     */
    public function test_the_gauge_itself(): void
    {
        $sizes = SizesThatWork::of(true, 30.0, 30.0, 0.01 / sqrt(3), new Range(-0.005, 0.005), 0.01);
        self::assertEqualsWithDelta(0.95 * 0.5 + 0.05 * 0.0, $sizes->chanceAt(30.0), 1e-4);
        // No more of the doubt is the gauge's than there is.
        $less = SizesThatWork::of(true, 30.0, 30.0, 0.001, new Range(-0.005, 0.005), 0.01);
        self::assertGreaterThan(0.99, $less->chanceAt(30.0));
    }

    public function test_words(): void
    {
        $words = ['0.98' => 'sure', '0.9799' => 'likely', '0.9' => 'likely', '0.8999' => 'a risk', '0.7' => 'a risk', '0.6999' => 'a gamble'];
        foreach ($words as $chance => $word) {
            self::assertSame($word, Likely::word((float) $chance));
        }
        self::assertSame(['good', 'usable', 'usable', 'bad'], array_map(Likely::kind(...), [0.98, 0.97, 0.7, 0.69]));
        self::assertSame('likely, works in 91 of 100', Likely::inWords(0.9199));
    }
}

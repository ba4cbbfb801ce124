<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Catalogue;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Bearings;
use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Catalogue\Hardness;
use Oldpart\Core\Catalogue\HardnessScale;
use Oldpart\Core\Catalogue\LikelyGroup;
use Oldpart\Core\Catalogue\MaterialTests;
use Oldpart\Core\Catalogue\Table;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the tables refuse, where their steps lie, and how sure a guess is called. */
final class RefusalsTest extends TestCase
{
    /** @return iterable<string, array{\Closure(): mixed}> */
    public static function refused(): iterable
    {
        yield 'friction below zero' => [static fn () => new Friction(-0.01, 0.2, '')];
        yield 'friction from high to low' => [static fn () => new Friction(0.3, 0.2, '')];
        yield 'friction above all' => [static fn () => new Friction(0.1, 2.1, '')];
        yield 'a bearing of no size' => [static fn () => Bearings::like(20.0, 0.0, null, 0.2)];
        yield 'a bearing below zero' => [static fn () => Bearings::like(-20.0, null, null, 0.2)];
        yield 'a bearing without end' => [static fn () => Bearings::like(INF, null, null, 0.2)];
        yield 'within nothing' => [static fn () => Bearings::like(20.0, null, null, 0.0)];
        yield 'within everything' => [static fn () => Bearings::like(20.0, null, null, INF)];
        yield 'nothing given' => [static fn () => Bearings::like(null, null, null, 0.2)];
        yield 'HRC below zero' => [static fn () => Hardness::of(HardnessScale::RockwellC, -1.0)];
        yield 'HRC above all' => [static fn () => Hardness::of(HardnessScale::RockwellC, 80.0)];
        yield 'HB below the table' => [static fn () => Hardness::of(HardnessScale::Brinell, 10.0)];
    }

    #[DataProvider('refused')]
    public function test_refused(\Closure $act): void
    {
        $this->expectException(BadInput::class);
        $act();
    }

    /** At a step of the table its own row is read, from either side; ASTM E140: 40 HRC is 392 HV, 60 HRC is 697 HV. */
    public function test_a_step_of_the_table_is_itself(): void
    {
        self::assertEqualsWithDelta(392.0, Hardness::of(HardnessScale::RockwellC, 40.0)->hv, 1.0);
        self::assertEqualsWithDelta(697.0, Hardness::of(HardnessScale::RockwellC, 60.0)->hv, 1.0);
        self::assertFalse(Hardness::of(HardnessScale::RockwellC, 20.3)->isAtMost, 'ISO 18265 begins at 20.3');
        self::assertTrue(Hardness::of(HardnessScale::RockwellC, 0.0)->isAtMost, 'zero is soft, and a hardness');
    }

    /** Common practice: eight in ten is likely, four in ten perhaps. */
    public function test_how_sure_a_guess_is(): void
    {
        $words = static fn (float $share): string => (new LikelyGroup('c', 's', 'm', $share))->confidence();
        self::assertSame(
            ['likely', 'perhaps', 'perhaps', 'hardly'],
            array_map($words, [0.8, 0.799, 0.4, 0.399]),
        );
        self::assertSame(
            ['code', 'says', 'material', 'share', 'confidence'],
            array_keys((new LikelyGroup('c', 's', 'm', 0.5))->jsonSerialize()),
        );
    }

    /** A piece that shows what a group mostly shows is never said to be at odds; what is listed is worth listing. */
    public function test_results_that_go_together(): void
    {
        /** @var list<array{code: string, shows: array<string, array<string, float>>}> $groups */
        $groups = Table::read('material-tests')['groups'];
        foreach ($groups as $group) {
            $usual = array_map(
                static fn (array $chances): string => (string) array_search(max($chances), $chances, true),
                $group['shows'],
            );
            self::assertFalse(MaterialTests::disagree($usual), "{$group['code']} shows what it mostly shows");
            $shares = array_map(static fn (LikelyGroup $l): float => $l->share, MaterialTests::likely($usual));
            self::assertLessThanOrEqual(1.0 + 1e-9, array_sum($shares));
            self::assertGreaterThanOrEqual(0.02, min($shares));
        }
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A kind lays out what nearly every such job has; the rest is offered, and everything together is the whole kind. */
final class OffersTest extends TestCase
{
    /** @return iterable<string, array{Kind}> */
    public static function kinds(): iterable
    {
        foreach (Kind::all() as $kind) {
            yield $kind->code => [$kind];
        }
    }

    private static function lay(Kind $kind, bool $whole): JobFacts
    {
        $n = 0;

        return $kind->layOut('job', 'Rig', 'Part', Unit::Millimetre, new ShopFacts('Shop', 20.0, 0.01, 0.5, 1e4), static function () use (&$n): string {
            return 'id-'.++$n;
        }, $whole);
    }

    /** @return array<string, list<string>> names of everything, by list */
    private static function names(JobFacts $facts): array
    {
        $names = [];
        foreach (['parts', 'surfaces', 'joints', 'loops', 'clearances'] as $list) {
            $names[$list] = array_column(JobFile::toArray($facts)[$list], 'name');
            sort($names[$list]);
        }

        return $names;
    }

    #[DataProvider('kinds')]
    public function test_with_every_offer_taken_it_is_the_whole_kind(Kind $kind): void
    {
        $facts = self::lay($kind, false);
        $taken = 0;
        while (($offers = $kind->offers($facts)) !== []) {
            $facts = self::take($facts, $offers[0]['changes'], ++$taken);
            self::assertLessThan(30, $taken, 'an offer that was taken is offered no more');
        }
        self::assertSame(self::names(self::lay($kind, true)), self::names($facts));
    }

    /** @param  list<array{list: string, thing: string, fact: array<string, mixed>}>  $changes */
    private static function take(JobFacts $facts, array $changes, int $turn): JobFacts
    {
        $array = JobFile::toArray($facts);
        $blank = [
            'parts' => ['material' => null, 'form' => 'turned', 'hardness' => null, 'tests' => []],
            'surfaces' => ['stations' => [], 'angles' => [], 'datum' => false],
            'loops' => ['plane' => false],
        ];
        $fresh = json_decode(str_replace('"new:', "\"t{$turn}:", json_encode($changes, JSON_THROW_ON_ERROR)), true, 64, JSON_THROW_ON_ERROR);
        foreach ($fresh as ['list' => $list, 'thing' => $thing, 'fact' => $fact]) {
            $array[$list][] = ['id' => $thing, ...$blank[$list] ?? [], ...$fact];
        }

        return JobFacts::fromArray($array);
    }

    /** A stepped shaft asks for no bearing's outside and no hub key before somebody says there is one. */
    public function test_nothing_is_imposed(): void
    {
        $shaft = self::lay(Kind::named('stepped-shaft'), false);
        $names = implode(' ', array_column(JobFile::toArray($shaft)['surfaces'], 'name'));
        self::assertStringNotContainsString('earing bore', $names);
        self::assertStringNotContainsString('key', $names);
        self::assertContains('rolling bearings', array_column(Kind::named('stepped-shaft')->offers($shaft), 'name'));
        self::assertNotContains('a key in the hub', array_column(Kind::named('stepped-shaft')->offers($shaft), 'name'), 'there is no hub yet');
    }

    /** Whatever was renamed so that it can't be found is no longer offered something to hang on it. */
    public function test_what_hangs_on_something_renamed_is_not_offered(): void
    {
        $array = JobFile::toArray(self::lay(Kind::named('gear-on-shaft'), false));
        foreach ($array['parts'] as &$part) {
            $part['name'] = 'Renamed '.$part['name'];
        }
        unset($part);
        $offers = Kind::named('gear-on-shaft')->offers(JobFacts::fromArray($array));
        self::assertNotContains('a pin', array_column($offers, 'name'));
    }
}

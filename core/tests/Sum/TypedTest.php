<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Sum\Sum;
use Oldpart\Core\Sum\Sums;
use Oldpart\Core\Sum\Typed;
use Oldpart\Core\Sum\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A sum's input as a person types it. */
final class TypedTest extends TestCase
{
    /** @return iterable<string, array{Sum}> */
    public static function sums(): iterable
    {
        foreach (Sums::all() as $sum) {
            yield $sum->name() => [$sum];
        }
    }

    #[DataProvider('sums')]
    public function test_what_is_written_is_read_as_it_was(Sum $sum): void
    {
        foreach (Unit::cases() as $unit) {
            $read = (new Typed($sum, $unit))->read(Typed::write($sum->example(), $unit));
            self::assertEquals($sum->example(), $read, $unit->name);
        }
    }

    #[DataProvider('sums')]
    public function test_words_are_only_of_what_there_is(Sum $sum): void
    {
        foreach (Words::of($sum->name()) as $field => $word) {
            self::assertNotSame('', trim($word), $field);
        }
        self::assertNotSame($sum->name(), Words::title($sum->name()), 'it has a title');
        $results = array_keys(Sums::run($sum->name(), $sum->example()));
        $keys = static function (mixed $of) use (&$keys): array {
            return is_array($of) ? array_merge(array_keys($of), ...array_map($keys, array_values($of))) : [];
        };
        $inside = [
            ...$keys(json_decode((string) json_encode(Sums::run($sum->name(), $sum->example())), true)),
            ...$keys($sum->example()),
        ];
        $own = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/data/sum-words.json'), true)['of'][$sum->name()] ?? [];
        foreach (Words::choices($sum->name()) as $field => $choices) {
            self::assertContains($field, $sum->takes());
            foreach ($choices as $choice) {
                try {
                    Sums::run($sum->name(), [...$sum->example(), $field => $choice]);
                } catch (BadInput $bad) {
                    self::assertNotSame($field, $bad->field, "“{$choice}” is offered, and refused");
                }
            }
        }
        foreach (Words::sizes($sum->name()) as $size) {
            self::assertContains($size, $results);
        }
        foreach (array_keys($own) as $field) {
            self::assertContains($field, [...$sum->takes(), ...$results, ...$inside], "{$sum->name()} knows no “{$field}”");
        }
    }

    /** 3/8 in is 9.525; 25.4 mm to the inch, exactly. */
    public function test_lengths_are_typed_as_anywhere(): void
    {
        $read = fn (string $text, Unit $unit): mixed => $this->read('flats', ['diameter_mm' => $text], $unit)['diameter_mm'];
        self::assertEqualsWithDelta(9.525, $read('3/8 in', Unit::Millimetre), 1e-9);
        self::assertEqualsWithDelta(9.525, $read('3/8', Unit::Inch), 1e-9);
        self::assertEqualsWithDelta(20.0, $read('20 mm', Unit::Inch), 1e-9);
        self::assertEqualsWithDelta(33.3375, $read('1-5/16', Unit::Inch), 1e-9);
        self::assertEqualsWithDelta(12.5, $read('12,5', Unit::Millimetre), 1e-9);
        self::assertEqualsWithDelta(15.7, $read('0.5in+3mm', Unit::Millimetre), 1e-9);
    }

    /** @return iterable<string, array{string}> */
    public static function fours(): iterable
    {
        yield 'commas' => ['0.02, 0, -0.02, 0'];
        yield 'spaces' => ['0.02 0 -0.02 0'];
        yield 'lines' => ["0.02\n0\n-0.02\n0"];
        yield 'semicolons and decimal commas' => ['0,02; 0; -0,02; 0'];
        yield 'commas at the end' => ['0.02, 0, -0.02, 0,'];
        yield 'commas alone' => ['0.02,0,-0.02,0'];
        yield 'a minus as printed' => ['0.02 0 −0.02 0'];
    }

    #[DataProvider('fours')]
    public function test_a_list(string $typed): void
    {
        $near = $this->read('run-out', ['near_mm' => $typed])['near_mm'];
        self::assertEqualsWithDelta([0.02, 0, -0.02, 0], $near, 1e-12);
    }

    public function test_one_comma_could_be_either(): void
    {
        $this->expectExceptionObject(new BadInput('two-ways', 'near_mm', '“near_mm”: is “0,02” one number with a comma, or two? Type it with a point, or with a space between the two.'));
        $this->read('run-out', ['near_mm' => '0,02 0 0 0']);
    }

    public function test_rows_under_a_heading(): void
    {
        $wanted = [['at_mm' => 0.0, 'tir_mm' => 0.1, 'high_deg' => 30], ['at_mm' => 25.4, 'tir_mm' => 0.25, 'high_deg' => 45]];
        foreach (
            [
                "at_mm, tir_mm, high_deg\n0, 0.1, 30\n1 in, 0.25, 45",
                "at_mm; tir_mm; high_deg\n0; 0,1; 30\n25,4; 0,25; 45",
                "at_mm\ttir_mm\thigh_deg\n0\t0.1\t30\n25.4\t0.25\t45",
            ] as $typed
        ) {
            self::assertEqualsWithDelta($wanted, $this->read('bend', ['stations' => $typed])['stations'], 1e-12);
        }
        $this->expectExceptionMessageMatches('/row 1: “1, 2, 3, 4” has 4 values under 3 headings/');
        $this->read('bend', ['stations' => "at_mm, tir_mm, high_deg\n1, 2, 3, 4"]);
    }

    public function test_names_and_values(): void
    {
        $read = $this->read('clocking', ['a' => "diameter_mm: 4 in\nholes: 6\nhole_mm: 9,5", 'b' => '']);
        self::assertEqualsWithDelta(['a' => ['diameter_mm' => 101.6, 'holes' => 6, 'hole_mm' => 9.5]], $read, 1e-9);
    }

    /** An inch is 25.4 mm by definition (ISO 31-1). */
    public function test_least_and_most_of_a_length_are_lengths(): void
    {
        $read = $this->read('press', ['interference_mm' => "min: 0.0004\nmax: 0.033 mm"], Unit::Inch);
        self::assertEqualsWithDelta(['interference_mm' => ['min' => 0.01016, 'max' => 0.033]], $read, 1e-9);
    }

    public function test_places_in_a_block(): void
    {
        $read = $this->read('ports', ['drillings' => "name; from; to; diameter_mm\nmain; 0 1/2 3/4; 1.5 1/2 10mm; 5/16"], Unit::Inch)['drillings'];
        self::assertEqualsWithDelta([[0, 12.7, 19.05], [38.1, 12.7, 10]], [$read[0]['from'], $read[0]['to']], 1e-9);
        self::assertEqualsWithDelta(7.9375, $read[0]['diameter_mm'], 1e-9);
    }

    public function test_yes_no_and_words(): void
    {
        self::assertSame(['outside' => true], $this->read('casting', ['outside' => 'yes']));
        self::assertSame(['outside' => false], $this->read('casting', ['outside' => 'no']));
        self::assertSame(['form' => '60'], $this->read('tap-drill', ['form' => '60']));
    }

    public function test_what_cannot_be_read_is_said_of_its_field(): void
    {
        foreach ([['diameter_mm', 'a lot'], ['wide_mm', '3']] as [$field, $text]) {
            try {
                $this->read('flats', [$field => $text]);
                self::fail('taken');
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }

    /** A refusal names its field as the screen does. */
    public function test_a_refusal_in_the_words_of_the_shop(): void
    {
        try {
            Sums::runTyped('run-out', ['near_mm' => '1 2 3', 'far_mm' => '0 0 0 0', 'apart_mm' => '10'], Unit::Millimetre);
            self::fail('taken');
        } catch (BadInput $bad) {
            self::assertSame('near_mm', $bad->field);
            self::assertStringStartsWith('“Read near the jaws, at 0, 90, 180 and 270°” must be four readings', $bad->getMessage());
        }
    }

    public function test_what_was_read_comes_back(): void
    {
        $got = Sums::runTyped('flats', ['diameter_mm' => '1', 'across_flats_mm' => '7/8'], Unit::Inch);
        self::assertEqualsWithDelta(['diameter_mm' => 25.4, 'across_flats_mm' => 22.225], $got['read'], 1e-9);
        self::assertEqualsWithDelta(1.5875, $got['depth_mm'], 1e-9);
    }

    /**
     * @param  array<string, string>  $texts
     * @return array<string, mixed>
     */
    private function read(string $sum, array $texts, Unit $unit = Unit::Millimetre): array
    {
        return (new Typed(Sums::named($sum), $unit))->read($texts);
    }
}

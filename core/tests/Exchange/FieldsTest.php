<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FieldsTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, callable(Fields): mixed, string}> */
    public static function wrong(): iterable
    {
        yield 'missing text' => [[], static fn (Fields $f) => $f->text('a'), 'a'];
        yield 'number as text' => [['a' => 3], static fn (Fields $f) => $f->text('a'), 'a'];
        yield 'text as number' => [['a' => '3'], static fn (Fields $f) => $f->number('a'), 'a'];
        yield 'missing number' => [[], static fn (Fields $f) => $f->number('a'), 'a'];
        yield 'flag as text' => [['a' => 'yes'], static fn (Fields $f) => $f->flag('a'), 'a'];
        yield 'list of numbers' => [['a' => [1, 2]], static fn (Fields $f) => $f->texts('a'), 'a'];
        yield 'object as text' => [['a' => 'x'], static fn (Fields $f) => $f->object('a'), 'a'];
        yield 'list with a text' => [['a' => ['x']], static fn (Fields $f) => $f->objects('a'), 'a.0'];
        yield 'not a choice' => [['a' => 'cone'], static fn (Fields $f) => $f->choice('a', SurfaceKind::class), 'a'];
        yield 'unknown key' => [['b' => 1], static fn (Fields $f) => $f->only(['a']), 'b'];
        yield 'reversed range' => [['a' => ['min' => 2, 'max' => 1]], static fn (Fields $f) => $f->range('a'), 'a'];
        yield 'half a range' => [['a' => ['min' => 2]], static fn (Fields $f) => $f->range('a'), 'a.max'];
        yield 'unreadable length' => [
            ['a' => ['typed' => 'x', 'unit' => 'in']],
            static fn (Fields $f) => $f->length('a'),
            'a',
        ];
        yield 'two sizes in one' => [
            ['a' => ['typed' => '1', 'unit' => 'in', 'mm' => 25]],
            static fn (Fields $f) => $f->length('a'),
            'a',
        ];
        yield 'negative where it cannot be' => [
            ['a' => ['typed' => '-1', 'unit' => 'in']],
            static fn (Fields $f) => $f->length('a'),
            'a',
        ];
        yield 'no unit' => [['a' => ['typed' => '1']], static fn (Fields $f) => $f->length('a'), 'a.unit'];
        yield 'a label of another kind' => [['a' => true], static fn (Fields $f) => $f->label('a'), 'a'];
    }

    /**
     * @param  array<string, mixed>  $values
     * @param  callable(Fields): mixed  $take
     */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_named(array $values, callable $take, string $field): void
    {
        try {
            $take(new Fields($values));
            self::fail('should have been refused');
        } catch (BadInput $bad) {
            self::assertSame($field, $bad->field);
            self::assertGreaterThan(8, strlen($bad->getMessage()));
        }
    }

    public function test_fields_below_carry_their_path(): void
    {
        $fields = new Fields(['parts' => [['name' => 'ok'], ['name' => 7]]]);
        try {
            array_map(static fn (Fields $f): string => $f->text('name'), $fields->objects('parts'));
            self::fail('should have been refused');
        } catch (BadInput $bad) {
            self::assertSame('parts.1.name', $bad->field);
        }
    }

    public function test_what_is_right_is_taken(): void
    {
        $fields = new Fields([
            'n' => 3,
            'f' => true,
            's' => 'x',
            'l' => ['a', 'b'],
            'r' => ['min' => -2, 'max' => 1],
            'd' => 90,
            't' => ['typed' => '-1 thou', 'unit' => 'mm'],
        ]);
        self::assertEqualsWithDelta(3.0, $fields->number('n'), 1e-12);
        self::assertTrue($fields->flag('f'));
        self::assertFalse($fields->flag('absent'));
        self::assertNull($fields->flagOrNull('absent'));
        self::assertSame(['a', 'b'], $fields->texts('l'));
        self::assertEqualsWithDelta(3.0, $fields->range('r')->width(), 1e-12);
        self::assertSame('90', $fields->label('d'), 'an angle may be a number');
        self::assertEqualsWithDelta(-0.0254, $fields->length('t', true)->length->mm, 1e-12);
    }

    /** A pair of pins is a reading and nothing else; a canonical value beside it is held to it too. */
    public function test_pins_only_where_a_reading_is_meant(): void
    {
        $pair = ['typed' => '12.675 go 12.700', 'unit' => 'mm'];
        self::assertEqualsWithDelta(
            12.6875,
            (new Fields(['a' => $pair]))->length('a', reading: true)->length->mm,
            1e-9,
        );
        self::assertEqualsWithDelta(
            12.6875,
            (new Fields(['a' => [...$pair, 'mm' => 12.6875]]))->length('a', reading: true)->length->mm,
            1e-9,
        );
        foreach (
            [[$pair, false], [[...$pair, 'mm' => 12.7], true], [['typed' => '1 go 1', 'unit' => 'in'], true]] as [$value, $pins]
        ) {
            try {
                (new Fields(['a' => $value]))->length('a', reading: $pins);
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertSame('a', $bad->field);
            }
        }
    }

    /** Sizes that no thing has led to a division by zero, and to answers without an end; found by sending mangled bodies. */
    public function test_what_nothing_measures(): void
    {
        foreach (['balance-hole' => ['unbalance_gmm' => 400, 'radius_mm' => 80, 'drill_mm' => 1e-300, 'density_kg_m3' => 7850], 'tap-drill' => ['major_mm' => 1e10, 'pitch_mm' => 1e-300, 'form' => '60', 'percent' => 75]] as $sum => $input) {
            try {
                Sums::named($sum)->run(new Fields($input));
                self::fail($sum);
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->getMessage());
            }
        }
        self::assertSame(0.0, (new Fields(['x' => 6.1e-17]))->number('x'), 'what is left of rounding');
        self::assertSame([0.0, 2.5], (new Fields(['x' => [-6.1e-17, 2.5]]))->numbers('x'));
        self::assertSame(1e-9, (new Fields(['x' => 1e-9]))->number('x'));
        foreach ([1e16, -1e16] as $huge) {
            foreach (['number' => $huge, 'numbers' => [$huge]] as $read => $value) {
                try {
                    (new Fields(['x' => $value]))->{$read}('x');
                    self::fail((string) $huge);
                } catch (BadInput $bad) {
                    self::assertSame('x', $bad->field);
                }
            }
        }
    }
}

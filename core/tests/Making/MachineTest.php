<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Making\LatheChoice;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Making\MachineKind;
use Oldpart\Core\Quantity\Fields;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Machines of a shop: figures as they are typed, and which lathe a piece of work goes on. */
final class MachineTest extends TestCase
{
    /** @param  array<string, string>  $figures */
    private static function machine(string $kind, array $figures, string $name = 'It', string $unit = 'mm'): Machine
    {
        return Machine::read(new Fields(['id' => md5($name), 'kind' => $kind, 'name' => $name, 'unit' => $unit, 'figures' => $figures]));
    }

    public function test_figures_as_they_are_typed(): void
    {
        $inch = self::machine('lathe', ['swing_mm' => '13', 'spindle_mm' => '1-1/2', 'centres_mm' => '1000 mm', 'dial_reads' => 'radius'], unit: 'in');
        self::assertEqualsWithDelta(330.2, $inch->figure('swing_mm'), 1e-9);
        self::assertEqualsWithDelta(38.1, $inch->figure('spindle_mm'), 1e-9);
        self::assertEqualsWithDelta(1000.0, $inch->figure('centres_mm'), 1e-9);
        self::assertSame('radius', $inch->word('dial_reads'));
        self::assertNull($inch->figure('holds_mm'), 'what is not said is not known');
        self::assertSame(['swing_mm' => '13', 'spindle_mm' => '1-1/2', 'centres_mm' => '1000 mm', 'dial_reads' => 'radius'], (array) $inch->jsonSerialize()['figures']);
        self::assertSame(-18.0, self::machine('freezer', ['least_c' => '−18'])->figure('least_c'));
    }

    /** NIST SP 811, app. B.8: ton-force of 2000 lb 8.896443 kN; of 2240 lb 2240/2000 of it; kilogram-force 9.80665 N. */
    #[DataProvider('forces')]
    public function test_a_press_in_any_unit(string $typed, float $newtons): void
    {
        self::assertEqualsWithDelta($newtons, self::machine('press', ['force_n' => $typed])->figure('force_n'), 1e-6 * $newtons);
    }

    /** @return iterable<array{string, float}> */
    public static function forces(): iterable
    {
        yield ['9000', 9000.0];
        yield ['9 kN', 9000.0];
        yield ['20 t', 20 * 1000 * 9.80665];
        yield ['20 tons', 20 * 8896.443 * 2240 / 2000];
        yield ['2000 lbf', 8896.443];
        yield ['1,5 kn', 1500.0];
    }

    /** @param  array<string, string>  $figures */
    #[DataProvider('wrong')]
    public function test_what_can_t_be_read_is_named(string $kind, array $figures, string $field, string $says): void
    {
        try {
            self::machine($kind, $figures, 'Old one');
            self::fail('this must be refused');
        } catch (BadInput $bad) {
            self::assertSame("figures.{$field}", $bad->field);
            self::assertStringContainsString($says, $bad->getMessage());
        }
    }

    /** @return iterable<array{string, array<string, string>, string, string}> */
    public static function wrong(): iterable
    {
        yield ['lathe', ['swing_mm' => 'large'], 'swing_mm', 'Old one, swing over the bed'];
        yield ['lathe', ['swing_mm' => '0'], 'swing_mm', 'above zero'];
        yield ['lathe', ['dial_reads' => 'both'], 'dial_reads', 'diameter, radius'];
        yield ['lathe', ['chuck_least_mm' => '90', 'chuck_most_mm' => '80'], 'chuck_most_mm', 'Change them over'];
        yield ['press', ['force_n' => '20 stone'], 'force_n', 'no unit of force'];
        yield ['press', ['force_n' => 'strong'], 'force_n', 'such as 9 kN'];
        yield ['torch', ['swing_mm' => '3'], 'swing_mm', 'not asked of a torch'];
        yield ['oven', ['most_c' => 'hot'], 'most_c', 'is a number'];
    }

    public function test_two_of_one_id_and_machines_of_no_kind_are_refused(): void
    {
        $one = ['id' => 'a', 'kind' => 'torch', 'name' => 'Torch', 'unit' => 'mm', 'figures' => []];
        $long = [...$one, 'kind' => 'lathe', 'figures' => ['swing_mm' => implode('+', array_fill(0, 30, '1'))]];
        foreach ([[$one, $one], [[...$one, 'kind' => 'broom']], [[...$one, 'name' => ' ']], [[...$one, 'id' => 'a/b']], [[...$one, 'id' => '']], [$long]] as $list) {
            try {
                Machine::list(new Fields(['machines' => $list]), 'machines');
                self::fail('this must be refused');
            } catch (BadInput $bad) {
                self::assertStringStartsWith('machines', $bad->field);
            }
        }
        self::assertCount(1, Machine::list(new Fields(['machines' => [$one]]), 'machines'));
    }

    /** Common practice: what a shop can hold is what its best lathe holds, and what it can press is its strongest press. */
    public function test_the_best_of_several_counts(): void
    {
        $shop = new ShopFacts('Shop', 20.0, 0.05, 0.5, 1000.0, machines: [
            self::machine('lathe', ['holds_mm' => '0.02'], 'A'),
            self::machine('lathe', ['holds_mm' => '0.01'], 'B'),
            self::machine('grinder', ['holds_mm' => '0.002'], 'C'),
            self::machine('press', ['force_n' => '9 kN'], 'D'),
            self::machine('press', ['force_n' => '2 kN'], 'E'),
        ]);
        self::assertEqualsWithDelta(0.01, $shop->latheHoldsMm, 1e-12);
        self::assertEqualsWithDelta(9000.0, $shop->pressN, 1e-9);
        $plain = new ShopFacts('Shop', 20.0, 0.05, 0.5, 1000.0, machines: [self::machine('lathe', [], 'A')]);
        self::assertSame([0.05, 1000.0], [$plain->latheHoldsMm, $plain->pressN], 'else what was said of the shop');
    }

    public function test_the_lathe_that_takes_it(): void
    {
        $small = self::machine('lathe', ['swing_mm' => '180', 'centres_mm' => '350', 'spindle_mm' => '20'], 'small');
        $large = self::machine('lathe', ['swing_mm' => '330', 'centres_mm' => '1000', 'spindle_mm' => '38'], 'large');
        self::assertNull(LatheChoice::of([], 30.0, 100.0), 'nobody said which there are');
        self::assertSame('small', LatheChoice::of([$small, $large], 18.0, 60.0)?->lathe->name);
        self::assertSame('large', LatheChoice::of([$small, $large], 30.0, 500.0)?->lathe->name);
        $neither = LatheChoice::of([$small, $large], 400.0, 100.0);
        self::assertContains('swing', array_map(static fn (Note $n): string => $n->code, $neither->notes ?? []));
        // Longer than between centres, but it goes through the spindle.
        $long = LatheChoice::of([$large], 30.0, 1200.0);
        $codes = array_map(static fn (Note $n): string => $n->code, $long->notes ?? []);
        self::assertContains('through-spindle', $codes);
        self::assertNotContains('centres', $codes);
        // Facing takes half of its diameter of the cross-slide.
        $short = self::machine('lathe', ['cross_mm' => '50'], 'short');
        self::assertSame([], LatheChoice::of([$short], 100.0, 100.0)->notes ?? null);
        self::assertSame(['cross-travel'], array_map(static fn (Note $n): string => $n->code, LatheChoice::of([$short], 100.2, 100.0)->notes ?? []));
    }

    /** The usual shops can be taken as they are, and say nothing that is not asked. */
    public function test_the_usual_shops_can_be_read(): void
    {
        foreach (Machine::usual() as $shop) {
            $machines = array_map(static fn (array $m, int $i): array => [...$m, 'id' => "m-{$i}"], $shop['machines'], array_keys($shop['machines']));
            $read = Machine::list(new Fields(['machines' => $machines]), 'machines');
            self::assertNotSame([], array_filter($read, static fn (Machine $m): bool => $m->kind === 'lathe'), $shop['name']);
        }
        self::assertNull(MachineKind::orNull('broom'));
    }

    /** A shop holds so many, and no more. */
    public function test_how_many_a_shop_holds(): void
    {
        $machines = static fn (int $n): array => array_map(static fn (int $i): array => ['id' => "m{$i}", 'kind' => 'oven', 'name' => "Oven {$i}", 'unit' => 'mm', 'figures' => []], range(1, $n));
        self::assertCount(60, Machine::list(new Fields(['machines' => $machines(60)]), 'machines'));
        $this->expectExceptionMessage('are more than 60');
        Machine::list(new Fields(['machines' => $machines(61)]), 'machines');
    }
}

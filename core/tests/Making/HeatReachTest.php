<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Making\HeatReach;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Quantity\Fields;
use PHPUnit\Framework\TestCase;

/** Whether the shop's oven and freezer do for a joint. */
final class HeatReachTest extends TestCase
{
    /** @param  array<string, string>  $figures */
    private static function machine(string $kind, string $name, array $figures): Machine
    {
        return Machine::read(new Fields(['id' => md5($name), 'kind' => $kind, 'name' => $name, 'unit' => 'mm', 'figures' => $figures]));
    }

    /**
     * @param  list<Machine>  $machines
     * @return array<string, string>
     */
    private static function says(array $machines, float $heat, ?float $chill = null, float $across = 100.0): array
    {
        $says = [];
        foreach (HeatReach::notes($machines, $heat, $chill, $across) as $note) {
            $says[$note->code] = "{$note->severity->value}: {$note->say->mm}";
        }

        return $says;
    }

    public function test_an_oven_that_is_hot_enough_and_one_that_is_not(): void
    {
        $oven = self::machine('oven', 'Oven', ['most_c' => '250', 'inside_mm' => '350']);
        self::assertSame(['oven' => 'info: Oven goes to 250 °C: hot enough.'], self::says([$oven], 250.0));
        $says = self::says([$oven], 250.1)['oven'];
        self::assertStringStartsWith('caution: Oven goes to 250 °C and this needs 251 °C.', $says);
        self::assertStringContainsString('Chill the other part', $says);
        $torch = self::machine('torch', 'Torch', []);
        self::assertStringContainsString('torch, moving', self::says([$oven, $torch], 300.0)['oven']);
        self::assertStringContainsString('does not go in', self::says([$oven], 200.0, null, 351.0)['oven']);
        $large = self::machine('oven', 'Large', ['most_c' => '220']);
        self::assertStringContainsString('Large goes to 220 °C: hot enough', self::says([$oven, $large], 200.0, null, 351.0)['oven']);
    }

    public function test_a_freezer(): void
    {
        $freezer = self::machine('freezer', 'Freezer', ['least_c' => '-18']);
        self::assertSame(['freezer' => 'info: Freezer goes to −18 °C: cold enough to drop it in without heat.'], self::says([$freezer], 200.0, -18.0));
        self::assertSame([], self::says([$freezer], 200.0, -19.0));
        self::assertSame([], self::says([$freezer], 200.0, null));
    }

    public function test_what_nobody_said_is_not_asked(): void
    {
        self::assertSame([], self::says([], 300.0, -50.0));
        self::assertSame([], self::says([self::machine('oven', 'Oven', ['inside_mm' => '20'])], 300.0));
    }

    /** Of two that are not hot enough the hotter one is named, wherever it stands in the list. */
    public function test_the_hotter_of_two(): void
    {
        $ovens = [self::machine('oven', 'Warm', ['most_c' => '120']), self::machine('oven', 'Hot', ['most_c' => '180']), self::machine('oven', 'Mild', ['most_c' => '90'])];
        self::assertStringContainsString('Hot goes to 180 °C', self::says($ovens, 250.0)['oven']);
        self::assertStringContainsString('Hot goes to 180 °C', self::says(array_reverse($ovens), 250.0)['oven']);
    }
}

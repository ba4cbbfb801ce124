<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Making\Recipe;
use Oldpart\Core\Quantity\Fields;
use PHPUnit\Framework\TestCase;

/** Recipes a shop keeps. */
final class RecipeTest extends TestCase
{
    /** @param  list<array<string, mixed>>  $recipes */
    private static function read(array $recipes): string
    {
        try {
            return (string) json_encode(Recipe::list(new Fields(['recipes' => $recipes]), 'recipes'));
        } catch (BadInput $bad) {
            return "{$bad->field}: {$bad->getMessage()}";
        }
    }

    public function test_what_is_kept(): void
    {
        self::assertSame(
            '[{"id":"a","name":"Ours","steps":["One","Two"]}]',
            self::read([['id' => 'a', 'name' => ' Ours ', 'steps' => ['One ', '', ' Two']]]),
        );
    }

    public function test_what_is_refused_and_where(): void
    {
        $steps = ['One'];
        self::assertStringStartsWith('recipes.0.name', self::read([['id' => 'a', 'name' => ' ', 'steps' => $steps]]));
        self::assertStringStartsWith('recipes.0.steps', self::read([['id' => 'a', 'name' => 'A', 'steps' => array_fill(0, 41, 'x')]]));
        self::assertStringStartsWith('recipes.0.steps.1', self::read([['id' => 'a', 'name' => 'A', 'steps' => ['x', str_repeat('y', 1001)]]]));
        self::assertStringStartsWith('recipes', self::read([['id' => 'a', 'name' => 'A', 'steps' => $steps], ['id' => 'a', 'name' => 'B', 'steps' => $steps]]));
    }

    /** Each of them says what can hurt, where something can. */
    public function test_the_usual_ones(): void
    {
        $usual = array_column(array_map(static fn (Recipe $r): array => $r->jsonSerialize(), Recipe::usual()), 'steps', 'id');
        self::assertGreaterThanOrEqual(5, count($usual));
        self::assertStringContainsString('damp throws it', implode(' ', $usual['pour']));
        self::assertStringContainsString('gloves', implode(' ', $usual['shrink']));
    }

    public function test_how_many_steps(): void
    {
        $of = static fn (int $steps): string => self::read([['id' => 'a', 'name' => 'A', 'steps' => array_fill(0, $steps, 'x')]]);
        self::assertStringStartsWith('[{', $of(40));
        self::assertStringStartsWith('recipes.0.steps', $of(41));
    }

    public function test_how_many_of_them(): void
    {
        $of = static fn (int $many): string => self::read(array_map(
            static fn (int $i): array => ['id' => "r{$i}", 'name' => "Recipe {$i}", 'steps' => ['x']],
            range(1, $many),
        ));
        self::assertStringStartsWith('[{', $of(60));
        self::assertStringStartsWith('recipes: ', $of(61));
    }
}

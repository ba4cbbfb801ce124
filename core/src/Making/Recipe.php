<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Fields;

/** Recurring work as steps, kept by the shop: put into an order of work they are the person's own. */
final readonly class Recipe implements \JsonSerializable
{
    private const MOST = 60;

    private const MOST_STEPS = 40;

    private const LONGEST = 1000;

    /** @param  list<string>  $steps */
    private function __construct(public string $id, public string $name, public array $steps)
    {
    }

    /** @return list<self> */
    public static function list(Fields $f, string $field): array
    {
        $recipes = array_map(self::read(...), $f->objects($field));
        if (count($recipes) > self::MOST) {
            throw $f->bad($field, 'has more than '.self::MOST.' recipes. Take out what is never used.');
        }
        if (count(array_unique(array_column($recipes, 'id'))) < count($recipes)) {
            throw $f->bad($field, 'has two recipes of one id.');
        }

        return $recipes;
    }

    private static function read(Fields $f): self
    {
        $f->only(['id', 'name', 'steps']);
        $name = trim($f->text('name'));
        $steps = array_values(array_filter(array_map(trim(...), $f->texts('steps')), static fn (string $s): bool => $s !== ''));
        if ($name === '' || mb_strlen($name) > 100) {
            throw $f->bad('name', 'needs 1 to 100 letters: it is what the recipe is found by.');
        }
        if (count($steps) > self::MOST_STEPS) {
            throw $f->bad('steps', 'has more than '.self::MOST_STEPS.' steps. Make two recipes of it.');
        }
        foreach ($steps as $i => $step) {
            if (mb_strlen($step) > self::LONGEST) {
                throw $f->bad("steps.{$i}", 'is longer than '.self::LONGEST.' letters. Make two steps of it.');
            }
        }

        return new self($f->text('id'), $name, $steps);
    }

    /** @return list<self> to begin with */
    public static function usual(): array
    {
        return array_map(
            static fn (array $row): self => self::read(new Fields([
                'id' => $row['code'], 'name' => $row['name'], 'steps' => $row['steps'],
            ])),
            Table::rows('recipes'),
        );
    }

    /** @return array{id: string, name: string, steps: list<string>} */
    public function jsonSerialize(): array
    {
        return ['id' => $this->id, 'name' => $this->name, 'steps' => $this->steps];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Unit;

/**
 * What can be made: a kind of job that lays out its parts, surfaces, joints, loops and clearances (data/kinds/, one
 * file each).
 */
final readonly class Kind
{
    /** What is laid out, in the order in which it can be added. */
    private const LISTS = ['parts', 'surfaces', 'joints', 'loops', 'clearances', 'reckonings', 'operations', 'costs'];

    /** @param  array<string, mixed>  $layout */
    private function __construct(
        public string $code,
        public string $name,
        public string $says,
        /** @var list<string> what people call it */
        public array $words,
        /** @var list<string> what to think of with this kind */
        public array $minds,
        /** In what order it is made is worked out from its sizes. */
        public bool $ownOrder,
        /** @var list<array{step?: string, code?: string, types?: list<string>, do?: string, why?: string, rule?: string}> how it is worked where it is not turned from the bar: poured, welded, cast */
        public array $recipe,
        /** What it is made from is a casting. */
        public bool $casting,
        private array $layout,
    ) {
    }

    /** @throws BadInput when there is no such kind */
    public static function named(string $code): self
    {
        return self::orNull($code) ??
            throw new BadInput(
                'unknown-kind',
                'kind',
                "“{$code}” is not a kind of job known here. Choose one from the sheet.",
            );
    }

    /** Null where there is no such kind: a job from elsewhere may be of one that is not known here. */
    public static function orNull(string $code): ?self
    {
        $name = "kinds/{$code}";

        return preg_match('/^[a-z-]+$/', $code) === 1 && is_file(Table::path($name)) ? self::fromTable($name)[1] : null;
    }

    /** @return list<Kind> in the order of the sheet */
    public static function all(): array
    {
        $kinds = array_map(
            static fn (string $file): array => self::fromTable('kinds/'.basename($file, '.json')),
            glob(Table::path('kinds/*')) ?: [],
        );
        usort($kinds, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($kinds, 1);
    }

    /** @return array{int, self} its place in the sheet, and the kind */
    private static function fromTable(string $name): array
    {
        /** @var array{code: string, name: string, place: int, says: string, words: list<string>, minds: list<string>, order?: string, recipe?: list<array{step?: string, code?: string, types?: list<string>, do?: string, why?: string, rule?: string}>, casting?: bool} $layout */
        $layout = Table::read($name);

        return [
            $layout['place'],
            new self(
                code: $layout['code'],
                name: $layout['name'],
                says: $layout['says'],
                words: $layout['words'],
                minds: $layout['minds'],
                ownOrder: isset($layout['order']),
                recipe: $layout['recipe'] ?? [],
                casting: $layout['casting'] ?? false,
                layout: $layout,
            ),
        ];
    }

    /**
     * The facts of a new job of this kind: what nearly every such job has. Its sizes are only a sketch to draw by:
     * nobody takes them for known.
     *
     * @param  callable(): string  $newId  hands in a fresh id for each thing
     * @param  bool  $whole  with everything that is offered beside it
     */
    public function layOut(
        string $id,
        string $machine,
        string $part,
        Unit $unit,
        ShopFacts $shop,
        callable $newId,
        bool $whole = false,
    ): JobFacts {
        $rows = fn (string $list): array => array_values(
            array_filter($this->rows($list), static fn (array $r): bool => $whole || ! isset($r['offer'])),
        );
        $ids = [];
        foreach (['parts', 'surfaces', 'joints'] as $list) {
            foreach ($rows($list) as $row) {
                $ids["{$list}.{$row['key']}"] = $newId();
            }
        }
        $laid = [];
        foreach (self::LISTS as $list) {
            $laid[$list] = array_map(
                static fn (array $r): array => [
                    'id' => $ids["{$list}.".($r['key'] ?? '')] ?? $newId(),
                    ...self::fact($list, $r, $ids, $unit),
                ],
                $rows($list),
            );
        }

        return JobFacts::fromArray([
            'id' => $id,
            'machine' => $machine,
            'part' => $part,
            'kind' => $this->code,
            'unit' => $unit->value,
            'take_in' => ['quantity' => 1],
            'shop' => $shop->jsonSerialize(),
            'hand_over' => ['next_time' => ''],
            ...$laid,
        ]);
    }

    /**
     * What such a job may have beside what it was laid out with, as far as it is not there: each as things to add. Ids
     * that begin with “new:” are to be replaced by fresh ones.
     *
     * @return list<array{name: string, changes: list<array{list: string, thing: string, fact: array<string, mixed>}>}>
     */
    public function offers(JobFacts $facts): array
    {
        $names = array_column([...$facts->parts, ...$facts->surfaces, ...$facts->joints], 'name');
        $others = array_column([...$facts->loops, ...$facts->clearances, ...$facts->reckonings], 'name');
        $offers = [];
        foreach ($this->offered() as $name) {
            $ids = $this->known($facts);
            $changes = [];
            $there = $whole = true;
            foreach (self::LISTS as $list) {
                foreach ($this->rows($list) as $at => $row) {
                    if (($row['offer'] ?? null) !== $name) {
                        continue;
                    }
                    $isNamed = in_array($list, ['parts', 'surfaces', 'joints'], true);
                    $there = $there && in_array($row['name'], $isNamed ? $names : $others, true);
                    $new = 'new:'.$list.'.'.($row['key'] ?? $at);
                    $ids["{$list}.".($row['key'] ?? $at)] ??= $new;
                    $fact = self::fact($list, $row, $ids, $facts->unit);
                    $needs = [$fact['part'] ?? 'any', $fact['inner'] ?? 'any', $fact['outer'] ?? 'any'];
                    $whole = $whole && ! in_array('', $needs, true);
                    $changes[] = ['list' => $list, 'thing' => $new, 'fact' => $fact];
                }
            }
            if (! $there && $whole) {
                $offers[] = ['name' => $name, 'changes' => $changes];
            }
        }

        return $offers;
    }

    /** @return list<string> */
    private function offered(): array
    {
        $names = [];
        foreach (self::LISTS as $list) {
            array_push($names, ...array_column($this->rows($list), 'offer'));
        }

        return array_values(array_unique(array_filter($names, is_string(...))));
    }

    /** @return array<string, string> ids of what was laid out and is still called as it was, by list and key */
    private function known(JobFacts $facts): array
    {
        $ids = [];
        foreach (['parts' => $facts->parts, 'surfaces' => $facts->surfaces] as $list => $things) {
            $byName = array_column($things, 'id', 'name');
            foreach ($this->rows($list) as $row) {
                $name = is_string($row['name'] ?? null) ? $row['name'] : '';
                if (isset($byName[$name]) && is_string($row['key'] ?? null)) {
                    $ids["{$list}.{$row['key']}"] = $byName[$name];
                }
            }
        }

        return $ids;
    }

    /**
     * @param  array<string, mixed>  $row  of the kind's table
     * @param  array<string, string>  $ids  by list and key
     * @return array<string, mixed> the thing as the job file has it, without its id; a reference to what is not there is left empty
     */
    private static function fact(string $list, array $row, array $ids, Unit $unit): array
    {
        $of = static fn (string $list, mixed $key): ?string => is_string($key) ? $ids["{$list}.{$key}"] ?? '' : null;
        $fact = array_diff_key($row, ['key' => 0, 'offer' => 0]);

        return match ($list) {
            'surfaces' => [
                ...self::sketched($fact),
                'part' => $of('parts', $row['part'] ?? null),
                'centred_on' => $of('surfaces', $row['centred_on'] ?? null) ?: null,
            ],
            'joints' => [
                ...$fact,
                'inner' => $of('surfaces', $row['inner'] ?? null),
                'outer' => $of('surfaces', $row['outer'] ?? null),
                'along' => $of('surfaces', $row['along'] ?? null) ?: null,
            ],
            'loops' => [
                'least' => null,
                'most' => null,
                ...$fact,
                'lengths' => array_map(
                    static fn (array $l): array => [
                        'size' => null,
                        'plus' => null,
                        'minus' => null,
                        'spread' => 'uniform',
                        ...$l,
                        'surface' => $of('surfaces', $l['surface'] ?? null) ?: null,
                    ],
                    is_array($row['lengths'] ?? null) ? $row['lengths'] : [],
                ),
            ],
            'reckonings' => [
                'given' => [],
                'unit' => $unit->value,
                'rounds' => [],
                'note' => '',
                ...$fact,
                ...array_map(
                    static fn (string $which): array => self::linked(
                        is_array($row[$which] ?? null) ? $row[$which] : [],
                        $of,
                    ),
                    ['from' => 'from', 'gives' => 'gives'],
                ),
            ],
            default => $fact,
        };
    }

    /**
     * @param  array<array-key, mixed>  $links  a surface's key, with /x or /y for its place, or a part's, by field
     * @param  \Closure(string, mixed): ?string  $of
     * @return array<string, string> without those of which nothing is there
     */
    private static function linked(array $links, \Closure $of): array
    {
        $linked = [];
        foreach ($links as $field => $key) {
            $key = is_string($key) ? $key : '';
            $plain = ReckoningFacts::surfaceOf($key);
            $id = $of($field === ReckoningFacts::OUTLINE ? 'parts' : 'surfaces', $plain) ?? '';
            if ($id !== '') {
                $linked[(string) $field] = $id.substr($key, strlen($plain));
            }
        }

        return $linked;
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed> its sizes as a sketch only
     */
    private static function sketched(array $row): array
    {
        $fields = ['size', 'size2', 'at', 'long', 'x', 'y', 'pitch', 'count'];
        $sketch = array_map(static fn (string $field): mixed => $row[$field] ?? null, array_combine($fields, $fields));

        return [...array_diff_key($row, $sketch), 'sketch' => $sketch];
    }

    /** @return list<array<string, mixed>> */
    private function rows(string $list): array
    {
        /** @var list<array<string, mixed>> $rows */
        $rows = $this->layout[$list] ?? [];

        return $rows;
    }
}

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
        /** @var array{code: string, name: string, place: int, says: string, words: list<string>, minds: list<string>, order?: string, casting?: bool} $layout */
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
                casting: $layout['casting'] ?? false,
                layout: $layout,
            ),
        ];
    }

    /**
     * The facts of a new job of this kind. Its sizes are only a sketch to draw by: nobody
     * takes them for known.
     *
     * @param  callable(): string  $newId  hands in a fresh id for each thing
     */
    public function layOut(
        string $id,
        string $machine,
        string $part,
        Unit $unit,
        ShopFacts $shop,
        callable $newId,
    ): JobFacts {
        $ids = [];
        foreach (['parts', 'surfaces', 'joints'] as $list) {
            foreach ($this->rows($list) as $row) {
                $ids["{$list}.{$row['key']}"] = $newId();
            }
        }
        $surface = static fn (?string $key): ?string => $key === null ? null : $ids["surfaces.{$key}"];

        return JobFacts::fromArray([
            'id' => $id,
            'machine' => $machine,
            'part' => $part,
            'kind' => $this->code,
            'unit' => $unit->value,
            'take_in' => ['quantity' => 1],
            'shop' => $shop->jsonSerialize(),
            'hand_over' => ['next_time' => ''],
            'parts' => array_map(
                static fn (array $r): array => ['id' => $ids["parts.{$r['key']}"], ...$r],
                $this->rows('parts'),
            ),
            'surfaces' => array_map(
                static fn (array $r): array => [
                    ...self::sketched($r),
                    'id' => $ids["surfaces.{$r['key']}"],
                    'part' => $ids["parts.{$r['part']}"],
                ],
                $this->rows('surfaces'),
            ),
            'joints' => array_map(
                static fn (array $r): array => [
                    ...$r,
                    'id' => $ids["joints.{$r['key']}"],
                    'inner' => $surface($r['inner']),
                    'outer' => $surface($r['outer']),
                    'along' => $surface($r['along']),
                ],
                $this->rows('joints'),
            ),
            'loops' => array_map(
                static fn (array $r): array => [
                    'least' => null,
                    'most' => null,
                    ...$r,
                    'id' => $newId(),
                    'lengths' => array_map(
                        static fn (array $l): array => [
                            'size' => null,
                            'plus' => null,
                            'minus' => null,
                            'spread' => 'uniform',
                            ...$l,
                            'surface' => $surface($l['surface'] ?? null),
                        ],
                        is_array($r['lengths'] ?? null) ? $r['lengths'] : [],
                    ),
                ],
                $this->rows('loops'),
            ),
            'clearances' => array_map(
                static fn (array $r): array => [...$r, 'id' => $newId()],
                $this->rows('clearances'),
            ),
            'operations' => array_map(
                static fn (array $r): array => [...$r, 'id' => $newId()],
                $this->rows('operations'),
            ),
            'costs' => array_map(static fn (array $r): array => [...$r, 'id' => $newId()], $this->rows('costs')),
        ]);
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

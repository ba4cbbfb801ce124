<?php

declare(strict_types=1);

namespace App\Wire;

/**
 * What is sent of a job, cut into pieces: the things of a list each by themselves, everything else by its name. Each is written as
 * JSON once, and told apart from an older one by a mark.
 */
final readonly class Pieces
{
    private const JSON = JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES;

    /**
     * @param  array<string, string>  $whole  JSON by name
     * @param  array<string, array<string, string>>  $lists  JSON by the thing's id, in order, by the list's name
     */
    private function __construct(private array $whole, private array $lists)
    {
    }

    /** @param  ?list<string>  $only  the members that are asked for; null for all */
    public static function of(\JsonSerializable $what, ?array $only = null): self
    {
        $whole = $lists = [];
        /** @var array<string, mixed> $parts */
        $parts = $what->jsonSerialize();
        foreach ($only === null ? $parts : array_intersect_key($parts, array_flip($only)) as $name => $part) {
            $things = is_array($part) ? self::things($part) : null;
            if ($things === null) {
                $whole[$name] = json_encode($part, self::JSON);
            } else {
                $lists[$name] = $things;
            }
        }

        return new self($whole, $lists);
    }

    /**
     * @param  array<array-key, mixed>  $part
     * @return ?array<string, string> null where it is not a list of things that have an id each
     */
    private static function things(array $part): ?array
    {
        if ($part === [] || ! array_is_list($part)) {
            return null;
        }
        $things = [];
        foreach ($part as $thing) {
            $plain = $thing instanceof \JsonSerializable ? $thing->jsonSerialize() : $thing;
            $id = is_array($plain) ? ($plain['id'] ?? null) : null;
            if (! is_string($id) || isset($things["#{$id}"])) {
                return null;
            }
            $things["#{$id}"] = json_encode($plain, self::JSON);
        }

        return $things;
    }

    public function json(): string
    {
        $lists = array_map(static fn (array $things): string => '['.implode(',', $things).']', $this->lists);

        return self::object([...$this->whole, ...$lists]);
    }

    /** @return array{whole: array<string, string>, lists: array<string, array<string, string>>} */
    public function marks(): array
    {
        $mark = static fn (string $json): string => hash('xxh3', $json);

        return [
            'whole' => array_map($mark, $this->whole),
            'lists' => array_map(static fn (array $things): array => array_map($mark, $things), $this->lists),
        ];
    }

    /**
     * What is not as it was: names set anew, and of the lists what came, changed and went.
     *
     * @param  array{whole: array<string, string>, lists: array<string, array<string, string>>}  $known
     */
    public function since(array $known): string
    {
        $now = $this->marks();
        $set = array_diff_key($this->whole, array_intersect_assoc($now['whole'], $known['whole']));
        $changes = [];
        foreach ($this->lists as $name => $things) {
            $was = $known['lists'][$name] ?? null;
            $kept = $was === null ? [] : array_intersect_key($now['lists'][$name], $was);
            if ($was === null || array_keys($kept) !== array_keys(array_intersect_key($was, $kept))) {
                $set[$name] = '['.implode(',', $things).']';
            } elseif ($was !== $now['lists'][$name]) {
                $changes[$name] = self::change($things, $now['lists'][$name], $was);
            }
        }

        return '{"set":'.self::object($set).',"lists":'.self::object($changes).'}';
    }

    /**
     * @param  array<string, string>  $things
     * @param  array<string, string>  $marks
     * @param  array<string, string>  $was
     */
    private static function change(array $things, array $marks, array $was): string
    {
        $new = [];
        foreach (array_keys($things) as $at => $id) {
            if (($was[$id] ?? null) !== $marks[$id]) {
                $new[] = "{\"at\":{$at},\"is\":{$things[$id]}}";
            }
        }
        $gone = array_map(
            static fn (int|string $id): string => substr((string) $id, 1),
            array_keys(array_diff_key($was, $things)),
        );

        return '{"changed":['.implode(',', $new).'],"gone":'.json_encode($gone, self::JSON).'}';
    }

    /** @param  array<string, string>  $json */
    private static function object(array $json): string
    {
        $members = array_map(
            static fn (string $name, string $value): string => json_encode($name, self::JSON).':'.$value,
            array_keys($json),
            $json,
        );

        return '{'.implode(',', $members).'}';
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Fields;

/** The fields of the sums in the words of the shop, where their own names would not do. */
final class Words
{
    /** What a sum is called. */
    public static function title(string $sum): string
    {
        return self::file()['titles'][$sum] ?? $sum;
    }

    /** @return list<string> which results are sizes that something may be made to */
    public static function sizes(string $sum): array
    {
        return self::file()['sizes'][$sum] ?? [];
    }

    /**
     * What is typed below the least it can be is refused at its own field, before anything is worked out of it.
     *
     * @throws BadInput naming that field
     */
    public static function check(string $sum, Fields $in): void
    {
        foreach (self::file()['above_zero'][$sum] ?? [] as $field) {
            if ($in->has($field) && $in->number($field) <= 0) {
                throw $in->bad($field, 'must be above zero.');
            }
        }
        foreach (self::file()['not_below_zero'][$sum] ?? [] as $field) {
            if ($in->has($field) && $in->number($field) < 0) {
                throw $in->bad($field, 'must be zero or more.');
            }
        }
    }

    /** @return array<string, string> by field: which machine of the shop knows it, and which of its figures it is */
    public static function shop(string $sum): array
    {
        return self::file()['shop'][$sum] ?? [];
    }

    /** @return array<string, list<string>> by field: the words it may be */
    public static function choices(string $sum): array
    {
        return self::file()['choices'][$sum] ?? [];
    }

    /** @return array<string, string> by field or result */
    public static function of(string $sum): array
    {
        $file = self::file();

        return [...$file['fields'], ...$file['of'][$sum] ?? []];
    }

    /** The sentence of a refusal with the field in the same words as on the screen. */
    public static function sentence(string $sum, BadInput $bad): string
    {
        $words = self::of($sum);

        return (string) preg_replace_callback(
            '/“(?:\w+\.)*(\w+)”/u',
            static fn (array $m): string => isset($words[$m[1]]) ? "“{$words[$m[1]]}”" : $m[0],
            $bad->getMessage(),
        );
    }

    /**
     * @return array{titles: array<string, string>, sizes: array<string, list<string>>, above_zero: array<string, list<string>>, not_below_zero: array<string, list<string>>, shop: array<string, array<string, string>>, choices: array<string, array<string, list<string>>>, fields: array<string, string>, of: array<string, array<string, string>>}
     */
    private static function file(): array
    {
        /** @var array{titles: array<string, string>, sizes: array<string, list<string>>, above_zero: array<string, list<string>>, not_below_zero: array<string, list<string>>, shop: array<string, array<string, string>>, choices: array<string, array<string, list<string>>>, fields: array<string, string>, of: array<string, array<string, string>>} */
        return Table::read('sum-words');
    }
}

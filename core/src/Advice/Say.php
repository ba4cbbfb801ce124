<?php

declare(strict_types=1);

namespace Oldpart\Core\Advice;

/**
 * A text in the three ways the shop can read it: sizes in inches, in millimetres, or both.
 */
final readonly class Say implements \JsonSerializable
{
    public function __construct(public string $in, public string $mm, public string $both)
    {
    }

    public static function plain(string $text): self
    {
        return new self($text, $text, $text);
    }

    /**
     * Puts values into a sentence: `{name}` is replaced in each way of reading.
     *
     * @param  array<string, Say|string|int>  $values
     */
    public static function with(string $template, array $values): self
    {
        $in = $mm = $both = [];
        foreach ($values as $name => $value) {
            $key = '{'.$name.'}';
            $in[$key] = $value instanceof self ? $value->in : (string) $value;
            $mm[$key] = $value instanceof self ? $value->mm : (string) $value;
            $both[$key] = $value instanceof self ? $value->both : (string) $value;
        }

        return new self(strtr($template, $in), strtr($template, $mm), strtr($template, $both));
    }

    /** @param  list<Say>  $parts */
    public static function join(array $parts, string $glue = ' '): self
    {
        return new self(
            implode($glue, array_map(static fn (Say $s): string => $s->in, $parts)),
            implode($glue, array_map(static fn (Say $s): string => $s->mm, $parts)),
            implode($glue, array_map(static fn (Say $s): string => $s->both, $parts)),
        );
    }

    /** @return array{in: string, mm: string, both: string} */
    public function jsonSerialize(): array
    {
        return ['in' => $this->in, 'mm' => $this->mm, 'both' => $this->both];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Language;

use Oldpart\Core\Catalogue\Table;

/**
 * English texts in another language (data/phrases). A text is known as it stands, or by a template with places for what
 * is put in; what is put in is looked up the same way. What is not known stays as it is: a name that somebody typed.
 * The screens have the same in resources/js/speak/book.ts.
 */
final class PhraseBook
{
    /** With fewer letters of its own than this a template fits much that it is not meant for. */
    private const WEAK = 6;

    /** Where a text is taken apart when it is not known as a whole. */
    private const SEAMS = [
        ['/(?<=[.!?…])\s+(?=[A-Z0-9“(])/u', ' '],
        ['/ · /u', ' · '],
        ['/; /u', '; '],
        ['/: /u', ': '],
        ['/, /u', ', '],
    ];

    /** @var array<string, list<array{match: string, names: list<string>, said: string, letters: int}>> */
    private array $byFirstWord = [];

    /** @var list<array{match: string, names: list<string>, said: string, letters: int}> */
    private array $open = [];

    /** @var array<string, string> */
    private array $said = [];

    /** @param  array<string, string>  $exact  by their English */
    private function __construct(private readonly array $exact)
    {
        foreach ($exact as $english => $said) {
            if (preg_match('/\{[\w ]+\}/', $english) === 1) {
                $this->add($english, $said);
            }
        }
        $longest = static fn (array $a, array $b): int => $b['letters'] <=> $a['letters'];
        usort($this->open, $longest);
        foreach ($this->byFirstWord as &$templates) {
            usort($templates, $longest);
        }
    }

    /** @return ?self null for English, which is what the core speaks, and for a language there is no book of */
    public static function of(string $language): ?self
    {
        if ($language !== 'de') {
            return null;
        }
        /** @var array<string, string> $phrases */
        $phrases = Table::read('phrases/de');

        return new self($phrases);
    }

    /** @param  array<string, string>  $phrases  by their English */
    public static function with(array $phrases): self
    {
        return new self($phrases);
    }

    public function say(string $text): string
    {
        if (! isset($this->said[$text])) {
            $said = $this->look($text) ?? $text;
            $this->said[$text] = $said;
            $this->said[$said] ??= $said;
        }

        return $this->said[$text];
    }

    /** Whether a text is known, as a whole or by its parts. */
    public function knows(string $text): bool
    {
        return $this->look($text) !== null;
    }

    private function add(string $english, string $said): void
    {
        /** @var list<string> $parts */
        $parts = preg_split('/\{([\w ]+)\}/', $english, -1, PREG_SPLIT_DELIM_CAPTURE);
        $literal = $names = [];
        foreach ($parts as $i => $part) {
            $i % 2 === 0 ? ($literal[] = $part) : ($names[] = $part);
        }
        $template = [
            'match' => '/^'.implode('(.+?)', array_map(static fn (string $l): string => preg_quote($l, '/'), $literal)).'$/su',
            'names' => $names,
            'said' => $said,
            'letters' => strlen((string) preg_replace('/[^A-Za-z]/', '', implode('', $literal))),
        ];
        if (preg_match('/^(\S+)\s/u', $literal[0], $first) === 1) {
            $this->byFirstWord[$first[1]][] = $template;
        } else {
            $this->open[] = $template;
        }
    }

    private function look(string $text): ?string
    {
        $whole = trim($text);
        if (preg_match('/[A-Za-z]{2,}/', $whole) !== 1) {
            return null;
        }
        $bare = (string) preg_replace('/^[:;,·(]+\s*|\s*[:;,·(]+$/u', '', $whole);
        foreach ($whole === $bare ? [$whole] : [$whole, $bare] as $part) {
            $found = $this->exact[$part]
                ?? $this->otherCase($part, fn (string $other): ?string => $this->exact[$other] ?? null)
                ?? $this->byTemplate($part)
                ?? $this->otherCase($part, $this->byTemplate(...))
                ?? $this->apart($part);
            if ($found !== null) {
                $at = strpos($text, $part);

                return $at === false ? $found : substr_replace($text, $found, $at, strlen($part));
            }
        }

        return null;
    }

    private function byTemplate(string $text): ?string
    {
        $first = preg_match('/^(\S+)\s/u', $text, $m) === 1 ? $m[1] : '';
        // A place holds a part of a sentence rather than two of them.
        foreach ([true, false] as $within) {
            foreach ([$this->byFirstWord[$first] ?? [], $this->open] as $templates) {
                foreach ($templates as $template) {
                    $said = $this->filled($template, $text, $within);
                    if ($said !== null) {
                        return $said;
                    }
                }
            }
        }

        return null;
    }

    /** @param  array{match: string, names: list<string>, said: string, letters: int}  $template */
    private function filled(array $template, string $text, bool $within): ?string
    {
        if (preg_match($template['match'], $text, $taken) !== 1) {
            return null;
        }
        $values = [];
        foreach ($template['names'] as $i => $name) {
            $english = $taken[$i + 1];
            if ($within && preg_match('/[.:;!?](?:\s|$)/u', $english) === 1) {
                return null;
            }
            $said = $this->say($english);
            if (
                $template['letters'] < self::WEAK
                && $said === $english
                && preg_match('/[A-Za-z]{3,}/', (string) preg_replace('/“[^”]*”/u', '', $english)) === 1
            ) {
                return null;
            }
            $values['{'.$name.'}'] = $said;
        }

        return strtr($template['said'], $values);
    }

    /**
     * The same begun with a capital, in a list or after a full stop.
     *
     * @param  callable(string): ?string  $known
     */
    private function otherCase(string $text, callable $known): ?string
    {
        $first = mb_substr($text, 0, 1);
        $small = mb_strtolower($first);
        $other = $known(($first === $small ? mb_strtoupper($first) : $small).mb_substr($text, 1));

        return $other === null || $first === $small
            ? $other
            : mb_strtoupper(mb_substr($other, 0, 1)).mb_substr($other, 1);
    }

    private function apart(string $text): ?string
    {
        foreach (self::SEAMS as [$seam, $glue]) {
            /** @var list<string> $parts */
            $parts = preg_split($seam, $text);
            if (count($parts) > 1) {
                $said = array_map($this->say(...), $parts);
                if ($said !== $parts) {
                    return implode($glue, $said);
                }
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Language;

/** A phrase with places for what is put in: “{0} of {1} sized”. */
final readonly class Template
{
    /** With fewer letters of its own than this, or one word, it fits much that it is not meant for. */
    private const FEW = 9;

    /** With so many it is known by them, whether anything is put in or not. */
    public const MANY = 12;

    /** So long a phrase may hold a list in any place. */
    private const LONG = 30;

    /**
     * @param  list<string>  $names  of its places, in the order of the English
     * @param  list<bool>  $quoted  which of them stand in quotation marks: there are names
     * @param  int  $letters  it brings itself
     */
    private function __construct(
        private string $match,
        /** The longest of what it brings: where that is missing nothing else needs to be looked at. */
        private string $longest,
        public array $names,
        public string $said,
        public array $quoted,
        public int $letters,
        /** What it takes in has to be known as well. */
        public bool $isWeak,
        public ?string $firstWord,
        /** By which the likelier of two is found: its letters, then whatever else it brings. */
        public int $weight,
        /** Its last place stands after a full stop, and holds further sentences. */
        private bool $goesOn,
    ) {
    }

    /** @return ?self null for a phrase without places */
    public static function of(string $english, string $said): ?self
    {
        /** @var list<string> $parts */
        $parts = preg_split('/\{([\w ]+)\}/', $english, -1, PREG_SPLIT_DELIM_CAPTURE);
        if (count($parts) === 1) {
            return null;
        }
        $literal = $names = [];
        foreach ($parts as $i => $part) {
            $i % 2 === 0 ? ($literal[] = $part) : ($names[] = $part);
        }
        $match = preg_quote($literal[0], '/');
        foreach (array_slice($literal, 1) as $i => $part) {
            // A place right behind another begins where something new does.
            $match .= $i > 0 && $literal[$i] === '' ? '((?:(?:[,.](?!\d)|[;(]| [A-Z(]).*)?)' : '(.*?)';
            // The point of a number ends no sentence.
            $match .= preg_quote($part, '/').($part === '.' ? '(?!\d)' : '');
        }

        $letters = strlen((string) preg_replace('/[^A-Za-z]/', '', implode('', $literal)));
        $words = count(preg_grep('/[A-Za-z]/', preg_split('/\s+/', implode(' ', $literal)) ?: []) ?: []);

        return new self(
            match: "/^{$match}$/su",
            longest: array_reduce($literal, self::longer(...), ''),
            names: $names,
            said: $said,
            quoted: array_map(static fn (string $l): bool => str_ends_with($l, '“'), $literal),
            isWeak: $letters < self::FEW || $words < 2,
            letters: $letters,
            weight: 1000 * $letters + mb_strlen(implode('', $literal)),
            goesOn: preg_match('/[.!?]\s?\{[\w ]+\}$/u', $english) === 1,
            firstWord: preg_match('/^(\S+)\s/u', $literal[0], $first) === 1 ? $first[1] : null,
        );
    }

    /** @return ?list<string> what stands in its places in a text; null for another text */
    public function taken(string $text): ?array
    {
        return str_contains($text, $this->longest) && preg_match($this->match, $text, $taken) === 1
            ? array_values(array_slice($taken, 1))
            : null;
    }

    private static function longer(string $a, string $b): string
    {
        return strlen($a) >= strlen($b) ? $a : $b;
    }

    /**
     * Each place holds a part of a sentence; a list has its parts parted, the last place may go on.
     *
     * @param  list<string>  $taken
     */
    public function holdsParts(array $taken): bool
    {
        foreach ($this->goesOn ? array_slice($taken, 0, -1) : $taken as $i => $part) {
            $mayList = $this->names[$i] === 'list' || $this->letters >= self::LONG;
            if (preg_match($mayList ? '/[.:!?](?:\s|$)/u' : '/[.:;!?](?:\s|$)/u', $part) === 1) {
                return false;
            }
        }

        return true;
    }
}

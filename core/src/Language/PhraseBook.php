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
    /** Where a text is taken apart when it is not known as a whole, and whether at the first such place only. */
    private const SEAMS = [
        ['/(?<=[.!?])\s+(?=[A-Z0-9“(])|(?<=…)\s+(?=[A-Z“])/u', ' ', false],
        ['/ · /u', ' · ', false],
        ['/: /u', ': ', true],
        ['/; /u', '; ', false],
        ['/ (?=\()/u', ' ', true],
        ['/, /u', ', ', false],
    ];

    /** Marks and numbers that stand before or after a name. */
    private const BESIDE = '/^(?:[:;,·(+✓✕≈]+\s*|-\s+|\d+\s+(?=[A-Z]))+'
        .'|(?:\s*[:;,·()✓]+|\s[–→]|\s[≈±…]?\s?[\d.,]+(?:\s(?:in|mm))?)+$/u';

    /** What joins a phrase to the one before it. */
    private const JOINT = '/^[;:,·]\s+/u';

    /** A sentence that stands after it. */
    private const TRAIL = '/(?<=[.!?])\s?\{\w+\}$/u';

    /** A sentence that stands before it. */
    private const LED = '/^\{\w+\}\s+(?=[A-ZÄÖÜ])/u';

    /** @var array<string, string> */
    private array $exact = [];

    /** @var array<string, list<Template>> */
    private array $byFirstWord = [];

    /** @var list<Template> those that begin with a place */
    private array $open = [];

    /** @var array<string, list<Template>> both, by the first word of a text */
    private array $sorted = [];

    /** @var array<string, string> */
    private array $said = [];

    /** @param  array<string, string>  $phrases  by their English */
    private function __construct(array $phrases)
    {
        foreach ($phrases as $english => $said) {
            $this->add($english, $said);
            foreach ([self::JOINT, self::LED, self::TRAIL] as $before) {
                if (preg_match($before, $english) === 1 && preg_match($before, $said) === 1) {
                    $this->add((string) preg_replace($before, '', $english), (string) preg_replace($before, '', $said));
                }
            }
        }
        usort($this->open, static fn (Template $a, Template $b): int => $b->weight <=> $a->weight);
    }

    /**
     * @param  string  $language  its code after ISO 639-1
     * @return ?self null for English, which is what the core speaks, and for a language there is no book of
     */
    public static function of(string $language): ?self
    {
        if ($language !== 'de') {
            return null;
        }
        /** @var array<string, string> $phrases */
        $phrases = Table::read('phrases/de');

        return new self($phrases);
    }

    /** @param  array<string, string>  $phrases  by their English; a place of both has the same name: “{0}” */
    public static function with(array $phrases): self
    {
        return new self($phrases);
    }

    /**
     * @param  string  $text  a phrase, a sentence or several of them, in English; each line for itself
     * @return string the same said; what is not known stands as it was, its numbers always do
     */
    public function say(string $text): string
    {
        if (! isset($this->said[$text])) {
            $said = $this->look($text) ?? $text;
            $this->said[$text] = $said;
            $this->said[$said] ??= $said;
        }

        return $this->said[$text];
    }

    /** What somebody typed stays as it is, unless it is a phrase of ours. */
    public function keep(string $typed): void
    {
        if ($this->standing($typed) === null) {
            $this->said[$typed] = $typed;
        }
    }

    private function add(string $english, string $said): void
    {
        $this->exact[$english] ??= $said;
        $template = Template::of($english, $said);
        if ($template === null) {
            return;
        }
        if ($template->firstWord === null) {
            $this->open[] = $template;
        } else {
            $this->byFirstWord[$template->firstWord][] = $template;
        }
    }

    private function look(string $text): ?string
    {
        if (str_contains($text, "\n")) {
            return implode("\n", array_map($this->say(...), explode("\n", $text)));
        }
        $whole = trim($text);
        $bare = self::bare($whole);
        $looks = [
            $this->standing(...),
            $this->within(...),
            $this->named(...),
            $this->sentences(...),
            fn (string $part): ?string => $this->apart($part, true),
            $this->known(...),
            fn (string $part): ?string => $this->apart($part, false),
        ];
        foreach ($looks as $look) {
            foreach ($whole === $bare ? [$whole] : [$whole, $bare] as $part) {
                $found = preg_match('/[A-Za-z]{2,}/', $part) === 1 ? $look($part) : null;
                if ($found !== null) {
                    return substr_replace($text, $found, (int) strpos($text, $part), strlen($part));
                }
            }
        }

        return null;
    }

    private static function bare(string $text): string
    {
        return (string) preg_replace(self::BESIDE, '', $text);
    }

    /** By a template whose places hold a part of a sentence rather than two of them. */
    private function within(string $text): ?string
    {
        return $this->sentence($text, fn (string $one, bool $weak): ?string => $this->byTemplate($one, true, $weak));
    }

    private function known(string $text): ?string
    {
        return $this->sentence($text, fn (string $one, bool $weak): ?string => $this->byTemplate($one, false, $weak));
    }

    /**
     * As it stands, begun otherwise, or a phrase that was made a sentence of.
     *
     * @param  callable(string, bool): ?string  $by  a text, and whether by a weak template
     */
    private function sentence(string $text, callable $by): ?string
    {
        $whole = $this->standing($text);
        foreach ([false, true] as $weak) {
            $other = static fn (string $other): ?string => $by($other, $weak);
            $whole ??= $by($text, $weak) ?? $this->otherCase($text, $other);
        }
        if ($whole !== null || preg_match('/[.!?]\s|[^.]$/u', $text) === 1) {
            return $whole;
        }
        $phrase = $this->sentence(substr($text, 0, -1), $by);

        return $phrase === null ? null : "{$phrase}.";
    }

    private function standing(string $text): ?string
    {
        return $this->exact[$text]
            ?? $this->otherCase($text, fn (string $other): ?string => $this->exact[$other] ?? null);
    }

    private function byTemplate(string $text, bool $within, bool $weak): ?string
    {
        $first = preg_match('/^(\S+)\s/u', $text, $m) === 1 ? $m[1] : '';
        foreach ($this->templates($first) as $template) {
            $said = $template->isWeak === $weak ? $this->filled($template, $text, $within) : null;
            if ($said !== null && $said !== $text) {
                return $said;
            }
        }

        return null;
    }

    /** @return list<Template> those a text may be made of that begins with a word, the longest first */
    private function templates(string $first): array
    {
        if (! isset($this->byFirstWord[$first])) {
            return $this->open;
        }
        if (! isset($this->sorted[$first])) {
            $this->sorted[$first] = [...$this->byFirstWord[$first], ...$this->open];
            usort($this->sorted[$first], static fn (Template $a, Template $b): int => $b->weight <=> $a->weight);
        }

        return $this->sorted[$first];
    }

    private function filled(Template $template, string $text, bool $within): ?string
    {
        $taken = $template->taken($text);
        if ($taken === null || $within && ! $template->holdsParts($taken)) {
            return null;
        }
        $values = [];
        foreach ($taken as $i => $english) {
            if (! $this->fits($template, $i, $english)) {
                return null;
            }
            $values['{'.$template->names[$i].'}'] = $this->say($english);
        }

        return strtr($template->said, $values);
    }

    private function fits(Template $template, int $place, string $english): bool
    {
        if ($english === '') {
            return $template->letters >= Template::MANY;
        }

        return ! $template->isWeak
            || $template->quoted[$place]
            || preg_match('/[A-Za-z]{3,}/', (string) preg_replace('/“[^”]*”|\b(?:thou|min|rev)\b/u', '', $english)) !== 1
            || $this->isListed($english)
            || $this->byTemplate($english, true, false) !== null;
    }

    /** Names alone, each of them known, whatever stands behind one in brackets. */
    private function isListed(string $text): bool
    {
        $names = preg_split('/; /', (string) preg_replace('/ \([^)]*\)/', '', $text)) ?: [];

        return array_filter($names, fn (string $name): bool => $this->standing(self::bare($name)) === null) === [];
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

    /** What is said of something that is named first. */
    private function named(string $text): ?string
    {
        $parts = explode(': ', $text, 2);
        $name = $this->standing($parts[0]);
        $rest = $name === null || ! isset($parts[1]) ? null : $this->within($parts[1]);

        return $rest === null ? null : "{$name}: {$rest}";
    }

    private function sentences(string $text): ?string
    {
        return $this->parted($text, self::SEAMS[0], false);
    }

    /** @param  bool  $all  each part has to be known */
    private function apart(string $text, bool $all): ?string
    {
        foreach (self::SEAMS as $seam) {
            $said = $this->parted($text, $seam, $all);
            if ($said !== null) {
                return $said;
            }
        }

        return null;
    }

    /**
     * @param  array{string, string, bool}  $seam
     * @param  bool  $all  each part has to be known
     */
    private function parted(string $text, array $seam, bool $all): ?string
    {
        /** @var list<string> $parts */
        $parts = preg_split($seam[0], $text, $seam[2] ? 2 : -1);
        $parts = $this->names($parts, $seam[1]);
        if (count($parts) < 2) {
            return null;
        }
        $said = array_map($this->say(...), $parts);
        $unsaid = preg_grep('/[A-Za-z]{3,}/', array_intersect_assoc($parts, $said));

        return $said === $parts || $all && $unsaid !== [] ? null : implode($seam[1], $said);
    }

    /**
     * A name that has the seam in it is one part.
     *
     * @param  list<string>  $parts
     * @return list<string>
     */
    private function names(array $parts, string $glue): array
    {
        $named = [];
        foreach ($parts as $part) {
            $last = array_key_last($named);
            $both = $last === null ? '' : $named[$last].$glue.$part;
            if ($last !== null && $this->standing(self::bare($both)) !== null) {
                $named[$last] = $both;
            } else {
                $named[] = $part;
            }
        }

        return $named;
    }
}

<?php

declare(strict_types=1);

namespace App\Sheet;

use DOMAttr;
use DOMDocument;
use DOMElement;
use DOMNameSpaceNode;
use DOMNode;
use DOMText;
use DOMXPath;
use Illuminate\Http\Request;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Language\Numerals;
use Oldpart\Core\Language\PhraseBook;

/** What is printed, in the language and with the numbers that are set on the device that asks for it. */
final class Speech
{
    /** A cookie of that device: the language, and which sign stands before the decimals. */
    public const COOKIE = 'speech';

    private const DRAWING = 'data:image/svg+xml;base64,';

    private readonly ?PhraseBook $book;

    private readonly string $language;

    private readonly bool $comma;

    public function __construct(Request $request)
    {
        $set = $request->cookies->get(self::COOKIE);
        [$language, $numbers] = [...explode('.', is_string($set) ? $set : 'en.point'), 'point'];
        $this->book = PhraseBook::of($language);
        $this->language = $this->book === null ? 'en' : $language;
        $this->comma = $numbers === 'comma';
    }

    public function text(string $text): string
    {
        $said = $this->book?->say($text) ?? $text;

        return $this->comma ? Numerals::withComma($said) : $said;
    }

    /** Names and notes that were typed: whatever words they have in them, they stay. */
    public function facts(JobFacts $facts): void
    {
        if ($this->book === null) {
            return;
        }
        $typed = JobFile::toArray($facts);
        array_walk_recursive($typed, function (mixed $value): void {
            if (is_string($value) && preg_match('/ |^[A-Z]/', $value) === 1) {
                $this->book?->keep($value);
            }
        });
    }

    /** A page whose texts, and those of the drawings in it, are said. */
    public function html(string $html): string
    {
        if ($this->book === null && ! $this->comma) {
            return $html;
        }
        $page = new DOMDocument();
        $before = libxml_use_internal_errors(true);
        $page->loadHTML('<?xml encoding="UTF-8">'.$html);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        foreach (iterator_to_array($page->childNodes) as $node) {
            if ($node->nodeType === XML_PI_NODE) {
                $page->removeChild($node);
            }
        }
        $page->documentElement?->setAttribute('lang', $this->language);
        $found = (new DOMXPath($page))->query('//text()[not(parent::style) and not(parent::script)] | //img/@src');
        foreach ($found === false ? [] : $found as $node) {
            $this->node($node);
        }

        return (string) $page->saveHTML();
    }

    private function node(DOMNode|DOMNameSpaceNode $node): void
    {
        if ($node instanceof DOMText && trim($node->data) !== '') {
            $parent = $node->parentNode;
            $paragraphs = $parent instanceof DOMElement && $parent->getAttribute('class') === 'letter';
            $node->data = $this->text(
                $paragraphs ? $node->data : (string) preg_replace('/\s+/u', ' ', $node->data),
            );
        }
        if ($node instanceof DOMAttr && str_starts_with($node->value, self::DRAWING)) {
            $drawing = (string) base64_decode(substr($node->value, strlen(self::DRAWING)), true);
            $node->value = self::DRAWING.base64_encode((string) preg_replace_callback(
                '~(<text[^>]*>)([^<]*)(</text>)~u',
                fn (array $m): string => $m[1].htmlspecialchars(
                    $this->text(htmlspecialchars_decode($m[2], ENT_QUOTES | ENT_XML1)),
                    ENT_QUOTES | ENT_XML1,
                ).$m[3],
                $drawing,
            ));
        }
    }
}

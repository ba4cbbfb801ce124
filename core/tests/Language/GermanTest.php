<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Language;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Language\PhraseBook;
use Oldpart\Core\Sum\Sums;
use Oldpart\Core\Tests\Evaluate\EachKind;
use PHPUnit\Framework\TestCase;

/** Nothing the core says is missing in the book of phrases: no text of its source, of its tables, of its answers. */
final class GermanTest extends TestCase
{
    /** Of the tables: what is no text to be read. */
    private const CODES = ['code', 'iso', 'inch', 'source', 'sources', 'designation', 'family', 'field', 'words', 'search'];

    private const TABLES_OF_NAMES = ['thread-families.json', 'threads.json', 'standard-sizes.json', 'job-file.schema.json', 'bearings.json', 'bearing-seats.json', 'tapers.json'];

    /** Sizes, formulas, standards and names of threads are written alike in every language. */
    private static function isAlike(string $text): bool
    {
        $bare = (string) preg_replace(['/\{[\w ]+\}|%[.\d]*[fs]/', '/“[^”]*”/u', '/\b(?:in|mm|cm|thou|min|max|mating|loose|rev|tons|cos|sin|tan|inv)\b|_\w+/'], '', $text);

        return preg_match('/[=√Σ]/u', $text) === 1 && preg_match('/[A-Za-z]{4,}/', $bare) !== 1
            || preg_match('/[a-z]{3,}/', $bare) !== 1;
    }

    /** @return array<string, string> */
    private static function phrases(): array
    {
        return json_decode((string) file_get_contents(__DIR__.'/../../data/phrases/de.json'), true, flags: JSON_THROW_ON_ERROR);
    }

    public function test_every_text_of_the_source(): void
    {
        $texts = TextsOfTheCore::in(dirname(__DIR__, 2).'/src');
        self::assertGreaterThan(2400, count($texts));
        $missing = array_filter(array_diff_key($texts, self::phrases()), static fn (string $text): bool => ! self::isAlike($text), ARRAY_FILTER_USE_KEY);
        self::assertSame([], $missing, 'say these in data/phrases/de.json');
    }

    public function test_every_text_of_the_tables(): void
    {
        $phrases = self::phrases();
        $data = dirname(__DIR__, 2).'/data';
        $missing = [];
        foreach ([...glob("{$data}/*.json") ?: [], ...glob("{$data}/kinds/*.json") ?: []] as $file) {
            if (in_array(basename($file), self::TABLES_OF_NAMES, true)) {
                continue;
            }
            foreach (self::texts(json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR)) as $text) {
                if (! isset($phrases[trim($text)]) && ! self::isAlike($text)) {
                    $missing[] = basename($file).": {$text}";
                }
            }
        }
        self::assertSame([], array_values(array_unique($missing)));
    }

    /** Of a job of each kind and of each sum: every sentence is known, whatever was put into it. */
    public function test_every_answer(): void
    {
        $book = PhraseBook::of('de');
        self::assertNotNull($book);
        $answers = array_map(static fn ($facts): JobAnswers => JobAnswers::of($facts), EachKind::jobs());
        $sums = array_map(static fn ($sum): array => Sums::run($sum->name(), $sum->example()), Sums::all());
        $missing = [];
        foreach (self::said(json_decode((string) json_encode([$answers, $sums]), true)) as $text) {
            // Names are cut short in small pictures; two words and more are a sentence.
            $bare = (string) preg_replace(['/“[^”]*”/u', '/\b(?:mm|thou|min)\b/'], '', $text);
            self::assertSame(self::numbers($text), self::numbers($book->say($text)), $text);
            if (! str_ends_with($text, '…') && preg_match_all('/\b[a-z]{3,}\b/', $bare) >= 2 && ! self::isAlike($text) && ! self::isSaid($book->say($text), $text)) {
                $missing[$text] = true;
            }
        }
        self::assertSame([], array_keys($missing));
    }

    /** A number that gets lost, or another one, is the worst that can happen to a text. */
    public function test_no_number_is_another(): void
    {
        foreach (self::phrases() as $english => $said) {
            self::assertSame(self::numbers($english), self::numbers($said), $english);
        }
    }

    /** @return list<string> as they are written, whatever stands before their decimals */
    private static function numbers(string $text): array
    {
        preg_match_all('/\d+(?:[.,]\d+)*/', (string) preg_replace('/\{[\w ]+\}/', '', $text), $found);
        $numbers = array_map(static fn (string $number): string => str_replace(',', '.', $number), $found[0]);
        sort($numbers);

        return $numbers;
    }

    /** Another text than before, and none of the small words of English left in it. */
    private static function isSaid(string $said, string $text): bool
    {
        return $said !== $text
            && preg_match('/\b(?:the|and|with|from|of|is|are|it|its|for|by|to)\b/', (string) preg_replace('/“[^”]*”|„[^“]*“/u', '', $said)) !== 1;
    }

    /**
     * @param  array<array-key, mixed>  $table
     * @return iterable<string>
     */
    private static function texts(array $table, string $under = ''): iterable
    {
        foreach ($table as $key => $value) {
            $name = is_string($key) ? $key : $under;
            if (in_array($name, self::CODES, true) && ! is_array($value[0] ?? null)) {
                continue;
            }
            if (is_array($value)) {
                yield from self::texts($value, $name);
            } elseif (is_string($value) && (preg_match('/[A-Za-z]{3,}[,:;.]? [A-Za-z(“]/', $value) === 1 || preg_match('/^[A-Z][a-z]{2,}/', $value) === 1)) {
                yield $value;
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $answer
     * @return iterable<string> what is said in millimetres
     */
    private static function said(array $answer): iterable
    {
        if (isset($answer['in'], $answer['mm'], $answer['both']) && is_string($answer['mm'])) {
            yield $answer['mm'];

            return;
        }
        foreach ($answer as $value) {
            if (is_array($value)) {
                yield from self::said($value);
            }
        }
    }
}

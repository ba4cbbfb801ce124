<?php

declare(strict_types=1);

namespace Tests\Feature;

use Database\Seeders\DemoShop;
use Oldpart\Core\Language\Numerals;
use Oldpart\Core\Language\PhraseBook;
use Oldpart\Core\Sum\Sum;
use Oldpart\Core\Sum\Sums;
use Symfony\Component\Process\Process;

/** What is printed is in the language, and with the numbers, of the device that asks for it. */
final class SpeechTest extends FeatureTestCase
{
    /** Small words that German has not. */
    private const ENGLISH = '/\b(?:the|and|with|from|of|is|are|its|by|to|which|than|that|read|take|cut|turn|piece|at|on|you|for|clear|tight)\b/';

    protected function setUp(): void
    {
        parent::setUp();
        $this->seed(DemoShop::class);
    }

    public function test_the_sheet_is_said_as_the_device_reads(): void
    {
        $english = $this->printed('/api/jobs/demo-tedder/sheet?unit=mm', null);
        self::assertStringContainsString('Sizes to make, and as made', $english);
        self::assertStringContainsString('39.978', $english);
        $german = $this->printed('/api/jobs/demo-tedder/sheet?unit=mm', 'de.comma');
        self::assertStringContainsString('Zu fertigende Maße, und wie gefertigt', $german);
        self::assertStringContainsString('39,978', $german);
        self::assertStringNotContainsString('39.978', $german);
        // What somebody typed stays as it was typed.
        self::assertStringContainsString('Hay tedder', $german);
        $typed = (string) preg_replace('/The (?:old axle|wheel|felt).*?\.|for Hay tedder|nothing else runs on it\.|[Ss]houlder behind the flange/', '', $german);
        self::assertSame(0, preg_match("~\b(?:and|with|from|which|than|are)\b~", $typed, $m), $m[0] ?? '');
    }

    public function test_cards_and_drawings(): void
    {
        self::assertStringContainsString('Zentrierung', $this->printed('/api/jobs/demo-tedder/card?unit=mm', 'de.comma'));
        // Numbers alone may be set.
        $card = $this->printed('/api/jobs/demo-tedder/card?unit=mm', 'en.comma');
        self::assertStringContainsString('Register', $card);
        self::assertMatchesRegularExpression('/\d,\d{3}/', $card);
    }

    /** Nonsense in the cookie is no fault. */
    public function test_an_unknown_language_is_english(): void
    {
        foreach (['xx.yy', '', '..', str_repeat('a', 5000)] as $cookie) {
            self::assertStringContainsString('Sizes to make, and as made', $this->printed('/api/jobs/demo-tedder/sheet?unit=in', $cookie));
        }
    }

    /** The screens and the paper have each their own reader of the book: every text comes out alike. */
    public function test_the_screens_say_the_same(): void
    {
        $texts = array_keys((array) json_decode((string) file_get_contents(base_path('core/data/phrases/de.json')), true, flags: JSON_THROW_ON_ERROR));
        $answers = array_map(static fn (Sum $sum): array => Sums::run($sum->name(), $sum->example()), Sums::all());
        foreach ($this->api('GET', '/api/jobs', null, 200)['jobs'] as $row) {
            $answers[] = $this->api('GET', "/api/jobs/{$row['id']}", null, 200)['answers'];
        }
        array_push($texts, ...self::texts($answers));
        $texts = array_values(array_unique(array_map(strval(...), $texts)));
        self::assertGreaterThan(9000, count($texts));
        $process = new Process(['node', 'bin/lib/said.mjs'], base_path(), null, json_encode($texts, JSON_THROW_ON_ERROR));
        $process->mustRun();
        $book = PhraseBook::of('de');
        self::assertNotNull($book);
        $said = array_combine($texts, array_map(static fn (string $text): string => Numerals::withComma($book->say($text)), $texts));
        self::assertSame($said, array_combine($texts, (array) json_decode($process->getOutput(), true)));
    }

    /** Whatever a demo job says is said in German, with the numbers it has in English. */
    public function test_answers_of_the_demo_are_whole(): void
    {
        $left = $typed = [];
        $book = PhraseBook::of('de');
        self::assertNotNull($book);
        foreach ($this->api('GET', '/api/jobs', null, 200)['jobs'] as $row) {
            $state = $this->api('GET', "/api/jobs/{$row['id']}", null, 200);
            $typed = array_filter(self::texts($state['facts']), static fn (string $text): bool => preg_match('/ |^[A-Z]/', $text) === 1);
            array_map($book->keep(...), $typed);
            usort($typed, static fn (string $a, string $b): int => strlen($b) <=> strlen($a));
            $names = '/“[^”]*”|„[^“]*“'.implode('', array_map(static fn (string $t): string => '|(?<!\pL)'.preg_quote($t, '/').'(?!\pL)', $typed)).'/ui';
            $lines = array_merge(...array_map(static fn (string $text): array => explode("\n", $text), self::texts($state['answers'])));
            foreach (array_unique($lines) as $line) {
                $said = $book->say($line);
                self::assertSame(self::numbers($line), self::numbers($said), "{$line} → {$said}");
                $bare = (string) preg_replace($names, '', $said);
                if (str_contains($line, ' ') && ! str_ends_with($line, '…') && preg_match(self::ENGLISH, $bare) === 1) {
                    $left[$line] = $said;
                }
            }
        }
        self::assertSame([], $left);
    }

    /** @return list<string> */
    private static function texts(mixed $answers): array
    {
        $texts = [];
        $answers = (array) json_decode((string) json_encode($answers), true);
        array_walk_recursive($answers, static function (mixed $text) use (&$texts): void {
            if (is_string($text)) {
                $texts[] = $text;
            }
        });

        return $texts;
    }

    /** @return list<string> sorted, for another language may say them in another order */
    private static function numbers(string $text): array
    {
        preg_match_all('/\d+(?:[.,]\d+)*/', $text, $found);
        $numbers = str_replace(',', '.', $found[0]);
        sort($numbers);

        return $numbers;
    }

    private function printed(string $url, ?string $speech): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'pdf');
        $answer = $this->call('GET', $url, [], $speech === null ? [] : ['speech' => $speech]);
        $answer->assertOk();
        file_put_contents($file, (string) $answer->getContent());
        exec('pdftotext -layout '.escapeshellarg($file).' - 2>&1', $text);
        unlink($file);

        return (string) preg_replace('/\s+/', ' ', implode("\n", $text));
    }
}

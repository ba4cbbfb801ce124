<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** The whole of it in another language: chosen here, kept, and nothing left in English. */
final class GermanTest extends BrowserTestCase
{
    private const STAGES = ['take-in', 'survey', 'measure', 'size', 'plan', 'make', 'assemble', 'hand-over'];

    /** Chosen in the dialog of the keys; the page is read anew in it, with a comma, and says so. */
    public function test_the_language_is_chosen_and_kept(): void
    {
        $this->visit('/');
        $this->sees('The bench');
        $this->keys('?');
        $this->sees('Language and keys');
        $this->choose('Language', 'Deutsch');
        $this->sees('Die Werkbank', 'Daran kann jetzt gearbeitet werden');
        self::assertSame('de', $this->page->executeScript('return document.documentElement.lang'));
        $this->visit('/job/demo-drill/measure?at=demo-drill-1');
        $this->sees('Gehäusebohrung', 'Zahlenfeld', '1,1251');
        // What is typed is read as ever, with a comma or a point.
        $this->keys('1,1242', WebDriverKeys::ENTER);
        $this->page->executeScript("localStorage.setItem('oldpart-fit-speech', JSON.stringify({language: 'de', numbers: 'point', dates: 'iso'}))");
        $this->visit('/job/demo-drill/measure?at=demo-drill-1');
        $this->sees('1.1251');
        $this->visit('/');
        $this->sees('gewünscht bis');
        self::assertMatchesRegularExpression('/gewünscht bis \d{4}-\d\d-\d\d/', $this->text());
    }

    /** On every screen of a job of the shop and beside it: no sentence that is not said. */
    public function test_nothing_is_left_in_english(): void
    {
        $this->visit('/');
        $this->page->executeScript("localStorage.setItem('oldpart-fit-speech', JSON.stringify({language: 'de', numbers: 'comma'})); localStorage.setItem('oldpart-fit-gaps', '1')");
        $routes = ['/', '/?new=1', '/?shelf=bin', '/?word=datum', '/shop', '/tables', '/sums', '/sums?sum=taper', '/sums?sum=press', '/sums?sum=plate', '/practice', '/practice/demo-practice-warm', '/practice/demo-practice-refused'];
        foreach (['demo-drill', 'demo-blower'] as $job) {
            foreach (self::STAGES as $stage) {
                $routes[] = "/job/{$job}/{$stage}";
            }
        }
        $typed = $this->typed(['demo-drill', 'demo-blower', 'demo-carder']);
        // Typed as it is read, in any language.
        $typed[] = '0.01 to 0.03 mm tight at 40 mm';
        $left = $seen = [];
        $this->visit('/job/demo-carder/take-in');
        foreach ($routes as $route) {
            $this->go($route);
            usleep(300_000);
            $gaps = $this->page->executeScript('return [...(window.gaps ?? [])]');
            foreach (array_diff(is_array($gaps) ? $gaps : [], $seen) as $gap) {
                $seen[] = $gap;
                if (self::isEnglish((string) $gap) && array_filter($typed, static fn (string $name): bool => str_contains((string) $gap, $name)) === []) {
                    $left[] = "{$route}: {$gap}";
                }
            }
        }
        self::assertSame([], $left);
    }

    /** Two words or more of them small ones of English. */
    private static function isEnglish(string $text): bool
    {
        return preg_match_all('/\b(?:the|and|with|from|of|is|are|it|its|for|by|to|not|be|has|which|where|until|than|this|that)\b/', $text) >= 1
            && ! str_ends_with($text, '…')
            && preg_match_all('/\b[a-z]{3,}\b/', $text) >= 2;
    }

    /**
     * @param  list<string>  $jobs
     * @return list<string> what somebody typed into them
     */
    private function typed(array $jobs): array
    {
        $typed = [];
        foreach ($this->api('/api/jobs')['jobs'] as $row) {
            array_push($typed, $row['machine'], $row['part']);
        }
        foreach ($jobs as $job) {
            $facts = $this->api("/api/jobs/{$job}")['facts'];
            array_walk_recursive($facts, static function (mixed $value) use (&$typed): void {
                if (is_string($value) && str_contains($value, ' ')) {
                    $typed[] = $value;
                }
            });
        }

        return array_values(array_filter(array_unique($typed)));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Practice, from a lesson to what was true, without a pointer; and apart from the jobs. */
final class PracticeTest extends BrowserTestCase
{
    /** Tab until the focus stands on what begins with these words. */
    private function tabTo(string $words, int $most = 80): void
    {
        for ($n = 0; $n < $most; $n++) {
            $this->keys(WebDriverKeys::TAB);
            $on = $this->page->executeScript(
                'const e = document.activeElement;'
                .'return e.getAttribute("aria-label") ?? (e.labels?.[0]?.textContent || e.textContent || "");',
            );
            if (is_string($on) && str_starts_with(trim($on), $words)) {
                return;
            }
        }
        self::fail("Tab never came to “{$words}”.");
    }

    public function test_a_lesson_by_keyboard_to_what_was_true(): void
    {
        $this->visit('/practice');
        $this->sees('Lessons, each about one mistake', 'Warm from the cut');
        $this->tabTo('Warm from the cut');
        $this->keys(WebDriverKeys::ENTER);
        $this->sees('PRACTICE', 'Simulated parts: nothing here is real.', 'A pump’s bracket');
        $job = $this->jobId();
        // All readings of the bore.
        $this->keys('3');
        $this->sees('All places, quickly');
        // The focus is in the table's first cell; G brings it to the gauge, from where it is a few steps.
        $this->waitFor(fn (): bool => $this->page->executeScript('return document.activeElement.dataset.untouched === "yes"') === true, 'no cell is waiting');
        $this->keys('g');
        self::assertTrue($this->page->executeScript('return document.activeElement.closest("[data-tool=read]") !== null'), 'G did not lead to the gauge');
        $this->tabTo('All places, quickly', 15);
        self::assertSame('3px', $this->page->executeScript('return getComputedStyle(document.activeElement).outlineWidth'), 'one does not see where the focus is');
        $this->keys(WebDriverKeys::ENTER);
        $this->waitFor(fn (): bool => count($this->api("/api/jobs/{$job}")['facts']['readings']) === 12, 'not all were read', 30);
        $this->stored();
        // One by eye: what is typed is what counts.
        $this->tabTo('Hold it there');
        $this->keys(WebDriverKeys::ENTER);
        $this->find("//*[@role='img' or local-name()='svg'][.//*[contains(., 'mm')]]", 'the gauge');
        $this->waitFor(
            fn (): bool => $this->page->executeScript('return document.activeElement.labels?.[0]?.textContent ?? ""') === 'It reads, mm',
            'the focus is not where it is read into',
        );
        $this->keys('2', '8', '.', '0', '4', WebDriverKeys::ENTER);
        $this->waitFor(fn (): bool => count($this->api("/api/jobs/{$job}")['facts']['readings']) === 13, 'the one by eye was not written down');
        // A cut, into the log.
        $this->go("/job/{$job}/make");
        $this->sees('Lathe', 'Dial, on diameter, mm');
        $this->tabTo('Read it for me');
        $this->keys(' ');
        $this->log('', 1, $job);
        $this->log('0.5', 2, $job);
        // Pressed much too large.
        $this->go("/job/{$job}/assemble");
        $this->tabTo('Put it together');
        $this->keys(WebDriverKeys::ENTER);
        $this->sees('It does not go in.');
        $this->go("/job/{$job}/hand-over");
        $this->tabTo('Hand over, and see what is true');
        $this->keys(WebDriverKeys::ENTER);
        $this->sees('What saves it', 'It went wrong first', 'Bush in housing', 'What was read', 'True there');
        self::assertStringEndsWith("/practice/{$job}", parse_url($this->page->getCurrentURL(), PHP_URL_PATH) ?: '');
        // Kept, and not among the jobs.
        $this->go('/practice');
        $this->sees('What was practised', 'went wrong');
        $this->go('/');
        $this->sees('The bench');
        self::assertStringNotContainsString('Warm from the cut', $this->text());
    }

    private function log(string $dial, int $lines, string $job): void
    {
        if ($dial !== '') {
            $this->tabTo('Dial, on diameter');
            $this->keys(...[...str_split($dial), WebDriverKeys::ENTER]);
            $this->sees('Measure it below');
        }
        $this->tabTo('Hold it there');
        $this->keys(WebDriverKeys::ENTER);
        $this->waitFor(
            fn (): bool => $this->page->executeScript('return document.activeElement.value ?? ""') !== '',
            'nothing was read',
        );
        $this->keys(WebDriverKeys::ENTER);
        $this->waitFor(fn (): bool => count($this->api("/api/jobs/{$job}")['facts']['cuts']) === $lines, 'it is not in the log');
    }

    public function test_an_exercise_is_answered_and_the_next_one_comes(): void
    {
        $this->visit('/practice');
        $this->press('Fractions');
        $this->sees('as a decimal');
        $this->fill('Answer, in', '9');
        $this->keys(WebDriverKeys::ENTER);
        $this->sees('You took');
        $this->keys(WebDriverKeys::ENTER);
        $this->waitFor(fn (): bool => ! str_contains($this->text(), 'You took'), 'the next one did not come');
        $this->press('Micrometer, inch');
        $this->find("//*[contains(., 'What does it say?')]", 'the question');
    }
}

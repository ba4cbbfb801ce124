<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverKeys;

/** Cases 14, 16 and 17 of an outside audit: entries that vanished, keys that fired where somebody typed. */
final class LostNothingTest extends BrowserTestCase
{
    /** @return array<string, mixed> */
    private function facts(string $job): array
    {
        return $this->api("/api/jobs/{$job}")['facts'];
    }

    /** @param  array<string, mixed>  $fact */
    private function elsewhere(string $job, array $fact): void
    {
        $version = $this->api("/api/jobs/{$job}")['version'];
        $context = stream_context_create([
            'http' => [
                'method' => 'PATCH',
                'header' => 'Content-Type: application/json',
                'ignore_errors' => true,
                'content' => (string) json_encode([
                    'version' => $version,
                    'request' => bin2hex(random_bytes(6)),
                    'fact' => $fact,
                ]),
            ],
        ]);
        $answer = (string) file_get_contents("{$this->rig->url}/api/jobs/{$job}", false, $context);
        self::assertStringContainsString('"version"', substr($answer, 0, 40), substr($answer, 0, 300));
    }

    public function test_14_a_number_that_can_be_read_two_ways_is_asked_about(): void
    {
        $this->visit('/shop');
        $this->fill('An hour’s work', '1,200');
        $this->sees('is it 1200, or 1.2?');
        $this->keys(WebDriverKeys::TAB);
        usleep(800_000);
        self::assertEqualsWithDelta(38, $this->api('/api/shop')['rate_per_h'], 1e-6, 'nothing was stored');
        $this->fill('An hour’s work', '12000,5');
        $this->sees('read as 12000.5');
        $this->keys(WebDriverKeys::TAB);
        $this->waitFor(fn (): bool => abs($this->api('/api/shop')['rate_per_h'] - 12000.5) < 1e-9, 'it was not stored');
    }

    /** Who closes the page in the middle of a word loses nothing of it; until it is stored the mark does not say so. */
    public function test_a_page_that_is_closed_at_once(): void
    {
        $this->visit('/job/demo-blower/take-in');
        $this->sees('Saved');
        $this->fill('What failed', 'the key sheared, the bore is worn');
        self::assertSame('Saving', $this->find("//*[@role='status'][starts-with(., 'Sav')]", 'mark')->getText());
        $this->page->navigate()->refresh();
        $this->waitFor(fn (): bool => $this->facts('demo-blower')['take_in']['failed'] === 'the key sheared, the bore is worn', 'it was lost');
    }

    public function test_16_letters_in_an_open_list_do_nothing_else(): void
    {
        $this->visit('/job/demo-blower/survey?at=demo-blower-4');
        $this->sees('is made of');
        $this->find(
            "//*[@id and normalize-space(.)='Disc to carry is made of']/following-sibling::*//*[@role='combobox']",
            'list of metals',
        )->click();
        $this->find("//ul[@role='listbox']", 'open list');
        $before = $this->page->getCurrentURL();
        foreach (['m', 'e', 'u', 'n', 'z', 'w', '3'] as $letter) {
            $this->keys($letter);
        }
        usleep(300_000);
        self::assertSame($before, $this->page->getCurrentURL());
        self::assertSame(
            'true',
            $this->find("//button[normalize-space(.)='in']", 'inch')->getAttribute('aria-pressed'),
            'still in inches',
        );
        self::assertSame(
            'light',
            (string) $this->page->executeScript('return localStorage.getItem("mui-mode") ?? "light"'),
        );
        $this->keys(WebDriverKeys::ESCAPE);
    }

    public function test_16_single_keys_can_be_switched_off(): void
    {
        $this->visit('/job/demo-carder/size');
        $this->sees('Bush in housing');
        $this->press('All keys');
        $this->tick('Single keys do something');
        $this->keys(WebDriverKeys::ESCAPE);
        usleep(400_000);
        $this->keys('2');
        usleep(300_000);
        self::assertStringContainsString('/size', $this->page->getCurrentURL());
        $this->press('All keys');
        $this->tick('Single keys do something');
        $this->keys(WebDriverKeys::ESCAPE);
        usleep(400_000);
        $this->keys('2');
        $this->waitFor(fn (): bool => str_contains($this->page->getCurrentURL(), '/survey'), 'the key did nothing');
    }

    public function test_16_what_was_taken_away_comes_back_by_its_bar_and_goes_again(): void
    {
        $this->visit('/job/demo-blower/take-in?view=quote');
        $before = count($this->facts('demo-blower')['operations']);
        $this->find("//button[starts-with(@aria-label, 'Remove ')]", 'a way to take it away')->click();
        $this->sees('taken away');
        $this->waitFor(
            fn (): bool => count($this->facts('demo-blower')['operations']) +
                count($this->facts('demo-blower')['costs']) >
                0,
            'read',
        );
        $this->press('Bring it back');
        $this->waitFor(
            fn (): bool => count($this->facts('demo-blower')['operations']) === $before,
            'it did not come back',
        );
        $this->press('Redo');
        $this->waitFor(
            fn (): bool => count($this->facts('demo-blower')['operations']) === $before - 1,
            'it did not go again',
        );
        $this->press('Undo');
        $this->waitFor(fn (): bool => count($this->facts('demo-blower')['operations']) === $before, 'undo as a button');
    }

    /** @param  array<string, string>  $changed  elsewhere, before this page has its connection back */
    private function typedOfflineWhile(array $changed): void
    {
        $this->visit('/job/demo-clock/take-in');
        $this->sees('Machine');
        $this->rig->pullThePlug();
        $this->fill('Machine', 'Clock, north tower');
        $this->keys(WebDriverKeys::TAB);
        $this->sees('Not saved yet');
        // Away from the page, so that it does not send by itself before the other one does.
        $this->page->get('about:blank');
        $this->rig->serve();
        $this->elsewhere('demo-clock', $changed);
        $this->visit('/job/demo-clock/take-in');
    }

    /** Typed without a connection, changed elsewhere meanwhile: neither is lost, and the person chooses. */
    public function test_17_what_was_typed_offline_never_goes_on_top_of_something_newer(): void
    {
        $this->typedOfflineWhile(['machine' => 'Clock, south tower']);
        $this->sees('Not stored', 'mine', 'theirs', 'Clock, north tower', 'Clock, south tower');
        self::assertSame('Clock, south tower', $this->facts('demo-clock')['machine'], 'the newer one stands');
        $this->press('Keep mine');
        $this->waitFor(
            fn (): bool => $this->facts('demo-clock')['machine'] === 'Clock, north tower',
            'mine was not kept',
        );
    }

    /** Where somebody else touched something else, what was typed simply goes on top. */
    public function test_17_what_was_typed_offline_is_stored_where_nothing_newer_stands(): void
    {
        $this->typedOfflineWhile(['part' => 'Hammer lever']);
        $this->waitFor(
            fn (): bool => $this->facts('demo-clock')['machine'] === 'Clock, north tower'
                && $this->facts('demo-clock')['part'] === 'Hammer lever',
            'both are not there',
        );
    }

    /**
     * Kept entries, each under a key of its own: one that is refused after a reload is listed, one that was kept by
     * another window is sent too.
     */
    public function test_17_a_refusal_after_a_reload_is_listed_and_holds_nothing_up(): void
    {
        $this->visit('/');
        $this->sees('The bench');
        $keep = 'localStorage.setItem("oldpart-fit-unsaved:" + arguments[0].request, JSON.stringify(arguments[0]))';
        $change = static fn (string $request, array $fact): array => [
            'request' => $request,
            'job' => 'demo-clock',
            'list' => null,
            'thing' => '',
            'fact' => $fact,
            'was' => null,
            'at' => '2026-11-28T10:00:0'.substr($request, -1).'.000Z',
        ];
        $this->page->executeScript($keep, [$change('w-1', ['take_in' => ['wanted_by' => 'soon']])]);
        $this->page->executeScript($keep, [$change('w-2', ['part' => 'Hammer lever'])]);
        $this->visit('/job/demo-clock/take-in');
        $this->waitFor(
            fn (): bool => $this->facts('demo-clock')['part'] === 'Hammer lever',
            'the one behind was held up',
        );
        $this->sees('1 not stored');
        $this->page->navigate()->refresh();
        $this->sees('1 not stored', 'What failed');
        usleep(500_000);
        $this->press('1 not stored');
        $this->sees('no day there is', 'soon');
        $this->press('Drop it');
        $this->seesNot('1 not stored');
        self::assertSame(
            [],
            array_values(
                array_filter(
                    (array) $this->page->executeScript('return Object.keys(localStorage)'),
                    static fn (mixed $key): bool => is_string($key) && str_contains($key, ':w-'),
                ),
            ),
        );
    }

    /** Two windows keep what they have not sent: neither erases the other's. */
    public function test_17_windows_do_not_erase_each_other(): void
    {
        $this->visit('/job/demo-clock/take-in');
        $this->sees('Machine');
        $second = $this->rig->browser();
        $second->quit();
        $this->rig->pullThePlug();
        $this->page->executeScript(
            'localStorage.setItem("oldpart-fit-unsaved:other-window", JSON.stringify({request: "other-window", job: "demo-clock", list: null, thing: "", fact: {part: "Hammer lever"}, was: null, at: "2026-11-28T10:00:00.000Z"}))',
        );
        $this->fill('Machine', 'Clock, north tower');
        $this->keys(WebDriverKeys::TAB);
        $this->sees('Not saved yet');
        $kept = (array) $this->page->executeScript(
            'return Object.keys(localStorage).filter((key) => key.startsWith("oldpart-fit-unsaved:"))',
        );
        self::assertContains('oldpart-fit-unsaved:other-window', $kept, 'what the other window keeps is left alone');
        self::assertGreaterThanOrEqual(2, count($kept), 'each under a key of its own');
        $this->rig->serve();
        $this->page->navigate()->refresh();
        $this->waitFor(
            fn (): bool => $this->facts('demo-clock')['machine'] === 'Clock, north tower'
                && $this->facts('demo-clock')['part'] === 'Hammer lever',
            'one was lost',
        );
    }

    /** A choice that is refused is listed, though no field shows it. */
    public function test_17_a_refused_choice_is_not_lost(): void
    {
        (new ChromeDevToolsDriver($this->page))->execute('Page.addScriptToEvaluateOnNewDocument', [
            'source' => 'const fetch = window.fetch; window.fetch = (input, init) => { const request = new Request(input, init); return request.method === "PUT" ? Promise.resolve(new Response(JSON.stringify({error: {code: "kept", field: "", message: "That is kept for the record."}}), {status: 422, headers: {"Content-Type": "application/json"}})) : fetch(request); };',
        ]);
        $this->visit('/job/demo-carder/survey');
        $this->sees('What meets what');
        $this->find("//main//*[@role='combobox'][1]", 'a list')->click();
        $this->find("//li[@role='option'][not(@aria-selected='true')][1]", 'another choice')->click();
        $this->press('1 not stored');
        $this->sees('That is kept for the record.');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** What the people who use it rely on: nothing typed is lost, nothing leaves the machine, the keyboard is enough. */
final class HabitsTest extends BrowserTestCase
{
    private const VIEWS = [
        '/',
        '/?shelf=bin',
        '/shop',
        '/tables',
        '/sums',
        '/practice',
        '/practice/demo-practice-warm',
        '/job/demo-drill/size?at=demo-drill-end-float-of-the-shaft',
        '/job/demo-clock/size?at=demo-clock-lever-end-past-the-frame',
        '/job/demo-grinder/size?at=wrong',
        '/job/demo-grinder/size?at=demo-grinder-dial-off-the-screw-s-axis',
        '/job/demo-drill/take-in',
        '/job/demo-pump/take-in',
        '/job/demo-blower/take-in?view=quote',
        '/job/demo-carder/survey',
        '/job/demo-trolley/make',
        '/job/demo-trolley/plan',
        '/job/demo-cider/survey?at=demo-cider-3',
        '/job/demo-clock/survey?at=demo-clock-3',
        '/job/demo-drill/measure',
        '/job/demo-blower/size',
        '/job/demo-carder/size',
        '/job/demo-carder/plan',
        '/job/demo-carder/make',
        '/job/demo-carder/assemble',
        '/job/demo-carder/hand-over',
    ];

    private function cell(string $label): void
    {
        $this->find(
            '//*[self::input or self::button][starts-with(@aria-label, '.self::quote($label).')]',
            "cell “{$label}”",
        )->click();
        $this->find('//input[@aria-label='.self::quote($label).']', "input “{$label}”");
    }

    private function typeOver(string $text): void
    {
        $this->keys(WebDriverKeys::CONTROL.'a', WebDriverKeys::NULL, $text);
    }

    /** The make card answers while the number is still being typed, and nothing is stored until Enter. */
    public function test_typing_a_reading_moves_the_make_card_before_it_is_stored(): void
    {
        $this->visit('/job/demo-carder/measure');
        $before = $this->card('Bush bore, after pressing');
        $this->press('Shaft journal');
        $this->cell('Shaft journal, near end, 0°');
        $this->typeOver('1.2484');
        $this->waitFor(
            fn (): bool => $this->card('Bush bore, after pressing') !== $before,
            'the make card did not move',
        );
        $typed = array_column(array_column($this->api('/api/jobs/demo-carder')['facts']['readings'], 'value'), 'typed');
        self::assertNotContains('1.2484', $typed);
        $this->keys(WebDriverKeys::ENTER);
        $this->waitFor(
            fn (): bool => in_array(
                '1.2484',
                array_column(array_column($this->api('/api/jobs/demo-carder')['facts']['readings'], 'value'), 'typed'),
                true,
            ),
            'Enter did not store it',
        );
        // The old number stays visible, and undo brings it back.
        $this->cell('Shaft journal, near end, 0°');
        self::assertSame(
            '1.2481',
            $this->find(
                "//*[@role='group'][starts-with(@aria-label, 'Readings at')]//s",
                'struck-through number',
            )->getText(),
        );
        $this->page->executeScript('document.activeElement.blur()');
        $this->keys('z');
        $this->waitFor(
            fn (): bool => ! in_array(
                '1.2484',
                array_column(array_column($this->api('/api/jobs/demo-carder')['facts']['readings'], 'value'), 'typed'),
                true,
            ),
            'Z did not undo it',
        );
    }

    public function test_what_cannot_be_read_says_so_and_stays(): void
    {
        $this->visit('/job/demo-drill/measure');
        $this->cell('Housing bore, mouth, 0°');
        foreach (
            [
                'about an inch' => "can't be read as a size",
                '3/0' => 'divides by zero',
                '1,124.2' => 'both a comma and a point',
                '3 ells' => 'not a unit known here',
            ] as $text => $sentence
        ) {
            $this->typeOver($text);
            $this->sees($sentence);
            $this->keys(WebDriverKeys::ENTER);
            $this->sees($sentence);
            self::assertSame(
                $text,
                $this->find("//input[@aria-label='Housing bore, mouth, 0°']", 'cell')->getAttribute('value'),
            );
        }
        self::assertSame(21, count($this->api('/api/jobs/demo-drill')['facts']['readings']));
        // Gone elsewhere and come back, it is still there to be mended.
        $this->press('Boss outside');
        $this->sees('Boss outside, found');
        $this->press('Housing bore');
        $this->find(
            "//*[starts-with(@aria-label, 'Housing bore, mouth, 0°') and (self::input[@value='3 ells'] or contains(@aria-label, '3 ells'))]",
            'the text that could not be read',
        );
    }

    public function test_readings_go_in_as_fast_as_they_are_typed(): void
    {
        $this->visit('/job/demo-drill/measure');
        $this->choose('Read with', 'Three-point bore gauge');
        $this->cell('Housing bore, mouth, 0°');
        $typed = [];
        $keys = [];
        for ($i = 0; $i < 12; $i++) {
            $typed[] = $text = sprintf('1.12%02d', 40 + $i);
            array_push($keys, $text, WebDriverKeys::ENTER);
        }
        // All in one go, without waiting for anything: the digits and one key each.
        $this->keys(WebDriverKeys::CONTROL.'a', WebDriverKeys::NULL);
        foreach ($keys as $key) {
            $this->keys($key);
        }
        $this->waitFor(
            fn (): bool => array_slice(
                array_column(array_column($this->api('/api/jobs/demo-drill')['facts']['readings'], 'value'), 'typed'),
                0,
                12,
            ) === $typed,
            'not every reading arrived, or not in its place',
        );
        $this->sees('Bush outside');
        $this->waitFor(
            fn (): bool => preg_match('/\d\.\d{4}/', $this->card('Bush outside')) === 1,
            'no size for the outside',
        );
    }

    public function test_a_failed_save_says_so_keeps_the_text_and_tries_again(): void
    {
        $this->visit('/job/demo-drill/take-in');
        $this->sees('What came in');
        $this->stored();
        $this->rig->pullThePlug();
        $this->fill('What it does', 'Turns the feed shaft, slowly, in the wet.');
        $this->sees('Not saved yet');
        self::assertStringContainsString('in the wet', (string) $this->field('What it does')->getAttribute('value'));
        $this->rig->serve();
        $this->waitFor(
            fn (): bool => str_contains((string) json_encode($this->api('/api/jobs/demo-drill')), 'in the wet'),
            'it was not tried again',
            20,
        );
        $this->stored();
    }

    public function test_what_was_not_saved_survives_closing_the_page(): void
    {
        $this->visit('/job/demo-drill/take-in');
        $this->sees('What came in');
        $this->rig->pullThePlug();
        $this->fill('What it does', 'Typed while the power was out.');
        $this->sees('Not saved yet');
        $this->rig->serve();
        $this->visit('/');
        $this->waitFor(
            fn (): bool => str_contains(
                (string) json_encode($this->api('/api/jobs/demo-drill')),
                'Typed while the power was out.',
            ),
            'it was lost',
            20,
        );
    }

    public function test_a_second_tab_shows_it_and_both_may_write(): void
    {
        $this->visit('/job/demo-drill/take-in');
        $this->sees('What came in');
        $first = $this->page->getWindowHandle();
        $this->page->switchTo()->newWindow();
        $this->visit('/job/demo-drill/take-in');
        $this->sees('What came in');
        $this->fill('How many', '5');
        $this->stored();
        $this->page->switchTo()->window($first);
        $this->waitFor(
            fn (): bool => $this->field('How many')->getAttribute('value') === '5',
            'the first tab does not show it',
        );
        $this->fill('What happens if it fails', 'Nothing much.');
        $this->stored();
        $take = $this->api('/api/jobs/demo-drill')['facts']['take_in'];
        self::assertSame([5, 'Nothing much.'], [$take['quantity'], $take['if_it_fails']]);
    }

    public function test_dangerous_work_gets_no_size_until_somebody_accepts_it(): void
    {
        $this->visit('/job/demo-carder/take-in');
        self::assertStringContainsString('1.6266', $this->card('Bush outside'));
        $this->press('One of these …');
        $this->tick('Brakes, steering, suspension');
        $this->sees('licensed practice', 'No size is issued');
        $this->waitFor(fn (): bool => ! str_contains($this->card('Bush outside'), '1.6266'), 'the size is still shown');
        // Nothing is accepted by accident: a name and a tick for each reason, then the button.
        $this->press('Accept responsibility');
        $this->sees('Write who accepts responsibility.');
        $this->fill('Who accepts responsibility', 'the licensed brake engineer');
        $this->press('Accept responsibility');
        $this->sees('Tick each of the reasons.');
        self::assertStringNotContainsString('1.6266', $this->card('Bush outside'));
        $this->tick('I answer for it: brakes');
        $this->press('Accept responsibility');
        $this->waitFor(fn (): bool => str_contains($this->card('Bush outside'), '1.6266'), 'the size did not come back');
        // Ticked quickly, none is lost.
        $this->tapWhileSlow([['Lifting', 100], ['Aircraft', 600], ['Pressure, steam or gas', 3000]]);
        $gates = fn (): array => $this->api('/api/jobs/demo-carder')['facts']['take_in']['gates'];
        $this->waitFor(fn (): bool => count($gates()) === 4, fn (): string => 'a tick was lost: '.json_encode($gates()));
    }

    public function test_keys_are_enough(): void
    {
        $this->visit('/job/demo-carder/take-in');
        $this->sees('What came in');
        $body = $this->page->findElement(WebDriverBy::tagName('body'));
        foreach (['3' => '/measure', '4' => '/size', '8' => '/hand-over', '1' => '/take-in'] as $key => $address) {
            $body->sendKeys((string) $key);
            $this->waitFor(
                fn (): bool => str_contains($this->page->getCurrentURL(), $address),
                "{$key} does not go to {$address}",
            );
            // Measure opens in a cell, where figures are figures: Escape leaves it.
            if ($address === '/measure') {
                $focused = fn (): string => (string) $this->page->executeScript('return document.activeElement.tagName');
                $this->waitFor(fn (): bool => $focused() === 'INPUT', 'no cell is open');
                $this->keys(WebDriverKeys::ESCAPE);
                $this->waitFor(fn (): bool => $focused() === 'BODY', 'Escape does not leave the cell');
            }
        }
        $body->sendKeys('4');
        $this->sees('Bush in housing');
        $body->sendKeys(']');
        $this->sees('turns in oil');
        $body->sendKeys('u');
        $this->waitFor(fn (): bool => str_contains($this->card('Bush outside'), '41.3'), 'U does not change the units');
        $body->sendKeys('n');
        $this->waitFor(
            fn (): bool => $this->page->executeScript(
                'return getComputedStyle(document.querySelector("main").parentElement).backgroundColor',
            ) === 'rgb(20, 23, 28)',
            'N does not turn the lights down',
        );
        $body->sendKeys('?');
        $this->sees('Language and keys', 'night shift');
        $this->keys(WebDriverKeys::ESCAPE);
        $this->seesNot('Language and keys');
        $body->sendKeys('/');
        $this->find("//label[contains(., 'Find a job')]", 'find field');
        $this->keys('journal');
        $this->keys(WebDriverKeys::ENTER);
        $this->waitFor(
            fn (): bool => str_contains($this->page->getCurrentURL(), '/measure?at='),
            'find does not go there',
        );
        // Enter comes before what the shop found: it leads to the job, which will stand first, and not to a sum.
        $this->visit('/');
        $this->sees('Seed drill');
        $this->page->executeScript(<<<'JS'
            const fetched = window.fetch;
            window.fetch = async (request) => {
                const answer = await fetched(request);
                await new Promise((then) => setTimeout(then, request.url.includes('/api/find') ? 400 : 0));
                return answer;
            };
            JS);
        $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('/');
        $this->find("//label[contains(., 'Find a job')]", 'find field');
        $this->keys('drill');
        $this->sees('Tap drill');
        $this->keys(WebDriverKeys::ENTER);
        $this->waitFor(
            fn (): bool => str_contains($this->page->getCurrentURL(), '/job/demo-drill/'),
            'Enter went elsewhere',
        );
        // In a field the keys are letters.
        $this->visit('/job/demo-drill/take-in');
        $this->fill('What it does', 'nuz 4?');
        self::assertStringContainsString('/take-in', $this->page->getCurrentURL());
        $this->stored();
        self::assertSame('nuz 4?', $this->api('/api/jobs/demo-drill')['facts']['take_in']['does']);
    }

    /** Whoever goes on before a page has come up stays where they went: it does not call them back. */
    public function test_going_on_at_once_is_not_taken_back(): void
    {
        foreach ([20, 40, 60, 80] as $milliseconds) {
            $this->visit('/job/demo-carder/take-in');
            $this->sees('What came in');
            usleep(100_000);
            $this->page->executeAsyncScript(
                <<<'JS'
                    const [after, done] = arguments;
                    const press = (key) => document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
                    press('3');
                    setTimeout(() => { press('4'); setTimeout(done, 1000); }, after);
                    JS,
                [$milliseconds],
            );
            $this->sees('Bush in housing');
            self::assertStringEndsWith('/job/demo-carder/size', (string) strtok($this->page->getCurrentURL(), '?'), "after {$milliseconds} ms");
        }
    }

    /** What stands there in words and is not there to be read: cut off by its own box. */
    private const CUT_OFF = <<<'JS'
        return [...document.querySelectorAll('body *')].filter((e) => {
            if (e.clientWidth <= 2 || e.scrollWidth <= e.clientWidth + 1
                || ![...e.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim() !== '')) {
                return false;
            }
            const s = getComputedStyle(e);
            return !e.closest('svg, [aria-hidden=true]') && s.visibility !== 'hidden' && s.clip === 'auto' && s.overflowX !== 'visible';
        }).map((e) => e.textContent.trim().slice(0, 60));
        JS;

    private const SIZES = [[1280, 800], [800, 1280], [390, 844]];

    /** One heading above all others; by day all of WCAG 2.2 AA by axe-core, by night what the light changes; and at every size nothing is cut off. */
    public function test_every_view_fits_every_screen_and_everybody(): void
    {
        $this->visit('/practice/demo-practice-refused');
        foreach (self::VIEWS as $view) {
            $this->go($view);
            $this->sees('Find');
            usleep(100_000);
            self::assertSame(1, $this->page->executeScript('return document.querySelectorAll("h1").length'), "headings of {$view}");
            $this->fits($view, self::SIZES);
            $this->hasNoViolations($view);
        }
    }

    /** With letters twice as large, as some set their browser; and whatever the page asks for, it asks of this machine. */
    public function test_every_view_fits_with_large_letters_and_no_request_leaves_the_machine(): void
    {
        $this->leave();
        $this->page = $this->rig->browser(390, 844, 32);
        $this->visit('/shop');
        $this->sees('The shop');
        // What the browser asked for before it had this page is its own.
        $this->page->manage()->getLog('performance');
        foreach (self::VIEWS as $view) {
            $this->go($view);
            $this->sees('Find');
            usleep(80_000);
            $this->fits($view, array_reverse(self::SIZES));
        }
        $hosts = [];
        foreach ($this->page->manage()->getLog('performance') as $entry) {
            $message = json_decode($entry['message'], true)['message'];
            if ($message['method'] === 'Network.requestWillBeSent') {
                $hosts[parse_url($message['params']['request']['url'], PHP_URL_HOST) ?? 'inside the page'] = true;
            }
        }
        self::assertArrayHasKey('127.0.0.1', $hosts, 'the log was read');
        unset($hosts['127.0.0.1'], $hosts['inside the page'], $hosts['']);
        self::assertSame([], array_keys($hosts));
        self::assertStringContainsString(
            'Atkinson Hyperlegible Next',
            (string) $this->page->executeScript(
                'return [...document.fonts].filter(f => f.status === "loaded").map(f => f.family).join()',
            ),
        );
    }

    /** What opens over a page. */
    public function test_dialogs_are_for_everybody_too(): void
    {
        foreach (['/?word=taper' => 'What words mean', '/job/demo-drill/measure?history=1' => 'What was done', '/job/demo-carder/hand-over?history=1' => 'What was done'] as $view => $text) {
            $this->visit($view);
            $this->sees($text);
            usleep(300_000);
            $this->hasNoViolations($view);
        }
        $this->visit('/job/demo-drill/measure');
        foreach (["//button[.='lobes']" => 'two-point gauges read it', "//button[.='Tables …']" => 'These readings as CSV'] as $button => $text) {
            $this->find($button, $button)->sendKeys(WebDriverKeys::ENTER);
            $this->sees($text);
            usleep(300_000);
            $this->hasNoViolations($button);
            $this->keys(WebDriverKeys::ESCAPE);
            $this->seesNot($text);
        }
        $this->visit('/');
        $this->sees('The bench');
        foreach (['What are you making?' => 'Flanged bush', '/' => 'Jobs', '?' => 'Language and keys'] as $button => $text) {
            strlen($button) === 1
                ? $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys($button)
                : $this->press($button);
            $this->sees($text);
            usleep(300_000);
            $this->hasNoViolations($button);
            $this->keys(WebDriverKeys::ESCAPE);
            usleep(200_000);
        }
    }

    /** @param  list<array{int, int}>  $sizes */
    private function fits(string $view, array $sizes): void
    {
        foreach ($sizes as [$width, $height]) {
            Rig::resize($this->page, $width, $height);
            $this->waitFor(
                fn (): bool => $this->page->executeScript('return innerWidth') === $width,
                "the page is not {$width} wide",
            );
            usleep(80_000);
            self::assertSame(
                0,
                $this->page->executeScript(
                    'const m = document.querySelector("main"); return Math.max(0, document.documentElement.scrollWidth - innerWidth) + Math.max(0, m.scrollWidth - m.clientWidth)',
                ),
                "{$view} is wider than {$width}",
            );
            self::assertSame([], $this->page->executeScript(self::CUT_OFF), "{$view} cuts words off at {$width}");
        }
        Rig::resize($this->page, ...$sizes[0]);
    }

    private function hasNoViolations(string $where): void
    {
        if ($this->page->executeScript('return window.axe === undefined')) {
            $this->page->executeScript((string) file_get_contents(__DIR__.'/../../node_modules/axe-core/axe.min.js'));
        }
        $this->light('light');
        self::assertSame([], $this->axe(['type' => 'tag', 'values' => ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']]), $where);
        $this->light('dark');
        self::assertSame([], $this->axe(['type' => 'rule', 'values' => ['color-contrast', 'link-in-text-block']]), "{$where}, by night");
        $this->light('light');
    }

    /**
     * @param  array{type: string, values: list<string>}  $only
     * @return list<string>
     */
    private function axe(array $only): array
    {
        return $this->page->executeAsyncScript(
            'const done = arguments[1]; axe.run(document, {runOnly: arguments[0], resultTypes: ["violations"]}).then(r => done(r.violations.map(v => v.id + ": " + v.nodes.map(n => n.target.join(" ") + " " + n.failureSummary).slice(0, 3).join("; "))))',
            [$only],
        );
    }

    /** As the button for night does it, in another tab of the same browser. */
    private function light(string $mode): void
    {
        $this->page->executeScript(
            <<<'JS'
                document.getElementById('still') ?? document.head.insertAdjacentHTML('beforeend', '<style id="still">* { transition: none !important }</style>');
                localStorage.setItem('mui-mode', arguments[0]);
                window.dispatchEvent(new StorageEvent('storage', { key: 'mui-mode', newValue: arguments[0] }));
                JS,
            [$mode],
        );
        $this->waitFor(
            fn (): bool => $this->page->executeScript('return document.documentElement.dataset.shift') === $mode,
            "it does not turn {$mode}",
        );
    }
}

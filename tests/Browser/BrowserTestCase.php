<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Exception\NoSuchElementException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Remote\RemoteExecuteMethod;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;

/** A person at the screen: finds things by what they say, never by how they are built. */
abstract class BrowserTestCase extends TestCase
{
    /** The first of those that can be seen, in one question to the browser. */
    private const SHOWN = <<<'JS'
        const found = document.evaluate(arguments[0], document, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE, null);
        for (let i = 0; i < found.snapshotLength; i++) {
            const one = found.snapshotItem(i);
            if (one.checkVisibility({ opacityProperty: true, visibilityProperty: true }) && one.getClientRects().length > 0) {
                return one;
            }
        }
        return null;
        JS;

    private const HELD = [WebDriverKeys::SHIFT, WebDriverKeys::CONTROL, WebDriverKeys::ALT, WebDriverKeys::META];

    protected Rig $rig;

    protected RemoteWebDriver $page;

    protected bool $seeded = true;

    /** @var array<string, string> that the application is told */
    protected array $env = [];

    protected function setUp(): void
    {
        $this->rig = new Rig($this->seeded, $this->env);
        $this->page = $this->rig->browser();
    }

    protected function tearDown(): void
    {
        if (isset($this->page)) {
            $this->leave();
        }
        $this->rig->close();
    }

    /** Done with this browser: another test has it next. */
    protected function leave(): void
    {
        SharedBrowser::giveBack($this->page) || $this->page->quit();
    }

    /** A picture of what was on the screen when it went wrong. */
    private function keepPicture(): void
    {
        @mkdir(__DIR__.'/output', 0775, true);
        $this->page->takeScreenshot(__DIR__.'/output/'.preg_replace('/\W+/', '-', $this->name()).'.png');
    }

    protected function visit(string $path): void
    {
        $this->page->get($this->rig->url.$path);
        // The parts of a page come when they are shown: nobody presses what is not there yet.
        $this->waitFor(
            fn (): bool => $this->page->executeScript('return document.querySelector("main, #docs") !== null && document.querySelector("[aria-busy=true]") === null') === true,
            "{$path} is not shown",
        );
    }

    /** To another screen as a link goes there: the page is not loaded anew. */
    protected function go(string $path): void
    {
        $before = $last = $this->shown();
        $this->page->executeScript('history.pushState(null, "", arguments[0])', [$path]);
        $this->waitFor(function () use ($before, &$last): bool {
            $now = $this->shown();
            $rests = $now === $last;
            $last = $now;

            return $rests && $now !== null && $now !== $before;
        }, "{$path} is not shown");
        // An address that is none would have been led to the bench.
        self::assertSame(strtok($path, '?'), $this->page->executeScript('return location.pathname'));
    }

    /** What the screen says; null while something of it is on its way. */
    private function shown(): ?string
    {
        return $this->page->executeScript('return document.querySelector("[aria-busy=true]") === null ? document.body.innerText : null');
    }

    protected function text(): string
    {
        return (string) $this->page->executeScript('return document.body.innerText');
    }

    protected function sees(string ...$texts): void
    {
        foreach ($texts as $text) {
            $this->waitFor(fn (): bool => str_contains($this->text(), $text), "“{$text}” is not on the screen");
        }
    }

    protected function seesNot(string $text): void
    {
        $this->waitFor(fn (): bool => ! str_contains($this->text(), $text), "“{$text}” is still on the screen");
    }

    /**
     * @param  callable(): bool  $holds
     * @param  string|\Closure(): string  $else
     */
    protected function waitFor(callable $holds, string|\Closure $else, float $seconds = 25): void
    {
        $until = microtime(true) + $seconds;
        do {
            try {
                if ($holds()) {
                    self::assertTrue(true);

                    return;
                }
            } catch (StaleElementReferenceException|NoSuchElementException) {
                // The page is being redrawn: look again.
            }
            usleep(30_000);
        } while (microtime(true) < $until);
        $this->keepPicture();
        $log = implode(
            "\n",
            array_map(static fn (array $entry): string => $entry['message'], $this->page->manage()->getLog('browser')),
        );
        $else = is_string($else) ? $else : $else();
        self::fail($this->page->getCurrentURL().": {$else}\n{$log}\n".substr($this->text(), 0, 3000));
    }

    protected function find(string $xpath, string $what): RemoteWebElement
    {
        $found = null;
        $this->waitFor(function () use ($xpath, &$found): bool {
            $its = $this->page->executeScript(self::SHOWN, [$xpath]);
            if (! is_array($its)) {
                return false;
            }
            $found = new RemoteWebElement(new RemoteExecuteMethod($this->page), (string) reset($its), true);

            return true;
        }, "There is no {$what} on the screen");
        assert($found instanceof RemoteWebElement);

        return $found;
    }

    /**
     * Taps one after the other while the shop takes half a second to answer each change: an answer to one comes while the
     * next waits.
     *
     * @param  list<array{string, int}>  $taps  what stands on it, and the milliseconds until the next
     */
    protected function tapWhileSlow(array $taps): void
    {
        $this->page->executeAsyncScript(
            <<<'JS'
                const [taps, done] = arguments, fetched = window.fetch, wait = (ms) => new Promise((then) => setTimeout(then, ms));
                window.fetch = async (request) => {
                    const answer = await fetched(request);
                    await wait(request.method === 'GET' ? 0 : 500);
                    return answer;
                };
                const tap = (text) => [...document.querySelectorAll('button, label')].find((one) => one.textContent === text).click();
                (async () => {
                    for (const [text, ms] of taps) {
                        tap(text);
                        await wait(ms);
                    }
                    window.fetch = fetched;
                    done();
                })();
                JS,
            [$taps],
        );
    }

    protected function press(string $name): void
    {
        $quoted = self::quote($name);
        $xpath =
            "//*[self::button or self::a or @role='button' or @role='radio' or @role='tab'][normalize-space(.)={$quoted} or @aria-label={$quoted} or starts-with(normalize-space(.), ".
            self::quote($name.' ').
            ") or descendant-or-self::*[text()[normalize-space(.)={$quoted}]]]";
        $this->settled($name, function () use ($xpath, $name): void {
            $element = $this->find($xpath, "button “{$name}”");
            $this->page->executeScript('arguments[0].scrollIntoView({block: "center"})', [$element]);
            $element->click();
        });
    }

    /** Does it again where what it found was drawn anew just then. */
    private function settled(string $name, callable $do): void
    {
        for ($try = 0; $try < 5; $try++) {
            try {
                $do();

                return;
            } catch (StaleElementReferenceException) {
                usleep(50_000);
            }
        }
        self::fail("“{$name}” kept moving away");
    }

    protected function field(string $label): RemoteWebElement
    {
        $field = null;
        $this->settled($label, function () use ($label, &$field): void {
            $its = $this->find('//label[starts-with(normalize-space(.), '.self::quote($label).')]', "field “{$label}”");
            $field = $this->page->findElement(WebDriverBy::id((string) $its->getAttribute('for')));
        });
        assert($field instanceof RemoteWebElement);

        return $field;
    }

    protected function fill(string $label, string $text): void
    {
        $this->settled($label, function () use ($label): void {
            $field = $this->field($label);
            $this->page->executeScript('arguments[0].scrollIntoView({block: "center"})', [$field]);
            $field->click();
            $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        });
        $this->field($label)->sendKeys($text);
    }

    protected function choose(string $label, string $option): void
    {
        $quoted = self::quote($label);
        $this->settled($label, fn () => $this->find(
            "//*[@id and normalize-space(.)={$quoted}]/following-sibling::*//*[@role='combobox']",
            "choice “{$label}”",
        )->click());
        $element = $this->find(
            "//li[@role='option'][starts-with(normalize-space(.), ".self::quote($option).')]',
            "option “{$option}”",
        );
        $element->click();
        $this->waitFor(
            fn (): bool => $this->page->findElements(WebDriverBy::xpath("//ul[@role='listbox']")) === [],
            'the list stayed open',
        );
    }

    protected function tick(string $label): void
    {
        $this->settled($label, fn () => $this->find('//label[contains(., '.self::quote($label).')]', "box “{$label}”")->click());
    }

    /**
     * To whatever has the focus, as a keyboard does: also where that is a button that rests just now.
     * A modifier is held until NULL, or to the end.
     */
    protected function keys(string ...$keys): void
    {
        $held = [];
        $strokes = [];
        foreach (mb_str_split(implode('', $keys)) as $key) {
            if ($key === WebDriverKeys::NULL) {
                array_push($strokes, ...array_map(self::up(...), $held));
                $held = [];
            } elseif (in_array($key, self::HELD, true)) {
                $held[] = $key;
                $strokes[] = self::down($key);
            } else {
                array_push($strokes, self::down($key), self::up($key));
            }
        }
        array_push($strokes, ...array_map(self::up(...), $held));
        $this->page->executeCustomCommand('/session/:sessionId/actions', 'POST', [
            'actions' => [['type' => 'key', 'id' => 'keyboard', 'actions' => $strokes]],
        ]);
    }

    /** @return array{type: string, value: string} */
    private static function down(string $key): array
    {
        return ['type' => 'keyDown', 'value' => $key];
    }

    /** @return array{type: string, value: string} */
    private static function up(string $key): array
    {
        return ['type' => 'keyUp', 'value' => $key];
    }

    /** Waits until everything typed is stored. */
    protected function stored(): void
    {
        usleep(100_000);
        $this->waitFor(
            fn (): bool => $this->find(
                "//*[@role='status'][starts-with(., 'Saved') or starts-with(., 'Not') or starts-with(., 'Saving')]",
                'save mark',
            )->getText() === 'Saved',
            'not stored',
        );
    }

    /** @return array<string, mixed> */
    protected function api(string $path): array
    {
        $body = file_get_contents($this->rig->url.$path);

        return json_decode((string) $body, true, 512, JSON_THROW_ON_ERROR);
    }

    /** The text of one entry of the make card. */
    protected function card(string $label): string
    {
        return $this->find(
            "//aside[@aria-label='Make card']//*[@role='group' and @aria-label=".self::quote($label).']',
            "make card entry “{$label}”",
        )->getText();
    }

    protected static function quote(string $text): string
    {
        return str_contains($text, "'") ? '"'.$text.'"' : "'".$text."'";
    }

    protected function jobId(): string
    {
        preg_match('~/job/([^/]+)/~', $this->page->getCurrentURL(), $m);

        return $m[1] ?? throw new TimeoutException('not inside a job');
    }
}

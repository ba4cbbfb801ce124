<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;

/** Somebody with oily hands, from the bench to a number; and what helps on the way. */
final class FirstHourTest extends BrowserTestCase
{
    private int $strokes = 0;

    /** Types where the cursor is, each character and each key a stroke. */
    private function strike(string ...$keys): void
    {
        foreach ($keys as $key) {
            $this->keys($key);
            $this->strokes += mb_strlen($key);
        }
    }

    private function at(string $label): void
    {
        $this->waitFor(
            fn (): bool => str_starts_with((string) $this->page->executeScript('return document.activeElement.getAttribute("aria-label") ?? document.activeElement.labels?.[0]?.textContent ?? document.activeElement.textContent'), $label),
            "the cursor is not at “{$label}”",
        );
    }

    /** From the bench to the first size that is sure in 90 strokes, to the sheet in 150. */
    public function test_by_keyboard(): void
    {
        $this->visit('/');
        $this->sees('The bench');
        $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('j');
        $this->strokes++;
        $this->at('What are you making?');
        $this->strike('bush', WebDriverKeys::ENTER);
        $this->at('Machine');
        $this->strike('drill', WebDriverKeys::TAB, WebDriverKeys::ENTER);
        $this->at('Is it any of these');
        $this->strike(WebDriverKeys::TAB);
        $this->at('None of these');
        $this->strike(WebDriverKeys::ENTER);
        $this->stored();
        $this->strike('3');
        $places = ['Housing bore, mouth, 0°', 'Housing bore, mouth, 45°', 'Housing bore, mouth, 90°', 'Housing bore, mouth, 135°'];
        foreach (['1.1246', '1.1251', '1.1248', '1.1249'] as $i => $reading) {
            $this->at($places[$i]);
            $this->strike($reading, WebDriverKeys::ENTER);
        }
        $this->stored();
        $this->waitFor(fn (): bool => str_contains($this->card('Bush outside'), 'sure, works in'), 'no size that is sure');
        $this->seesNot('Answer the safety question');
        self::assertLessThanOrEqual(90, $this->strokes, 'strokes to the first make size');

        // In an empty place Enter goes on, to the next surface, and after the last to what comes of them.
        foreach (['Boss outside' => '2.000', 'Housing length' => '2.500', 'Shaft journal' => '0.998'] as $surface => $reading) {
            $this->strike(WebDriverKeys::ENTER);
            $this->at("{$surface}, ");
            $this->strike($reading, WebDriverKeys::ENTER);
            $this->stored();
        }
        $this->strike(WebDriverKeys::ENTER);
        $this->waitFor(fn (): bool => str_contains($this->page->getCurrentURL(), '/size'), 'after the last surface it goes on to Size');
        self::assertCount(1, $this->page->getWindowHandles());
        $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('p');
        $this->strokes++;
        $this->waitFor(fn (): bool => count($this->page->getWindowHandles()) === 2, 'P opens no sheet');
        self::assertLessThanOrEqual(150, $this->strokes, 'strokes to the sheet');
    }

    /** The same by touch, each key of the number pad a tap: 25 to the first size, 60 to the sheet. */
    public function test_by_touch(): void
    {
        $taps = 0;
        $tap = function (string $name) use (&$taps): void {
            $this->press($name);
            $taps++;
        };
        $this->visit('/');
        $tap('What are you making?');
        $this->sees('Flanged bush');
        $this->find("//*[@role='radio'][contains(., 'Plain bush')]", 'the kind')->click();
        $taps++;
        $tap('Start the job');
        $tap('None of these');
        $this->stored();
        $tap('Measure');
        $tap('Number pad');
        foreach (['1.1246', '1.1248'] as $reading) {
            foreach (str_split($reading) as $key) {
                $tap($key === '.' ? 'point' : $key);
            }
            $tap('store and go on');
        }
        $this->stored();
        $this->waitFor(fn (): bool => preg_match('/(sure|likely), works in/', $this->card('Bush outside')) === 1, 'no size to trust');
        self::assertLessThanOrEqual(25, $taps, 'taps to the first make size');
        $tap('Hand over');
        $this->find("//a[contains(@href, '/sheet')]", 'the sheet');
        self::assertLessThanOrEqual(60, $taps + 1, 'taps to the sheet');
    }

    /** What was begun in a cell is given up by Escape; what is stored there stays. */
    public function test_escape_leaves(): void
    {
        $this->visit('/job/demo-drill/measure?at=demo-drill-1');
        $this->sees('Number pad');
        $before = count($this->api('/api/jobs/demo-drill')['facts']['readings']);
        $was = $this->page->executeScript('return document.activeElement.value');
        $this->keys('9', WebDriverKeys::ESCAPE);
        usleep(400_000);
        self::assertSame('BODY', $this->page->executeScript('return document.activeElement.tagName'));
        $facts = $this->api('/api/jobs/demo-drill')['facts']['readings'];
        self::assertCount($before, $facts);
        self::assertNotSame('9', $was);
        self::assertNotContains('9', array_map(static fn (array $r): string => $r['value']['typed'], $facts));
    }

    /** A slider takes arrows, not letters: the keys of the application work where it has the focus. */
    public function test_keys_work_on_a_slider(): void
    {
        $this->visit('/job/demo-carder/size');
        $this->find("//input[@type='range']", 'a slider')->sendKeys('5');
        $this->waitFor(fn (): bool => str_contains($this->page->getCurrentURL(), '/plan'), '5 does not go to the plan');
    }

    /** Find goes to sums, explains words, knows the shop by what people call it, and does things. */
    public function test_find_does_things(): void
    {
        $find = function (string $text, string $option): void {
            $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('/');
            $this->find("//label[contains(., 'Find a job')]", 'find');
            $this->keys($text);
            $this->find("//*[@role='option'][contains(., ".self::quote($option).')]', $option);
            $this->keys(WebDriverKeys::ENTER);
        };
        $this->visit('/');
        $this->sees('The bench');
        $find('settings', 'Shop');
        $this->waitFor(fn (): bool => str_ends_with($this->page->getCurrentURL(), '/shop'), 'not at the shop');
        $find('sine bar', 'ine bar');
        $this->waitFor(fn (): bool => str_contains($this->page->getCurrentURL(), 'sum=sine-bar'), 'not at the sum');
        $find('millimetres', 'In millimetres');
        $this->find("//button[@value='mm'][@aria-pressed='true']", 'millimetres');
        $find('spring pass', 'spring pass');
        $this->sees('What words mean', 'what bent away the first time comes off now');
        $this->keys(WebDriverKeys::ESCAPE);
        $this->seesNot('What words mean');
        $find('new job', 'New job');
        $this->at('What are you making?');
        $this->keys(WebDriverKeys::ESCAPE);
        $this->seesNot('Start the job');
    }

    /** What is added at Size is typed into next; given up, the hand is at the button it came from. */
    public function test_what_is_added_is_typed_into(): void
    {
        $this->visit('/job/demo-drill/size');
        $add = function (string $what): void {
            $this->press('Add …');
            $this->find("//li[@role='menuitem'][normalize-space(.)=".self::quote($what).']', $what)->click();
        };
        $add('Work something out');
        $this->at('Work something out');
        // The first closes the list, the second gives it up.
        $this->keys(WebDriverKeys::ESCAPE);
        $this->keys(WebDriverKeys::ESCAPE);
        $this->at('Add …');
        $add('Work something out');
        $this->at('Work something out');
        $this->keys('sine');
        $this->find("//li[@role='option'][contains(., 'ine bar')]", 'the sine bar')->click();
        $this->at('Worked out');
        $add('Lengths that add up');
        $this->waitFor(fn (): bool => $this->page->executeScript('return document.activeElement.tagName') === 'INPUT', 'nothing can be typed into');
    }

    /** A word of the trade is underlined once a screen; a key opens it, and another leads back to where one was. */
    public function test_words_are_explained_where_they_stand(): void
    {
        $this->visit('/job/demo-drill/measure');
        $word = $this->find("//main//button[.='lobes']", 'an underlined word');
        self::assertCount(1, $this->page->findElements(WebDriverBy::xpath("//button[.='lobes']")), 'once');
        $word->sendKeys(WebDriverKeys::ENTER);
        $this->sees('two-point gauges read it as perfectly round');
        $this->keys(WebDriverKeys::ESCAPE);
        $this->seesNot('two-point gauges read it');
        $this->at('lobes');
    }

    /** At the first job that is begun, a sentence a stage; closed, it is gone for good. A demo job is not guided. */
    public function test_a_first_job_is_guided(): void
    {
        $this->visit('/job/demo-drill/measure');
        $this->sees('Number pad');
        self::assertSame([], $this->page->findElements(WebDriverBy::xpath("//aside[@aria-label='First steps']")));
        $this->visit('/');
        $this->press('What are you making?');
        $this->press('Start the job');
        $this->sees('Answer the safety question; the rest of this page can wait.');
        $job = $this->jobId();
        $this->press('Measure');
        $this->sees('Type what the gauge reads and press Enter');
        $this->press('I know my way');
        $this->seesNot('Type what the gauge reads and press Enter');
        $this->visit("/job/{$job}/size");
        $this->sees('Add …');
        self::assertSame([], $this->page->findElements(WebDriverBy::xpath("//aside[@aria-label='First steps']")));
        $this->visit('/');
        $this->press('What are you making?');
        $this->press('Start the job');
        $this->sees('What came in');
        self::assertSame([], $this->page->findElements(WebDriverBy::xpath("//aside[@aria-label='First steps']")), 'not at the second one either');
    }

    /** Who listens hears which size changed and to what. */
    public function test_what_is_heard(): void
    {
        $this->visit('/job/demo-drill/measure?at=demo-drill-1');
        $this->sees('Number pad');
        $this->keys('1.1262', WebDriverKeys::ENTER);
        $this->stored();
        $this->waitFor(
            fn (): bool => preg_match('/Bush outside: \d\.\d+/', (string) $this->page->executeScript('return document.querySelector("[aria-label=\'Changed sizes\']").textContent')) === 1,
            'the changed size is not said',
        );
    }

    /** Where the system asks for more contrast, nothing is grey; where it has colours of its own, what is chosen is outlined. */
    public function test_more_contrast(): void
    {
        $dev = new ChromeDevToolsDriver($this->page);
        $this->visit('/job/demo-drill/measure');
        $this->sees('Number pad');
        $grey = 'const e = [...document.querySelectorAll("p, span")].find(e => e.textContent === "Bush for the drive end · 2 off"); return getComputedStyle(e).color';
        self::assertNotSame('rgb(28, 35, 48)', $this->page->executeScript($grey));
        $dev->execute('Emulation.setEmulatedMedia', ['features' => [['name' => 'prefers-contrast', 'value' => 'more']]]);
        self::assertSame('rgb(28, 35, 48)', $this->page->executeScript($grey));
        $dev->execute('Emulation.setEmulatedMedia', ['features' => [['name' => 'forced-colors', 'value' => 'active']]]);
        self::assertSame('3px', $this->page->executeScript('return getComputedStyle(document.querySelector(".Mui-selected")).outlineWidth'));
    }

    /** @return iterable<string, array{float, float, string}> */
    public static function papers(): iterable
    {
        yield 'A4, by day' => [8.27, 11.69, 'light'];
        yield 'Letter, by night' => [8.5, 11.0, 'dark'];
    }

    /** What is on a screen prints whole: its title, its numbers, its last line; and nothing that only acts. */
    #[DataProvider('papers')]
    public function test_any_screen_prints_whole(float $wide, float $high, string $mode): void
    {
        $dev = new ChromeDevToolsDriver($this->page);
        $this->visit('/');
        $this->page->executeScript("localStorage.setItem('mui-mode', arguments[0])", [$mode]);
        $views = [
            '/' => ['Culvert Lane Workshop', 'Wool carder'],
            '/job/demo-carder/size' => ['Wool carder', '1.6266', 'Made standard, if the old part can lose it'],
            '/job/demo-carder/plan' => ['Wool carder', 'Part off'],
            '/job/demo-carder/hand-over' => ['Wool carder', '2.0014'],
            '/shop' => ['Culvert Lane Workshop', 'Lathe'],
        ];
        foreach ($views as $view => $texts) {
            $this->visit($view);
            $this->sees(...$texts);
            usleep(400_000);
            $answer = $dev->execute('Page.printToPDF', ['paperWidth' => $wide, 'paperHeight' => $high, 'printBackground' => true]);
            $file = (string) tempnam(sys_get_temp_dir(), 'print');
            file_put_contents($file, base64_decode((string) $answer['data'], true));
            $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -');
            foreach ($texts as $one) {
                self::assertStringContainsString($one, $text, $view);
            }
            self::assertStringNotContainsString('Find /', $text);
            self::assertTrue($this->isOnWhite($file), "{$view} prints on a dark ground");
            unlink($file);
        }
    }

    private function isOnWhite(string $pdf): bool
    {
        exec('pdftoppm -r 20 -f 1 -l 1 -png '.escapeshellarg($pdf).' '.escapeshellarg($pdf).' 2>&1');
        $pages = glob("{$pdf}-*.png") ?: [];
        $page = imagecreatefrompng($pages[0] ?? '');
        self::assertNotFalse($page);
        array_map(unlink(...), $pages);
        $light = 0;
        for ($y = 0; $y < imagesy($page); $y++) {
            for ($x = 0; $x < imagesx($page); $x++) {
                $light += (imagecolorat($page, $x, $y) & 0xFF) > 200 ? 1 : 0;
            }
        }

        return $light > 0.8 * imagesx($page) * imagesy($page);
    }

    /** Asked for ahead of the page and by it, and not again: it will not be there the next moment either. */
    public function test_a_job_that_is_not_there(): void
    {
        $this->visit('/job/no-such/make');
        $this->sees('This is not on the bench');
        self::assertLessThanOrEqual(2, $this->page->executeScript(
            "return performance.getEntriesByType('resource').filter((one) => one.name.endsWith('/api/jobs/no-such')).length",
        ));
        $this->press('To the bench');
        $this->sees('Seed drill');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverKeys;

/** A tablet at a machine where the network does not reach: what was open is read, what is entered arrives later, once. */
final class OfflineTest extends BrowserTestCase
{
    use SignsIn;

    protected array $env = ['SHOP_NETWORK' => '1', 'SESSION_SECURE' => 'false'];

    private function keptHere(): void
    {
        $this->waitFor(
            fn (): bool => $this->page->executeScript(<<<'JS'
                return Promise.all([
                    navigator.serviceWorker.getRegistration().then((one) => one?.active?.state),
                    caches.open('oldpart-fit-page').then((page) => page.match('/')),
                ]).then(([keeper, page]) => {
                    const controls = navigator.serviceWorker.controller !== null;
                    // Beside what a failed test says.
                    window.kept = `keeper ${keeper}, page ${page !== undefined}, controls ${controls}`;
                    return keeper === 'activated' && page !== undefined && controls;
                })
                JS) === true,
            fn (): string => 'the page is not kept on the device: '.$this->page->executeScript('return window.kept'),
            30,
        );
    }

    /** The first try may fail, as where the network breaks off meanwhile: it is tried again, without a word. */
    public function test_a_page_that_could_not_be_kept_at_once_is_kept_later(): void
    {
        (new ChromeDevToolsDriver($this->page))->execute('Page.addScriptToEvaluateOnNewDocument', ['source' => <<<'JS'
            const register = navigator.serviceWorker.register.bind(navigator.serviceWorker);
            window.tries = 0;
            navigator.serviceWorker.register = (...what) => ++window.tries === 1 ? Promise.reject(new TypeError('broken off')) : register(...what);
            JS]);
        $this->ownerIn();
        $this->keptHere();
        self::assertSame(2, $this->page->executeScript('return window.tries'));
    }

    public function test_a_job_is_read_and_worked_on_without_the_shop(): void
    {
        $this->ownerIn();
        $this->keptHere();
        $this->visit('/job/demo-drill/take-in');
        $this->sees('What failed', 'Seed drill');
        $this->visit('/job/demo-drill/measure');
        $this->sees('Read with');
        usleep(1_000_000);
        $changes = (int) $this->inStore("select count(*) from changes where job_id = 'demo-drill'");
        $this->rig->pullThePlug();
        // Entered while nobody answers: said so, shown, kept.
        $this->visit('/job/demo-drill/take-in');
        $this->sees('No connection to the shop', 'as last computed', 'Seed drill');
        $this->fill('What failed', 'written beside the lathe');
        $this->sees('1 entry waits');
        $this->visit('/job/demo-drill/measure');
        $this->find("//table[starts-with(@aria-label, 'Readings of')]//input", 'field for a reading')->sendKeys("25.41 mm\n");
        $this->sees('2 entries wait', 'Waits on this device');
        // The tablet falls asleep and the page is opened anew: it is still there.
        $this->visit('/job/demo-drill/take-in');
        $this->sees('No connection to the shop', '2 entries wait');
        self::assertSame('written beside the lathe', $this->field('What failed')->getAttribute('value'));
        $this->visit('/job/demo-drill/measure');
        $this->sees('25.41 mm');
        $this->visit('/');
        $this->sees('The bench', 'Seed drill');
        self::assertSame($changes, (int) $this->inStore("select count(*) from changes where job_id = 'demo-drill'"));
        // Back in reach: it arrives by itself, in order, once.
        $this->rig->serve();
        $this->waitFor(fn (): bool => (int) $this->inStore("select count(*) from changes where job_id = 'demo-drill'") === $changes + 2, 'it did not arrive', 30);
        $this->seesNot('No connection');
        self::assertSame(1, (int) $this->inStore("select count(*) from readings where job_id = 'demo-drill' and value like '%25.41 mm%'"));
        self::assertSame('written beside the lathe', json_decode((string) $this->inStore("select take_in from jobs where id = 'demo-drill'"), true)['failed']);
        self::assertSame('Bench one', $this->inStore("select by from readings where job_id = 'demo-drill' and value like '%25.41 mm%'"));
        usleep(1_500_000);
        self::assertSame($changes + 2, (int) $this->inStore("select count(*) from changes where job_id = 'demo-drill'"), 'it arrived twice');
    }

    /** At the lathe and at the press: a cut and a tick stand where they were entered, and are said to be in no size yet. */
    public function test_a_cut_and_a_tick_without_the_shop(): void
    {
        $this->ownerIn();
        $this->keptHere();
        $this->visit('/job/demo-trolley/assemble');
        $this->sees('Put it together');
        $this->visit('/job/demo-trolley/make');
        $this->sees('Read with');
        usleep(1_000_000);
        $cuts = (int) $this->inStore("select count(*) from cuts where job_id = 'demo-trolley'");
        $ticks = (int) $this->inStore("select count(*) from ticks where job_id = 'demo-trolley'");
        $this->rig->pullThePlug();
        $this->fill('Size now', '22.345 mm'.WebDriverKeys::ENTER);
        $this->sees('1 entry waits', '22.345 mm', 'waits');
        $this->visit('/job/demo-trolley/assemble');
        $this->sees('Put it together');
        $before = (int) $this->page->executeScript("return document.querySelectorAll('main input[type=checkbox]:checked').length");
        $this->page->executeScript("[...document.querySelectorAll('main input[type=checkbox]')].find((box) => ! box.checked).click()");
        $this->sees('2 entries wait');
        self::assertSame($before + 1, $this->page->executeScript("return document.querySelectorAll('main input[type=checkbox]:checked').length"));
        $this->press('Show them');
        $this->sees('size after a cut: 22.345 mm', 'tick: ');
        $this->rig->serve();
        $this->waitFor(fn (): bool => (int) $this->inStore("select count(*) from ticks where job_id = 'demo-trolley'") === $ticks + 1, 'the tick did not arrive', 30);
        self::assertSame($cuts + 1, (int) $this->inStore("select count(*) from cuts where job_id = 'demo-trolley'"));
        // In the order in which they were entered.
        self::assertSame(['cuts', 'ticks'], array_map(
            static fn (array $row): string => json_decode((string) $row['after'], true)[0]['list'],
            array_reverse((new \PDO("sqlite:{$this->rig->database()}"))->query("select after from changes where job_id = 'demo-trolley' order by id desc limit 2")?->fetchAll() ?: []),
        ));
        $this->seesNot('No connection');
    }

    /** While the tablet was away somebody else typed into the same field: both stand side by side, and nothing is lost. */
    public function test_what_clashes_is_shown_side_by_side(): void
    {
        $this->ownerIn();
        $this->keptHere();
        $this->visit('/job/demo-drill/take-in');
        $this->sees('What failed');
        usleep(1_000_000);
        $this->rig->pullThePlug();
        $this->fill('What failed', 'mine, from the tablet');
        $this->sees('1 entry waits');
        // As another device left it meanwhile.
        $store = new \PDO("sqlite:{$this->rig->database()}");
        $theirs = json_decode((string) $this->inStore("select take_in from jobs where id = 'demo-drill'"), true);
        $theirs['failed'] = 'theirs, from the office';
        $store->prepare("update jobs set take_in = ?, version = version + 1 where id = 'demo-drill'")->execute([(string) json_encode($theirs)]);
        $this->rig->serve();
        $this->waitFor(fn (): bool => str_contains($this->text(), 'theirs, from the office') && str_contains($this->text(), 'mine, from the tablet'), 'the two are not side by side', 30);
        $this->press('Keep mine');
        $this->waitFor(fn (): bool => json_decode((string) $this->inStore("select take_in from jobs where id = 'demo-drill'"), true)['failed'] === 'mine, from the tablet', 'mine was not kept');
    }

    /** Whoever signs out leaves nothing to read for the next hand on the tablet. */
    public function test_after_signing_out_nothing_is_left_to_read(): void
    {
        $this->ownerIn();
        $this->keptHere();
        $this->visit('/job/demo-drill/take-in');
        $this->sees('What failed');
        usleep(1_000_000);
        $this->find("//header//button[starts-with(@aria-label, 'Signed in')]", 'name')->click();
        $this->press('Sign out');
        $this->waitFor(fn (): bool => $this->page->executeScript("return document.querySelector('header') === null") === true, 'still signed in');
        $this->sees('Who is at this device?');
        $this->rig->pullThePlug();
        $this->visit('/job/demo-drill/take-in');
        $this->sees('Who is at this device?');
        $this->seesNot('Seed drill');
        self::assertSame(0, $this->page->executeScript("return caches.open('oldpart-fit-shelf').then((shelf) => shelf.keys()).then((keys) => keys.filter((one) => one.url.includes('/jobs')).length)"));
    }

    /** On the shop's own machine nothing is kept: the shop itself is there. */
    public function test_on_the_shops_own_machine_there_is_no_second_copy(): void
    {
        $this->leave();
        $this->rig->close();
        $this->rig = new Rig(true);
        $this->page = $this->rig->browser();
        $this->visit('/job/demo-drill/take-in');
        $this->sees('What failed');
        usleep(1_500_000);
        self::assertSame([0, 0], $this->page->executeScript('return Promise.all([navigator.serviceWorker.getRegistrations(), caches.keys()]).then(([keepers, shelves]) => [keepers.length, shelves.length])'));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** People at a tablet: a code, a PIN, two taps to somebody else, and nothing lost or under another's name. */
final class PeopleTest extends BrowserTestCase
{
    use SignsIn;

    /** Without TLS here; the cookie's own marks are looked at elsewhere. */
    protected array $env = ['SHOP_NETWORK' => '1', 'SESSION_SECURE' => 'false'];

    private function let(string $name, string $role): void
    {
        $this->page->executeScript(
            "return fetch('/api/people/' + arguments[0], { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ name: arguments[1], role: arguments[2] }) }).then((answer) => answer.status)",
            [strtolower(str_replace(' ', '-', $name)), $name, $role],
        );
    }

    private function chip(): void
    {
        $this->find("//header//button[starts-with(@aria-label, 'Signed in')]", 'name of who is signed in')->click();
        $this->find("//*[@role='dialog']", 'question who it is');
    }

    public function test_from_the_first_code_to_two_people_at_one_tablet(): void
    {
        $this->rig->artisan("shop:people --owner='Bench one'");
        $this->visit('/job/demo-drill/take-in');
        $this->sees('Who is at this device?', 'Bench one');
        $this->seesNot('Seed drill');
        $this->fill('The code you were given', 'AAAAA-AAAAA');
        $this->fill('A PIN or password of your own', self::PIN);
        $this->press('Sign in');
        $this->sees('This code does not hold');
        $this->fill('The code you were given', $this->code('Bench one'));
        $this->fill('A PIN or password of your own', '123456');
        $this->press('Sign in');
        $this->sees('Digits or letters in a row are guessed first');
        $this->fill('A PIN or password of your own', self::PIN);
        $this->press('Sign in');
        // Where one wanted to go.
        $this->sees('Seed drill', 'What failed', 'Bench one');
        // The owner lets somebody in, and hands the code over.
        $this->go('/shop');
        $this->sees('People', 'has a PIN');
        $this->fill('Another name', 'Learner');
        $this->find("//form//*[@role='combobox']", 'part in the shop')->click();
        $this->find("//*[@role='option'][starts-with(., 'Apprentice')]", 'apprentice')->click();
        $this->press('Let in');
        $this->sees('The code for Learner');
        preg_match('/[A-Z2-9]{5}-[A-Z2-9]{5}/', $this->text(), $code);
        self::assertNotEmpty($code);
        // A tap to the other one; of several names, a second one.
        $this->chip();
        $this->fill('The code you were given', $code[0]);
        $this->fill('A PIN or password of your own', '739154');
        $this->keys(WebDriverKeys::ENTER);
        $this->waitFor(fn (): bool => str_contains((string) $this->page->executeScript("return document.querySelector('header')?.innerText ?? ''"), 'Learner'), 'Learner is not signed in');
        $this->sees('The owner lets people in');
        // What an apprentice types is stored under that name.
        $this->go('/job/demo-drill/take-in');
        $this->fill('What failed', 'the shaft runs loose');
        $this->stored();
        self::assertSame('Learner', $this->inStore("select by from changes where job_id = 'demo-drill' order by id desc"));
        // Deleting is not theirs, and the sentence says whose it is.
        $this->visit('/');
        $said = $this->page->executeScript(
            "return fetch('/api/jobs/demo-drill/shelf', { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ shelf: 'bin' }) }).then((answer) => answer.json()).then((answer) => answer.error.message)",
        );
        self::assertStringContainsString('A machinist or the owner can', (string) $said);
        // Back with a thumb on the digits.
        $this->chip();
        foreach (str_split(self::PIN) as $digit) {
            $this->find("//*[@role='group' and @aria-label='Digits']//button[normalize-space(.)='{$digit}']", $digit)->click();
        }
        $this->press('Sign in');
        $this->waitFor(fn (): bool => str_contains((string) $this->page->executeScript("return document.querySelector('header')?.innerText ?? ''"), 'Bench one'), 'the owner is not signed in');
        $this->chip();
        $this->press('Sign out');
        $this->sees('Who is at this device?');
        $this->seesNot('The bench');
    }

    /** The sitting is over in the middle of the work: the PIN is asked for, and what was typed is stored then. */
    public function test_what_was_typed_waits_for_the_pin_and_for_nobody_else(): void
    {
        $this->ownerIn();
        $this->let('Lathe two', 'machinist');
        $this->visit('/job/demo-drill/take-in');
        $this->sees('What failed');
        // As when a shift is over, or the PIN was changed elsewhere.
        $ended = new \PDO("sqlite:{$this->rig->database()}");
        // The field is entered first: the page asks by itself now and then, and would say it before anything is typed.
        $this->field('What failed')->click();
        $this->keys(WebDriverKeys::CONTROL.'a', WebDriverKeys::NULL);
        $ended->exec('update people set sits_from = '.(time() + 2).", misses = 0 where name = 'Bench one'");
        $this->field('What failed')->sendKeys('typed after the shift was over');
        $this->sees('Sign in again', 'Bench one');
        self::assertNotSame('typed after the shift was over', json_decode((string) $this->inStore("select take_in from jobs where id = 'demo-drill'"), true)['failed']);
        // Somebody else signs in first: it is not theirs.
        $this->press('Somebody else');
        $this->press('Lathe two');
        $this->fill('The code you were given', $this->code('Lathe two'));
        $this->fill('A PIN or password of your own', '739154');
        $this->keys(WebDriverKeys::ENTER);
        $this->waitFor(fn (): bool => str_contains((string) $this->page->executeScript("return document.querySelector('header')?.innerText ?? ''"), 'Lathe two'), 'Lathe two is not signed in');
        usleep(1_500_000);
        self::assertNotSame('typed after the shift was over', json_decode((string) $this->inStore("select take_in from jobs where id = 'demo-drill'"), true)['failed'], 'it was stored under another name');
        $this->waitFor(fn (): bool => $this->page->findElements(WebDriverBy::xpath("//*[@role='dialog']")) === [], 'the question stayed open');
        $this->chip();
        $this->fill('PIN or password', '000000');
        $this->keys(WebDriverKeys::ENTER);
        $this->sees('This is not the PIN of this name');
        $this->fill('PIN or password', self::PIN);
        $this->keys(WebDriverKeys::ENTER);
        $this->waitFor(
            fn (): bool => json_decode((string) $this->inStore("select take_in from jobs where id = 'demo-drill'"), true)['failed'] === 'typed after the shift was over',
            'what was typed is lost',
        );
        self::assertSame('Bench one', $this->inStore("select by from changes where job_id = 'demo-drill' order by id desc"));
    }

    /** Who did it stands in the history, on the screen of a stranger. */
    public function test_who_did_it_is_in_the_record(): void
    {
        $this->ownerIn();
        $this->visit('/job/demo-drill/take-in');
        $this->fill('What failed', 'the key sheared');
        $this->stored();
        $this->visit('/job/demo-drill/take-in?history=1');
        $this->sees('What was done', 'Bench one', 'the key sheared');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** Taking jobs in: any kind, by keyboard alone; photographs, stops, quotes, finding by size. */
final class SurveyTest extends BrowserTestCase
{
    /** Types into whatever has the focus, as somebody without a mouse does. */
    private function type(string ...$keys): void
    {
        foreach ($keys as $key) {
            $this->keys($key);
            usleep(60_000);
        }
    }

    /** Tabs on until the focus is on what is wanted. */
    private function tabTo(string $name, int $most = 60): void
    {
        $has = fn (): bool => (bool) $this->page->executeScript(
            'const e = document.activeElement, n = arguments[0]; if (!e) return false; const l = [e.getAttribute("aria-label"), e.textContent, ...[...(e.labels ?? [])].map(x => x.textContent), ...(e.getAttribute("aria-labelledby") ?? "").split(" ").map(i => document.getElementById(i)?.textContent)]; return l.some(t => t && t.trim().startsWith(n));',
            [$name],
        );
        for ($i = 0; $i < $most; $i++) {
            if ($has()) {
                self::assertTrue(true);

                return;
            }
            $this->keys(WebDriverKeys::TAB);
            usleep(40_000);
        }
        self::fail("“{$name}” is not reached with the Tab key");
    }

    private function startByKeyboard(string $search, string $machine, string $part): void
    {
        $this->visit('/');
        $this->sees('The bench', 'Seed drill');
        $this->tabTo('What are you making?');
        $this->type(WebDriverKeys::ENTER);
        $this->find("//label[contains(., 'Type a word')]", 'search field');
        $this->waitFor(
            fn (): bool => $this->page->findElements(WebDriverBy::xpath("//*[@role='radio']")) !== [],
            'no kinds',
        );
        $this->type($search, WebDriverKeys::ENTER, $machine, WebDriverKeys::TAB, $part, WebDriverKeys::ENTER);
        $this->waitFor(fn (): bool => str_contains($this->page->getCurrentURL(), '/take-in'), 'the job was not started');
        // The bench behind, with the job on it already, stands until its page is there.
        $this->sees('What came in', $machine);
    }

    /** A length that no joint asks for: limits of its own at Survey, its number on the card, cut, and in the record. */
    public function test_what_nobody_fits_is_asked_for_itself(): void
    {
        $facts = $this->api('/api/jobs/demo-blower')['facts'];
        $length = array_column($facts['surfaces'], 'id', 'name')['Hub length'];
        $this->visit('/job/demo-blower/make');
        $this->press('The rest of the part (4)');
        $this->sees('No size is said of it yet');
        $this->go("/job/demo-blower/survey?at={$length}");
        $this->choose('What is asked of it for itself', 'its size, with limits of its own');
        $this->fill('Length', '80 mm');
        $this->fill('Over it by, at most', '0.2 mm');
        $this->fill('Under it by, at most', '0.1 mm');
        $this->keys(WebDriverKeys::ENTER);
        $this->stored();
        $this->go("/job/demo-blower/make?at={$length}:only");
        $this->press('mm');
        $this->sees('79.900', '80.200', 'Its own limits: 80.000 mm');
        $this->fill('Size now', '80.05');
        $this->press('Log it');
        $this->stored();
        $this->go('/job/demo-blower/hand-over');
        $this->sees('Hub length', '80.050', 'inside its limits', 'free, not measured');
        $this->sees('Not all of it is made and measured yet');
    }

    public function test_a_flanged_bush_by_keyboard_alone(): void
    {
        $this->startByKeyboard('top hat', 'Ochre mill', 'Top bush');
        self::assertSame('flanged-bush', $this->api("/api/jobs/{$this->jobId()}")['facts']['kind']);
        $this->tabTo('What failed');
        $this->type('Worn through on one side');
        $this->tabTo('None of these');
        $this->type(WebDriverKeys::ENTER);
        $this->sees('none of these');
        $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('2');
        $this->sees('What meets what', 'Measure from', 'Think of');
        $this->tabTo('Housing is made of');
        $this->type(WebDriverKeys::ENTER);
        $this->type('ductile', WebDriverKeys::ENTER);
        $this->stored();
        self::assertSame('ductile iron', $this->api("/api/jobs/{$this->jobId()}")['facts']['parts'][0]['material']);
        $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('3');
        $this->sees('Housing bore', 'the job stands on it');
    }

    public function test_a_hub_with_a_taper_bore_by_keyboard_alone(): void
    {
        $this->startByKeyboard('taper bore', 'Bark shredder', 'Hub');
        $id = $this->jobId();
        self::assertSame('taper-hub', $this->api("/api/jobs/{$id}")['facts']['kind']);
        $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('2');
        $this->sees('Hub taper', 'Leave a draw-in gap');
        $this->tabTo('a disc to carry');
        $this->type(WebDriverKeys::ENTER);
        $this->stored();
        $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('2');
        // Into the hub, open a surface, note its size.
        $this->tabTo('All together');
        $this->type(
            WebDriverKeys::ARROW_RIGHT,
            WebDriverKeys::ARROW_RIGHT,
            WebDriverKeys::ARROW_RIGHT,
            WebDriverKeys::SPACE,
        );
        $this->sees('Surfaces', 'Hub hole circle');
        $this->tabTo('Hub hole circle');
        $this->type(WebDriverKeys::ENTER);
        $this->tabTo('Hole circle');
        $this->type('4in', WebDriverKeys::ENTER);
        $this->sees('4.0000 in · 101.600 mm', 'on ⌀ ≈ 4.0000');
        $this->stored();
        $surface = array_column($this->api("/api/jobs/{$id}")['facts']['surfaces'], null, 'name')['Hub hole circle'];
        self::assertEqualsWithDelta(101.6, $surface['size']['mm'], 1e-9);
        self::assertSame('eyeballed', $surface['source']);
    }

    /** A name of the picture leads to its surface, by tap and by key. */
    public function test_a_name_of_the_picture_leads_to_its_surface(): void
    {
        $this->visit('/job/demo-tedder/survey');
        $this->find("//*[@aria-label='Go to Wheel bore']", 'the name of the bore')->click();
        $this->sees('What it does');
        $ids = array_column($this->api('/api/jobs/demo-tedder')['facts']['surfaces'], 'id', 'name');
        self::assertStringEndsWith("at={$ids['Wheel bore']}", $this->page->getCurrentURL());
        $this->press('All together');
        $this->find("//*[@aria-label='Go to Axle journal']", 'the name of the journal')->sendKeys(WebDriverKeys::ENTER);
        $this->waitFor(fn (): bool => str_ends_with($this->page->getCurrentURL(), $ids['Axle journal']), 'Enter does not lead there');
    }

    public function test_a_free_form_part_by_keyboard_alone(): void
    {
        $this->startByKeyboard('free', 'Pug mill', 'Scraper pin');
        $id = $this->jobId();
        $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('2');
        $this->sees('Nothing to draw yet');
        foreach (
            ['Part' => ['outside', 'Part outside diameter', 1], 'Mate' => ['bore', 'Mate bore', 2]] as $part => [$letters, $name, $steps]
        ) {
            $this->tabTo('All together');
            $this->type(...array_fill(0, $steps, WebDriverKeys::ARROW_RIGHT), ...[WebDriverKeys::SPACE]);
            $this->tabTo('Add a surface');
            $this->type(WebDriverKeys::ENTER);
            $this->find("//*[@role='menu']", 'list of kinds');
            $this->type(...str_split($letters), ...[WebDriverKeys::ENTER]);
            $this->sees($name);
            $this->stored();
            self::assertContains(
                $name,
                array_column($this->api("/api/jobs/{$id}")['facts']['surfaces'], 'name'),
                $part,
            );
            $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('1');
            $this->sees('What came in');
            $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('2');
            $this->sees('All together');
        }
        $this->tabTo('Join two surfaces');
        $this->type(WebDriverKeys::ENTER);
        $this->tabTo('Inside');
        $this->type(WebDriverKeys::ENTER, 'Part', WebDriverKeys::ENTER);
        $this->tabTo('Outside');
        $this->type(WebDriverKeys::ENTER, 'Mate', WebDriverKeys::ENTER);
        $this->tabTo('Join');
        $this->type(WebDriverKeys::ENTER);
        $this->stored();
        $this->waitFor(
            fn (): bool => count($this->api("/api/jobs/{$id}")['facts']['joints']) === 1,
            'the joint is not there',
        );
        self::assertStringContainsString('Measure the mate bore', $this->card('Part outside diameter'));
        // Z takes it back.
        $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('z');
        $this->waitFor(
            fn (): bool => $this->api("/api/jobs/{$id}")['facts']['joints'] === [],
            'undo did not take the joint back',
        );
    }

    public function test_a_photograph_is_added_and_pinned(): void
    {
        $picture = $this->rig->downloads().'/bore.jpg';
        $image = imagecreatetruecolor(640, 480);
        imagefilledellipse($image, 320, 240, 200, 200, (int) imagecolorallocate($image, 200, 150, 60));
        imagejpeg($image, $picture);
        file_put_contents($this->rig->downloads().'/notes.jpg', 'this is no photograph');
        $this->visit('/job/demo-drill/survey');
        $this->sees('Photographs', 'None yet.');
        $chooser = $this->page->findElement(WebDriverBy::xpath("//input[@aria-label='Photographs to add']"));
        $chooser->setFileDetector(new \Facebook\WebDriver\Remote\LocalFileDetector());
        $chooser->sendKeys($picture."\n".$this->rig->downloads().'/notes.jpg');
        $this->sees('notes.jpg: This is not a photograph');
        $this->press('Open photograph: Photograph');
        $this->choose('Shows', 'Housing bore');
        $this->fill('Note', 'scored at the mouth');
        $canvas = $this->find("//*[@role='application']", 'photograph');
        $canvas->click();
        $this->stored();
        $this->waitFor(
            fn (): bool => ($this->api('/api/jobs/demo-drill')['facts']['photos'][0]['x'] ?? null) !== null,
            'no pin',
        );
        $this->page->executeScript('arguments[0].focus()', [$canvas]);
        $before = $this->api('/api/jobs/demo-drill')['facts']['photos'][0]['x'];
        $this->keys(WebDriverKeys::ARROW_RIGHT);
        $this->waitFor(
            fn (): bool => $this->api('/api/jobs/demo-drill')['facts']['photos'][0]['x'] > $before,
            'the arrow key does not move the pin',
        );
        $this->press('Close');
        $this->sees('Housing bore: scored at the mouth');
        $loaded = $this->page->executeScript(
            'const i = document.querySelector("main img"); return i.complete && i.naturalWidth',
        );
        self::assertSame(320, $loaded);
    }

    public function test_a_stop_is_met_and_stays_on_record(): void
    {
        $this->visit('/');
        $this->sees('nobody has accepted it yet');
        $this->press('Quarry pump set');
        $this->sees('licensed practice', 'Sizes are withheld');
        $this->press('Should we take it?');
        $this->sees(
            'This is work for licensed practice, and nobody has accepted responsibility for it.',
            'We decline to make this part',
        );
        $this->press('What came in');
        $this->fill('Who accepts responsibility', 'the driveline engineer');
        $this->fill('In what capacity', 'works licence 4');
        $this->tick('I answer for it: engine mounts');
        $this->press('Accept responsibility');
        $this->sees('accepted responsibility');
        $this->seesNot('Sizes are withheld');
        // Another reason, and it is withheld again; the record stays.
        $this->tick('Rotors near people');
        $this->sees(
            'What was accepted before did not cover all of it',
            'the driveline engineer, works licence 4, accepted responsibility',
        );
        self::assertStringContainsString(
            'works licence 4',
            (string) json_encode($this->api('/api/jobs/demo-pump')['facts']['take_in']['acceptances']),
        );
    }

    public function test_a_job_is_declined_with_reasons(): void
    {
        $this->visit('/job/demo-clock/take-in?view=quote');
        $this->sees('What to send');
        $this->fill('A bought one costs', '25');
        $this->sees('We decline to make this part', 'a bought one costs € 25');
        $this->press('Decline (advised)');
        $this->fill('In our own words', 'Ask the clock society’s store.');
        $this->stored();
        $this->sees('Ask the clock society');
        $text = (string) file_get_contents($this->rig->url.'/api/jobs/demo-clock/letter?as=text');
        self::assertStringContainsString('Ask the clock society', $text);
        $this->go('/');
        $this->find("//section[@aria-label='Done']//*[contains(., 'Tower clock')]", 'declined job under Done');
    }

    public function test_what_metal_it_is(): void
    {
        $this->visit('/job/demo-clock/survey?at=demo-clock-1');
        $this->press('Find out what it is');
        // The hand is led to the first test, which is on the screen.
        $this->waitFor(
            fn (): bool => $this->page->executeScript(
                'const e = document.activeElement, b = e.getBoundingClientRect(); return e.textContent === "pulls hard" && b.top > 0 && b.bottom < innerHeight;',
            ) === true,
            'the focus is not on the first test',
        );
        $this->press('pulls hard');
        $this->sees('low-carbon steel', 'grey cast iron');
        // The shop is slow: its answer to one tap comes while the next waits, and then there is a third. None is lost.
        $this->tapWhileSlow([['skates off', 100], ['many short forks, bushy', 600], ['rings on', 3000]]);
        $tests = fn (): array => $this->api('/api/jobs/demo-clock')['facts']['parts'][0]['tests'];
        $this->waitFor(fn (): bool => count($tests()) === 4, fn (): string => 'a tap was lost: '.json_encode($tests()));
        $this->press('rings on');
        $this->sees('So far: hardened steel');
        $this->press('Take it as this: hardened steel');
        $this->sees('grind only', 'Do not weld');
        self::assertSame(
            'Taken as this: hardened steel',
            $this->page->executeScript('return document.activeElement.getAttribute("aria-label")'),
            'the focus was lost',
        );
        // ISO 18265 table A.1: 50.5 HRC is 520 HV, 494 HB and about 1700 MPa.
        $this->fill('Hardness', '50.5');
        $this->sees('50.5 HRC', '494 HB', '520 HV', 'about 1700 MPa');
    }

    public function test_found_by_its_size_in_either_unit(): void
    {
        foreach (['1.6252', '41.28', '1-5/8'] as $typed) {
            $this->visit('/');
            $this->sees('The bench');
            $this->page->findElement(WebDriverBy::tagName('body'))->sendKeys('/');
            $this->find("//label[contains(., 'Find a job')]", 'find field');
            $this->keys($typed);
            $this->sees('1.6252 · Housing bore');
            $this->find(
                "//*[@role='option'][starts-with(normalize-space(.), '1.6252 · Housing bore')]",
                'the bore among what was found',
            )->click();
            $this->waitFor(
                fn (): bool => str_contains($this->page->getCurrentURL(), '/job/demo-carder/measure'),
                "{$typed} does not lead to the bore",
            );
        }
    }

    public function test_bin_archive_and_another_like_it(): void
    {
        $this->visit('/');
        $this->press('More for Tower clock');
        $this->pick('Put it in the bin');
        $this->sees('In the bin for 30 days.');
        $this->seesNot('Strike lever');
        $this->press('Undo');
        $this->sees('Strike lever');
        $this->press('More for Wool carder, doffer roller');
        $this->pick('Start another like it');
        $this->waitFor(
            fn (): bool => preg_match('~/job/[^/]+/take-in~', $this->page->getCurrentURL()) === 1,
            'no new job',
        );
        $this->sees('Wool carder, doffer roller');
        $facts = $this->api("/api/jobs/{$this->jobId()}")['facts'];
        self::assertSame(
            [[], 'plain-bush', 'leaded tin bronze (bearing)'],
            [$facts['readings'], $facts['kind'], $facts['parts'][2]['material']],
        );
    }

    private function pick(string $item): void
    {
        $this->find(
            '//li[@role="menuitem"][normalize-space(.)='.self::quote($item).']',
            "“{$item}” in the menu",
        )->click();
    }
}

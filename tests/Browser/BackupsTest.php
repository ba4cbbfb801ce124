<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** Backed up under Shop, and brought back with a look at what would be lost. */
final class BackupsTest extends BrowserTestCase
{
    public function test_a_backup_is_made_and_brought_back(): void
    {
        $this->visit('/shop');
        $this->sees('There is no backup yet.');
        $this->press('Back up now');
        $this->sees('All is backed up', '17 jobs, 0 photographs');
        $was = $this->api('/api/jobs/demo-drill')['facts']['take_in']['failed'];
        $this->go('/job/demo-drill/take-in');
        $this->fill('What failed', 'typed by mistake over what was there');
        $this->stored();
        $this->go('/shop');
        $this->sees('something was written since');
        $this->press('Bring it back …');
        $this->sees('This would be lost', 'Seed drill, feed shaft', 'would be gone', 'backed up first');
        $this->press('Leave it as it is');
        $this->waitFor(fn (): bool => $this->page->findElements(WebDriverBy::xpath("//*[@role='dialog']")) === [], 'the question stayed open');
        $this->press('Bring it back …');
        $this->sees('This would be lost');
        $this->find("//*[@role='dialog']//button[normalize-space(.)='Bring it back']", 'the answer')->click();
        $this->waitFor(fn (): bool => $this->api('/api/jobs/demo-drill')['facts']['take_in']['failed'] === $was, 'it did not come back');
        $this->waitFor(fn (): bool => count($this->api('/api/backups')['backups']) === 2, 'what was there before is not backed up');
        // In German too.
        $this->page->executeScript('localStorage.setItem("oldpart-fit-speech", JSON.stringify({language: "de"}))');
        $this->visit('/shop');
        $this->sees('Jetzt sichern', '17 Aufträge, 0 Fotos');
    }
}

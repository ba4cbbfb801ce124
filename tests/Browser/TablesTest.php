<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** The tables page, by keyboard. */
final class TablesTest extends BrowserTestCase
{
    /** ISO 286-2 at 25 mm: H7 0 to +21, p6 +22 to +35, r6 +28 to +41 µm, from memory. */
    public function test_the_explorer_by_keyboard(): void
    {
        $this->visit('/tables');
        $this->press('mm');
        $this->fill('Size', '25 mm');
        $this->fill('Fit', 'H7/p6');
        $this->keys(WebDriverKeys::ENTER);
        $this->sees('25.022 … 25.035', '0.001 to 0.035 tight');
        // Out of the field the arrows slide: one tighter, back, one looser.
        $this->page->executeScript('document.activeElement.blur()');
        $this->keys(WebDriverKeys::ARROW_RIGHT);
        $this->sees('H7/r6 at 25.000 mm', '25.028 … 25.041');
        $this->keys(WebDriverKeys::ARROW_LEFT);
        $this->keys(WebDriverKeys::ARROW_LEFT);
        $this->sees('H7/n6 at 25.000 mm');
        $this->press('hole one grade coarser');
        $this->sees('H8/n6 at 25.000 mm');
        $this->fill('Fit', 'H7/q6');
        $this->keys(WebDriverKeys::ENTER);
        $this->sees('There is no letter q');
    }

    public function test_found_by_what_it_gives_and_put_on_a_card(): void
    {
        $this->visit('/tables');
        $this->fill('How tight, at what size?', '0.0009 to 0.0351 mm tight at 25 mm');
        $this->find(
            "//section[@aria-label='Find by what it gives']//button[starts-with(normalize-space(.), 'H7/p6')]",
            'H7/p6 as found',
        )->click();
        $this->sees('H7/p6 at 0.9843 in');
        $this->press('Put it on the card');
        $link = $this->find("//a[starts-with(normalize-space(.), 'Print the card')]", 'print the card')->getAttribute(
            'href',
        );
        self::assertStringStartsWith('%PDF', (string) file_get_contents($this->rig->url.$link));
        $this->fill('Stamped', '6205-2RS');
        $this->sees('6205 0.9843 × 2.0472 × 0.5906', 'shaft shoulder at least');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Browser;

/** From the demo to one's own shop with three answers, and back with one tap. */
final class FirstStartTest extends BrowserTestCase
{
    public function test_ones_own_shop_and_back(): void
    {
        $this->visit('/');
        $this->sees('This is the demo shop', 'Timber trolley');
        $this->press('Begin my own shop');
        $this->fill('What it is called', ' ');
        $this->press('Open my shop');
        $this->sees('A shop has a name of 1 to 100 letters');
        $this->fill('What it is called', 'Weir Yard');
        $this->press('millimetres');
        $this->press('A small lathe in a shed');
        $this->press('Open my shop');
        $this->sees('This is your own shop', 'Weir Yard');
        $this->seesNot('Timber trolley');
        $this->keyboardStandsAt('This is your own shop');
        $shop = $this->api('/api/shop');
        self::assertSame(['mm', 'Bench lathe'], [$shop['unit'], $shop['machines'][0]['name']]);
        $this->press('Back to the demo shop');
        $this->sees('This is the demo shop', 'Timber trolley');
        $this->keyboardStandsAt('This is the demo shop');
    }

    private function keyboardStandsAt(string $text): void
    {
        $this->page->wait(5)->until(
            fn (): bool => str_starts_with($this->page->switchTo()->activeElement()->getText(), $text),
            "The keyboard does not stand at “{$text}”.",
        );
    }
}

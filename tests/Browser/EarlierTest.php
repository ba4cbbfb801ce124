<?php

declare(strict_types=1);

namespace Tests\Browser;

/** From the history to the job as it was, and back with it. */
final class EarlierTest extends BrowserTestCase
{
    public function test_an_earlier_state_is_looked_at_and_brought_back(): void
    {
        $this->visit('/job/demo-drill/take-in');
        $was = $this->api('/api/jobs/demo-drill')['facts']['take_in']['failed'];
        $this->fill('What failed', 'first thought');
        $this->stored();
        $this->fill('What failed', 'second thought');
        $this->stored();
        $this->visit('/job/demo-drill/take-in?history=1');
        $this->sees('What was done', 'second thought');
        $this->find("(//*[@role='dialog']//li//*[self::button or self::a][normalize-space(.)='As it was then'])[1]", 'way to the state before')->click();
        $this->sees('As it was', 'Nothing is stored here');
        self::assertSame('first thought', $this->field('What failed')->getAttribute('value'));
        // Typed into by mistake, nothing happens but a word about it.
        $this->fill('What it does', 'typed into the past');
        $this->sees('This is how the job was');
        self::assertNotSame('typed into the past', $this->api('/api/jobs/demo-drill')['facts']['take_in']['does']);
        $this->press('Bring this back');
        $this->seesNot('Nothing is stored here');
        $this->waitFor(fn (): bool => $this->api('/api/jobs/demo-drill')['facts']['take_in']['failed'] === 'first thought', 'it was not brought back');
        self::assertNotSame('first thought', $was);
        // Of one surface alone.
        $this->visit('/job/demo-drill/take-in?history=1');
        $this->sees('What was done', 'first thought');
        $this->choose('Of', 'Housing bore');
        $this->seesNot('first thought');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** From plain words to a fit, to a bearing seat, and out of a dead end. */
final class FitsTest extends BrowserTestCase
{
    use BuildsJobs;

    private int $taps = 0;

    private function tap(string $name): void
    {
        $this->press($name);
        $this->taps++;
    }

    /**
     * The novice knows three things: it must be tight, the housing is cast iron, the wall is thin. The metal is at
     * Survey, the rest is asked; at most five taps to a bonded or a light-press fit with reasons.
     */
    public function test_a_novice_gets_to_a_safe_fit_in_five_taps(): void
    {
        $state = $this->newJob('plain-bush');
        $id = $state['facts']['id'];
        $parts = array_column($state['facts']['parts'], 'id', 'name');
        $this->change($id, 'PUT', "/parts/{$parts['Housing']}", ['material' => 'grey cast iron, ordinary']);
        $joint = $state['facts']['joints'][0];
        $this->visit("/job/{$id}/size?at={$joint['id']}");
        $this->tap('Help me choose');
        $this->tap('They stay put');
        $this->tap('Hardly ever');
        $this->tap('Thin');
        $this->sees('bonded: slips on', 'thin and brittle', 'Against it:', 'as the survey says');
        $this->tap('Take it: bonded');
        $this->stored();
        self::assertLessThanOrEqual(5, $this->taps);
        $after = $this->api("/api/jobs/{$id}")['facts']['joints'][0];
        self::assertSame('bonded', $after['purpose']);
        self::assertStringContainsString('thin and brittle', $after['reason'], 'the choice records its reason');
        self::assertSame(['moves' => 'stays', 'apart' => 'never', 'wall' => 'thin'], $after['asked']);
    }

    /** ISO 286-2 at 25 mm: k5 +2 to +11 µm, 0.9844 to 0.9846 in rounded into the band. */
    public function test_plain_words_to_a_bearing_seat(): void
    {
        $state = $this->newJob('stepped-shaft');
        $id = $state['facts']['id'];
        $this->visit("/job/{$id}/size?at={$state['facts']['joints'][0]['id']}");
        $this->fill('Stamped on the bearing', '6205-2RS');
        $this->sees('6205: shaft k5, housing H7', 'is left of Normal');
        $this->press('mm');
        $this->sees('25.002 … 25.011');
        $this->press('heavy or shocks');
        $this->sees('shaft m6');
        self::assertStringContainsString('25.021', $this->card('Left bearing seat'));
    }

    /** A bore read too roughly: the way out goes to the reading, a better gauge opens the band, and back it stands. */
    public function test_out_of_a_dead_end_and_back(): void
    {
        $state = $this->newJob('plain-bush');
        $id = $state['facts']['id'];
        foreach (['0', '90'] as $angle) {
            $this->read($state, 'Housing bore', '1.250', 'calliper', $angle);
        }
        $this->visit("/job/{$id}/size?at={$state['facts']['joints'][0]['id']}");
        $this->sees('cannot be promised with this reading', 'Ways out', 'Widen the fit by');
        $this->press('2 more ways');
        $this->sees('Bond it instead');
        $this->press('Go and read it');
        $this->sees('Housing bore, found at 20');
        $this->choose('Read with', 'Three-point bore gauge');
        foreach (['mouth, 0°', 'mouth, 90°'] as $i => $spot) {
            // The first cell is open for typing, the next one opens by a tap.
            $cell = $this->find("//*[starts-with(@aria-label, 'Housing bore, {$spot}')]", $spot);
            $cell->click();
            $this->keys(
                WebDriverKeys::CONTROL.'a',
                WebDriverKeys::NULL,
                ['1.2502', '1.2503'][$i],
                WebDriverKeys::ENTER,
            );
        }
        $this->stored();
        $this->visit("/job/{$id}/size?at={$state['facts']['joints'][0]['id']}");
        $this->waitFor(
            fn (): bool => ! str_contains($this->text(), 'cannot be promised'),
            'still in the dead end',
        );
        self::assertNotNull($this->api("/api/jobs/{$id}")['answers']['joints'][0]['band']);
    }

    /** A way taken is done: widened, the size stands at once, and undo takes it back. */
    public function test_a_way_out_in_one_tap(): void
    {
        $state = $this->newJob('plain-bush');
        $id = $state['facts']['id'];
        $this->read($state, 'Housing bore', '1.250', 'calliper');
        $this->visit("/job/{$id}/size?at={$state['facts']['joints'][0]['id']}");
        $this->press('Widen it');
        $this->waitFor(
            fn (): bool => $this->api("/api/jobs/{$id}")['answers']['joints'][0]['best'] === null,
            'it made no size',
        );
        $this->stored();
        $this->page->executeScript('document.activeElement.blur()');
        $this->keys('z');
        $this->sees('cannot be promised with this reading');
    }
}

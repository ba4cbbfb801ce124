<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** A taper, a keyway, a stripped thread and a flat: read, known, their number on the card, checked and in the record. */
final class ShapesTest extends BrowserTestCase
{
    use BuildsJobs;

    private function measure(string $surface, string $what, string $tool, string $text): void
    {
        $this->press($surface);
        $this->press($what);
        $this->choose('Read with', $tool);
        $cell = "//*[starts-with(@aria-label, '{$surface}') and contains(@aria-label, '0°') and (self::input or self::button)]";
        $this->find($cell, "a cell of {$surface}")->click();
        $this->keys($text, WebDriverKeys::ENTER);
        $this->stored();
    }

    /** A taper hub for a bush that was read: setting, mouth and standard; said in words of the trade it counts at once. */
    public function test_a_taper_hub(): void
    {
        $id = $this->newJob('taper-hub')['facts']['id'];
        $this->visit("/job/{$id}/size");
        $this->press('Hub taper');
        $this->sees('type how steep it is', 'Measure it');
        $this->go("/job/{$id}/measure");
        $this->measure('Bush taper', 'Diameter where it begins', 'Outside micrometer', '2.2047');
        $this->measure('Bush taper', 'Diameter at the far end', 'Outside micrometer', '2.0472');
        $this->measure('Bush taper', 'Length between the two diameters', 'Depth micrometer', '1.2598');
        $this->go("/job/{$id}/size");
        $this->press('Hub taper');
        $this->sees('1 in 7.99', '3.57', 'Across its mouth', 'Set it and cut it', 'Blue the plug thinly', 'taken, nobody said');
        $this->press('It is 1:8 (shaft end)');
        $this->waitFor(
            fn (): bool => in_array('1:8 (shaft end)', array_column($this->api("/api/jobs/{$id}")['facts']['surfaces'], 'shape'), true),
            'the tap did not say what it is',
        );
        // Typed wrong it is said, and what was typed stays.
        $this->fill('It is', 'steep');
        $this->sees('“steep” says no taper');
        $this->fill('It is', '1:8');
        $this->sees('1 in 8, 3.576° per side');
        // The number is on the card, and how it is cut stands at the machine.
        $this->go("/job/{$id}/make");
        $this->press('Hub taper');
        $this->sees('Set it and cut it', 'as it goes');
    }

    /** An axle with a keyway: the key by its shaft, the slot widening as it is cut, its depth checked when it is done. */
    public function test_an_axle_with_a_keyway(): void
    {
        $id = $this->newJob('flanged-axle')['facts']['id'];
        $state = $this->api("/api/jobs/{$id}");
        $ids = array_column($state['facts']['surfaces'], 'id', 'name');
        self::assertArrayHasKey('Keyway', $ids);
        $this->visit("/job/{$id}/measure?at={$ids['Keyway']}");
        $this->go("/job/{$id}/size?at={$ids['Keyway']}");
        $this->sees('Read the diameter it is cut in');
        $this->change($id, 'PUT', '/readings/k-'.bin2hex(random_bytes(4)), [
            'surface' => $ids['Keyway'], 'station' => '1', 'angle' => '0', 'what' => 'round',
            'value' => ['typed' => '1.000', 'unit' => 'in'], 'instrument' => 'outside-micrometer',
        ]);
        $this->visit("/job/{$id}/size?at={$ids['Keyway']}");
        // ANSI B17.1: an inch shaft takes a quarter-inch key; 0.859 across it (from memory).
        $this->sees('for a key 1/4 in square', '0.2500 to 0.2520', '0.8591', 'At its own corners', 'Centre it');
        $this->go("/job/{$id}/hand-over");
        $this->sees('Keyway: from its bottom across the shaft', 'not read');
    }

    /** A stripped thread: which it was is asked, the ladder is named, a left hand is loud. */
    public function test_a_stripped_thread(): void
    {
        $id = $this->newJob('threaded-insert')['facts']['id'];
        $this->visit("/job/{$id}/measure");
        $this->measure('Screw thread', 'Over ten pitches', 'Calliper', '0.625');
        $this->measure('Screw thread', 'Major diameter', 'Outside micrometer', '0.3723');
        $this->go("/job/{$id}/size");
        $this->press('Insert thread');
        $this->sees('most likely', 'More than one thread fits what was read', 'Drill');
        $this->press('It is 3/8 BSW');
        $this->sees('3/8 BSW', 'Within its limits (medium) a no-go gauge');
        $this->fill('It is', '3/8-16 UNC LH');
        $this->sees('LEFT HAND', '0.3074 to 0.3214');
        $ids = array_column($this->api("/api/jobs/{$id}")['facts']['surfaces'], 'id', 'name');
        $this->change($id, 'PUT', "/surfaces/{$ids['Insert thread']}", ['work' => 'cut']);
        $this->visit("/job/{$id}/size?at={$ids['Insert thread']}");
        $this->sees('Stripped: the next size is', 'a wire insert takes a hole');
    }

    /** A D-flat copied from the old shaft's mate: how deep from the round, and how wide that is. */
    public function test_a_flat(): void
    {
        $state = $this->newJob('stepped-shaft');
        $id = $state['facts']['id'];
        $parts = array_column($state['facts']['parts'], 'id', 'name');
        $this->change($id, 'PUT', '/surfaces/flat-1', ['part' => $parts['Shaft'], 'name' => 'Flat for the knob', 'kind' => 'flat']);
        foreach (['across' => '0.219', 'round' => '0.250'] as $what => $typed) {
            $this->change($id, 'PUT', "/readings/f-{$what}", [
                'surface' => 'flat-1', 'station' => '1', 'angle' => '0', 'what' => $what,
                'value' => ['typed' => $typed, 'unit' => 'in'], 'instrument' => 'outside-micrometer',
            ]);
        }
        $this->visit("/job/{$id}/size?at=flat-1");
        // By hand: 0.250 − 0.219 is 0.031 deep; 2√(0.031 · 0.219) is 0.1648 wide.
        $this->sees('Deep, from the round', '0.0310', '0.1648', 'Let the cutter just touch the round');
    }
}

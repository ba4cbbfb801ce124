<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** A number with its chance, and what would raise it. */
final class ChanceTest extends BrowserTestCase
{
    use BuildsJobs;

    private function newBush(): string
    {
        $facts = $this->newJob('plain-bush')['facts'];
        $this->change($facts['id'], 'PUT', "/joints/{$facts['joints'][0]['id']}", [
            ...$facts['joints'][0],
            'purpose' => 'tap-tight',
        ]);

        return $facts['id'];
    }

    private function cell(string $name): void
    {
        $this->find("//*[starts-with(@aria-label, '{$name}') and (self::input or self::button)]", 'cell')->click();
    }

    private function chance(string $section): int
    {
        // Its answer may still be on the way.
        $chance = null;
        $this->waitFor(function () use ($section, &$chance): bool {
            $text = $this->find("//section[@aria-label='{$section}']", $section)->getText();
            $chance = preg_match('/works in (\d+) of 100/', $text, $m) === 1 ? (int) $m[1] : null;

            return $chance !== null;
        }, "no chance in {$section}");

        return $chance;
    }

    /** A worn oval bore, read with a telescoping gauge: a number with its chance; one more reading raises it. */
    public function test_one_more_reading_raises_the_chance(): void
    {
        $id = $this->newBush();
        $this->visit("/job/{$id}/measure");
        $this->choose('Read with', 'Telescoping gauge and micrometer');
        $this->cell('Housing bore, mouth, 0°');
        foreach (['1.1242', '1.1246', '1.1250', '1.1247'] as $text) {
            $this->keys($text, WebDriverKeys::ENTER);
        }
        $this->stored();
        $this->sees('Good enough for this joint?', 'works in');
        $before = $this->chance('Found size');
        self::assertLessThan(98, $before);
        $this->sees("works in {$before} of 100", 'Bush outside');
        // Another gauge is what helps most, and says by how much.
        $this->sees('three-point bore gauge');
        $this->choose('Read with', 'Three-point bore gauge');
        $this->cell('Housing bore, middle, 0°');
        $this->keys('1.1243', WebDriverKeys::ENTER);
        $this->stored();
        $this->waitFor(fn (): bool => $this->chance('Found size') > $before, 'one better reading did not raise it');
        $this->go("/job/{$id}/size");
        $this->sees('As a whole it works in', 'What would help most', 'cannot be promised');
        $now = $this->api("/api/jobs/{$id}")['answers']['joints'][0]['best'];
        self::assertNotNull($now);
        // One tap: bonded instead.
        $this->press('Bond it');
        $this->waitFor(
            fn (): bool => $this->api("/api/jobs/{$id}")['facts']['joints'][0]['purpose'] === 'bonded',
            'it was not bonded',
        );
        $this->sees('sure, works in');
    }

    /** Where all was read, Enter goes to the place where one more reading tells most. */
    public function test_enter_goes_where_it_tells_most(): void
    {
        $id = $this->newBush();
        $this->visit("/job/{$id}/measure");
        $this->choose('Read with', 'Telescoping gauge and micrometer');
        $this->cell('Housing bore, mouth, 0°');
        $typed = ['1.1242', '1.1246', '1.1251', '1.1247', '1.1239', '1.1243', '1.1246', '1.1242', '1.1241', '1.1244', '1.1248'];
        foreach ($typed as $text) {
            $this->keys($text, WebDriverKeys::ENTER);
        }
        $this->stored();
        $this->find("//input[@aria-label='Housing bore, far end, 135°']", 'the last cell');
        $this->waitFor(
            fn (): bool => $this->api("/api/jobs/{$id}")['answers']['surfaces'][0]['next_reading'] !== null,
            'nothing tells most',
        );
        $next = $this->api("/api/jobs/{$id}")['answers']['surfaces'][0]['next_reading'];
        $this->keys('1.1245', WebDriverKeys::ENTER);
        $this->find(
            "//input[@aria-label='Housing bore, {$next['station']}, {$next['angle']}°']",
            'the cell where one more tells most',
        );
        $this->keys('1.1243', WebDriverKeys::ENTER);
        $this->stored();
        self::assertCount(13, $this->api("/api/jobs/{$id}")['facts']['readings']);
    }

    /** The chance fills as the size is dragged, and falls towards the ends of what works. */
    public function test_the_chance_follows_the_size(): void
    {
        $this->visit('/job/demo-drill/size');
        $this->sees('works in');
        $middle = $this->chance('What if it comes out at');
        $slider = $this->find("//section[@aria-label='What if it comes out at']//input[@type='range']", 'slider');
        $slider->sendKeys(WebDriverKeys::END);
        $this->waitFor(
            fn (): bool => $this->chance('What if it comes out at') < $middle,
            'the chance did not fall towards the end',
        );
    }
}

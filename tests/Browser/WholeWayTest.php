<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** One bush from "new job" to the printed sheet and the exported file, as a person would, then into an empty shop. */
final class WholeWayTest extends BrowserTestCase
{
    protected bool $seeded = false;

    public function test_from_new_job_to_sheet_and_file_and_back(): void
    {
        $this->visit('/');
        self::assertSame('My shop · Oldpart Fit', $this->page->getTitle());
        $this->sees('Nothing on the bench');
        $this->press('What are you making?');
        $this->fill('Machine', 'Hop press, lifting shaft');
        $this->fill('Part', 'Bush for the side frame');
        $this->press('Start the job');

        $this->sees('What came in', 'Hop press, lifting shaft');
        $job = $this->jobId();
        $this->fill('What failed', 'Bore worn bell-mouthed');
        $this->fill('How many', '1');
        $this->press('None of these');
        $this->stored();
        $this->sees('none of these');

        $this->press('Survey');
        $this->choose('Housing is made of', 'grey cast iron, ordinary');
        $this->choose('Shaft is made of', 'medium-carbon steel');
        $this->choose('Bush is made of', 'leaded tin bronze');
        $this->sees('brittle');

        $this->press('Measure');
        $this->takeReadings();
        $this->chooseFits();
        $this->press('Plan');
        $this->sees('Order of work', 'Part off', 'it closes when pressed');
        $this->cutIt();

        $this->press('Assemble');
        $this->sees('Tick before you press', 'your press gives');
        foreach ($this->page->findElements(WebDriverBy::xpath("//main//input[@type='checkbox']")) as $box) {
            $this->page->executeScript('arguments[0].click()', [$box]);
            usleep(60_000);
        }
        $this->stored();

        $this->press('Hand over');
        $this->sees('Made, measured, and inside every limit.');
        $this->fill('What to do differently', 'Make a stepped drift first.');
        $this->press('Hand it over');
        $this->sees('handed over');
        $this->stored();
        $this->sheet($job);
        $this->fileIntoAnEmptyShop();
    }

    private function takeReadings(): void
    {
        $this->sees('Housing bore');
        $this->choose('Read with', 'Three-point bore gauge');
        // 28.567 mm is 1.12469 in; the thou and the bare inches say nearly the same.
        $typed = [
            '1.1247',
            '28.567 mm',
            '1124.6 thou',
            '1.1247',
            '1.1246',
            '1.1246',
            '1.1247',
            '1.1246',
            '1.1247',
            '1.1247',
            '1.1248',
            '1.1247',
        ];
        $this->focusFirst('Housing bore, mouth, 0°');
        foreach ($typed as $i => $text) {
            $this->keys($text);
            if ($i === 1) {
                $this->sees('1.1247 in · 28.567 mm');
            }
            $this->keys(WebDriverKeys::ENTER);
            $this->waitFor(
                fn (): bool => count($this->facts()['readings']) === $i + 1,
                "reading {$text} was not stored",
            );
        }
        $this->sees('works in');
        $this->press('Boss outside');
        $this->choose('Read with', 'Calliper');
        $this->focusFirst('Boss outside, thinnest, 0°');
        $this->keys('2-1/8', WebDriverKeys::ENTER);
        $this->press('Housing length');
        $this->choose('Read with', 'Depth micrometer');
        $this->focusFirst('Housing length, 1, 0°');
        $this->keys('1.498', WebDriverKeys::ENTER);
        $this->waitFor(fn (): bool => count($this->facts()['readings']) === 14, 'length not stored');
        $this->keys('1.498', WebDriverKeys::ENTER);
        $this->press('Shaft journal');
        $this->focusFirst('Shaft journal, near end, 0°');
        foreach (['0.8741', '0.8740', '0.8741', '0.8740', '0.8741', '0.8741'] as $i => $text) {
            $this->keys($text, WebDriverKeys::ENTER);
            $this->waitFor(
                fn (): bool => count($this->facts()['readings']) === 16 + $i,
                "journal reading {$i} was not stored",
            );
        }
        $values = array_column(array_column($this->facts()['readings'], 'value'), 'typed');
        self::assertContains('28.567 mm', $values);
        self::assertContains('1124.6 thou', $values);
        self::assertContains('2-1/8', $values);
    }

    private function chooseFits(): void
    {
        $this->press('Size');
        $this->sees('Inch LN2', 'ISO H7/p6', 'Thumb', 'Holds, at least', 'Housing pull, most');
        $this->press('Why these numbers');
        $this->sees('Lamé', 'M + i_min + U');
        $this->press('Shaft in bush');
        $this->sees('Inch RC4');
        // ANSI B4.1, RC4 at 0.87 in: hole +1.2/0, shaft −0.8/−1.6 thou: 0.0008 to 0.0028 clear.
        $this->sees('0.0008 to 0.0028 clear');
        $this->press('Bush length to housing');
        $this->sees('flush or a little below');
    }

    private function cutIt(): void
    {
        $this->press('Make');
        // The make card beside Size has the same names: wait for the Make screen.
        $this->field('Size now');
        foreach (['Bush outside', 'Bush bore, before pressing', 'Bush bore, after pressing', 'Bush length'] as $label) {
            $this->press($label);
            $band = $this->band($label);
            $middle = number_format(($band[0] + $band[1]) / 2, 4, '.', '');
            if ($label === 'Bush outside') {
                $this->fill('Size now', number_format($band[1] + 0.02, 4, '.', '').WebDriverKeys::ENTER);
                $this->sees('Dial next, on the diameter');
                $this->fill('Dialled, on diameter', number_format($band[1] + 0.02 - (float) $middle, 4, '.', ''));
                $this->fill('Size after the cut', $middle.WebDriverKeys::ENTER);
            } else {
                $this->fill('Size now', $middle.WebDriverKeys::ENTER);
            }
            $this->sees('Stop: inside');
            $this->stored();
        }
        self::assertStringContainsString('made, inside', $this->card('Bush outside'));
    }

    /** @return array{float, float} the limits in inches, as shown */
    private function band(string $label): array
    {
        foreach ($this->api('/api/jobs/'.$this->jobId())['answers']['make'] as $entry) {
            if ($entry['label'] === $label) {
                self::assertStringContainsString((string) $entry['aim']['in'], $this->card($label));

                return [(float) $entry['lower']['in'], (float) $entry['upper']['in']];
            }
        }
        self::fail("{$label} is not on the make card");
    }

    private function sheet(string $job): void
    {
        $link = $this->find("//a[normalize-space(.)='Sheet, A4']", 'sheet')->getAttribute('href');
        $pdf = $this->rig->downloads().'/sheet.pdf';
        file_put_contents(
            $pdf,
            (string) file_get_contents(
                str_starts_with((string) $link, 'http') ? (string) $link : $this->rig->url.$link,
            ),
        );
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($pdf).' -');
        $over = $this->api("/api/jobs/{$job}")['answers']['hand_over'];
        foreach (
            [
                'Hop press, lifting shaft',
                'Make a stepped drift first.',
                $over['sizes'][0]['made']['in'],
                $over['sizes'][0]['lower']['in'],
                'inside its limits',
            ] as $wanted
        ) {
            self::assertStringContainsString($wanted, $text);
        }
    }

    private function fileIntoAnEmptyShop(): void
    {
        $this->press('Job file');
        $file = null;
        $this->waitFor(function () use (&$file): bool {
            $file = (glob($this->rig->downloads().'/*.job.json') ?: [null])[0];

            return $file !== null;
        }, 'the job file was not downloaded');
        $before = $this->api('/api/jobs/'.$this->jobId())['answers'];
        $empty = new Rig(false);
        $other = $empty->browser();
        try {
            $mine = $this->page;
            $this->page = $other;
            $other->get($empty->url.'/');
            $this->sees('Nothing on the bench');
            $other->findElement(WebDriverBy::xpath("//input[@aria-label='Job file']"))->sendKeys((string) $file);
            $this->sees('Hop press, lifting shaft', 'Made, measured, and inside every limit.');
            preg_match('~/job/([^/]+)/~', $other->getCurrentURL(), $m);
            $after = json_decode((string) file_get_contents("{$empty->url}/api/jobs/{$m[1]}"), true)['answers'];
            self::assertSame($before, $after);
            // A damaged file says why and takes nothing in.
            $bad = $this->rig->downloads().'/bad.json';
            file_put_contents(
                $bad,
                str_replace('"1.1248"', '"one and a bit"', (string) file_get_contents((string) $file)),
            );
            $other->get($empty->url.'/');
            $this->sees('The bench');
            $other->findElement(WebDriverBy::xpath("//input[@aria-label='Job file']"))->sendKeys($bad);
            $this->sees('“one and a bit” can\'t be read as a size', 'readings.');
        } finally {
            $this->page = $mine ?? $this->page;
            $other->quit();
            $empty->close();
        }
    }

    private function focusFirst(string $label): void
    {
        $this->find('//input[@aria-label='.self::quote($label).']', "cell “{$label}”")->click();
    }

    /** @return array<string, mixed> */
    private function facts(): array
    {
        return $this->api('/api/jobs/'.$this->jobId())['facts'];
    }
}

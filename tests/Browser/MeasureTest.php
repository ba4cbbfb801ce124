<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** Readings by keyboard, from a gauge, from a table; slips and warm parts. */
final class MeasureTest extends BrowserTestCase
{
    /** @return list<array<string, mixed>> */
    private function readings(string $job, string $surface): array
    {
        $facts = $this->api("/api/jobs/{$job}")['facts'];
        $id = array_column($facts['surfaces'], 'id', 'name')[$surface];

        return array_values(array_filter($facts['readings'], static fn (array $r): bool => $r['surface'] === $id));
    }

    private function newBush(): string
    {
        $this->visit('/');
        $this->sees('The bench');
        $id = 'bush-'.bin2hex(random_bytes(4));
        $this->page->executeAsyncScript(
            'const done = arguments[1]; fetch("/api/jobs", {method: "POST", headers: {"Content-Type": "application/json"}, body: JSON.stringify({id: arguments[0], kind: "plain-bush", machine: "Straw cutter", part: "Bush", unit: "in"})}).then(() => done())',
            [$id],
        );
        $this->go("/job/{$id}/measure");
        $this->find("//input[@aria-label='Housing bore, mouth, 0°']", 'first cell');

        return $id;
    }

    private function take(): RemoteWebElement
    {
        return $this->find("//section[@aria-label='Gauge line']//button", 'Take');
    }

    /** Twelve readings: their digits and one key each, and the unit may change in the middle. */
    public function test_twelve_readings_by_keyboard(): void
    {
        $id = $this->newBush();
        $keys = 0;
        $typed = [
            '1.1242',
            '1.1246',
            '1.1251',
            '1.1247',
            '1.1239',
            '1.1243',
            '28.563mm',
            '1.1242',
            '1.1241',
            '1.1244',
            '1.1248',
            '1.1245',
        ];
        $start = microtime(true);
        foreach ($typed as $text) {
            foreach ([...str_split($text), WebDriverKeys::ENTER] as $key) {
                $this->keys($key);
                $keys++;
            }
        }
        self::assertLessThan(60, microtime(true) - $start);
        self::assertSame(array_sum(array_map(strlen(...), $typed)) + 12, $keys, 'the digits plus one key each');
        $this->stored();
        self::assertSame($typed, array_column(array_column($this->readings($id, 'Housing bore'), 'value'), 'typed'));
        // Millimetres from here on: what was typed stays what it was.
        $this->press('mm');
        $this->press('Shaft journal');
        $this->find("//input[@aria-label='Shaft journal, near end, 0°']", 'journal cell');
        $this->keys('22.203', WebDriverKeys::ENTER);
        $this->stored();
        self::assertSame(
            ['typed' => '22.203', 'unit' => 'mm', 'mm' => 22.203],
            $this->readings($id, 'Shaft journal')[0]['value'],
        );
        $this->press('Housing bore');
        // By hand: station means 1.12465, 1.12423 and 1.12445 in, their mean 1.12444 in.
        $this->sees('1.1242 in', '28.561');
    }

    public function test_a_pair_of_pins_is_one_reading(): void
    {
        $id = $this->newBush();
        $this->choose('Read with', 'Pin gauges');
        $this->sees('both pins in one');
        $this->find("//input[@aria-label='Housing bore, mouth, 0°']", 'first cell')->click();
        $this->keys('0.499 go 0.500', WebDriverKeys::ENTER);
        $this->stored();
        $this->sees('Read by pins', '0.4995');
        $reading = $this->readings($id, 'Housing bore')[0];
        self::assertSame(['0.499 go 0.500', 'pins'], [$reading['value']['typed'], $reading['instrument']]);
        self::assertEqualsWithDelta(0.4995 * 25.4, $reading['value']['mm'], 1e-9);
    }

    /**
     * A centre-to-centre or a comparison is filled in, read back in both units, and stored as the sum one would type.
     */
    public function test_a_reading_made_of_several(): void
    {
        $id = $this->newBush();
        $this->press('Shaft journal');
        $this->press('Made of several');
        $this->find("//label[normalize-space(.)='The master is']/following::input[1]", 'master')->click();
        $this->keys('0.875', WebDriverKeys::TAB, '-5 tenths');
        $this->sees('0.875 set -5 tenths = 0.8745 in');
        $this->keys(WebDriverKeys::ENTER);
        $this->stored();
        $reading = $this->readings($id, 'Shaft journal')[0];
        self::assertSame('0.875 set -5 tenths', $reading['value']['typed']);
        self::assertEqualsWithDelta(0.8745 * 25.4, $reading['value']['mm'], 1e-9);
        $this->sees('Compared with a master of');
        $this->press('Over all, less a part');
        $this->find("//label[normalize-space(.)='Over all']/following::input[1]", 'over all')->click();
        $this->keys('smudge', WebDriverKeys::TAB, '1', WebDriverKeys::ENTER);
        $this->sees("can't be read as a size");
        self::assertCount(1, $this->readings($id, 'Shaft journal'));
    }

    /**
     * Typed and left with Enter before anybody could say that it is no size: it stays in its cell, marked there, and
     * the next cell is not marked for it.
     */
    public function test_a_refusal_is_marked_where_it_was_typed(): void
    {
        $this->newBush();
        $this->press('Shaft journal');
        $cell = static fn (string $angle): string => "//input[@aria-label='Shaft journal, near end, {$angle}']";
        $this->find($cell('0°'), 'first cell')->click();
        $this->keys('not', WebDriverKeys::ENTER);
        $this->sees("“not” can't be read as a size");
        // Whether it was known in time to stay there, or the next cell is open by now.
        self::assertSame(
            [],
            $this->page->findElements(
                WebDriverBy::xpath(
                    "//input[@aria-invalid='true'][not(@aria-label='Shaft journal, near end, 0°')][starts-with(@aria-label, 'Shaft journal')]",
                ),
            ),
        );
        $this->find($cell('0°')." | //button//*[normalize-space(.)='not']", 'where it was typed')->click();
        self::assertSame(
            ['not', 'true'],
            [
                $this->find($cell('0°'), 'first cell')->getAttribute('value'),
                $this->find($cell('0°'), 'first cell')->getAttribute('aria-invalid'),
            ],
        );
        // The same with Enter once more, typed anew or not: it is never passed over without a word.
        $this->keys(WebDriverKeys::ENTER);
        $this->sees("“not” can't be read as a size");
        $this->keys(WebDriverKeys::CONTROL.'a', WebDriverKeys::NULL, 'not', WebDriverKeys::ENTER);
        $this->sees("“not” can't be read as a size");
    }

    /** A figure of an instrument mended in the shop moves how sure the reading is, at once. */
    public function test_a_figure_of_an_instrument(): void
    {
        $this->newBush();
        $this->press('Shaft journal');
        $this->find("//input[@aria-label='Shaft journal, near end, 0°']", 'journal cell')->click();
        $this->keys('0.8741', WebDriverKeys::ENTER);
        $this->stored();
        $address = $this->page->getCurrentURL();
        $this->visit('/shop');
        $group = "//*[@role='group' and @aria-label='Outside micrometer']";
        $this->find("{$group}//button[normalize-space(.)='Figures']", 'figures')->click();
        $field = $this->find(
            "{$group}//label[starts-with(., 'It may err by')]/following::input[1]",
            'permissible error',
        );
        $field->click();
        $this->keys(WebDriverKeys::CONTROL.'a', WebDriverKeys::NULL, '0.001 in', WebDriverKeys::ENTER);
        // By hand: 2 √(0.001²/12 + 0.0254²/3 + 0.001²) = 0.0294 mm, 0.0012 in.
        $this->waitFor(
            fn (): bool => str_contains($this->find($group, 'micrometer')->getText(), 'at best sure to ±0.0012 in'),
            'the micrometer is as sure as before',
        );
        $this->page->get($address);
        // What limits the reading is now the gauge itself.
        $this->sees('±0.0012 in');
        $this->visit('/shop');
        $this->find("{$group}//button[normalize-space(.)='Figures']", 'figures')->click();
        $this->press('Back to the usual figures');
        $this->waitFor(fn (): bool => ! str_contains($this->text(), 'Back to the usual figures'), 'it is not put back');
    }

    public function test_a_gauge_is_taken_from_and_falls_silent(): void
    {
        $this->rig->startRack();
        $id = $this->newBush();
        $this->choose('Gauge', 'Three-point bore gauge');
        $this->waitFor(
            fn (): bool => preg_match(
                '/^1\.12\d\d$/',
                $this->find("//*[@aria-label='Gauge reading']", 'gauge reading')->getText(),
            ) === 1,
            'the gauge shows nothing',
        );
        $this->take()->click();
        $this->waitFor(fn (): bool => count($this->readings($id, 'Housing bore')) === 1, 'nothing was taken');
        // T does the same where the cursor is.
        $this->find("//input[@aria-label='Housing bore, mouth, 45°']", 'second cell');
        $this->waitFor(
            fn (): bool => str_contains(
                $this->find("//*[@aria-label='Gauge reading']", 'gauge reading')->getText(),
                '1.12',
            ),
            'no reading at the second spot',
        );
        $this->page->findElement(WebDriverBy::xpath("//input[@aria-label='Housing bore, mouth, 45°']"))->click();
        $this->keys('t');
        $this->waitFor(fn (): bool => count($this->readings($id, 'Housing bore')) === 2, 'T took nothing');
        $readings = $this->readings($id, 'Housing bore');
        self::assertSame(['three-point', 'three-point'], array_column($readings, 'instrument'));
        self::assertSame(['0', '45'], array_column($readings, 'angle'));
        foreach ($readings as $reading) {
            self::assertStringEndsWith(' mm', $reading['value']['typed'], 'kept as the gauge sent it');
            self::assertEqualsWithDelta(28.571, $reading['value']['mm'], 0.03);
        }
        // It falls silent: it says so, nothing is taken, and it comes back by itself.
        $this->rig->stopRack();
        $this->sees('The gauge does not answer');
        self::assertFalse($this->take()->isEnabled());
        $this->keys('t');
        usleep(400_000);
        self::assertCount(2, $this->readings($id, 'Housing bore'));
        $this->rig->startRack();
        $this->seesNot('The gauge does not answer');
        $this->take()->click();
        $this->waitFor(
            fn (): bool => count($this->readings($id, 'Housing bore')) === 3,
            'nothing was taken after it came back',
        );
    }

    /**
     * A stand-in for the browser's serial port plays recorded lines: in pieces, with noise between, unplugged and back.
     */
    public function test_a_gauge_of_ones_own_on_a_serial_line(): void
    {
        $id = $this->newBush();
        $this->page->executeScript(
            <<<'JS'
            window.opened = [];
            const port = {
                readable: null,
                open: async (options) => {
                    window.opened.push(options);
                    port.readable = new ReadableStream({ start: (line) => { window.line = line; } });
                },
                close: async () => { port.readable = null; },
            };
            window.hear = (text) => window.line.enqueue(new TextEncoder().encode(text));
            Object.defineProperty(navigator, 'serial', { configurable: true, value: { requestPort: async () => port, getPorts: async () => [] } });
            JS
            ,
        );
        $this->choose('Gauge', 'my own, on a serial line');
        $this->choose('Parity', 'even');
        $this->press('Choose its port');
        $this->sees('Press the gauge’s own button');
        self::assertSame('even', $this->page->executeScript('return window.opened.at(-1).parity'));
        $hear = fn (string $text): mixed => $this->page->executeScript('window.hear(arguments[0])', [$text]);
        $stored = function (int $count) use ($id): void {
            $this->waitFor(
                fn (): bool => count($this->readings($id, 'Housing bore')) === $count,
                "not {$count} readings",
            );
        };
        $hear('+28.5');
        $hear("63 mm\r");
        $hear("\n");
        $stored(1);
        $hear("+28.571 mm\r\n+28.577 mm\r\n");
        $stored(3);
        $hear("no reading\r\n");
        $this->page->executeScript('window.line.error(new Error("unplugged"))');
        $this->sees('The gauge does not answer');
        $this->seesNot('The gauge does not answer');
        $hear("+28.569 mm\r");
        $stored(4);
        $readings = $this->readings($id, 'Housing bore');
        self::assertSame([28.563, 28.571, 28.577, 28.569], array_column(array_column($readings, 'value'), 'mm'));
        self::assertSame(
            [['mouth', '0'], ['mouth', '45'], ['mouth', '90'], ['mouth', '135']],
            array_map(static fn (array $r): array => [$r['station'], $r['angle']], $readings),
        );
    }

    /**
     * A bore gauge that reads 0.0002 in over on a ring of 1 in: what is read with it afterwards is put right, and says
     * so.
     */
    public function test_an_instrument_is_checked_and_its_readings_corrected(): void
    {
        $this->visit('/shop');
        $this->find(
            "//*[@role='group'][@aria-label='Three-point bore gauge, set on a ring']//button[normalize-space(.)='Check it']",
            'Check it',
        )->click();
        $this->fill('The master is', '1');
        $this->fill('It reads', '1.0002');
        $this->press('Store the check');
        $this->sees('Reads 0.0002 in over; its readings are corrected for it', 'read 1.0002 in on a master of 1 in');
        $id = $this->newBush();
        $this->choose('Read with', 'Three-point');
        $this->find("//input[@aria-label='Housing bore, mouth, 0°']", 'first cell')->click();
        $this->keys('1.1245', WebDriverKeys::ENTER);
        $this->stored();
        $this->sees('1.1243', 'Corrected by −0.0002 in');
        self::assertEqualsWithDelta(-0.0002 * 25.4, $this->readings($id, 'Housing bore')[0]['correction_mm'], 1e-9);
    }

    public function test_a_table_with_bad_rows_and_then_a_good_one(): void
    {
        $id = $this->newBush();
        $file = $this->rig->downloads().'/readings.csv';
        file_put_contents($file, "Place;Angle;Measured\nmouth;0;1,1247\nmouth;45;smudge\nmiddle;90;28,571 mm\n");
        $this->press('Tables …');
        $this->find("//*[@role='menuitem'][.='Bring in a table']", 'the menu')->click();
        $this->sees('or paste it here');
        $chooser = $this->page->findElement(WebDriverBy::xpath("//input[@aria-label='Table file']"));
        $chooser->setFileDetector(new LocalFileDetector());
        $chooser->sendKeys($file);
        $this->sees('Line 3: “smudge”', 'mouth, 0°: 1,1247 in');
        self::assertFalse(
            $this->find(
                "//button[starts-with(normalize-space(.), 'Bring in') and not(contains(., 'table'))]",
                'Bring in',
            )->isEnabled(),
        );
        file_put_contents(
            $file,
            "Place;Angle;Measured;Who\nmouth;0;1,1247;me\nmouth;45;1.1249;me\nmiddle;90;28,571 mm;me\n",
        );
        $chooser->sendKeys($file);
        $this->seesNot('Line 3');
        $this->press('Bring in 3 readings');
        $this->seesNot('or paste it here');
        $this->waitFor(fn (): bool => count($this->readings($id, 'Housing bore')) === 3, 'they were not taken in');
        $this->sees('1.1247');
        $this->page->findElement(WebDriverBy::tagName('body'))->click();
        $text = (string) file_get_contents($this->rig->url."/api/jobs/{$id}/readings.csv");
        self::assertStringContainsString('"Housing bore",middle,90,"28,571 mm",in,28.571,', $text);
    }

    public function test_a_slip_is_mended_with_one_tap(): void
    {
        $this->visit('/job/demo-drill/measure');
        $this->find("//button[starts-with(@aria-label, 'Housing bore, mouth, 45°')]", 'cell')->click();
        $this->keys(WebDriverKeys::CONTROL.'a', WebDriverKeys::NULL, '1.1496', WebDriverKeys::ENTER);
        $this->sees('is a turn of the thimble');
        $this->press('It was 1.1246 in');
        $this->seesNot('is a turn of the thimble');
        $this->stored();
        $reading = array_values(
            array_filter(
                $this->readings('demo-drill', 'Housing bore'),
                static fn (array $r): bool => $r['station'] === 'mouth' && $r['angle'] === '45',
            ),
        )[0];
        self::assertSame(['1.1246', '1.1496'], [$reading['value']['typed'], $reading['was']['typed']]);
    }

    public function test_a_warm_part_counts_down_over_a_reload(): void
    {
        $this->visit('/job/demo-drill/measure');
        $this->press('Shaft journal');
        $this->find("//*[starts-with(@aria-label, 'Shaft journal, far end, 90°')]", 'last cell')->click();
        $this->fill('Part, °C', '60');
        $this->find("//*[starts-with(@aria-label, 'Shaft journal, far end, 90°')]", 'last cell')->click();
        $this->keys(WebDriverKeys::CONTROL.'a', WebDriverKeys::NULL, '0.8746', WebDriverKeys::ENTER);
        $this->stored();
        // The reading was first taken long ago: taken again now it is warm.
        $reading = array_values(
            array_filter(
                $this->readings('demo-drill', 'Shaft journal'),
                static fn (array $r): bool => $r['station'] === 'far end' && $r['angle'] === '90',
            ),
        )[0];
        self::assertEqualsWithDelta(60.0, $reading['part_c'], 1e-9);
        $this->sees('Cooling down');
        $before = $this->find("//*[@role='timer']", 'countdown')->getText();
        self::assertMatchesRegularExpression('/^\d+:\d\d/', $before);
        sleep(2);
        $this->page->navigate()->refresh();
        $this->sees('Cooling down');
        $this->waitFor(
            fn (): bool => $this->find("//*[@role='timer']", 'countdown')->getText() < $before,
            'it does not count down',
        );
        $this->visit('/');
        $this->sees('Shaft journal cools: ready in');
    }
}

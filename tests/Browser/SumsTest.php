<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The sums without a job: found by a word, worked out as one types, refused in a sentence. */
final class SumsTest extends BrowserTestCase
{
    public function test_a_sum_is_found_and_worked_out(): void
    {
        $this->visit('/sums');
        $this->fill('Find a sum by a word', 'taper said every');
        $this->press('Taper');
        $this->sees('A taper said every way there is', 'Morse 2', '2.861°');
        $this->fill('Length', '100 mm');
        // (17.78 − 14.534)/100 is 1 in 30.81.
        $this->sees('30.807');
        $this->fill('Length', '4 in');
        $this->sees('101.600 mm', '31.3');
        $this->fill('Length', '0');
        $this->sees('must be above zero');
        // What was typed is there after leaving.
        $this->go('/');
        $this->sees('The bench');
        $this->go('/sums?sum=taper');
        $this->sees('must be above zero');
        $this->press('Back to the example');
        $this->sees('2.861°');
    }

    public function test_rows_go_in_and_come_out(): void
    {
        $this->visit('/sums?sum=find-circle');
        foreach ([['0', '25 mm'], ['25 mm', '0'], ['0', '-25 mm'], ['-25 mm', '0']] as $row => [$x, $y]) {
            $this->cell('x', $row + 1, $x);
            $this->cell('y', $row + 1, $y);
        }
        $this->sees('Diameter', '1.9685 in');
        // A row too many is taken out again.
        $this->cell('x', 5, '1');
        $this->press('Take the last row out');
        $this->sees('1.9685 in');
        $this->go('/sums?sum=dividing');
        $this->fill('Divisions', '127');
        $this->sees('No plate gives it exactly', 'Nearest');
    }

    /** An outline drawn elsewhere is looked at, then taken with its radii: 100 by 40 with one corner of 8. */
    public function test_an_outline_out_of_a_file(): void
    {
        $file = $this->rig->downloads().'/outline.dxf';
        $pairs = [[0, 'SECTION'], [2, 'ENTITIES'], [0, 'LWPOLYLINE'], [70, 1], [10, 0], [20, 0], [10, 100], [20, 0], [10, 100], [20, 32], [42, tan(M_PI / 8)], [10, 92], [20, 40], [10, 0], [20, 40], [0, 'ENDSEC'], [0, 'EOF']];
        file_put_contents($file, implode("\n", array_map(static fn (array $p): string => "{$p[0]}\n{$p[1]}", $pairs))."\n");
        $this->visit('/sums?sum=plate');
        $this->press('mm');
        $this->sees('From a DXF file');
        $this->page->findElement(\Facebook\WebDriver\WebDriverBy::xpath("(//input[@aria-label='File of places'])[1]"))->sendKeys($file);
        $this->sees('4 corners of the outline', '100, 40, radius 8');
        $this->press('Take them');
        // By hand: 4000 less 64 (1 − π/4).
        // By hand: the arc ends at 100, 32 and 92, 40.
        $this->sees('100.000', '40.000', '8.000');
    }

    public function test_a_sum_is_kept_in_a_job(): void
    {
        $this->visit('/sums?sum=bore-line');
        $this->sees('Off by', 'Two bores on one line');
        $this->choose('Keep it in a job', 'Seed drill');
        $this->sees('Kept:');
        $this->waitFor(
            fn (): bool => ($this->api('/api/jobs/demo-drill')['facts']['reckonings'][0]['sum'] ?? null) === 'bore-line',
            'it is not in the job',
        );
        $this->press('Seed drill, feed shaft, Bush for the drive end');
        $this->sees('Worked out', 'Off by');
    }

    /** By hand, as in the core: offsets 0.005 and 0.045 over 400, 0.025 of shim over 250. */
    public function test_two_bores_on_one_line(): void
    {
        $this->visit('/sums?sum=bore-line');
        $this->press('mm');
        foreach (
            [
                'The two places are apart' => '400', 'Read at A' => '0.02', 'Read at B' => '0.10', 'At A, the bar' => '0.00',
                'At B, the bar' => '0.08', 'Feet apart' => '250',
            ] as $label => $text
        ) {
            $this->fill($label, $text);
        }
        $this->sees(
            'Off by 0.005 mm at the first place and 0.045 mm at the second',
            'Shim under the feet',
            '0.025 mm',
        );
        $this->fill('Feet apart', 'wide');
        $this->sees('“wide”');
    }

    public function test_places_out_of_a_file(): void
    {
        $file = $this->rig->downloads().'/holes.csv';
        file_put_contents($file, "x,y\n0,1\n1,0\n0,-1\nsomewhere,2\n-1,0\n");
        $this->visit('/sums?sum=find-circle');
        $this->sees('From a DXF or CSV file');
        $this->page->findElement(\Facebook\WebDriver\WebDriverBy::xpath("//input[@aria-label='File of places']"))->sendKeys($file);
        $this->sees('4 places in holes.csv', 'Line 5:', 'Taken as inches');
        $this->press('Take them');
        $this->sees('2.0000 in');
    }

    private function cell(string $head, int $row, string $text): void
    {
        $field = $this->find(
            "//input[contains(@aria-label, ', {$head}, row {$row}')]",
            "cell {$head} {$row}",
        );
        $field->click();
        $field->sendKeys([\Facebook\WebDriver\WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys($text);
    }
}

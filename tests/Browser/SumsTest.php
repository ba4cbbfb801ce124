<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The sums without a job: found by a word, worked out as one types, refused in a sentence. */
final class SumsTest extends BrowserTestCase
{
    public function test_a_sum_is_found_and_worked_out(): void
    {
        $this->visit('/sums');
        $this->fill('Find a sum by a word', 'taper standard');
        $this->press('Taper');
        $this->sees('A taper said every way there is', 'Morse 2', '2.861°');
        $this->fill('Length', '100');
        // (17.78 − 14.534)/100 is 1 in 30.81.
        $this->sees('30.807');
        $this->fill('Length', '4 in');
        $this->sees('101.6 mm', '31.3');
        $this->fill('Length', '0');
        $this->sees('must be above zero');
        // What was typed is there after leaving.
        $this->visit('/');
        $this->sees('The bench');
        $this->visit('/sums?sum=taper');
        $this->sees('must be above zero');
        $this->press('Back to the example');
        $this->sees('2.861°');
    }

    public function test_rows_go_in_and_come_out(): void
    {
        $this->visit('/sums?sum=find-circle');
        $this->fill('Points', "x_mm, y_mm\n0, 25\n25, 0\n0, -25\n-25, 0");
        $this->sees('Circle', 'Diameter', '1.9685 in');
        $this->visit('/sums?sum=dividing');
        $this->fill('Divisions', '127');
        $this->sees('No plate gives it exactly', 'Nearest');
    }
}

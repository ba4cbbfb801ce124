<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Six axles, the sixth drifting, each to a wheel of its own. */
final class BatchTest extends BrowserTestCase
{
    use BuildsJobs;

    public function test_the_sixth_of_six_axles_drifts(): void
    {
        $this->visit('/job/demo-trolley/make');
        $this->sees('Piece 6 of 6', 'Piece 6 next, to be measured', 'For A of');
        // What the wheels ask for counts before the limits for all.
        $this->press('Piece 1, good');
        $this->stored();
        $this->sees('Piece 1 of 6');
        $this->press('Piece 6, to make');
        $this->stored();
        $this->fill('Size now', '1.2504'.WebDriverKeys::ENTER);
        $this->sees('Grows by', 'Piece 7 is expected');
        $this->stored();
        $batch = $this->api('/api/jobs/demo-trolley')['answers']['batch'];
        $sixth = array_column($batch['pieces'][5]['sizes'], null, 'label')['Register'];
        self::assertSame('1.2504', $sixth['size']['in']);
        $this->press('Scrap it: piece 6');
        $this->sees('1 scrap', 'It is no scrap');
        $this->stored();
        self::assertSame('scrap', $this->api('/api/jobs/demo-trolley')['answers']['batch']['pieces'][5]['state']);
        $this->press('Piece 7, to spare');
        $this->sees('Piece 7 of 6');
        // A mate that has its mark already is refused in words, and nothing typed is lost.
        $this->fill('Mark of the mate', 'A');
        $this->fill('Size of the mate', '1.2508');
        $this->press('Add the mate');
        $this->sees('two mates of one mark');
        self::assertSame('1.2508', $this->field('Size of the mate')->getAttribute('value'));
        $this->fill('Mark of the mate', 'G');
        $this->press('Add the mate');
        $this->waitFor(
            fn (): bool => count($this->api('/api/jobs/demo-trolley')['facts']['batch']['mates']) === 7,
            'the mate was not stored',
        );
        $this->press('Take off mate G');
        $this->stored();
        self::assertCount(6, $this->api('/api/jobs/demo-trolley')['facts']['batch']['mates']);
        self::assertStringContainsString('%PDF', (string) file_get_contents($this->rig->url.'/api/jobs/demo-trolley/sheet?unit=in&paper=a4'));
        $csv = (string) file_get_contents($this->rig->url.'/api/jobs/demo-trolley/tables/cuts?unit=in');
        self::assertStringContainsString('Register,5,only,', $csv);
    }

    /** One size over all pieces without a hand on the mouse. */
    public function test_one_size_over_the_whole_batch(): void
    {
        $this->visit('/job/demo-trolley/make');
        $this->press('Piece 5, good');
        $this->find("//label[contains(., 'On to the next piece')]", 'switch')->click();
        $this->press('Axle journal');
        $this->press('Piece 6, to make');
        $this->sees('Piece 6 of 6');
        $this->fill('Size now', '1.1240'.WebDriverKeys::ENTER);
        $this->sees('Piece 7 of 6');
        $this->fill('Size now', '1.1241'.WebDriverKeys::ENTER);
        $this->sees('Piece 8 of 6');
        $this->stored();
        $pieces = array_column($this->api('/api/jobs/demo-trolley')['answers']['batch']['pieces'], 'sizes', 'piece');
        self::assertSame('1.1241', array_column($pieces[7], null, 'label')['Axle journal']['size']['in']);
    }
}

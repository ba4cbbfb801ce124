<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** Sums of a job on the screen: a pour, a block with ports, an eccentric, run-out before and after. */
final class ReckoningsTest extends BrowserTestCase
{
    use BuildsJobs;

    /** By hand: a journal of 2.000 bored with 0.080 on it takes a mandrel of 1.920. */
    public function test_a_pour_from_the_shelf_to_the_sheet(): void
    {
        $state = $this->newJob('poured-bearing');
        $id = $state['facts']['id'];
        foreach ([['Journal', '2.000', 'outside-micrometer'], ['Shell bore', '2.600', 'three-point'], ['Shell length', '3.5', 'calliper']] as [$surface, $typed, $tool]) {
            $this->read($state, $surface, $typed, $tool);
        }
        $this->visit("/job/{$id}/size?at={$this->reckoning($id, 'pour')}");
        // The job's own sizes stand in; what it does not have is asked for.
        $this->sees('Journal: 2.0000 in', 'Shell bore: 2.6000 in', '“To bore off, on ⌀” is missing.');
        $this->fill('To bore off', '0.080');
        $this->sees('Mandrel', '1.9200 in', 'Pour at', '420 to 450', 'Set it up and do it');
        // The first pour failed; it stays beside the second.
        $this->choose('Once cold, what is seen (may stay empty)', 'pores');
        $this->sees('pour again');
        $this->press('Keep this, and read again');
        $this->sees('Before and now');
        $this->choose('Once cold, what is seen (may stay empty)', 'sound');
        $this->sees('It rings when tapped');
        $this->stored();
        $held = $this->api("/api/jobs/{$id}")['facts']['reckonings'][0];
        self::assertSame(['pores', 'sound'], [$held['rounds'][0]['given']['seen'], $held['given']['seen']]);
        // The journal measured anew moves the mandrel with it.
        $this->read($state, 'Journal', '1.990', 'outside-micrometer', '90');
        $this->page->navigate()->refresh();
        $this->sees('1.9150 in');
        self::assertStringContainsString('%PDF', (string) file_get_contents($this->rig->url."/api/jobs/{$id}/sheet?unit=in&paper=a4"));
    }

    /** By hand: 3/16 and 1/4 apart at right angles is 5/16 off, toward 53°; 3/8 and 1/2 twice as far. */
    public function test_an_eccentric_and_its_run_out(): void
    {
        $state = $this->newJob('eccentric-carrier');
        $id = $state['facts']['id'];
        $ids = array_column($state['facts']['surfaces'], 'id', 'name');
        $this->visit("/job/{$id}/survey");
        $this->press('Carrier');
        $open = fn (string $name) => $this->find("//button[@aria-expanded][contains(., '{$name}')]", $name)->click();
        $open('Bearing seat, offset');
        $this->fill('Centre, to the right', '3/16');
        $this->fill('Centre, upward', '1/4');
        $open('Hole through');
        $this->sees('with Bearing seat, offset');
        $this->stored();
        $this->visit("/job/{$id}/size?at={$this->reckoning($id, 'offset')}");
        // One number moves the seat, what lies with it, and the sum.
        $this->sees('Bearing seat, offset, across: 0.1875 in', '0.3125 in', '53°', 'Swing of the needle', '0.6250 in');
        $this->change($id, 'PUT', "/surfaces/{$ids['Bearing seat, offset']}", ['x' => ['typed' => '3/8', 'unit' => 'in'], 'y' => ['typed' => '1/2', 'unit' => 'in']]);
        $this->page->navigate()->refresh();
        $this->sees('0.6250 in', '1.2500 in');
        $held = array_column($this->api("/api/jobs/{$id}")['facts']['surfaces'], null, 'id');
        self::assertSame('3/8', $held[$ids['Hole through']]['x']['typed']);
    }

    /** The outline typed for a lever is the one it is drawn by; its other hand is drawn beside it. */
    public function test_a_lever_of_both_hands(): void
    {
        $state = $this->newJob('lever');
        $id = $state['facts']['id'];
        $this->visit("/job/{$id}/size?at={$this->reckoning($id, 'plate')}");
        $this->sees('It is the outline of', 'Lever');
        $this->go("/job/{$id}/survey");
        $this->press('Lever');
        $this->tick('Make its other hand as well');
        $this->stored();
        $this->go("/job/{$id}/hand-over");
        $this->press('Lever, other hand');
        $this->sees('Print one to one');
        $files = array_map(static fn ($a): ?string => $a->getAttribute('href'), $this->page->findElements(WebDriverBy::linkText('DXF')));
        self::assertStringContainsString('view=other%20hand', (string) ($files[0] ?? ''));
    }

    /** Two circles turned against each other, dowels opposite, each hole drilled off, by the screens alone. */
    public function test_a_ring_with_two_circles_and_dowels(): void
    {
        $state = $this->newJob('ring-coupling');
        $id = $state['facts']['id'];
        $ids = array_column($state['facts']['surfaces'], 'id', 'name');
        self::assertArrayHasKey('Dowel holes', $ids);
        foreach ([['Holes to the driving side', 6, '5'], ['Holes to the driven side', 4, '3-1/2'], ['Dowel holes', 2, '5']] as [$name, $count, $circle]) {
            $this->change($id, 'PUT', "/surfaces/{$ids[$name]}", ['count' => $count, 'shape' => $circle, 'size2' => ['typed' => '3/8', 'unit' => 'in']]);
        }
        $this->visit("/job/{$id}/size?at={$ids['Holes to the driving side']}");
        // By hand: six on 5 in are 2.5 in from one to the next.
        $this->sees('6 holes on a circle of 5.0000 in', 'From hole to hole', '2.5000', 'turned by');
        $this->go("/job/{$id}/size?at={$ids['Dowel holes']}");
        $this->sees('Two stand opposite each other');
        $key = array_column($this->api("/api/jobs/{$id}")['answers']['make'], 'key', 'label')['Holes to the driving side'];
        $this->go("/job/{$id}/make?at={$key}");
        $this->find("//*[@aria-label='Hole 1 drilled']", 'the first hole')->click();
        $this->stored();
        $holes = array_column($this->api("/api/jobs/{$id}")['answers']['shaped'], null, 'surface')[$ids['Holes to the driving side']]['places'];
        self::assertSame([true, false], [$holes[0]['drilled'], $holes[1]['drilled']]);
    }

    public function test_a_block_whose_drillings_meet(): void
    {
        $this->visit('/job/demo-sprayer/size');
        $this->press('Which drillings meet');
        $this->sees('from the front', 'main', 'outlet', 'Metal between');
        $this->waitFor(
            fn (): bool => ($this->api('/api/jobs/demo-sprayer')['answers']['reckoned'][0]['result']['pairs'][0]['meets'] ?? null) === true,
            'they do not meet',
        );
        // The inlet moved away from the main: they no longer meet, and how much metal is left is said.
        $field = $this->find("//input[contains(@aria-label, ', To, row 2')]", 'where the inlet ends');
        $field->click();
        $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys('1 1 0.625');
        $this->stored();
        $reckoned = $this->api('/api/jobs/demo-sprayer')['answers']['reckoned'][0];
        self::assertNull($reckoned['refused']);
        self::assertFalse($reckoned['result']['pairs'][0]['meets']);
    }

    /** One begun by a word, a size taken from the job and typed instead, its result given to a surface. */
    public function test_one_is_begun_by_a_word(): void
    {
        $state = $this->newJob('stepped-shaft');
        $id = $state['facts']['id'];
        $this->read($state, 'Left bearing bore', '1.000', 'three-point');
        $this->visit("/job/{$id}/size");
        $this->press('Add …');
        $this->find("//li[@role='menuitem'][normalize-space(.)='Work something out']", 'the sums')->click();
        $this->find("//label[contains(., 'Work something out')]/following-sibling::*//input", 'the sums')->click();
        $this->keys('flats');
        $this->find("//li[@role='option'][contains(., 'Wrench flats')]", 'the sum')->click();
        $this->press('Diameter: take it from the job');
        $this->find("//li[@role='menuitem'][normalize-space(.)='Left bearing bore']", 'the bore')->click();
        $this->sees('Left bearing bore: 1.0000 in');
        $this->fill('Across flats', '7/8');
        // (1 − 7/8)/2
        $this->sees('0.0625 in');
        $this->press('Give depth mm to a surface');
        $this->find("//li[@role='menuitem'][normalize-space(.)='Hub seat length']", 'a length')->click();
        $this->sees('→ Hub seat length');
        $this->stored();
        $facts = $this->api("/api/jobs/{$id}")['facts'];
        $mine = end($facts['reckonings']);
        self::assertSame(array_column($facts['surfaces'], 'id', 'name')['Hub seat length'], $mine['gives']['depth_mm']);
        $this->press('Hub seat length takes it; take that back');
        $this->press('Type it instead');
        $this->fill('Diameter', '2');
        $this->sees('0.5625 in');
        $this->press('Remove Wrench flats');
        $this->seesNot('0.5625 in');
        $this->press('Bring it back');
        $this->stored();
        self::assertSame('2', end($this->api("/api/jobs/{$id}")['facts']['reckonings'])['given']['diameter_mm']);
    }

    /** A picture of our own making: 160 mm over 800 points, centres 550 points apart, so 110 mm; a boss of 100 points, 20 mm. */
    public function test_a_lever_from_a_photograph(): void
    {
        $picture = imagecreatetruecolor(1000, 600);
        assert($picture !== false);
        imagefill($picture, 0, 0, (int) imagecolorallocate($picture, 240, 235, 220));
        imagesetthickness($picture, 6);
        $ink = (int) imagecolorallocate($picture, 40, 40, 40);
        imageline($picture, 100, 500, 900, 500, $ink);
        imageellipse($picture, 200, 250, 100, 100, $ink);
        imageellipse($picture, 750, 250, 100, 100, $ink);
        imagepng($picture, $this->rig->downloads().'/lever.png');
        $this->visit('/job/demo-clock/survey');
        $this->sees('Take or choose photographs');
        $this->page->findElement(\Facebook\WebDriver\WebDriverBy::xpath("//input[@aria-label='Photographs to add']"))
            ->sendKeys($this->rig->downloads().'/lever.png');
        $this->press('Open photograph: Photograph');
        $this->press('Take sizes from it');
        $this->tapAt([[100, 500], [900, 500]]);
        $this->sees('Known length 1');
        $this->fill('It is', '160 mm');
        $this->keys(WebDriverKeys::TAB);
        $this->press('Length');
        $this->tapAt([[200, 250], [750, 250]]);
        // 110 mm is 4.331 in; a tap is good to a point or two of the screen.
        $this->waitFor(fn (): bool => abs(($this->found('lengths')['mm'] ?? 0) - 110) < 0.8, 'the length did not come');
        $this->press('Circle');
        $this->tapAt([[150, 250], [200, 200], [250, 250]]);
        $this->waitFor(fn (): bool => abs(($this->found('circles')['mm'] ?? 0) - 20) < 0.8, 'the circle did not come');
        $this->sees('One known length only');
        // By the keyboard: from the middle ten steps of 20 points to the right are 200 points, 40 mm.
        $this->press('Length');
        $this->find("//*[@role='application']", 'the photograph')->sendKeys([WebDriverKeys::ENTER, ...array_fill(0, 10, WebDriverKeys::ARROW_RIGHT), WebDriverKeys::ENTER]);
        $this->waitFor(fn (): bool => abs(($this->found('lengths', 1)['mm'] ?? 0) - 40) < 0.3, 'the length by keys did not come');
        $this->press('Circle 1: note it of a surface');
        $this->find("//li[@role='menuitem'][normalize-space(.)='Hub boss']", 'the boss')->click();
        $this->sees('Noted of Hub boss');
        $boss = array_column($this->api('/api/jobs/demo-clock')['facts']['surfaces'], null, 'name')['Hub boss'];
        self::assertSame('picture', $boss['source']);
        self::assertEqualsWithDelta(20.0, $boss['size']['mm'], 0.8);
        self::assertGreaterThan(0.2, $boss['sure']['mm']);
    }

    /** @return array<string, float> */
    private function found(string $what, int $at = 0): array
    {
        return $this->api('/api/jobs/demo-clock')['answers']['reckoned'][0]['result'][$what][$at] ?? [];
    }

    /** @param  list<array{int, int}>  $points  of the picture, which is 1000 by 600 */
    private function tapAt(array $points): void
    {
        $canvas = $this->find("//*[@role='application']", 'the photograph');
        foreach ($points as [$x, $y]) {
            $box = (array) $this->page->executeScript(
                'const b = arguments[0].getBoundingClientRect(); const s = Math.min(b.width / 1000, b.height / 600); return [b.width, b.height, s]',
                [$canvas],
            );
            $this->page->action()->moveToElement($canvas, (int) round(($x - 500) * $box[2]), (int) round(($y - 300) * $box[2]))->click()->perform();
        }
    }

    private function reckoning(string $id, string $sum): string
    {
        return array_column($this->api("/api/jobs/{$id}")['facts']['reckonings'], 'id', 'sum')[$sum];
    }
}

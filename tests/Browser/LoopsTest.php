<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Lengths that add up, what has to clear, and a number that was wrong: a person's way through each. */
final class LoopsTest extends BrowserTestCase
{
    use BuildsJobs;

    public function test_a_loop_of_the_shaft_extension_is_built_from_its_faces(): void
    {
        $this->visit('/job/demo-grinder/size');
        $this->press('Add …');
        $this->find("//li[@role='menuitem'][normalize-space(.)='Lengths that add up']", 'a gap')->click();
        $this->press('Point at its faces');
        $this->sees('Point at the faces in order');
        $face = fn (string $name) => $this->find("//button[@aria-label=\"{$name}\"]", $name)->sendKeys(
            WebDriverKeys::ENTER,
        );
        $face('Shaft: hub seat, shoulder looking right');
        $this->sees('Go on');
        // The wrong face next: it looks the same way, and the one that is missing is named.
        $face('Hub, right end');
        $this->sees('look the same way', 'A face is missing between them', 'Hub, left end');
        $this->press('One face back');
        $face('Shaft: right bearing seat, shoulder looking right');
        $face('Hub, left end');
        $face('Hub, right end');
        $this->sees(
            'It closes: “Hub, right end” beyond “Shaft: hub seat, shoulder looking right”',
            '− Hub seat length + Hub width',
        );
        $this->press('Take this loop');
        $this->stored();
        $this->fill('At least', '0.010');
        $this->keys(WebDriverKeys::ENTER);
        $this->fill('At most', '0.030');
        $this->keys(WebDriverKeys::ENTER);
        // The hub was read 1.1808: the seat is 0.010 to 0.030 shorter, less the doubt of the reading.
        $this->sees('Hub seat length: 1.15');
        self::assertMatchesRegularExpression('/1\.1[67]\d\d/', $this->card('Hub seat length'));
        self::assertStringContainsString('stop anywhere down to 1.15', $this->card('Hub seat length'));
    }

    public function test_a_wrong_face_is_found_and_absorbed_in_the_reserve(): void
    {
        $state = $this->newJob('stepped-shaft');
        $id = $state['facts']['id'];
        $inch = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'in'];
        $length = static fn (string $name, bool $opens, string $size, array $more = []): array => [
            'name' => $name,
            'surface' => null,
            'size' => $inch($size),
            'plus' => $inch('0.001'),
            'minus' => $inch('0.001'),
            'opens' => $opens,
            'spread' => 'uniform',
            ...$more,
        ];
        $loop = $state['facts']['loops'][0]['id'];
        $this->change($id, 'PUT', "/loops/{$loop}", [
            'name' => 'Dial float',
            'least' => $inch('0.004'),
            'most' => $inch('0.012'),
            'lengths' => [
                $length('Socket to bracket', true, '2.500', ['origin' => 'there']),
                $length('Shaft in its socket', false, '0.800', ['reserve_least' => $inch('0.600')]),
                $length('Dial', false, '1.692', ['origin' => 'bought']),
            ],
        ]);
        $this->visit("/job/{$id}/size?at={$loop}");
        $this->sees('closes at', '0.0080', 'as wanted');
        $this->find("//button[@aria-label='Socket to bracket was wrong']", 'was wrong')->click();
        $this->sees('“Socket to bracket” was wrong');
        $this->press('See what it does');
        $this->sees('What is the right size?');
        $this->fill('It is', '2.400');
        $this->press('See what it does');
        $this->sees(
            'What was wrong',
            '0.1000 in smaller than was believed',
            'Let “Shaft in its socket” go to 0.7000 in instead of 0.8000 in',
            '0.1000 in of its reserve is left',
            'Then all is as wanted.',
            'nothing is cut',
            'same face',
        );
        $this->find("//button[starts-with(@aria-label, 'Take it: Let')]", 'take it')->click();
        $this->sees('Nothing has to be done.');
        $this->stored();
        $facts = $this->api("/api/jobs/{$id}")['facts'];
        self::assertSame(
            ['2.500', '2.400', 'wrong face'],
            [
                $facts['mistakes'][0]['old']['typed'],
                $facts['mistakes'][0]['new']['typed'],
                $facts['mistakes'][0]['cause'],
            ],
        );
        self::assertSame(
            ['2.400', '0.7000', '1.692'],
            array_map(static fn (array $l): string => $l['size']['typed'], $facts['loops'][0]['lengths']),
        );
    }

    public function test_shims_of_the_shop_close_a_gap(): void
    {
        $this->visit('/job/demo-drill/size?at=demo-drill-end-float-of-the-shaft');
        $this->sees('as wanted');
        // A thinner washer leaves 0.0195 where 0.002 to 0.010 is wanted: 0.0095 to 0.0175 of shims.
        $this->find("//*[@role='group' and @aria-label='Thrust washer']//input", 'size of the washer')->sendKeys([
            WebDriverKeys::CONTROL,
            'a',
        ]);
        $this->keys('0.050', WebDriverKeys::ENTER);
        $this->sees('Shim it with');
        self::assertSame(1, preg_match('/Shim it with (.+): it then closes at (0\.\d{4})/', $this->text(), $found));
        $pile = array_sum(array_map(floatval(...), explode(' + ', $found[1])));
        self::assertGreaterThan(0.0095, $pile);
        self::assertLessThan(0.0176, $pile);
        self::assertEqualsWithDelta(0.0195 - $pile, (float) $found[2], 0.0002);
    }

    public function test_a_rim_that_does_not_clear_is_caught_before_it_is_made(): void
    {
        $state = $this->newJob('gear-on-shaft');
        $id = $state['facts']['id'];
        $this->visit("/job/{$id}/size");
        $this->press('Lengths, room');
        $this->press('Rim beside the frame');
        $this->sees('Still to type: how wide it is, where its neighbour is.');
        foreach (
            [
                '⌀ of what moves' => '9',
                'Wall at, across' => '4.45',
                'Each measured to' => '0.02',
                'Room wanted, at least' => '1/16',
            ] as $label => $text
        ) {
            $this->fill($label, $text);
            $this->keys(WebDriverKeys::ENTER);
        }
        $this->stored();
        $this->sees('It hits: the two are 0.0500 in into each other', 'Make what moves no wider than 8.7');
        self::assertSame(1, preg_match('/no wider than (\d\.\d{4}) in/', $this->text(), $found));
        // By hand: 8.9 less twice 0.0625 is 8.775, less twice 1.39 of the doubt, √(0.01² + 0.02²) = 0.0224.
        self::assertEqualsWithDelta(8.775 - 2 * 1.391 * 0.0224, (float) $found[1], 0.001);
        $this->fill('⌀ of what moves', $found[1]);
        $this->keys(WebDriverKeys::ENTER);
        $this->sees('it clears');
        $this->stored();
    }

    public function test_what_if_moves_all_that_depends_on_it_and_stores_nothing_until_kept(): void
    {
        $loop = 'demo-drill-room-beside-the-pulley';
        $this->visit("/job/demo-drill/size?at={$loop}");
        $this->sees('Spacing washer: 0.12');
        $before = $this->api('/api/jobs/demo-drill')['facts']['loops'];
        $this->find("//button[starts-with(normalize-space(.), 'What if')]", 'what if')->click();
        $this->sees('nothing is stored');
        $size = "//*[@role='group' and @aria-label='Shoulder to pulley']//input";
        $this->find($size, 'size')->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $this->keys('1.635', WebDriverKeys::ENTER);
        $this->sees('Spacing washer: 0.13', 'Not stored.');
        // What it was stands struck out beside it, on the make card too.
        self::assertStringContainsString(
            '0.1225',
            $this->find("//*[@aria-label='Make card']//s", 'the old number')->getText(),
        );
        self::assertSame($before, $this->api('/api/jobs/demo-drill')['facts']['loops']);
        $this->press('Drop');
        $this->sees('Spacing washer: 0.12');
        $this->find('//body', 'page')->sendKeys('w');
        $this->sees('nothing is stored');
        $this->find($size, 'size')->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $this->keys('1.645', WebDriverKeys::ENTER);
        $this->sees('Spacing washer: 0.14');
        $this->press('Keep');
        $this->seesNot('Not stored.');
        $this->stored();
        $kept = array_column($this->api('/api/jobs/demo-drill')['facts']['loops'], null, 'id')[$loop];
        self::assertSame('1.645', $kept['lengths'][0]['size']['typed']);
        $this->sees('Spacing washer: 0.14');
    }
}

<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** The order of work in the person's hands: moved, left out, added to, and what that breaks. */
final class PlanTest extends BrowserTestCase
{
    use BuildsJobs;

    public function test_a_step_is_moved_left_out_and_added(): void
    {
        $this->visit('/job/demo-tedder/plan');
        $this->sees('Order of work', 'On: Lathe.');
        $before = array_column($this->api('/api/jobs/demo-tedder')['answers']['plan'], 'code');
        $this->press('Move step 4 up');
        $this->sees('Roughed after it was finished it moves');
        $this->stored();
        $after = array_column($this->api('/api/jobs/demo-tedder')['answers']['plan'], 'code');
        self::assertSame([$before[3], $before[2]], [$after[2], $after[3]]);
        $this->press('Back to the order that is worked out');
        $this->stored();
        $this->seesNot('Roughed after it was finished');
        // Two moves faster than the first is stored both count.
        $this->page->executeScript('document.querySelector("[aria-label=\'Move step 7 down\']").click(); document.querySelector("[aria-label=\'Move step 2 down\']").click();');
        $this->stored();
        $twice = array_column($this->api('/api/jobs/demo-tedder')['answers']['plan'], 'code');
        self::assertSame([$before[2], $before[1], $before[7], $before[6]], [$twice[1], $twice[2], $twice[6], $twice[7]]);
        $this->press('Leave step 1 out');
        $this->stored();
        self::assertNotContains($before[0], array_column($this->api('/api/jobs/demo-tedder')['answers']['plan'], 'code'));
        $this->waitFor(
            fn (): bool => $this->page->switchTo()->activeElement()->getAttribute('aria-label') === 'Leave step 1 out',
            'the hand does not stay where it was',
        );
        $this->fill('A step of your own', 'Show the old axle to the owner');
        $this->press('Add it');
        $this->sees('Show the old axle to the owner', 'Your own step.');
        $this->press('Put back what was left out');
        $this->stored();
        self::assertContains($before[0], array_column($this->api('/api/jobs/demo-tedder')['answers']['plan'], 'code'));
        self::assertStringContainsString('%PDF', (string) file_get_contents($this->rig->url.'/api/jobs/demo-tedder/sheet?unit=in&paper=a4'));
    }

    /** A part longer than the lathe takes, in a shop that says how long that is. */
    public function test_a_part_too_long_for_the_lathe(): void
    {
        $this->visit('/shop');
        $this->find("//*[@aria-label='Lathe']//button[contains(., 'Figures')]", 'figures of the lathe')->click();
        $this->fill('Between centres, in', '4');
        $this->waitFor(fn (): bool => $this->api('/api/shop')['machines'][0]['figures']['centres_mm'] === '4', 'it was not stored');
        $this->fill('Swing over the bed, in', 'wide');
        $this->sees('Lathe, swing over the bed');
        self::assertSame('13', $this->api('/api/shop')['machines'][0]['figures']['swing_mm'], 'what can’t be read is not stored');
        $this->go('/job/demo-tedder/plan');
        $this->sees('longer than the lathe takes between centres');
    }

    /** The next cut in the lines of the dial of the shop's own lathe. */
    public function test_a_cut_in_the_lines_of_the_dial(): void
    {
        $this->visit('/job/demo-drill/make');
        $this->field('Size now');
        $this->press('Bush outside');
        $this->fill('Size now', '1.1650'.WebDriverKeys::ENTER);
        $this->sees('Dial next, on the diameter', 'lines of the dial of Lathe, which reads the diameter');
    }

    /** What a piece of work takes is timed with one tap, and the next like it is quoted by that. */
    public function test_work_is_timed(): void
    {
        $this->visit('/job/demo-tedder/plan');
        $operation = $this->api('/api/jobs/demo-tedder')['facts']['operations'][0];
        $this->press("Start: {$operation['name']}");
        $this->sees('running, 0 min');
        $this->stored();
        // It has been running for three quarters of an hour.
        $this->change('demo-tedder', 'PUT', "/operations/{$operation['id']}", ['running_since' => gmdate('Y-m-d\\TH:i:s\\Z', time() - 45 * 60)]);
        $this->page->navigate()->refresh();
        $this->sees('running, 45 min');
        $this->press("Stop: {$operation['name']}");
        $this->sees('took 45 min', '45 min for what was timed, quoted');
        $this->stored();
        self::assertEqualsWithDelta(45.0, $this->api('/api/jobs/demo-tedder')['facts']['operations'][0]['spent_min'], 0.5);
    }

    /** Poured, not turned: the recipe in its order, with the number it is bored to. */
    public function test_a_pour_has_its_order(): void
    {
        $state = $this->newJob('poured-bearing');
        $id = $state['facts']['id'];
        foreach ([['Journal', '2.0000', 'outside-micrometer'], ['Shell bore', '2.600', 'three-point']] as [$surface, $typed, $tool]) {
            $this->read($state, $surface, $typed, $tool);
        }
        $this->visit("/job/{$id}/plan");
        $this->sees('Melt out the old lining', 'ring it and look at its loaded face', 'in line, running shims in');
        $this->press('Move step 4 up');
        $this->sees('Nothing can be set up any more once the metal is in');
    }

    /** A recipe of the shop is changed, put into an order of work, and steps of one's own become another. */
    public function test_a_recipe_is_changed_and_put_in(): void
    {
        $this->visit('/shop');
        $this->press('Shrink a ring on');
        $this->fill('Its steps, one a line', "Warm the ring to 180 °C\nDrop it on against the stop");
        $this->waitFor(
            fn (): bool => ($this->api('/api/shop')['recipes'][0]['steps'] ?? []) === ['Warm the ring to 180 °C', 'Drop it on against the stop'],
            'the recipe was not stored',
        );
        $this->fill('Name of the recipe', ' ');
        $this->sees('it is what the recipe is found by');
        self::assertSame('Shrink a ring on', $this->api('/api/shop')['recipes'][0]['name'], 'what can’t be is not stored');
        $this->go('/job/demo-tedder/plan');
        $this->choose('Put in a recipe', 'Shrink a ring on');
        $this->sees('Warm the ring to 180 °C', 'Drop it on against the stop');
        $this->stored();
        $own = $this->api('/api/jobs/demo-tedder')['facts']['plan']['own'];
        self::assertSame(['Warm the ring to 180 °C', 'Drop it on against the stop'], array_column($own, 'do'));
        // Words of one's own step are changed, and something is written at a step that is worked out.
        $last = count($this->api('/api/jobs/demo-tedder')['answers']['plan']);
        $this->press("Write at step {$last}");
        $this->fill("Words of step {$last}", 'Drop it on, letters up');
        $this->press('Write at step 3');
        $this->fill('To mind at step 3', 'The bar is bent at one end');
        $this->stored();
        $this->waitFor(
            fn (): bool => array_column($this->api('/api/jobs/demo-tedder')['answers']['plan'][2]['notes'], 'text', 'code')['remark'] === 'The bar is bent at one end',
            'the remark was not stored',
        );
        $this->press('Keep my own steps as a recipe');
        $this->fill('Name of the recipe', 'Our tyre');
        $this->press('Keep it');
        $this->sees('Kept: it stands under Shop');
        self::assertSame(['Warm the ring to 180 °C', 'Drop it on, letters up'], $this->api('/api/shop')['recipes'][1]['steps']);
    }

    /** What earlier cuts took off is said under Shop, and forgotten with one tap. */
    public function test_what_was_learned_is_said_and_forgotten(): void
    {
        $this->visit('/shop');
        $this->sees('Learned from the cut log', 'earlier cuts in like metal took off');
        $this->press('Forget it: the tool or the lathe is another');
        $this->seesNot('Learned from the cut log');
        self::assertSame([], $this->api('/api/shop')['learned']);
    }

    /** Cut too far: what it does, the ways out, and the decision, in one place. */
    public function test_a_size_cut_too_far(): void
    {
        $this->visit('/job/demo-tedder/make');
        $this->press('Register');
        $this->fill('Size after the cut', '1.5700'.WebDriverKeys::ENTER);
        $this->sees('Too small by', 'What now?', 'not as wanted', 'Make it again');
        $this->press('accepted as it is');
        $this->fill('Who', 'the bench');
        $this->fill('Why', 'the wheel is bushed next week');
        $this->press('accepted as it is');
        $this->seesNot('What now?');
        self::assertSame('the wheel is bushed next week', array_column($this->api('/api/jobs/demo-tedder')['facts']['concessions'], 'why')[1]);
    }

    /** A taper by trial: 0.120 out of 1 in 7.991 is 0.0150 on the diameter, by hand. */
    public function test_a_taper_by_how_far_it_stands_out(): void
    {
        $this->visit('/job/demo-blower/make');
        $this->press('Hub taper');
        $this->fill('Stands out now', '0.120');
        $this->sees('Take 0.0150 in more on the diameter, 0.0075 in by the cross slide.');
        $this->fill('Is to stand out', '0.200');
        $this->sees('It goes in further than wanted already');
    }
}

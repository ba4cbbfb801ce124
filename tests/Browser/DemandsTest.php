<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Every surface has its number: what is made first, cut again, tried together, decided on purpose. */
final class DemandsTest extends BrowserTestCase
{
    private function surface(string $job, string $name): string
    {
        return array_column($this->api("/api/jobs/{$job}")['facts']['surfaces'], 'id', 'name')[$name];
    }

    /** Two flange diameters and a shoulder that no joint touches: cut, one of them accepted as it is, handed over. */
    public function test_an_axle_is_cut_and_handed_over(): void
    {
        $journal = $this->surface('demo-tedder', 'Axle journal');
        $this->visit('/job/demo-tedder/make');
        $this->press('The rest of the part (5)');
        $this->sees('Oil guard land', 'Shoulder behind the flange', 'As the old one, 1.1806 in');
        $this->visit("/job/demo-tedder/make?at={$journal}:only");
        $this->fill('Size now', '1.1806');
        $this->press('Log it');
        $this->stored();
        $this->go('/job/demo-tedder/hand-over');
        $this->sees('below its limits', 'accepted as it is, by the bench');
        $this->press('Take it back');
        $this->stored();
        $this->sees('One is outside what was asked');
        $this->press('accepted as it is');
        $this->fill('Who', 'the bench');
        $this->press('accepted as it is');
        $this->sees('Say who decided it, and why');
        $this->fill('Why', 'the felt gives');
        $this->press('accepted as it is');
        $this->stored();
        $this->sees('accepted as it is, by the bench: the felt gives', '1 accepted as it is');
        $this->press('Hand it over');
        $this->sees('handed over');
    }

    public function test_a_bush_is_made_first_and_the_hole_bored_to_it(): void
    {
        [$hole, $bush] = [$this->surface('demo-drill', 'Housing bore'), $this->surface('demo-drill', 'Bush outside')];
        $this->visit("/job/demo-drill/survey?at={$hole}");
        $this->choose('What is done to it', 'cut again: bored, turned, faced');
        $this->stored();
        $this->go("/job/demo-drill/survey?at={$bush}");
        $this->fill('Diameter', '1.250 in');
        $this->choose('What is asked of it for itself', 'its size, with limits of its own');
        $this->fill('Over it by, at most', '0.002 in');
        $this->fill('Under it by, at most', '0.002 in');
        $this->keys("\u{E007}");
        $this->stored();
        $this->go('/job/demo-drill/size');
        $this->press('Bush outside');
        $this->stored();
        $this->sees('Make the bush outside first, and measure it');
        $this->go("/job/demo-drill/make?at={$bush}:only");
        $this->fill('Size now', '1.2510');
        $this->press('Log it');
        $this->stored();
        $this->go('/job/demo-drill/size');
        $this->sees('made first', '1.2510');
        self::assertStringContainsString('comes off on the diameter', $this->card('Housing bore'));
    }

    /** A worn boss bored out for a bought bush, with the wall left; read again when it is finished. */
    public function test_a_worn_boss_is_bored_for_a_bought_bush(): void
    {
        $hole = $this->surface('demo-hoist', 'Housing bore');
        $this->visit("/job/demo-hoist/make?at={$hole}:only");
        $this->sees('As it was it is 1.0124', 'The wall that is left is 0.3118');
        foreach (['Size now' => '1.2300', 'Size after the cut' => '1.2508'] as $label => $size) {
            $this->fill($label, $size);
            $this->press('Log it');
            $this->stored();
        }
        $this->go('/job/demo-hoist/measure');
        $this->press('Housing bore, finished');
        $this->find("//input[@aria-label='Housing bore, mouth, 0°']", 'first cell')->click();
        $this->keys('1.2509', "\u{E007}");
        $this->stored();
        $readings = $this->api('/api/jobs/demo-hoist')['facts']['readings'];
        self::assertSame('done', end($readings)['state']);
        $this->go('/job/demo-hoist/hand-over');
        $this->sees('1.2509');
    }

    /** It binds an eighth of a turn from home: so much comes off the face, and the number on the card is that. */
    public function test_a_trial_leads_to_the_face_off(): void
    {
        $length = $this->surface('demo-saw', 'Bush length');
        $loop = array_column($this->api('/api/jobs/demo-saw')['facts']['loops'], 'id', 'name')['Nut home on the stud'];
        $this->visit("/job/demo-saw/size?at={$loop}");
        $this->sees('Take 0.0072 in to 0.0132 in off “Bush length”', 'binds 0.0052 in from home');
        self::assertStringContainsString('1.9948', $this->card('Bush length'));
        $this->fill('or part of a turn', '1/16');
        $this->press('It binds');
        $this->sees('is not a number');
        $this->fill('or part of a turn', '0.0625');
        $this->press('It binds');
        $this->sees('Say the pitch of the thread too');
        $this->fill('of a thread of pitch', '1/24');
        $this->press('It binds');
        $this->stored();
        $this->sees('binds 0.0026 in from home', 'Take 0.0046 in to 0.0106 in off');
        $this->go("/job/demo-saw/make?at={$length}:only");
        $this->fill('Dialled, on diameter', '0.007');
        $this->fill('Size after the cut', '1.9950');
        $this->press('Log it');
        $this->stored();
        $this->go("/job/demo-saw/size?at={$loop}");
        $this->sees('It was cut again since it was tried');
    }

    /** One tap takes what this job does not have, with all that asks for it, and one tap brings in what it has. */
    public function test_not_here_and_also_here(): void
    {
        $this->visit('/job/demo-drill/survey');
        $this->press('Housing');
        $this->press('Not here: Housing length');
        $this->sees('Housing length has 2 readings, which are kept for the record');
        $this->press('Bush');
        $this->press('Not here: Bush length');
        $this->stored();
        self::assertNotContains('Bush length to housing', array_column($this->api('/api/jobs/demo-drill')['facts']['joints'], 'name'));
        $this->go('/job/demo-hoist/survey');
        $this->press('a wheel or pulley beside it');
        $this->stored();
        self::assertContains('Pulley rim beside the bearing’s foot', array_column($this->api('/api/jobs/demo-hoist')['facts']['clearances'], 'name'));
    }
}

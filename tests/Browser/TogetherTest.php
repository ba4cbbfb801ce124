<?php

declare(strict_types=1);

namespace Tests\Browser;

/** It comes apart, goes together in an order that is possible, fails once, is checked and run in. */
final class TogetherTest extends BrowserTestCase
{
    use BuildsJobs;

    public function test_apart_together_checked_and_run_in(): void
    {
        $this->visit('/job/demo-cider/survey');
        $this->press('Came off: Shaft');
        $this->fill('Match mark', 'two dots');
        $this->press('Came off: Flanged bush');
        $this->choose('Came off', 'pressed');
        $this->fill('Force to break it, N', '18000');
        $this->stored();
        $this->sees('By that force it sat');
        $this->visit('/job/demo-cider/assemble');
        $this->sees('In this order', 'Housing: stands ready');
        $names = static fn (array $job): array => array_column($job['answers']['assembly']['together']['items'], 'name');
        self::assertSame(['Housing: stands ready', 'Flanged bush', 'Shaft'], $names($this->api('/api/jobs/demo-cider')));
        // Two conditions that can't both be are named, and what gives way.
        $this->condition('Shaft', 'goes in before', 'Flanged bush');
        $this->sees('Shaft goes in before Flanged bush');
        self::assertSame(['Housing: stands ready', 'Shaft', 'Flanged bush'], $names($this->api('/api/jobs/demo-cider')));
        $this->condition('Shaft', 'once in, blocks the way of', 'Flanged bush');
        $this->sees('This can’t all be', 'What gives way most easily is');
        $this->press('Take out: Shaft before Flanged bush');
        $this->seesNot('This can’t all be');
        // A step that is not right sends it back, with the reason, and the reason is kept.
        $this->press('Not right: Flanged bush');
        $this->fill('What is wrong', 'It stuck half way and leans');
        $this->press('Back to Make');
        $this->sees('Not right: It stuck half way and leans');
        $this->stored();
        self::assertSame('Back to Make: It stuck half way and leans', $this->api('/api/jobs/demo-cider')['answers']['next']['says']['mm']);
        $this->press('It is mended: to do again');
        $this->seesNot('It stuck half way and leans');
        // A flow through a way, wanted and found.
        $this->press('+ Flow');
        $this->fill('At least, l/min', '2');
        $this->fill('Found, l/min', '1.5');
        $this->sees('not as wanted');
        $this->fill('Found, l/min', '2.5');
        $this->sees('as wanted');
        $this->fill('At least, l/min', 'a lot');
        $this->sees('is no number');
        // The first run settles.
        foreach ([['0', '20'], ['10', '40'], ['20', '40.5']] as [$minute, $celsius]) {
            $this->fill('After, min', $minute);
            $this->fill('Warm, °C', $celsius);
            $this->press('Note it');
            $this->sees("{$minute} min");
        }
        $this->sees('It has settled');
        $this->fill('No warmer than, °C', '40');
        $this->sees('Too warm');
        $this->stored();
        self::assertStringContainsString('%PDF', (string) file_get_contents($this->rig->url.'/api/jobs/demo-cider/sheet?unit=in&paper=a4'));
    }

    /** A stranger who takes in a like job reads what the last one taught. */
    public function test_last_time(): void
    {
        $this->visit('/job/demo-drill/take-in');
        $this->sees('Last time', 'Cut the oil groove before parting off');
        $this->visit('/job/demo-drill/hand-over');
        $this->fill('Look at it again on', '2027-06-31');
        $this->sees('is no day there is');
        $this->fill('Look at it again on', '2027-06-30');
        $this->stored();
        $calendar = (string) file_get_contents($this->rig->url.'/api/jobs/demo-drill/calendar');
        self::assertStringContainsString('20270630', $calendar);
    }

    private function condition(string $part, string $is, string $other): void
    {
        $this->choose('This part', $part);
        $this->choose('Condition', $is);
        $this->choose('That part', $other);
        $this->press('Add the condition');
        $this->stored();
    }
}

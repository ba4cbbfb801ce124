<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Facts\AssemblyFacts;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Making\TrialAssembly;
use Oldpart\Core\Quantity\Fields;
use PHPUnit\Framework\TestCase;

/** What goes in after what, the force it came off by, checks and the first run. */
final class AssemblyOrderTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $assembly  parts by their names
     * @return array<string, mixed>
     */
    private static function together(SampleJob $job, array $assembly = []): array
    {
        $parts = array_column($job->facts['parts'], 'id', 'name');
        $assembly += ['strip' => [], 'conditions' => [], 'order' => [], 'checks' => [], 'runs' => [], 'limit_c' => null];
        $assembly['strip'] = array_map(static fn (array $s): array => [
            'how' => 'by hand', 'force_n' => null, 'heat_c' => null, 'depth' => null, 'mark' => '', 'bag' => '', 'note' => '',
            ...$s, 'part' => $parts[$s['name']],
        ], $assembly['strip']);
        $assembly['conditions'] = array_map(static fn (array $c, int $i): array => [
            'id' => "c{$i}", 'part' => $parts[$c[0]], 'kind' => $c[1], 'other' => $parts[$c[2]], 'note' => $c[3] ?? '',
        ], $assembly['conditions'], array_keys($assembly['conditions']));
        $assembly['order'] = array_map(static fn (string $name): string => $parts[$name], $assembly['order']);
        $job->facts['assembly'] = $assembly;
        $answers = json_decode(json_encode(JobAnswers::of($job->build()), JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR);

        return $answers['assembly']['together'];
    }

    /** @return list<string> */
    private static function names(array $together): array
    {
        return array_column($together['items'], 'name');
    }

    /** What others go into first, then what sits tightest in it. */
    public function test_where_nobody_said_how_it_came_apart(): void
    {
        $together = self::together(SampleJob::measured());
        self::assertSame(['Housing: stands ready', 'Bush', 'Shaft'], self::names($together));
        self::assertFalse($together['ordered']);
        // The joint is said where the second of its parts goes in.
        self::assertStringContainsString('Bush in housing', $together['items'][1]['how'][0]['mm']);
        self::assertStringContainsString('Shaft in bush', $together['items'][2]['how'][0]['mm']);
    }

    /** A length may come out longer than what it stands in; that is no press, and no caution of one belongs to it. */
    public function test_only_what_is_pressed_has_the_cautions_of_a_press(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $cautions = static fn (SampleJob $job): array => array_column(
            json_decode(json_encode(JobAnswers::of($job->build()), JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR)['assembly']['cautions'],
            'code',
        );
        $proud = SampleJob::measured()->joint('Bush length to housing', ['least' => $mm('-0.05'), 'most' => $mm('0.10')]);
        self::assertContains('press-straight', $cautions($proud));
        $loose = $proud->joint('Bush in housing', ['least' => $mm('0.005'), 'most' => $mm('0.035')]);
        self::assertSame([], $cautions($loose));
    }

    public function test_as_it_came_apart_backwards(): void
    {
        $together = self::together(SampleJob::measured(), ['strip' => [['name' => 'Housing'], ['name' => 'Bush']]]);
        self::assertTrue($together['ordered']);
        self::assertSame(['Shaft: stands ready', 'Bush', 'Housing'], self::names($together));
    }

    public function test_a_condition_moves_it_and_says_so(): void
    {
        $together = self::together(SampleJob::measured(), ['conditions' => [['Shaft', 'before', 'Bush', 'the collar']]]);
        self::assertSame(['Housing: stands ready', 'Shaft', 'Bush'], self::names($together));
        // Moved against it, it stays as it can be, and that is said.
        $together = self::together(SampleJob::measured(), ['order' => ['Housing', 'Bush', 'Shaft'], 'conditions' => [['Shaft', 'before', 'Bush', 'the collar']]]);
        self::assertSame(['Housing: stands ready', 'Shaft', 'Bush'], self::names($together));
        self::assertStringContainsString('“Shaft” goes in before “Bush” (the collar)', $together['notes'][0]['text']);
        $together = self::together(SampleJob::measured(), ['conditions' => [['Bush', 'blocks', 'Shaft']]]);
        self::assertSame(['Housing: stands ready', 'Shaft', 'Bush'], self::names($together));
    }

    /** Before is given up sooner than what blocks. */
    public function test_a_ring_is_named_with_what_gives_way(): void
    {
        $together = self::together(SampleJob::measured(), ['conditions' => [['Bush', 'before', 'Shaft'], ['Bush', 'blocks', 'Shaft']]]);
        $note = $together['notes'][0];
        self::assertSame(['ring', 'stop', 'c0'], [$note['code'], $note['severity'], $note['about']]);
        self::assertStringContainsString('“Bush” blocks the way of “Shaft”', $note['text']);
        self::assertSame(['Housing: stands ready', 'Shaft', 'Bush'], self::names($together), 'the order does without the weaker one');
    }

    /** Screws are tightened once both parts are in, later where another part aligns them, sooner where one covers them. */
    public function test_screws_loose_until_and_covered(): void
    {
        $screwed = static fn (): SampleJob => SampleJob::measured()->joint('Bush in housing', ['held' => [[
            'kind' => 'bolts', 'size' => ['typed' => '8', 'unit' => 'mm'], 'size2' => null, 'long' => null, 'circle' => ['typed' => '50', 'unit' => 'mm'],
            'count' => 4, 'tighten_nm' => null, 'half_angle_deg' => null, 'material' => null, 'grade' => '8.8', 'turns' => 'oiled',
        ]]]);
        $tighten = 'Tighten “Bush in housing”';
        $together = self::together($screwed());
        self::assertSame(['Housing: stands ready', 'Bush', $tighten, 'Shaft'], self::names($together));
        // M8 8.8, 36.6 mm² · 580 · 0.75 = 15.9 kN; 0.13 to 0.17 of 8 mm: 17 to 22 N·m.
        self::assertStringContainsString('17 to 22 N·m', $together['items'][2]['how'][0]['mm']);
        self::assertStringContainsString('opposite ones in turn', $together['items'][2]['how'][0]['mm']);
        self::assertCount(1, $together['items'][2]['how']);
        $job = $screwed();
        $job->facts['joints'][0]['held'][] = [...$job->facts['joints'][0]['held'][0], 'kind' => 'dowels'];
        self::assertStringContainsString('Dowels:', self::together($job)['items'][2]['how'][1]['mm']);
        $together = self::together($screwed(), ['conditions' => [['Bush', 'loose until', 'Shaft']]]);
        self::assertSame(['Housing: stands ready', 'Bush', 'Shaft', $tighten], self::names($together));
        $together = self::together($screwed(), ['order' => ['Housing', 'Shaft', 'Bush'], 'conditions' => [['Shaft', 'covers', 'Bush']]]);
        self::assertSame(['Housing: stands ready', 'Bush', $tighten, 'Shaft'], self::names($together));
    }

    /** A spanner has to get at the screws of the bush before the shaft is in its way. */
    public function test_what_has_to_be_reached(): void
    {
        $job = SampleJob::measured()->joint('Bush in housing', ['held' => [[
            'kind' => 'set-screws', 'size' => ['typed' => '6', 'unit' => 'mm'], 'size2' => null, 'long' => null, 'circle' => null,
            'count' => 2, 'tighten_nm' => 8, 'half_angle_deg' => null, 'material' => null,
        ]]]);
        $together = self::together($job, ['order' => ['Housing', 'Shaft', 'Bush'], 'conditions' => [['Bush', 'reached before', 'Shaft', 'spanner']]]);
        self::assertSame(['Housing: stands ready', 'Bush', 'Tighten “Bush in housing”', 'Shaft'], self::names($together));
        self::assertStringContainsString('8.0 N·m', $together['items'][2]['how'][0]['mm']);
    }

    /** Each joint by its own fit: what it is pressed with, to what it may be warmed, what else holds it. */
    public function test_how_each_joint_goes_together(): void
    {
        $key = [
            'kind' => 'key', 'size' => ['typed' => '6', 'unit' => 'mm'], 'size2' => ['typed' => '6', 'unit' => 'mm'], 'long' => ['typed' => '20', 'unit' => 'mm'],
            'circle' => null, 'count' => 1, 'tighten_nm' => null, 'half_angle_deg' => null, 'material' => null,
        ];
        $how = static fn (SampleJob $job): string => implode(' ', array_column(self::together($job)['items'][1]['how'], 'mm'));
        $pressed = $how(SampleJob::measured()->finished()->joint('Bush in housing', ['purpose' => 'heavy-press', 'held' => [$key]]));
        self::assertStringContainsString('at full depth, where it holds', $pressed);
        self::assertStringContainsString('half way in half of that', $pressed);
        $light = $how(SampleJob::measured()->joint('Bush in housing', ['purpose' => 'light-press']));
        self::assertMatchesRegularExpression('/Without a press: the outer part warmed to \d+ °C|It may not be heated/', $light);
        self::assertStringContainsString('The key first', $pressed);
        $bonded = $how(SampleJob::measured()->joint('Bush in housing', ['purpose' => 'bonded']));
        self::assertStringContainsString('no oil near it', $bonded);
        self::assertStringNotContainsString('at full depth', $bonded);
    }

    /** Nothing turns in a lever on its pin: nobody is told to turn it. */
    public function test_it_is_turned_only_where_something_turns(): void
    {
        $codes = static fn (bool $turns): array => array_map(static fn ($s): string => $s->code, TrialAssembly::steps($turns));
        self::assertContains('check-turns', $codes(true));
        self::assertNotContains('check-turns', $codes(false));
        self::assertContains('check-sits', $codes(false));
    }

    /** F = μ p π d l turned round: what the press log itself says of a force at full depth. */
    public function test_what_the_force_tells_of_the_old_fit(): void
    {
        $off = ['name' => 'Bush', 'how' => 'pressed', 'force_n' => 8000];
        $job = SampleJob::measured()->joint('Bush in housing', ['purpose' => 'light-press']);
        $together = self::together($job, ['strip' => [$off, ['name' => 'Shaft', 'how' => 'by hand']]]);
        self::assertStringContainsString('By that force it sat', $together['came_off'][0]['mm']);
        self::assertNull($together['came_off'][1]);
        $together = self::together($job, ['strip' => [[...$off, 'how' => 'heated']]]);
        self::assertNull($together['came_off'][0], 'warmed, the force says nothing');
    }

    public function test_checks_after(): void
    {
        $check = static fn (string $least, string $most, string $found, string $unit = 'mm'): array => [
            'id' => "k{$least}{$most}{$found}", 'name' => 'End float', 'unit' => $unit, 'least' => $least, 'most' => $most, 'found' => $found, 'note' => '',
        ];
        $verdicts = array_column(self::together(SampleJob::measured(), ['checks' => [
            $check('0.05', '0.2', '0.1'), $check('0.05', '0.2', '0.201'), $check('0.05', '', '0.04'), $check('', '0.2', '0.2'), $check('0.05', '0.2', ''), $check('', '', '0.1'),
            $check('2', '', '2,5', 'l/min'), $check('0.2', '0.2', '0.2'),
        ]])['checks'], 'verdict');
        self::assertSame(['good', 'bad', 'bad', 'good', 'open', 'found', 'good', 'good'], $verdicts);
        foreach ([['0.3', '0.2', ''], ['a bit', '', '']] as [$least, $most, $found]) {
            try {
                AssemblyFacts::read(new Fields(['checks' => [$check($least, $most, $found)]], 'assembly'));
                self::fail('taken');
            } catch (BadInput $bad) {
                self::assertStringStartsWith('assembly.checks.0', $bad->field);
            }
        }
    }

    public function test_the_first_run(): void
    {
        $run = static fn (array $points, ?float $limit): ?array => self::together(SampleJob::measured(), [
            'runs' => array_map(static fn (array $p): array => ['minute' => $p[0], 'rpm' => null, 'celsius' => $p[1], 'note' => ''], $points),
            'limit_c' => $limit,
        ])['run'];
        self::assertNull($run([[0, null]], 80.0));
        self::assertStringContainsString('Still getting warmer', $run([[0, 20], [10, 35]], 80.0)['says']['mm']);
        // Written down later, it is put in its place.
        self::assertStringContainsString('It has settled', $run([[20, 45.5], [0, 20], [10, 45]], 80.0)['says']['mm']);
        // Read minute by minute a steep rise looks flat: it is settled over ten minutes only. Common practice.
        $steep = [[0, 20], [10, 30], ...array_map(static fn (int $m): array => [10 + $m, 30 + 0.8 * $m], range(1, 8))];
        self::assertStringContainsString('Still getting warmer, by 16.4 °C within 18 min', $run($steep, 80.0)['says']['mm']);
        self::assertFalse($run($steep, 80.0)['good']);
        self::assertStringContainsString('Too soon to say: 4 min', $run([[0, 20], [4, 20.5]], null)['says']['mm']);
        self::assertFalse($run([[0, 20], [4, 20.5]], null)['good']);
        self::assertStringContainsString('45.0 to 45.5 °C in 10 min', $run([[20, 45.5], [0, 20], [10, 45]], 80.0)['says']['mm']);
        self::assertTrue($run([[20, 45.5], [0, 20], [10, 45]], 80.0)['good']);
        self::assertTrue($run([[0, 20], [10, 21]], 21.0)['good'], 'a degree in ten minutes is settled, the limit itself is allowed');
        self::assertFalse($run([[0, 20]], null)['good']);
        self::assertStringContainsString('Too warm', $run([[0, 20], [10, 81]], 80.0)['says']['mm']);
        self::assertFalse($run([[0, 20], [10, 81]], 80.0)['good']);
    }

    /** What is not right is not ticked; the job goes back to Make with the reason. */
    public function test_a_step_that_failed(): void
    {
        $job = SampleJob::measured();
        $job->facts['ticks'] = [['id' => 't', 'code' => 'clean', 'at' => null, 'remark' => 'The bush rocks in its hole.', 'failed' => true]];
        $answers = JobAnswers::of($job->build());
        self::assertSame('Back to Make: The bush rocks in its hole.', $answers->next->says->mm);
        self::assertFalse($job->build()->isTicked('clean'));
        $job->facts['assembly'] = ['setbacks' => [['step' => 'Clean both.', 'why' => 'It rocks.', 'at' => null]]];
        self::assertSame('It rocks.', $job->build()->assembly->setbacks[0]->why);
        $job->facts['ticks'][0]['remark'] = ' ';
        $this->expectException(BadInput::class);
        JobFacts::fromArray($job->facts);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Answer\JointAnswer;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Remedy\JointWay;
use PHPUnit\Framework\TestCase;

/**
 * The ways to hold a joint: what the trade would and would not do, and that their order follows. Common practice, no
 * source.
 */
final class JointWaysTest extends TestCase
{
    private static function joint(SampleJob $job): JointAnswer
    {
        return JobAnswers::of($job->build())->jointAnswers[0];
    }

    /** @return array<string, JointWay> */
    private static function ways(SampleJob $job): array
    {
        return array_column(
            array_map(
                static fn (JointWay $w): array => ['code' => $w->row['code'], 'way' => $w],
                self::joint($job)->ways,
            ),
            'way',
            'code',
        );
    }

    private static function against(JointWay $way): string
    {
        return implode(' ', array_map(static fn ($s): string => $s->mm, $way->against));
    }

    private static function measured(string $boss): SampleJob
    {
        $job = (new SampleJob())->answered()->materials();
        foreach (['0', '90'] as $angle) {
            foreach (['mouth', 'middle', 'far end'] as $station) {
                $job->read('Housing bore', '30.000', 'three-point', $station, $angle);
            }
        }

        $job->facts['shop']['press_n'] = 20000.0;

        return $job
            ->read('Shaft journal', '22.000', 'outside-micrometer', 'middle')
            ->read('Boss outside', $boss, 'calliper')
            ->read('Housing length', '40.00', 'depth-micrometer');
    }

    public function test_thin_cast_iron_is_bonded_not_pressed(): void
    {
        $ways = self::ways(self::measured('36'));
        foreach (['light-press', 'medium-press', 'shrink', 'light-press-pin'] as $press) {
            self::assertFalse($ways[$press]->feasible, $press);
        }
        self::assertTrue($ways['bond']->feasible);
        self::assertSame('bond', array_key_first($ways));
        self::assertStringContainsString('thin cast iron', self::against($ways['light-press']));
        self::assertNotNull($ways['bond']->makes);
    }

    public function test_a_stout_boss_takes_a_light_press_first(): void
    {
        $ways = self::ways(self::measured('60'));
        self::assertTrue($ways['light-press']->feasible);
        self::assertSame('light-press', array_key_first($ways));
        self::assertTrue($ways['light-press']->chosen);
        self::assertFalse($ways['light-press-pin']->chosen);
        // What can be done stands before what can't.
        $order = array_map(static fn (JointWay $w): bool => $w->feasible, array_values($ways));
        self::assertSame(
            $order,
            array_merge(array_filter($order), array_filter($order, static fn (bool $f): bool => ! $f)),
        );
    }

    /**
     * What it must hold rules out what can't: 200 N·m is beyond a light press of 30 µm on 30 × 40 mm, a key takes it.
     */
    public function test_what_it_must_hold_decides(): void
    {
        $ways = self::ways(self::measured('60')->joint('Bush in housing', ['needs_torque_nm' => 200.0]));
        self::assertFalse($ways['light-press']->feasible);
        self::assertStringContainsString('N·m at worst', self::against($ways['light-press']));
        // Half as much again as is asked: 300 N·m.
        self::assertStringContainsString('300.0 is asked with the factor', self::against($ways['light-press']));
        self::assertTrue($ways['light-press-pin']->feasible);
        self::assertTrue($ways['key']->feasible);
        // 20 kN·m is beyond any press of 30 × 40, the tightest too.
        $much = self::ways(self::measured('60')->joint('Bush in housing', ['needs_torque_nm' => 20000.0]));
        self::assertStringContainsString('N·m at worst', self::against($much['shrink']));
    }

    public function test_a_weak_press_a_plastic_bush_a_poor_reading(): void
    {
        $weak = self::measured('60');
        $weak->facts['shop']['press_n'] = 500.0;
        self::assertStringContainsString('your press gives 500 N', self::against(self::ways($weak)['medium-press']));
        $plastic = self::ways(self::measured('60')->materials('grey cast iron, ordinary', 'nylon'));
        self::assertStringContainsString('creeps', self::against($plastic['light-press']));
        $poor = (new SampleJob())->answered()->materials()->read('Housing bore', '30.0', 'calliper', 'mouth');
        self::assertStringContainsString('not read well enough', self::against(self::ways($poor)['light-press']));
    }

    /** A running joint has no ways to hold it; a stop withholds them. */
    public function test_where_there_are_none(): void
    {
        self::assertSame([], JobAnswers::of(self::measured('60')->build())->jointAnswers[1]->ways);
        $stopped = self::measured('60');
        $stopped->facts['take_in']['gates'] = ['pressure'];
        self::assertSame([], self::joint($stopped)->ways);
    }

    /**
     * By hand for the bush of 30 in iron, 1 to 35 µm: 18e-6 against 10.5e-6 tightens with heat; heat needed (35 +
     * 30)e-3/(10.5e-6 · 30) = 206 K.
     */
    public function test_hot_and_cold_in_the_job(): void
    {
        $shown = json_decode(
            json_encode(self::joint(self::measured('60')), JSON_THROW_ON_ERROR),
            true,
            64,
            JSON_THROW_ON_ERROR,
        )['hot_and_cold'];
        self::assertSame('227 °C', $shown['heat']['mm']);
        self::assertStringContainsString('does not loosen', $shown['gone_at']['mm']);
        self::assertCount(3, $shown['cold']);
        self::assertStringContainsString('household freezer (−18 °C)', $shown['cold'][0]['mm']);
        // The band leaves U at both ends of the fit: all but a few in a thousand grip.
        self::assertMatchesRegularExpression('/: (99\.\d|100) grip/', $shown['chances']['mm']);
        // Where it runs warm, or cold, that is said with it; at twenty degrees it is not.
        self::assertStringNotContainsString('°C', $shown['chances']['mm']);
        foreach ([120.0 => ' grip at 120 °C', -20.0 => ' grip at −20 °C'] as $runs => $says) {
            $job = self::measured('60');
            $job->facts['take_in']['runs_at_c'] = (float) $runs;
            $its = json_decode((string) json_encode(self::joint($job)), true)['hot_and_cold'];
            self::assertStringContainsString($says, $its['chances']['mm']);
        }
        $aluminium = json_decode(
            json_encode(self::joint(self::measured('60')->materials('aluminium casting alloy')), JSON_THROW_ON_ERROR),
            true,
            64,
            JSON_THROW_ON_ERROR,
        )['hot_and_cold'];
        self::assertMatchesRegularExpression('/gone at|nothing grips/', $aluminium['gone_at']['mm']);
    }

    /**
     * A screw of 400 MPa steel, 16 × 2, in an insert of bronze (240 MPa): by hand A_s 156.7 mm² breaks at 400 MPa;
     * strips 0.577 · 240 · 0.875 π 16 a millimetre in the bronze, 10.3 mm; shorter than that it says so.
     */
    public function test_a_thread_that_strips_first(): void
    {
        $next = 0;
        $facts = JobFile::toArray(
            Kind::named('threaded-insert')->layOut(
                'job',
                'Rig',
                'Insert',
                Unit::Millimetre,
                new ShopFacts('Shop', 20, 0.01, 0.5, 1e4),
                static function () use (&$next): string {
                    return 'i'.++$next;
                },
            ),
        );
        $thread = array_values(
            array_filter($facts['joints'], static fn (array $j): bool => $j['purpose'] === 'thread'),
        )[0];
        $at = array_search($thread['id'], array_column($facts['joints'], 'id'), true);
        $shown = static function (string $long, string $outside = '40') use ($facts, $thread, $at): ?array {
            $parts = [];
            foreach ($facts['surfaces'] as &$surface) {
                if (in_array($surface['id'], [$thread['inner'], $thread['outer']], true)) {
                    $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
                    $surface = [...$surface, 'size' => $mm('16'), 'pitch' => $mm('2'), 'long' => $mm($long)];
                    $parts[$surface['id']] = $surface['part'];
                }
            }
            foreach ($facts['surfaces'] as &$surface) {
                if ($surface['kind'] === 'shaft' && $surface['part'] === $parts[$thread['outer']]) {
                    $surface['size'] = ['typed' => $outside, 'unit' => 'mm'];
                }
            }
            unset($surface);
            foreach ($facts['parts'] as &$part) {
                $part['material'] =
                    $part['id'] === $parts[$thread['inner']]
                        ? 'low-carbon steel, cold drawn'
                        : ($part['id'] === $parts[$thread['outer']]
                            ? 'leaded tin bronze (bearing)'
                            : null);
            }
            unset($part);
            $joint = JobAnswers::of(JobFile::fromArray($facts))->jointAnswers[(int) $at];

            return json_decode(json_encode($joint, JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR)['thread'];
        };
        // Tensile of cold drawn steel 420 MPa: 420 · 156.7/(0.577 · 240 · 0.875 π 16) = 10.8 mm.
        self::assertStringContainsString('10.8', $shown('20')['says']['mm'] ?? '');
        self::assertNotContains('thread-strips', array_column($shown('20')['notes'] ?? [], 'code'));
        self::assertContains('thread-strips', array_column($shown('8')['notes'] ?? [], 'code'));
        // A quarter of 16 round it is 24 across.
        self::assertContains('thread-wall', array_column($shown('20', '23.9')['notes'] ?? [], 'code'));
        self::assertNotContains('thread-wall', array_column($shown('20', '24')['notes'] ?? [], 'code'));
    }

    /**
     * A housing of 60 that is itself pressed into a frame of the same iron, 120 outside, is for the bush one ring of
     * 120 (Lamé): the same pressure and closing as in a solid housing of 120, and more than in one of 60 that stands
     * free.
     */
    public function test_a_housing_that_is_itself_pressed_into_something(): void
    {
        $closing = static function (SampleJob $job): array {
            foreach (JobAnswers::of($job->build())->joints as $joint) {
                if ($joint->press !== null) {
                    return [$joint->press->boreClosingMm->max, $joint->press->pressureMpa->max];
                }
            }
            self::fail('no press');
        };
        $pressed = static fn (SampleJob $job): SampleJob => $job->joint('Bush in housing', [
            'purpose' => 'medium-press',
        ]);
        $free = $closing($pressed(SampleJob::measured()));
        $solid = $pressed(SampleJob::measured());
        foreach ($solid->facts['readings'] as &$reading) {
            $reading['value'] =
                $reading['surface'] === $solid->surface('Boss outside')
                    ? ['typed' => '120', 'unit' => 'mm']
                    : $reading['value'];
        }
        unset($reading);
        $backed = $pressed(SampleJob::measured());
        $housing = array_column($backed->facts['parts'], null, 'name')['Housing'];
        $blank = array_column($backed->facts['surfaces'], null, 'name')['Housing bore'];
        $backed->facts['parts'][] = [...$housing, 'id' => 'frame', 'name' => 'Frame'];
        $backed->facts['surfaces'][] = [...$blank, 'id' => 'frame-bore', 'part' => 'frame', 'name' => 'Frame bore'];
        $backed->facts['surfaces'][] = [
            ...$blank,
            'id' => 'frame-outside',
            'part' => 'frame',
            'name' => 'Frame outside',
            'kind' => 'shaft',
        ];
        $backed->facts['joints'][] = [
            ...array_column($backed->facts['joints'], null, 'name')['Bush in housing'],
            'id' => 'in-frame',
            'name' => 'Housing in frame',
            'inner' => $backed->surface('Boss outside'),
            'outer' => 'frame-bore',
            'along' => null,
        ];
        $backed->read('Frame outside', '120', 'calliper');
        self::assertEqualsWithDelta($closing($solid), $closing($backed), 1e-6);
        self::assertGreaterThan($free[0], $closing($backed)[0]);
    }

    /** What is asked of a press is said with its factor of one and a half: 300 N·m of 200. */
    public function test_how_much_is_asked(): void
    {
        $ways = self::ways(self::measured('60')->joint('Bush in housing', ['needs_torque_nm' => 200.0]));
        self::assertStringContainsString('300.0 is asked with the factor', self::against($ways['light-press']));
    }

    /** What asks for little is held by any of them, and what can be welded may be. */
    public function test_what_speaks_against_nothing(): void
    {
        $ways = self::ways(self::measured('60')->materials('low-carbon steel, cold drawn', 'low-carbon steel, cold drawn')
            ->change('Bush outside', ['finish' => 'ground'])->change('Housing bore', ['finish' => 'honed'])
            ->joint('Bush in housing', ['needs_torque_nm' => 0.5]));
        self::assertStringNotContainsString('N·m at worst', self::against($ways['shrink']));
        self::assertStringNotContainsString('welded', self::against($ways['weld']));
        $iron = self::ways(self::measured('60')->materials('grey cast iron, ordinary', 'low-carbon steel, cold drawn'));
        self::assertStringContainsString('Grey cast iron, ordinary is not to be welded', self::against($iron['weld']));
    }

    /** No compound holds 20 kN·m on 30 by 40: that it does not is said. Where nothing has to be held, nothing is. */
    public function test_a_compound_has_its_limit(): void
    {
        $ways = self::ways(self::measured('60')->joint('Bush in housing', ['needs_torque_nm' => 20000.0]));
        self::assertFalse($ways['bond']->feasible);
        self::assertStringContainsString('A compound holds', self::against($ways['bond']));
        foreach ([null, 0.5] as $little) {
            $ways = self::ways(self::measured('60')->joint('Bush in housing', ['needs_torque_nm' => $little]));
            self::assertTrue($ways['bond']->feasible);
            self::assertStringNotContainsString('A compound holds', self::against($ways['bond']));
        }
    }

    /** Iron cracks where steel gives: a ring that is too thin for a shrink of 30. */
    public function test_what_becomes_of_a_thin_ring_is_told(): void
    {
        self::assertStringContainsString('it may crack.', self::against(self::ways(self::measured('36'))['medium-press']));
        $steel = self::against(self::ways(self::measured('33')->materials('low-carbon steel, cold drawn'))['shrink']);
        self::assertStringContainsString('it gives.', $steel);
        self::assertStringNotContainsString('crack', $steel);
    }

    /**
     * By hand, a bronze bush of 30, 61 µm tight, with 30 to drop in: hardened steel (11.9e-6) needs 91 µm/(11.9e-6 · 30) = 255 K,
     * 275 °C; with the bush in dry ice (18e-6 · 30 · 98, less a quarter toward the cold: 47 µm) still 124 K, 143 or 144 °C; it
     * stands 120. Aluminium (23e-6) stands the same and needs 152, with dry ice 84: it can be done.
     */
    public function test_dry_ice_saves_what_heat_alone_would_spoil(): void
    {
        $hot = static fn (string $housing): string => self::against(self::ways(self::measured('60')->materials($housing))['shrink']);
        self::assertMatchesRegularExpression(
            '/It would take 27[56] °C, and with dry ice for the other still 14[345] °C; the part around it stands 120 °C\./',
            $hot('bearing or tool steel, hardened'),
        );
        self::assertStringNotContainsString('It would take', $hot('unknown aluminium'));
        self::assertStringNotContainsString('It would take', $hot('low-carbon steel, cold drawn'));
    }
}

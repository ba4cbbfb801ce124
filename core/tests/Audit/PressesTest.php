<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Audit;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Joint\MateForm;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Joint\Roughness;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Tests\Evaluate\SampleJob;
use PHPUnit\Framework\TestCase;

/**
 * Cases of an outside audit of press fits, by their numbers there; what is expected is worked by hand from Lamé and DIN
 * 7190-1.
 */
final class PressesTest extends TestCase
{
    /** @param  array<string, mixed>  $joint */
    private static function joint(SampleJob $job, array $joint = [], string $name = 'Bush in housing'): SizedJoint
    {
        $job->joint($name, $joint);
        foreach (JobAnswers::of($job->build())->joints as $answer) {
            if ($answer->joint->name === $name) {
                return $answer;
            }
        }
        self::fail("{$name} is not here");
    }

    /** @return list<string> */
    private static function codes(SizedJoint $answer): array
    {
        return array_map(static fn (Note $n): string => $n->code, $answer->press->notes ?? []);
    }

    private static function press(SizedJoint $answer): Press
    {
        return $answer->press ?? self::fail($answer->pressBlocked->mm ?? 'no mechanics, and no word why');
    }

    /** Lamé by hand: p = δ/(d[…]), closing 2 p d² d_i/(E (d² − d_i²)); bronze 100 GPa, 0.34 in iron 100 GPa, 0.24. */
    private static function closes(float $delta, float $d, float $di, float $do): float
    {
        $p =
            $delta /
            ($d *
                ((($do ** 2 + $d ** 2) / ($do ** 2 - $d ** 2) + 0.24) / 100e3 +
                    (($d ** 2 + $di ** 2) / ($d ** 2 - $di ** 2) - 0.34) / 100e3));

        return (2 * $p * $d ** 2 * $di) / (100e3 * ($d ** 2 - $di ** 2));
    }

    /**
     * H7/n6 and limits typed from 0.001 loose to 0.030 tight: the bore closes where it is tight, from nothing to
     * Lamé's, and holds nothing for sure.
     */
    public function test_1_a_joint_that_can_be_tight_has_its_mechanics(): void
    {
        foreach (
            [
                ['purpose' => 'tap-tight', 'school' => 'iso'],
                ['least' => ['typed' => '-0.030', 'unit' => 'mm'], 'most' => ['typed' => '0.001', 'unit' => 'mm']],
            ] as $asked
        ) {
            $job = SampleJob::measured()->finished();
            $answer = self::joint($job, $asked);
            $press = self::press($answer);
            $most = -($answer->wantedMm->min ?? 0.0);
            self::assertGreaterThan(0.02, $most);
            $di = $press->fit->innerBoreMm;
            self::assertEqualsWithDelta(
                self::closes($most - 0.0016, 30.0, $di, 60.0),
                $press->boreClosingMm->max,
                1e-5,
            );
            self::assertSame(0.0, $press->boreClosingMm->min);
            self::assertSame(0.0, $press->holdTorqueNm->min);
            self::assertContains('may-be-loose', self::codes($answer));
            $labels = array_column(JobAnswers::of($job->build())->make, 'label');
            self::assertContains(
                'Bush bore, after pressing',
                $labels,
                'its bore is not cut only once, as if it stayed',
            );
        }
    }

    /**
     * A bore of 25.04 at the mouth and 24.96 at the far end: 80 µm out, more than any press there makes. What each end
     * is like is said.
     */
    public function test_2_form_of_the_mate_counts_in_a_press(): void
    {
        $job = (new SampleJob())->answered()->materials()->finished();
        foreach (['mouth' => '25.040', 'middle' => '25.000', 'far end' => '24.960'] as $station => $mm) {
            foreach (['0', '90'] as $angle) {
                $job->read('Housing bore', $mm, 'three-point', $station, $angle);
            }
        }
        $job->read('Shaft journal', '18.000', 'outside-micrometer')
            ->read('Boss outside', '50', 'calliper')
            ->read('Housing length', '30', 'depth-micrometer');
        $answer = self::joint($job);
        $press = self::press($answer);
        self::assertContains('form-exceeds', self::codes($answer));
        self::assertSame(0.0, $press->holdTorqueNm->min, 'loose at the mouth');
        self::assertEqualsWithDelta(0.04, $press->fit->form->tighterMm, 1e-9);
        // H7/p6: 1 to 35 µm on the mean, so up to 75 at the far end, less 1.6 for honed surfaces.
        self::assertEqualsWithDelta(0.075 - 0.0016, $press->gripMm->max, 1e-6);
        // The band leaves 7 to 29 on the mean as read: 11 to 33 loose at the mouth, 47 to 69 tight at the far end.
        $says = implode(' ', array_map(static fn (Note $n): string => $n->say->mm, $press->notes));
        self::assertMatchesRegularExpression(
            '/mouth: 0\.01\d mm to 0\.03\d mm loose.*far end: 0\.04\d mm to 0\.0[67]\d mm tight/',
            $says,
        );
    }

    /**
     * Lamé at the tightest spot cracks, at the loosest holds: by hand for 20 µm on the mean with a spot 10 tighter and
     * one 15 looser.
     */
    public function test_2_cracking_by_the_tightest_holding_by_the_loosest(): void
    {
        $steel = new Material('steel', 'steel', 207, 0.29, 11.7e-6, 350, 420, false);
        $at = static fn (Range $i, ?MateForm $form = null): Press => Press::of(
            new PressFit(50, 0, 100, 40, $i, $steel, $steel, new Friction(0.1, 0.1, 'by hand'), form: $form),
        );
        $press = $at(new Range(0.02, 0.02), new MateForm(0.01, 0.015, ['a' => 0.005, 'b' => -0.005]));
        self::assertEqualsWithDelta($at(new Range(0.03, 0.03))->outerHoopMpa->max, $press->outerHoopMpa->max, 1e-9);
        self::assertEqualsWithDelta($at(new Range(0.005, 0.005))->holdTorqueNm->min, $press->holdTorqueNm->min, 1e-9);
        self::assertEqualsWithDelta(
            $at(new Range(0.02, 0.02))->pressForceN,
            $press->pressForceN,
            1e-6,
            'the force is of the whole length',
        );
    }

    /**
     * A spigot far from the joint says nothing of its wall: the answer is that of the plain boss, whatever its size.
     */
    public function test_3_only_the_wall_under_the_joint_counts(): void
    {
        $plain = self::press(self::joint(SampleJob::measured()));
        foreach (['32.000', '24.000'] as $spigot) {
            $job = SampleJob::measured();
            $job->facts['surfaces'][] = [
                ...$job->facts['surfaces'][1],
                'id' => 'spigot',
                'name' => 'Spigot',
                'kind' => 'shaft',
                'sketch' => null,
                'at' => ['typed' => '60', 'unit' => 'mm'],
                'long' => ['typed' => '15', 'unit' => 'mm'],
            ];
            $press = self::press(self::joint($job->read('Spigot', $spigot, 'outside-micrometer')));
            self::assertEqualsWithDelta($plain->boreClosingMm->max, $press->boreClosingMm->max, 1e-9, $spigot);
            self::assertEqualsWithDelta(60.0, $press->fit->outerOdMm, 1e-6);
        }
    }

    /** An oil hole nobody measured, first in the list, is not the bore of the bush. */
    public function test_3_an_oil_hole_does_not_block_the_press(): void
    {
        $job = SampleJob::measured();
        $bush = $job->facts['surfaces'][5];
        self::assertSame('Bush bore', $bush['name']);
        array_unshift($job->facts['surfaces'], [...$bush, 'id' => 'oil', 'name' => 'Oil hole', 'sketch' => null]);
        self::assertGreaterThan(20.0, self::press(self::joint($job))->fit->innerBoreMm);
    }

    /**
     * The boss is 60 over half of the joint and 45 over the rest: forces of both added, the thinner one pulled most; by
     * hand from Lamé.
     */
    public function test_3_a_boss_that_steps_is_reckoned_stretch_by_stretch(): void
    {
        $job = SampleJob::measured()
            ->finished()
            ->change('Boss outside', [
                'at' => ['typed' => '0', 'unit' => 'mm'],
                'long' => ['typed' => '20', 'unit' => 'mm'],
            ]);
        $job->facts['surfaces'][] = [
            ...$job->facts['surfaces'][1],
            'id' => 'neck',
            'name' => 'Neck',
            'kind' => 'shaft',
            'sketch' => null,
            'at' => ['typed' => '20', 'unit' => 'mm'],
            'long' => ['typed' => '20', 'unit' => 'mm'],
        ];
        $press = self::press(self::joint($job->read('Neck', '45.000', 'outside-micrometer')));
        self::assertCount(2, $press->stretches);
        $di = $press->fit->innerBoreMm;
        $delta = $press->effectiveMm->max;
        self::assertEqualsWithDelta(self::closes($delta, 30, $di, 60), $press->boreClosingMm->max, 2e-5);
        $p = static fn (float $do): float => $delta /
            (30 *
                ((($do ** 2 + 900) / ($do ** 2 - 900) + 0.24) / 100e3 +
                    ((900 + $di ** 2) / (900 - $di ** 2) - 0.34) / 100e3));
        self::assertEqualsWithDelta(
            $press->fit->friction->high * M_PI * 30 * 20 * ($p(60) + $p(45)),
            $press->pressForceN,
            5,
        );
        self::assertEqualsWithDelta(($p(45) * (2025 + 900)) / (2025 - 900), $press->outerHoopMpa->max, 0.05);
    }

    /**
     * Aluminium housing, steel bush, 180 °C: 30 mm · (23.5 − 11.7)e-6 · 160 K = 0.0566 looser, more than H7/p6 ever
     * grips.
     */
    public function test_4_how_warm_it_runs_decides_the_grip(): void
    {
        $job = SampleJob::measured()
            ->finished()
            ->materials('aluminium alloy, wrought, aged', 'low-carbon steel, cold drawn');
        $cold = self::joint($job);
        self::assertNotContains('grip-gone-warm', self::codes($cold));
        $job->facts['take_in']['runs_at_c'] = 180.0;
        $answer = self::joint($job);
        self::assertContains('grip-gone-warm', self::codes($answer));
        self::assertSame(0.0, self::press($answer)->holdTorqueNm->min);
        self::assertStringContainsString(
            '0 grip at 180 °C',
            json_decode((string) json_encode(JobAnswers::of($job->build())->jointAnswers[0]), true)['hot_and_cold'][
                'chances'
            ]['mm'],
        );
    }

    /**
     * Bronze grows more than iron: 30 mm · 7.5e-6 · 80 K = 0.018 more interference pulls the iron, none of it holds at
     * 20 °C.
     */
    public function test_4_what_tightens_warm_pulls_more_and_holds_no_more_cold(): void
    {
        $job = SampleJob::measured()->finished();
        $cold = self::press(self::joint($job));
        $job->facts['take_in']['runs_at_c'] = 100.0;
        $warm = self::press(self::joint($job));
        self::assertEqualsWithDelta($cold->gripMm->max + 30 * 7.5e-6 * 80, $warm->gripMm->max, 1e-9);
        self::assertEqualsWithDelta($cold->holdTorqueNm->min, $warm->holdTorqueNm->min, 1e-9);
    }

    /**
     * A bronze bush on a steel shaft, warm: 22 mm · (18 − 11.5)e-6 · 100 K = 0.0143 more room; a steel bush on bronze
     * would lose it.
     */
    public function test_4_clearance_and_bonds_say_how_they_run(): void
    {
        $job = SampleJob::measured();
        $job->facts['take_in']['runs_at_c'] = 120.0;
        $notes = array_column(self::joint($job, [], 'Shaft in bush')->notes, null, 'code');
        self::assertStringContainsString('0.014 mm looser', $notes['runs-warm']->say->mm);
        $job = SampleJob::measured()->materials(bush: 'stainless, austenitic');
        $job->facts['take_in']['runs_at_c'] = 180.0;
        $bonded = array_column(self::joint($job, ['purpose' => 'bonded'])->notes, 'code');
        self::assertContains('bond-too-hot', $bonded);
        $job->facts['take_in']['runs_at_c'] = 130.0;
        self::assertContains('bond-hot', array_column(self::joint($job, ['purpose' => 'bonded'])->notes, 'code'));
    }

    /** DIN 7190-1: turned against bored loses 0.8 (25 + 16) = 33 µm at worst; ground in honed 0.8 (4 + 2) = 4.8. */
    public function test_5_roughness_counts_and_can_be_said(): void
    {
        $answer = self::joint(SampleJob::measured(), ['purpose' => 'medium-press']);
        self::assertContains('roughness-assumed', self::codes($answer));
        $delta = -($answer->wantedMm->max ?? 0.0);
        self::assertEqualsWithDelta(max(0.0, $delta - 0.0328), self::press($answer)->effectiveMm->min, 1e-9);
        $job = SampleJob::measured()
            ->change('Bush outside', ['finish' => 'ground'])
            ->change('Housing bore', ['rz_um' => 2.0]);
        $said = self::joint($job, ['purpose' => 'medium-press']);
        self::assertNotContains('roughness-assumed', self::codes($said));
        self::assertEqualsWithDelta(max(0.0, $delta - 0.0048), self::press($said)->effectiveMm->min, 1e-9);
        self::assertEqualsWithDelta(
            (0.8 * (2 + 2)) / 1000,
            Roughness::loss(Roughness::of('ground'), Roughness::measured(2.0))->min,
            1e-12,
        );
    }

    /** 1.86 N·m is at least 1.8, never 1.9; a force of 1,234 N is up to 1.3 kN. */
    public function test_5_at_least_is_never_rounded_up(): void
    {
        self::assertSame('1.8 N·m', \Oldpart\Core\Quantity\Figure::torqueAtLeast(1.86));
        self::assertSame('19 N·m', \Oldpart\Core\Quantity\Figure::torqueAtLeast(19.99));
        self::assertSame('1.3 kN', \Oldpart\Core\Quantity\Figure::forceUpTo(1234));
        self::assertSame('1.2 kN', \Oldpart\Core\Quantity\Figure::forceAtLeast(1290));
        self::assertSame('2.0 N·m', \Oldpart\Core\Quantity\Figure::torqueUpTo(2.0));
    }

    /**
     * A leaded-bronze bush gives a little in a usual press, and is then finished in place: common practice, no stop.
     */
    public function test_10_a_bush_that_gives_a_little_is_a_caution(): void
    {
        $bronze = Material::named('leaded tin bronze (bearing)');
        $press = Press::of(
            new PressFit(
                25,
                20,
                60,
                25,
                new Range(0.014, 0.048),
                $bronze,
                Material::named('low-carbon steel, cold drawn'),
            ),
        );
        self::assertLessThan(1.0, $press->innerFactor);
        $note = array_column($press->notes, null, 'code')['inner-yields'];
        self::assertSame('caution', $note->severity->value);
        self::assertStringContainsString('in place', $note->say->mm);
        self::assertNotContains('stop', array_map(static fn (Note $n): string => $n->severity->value, $press->notes));
    }
}

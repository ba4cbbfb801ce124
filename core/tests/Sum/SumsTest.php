<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Sum\Sums;
use PHPUnit\Framework\TestCase;

final class SumsTest extends TestCase
{
    public function test_every_example_works_and_explains_itself(): void
    {
        foreach (Sums::all() as $sum) {
            $out = Sums::run($sum->name(), $sum->example());
            self::assertArrayHasKey('notes', $out, $sum->name());
            $working = json_decode((string) json_encode($out['working']), true);
            self::assertNotSame([], $working, $sum->name());
            foreach ($working as $step) {
                self::assertNotSame('', $step['source'], $sum->name());
            }
            self::assertNotFalse(json_encode($out, JSON_THROW_ON_ERROR));
        }
    }

    public function test_unknown_keys_and_missing_ones_are_refused(): void
    {
        foreach (Sums::all() as $sum) {
            try {
                Sums::run($sum->name(), [...$sum->example(), 'zzz' => 1]);
                self::fail($sum->name().' took an unknown key');
            } catch (BadInput $bad) {
                self::assertSame(['unknown-key', 'zzz'], [$bad->reason, $bad->field]);
            }
            try {
                Sums::run($sum->name(), []);
                self::fail($sum->name().' took nothing');
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->field);
            }
        }
    }

    /** The contract's keys, and Shigley's joint through it (77.6 MPa). */
    public function test_press_contract(): void
    {
        $steel = ['e_gpa' => 207, 'nu' => 0.29];
        $out = Sums::run('press', [
            'd_mm' => 50,
            'inner_bore_mm' => 0,
            'outer_od_mm' => 100,
            'length_mm' => 40,
            'interference_mm' => ['min' => 0.05, 'max' => 0.05],
            'inner' => $steel,
            'outer' => $steel,
        ]);
        $json = json_decode((string) json_encode($out), true);
        self::assertEqualsWithDelta(77.6, $json['pressure_mpa']['max'], 0.05);
        self::assertNull($json['inner_bore_hoop_mpa']);
        self::assertNull($json['outer_factor'], 'no limit is known');
        self::assertEqualsWithDelta(0.0, $json['bore_closing_mm']['max'], 1e-12);
        foreach (['outer_growth_mm', 'hold_axial_n', 'hold_torque_nm', 'press_force_n', 'inner_factor'] as $key) {
            self::assertArrayHasKey($key, $json);
        }
    }

    public function test_size_to_mate_contract(): void
    {
        $out = Sums::run('size-to-mate', [
            'make' => 'shaft',
            'mate' => ['size_mm' => 30, 'u95_mm' => 0.02],
            'clearance_mm' => ['min' => -0.035, 'max' => -0.001],
        ]);
        self::assertFalse($out['possible']);
        self::assertNull($out['lower_mm']);
        self::assertEqualsWithDelta(0.017, $out['needed_u95_mm'], 1e-9);
    }

    /**
     * A round bore of 30.000 for a shaft to go in by hand: works 0 to 0.048 (common practice), so the aim is 29.976; two
     * standard uncertainties of 0.012 either way are 95.45 of 100 at the best (normal table), a little less over the band.
     */
    public function test_aim_contract(): void
    {
        $in = [
            'purpose' => 'hand-fit',
            'make' => 'shaft',
            'mate' => ['mean_mm' => 30.0, 'mating_mm' => 30.0, 'loose_mm' => 30.0, 'u95_mm' => 0.024],
            'holds_mm' => 0.005,
        ];
        $out = Sums::run('aim', $in);
        self::assertEqualsWithDelta(29.976, $out['aim_mm'], 1e-9);
        self::assertEqualsWithDelta([0.0, 0.048], array_values($out['works_mm']), 1e-9);
        self::assertLessThan(0.9545, $out['chance']);
        self::assertGreaterThan(0.9345, $out['chance']);
        self::assertTrue($out['lower_mm'] < $out['aim_mm'] && $out['aim_mm'] < $out['upper_mm']);
        self::assertStringStartsWith('likely, works in 9', $out['says']);
        self::assertLessThan($out['chance'], Sums::run('aim', [...$in, 'make_u95_mm' => 0.02])['chance']);
        $oval = Sums::run('aim', [...$in, 'mate' => [...$in['mate'], 'mating_mm' => 29.9, 'loose_mm' => 30.1]]);
        self::assertNull($oval['aim_mm']);
        self::assertSame('no-size', $oval['notes'][0]->code);
    }

    public function test_ranges_and_materials_are_refused_by_field(): void
    {
        $example = Sums::named('press')->example();
        $tries = [
            'interference_mm' => [...$example, 'interference_mm' => ['min' => 0.05, 'max' => 0.01]],
            'inner.name' => [...$example, 'inner' => ['name' => 'unobtainium']],
            'd_mm' => [...$example, 'd_mm' => 'thirty'],
            'outer.e_gpa' => [...$example, 'outer' => ['nu' => 0.3]],
        ];
        foreach ($tries as $field => $in) {
            try {
                Sums::run('press', $in);
                self::fail("{$field} should have been refused");
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }
}

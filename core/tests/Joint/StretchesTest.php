<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Joint;

use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Joint\MateForm;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** A press whose walls step: what its stretches hold is added, by hand. */
final class StretchesTest extends TestCase
{
    private static function stretch(float $outer, float $long): PressFit
    {
        $steel = new Material('', 'unlisted', 207.0, 0.29, null, null, null, false);

        return new PressFit(50.0, 0.0, $outer, $long, new Range(0.05, 0.05), $steel, $steel);
    }

    /** Alike stretches of 20 and 30 are one of 50: hold, torque and force alike; torque is what it holds by its radius. */
    public function test_two_alike_are_one(): void
    {
        $one = Press::of(self::stretch(100.0, 50.0));
        $two = Press::along([self::stretch(100.0, 20.0), self::stretch(100.0, 30.0)]);
        self::assertEqualsWithDelta($one->holdAxialN->min, $two->holdAxialN->min, 1e-6 * $one->holdAxialN->min);
        self::assertEqualsWithDelta($one->holdTorqueNm->min, $two->holdTorqueNm->min, 1e-6 * $one->holdTorqueNm->min);
        self::assertEqualsWithDelta($two->holdAxialN->max * 0.025, $two->holdTorqueNm->max, 1e-6 * $two->holdTorqueNm->max);
        self::assertEqualsWithDelta($one->pressForceN, $two->pressForceN, 1e-6 * $one->pressForceN);
    }

    /** A thinner stretch presses less and stands less: it decides, and is the worse of the two. */
    public function test_the_thin_one_decides(): void
    {
        $thin = Press::of(self::stretch(60.0, 20.0));
        $both = Press::along([self::stretch(100.0, 20.0), self::stretch(60.0, 20.0)]);
        self::assertEqualsWithDelta($thin->outerHoopMpa->max, $both->outerHoopMpa->max, 1e-9);
        self::assertEqualsWithDelta($thin->pressureMpa->min, $both->pressureMpa->min, 1e-9);
    }

    /** By hand: 0.02 of interference where it is 0.01 tighter and 0.05 looser leaves 0.03 and nothing: 0.015 on the mean. */
    public function test_nothing_counts_as_less_than_none(): void
    {
        self::assertEqualsWithDelta(0.015, (new MateForm(0.0, 0.0, ['a' => 0.01, 'b' => -0.05]))->meanOf(0.02), 1e-12);
        self::assertEqualsWithDelta(0.06, (new MateForm(0.02, 0.04))->wholeMm(), 1e-12);
    }
}

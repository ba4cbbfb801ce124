<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Practice\Deed;
use Oldpart\Core\Practice\Joined;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Level;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Putting together, at the bounds: by hand, warm, by force, by a compound. All of one steel, so that E cancels out. */
final class TogetherTest extends TestCase
{
    private const INSIDE = 'Sleeve in its mate';

    private const ON = 'Sleeve on the shaft';

    /** A bore of 32.000, oval by 6 µm, tapering 4, three lobes of 1: at its tightest 31.993; a ring largest at 6 more than its mean. */
    #[DataProvider('byHand')]
    public function test_by_hand_it_goes_where_a_thousandth_is_left(float $ring, Joined $how): void
    {
        $bench = $this->bench('thin-wall')->is('Mate bore', 32.0, 0.006, -0.004, 0.001)
            ->is('Sleeve outside', $ring, 0.004, 0.0, 0.002);
        self::assertSame($how, $this->joins($bench, self::INSIDE, ['way' => 'hand']));
    }

    /** @return list<array{float, Joined}> */
    public static function byHand(): array
    {
        return [[31.993 - 0.006 - 0.0011, Joined::In], [31.993 - 0.006 - 0.0009, Joined::NotIn], [31.999, Joined::NotIn], [31.9, Joined::In]];
    }

    /** Compounds fill one to fifteen hundredths (makers' common figures). */
    public function test_a_compound_wants_a_film_within_bounds(): void
    {
        foreach ([[0.0095, Joined::NotBonded], [0.0105, Joined::Bonded], [0.1495, Joined::Bonded], [0.1505, Joined::NotBonded]] as [$film, $how]) {
            $bench = $this->bench('bond-by-heat')->is('Seat turned on the shaft', 30.0)->is('Sleeve bore', 30.0 + $film);
            foreach (['Sleeve bore', 'Seat turned on the shaft'] as $surface) {
                $bench->do(['kind' => 'clean', 'surface' => $bench->surface($surface)]);
            }
            self::assertSame($how, $this->joins($bench, self::ON, ['way' => 'bond']), (string) $film);
        }
        // What does not go over it can't be bonded, though its mean would.
        $oval = $this->bench('bond-by-heat')->is('Seat turned on the shaft', 30.0, 0.04)->is('Sleeve bore', 30.02);
        self::assertSame(Joined::NotIn, $this->joins($oval, self::ON, ['way' => 'bond']));
    }

    /** The mate at 120 °C is α · 36 · 100 larger, the ring at −50 α · 36 · 70 · (1 − ¼ · 70/216) smaller; five thousandths free drop. */
    #[DataProvider('warmly')]
    public function test_warm_it_drops_where_five_thousandths_are_left(float $free, Joined $how): void
    {
        $bench = $this->bench('bond-by-heat')->is('Mate bore', 36.0);
        $alpha = $bench->shop->surface($bench->surface('Mate bore'))->shape->alphaPerK ?? 0.0;
        // Steel: 11 to 13 millionths (handbooks).
        self::assertEqualsWithDelta(12e-6, $alpha, 1e-6);
        $grows = $alpha * 36 * 100;
        $shrinks = $alpha * 36 * 70 * (1 - 0.25 * 70 / 216);
        $bench->is('Sleeve outside', 36.0 + $grows + $shrinks - $free);
        self::assertSame($how, $this->joins($bench, self::INSIDE, ['way' => 'warm', 'outer_c' => 120, 'inner_c' => -50]));
        // Both are as warm as they were made.
        $parts = array_column($bench->shop->laid->parts, 'id', 'name');
        self::assertEqualsWithDelta(120.0, $bench->shop->celsius($parts['Mate']), 1e-9);
        self::assertEqualsWithDelta(-50.0, $bench->shop->celsius($parts['Sleeve']), 1e-9);
    }

    /** @return list<array{float, Joined}> */
    public static function warmly(): array
    {
        return [[0.0053, Joined::In], [0.0047, Joined::Stuck], [0.0003, Joined::Stuck], [-0.0003, Joined::NotIn]];
    }

    /** Nothing tight is loose; what is a twentieth too large goes in by no force. */
    public function test_what_force_can_do(): void
    {
        foreach ([[36.0, Joined::Loose], [35.9, Joined::Loose], [36.001, Joined::In], [37.81, Joined::NotIn]] as [$ring, $how]) {
            $bench = $this->bench('bond-by-heat')->is('Mate bore', 36.0)->is('Sleeve outside', $ring);
            self::assertSame($how, $this->joins($bench, self::INSIDE, ['way' => 'press']), (string) $ring);
        }
        $bench = $this->bench('bond-by-heat')->is('Mate bore', 36.0)->is('Sleeve outside', 37.79);
        self::assertNotSame(Joined::NotIn, $this->joins($bench, self::INSIDE, ['way' => 'press']));
    }

    /**
     * For one metal p = E δ / (d · [(D² + d²)/(D² − d²) + (d² + b²)/(d² − b²)]), and the bore b closes by
     * 2 p b d²/(E (d² − b²)) on diameter, while the outside D grows by 2 p D d²/(E (D² − d²)). Source: Lamé, in any
     * handbook of machine design.
     *
     * @param  float  $outside  what it works out with for the mate's outside, mm
     */
    #[DataProvider('rings')]
    public function test_the_force_and_the_closing_are_lames(float $mateOutside, float $bore, float $outside): void
    {
        $of = function (float $mate, float $bore): array {
            $changed = static fn (Benches $bench): array => array_map(
                $bench->surface(...),
                $mate > 36 ? ['Mate outside', 'Sleeve bore'] : ['Sleeve bore'],
            );
            $bench = $this->bench('bond-by-heat', 1e9)->is('Mate bore', 36.0)->is('Mate outside', $mate)
                ->is('Sleeve bore', $bore)->is('Sleeve outside', 36.02);
            $done = $bench->do(['kind' => 'together', 'joint' => $bench->joint(self::INSIDE), 'way' => 'press']);

            // Nothing else changes by it that is measured later.
            self::assertSame([36.0, 36.02], [$bench->trueMm('Mate bore'), $bench->trueMm('Sleeve outside')]);
            self::assertEqualsCanonicalizing($changed($bench), array_keys((array) $done->result['sizes']));

            return [$done->number('force_n') ?? 0.0, $bore - $bench->trueMm('Sleeve bore'), $bench->trueMm('Mate outside') - $mate];
        };
        $stiff = static fn (float $big, float $b): float => 1 / (($big ** 2 + 36 ** 2) / ($big ** 2 - 36 ** 2) + (36 ** 2 + $b ** 2) / (36 ** 2 - $b ** 2));
        [$force, $closes, $grows] = $of($mateOutside, $bore);
        [$known] = $of(60.0, 26.0);
        self::assertEqualsWithDelta($stiff($outside, $bore) / $stiff(60.0, 26.0), $force / $known, 0.003);
        self::assertEqualsWithDelta(0.02 * $stiff($outside, $bore) * 2 * $bore * 36 / (36 ** 2 - $bore ** 2), $closes, 2e-5);
        $growth = $mateOutside > 36 ? 0.02 * $stiff($outside, $bore) * 2 * $outside * 36 / ($outside ** 2 - 36 ** 2) : 0.0;
        self::assertEqualsWithDelta($growth, $grows, 2e-5);
    }

    /** @return iterable<string, array{float, float, float}> */
    public static function rings(): iterable
    {
        yield 'a stout mate' => [100.0, 26.0, 100.0];
        yield 'a thin one' => [44.0, 26.0, 44.0];
        yield 'a thin sleeve' => [60.0, 33.0, 60.0];
        // An outside smaller than the bore is another place of the part: twice the bore is taken.
        yield 'an outside that is none' => [30.0, 26.0, 72.0];
    }

    /** The ring of a bearing that is pressed on is not the one that its outside belongs to. */
    public function test_the_outside_of_a_bearing_stays(): void
    {
        $bench = (new Benches(Lesson::free('stepped-shaft', Level::Easy, Unit::Millimetre), pressN: 90000.0))
            ->is('Left bearing bore', 25.0)->is('Left bearing seat', 25.012);
        $outside = $bench->trueMm('Left bearing outside');
        $done = $this->does($bench, 'Left bearing on the shaft', ['way' => 'press']);
        self::assertGreaterThan(0.0, $done->number('force_n'));
        self::assertNotContains($bench->surface('Left bearing outside'), array_keys((array) $done->result['sizes']));
        self::assertSame($outside, $bench->trueMm('Left bearing outside'));
    }

    /** Twice as long, twice the force. */
    public function test_the_force_goes_by_the_length(): void
    {
        $force = function (float $long): float {
            $bench = $this->bench('bond-by-heat', 1e9)->is('Mate bore', 36.0)->is('Sleeve outside', 36.02)
                ->is('Sleeve length', $long)->is('Seat length', $long);

            return $bench->do(['kind' => 'together', 'joint' => $bench->joint(self::INSIDE), 'way' => 'press'])->number('force_n') ?? 0.0;
        };
        self::assertEqualsWithDelta(2.0, $force(40.0) / $force(20.0), 1e-6);
    }

    public function test_the_press_gives_so_much_and_no_more(): void
    {
        $press = fn (float $n): Benches => $this->bench('bond-by-heat', $n)->is('Mate bore', 36.0)->is('Sleeve outside', 36.02);
        $together = ['way' => 'press'];
        $asks = $press(1e9);
        $needs = $asks->do(['kind' => 'together', 'joint' => $asks->joint(self::INSIDE), ...$together])->number('force_n') ?? 0.0;
        self::assertSame(Joined::In, $this->joins($press($needs * 1.001), self::INSIDE, $together));
        $weak = $press($needs * 0.999);
        self::assertSame(Joined::Stuck, $this->joins($weak, self::INSIDE, $together));
        // Half way in, nothing has closed; and it neither comes out nor goes on.
        self::assertSame(26.0, $weak->trueMm('Sleeve bore'));
        $this->refuses('joined', $weak, self::INSIDE, $together);
        // Warm, no force is needed.
        self::assertSame(Joined::In, $this->joins($press(1.0), self::INSIDE, ['way' => 'warm', 'outer_c' => 150]));
    }

    public function test_what_can_be_tried_again(): void
    {
        $bench = $this->bench('bond-by-heat')->is('Mate bore', 36.0)->is('Sleeve outside', 35.99);
        self::assertSame(Joined::Loose, $this->joins($bench, self::INSIDE, ['way' => 'press']));
        self::assertSame(Joined::In, $this->joins($bench, self::INSIDE, ['way' => 'hand']));
        $this->refuses('joined', $bench, self::INSIDE, ['way' => 'hand']);
        $this->refuses('not-simulated', $bench, 'Sleeve length to seat', ['way' => 'hand']);
        try {
            $bench->do(['kind' => 'together', 'joint' => 'none', 'way' => 'hand']);
            self::fail('A joint that is not there.');
        } catch (BadInput $bad) {
            self::assertSame('no-joint', $bad->reason);
        }
    }

    /** Compounds stand 150 °C (makers' common figure): what is bonded and made warmer is lost, what is beside it is not. */
    #[DataProvider('heats')]
    public function test_only_what_is_made_hot_is_spoiled(float $mateC, float $sleeveC, Joined $how): void
    {
        $bench = $this->bench('bond-by-heat')->is('Seat turned on the shaft', 30.0)->is('Sleeve bore', 30.05)
            ->is('Mate bore', 36.0)->is('Sleeve outside', 35.9);
        foreach (['Sleeve bore', 'Seat turned on the shaft'] as $surface) {
            $bench->do(['kind' => 'clean', 'surface' => $bench->surface($surface)]);
        }
        self::assertSame(Joined::Bonded, $this->joins($bench, self::ON, ['way' => 'bond']));
        $bench->do(['kind' => 'together', 'joint' => $bench->joint(self::INSIDE), 'way' => 'warm', 'outer_c' => $mateC, 'inner_c' => $sleeveC]);
        self::assertSame($how, $bench->shop->joined()[$bench->joint(self::ON)]);
    }

    /** @return list<array{float, float, Joined}> of the mate and of the sleeve, °C */
    public static function heats(): array
    {
        return [[300.0, 20.0, Joined::Bonded], [20.0, 149.0, Joined::Bonded], [300.0, 151.0, Joined::Spoiled], [20.0, 151.0, Joined::Spoiled]];
    }

    private function bench(string $lesson, float $pressN = 90000.0): Benches
    {
        return new Benches(Lesson::named($lesson), pressN: $pressN);
    }

    /** @param  array<string, mixed>  $deed */
    private function joins(Benches $bench, string $joint, array $deed): Joined
    {
        $this->does($bench, $joint, $deed);

        return $bench->shop->joined()[$bench->joint($joint)];
    }

    /** @param  array<string, mixed>  $deed */
    private function does(Benches $bench, string $joint, array $deed): Deed
    {
        return $bench->do(['kind' => 'together', 'joint' => $bench->joint($joint), ...$deed]);
    }

    /** @param  array<string, mixed>  $deed */
    private function refuses(string $reason, Benches $bench, string $joint, array $deed): void
    {
        try {
            $this->does($bench, $joint, $deed);
            self::fail("{$joint} was put together.");
        } catch (BadInput $bad) {
            self::assertSame($reason, $bad->reason);
        }
    }
}

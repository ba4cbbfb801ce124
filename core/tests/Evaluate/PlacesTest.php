<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Reckoned\Reckoned;
use Oldpart\Core\Evaluate\Shaped\ShapeNumber;
use Oldpart\Core\Evaluate\Shaped\ShapePlace;
use Oldpart\Core\Exchange\PartDxf;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** Where things lie on a part: a centre that goes with another, an outline by its corners, the other hand of a plate. */
final class PlacesTest extends TestCase
{
    use KindJob;

    private const CORNERS = "x_mm, y_mm, radius_mm\n-25, -20, 5\n115, -15, 10\n115, 15, 10\n-25, 20, 5";

    /** @return array{typed: string, unit: string} */
    private static function mm(string $typed): array
    {
        return ['typed' => $typed, 'unit' => 'mm'];
    }

    /** By hand: 3 across and 4 up are 5 off the axis, and the indicator swings 10. */
    public function test_one_number_moves_the_seat_what_lies_with_it_and_the_sum(): void
    {
        $this->job('eccentric-carrier')->read('Housing bore', 'three-point', '70.010')
            ->is('Bearing seat, offset', ['x' => self::mm('3'), 'y' => self::mm('4'), 'size' => self::mm('47')]);
        $facts = JobFacts::fromArray($this->facts);
        $through = $facts->surface($this->id('Hole through'));
        self::assertSame([3.0, 4.0], [$through?->x?->length->mm, $through?->y?->length->mm]);
        $offset = $this->reckoned('offset');
        self::assertEqualsWithDelta(5.0, $offset->result['offset_mm'], 1e-9);
        self::assertEqualsWithDelta(10.0, $offset->result['four_jaw_swing_mm'], 1e-9);
        self::assertSame('Bearing seat, offset, across', ((array) $offset->jsonSerialize()['taken'])['a_mm']['name']);
        $this->is('Bearing seat, offset', ['x' => self::mm('6'), 'y' => self::mm('8')]);
        self::assertEqualsWithDelta(10.0, $this->reckoned('offset')->result['offset_mm'], 1e-9);
        self::assertSame(6.0, JobFacts::fromArray($this->facts)->surface($this->id('Hole through'))?->x?->length->mm);
        // Nobody said where it lies: it is asked for, never taken as zero.
        $this->is('Bearing seat, offset', ['x' => null, 'y' => null]);
        self::assertStringContainsString('There is no size', $this->reckoned('offset')->refused['message'] ?? '');
    }

    public function test_a_centre_that_leads_nowhere_is_refused(): void
    {
        $wrong = [
            'itself' => fn (): string => $this->id('Hole through'),
            'not there' => fn (): string => 'nobody',
            'of another part' => fn (): string => $this->id('Housing bore'),
        ];
        foreach ($wrong as $says => $leader) {
            $this->job('eccentric-carrier')->is('Hole through', ['centred_on' => $leader()]);
            try {
                JobFacts::fromArray($this->facts);
                self::fail("{$says} must be refused");
            } catch (BadInput $bad) {
                self::assertStringEndsWith('.centred_on', $bad->field);
                self::assertStringContainsString($says, $bad->getMessage());
            }
        }
        // Two that follow each other have no place at all.
        $this->job('eccentric-carrier')->is('Bearing seat, offset', ['centred_on' => $this->id('Hole through')]);
        $this->expectException(BadInput::class);
        JobFacts::fromArray($this->facts);
    }

    /** The outline a lever is drawn by is that of its sum, from the same zero as its holes. */
    public function test_a_plate_has_the_outline_of_its_sum(): void
    {
        $this->job('lever')->read('Shaft end', 'outside-micrometer', '19.990')
            ->is('Hub bore', ['x' => self::mm('0'), 'y' => self::mm('0'), 'size' => self::mm('20')])
            ->is('Pin bore', ['x' => self::mm('90'), 'y' => self::mm('0'), 'size' => self::mm('10')]);
        $lever = array_column($this->facts['parts'], 'id', 'name')['Lever'];
        self::assertSame(['outline' => $lever], (array) $this->facts['reckonings'][0]['gives']);
        $face = static fn (JobAnswers $answers) => $answers->shapes->shapes[$lever]->face();
        self::assertNotEquals([-25.0, -20.0, 115.0, 20.0], $face($this->answers())->bounds(), 'until its corners are typed it is only sketched');
        $this->facts['reckonings'][0]['given'] = ['corners' => self::CORNERS];
        self::assertEqualsWithDelta([-25.0, -20.0, 115.0, 20.0], $face($this->answers())->bounds(), 1e-6);
        // Its own bores are taken: 90 apart, and the wall right of the pin bore is 115 − 90 − 5.
        $plate = $this->reckoned('plate');
        self::assertSame('Hub bore to Pin bore', $plate->result['centres'][0]['name']);
        self::assertEqualsWithDelta(90.0, $plate->result['centres'][0]['apart_mm'], 1e-9);
        // Its upper edge falls from 20 to 15 over 140: from the middle of the pin bore to it.
        $edge = (15 + 5 * 25 / 140) * 140 / hypot(140, 5) - 5;
        self::assertEqualsWithDelta($edge, $plate->result['walls'][1]['wall_mm'], 0.02);
        // Across alone is a place; nothing said is none, though it would lie on the zero.
        $walls = fn (): array => array_column($this->reckoned('plate')->result['walls'], 'name');
        self::assertCount(2, $walls());
        $this->is('Pin bore', ['y' => null]);
        self::assertCount(2, $walls());
        $this->is('Hub bore', ['x' => null, 'y' => null]);
        self::assertCount(1, $walls());
        $this->is('Hub bore', ['x' => self::mm('0'), 'y' => self::mm('0')])->is('Pin bore', ['y' => self::mm('0')]);
        // Corners that make no outline are refused by the sum; the plate is drawn round its bosses.
        $this->facts['reckonings'][0]['given'] = ['corners' => "x_mm, y_mm\n0, 0\n10, 0"];
        self::assertNotNull($this->reckoned('plate')->refused);
        self::assertNotEmpty($face($this->answers())->outline);
    }

    public function test_the_other_hand_of_a_plate(): void
    {
        $this->job('lever')->read('Shaft end', 'outside-micrometer', '19.990')->read('Pin', 'outside-micrometer', '9.995')
            ->is('Hub bore', ['x' => self::mm('0'), 'y' => self::mm('0')])
            ->is('Pin bore', ['x' => self::mm('90'), 'y' => self::mm('12')]);
        $this->facts['reckonings'][0]['given'] = ['corners' => self::CORNERS];
        $lever = array_column($this->facts['parts'], 'id', 'name')['Lever'];
        $steps = fn (): array => array_values(array_filter($this->answers()->plan, static fn (Step $s): bool => str_ends_with($s->code, ':other-hand')));
        self::assertSame([], $steps());
        $otherHand = fn (JobAnswers $of) => $of->shopViews(JobFacts::fromArray($this->facts))->otherHand($lever);
        self::assertNull($otherHand($this->answers()));
        foreach ($this->facts['parts'] as $i => $part) {
            $this->facts['parts'][$i]['both_hands'] = $part['id'] === $lever;
        }
        self::assertStringContainsString('pin bore at x -90', $steps()[0]->do->mm);
        $answers = $this->answers();
        $other = $otherHand($answers);
        self::assertNotNull($other);
        self::assertEqualsWithDelta([-115.0, -20.0, 25.0, 20.0], $other->bounds(), 0.01, 'the boss, only sketched, stands out by a hair');
        $pin = array_column($other->circles, null, 'name')['Pin bore'];
        self::assertSame([-90.0, 12.0, true], [$pin->xMm, $pin->yMm, $pin->hole]);
        // Mirrored twice it is as drawn.
        $drawn = $answers->shopViews(JobFacts::fromArray($this->facts))->face($lever);
        self::assertEquals($drawn?->circles, $other->mirrored()->circles);
        $dxf = PartDxf::of($answers->shapes->shapes[$lever], null, $other, Unit::Millimetre);
        self::assertMatchesRegularExpression('/BORE\s+10\s+-90\.0*\s+20\s+12\.0*\s/', $dxf);
    }

    /** What a machine of the shop knows is not asked: half of a spacing of 140 needs 70 of its cross-slide. */
    public function test_a_sum_takes_what_the_shop_s_machines_know(): void
    {
        $this->job('line-bored-bosses');
        $this->facts['reckonings'] = [['id' => 'half', 'sum' => 'half-turn', 'name' => 'Half-turn', 'given' => ['spacing_mm' => '140'], 'unit' => 'mm', 'from' => [], 'gives' => [], 'rounds' => [], 'note' => '']];
        $codes = fn (): array => array_map(static fn (Note $n): string => $n->code, $this->reckoned('half-turn')->result['notes'] ?? []);
        self::assertNotContains('no-travel', $codes(), 'nobody said how far it travels');
        $lathe = ['id' => 'l', 'kind' => 'lathe', 'name' => 'Short bed', 'unit' => 'mm', 'figures' => ['cross_mm' => '60']];
        $this->facts['shop']['machines'] = [$lathe];
        self::assertContains('no-travel', $codes());
        self::assertSame('Short bed', ((array) $this->reckoned('half-turn')->jsonSerialize()['taken'])['travel_mm']['name']);
        $this->facts['reckonings'][0]['given']['travel_mm'] = '90';
        self::assertNotContains('no-travel', $codes(), 'what is typed counts');
    }

    /**
     * ISO 273: a hole of 11 is that of an M10. Both sides 11: each may be off by 1 on the diameter; against a tapped
     * 8.5, by half of it.
     */
    public function test_how_far_the_holes_of_a_ring_may_be_off(): void
    {
        $position = function (string $mate): ?string {
            $this->job('ring-coupling')
                ->is('Holes to the driving side', ['shape' => '128', 'count' => 6, 'size2' => self::mm('11')])
                ->is('Driving hole circle', ['shape' => '128', 'count' => 6, 'size2' => self::mm($mate)]);
            foreach ($this->answers()->shaped as $shape) {
                if ($shape->surface->name === 'Holes to the driving side') {
                    $numbers = array_column(array_map(static fn (ShapeNumber $n): array => [$n->name, $n->says->mm], $shape->numbers), 1, 0);

                    return $numbers['Each within ⌀'] ?? null;
                }
            }
            self::fail('the ring has no such holes');
        };
        self::assertSame('1.000 mm', $position('11'));
        self::assertSame('0.500 mm', $position('8.5'));
        self::assertNull($position('37'), 'no bolt of the table');
    }

    /** What is dialled on a dividing head is said between 0 and 360°. */
    public function test_a_place_the_other_way_round(): void
    {
        $deg = static fn (float $deg): float => (new ShapePlace(1, 0.0, 0.0, $deg, 't', false))->jsonSerialize()['deg'];
        self::assertSame([330.0, 30.0, 0.0], [$deg(-30.0), $deg(30.0), $deg(360.0)]);
    }

    private function reckoned(string $sum): Reckoned
    {
        foreach ($this->answers()->reckoned as $one) {
            if ($one->facts->sum === $sum) {
                return $one;
            }
        }
        self::fail("{$sum} is not in the job.");
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Picture\Shop\ShopDrawing;
use PHPUnit\Framework\TestCase;

/**
 * A sleeve of steel pressed on a solid shaft of the same: by Lamé its outside D grows by δ d/D. Pressed on 30 by 0.020 to
 * 0.030 and 44 over all, that is 0.0136 to 0.0205, and it turns in its mate by what is left.
 */
final class PressedSizeTest extends TestCase
{
    use KindJob;

    private function sleeve(string $mate = '44.000'): self
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $this->job('repair-sleeve');
        foreach (array_keys($this->facts['parts']) as $i) {
            $this->facts['parts'][$i]['material'] = 'low-carbon steel, cold drawn';
        }
        foreach ($this->facts['joints'] as $i => $joint) {
            if ($joint['name'] === 'Sleeve on the shaft') {
                $this->facts['joints'][$i] = [...$joint, 'least' => $mm('-0.030'), 'most' => $mm('-0.020')];
            }
        }
        foreach (['0', '90'] as $angle) {
            foreach (['1', '2'] as $station) {
                $this->read('Seat turned on the shaft', 'indicating-micrometer', '30.000');
                $this->facts['readings'][count($this->facts['readings']) - 1] = [...end($this->facts['readings']), 'angle' => $angle, 'station' => $station];
                $this->read('Mate bore', 'three-point', $mate);
                $this->facts['readings'][count($this->facts['readings']) - 1] = [...end($this->facts['readings']), 'angle' => $angle, 'station' => $station];
            }
        }

        return $this->is('Seat turned on the shaft', ['rz_um' => 0.01])->is('Sleeve bore', ['rz_um' => 0.01])
            ->read('Seat length', 'depth-micrometer', '35.00');
    }

    private function entry(Phase $phase): ?MakeEntry
    {
        foreach ($this->answers()->make as $entry) {
            if ($entry->surface->name === 'Sleeve outside' && $entry->phase === $phase) {
                return $entry;
            }
        }

        return null;
    }

    public function test_what_is_pressed_on_is_turned_smaller_by_what_it_grows(): void
    {
        $this->sleeve();
        [$before, $after] = [$this->entry(Phase::Before)?->band, $this->entry(Phase::After)?->band];
        self::assertNotNull($before);
        self::assertNotNull($after);
        $outside = $after->middleMm();
        self::assertEqualsWithDelta($after->lowerMm - 0.020 * 30 / $outside, $before->lowerMm, 5e-5);
        self::assertEqualsWithDelta($after->upperMm - 0.030 * 30 / $outside, $before->upperMm, 5e-5);
        self::assertStringStartsWith('Grows 0.014 to 0.02', $this->entry(Phase::Before)?->remarks[0]->mm ?? '');
        // It runs in a mate of 44.000: what is asked for after pressing leaves the clearance of a running journal.
        self::assertLessThan(44.0 - 0.020, $after->upperMm);
        // The plan turns it before, and measures it once it is on.
        $says = implode(' ', array_map(static fn (Step $s): string => $s->do->mm, $this->answers()->plan));
        self::assertSame(1, substr_count($says, 'sleeve outside, before pressing'));
        self::assertStringContainsString('once it is pressed, measure sleeve outside', $says);
    }

    /** A wall under a twentieth of the diameter is turned once it is on: what it grows by is not sure enough to cut to now. */
    public function test_a_thin_sleeve_is_turned_where_it_sits(): void
    {
        $this->sleeve('32.800');
        $after = $this->entry(Phase::After);
        self::assertNull($this->entry(Phase::Before));
        self::assertStringStartsWith('Turn or grind it once it is on. Before pressing, leave it at about 33.', $after?->remarks[0]->mm ?? '');
        $says = implode(' ', array_map(static fn (Step $s): string => $s->do->mm, $this->answers()->plan));
        self::assertStringContainsString('sleeve outside, left at about 33.', $says);
        self::assertStringContainsString('once it is pressed, finish sleeve outside', $says);
        // Asked to be cut before all the same, it is.
        foreach ($this->facts['joints'] as $i => $joint) {
            $this->facts['joints'][$i]['finish_in_place'] = $joint['name'] === 'Sleeve in its mate' ? false : null;
        }
        self::assertNotNull($this->entry(Phase::Before)?->band);
    }

    /** Whoever turns the sleeve by its drawing alone is told which of its sizes is for later. */
    public function test_the_drawing_says_what_is_for_once_it_is_pressed(): void
    {
        $drawn = function (): string {
            $facts = JobFacts::fromArray($this->facts);
            $part = array_column($this->facts['parts'], 'id', 'name')['Sleeve'];

            return (string) json_encode(ShopDrawing::draw($this->answers()->shopViews($facts)->of($part)));
        };
        $this->sleeve();
        self::assertStringContainsString('before pressing', $drawn());
        $this->sleeve('32.800');
        self::assertStringContainsString('once pressed,', $drawn());
        self::assertStringContainsString('before about 33.', $drawn());
    }

    /** What lies beside the joint does not grow. */
    public function test_an_outside_beside_the_joint_is_cut_to_its_size(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $this->sleeve()->is('Sleeve bore', ['at' => $mm('0'), 'long' => $mm('20')])->is('Sleeve outside', ['at' => $mm('22'), 'long' => $mm('13')]);
        $collar = array_values(array_filter($this->facts['surfaces'], static fn (array $s): bool => $s['name'] === 'Sleeve outside'))[0];
        $this->facts['surfaces'][] = [...$collar, 'id' => 'collar', 'name' => 'Collar', 'at' => $mm('0'), 'long' => $mm('22'), 'size' => $mm('44'), 'source' => 'drawing'];
        self::assertNotNull($this->entry(Phase::Only)?->band);
        self::assertNull($this->entry(Phase::Before));
    }

    /** Until the metal is said nobody knows how much it grows, and no number to cut to is made up. */
    public function test_what_is_not_known_yet_waits(): void
    {
        $this->sleeve();
        foreach (array_keys($this->facts['parts']) as $i) {
            $this->facts['parts'][$i]['material'] = null;
        }
        $before = $this->entry(Phase::Before);
        self::assertNull($before?->band);
        self::assertStringContainsString('what the sleeve is made of', $before->blocked->mm ?? '');
    }

    /** A size that no joint asks for is cut to its own limits, and that it grows is said; what is free says nothing. */
    public function test_its_own_limits_are_cut_to_and_the_growth_is_said(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $this->sleeve();
        $this->facts['joints'] = array_values(array_filter($this->facts['joints'], static fn (array $j): bool => $j['name'] !== 'Sleeve in its mate'));
        $limits = ['size' => $mm('44'), 'source' => 'drawing', 'demand' => ['kind' => 'limits', 'plus' => $mm('0.02'), 'minus' => $mm('0.02'), 'class' => null]];
        $entry = $this->is('Sleeve outside', $limits)->entry(Phase::Only);
        self::assertEqualsWithDelta([43.98, 44.02], [$entry?->band?->lowerMm, $entry?->band?->upperMm], 1e-9);
        // By hand: 0.020 and 0.030 times 30/44.
        self::assertContains('Grows 0.014 to 0.020 when pressed on.', array_map(static fn (Say $s): string => $s->mm, $entry->remarks ?? []));
        $free = $this->is('Sleeve outside', ['demand' => ['kind' => 'free', 'plus' => null, 'minus' => null, 'class' => 'm']])->entry(Phase::Only);
        self::assertStringNotContainsString('Grows', implode(' ', array_map(static fn (Say $s): string => $s->mm, $free->remarks ?? [])));
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Evaluate\Making\Learned;
use Oldpart\Core\Facts\JobFacts;
use PHPUnit\Framework\TestCase;

/** What the drawer has for the work, what it lacks, what earlier cuts say, what a person writes at a step. */
final class DrawerTest extends TestCase
{
    use KindJob;

    /** @param  array<string, string>  $figures */
    private function tool(string $kind, string $name, array $figures): void
    {
        $this->facts['shop']['machines'][] = ['id' => md5($name), 'kind' => $kind, 'name' => $name, 'unit' => 'mm', 'figures' => $figures];
    }

    private function spacer(): self
    {
        $this->job('spacer');
        $names = array_column($this->facts['surfaces'], 'name', 'kind');
        $this->facts['surfaces'] = array_map(static fn (array $s): array => match ($s['kind']) {
            'bore' => [...$s, 'size' => ['typed' => '20.4', 'unit' => 'mm'], 'long' => ['typed' => '60', 'unit' => 'mm'], 'at' => ['typed' => '0', 'unit' => 'mm'],
                'demand' => ['kind' => 'limits', 'plus' => ['typed' => '0.05', 'unit' => 'mm'], 'minus' => null, 'class' => null]],
            default => $s,
        }, $this->facts['surfaces']);
        $this->facts['joints'] = [];
        self::assertArrayHasKey('bore', $names);

        return $this;
    }

    /** @return list<string> codes of the notes at the step that bores */
    private function atTheBore(): array
    {
        foreach ($this->answers()->plan as $step) {
            if (preg_match('/:(bores|finish-bore)$/', $step->code) === 1) {
                return array_column($step->notes, 'code');
            }
        }
        self::fail('nothing is bored');
    }

    /** @return list<string> */
    private function toBuy(): array
    {
        return array_map(static fn (array $one): string => $one['says']->mm, $this->answers()->quote->toBuy);
    }

    public function test_nobody_said_what_bars_there_are(): void
    {
        $this->spacer();
        self::assertSame([[], []], [$this->atTheBore(), $this->toBuy()]);
        $this->tool('bar', 'half said', ['thick_mm' => '12']);
        self::assertSame([[], []], [$this->atTheBore(), $this->toBuy()]);
    }

    /** 20.4 wide, 60 deep: no thicker than three quarters of it, 15.3, and 65 out. */
    public function test_a_bar_that_reaches_and_one_that_does_not(): void
    {
        $this->spacer()->tool('bar', 'short', ['thick_mm' => '14', 'reach_mm' => '60']);
        self::assertSame(['buy'], $this->atTheBore());
        self::assertStringContainsString('15.3', $this->toBuy()[0]);
        self::assertStringContainsString('65', $this->toBuy()[0]);
        $this->tool('bar', 'long', ['thick_mm' => '14', 'reach_mm' => '80']);
        self::assertSame([['bar', 'chatters'], []], [$this->atTheBore(), $this->toBuy()]);
    }

    /** The spacer as laid out is 40 across: 42 of bar; a tube up to what its bore leaves. */
    public function test_the_rack(): void
    {
        $this->spacer();
        $this->facts['parts'] = array_map(static fn (array $p): array => [...$p, 'material' => 'low-carbon steel, cold drawn'], $this->facts['parts']);
        $notes = fn (): array => array_column(array_merge(...array_map(
            static fn ($step): array => str_ends_with($step->code, ':blank') ? $step->notes : [],
            $this->answers()->plan,
        )), 'say', 'code');
        self::assertArrayNotHasKey('buy', $notes(), 'nobody said what is on it');
        $this->tool('stock', 'thin bar', ['metal' => 'steel', 'across_mm' => '30']);
        self::assertStringContainsString('Nothing on the rack does', $notes()['buy']->mm);
        self::assertCount(1, $this->toBuy());
        $this->tool('stock', 'bronze bar', ['metal' => 'bronze', 'across_mm' => '60']);
        self::assertArrayHasKey('buy', $notes(), 'of another metal');
        $this->tool('stock', 'thick bar', ['metal' => 'steel', 'across_mm' => '120', 'long_mm' => '1000']);
        self::assertStringContainsString('thick bar', $notes()['stock']->mm);
        $this->tool('stock', 'nearer bar', ['metal' => 'steel', 'across_mm' => '100', 'long_mm' => '1000']);
        self::assertStringContainsString('nearer bar', $notes()['stock']->mm);
        $this->tool('stock', 'short bar', ['metal' => 'steel', 'across_mm' => '90', 'long_mm' => '20']);
        self::assertStringContainsString('nearer bar', $notes()['stock']->mm, 'the other is too short');
        self::assertSame([], $this->toBuy());
    }

    public function test_a_mandrel_and_a_grinder(): void
    {
        $this->spacer();
        $this->tool('arbor', 'expanding mandrel', ['from_mm' => '19', 'to_mm' => '22']);
        $of = fn (string $kind): array => array_merge(...array_map(
            static fn ($step): array => str_ends_with($step->code, ":{$kind}") ? $step->notes : [],
            $this->answers()->plan,
        ));
        self::assertStringContainsString('expanding mandrel holds its', array_column($of('lengths'), 'say', 'code')['arbor']->mm);
        $this->facts['shop']['machines'] = [];
        $this->tool('arbor', 'small mandrel', ['from_mm' => '10', 'to_mm' => '18']);
        self::assertStringContainsString('No mandrel of the drawer', array_column($of('lengths'), 'say', 'code')['arbor']->mm);
    }

    /** No part for the lathe is made on the lathe that lies in pieces. */
    public function test_the_machine_that_is_needed_to_make_it(): void
    {
        $this->spacer()->tool('lathe', 'Long bed', []);
        $first = fn (): array => array_column($this->answers()->plan[0]->notes, 'code');
        self::assertNotContains('itself', $first());
        $this->facts['machine'] = 'Tailstock of the long bed, clamp';
        self::assertContains('itself', $first());
        $this->facts['machine'] = 'Long bedding plough';
        self::assertNotContains('itself', $first(), 'only part of a word');
    }

    public function test_of_several_one_is_tried_first(): void
    {
        $this->spacer();
        $notes = fn (): array => array_column(array_merge(...array_map(static fn ($s): array => $s->notes, $this->answers()->plan)), 'say', 'code');
        $this->facts['take_in']['quantity'] = 2;
        self::assertArrayNotHasKey('trial-piece', $notes());
        $this->facts['take_in']['quantity'] = 3;
        self::assertStringContainsString('then every one', $notes()['trial-piece']->mm);
        $this->facts['batch'] = ['piece' => 1, 'every' => 4, 'scrapped' => [], 'mates' => []];
        self::assertStringContainsString('one of every 4', $notes()['trial-piece']->mm);
    }

    public function test_a_remark_stands_at_its_step(): void
    {
        $this->spacer();
        $code = $this->answers()->plan[1]->code;
        $this->facts['plan'] = ['order' => [], 'dropped' => [], 'own' => [], 'remarks' => [$code => 'Mind the crack.', 'gone' => 'x']];
        $plan = $this->answers()->plan;
        self::assertSame('Mind the crack.', array_column($plan[1]->notes, 'say', 'code')['remark']->mm);
        self::assertSame([], array_filter($plan[0]->notes, static fn ($n): bool => $n->code === 'remark'));
    }

    /** By hand: 0.5 dialled and 0.45 off is 0.9; inside and outside are kept apart. */
    public function test_what_a_job_has_to_say_to_later_ones(): void
    {
        $this->spacer();
        $surfaces = array_column($this->facts['surfaces'], 'id', 'kind');
        $this->facts['parts'] = array_map(static fn (array $p): array => [...$p, 'material' => 'low-carbon steel, cold drawn'], $this->facts['parts']);
        foreach ([['bore', null, '19'], ['bore', '0.5', '19.45'], ['bore', '0.5', '19.89'], ['shaft', null, '40'], ['shaft', '1', '39.2']] as $i => [$kind, $dialled, $after]) {
            $this->facts['cuts'][] = [
                'id' => "c{$i}", 'surface' => $surfaces[$kind], 'phase' => 'only', 'dialled' => $dialled === null ? null : ['typed' => $dialled, 'unit' => 'mm'],
                'after' => ['typed' => $after, 'unit' => 'mm'], 'instrument' => 'outside-micrometer', 'part_c' => null, 'set_aside' => null, 'at' => "2026-11-0{$i}T10:00:00Z",
            ];
        }
        $said = static fn (?string $since, JobFacts $facts): array => array_map(
            static fn ($t): array => [$t->metal, $t->inside, $t->ratios],
            Learned::ofJob($facts, $since),
        );
        $facts = JobFacts::fromArray($this->facts);
        self::assertSame([['steel', true, [0.9, 0.88]], ['steel', false, [0.8]]], $said(null, $facts));
        self::assertSame([['steel', true, [0.88]], ['steel', false, [0.8]]], $said('2026-11-02T00:00:00Z', $facts));
        self::assertSame([], $said('2026-12-01T00:00:00Z', $facts));
        // A job that comes after goes by it on its first cut inside, and not outside: one cut is too few.
        $kind = static fn (bool $inside, array $ratios): array => ['metal' => 'steel', 'inside' => $inside, 'slender' => false, 'ratios' => $ratios];
        $this->facts['shop']['take_offs'] = [$kind(true, [0.9, 0.88, 0.9]), $kind(true, [0.9]), $kind(false, [0.8])];
        $facts = JobFacts::fromArray($this->facts);
        $bore = $facts->surface($surfaces['bore']);
        self::assertNotNull($bore);
        // 60 deep and 20.4 wide is less than three times its width.
        self::assertSame(4, Learned::forSurface($facts, $bore)?->count);
        $outside = $facts->surface($surfaces['shaft']);
        self::assertNotNull($outside);
        self::assertNull(Learned::forSurface($facts, $outside), 'one cut is too few');
    }

    public function test_the_words_of_what_was_learned(): void
    {
        $this->spacer();
        $kind = static fn (bool $slender, array $ratios): array => ['metal' => 'bronze', 'inside' => false, 'slender' => $slender, 'ratios' => $ratios];
        $this->facts['shop']['take_offs'] = [$kind(false, [0.9, 0.9]), $kind(true, [0.7]), $kind(false, [0.9, 0.9])];
        $words = Learned::inWords(JobFacts::fromArray($this->facts)->shop->takeOffs);
        self::assertSame('bronze, outside: 4 earlier cuts in like metal took off 0.90 of what was dialled, 0.90 to 0.90 in 95 of 100', $words[0]);
        self::assertSame('bronze, outside, long and thin: 1 cuts, too few to go by', $words[1]);
    }

    /** A hole circle of 20 mm holes on a drilling machine that takes 13, on one that takes 20, and on none that is known. */
    public function test_holes_the_drilling_machine_does_not_take(): void
    {
        $notes = function (string ...$drills): array {
            $this->job('flanged-axle')->is('Flange hole circle', ['count' => 5, 'size' => ['typed' => '94', 'unit' => 'mm'], 'size2' => ['typed' => '20', 'unit' => 'mm']]);
            $this->read('Wheel bore', 'three-point', '40.000')->read('Bearing bore', 'three-point', '25.000');
            $this->facts['shop']['machines'] = $this->facts['operations'] = [];
            foreach ($drills as $i => $takes) {
                $this->tool('drill', "Pillar {$i}", ['drill_mm' => $takes]);
            }
            $said = [];
            foreach ($this->answers()->plan as $step) {
                foreach ($step->notes as $note) {
                    if ($note->code === 'drill') {
                        $said[] = $note->say->mm;
                    }
                }
            }

            return $said;
        };
        self::assertCount(1, $notes('13'));
        self::assertStringContainsString('13.000', $notes('13', '10')[0], 'the larger of two');
        self::assertSame([], $notes('13', '20'));
        self::assertSame([], $notes());
    }
}

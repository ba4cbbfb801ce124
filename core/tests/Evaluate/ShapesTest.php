<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Answer\MakingAnswer;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Exchange\ReadingsCsv;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** Shapes inside a job: read, worked out to their mate, on the card, in the record. */
final class ShapesTest extends TestCase
{
    use KindJob;

    private function shape(string $name): ShapedSurface
    {
        foreach ($this->answers()->shaped as $shape) {
            if ($shape->surface->name === $name) {
                return $shape;
            }
        }
        self::fail("There is no shape {$name}.");
    }

    /** @return array<string, string> what each number says, mm */
    private static function numbers(ShapedSurface $shape): array
    {
        return array_combine(
            array_map(static fn ($n): string => $n->name, $shape->numbers),
            array_map(static fn ($n): string => $n->says->mm, $shape->numbers),
        );
    }

    /** @return list<string> */
    private static function codes(ShapedSurface $shape): array
    {
        return array_map(static fn (Note $n): string => $n->code, $shape->notes);
    }

    private function taperHub(): self
    {
        return $this->job('taper-hub')->read('Bush taper', 'outside-micrometer', '56.000')
            ->read('Bush taper', 'outside-micrometer', '52.000', 'far')->read('Bush taper', 'depth-micrometer', '32.00', 'over');
    }

    /**
     * By hand: (56 − 52)/32 is 1 in 8, 3.5763° per side; over 50 of the slide 50 sin of that is 3.119. Standing 0.5 to 1.5
     * out, the mouth is 1.5/8 to 0.5/8 smaller than the bush, less what the bush's reading is unsure by.
     */
    public function test_a_hub_bored_to_its_bush(): void
    {
        $hub = $this->taperHub()->shape('Hub taper');
        self::assertTrue($hub->isCut);
        self::assertSame('1 in 8, 3.576° per side', $hub->is?->mm);
        $numbers = self::numbers($hub);
        self::assertSame('3.576° per side', $numbers['Slide set over']);
        self::assertSame('3.119 over 50', $numbers['Indicator, as it goes']);
        self::assertSame('7.153°', $numbers['Between its sides']);
        self::assertSame('1.250 over 10', $numbers['On the diameter']);
        $inches = array_column($hub->numbers, null, 'name')['On the diameter'];
        self::assertSame('1.5000 a foot', $inches->says->in);
        self::assertGreaterThan(56 - 1.5 / 8, $hub->band?->lowerMm);
        self::assertLessThan(56 - 0.5 / 8, $hub->band?->upperMm);
        self::assertEqualsWithDelta(56 - 1 / 8, $hub->band?->middleMm(), 1e-9);
        self::assertStringContainsString('taken, nobody said', $hub->because?->mm ?? '');
        self::assertSame('1:8 (shaft end)', $hub->candidates[0]->label);
        $entry = $this->card('Hub taper');
        self::assertSame($hub->band?->lowerMm, $entry->band?->lowerMm);
        self::assertSame('Slide set over', $entry->more[1]->name);
        self::assertNotNull($hub->picture);
        $bush = $this->shape('Bush taper');
        self::assertFalse($bush->isCut);
        self::assertSame([], $bush->sets);
        // Drawn from its small end its limits are those of the small end: 32 of 1 in 8 are 4 less.
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $small = $this->is('Hub taper', ['size' => $mm('52'), 'size2' => $mm('56'), 'long' => $mm('32')])->shape('Hub taper');
        self::assertEqualsWithDelta(
            [($hub->band->lowerMm ?? 0.0) - 4, ($hub->band->upperMm ?? 0.0) - 4],
            [$small->band?->lowerMm, $small->band?->upperMm],
            1e-9,
        );
    }

    /** Read in several places along it, only the one where it begins is its size there. */
    public function test_a_taper_read_along_its_length(): void
    {
        $job = $this->job('taper-hub');
        foreach (['where it begins' => '56.000', 'middle' => '54.000', 'end' => '52.000'] as $station => $mm) {
            $job->read('Bush taper', 'outside-micrometer', $mm);
            $this->facts['readings'][array_key_last($this->facts['readings'])]['station'] = $station;
        }
        $job->read('Bush taper', 'outside-micrometer', '52.000', 'far')->read('Bush taper', 'depth-micrometer', '32.00', 'over');
        self::assertSame('1 in 8, 3.576° per side', $job->shape('Bush taper')->is?->mm);
    }

    /** Limits of the gap that were typed at the joint: 2 to 3 out. */
    public function test_how_far_it_stands_out_is_said_at_the_joint(): void
    {
        $this->taperHub();
        $mm = static fn (?string $typed): ?array => $typed === null ? null : ['typed' => $typed, 'unit' => 'mm'];
        // One of the two alone is said too: then from there on by a millimetre, or from flush.
        foreach ([['2', '3', 2.5], ['2', null, 2.5], [null, '0.8', 0.4]] as [$least, $most, $middle]) {
            foreach ($this->facts['joints'] as $i => $joint) {
                if ($joint['purpose'] === 'taper') {
                    $this->facts['joints'][$i] = [...$joint, 'least' => $mm($least), 'most' => $mm($most)];
                }
            }
            $hub = $this->shape('Hub taper');
            self::assertEqualsWithDelta(56 - $middle / 8, $hub->band?->middleMm(), 1e-9);
            self::assertStringNotContainsString('nobody said', $hub->because?->mm ?? '');
        }
    }

    /** Said to be 1:10 while it reads 1:8: what is typed counts, and what is off is said: 32 (1/8 − 1/10) = 0.8. */
    public function test_said_and_read_are_set_against_each_other(): void
    {
        $bush = $this->taperHub()->is('Bush taper', ['shape' => '1:10'])->shape('Bush taper');
        self::assertSame('1 in 10, 2.862° per side', $bush->is?->mm);
        self::assertContains('taper-not-as-said', self::codes($bush));
        self::assertStringContainsString('0.800', $bush->notes[0]->say->mm);
        $same = $this->is('Bush taper', ['shape' => '1:8'])->shape('Bush taper');
        self::assertNotContains('taper-not-as-said', self::codes($same));
        $bad = $this->is('Bush taper', ['shape' => 'steep'])->shape('Bush taper');
        self::assertStringContainsString('“steep” says no taper', $bad->missing?->mm ?? '');
        self::assertNull($bad->is);
    }

    /** Balls by hand: 20 and 12 in a cone of half angle asin(4/40): their tops 16 − 4 apart … an indicator run: atan(2/50). */
    public function test_other_ways_to_read_a_taper(): void
    {
        $run = $this->job('taper-hub')->read('Bush taper', 'depth-micrometer', '50', 'travel')->read('Bush taper', 'depth-micrometer', '2', 'rise');
        self::assertSame('1 in 12.5, 2.291° per side', $run->shape('Bush taper')->is?->mm);
        self::assertStringContainsString('indicator', $run->shape('Bush taper')->because?->mm ?? '');
        // Middles 40 apart along the axis, radii 4 apart: sin β = 4/40. The small ball's top lies 40 + 10 − 6 deeper.
        $balls = $this->job('taper-hub')->is('Hub taper', ['work' => null]);
        foreach ($this->facts['parts'] as $i => $part) {
            $this->facts['parts'][$i]['origin'] = 'found';
        }
        foreach (['ball-large' => '20', 'ball-small' => '12', 'depth-large' => '5', 'depth-small' => '49'] as $what => $mm) {
            $balls->read('Hub taper', 'depth-micrometer', $mm, $what);
        }
        self::assertStringContainsString('5.739° per side', $balls->shape('Hub taper')->is?->mm ?? '');
    }

    /** 3/8-16 reads as UNC and as Whitworth alike: which it is is asked, and a tap says it. */
    public function test_an_insert_tapped_to_its_screw(): void
    {
        $job = $this->job('threaded-insert', Unit::Inch)->read('Screw thread', 'outside-micrometer', '0.3723')
            ->read('Screw thread', 'calliper', '0.625', 'over-10');
        $screw = $job->shape('Screw thread');
        self::assertEqualsCanonicalizing(['3/8-16 UNC', '3/8 BSW'], array_map(static fn ($c): string => $c->label, $screw->candidates));
        self::assertContains('thread-unsure', self::codes($screw));
        $said = $job->is('Screw thread', ['shape' => '3/8-16 UNC']);
        $insert = $said->shape('Insert thread');
        self::assertNotContains('thread-unsure', self::codes($insert));
        // ASME B1.1, 2B: 0.307 to 0.321 (in the table to a thousandth); letter O is 0.316.
        self::assertEqualsWithDelta([0.307, 0.321], [($insert->band?->lowerMm ?? 0) / 25.4, ($insert->band?->upperMm ?? 0) / 25.4], 6e-4);
        self::assertArrayHasKey('Drill letter O', self::numbers($insert));
        self::assertSame($insert->band?->upperMm, $this->card('Insert thread')->band?->upperMm);
        $left = $said->is('Screw thread', ['hand' => 'left'])->shape('Insert thread');
        self::assertStringContainsString('LEFT HAND', $left->is?->mm ?? '');
        self::assertContains('left-hand', self::codes($left));
    }

    /** A hole cut again because its thread is gone: the next size with its drill, or an insert. */
    public function test_a_stripped_hole(): void
    {
        $job = $this->job('threaded-insert')->is('Screw thread', ['shape' => 'M8'])->is('Insert thread', ['work' => 'cut']);
        foreach ($this->facts['parts'] as $i => $part) {
            $this->facts['parts'][$i]['origin'] = 'found';
        }
        $hole = $job->shape('Insert thread');
        self::assertTrue($hole->isCut);
        $notes = array_combine(self::codes($hole), array_map(static fn (Note $n): string => $n->say->mm, $hole->notes));
        self::assertStringContainsString('M10, tap drill', $notes['thread-next']);
        self::assertStringContainsString('wire insert', $notes['thread-insert']);
        // M10 wants a quarter of it, 2.5, beside it: an outside of 14 leaves 2, one of 16 three, one of 9 none.
        $wall = fn (string $outside): string => array_values(array_filter(
            $job->is('Insert outside', ['size' => ['typed' => $outside, 'unit' => 'mm']])->shape('Insert thread')->notes,
            static fn (Note $n): bool => $n->code === 'thread-next',
        ))[0]->say->mm;
        self::assertStringContainsString('leaves 2.000 mm of wall, too little', $wall('14'));
        self::assertStringContainsString('leaves 3.000 mm of wall. The hole', $wall('16'));
        self::assertStringContainsString('leaves 0.000 mm of wall, too little', $wall('9'));
    }

    /** A cycle thread, 5/16 by 26, has no limits here: handbooks' D − 1.299 P for all of a thread, 80 and 60 of 100 of it. */
    public function test_a_thread_without_limits_is_drilled_by_its_share(): void
    {
        $hole = $this->job('threaded-insert')->is('Insert thread', ['shape' => '5/16-26 cycle'])->shape('Insert thread');
        $pitch = 25.4 / 26;
        self::assertEqualsWithDelta([7.9375 - 1.03923 * $pitch, 7.9375 - 0.77942 * $pitch], [$hole->band?->lowerMm, $hole->band?->upperMm], 1e-4);
    }

    /** A taper pipe thread is given no drill: its hole has no one size. */
    public function test_a_taper_pipe_thread(): void
    {
        $hole = $this->job('threaded-insert')->is('Insert thread', ['shape' => '1/8 BSPT'])->shape('Insert thread');
        self::assertSame([], $hole->numbers);
        self::assertNull($hole->band);
        self::assertStringContainsString('stamped on its tap', $hole->missing?->mm ?? '');
        self::assertSame('1/8 BSPT', $hole->is?->mm);
        $tiny = $this->is('Insert thread', ['shape' => '0.25×0.05'])->shape('Insert thread');
        self::assertStringContainsString('No drill is as small', $tiny->missing?->mm ?? '');
    }

    /** M10 6g over 0.866 wires, by hand: 8.862 … 8.994 + 3 · 0.866 − 0.866 · 1.5. */
    public function test_a_screw_is_turned_and_wired(): void
    {
        $job = $this->job('stepped-shaft')->is('End thread', ['shape' => 'M10']);
        $screw = $job->shape('End thread');
        self::assertEqualsWithDelta([9.732, 9.968], [$screw->band?->lowerMm, $screw->band?->upperMm], 6e-4);
        $wires = $screw->numbers[1]->band;
        self::assertEqualsWithDelta([10.161, 10.293], [$wires?->lowerMm, $wires?->upperMm], 1e-3);
        // Read when it is done: its verdict stands with its number, and in the record.
        $job->read('End thread', 'outside-micrometer', '10.230', 'over-wires', 'done');
        self::assertSame('inside', $job->shape('End thread')->numbers[1]->verdict()?->value);
        $rows = json_decode(json_encode($job->answers()->handOver, JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR)['sizes'];
        $row = array_column($rows, null, 'label')['End thread: over three wires'];
        self::assertSame(['inside', '10.230'], [$row['verdict'], $row['made']['mm']]);
        self::assertSame([], $row['choices']);
        $this->facts['readings'] = [];
        $job->read('End thread', 'outside-micrometer', '10.400', 'over-wires', 'done');
        $rows = json_decode(json_encode($job->answers()->handOver, JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR)['sizes'];
        $row = array_column($rows, null, 'label')['End thread: over three wires'];
        self::assertSame('above', $row['verdict']);
        self::assertNotSame([], $row['choices']);
    }

    /** A wire that does not touch the flanks is no wire: the best one is taken, and the job keeps its answers. */
    public function test_a_wire_that_does_not_fit(): void
    {
        $job = $this->job('stepped-shaft')->is('End thread', ['shape' => 'M10'])->read('End thread', 'outside-micrometer', '20', 'wire');
        self::assertSame('0.866, best', self::numbers($job->shape('End thread'))['Wire']);
        $this->facts['readings'] = [];
        self::assertSame('0.850, yours', self::numbers($job->read('End thread', 'outside-micrometer', '0.850', 'wire')->shape('End thread'))['Wire']);
    }

    /** DIN 6885-1: a shaft of 25 takes 8 × 7, slot 8 N9 (−0.036 to 0), 21.0 across with 0.2 deeper allowed, 4.0 from the round. */
    public function test_a_key_by_its_shaft(): void
    {
        $job = $this->job('gear-on-shaft')->read('Seat on the shaft', 'outside-micrometer', '25.000')->is('Shaft keyway', ['work' => 'cut']);
        $slot = $job->shape('Shaft keyway');
        self::assertSame('for a key 8 × 7', $slot->is?->mm);
        self::assertEqualsWithDelta([7.964, 8.0], [$slot->band?->lowerMm, $slot->band?->upperMm], 1e-9);
        $numbers = self::numbers($slot);
        self::assertSame('20.800 to 21.000', $numbers['From its bottom across the shaft']);
        self::assertSame('4.000', $numbers['From the uncut round down']);
        $card = $this->card('Shaft keyway');
        self::assertSame('stop anywhere up to 8.000', $card->jsonSerialize()['limit']->mm ?? '', 'a slot widens as it is cut');
        // The hub's bore is still made: 3.3 stands above it, and 0.2 more are allowed; the slot is JS9.
        $hub = $job->shape('Keyway in the bore');
        self::assertEqualsWithDelta([7.982, 8.018], [$hub->band?->lowerMm, $hub->band?->upperMm], 1e-9);
        $bore = $this->card('Bore')->band?->middleMm() ?? 0.0;
        self::assertSame(
            sprintf('%.3f to %.3f', $bore + 3.3, $bore + 3.5),
            self::numbers($hub)['From its bottom across the bore'],
        );
    }

    /**
     * An odd metric slot of 7.4 is N9, 7.364 to 7.400 (ISO 286-2): a cutter of 7 goes 0.191 to each side and lands in its
     * middle, not on its upper limit. One of 7.003 is cut by the cutter itself.
     */
    public function test_a_narrower_cutter_lands_inside_the_slot(): void
    {
        $sets = fn (string $slot): string => implode(' ', array_map(
            static fn (Say $s): string => $s->mm,
            $this->job('gear-on-shaft')->read('Seat on the shaft', 'outside-micrometer', '25.000')
                ->read('Keyway in the bore', 'calliper', $slot)->is('Shaft keyway', ['work' => 'cut'])->shape('Shaft keyway')->sets,
        ));
        self::assertStringContainsString('With a cutter of 7.000: once down the middle, then 0.191 to each side', $sets('7.400'));
        self::assertStringContainsString('A cutter of 7.000 cuts it in one pass', $sets('7.003'));
    }

    /** An odd slot of 0.400 in 1.5 of shaft: the key is made to it; a 3/8 cutter steps 0.0125 each way. */
    public function test_a_key_made_to_the_slot(): void
    {
        $job = $this->job('gear-on-shaft', Unit::Inch)->read('Seat on the shaft', 'outside-micrometer', '1.500')
            ->read('Keyway in the bore', 'calliper', '0.400')->is('Shaft keyway', ['work' => 'cut']);
        foreach ($this->facts['parts'] as $i => $part) {
            $this->facts['parts'][$i]['origin'] = 'found';
        }
        $slot = $job->shape('Shaft keyway');
        self::assertStringContainsString('0.4000 × 0.3750', str_replace('3/8', '0.3750', $slot->is->in ?? ''));
        self::assertStringContainsString('With a cutter of 0.3750: once down the middle, then 0.0125 to each side', implode(' ', array_map(static fn ($s): string => $s->in, $slot->sets)));
        self::assertContains('key-to-slot', self::codes($slot));
    }

    /** 30 teeth, 96 over all: module 3 (ISO 54); with 20 teeth beside it 75 from centre to centre; 14½° is asked for. */
    public function test_teeth(): void
    {
        $job = $this->job('gear-on-shaft')->is('Teeth', ['count' => 30])->is('Mate’s teeth', ['count' => 20])
            ->read('Mate’s teeth', 'calliper', '65.9');
        $teeth = $job->shape('Teeth');
        self::assertStringStartsWith('module 3 most likely', $teeth->is?->mm ?? '');
        self::assertSame('75.000', self::numbers($teeth)['Between the centres']);
        self::assertSame('90.000', self::numbers($teeth)['Pitch circle']);
        self::assertEqualsWithDelta(96.0, $teeth->band?->upperMm, 1e-9);
        self::assertContains('pressure-taken', self::codes($teeth));
        $chain = $job->is('Teeth', ['shape' => 'chain 1/2', 'count' => 18])->shape('Teeth');
        // p/sin(180°/z), ISO 606: 12.7 with 18 teeth is 73.14.
        self::assertSame('73.136', self::numbers($chain)['Pitch circle']);
        // 22 teeth of pitch 8: 56.02, and 54.65 over the tips.
        $belt = $this->job('gear-on-shaft')->is('Teeth', ['shape' => 'belt 8M', 'count' => 22])->shape('Teeth');
        self::assertSame(['54.651', '56.023'], [self::numbers($belt)['Outside'], self::numbers($belt)['Pitch circle']]);
        self::assertSame('As typed.', $belt->because?->mm);
        $told = $this->job('gear-on-shaft')->is('Teeth', ['shape' => 'belt', 'count' => 22])->read('Teeth', 'calliper', '54.6')->shape('Teeth');
        self::assertStringStartsWith('belt 8M most likely', $told->is->mm ?? '');
        self::assertSame('By what was read over its tips.', $told->because?->mm);
        $chains = $this->job('gear-on-shaft')->is('Teeth', ['shape' => 'chain', 'count' => 20])->read('Teeth', 'calliper', '87.5')->shape('Teeth');
        self::assertStringStartsWith('chain of', $chains->is->mm ?? '');
        self::assertSame('chain 12.7 mm', $chains->candidates[0]->label);
        $none = $this->job('gear-on-shaft')->is('Teeth', ['shape' => 'belt', 'count' => 22])->read('Teeth', 'calliper', '53.2')->shape('Teeth');
        self::assertStringContainsString('No belt in the table', $none->missing->mm ?? '');
        self::assertStringContainsString('There is no belt', $this->job('gear-on-shaft')->is('Teeth', ['shape' => 'belt Q', 'count' => 22])->shape('Teeth')->missing->mm ?? '');
        self::assertStringContainsString('Count its teeth', $this->is('Teeth', ['count' => null])->shape('Teeth')->missing?->mm ?? '');
    }

    /** Left and right ends of M12, 1.75 each: a turn is 3.5; 24 in the eye less 12 of engagement in steel leaves 12 each. */
    public function test_a_link(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $job = $this->job('link')->is('Left-hand thread', ['shape' => 'M12', 'long' => $mm('30'), 'pitch' => $mm('1.75'), 'hand' => 'left'])
            ->is('Right-hand thread', ['shape' => 'M12', 'long' => $mm('30'), 'pitch' => $mm('1.75'), 'hand' => 'right'])
            ->is('Left eye thread', ['long' => $mm('24')])->is('Right eye thread', ['long' => $mm('24')]);
        $left = $job->shape('Left-hand thread');
        $numbers = self::numbers($left);
        self::assertSame('3.500', $numbers['A turn changes the length by']);
        self::assertSame('12.000', $numbers['Each end may come out by']);
        self::assertStringContainsString('LEFT HAND', $left->is?->mm ?? '');
        self::assertStringContainsString('LEFT HAND', $left->sets[0]->mm);
    }

    /** A slit bush, taper 1 in 10: 0.1 on the bore is 0.314 of the slit and 1 of draw-in; a slit of 3 shuts at 0.955. */
    public function test_a_slit_bush(): void
    {
        $job = $this->job('split-taper-bush')->read('Body taper', 'three-point', '60')->read('Body taper', 'three-point', '53', 'far')
            ->read('Body taper', 'depth-micrometer', '70', 'over')->is('Slot', ['size' => ['typed' => '3', 'unit' => 'mm']]);
        $numbers = self::numbers($job->shape('Bush taper'));
        self::assertSame('0.1: slit 0.314, drawn in 1.00', $numbers['To close its bore a little']);
        self::assertSame('0.955', $numbers['The slit shut closes it by']);
        // The plug is larger than the bore by what it stands out.
        self::assertEqualsWithDelta(60.1, $job->shape('Bush taper')->band?->middleMm(), 1e-9);
        self::assertArrayNotHasKey('To close its bore a little', self::numbers($job->shape('Body taper')));
    }

    /** A D-flat, by hand: 20 round, 17 across is 3 deep and 2√(3·17) = 14.283 wide; with one opposite half as deep. */
    public function test_a_flat(): void
    {
        $job = $this->job('stepped-shaft');
        $this->facts['surfaces'][] = [...$this->facts['surfaces'][0], 'id' => 'flat', 'name' => 'Flat', 'kind' => 'flat', 'stations' => [], 'angles' => [], 'sketch' => null, 'work' => 'cut'];
        $job->read('Flat', 'outside-micrometer', '17', 'across')->read('Flat', 'outside-micrometer', '20', 'round');
        $numbers = self::numbers($job->shape('Flat'));
        self::assertSame(['3.000', '14.283'], [$numbers['Deep, from the round'], $numbers['Wide']]);
        self::assertStringNotContainsString('dividing', $job->shape('Flat')->sets[0]->mm);
        $two = $job->is('Flat', ['count' => 2])->shape('Flat');
        self::assertSame('1.500', self::numbers($two)['Deep, from the round']);
        self::assertSame(['17.000 mm across, 2 flats', true], [$two->is?->mm, str_contains($two->sets[0]->mm, 'dividing by 2')]);
        $this->facts['readings'] = [];
        $job->read('Flat', 'outside-micrometer', '21', 'across')->read('Flat', 'outside-micrometer', '20', 'round');
        self::assertStringContainsString('less than the round', $job->shape('Flat')->missing?->mm ?? '');
        // Past the middle there is no flat on a round: 11 across is 9 deep, 9 would be 11.
        foreach (['11' => '9.000', '9' => null] as $across => $deep) {
            $this->facts['readings'] = [];
            $job->read('Flat', 'outside-micrometer', (string) $across, 'across')->read('Flat', 'outside-micrometer', '20', 'round');
            $shape = $job->is('Flat', ['count' => null])->shape('Flat');
            self::assertSame([$deep, $deep === null], [self::numbers($shape)['Deep, from the round'] ?? null, $shape->missing !== null]);
        }
    }

    /** 6 × 23 × 28 of the medium series (ISO 14, from memory); where none matches, the original is kept. */
    public function test_splines(): void
    {
        $job = $this->job('stepped-shaft');
        $this->facts['surfaces'][] = [...$this->facts['surfaces'][0], 'id' => 'spline', 'name' => 'Spline', 'kind' => 'spline', 'stations' => [], 'angles' => [], 'sketch' => null, 'count' => 6, 'work' => null];
        $this->facts['parts'][0]['origin'] = 'found';
        self::assertStringContainsString('Count its teeth', $job->shape('Spline')->missing?->mm ?? '');
        $job->read('Spline', 'outside-micrometer', '27.9', '')->read('Spline', 'calliper', '23.1', 'minor')->read('Spline', 'calliper', '5.9', 'tooth');
        foreach ($this->facts['parts'] as $i => $part) {
            $this->facts['parts'][$i]['origin'] = 'found';
        }
        self::assertSame('straight-sided 6 × 23 × 28, medium series', $job->shape('Spline')->is?->mm);
        self::assertContains('spline-none', self::codes($job->is('Spline', ['count' => 7])->shape('Spline')));
    }

    /** A taper holds by itself up to 7° a side (common practice): 1:5 is 5.7°, 1:4 is 7.13°. */
    public function test_how_steep_a_taper_may_be_to_hold(): void
    {
        $says = fn (string $shape): string => implode(' ', array_map(
            static fn (Say $s): string => $s->mm,
            $this->taperHub()->is('Bush taper', ['shape' => $shape])->is('Hub taper', ['shape' => $shape])->shape('Hub taper')->checks,
        ));
        self::assertStringContainsString('It holds by itself', $says('1:5'));
        self::assertStringContainsString('does not hold by itself', $says('1:4'));
    }

    /** 24 to 34 over 18 is 1 in 1.8: called 1 in 8 that is 10 less 2.25 off. To 26.4 it is 0.15, and nothing is said of that. */
    public function test_a_taper_whose_ends_are_not_what_it_is_called(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $outlet = fn (string $far): ShapedSurface => $this->job('nozzle')
            ->is('Outlet taper', ['shape' => '1:8', 'size' => $mm('24'), 'size2' => $mm($far), 'long' => $mm('18')])->shape('Outlet taper');
        $notes = array_column(array_map(static fn (Note $n): array => [$n->code, $n->say->mm], $outlet('34')->notes), 1, 0);
        self::assertStringContainsString('as noted, it is 1 in 1.80: 7.750 mm on the diameter', $notes['taper-not-as-noted'] ?? '');
        self::assertNotContains('taper-not-as-noted', self::codes($outlet('26.4')));
    }

    /** A mouth of 56 in a hub of 60 leaves 2: too little for a wedge. */
    public function test_a_thin_hub_is_said(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $job = $this->taperHub()->is('Hub outside', ['size' => $mm('60'), 'at' => $mm('0'), 'long' => $mm('32')]);
        self::assertContains('taper-edge', self::codes($job->shape('Hub taper')));
        self::assertNotContains('taper-edge', self::codes($job->is('Hub outside', ['size' => $mm('90')])->shape('Hub taper')));
    }

    /** A ring's groove on a shaft of 20: 19 h11; a seal ring in it: 20 − 2 · (0.72 … 0.85) · 2.62. */
    public function test_grooves(): void
    {
        $job = $this->job('stepped-shaft')->is('Undercut', ['shape' => 'circlip']);
        $job->read('Undercut', 'calliper', '20', '')->is('Undercut', ['at' => null]);
        foreach (['Left bearing seat', 'Right bearing seat', 'Hub seat', 'Middle'] as $seat) {
            $job->is($seat, ['size' => ['typed' => '20', 'unit' => 'mm']]);
        }
        self::assertEqualsWithDelta([18.87, 19.0], [$job->shape('Undercut')->band?->lowerMm, $job->shape('Undercut')->band?->upperMm], 1e-9);
        $seal = $job->is('Undercut', ['shape' => 'O-ring 2.62'])->shape('Undercut');
        self::assertStringStartsWith('Squeezed by 15 to 28 of 100', $seal->checks[0]->mm ?? '');
        self::assertEqualsWithDelta([20 - 1.7 * 2.62, 20 - 1.44 * 2.62], [$seal->band?->lowerMm, $seal->band?->upperMm], 1e-9);
        self::assertStringContainsString('no groove known here', $job->is('Undercut', ['shape' => 'deep'])->shape('Undercut')->missing?->mm ?? '');
        self::assertStringContainsString('too thick', $job->is('Undercut', ['shape' => 'O-ring 15'])->shape('Undercut')->missing?->mm ?? '');
        self::assertStringContainsString('No standard ring', $job->is('Undercut', ['shape' => 'circlip'])->is('Left bearing seat', ['size' => ['typed' => '21', 'unit' => 'mm']])->shape('Undercut')->missing?->mm ?? 'No standard ring');
    }

    /**
     * ISO 724: the root of an M12 screw is at 12 − 1.22687 · 1.75 = 9.853; a tenth of a pitch deeper on either side is 9.503
     * (DIN 76 has 9.2). Two and a half pitches are 4.375.
     */
    public function test_a_run_out_beside_a_thread(): void
    {
        $job = $this->job('stepped-shaft');
        self::assertStringContainsString('Say what it is for', $job->shape('Undercut')->missing?->mm ?? '');
        $undercut = array_values(array_filter($this->facts['surfaces'], static fn (array $s): bool => $s['name'] === 'Undercut'))[0];
        $this->facts['surfaces'][] = [...$undercut, 'id' => 'thread', 'name' => 'End thread', 'kind' => 'thread-outside', 'shape' => 'M12'];
        $runOut = $job->shape('Undercut');
        self::assertSame('run-out for M12', $runOut->is?->mm);
        self::assertSame(['Across its bottom, at most' => '9.503', 'Wide' => '4.375'], self::numbers($runOut));
        self::assertStringContainsString('common practice', $runOut->because?->mm ?? '');
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $own = $job->is('Undercut', ['size' => $mm('9')])->shape('Undercut');
        self::assertSame(['a plain groove', 'As noted.', '9.000'], [$own->is?->mm, $own->because?->mm, self::numbers($own)['Across its bottom']]);
        self::assertCount(1, $own->checks);
        $this->facts['surfaces'] = array_values(array_filter($this->facts['surfaces'], static fn (array $s): bool => $s['id'] !== 'thread'));
        self::assertSame([], $this->shape('Undercut')->checks, 'no thread runs out into it');
    }

    /**
     * Six holes of 9 read over pins: 56 less 9 is a chord of 47, and six of those are a circle of 94; bolted to it, the hub is
     * drilled alike. Places by hand; 6 turns and 10 holes of 15 on a head of 40.
     */
    public function test_a_hole_circle(): void
    {
        $job = $this->job('taper-hub')->is('Disc hole circle', ['count' => 6])
            ->read('Disc hole circle', 'outside-micrometer', '56.00', 'over-pins')->read('Disc hole circle', 'outside-micrometer', '9.000', 'pin');
        $disc = $job->shape('Disc hole circle');
        self::assertSame('6 holes on a circle of 94.000 mm', $disc->is?->mm);
        self::assertSame('94 mm', $disc->candidates[0]->label);
        $hub = $job->shape('Hub hole circle');
        $numbers = self::numbers($hub);
        self::assertStringContainsString('bolted to', $hub->because?->mm ?? '');
        self::assertSame(['94.000', '47.000'], [$numbers['Hole circle'], $numbers['From hole to hole']]);
        self::assertSame('23.500, 40.703', $numbers['Hole 2, 60°: x, y']);
        self::assertStringContainsString('6 turns and 10 holes of 15', implode(' ', array_map(static fn ($s): string => $s->mm, $hub->sets)));
        self::assertContains('first-hole', self::codes($hub));
        // Over pins of 9: 47 and 9, between them 47 less 9; opposite ones a whole circle apart.
        $checks = static fn (ShapedSurface $shape): array => array_map(static fn (Say $s): string => $s->mm, $shape->checks);
        self::assertSame(['Two neighbours are 47.000 apart, middle to middle; all of them alike.', 'Opposite ones are 94.000 apart.'], $checks($disc));
        self::assertSame(
            'Over pins of 9.000 in two neighbours it reads 56.000, between them 38.000; all round alike.',
            $checks($job->is('Disc hole circle', ['size2' => ['typed' => '9', 'unit' => 'mm']])->shape('Disc hole circle'))[0],
        );
        self::assertCount(1, $checks($job->is('Disc hole circle', ['count' => 5])->shape('Disc hole circle')), 'of five none are opposite');
        self::assertSame('90.000', explode(' ', self::numbers($job->is('Hub hole circle', ['shape' => '90'])->shape('Hub hole circle'))['Hole circle'])[0]);
        $entry = $this->card('Hub hole circle');
        self::assertNull($entry->band);
        self::assertTrue($entry->free);
        self::assertSame('Hole circle', $entry->more[0]->name);
        self::assertStringContainsString('“round about”', $job->is('Hub hole circle', ['shape' => 'round about'])->shape('Hub hole circle')->missing?->mm ?? '“round about”');
    }

    /** 6 × 9 on 94 in a flange of 110 are 8 from its edge, less than 13.5; a second circle beside it is clocked. */
    public function test_edges_and_two_circles(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $job = $this->job('taper-hub')->is('Hub hole circle', ['count' => 6, 'size' => $mm('94'), 'size2' => $mm('9'), 'at' => $mm('32')])
            ->is('Hub flange', ['size' => $mm('110'), 'at' => $mm('32'), 'long' => $mm('12')]);
        self::assertContains('hole-edge', self::codes($job->shape('Hub hole circle')));
        self::assertNotContains('pattern-clocking', self::codes($job->shape('Hub hole circle')));
        $this->facts['surfaces'][] = [
            ...array_values(array_filter($this->facts['surfaces'], static fn (array $s): bool => $s['name'] === 'Hub hole circle'))[0],
            'id' => 'second', 'name' => 'Second circle', 'count' => 4, 'size' => $mm('84'), 'size2' => $mm('8'),
        ];
        $notes = array_column(array_map(static fn (Note $n): array => [$n->code, $n->say->mm], $job->shape('Second circle')->notes), 1, 0);
        // Six and four come round every 30°: fifteen apart at best (as in PatternTest).
        self::assertStringContainsString('turned by 15° from there', $notes['pattern-clocking']);
    }

    /** 3 across and 4 up are 5 at 53.13°, a swing of 10; a bore of 20 so far off in 40 leaves 5 on the thin side. */
    public function test_an_eccentric(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $job = $this->job('plain-bush')->is('Bush bore', ['x' => $mm('3'), 'y' => $mm('4'), 'size' => $mm('20')])
            ->is('Bush outside', ['size' => $mm('40')]);
        foreach ($this->facts['parts'] as $i => $part) {
            $this->facts['parts'][$i]['form'] = 'turned';
        }
        $bore = $job->shape('Bush bore');
        $numbers = self::numbers($bore);
        self::assertSame(['5.000', '10.000', '5.000', '7.026'], [$numbers['Off the axis by'], $numbers['In four jaws the indicator swings'], $numbers['Wall left on the thin side'], $numbers['Packing under one of three jaws']]);
        self::assertStringStartsWith('53.13°', $numbers['Toward']);
        self::assertContains('breaks-out', self::codes($job->is('Bush bore', ['x' => $mm('9')])->is('Bush bore', ['y' => $mm('9')])->shape('Bush bore')));
        $job->is('Bush bore', ['x' => null, 'y' => null]);
        self::assertSame([], array_filter($job->answers()->shaped, static fn (ShapedSurface $s): bool => $s->surface->name === 'Bush bore'));
    }

    /** Whatever is cut on a part of any kind has its number, or says what is missing for it. */
    public function test_every_surface_that_is_cut_is_on_the_card(): void
    {
        foreach (EachKind::jobs() as $kind => $facts) {
            $card = [];
            foreach (JobAnswers::of($facts)->make as $entry) {
                $card[$entry->surface->id] = $entry->band !== null || $entry->free || $entry->blocked !== null;
            }
            foreach ($facts->surfaces as $surface) {
                if ($facts->isCut($surface)) {
                    self::assertTrue($card[$surface->id] ?? false, "{$kind}: {$surface->name}");
                }
            }
        }
    }

    /** A run-out beside M10: 3.75 wide, 10 − 2 · 0.92 − 0.3 = 7.86 across at most; a chamfer of three hundredths; 47° is 43°. */
    public function test_edges(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $job = $this->job('stepped-shaft')->is('End thread', ['shape' => 'M10']);
        $numbers = self::numbers($job->shape('Undercut'));
        self::assertSame(['7.860', '3.750'], [$numbers['Across its bottom, at most'], $numbers['Wide']]);
        // At the machine its number stands too, though it has no limits.
        foreach ($job->answers()->making as $making) {
            if ($making->entry->label === 'Undercut') {
                $says = json_decode(json_encode(new MakingAnswer($making), JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR)['says']['mm'];
                self::assertSame('Across its bottom, at most: 7.860.', $says);
            }
        }
        $chamfer = $job->is('End chamfer', ['size' => $mm('1.5')])->shape('End chamfer');
        self::assertSame('1.500', self::numbers($chamfer)['Leg, at 45°']);
        foreach (['10' => '0.500', '200' => '2.500'] as $across => $leg) {
            $bounded = $this->job('plain-bush')->is('Bush outside', ['size' => $mm((string) $across)])->shape('Lead-in chamfer');
            self::assertSame($leg, self::numbers($bounded)['Leg, at 45°']);
        }
        $bush = $this->job('plain-bush')->is('Bush outside', ['size' => $mm('40')])->shape('Lead-in chamfer');
        self::assertSame(['1.200', '37.600'], array_values(self::numbers($bush)));
        self::assertStringContainsString('Nobody said', $bush->because?->mm ?? '');
        $arm = $this->job('lever')->is('Angle of the arm', ['angle_deg' => 43.0])->shape('Angle of the arm');
        self::assertSame(['43°', '47°', '137°', '68.200'], array_values(self::numbers($arm)));
    }

    /** Nothing is given away while the sizes are withheld; what is there may be looked at. */
    public function test_withheld(): void
    {
        $this->taperHub();
        $this->facts['take_in']['gates'] = ['lifting'];
        $shape = $this->shape('Hub taper');
        self::assertSame([], $shape->numbers);
        self::assertNull($this->card('Hub taper')->band);
        self::assertNotSame([], $this->shape('Bush taper')->numbers);
    }

    /** A dimension of something else is refused by its name; the table of readings goes out and comes back. */
    public function test_dimensions_in_files(): void
    {
        $this->taperHub();
        $facts = JobFacts::fromArray($this->facts);
        self::assertEquals($facts, JobFile::read(JobFile::write($facts)));
        $csv = ReadingsCsv::write($facts);
        self::assertStringContainsString('before,far,', $csv);
        $columns = ReadingsCsv::guess(ReadingsCsv::table($csv)['heading']);
        $id = fn (): string => 'new-'.++$this->next;
        $in = ReadingsCsv::read($csv, $columns, $facts, null, Unit::Millimetre, 'calliper', $id);
        self::assertSame(['', 'far', 'over'], array_column($in['readings'], 'what'));
        // Said to be a bore after it was read as a taper: what was read stays with the record, and nothing goes by it.
        $bore = $this->is('Bush taper', ['kind' => 'bore']);
        self::assertCount(3, JobFacts::fromArray($this->facts)->readings);
        self::assertSame([], array_filter($bore->answers()->shaped, static fn (ShapedSurface $s): bool => $s->surface->name === 'Bush taper'));
        $this->read('Shaft', 'calliper', '30', 'nonsense');
        $this->expectException(BadInput::class);
        $this->expectExceptionMessage('“nonsense” is nothing one reads');
        $this->answers();
    }

    /** By hand: five holes on 94 are 94 sin 36° = 55.252 apart; holes of 9: 46.252 between their near edges, 64.252 over the far. */
    public function test_a_hole_circle_by_its_edges(): void
    {
        foreach (
            [
                [['near-edges', '46.252'], ['hole', '9.00']],
                [['far-edges', '64.252'], ['hole', '9.00']],
                [['near-edges', '46.252'], ['far-edges', '64.252']],
            ] as $read
        ) {
            $this->next = 0;
            $job = $this->job('flanged-axle')->is('Wheel hole circle', ['count' => 5]);
            foreach ($read as [$what, $typed]) {
                $job->read('Wheel hole circle', 'calliper', $typed, $what);
            }
            // Inside jaws read small holes a little small: some hundredths are allowed for that.
            self::assertEqualsWithDelta(94.0, (float) self::numbers($job->shape('Flange hole circle'))['Hole circle'], 0.06);
        }
    }

    /** Five holes on 94 about (10, −20), the first at 90°: (10, 27); the next at 162°: 10 − 47 cos 18° = −34.70. */
    public function test_holes_are_drilled_off_one_by_one(): void
    {
        $job = $this->job('flanged-axle')->is('Flange hole circle', ['count' => 5, 'shape' => '94', 'angle_deg' => 90, 'x' => ['typed' => '10', 'unit' => 'mm'], 'y' => ['typed' => '-20', 'unit' => 'mm']]);
        $places = $job->shape('Flange hole circle')->places;
        self::assertCount(5, $places);
        self::assertEqualsWithDelta([10, 27, 90], [$places[0]->xMm, $places[0]->yMm, $places[0]->deg], 1e-9);
        self::assertEqualsWithDelta(10 - 47 * cos(deg2rad(18)), $places[1]->xMm, 1e-9);
        $this->facts['ticks'][] = ['id' => 't-1', 'code' => $places[2]->tick, 'at' => null, 'remark' => null];
        self::assertSame([false, false, true, false, false], array_map(static fn ($p): bool => $p->isDrilled, $job->shape('Flange hole circle')->places));
        self::assertSame([], $job->is('Wheel hole circle', ['count' => 5, 'shape' => '94'])->shape('Wheel hole circle')->places, 'those are there');
    }

    /** The other way round: a plug turned to a bore of 56 that was read, 1 in 8, stands out 0.5 to 1.5, so it is larger by 0.0625 to 0.1875. */
    public function test_a_plug_turned_to_its_bore(): void
    {
        $this->job('taper-hub')->is('Hub taper', ['work' => null]);
        foreach ($this->facts['parts'] as $i => $part) {
            $this->facts['parts'][$i]['origin'] = ['Locking bush' => 'make', 'Hub' => 'found'][$part['name']] ?? $part['origin'];
        }
        $this->is('Bush taper', ['work' => 'cut'])->read('Hub taper', 'three-point', '56.000')
            ->read('Hub taper', 'three-point', '52.000', 'far')->read('Hub taper', 'depth-micrometer', '32.00', 'over');
        $plug = $this->shape('Bush taper');
        self::assertTrue($plug->isCut);
        self::assertEqualsWithDelta(56 + 1 / 8, $plug->band?->middleMm(), 1e-9);
        self::assertGreaterThan(56 + 0.5 / 8, $plug->band?->lowerMm);
        self::assertLessThan(56 + 1.5 / 8, $plug->band?->upperMm);
        // As much narrower at either end as the bore's reading is unsure by: less than a hundredth with such a gauge.
        self::assertEqualsWithDelta(1 / 8, $plug->band?->widthMm(), 0.03);
    }

    /** Said to be 1 in 8 and read from its small end: its large end is the larger of the two, wherever one began. */
    public function test_a_taper_read_from_its_small_end(): void
    {
        $this->job('taper-hub')->is('Bush taper', ['shape' => '1:8'])->read('Bush taper', 'outside-micrometer', '52.000')
            ->read('Bush taper', 'outside-micrometer', '56.000', 'far')->read('Bush taper', 'depth-micrometer', '32.00', 'over');
        self::assertEqualsWithDelta(56 - 1 / 8, $this->shape('Hub taper')->band?->middleMm(), 1e-9);
    }
}

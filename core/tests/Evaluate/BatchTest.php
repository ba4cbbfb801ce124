<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use PHPUnit\Framework\TestCase;

/** Pieces of a batch: first the first, then every n-th, what wanders, what goes with what. Sizes are invented. */
final class BatchTest extends TestCase
{
    private SampleAxle $axle;

    private function axles(int $quantity = 6): self
    {
        $this->axle = new SampleAxle();
        $this->axle->facts['take_in']['quantity'] = $quantity;

        return $this;
    }

    /** @param  array<int, string>  $sizes  by number of the piece */
    private function made(array $sizes): self
    {
        foreach ($sizes as $piece => $size) {
            $this->axle->cut($size, $piece);
        }

        return $this;
    }

    /** @param  array<string, mixed>  $batch */
    private function batch(array $batch): self
    {
        $this->axle->facts['batch'] = ['piece' => 1, 'every' => 1, 'scrapped' => [], 'mates' => [], ...$batch];

        return $this;
    }

    /** @return array<string, mixed> */
    private function answers(): array
    {
        return $this->axle->answers();
    }

    /** @return list<string> */
    private function states(): array
    {
        return array_column($this->answers()['batch']['pieces'], 'state');
    }

    public function test_one_piece_is_no_batch(): void
    {
        self::assertNull($this->axles(1)->answers()['batch']);
        self::assertNotNull($this->made([2 => '39.975'])->answers()['batch'], 'a second was made all the same');
    }

    public function test_first_the_first(): void
    {
        $batch = $this->axles()->answers()['batch'];
        self::assertSame('0 of 6 good. 6 still to come.', $batch['says']);
        self::assertStringContainsString('First-off', $batch['next']);
        $batch = $this->made([2 => '39.975'])->answers()['batch'];
        self::assertStringContainsString('First-off', $batch['next'], 'the second does not stand for the first');
        self::assertSame('1 of 6 good. 5 still to come.', $batch['says']);
        self::assertSame('Piece 3 next, to be measured.', $this->made([1 => '39.975'])->answers()['batch']['next']);
    }

    public function test_every_third_is_measured(): void
    {
        $this->axles(8)->batch(['every' => 3])->made([1 => '39.975', 4 => '39.976']);
        self::assertSame(['good', 'between', 'between', 'good', 'open', 'open', 'open', 'open'], $this->states());
        // What was made since the last good one is in doubt as soon as one is not.
        $this->made([7 => '39.900']);
        self::assertSame(['good', 'between', 'between', 'good', 'doubt', 'doubt', 'bad', 'open'], $this->states());
        self::assertSame('Piece 7 is outside: look why before the next is cut.', $this->answers()['batch']['next']);
        $this->batch(['every' => 3, 'scrapped' => [7]]);
        self::assertSame(['good', 'between', 'between', 'good', 'open', 'open', 'scrap', 'open'], $this->states());
    }

    /** One that every piece is measured for is not waved through between two good ones. */
    public function test_one_that_is_due_and_was_not_measured_is_open(): void
    {
        $this->axles()->made([1 => '39.975', 3 => '39.976']);
        self::assertSame(['good', 'open', 'good', 'open', 'open', 'open'], $this->states());
    }

    public function test_the_batch_is_done_when_enough_are_good(): void
    {
        $this->axles(2)->made([1 => '39.975', 2 => '39.900']);
        self::assertSame(['good', 'bad'], $this->states());
        self::assertFalse($this->answers()['hand_over']['good']);
        $this->batch(['scrapped' => [2]]);
        self::assertSame('Piece 3 next, for one that was scrapped.', $this->answers()['batch']['next']);
        $this->made([3 => '39.977', 4 => '39.978']);
        $answers = $this->answers();
        self::assertSame('3 of 2 good: 1 to spare, 1 scrap. That is all of them.', $answers['batch']['says']);
        self::assertNull($answers['batch']['next']);
        self::assertTrue($answers['hand_over']['good']);
    }

    /** Where the first is scrap, the next that is not stands for the job. */
    public function test_the_first_is_scrap(): void
    {
        $this->axles(2)->made([1 => '39.900', 2 => '39.975'])->batch(['scrapped' => [1]]);
        $answers = $this->answers();
        self::assertStringStartsWith('Piece 2: made', $answers['hand_over']['says']);
        self::assertSame('inside', $answers['hand_over']['sizes'][0]['verdict']);
        self::assertFalse($answers['hand_over']['good'], 'one is still missing');
        $this->made([3 => '39.976']);
        self::assertTrue($this->answers()['hand_over']['good']);
        $this->axles(3)->batch(['scrapped' => [1]]);
        self::assertStringContainsString('all of piece 2 before the next', $this->answers()['batch']['next']);
    }

    public function test_too_near_a_limit_is_said(): void
    {
        // 40 µm clear of 40.000 at most, less what both readings hide: 39.963 is nowhere surely.
        $this->axles(2)->made([1 => '39.975', 2 => '39.963']);
        self::assertSame(['good', 'unsure'], $this->states());
    }

    /** The first piece stands for the job; the one in hand is what is being cut. */
    public function test_the_piece_in_hand(): void
    {
        $this->axles()->made([1 => '39.975', 2 => '40.200'])->batch(['piece' => 2]);
        $answers = $this->answers();
        self::assertSame([2, 'cut'], [$answers['making'][0]['piece'], $answers['making'][0]['state']]);
        self::assertNull($answers['make'][0]['verdict']);
        self::assertSame('inside', $answers['hand_over']['sizes'][0]['verdict']);
        self::assertSame(['good', 'started'], array_slice($this->states(), 0, 2));
        self::assertSame([], $answers['batch']['runs'], 'one that is still being cut says nothing of the next');
    }

    /** 0.003 a piece by hand: the seventh would be at 39.9863; the dial goes finer by what is over the middle. */
    public function test_a_size_that_wanders(): void
    {
        $this->axles(12)->made([1 => '39.968', 2 => '39.971', 3 => '39.974', 4 => '39.977', 5 => '39.980', 6 => '39.983']);
        $run = $this->answers()['batch']['runs'][0];
        self::assertStringContainsString('Grows by 3 µm a piece', $run['says']['mm']);
        self::assertStringContainsString('Piece 7 is expected at 39.986', $run['says']['mm']);
        $codes = array_column($run['notes'], 'text', 'code');
        self::assertStringContainsString('outside', $codes['batch-drift']);
        self::assertStringContainsString('deeper', $codes['batch-drift'], 'it grows: more has to come off');
        self::assertArrayHasKey('batch-signal', $codes, 'six steadily up');
        // After the last piece nobody minds any more.
        $this->axle->facts['take_in']['quantity'] = 6;
        self::assertArrayNotHasKey('batch-drift', array_column($this->answers()['batch']['runs'][0]['notes'], 'text', 'code'));
    }

    public function test_work_that_spreads_too_much(): void
    {
        $this->axles()->made([1 => '39.966', 2 => '39.985', 3 => '39.964', 4 => '39.984', 5 => '39.965', 6 => '39.985']);
        $codes = array_column($this->answers()['batch']['runs'][0]['notes'], 'text', 'code');
        // Mean moving range 0.0198: one standard deviation is 0.0176, the limits are less than 0.03 apart: about 40 in 100.
        self::assertMatchesRegularExpression('/about (3[5-9]|4\d|5\d) in 100/', $codes['batch-spread']);
        self::assertArrayNotHasKey('batch-drift', $codes);
    }

    /** The mates 40.000, 40.012: 0.010 to 0.040 under each; both readings take a little at both ends. */
    public function test_each_piece_to_its_mate(): void
    {
        $mate = fn (string $mark, string $size): array => [
            'mark' => $mark, 'joint' => $this->axle->facts['joints'][0]['id'], 'instrument' => 'three-point',
            'size' => ['typed' => $size, 'unit' => 'mm'],
        ];
        $this->axles(2);
        $this->batch(['mates' => [$mate('A', '40.000'), $mate('B', '40.012')]]);
        $mated = $this->answers()['batch']['mated'][0];
        self::assertStringContainsString('No piece goes into any of them yet', $mated['says']['mm']);
        self::assertNull($mated['rows'][0]['piece']);
        foreach ([['A', 40.000], ['B', 40.012]] as $i => [$mark, $size]) {
            self::assertSame($mark, $mated['rows'][$i]['mark']);
            $lower = (float) $mated['rows'][$i]['make_lower']['mm'];
            $upper = (float) $mated['rows'][$i]['make_upper']['mm'];
            self::assertGreaterThan($size - 0.040, $lower, 'less the doubt of its reading');
            self::assertLessThan($size - 0.010, $upper);
            self::assertEqualsWithDelta($size - 0.025, ($lower + $upper) / 2, 6e-4);
        }
        // As they come, the larger in the smaller hole would bind.
        $this->made([1 => '39.987', 2 => '39.974']);
        $mated = $this->answers()['batch']['mated'][0];
        self::assertSame([2, 1], array_column($mated['rows'], 'piece'));
        self::assertSame(['inside', 'inside'], array_column($mated['rows'], 'verdict'));
        self::assertStringContainsString('2 of 2 pairs', $mated['says']['mm']);
        self::assertStringNotContainsString('Left over', $mated['says']['mm']);
        self::assertSame(['good', 'good'], $this->states(), 'each is good in its own');
        // By hand: 39.987 in 40.012 has 0.025; the limits for all would have called it too large.
        $over = $this->answers()['hand_over'];
        self::assertSame(['inside', 'inside'], [$over['sizes'][0]['verdict'], $over['fits'][0]['verdict']]);
        self::assertStringContainsString('For B of', $this->answers()['make'][0]['remarks'][0]['mm']);
        $run = JobAnswers::of($this->axle->build())->batch?->of;
        self::assertEqualsWithDelta(0.025, $run?->achieved(1, $this->axle->facts['joints'][0]['id'])?->middle(), 1e-9);
        self::assertNull($run?->achieved(1, 'another'));
        self::assertNull($run?->achieved(3, $this->axle->facts['joints'][0]['id']));
        // A scrapped piece goes with none.
        $this->axle->facts['batch']['scrapped'] = [2];
        self::assertSame([null, 1], array_column($this->answers()['batch']['mated'][0]['rows'], 'piece'));
        // Of three for two one has no mate: the larger goes into B alone, and of two alike either into A.
        $this->axle->facts['batch']['scrapped'] = [];
        $this->axle->facts['take_in']['quantity'] = 3;
        $says = $this->made([3 => '39.974'])->answers()['batch']['mated'][0]['says']['mm'];
        self::assertMatchesRegularExpression('/2 of 2 pairs .* Left over: piece [23]\.$/', $says);
    }

    public function test_what_makes_no_sense(): void
    {
        $mate = ['mark' => 'A', 'joint' => 'nowhere', 'instrument' => 'three-point', 'size' => ['typed' => '40', 'unit' => 'mm']];
        foreach ([['piece' => 0], ['every' => 0], ['piece' => 1001], ['mates' => [$mate]]] as $bad) {
            try {
                $this->axles()->batch($bad);
                $this->axle->build();
                self::fail('taken: '.json_encode($bad));
            } catch (BadInput $refused) {
                self::assertStringStartsWith('batch.', $refused->field);
            }
        }
        $this->axles();
        $twice = [...$mate, 'joint' => $this->axle->facts['joints'][0]['id']];
        $this->batch(['mates' => [$twice, $twice]]);
        $this->expectExceptionMessage('two mates of one mark');
        $this->axle->build();
    }
}

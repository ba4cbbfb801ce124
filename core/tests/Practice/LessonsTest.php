<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\PracticeFacts;
use Oldpart\Core\Practice\BenchView;
use Oldpart\Core\Practice\Debrief;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Level;
use Oldpart\Core\Practice\Score;
use Oldpart\Core\Practice\Skill;
use Oldpart\Core\Practice\Trap;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each lesson, walked into and seen in time. */
final class LessonsTest extends TestCase
{
    public function test_there_is_a_lesson_for_each_mistake(): void
    {
        $traps = array_map(static fn (Lesson $l): ?Trap => $l->trap, Lesson::all());
        self::assertEqualsCanonicalizing(Trap::cases(), $traps);
        self::assertGreaterThanOrEqual(12, count($traps));
        $levels = array_map(static fn (Lesson $l): Level => $l->level, Lesson::all());
        self::assertSame(array_unique($levels, SORT_REGULAR), array_intersect_key($levels, array_unique($levels, SORT_REGULAR)));
        self::assertSame(Level::Easy, $levels[0]);
        self::assertSame(Level::Hard, $levels[count($levels) - 1]);
    }

    /** Which one a job is of: by its name, or free with a kind and a level; what is neither is refused by the field. */
    public function test_the_lesson_of_a_job(): void
    {
        $of = static fn (string $lesson, string $kind, string $level): Lesson => Lesson::of(new PracticeFacts($lesson, $kind, $level, 1, Unit::Millimetre));
        self::assertSame('warm-part', $of('warm-part', '', '')->code);
        $free = $of('', 'plain-bush', 'hard');
        self::assertSame(['plain-bush', Level::Hard], [$free->kind->code, $free->level]);
        foreach ([['no-such', '', '', 'lesson'], ['', 'plain-bush', 'heroic', 'level'], ['', 'no-such', 'hard', 'kind']] as [$lesson, $kind, $level, $field]) {
            try {
                $of($lesson, $kind, $level);
                self::fail("{$lesson} {$kind} {$level}");
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }

    /** A lesson names only what its kind has. */
    public function test_every_name_in_a_lesson_is_there(): void
    {
        foreach (Lesson::all() as $lesson) {
            $bench = new Benches($lesson);
            $laid = $bench->shop->laid;
            $there = [
                'surfaces' => array_column($laid->surfaces, 'name'),
                'parts' => array_column($laid->parts, 'name'),
                'joints' => array_column($laid->joints, 'name'),
            ];
            foreach ($there as $list => $names) {
                foreach ([$lesson->layout, $lesson->truth] as $said) {
                    self::assertSame([], array_diff(array_keys((array) ($said[$list] ?? [])), $names), "{$lesson->code} {$list}");
                }
            }
            self::assertSame([], array_diff($lesson->goal ?? [], $there['joints']), $lesson->code);
            self::assertSame($lesson->code, $laid->practice?->lesson);
        }
    }

    /** @return iterable<string, array{string, bool}> */
    public static function both(): iterable
    {
        foreach (Trap::cases() as $trap) {
            yield "{$trap->value}, walked into" => [$trap->value, true];
            yield "{$trap->value}, seen" => [$trap->value, false];
        }
    }

    #[DataProvider('both')]
    public function test_a_lesson_is_failed_by_its_mistake_and_passed_without(string $code, bool $fall): void
    {
        $bench = Benches::lesson($code);
        $this->work($bench, Trap::from($code), $fall);
        $debrief = $bench->debrief();
        self::assertSame($fall, $debrief->fell, (string) json_encode($debrief->joints));
        self::assertSame(! $fall, $debrief->good, $debrief->verdict->mm.' '.json_encode($debrief->joints).' '.$debrief->first?->mm);
        $marks = $this->marks($debrief);
        self::assertSame($fall ? 0 : 100, $marks['judgement']);
        if (! $fall) {
            self::assertNull($debrief->first);
        }
    }

    private function work(Benches $bench, Trap $trap, bool $fall): void
    {
        match ($trap) {
            Trap::WarmPart => $this->warm($bench, $fall),
            Trap::DrillForSize => $this->insert($bench, $fall),
            Trap::SizeForSize => $this->lever($bench, $fall),
            Trap::StockTooThick => $bench->do(['kind' => 'stock', 'test' => $fall ? '45 mm, 800 long' : '36 mm, 500 long']),
            Trap::WornGauge => $this->bush($bench, $fall ? 'three-point' : 'telescoping', $fall ? 32.078 : 32.032),
            Trap::WrongFace => $this->spacer($bench, $fall),
            Trap::WrongUnit => $bench->change('Wheel hole circle', ['size' => ['typed' => $fall ? '80' : '79.375', 'unit' => 'mm'], 'source' => 'guess']),
            Trap::FullSwing => $bench->change('Bearing seat, offset', ['x' => ['typed' => $fall ? '8.12' : '4.06', 'unit' => 'mm']]),
            Trap::NotInLine => $this->inLine($bench, $fall),
            Trap::ThinWall => $this->sleeve($bench, $fall),
            Trap::BondByHeat => $this->bonded($bench, $fall),
            Trap::ToDecline => $bench->do($fall ? ['kind' => 'end'] : ['kind' => 'decline', 'why' => 'People work below it.']),
        };
    }

    private function warm(Benches $bench, bool $fall): void
    {
        $bench->measured('Housing bore', 'three-point')->cutTo('Bush outside', $fall ? 28.03 : 28.046);
        $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Bush outside'), 'mm' => 0.001]);
        if ($fall) {
            $bench->cutTo('Bush outside', 28.029);
            $bench->do(['kind' => 'cut', 'surface' => $bench->surface('Bush bore'), 'mm' => 2]);
        }
        $bench->reads('Bush outside', 'outside-micrometer', [], ['state' => 'done']);
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Bush in housing'), 'way' => 'press']);
    }

    private function insert(Benches $bench, bool $fall): void
    {
        if (! $fall) {
            $bench->measured('Hole opened for the insert', 'three-point');
        }
        $bench->cutTo('Insert outside', $fall ? 17.95 : 18.09);
        foreach (['Insert outside', 'Hole opened for the insert'] as $surface) {
            $bench->do(['kind' => 'clean', 'surface' => $bench->surface($surface)]);
        }
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Insert in the casting'), 'way' => 'bond']);
    }

    private function lever(Benches $bench, bool $fall): void
    {
        foreach (['Shaft end', 'Pin'] as $mate) {
            $bench->measured($mate, 'outside-micrometer');
        }
        $bench->cutTo('Hub bore', $fall ? 19.985 : 20.006)->cutTo('Pin bore', $fall ? 9.978 : 10.0);
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Lever on the shaft'), 'way' => 'hand']);
    }

    private function bush(Benches $bench, string $gauge, float $mm): void
    {
        $bench->measured('Housing bore', $gauge)->cutTo('Bush outside', $mm);
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Bush in housing'), 'way' => 'press']);
    }

    private function spacer(Benches $bench, bool $fall): void
    {
        $bench->reads('Depth of the seat', 'depth-micrometer', ['other_face' => $fall]);
        $bench->cutTo('Spacer width', $fall ? 23.16 : 19.95);
    }

    private function inLine(Benches $bench, bool $fall): void
    {
        $bench->measured('Housing bore', 'three-point')->measured('Shaft journal', 'outside-micrometer');
        if (! $fall) {
            $bench->do(['kind' => 'line']);
        }
        $bench->cutTo('Bush outside', 28.036);
        if ($fall) {
            $bench->cutTo('Bush bore', 22.05);
        }
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Bush in housing'), 'way' => 'press']);
        $bench->cutTo('Bush bore', $fall ? 22.0 : 22.025);
    }

    private function sleeve(Benches $bench, bool $fall): void
    {
        $bench->measured('Seat turned on the shaft', 'outside-micrometer')->measured('Mate bore', 'three-point');
        $cuts = [['Sleeve bore', 29.905], ['Sleeve outside', 31.93]];
        foreach ($fall ? array_reverse($cuts) : $cuts as [$surface, $mm]) {
            $bench->cutTo($surface, $mm);
        }
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Sleeve on the shaft'), 'way' => 'press']);
    }

    private function bonded(Benches $bench, bool $fall): void
    {
        $bench->measured('Seat turned on the shaft', 'outside-micrometer')->measured('Mate bore', 'three-point');
        $bench->cutTo('Sleeve bore', 29.97)->cutTo('Sleeve outside', 36.024);
        foreach (['Sleeve bore', 'Seat turned on the shaft'] as $surface) {
            $bench->do(['kind' => 'clean', 'surface' => $bench->surface($surface)]);
        }
        $bench->do(['kind' => 'together', 'joint' => $bench->joint('Sleeve on the shaft'), 'way' => 'bond']);
        $bench->do([
            'kind' => 'together', 'joint' => $bench->joint('Sleeve in its mate'), 'way' => $fall ? 'warm' : 'press',
            'outer_c' => 250, 'inner_c' => 160,
        ]);
    }

    /** @return array<string, ?int> */
    private function marks(Debrief $debrief): array
    {
        return array_column(array_map(
            static fn (Score $s): array => ['skill' => $s->skill->value, 'points' => $s->points],
            $debrief->scores,
        ), 'points', 'skill');
    }

    /** The truth is told at the end, and before that nothing of it leaves the bench. */
    public function test_the_bench_tells_nothing_of_the_truth(): void
    {
        $bench = Benches::lesson('worn-gauge');
        $bench->reads('Housing bore', 'three-point');
        $seen = (string) json_encode(new BenchView($bench->lesson, $bench->shop));
        foreach (['hidden', 'true_mm', 'gauge_mm', 'wear', 'burr', 'ovality', '32.02', 'sizes'] as $secret) {
            self::assertStringNotContainsString($secret, $seen);
        }
        $told = (array) json_decode((string) json_encode($bench->debrief()), true);
        /** @var list<array{error_mm: float, true_mm: float, why: list<array{cause: string, mm: float}>}> $readings */
        $readings = $told['readings'];
        self::assertEqualsWithDelta(0.032, $readings[0]['error_mm'], 0.012);
        self::assertSame('gauge', $readings[0]['why'][0]['cause']);
        self::assertEqualsWithDelta(0.032, $readings[0]['why'][0]['mm'], 1e-9);
        // What it is made up of adds up.
        self::assertEqualsWithDelta($readings[0]['error_mm'], array_sum(array_column($readings[0]['why'], 'mm')), 0.0021);
    }

    public function test_a_number_read_wrong_by_eye_is_found(): void
    {
        $bench = Benches::lesson('warm-part');
        $bench->reads('Housing bore', 'three-point', [], ['value' => ['typed' => '28.534', 'unit' => 'mm']]);
        $bench->cutTo('Bush outside', 28.54);
        $debrief = $bench->debrief();
        self::assertSame('eye', array_key_first($debrief->beliefs[0]->why()));
        self::assertEqualsWithDelta(0.5, $debrief->beliefs[0]->byEyeMm(), 0.01);
        self::assertStringContainsString('read off wrong by', $debrief->first->mm ?? '');
    }

    public function test_refusing_what_could_be_done_is_no_good(): void
    {
        $bench = Benches::lesson('warm-part');
        $bench->do(['kind' => 'decline', 'why' => 'Too hard.']);
        $debrief = $bench->debrief();
        self::assertFalse($debrief->good);
        self::assertSame('Refused. It could have been done.', $debrief->verdict->mm);
        self::assertSame(0, $this->marks($debrief)[Skill::Judgement->value]);
    }

    public function test_a_refusal_wants_a_reason(): void
    {
        $this->expectException(BadInput::class);
        $this->expectExceptionMessage('say why');
        Benches::lesson('to-decline')->do(['kind' => 'decline', 'why' => ' ']);
    }

    /** Whoever follows the product gets more to work than whoever makes the table's class, or goes by the thumb. */
    public function test_following_the_product_beats_table_and_thumb(): void
    {
        $good = ['product' => 0, 'table' => 0, 'thumb' => 0];
        $all = 0;
        foreach (['plain-bush', 'lever', 'ring-coupling', 'threaded-insert', 'repair-sleeve'] as $kind) {
            foreach ([Level::Easy, Level::Fair] as $level) {
                foreach ($good as $who => $n) {
                    $joints = Bots::run(Lesson::free($kind, $level, Unit::Millimetre), 3, $who)->joints;
                    $all += $who === 'product' ? count($joints) : 0;
                    $good[$who] += count(array_filter($joints, static fn ($j): bool => $j->isGood()));
                }
            }
        }
        self::assertGreaterThan(0.8 * $all, $good['product']);
        self::assertGreaterThan($good['table'], $good['product']);
        self::assertGreaterThan($good['thumb'], $good['product']);
    }

    /** Every kind but the free form can be practised, and has something that is judged or asked for. */
    public function test_every_kind_can_be_practised(): void
    {
        foreach (Kind::all() as $kind) {
            if ($kind->code === 'free-form') {
                continue;
            }
            $bench = new Benches(Lesson::free($kind->code, Level::Easy, Unit::Millimetre), 2);
            $asked = array_filter($bench->shop->laid->surfaces, static fn ($s): bool => $s->demand !== null);
            self::assertGreaterThan(0, count($bench->debrief()->joints) + count($asked), $kind->code);
            self::assertFalse($bench->debrief()->good, "{$kind->code}: nothing was made");
        }
        $this->expectException(BadInput::class);
        Lesson::free('free-form', Level::Easy, Unit::Millimetre);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Making\Step;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The order a part is made in: rules of the trade, each kept by the product's own order. Common practice. */
final class PartPlanTest extends TestCase
{
    use KindJob;

    /** What has to come before what, where both are there. */
    private const RULES = [
        ['mates', 'blank'], ['blank', 'rough'], ['rough', 'outsides'], ['rough', 'bores'], ['outsides', 'tapers'], ['bores', 'tapers'], ['grooves', 'threads'],
        ['outsides', 'threads'], ['threads', 'lengths'], ['lengths', 'holes'], ['lengths', 'keyways'], ['outsides', 'keyways'], ['keyways', 'treat'], ['holes', 'edges'],
        ['treat', 'edges'], ['edges', 'try'], ['blank', 'square'], ['square', 'bores'], ['bores', 'outline'], ['holes', 'outline'], ['threads', 'outline'],
    ];

    /** @return iterable<string, array{JobFacts}> */
    public static function jobs(): iterable
    {
        foreach (EachKind::jobs() as $kind => $facts) {
            if (! in_array($kind, ['plain-bush', 'flanged-bush', 'poured-bearing', 'guard', 'nozzle', 'line-bored-bosses'], true)) {
                yield $kind => [$facts];
            }
        }
    }

    #[DataProvider('jobs')]
    public function test_every_rule_is_kept_and_every_surface_has_its_place(JobFacts $facts): void
    {
        $answers = JobAnswers::of($facts, false);
        foreach ($facts->parts as $part) {
            $steps = array_values(array_filter($answers->plan, static fn (Step $s): bool => str_starts_with($s->code, "{$part->id}:")));
            $at = array_flip(array_map(static fn (Step $s): string => substr($s->code, strlen($part->id) + 1), $steps));
            foreach (self::RULES as [$first, $then]) {
                if (isset($at[$first], $at[$then])) {
                    self::assertLessThan($at[$then], $at[$first], "{$first} before {$then}");
                }
            }
            if ($steps === []) {
                continue;
            }
            self::assertSame(Origin::Make, $part->origin);
            $says = implode(' ', array_map(static fn (Step $s): string => $s->do->mm, $steps));
            foreach ($answers->make as $entry) {
                if ($entry->surface->part === $part->id && ! $entry->surface->type->isEdge()) {
                    self::assertStringContainsString(lcfirst($entry->phase === Phase::After ? $entry->surface->name : $entry->label), $says);
                }
            }
            foreach ($steps as $step) {
                self::assertNotSame('', $step->why);
                self::assertStringNotContainsString('{', $step->do->mm.$step->do->in);
            }
        }
        self::assertSame(count($answers->plan), count(array_unique(array_map(static fn (Step $s): string => $s->code, $answers->plan))));
    }

    /** A lever: bores while it is square, the outline after them, bolted through them. */
    public function test_a_lever(): void
    {
        $this->job('lever')->read('Shaft end', 'outside-micrometer', '20.000')->read('Pin', 'outside-micrometer', '10.000');
        $steps = array_map(static fn (Step $s): string => substr($s->code, (int) strpos($s->code, ':') + 1), $this->answers()->plan);
        self::assertSame(['mates', 'blank'], array_slice($steps, 0, 2));
        self::assertLessThan(array_search('outline', $steps, true), array_search('bores', $steps, true));
    }

    /** A sleeve of 30 in 34 has 2 of wall, under a tenth of 34: its bore comes first. A solid shaft has none. */
    public function test_a_thin_wall_is_bored_first(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $codes = fn (): array => array_map(static fn (Step $s): string => substr($s->code, (int) strpos($s->code, ':') + 1), $this->answers()->plan);
        $this->job('repair-sleeve')->is('Sleeve outside', ['size' => $mm('34')])->is('Sleeve bore', ['size' => $mm('30')])
            ->read('Mate bore', 'three-point', '34.010')->read('Seat turned on the shaft', 'outside-micrometer', '30.000');
        self::assertLessThan(array_search('outsides', $codes(), true), array_search('bores', $codes(), true));
        $this->job('eccentric-carrier')->read('Housing bore', 'three-point', '70.010');
        self::assertLessThan(array_search('bores', $codes(), true), array_search('outsides', $codes(), true));
    }

    private function blank(): Step
    {
        return array_values(array_filter($this->answers()->plan, static fn (Step $s): bool => str_ends_with($s->code, ':blank')))[0];
    }

    /** By hand: 90 long and 32 thick: 34 across, 90 + 2 + 4 + 16 for the jaws; nearly three times as long as thick, no tail. */
    public function test_the_blank(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $this->job('stepped-shaft')->read('Hub bore', 'three-point', '22.010')
            ->is('Middle', ['size' => $mm('32')]);
        $blank = $this->blank();
        self::assertStringContainsString('34', $blank->do->mm);
        $edges = array_values(array_filter($this->answers()->plan, static fn (Step $s): bool => str_ends_with($s->code, ':edges')))[0];
        self::assertStringContainsString('about 0.2 mm', $edges->do->mm, 'a millimetre off every edge would be a chamfer');
        self::assertStringContainsString('tail centre', $blank->do->mm, 'a shaft of five diameters wants it');
    }

    /**
     * An M24 is turned from 26 even where it was sketched smaller: 23.968 less half of its limits and 2 for roughing. As long
     * as anything of it is only sketched it is said, and not once all has its size and its place.
     */
    public function test_a_blank_is_as_large_as_its_thread_and_says_what_is_only_sketched(): void
    {
        $mm = static fn (float $mm): array => ['typed' => (string) $mm, 'unit' => 'mm'];
        $this->job('link')->is('Rod', ['size' => $mm(16)])->is('Right-hand thread', ['shape' => 'M24x1.5']);
        self::assertStringContainsString('of 26 mm or more', $this->blank()->do->mm);
        $sketched = fn (): array => array_values(array_filter($this->blank()->notes, static fn (Note $n): bool => $n->code === 'blank-sketched'));
        self::assertStringContainsString('“Rod”', $sketched()[0]->say->mm ?? '', 'its size is said, where it lies is not');
        foreach ($this->facts['surfaces'] as $surface) {
            $sketch = $surface['sketch'];
            if ($sketch !== null && isset($sketch['at'], $sketch['long'])) {
                $this->is($surface['name'], ['at' => $mm($sketch['at']), 'long' => $mm($sketch['long']), 'size' => $surface['size'] ?? $mm($sketch['size'])]);
            }
        }
        self::assertSame([], $sketched());
    }

    /** For four of them: the bar for all, both ways; for one its weight, where the metal is known. */
    public function test_the_bar_for_a_batch(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $this->job('stepped-shaft')->read('Hub bore', 'three-point', '22.010')->is('Middle', ['size' => $mm('32')]);
        $notes = fn (): array => array_map(
            static fn (Note $n): string => "{$n->code}: {$n->say->mm}",
            array_values(array_filter(
                $this->blank()->notes,
                static fn (Note $n): bool => $n->code !== 'blank-sketched',
            )),
        );
        self::assertSame([], $notes(), 'nobody said what metal');
        foreach ($this->facts['parts'] as $i => $part) {
            $this->facts['parts'][$i]['material'] = 'medium-carbon steel, normalised';
        }
        self::assertStringStartsWith('blank-weight: It weighs about', $notes()[0]);
        $this->facts['take_in']['quantity'] = 4;
        self::assertMatchesRegularExpression('/^bar: For 4: [\\d.]+ mm of bar \\([\\d.]+ kg\\) sawn one by one; [\\d.]+ mm \\([\\d.]+ kg\\) where/', $notes()[0]);
    }

    /** A part that only goes on the lathe that holds less: the sizes counted on the other. */
    public function test_a_lathe_that_holds_less_is_said(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $this->job('stepped-shaft')->read('Hub bore', 'three-point', '22.010')->is('Middle', ['size' => $mm('32')]);
        $lathe = static fn (string $name, string $swing, string $holds): array => ['id' => $name, 'kind' => 'lathe', 'name' => $name, 'unit' => 'mm', 'figures' => ['swing_mm' => $swing, 'holds_mm' => $holds]];
        $codes = fn (): array => array_map(static fn (Note $n): string => $n->code, array_values(array_filter($this->answers()->plan, static fn (Step $s): bool => str_ends_with($s->code, ':blank')))[0]->notes);
        $this->facts['shop']['machines'] = [$lathe('fine', '20', '0.01'), $lathe('coarse', '400', '0.05')];
        self::assertContains('holds-less', $codes());
        // It is 32 when it is finished, and 34 as it goes in.
        $this->facts['shop']['machines'] = [$lathe('fine', '33', '0.01'), $lathe('coarse', '400', '0.05')];
        self::assertContains('holds-less', $codes());
        $this->facts['shop']['machines'] = [$lathe('fine', '34', '0.01'), $lathe('coarse', '400', '0.05')];
        self::assertNotContains('holds-less', $codes());
        $this->facts['shop']['machines'] = [$lathe('fine', '400', '0.01'), $lathe('coarse', '400', '0.05')];
        self::assertNotContains('holds-less', $codes());
    }

    public function test_what_is_hardened_is_ground_last(): void
    {
        $this->job('stepped-shaft')->read('Hub bore', 'three-point', '22.010')->is('Left bearing seat', ['treated' => 'case-hardened']);
        $steps = array_map(static fn (Step $s): string => substr($s->code, (int) strpos($s->code, ':') + 1), $this->answers()->plan);
        self::assertContains('treat', $steps);
        self::assertGreaterThan(array_search('outsides', $steps, true), array_search('treat', $steps, true));
    }

    /** Poured, welded, cast and line-bored kinds have a recipe; the numbers of what is cut stand in it. */
    public function test_poured_welded_and_cast_have_a_recipe(): void
    {
        foreach (['poured-bearing', 'guard', 'nozzle', 'line-bored-bosses'] as $kind) {
            self::assertNotSame([], Kind::named($kind)->recipe, $kind);
        }
        self::assertSame([], Kind::named('plain-bush')->recipe);
        $this->job('poured-bearing');
        self::assertSame('as quoted', $this->answers()->plan[0]->rule, 'until anything has a number');
        $this->job('poured-bearing')->read('Journal', 'outside-micrometer', '50.000')->read('Shell bore', 'three-point', '62.00');
        $plan = $this->answers()->plan;
        $kinds = array_map(self::kindOf(...), $plan);
        self::assertSame(['mates', 'clean', 'set-up', 'pour', 'judge', 'bores'], array_slice($kinds, 0, 6));
        self::assertSame('try', end($kinds));
        $band = $this->card('Lining bore')->band;
        self::assertNotNull($band);
        self::assertStringContainsString(number_format(ceil($band->lowerMm * 1000) / 1000, 3), $plan[5]->do->mm);
    }

    /** A surface cut again on a part that is there: set up by what has survived, built up before it is cut. */
    public function test_a_part_that_is_there_is_cut_again(): void
    {
        $this->job('repair-sleeve')->read('Mate bore', 'three-point', '34.010')
            ->is('Seat turned on the shaft', ['work' => 'built up', 'size' => ['typed' => '30', 'unit' => 'mm']]);
        $kinds = array_map(self::kindOf(...), $this->answers()->plan);
        $datum = array_search('datum', $kinds, true);
        self::assertNotFalse($datum);
        self::assertSame(['datum', 'built'], array_slice($kinds, $datum, 2));
        $says = fn (): string => $this->answers()->plan[$datum]->do->mm;
        self::assertSame('Worn shaft: set it up by its shaft beside it, and dial that in.', $says());
        $this->is('Seat turned on the shaft', ['datum' => true]);
        self::assertSame('Worn shaft: set it up by its shaft beside it, and dial that in.', $says(), 'what is cut is no datum');
        $this->is('Shaft beside it', ['datum' => false]);
        self::assertStringContainsString('set it up by a face or a bore that has survived', $says());
        foreach ($this->answers()->plan as $step) {
            self::assertStringNotContainsString('as soon as it cleans up', $step->do->mm, 'its limits say where to stop');
        }
    }

    /**
     * The order that is proposed breaks no rule, and a shuffled one breaks exactly those that are turned about: each
     * pair counted by hand over the table.
     */
    #[DataProvider('jobs')]
    public function test_the_proposed_order_breaks_no_rule_and_a_shuffled_one_names_them(JobFacts $facts): void
    {
        $steps = JobAnswers::of($facts)->plan;
        $broken = static fn (array $plan): array => array_merge(...array_map(
            static fn (Step $s): array => array_map(
                static fn (Note $n): string => "{$n->about} before {$s->code}",
                array_values(array_filter($s->notes, static fn (Note $n): bool => $n->code === 'out-of-order')),
            ),
            $plan,
        ));
        self::assertSame([], $broken($steps));
        self::assertNotSame([], $steps);
        mt_srand(crc32($facts->kind));
        $table = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/data/plan-rules.json'), true);
        for ($round = 0; $round < 10; $round++) {
            $order = array_map(static fn (Step $s): string => $s->code, $steps);
            for ($i = count($order) - 1; $i > 0; $i--) {
                $j = mt_rand(0, $i);
                [$order[$i], $order[$j]] = [$order[$j], $order[$i]];
            }
            $array = JobFile::toArray($facts);
            $array['plan'] = ['order' => $order, 'dropped' => [], 'own' => []];
            $shuffled = JobAnswers::of(JobFacts::fromArray($array))->plan;
            self::assertSame($order, array_map(static fn (Step $s): string => $s->code, $shuffled), 'it stays as it was put');
            $wanted = [];
            foreach ($shuffled as $i => $early) {
                foreach (array_slice($shuffled, $i + 1) as $late) {
                    if (self::mustPrecede($late, $early, $table, $shuffled)) {
                        $wanted[] = "{$late->code} before {$early->code}";
                    }
                }
            }
            self::assertEqualsCanonicalizing($wanted, $broken($shuffled));
        }
    }

    /** What a person leaves out or adds is a fact; a step that is new since then stands where it is worked out. */
    public function test_steps_are_left_out_added_and_moved(): void
    {
        $this->job('stepped-shaft')->read('Hub bore', 'three-point', '22.010');
        $codes = fn (): array => array_map(static fn (Step $s): string => $s->code, $this->answers()->plan);
        $all = $codes();
        $this->facts['plan'] = ['order' => [], 'dropped' => [$all[2]], 'own' => [['code' => 'own-1', 'do' => 'Show it to the customer.']]];
        self::assertSame([...array_values(array_diff($all, [$all[2]])), 'own-1'], $codes());
        $this->facts['plan'] = ['order' => ['own-1', $all[0]], 'dropped' => [], 'own' => [['code' => 'own-1', 'do' => 'Show it to the customer.']]];
        self::assertSame(['own-1', ...$all], $codes());
        $own = $this->answers()->plan[0];
        self::assertSame(['Show it to the customer.', []], [$own->do->mm, $own->notes]);
        // Of what is gone nothing is left.
        $this->facts['plan'] = ['order' => ['nobody:bores', $all[1], $all[0]], 'dropped' => ['nobody'], 'own' => []];
        self::assertSame([...array_slice($all, 1), $all[0]], $codes());
        self::assertSame($all, (function () use ($codes): array {
            $this->facts['plan'] = null;

            return $codes();
        })());
    }

    private static function kindOf(Step $step): string
    {
        return substr($step->code, (int) strrpos($step->code, ':') + (str_contains($step->code, ':') ? 1 : 0));
    }

    /**
     * @param  array{cutting: list<string>, rules: list<array<string, mixed>>}  $table
     * @param  list<Step>  $all
     */
    private static function mustPrecede(Step $first, Step $then, array $table, array $all): bool
    {
        $part = static fn (Step $s): string => str_contains($s->code, ':') ? substr($s->code, 0, (int) strrpos($s->code, ':')) : '';
        $set = static fn (mixed $of): array => $of === 'cutting' ? $table['cutting'] : (array) $of;
        foreach ($table['rules'] as $rule) {
            $excused = isset($rule['unless']) && array_filter($all, static fn (Step $s): bool => $part($s) === $part($first) && self::kindOf($s) === $rule['unless']) !== [];
            if (
                in_array(self::kindOf($first), $set($rule['first']), true)
                && in_array(self::kindOf($then), $set($rule['then']), true)
                && self::kindOf($first) !== self::kindOf($then)
                && ($part($first) === $part($then) || isset($rule['anywhere']))
                && (! isset($rule['when']) || $rule['when'] === $first->rule)
                && ! $excused
            ) {
                return true;
            }
        }

        return false;
    }
}

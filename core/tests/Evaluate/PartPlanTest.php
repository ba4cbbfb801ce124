<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\Origin;
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
                    self::assertStringContainsString(lcfirst($entry->label), $says);
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

    /** By hand: 90 long and 32 thick: 34 across, 90 + 2 + 4 + 16 for the jaws; nearly three times as long as thick, no tail. */
    public function test_the_blank(): void
    {
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $this->job('stepped-shaft')->read('Hub bore', 'three-point', '22.010')
            ->is('Middle', ['size' => $mm('32')]);
        $blank = array_values(array_filter($this->answers()->plan, static fn (Step $s): bool => str_ends_with($s->code, ':blank')))[0];
        self::assertStringContainsString('34', $blank->do->mm);
        $edges = array_values(array_filter($this->answers()->plan, static fn (Step $s): bool => str_ends_with($s->code, ':edges')))[0];
        self::assertStringContainsString('about 0.2 mm', $edges->do->mm, 'a millimetre off every edge would be a chamfer');
        self::assertStringContainsString('tail centre', $blank->do->mm, 'a shaft of five diameters wants it');
    }

    public function test_what_is_hardened_is_ground_last(): void
    {
        $this->job('stepped-shaft')->read('Hub bore', 'three-point', '22.010')->is('Left bearing seat', ['treated' => 'case-hardened']);
        $steps = array_map(static fn (Step $s): string => substr($s->code, (int) strpos($s->code, ':') + 1), $this->answers()->plan);
        self::assertContains('treat', $steps);
        self::assertGreaterThan(array_search('outsides', $steps, true), array_search('treat', $steps, true));
    }

    public function test_poured_welded_and_cast_are_worked_as_quoted(): void
    {
        foreach (['poured-bearing', 'guard', 'nozzle', 'line-bored-bosses'] as $kind) {
            self::assertTrue(Kind::named($kind)->quotedOrder, $kind);
        }
        self::assertFalse(Kind::named('plain-bush')->quotedOrder);
        $this->job('poured-bearing')->read('Journal', 'outside-micrometer', '50.000');
        self::assertSame('as quoted', $this->answers()->plan[0]->rule);
    }
}

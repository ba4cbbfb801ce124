<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Safety;

use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Facts\AcceptanceFacts;
use Oldpart\Core\Facts\TakeIn;
use Oldpart\Core\Safety\Caution;
use Oldpart\Core\Safety\Gate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SafetyTest extends TestCase
{
    /**
     * @param  list<string>  $gates
     * @param  ?list<string>  $accepted  the gates it was accepted for; the same ones when not said
     */
    private static function takeIn(
        array $gates,
        ?string $acceptedBy = null,
        bool $answered = true,
        ?array $accepted = null,
    ): TakeIn {
        return new TakeIn(
            '',
            null,
            '',
            null,
            '',
            null,
            '',
            1,
            null,
            '',
            '',
            $answered,
            $gates,
            $acceptedBy === null ? [] : [new AcceptanceFacts($acceptedBy, '', null, $accepted ?? $gates)],
        );
    }

    /** @return iterable<string, array{string}> */
    public static function gates(): iterable
    {
        foreach (Gate::all() as $gate) {
            yield $gate->code => [$gate->code];
        }
    }

    #[DataProvider('gates')]
    public function test_each_withholds_until_somebody_named_accepts(string $code): void
    {
        self::assertTrue(Gatekeeper::withholds(self::takeIn([$code])));
        self::assertTrue(Gatekeeper::withholds(self::takeIn([$code], '   ')), 'a blank is nobody');
        self::assertFalse(Gatekeeper::withholds(self::takeIn([$code], 'the boiler inspector')));
        self::assertSame('stop', Gatekeeper::notes(self::takeIn([$code]))[0]->severity->value);
        self::assertStringContainsString(
            'the boiler inspector',
            Gatekeeper::notes(self::takeIn([$code], 'the boiler inspector'))[0]->say->in,
        );
    }

    /** Who accepted brakes has not accepted lifting: another gate withholds the sizes again. */
    public function test_an_acceptance_covers_only_what_it_was_given_for(): void
    {
        $changed = self::takeIn(['road', 'lifting'], 'the works engineer', accepted: ['road']);
        self::assertTrue(Gatekeeper::withholds($changed));
        self::assertSame('gate-changed', Gatekeeper::notes($changed)[0]->code);
        self::assertFalse(
            Gatekeeper::withholds(self::takeIn(['road'], 'the works engineer', accepted: ['road', 'lifting'])),
        );
    }

    public function test_ordinary_work_is_not_held_back_but_the_question_is_asked(): void
    {
        self::assertFalse(Gatekeeper::withholds(self::takeIn([])));
        self::assertSame([], Gatekeeper::notes(self::takeIn([])));
        self::assertSame('gate-unanswered', Gatekeeper::notes(self::takeIn([], null, false))[0]->code);
    }

    /**
     * Work that stops and defers everywhere: pressure, brakes, lifting, aircraft, firearms, medical (common practice).
     */
    public function test_the_list_holds_what_it_must(): void
    {
        $says = implode(' ', array_map(static fn (Gate $g): string => $g->says, Gate::all()));
        foreach (
            ['pressure', 'aircraft', 'brakes', 'steering', 'lifting', 'firearm', 'medical', 'guards', 'rotors', 'chuck'] as $word
        ) {
            self::assertStringContainsString($word, $says);
        }
    }

    public function test_pressing_warns_of_what_flies(): void
    {
        $says = implode(' ', array_map(static fn (Caution $c): string => $c->says, Caution::for('press')));
        self::assertStringContainsString('shatter', $says);
        self::assertStringContainsString('Eye protection', $says);
        self::assertSame([], Caution::for('knitting'));
    }
}

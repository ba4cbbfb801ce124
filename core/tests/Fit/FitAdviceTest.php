<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Fit\FitAdvice;
use Oldpart\Core\Fit\FitQuestion;
use PHPUnit\Framework\TestCase;

/** From plain words to a fit. The expected purposes are common practice of the trade, no source. */
final class FitAdviceTest extends TestCase
{
    public function test_what_the_trade_would_say(): void
    {
        foreach (
            [
                [['moves' => 'turns'], 'running-journal'],
                [['moves' => 'turns', 'warm' => 'hot'], 'free-running'],
                [['moves' => 'turns', 'warm' => 'dirty'], 'loose-running'],
                [['moves' => 'slides'], 'slides-no-shake'],
                [['moves' => 'stays', 'apart' => 'hand'], 'hand-fit'],
                [['moves' => 'stays', 'apart' => 'mallet'], 'tap-in'],
                [['moves' => 'stays', 'apart' => 'never', 'held' => 'key'], 'light-press'],
                [['moves' => 'stays', 'apart' => 'never', 'held' => 'bond'], 'bonded'],
                [['moves' => 'stays', 'apart' => 'never', 'held' => 'fit', 'carries' => 'some'], 'medium-press'],
                [['moves' => 'stays', 'apart' => 'never', 'held' => 'fit', 'carries' => 'heavy'], 'heavy-press'],
                [['moves' => 'stays', 'apart' => 'never', 'held' => 'fit', 'carries' => 'little'], 'light-press'],
                [
                    [
                        'moves' => 'stays',
                        'apart' => 'never',
                        'held' => 'fit',
                        'carries' => 'heavy',
                        'metal' => 'brittle',
                    ],
                    'medium-press',
                ],
                [['moves' => 'stays', 'apart' => 'never', 'wall' => 'thin'], 'light-press'],
            ] as [$asked, $purpose]
        ) {
            self::assertSame(
                $purpose,
                FitAdvice::from($asked)->purpose?->code,
                json_encode($asked, JSON_THROW_ON_ERROR),
            );
        }
        self::assertNull(FitAdvice::from([])->purpose, 'nothing asked, nothing advised');
    }

    /**
     * The novice: it must be tight, the housing is cast iron, the wall is thin. Never a medium or a heavy press,
     * whatever else is answered or skipped; and the way there is at most four answers, of which the job may know two.
     */
    public function test_tight_in_thin_cast_iron_is_never_pressed_hard(): void
    {
        foreach (['fit', 'key', 'bond', 'nothing', null] as $held) {
            foreach (['little', 'some', 'heavy', null] as $carries) {
                $asked = array_filter(['moves' => 'stays', 'apart' => 'never', 'held' => $held, 'carries' => $carries]);
                $advice = FitAdvice::from($asked, ['metal' => 'brittle', 'wall' => 'thin']);
                self::assertContains($advice->purpose?->code, ['bonded', 'light-press']);
                self::assertNotSame([], $advice->why);
                self::assertNotSame([], $advice->against);
            }
        }
        $advice = FitAdvice::from(['moves' => 'stays', 'apart' => 'never'], ['metal' => 'brittle', 'wall' => 'thin']);
        self::assertSame('bonded', $advice->purpose?->code);
        self::assertStringContainsString('thin and brittle', implode(' ', $advice->why));
    }

    /** Only what matters is asked; what the job knows is filled in, and an answer overrules it. */
    public function test_questions_that_matter(): void
    {
        $codes = static fn (FitAdvice $a): array => array_map(
            static fn (array $q): string => $q['question']->code,
            $a->questions,
        );
        self::assertSame(['moves'], $codes(FitAdvice::from([])));
        self::assertSame(['moves', 'warm'], $codes(FitAdvice::from(['moves' => 'turns'])));
        self::assertSame(
            ['moves', 'apart', 'held', 'wall', 'metal'],
            $codes(FitAdvice::from(['moves' => 'stays', 'apart' => 'never'])),
        );
        $advice = FitAdvice::from(
            ['moves' => 'stays', 'apart' => 'never', 'wall' => 'stout'],
            ['wall' => 'thin', 'metal' => 'brittle'],
        );
        $by = array_column(
            array_map(
                static fn (array $q): array => [$q['question']->code, $q['answer'], $q['known']],
                $advice->questions,
            ),
            null,
            0,
        );
        self::assertSame(['wall', 'stout', false], $by['wall']);
        self::assertSame(['metal', 'brittle', true], $by['metal']);
    }

    /**
     * Whatever is answered in whatever way, a fit comes out once the first question is answered, and it names what
     * speaks against it.
     */
    public function test_every_way_through_ends_somewhere(): void
    {
        $ways = [[]];
        foreach (FitQuestion::all() as $question) {
            $next = [];
            foreach ($ways as $way) {
                $next[] = $way;
                foreach ($question->choices as [$code]) {
                    $next[] = [...$way, $question->code => $code];
                }
            }
            $ways = $next;
        }
        self::assertGreaterThan(2000, count($ways));
        foreach ($ways as $way) {
            $advice = FitAdvice::from($way);
            self::assertSame(isset($way['moves']), $advice->purpose !== null);
            self::assertTrue(
                $advice->purpose === null
                    || ($advice->why !== []
                        && $advice->against !== []
                        && $advice->second?->code !== $advice->purpose->code),
            );
        }
    }
}

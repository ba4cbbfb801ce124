<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use PHPUnit\Framework\TestCase;

/** What holds of every answer, whatever the kind of job and however far it is: a job of each kind in each of its states. */
final class JobStatesTest extends TestCase
{
    /** A number of its own, as it is shown: four places of an inch, three of a millimetre. */
    private const INCHES = '/^−?\d+\.\d{4}$/u';

    private const MILLIMETRES = '/^−?\d+\.\d{3}$/u';

    /** Something is missing in it, or was put together wrongly. */
    private const ILL_FORMED = '/“\s*”|\{\w+\}|\D  |\.\.|,,| [,.;:](?![\d.])|\bmm mm\b|(?<![\w.+–])-\d|−0\.0*(?!\d)|\bNAN\b|\bINF\b|\b1 (holes|turns|pieces|shims|teeth)\b/u';

    /** @var array{compared: int, apart: array<string, string>, ill: array<string, string>}|null */
    private static ?array $read = null;

    /** Both units say the same size: what is rounded into a limit differs by a step of each at most. */
    public function test_both_units_say_the_same_size(): void
    {
        $read = self::read();
        self::assertSame([], $read['apart']);
        self::assertGreaterThan(5000, $read['compared']);
    }

    public function test_what_is_said_is_well_formed(): void
    {
        self::assertSame([], self::read()['ill']);
    }

    /** Where somebody can be hurt and nobody has accepted it, no size to cut to leaves the house, by whatever door. */
    public function test_nothing_to_cut_to_is_said_while_it_is_withheld(): void
    {
        $withheld = $issued = 0;
        foreach (JobStates::all() as $name => $facts) {
            if ($facts->takeIn->gates === []) {
                continue;
            }
            $answers = JobAnswers::of($facts);
            $limits = array_filter($answers->make, static fn (MakeEntry $e): bool => $e->band !== null || $e->more !== []);
            $shapes = array_filter($answers->shaped, static fn (ShapedSurface $s): bool => $s->isCut && ($s->numbers !== [] || $s->sets !== [] || $s->band !== null));
            $issued += $facts->takeIn->acceptances === [] ? 0 : count($limits);
            if ($facts->takeIn->acceptances !== []) {
                continue;
            }
            $withheld++;
            self::assertSame([], [...$limits, ...$shapes], $name);
            foreach ($answers->plan as $step) {
                self::assertDoesNotMatchRegularExpression('/\d\.\d{3} …/', $step->do->mm, $name);
            }
        }
        self::assertGreaterThan(10, $withheld);
        self::assertGreaterThan(20, $issued, 'accepted, they are said');
    }

    /** @return array{compared: int, apart: array<string, string>, ill: array<string, string>} by where it stands; by text */
    private static function read(): array
    {
        if (self::$read !== null) {
            return self::$read;
        }
        $read = ['compared' => 0, 'apart' => [], 'ill' => []];
        foreach (self::said() as $where => $say) {
            if (preg_match(self::INCHES, $say->in) === 1 && preg_match(self::MILLIMETRES, $say->mm) === 1) {
                $read['compared']++;
                if (abs(self::number($say->in) * 25.4 - self::number($say->mm)) > 0.00254 + 0.001 + 1e-9) {
                    $read['apart'][$where] = $say->both;
                }
            }
            foreach ([$say->in, $say->mm, $say->both] as $text) {
                if (preg_match(self::ILL_FORMED, $text) === 1) {
                    $read['ill'][$text] = $where;
                }
            }
        }

        return self::$read = $read;
    }

    /** @return iterable<string, Say> */
    private static function said(): iterable
    {
        foreach (JobStates::all() as $name => $facts) {
            yield from self::within(json_decode(json_encode(JobAnswers::of($facts), JSON_THROW_ON_ERROR), true), $name);
        }
    }

    /** @return iterable<string, Say> */
    private static function within(mixed $answer, string $where): iterable
    {
        if (! is_array($answer)) {
            return;
        }
        if (is_string($answer['in'] ?? null) && is_string($answer['mm'] ?? null) && is_string($answer['both'] ?? null)) {
            yield $where => new Say($answer['in'], $answer['mm'], $answer['both']);

            return;
        }
        foreach ($answer as $key => $value) {
            yield from self::within($value, "{$where}/{$key}");
        }
    }

    private static function number(string $said): float
    {
        return (float) str_replace('−', '-', $said);
    }
}

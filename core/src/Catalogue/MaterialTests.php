<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

use Oldpart\Core\Advice\BadInput;

/** From simple tests to the groups of metals that would show them (data/material-tests.json). */
final class MaterialTests
{
    /** However well the tests agree, they are only simple tests. */
    private const SUREST = 0.95;

    /** Below this the best group still does not explain what was seen. */
    private const UNLIKELY = 0.01;

    /**
     * The groups that would show these results, likeliest first (Bayes' rule over independent tests).
     *
     * @param  array<string, string>  $shown  outcome by test
     * @return list<LikelyGroup> those of 2 % and more; empty when nothing was tested
     *
     * @throws BadInput for a test or an outcome the table does not have
     */
    public static function likely(array $shown): array
    {
        if ($shown === []) {
            return [];
        }
        self::check($shown);
        $weights = [];
        foreach (self::groups() as $group) {
            $weight = $group['prior'];
            foreach ($shown as $test => $outcome) {
                $weight *= $group['shows'][$test][$outcome];
            }
            $weights[] = [$group, $weight];
        }
        $total = array_sum(array_column($weights, 1));
        usort($weights, static fn (array $a, array $b): int => $b[1] <=> $a[1]);
        $likely = [];
        foreach ($weights as [$group, $weight]) {
            $share = min(self::SUREST, $weight / $total);
            if ($share >= 0.02) {
                $likely[] = new LikelyGroup($group['code'], $group['says'], $group['material'], $share);
            }
        }

        return $likely;
    }

    /**
     * The results speak against each other: no group shows them together but rarely.
     *
     * @param  array<string, string>  $shown
     */
    public static function disagree(array $shown): bool
    {
        if (count($shown) < 2) {
            return false;
        }
        $best = 0.0;
        foreach (self::groups() as $group) {
            $chance = 1.0;
            foreach ($shown as $test => $outcome) {
                $chance *= $group['shows'][$test][$outcome] / max($group['shows'][$test]);
            }
            $best = max($best, $chance);
        }

        return $best < self::UNLIKELY;
    }

    /**
     * @return list<array{code: string, name: string, how: string, outcomes: list<array{code: string, says: string}>}>
     */
    public static function all(): array
    {
        /**
         * @var list<array{code: string, name: string, how: string, outcomes: list<array{code: string, says: string}>}> $tests
         */
        $tests = Table::read('material-tests')['tests'];

        return $tests;
    }

    /**
     * @return list<array{code: string, says: string, material: string, prior: float, shows: array<string, non-empty-array<string, float>>}>
     */
    private static function groups(): array
    {
        /**
         * @var list<array{code: string, says: string, material: string, prior: float, shows: array<string, non-empty-array<string, float>>}> $groups
         */
        $groups = Table::read('material-tests')['groups'];

        return $groups;
    }

    /** @param  array<string, string>  $shown */
    private static function check(array $shown): void
    {
        $known = [];
        foreach (self::all() as $test) {
            $known[$test['code']] = array_column($test['outcomes'], 'code');
        }
        foreach ($shown as $test => $outcome) {
            if (! isset($known[$test])) {
                throw new BadInput(
                    'unknown-test',
                    "tests.{$test}",
                    "“{$test}” is not a test known here: ".implode(', ', array_keys($known)).' are.',
                );
            }
            if (! in_array($outcome, $known[$test], true)) {
                throw new BadInput(
                    'unknown-outcome',
                    "tests.{$test}",
                    "“{$outcome}” is not a result of this test: ".implode(', ', $known[$test]).' are.',
                );
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Making\Quote;
use Oldpart\Core\Making\QuoteVerdict;
use Oldpart\Core\Making\Risk;
use Oldpart\Core\Making\Verdict;
use PHPUnit\Framework\TestCase;

/** Sums worked by hand; the rules themselves are common practice, no source. */
final class QuoteTest extends TestCase
{
    private const OPERATIONS = [['setup_min' => 30.0, 'run_min' => 45.0], ['setup_min' => 15.0, 'run_min' => 15.0]];

    /** @param  list<Risk>  $risks */
    private static function quote(int $quantity = 3, array $risks = [], float $rate = 40.0): Quote
    {
        return Quote::of(
            self::OPERATIONS,
            [['amount' => 20.0, 'each' => false], ['amount' => 8.0, 'each' => true]],
            $rate,
            $quantity,
            $risks,
            '€',
        );
    }

    /** Set-up once 45 min, run 60 min a piece: 3 pieces 225 min = 3.75 h; 150 of labour, 20 + 24 bought. */
    public function test_set_up_once_run_per_piece(): void
    {
        $q = self::quote();
        self::assertEqualsWithDelta(3.75, $q->hours->min, 1e-9);
        self::assertEqualsWithDelta(194.0, $q->price->min, 1e-9);
        self::assertEqualsWithDelta(150 + 1.1 * 44, $q->price->max, 1e-9);
        self::assertEqualsWithDelta(1.75, self::quote(1)->hours->min, 1e-9);
    }

    /** Each hard fact multiplies the far end of the range, never the near one. */
    public function test_risks_widen_the_range(): void
    {
        $risks = [Risk::named('casting'), Risk::named('hardened')];
        $q = self::quote(3, $risks);
        self::assertEqualsWithDelta(194.0, $q->price->min, 1e-9);
        self::assertEqualsWithDelta(150 * $risks[0]->factor * $risks[1]->factor + 1.1 * 44, $q->price->max, 1e-9);
        self::assertGreaterThan(self::quote()->price->max, $q->price->max);
        foreach (['no-datum', 'casting', 'unknown-material', 'hardened', 'tight', 'first', 'safety'] as $code) {
            self::assertGreaterThan(1.0, Risk::named($code)->factor);
        }
    }

    public function test_the_four_verdicts(): void
    {
        $verdict = static fn (
            array $risks,
            ?float $bought = null,
            string $alternative = '',
            bool $licensed = false,
        ): QuoteVerdict => Verdict::of(self::quote(3, $risks), $risks, $licensed, $bought, $alternative, '€')->verdict;
        $blind = [Risk::named('no-datum'), Risk::named('casting')];
        self::assertSame(QuoteVerdict::Take, $verdict([]));
        self::assertSame(QuoteVerdict::AtThisPrice, $verdict([Risk::named('hardened'), Risk::named('first')]));
        self::assertSame(QuoteVerdict::Decline, $verdict([], licensed: true));
        self::assertSame(QuoteVerdict::Decline, $verdict($blind), 'a casting with no features to hold or measure from');
        self::assertSame(QuoteVerdict::Decline, $verdict([], 60.0), 'three times the price of a bought one');
        // Made here 194 at the least: over three times 63, under three times 65.
        self::assertSame(QuoteVerdict::Decline, $verdict([], 63.0));
        self::assertSame(QuoteVerdict::Alternative, $verdict([], 65.0));
        self::assertSame(QuoteVerdict::Alternative, $verdict([], 150.0));
        $risky = array_map(Risk::named(...), ['unknown-material', 'hardened', 'tight', 'first', 'safety']);
        self::assertGreaterThan(2.0, self::quote(3, $risky)->factor);
        self::assertSame(
            QuoteVerdict::Alternative,
            $verdict($risky, alternative: 'sleeve it'),
            'a high risk, and another way',
        );
        self::assertSame(QuoteVerdict::Take, $verdict([], alternative: 'sleeve it'), 'no risk: it is made');
        self::assertSame(QuoteVerdict::Alternative, $verdict($blind, alternative: 'weld the old one'));
        self::assertSame(QuoteVerdict::Take, $verdict([], 400.0));
        self::assertSame(QuoteVerdict::AtThisPrice, $verdict($blind, 400.0), 'where one can be bought at all, it is a question of price');
        self::assertSame(['€ 99', '€ 105', '€ 995', '€ 1,000', '€ 1,240'], array_map(static fn (float $a): string => Quote::money($a, '€'), [99.4, 104.0, 996.0, 1004.0, 1236.0]));
        self::assertNotSame([], Verdict::of(self::quote(), [], false, null, '', '€')->reasons);
    }

    public function test_nobody_quotes_cents(): void
    {
        self::assertSame(
            ['€ 87', '€ 195', '€ 1,240'],
            [Quote::money(87.3, '€'), Quote::money(194, '€'), Quote::money(1237, '€')],
        );
    }

    public function test_bad_input(): void
    {
        foreach (
            [
                static fn (): Quote => self::quote(0),
                static fn (): Quote => self::quote(1, [], -1),
                static fn (): Quote => Quote::of([['setup_min' => -5.0, 'run_min' => 1.0]], [], 40, 1, [], '€'),
                static fn (): Quote => Quote::of([], [['amount' => -1.0, 'each' => true]], 40, 1, [], '€'),
            ] as $wrong
        ) {
            try {
                $wrong();
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->field);
            }
        }
        self::assertEqualsWithDelta(0.0, Quote::of([], [], 40, 1, [], '€')->price->max, 1e-9);
    }

    /** A casting without a datum is declined when the bought one is dearer too; with another way it is that way. */
    public function test_a_blind_casting_with_another_way(): void
    {
        $risks = [Risk::named('no-datum'), Risk::named('casting')];
        $of = static fn (?float $bought, string $other): QuoteVerdict => Verdict::of(self::quote(3, $risks), $risks, false, $bought, $other, '€')->verdict;
        self::assertSame(QuoteVerdict::Decline, $of(null, ' '));
        self::assertSame(QuoteVerdict::Alternative, $of(null, 'sleeve it'));
        self::assertNotSame(QuoteVerdict::Decline, $of(5000.0, ''));
        // One of the two alone is a risk like any other: a bar has surfaces, and a casting may have one to hold by.
        foreach (['no-datum', 'casting'] as $one) {
            $risk = [Risk::named($one)];
            self::assertNotSame(QuoteVerdict::Decline, Verdict::of(self::quote(3, $risk), $risk, false, null, '', '€')->verdict, $one);
        }
    }

    /** No work takes less than no time, neither to set up nor to run; what takes none is none. */
    public function test_times_below_nothing(): void
    {
        $of = static fn (float $setup, float $run): Quote => Quote::of([['setup_min' => $setup, 'run_min' => $run]], [], 40.0, 1, [], '€');
        self::assertSame(0.0, $of(0.0, 0.0)->labour);
        foreach ([[-1.0, 5.0], [5.0, -1.0]] as [$setup, $run]) {
            try {
                $of($setup, $run);
                self::fail('taken');
            } catch (BadInput $bad) {
                self::assertSame('operations.0', $bad->field);
            }
        }
    }
}

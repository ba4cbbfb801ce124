<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Range;

/** What a job will take and cost: from all goes well to as the risks say. */
final readonly class Quote
{
    /** Bought things rarely come dearer than this beyond their price. Common practice. */
    private const COST_SPREAD = 1.1;

    private function __construct(
        public Range $hours,
        public Range $price,
        public float $labour,
        public float $costs,
        public float $factor,
        public Working $working,
    ) {
    }

    /**
     * Set-up once and run per piece, times the rate, plus what is bought; the far end times the risk factor.
     *
     * @param  list<array{setup_min: float, run_min: float}>  $operations  minutes, 0 or more
     * @param  list<array{amount: float, each: bool}>  $costs  in the shop's currency, 0 or more
     * @param  float  $ratePerH  0 or more
     * @param  list<Risk>  $risks
     *
     * Source: common practice of the trade.
     *
     * @throws BadInput for a negative time, cost or rate, or less than one piece
     */
    public static function of(
        array $operations,
        array $costs,
        float $ratePerH,
        int $quantity,
        array $risks,
        string $currency,
    ): self {
        if ($quantity < 1) {
            throw new BadInput('quantity', 'quantity', 'A quote needs one piece at least.');
        }
        $setup = $run = $once = $each = 0.0;
        foreach ($operations as $i => $operation) {
            if ($operation['setup_min'] < 0 || $operation['run_min'] < 0) {
                throw new BadInput('time', "operations.{$i}", 'An operation can’t take less than no time.');
            }
            $setup += $operation['setup_min'];
            $run += $operation['run_min'];
        }
        foreach ($costs as $i => $cost) {
            if ($cost['amount'] < 0) {
                throw new BadInput('cost', "costs.{$i}", 'A cost can’t be below zero.');
            }
            $cost['each'] ? ($each += $cost['amount']) : ($once += $cost['amount']);
        }
        if ($ratePerH < 0) {
            throw new BadInput('rate', 'rate_per_h', 'The rate can’t be below zero.');
        }
        $hours = ($setup + $run * $quantity) / 60;
        $factor = array_product(array_map(static fn (Risk $r): float => $r->factor, $risks));
        $labour = $hours * $ratePerH;
        $bought = $once + $each * $quantity;
        $price = new Range($labour + $bought, $labour * $factor + $bought * ($bought > 0 ? self::COST_SPREAD : 1.0));
        $money = static fn (float $amount): string => self::money($amount, $currency);

        return new self(
            hours: new Range($hours, $hours * $factor),
            price: $price,
            labour: $labour,
            costs: $bought,
            factor: $factor,
            working: new Working([
                new WorkingStep(
                    'Hours',
                    '(set-up + run × pieces) ÷ 60',
                    sprintf('(%s + %s × %d) ÷ 60 = %.1f h', self::plain($setup), self::plain($run), $quantity, $hours),
                    'common practice',
                ),
                new WorkingStep(
                    'Labour',
                    'hours × rate',
                    sprintf('%.1f × %s = %s', $hours, $money($ratePerH), $money($labour)),
                    'the shop’s own rate',
                ),
                new WorkingStep(
                    'Bought',
                    'once + each × pieces',
                    sprintf('%s + %s × %d = %s', $money($once), $money($each), $quantity, $money($bought)),
                    'as listed',
                ),
                new WorkingStep(
                    'Risk',
                    'product of the factors',
                    $risks === []
                        ? 'none: 1.00'
                        : implode(
                            ' × ',
                            array_map(static fn (Risk $r): string => number_format($r->factor, 2), $risks),
                        ).
                            ' = '.
                            number_format($factor, 2),
                    'data/risk.json; common practice, no source',
                ),
                new WorkingStep(
                    'Price',
                    'labour + bought … labour × risk + bought × 1.1',
                    $money($price->min).' … '.$money($price->max),
                    'common practice',
                ),
            ]),
        );
    }

    /** Whole units below 100, fives below 1000, tens above: nobody quotes cents. */
    public static function money(float $amount, string $currency): string
    {
        $step = $amount < 100 ? 1 : ($amount < 1000 ? 5 : 10);

        return $currency.' '.number_format(round($amount / $step) * $step);
    }

    private static function plain(float $minutes): string
    {
        return rtrim(rtrim(number_format($minutes, 1, '.', ''), '0'), '.');
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

/** Should the job be taken? With the reasons, in words that can be sent. */
final readonly class Verdict
{
    /** A casting without a surface to work from soon costs several times a bought one. Common practice. */
    private const TOO_DEAR = 3.0;

    private const RISKY = 1.4;

    /** @param  list<string>  $reasons */
    private function __construct(public QuoteVerdict $verdict, public array $reasons)
    {
    }

    /**
     * @param  list<Risk>  $risks
     * @param  bool  $forLicensed  work for licensed practice that nobody has accepted
     * @param  ?float  $boughtPrice  what a bought one costs, for all pieces
     * @param  string  $alternative  another way that was thought of; empty when none
     *
     * Source: common practice of the trade.
     */
    public static function of(
        Quote $quote,
        array $risks,
        bool $forLicensed,
        ?float $boughtPrice,
        string $alternative,
        string $currency,
    ): self {
        $codes = array_map(static fn (Risk $r): string => $r->code, $risks);
        $reasons = array_map(static fn (Risk $r): string => ucfirst($r->says).'.', $risks);
        $from = Quote::money($quote->price->min, $currency);
        $bought = $boughtPrice === null ? '' : Quote::money($boughtPrice, $currency);
        $blind = in_array('no-datum', $codes, true) && in_array('casting', $codes, true);

        return match (true) {
            $forLicensed => new self(QuoteVerdict::Decline, [
                'This is work for licensed practice, and nobody has accepted responsibility for it.',
                ...$reasons,
            ]),
            $boughtPrice !== null && $quote->price->min > self::TOO_DEAR * $boughtPrice => new self(
                QuoteVerdict::Decline,
                ["Made here it costs {$from} at the least; a bought one costs {$bought}.", ...$reasons],
            ),
            $blind && $boughtPrice === null && trim($alternative) === '' => new self(QuoteVerdict::Decline, [
                'A casting with no surface to hold or measure from: whatever is made may not fit.',
                ...$reasons,
            ]),
            $boughtPrice !== null && $quote->price->min > $boughtPrice => new self(QuoteVerdict::Alternative, [
                "A bought one costs {$bought}; made here it is {$from} at the least.",
                ...$reasons,
            ]),
            trim($alternative) !== '' && ($blind || $quote->factor >= 2) => new self(QuoteVerdict::Alternative, [
                "The risk is high; there is another way: {$alternative}.",
                ...$reasons,
            ]),
            $quote->factor >= self::RISKY => new self(QuoteVerdict::AtThisPrice, $reasons),
            default => new self(QuoteVerdict::Take, $reasons === [] ? ['Nothing speaks against it.'] : $reasons),
        };
    }
}

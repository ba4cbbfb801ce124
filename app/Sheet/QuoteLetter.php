<?php

declare(strict_types=1);

namespace App\Sheet;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Answer\QuoteAnswer;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Making\QuoteVerdict;

/** The answer to the customer: as text to send, or on paper with the lines of the quote. */
final class QuoteLetter
{
    public function __construct(private readonly Printer $printer, private readonly Speech $speech)
    {
    }

    public function text(JobFacts $facts): string
    {
        $this->speech->facts($facts);

        return $this->speech->text(JobAnswers::of($facts)->quote->letter());
    }

    public function pdf(JobFacts $facts, Paper $paper): string
    {
        $this->speech->facts($facts);
        $quote = JobAnswers::of($facts)->quote;
        $offered = in_array($quote->verdict(), [QuoteVerdict::Take, QuoteVerdict::AtThisPrice], true);

        return $this->printer->pdf(
            $this->speech->html(view('quote', [
                'facts' => $facts,
                'quote' => (new QuoteAnswer($quote))->jsonSerialize(),
                'letter' => $quote->letter(),
                'offered' => $offered,
            ])->render()),
            $paper,
        );
    }
}

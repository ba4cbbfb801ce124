<?php

declare(strict_types=1);

namespace App\Sheet;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Job\Evaluator;
use Oldpart\Core\Making\QuoteVerdict;

/** The answer to the customer: as text to send, or on paper with the lines of the quote. */
final class QuoteLetter
{
    public function __construct(private readonly Printer $printer)
    {
    }

    public function text(JobFacts $facts): string
    {
        return (new Evaluator)->evaluate($facts)->quote->letter();
    }

    public function pdf(JobFacts $facts, Paper $paper): string
    {
        $quote = (new Evaluator)->evaluate($facts)->quote;
        $offered = in_array($quote->verdict(), [QuoteVerdict::Take, QuoteVerdict::AtThisPrice], true);

        return $this->printer->pdf(view('quote', ['facts' => $facts, 'quote' => $quote->jsonSerialize(), 'letter' => $quote->letter(), 'offered' => $offered])->render(), $paper);
    }
}

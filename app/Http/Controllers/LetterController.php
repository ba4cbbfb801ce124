<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\JobStore;
use App\Sheet\Paper;
use App\Sheet\QuoteLetter;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Oldpart\Core\Advice\BadInput;

/** The answer to the customer, as text or to print. */
final class LetterController
{
    public function __invoke(Request $request, JobStore $store, QuoteLetter $letter, string $job): Response
    {
        $facts = $store->facts($job);

        return match ($request->query('as', 'text')) {
            'text' => new Response($letter->text($facts), 200, [
                'Content-Type' => 'text/plain; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="quote.txt"',
            ]),
            'pdf' => new Response($letter->pdf($facts, Paper::named($request->query('paper', 'a4'))), 200, [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => 'inline; filename="quote.pdf"',
            ]),
            default => throw new BadInput('as', 'as', 'The letter comes as text or as pdf.'),
        };
    }
}

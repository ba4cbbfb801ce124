<?php

declare(strict_types=1);

namespace App\Sheet;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Quantity\Unit;

/** The sizes alone, large enough to be read from the lathe. */
final class MachineCard
{
    public function __construct(private readonly Printer $printer, private readonly Speech $speech)
    {
    }

    public function pdf(JobFacts $facts, Unit $unit, Paper $paper): string
    {
        $this->speech->facts($facts);
        $entries = array_filter(
            JobAnswers::of($facts, false)->make,
            static fn (MakeEntry $e): bool => $e->band !== null || $e->more !== [],
        );

        return $this->printer->pdf($this->speech->html(view('machine-card', [
            'facts' => $facts,
            'unit' => $unit,
            'rows' => json_decode(json_encode(array_values($entries), JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR),
            'say' => static fn (array $s): string => $s[$unit->value],
        ])->render()), $paper);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\JobStore;
use App\Models\InstrumentCheck;
use App\Sheet\Calendar;
use App\Sheet\MachineCard;
use App\Sheet\Paper;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Exchange\JobTables;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Quantity\Unit;

/** A job as open files: tables, calendar entries, the card for the machine. */
final class FilesController
{
    public function __construct(private readonly JobStore $store)
    {
    }

    public function table(Request $request, string $job, string $table): Response
    {
        $facts = $this->store->facts($job);
        $unit = self::unit($request, $facts);
        $text = match ($table) {
            'sizes' => JobTables::sizes(JobAnswers::of($facts, false), $unit),
            'holes' => JobTables::holes(JobAnswers::of($facts, false), $unit),
            default => JobTables::cuts($facts, $unit),
        };

        return new Response($text, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$table}.csv\"",
        ]);
    }

    public function calendar(string $job): Response
    {
        $facts = $this->store->facts($job);
        $used = array_values(array_unique(array_map(static fn (ReadingFacts $r): string => $r->instrument, $facts->readings)));

        return new Response(Calendar::of($facts, InstrumentCheck::lastOf($used)), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="job.ics"',
        ]);
    }

    public function card(Request $request, MachineCard $card, string $job): Response
    {
        $facts = $this->store->facts($job);

        return new Response(
            $card->pdf($facts, self::unit($request, $facts), Paper::named($request->query('paper', 'a4'))),
            200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="machine-card.pdf"'],
        );
    }

    private static function unit(Request $request, JobFacts $facts): Unit
    {
        return Unit::tryFrom($request->string('unit')->value()) ?? $facts->unit;
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\JobStore;
use App\Sheet\JobSheet;
use App\Sheet\Paper;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Oldpart\Core\Quantity\Unit;

final class SheetController
{
    public function __invoke(Request $request, JobStore $store, JobSheet $sheet, string $job): Response
    {
        $paper = Paper::named($request->query('paper', 'a4'));
        $unit = is_string($request->query('unit')) ? Unit::tryFrom($request->query('unit')) : null;
        $facts = $store->facts($job);

        return new Response($sheet->pdf($facts, $unit ?? $facts->unit, $paper), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="as-built-sheet.pdf"',
        ]);
    }
}

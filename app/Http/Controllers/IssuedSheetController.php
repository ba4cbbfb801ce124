<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\JobStore;
use App\Http\Body;
use App\Models\IssuedSheet;
use App\People\Here;
use App\Sheet\JobSheet;
use App\Sheet\Paper;
use App\Sheet\Printer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Exchange\SheetChanges;
use Oldpart\Core\Quantity\Unit;

/** Sheets that were issued: numbered, frozen as they were, each saying what changed since the one before. */
final class IssuedSheetController
{
    public function __construct(private readonly JobStore $store)
    {
    }

    public function index(string $job): JsonResponse
    {
        $this->store->facts($job);

        $issues = [];
        foreach (IssuedSheet::query()->where('job_id', $job)->orderBy('number')->get() as $sheet) {
            assert($sheet instanceof IssuedSheet);
            $issues[] = self::shown($sheet);
        }

        return new JsonResponse(['issues' => $issues]);
    }

    public function store(Request $request, JobSheet $sheet, string $job): JsonResponse
    {
        $in = Body::of($request)->only(['by', 'unit']);
        // Whoever is signed in answers for it, whatever was typed.
        $by = Here::name() ?? trim($in->text('by'));
        if ($by === '' || mb_strlen($by) > 200) {
            throw new BadInput('by', 'by', 'Write who issues it, in up to 200 letters: somebody answers for a sheet.');
        }
        $facts = $this->store->facts($job);
        $unit = $in->has('unit') ? $in->choice('unit', Unit::class) : $facts->unit;
        $issued = DB::transaction(function () use ($facts, $unit, $by, $sheet, $job): IssuedSheet {
            $last = IssuedSheet::query()->where('job_id', $job)->orderByDesc('number')->first();
            $number = ($last->number ?? 0) + 1;
            $file = JobFile::write($facts);
            $checksum = hash('sha256', $file);
            $changes = $last === null ? [] : SheetChanges::between(
                JobAnswers::of(JobFile::read($last->facts), false),
                JobAnswers::of($facts, false),
                $unit,
            );

            return IssuedSheet::query()->create([
                'job_id' => $job,
                'number' => $number,
                'issued_at' => now()->toIso8601ZuluString(),
                'by' => $by,
                'unit' => $unit->value,
                'checksum' => $checksum,
                'facts' => $file,
                'html' => $sheet->html($facts, $unit, ['number' => $number, 'by' => $by, 'checksum' => $checksum, 'changes' => $changes]),
            ]);
        });

        return new JsonResponse(self::shown($issued), 201);
    }

    public function show(Request $request, Printer $printer, string $job, int $number): Response
    {
        $issued = IssuedSheet::query()->where('job_id', $job)->where('number', $number)->firstOrFail();

        return new Response($printer->pdf($issued->html, Paper::named($request->query('paper', 'a4'))), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"sheet-{$number}.pdf\"",
        ]);
    }

    /** @return array<string, mixed> */
    private static function shown(IssuedSheet $sheet): array
    {
        return [
            'number' => $sheet->number,
            'at' => $sheet->issued_at,
            'by' => $sheet->by,
            'unit' => $sheet->unit,
            'checksum' => $sheet->checksum,
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Sheet;

use Dompdf\Dompdf;
use Dompdf\Options;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Job\Evaluator;
use Oldpart\Core\Job\JobFacts;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\SvgWriter;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Safety\Caution;
use Oldpart\Core\Safety\Gate;

/** The as-built sheet: prints in black on A4 or Letter. */
final class JobSheet
{
    /** @param  'a4'|'letter'  $paper */
    public function pdf(JobFacts $facts, Unit $unit, string $paper): string
    {
        $options = new Options;
        $options->setIsRemoteEnabled(false);
        $options->setDefaultFont('DejaVu Sans');
        $folder = storage_path('app/fonts');
        if (! is_dir($folder)) {
            mkdir($folder, 0775, true);
        }
        $options->setFontDir($folder);
        $options->setFontCache($folder);
        $options->setTempDir(sys_get_temp_dir());
        $pdf = new Dompdf($options);
        $pdf->setPaper($paper);
        $pdf->loadHtml($this->html($facts, $unit), 'UTF-8');
        $pdf->render();

        return (string) $pdf->output();
    }

    private function html(JobFacts $facts, Unit $unit): string
    {
        $answers = (new Evaluator)->evaluate($facts);
        $decoded = json_decode(json_encode($answers, JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR);

        return view('sheet', [
            'facts' => $facts,
            'answers' => $decoded,
            'unit' => $unit,
            'say' => static fn (array|string|null $s): string => is_array($s) ? $s[$unit->value] : ($s ?? '–'),
            'picture' => $this->image($answers->picture, $unit),
            'gates' => Gate::those($facts->takeIn->gates),
            'cautions' => [...Caution::for('press'), ...Caution::for('machining'), ...Caution::for('cast iron')],
            'notes' => array_values(array_filter(
                array_map(static fn ($note): array => ['severity' => $note->severity->value, 'say' => self::pick($note->say, $unit)], $answers->notes),
            )),
        ])->render();
    }

    private static function pick(Say $say, Unit $unit): string
    {
        return $unit === Unit::Inch ? $say->in : $say->mm;
    }

    private function image(?Drawing $drawing, Unit $unit): ?string
    {
        return $drawing === null ? null : 'data:image/svg+xml;base64,'.base64_encode((new SvgWriter($unit))->write($drawing));
    }
}

<?php

declare(strict_types=1);

namespace App\Sheet;

use Dompdf\Dompdf;
use Dompdf\Options;

/** Turns a page into a PDF; nothing is fetched from outside. */
final class Printer
{
    /** @param  Paper|array{float, float}  $paper  or a page of its own, wide and high, mm */
    public function pdf(string $html, Paper|array $paper): string
    {
        $options = new Options();
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
        $pdf->setPaper($paper instanceof Paper
            ? $paper->value
            : [0.0, 0.0, ...array_map(static fn (float $mm): float => ($mm * 72) / 25.4, $paper)]);
        $pdf->loadHtml($html, 'UTF-8');
        $pdf->render();

        return (string) $pdf->output();
    }
}

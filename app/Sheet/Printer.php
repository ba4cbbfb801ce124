<?php

declare(strict_types=1);

namespace App\Sheet;

use Dompdf\Dompdf;
use Dompdf\Options;

/** Turns a page into a PDF; nothing is fetched from outside. */
final class Printer
{
    public function pdf(string $html, Paper $paper): string
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
        $pdf->setPaper($paper->value);
        $pdf->loadHtml($html, 'UTF-8');
        $pdf->render();

        return (string) $pdf->output();
    }
}

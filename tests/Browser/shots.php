<?php

declare(strict_types=1);

// Takes the pictures in docs/screenshots from the demo data; `--to FOLDER`, `--only NAME`, `--size WxH` for a look in
// between.

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Rig;

require __DIR__.'/../../vendor/autoload.php';
chdir(__DIR__.'/../..');

$options = getopt('', ['to:', 'only:', 'size:', 'night']);
$to = $options['to'] ?? 'docs/screenshots';
[$width, $height] = array_map(intval(...), explode('x', $options['size'] ?? '1280x800'));
$only = isset($options['only']) ? explode(',', $options['only']) : null;
$night = isset($options['night']);

/** @var array<string, array{string, string, bool}> $views name: address, text to wait for, night */
$views = [
    'bench' => ['/', 'The bench', false],
    'take-in' => ['/job/demo-drill/take-in', 'Who is hurt', false],
    'quote' => ['/job/demo-turbine/take-in?view=quote', 'What to send', false],
    'survey' => ['/job/demo-cider/survey', 'What meets what', false],
    'measure' => ['/job/demo-drill/measure', 'Housing bore', false],
    'size' => ['/job/demo-carder/size', 'Bush in housing', false],
    'loop' => ['/job/demo-drill/size?at=demo-drill-end-float-of-the-shaft', 'closes at', false],
    'sums' => ['/sums?sum=run-out', 'Run-out, two places', false],
    'plan' => ['/job/demo-carder/plan', 'Order of work', false],
    'make' => ['/job/demo-trolley/make', 'The batch', false],
    'assemble' => ['/job/demo-carder/assemble', 'Put it together', false],
    'hand-over' => ['/job/demo-tedder/hand-over', 'As built', false],
    'shape-night' => ['/job/demo-blower/size?at=demo-blower-8', 'Across its mouth', true],
    'practice' => ['/practice', 'each about one mistake', false],
    'practice-truth' => ['/practice/demo-practice-warm', 'What saves it', false],
    'shop' => ['/shop', 'The shop', false],
    'tables' => ['/tables?size=1.25&unit=in&fit=H7%2Fp6', 'H7/p6 at', false],
];
$rig = new Rig(true);
try {
    $driver = $rig->browser($width, $height);
    @mkdir($to, 0775, true);
    foreach ($views as $name => [$address, $text, $dark]) {
        if ($only !== null && ! in_array($name, $only, true)) {
            continue;
        }
        $driver->get($rig->url.$address);
        $driver->executeScript("localStorage.setItem('mui-mode', arguments[0])", [$dark || $night ? 'dark' : 'light']);
        $driver->get($rig->url.$address);
        $driver
            ->wait(10)
            ->until(
                static fn ($d): bool => str_contains($d->findElement(WebDriverBy::tagName('body'))->getText(), $text),
            );
        usleep(500_000);
        $driver->executeScript('document.activeElement && document.activeElement.blur()');
        $driver->takeScreenshot("{$to}/{$name}.png");
        echo "{$to}/{$name}.png\n";
    }
    if ($only === null || in_array('kinds', $only, true)) {
        $driver->get($rig->url.'/');
        $driver
            ->wait(10)
            ->until(
                static fn ($d): bool => str_contains(
                    $d->findElement(WebDriverBy::tagName('body'))->getText(),
                    'The bench',
                ),
            );
        $driver->findElement(WebDriverBy::xpath("//button[contains(., 'What are you making')]"))->click();
        usleep(900_000);
        $driver->takeScreenshot("{$to}/kinds.png");
        echo "{$to}/kinds.png\n";
    }
    if ($only === null || in_array('sheet', $only, true)) {
        $pdf = sys_get_temp_dir().'/oldpart-fit-sheet.pdf';
        file_put_contents($pdf, (string) file_get_contents($rig->url.'/api/jobs/demo-carder/sheet?paper=a4&unit=in'));
        exec('pdftoppm -png -r 80 -f 1 -l 1 -singlefile '.escapeshellarg($pdf).' '.escapeshellarg("{$to}/sheet"));
        echo "{$to}/sheet.png\n";
    }
    $driver->quit();
} finally {
    $rig->close();
}

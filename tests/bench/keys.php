<?php

declare(strict_types=1);

// How long from a key in a cell to the changed size to make, and how much is drawn anew for it, in real Chromium on the
// demo data. Wanted: 60 ms for half of the keys, 100 ms for 95 of 100.

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Rig;

require __DIR__.'/../../vendor/autoload.php';
require __DIR__.'/pace.php';
chdir(__DIR__.'/../..');

$count = (int) ($argv[1] ?? 40);
// Components that were drawn anew: those React worked on, in the trees that are not the very same as before.
$hook = <<<'JS'
    window.__drawn = 0;
    window.__REACT_DEVTOOLS_GLOBAL_HOOK__ = {
        supportsFiber: true, renderers: new Map(), inject: () => 1, onCommitFiberUnmount() {}, onPostCommitFiberRoot() {},
        onCommitFiberRoot(id, root) {
            const visit = (fiber) => {
                for (let one = fiber; one !== null; one = one.sibling) {
                    if ([0, 1, 11, 14, 15].includes(one.tag) && (one.flags & 1) === 1) window.__drawn++;
                    if (one.child !== null && (one.alternate === null || one.alternate.child !== one.child)) visit(one.child);
                }
            };
            visit(root.current.child);
        },
    };
    JS;
$watch = <<<'JS'
    window.__times = [];
    const card = document.querySelector('[aria-label="Make card"]');
    let shown = card.innerText, at = 0;
    document.addEventListener('keydown', () => { at = performance.now(); }, true);
    new MutationObserver(() => {
        if (card.innerText !== shown) {
            shown = card.innerText;
            if (at > 0) { window.__times.push(performance.now() - at); at = 0; }
        }
    }).observe(card, { subtree: true, childList: true, characterData: true });
    JS;

$rig = new Rig(true);
try {
    $driver = $rig->browser(1280, 800);
    (new ChromeDevToolsDriver($driver))->execute('Page.addScriptToEvaluateOnNewDocument', ['source' => $hook]);
    $driver->get($rig->url.'/job/demo-carder/measure');
    $driver->wait(10)->until(
        static fn ($d): bool => $d->findElements(WebDriverBy::cssSelector('td input')) !== [],
    );
    usleep(1_000_000);
    $driver->executeScript($watch);
    $before = (int) $driver->executeScript('return window.__drawn');
    $cell = $driver->findElement(WebDriverBy::cssSelector('td input'));
    $cell->sendKeys(["\u{E009}", 'a']);
    $cell->sendKeys('1.624');
    usleep(300_000);
    $paces = [];
    for ($i = 0; $i < $count; $i++) {
        $cell->sendKeys((string) (1 + $i % 9));
        usleep(250_000);
        $cell->sendKeys("\u{E003}");
        usleep(250_000);
        $paces[] = pace();
    }
    sort($paces);
    $pace = $paces[intdiv(count($paces), 2)];
    /** @var list<float> $times */
    $times = $driver->executeScript('return window.__times');
    $drawn = ((int) $driver->executeScript('return window.__drawn') - $before) / (2 * $count + 5);
} finally {
    $rig->close();
}
sort($times);
$n = count($times);
if ($n < $count / 2) {
    fwrite(STDERR, "Only {$n} keys changed the size to make: nothing to judge by.\n");
    exit(1);
}
printf(
    "a key to the changed size to make: %.0f ms half of the time, %.0f ms for 95 of 100 (%d keys), at a quiet pace %.0f and %.0f, wanted 60 and 100; %d components drawn a key\n",
    $half = $times[intdiv($n, 2)],
    $most = $times[(int) floor(0.95 * ($n - 1))],
    $n,
    $half / $pace,
    $most / $pace,
    $drawn,
);
exit($half / $pace > 120 ? 1 : 0);

<?php

declare(strict_types=1);

namespace Tests\Browser;

/** What stands between the shop and other programs: the page on scripting, the contract, the files as they are served. */
final class ScriptingTest extends BrowserTestCase
{
    /** Every example of the page on scripting runs as it stands there, against the demo shop. */
    public function test_the_examples_run(): void
    {
        $page = (string) file_get_contents(dirname(__DIR__, 2).'/docs/scripting.md');
        preg_match_all('/^```sh\n(.*?)^```/ms', $page, $blocks);
        self::assertGreaterThan(6, count($blocks[1]));
        $script = (string) tempnam(sys_get_temp_dir(), 'script');
        file_put_contents($script, str_replace(['http://127.0.0.1:8080', 'carder.json', 'php artisan'], [$this->rig->url, "{$script}.json", 'php '.dirname(__DIR__, 2).'/artisan'], implode("\n", $blocks[1])));
        exec('bash -euo pipefail '.escapeshellarg($script).' 2>&1', $said, $code);
        array_map(unlink(...), glob("{$script}*") ?: []);
        $said = implode("\n", $said);
        self::assertSame(0, $code, $said);
        self::assertStringContainsString('Wool carder', $said);
        self::assertStringContainsString('17.3648', $said, '100 mm at 10° on the sine bar: 100 sin 10°');
        self::assertMatchesRegularExpression('/^Bush outside\t41\.315\t/m', $said);
        self::assertStringContainsString('Reading of Housing bore, mouth, 0°', $said);
        self::assertSame('1.1243', array_column($this->api('/api/jobs/demo-drill')['facts']['readings'], 'value', 'id')['from-a-script-1']['typed']);
    }

    /** The contract is shown, and one of its requests can be tried, without anything from elsewhere. */
    public function test_the_contract_can_be_looked_through(): void
    {
        $this->visit('/api/docs');
        $this->sees('What other programs can ask this shop', '/api/jobs/{job}/history');
        $this->page->executeScript('document.querySelector("[id$=glossary] button").click()');
        $this->find("//button[contains(., 'Try it out')]", 'try it')->click();
        $this->find("//button[contains(., 'Execute')]", 'execute')->click();
        $this->sees('the trade', '"words"');
        $contract = $this->api('/api/contract.json');
        self::assertArrayHasKey('/api/jobs/{job}/history', $contract['paths']);
        self::assertStringNotContainsString('.yaml', (string) json_encode($contract, JSON_UNESCAPED_SLASHES));
    }

    /** Built files come packed and are kept for good: the second visit asks for none of them again. */
    public function test_the_second_visit_comes_from_the_cache(): void
    {
        $this->visit('/');
        $this->sees('The bench');
        $files = fn (string $which): array => (array) $this->page->executeScript("return performance.getEntriesByType('resource').filter(e => e.name.includes('/build/assets/') && {$which}).map(e => [e.name, e.encodedBodySize, e.decodedBodySize])");
        // What is fetched when idle may still be on its way: only what has come whole counts.
        $first = $files("e.name.endsWith('.js') && e.encodedBodySize > 0");
        self::assertNotSame([], $first);
        self::assertLessThan(0.5, array_sum(array_column($first, 1)) / array_sum(array_column($first, 2)), 'packed');
        $this->visit('/shop');
        $this->visit('/');
        $this->sees('The bench');
        self::assertSame([], array_intersect(array_column($first, 0), array_column($files('e.transferSize > 0'), 0)));
        $headers = get_headers($this->rig->url.'/build/assets/'.basename((string) current(glob(dirname(__DIR__, 2).'/public/build/assets/main-*.js') ?: [])), true);
        self::assertSame('public, max-age=31536000, immutable', $headers['Cache-Control']);
        // What no file can be called is not there, and breaks nothing; nor is anything outside of what is public.
        foreach (['/%00.js', '/build/assets/%00.js', '/build/assets/../../../.env', '/..%2f.env'] as $path) {
            $status = (string) shell_exec('curl -s --path-as-is -o /dev/null -w "%{http_code}" '.escapeshellarg($this->rig->url.$path));
            self::assertSame('404', $status, $path);
        }
    }
}

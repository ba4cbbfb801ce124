<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Sheet\Printer;
use Database\Seeders\DemoShop;

/** Drawings over HTTP: on the screen, as files, one to one, and first on the sheet. */
final class DrawingsTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->seed(DemoShop::class);
    }

    public function test_each_part_that_is_cut_has_one(): void
    {
        $drawings = $this->api('GET', '/api/jobs/demo-tedder/drawings', null, 200)['drawings'];
        self::assertSame(['Axle', 'Axle, from its end'], array_column($drawings, 'name'));
        $texts = array_column(array_column(array_filter($drawings[0]['drawing']['shapes'], static fn (array $s): bool => $s['type'] === 'text'), 'say'), 'in');
        self::assertContains('⌀1.5749', $texts);
        self::assertContains('1.5740', $texts);
        $lever = $this->api('GET', '/api/jobs/demo-clock/drawings', null, 200)['drawings'];
        self::assertSame(['Lever'], array_column($lever, 'name'));
    }

    public function test_as_files(): void
    {
        $axle = $this->api('GET', '/api/jobs/demo-tedder/drawings', null, 200)['drawings'][0]['part'];
        $dxf = $this->get("/api/jobs/demo-tedder/drawings/{$axle}/dxf?unit=in");
        $dxf->assertOk();
        self::assertStringContainsString('attachment; filename="Hay-tedder-Axle.dxf"', (string) $dxf->headers->get('Content-Disposition'));
        self::assertStringContainsString('true size in inches', (string) $dxf->getContent());
        $svg = $this->get("/api/jobs/demo-tedder/drawings/{$axle}/svg?unit=mm");
        self::assertSame('svg', (new \SimpleXMLElement((string) $svg->getContent()))->getName());
        self::assertStringContainsString('40.00', (string) $svg->getContent());
        $print = $this->get("/api/jobs/demo-tedder/drawings/{$axle}/template");
        self::assertStringStartsWith('%PDF', (string) $print->getContent());
        self::assertSame('595 842', self::page((string) $print->getContent()), 'A4 holds it');
        // 400 by 500 mm in points of 1/72 in.
        self::assertSame('1134 1417', self::page((new Printer())->pdf('<p>x</p>', [400.0, 500.0])));
        $this->api('GET', '/api/jobs/demo-tedder/drawings/nobody/dxf', null, 422);
        $this->api('GET', '/api/jobs/nobody/drawings', null, 404);
    }

    public function test_of_the_other_hand(): void
    {
        $state = $this->api('GET', '/api/jobs/demo-clock', null, 200);
        $lever = array_column($state['facts']['parts'], 'id', 'name')['Lever'];
        $this->api('PUT', "/api/jobs/demo-clock/parts/{$lever}", ['version' => $state['version'], 'request' => 'h-1', 'fact' => ['both_hands' => true]], 200);
        $drawings = $this->api('GET', '/api/jobs/demo-clock/drawings', null, 200)['drawings'];
        self::assertSame(['Lever' => 'face', 'Lever, other hand' => 'other hand'], array_column($drawings, 'view', 'name'));
        [$one, $other] = [$this->get("/api/jobs/demo-clock/drawings/{$lever}/dxf"), $this->get("/api/jobs/demo-clock/drawings/{$lever}/dxf?view=other%20hand")];
        self::assertStringContainsString('other-hand.dxf', (string) $other->headers->get('Content-Disposition'));
        self::assertNotSame($one->getContent(), $other->getContent());
    }

    /** Taken out, a seat leaves what lay with it where it was; undone, one number moves both again. */
    public function test_what_lies_with_a_surface_stays_where_it_was(): void
    {
        $state = $this->api('POST', '/api/jobs', ['id' => 'k', 'kind' => 'eccentric-carrier', 'machine' => 'Rig', 'part' => 'Carrier', 'unit' => 'mm'], 201);
        $ids = array_column($state['facts']['surfaces'], 'id', 'name');
        [$seat, $through] = [$ids['Bearing seat, offset'], $ids['Hole through']];
        $x = static fn (array $state): ?string => array_column($state['facts']['surfaces'], null, 'id')[$through]['x']['typed'] ?? null;
        $state = $this->api('PUT', "/api/jobs/k/surfaces/{$seat}", ['version' => $state['version'], 'request' => 's-1', 'fact' => ['x' => ['typed' => '4.5', 'unit' => 'mm']]], 200);
        self::assertSame('4.5', $x($state), 'one number moves both');
        $state = $this->api('DELETE', "/api/jobs/k/surfaces/{$seat}", ['version' => $state['version'], 'request' => 's-2'], 200);
        self::assertSame('4.5', $x($state));
        self::assertNull(array_column($state['facts']['surfaces'], null, 'id')[$through]['centred_on']);
        $state = $this->api('POST', '/api/jobs/k/undo', ['version' => $state['version'], 'request' => 's-3'], 200);
        self::assertSame($seat, array_column($state['facts']['surfaces'], null, 'id')[$through]['centred_on']);
        $wrong = $this->api('PUT', "/api/jobs/k/surfaces/{$seat}", ['version' => $state['version'], 'request' => 's-4', 'fact' => ['centred_on' => $through]], 422);
        self::assertStringContainsString('itself in the end', $wrong['error']['message']);
    }

    /** A sheet stays as it was, whatever changes; the next one says what did. */
    public function test_an_issued_sheet_is_frozen(): void
    {
        $url = '/api/jobs/demo-tedder/issues';
        self::assertSame([], $this->api('GET', $url, null, 200)['issues']);
        $this->api('POST', $url, ['by' => ' '], 422);
        $first = $this->api('POST', $url, ['by' => 'the workshop', 'unit' => 'in'], 201);
        self::assertSame([1, 'the workshop'], [$first['number'], $first['by']]);
        $was = $this->printed("{$url}/1");
        self::assertStringContainsString('Sheet 1', $was);
        self::assertStringContainsString(substr($first['checksum'], 0, 16), $was);
        self::assertStringContainsString('1.5749', $was);
        $state = $this->api('GET', '/api/jobs/demo-tedder', null, 200);
        $register = self::idOf($state, 'surfaces', 'Register');
        $this->api('PUT', "/api/jobs/demo-tedder/surfaces/{$register}", $this->change($state['version'], ['name' => 'Spigot']), 200);
        $second = $this->api('POST', $url, ['by' => 'the workshop', 'unit' => 'in'], 201);
        self::assertSame(2, $second['number']);
        self::assertNotSame($first['checksum'], $second['checksum']);
        self::assertSame($was, $this->printed("{$url}/1"), 'the first is as it was');
        $now = preg_replace('/\s+/', ' ', $this->printed("{$url}/2")) ?? '';
        self::assertStringContainsString('Since sheet 1:', $now);
        self::assertStringContainsString('Spigot: new', $now);
        self::assertStringContainsString('Register: gone', $now);
        $third = $this->api('POST', $url, ['by' => 'the workshop', 'unit' => 'in'], 201);
        self::assertStringContainsString('has changed since sheet 2', preg_replace('/\s+/', ' ', $this->printed("{$url}/{$third['number']}")) ?? '');
        $this->api('GET', "{$url}/9", null, 404);
    }

    public function test_tables_and_the_card(): void
    {
        $sizes = $this->get('/api/jobs/demo-tedder/tables/sizes?unit=in');
        $rows = array_map(static fn (string $l): array => str_getcsv($l, ',', '"', ''), explode("\r\n", trim((string) $sizes->getContent())));
        self::assertSame(['surface', 'lower', 'upper', 'made', 'sure to', 'verdict', 'unit'], $rows[0]);
        $register = array_column($rows, null, 0)['Register'];
        self::assertEqualsWithDelta([1.5740, 1.5749, 1.5746], [(float) $register[1], (float) $register[2], (float) $register[3]], 1e-4);
        self::assertSame(['inside', 'in'], [$register[5], $register[6]]);
        $holes = (string) $this->get('/api/jobs/demo-blower/tables/holes?unit=mm')->getContent();
        self::assertStringContainsString('"Hub hole circle",1,47,0,0,no,mm', $holes);
        self::assertStringContainsString('surface,piece,when,dialled', (string) $this->get('/api/jobs/demo-tedder/tables/cuts')->getContent());
        self::assertStringContainsString('1.5749', $this->printed('/api/jobs/demo-tedder/card?unit=in'));
    }

    /** A stranger with only the sheet finds every surface that is cut, of every kind of part. */
    public function test_the_sheet_of_each_kind_has_every_surface(): void
    {
        require_once base_path('core/tests/Evaluate/EachKind.php');
        foreach (\Oldpart\Core\Tests\Evaluate\EachKind::jobs() as $kind => $facts) {
            $html = app(\App\Sheet\JobSheet::class)->html($facts, $facts->unit);
            $text = html_entity_decode(strip_tags($html), ENT_QUOTES | ENT_HTML5);
            foreach (\Oldpart\Core\Answer\JobAnswers::of($facts, false)->make as $entry) {
                if (! $entry->surface->type->isEdge()) {
                    self::assertStringContainsString($entry->label, $text, "{$kind}: {$entry->label}");
                }
                if ($entry->band !== null) {
                    $limit = \Oldpart\Core\Quantity\LengthWriter::upper($entry->band);
                    self::assertStringContainsString($facts->unit->value === 'in' ? $limit->in : $limit->mm, $text, "{$kind}: {$entry->label}");
                }
            }
        }
    }

    /** Read back by a library that is not the one that wrote it. */
    public function test_the_calendar(): void
    {
        $text = (string) $this->get('/api/jobs/demo-printer/calendar')->getContent();
        $file = (string) tempnam(sys_get_temp_dir(), 'ics');
        file_put_contents($file, $text);
        $script = 'import sys, icalendar; print("|".join(str(e["SUMMARY"]) + " " + e.decoded("DTSTART").isoformat() for e in icalendar.Calendar.from_ical(open(sys.argv[1], "rb").read()).walk("VEVENT")))';
        exec('/usr/bin/python3 -c '.escapeshellarg($script).' '.escapeshellarg($file).' 2>&1', $said, $code);
        unlink($file);
        self::assertSame(0, $code, implode("\n", $said));
        $events = explode('|', implode('', $said));
        $checks = array_filter($events, static fn (string $e): bool => str_contains($e, 'against a master'));
        self::assertCount(2, array_diff($events, $checks));
        self::assertStringContainsString('done curing', $events[0]);
        self::assertStringEndsWith('wanted 2027-01-15', $events[1]);
    }

    /** A gauge that this job was read with is to be checked a year after it last was. */
    public function test_the_calendar_says_when_a_gauge_is_due(): void
    {
        $facts = $this->api('GET', '/api/jobs/demo-drill', null, 200)['facts'];
        $tool = $facts['readings'][0]['instrument'];
        \App\Models\InstrumentCheck::query()->where('instrument', $tool)->delete();
        $mm = static fn (string $typed): array => ['typed' => $typed, 'unit' => 'mm'];
        $this->api('POST', "/api/instruments/{$tool}/checks", ['id' => 'c-1', 'read' => $mm('25.002'), 'true' => $mm('25'), 'at' => '2026-03-05T10:00:00Z'], 201);
        $text = (string) $this->get('/api/jobs/demo-drill/calendar')->getContent();
        self::assertMatchesRegularExpression('/SUMMARY:Check the [^\r\n]+ against a master/', $text);
        self::assertStringContainsString('DTSTART;VALUE=DATE:20270305', $text);
    }

    private static function page(string $pdf): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'pdf');
        file_put_contents($file, $pdf);
        exec('pdfinfo '.escapeshellarg($file), $said);
        unlink($file);

        return preg_match('/Page size:\s+([\d.]+) x ([\d.]+)/', implode("\n", $said), $m) === 1
            ? round((float) $m[1]).' '.round((float) $m[2])
            : implode("\n", $said);
    }

    private function printed(string $url): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'pdf');
        file_put_contents($file, (string) $this->get($url)->assertOk()->getContent());
        exec('pdftotext -layout '.escapeshellarg($file).' - 2>&1', $text);
        unlink($file);

        return implode("\n", $text);
    }
}

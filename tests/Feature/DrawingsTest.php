<?php

declare(strict_types=1);

namespace Tests\Feature;

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
        self::assertSame(['Axle'], array_column($drawings, 'name'));
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
        $this->api('GET', '/api/jobs/demo-tedder/drawings/nobody/dxf', null, 422);
        $this->api('GET', '/api/jobs/nobody/drawings', null, 404);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Reading;
use Database\Seeders\DemoShop;

/** Readings in and out as a table: all or none. */
final class ReadingsTableTest extends FeatureTestCase
{
    private const TABLE = "surface,station,angle,value,unit\nHousing bore,mouth,0,1.1247,in\nHousing bore,mouth,90,28.571,mm\n";

    /** @return array<string, mixed> */
    private static function body(string $text, array $more = []): array
    {
        return ['text' => $text, 'unit' => 'in', 'instrument' => 'three-point', 'surface' => null, ...$more];
    }

    public function test_looked_at_brought_in_and_taken_back(): void
    {
        $state = $this->startJob();
        $look = $this->api('POST', '/api/jobs/job-1/readings-table/look', self::body(self::TABLE), 200);
        self::assertSame(
            [2, [], ['surface', 'station', 'angle', 'value', 'unit']],
            [$look['count'], $look['refused'], $look['columns']],
        );
        self::assertSame(0, Reading::query()->count());
        $in = self::body(self::TABLE, [
            'columns' => $look['columns'],
            'version' => $state['version'],
            'request' => 'table-1',
        ]);
        $after = $this->api('POST', '/api/jobs/job-1/readings-table', $in, 200);
        self::assertCount(2, $after['facts']['readings']);
        self::assertSame('1.1247', $after['answers']['surfaces'][0]['found']['mating']['in']);
        self::assertCount(
            2,
            $this->api('POST', '/api/jobs/job-1/readings-table', $in, 200)['facts']['readings'],
            'a retry does nothing',
        );
        $this->api('POST', '/api/jobs/job-1/readings-table', [...$in, 'request' => 'table-2'], 409);
        self::assertSame(
            [],
            $this->api('POST', '/api/jobs/job-1/undo', ['version' => 2, 'request' => 'u'], 200)['facts']['readings'],
        );
    }

    public function test_one_bad_row_and_none_is_taken(): void
    {
        $this->startJob();
        $bad = self::TABLE."Housing bore,mouth,45,smudge,in\n";
        $look = $this->api('POST', '/api/jobs/job-1/readings-table/look', self::body($bad), 200);
        self::assertSame(4, $look['refused'][0]['line']);
        $error = $this->api(
            'POST',
            '/api/jobs/job-1/readings-table',
            self::body($bad, ['columns' => $look['columns'], 'version' => 1, 'request' => 'r']),
            422,
        )['error'];
        self::assertStringContainsString('Line 4', $error['message']);
        self::assertStringContainsString('None was taken in', $error['message']);
        self::assertSame(0, Reading::query()->count());
        $this->api('POST', '/api/jobs/job-1/readings-table/look', self::body(''), 422);
        $this->api('POST', '/api/jobs/nowhere/readings-table/look', self::body(self::TABLE), 404);
    }

    public function test_it_goes_out_and_comes_into_another_job(): void
    {
        $this->seed(DemoShop::class);
        $response = $this->send('GET', '/api/jobs/demo-drill/readings.csv');
        self::assertStringStartsWith('text/csv', (string) $response->headers->get('Content-Type'));
        $text = (string) $response->getContent();
        $this->startJob();
        $look = $this->api('POST', '/api/jobs/job-1/readings-table/look', self::body($text), 200);
        self::assertSame([], $look['refused']);
        $columns = array_map(static fn (?string $c): string => $c ?? '', $look['columns']);
        $after = $this->api(
            'POST',
            '/api/jobs/job-1/readings-table',
            self::body($text, ['columns' => $columns, 'version' => 1, 'request' => 'r']),
            200,
        );
        $old = $this->api('GET', '/api/jobs/demo-drill', null, 200);
        self::assertSame(
            array_column(array_column($old['facts']['readings'], 'value'), 'mm'),
            array_column(array_column($after['facts']['readings'], 'value'), 'mm'),
        );
    }

    /** A unit that is mended is a change of the reading too: what it was stays. */
    public function test_mending_a_unit_keeps_what_was_typed(): void
    {
        $state = $this->startJob();
        $bore = self::idOf($state, 'surfaces', 'Housing bore');
        $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(1, [
                'surface' => $bore,
                'value' => ['typed' => '28.57', 'unit' => 'in'],
                'instrument' => 'three-point',
            ]),
            200,
        );
        $after = $this->api(
            'PUT',
            '/api/jobs/job-1/readings/r1',
            $this->change(2, ['value' => ['typed' => '28.57', 'unit' => 'mm']]),
            200,
        );
        self::assertSame('in', $after['facts']['readings'][0]['was']['unit']);
    }
}

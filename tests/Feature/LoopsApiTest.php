<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Change;
use Database\Seeders\DemoShop;

/** Loops, clearances and numbers that were wrong, over HTTP. */
final class LoopsApiTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->seed(DemoShop::class);
    }

    /** @return array<string, mixed> */
    private function job(string $id): array
    {
        return $this->api('GET', "/api/jobs/{$id}", null, 200);
    }

    /** @return array{typed: string, unit: string} */
    private static function inch(string $typed): array
    {
        return ['typed' => $typed, 'unit' => 'in'];
    }

    /**
     * One change: the right size in every loop where the piece stands, the old one kept; sent twice it is done once;
     * undo takes all of it back.
     */
    public function test_a_typed_length_was_wrong(): void
    {
        $state = $this->job('demo-drill');
        $loop = array_column($state['facts']['loops'], null, 'name')['End float of the shaft'];
        $other = array_column($state['facts']['loops'], null, 'name')['Room beside the pulley'];
        // The same washer in the other loop too, by its name and size.
        $state = $this->api(
            'PUT',
            "/api/jobs/demo-drill/loops/{$other['id']}",
            $this->change($state['version'], ['lengths' => [...$other['lengths'], $loop['lengths'][1]]]),
            200,
        );
        $body = [
            'version' => $state['version'],
            'request' => 'wrong-1',
            'id' => 'mistake-1',
            'loop' => $loop['id'],
            'place' => 1,
            'right' => self::inch('0.0725'),
            'cause' => 'misread',
            'note' => 'a ten left out',
        ];
        $after = $this->api('POST', '/api/jobs/demo-drill/mistakes', $body, 200);
        self::assertSame($state['version'] + 1, $after['version']);
        foreach ($after['facts']['loops'] as $l) {
            foreach ($l['lengths'] as $length) {
                if ($length['name'] === 'Thrust washer') {
                    self::assertSame('0.0725', $length['size']['typed']);
                }
            }
        }
        $kept = $after['facts']['mistakes'][0];
        self::assertSame(
            ['0.0625', '0.0725', 'misread', 'a ten left out'],
            [$kept['old']['typed'], $kept['new']['typed'], $kept['cause'], $kept['note']],
        );
        self::assertNotNull($kept['at']);
        $mistake = $after['answers']['mistakes'][0];
        self::assertSame(['0.0625', '0.0725'], [$mistake['was']['in'], $mistake['is']['in']]);
        self::assertContains('End float of the shaft', array_column($mistake['touched'], 'name'));
        // A retry is harmless, and what was found wrong is not taken away.
        self::assertSame($after['version'], $this->api('POST', '/api/jobs/demo-drill/mistakes', $body, 200)['version']);
        $this->api(
            'DELETE',
            '/api/jobs/demo-drill/mistakes/mistake-1',
            ['version' => $after['version'], 'request' => 'r-9'],
            422,
        );
        $undone = $this->api(
            'POST',
            '/api/jobs/demo-drill/undo',
            ['version' => $after['version'], 'request' => 'u-1'],
            200,
        );
        self::assertSame([], $undone['facts']['mistakes']);
        self::assertSame(
            '0.0625',
            array_column($undone['facts']['loops'], null, 'name')['End float of the shaft']['lengths'][1]['size'][
                'typed'
            ],
        );
    }

    /** Of two lengths with the same name the one that was meant is corrected, and only that. */
    public function test_of_two_alike_named_lengths_the_one_that_was_meant_is_corrected(): void
    {
        $state = $this->job('demo-drill');
        $loop = array_column($state['facts']['loops'], null, 'name')['End float of the shaft'];
        $lengths = [...$loop['lengths'], [...$loop['lengths'][1], 'size' => self::inch('0.0312')]];
        $state = $this->api(
            'PUT',
            "/api/jobs/demo-drill/loops/{$loop['id']}",
            $this->change($state['version'], ['lengths' => $lengths]),
            200,
        );
        $after = $this->api(
            'POST',
            '/api/jobs/demo-drill/mistakes',
            [
                'version' => $state['version'],
                'request' => 'two-1',
                'id' => 'two',
                'loop' => $loop['id'],
                'place' => 1,
                'right' => self::inch('0.0600'),
                'cause' => 'misread',
                'note' => '',
            ],
            200,
        );
        $sizes = array_map(
            static fn (array $l): ?string => $l['size']['typed'] ?? null,
            array_column($after['facts']['loops'], null, 'name')['End float of the shaft']['lengths'],
        );
        self::assertSame([null, '0.0600', '1.428', '0.0312'], $sizes);
        self::assertSame(
            ['0.0625', '0.0600'],
            [$after['answers']['mistakes'][0]['was']['in'], $after['answers']['mistakes'][0]['is']['in']],
        );
    }

    public function test_a_surfaces_readings_were_wrong(): void
    {
        $state = $this->job('demo-drill');
        $surface = array_column($state['facts']['surfaces'], 'id', 'name')['Housing length'];
        $body = [
            'version' => $state['version'],
            'request' => 'wrong-2',
            'id' => 'mistake-2',
            'surface' => $surface,
            'right' => self::inch('1.517'),
            'cause' => 'wrong face',
            'note' => '',
        ];
        $after = $this->api('POST', '/api/jobs/demo-drill/mistakes', $body, 200);
        $readings = array_values(
            array_filter($after['facts']['readings'], static fn (array $r): bool => $r['surface'] === $surface),
        );
        self::assertSame(['wrong face', 'wrong face', null], array_column($readings, 'set_aside'));
        self::assertSame(array_slice(array_column($readings, 'id'), 0, 2), $after['facts']['mistakes'][0]['readings']);
        $mistake = $after['answers']['mistakes'][0];
        self::assertSame('1.4975', $mistake['was']['in']);
        self::assertStringContainsString('larger than was believed', $mistake['off']['in']);
        self::assertSame(
            ['End float of the shaft', 'Room beside the pulley'],
            array_values(
                array_intersect(
                    ['End float of the shaft', 'Room beside the pulley'],
                    array_column($mistake['touched'], 'name'),
                ),
            ),
        );
        // To be measured anew, with nothing typed.
        $again = $this->api(
            'POST',
            '/api/jobs/demo-drill/mistakes',
            [
                'version' => $after['version'],
                'request' => 'wrong-3',
                'id' => 'mistake-3',
                'surface' => $surface,
                'right' => null,
                'cause' => 'worn gauge',
                'note' => '',
            ],
            200,
        );
        self::assertNull($again['answers']['mistakes'][1]['is']);
        $undone = $this->api(
            'POST',
            '/api/jobs/demo-drill/undo',
            ['version' => $again['version'], 'request' => 'u-2'],
            200,
        );
        self::assertCount(1, $undone['facts']['mistakes']);
        self::assertSame(1, Change::query()->where('request', 'wrong-3')->where('undone', true)->count());
    }

    public function test_what_can_not_have_been_wrong_is_refused(): void
    {
        $state = $this->job('demo-drill');
        $loop = array_column($state['facts']['loops'], 'id', 'name')['End float of the shaft'];
        $send = fn (array $more, int $status): array => $this->api(
            'POST',
            '/api/jobs/demo-drill/mistakes',
            ['version' => $state['version'], 'request' => 'w', 'id' => 'm', 'cause' => 'other', 'note' => '', ...$more],
            $status,
        );
        self::assertSame('right', $send(['loop' => $loop, 'place' => 1, 'right' => null], 422)['error']['field']);
        self::assertSame(
            'length',
            $send(['loop' => $loop, 'place' => 0, 'right' => self::inch('1')], 422)['error']['field'],
        );
        self::assertSame(
            'loop',
            $send(['loop' => 'none', 'place' => 0, 'right' => self::inch('1')], 422)['error']['field'],
        );
        self::assertSame(
            'surface',
            $send(
                [
                    'surface' => array_column($state['facts']['surfaces'], 'id', 'name')['Bush length'],
                    'right' => self::inch('1'),
                ],
                422,
            )['error']['field'],
        );
        $send(['loop' => $loop, 'place' => 1, 'right' => self::inch('1'), 'cause' => 'bad luck'], 422);
        $send(['version' => 99, 'loop' => $loop, 'place' => 1, 'right' => self::inch('1')], 409);
        self::assertSame($state['version'], $this->job('demo-drill')['version']);
    }

    /**
     * Housing length, bush length: the bush lies in the housing on the left; the gap is at the right, housing less
     * bush, and the signs turn with the side it is begun from.
     */
    public function test_a_loop_from_faces(): void
    {
        $state = $this->job('demo-drill');
        $parts = array_column($state['facts']['parts'], 'id', 'name');
        $ends = static fn (string $part): array => [$parts[$part].'.0', $parts[$part].'.1'];
        [[$hl, $hr], [$bl, $br]] = [$ends('Housing'), $ends('Bush')];
        $of = fn (array $faces): array => $this->api('POST', '/api/jobs/demo-drill/faces', ['faces' => $faces], 200);
        self::assertStringStartsWith('Point at the faces', $of([])['missing']);
        self::assertStringContainsString('look the same way', $of([$hl, $hr, $br])['missing']);
        self::assertStringContainsString('perhaps “Bush, left end”', $of([$hl, $hr, $br])['missing']);
        self::assertStringContainsString('back on the part', $of([$hr, $hl])['missing']);
        self::assertStringContainsString(
            'No length of “Shaft”',
            $of([$hl, $hr, $parts['Shaft'].'.0', $parts['Shaft'].'.1'])['missing'],
        );
        self::assertStringContainsString('lies behind', $of([$hr, $hl, $br, $bl])['missing']);
        // A flanged bush: its end, back to the flange that lies on the housing, through the housing: how far the
        // housing stands beyond it.
        $state = $this->job('demo-cider');
        $parts = array_column($state['facts']['parts'], 'id', 'name');
        $surfaces = array_column($state['facts']['surfaces'], 'id', 'name');
        $walk = [
            $parts['Flanged bush'].'.2',
            $parts['Flanged bush'].'.1',
            $parts['Housing'].'.0',
            $parts['Housing'].'.1',
        ];
        $built = $this->api('POST', '/api/jobs/demo-cider/faces', ['faces' => $walk], 200);
        self::assertTrue($built['closed'], (string) $built['missing']);
        self::assertSame('“Housing, right end” beyond “Flanged bush, right end”', $built['name']);
        self::assertSame(
            [[$surfaces['Length under the flange'], false], [$surfaces['Housing length'], true]],
            array_map(static fn (array $l): array => [$l['surface'], $l['opens']], $built['lengths']),
        );
        // Begun from the other end it is the other way round: how far the bush stands beyond the housing.
        $back = $this->api('POST', '/api/jobs/demo-cider/faces', ['faces' => array_reverse($walk)], 200);
        self::assertSame(
            [[$surfaces['Housing length'], false], [$surfaces['Length under the flange'], true]],
            array_map(static fn (array $l): array => [$l['surface'], $l['opens']], $back['lengths']),
        );
        $this->api('POST', '/api/jobs/demo-drill/faces', ['faces' => ['no-face']], 422);
    }

    /**
     * A rim of 7.52 in and a foot 3.82 in off leave 0.06 (by hand); 0.08 is wanted. With a rim of 7.4 it is 0.12 ±
     * √(0.01² + 0.02²) = 0.0224 and clears.
     */
    public function test_a_rim_beside_a_foot(): void
    {
        $state = $this->job('demo-drill');
        $rim = $state['answers']['clearances'][0];
        self::assertSame('0.0600', $rim['room']['in']);
        self::assertLessThan(0.5, $rim['chance']);
        self::assertSame('too-near', $rim['notes'][0]['code']);
        $after = $this->api(
            'PUT',
            "/api/jobs/demo-drill/clearances/{$rim['id']}",
            $this->change($state['version'], ['mover' => self::inch('7.4')]),
            200,
        )['answers']['clearances'][0];
        self::assertSame(['0.1200', 'clears'], [$after['room']['in'], $after['notes'][0]['code']]);
        self::assertSame([], $after['ways']);
        $empty = $this->api(
            'PUT',
            '/api/jobs/demo-drill/clearances/new-one',
            $this->change($state['version'] + 1, ['name' => 'Bolt head']),
            200,
        );
        self::assertStringContainsString(
            'how wide it is',
            array_column($empty['answers']['clearances'], null, 'id')['new-one']['blocked']['in'],
        );
        $this->api(
            'PUT',
            '/api/jobs/demo-drill/clearances/new-one',
            $this->change($state['version'] + 2, ['from_deg' => 2000]),
            422,
        );
        $this->api(
            'DELETE',
            '/api/jobs/demo-drill/clearances/new-one',
            ['version' => $state['version'] + 2, 'request' => 'd-1'],
            200,
        );
    }

    public function test_several_changes_are_tried_out_together(): void
    {
        $state = $this->job('demo-drill');
        $loop = array_column($state['facts']['loops'], null, 'name')['End float of the shaft'];
        $lengths = $loop['lengths'];
        $lengths[1]['size'] = self::inch('0.0600');
        $answers = $this->api(
            'POST',
            '/api/jobs/demo-drill/preview',
            [
                'changes' => [
                    ['list' => 'loops', 'thing' => $loop['id'], 'fact' => ['lengths' => $lengths]],
                    [
                        'list' => 'clearances',
                        'thing' => $state['facts']['clearances'][0]['id'],
                        'fact' => ['mover' => self::inch('7.4')],
                    ],
                ],
            ],
            200,
        )['answers'];
        self::assertSame('0.0095', array_column($answers['loops'], null, 'id')[$loop['id']]['closes_at']['in']);
        self::assertSame('0.1200', $answers['clearances'][0]['room']['in']);
        self::assertSame($state, $this->job('demo-drill'), 'nothing is stored');
        $this->api('POST', '/api/jobs/demo-drill/preview', ['changes' => []], 422);
        $this->api(
            'POST',
            '/api/jobs/demo-drill/preview',
            ['changes' => [['list' => 'loops', 'thing' => $loop['id'], 'fact' => ['lengths' => 'all']]]],
            422,
        );
    }

    /** What a way out offers to type, typed: the loop then closes, and the mistake asks for nothing more. */
    public function test_a_way_out_is_taken(): void
    {
        $state = $this->job('demo-grinder');
        $way = $state['answers']['mistakes'][0]['ways'][0];
        self::assertStringContainsString('0.0780 in of its reserve is left', $way['do']['in']);
        foreach ($way['changes'] as $i => $change) {
            $state = $this->api(
                'PUT',
                "/api/jobs/demo-grinder/{$change['list']}/{$change['thing']}",
                $this->change($state['version'], $change['fact']),
                200,
            );
        }
        self::assertSame('Nothing has to be done.', $state['answers']['mistakes'][0]['ways'][0]['do']['in']);
        self::assertSame(
            '0.0080',
            array_column($state['answers']['loops'], null, 'id')['demo-grinder-dial-free-on-its-shaft']['closes_at'][
                'in'
            ],
        );
    }

    /** A copy begins without the old one's mistakes, and its loops name its own surfaces. */
    public function test_copies_and_files(): void
    {
        $copy = $this->api('POST', '/api/jobs/demo-grinder/copy', ['id' => 'copy-1'], 201);
        self::assertSame([], $copy['facts']['mistakes']);
        $surfaces = array_column($copy['facts']['surfaces'], 'id');
        foreach ($copy['facts']['loops'] as $loop) {
            foreach ($loop['lengths'] as $length) {
                self::assertTrue($length['surface'] === null || in_array($length['surface'], $surfaces, true));
            }
        }
        $file = $this->get('/api/jobs/demo-grinder/file')->assertOk()->getContent();
        $again = $this->call(
            'POST',
            '/api/jobs/import',
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json'],
            (string) $file,
        )
            ->assertCreated()
            ->json();
        self::assertSame('wrong face', $again['facts']['mistakes'][0]['cause']);
        self::assertContains($again['facts']['mistakes'][0]['loop'], array_column($again['facts']['loops'], 'id'));
    }
}

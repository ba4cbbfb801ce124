<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\TakenOff;
use Database\Seeders\DemoShop;

/** Pieces of a batch over HTTP, what a shop keeps of its own, and what is learned of its cuts. */
final class BatchApiTest extends FeatureTestCase
{
    private int $request = 0;

    /** @return array<string, mixed> */
    private function state(string $job = 'demo-trolley'): array
    {
        return $this->api('GET', "/api/jobs/{$job}", null, 200);
    }

    /**
     * @param  array<string, mixed>|null  $fact
     * @return array<string, mixed>
     */
    private function changed(string $method, string $path, ?array $fact, int $status = 200): array
    {
        $this->request++;

        return $this->api($method, "/api/jobs/demo-trolley{$path}", [
            'version' => $this->state()['version'], 'request' => "b-{$this->request}", ...($fact === null ? [] : ['fact' => $fact]),
        ], $status);
    }

    public function test_the_batch_of_the_demo(): void
    {
        $this->seed(DemoShop::class);
        $state = $this->state();
        self::assertSame('5 of 6 good. 1 still to come.', $state['answers']['batch']['says']);
        $register = self::idOf($state, 'surfaces', 'Register');
        $cut = ['surface' => $register, 'phase' => 'only', 'dialled' => null, 'after' => ['typed' => '1.2499', 'unit' => 'in'], 'instrument' => 'outside-micrometer', 'at' => null, 'piece' => 6];
        $this->changed('PUT', '/cuts/c-6', $cut);
        $pieces = array_column($this->state()['answers']['batch']['pieces'], 'sizes', 'piece');
        self::assertSame('1.2499', $pieces[6][0]['size']['in']);
        $this->changed('PATCH', '', ['batch' => ['scrapped' => [6]]]);
        self::assertSame('scrap', $this->state()['answers']['batch']['pieces'][5]['state']);
        self::assertSame(6, $this->state()['facts']['batch']['piece'], 'the rest of it stays');
        $this->changed('POST', '/undo', null);
        self::assertNotSame('scrap', $this->state()['answers']['batch']['pieces'][5]['state']);
        // What makes no sense is named and nothing of it is stored.
        $before = $this->state();
        self::assertSame('batch.every', $this->changed('PATCH', '', ['batch' => ['every' => 0]], 422)['error']['field']);
        self::assertStringContainsString('piece', $this->changed('PUT', '/cuts/c-7', [...$cut, 'piece' => 0], 422)['error']['field']);
        // A joint whose mates are measured is not taken away under them.
        $joint = $before['facts']['joints'][0]['id'];
        $kept = $this->changed('DELETE', "/joints/{$joint}", null, 422);
        self::assertStringContainsString('mates measured for its batch', $kept['error']['message']);
        self::assertSame($before['version'], $this->state()['version']);
    }

    public function test_out_and_in_again_and_a_copy(): void
    {
        $this->seed(DemoShop::class);
        $file = (string) $this->send('GET', '/api/jobs/demo-trolley/file')->getContent();
        self::assertArrayNotHasKey('take_offs', json_decode($file, true)['shop'], 'of other jobs: not in the file of this one');
        $in = json_decode((string) $this->call('POST', '/api/jobs/import', [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], $file)->getContent(), true);
        self::assertNotSame('demo-trolley', $in['facts']['id']);
        self::assertSame($this->state()['answers']['batch']['mated'][0]['rows'], $in['answers']['batch']['mated'][0]['rows']);
        self::assertSame($in['facts']['joints'][0]['id'], $in['facts']['batch']['mates'][0]['joint'], 'renamed with its joint');
        $copy = $this->api('POST', '/api/jobs/demo-trolley/copy', ['id' => 'again'], 201);
        self::assertNull($copy['facts']['batch']);
        self::assertSame([], $copy['facts']['cuts']);
    }

    public function test_recipes_of_the_shop(): void
    {
        $recipe = ['id' => 'r1', 'name' => 'Our way', 'steps' => ['One', 'Two']];
        self::assertSame([], $this->api('GET', '/api/shop', null, 200)['recipes']);
        self::assertSame([$recipe], $this->api('PATCH', '/api/shop', ['recipes' => [$recipe]], 200)['recipes']);
        $wrong = $this->api('PATCH', '/api/shop', ['name' => 'Other', 'recipes' => [[...$recipe, 'name' => ' ']]], 422);
        self::assertSame('recipes.0.name', $wrong['error']['field']);
        $shop = $this->api('GET', '/api/shop', null, 200);
        self::assertSame([$recipe], $shop['recipes']);
        self::assertNotSame('Other', $shop['name'], 'half of a change is none');
        self::assertNotSame([], $this->api('GET', '/api/catalogue', null, 200)['usual_recipes']);
    }

    /** What is learned follows the log: a cut set aside says nothing any more, and what is forgotten stays so. */
    public function test_what_the_lathe_takes_off(): void
    {
        $this->seed(DemoShop::class);
        $ratios = static fn (): array => TakenOff::query()->where('job_id', 'demo-trolley')->get()->map->ratios->flatten()->all();
        self::assertCount(6, $ratios(), 'three cuts of the register, three of the journal');
        $cut = array_values(array_filter($this->state()['facts']['cuts'], static fn (array $c): bool => $c['dialled'] !== null))[0];
        $this->changed('PUT', "/cuts/{$cut['id']}", ['set_aside' => 'taken back']);
        self::assertCount(5, $ratios());
        $shop = $this->api('PATCH', '/api/shop', ['forget' => true], 200);
        self::assertSame([], $shop['learned']);
        // An old job that is written again does not bring them back.
        $this->changed('PUT', "/cuts/{$cut['id']}", ['set_aside' => null]);
        self::assertSame([], $ratios());
        self::assertSame([], $this->api('GET', '/api/shop', null, 200)['learned']);
    }

    /** Figures in the shop's own unit, or in the one they are typed with; what can't be read changes nothing. */
    public function test_figures_of_the_shop_as_typed(): void
    {
        $shop = $this->api('PATCH', '/api/shop', ['unit' => 'in', 'typed' => ['rough_cut_mm' => '0.02', 'press_n' => '2 tons']], 200);
        self::assertEqualsWithDelta(0.508, $shop['rough_cut_mm'], 1e-9);
        // NIST SP 811: the ton-force of 2240 lb is 9964.016 N.
        self::assertEqualsWithDelta(19928.03, $shop['press_n'], 0.01);
        self::assertSame(['0.02', '19.928 kN'], [$shop['in_fields']['rough_cut_mm'], $shop['in_fields']['press_n']]);
        self::assertEqualsWithDelta(0.5, $this->api('PATCH', '/api/shop', ['typed' => ['rough_cut_mm' => '0.5 mm']], 200)['rough_cut_mm'], 1e-9);
        foreach (['rough_cut_mm' => 'much', 'press_n' => '9 stone', 'name' => 'x', 'lathe_holds_mm' => '9'] as $field => $text) {
            $this->api('PATCH', '/api/shop', ['typed' => [$field => $text]], 422);
        }
        self::assertEqualsWithDelta(0.5, $this->api('GET', '/api/shop', null, 200)['rough_cut_mm'], 1e-9);
    }

    /** One's own shop is begun empty, and the demo comes back as it was. */
    public function test_from_the_demo_to_ones_own_and_back(): void
    {
        $this->seed(DemoShop::class);
        $demo = $this->api('GET', '/api/shop', null, 200);
        self::assertTrue($demo['demo']);
        $jobs = $this->api('GET', '/api/jobs', null, 200)['jobs'];
        foreach ([['name' => ' ', 'unit' => 'in'], ['name' => 'Mine', 'unit' => 'ell'], ['name' => 'Mine', 'unit' => 'mm', 'usual' => 'palace']] as $wrong) {
            $this->api('POST', '/api/shop/own', $wrong, 422);
        }
        self::assertCount(count($jobs), $this->api('GET', '/api/jobs', null, 200)['jobs'], 'what is refused moves nothing');
        $own = $this->api('POST', '/api/shop/own', ['name' => 'Mine', 'unit' => 'mm', 'usual' => 'shed'], 200);
        self::assertSame([false, true, 'Mine', 'mm', 3, []], [$own['demo'], $own['from_demo'], $own['name'], $own['unit'], count($own['machines']), $own['learned']]);
        self::assertSame([], $this->api('GET', '/api/jobs', null, 200)['jobs']);
        $this->api('POST', '/api/shop/own', ['name' => 'Again', 'unit' => 'mm'], 422);
        $back = $this->api('POST', '/api/shop/demo', [], 200);
        self::assertSame([$demo['name'], $demo['machines']], [$back['name'], $back['machines']]);
        self::assertSame(array_column($jobs, 'id'), array_column($this->api('GET', '/api/jobs', null, 200)['jobs'], 'id'));
        $this->api('POST', '/api/shop/demo', [], 422);
    }
}

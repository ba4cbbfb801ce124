<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Person;
use App\People\Role;
use App\People\Secrets;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;

/** People with names, PINs and parts in the shop, where other devices can reach it. */
final class PeopleTest extends FeatureTestCase
{
    private const PIN = '482915';

    protected function setUp(): void
    {
        parent::setUp();
        config(['shop.network' => true]);
    }

    private function person(Role $role, ?string $name = null): Person
    {
        $person = Person::query()->create([
            'id' => $role->value.($name === null ? '' : '-2'),
            'name' => $name ?? ucfirst($role->value),
            'role' => $role,
            'secret' => password_hash(self::PIN, PASSWORD_BCRYPT, ['cost' => 4]),
        ]);

        return $person;
    }

    private function signedIn(Role $role, ?string $name = null): Person
    {
        $person = $this->person($role, $name);
        $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN], 200);

        return $person;
    }

    private function job(): string
    {
        $this->api('POST', '/api/jobs', ['id' => 'job-1', 'kind' => 'plain-bush', 'machine' => 'Test rig', 'part' => 'Bush', 'unit' => 'mm'], 201);

        return 'job-1';
    }

    /** @return array{int, string} a surface's version and id */
    private function surface(string $job): array
    {
        $state = $this->api('GET', "/api/jobs/{$job}", null, 200);

        return [$state['version'], $state['facts']['surfaces'][0]['id']];
    }

    public function test_on_the_shops_own_machine_nobody_signs_in(): void
    {
        config(['shop.network' => false]);
        $me = $this->api('GET', '/api/me', null, 200);
        self::assertSame([false, null, ['look', 'work', 'answer', 'own']], [$me['signs_in'], $me['person'], $me['may']]);
        $response = $this->send('GET', '/api/jobs');
        self::assertSame([], $response->headers->getCookies());
        $this->api('POST', '/api/me', ['person' => 'x', 'secret' => 'y'], 422);
    }

    /** Every path of the API, as the routes have them: none is forgotten, whatever is added. */
    public function test_without_signing_in_nothing_is_read_or_written(): void
    {
        $open = ['api/me', 'api/me/secret'];
        $seen = 0;
        foreach (Route::getRoutes() as $route) {
            if (! str_starts_with($route->uri(), 'api/') || in_array($route->uri(), $open, true) || $route->isFallback || in_array($route->uri(), ['api/docs', 'api/contract.json'], true)) {
                continue;
            }
            $may = array_filter($route->gatherMiddleware(), static fn (mixed $m): bool => is_string($m) && str_starts_with($m, 'may:'));
            self::assertCount(1, $may, $route->uri().' says who may');
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $path = '/'.preg_replace('/\{\w+\}/', 'cuts', str_replace(['{number}', '{change}'], '1', $route->uri()));
                $response = $this->send($method, $path, $method === 'GET' ? null : []);
                self::assertSame(401, $response->getStatusCode(), "{$method} {$path}");
                self::assertSame('sign-in', $response->json('error.code'));
                $seen++;
            }
        }
        self::assertGreaterThan(60, $seen);
    }

    public function test_a_person_signs_in_and_out(): void
    {
        $person = $this->person(Role::Machinist);
        $me = $this->api('GET', '/api/me', null, 200);
        self::assertNull($me['person']);
        self::assertSame([['id' => 'machinist', 'name' => 'Machinist', 'chosen' => true]], $me['people']);
        $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => '000000'], 401);
        self::assertNull($this->api('GET', '/api/me', null, 200)['person']);
        $me = $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN], 200);
        self::assertSame(['id' => 'machinist', 'name' => 'Machinist', 'role' => 'machinist'], $me['person']);
        self::assertSame(['look', 'work', 'answer'], $me['may']);
        $this->api('GET', '/api/jobs', null, 200);
        $this->api('DELETE', '/api/me', null, 200);
        $this->api('GET', '/api/jobs', null, 401);
    }

    /** An answer that was asked for before somebody signed in, and comes after, must not put the old sitting in its place. */
    public function test_an_answer_does_not_carry_the_sitting_with_it(): void
    {
        $person = $this->person(Role::Machinist);
        self::assertSame(401, ($none = $this->send('GET', '/api/jobs'))->getStatusCode());
        self::assertSame([], $none->headers->getCookies());
        self::assertSame([], $this->send('GET', '/api/me')->headers->getCookies());
        self::assertCount(1, $this->send('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN])->headers->getCookies());
        foreach (['/api/jobs', '/api/me'] as $path) {
            self::assertSame([], $this->send('GET', $path)->headers->getCookies(), $path);
        }
        self::assertCount(1, $this->send('DELETE', '/api/me')->headers->getCookies());
    }

    public function test_the_cookie_is_for_this_host_and_this_page_alone(): void
    {
        $person = $this->person(Role::Machinist);
        $cookies = $this->send('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN])->headers->getCookies();
        self::assertCount(1, $cookies);
        self::assertSame('__Host-oldpart_fit', $cookies[0]->getName());
        self::assertTrue($cookies[0]->isSecure() && $cookies[0]->isHttpOnly());
        self::assertSame(['strict', '/', null], [$cookies[0]->getSameSite(), $cookies[0]->getPath(), $cookies[0]->getDomain()]);
        self::assertEqualsWithDelta(time() + 12 * 3600, $cookies[0]->getExpiresTime(), 5, 'as long as a sitting lasts at most');
    }

    public function test_no_proxy_or_disk_keeps_an_answer(): void
    {
        $this->signedIn(Role::Machinist);
        self::assertSame('no-store, private', $this->send('GET', '/api/jobs')->headers->get('Cache-Control'));
        self::assertSame('no-store, private', $this->send('GET', '/api/me')->headers->get('Cache-Control'));
    }

    public function test_the_log_keeps_no_secret(): void
    {
        $log = storage_path('logs/shop-'.date('Y-m-d').'.log');
        $before = is_file($log) ? (int) filesize($log) : 0;
        $person = $this->person(Role::Machinist);
        $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => 'wrong-and-secret'], 401);
        // A fault that is logged, with a secret in the body.
        \Illuminate\Support\Facades\Schema::drop('people');
        self::assertGreaterThanOrEqual(500, $this->send('POST', '/api/me', ['person' => 'x', 'secret' => 'another-secret'])->getStatusCode());
        clearstatcache();
        $written = is_file($log) ? (string) file_get_contents($log, offset: $before) : '';
        self::assertNotSame('', $written, 'the fault was not logged at all');
        self::assertStringNotContainsString('secret"', $written);
        self::assertStringNotContainsString('-secret', $written);
    }

    public function test_markup_in_a_name_is_a_name(): void
    {
        $this->signedIn(Role::Machinist, 'M<script>alert(1)</script>');
        $job = $this->job();
        [$version, $surface] = $this->surface($job);
        $this->api('PUT', "/api/jobs/{$job}/readings/r1", ['version' => $version, 'request' => 'r1', 'fact' => ['surface' => $surface, 'instrument' => 'calliper', 'value' => ['typed' => '30', 'unit' => 'mm'], 'part_c' => null, 'gauge_c' => null]], 200);
        $facts = app(\App\Bench\JobStore::class)->facts($job);
        $html = app(\App\Sheet\JobSheet::class)->html($facts, $facts->unit);
        self::assertStringContainsString('M&lt;script&gt;', $html);
        self::assertStringNotContainsString('<script>', $html);
    }

    /** Another session name after signing in: one that was slipped in before is worth nothing. */
    public function test_the_session_is_a_new_one_after_signing_in(): void
    {
        $person = $this->person(Role::Machinist);
        $this->send('GET', '/api/me');
        $before = app('session')->getId();
        $this->send('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN]);
        self::assertNotSame($before, app('session')->getId());
    }

    public function test_five_wrong_ones_lock_and_waiting_opens(): void
    {
        $person = $this->person(Role::Machinist);
        for ($i = 0; $i < 5; $i++) {
            $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => "00000{$i}"], 401);
        }
        $says = $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN], 429);
        self::assertSame('locked', $says['error']['code']);
        self::assertStringContainsString('5 minutes', $says['error']['message']);
        $this->travel(4)->minutes();
        $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN], 429);
        $this->travel(2)->minutes();
        // One more wrong one locks twice as long.
        $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => '111119'], 401);
        $this->travel(6)->minutes();
        $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN], 429);
        $this->travel(5)->minutes();
        $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN], 200);
        self::assertSame(0, $person->refresh()->misses);
    }

    public function test_a_device_that_guesses_is_slowed_whatever_the_name(): void
    {
        $this->person(Role::Machinist);
        for ($i = 0; $i < 20; $i++) {
            $this->api('POST', '/api/me', ['person' => "nobody-{$i}", 'secret' => 'x'], 401);
        }
        self::assertSame('too-fast', $this->api('POST', '/api/me', ['person' => 'machinist', 'secret' => self::PIN], 429)['error']['code']);
        $this->travel(61)->seconds();
        $this->api('POST', '/api/me', ['person' => 'machinist', 'secret' => self::PIN], 200);
    }

    public function test_a_code_chooses_a_pin_once_and_opens_a_lock(): void
    {
        $person = $this->person(Role::Machinist);
        $person->update(['misses' => 9, 'locked_until' => now()->addHour()->toIso8601ZuluString()]);
        $code = Secrets::code($person);
        self::assertStringNotContainsString($code, (string) json_encode($person->refresh()->getAttributes()));
        $this->api('POST', '/api/me/secret', ['person' => $person->id, 'code' => 'AAAAA-AAAAA', 'secret' => '739154'], 401);
        $typed = strtolower(str_replace('-', ' ', $code));
        $this->api('POST', '/api/me/secret', ['person' => $person->id, 'code' => $typed, 'secret' => '739154'], 200);
        $this->api('GET', '/api/jobs', null, 200);
        $this->api('POST', '/api/me/secret', ['person' => $person->id, 'code' => $code, 'secret' => '739155'], 401);
        $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN], 401);
        $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => '739154'], 200);
        $old = Secrets::code($person->refresh());
        $this->travel(8)->days();
        $this->api('POST', '/api/me/secret', ['person' => $person->id, 'code' => $old, 'secret' => '739156'], 401);
    }

    /** @return iterable<string, array{string}> */
    public static function weak(): iterable
    {
        foreach (['12345', '111111', '123456', '987654', 'abcdef', 'password', 'Machinist', 'machinist1', str_repeat('long ', 15)] as $secret) {
            yield $secret => [$secret];
        }
    }

    #[DataProvider('weak')]
    public function test_a_pin_that_is_guessed_first_is_refused(string $secret): void
    {
        $person = $this->person(Role::Machinist);
        $code = Secrets::code($person);
        $says = $this->api('POST', '/api/me/secret', ['person' => $person->id, 'code' => $code, 'secret' => $secret], 422);
        self::assertSame('secret', $says['error']['field']);
        // The code is not used up by it.
        $this->api('POST', '/api/me/secret', ['person' => $person->id, 'code' => $code, 'secret' => 'eleven brass keys'], 200);
    }

    /** As the server counts them: the device has its cookie for longer. */
    public function test_two_hours_without_a_touch(): void
    {
        $folder = sys_get_temp_dir().'/oldpart-fit-sittings-'.bin2hex(random_bytes(4));
        mkdir($folder);
        config(['session.driver' => 'file', 'session.files' => $folder]);
        $afresh = function (): void {
            app('session')->forgetDrivers();
            app()->forgetInstance('session.store');
            app('auth')->forgetGuards();
            clearstatcache();
        };
        try {
            $person = $this->person(Role::Machinist);
            $afresh();
            $cookie = $this->send('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN])->headers->getCookies()[0];
            foreach ([0 => 200, 119 => 200, 121 => 401] as $minutes => $status) {
                $files = glob("{$folder}/*") ?: [];
                self::assertCount(1, $files);
                touch($files[0], time() - 60 * $minutes);
                $afresh();
                $answer = $this->call('GET', '/api/jobs', cookies: [$cookie->getName() => (string) $cookie->getValue()]);
                self::assertSame($status, $answer->getStatusCode(), "after {$minutes} minutes");
            }
        } finally {
            array_map(unlink(...), glob("{$folder}/*") ?: []);
            rmdir($folder);
        }
    }

    public function test_a_sitting_ends(): void
    {
        $person = $this->signedIn(Role::Machinist);
        $this->api('GET', '/api/jobs', null, 200);
        // A shift later, though something was asked now and then.
        session(['since' => time() - 12 * 3600 - 1]);
        $this->api('GET', '/api/jobs', null, 401);
        $this->api('POST', '/api/me', ['person' => $person->id, 'secret' => self::PIN], 200);
        $this->api('GET', '/api/jobs', null, 200);
        session(['since' => time() - 5]);
        $person->refresh()->update(['sits_from' => time()]);
        $this->app?->make('auth')->forgetGuards();
        $this->api('GET', '/api/jobs', null, 401);
    }

    public function test_who_leaves_is_out_at_once_and_stays_in_the_record(): void
    {
        $this->signedIn(Role::Machinist);
        $this->job();
        Person::query()->whereKey('machinist')->update(['left_at' => now()->toIso8601ZuluString()]);
        $this->app?->make('auth')->forgetGuards();
        $this->api('GET', '/api/jobs', null, 401);
        $this->api('POST', '/api/me', ['person' => 'machinist', 'secret' => self::PIN], 401);
        self::assertSame([], $this->api('GET', '/api/me', null, 200)['people']);
    }

    public function test_a_looker_reads_and_reckons_and_changes_nothing(): void
    {
        $this->signedIn(Role::Machinist);
        $job = $this->job();
        $this->api('DELETE', '/api/me', null, 200);
        $this->signedIn(Role::Looker);
        [$version] = $this->surface($job);
        $this->api('POST', '/api/sums/length', ['text' => '30', 'unit' => 'mm'], 200);
        $this->api('PATCH', "/api/jobs/{$job}", ['version' => $version, 'request' => 'r1', 'fact' => ['machine' => 'Another']], 403);
        $this->api('POST', '/api/jobs', ['id' => 'job-2', 'kind' => 'plain-bush', 'machine' => 'x', 'part' => 'y', 'unit' => 'mm'], 403);
        $this->api('POST', "/api/jobs/{$job}/undo", ['version' => $version, 'request' => 'r2'], 403);
        self::assertSame('Test rig', $this->api('GET', "/api/jobs/{$job}", null, 200)['facts']['machine']);
    }

    public function test_an_apprentice_measures_but_does_not_accept_issue_or_delete(): void
    {
        $this->signedIn(Role::Apprentice);
        $job = $this->job();
        [$version, $surface] = $this->surface($job);
        $put = fn (int $version, string $list, string $id, array $fact, int $status): array => $this->api('PUT', "/api/jobs/{$job}/{$list}/{$id}", ['version' => $version, 'request' => "r-{$id}", 'fact' => $fact], $status);
        $state = $put($version, 'readings', 'reading-1', ['surface' => $surface, 'instrument' => 'calliper', 'value' => ['typed' => '30', 'unit' => 'mm'], 'part_c' => null, 'gauge_c' => null, 'by' => 'Somebody else'], 200);
        // By who is signed in, whatever the page says.
        self::assertSame('Apprentice', $state['facts']['readings'][0]['by']);
        $version = $state['version'];
        $says = $put($version, 'concessions', 'c-1', ['surface' => $surface, 'decision' => 'accepted', 'by' => 'The owner', 'why' => 'it will do'], 403);
        self::assertSame('not-yours', $says['error']['code']);
        $this->api('DELETE', "/api/jobs/{$job}/surfaces/{$surface}", ['version' => $version, 'request' => 'd-1'], 403);
        $this->api('POST', "/api/jobs/{$job}/changes", ['version' => $version, 'request' => 'l-1', 'changes' => [['list' => 'surfaces', 'thing' => $surface, 'fact' => null]]], 403);
        $this->api('PATCH', "/api/jobs/{$job}", ['version' => $version, 'request' => 'a-1', 'fact' => ['take_in' => ['acceptances' => [['by' => 'The owner', 'capacity' => '', 'at' => null, 'gates' => ['lifting']]]]]], 403);
        $this->api('POST', "/api/jobs/{$job}/issues", ['by' => 'The owner'], 403);
        $this->api('PUT', "/api/jobs/{$job}/shelf", ['shelf' => 'bin'], 403);
        $this->api('PUT', "/api/jobs/{$job}/shelf", ['shelf' => 'archive'], 200);
        $this->api('PATCH', '/api/shop', ['name' => 'Mine'], 403);
        $this->api('GET', '/api/people', null, 403);
        $this->api('GET', '/api/backups', null, 403);
        self::assertSame($version, $this->surface($job)[0]);
    }

    public function test_what_somebody_answers_for_carries_their_name(): void
    {
        $this->signedIn(Role::Machinist);
        $job = $this->job();
        [$version, $surface] = $this->surface($job);
        $state = $this->api('PUT', "/api/jobs/{$job}/concessions/c-1", ['version' => $version, 'request' => 'r1', 'fact' => ['surface' => $surface, 'decision' => 'accepted', 'by' => 'Somebody else', 'why' => 'it will do']], 200);
        self::assertSame('Machinist', $state['facts']['concessions'][0]['by']);
        $state = $this->api('PATCH', "/api/jobs/{$job}", ['version' => $state['version'], 'request' => 'r2', 'fact' => ['take_in' => ['gates' => ['lifting'], 'acceptances' => [['by' => 'Somebody else', 'capacity' => 'fitter', 'at' => null, 'gates' => ['lifting']]]]]], 200);
        self::assertSame('Machinist', $state['facts']['take_in']['acceptances'][0]['by']);
        self::assertSame('Machinist', $this->api('POST', "/api/jobs/{$job}/issues", ['by' => 'Somebody else'], 201)['by']);
        $rows = $this->api('GET', "/api/jobs/{$job}/history", null, 200)['rows'];
        self::assertSame(['Machinist', 'Machinist'], array_column($rows, 'by'));
    }

    public function test_nobody_takes_back_what_another_did(): void
    {
        $this->signedIn(Role::Machinist);
        $job = $this->job();
        [$version] = $this->surface($job);
        $state = $this->api('PATCH', "/api/jobs/{$job}", ['version' => $version, 'request' => 'r1', 'fact' => ['machine' => 'Old pump']], 200);
        $this->api('DELETE', '/api/me', null, 200);
        $this->signedIn(Role::Apprentice);
        $this->api('POST', "/api/jobs/{$job}/undo", ['version' => $state['version'], 'request' => 'u1'], 422);
        $rows = $this->api('GET', "/api/jobs/{$job}/history", null, 200)['rows'];
        self::assertSame([false], array_column($rows, 'here'));
        $this->api('DELETE', '/api/me', null, 200);
        $this->api('POST', '/api/me', ['person' => 'machinist', 'secret' => self::PIN], 200);
        $back = $this->api('POST', "/api/jobs/{$job}/undo", ['version' => $state['version'], 'request' => 'u2'], 200);
        self::assertSame('Test rig', $back['facts']['machine']);
    }

    /** A page that was opened by one must not write under the name of another. */
    public function test_a_page_of_somebody_else_is_refused(): void
    {
        $this->signedIn(Role::Machinist);
        $response = $this->call('GET', '/api/jobs', [], [], [], ['HTTP_ACCEPT' => 'application/json', 'HTTP_X_PERSON' => 'apprentice']);
        self::assertSame([401, 'somebody-else'], [$response->getStatusCode(), $response->json('error.code')]);
        $this->call('GET', '/api/jobs', [], [], [], ['HTTP_ACCEPT' => 'application/json', 'HTTP_X_PERSON' => 'machinist'])->assertOk();
    }

    public function test_the_owner_lets_people_in_and_a_shop_keeps_an_owner(): void
    {
        $this->signedIn(Role::Owner);
        $new = $this->api('PUT', '/api/people/p-1', ['name' => 'Bench two', 'role' => 'apprentice'], 200);
        self::assertMatchesRegularExpression('/^[A-Z2-9]{5}-[A-Z2-9]{5}$/', $new['code']);
        self::assertSame([false, true], [$new['person']['chosen'], $new['person']['code_open']]);
        $this->api('PUT', '/api/people/p-2', ['name' => 'bench TWO'], 422);
        $this->api('PUT', '/api/people/p-2', ['name' => '  '], 422);
        self::assertNull($this->api('PUT', '/api/people/p-1', ['role' => 'machinist'], 200)['code']);
        $this->api('PUT', '/api/people/owner', ['role' => 'machinist'], 422);
        $this->api('PUT', '/api/people/owner', ['left' => true], 422);
        $again = $this->api('POST', '/api/people/p-1/code', [], 200);
        self::assertNotSame($new['code'], $again['code']);
        $this->api('POST', '/api/people/nobody/code', [], 404);
        $left = $this->api('PUT', '/api/people/p-1', ['left' => true], 200);
        self::assertNotNull($left['person']['left_at']);
        self::assertCount(2, $this->api('GET', '/api/people', null, 200)['people']);
        self::assertStringNotContainsString('secret', (string) json_encode($this->api('GET', '/api/people', null, 200)));
    }
}

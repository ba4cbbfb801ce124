<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Database\Seeders\DatabaseSeeder;
use Database\Seeders\DemoShop;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Testing\TestResponse;

/** Every answer of the API is held against the contract. */
abstract class FeatureTestCase extends TestCase
{
    use RefreshDatabase;

    private static ?Contract $contract = null;

    private int $requests = 0;

    /** The state a browser says it knows; what did not change since is not sent to it again. */
    protected ?string $known = null;

    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require __DIR__.'/../../bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    /** @var array<string, list<array<string, mixed>>>|null what the demo puts into a shop, by table */
    private static ?array $demo = null;

    /** The demo is reckoned once for all tests, then copied into each of their shops. */
    public function seed($class = DatabaseSeeder::class): static
    {
        if ($class !== DemoShop::class || Job::query()->exists()) {
            return parent::seed($class);
        }
        if (self::$demo === null) {
            parent::seed($class);
            foreach (array_diff(array_column(Schema::getTables(), 'name'), ['migrations']) as $table) {
                self::$demo[$table] = DB::table($table)->get()->map(static fn (object $row): array => (array) $row)->all();
            }

            return $this;
        }
        DB::transaction(static function (): void {
            DB::statement('PRAGMA defer_foreign_keys = ON');
            foreach (self::$demo ?? [] as $table => $rows) {
                DB::table($table)->delete();
                foreach (array_chunk($rows, 200) as $some) {
                    DB::table($table)->insert($some);
                }
            }
        });

        return $this;
    }

    /**
     * @param  array<string, mixed>|string|null  $body
     * @return array<string, mixed>
     */
    protected function api(string $method, string $path, array|string|null $body, int $status): array
    {
        $response = $this->send($method, $path, $body);
        $content = (string) $response->getContent();
        self::assertSame($status, $response->getStatusCode(), substr($content, 0, 600));
        self::$contract ??= new Contract(base_path());
        self::assertNull(
            self::$contract->wrong($method, (string) parse_url($path, PHP_URL_PATH), $status, $content),
            "{$method} {$path}",
        );
        self::assertStringNotContainsString('Stack trace', $content);
        self::assertStringNotContainsString('.php', $content);

        return json_decode($content, true) ?? [];
    }

    /** @param  array<string, mixed>|string|null  $body */
    protected function send(string $method, string $path, array|string|null $body = null): TestResponse
    {
        $text = is_array($body) ? (string) json_encode($body === [] ? new \stdClass() : $body) : (string) $body;

        return $this->call(
            $method,
            $path,
            [],
            [],
            [],
            [
                'CONTENT_TYPE' => str_contains($path, '/pictures/') ? 'image/jpeg' : 'application/json',
                'HTTP_ACCEPT' => 'application/json',
                ...$this->known === null ? [] : ['HTTP_X_KNOWN' => $this->known],
            ],
            $text,
        );
    }

    /**
     * @param  array<string, mixed>  $extra
     * @return array<string, mixed> the body of a change
     */
    protected function change(int $version, array $extra): array
    {
        return ['version' => $version, 'request' => 'r-'.++$this->requests.'-'.$this->name(), 'fact' => $extra];
    }

    /** @return array<string, mixed> */
    protected function startJob(string $id = 'job-1', string $kind = 'plain-bush'): array
    {
        return $this->api(
            'POST',
            '/api/jobs',
            ['id' => $id, 'kind' => $kind, 'machine' => 'Test rig', 'part' => 'Bush', 'unit' => 'in'],
            201,
        );
    }

    /** @param  array<string, mixed>  $state */
    protected static function idOf(array $state, string $list, string $name): string
    {
        return array_column($state['facts'][$list], 'id', 'name')[$name];
    }
}

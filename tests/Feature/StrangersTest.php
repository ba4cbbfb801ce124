<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Illuminate\Http\Request;
use PHPUnit\Framework\Attributes\DataProvider;

/** Case 18 of an outside audit: no other page may change anything in the shop. */
final class StrangersTest extends FeatureTestCase
{
    private const BODY = '{"id":"job-1","kind":"plain-bush","machine":"Test rig","part":"Bush","unit":"in"}';

    /** @return iterable<string, array{array<string, string>, int, string}> */
    public static function strangers(): iterable
    {
        yield 'plain text from another page' => [
            ['CONTENT_TYPE' => 'text/plain', 'HTTP_ORIGIN' => 'http://evil.example'],
            403,
            'from-elsewhere',
        ];
        yield 'plain text that says no origin' => [['CONTENT_TYPE' => 'text/plain'], 415, 'not-json'];
        yield 'a form' => [['CONTENT_TYPE' => 'application/x-www-form-urlencoded'], 415, 'not-json'];
        yield 'JSON from another page' => [
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ORIGIN' => 'http://evil.example'],
            403,
            'from-elsewhere',
        ];
        yield 'JSON from another port of this machine' => [
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ORIGIN' => 'http://localhost:9999'],
            403,
            'from-elsewhere',
        ];
        yield 'a page in a frame without an origin' => [
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ORIGIN' => 'null'],
            403,
            'from-elsewhere',
        ];
        yield 'a browser that says it is another site' => [
            ['CONTENT_TYPE' => 'application/json', 'HTTP_SEC_FETCH_SITE' => 'cross-site'],
            403,
            'from-elsewhere',
        ];
        yield 'another port of the same name' => [
            ['CONTENT_TYPE' => 'application/json', 'HTTP_SEC_FETCH_SITE' => 'same-site'],
            403,
            'from-elsewhere',
        ];
        yield 'a name that was pointed here' => [
            ['CONTENT_TYPE' => 'application/json', 'HTTP_HOST' => 'evil.example'],
            421,
            'unknown-host',
        ];
    }

    /** @param  array<string, string>  $headers */
    #[DataProvider('strangers')]
    public function test_18_a_stranger_changes_nothing(array $headers, int $status, string $code): void
    {
        $host = $headers['HTTP_HOST'] ?? 'localhost';
        $response = $this->call(
            'POST',
            "http://{$host}/api/jobs",
            [],
            [],
            [],
            [...$headers, 'HTTP_ACCEPT' => 'application/json'],
            self::BODY,
        );
        self::assertSame($status, $response->getStatusCode(), substr((string) $response->getContent(), 0, 300));
        self::assertSame($code, json_decode((string) $response->getContent(), true)['error']['code']);
        self::assertSame(0, Job::query()->count());
    }

    public function test_18_the_shops_own_pages_may(): void
    {
        $response = $this->call(
            'POST',
            'http://localhost/api/jobs',
            [],
            [],
            [],
            [
                'CONTENT_TYPE' => 'application/json; charset=utf-8',
                'HTTP_ORIGIN' => 'http://localhost',
                'HTTP_SEC_FETCH_SITE' => 'same-origin',
            ],
            self::BODY,
        );
        self::assertSame(201, $response->getStatusCode());
        config(['shop.hosts' => 'bench.lan, shed.lan']);
        $named = $this->call(
            'POST',
            'http://Bench.lan:8080/api/jobs',
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ORIGIN' => 'http://bench.lan:8080'],
            str_replace('job-1', 'job-2', self::BODY),
        );
        self::assertSame(201, $named->getStatusCode(), 'a name the shop was given');
    }

    /** A name that points elsewhere is not even read from. */
    public function test_18_no_reading_under_another_name(): void
    {
        self::assertSame(421, $this->call('GET', 'http://evil.example/api/jobs')->getStatusCode());
        self::assertSame(421, $this->call('GET', 'http://127.0.0.1.evil.example/')->getStatusCode());
    }

    /**
     * The front door switches the override off; here the same switch is tried on a request that asks for another
     * method.
     */
    public function test_18_no_header_makes_another_method_of_it(): void
    {
        self::assertStringContainsString(
            'setAllowedHttpMethodOverride([])',
            (string) file_get_contents(base_path('public/index.php')),
        );
        Request::setAllowedHttpMethodOverride([]);
        try {
            $request = Request::create('/api/jobs/job-1', 'POST', ['_method' => 'DELETE']);
            $request->headers->set('X-HTTP-METHOD-OVERRIDE', 'DELETE');
            self::assertSame('POST', $request->getMethod());
        } finally {
            Request::setAllowedHttpMethodOverride(null);
        }
    }

    public function test_18_the_usual_headers_and_no_session(): void
    {
        $page = $this->get('/');
        $policy = (string) $page->headers->get('Content-Security-Policy');
        self::assertStringContainsString("default-src 'none'", $policy);
        self::assertStringNotContainsString('unsafe', $policy);
        self::assertSame(1, preg_match("/script-src 'self' 'nonce-([^']+)'/", $policy, $m));
        self::assertStringContainsString($m[1] ?? '-', (string) $page->getContent(), 'the page carries the same nonce');
        self::assertSame('nosniff', $page->headers->get('X-Content-Type-Options'));
        self::assertSame('DENY', $page->headers->get('X-Frame-Options'));
        self::assertSame([], $page->headers->getCookies(), 'no session, no cookie');
        self::assertFalse($page->headers->has('X-Powered-By'));
        $second = (string) $this->get('/')->headers->get('Content-Security-Policy');
        self::assertNotSame($policy, $second, 'a fresh nonce each time');
        self::assertStringContainsString(
            "default-src 'none'",
            (string) $this->get('/api/shop')->headers->get('Content-Security-Policy'),
        );
    }
}

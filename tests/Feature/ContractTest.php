<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/** The contract check itself: it must be able to fail. */
final class ContractTest extends TestCase
{
    public function test_it_notices_what_is_not_in_the_contract(): void
    {
        $contract = new Contract(dirname(__DIR__, 2));
        $shop = [
            'name' => 'S',
            'temperature_c' => 20,
            'lathe_holds_mm' => 0.01,
            'rough_cut_mm' => 0.5,
            'press_n' => 1,
            'rate_per_h' => 40,
            'currency' => '€',
            'shims' => '', 'taps' => '', 'dies' => '', 'drills' => '', 'reamers' => '', 'tool_unit' => 'in', 'machines' => [], 'recipes' => [], 'learned' => [], 'polishes_last' => false, 'demo' => false, 'from_demo' => false, 'in_fields' => ['lathe_holds_mm' => '0.01', 'rough_cut_mm' => '0.5', 'press_n' => '1 N'],
            'unit' => 'in',
        ];
        self::assertNull($contract->wrong('GET', '/api/shop', 200, (string) json_encode($shop)));
        self::assertNotNull($contract->wrong('GET', '/api/shop', 200, '{}'));
        self::assertNotNull(
            $contract->wrong('GET', '/api/shop', 200, (string) json_encode([...$shop, 'unit' => 'ell'])),
        );
        self::assertNotNull($contract->wrong('GET', '/api/shop', 200, (string) json_encode([...$shop, 'more' => 1])));
        self::assertNotNull($contract->wrong('GET', '/api/shop', 418, (string) json_encode($shop)));
        self::assertNotNull($contract->wrong('GET', '/api/elsewhere', 200, '{}'));
        self::assertNotNull($contract->wrong('GET', '/api/jobs/x', 200, '{"version":1}'));
        self::assertNotNull($contract->wrong('PUT', '/api/jobs/x/readings/y', 422, '{"error":{"code":"c"}}'));
    }
}

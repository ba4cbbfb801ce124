<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Exchange\OlderJobFile;
use PHPUnit\Framework\TestCase;

/** What files of before said otherwise. */
final class OlderJobFileTest extends TestCase
{
    private static function job(string $json): \stdClass
    {
        $job = json_decode($json);
        assert($job instanceof \stdClass);
        $job->version = 1;

        return OlderJobFile::upgraded($job);
    }

    /** Who accepted it stands with what was accepted; nobody is nobody. */
    public function test_who_accepted(): void
    {
        $by = static fn (string $name): array => self::job(
            json_encode(['take_in' => ['accepted_by' => $name, 'gates' => ['pressure']]], JSON_THROW_ON_ERROR),
        )->take_in->acceptances;
        self::assertSame(['the bench', ['pressure']], [$by('the bench')[0]->by, $by('the bench')[0]->gates]);
        self::assertSame([], $by(' '));
        self::assertSame([], self::job('{"take_in": {}}')->take_in->acceptances);
        self::assertObjectNotHasProperty('accepted_by', self::job('{"take_in": {"accepted_by": "x"}}')->take_in);
    }

    /** A shop without a rate takes forty an hour, and one that has one keeps it. */
    public function test_the_shop(): void
    {
        self::assertSame(40.0, self::job('{}')->shop->rate_per_h);
        self::assertSame(55, self::job('{"shop": {"rate_per_h": 55}}')->shop->rate_per_h);
    }

    /** A role of today stays; one in words of its own is left open. */
    public function test_roles(): void
    {
        $role = static fn (string $role): mixed => self::job(
            json_encode(['surfaces' => [['role' => $role]]], JSON_THROW_ON_ERROR),
        )->surfaces[0]->role;
        self::assertSame('turns', $role('turns'));
        self::assertNull($role('holds the oil, sort of'));
    }
}

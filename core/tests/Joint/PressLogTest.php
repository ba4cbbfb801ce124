<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Joint;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Catalogue\Friction;
use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Exchange\JobFile;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Joint\PressLog;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Tests\Evaluate\SampleJob;
use PHPUnit\Framework\TestCase;

/** The force of the press as it goes in, and the one try hot or cold rehearsed. */
final class PressLogTest extends TestCase
{
    /**
     * Shigley's joint, 50 in 100 steel, 30 to 50 µm, friction 0.1 to 0.15, 40 long: p 46.6 to 77.6 MPa, F 29.3 to 73.2
     * kN at full depth (statics).
     */
    private static function log(): PressLog
    {
        $steel = new Material('steel', 'steel', 207, 0.29, 11.7e-6, 350, 420, false);

        return new PressLog(
            Press::of(
                new PressFit(50, 0, 100, 40, new Range(0.03, 0.05), $steel, $steel, new Friction(0.1, 0.15, 'by hand')),
            ),
        );
    }

    public function test_what_is_to_be_expected_at_a_depth(): void
    {
        // The gauge may be off by a tenth either way.
        $full = self::log()->expectedN(40);
        self::assertEqualsWithDelta([0.9 * 29264, 1.1 * 73160], [$full->min, $full->max], 60);
        $half = self::log()->expectedN(20);
        self::assertEqualsWithDelta([$full->min / 2, $full->max / 2], [$half->min, $half->max], 1e-6);
        self::assertSame(
            ['inside', 'over', 'under', 'early', 'over'],
            [
                self::log()->verdict(20, 25000),
                self::log()->verdict(20, 45000),
                self::log()->verdict(20, 9000),
                self::log()->verdict(2, 100),
                self::log()->verdict(2, 9000),
            ],
        );
        $this->expectException(BadInput::class);
        self::log()->expectedN(-1);
    }

    /**
     * The force of an interference of 40 µm, turned round, gives a range that holds 40 µm, whatever the friction
     * between was.
     */
    public function test_what_the_force_tells(): void
    {
        foreach ([0.1, 0.12, 0.15] as $friction) {
            // p = 77.625 MPa at 50 µm, so 62.1 at 40.
            $force = $friction * 62.1 * M_PI * 50 * 30;
            $implied = self::log()->impliedMm(30, $force);
            self::assertLessThanOrEqual(0.04, $implied?->min);
            self::assertGreaterThanOrEqual(0.04, $implied?->max);
        }
        self::assertNull(self::log()->impliedMm(2, 100));
    }

    private static function job(): SampleJob
    {
        $job = SampleJob::measured();
        $job->facts['shop']['press_n'] = 30000.0;

        return $job;
    }

    /** @return array<string, mixed> */
    private static function assembly(JobFacts $facts): array
    {
        return json_decode(
            json_encode(JobAnswers::of($facts)->jsonSerialize()['assembly'], JSON_THROW_ON_ERROR),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );
    }

    public function test_a_force_that_jumps_says_stop(): void
    {
        $job = self::job();
        $joint = $job->facts['joints'][0]['id'];
        $push = static fn (string $id, string $depth, float $force): array => [
            'id' => $id,
            'joint' => $joint,
            'depth' => ['typed' => $depth, 'unit' => 'mm'],
            'force_n' => $force,
            'at' => null,
        ];
        $job->facts['pushes'] = [$push('p1', '10', 1500.0)];
        $pressing = self::assembly($job->build())['pressing'];
        self::assertSame('inside', $pressing['rows'][0]['verdict']);
        self::assertSame(['force-tells'], array_column($pressing['notes'], 'code'));
        $job->facts['pushes'][] = $push('p2', '15', 9000.0);
        $pressing = self::assembly($job->build())['pressing'];
        self::assertSame('over', $pressing['rows'][1]['verdict']);
        self::assertSame('force-jumped', $pressing['notes'][0]['code']);
        self::assertSame('stop', $pressing['notes'][0]['severity']);
        // It goes into the file and back; a force of a joint that is not there is refused.
        $text = JobFile::write($job->build());
        self::assertSame($text, JobFile::write(JobFile::read($text)));
        $job->facts['pushes'][] = [...$push('p3', '1', 1.0), 'joint' => 'none'];
        $this->expectException(BadInput::class);
        $job->build();
    }

    /**
     * By hand for 30 mm, 35 µm at most, iron at 220 °C over bronze at 20: 10.5e-6 · 30 · 200 = 63 µm, 28 open; the room
     * wanted is 30. Frozen to
     * −18 °C the bronze gives 18e-6 · 30 · 38 less a twenty-fifth, 19.6 µm more. Cold iron does not let it in at all.
     */
    public function test_the_one_try_rehearsed(): void
    {
        $at = static function (?float $outer, ?float $inner): array {
            $job = self::job()->joint('Bush in housing', ['outer_c' => $outer, 'inner_c' => $inner]);

            return self::assembly($job->build())['rehearsal'];
        };
        $codes = static fn (array $r): array => array_column($r['notes'], 'code');
        $hot = $at(220.0, null);
        self::assertSame('0.028 mm open', $hot['gap']['mm']);
        self::assertFalse($hot['enough']);
        self::assertContains('tight-drop', $codes($hot));
        self::assertGreaterThan(0, $hot['seconds']);
        self::assertLessThan($hot['seconds'], $hot['no_return']);
        $frozen = $at(220.0, -18.0);
        self::assertSame('0.048 mm open', $frozen['gap']['mm']);
        self::assertTrue($frozen['enough']);
        self::assertGreaterThan($hot['seconds'], $frozen['seconds']);
        $cold = $at(null, null);
        self::assertContains('does-not-go-in', $codes($cold));
        self::assertSame(0, (int) $cold['seconds']);
        self::assertContains('outer-too-hot', $codes($at(400.0, null)));
        self::assertSame([], $cold['cautions']);
        self::assertNotSame([], $hot['cautions']);
        self::assertContains('cold-air', array_column($at(null, -78.0)['cautions'], 'code'));
    }

    /** When it was begun is kept, so that the clock goes on over a reload. */
    public function test_the_clock_is_a_fact(): void
    {
        $job = self::job()->joint('Bush in housing', ['outer_c' => 220.0]);
        $job->facts['ticks'][] = [
            'id' => 't',
            'code' => 'go:'.$job->facts['joints'][0]['id'],
            'at' => '2026-11-25T03:00:00Z',
            'remark' => null,
        ];
        self::assertSame('2026-11-25T03:00:00Z', self::assembly($job->build())['rehearsal']['started_at']);
    }
}

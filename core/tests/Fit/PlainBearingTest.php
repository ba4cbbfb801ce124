<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Fit\PlainBearing;
use Oldpart\Core\Tests\Evaluate\SampleJob;
use PHPUnit\Framework\TestCase;

final class PlainBearingTest extends TestCase
{
    /** By hand, from p = F/(dL) and v = πdn: 1500 N on 25 × 30 mm is 2 MPa; at 400 rev/min 0.5236 m/s, p·v 1.047. */
    public function test_pressure_speed_and_their_product(): void
    {
        $bearing = PlainBearing::of(25, 30, 1500, 400, 'leaded tin bronze (bearing)');
        self::assertEqualsWithDelta(
            [2.0, 0.5236, 1.0472, 1.2],
            [$bearing->pressureMpa, $bearing->speedMs, $bearing->pv, $bearing->ratio],
            1e-4,
        );
        self::assertSame(['oil-groove'], self::codes($bearing));
        self::assertNull(PlainBearing::of(25, 30, 1500, null, null)->pv);
    }

    /**
     * The pv limit of oil-filled sintered bronze is 50 000 psi·ft/min (makers' handbooks, from memory): 50 000 ×
     * 0.006894757 MPa × 0.3048/60 m/s = 1.751 MPa·m/s; of acetal and nylon 3000, 0.105. Just under it stands, over it
     * does not.
     */
    public function test_limits_of_handbooks(): void
    {
        foreach (['sintered bronze, oil-filled' => 50000, 'acetal' => 3000, 'nylon' => 3000] as $material => $pv) {
            $limit = PlainBearing::of(20, 20, 1, 1, $material)->limits['pv'] ?? 0.0;
            self::assertEqualsWithDelta(($pv * 0.006894757 * 0.3048) / 60, $limit, 0.06 * $limit, $material);
            // p·v = F/(dL) · πdn/60000: F for a given product at 1000 rev/min.
            $force = static fn (float $share): float => ($share * $limit * 400) / ((M_PI * 20 * 1000) / 60000);
            self::assertNotContains(
                'bearing-overloaded',
                self::codes(PlainBearing::of(20, 20, $force(0.99), 1000, $material)),
            );
            self::assertContains(
                'bearing-overloaded',
                self::codes(PlainBearing::of(20, 20, $force(1.01), 1000, $material)),
            );
        }
    }

    /** 0.8 to 1.5 times its diameter is advised (common practice); both ends belong to it. */
    public function test_lengths_that_are_advised(): void
    {
        foreach ([[16.0, true], [15.9, false], [30.0, true], [30.1, false]] as [$long, $good]) {
            $codes = self::codes(PlainBearing::of(20, $long, 1, 1, 'nylon'));
            self::assertSame($good, ! in_array('bearing-length', $codes, true), (string) $long);
        }
    }

    public function test_length_and_what_is_not_known(): void
    {
        self::assertContains('bearing-length', self::codes(PlainBearing::of(20, 10, 1, 1, 'nylon')));
        self::assertContains('bearing-length', self::codes(PlainBearing::of(20, 40, 1, 1, 'nylon')));
        self::assertContains('limits-unknown', self::codes(PlainBearing::of(20, 20, 1, 1, 'hardwood')));
        foreach (
            [
                [0.0, 1.0, 1.0, 1.0],
                [1.0, -1.0, 1.0, 1.0],
                [1.0, 1.0, -1.0, 1.0],
                [1.0, 1.0, 1.0, -1.0],
                [1.0, 1.0, NAN, 1.0],
            ] as [$d, $l, $f, $n]
        ) {
            try {
                PlainBearing::of($d, $l, $f, $n, null);
                self::fail('taken');
            } catch (BadInput $bad) {
                self::assertNotSame('', $bad->field);
            }
        }
    }

    /** In a job: 22 mm journal along a 40 mm housing, 880 N is 1 MPa. */
    public function test_in_a_job(): void
    {
        $job = SampleJob::measured()->joint('Shaft in bush', ['load_n' => 880.0, 'speed_rpm' => 200.0]);
        $shown = json_decode(
            json_encode(JobAnswers::of($job->build())->jointAnswers, JSON_THROW_ON_ERROR),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );
        $plain = array_column(array_column($shown, 'help'), 'plain')[1] ?? $shown[1]['help']['plain'];
        self::assertSame('1 MPa', $plain['tiles'][0]['value']['mm']);
        self::assertSame(['good', 'good', 'good'], array_column(array_slice($plain['tiles'], 0, 3), 'tone'));
        self::assertFalse($shown[0]['help']['runs']);
    }

    /** @return list<string> */
    private static function codes(PlainBearing $bearing): array
    {
        return array_map(static fn (Note $n): string => $n->code, $bearing->notes);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Answer\JobAnswers;
use Oldpart\Core\Answer\SurfaceAnswer;
use Oldpart\Core\Evaluate\Found\JudgedSurface;
use PHPUnit\Framework\TestCase;

/** What a surface's readings ask of the person: wait, mend, look again. */
final class CoolDownTest extends TestCase
{
    private static function journal(SampleJob $job): JudgedSurface
    {
        foreach (JobAnswers::of($job->build())->surfaces as $surface) {
            if ($surface->surface->name === 'Shaft journal') {
                return $surface;
            }
        }
        self::fail('no journal');
    }

    /**
     * A solid 30 mm lump as long as thick: V/A = 30/6 = 5 mm; τ = 7850 · 480 · 0.005 / 10 = 1884 s (worked by hand).
     */
    public function test_a_warm_reading_says_when_it_is_cool(): void
    {
        $job = (new SampleJob())
            ->answered()
            ->materials()
            ->read('Shaft journal', '30', 'outside-micrometer', 'middle', '0', 60.0);
        $job->facts['readings'][0]['taken_at'] = '2026-11-24T10:00:00+01:00';
        $cooling = self::journal($job)->coolDown;
        self::assertNotNull($cooling);
        self::assertEqualsWithDelta(1884, $cooling->cooling->timeConstantS, 2);
        // 11.5e-6 · 30 · 40 = 0.0138 mm off, to within 0.002: τ ln 6.9 = 3639 s after 09:00 UTC.
        self::assertSame('2026-11-24T10:00', substr((string) $cooling->readyAt(), 0, 16));
        $job->read('Shaft journal', '29.99', 'outside-micrometer', 'middle', '0');
        self::assertNull(self::journal($job)->coolDown, 'read cold since');
    }

    public function test_a_slip_is_mended_with_what_one_tap_would_store(): void
    {
        $job = (new SampleJob())->answered()->materials();
        foreach (['22.001', '22.000', '21.999', '0.8661'] as $i => $typed) {
            $job->read(
                'Shaft journal',
                $typed,
                'outside-micrometer',
                ['near end', 'middle', 'far end', 'far end'][$i],
                $i === 3 ? '90' : '0',
            );
        }
        $slips = json_decode((string) json_encode(new SurfaceAnswer(self::journal($job))), true)['slips'];
        self::assertCount(1, $slips);
        self::assertSame(['typed' => '0.8661', 'unit' => 'in'], $slips[0]['mend']);
        $job->facts['readings'][3]['value'] = ['typed' => '22.500', 'unit' => 'mm'];
        $turn = json_decode((string) json_encode(new SurfaceAnswer(self::journal($job))), true)['slips'];
        self::assertSame(['typed' => '22.000', 'unit' => 'mm'], $turn[0]['mend']);
    }
}

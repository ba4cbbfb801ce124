<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Band;

/**
 * Limits of a screw and of a nut by the standard of their family: ISO 965-1 6g and 6H, ASME B1.1 2A and 2B; mm. Other
 * families are cut to their mate.
 */
final readonly class ThreadLimits
{
    private function __construct(
        public string $screwClass,
        public string $nutClass,
        /** The outside a screw is turned to before it is threaded. */
        public Band $screwMajor,
        public ?Band $screwPitch,
        /** The hole a nut is bored or drilled to before it is tapped. */
        public Band $nutMinor,
        public ?Band $nutPitch,
        public string $source,
    ) {
    }

    /** @return ?self null for a family without limits here */
    public static function of(Thread $thread): ?self
    {
        return match (true) {
            $thread->isMetric() => self::metric($thread),
            $thread->isUnified() => self::unified($thread),
            default => null,
        };
    }

    private static function metric(Thread $thread): ?self
    {
        /** @var list<array{float, float, float, float}> $rows */
        $rows = Table::read('thread-limits')['rows'];
        /** @var list<array{string, float, float}> $pitches */
        $pitches = Table::read('thread-limits')['pitch_rows'];
        foreach ($rows as [$pitch, $allowance, $major, $minor]) {
            if (abs($pitch - $thread->pitchMm) > 1e-6) {
                continue;
            }
            $top = $thread->majorMm - $allowance / 1000;
            $middle = $thread->majorMm - $thread->form->pitchBelowMajor() * $pitch;
            [$screw, $nut] = [null, null];
            foreach ($pitches as [$label, $its, $hole]) {
                if ($label === $thread->label) {
                    $screw = new Band($middle - ($allowance + $its) / 1000, $middle - $allowance / 1000);
                    $nut = new Band($middle, $middle + $hole / 1000);
                }
            }

            return new self(
                screwClass: '6g',
                nutClass: '6H',
                screwMajor: new Band($top - $major / 1000, $top),
                screwPitch: $screw,
                nutMinor: new Band($thread->minorMm(), $thread->minorMm() + $minor / 1000),
                nutPitch: $nut,
                source: 'ISO 965-1, 6g and 6H',
            );
        }

        return null;
    }

    /**
     * Td2 = 0.0015 D^⅓ + 0.0015 Le^½ + 0.015 P^⅔ in inches, Le = D; allowance 0.3 of it; major 0.060 P^⅔; nut's pitch
     * 1.3
     * Td2; its minor 0.25 P − 0.40 P² from a quarter inch up, 0.05 P^⅔ + 0.03 P/D − 0.002 under it. Source: ASME B1.1.
     */
    private static function unified(Thread $thread): self
    {
        $d = $thread->majorMm / 25.4;
        $p = $thread->pitchMm / 25.4;
        $pitch = 0.0015 * $d ** (1 / 3) + 0.0015 * sqrt($d) + 0.015 * $p ** (2 / 3);
        $allowance = 0.3 * $pitch;
        $most = 0.25 * $p - 0.4 * $p ** 2;
        $minor = $d >= 0.25 ? $most : max($most, min(0.05 * $p ** (2 / 3) + 0.03 * $p / $d - 0.002, 0.394 * $p));
        $middle = $d - $thread->form->pitchBelowMajor() * $p;
        $inches = static fn (float $from, float $to): Band => new Band(25.4 * $from, 25.4 * $to);
        $least = $thread->minorMm() / 25.4;

        return new self(
            screwClass: '2A',
            nutClass: '2B',
            screwMajor: $inches($d - $allowance - 0.06 * $p ** (2 / 3), $d - $allowance),
            screwPitch: $inches($middle - $allowance - $pitch, $middle - $allowance),
            nutMinor: $inches($least, $least + $minor),
            nutPitch: $inches($middle, $middle + 1.3 * $pitch),
            source: 'ASME B1.1, 2A and 2B',
        );
    }
}

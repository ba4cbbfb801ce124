<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Band;

/**
 * Limits of a screw and of a nut by the standard of their family: ISO 965-1 6g and 6H, ASME B1.1 2A and 2B, BS 84
 * medium, BS 93 normal, ISO 228-1 class A; mm. Other families are cut to their mate.
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
            in_array($thread->family, ['BSW', 'BSF'], true) => self::whitworth($thread),
            $thread->family === 'BSP' => self::pipe($thread),
            $thread->family === 'BA' => self::british($thread),
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

    /**
     * T = 0.002 D^⅓ + 0.003 Le^½ + 0.005 P^½ in inches, Le = D: pitch of both; a screw’s major 0.01 P^½ more; a nut’s
     * minor 0.2 P and 0.004 to 0.007. Source: BS 84, medium class, from memory.
     */
    private static function whitworth(Thread $thread): self
    {
        $d = $thread->majorMm / 25.4;
        $p = $thread->pitchMm / 25.4;
        $pitch = 25.4 * (0.002 * $d ** (1 / 3) + 0.003 * sqrt($d) + 0.005 * sqrt($p));
        /** @var list<array{float, float}> $steps */
        $steps = Table::read('thread-limits')['whitworth_minor'];
        $more = 0.0;
        foreach ($steps as [$perInch, $its]) {
            if (1 / $p > $perInch - 0.5) {
                $more = $its;
                break;
            }
        }

        return self::basic(
            thread: $thread,
            classes: ['medium', 'medium'],
            majorMm: $pitch + 25.4 * 0.01 * sqrt($p),
            pitchMm: [$pitch, $pitch],
            minorMm: 25.4 * (0.2 * $p + $more),
            source: 'BS 84, medium',
        );
    }

    /** Source: BS 93, normal class, 0 to 10 BA: 0.2 P; 0.1 P + 0.025 and 0.12 P + 0.03; 0.375 P; from memory. */
    private static function british(Thread $thread): self
    {
        $p = $thread->pitchMm;

        return self::basic(
            thread: $thread,
            classes: ['normal', 'normal'],
            majorMm: 0.2 * $p,
            pitchMm: [0.1 * $p + 0.025, 0.12 * $p + 0.03],
            minorMm: 0.375 * $p,
            source: 'BS 93, normal',
        );
    }

    private static function pipe(Thread $thread): ?self
    {
        /** @var list<array{float, float, float, float}> $rows */
        $rows = Table::read('thread-limits')['pipe'];
        foreach ($rows as [$perInch, $major, $pitch, $minor]) {
            if (abs(25.4 / $thread->pitchMm - $perInch) < 0.1) {
                return self::basic(
                    thread: $thread,
                    classes: ['A', 'ISO 228-1'],
                    majorMm: $major / 1000,
                    pitchMm: [$pitch / 1000, $pitch / 1000],
                    minorMm: $minor / 1000,
                    source: 'ISO 228-1, class A',
                );
            }
        }

        return null;
    }

    /**
     * A screw from its basic sizes down, a nut from its basic sizes up: no allowance between them.
     *
     * @param  array{string, string}  $classes  of the screw, of the nut
     * @param  float  $majorMm  tolerance of the screw’s outside
     * @param  array{float, float}  $pitchMm  tolerances on the pitch line, of the screw and of the nut
     * @param  float  $minorMm  tolerance of the nut’s hole
     */
    private static function basic(
        Thread $thread,
        array $classes,
        float $majorMm,
        array $pitchMm,
        float $minorMm,
        string $source,
    ): self {
        $depth = $thread->form->pitchBelowMajor() * $thread->pitchMm;
        $major = $thread->majorMm;
        $middle = $major - $depth;
        $minor = $middle - $depth;

        return new self(
            screwClass: $classes[0],
            nutClass: $classes[1],
            screwMajor: new Band($major - $majorMm, $major),
            screwPitch: new Band($middle - $pitchMm[0], $middle),
            nutMinor: new Band($minor, $minor + $minorMm),
            nutPitch: new Band($middle, $middle + $pitchMm[1]),
            source: $source,
        );
    }
}

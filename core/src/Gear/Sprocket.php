<?php

declare(strict_types=1);

namespace Oldpart\Core\Gear;

use Oldpart\Core\Advice\BadInput;

/** A chain wheel by its teeth and its outside or its pitch; mm. */
final readonly class Sprocket
{
    /** Roller chains one meets, by pitch: ISO 606 and the bicycle chain; from memory. */
    private const CHAINS = [
        '6 mm (04B)' => 6.0,
        '1/4 in (04C, 25)' => 6.35,
        '8 mm (05B)' => 8.0,
        '3/8 in (06B, 35)' => 9.525,
        '1/2 in (08B, 40, bicycle)' => 12.7,
        '5/8 in (10B, 50)' => 15.875,
        '3/4 in (12B, 60)' => 19.05,
        '1 in (16B, 80)' => 25.4,
        '1 1/4 in (20B, 100)' => 31.75,
        '1 1/2 in (24B, 120)' => 38.1,
        '1 3/4 in (28B, 140)' => 44.45,
        '2 in (32B, 160)' => 50.8,
    ];

    /** How far an outside lies from its rule, of the pitch: tips are cut off and worn. Common practice, no source. */
    private const SPREAD = 0.03;

    private const OTHER = 0.05;

    private function __construct(public int $teeth, public float $pitchMm)
    {
    }

    /**
     * @param  int  $teeth  5 to 300
     * @param  float  $pitchMm  above 0
     *
     * @throws BadInput for a wheel that is none
     */
    public static function of(int $teeth, float $pitchMm): self
    {
        if ($teeth < 5 || $teeth > 300) {
            throw new BadInput('teeth', 'teeth', 'A chain wheel has from 5 to 300 teeth. Count them again.');
        }
        if (! ($pitchMm > 0)) {
            throw new BadInput('pitch', 'pitch_mm', 'The pitch of the chain must be above zero.');
        }

        return new self($teeth, $pitchMm);
    }

    /**
     * Outside about p (0.6 + cot(180°/z)). Source: common rule of chain makers.
     *
     * @throws BadInput for a wheel that is none
     */
    public static function byOutside(int $teeth, float $outsideMm): self
    {
        if (! ($outsideMm > 0)) {
            throw new BadInput('outside', 'outside_mm', 'The outside of the wheel must be above zero.');
        }

        return self::of($teeth, $outsideMm / (0.6 + 1 / tan(M_PI / max(5, $teeth))));
    }

    /** Through the middles of the rollers: p / sin(180°/z). */
    public function pitchCircleMm(): float
    {
        return $this->pitchMm / sin(M_PI / $this->teeth);
    }

    /**
     * Best first; with what is left they sum to one.
     *
     * @return list<array{label: string, pitch_mm: ?float, probability: float}>
     */
    public function likely(): array
    {
        $weights = array_map(
            fn (float $pitch): float => exp(-((($this->pitchMm / $pitch - 1) / self::SPREAD) ** 2) / 2),
            self::CHAINS,
        );
        arsort($weights);
        $all = array_sum($weights);
        $rows = [];
        $left = 1.0;
        foreach (array_slice($weights, 0, 3, true) as $label => $weight) {
            $share = $all > 1e-4 ? ((1 - self::OTHER) * $weight) / $all : 0.0;
            if ($share >= 0.005) {
                $left -= $share;
                $rows[] = ['label' => $label, 'pitch_mm' => self::CHAINS[$label], 'probability' => $share];
            }
        }

        return [...$rows, ['label' => 'other', 'pitch_mm' => null, 'probability' => $left]];
    }
}

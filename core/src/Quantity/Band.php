<?php

declare(strict_types=1);

namespace Oldpart\Core\Quantity;

use Oldpart\Core\Advice\BadInput;

/** The sizes that are allowed: from lower to upper, both allowed, in mm. */
final readonly class Band implements \JsonSerializable
{
    public function __construct(public float $lowerMm, public float $upperMm)
    {
        if (! is_finite($lowerMm) || ! is_finite($upperMm) || $lowerMm > $upperMm) {
            throw new BadInput(
                'band-reversed',
                'target',
                'A band needs its lower limit first and its upper limit second.',
            );
        }
    }

    /** The band between two limits, or null where the lower has passed the upper: nothing is left. */
    public static function between(float $lowerMm, float $upperMm): ?self
    {
        return $lowerMm <= $upperMm ? new self($lowerMm, $upperMm) : null;
    }

    public function widthMm(): float
    {
        return $this->upperMm - $this->lowerMm;
    }

    public function middleMm(): float
    {
        return ($this->lowerMm + $this->upperMm) / 2;
    }

    public function holds(float $mm): bool
    {
        return $mm >= $this->lowerMm && $mm <= $this->upperMm;
    }

    /** The band less a guard at both ends, or null where the guard eats it. */
    public function lessGuard(float $guardMm): ?self
    {
        return self::between($this->lowerMm + $guardMm, $this->upperMm - $guardMm);
    }

    /**
     * The band on the steps of a dial or a display, rounded inward so that it never allows more than the true band;
     * null where no step falls inside.
     */
    public function roundedInto(float $stepMm): ?self
    {
        $slack = 1e-9;
        $lower = ceil($this->lowerMm / $stepMm - $slack) * $stepMm;
        $upper = floor($this->upperMm / $stepMm + $slack) * $stepMm;

        return self::between($lower, $upper + $stepMm * 1e-9);
    }

    /** @return array{lower_mm: float, upper_mm: float} */
    public function jsonSerialize(): array
    {
        return ['lower_mm' => $this->lowerMm, 'upper_mm' => $this->upperMm];
    }
}

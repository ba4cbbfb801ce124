<?php

declare(strict_types=1);

namespace Oldpart\Core\Number;

/**
 * The sum of a normal part and one that lies anywhere between −a and a, each as likely: a reading's scatter, and a
 * gauge's own error within what it may be off by. Source: elementary probability; JCGM 101:2008, 6.4.2, for the second.
 */
final readonly class FlatNormal
{
    private float $sigma;

    /**
     * @param  float  $sigma  standard deviation of the normal part, 0 or more
     * @param  float  $flat  a, 0 or more
     */
    public function __construct(float $sigma, public float $flat)
    {
        $this->sigma = max(1e-6, $sigma, $flat / 1000);
    }

    /** Of both together. */
    public function deviation(): float
    {
        return sqrt($this->sigma ** 2 + $this->flat ** 2 / 3);
    }

    /** With another normal part. */
    public function with(float $sigma): self
    {
        return new self(hypot($this->sigma, $sigma), $this->flat);
    }

    /** Were the even part so many times as wide. */
    public function wider(float $times): self
    {
        return new self($this->sigma, $times * $this->flat);
    }

    /** The share that lies below x. */
    public function below(float $x): float
    {
        if ($this->flat < 0.05 * $this->sigma) {
            return Normal::below($x / $this->deviation());
        }

        return ($this->sigma / (2 * $this->flat))
            * (self::once(($x + $this->flat) / $this->sigma) - self::once(($x - $this->flat) / $this->sigma));
    }

    /** The share that lies below, summed over all places up to x: ∫ below. */
    public function sumBelow(float $x): float
    {
        if ($this->flat < 0.05 * $this->sigma) {
            $sigma = $this->deviation();

            return $sigma * self::once($x / $sigma);
        }

        return ($this->sigma ** 2 / (2 * $this->flat))
            * (self::twice(($x + $this->flat) / $this->sigma) - self::twice(($x - $this->flat) / $this->sigma));
    }

    /** ∫ Φ = u Φ(u) + φ(u). */
    private static function once(float $u): float
    {
        return $u * Normal::below($u) + self::density($u);
    }

    /** ∫∫ Φ = ((u² + 1) Φ(u) + u φ(u)) / 2. */
    private static function twice(float $u): float
    {
        return (($u * $u + 1) * Normal::below($u) + $u * self::density($u)) / 2;
    }

    private static function density(float $u): float
    {
        return exp((-$u * $u) / 2) / sqrt(2 * M_PI);
    }
}

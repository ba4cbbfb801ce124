<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Say;

/** The dial of a lathe of the shop: what a cut comes to in its own lines. */
final readonly class LatheDial
{
    /** The most of a line that a hand sets between two. Common practice. */
    private const PART = 0.5;

    private function __construct(private string $lathe, private float $lineMm, private bool $readsRadius)
    {
    }

    /**
     * Of the first lathe whose dial is known, what it reads as well: a dial that may be either is none.
     *
     * @param  list<Machine>  $lathes
     */
    public static function of(array $lathes): ?self
    {
        foreach ($lathes as $lathe) {
            [$line, $reads] = [$lathe->figure('dial_mm'), $lathe->word('dial_reads')];
            if ($line !== null && $reads !== null) {
                return new self($lathe->name, $line, $reads === 'radius');
            }
        }

        return null;
    }

    /**
     * How many lines, never more than asked: to the half line below.
     *
     * @param  float  $onDiameterMm  what is to come off on the diameter, above 0
     */
    public function lines(float $onDiameterMm): float
    {
        $lines = $onDiameterMm / ($this->readsRadius ? 2 : 1) / $this->lineMm;

        return floor($lines / self::PART + 1e-6) * self::PART;
    }

    public function says(float $onDiameterMm): Say
    {
        $lines = $this->lines($onDiameterMm);
        $reads = $this->readsRadius ? 'the radius' : 'the diameter';

        return Say::plain($lines < self::PART
            ? "Less than half a line of the dial of {$this->lathe}, which reads {$reads}: by the top slide set over, or with emery."
            : "{$lines} lines of the dial of {$this->lathe}, which reads {$reads}");
    }
}

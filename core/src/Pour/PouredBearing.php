<?php

declare(strict_types=1);

namespace Oldpart\Core\Pour;

use Oldpart\Core\Advice\BadInput;

/** White metal poured between a mandrel and its shell; mm, kg, kPa. */
final readonly class PouredBearing
{
    /** More is melted than goes in. Common practice. */
    private const SPARE = 1.2;

    public float $mandrelMm;

    /** Of white metal, once it is bored. */
    public float $wallMm;

    public float $volumeMm3;

    public float $massKg;

    /** Of the metal at the bottom of the pour: ρ g h. */
    public float $pressureKpa;

    /**
     * @param  float  $boringMm  left to bore, on the diameter, 0 or more
     * @param  list<array{outside: float, thickness: float}>  $flanges  cast with it
     *
     * @throws BadInput for a pour with no room for the metal
     *
     * Source: geometry and hydrostatics.
     */
    public function __construct(
        float $journalMm,
        float $boringMm,
        float $shellBoreMm,
        float $lengthMm,
        array $flanges = [],
        float $headroomMm = 0.0,
        float $densityKgM3 = 7400.0,
    ) {
        $this->mandrelMm = $journalMm - $boringMm;
        if (! ($this->mandrelMm > 0) || ! ($boringMm >= 0)) {
            throw new BadInput('boring', 'boring_mm', 'The mandrel is the journal less what is bored out, and that is above zero.');
        }
        if (! ($shellBoreMm > $journalMm)) {
            throw new BadInput('shell', 'shell_bore_mm', 'The shell has to be larger than the journal: there would be no white metal between them.');
        }
        if (! ($lengthMm > 0) || ! ($headroomMm >= 0) || ! ($densityKgM3 > 0)) {
            throw new BadInput('length', 'length_mm', 'Length and density must be above zero, headroom zero or more.');
        }
        $this->wallMm = ($shellBoreMm - $journalMm) / 2;
        $ring = fn (float $outside): float => (M_PI / 4) * ($outside ** 2 - $this->mandrelMm ** 2);
        $volume = $ring($shellBoreMm) * ($lengthMm + $headroomMm);
        $high = $lengthMm + $headroomMm;
        foreach ($flanges as $i => $flange) {
            if (! ($flange['outside'] > $this->mandrelMm) || ! ($flange['thickness'] > 0)) {
                throw new BadInput('flange', "flanges.{$i}.outside_mm", 'A flange is wider than the mandrel and thicker than nothing.');
            }
            $volume += $ring($flange['outside']) * $flange['thickness'];
            $high += $flange['thickness'];
        }
        $this->volumeMm3 = $volume;
        $this->massKg = (self::SPARE * $volume * $densityKgM3) / 1e9;
        $this->pressureKpa = ($densityKgM3 * 9.80665 * $high) / 1e6;
    }
}

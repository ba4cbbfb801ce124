<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

use Oldpart\Core\Advice\BadInput;

/**
 * A thread over three wires; mm. M = E + w (1 + 1/sin ½α) − ½ P cot ½α, the lead angle left out, as for single threads
 * of common pitch. Source: common metrology handbooks.
 */
final readonly class ThreeWires
{
    /** A wire must stand above the crests and touch the flanks: so much of the best one at least and at most. */
    private const THIN = 0.9;

    private const THICK = 1.7;

    private function __construct(private float $majorMm, private float $pitchMm, private ThreadForm $form)
    {
    }

    /** @throws BadInput for a thread that is none */
    public static function of(float $majorMm, float $pitchMm, ThreadForm $form): self
    {
        $same = TapDrill::of($majorMm, $pitchMm, $form);

        return new self($same->majorMm, $same->pitchMm, $same->form);
    }

    public function bestWireMm(): float
    {
        return $this->form->bestWire() * $this->pitchMm;
    }

    public function basicPitchDiameterMm(): float
    {
        return $this->majorMm - $this->form->pitchBelowMajor() * $this->pitchMm;
    }

    /** @throws BadInput for a wire that falls in, or does not touch the flanks */
    public function overMm(float $wireMm, ?float $pitchDiameterMm = null): float
    {
        return ($pitchDiameterMm ?? $this->basicPitchDiameterMm()) + $this->adds($wireMm);
    }

    /** The pitch diameter that a reading over the wires means, mm. */
    public function pitchDiameterMm(float $wireMm, float $overMm): float
    {
        return $overMm - $this->adds($wireMm);
    }

    private function adds(float $wireMm): float
    {
        $best = $this->bestWireMm();
        if (! ($wireMm >= self::THIN * $best && $wireMm <= self::THICK * $best)) {
            throw new BadInput(
                'wire',
                'wire_mm',
                'Such a wire falls below the crests or does not touch the flanks. Take one near '
                    .number_format($best, 3).' mm.',
            );
        }

        return $this->form->wires() * $wireMm - $this->form->pitchesLess() * $this->pitchMm;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Gauge;

use Oldpart\Core\Gauge\SimulatedGauge;
use Oldpart\Core\Gauge\TrueShape;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\Reading;
use Oldpart\Core\Measure\Readings;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Measure\Warmth;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** How often U95 holds the truth over simulated bores; and what happens when its assumptions fail. */
final class Coverage
{
    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /**
     * @param  ?float  $errorMm  an error beyond what the instrument says of itself
     * @param  int  $repeats  readings at each spot
     * @return float the share of bores whose true mean lies within U95 of the found one
     */
    public function share(
        Instrument $tool,
        int $bores,
        int $repeats = 1,
        ?float $errorMm = null,
        float $lobesMm = 0.0,
    ): float {
        $held = 0;
        for ($i = 0; $i < $bores; $i++) {
            $shape = new TrueShape(
                $this->even(12, 100),
                $this->even(0, 0.02),
                $this->even(-0.01, 0.01),
                $lobesMm,
                $this->even(19, 21),
            );
            $gauge = new SimulatedGauge($tool, $this->random, $errorMm);
            $readings = [];
            $truth = [];
            $turned = $this->even(0, 120);
            foreach ([0.0, 0.5, 1.0] as $along) {
                foreach ([0, 45, 90, 135] as $angle) {
                    $truth[] = $shape->twoPoint($along, $angle);
                    for ($k = 0; $k < $repeats; $k++) {
                        $readings[] = new Reading(
                            $gauge->read($shape, $along, $lobesMm > 0 ? $turned : $angle, $lobesMm > 0),
                            (string) $along,
                            (string) $angle,
                            20.0,
                            20.0,
                        );
                    }
                }
            }
            $found = (new Readings(SurfaceKind::Bore, $readings, $tool, new Warmth(halfWidthK: 1.0)))->found();
            $held += (int) (abs($found->meanMm - array_sum($truth) / count($truth)) <= $found->u95MeanMm);
        }

        return $held / $bores;
    }

    private function even(float $from, float $to): float
    {
        return $from + (($to - $from) * $this->random->getInt(0, 1_000_000)) / 1_000_000;
    }
}

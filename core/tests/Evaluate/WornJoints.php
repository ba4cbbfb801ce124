<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Evaluate;

use Oldpart\Core\Evaluate\Evaluator;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\School;
use Oldpart\Core\Gauge\SimulatedGauge;
use Oldpart\Core\Gauge\TrueShape;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\InstrumentSet;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Range;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Worn joints, one after the other: worn, oval, tapered, some read warm, some with a gauge that is off by more than it
 * may be. Each is sized by the product, by somebody who goes by the table's limits at the nominal size, and by somebody
 * who goes by the thumb from the size that was read; and each part is then made and tried against the truth.
 */
final class WornJoints
{
    private const PURPOSES = [
        'loose-running', 'free-running', 'running-journal', 'slides-no-shake', 'hand-fit', 'tap-in', 'tap-tight',
        'light-press', 'medium-press', 'heavy-press', 'bonded',
    ];

    private readonly Randomizer $random;

    public int $jobs = 0;

    public int $sized = 0;

    public int $right = 0;

    public int $promised = 0;

    public int $byTable = 0;

    public int $byThumb = 0;

    /** @var array<int, array{told: float, true: int, jobs: int}> by tens of a hundred; 98 and over apart, as 98 */
    public array $told = [];

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function run(int $jobs): self
    {
        for ($i = 0; $i < $jobs; $i++) {
            $this->one();
        }
        ksort($this->told);

        return $this;
    }

    private function one(): void
    {
        $makeShaft = $this->random->getInt(0, 1) === 1;
        $kind = $makeShaft ? SurfaceKind::Bore : SurfaceKind::Shaft;
        $nominal = round(exp($this->even(log(10), log(90))), 0);
        $purpose = Purpose::named(self::PURPOSES[$this->random->getInt(0, count(self::PURPOSES) - 1)]);
        $wear = $this->even(0, 1) < 0.3 ? 0.0 : -0.03 * log($this->even(0.02, 1));
        $warm = $this->even(0, 1) < 0.2 ? $this->even(3, 15) : 0.0;
        $shape = new TrueShape(
            $nominal + ($makeShaft ? 1 : -1) * $wear,
            $this->even(0, 1) < 0.3 ? 0.0 : -0.008 * log($this->even(0.02, 1)),
            $this->even(0, 1) < 0.4 ? 0.0 : 0.006 * $this->normal(),
            0.0,
            20 + $warm,
        );
        $job = (new SampleJob())->answered();
        $mate = $makeShaft ? 'Housing bore' : 'Shaft journal';
        $name = $makeShaft ? 'Bush in housing' : 'Shaft in bush';
        $tool = $this->tool($kind, $nominal);
        $this->read($job, $mate, $tool, $shape, $warm);
        $job->joint($name, ['purpose' => $purpose->code, 'school' => null, 'fit' => null]);
        $joints = (new Evaluator())->outcome($job->build())->joints;
        $joint = array_values(array_filter($joints, static fn (SizedJoint $j): bool => $j->joint->name === $name))[0];
        $this->jobs++;
        $works = $purpose->worksWithin($nominal) ?? throw new \LogicException('has limits');
        $limits = $this->truth($shape, $makeShaft, $works);
        $this->byTable += (int) self::lies($this->table($purpose, $nominal, $makeShaft), $limits);
        $this->byThumb += (int) self::lies($this->thumb($purpose, $joint, $nominal, $makeShaft), $limits);
        $band = $joint->band();
        $chance = $joint->chance();
        if ($band === null || $chance === null) {
            return;
        }
        $this->sized++;
        $this->promised += (int) ($joint->best === null);
        // It is cut until its gauge reads inside; the lathe holds no less than a hundredth.
        $wide = $joint->best === null ? $band->widthMm() : max($band->widthMm(), 0.01);
        $made = $band->middleMm() + $wide * $this->even(-0.5, 0.5)
            + ($joint->case?->checkedTo() ?? 0.0) * $this->normal();
        $right = self::lies($made, $limits);
        $this->right += (int) $right;
        $class = $chance >= 0.98 ? 98 : 10 * (int) floor(10 * $chance);
        $this->told[$class] ??= ['told' => 0.0, 'true' => 0, 'jobs' => 0];
        $this->told[$class]['told'] += $chance;
        $this->told[$class]['true'] += (int) $right;
        $this->told[$class]['jobs']++;
    }

    private function tool(SurfaceKind $kind, float $size): Instrument
    {
        $able = array_values(
            array_filter(
                InstrumentSet::typical()->all(),
                static fn (Instrument $i): bool => $i->canMeasure($kind, $size)
                    && ! in_array($i->code, ['rule', 'pins'], true),
            ),
        );

        return $able[$this->random->getInt(0, count($able) - 1)];
    }

    private function read(SampleJob $job, string $mate, Instrument $tool, TrueShape $shape, float $warm): void
    {
        // One gauge in twenty is off by more than it may be.
        $bad = $this->even(0, 1) < 0.05 ? $tool->mpeMm * $this->even(1, 2) * ($this->even(0, 1) < 0.5 ? 1 : -1) : null;
        $gauge = new SimulatedGauge($tool, $this->random, $bad);
        $kind = $mate === 'Housing bore' ? SurfaceKind::Bore : SurfaceKind::Shaft;
        $jaws = $tool->jawShiftMm($kind, $shape->sizeMm);
        $small = $jaws->min + $jaws->width() * $this->even(0, 1);
        $stations = [[0.5], [0.0, 1.0], [0.0, 0.5, 1.0]][$this->random->getInt(0, 2)];
        $angles = [[0], [0, 90], [0, 45, 90, 135]][$this->random->getInt(0, 2)];
        $turned = $this->even(0, 180);
        $repeats = $this->random->getInt(1, 4) === 1 ? 2 : 1;
        foreach ($stations as $i => $along) {
            foreach ($angles as $angle) {
                for ($k = 0; $k < $repeats; $k++) {
                    $job->read(
                        $mate,
                        number_format($gauge->read($shape, $along, $angle + $turned) - $small, 4, '.', ''),
                        $tool->code,
                        (string) ($i + 1),
                        (string) $angle,
                        $warm > 0 ? 20 + $warm + $this->even(-1, 1) : null,
                    );
                }
            }
        }
    }

    /** @return array{float, float} from and to where it works in truth; for a press the mean decides */
    private function truth(TrueShape $shape, bool $makeShaft, Range $works): array
    {
        $form = $works->max <= 0 ? 0.0 : $shape->ovalityMm / 2 + abs($shape->taperMm) / 2;
        [$small, $large] = [$shape->sizeMm - $form, $shape->sizeMm + $form];

        return $makeShaft
            ? [$large - $works->max, $small - $works->min]
            : [$large + $works->min, $small + $works->max];
    }

    private function table(Purpose $purpose, float $nominal, bool $makeShaft): float
    {
        foreach ($purpose->offers($nominal) as $offer) {
            if ($offer->school !== School::Thumb) {
                return $nominal + ($makeShaft ? -1 : 1) * $offer->clearanceMm->middle() + 0.005 * $this->even(-1, 1);
            }
        }

        return $nominal;
    }

    private function thumb(Purpose $purpose, SizedJoint $joint, float $nominal, bool $makeShaft): float
    {
        $found = $joint->mateFound ?? throw new \LogicException('was read');
        $at = $purpose->tight ? $found->meanMm : $found->matingMm;
        foreach ($purpose->offers($nominal) as $offer) {
            if ($offer->school === School::Thumb) {
                return $at + ($makeShaft ? -1 : 1) * $offer->clearanceMm->middle() + 0.005 * $this->even(-1, 1);
            }
        }

        return $at;
    }

    /** @param  array{float, float}  $limits  where the first is the larger nothing works */
    private static function lies(float $mm, array $limits): bool
    {
        return $mm >= $limits[0] && $mm <= $limits[1];
    }

    private function even(float $from, float $to): float
    {
        return $from + (($to - $from) * $this->random->getInt(0, 1_000_000)) / 1_000_000;
    }

    private function normal(): float
    {
        return sqrt(-2 * log($this->even(1e-6, 1))) * cos(2 * M_PI * $this->even(0, 1));
    }
}

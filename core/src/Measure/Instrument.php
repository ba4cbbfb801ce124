<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Range;

/**
 * What is known of an instrument, in mm: resolution (its last digit), permissible error (half-width; of some it grows),
 * repeatability and feel (one standard deviation each), and the expanded uncertainty (k = 2) of its setting master.
 */
final readonly class Instrument implements \JsonSerializable
{
    /** @param  list<string>  $fits kinds of surface it can measure */
    public function __construct(
        public float $resolutionMm,
        public float $mpeMm = 0.0,
        public float $repeatabilityMm = 0.0,
        public float $feelMm = 0.0,
        public float $masterUMm = 0.0,
        public string $code = '',
        public string $name = 'instrument',
        public array $fits = ['bore', 'shaft', 'length'],
        public float $fromMm = 0.0,
        public float $toMm = INF,
        public float $smallestBoreMm = 0.0,
        /** How deep in a bore it gets, mm; null where nothing hinders it. */
        public ?float $reachMm = null,
        /** Of an indicator: how far its point moves, mm; an eccentric needs twice its throw. */
        public ?float $travelMm = null,
        /** False: not in the shop any more; readings taken with it keep it. */
        public bool $inShop = true,
        /** Of a calliper's inside jaws: how wide their flats are, mm, known to a third; 0 where nothing is flat. */
        public float $jawFlatMm = 0.0,
        /** By how much its permissible error grows with every 50 mm of the size, mm (micrometers: ISO 3611). */
        public float $mpePer50Mm = 0.0,
    ) {
        foreach (
            [
                'resolution_mm' => $resolutionMm,
                'mpe_mm' => $mpeMm,
                'repeatability_mm' => $repeatabilityMm,
                'feel_mm' => $feelMm,
                'master_u_mm' => $masterUMm,
                'mpe_per_50_mm' => $mpePer50Mm,
            ] as $field => $value
        ) {
            if (! is_finite($value) || $value < 0) {
                throw new BadInput(
                    'instrument',
                    "instrument.{$field}",
                    "The instrument's {$field} must be zero or more.",
                );
            }
        }
    }

    public static function read(Fields $f): self
    {
        $tool = new self(
            resolutionMm: $f->number('resolution_mm'),
            mpeMm: $f->number('mpe_mm'),
            repeatabilityMm: $f->number('repeatability_mm'),
            feelMm: $f->number('feel_mm'),
            masterUMm: $f->number('master_u_mm'),
            code: $f->text('code'),
            name: $f->text('name'),
            fits: $f->texts('fits'),
            fromMm: $f->number('from_mm'),
            toMm: $f->number('to_mm'),
            smallestBoreMm: $f->numberOrNull('smallest_bore_mm') ?? 0.0,
            reachMm: $f->numberOrNull('reach_mm'),
            travelMm: $f->numberOrNull('travel_mm'),
            inShop: $f->flagOrNull('in_shop') ?? true,
            jawFlatMm: $f->numberOrNull('jaw_flat_mm') ?? 0.0,
            mpePer50Mm: $f->numberOrNull('mpe_per_50_mm') ?? 0.0,
        );
        if ($tool->fromMm > $tool->toMm) {
            throw $f->bad('from_mm', 'is above the largest size it measures. Swap the two.');
        }

        return $tool;
    }

    /** An instrument of the table of typical ones (data/instruments.json). */
    public static function named(string $code): self
    {
        return InstrumentSet::typical()->named($code);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->code,
            'name' => $this->name,
            'fits' => $this->fits,
            'resolution_mm' => $this->resolutionMm,
            'mpe_mm' => $this->mpeMm,
            'repeatability_mm' => $this->repeatabilityMm,
            'feel_mm' => $this->feelMm,
            'master_u_mm' => $this->masterUMm,
            'from_mm' => $this->fromMm,
            'to_mm' => $this->toMm,
            'smallest_bore_mm' => $this->smallestBoreMm,
            'reach_mm' => $this->reachMm,
            'travel_mm' => $this->travelMm,
            'in_shop' => $this->inShop,
            'jaw_flat_mm' => $this->jawFlatMm,
            'mpe_per_50_mm' => $this->mpePer50Mm,
        ];
    }

    /**
     * Its permissible error at a size, mm: a micrometer of 50 to 75 mm may err a thousandth more than one to 50.
     *
     * @param  float  $sizeMm  about what is read, 0 or more
     *
     * Source: ISO 3611 for micrometers, 4 µm and one more from every 50 mm on; from memory.
     */
    public function mpeAt(float $sizeMm): float
    {
        return $this->mpeMm + ($this->mpePer50Mm > 0 ? $this->mpePer50Mm * floor($sizeMm / 50) : 0.0);
    }

    /**
     * By how much flat inside jaws read a bore small, mm: each flat stands on a chord, so d − √(d² − w²), about
     * w²/(2d), for a flat from two to four thirds of what is known of it. Zero for anything else. Source: geometry of a
     * chord.
     *
     * @param  float  $sizeMm  above 0
     */
    public function jawShiftMm(SurfaceKind $kind, float $sizeMm): Range
    {
        $flat = $kind === SurfaceKind::Bore ? min($this->jawFlatMm, $sizeMm / 2) : 0.0;
        if ($flat <= 0.0) {
            return new Range(0.0, 0.0);
        }
        [$narrow, $wide] = [(2 / 3) * $flat, (4 / 3) * $flat];

        return new Range(
            $sizeMm - sqrt($sizeMm ** 2 - $narrow ** 2),
            $sizeMm - sqrt($sizeMm ** 2 - $wide ** 2),
        );
    }

    /**
     * @param  float  $deepMm  how far in the surface goes; a bore deeper than the gauge reaches can't be read all along
     */
    public function canMeasure(SurfaceKind $kind, float $sizeMm, float $deepMm = 0.0): bool
    {
        $gets =
            $kind !== SurfaceKind::Bore
            || ($sizeMm >= $this->smallestBoreMm && ($this->reachMm === null || $deepMm <= $this->reachMm));

        return $this->inShop
            && $gets
            && in_array($kind->value, $this->fits, true)
            && $sizeMm >= $this->fromMm
            && $sizeMm <= $this->toMm;
    }

    /**
     * The expanded uncertainty (k = 2, so roughly 95 %) of one careful reading with it, in mm, with nothing else wrong.
     *
     * @param  float  $sizeMm  about what is read, 0 or more
     *
     * Source: JCGM 100, components as in Readings.
     */
    public function bestU95Mm(float $sizeMm): float
    {
        return 2 *
            sqrt(
                $this->repeatabilityMm ** 2 +
                    $this->resolutionMm ** 2 / 12 +
                    $this->mpeAt($sizeMm) ** 2 / 3 +
                    $this->feelMm ** 2 +
                    ($this->masterUMm / 2) ** 2,
            );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Number\LinearFit;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * What can be made of one to five spots: too few to show a form, but enough to say how much of the spread between them
 * is likely to be the gauge's. For chances only; nothing is promised by it. In mm, at 20 °C.
 */
final readonly class FewSpots
{
    /**
     * Half of what a surface in use is out of round, and tapered from end to end, as one standard deviation: taken for
     * known beforehand, and the less of it stays the more is read. Common practice, no source.
     */
    public const OVAL_MM = 0.005;

    public const TAPER_MM = 0.005;

    private function __construct(
        public float $meanMm,
        public float $matingMm,
        public float $looseMm,
        public float $u95Mm,
        public float $u95MeanMm,
        public float $k,
        /** The factor in that of the mean. */
        public float $kMean,
        /** Of the doubts, by how much the gauge itself may be off either way, mm; 0 with several. */
        public float $flatMm,
    ) {
    }

    /**
     * The same unknowns as FittedForm, with what is known of them beforehand as readings of their own.
     *
     * @param  list<WeighedReading>  $readings
     * @param  list<string>  $stations  in order
     * @param  float  $ownDof  degrees of freedom of repeats at the spots of this surface
     * @param  float  $otherDof  of repeats elsewhere; 0 with neither: the scatter is the instruments' stated figure
     * @return ?self null for a length
     *
     * Source: least squares with prior knowledge as further observations.
     */
    public static function of(
        SurfaceKind $kind,
        array $readings,
        array $stations,
        float $ownDof,
        float $otherDof,
    ): ?self {
        if ($kind === SurfaceKind::Length || $readings === []) {
            return null;
        }
        $along = FormDesign::along($stations);
        $gauges = GaugeFigures::of($readings);
        $several = $gauges->areSeveral();
        $known = [
            self::TAPER_MM,
            self::OVAL_MM / M_SQRT2,
            self::OVAL_MM / M_SQRT2,
            ...$several ? array_values($gauges->shifts) : [],
        ];
        [$rows, $values, $scatter] = [[], [], []];
        foreach ($readings as $r) {
            $at = is_numeric($r->angle) ? 2 * deg2rad((float) $r->angle) : null;
            $row = [1.0, $along[$r->station], $at === null ? 0.0 : cos($at), $at === null ? 0.0 : sin($at)];
            foreach ($several ? array_keys($gauges->shifts) : [] as $gauge) {
                $row[] = (string) $gauge === $r->doubt->gauge ? 1.0 : 0.0;
            }
            $rows[] = $row;
            $values[] = $r->mm;
            $scatter[] = $r->scatterMm;
        }
        $fit = self::fit($rows, $values, $scatter, $known, 1.0);
        $stated = $ownDof + $otherDof > 0 ? $otherDof : FittedForm::FIGURE_DOF;
        $dof = count($readings) - 1 + $stated;
        $scale = $dof > 0 ? sqrt(($fit->squares + $stated) / $dof) : 1.0;
        $scale = max($scale, $gauges->digit);
        $fit = self::fit($rows, $values, $scatter, $known, $scale);
        [$mean, $taper, $p, $q] = $fit->found;
        $half = hypot($p, $q) + abs($taper) / 2;
        $var = $fit->covariance;
        $tapered = max($fit->varianceOf([1.0, 0.5, 0.0, 0.0]), $fit->varianceOf([1.0, -0.5, 0.0, 0.0]));
        $ends = $tapered + $var[2][2] + $var[3][3];
        $common = $gauges->commonMm();
        $dof = max(1.0, $dof);
        [$u95, $k] = FittedForm::expanded($ends, $dof, $common);
        [$u95Mean, $kMean] = FittedForm::expanded($var[0][0], $dof, $common);
        $bore = $kind === SurfaceKind::Bore;

        return new self(
            meanMm: $mean,
            matingMm: $bore ? $mean - $half : $mean + $half,
            looseMm: $bore ? $mean + $half : $mean - $half,
            u95Mm: $u95,
            u95MeanMm: $u95Mean,
            k: $k,
            kMean: $kMean,
            flatMm: $gauges->flatMm(),
        );
    }

    /**
     * @param  list<list<float>>  $rows
     * @param  list<float>  $values
     * @param  list<float>  $scatter
     * @param  list<float>  $known  how far from nothing each unknown but the first may be, one standard deviation
     */
    private static function fit(array $rows, array $values, array $scatter, array $known, float $scale): LinearFit
    {
        $weights = array_map(static fn (float $s): float => 1 / ($scale * $s) ** 2, $scatter);
        foreach ($known as $i => $sigma) {
            $row = array_fill(0, count($rows[0]), 0.0);
            $row[$i + 1] = 1.0;
            $rows[] = $row;
            $values[] = 0.0;
            $weights[] = 1 / $sigma ** 2;
        }

        return LinearFit::of($rows, $values, $weights) ?? throw new \LogicException('each unknown is known of');
    }

    /** Were it read as sure as this, mm. */
    public function withU95(float $u95Mm, float $flatMm): self
    {
        return new self(
            meanMm: $this->meanMm,
            matingMm: $this->matingMm,
            looseMm: $this->looseMm,
            u95Mm: $u95Mm,
            u95MeanMm: $u95Mm,
            k: 2.0,
            kMean: 2.0,
            flatMm: $flatMm,
        );
    }

    /** Of gauges that disagree: by how much its doubts grow. */
    public function widened(float $times): self
    {
        return $times <= 1.0 ? $this : new self(
            meanMm: $this->meanMm,
            matingMm: $this->matingMm,
            looseMm: $this->looseMm,
            u95Mm: $times * $this->u95Mm,
            u95MeanMm: $times * $this->u95MeanMm,
            k: $this->k,
            kMean: $this->kMean,
            flatMm: 0.0,
        );
    }

    public static function note(): Note
    {
        return Note::info(
            'form-allowed',
            Say::with(
                'So few places do not show its form: the chance allows for ±{o} out of round and a taper of {t} until more are read.',
                ['o' => LengthWriter::difference(self::OVAL_MM), 't' => LengthWriter::difference(self::TAPER_MM)],
            ),
        );
    }
}

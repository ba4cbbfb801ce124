<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Number\FoldedNormal;
use Oldpart\Core\Number\LinearFit;
use Oldpart\Core\Number\Rice;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * What a round surface is likely to be like, by what was read and by what such surfaces usually are: the fewer spots
 * and the more the gauge scatters, the less of its form shows, and it is not round for that. For chances only; nothing
 * is promised by it. In mm, at 20 °C.
 */
final readonly class LikelyForm
{
    /**
     * Half of what a surface in use is out of round, and tapered from end to end, as one standard deviation: taken for
     * known beforehand, and the less of it stays the more is read. Common practice, no source.
     */
    public const OVAL_MM = 0.003;

    public const TAPER_MM = 0.004;

    /** How often what was seen of the form and the scatter is taken up before the last fit. */
    private const PASSES = 2;

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
     * Source: Bayes' rule for normal errors: least squares with prior knowledge as further observations; how much
     * form is usual is raised to what is seen.
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
        [$rows, $values, $scatter] = [[], [], []];
        foreach ($readings as $r) {
            $at = is_numeric($r->read->angle) ? 2 * deg2rad((float) $r->read->angle) : null;
            $row = [1.0, $along[$r->read->station], $at === null ? 0.0 : cos($at), $at === null ? 0.0 : sin($at)];
            foreach ($several ? array_keys($gauges->shifts) : [] as $gauge) {
                $row[] = (string) $gauge === $r->doubt->gauge ? 1.0 : 0.0;
            }
            $rows[] = $row;
            $values[] = $r->mm;
            $scatter[] = $r->scatterMm;
        }
        $stated = $ownDof + $otherDof > 0 ? $otherDof : FittedForm::FIGURE_DOF;
        $dof = count($readings) - 1 + $stated;
        [$scale, $oval, $taper] = [1.0, self::OVAL_MM, self::TAPER_MM];
        for ($pass = 0; ; $pass++) {
            $each = $oval / M_SQRT2;
            $known = [$taper, $each, $each, ...$several ? array_values($gauges->shifts) : []];
            $fit = self::fit($rows, $values, $scatter, $known, $scale);
            [$mean, $t, $p, $q] = $fit->found;
            $var = $fit->covariance;
            if ($pass === self::PASSES) {
                break;
            }
            $scale = max($gauges->digit, $dof > 0 ? sqrt(($fit->squares + $stated) / $dof) : 1.0);
            // One that shows more form than is usual is of those that have it.
            $oval = max(self::OVAL_MM, sqrt($p ** 2 + $q ** 2 + $var[2][2] + $var[3][3]));
            $taper = max(self::TAPER_MM, sqrt($t ** 2 + $var[1][1]));
        }
        // Form narrows the fit whichever way it lies, so it counts with what it comes to on average, not as nothing.
        $across = new Rice(hypot($p, $q), sqrt(($var[2][2] + $var[3][3]) / 2));
        $along = new FoldedNormal($t, sqrt($var[1][1]));
        $half = $across->mean() + $along->mean() / 2;
        $ends = $var[0][0] + $across->variance() + $along->variance() / 4 + abs($along->sureness() * $var[0][1]);
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
                'Not all of its form shows yet: the chance allows for what is usual, ±{o} out of round and a taper of {t}, until more places are read or a surer gauge shows them.',
                ['o' => LengthWriter::difference(self::OVAL_MM), 't' => LengthWriter::difference(self::TAPER_MM)],
            ),
        );
    }
}

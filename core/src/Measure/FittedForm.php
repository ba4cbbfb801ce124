<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Number\IncompleteBeta;
use Oldpart\Core\Number\LinearFit;
use Oldpart\Core\Number\StudentT;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * Size, taper and out-of-round of a round surface fitted to all of its spots, so that the form is told apart from what
 * the gauge scatters: the smallest of twelve noisy readings is smaller than the bore is. In mm, at 20 °C.
 */
final readonly class FittedForm implements \JsonSerializable
{
    /** Fewer spots than three stations by two angles show the scatter as form. Common practice. */
    public const LEAST_SPOTS = 6;

    /** Form that scatter alone would show once in so many is not called form: out of round, and taper, each. */
    private const BY_CHANCE = 0.025;

    /** What is left over and would come of scatter once in a hundred is form of another kind. */
    private const BEYOND = 0.01;

    /** A stated figure of repeatability and feel, good to a half, counts for so much: JCGM 100:2008, equation G.3. */
    public const FIGURE_DOF = 2.0;

    /** Where what is left over is set against it, it is taken as good to a quarter. */
    private const FIGURE_DOF_LEFT = 8.0;

    private function __construct(
        public float $meanMm,
        public float $matingMm,
        public float $looseMm,
        /** Largest less smallest across; 0 where it is rounder than the gauge can tell, null where it can't be seen. */
        public ?float $ovalityMm,
        /** Where it is largest across, degrees; null where it is round. */
        public ?float $ovalityAtDeg,
        /** Last station less first; null with one station. */
        public ?float $taperMm,
        public float $noiseMm,
        /** Of the mating and the loose size. */
        public float $u95Mm,
        public float $u95MeanMm,
        /** Out-of-round that would not show, mm; null where it can't be seen or was found. */
        public ?float $ovalityHiddenMm,
        /** False: more is left over than the gauge scatters, so it has another form and the raw extremes count. */
        public bool $describes,
        /** Read at two angles only: out of round along those. */
        public bool $twoAngles,
        public float $k,
        /** The factor in that of the mean. */
        public float $kMean,
        /** Of the doubts, by how much the gauge itself may be off either way, mm; 0 with several. */
        public float $flatMm = 0.0,
    ) {
    }

    /**
     * L = m + t·z + p·cos 2θ + q·sin 2θ, z from −½ at the first station to ½ at the last. Each instrument's own shift
     * is an unknown too, known to be zero within its permissible error. With one station there is no t; with two angles
     * about square to each other p lies along them and there is no q; with one angle neither.
     *
     * @param  list<WeighedReading>  $readings
     * @param  list<string>  $stations  in order
     * @param  float  $ownDof  degrees of freedom of repeats at the spots of this surface, which the scatter came from
     * @param  float  $otherDof  of repeats elsewhere; 0 with neither: the scatter is the instruments' stated figure
     * @return ?self null with fewer than six spots, angles that are not numbers, or two angles not square to each other
     *
     * Sources: least squares; JCGM 100:2008 for the doubt; variance ratio for what scatter alone would show.
     */
    public static function of(
        SurfaceKind $kind,
        array $readings,
        array $stations,
        float $ownDof,
        float $otherDof,
    ): ?self {
        if ($kind === SurfaceKind::Length || count($readings) < self::LEAST_SPOTS) {
            return null;
        }
        $design = FormDesign::of($readings, $stations);
        if ($design->isBlind || $design->spots < self::LEAST_SPOTS) {
            return null;
        }
        $gauges = GaugeFigures::of($readings);
        $values = array_column($readings, 'mm');
        $shapes = ($design->hasTaper ? 1 : 0) + $design->ovals;
        if ($gauges->isEven) {
            $fit = $design->even()?->fit($values);
            $squares = ($fit->squares ?? 0.0) / $gauges->scatterMm ** 2;
        } else {
            $fit = self::fit($design->rows, $readings, $gauges->shifts, 1.0);
            $squares = $fit->squares ?? 0.0;
        }
        if ($fit === null) {
            return null;
        }
        // Where the scatter is one's own, repeats here are among the readings already.
        $free = count($readings) - 1 - $shapes;
        $stated = $ownDof + $otherDof > 0 ? $otherDof : self::FIGURE_DOF;
        // Where it is one's own and nothing is left over, it stays as it is.
        $scale = $free + $stated > 0 ? sqrt(($squares + $stated) / ($free + $stated)) : 1.0;
        // Readings all alike still are no surer than the last digit.
        $scale = max($scale, $gauges->digit);
        $leftOver = max(0.0, $squares - $ownDof);
        $leftDof = max(1.0, $free - $ownDof);
        $describes = $free <= $ownDof
            || IncompleteBeta::ratioAbove(
                $leftOver / $leftDof,
                $leftDof,
                $ownDof + $otherDof > 0 ? $ownDof + $otherDof : self::FIGURE_DOF_LEFT,
            ) >= self::BEYOND;
        $fit = $gauges->isEven ? $fit : self::fit($design->rows, $readings, $gauges->shifts, $scale) ?? $fit;

        return self::read(
            kind: $kind,
            fit: $fit,
            per: $gauges->isEven ? $scale * $gauges->scatterMm : 1.0,
            dof: max($free + $stated, 1.0),
            hasTaper: $design->hasTaper,
            ovals: $design->ovals,
            fromDeg: $design->fromDeg,
            commonMm: $gauges->commonMm(),
            noiseMm: $scale * $gauges->scatterMm,
            describes: $describes,
            flatMm: $gauges->flatMm(),
        );
    }

    /**
     * @param  list<list<float>>  $rows
     * @param  list<WeighedReading>  $readings
     * @param  array<string, float>  $shifts  by how much each gauge may be off, mm
     */
    private static function fit(array $rows, array $readings, array $shifts, float $scale): ?LinearFit
    {
        $own = count($rows[0]);
        $several = count($shifts) > 1;
        [$values, $weights] = [[], []];
        foreach ($readings as $i => $r) {
            foreach ($several ? array_keys($shifts) : [] as $gauge) {
                $rows[$i][] = (string) $gauge === $r->doubt->gauge ? 1.0 : 0.0;
            }
            $values[] = $r->mm;
            $weights[] = 1 / ($scale * $r->scatterMm) ** 2;
        }
        foreach ($several ? array_values($shifts) : [] as $i => $shift) {
            $row = array_fill(0, $own + count($shifts), 0.0);
            $row[$own + $i] = 1.0;
            $rows[] = $row;
            $values[] = 0.0;
            $weights[] = 1 / $shift ** 2;
        }

        return LinearFit::of($rows, $values, $weights);
    }

    private static function read(
        SurfaceKind $kind,
        LinearFit $fit,
        float $per,
        float $dof,
        bool $hasTaper,
        int $ovals,
        float $fromDeg,
        float $commonMm,
        float $noiseMm,
        bool $describes,
        float $flatMm,
    ): self {
        $n = count($fit->found);
        $var = $fit->covariance;
        $mean = $fit->found[0];
        $factors = array_fill(0, $n, 0.0);
        $factors[0] = 1.0;
        $ofMean = $per ** 2 * $fit->varianceOf($factors);
        // Form too small to be told from scatter may be there still: what was seen of it stays in the ends' doubt.
        $unshown = 0.0;
        [$taper, $half] = [null, 0.0];
        if ($hasTaper) {
            $its = $per ** 2 * $var[1][1];
            $shown = self::byChance($fit->found[1] ** 2 / $its, 1, $dof) < self::BY_CHANCE;
            $taper = $shown ? $fit->found[1] : 0.0;
            $half = abs($taper) / 2;
            $factors[1] = ($shown ? $taper <=> 0.0 : 0) / 2;
            $unshown += $shown ? 0.0 : max($its, $fit->found[1] ** 2) / 4;
        }
        [$ovality, $hidden, $at, $amplitude] = [null, null, null, 0.0];
        if ($ovals > 0) {
            $first = $hasTaper ? 2 : 1;
            $p = $fit->found[$first];
            $q = $ovals === 2 ? $fit->found[$first + 1] : 0.0;
            [$pp, $pq, $qq] = [
                $per ** 2 * $var[$first][$first],
                $ovals === 2 ? $per ** 2 * $var[$first][$first + 1] : 0.0,
                $ovals === 2 ? $per ** 2 * $var[$first + 1][$first + 1] : 1.0,
            ];
            $ratio = ($p * $p * $qq - 2 * $p * $q * $pq + $q * $q * $pp) / ($pp * $qq - $pq * $pq) / $ovals;
            $shown = self::byChance($ratio, $ovals, $dof) < self::BY_CHANCE;
            $amplitude = $shown ? hypot($p, $q) : 0.0;
            $ovality = 2 * $amplitude;
            $worst = $ovals === 2 ? max($pp, $qq) : $pp;
            if ($shown) {
                $at = fmod(rad2deg(atan2($q, $p)) / 2 + $fromDeg + 360, 180);
                $factors[$first] = $p / $amplitude;
                if ($ovals === 2) {
                    $factors[$first + 1] = $q / $amplitude;
                }
            } else {
                $hidden = 2 * sqrt($ovals * $worst * self::ratioOf($ovals, $dof));
                $unshown += max($worst, $p * $p + $q * $q);
            }
        }
        $down = array_map(static fn (float $f, int $i): float => $i === 0 ? $f : -$f, $factors, array_keys($factors));
        $ofEnds = $per ** 2 * max($fit->varianceOf($factors), $fit->varianceOf($down)) + $unshown;
        [$u95, $k] = self::expanded($ofEnds, $dof, $commonMm);
        [$u95Mean, $kMean] = self::expanded($ofMean, $dof, $commonMm);
        $ends = [$mean - $amplitude - $half, $mean + $amplitude + $half];
        [$mating, $loose] = $kind === SurfaceKind::Bore ? $ends : [$ends[1], $ends[0]];

        return new self(
            meanMm: $mean,
            matingMm: $mating,
            looseMm: $loose,
            ovalityMm: $ovality,
            ovalityAtDeg: $at,
            taperMm: $taper,
            noiseMm: $noiseMm,
            u95Mm: $u95,
            u95MeanMm: $u95Mean,
            ovalityHiddenMm: $hidden,
            describes: $describes,
            twoAngles: $ovals === 1,
            k: $k,
            kMean: $kMean,
            flatMm: $flatMm,
        );
    }

    /** The chance that scatter alone comes to this variance ratio. */
    private static function byChance(float $ratio, int $over, float $under): float
    {
        return $over === 2
            ? (1 + (2 * $ratio) / $under) ** (-$under / 2)
            : IncompleteBeta::ratioAbove($ratio, 1, $under);
    }

    /** The ratio that scatter alone reaches once in forty; for one term by Cornish and Fisher's expansion of t. */
    private static function ratioOf(int $over, float $under): float
    {
        if ($over === 2) {
            return ($under / 2) * (self::BY_CHANCE ** (-2 / $under) - 1);
        }
        $z = 2.241402727604947;
        $t = $z + ($z ** 3 + $z) / (4 * $under) + (5 * $z ** 5 + 16 * $z ** 3 + 3 * $z) / (96 * $under ** 2);

        return $t * $t;
    }

    /** @return array{float, float} U95 and its k */
    public static function expanded(float $variance, float $dof, float $commonMm): array
    {
        $u = sqrt($variance + $commonMm ** 2);
        $effective = $variance > 0 ? ($dof * $u ** 4) / $variance ** 2 : INF;
        $k = $effective > 30 ? 2.0 : StudentT::k95($effective);

        return [$k * $u, $k];
    }

    /** The same form, were it read as sure as this, mm. */
    public function withU95(float $u95Mm, float $flatMm = 0.0): self
    {
        return $this->with($u95Mm, $u95Mm, [2.0, 2.0], $flatMm);
    }

    /** Of gauges that disagree: by how much its doubts grow. */
    public function widened(float $times): self
    {
        return $times <= 1.0 ? $this : $this->with(
            $times * $this->u95Mm,
            $times * $this->u95MeanMm,
            [$this->k, $this->kMean],
            0.0,
        );
    }

    /** @param  array{float, float}  $k  of the two */
    private function with(float $u95Mm, float $u95MeanMm, array $k, float $flatMm): self
    {
        return new self(
            meanMm: $this->meanMm,
            matingMm: $this->matingMm,
            looseMm: $this->looseMm,
            ovalityMm: $this->ovalityMm,
            ovalityAtDeg: $this->ovalityAtDeg,
            taperMm: $this->taperMm,
            noiseMm: $this->noiseMm,
            u95Mm: $u95Mm,
            u95MeanMm: $u95MeanMm,
            ovalityHiddenMm: $this->ovalityHiddenMm,
            describes: $this->describes,
            twoAngles: $this->twoAngles,
            k: $k[0],
            kMean: $k[1],
            flatMm: $flatMm,
        );
    }

    /** Out of round with its direction, and taper; what the gauge's scatter alone would show is none. */
    public function inWords(): Say
    {
        $d = static fn (float $mm): Say => LengthWriter::difference($mm);
        $round = match (true) {
            $this->ovalityMm === null => Say::plain('out of round not seen'),
            $this->ovalityAtDeg === null => Say::plain('round as far as the gauge can tell'),
            default => Say::with('out of round {d}, largest at {a}°', [
                'd' => $d($this->ovalityMm),
                'a' => number_format($this->ovalityAtDeg),
            ]),
        };

        return $this->taperMm === null
            ? $round
            : Say::with('{r}; '.($this->taperMm === 0.0 ? 'no taper that shows' : 'taper {t}'), [
                'r' => $round,
                't' => $d($this->taperMm),
            ]);
    }

    /** @return list<Note> what it cannot tell */
    public function notes(): array
    {
        if (! $this->describes) {
            return [
                Note::info(
                    'other-form',
                    'It is worn in places, belled or of another shape: taper and out of round do not explain what was read. The raw smallest and largest count.',
                ),
            ];
        }
        $notes = [];
        if ($this->ovalityHiddenMm !== null) {
            $notes[] = Note::info(
                'rounder-than-gauge',
                Say::with('Rounder than this gauge can tell: out of round by less than {d} would not show in what it scatters.', [
                    'd' => LengthWriter::atLeast($this->ovalityHiddenMm),
                ]),
            );
            if ($this->ovalityHiddenMm > LikelyForm::OVAL_MM) {
                $notes[] = LikelyForm::note();
            }
        }
        if ($this->twoAngles) {
            $notes[] = Note::info(
                'two-angles',
                'Read at two angles: out of round is seen along those only. A third angle between them shows its direction.',
            );
        }

        return $notes;
    }

    /** @return array<string, float|bool|null> */
    public function jsonSerialize(): array
    {
        return [
            'mean_mm' => $this->meanMm,
            'mating_mm' => $this->matingMm,
            'loose_mm' => $this->looseMm,
            'ovality_mm' => $this->ovalityMm,
            'ovality_at_deg' => $this->ovalityAtDeg,
            'taper_mm' => $this->taperMm,
            'noise_mm' => $this->noiseMm,
            'u95_mm' => $this->u95Mm,
            'u95_mean_mm' => $this->u95MeanMm,
            'describes' => $this->describes,
        ];
    }
}

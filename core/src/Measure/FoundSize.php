<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * What a set of readings says of a surface, at 20 °C, in mm. Form is null where the readings cannot show it.
 */
final readonly class FoundSize implements \JsonSerializable
{
    /**
     * @param  array<string, float>  $stations  mean by station, in order
     * @param  list<array{station: string, angle: string, mm: float, n: int}>  $spots
     */
    public function __construct(
        public SurfaceKind $kind,
        public float $meanMm,
        public float $matingMm,
        public float $looseMm,
        public ?float $ovalityMm,
        public ?float $taperMm,
        public ?float $bellMm,
        public ?float $repeatabilityMm,
        public float $u95Mm,
        public float $u95MeanMm,
        public float $k,
        public ?float $dof,
        public int $count,
        public array $stations,
        public array $spots,
        public ?float $wornMeanMm,
        public ?float $unwornMeanMm,
        /** Worked out when it is asked for: most who want a size want nothing else. */
        private SaidOfSize $said = new SaidOfSize(),
        /** Its form told apart from the gauge's scatter; null with too few spots. */
        public ?FittedForm $fitted = null,
        /** @var (\Closure(): ?LikelyForm)|null what it is likely to be like; worked out when it is asked for */
        private ?\Closure $likely = null,
        /** Of the doubts, by how much the gauge itself may be off either way, mm; 0 with several. */
        public float $flatMm = 0.0,
        /** The factor in that of the mean. */
        public float $kMean = 2.0,
        /** @var (\Closure(int, bool): self)|null were it read more often, or against a master */
        private ?\Closure $expecting = null,
    ) {
    }

    /**
     * A size nobody read here: typed, with how sure it is.
     *
     * @param  float  $mm  above 0
     * @param  float  $sureMm  ±, 0 or more
     */
    public static function typed(SurfaceKind $kind, float $mm, float $sureMm, ?Note $note = null): self
    {
        return new self(
            kind: $kind,
            meanMm: $mm,
            matingMm: $mm,
            looseMm: $mm,
            ovalityMm: null,
            taperMm: null,
            bellMm: null,
            repeatabilityMm: null,
            u95Mm: $sureMm,
            u95MeanMm: $sureMm,
            k: 2.0,
            dof: null,
            count: 0,
            stations: [],
            spots: [],
            wornMeanMm: null,
            unwornMeanMm: null,
            said: new SaidOfSize(notes: static fn (): array => $note === null ? [] : [$note]),
        );
    }

    /** How it was found, step by step. */
    public function working(): Working
    {
        return $this->said->working();
    }

    /** @return list<Share> what makes it unsure, largest first */
    public function budget(): array
    {
        return $this->said->budget();
    }

    /** @return list<Slip> what looks like a slip of the hand or the eye among its readings */
    public function slips(): array
    {
        return $this->said->slips();
    }

    /** @return list<Note> */
    public function notes(): array
    {
        return $this->said->notes();
    }

    /** The same sizes, were they read as sure as this, mm. */
    public function withU95(float $u95Mm, float $flatMm = 0.0): self
    {
        return new self(
            kind: $this->kind,
            meanMm: $this->meanMm,
            matingMm: $this->matingMm,
            looseMm: $this->looseMm,
            ovalityMm: $this->ovalityMm,
            taperMm: $this->taperMm,
            bellMm: $this->bellMm,
            repeatabilityMm: $this->repeatabilityMm,
            u95Mm: $u95Mm,
            u95MeanMm: $u95Mm,
            k: 2.0,
            dof: null,
            count: $this->count,
            stations: $this->stations,
            spots: $this->spots,
            wornMeanMm: $this->wornMeanMm,
            unwornMeanMm: $this->unwornMeanMm,
            said: $this->said,
            fitted: $this->fitted?->withU95($u95Mm, $flatMm),
            likely: fn (): ?LikelyForm => $this->likely()?->withU95($u95Mm, $flatMm),
            flatMm: $flatMm,
        );
    }

    /**
     * As it would be found with so many more readings at each of the places that decide, each coming out as that place
     * did; or with the gauge set on a master of about its size. The same where it was not read.
     */
    public function expecting(int $more, bool $compared = false): self
    {
        return $this->expecting === null ? $this : ($this->expecting)($more, $compared);
    }

    /** @return list<array{station: string, angle: string, n: int}> where it is tightest and where it is loosest */
    public function deciding(): array
    {
        $deciding = [];
        foreach ($this->spots as $spot) {
            if ($spot['mm'] === $this->matingMm || $spot['mm'] === $this->looseMm) {
                $deciding[] = ['station' => $spot['station'], 'angle' => $spot['angle'], 'n' => $spot['n']];
            }
        }

        return $deciding;
    }

    /** Fitted, where it is and describes the surface; otherwise as it was read. */
    public function form(): ?FittedForm
    {
        return $this->fitted?->describes === true ? $this->fitted : null;
    }

    /** What it is most likely to be like, for a chance; as it was read where taper and oval do not explain it. */
    public function likeliest(): LikelyForm|self
    {
        return $this->fitted?->describes === false ? $this : $this->likely() ?? $this;
    }

    private function likely(): ?LikelyForm
    {
        return $this->likely === null ? null : ($this->likely)();
    }

    /** Where it is smallest, mm: of the form that was fitted, otherwise the smallest spot. */
    public function smallestMm(): float
    {
        $of = $this->form() ?? $this;

        return min($of->matingMm, $of->looseMm);
    }

    public function largestMm(): float
    {
        $of = $this->form() ?? $this;

        return max($of->matingMm, $of->looseMm);
    }

    /** U95 of the smallest and the largest, mm. */
    public function sureMm(): float
    {
        return ($this->form() ?? $this)->u95Mm;
    }

    /**
     * U95 of the mean, mm. Of a fitted form it is that of its own mean, and as much more as the mean of the stations
     * lies off it, where some were read at fewer angles than others.
     */
    public function sureMeanMm(): float
    {
        $form = $this->form();

        return $form === null ? $this->u95MeanMm : $form->u95MeanMm + abs($this->meanMm - $form->meanMm);
    }

    /**
     * Form, spread and wear in words, each by its name; what the readings can't show is left out. The larger end of a
     * taper and of a bell-mouth is said, since a sign means nothing at the lathe.
     *
     * @return list<array{name: string, says: Say}>
     */
    public function formInWords(): array
    {
        $d = static fn (float $mm): Say => LengthWriter::difference($mm);
        $ends = array_keys($this->stations);
        $rows = [];
        if ($this->ovalityMm !== null) {
            $rows[] = ['name' => 'out of round', 'says' => $d($this->ovalityMm)];
        }
        if ($this->taperMm !== null) {
            $rows[] = [
                'name' => 'taper',
                'says' => Say::with('{d}, larger at '.($this->taperMm < 0 ? $ends[0] : $ends[count($ends) - 1]), [
                    'd' => $d($this->taperMm),
                ]),
            ];
        }
        if ($this->bellMm !== null) {
            $rows[] = [
                'name' => $this->bellMm < 0 ? 'barrel' : 'bell-mouth',
                'says' => Say::with($this->bellMm < 0 ? '{d} larger in the middle' : '{d} larger at the ends', [
                    'd' => $d($this->bellMm),
                ]),
            ];
        }
        $face =
            $this->kind === SurfaceKind::Length
                ? Parallel::of(
                    array_map(
                        static fn (array $s): array => ['deg' => (float) $s['angle'], 'mm' => $s['mm']],
                        array_values(array_filter($this->spots, static fn (array $s): bool => is_numeric($s['angle']))),
                    ),
                )
                : null;
        if ($face !== null) {
            $rows[] = [
                'name' => 'out of parallel',
                'says' => Say::with('{d}, thickest at '.number_format($face->thickestDeg).'°', [
                    'd' => $d($face->wedgeMm),
                ]),
            ];
            if ($face->offFlatMm !== null) {
                $rows[] = ['name' => 'off flat', 'says' => $d($face->offFlatMm)];
            }
            $rows[] = [
                'name' => 'cleans up',
                'says' => Say::with('with {d} off the thick side', ['d' => $d($face->cleanUpMm)]),
            ];
        }
        if ($this->repeatabilityMm !== null) {
            $rows[] = [
                'name' => 'repeats to',
                'says' => Say::with('{d} (1 s.d.)', ['d' => $d($this->repeatabilityMm)]),
            ];
        }
        if ($this->wornMeanMm !== null && $this->unwornMeanMm !== null) {
            $rows[] = [
                'name' => 'worn',
                'says' => Say::with(
                    '{d} '.($this->wornMeanMm < $this->unwornMeanMm ? 'smaller' : 'larger').' than unworn, {u}',
                    [
                        'd' => $d($this->wornMeanMm - $this->unwornMeanMm),
                        'u' => LengthWriter::sizeInWords($this->unwornMeanMm),
                    ],
                ),
            ];
        }

        return $rows;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'mean_mm' => $this->meanMm,
            'mating_mm' => $this->matingMm,
            'loose_mm' => $this->looseMm,
            'ovality_mm' => $this->ovalityMm,
            'taper_mm' => $this->taperMm,
            'bell_mm' => $this->bellMm,
            'repeatability_mm' => $this->repeatabilityMm,
            'u95_mm' => $this->u95Mm,
            'u95_mean_mm' => $this->u95MeanMm,
            'k' => $this->k,
            'dof' => $this->dof,
            'count' => $this->count,
            'worn_mean_mm' => $this->wornMeanMm,
            'unworn_mean_mm' => $this->unwornMeanMm,
            'fitted' => $this->fitted,
            'budget' => $this->budget(),
            'notes' => $this->notes(),
            'working' => $this->working(),
        ];
    }
}

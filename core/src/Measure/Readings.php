<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Number\StudentT;
use Oldpart\Core\Quantity\LengthWriter;

/** From readings to a found size with its form and uncertainty. */
final readonly class Readings
{
    /**
     * @param  list<Reading>  $readings  those that count; set-aside ones left out
     * @param  (\Closure(): list<Note>)|null  $remarks  what the caller has to add
     */
    public function __construct(
        public SurfaceKind $kind,
        public array $readings,
        public Instrument $instrument,
        public Warmth $warmth = new Warmth(),
        private ?\Closure $remarks = null,
        /**
         * @var (\Closure(string): array{squares: float, dof: int})|null what the job's other surfaces say of how an instrument repeats, by its code; mm²
         */
        private ?\Closure $elsewhere = null,
        /** @var array<string, array{float, int}> how each instrument is taken to repeat, with its degrees of freedom */
        private array $taken = [],
    ) {
    }

    /**
     * Repeats at a spot (one station and angle) are averaged first; the mean is the mean of station means. Mating size:
     * the smallest spot of a bore, the largest of anything else; loose size the other way. U95 is that of one spot's
     * mean, n the fewest readings over the two spots that decide, with the least sure instrument used there; u95 of the
     * mean uses all readings.
     *
     * Sources: JCGM 100:2008 (GUM) for the budget and Welch-Satterthwaite; ISO 1 for 20 °C; form: common practice.
     *
     * @throws BadInput without readings, or with one that is not a plausible size
     */
    public function found(): FoundSize
    {
        $atTwenty = $this->atTwenty();
        $spots = $this->spots($atTwenty);
        $roughly = array_sum($atTwenty) / count($atTwenty);
        [$weighed, $names, $ownDof, $otherDof, $repeats] = $this->weighed($atTwenty, $spots, $roughly);
        $several = count($names) > 1 ? SeveralGauges::of($weighed, $names) : null;
        $sizes = $several->sizes ?? array_map(self::mean(...), $spots);
        $byStation = self::spotsByStation($sizes);
        $stations = self::stationMeans($sizes, $byStation);
        $mean = array_sum($stations) / count($stations);
        $smallest = (string) array_search(min($sizes), $sizes, true);
        $largest = (string) array_search(max($sizes), $sizes, true);
        [$mating, $loose] = $this->kind === SurfaceKind::Bore ? [$smallest, $largest] : [$largest, $smallest];

        $deciding = $this->leastSure($mean, $this->at($mating, $loose));
        $tool = $deciding->instrument ?? $this->instrument;
        [$pooled, $dof] = $repeats[$tool->code];
        $fromRepeats = $dof >= 2;
        $s = $fromRepeats ? $pooled : ($tool->repeatabilityMm > 0 ? $tool->repeatabilityMm : null);
        $n = min(count($spots[$mating]), count($spots[$loose]));
        $others = $this->doubt($mean, $deciding)->others($fromRepeats);
        $own = $fromRepeats ? $s ?? 0.0 : ($s ?? 0.0) * $deciding->scatterFactor();
        $repeat = $own / sqrt($n);
        $nu = $fromRepeats ? (float) $dof : INF;
        if ($several !== null) {
            // Combined by their doubts; what is common to all, the part's warmth, stays.
            $sigma = max($several->sigmaAt($mating), $several->sigmaAt($loose));
            [$repeat, $nu, $n] = [0.0, INF, 1];
            $others = ['gauges together' => $sigma, 'temperature' => $others['temperature']];
        }
        [$u95, $k, $effective] = $this->expanded($repeat, $nu, $others);
        [$u95Mean, $kMean] =
            $several === null
                ? $this->ofMean(self::differing($weighed), $mean, $tool, $own, $nu, $fromRepeats)
                : $this->expanded(0.0, INF, [
                    'gauges together' => $several->sigmaOfMean($byStation),
                    'temperature' => $others['temperature'],
                ]);
        $along = array_map(strval(...), array_keys($stations));
        $fitted = FittedForm::of($this->kind, $weighed, $along, $ownDof, $otherDof);
        $widened = $several->widened ?? 1.0;
        $likely = function () use ($weighed, $along, $ownDof, $otherDof, $widened): ?LikelyForm {
            /** @var ?LikelyForm $once */
            static $once = null;

            return $once ??= LikelyForm::of($this->kind, $weighed, $along, $ownDof, $otherDof)?->widened($widened);
        };

        $round = $this->kind !== SurfaceKind::Length;
        $ovality = $round ? self::ovality($sizes, $byStation) : null;
        $taper = $round && count($stations) > 1 ? end($stations) - reset($stations) : null;
        $worn = $this->meanOf(true, $atTwenty);
        $unworn = $this->meanOf(false, $atTwenty);

        $spotRows = [];
        foreach ($spots as $key => $values) {
            [$station, $angle] = explode("\0", (string) $key);
            $spotRows[] = [
                'station' => $station,
                'angle' => $angle,
                'mm' => $sizes[$key],
                'n' => count($values),
            ];
        }
        $said = new SaidOfSize(
            budget: fn (): array => $this->budget($repeat, $others, $fromRepeats),
            slips: fn (): array => Slips::in($this),
            notes: fn (SaidOfSize $said): array => [
                ...$this->notes($ovality, $said->budget(), $worn, $unworn, $s, $said->slips()),
                ...$several->notes ?? [],
                ...$fitted?->notes() ?? ($round ? [LikelyForm::note()] : []),
            ],
            working: fn (SaidOfSize $said): Working => $this->working(
                $mean,
                $sizes[$mating],
                $s,
                $fromRepeats,
                $n,
                $said->budget(),
                $k,
                $u95,
                $effective,
            ),
        );

        return new FoundSize(
            kind: $this->kind,
            meanMm: $mean,
            matingMm: $sizes[$mating],
            looseMm: $sizes[$loose],
            ovalityMm: $ovality,
            taperMm: $taper,
            bellMm: $round ? $this->bell($stations) : null,
            repeatabilityMm: $s,
            u95Mm: $u95,
            u95MeanMm: $u95Mean,
            k: $k,
            dof: is_finite($effective) ? $effective : null,
            count: count($this->readings),
            stations: $stations,
            spots: $spotRows,
            wornMeanMm: $worn,
            unwornMeanMm: $unworn,
            said: $said,
            fitted: $fitted?->widened($widened),
            likely: $likely,
            kMean: $kMean,
            flatMm: $several === null ? sqrt(3) * $others['gauge'] : 0.0,
            expecting: fn (int $more, bool $compared): FoundSize => $this->with(
                $more,
                $compared,
                [$mating => $sizes[$mating], $loose => $sizes[$loose]],
            )->found(),
        );
    }

    /**
     * @param  list<float>  $atTwenty
     * @param  non-empty-array<string, non-empty-list<float>>  $spots
     * @return array{non-empty-list<WeighedReading>, array<string, string>, float, float, array<string, array{float, int, int}>} each reading with its doubt; the gauges' names by what shifts together; degrees of freedom of own repeats here, and elsewhere, 0 where the instruments' figures count; how each gauge repeats, by its code
     */
    private function weighed(array $atTwenty, array $spots, float $roughly): array
    {
        assert($this->readings !== []);
        $own = [];
        $weighed = [];
        $names = [];
        [$doubt, $scatter] = [null, 0.0];
        foreach ($this->readings as $i => $reading) {
            if ($doubt === null || ! $reading->isAsSureAs($this->readings[$i - 1])) {
                $tool = $reading->instrument ?? $this->instrument;
                $doubt = $this->doubt($roughly, $reading);
                $own[$tool->code] ??= $this->pooled($tool, $this->spotsOf($tool, $atTwenty, $spots));
                [$pooled, $dof] = $own[$tool->code];
                $names[$doubt->gauge] ??= $tool->name;
                $scatter = max(1e-6, $doubt->scatterMm($dof >= 2 ? $pooled : null));
            }
            $weighed[] = new WeighedReading($atTwenty[$i], $reading, $doubt, $scatter);
        }
        $here = 0.0;
        $elsewhere = 0.0;
        foreach ($own as $code => [, $dof, $its]) {
            if ($dof < 2) {
                return [$weighed, $names, 0.0, 0.0, $own];
            }
            $here += $its;
            $elsewhere += $dof - $its;
        }

        return [$weighed, $names, $here, $elsewhere, $own];
    }

    /**
     * @param  array<string, float>  $at  what more readings there would come out as, by spot, mm
     */
    private function with(int $more, bool $compared, array $at): self
    {
        $readings = $this->readings;
        foreach ($at as $spot => $mm) {
            foreach ($this->readings as $reading) {
                if ($reading->spot === $spot) {
                    $warm = $mm * ($reading->valueMm / $this->warmth->atTwenty($reading));
                    array_push($readings, ...array_fill(0, $more, $reading->reading($warm)));
                    break;
                }
            }
        }
        $taken = [];
        foreach ($this->readings as $reading) {
            $tool = $reading->instrument ?? $this->instrument;
            if (! isset($taken[$tool->code])) {
                $atTwenty = $this->atTwenty();
                [$s, $dof] = $this->pooled($tool, $this->spotsOf($tool, $atTwenty, $this->spots($atTwenty)));
                $taken[$tool->code] = [
                    $dof >= 2 ? $s : hypot($tool->repeatabilityMm, $tool->feelMm),
                    $dof + $more * count($at),
                ];
            }
        }

        $master = $this->readings[0]->masterMm ?? $this->readings[0]->valueMm;

        return new self(
            kind: $this->kind,
            readings: $compared
                ? array_map(static fn (Reading $r): Reading => $r->against($master), $readings)
                : $readings,
            instrument: $this->instrument,
            warmth: $this->warmth,
            taken: $more > 0 ? $taken : [],
            elsewhere: $this->elsewhere,
        );
    }

    private function doubt(float $sizeMm, Reading $reading): ReadingDoubt
    {
        return ReadingDoubt::of(
            $reading,
            $reading->instrument ?? $this->instrument,
            $this->warmth,
            $this->kind,
            $sizeMm,
        );
    }

    /**
     * @param  non-empty-list<WeighedReading>  $weighed
     * @return non-empty-list<Reading> one of each that are as sure as each other and stand together
     */
    private static function differing(array $weighed): array
    {
        $last = $weighed[0]->doubt;
        $differing = [$weighed[0]->read];
        foreach ($weighed as $one) {
            if ($one->doubt !== $last) {
                $last = $one->doubt;
                $differing[] = $one->read;
            }
        }

        return $differing;
    }

    /**
     * @param  non-empty-list<Reading>  $differing
     * @return array{float, float, float} U95 of the mean, by the least sure reading, mm; its factor; degrees of freedom
     */
    private function ofMean(
        array $differing,
        float $mean,
        Instrument $tool,
        float $own,
        float $nu,
        bool $fromRepeats,
    ): array {
        $poorest = $this->leastSure($mean, $differing);
        $poorestTool = $poorest->instrument ?? $this->instrument;
        $its = $poorestTool->repeatabilityMm * $poorest->scatterFactor();
        if ($fromRepeats) {
            $its = $poorestTool->code === $tool->code ? $own : max($own, $its);
        }

        return $this->expanded(
            $its / sqrt(count($this->readings)),
            $nu,
            $this->doubt($mean, $poorest)->others($fromRepeats && $poorestTool->code === $tool->code),
        );
    }

    /**
     * @return non-empty-list<float> each as it is at 20 °C
     *
     * @throws BadInput
     */
    private function atTwenty(): array
    {
        $atTwenty = [];
        foreach ($this->readings as $i => $reading) {
            if (! ($reading->valueMm > 0 && $reading->valueMm <= 20000)) {
                throw new BadInput(
                    'reading',
                    "readings.{$i}.value_mm",
                    'Reading '.($i + 1).' is not a size between 0 and 20 m.',
                );
            }
            [$part, $gauge] = [$reading->partC ?? 20.0, $reading->gaugeC ?? 20.0];
            if ($part < -60 || $part > 400 || $gauge < -60 || $gauge > 400) {
                throw new BadInput(
                    'temperature',
                    "readings.{$i}.".($part < -60 || $part > 400 ? 'part_c' : 'gauge_c'),
                    'A part is measured between −60 and 400 °C. Check the temperature.',
                );
            }
            $atTwenty[] = $this->warmth->atTwenty($reading);
        }

        return $atTwenty === []
            ? throw new BadInput('no-readings', 'readings', 'There are no readings yet. Take at least one.')
            : $atTwenty;
    }

    /**
     * @param  list<float>  $atTwenty
     * @return non-empty-array<string, non-empty-list<float>> corrected values by spot, in order of appearance
     */
    private function spots(array $atTwenty): array
    {
        $spots = [];
        foreach ($this->readings as $i => $reading) {
            $spots[$reading->spot][] = $atTwenty[$i];
        }
        assert($spots !== []);

        return $spots;
    }

    /**
     * @param  non-empty-array<string, float>  $sizes  by spot
     * @param  non-empty-array<string, non-empty-list<string>>  $byStation
     * @return non-empty-array<string, float> in the order of the stations' numbers, else of first appearance
     */
    private static function stationMeans(array $sizes, array $byStation): array
    {
        $means = array_map(
            static fn (array $spots): float => self::mean(
                array_map(static fn (string $spot): float => $sizes[$spot], $spots),
            ),
            $byStation,
        );
        if (array_filter(array_keys($means), static fn (int|string $name): bool => ! is_numeric($name)) === []) {
            ksort($means, SORT_NUMERIC);
        }
        $named = [];
        foreach ($means as $name => $mean) {
            $named[(string) $name] = $mean;
        }

        return $named;
    }

    /**
     * @param  non-empty-array<string, float>  $sizes  by spot
     * @return non-empty-array<string, non-empty-list<string>> the spots of each station
     */
    private static function spotsByStation(array $sizes): array
    {
        $byStation = [];
        foreach (array_keys($sizes) as $key) {
            $byStation[explode("\0", (string) $key)[0]][] = (string) $key;
        }

        return $byStation;
    }

    /**
     * @param  list<float>  $atTwenty
     * @param  non-empty-array<string, non-empty-list<float>>  $spots  of all of them
     * @return array<string, non-empty-list<float>> what one instrument read, by spot
     */
    private function spotsOf(Instrument $tool, array $atTwenty, array $spots): array
    {
        $others = false;
        foreach ($this->readings as $reading) {
            if (($reading->instrument ?? $this->instrument) !== $tool) {
                $others = true;
                break;
            }
        }
        if (! $others) {
            return $spots;
        }
        $own = [];
        foreach ($this->readings as $i => $reading) {
            if (($reading->instrument ?? $this->instrument)->code === $tool->code) {
                $own[$reading->spot][] = $atTwenty[$i];
            }
        }

        return $own;
    }

    /**
     * @param  array<string, non-empty-list<float>>  $spots  what the instrument read
     * @return array{float, int, int} pooled standard deviation of one instrument's repeats within spots, with those elsewhere in the job where these say too little; its degrees of freedom; those of this surface alone
     */
    private function pooled(Instrument $tool, array $spots): array
    {
        if (isset($this->taken[$tool->code])) {
            return [...$this->taken[$tool->code], $this->taken[$tool->code][1]];
        }
        $squares = 0.0;
        $dof = 0;
        foreach ($spots as $values) {
            $mean = self::mean($values);
            foreach ($values as $value) {
                $squares += ($value - $mean) ** 2;
            }
            $dof += count($values) - 1;
        }

        $here = $dof;
        if ($dof < 2 && $this->elsewhere !== null) {
            $others = ($this->elsewhere)($tool->code);
            $squares += $others['squares'];
            $dof += $others['dof'];
        }

        return [$dof > 0 ? sqrt($squares / $dof) : 0.0, $dof, $here];
    }

    /** @return list<Reading> */
    private function at(string $spot, string $other): array
    {
        $there = [];
        foreach ($this->readings as $reading) {
            if ($reading->spot === $spot || $reading->spot === $other) {
                $there[] = $reading;
            }
        }

        return $there;
    }

    /** @param  list<Reading>  $readings  at least one */
    private function leastSure(float $mean, array $readings): Reading
    {
        $square = fn (Reading $r): float => $this->doubt($mean, $r)->variance();
        $worst = $readings[0];
        $most = $square($worst);
        foreach ($readings as $reading) {
            if ($reading->isAsSureAs($worst)) {
                continue;
            }
            $its = $square($reading);
            if ($its > $most) {
                [$worst, $most] = [$reading, $its];
            }
        }

        return $worst;
    }

    /**
     * @param  array<string, float>  $others
     * @return array{float, float, float} U95, k, effective degrees of freedom (INF when only type B counts)
     */
    private function expanded(float $repeat, float $nu, array $others): array
    {
        $uc = sqrt($repeat ** 2 + array_sum(array_map(static fn (float $u): float => $u * $u, $others)));
        $effective = $repeat > 0 && is_finite($nu) ? $nu * ($uc / $repeat) ** 4 : INF;
        $k = $effective > 30 ? 2.0 : StudentT::k95($effective);

        return [$k * $uc, $k, $effective];
    }

    /**
     * @param  array<string, float>  $others
     * @return list<Share>
     */
    private function budget(float $repeat, array $others, bool $fromRepeats): array
    {
        $improve = [
            'repeats' => $fromRepeats
                ? 'Repeat the reading at the spot that decides.'
                : 'Repeat each spot two or three times, so that your own spread counts.',
            'last digit' => 'Use an instrument with a finer last digit.',
            'gauges together' => 'Read the spot that decides with the surest of them again, or set it on a master of nearly the same size.',
            'gauge' => 'Set the gauge on a master of nearly the same size: its long-range error drops out.',
            'master' => 'Set it on a better master.',
            'jaws' => 'Read the bore with a gauge that is round where it touches, not with a calliper’s flat jaws.',
            'feel' => 'Repeat it two or three times, so that your own feel counts, or use a gauge that does not depend on feel, such as a three-point bore gauge.',
            'temperature' => 'Let part and gauge lie together until they are equally warm.',
        ];
        $parts = ['repeats' => $repeat, ...$others];
        $total = array_sum(array_map(static fn (float $u): float => $u * $u, $parts));
        $budget = [];
        foreach ($parts as $source => $u) {
            if ($u > 0) {
                $budget[] = new Share($source, $u, ($u * $u) / $total, $improve[$source]);
            }
        }
        usort($budget, static fn (Share $a, Share $b): int => $b->uMm <=> $a->uMm);

        return $budget;
    }

    /**
     * @param  non-empty-array<string, float>  $sizes  by spot
     * @param  non-empty-array<string, non-empty-list<string>>  $byStation
     */
    private static function ovality(array $sizes, array $byStation): ?float
    {
        $worst = null;
        foreach ($byStation as $spots) {
            if (count($spots) > 1) {
                $its = array_map(static fn (string $spot): float => $sizes[$spot], $spots);
                $worst = max($worst ?? 0.0, max($its) - min($its));
            }
        }

        return $worst;
    }

    /** @param  non-empty-array<string, float>  $stations  middle against ends; positive where the ends are larger */
    private function bell(array $stations): ?float
    {
        $means = array_values($stations);
        $n = count($means);
        if ($n < 3) {
            return null;
        }

        return ($means[0] + $means[$n - 1]) / 2 - array_sum(array_slice($means, 1, -1)) / ($n - 2);
    }

    /** @param  list<float>  $atTwenty */
    private function meanOf(bool $worn, array $atTwenty): ?float
    {
        $values = [];
        foreach ($this->readings as $i => $reading) {
            if ($reading->worn === $worn) {
                $values[] = $atTwenty[$i];
            }
        }

        return $values === [] ? null : array_sum($values) / count($values);
    }

    /**
     * @param  list<Share>  $budget
     * @param  list<Slip>  $slips
     * @return list<Note>
     */
    private function notes(?float $ovality, array $budget, ?float $worn, ?float $unworn, ?float $s, array $slips): array
    {
        $notes = $this->remarks === null ? [] : ($this->remarks)();
        if (count($this->readings) === 1) {
            $notes[] = Note::caution(
                'one-reading',
                'One reading only. Take it again at two or three places and angles.',
            );
        }
        if ($s === null) {
            $notes[] = Note::caution(
                'no-repeatability',
                'Nothing is known of how well this repeats: no repeats, and the instrument has no figure for it.',
            );
        }
        if ($this->kind !== SurfaceKind::Length && $ovality === null) {
            $notes[] = Note::info('form-unseen', 'Read it at several angles: out of round can’t be seen from one.');
        } elseif ($this->kind !== SurfaceKind::Length) {
            $notes[] = Note::info(
                'lobes-unseen',
                'Two-point readings can’t see three lobes. Use a V-block or a three-point gauge when it came from a three-jaw chuck, centreless grinding or a reamer.',
            );
        }
        if ($worn !== null && $unworn !== null) {
            $notes[] = Note::info(
                'wear',
                Say::with('Worn by {wear}: worn spots average {worn}, unworn {unworn}.', [
                    'wear' => LengthWriter::difference($worn - $unworn),
                    'worn' => LengthWriter::sizeInWords($worn),
                    'unworn' => LengthWriter::sizeInWords($unworn),
                ]),
            );
        }
        if ($budget !== []) {
            $notes[] = Note::info('improve', $budget[0]->improve);
        }
        array_push($notes, ...array_map(static fn (Slip $s): Note => $s->note(), $slips));

        return $notes;
    }

    /** @param  list<Share>  $budget */
    private function working(
        float $mean,
        float $mating,
        ?float $s,
        bool $fromRepeats,
        int $n,
        array $budget,
        float $k,
        float $u95,
        float $effective,
    ): Working {
        $micro = static fn (float $mm): Say => LengthWriter::difference($mm);
        $parts = array_map(
            static fn (Share $b): Say => Say::with($b->source.' {u}', ['u' => $micro($b->uMm)]),
            $budget,
        );
        $steps = [
            new WorkingStep(
                'Found size at 20 °C',
                'mean of the station means of spot means',
                Say::with('{n} readings, mean {mean}', [
                    'n' => count($this->readings),
                    'mean' => LengthWriter::sizeInWords($mean),
                ]),
                'common practice; ISO 1 for 20 °C',
            ),
            new WorkingStep(
                'Mating size',
                $this->kind === SurfaceKind::Bore ? 'smallest spot of the bore' : 'largest spot',
                LengthWriter::sizeInWords($mating),
                'common practice',
            ),
        ];
        if ($s !== null) {
            $steps[] = new WorkingStep(
                'Repeatability of one reading',
                $fromRepeats ? 's = √(Σ(x − x̄)² / Σ(n − 1))' : 'the instrument’s own figure',
                Say::with('s = {s}, n = {n} at the spot that decides', ['s' => $micro($s), 'n' => $n]),
                'JCGM 100:2008, 4.2',
            );
        }
        $steps[] = new WorkingStep(
            'Uncertainty budget',
            'u = √(Σ uᵢ²); rectangular a/√3, last digit r/√12',
            Say::join($parts, ', '),
            'JCGM 100:2008, 4.3 and 5.1',
        );
        $steps[] = new WorkingStep(
            'U95',
            'U = k · u, k from Student’s t for νeff, 2 above 30',
            Say::with('k = {k} (ν {nu}), U = {u}', [
                'k' => number_format($k, 3),
                'nu' => is_finite($effective) ? number_format($effective, 1) : '∞',
                'u' => $micro($u95),
            ]),
            'JCGM 100:2008, G.4 and table G.2',
        );

        return new Working($steps);
    }

    /** @param  non-empty-array<float>  $values */
    private static function mean(array $values): float
    {
        return array_sum($values) / count($values);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Loops;

use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Making\CutLog;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Facts\LoopLength;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\GeneralClass;
use Oldpart\Core\Fit\GeneralTolerance;
use Oldpart\Core\Loop\BestLength;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\Range;

/**
 * The lengths of all loops of a job together: what is known of each, and between which limits each open one has to lie
 * so that every loop it stands in closes. A length solved in one loop is known in the next.
 */
final class LoopLengths
{
    /**
     * @var array<string, ?Range> limits of solved lengths, by key; null where two loops ask for lengths that no one piece has
     */
    private array $solved = [];

    /**
     * @var array<string, non-empty-list<array{loop: LoopFacts, range: Range}>> what each loop asks of a length, by key
     */
    private array $asked = [];

    /** @var array<string, SolvedLoop> by loop */
    private array $answers = [];

    /** @var array<string, array{loop: LoopFacts, best: BestLength}> where no length is sure to close its loop, by key */
    private array $best = [];

    /** @var array<string, Range> sizes of lengths that are made, with their doubt, by surface */
    private array $made = [];

    /**
     * @param  array<string, FoundSize>  $found
     * @param  array<string, Band>  $bands  of surfaces that a joint sizes
     */
    public function __construct(
        public readonly JobFacts $facts,
        private readonly array $found,
        private readonly array $bands,
    ) {
        foreach ($facts->loops as $loop) {
            foreach ($loop->lengths as $length) {
                $this->noteMade(
                    $length,
                    isset($length->surface, $bands[$length->surface])
                        ? new Range($bands[$length->surface]->lowerMm, $bands[$length->surface]->upperMm)
                        : null,
                );
            }
        }
        do {
            $more = false;
            foreach ($facts->loops as $loop) {
                $more = $this->solve($loop) || $more;
            }
            foreach ($this->asked as $key => $asks) {
                $least = max(array_map(static fn (array $a): float => $a['range']->min, $asks));
                $most = min(array_map(static fn (array $a): float => $a['range']->max, $asks));
                $this->solved[$key] = $least <= $most ? new Range($least, $most) : null;
            }
        } while ($more);
    }

    /** The answer of a loop, worked out once. */
    public function answer(LoopFacts $loop, ShopFacts $shop, bool $withheld): SolvedLoop
    {
        return $this->answers[$loop->id] ??= SolvedLoop::of($loop, $this, $shop, $withheld);
    }

    /** @return list<LoopRow> */
    public function rows(LoopFacts $loop): array
    {
        $open = $this->open($loop);

        return array_map(
            fn (LoopLength $length): LoopRow => $this->row($length, $open !== null && $open->key() === $length->key()),
            $loop->lengths,
        );
    }

    /** The one length this loop has to say the size of; null where none is open, or more than one. */
    public function open(LoopFacts $loop): ?LoopLength
    {
        $open = array_values(
            array_filter($loop->lengths, fn (LoopLength $l): bool => $this->row($l, true)->contributor === null),
        );
        $own = array_values(array_filter($open, fn (LoopLength $l): bool => $this->asks($l->key(), $loop) !== null));

        return match (true) {
            count($open) === 1 => $open[0],
            count($own) === 1 => $own[0],
            default => null,
        };
    }

    /** What one loop asks of a length. */
    public function asks(string $key, LoopFacts $loop): ?Range
    {
        foreach ($this->asked[$key] ?? [] as $ask) {
            if ($ask['loop']->id === $loop->id) {
                return $ask['range'];
            }
        }

        return null;
    }

    /**
     * The limits that serve every loop a length stands in; null where it is not solved, or no length serves them all.
     */
    public function range(string $key): ?Range
    {
        return $this->solved[$key] ?? null;
    }

    /** The likeliest, where no length is sure to close the loop that alone asks for it. */
    public function best(string $key): ?BestLength
    {
        return isset($this->asked[$key]) ? null : ($this->best[$key]['best'] ?? null);
    }

    /** Two loops ask for lengths that no one piece has. */
    public function clash(string $key): bool
    {
        return array_key_exists($key, $this->solved) && $this->solved[$key] === null;
    }

    /** @return list<array{loop: LoopFacts, range: Range}> the other loops that ask something of a length */
    public function others(string $key, LoopFacts $loop): array
    {
        return array_values(
            array_filter($this->asked[$key] ?? [], static fn (array $a): bool => $a['loop']->id !== $loop->id),
        );
    }

    /**
     * @return array<string, array{band: Band, loop: LoopFacts, best: ?BestLength}> limits of surfaces to make that follow from loops, by surface; the likeliest where none are sure
     */
    public function bands(): array
    {
        $bands = [];
        foreach ($this->asked as $key => $asks) {
            $surface = $this->facts->surface($key);
            $range = $this->range($key);
            if (
                $surface !== null
                && $this->facts->isCut($surface)
                && $range !== null
                && $range->max > 0
                && $range->max < Loop::FAR
                && $range->min > -Loop::FAR
            ) {
                $bands[$key] = [
                    'band' => new Band(max(0.0, $range->min), $range->max),
                    'loop' => $asks[0]['loop'],
                    'best' => null,
                ];
            }
        }
        foreach ($this->best as $key => ['loop' => $loop]) {
            $surface = $this->facts->surface($key);
            $best = $this->best($key);
            if ($best !== null && $surface !== null && $this->facts->isCut($surface)) {
                $bands[$key] = ['band' => $best->band, 'loop' => $loop, 'best' => $best];
            }
        }

        return $bands;
    }

    /** Whether it asks for a length that it did not ask for before. */
    private function solve(LoopFacts $loop): bool
    {
        $wanted = $loop->plane ? null : $loop->wanted();
        $open = array_values(
            array_filter($loop->lengths, fn (LoopLength $l): bool => $this->row($l, false)->contributor === null),
        );
        if ($wanted === null || count($open) !== 1) {
            return false;
        }
        $length = $open[0];
        $known = array_values(
            array_filter(
                array_map(fn (LoopLength $l): ?Contributor => $this->row($l, false)->contributor, $loop->lengths),
            ),
        );
        if ($known === [] || $this->asks($length->key(), $loop) !== null) {
            return false;
        }
        $rest = Loop::of($known, $wanted);
        $range = $rest->solveFor($length->direction(), $length->weight());
        if ($range === null) {
            $best = BestLength::of($rest, $length->direction(), $length->weight(), $this->facts->shop->latheHoldsMm);
            if ($best !== null) {
                $this->best[$length->key()] = ['loop' => $loop, 'best' => $best];
                $this->noteMade($length, new Range($best->band->lowerMm, $best->band->upperMm));
            }

            return false;
        }
        $this->asked[$length->key()][] = ['loop' => $loop, 'range' => $range];
        $this->noteMade($length, $range);

        return true;
    }

    /**
     * A piece counts as made once its log has come inside its limits, or past them: until then it is still being cut.
     */
    private function noteMade(LoopLength $length, ?Range $limits): void
    {
        $surface = $length->surface === null ? null : $this->facts->surface($length->surface);
        if ($surface === null || $limits === null || ! $this->facts->isCut($surface)) {
            return;
        }
        $log = CutLog::of($this->facts, $surface, Phase::Only);
        $range = $log->made();
        if ($range !== null && $log->reached($limits)) {
            $this->made[$surface->id] = $range;
        }
    }

    /** @param  bool  $own  in the loop that says its size: as if nothing were solved yet */
    private function row(LoopLength $length, bool $own): LoopRow
    {
        $surface = $length->surface === null ? null : $this->facts->surface($length->surface);
        $make = fn (SizeFrom $from, float $size, float $plus, float $minus, Spread $spread): LoopRow => new LoopRow(
            length: $length,
            from: $from,
            contributor: new Contributor(
                name: $length->name,
                sizeMm: $size,
                plusMm: $plus,
                minusMm: $minus,
                direction: $length->direction(),
                spread: $spread,
                weight: $length->weight(),
            ),
            growthMm: $this->growth($length, $size),
            inUseC: $this->inUseC($length),
            widens: $surface?->grows() ?? false,
        );
        $range = $own ? null : $this->range($length->key());

        return match (true) {
            $surface !== null && isset($this->made[$surface->id]) => $make(
                SizeFrom::Made,
                $this->made[$surface->id]->middle(),
                $this->made[$surface->id]->width() / 2,
                $this->made[$surface->id]->width() / 2,
                Spread::Measured,
            ),
            $surface !== null && isset($this->bands[$surface->id]) => $make(
                SizeFrom::ToMake,
                $this->bands[$surface->id]->middleMm(),
                $this->bands[$surface->id]->widthMm() / 2,
                $this->bands[$surface->id]->widthMm() / 2,
                Spread::Uniform,
            ),
            $surface !== null && isset($this->found[$surface->id]) => $this->found[$surface->id]->count === 0
                ? self::asNoted($this->found[$surface->id]->meanMm, $this->found[$surface->id]->u95Mm, $make)
                : $this->asFound($this->found[$surface->id], $make),
            $length->size !== null => $make(
                SizeFrom::Typed,
                $length->size->length->mm,
                $length->plus->length->mm ?? 0.0,
                $length->minus->length->mm ?? 0.0,
                $length->spread,
            ),
            $surface !== null && $this->isNoted($surface) => self::asNoted(
                $surface->size->length->mm ?? 0.0,
                null,
                $make,
            ),
            $range !== null && $range->min > -Loop::FAR && $range->max < Loop::FAR => $make(
                SizeFrom::ToMake,
                $range->middle(),
                $range->width() / 2,
                $range->width() / 2,
                Spread::Uniform,
            ),
            default => new LoopRow(
                $length,
                $surface === null
                    ? SizeFrom::Open
                    : ($this->facts->isCut($surface)
                        ? SizeFrom::ToMake
                        : SizeFrom::NotMeasured),
                null,
            ),
        };
    }

    /** Nobody measured it, but a drawing or a catalogue says its size; a guess says nothing. */
    private function isNoted(SurfaceFacts $surface): bool
    {
        return ! $this->facts->isCut($surface)
            && ($surface->size->length->mm ?? 0.0) >= 0.5
            && ($surface->size->length->mm ?? 0.0) <= 4000
            && $surface->source !== null
            && ! $surface->source->isRough();
    }

    /**
     * As typed, as sure as was said; where nothing was, the general tolerances are taken. Source: ISO 2768-1:1989.
     *
     * @param  \Closure(SizeFrom, float, float, float, Spread): LoopRow  $make
     */
    private static function asNoted(float $mm, ?float $sureMm, \Closure $make): LoopRow
    {
        $half = $sureMm ?? GeneralTolerance::half($mm, GeneralClass::Medium);

        return $make($sureMm === null ? SizeFrom::NotedGeneral : SizeFrom::Noted, $mm, $half, $half, Spread::Uniform);
    }

    /**
     * A found length by its mean; where its faces are out of parallel by more than the gauge can tell, from its least
     * spot to its greatest.
     *
     * @param  \Closure(SizeFrom, float, float, float, Spread): LoopRow  $make
     */
    private function asFound(FoundSize $found, \Closure $make): LoopRow
    {
        $between = $found->largestMm() - $found->smallestMm();
        $half = $between / 2 + $found->u95Mm;

        return $found->kind === SurfaceKind::Length && $between > 2 * $found->u95Mm
            ? $make(
                SizeFrom::OutOfParallel,
                ($found->largestMm() + $found->smallestMm()) / 2,
                $half,
                $half,
                Spread::Uniform,
            )
            : $make(SizeFrom::Found, $found->meanMm, $found->sureMeanMm(), $found->sureMeanMm(), Spread::Measured);
    }

    /** As typed for it, or as warm as the job runs by what was said at take-in; null where it stays cold. */
    private function inUseC(LoopLength $length): ?float
    {
        $job = $this->facts->takeIn->runsAtC;

        return $length->inUseC ?? ($job === null || abs($job - 20) < 1e-9 ? null : $job);
    }

    /** α × length × (temperature in use − 20 °C). */
    private function growth(LoopLength $length, float $mm): ?float
    {
        $surface = $length->surface === null ? null : $this->facts->surface($length->surface);
        $material =
            $length->material !== null
                ? Material::named($length->material, 'material')
                : ($surface === null
                    ? null
                    : FoundSurfaces::material($this->facts->partOf($surface)));

        $celsius = $this->inUseC($length);

        return $celsius === null || $material?->alphaPerK === null
            ? null
            : $mm * $material->alphaPerK * ($celsius - 20.0);
    }
}

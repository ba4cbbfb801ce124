<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Found;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\Condition;
use Oldpart\Core\Facts\DemandKind;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Facts\ReadState;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Facts\Work;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Measure\Nominal;

/**
 * What was found of a surface that is measured, and whether it was read well enough for the joints that stand on it.
 */
final readonly class JudgedSurface
{
    /**
     * @param  bool  $decides  a joint that is being sized depends on it
     * @param  ?ReadState  $state  of one that is cut: what it was like; null: it stays
     * @param  list<ReadingFacts>  $readings  those that count
     * @param  bool  $asked  it is there to be read
     * @param  bool  $folded  nothing needs it
     */
    private function __construct(
        public SurfaceFacts $surface,
        public ?ReadState $state,
        public ?FoundSize $found,
        public ?GoodEnough $goodEnough,
        public bool $decides,
        public array $readings,
        public ?CoolDown $coolDown,
        private Meaning $meaning,
        private bool $asked,
        public bool $folded,
        /** Of the joints that are made to it, the one least likely to work. */
        public ?SizedJoint $least = null,
    ) {
    }

    /** @return list<self> each surface of the job that is measured, one that is cut in each state it is read in */
    public static function all(JobFacts $facts, Outcome $out): array
    {
        $judged = [];
        $needed = self::needed($out);
        $measured = array_filter($facts->surfaces, static fn (SurfaceFacts $s): bool => $s->type->isMeasurable());
        foreach (array_merge(...array_map(JobFacts::readAs(...), array_values($measured))) as $surface) {
            if (! $facts->isCut($surface)) {
                $judged[] = self::now($facts, $out, $surface, null, in_array($surface->key(), $needed, true));

                continue;
            }
            array_push($judged, ...self::before($facts, $out, $surface));
            $done = self::now($facts, $out, $surface, ReadState::Done, false);
            if ($surface->work !== null || $done->readings !== []) {
                $judged[] = $done;
            }
        }

        return $judged;
    }

    /** As it is: one that stays, or one that is finished. */
    private static function now(
        JobFacts $facts,
        Outcome $out,
        SurfaceFacts $surface,
        ?ReadState $state,
        bool $needed,
    ): self {
        $good = null;
        $decides = $needed;
        $least = null;
        foreach ($out->joints as $joint) {
            if ($joint->mate?->id === $surface->key() && $joint->make !== null) {
                $decides = true;
                $good = self::worse($good, $joint->goodEnough);
                $chance = $joint->chance();
                $least = $chance !== null && ($least === null || $chance < $least->chance()) ? $joint : $least;
            }
        }
        $size = $out->read[$surface->key()] ?? null;
        $readings =
            $state === null
                ? $facts->readingsOf($surface->key())
                : FoundSurfaces::inState($facts, $surface, $state);
        // Made first, its log says what it came out at; nobody has to read it again for that.
        $known = $size === null && isset($out->found[$surface->key()]);

        return new self(
            surface: $surface,
            state: $state,
            found: $size,
            goodEnough: $good,
            decides: $decides,
            readings: $readings,
            coolDown: CoolDown::of($facts, $surface, $readings, $size),
            meaning: new Meaning(),
            asked: $state === null && ! $known && $surface->dimension === null,
            folded: false,
            least: $least,
        );
    }

    /** @return list<self> what it was like before it was cut: as it was, built up, roughed */
    private static function before(JobFacts $facts, Outcome $out, SurfaceFacts $surface): array
    {
        $rows = [];
        foreach ([ReadState::Before, ReadState::BuiltUp, ReadState::Roughed] as $state) {
            $readings = FoundSurfaces::inState($facts, $surface, $state);
            $copied = $state === ReadState::Before && self::isCopied($facts, $surface);
            $shown = match ($state) {
                ReadState::Before => true,
                ReadState::BuiltUp => $surface->work === Work::BuiltUp || $readings !== [],
                default => $readings !== [],
            };
            if ($shown) {
                $size = $out->before[$surface->key()][$state->value] ?? null;
                $rows[] = new self(
                    surface: $surface,
                    state: $state,
                    found: $size,
                    goodEnough: null,
                    decides: $copied,
                    readings: $readings,
                    coolDown: CoolDown::of($facts, $surface, $readings, $size),
                    meaning: new Meaning(),
                    asked: $state === ReadState::Before
                        && $surface->dimension === null
                        && $surface->work !== null
                        && ! self::isBegun($facts, $surface),
                    folded: $readings === [] && $surface->work === null && ! $copied,
                );
            }
        }

        return $rows;
    }

    /** The new one is made as the old one was, or fits as the old one did. */
    private static function isCopied(JobFacts $facts, SurfaceFacts $surface): bool
    {
        if ($surface->demand?->kind === DemandKind::AsTheOld) {
            return true;
        }
        foreach ($facts->joints as $joint) {
            $of = $joint->inner === $surface->id || $joint->outer === $surface->id;
            if ($of && Purpose::orNull($joint->purpose)?->copiesOld === true) {
                return true;
            }
        }

        return false;
    }

    private static function isBegun(JobFacts $facts, SurfaceFacts $surface): bool
    {
        return $facts->cutsOf($surface->id, Phase::Only) !== [] || $facts->cutsOf($surface->id, Phase::After) !== [];
    }

    /** Its own, and that of the state it was read in. */
    public function key(): string
    {
        return $this->state === null || $this->state === ReadState::Before
            ? $this->surface->key()
            : "{$this->surface->key()}:{$this->state->value}";
    }

    public function name(): string
    {
        return match (true) {
            $this->state === null => $this->surface->name,
            $this->state === ReadState::Before && $this->surface->work === null => "{$this->surface->name}, the old one",
            default => "{$this->surface->name}, {$this->state->says()}",
        };
    }

    /**
     * @return list<string> what the mechanics of a press need beside the two diameters: the engaged length, and the walls along it
     */
    private static function needed(Outcome $out): array
    {
        $needed = [];
        foreach ($out->joints as $joint) {
            if ($joint->isSized() && $joint->canBeTight() && ! $joint->purpose->isLength) {
                array_push($needed, ...$out->study->decidedBy($joint));
            }
        }

        return $needed;
    }

    /**
     * Where one more reading would tell most, once each place was read: of the two that decide the one that was read
     * less often. Null where the joint is sure as it is, or none is made to it.
     *
     * @return ?array{station: string, angle: string}
     */
    public function nextReading(): ?array
    {
        if ($this->found === null || $this->least === null || Likely::isSure($this->least->chance() ?? 1.0)) {
            return null;
        }
        $spots = $this->found->deciding();
        usort($spots, static fn (array $a, array $b): int => $a['n'] <=> $b['n']);

        return $spots === [] ? null : ['station' => $spots[0]['station'], 'angle' => $spots[0]['angle']];
    }

    private static function worse(?GoodEnough $a, ?GoodEnough $b): ?GoodEnough
    {
        return $a === null || ($b !== null && $b->ratio < $a->ratio) ? $b : $a;
    }

    /**
     * It has to be read before the job can go on: something is sized from it, or it matters and is there to be read.
     */
    public function mustMeasure(): bool
    {
        $known = ! $this->asked && $this->state === null;

        return ($this->decides && ! $known && $this->state !== ReadState::Done)
            || ($this->asked
                && $this->surface->criticality->mustMeasure()
                && $this->surface->condition !== Condition::Missing);
    }

    /** What it was meant to be; null before it is measured, and beyond the sizes it is asked for. */
    public function meant(): ?Nominal
    {
        return $this->found === null ? null : $this->meaning->of($this->surface, $this->found);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Making\BushOrder;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** Facts in, answers out: the only place that sees a whole job. */
final readonly class Evaluator
{
    public function evaluate(JobFacts $facts): JobAnswers
    {
        $withheld = Gatekeeper::withholds($facts->takeIn);
        $found = FoundSurfaces::of($facts);
        $sizing = new JointSizing($facts, $found, $withheld);
        $joints = [];
        foreach ($facts->joints as $i => $joint) {
            $joints[] = $sizing->size($joint, $i);
        }
        $bands = self::bands($joints);
        $study = new PressStudy($facts, $found, $bands, self::made($facts));
        $joints = array_map($study->of(...), $joints);
        $card = new MakeCard($facts, $joints);
        $making = array_map(static fn (MakeEntry $e): MakingAnswer => MakingAnswer::of($facts, $e), $card->entries());
        $make = array_map(static fn (MakingAnswer $m): MakeEntry => $m->entry->made(self::lastSize($m), $m->verdict?->value), $making);
        $surfaces = self::surfaces($facts, $found, $joints);
        $plan = self::plan($joints, $card, $make);
        $assembly = AssemblyAnswer::of($facts, self::press($joints), $withheld);
        $handOver = new HandOverAnswer($facts, $making, $joints);
        $stages = new Stages($facts, $surfaces, $joints, $making, $plan, $assembly, $handOver);

        return new JobAnswers(
            $facts->id, $withheld, $stages->all(), $stages->next(), $surfaces, $joints, $make, $plan, $making, $assembly, $handOver,
            (new Section($facts, $found, $withheld ? [] : $bands))->draw(), Gatekeeper::notes($facts->takeIn),
        );
    }

    /**
     * @param  list<JointAnswer>  $joints
     * @return array<string, Band>
     */
    private static function bands(array $joints): array
    {
        $bands = [];
        foreach ($joints as $joint) {
            if ($joint->make !== null && $joint->sized?->band !== null) {
                $bands[$joint->make->id] = $joint->sized->band;
            }
        }

        return $bands;
    }

    /** @return array<string, Range> the last measured sizes of made surfaces that are not bores yet to close */
    private static function made(JobFacts $facts): array
    {
        $made = [];
        foreach ($facts->surfaces as $surface) {
            $range = $surface->kind === SurfaceKind::Shaft ? CutLog::of($facts, $surface, Phase::Only)->made() : null;
            if ($range !== null) {
                $made[$surface->id] = $range;
            }
        }

        return $made;
    }

    private static function lastSize(MakingAnswer $making): ?Say
    {
        $last = $making->log->last();

        return $last === null ? null : LengthWriter::size($making->log->atTwenty($last));
    }

    /**
     * @param  array<string, FoundSize>  $found
     * @param  list<JointAnswer>  $joints
     * @return list<SurfaceAnswer>
     */
    private static function surfaces(JobFacts $facts, array $found, array $joints): array
    {
        $answers = [];
        foreach ($facts->surfaces as $surface) {
            if ($facts->partOf($surface)->origin === Origin::Make) {
                continue;
            }
            $good = null;
            $decides = false;
            foreach ($joints as $joint) {
                if ($joint->mate?->id === $surface->id && $joint->make !== null) {
                    $decides = true;
                    $good = self::worse($good, $joint->goodEnough);
                }
            }
            $size = $found[$surface->id] ?? null;
            $answers[] = new SurfaceAnswer($surface, $size, $good, $decides, $size->notes ?? []);
        }

        return $answers;
    }

    private static function worse(?GoodEnough $a, ?GoodEnough $b): ?GoodEnough
    {
        return $a === null || $b !== null && $b->ratio < $a->ratio ? $b : $a;
    }

    /**
     * @param  list<JointAnswer>  $joints
     * @param  list<MakeEntry>  $make
     * @return list<Step>
     */
    private static function plan(array $joints, MakeCard $card, array $make): array
    {
        foreach ($joints as $running) {
            $bore = $running->make;
            $press = $bore === null || $bore->kind !== SurfaceKind::Bore ? null : $card->pressOn($bore);
            $outside = $press?->band();
            $after = $running->band();
            $length = self::lengthBand($joints);
            if ($bore === null || $press === null || $outside === null || $after === null || $length === null) {
                continue;
            }
            $before = null;
            foreach ($make as $entry) {
                if ($entry->surface->id === $bore->id && $entry->phase === Phase::Before) {
                    $before = $entry->band;
                }
            }

            return BushOrder::of($outside, $before, $after, $length, $card->finishInPlace($bore, $running, $press), $card->isSintered($bore));
        }

        return [];
    }

    /** @param  list<JointAnswer>  $joints */
    private static function lengthBand(array $joints): ?Band
    {
        foreach ($joints as $joint) {
            if ($joint->make?->kind === SurfaceKind::Length) {
                return $joint->band();
            }
        }

        return null;
    }

    /** @param  list<JointAnswer>  $joints */
    private static function press(array $joints): ?Press
    {
        foreach ($joints as $joint) {
            if ($joint->press !== null) {
                return $joint->press;
            }
        }

        return null;
    }
}

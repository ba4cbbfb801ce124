<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\Seat;
use Oldpart\Core\Joint\Bond;
use Oldpart\Core\Joint\Expansion;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Joint\ThickRing;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Range;

/** Two parts put together, by the mechanics of their true sizes and metals. */
final readonly class Together
{
    /** Two parts of one size at the tightest spot still go by hand where they are this much free, mm. */
    private const BY_HAND_MM = 0.001;

    /** Warm parts grip each other at once where they are not this much free, mm. Common practice. */
    private const DROPS_MM = 0.005;

    /** Of a part whose outside or length is not known: so many times its bore. */
    private const OUTSIDE = 2.0;

    public function __construct(private Workshop $shop)
    {
    }

    /**
     * @return array<string, mixed> what came of it: how it is joined, the force, what bores have closed and outsides grown to
     *
     * @throws BadInput where these two can't be put together here
     */
    public function of(Deed $deed): array
    {
        $joint = $this->joint($deed->joint ?? '');
        [$inner, $outer] = [$this->shop->surface($joint->inner), $this->shop->surface($joint->outer)];
        $purpose = Purpose::named($joint->purpose);
        if ($inner === null || $outer === null || $purpose->shape !== null || $purpose->isLength) {
            throw new BadInput('not-simulated', 'joint', 'Only round joints are put together in practice. Take another.');
        }
        $before = $this->shop->joined()[$joint->id] ?? null;
        if ($before !== null && ! in_array($before, [Joined::NotIn, Joined::Loose, Joined::NotBonded], true)) {
            throw new BadInput('joined', 'joint', 'These two are together already, for better or worse.');
        }
        $tightest = $outer->smallestMm() - $inner->largestMm() - $this->burrs($inner, $outer);

        return match ($deed->way) {
            Way::Hand => $this->result($joint, $tightest >= self::BY_HAND_MM ? Joined::In : Joined::NotIn),
            Way::Bond => $this->bonded($joint, $inner, $outer, $tightest),
            Way::Warm => $this->warm($deed, $joint, $inner, $outer, $tightest),
            default => $this->pressed($joint, $inner, $outer),
        };
    }

    /** @throws BadInput */
    private function joint(string $id): JointFacts
    {
        foreach ($this->shop->laid->joints as $joint) {
            if ($joint->id === $id) {
                return $joint;
            }
        }
        throw new BadInput('no-joint', 'joint', 'This joint was not there when the practice began. Take one that was.');
    }

    private function burrs(TrueSurface $inner, TrueSurface $outer): float
    {
        return array_sum(array_map(
            fn (TrueSurface $s): float => $this->shop->isClean($s->id) || $s->cut ? 0.0 : $s->burrMm,
            [$inner, $outer],
        ));
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function result(JointFacts $joint, Joined $how, array $more = []): array
    {
        return ['joined' => [$joint->id => $how->value], 'says' => $how->says(), ...$more];
    }

    /** @return array<string, mixed> */
    private function bonded(JointFacts $joint, TrueSurface $inner, TrueSurface $outer, float $tightest): array
    {
        $film = Purpose::named('bonded')->worksWithin($inner->shape->sizeMm) ?? new Range(0.01, 0.15);
        $gap = $outer->shape->sizeMm - $inner->shape->sizeMm;
        $clean = $this->shop->isClean($inner->id) && $this->shop->isClean($outer->id);

        return $this->result($joint, match (true) {
            $tightest < self::BY_HAND_MM => Joined::NotIn,
            $gap < $film->min || $gap > $film->max || ! $clean => Joined::NotBonded,
            default => Joined::Bonded,
        }, ['clean' => $clean]);
    }

    /** @return array<string, mixed> */
    private function warm(
        Deed $deed,
        JointFacts $joint,
        TrueSurface $inner,
        TrueSurface $outer,
        float $tightest,
    ): array {
        $grown = static fn (TrueSurface $s, float $celsius): float => $s->shape->sizeMm
            * Expansion::strain($s->shape->alphaPerK, $celsius);
        $free = $tightest + $grown($outer, $deed->outerC) - $grown($inner, $deed->innerC);
        $more = [
            'warm' => [$outer->part => $deed->outerC, $inner->part => $deed->innerC],
            ...$this->spoiled($deed, $joint, $inner, $outer),
        ];
        if ($free < self::DROPS_MM) {
            return $this->merged($this->result($joint, $free < 0 ? Joined::NotIn : Joined::Stuck), $more);
        }

        return $this->merged($this->pressed($joint, $inner, $outer, true), $more);
    }

    /**
     * @param  array<string, mixed>  $result
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function merged(array $result, array $more): array
    {
        return [
            ...$result,
            ...$more,
            'joined' => [...(array) ($more['joined'] ?? []), ...(array) $result['joined']],
        ];
    }

    /** @return array<string, mixed> bonded joints of the parts that are heated are lost where the compound can't stand it */
    private function spoiled(Deed $deed, JointFacts $joint, TrueSurface $inner, TrueSurface $outer): array
    {
        $spoiled = [];
        foreach ($this->shop->laid->joints as $other) {
            $parts = array_map(
                fn (string $id): ?string => $this->shop->surface($id)?->part,
                [$other->inner, $other->outer],
            );
            $hot = max(
                in_array($outer->part, $parts, true) ? $deed->outerC : 20.0,
                in_array($inner->part, $parts, true) ? $deed->innerC : 20.0,
            );
            $diameter = $this->shop->surface($other->inner)?->shape->sizeMm ?? 10.0;
            $codes = array_column(Bond::of($diameter, 10.0, new Range(0.02, 0.1), $hot)->notes, 'code');
            if (
                $other->id !== $joint->id
                && ($this->shop->joined()[$other->id] ?? null) === Joined::Bonded
                && in_array('bond-too-hot', $codes, true)
            ) {
                $spoiled[$other->id] = Joined::Spoiled->value;
            }
        }

        return $spoiled === [] ? [] : ['joined' => $spoiled];
    }

    /**
     * By force, or once warm parts have cooled on each other. Sources: Lamé, by Press.
     *
     * @return array<string, mixed>
     */
    private function pressed(JointFacts $joint, TrueSurface $inner, TrueSurface $outer, bool $warm = false): array
    {
        $interference = $inner->shape->sizeMm - $outer->shape->sizeMm;
        if ($interference <= 0) {
            return $this->result($joint, Joined::Loose);
        }
        if ($interference >= $outer->shape->sizeMm / 20) {
            return $this->result($joint, Joined::NotIn);
        }
        $press = Press::of($this->fit($joint, $inner, $outer, $interference));
        $force = $press->pressForceN;
        $cracks = $press->fit->outer->brittle && $press->outerFactor !== null && $press->outerFactor < 1;
        $plastic = ThickRing::plasticPressure($press->fit);
        $stretches = ! $press->fit->outer->brittle && $plastic !== null && $press->pressureMpa->max > $plastic;
        $how = match (true) {
            $cracks => Joined::Cracked,
            ! $warm && $force > $this->shop->laid->shop->pressN => Joined::Stuck,
            $stretches => Joined::Stretched,
            default => Joined::In,
        };
        // The two rings of a bearing are not one part.
        $seat = Purpose::orNull($joint->purpose)?->seat;
        $changed = [];
        foreach ($how === Joined::Stuck ? [] : $this->shop->surfaces() as $one) {
            if ($seat !== Seat::Housing && $one->part === $inner->part && $one->kind === SurfaceKind::Bore) {
                $changed[$one->id] = $one->grown(-abs($press->boreClosingMm->max));
            } elseif ($seat !== Seat::Shaft && $one->part === $outer->part && self::isRound($one, $outer)) {
                $changed[$one->id] = $one->grown(abs($press->outerGrowthMm->max));
            }
        }

        return $this->result($joint, $how, [
            'force_n' => $warm ? 0.0 : min($force, $this->shop->laid->shop->pressN),
            'sizes' => Workshop::sizes($changed),
        ]);
    }

    /** An outside smaller than the bore is another place of the part. */
    private static function isRound(TrueSurface $one, TrueSurface $bore): bool
    {
        return $one->kind === SurfaceKind::Shaft && $one->shape->sizeMm > $bore->shape->sizeMm;
    }

    private function fit(JointFacts $joint, TrueSurface $inner, TrueSurface $outer, float $interference): PressFit
    {
        $d = $outer->shape->sizeMm;
        $bore = 0.0;
        $outside = self::OUTSIDE * $d;
        foreach ($this->shop->surfaces() as $one) {
            if ($one->part === $inner->part && $one->kind === SurfaceKind::Bore && $one->shape->sizeMm < $d) {
                $bore = max($bore, $one->shape->sizeMm);
            }
            if ($one->part === $outer->part && self::isRound($one, $outer)) {
                $outside = $one->shape->sizeMm;
            }
        }
        $along = $joint->along === null ? null : $this->shop->surface($joint->along);

        return new PressFit(
            diameterMm: $d,
            innerBoreMm: $bore,
            outerOdMm: $outside,
            lengthMm: $along->shape->sizeMm ?? min($inner->longMm, $outer->longMm),
            interferenceMm: new Range($interference, $interference),
            inner: $this->shop->material($inner->part),
            outer: $this->shop->material($outer->part),
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\SurfaceKind;

/** Whether the mistake of a lesson was made. */
final readonly class Trapped
{
    /** A part so much warmer than the room, with nothing said of it, is a warm part, °C. */
    public const WARM_C = 4.0;

    /** A gauge this far off is off, mm. */
    private const OFF_MM = 0.01;

    /** Somebody who takes the other unit is off by more than this, mm. */
    private const OTHER_UNIT_MM = 0.15;

    /** @param  list<JointEnd>  $joints  those that count */
    public function __construct(
        private Workshop $shop,
        private JobFacts $facts,
        private array $joints,
    ) {
    }

    /** True: it was made; false: seen in time; null: it never came to that. */
    public function in(Trap $trap): ?bool
    {
        $beliefs = Belief::all($this->facts, $this->shop->deeds(), $this->shop->truth->roomC);

        return match ($trap) {
            Trap::WarmPart => $this->any($beliefs, static fn (Belief $b): bool => $b->unsaidWarmth() > self::WARM_C),
            Trap::DrillForSize => $this->unread(),
            Trap::WrongUnit => $this->otherUnit(),
            Trap::WrongFace => $this->any(
                array_values(array_filter($beliefs, fn (Belief $b): bool => $this->twoFaced($b->deed->surface))),
                static fn (Belief $b): bool => $b->part('face_mm') > 0,
            ),
            Trap::FullSwing => $this->fullSwing(),
            Trap::ThinWall => $this->done(DeedKind::Cut) === [] ? null : $this->sprang(),
            Trap::NotInLine => $this->notInLine(),
            Trap::WornGauge => $this->wornGauge($beliefs),
            Trap::SizeForSize => $this->sizeForSize(),
            Trap::StockTooThick => $this->tooThick(),
            Trap::BondByHeat => $this->shop->joined() === []
                ? null
                : in_array(Joined::Spoiled, $this->shop->joined(), true),
            Trap::ToDecline => $this->shop->isOver() ? $this->done(DeedKind::Decline) === [] : null,
        };
    }

    /**
     * @param  list<Belief>  $beliefs
     * @param  \Closure(Belief): bool  $is
     */
    private function any(array $beliefs, \Closure $is): ?bool
    {
        return $beliefs === [] ? null : array_filter($beliefs, $is) !== [];
    }

    private function sprang(): bool
    {
        return array_filter(
            $this->done(DeedKind::Cut),
            static fn (Deed $d): bool => ($d->result['sprung'] ?? false) === true,
        ) !== [];
    }

    /** @return list<Deed> */
    private function done(DeedKind $kind): array
    {
        return array_values(array_filter($this->shop->deeds(), static fn (Deed $d): bool => $d->kind === $kind));
    }

    private function twoFaced(?string $surface): bool
    {
        return ($this->shop->truth->surfaces[$surface ?? '']->otherFaceMm ?? 0.0) > 0;
    }

    /** A mate of a joint that counts has no reading of its own, though its counterpart was cut. */
    private function unread(): ?bool
    {
        $made = array_filter($this->joints, static fn (JointEnd $j): bool => $j->made);
        foreach ($made as $end) {
            foreach ([$end->joint->inner, $end->joint->outer] as $id) {
                if (! ($this->shop->surface($id)->cut ?? true) && $this->facts->readingsOf($id) === []) {
                    return true;
                }
            }
        }

        return $made === [] ? null : false;
    }

    private function otherUnit(): ?bool
    {
        $typed = false;
        foreach ($this->facts->surfaces as $surface) {
            $true = $this->shop->truth->surfaces[$surface->id] ?? null;
            if ($true === null || $surface->type->isSized() || $surface->size === null) {
                continue;
            }
            $typed = true;
            if (abs($surface->size->length->mm - $true->shape->sizeMm) > self::OTHER_UNIT_MM) {
                return true;
            }
        }

        return $typed ? false : null;
    }

    private function fullSwing(): ?bool
    {
        $said = null;
        foreach ($this->facts->surfaces as $surface) {
            $true = $this->shop->truth->surfaces[$surface->id]->offCentreMm ?? 0.0;
            $at = self::placed($surface);
            if ($true <= 0 || $at === null) {
                continue;
            }
            $said = $said === true || abs($at - $true) > abs($at - 2 * $true);
        }

        return $said;
    }

    private static function placed(SurfaceFacts $surface): ?float
    {
        $x = $surface->x?->length->mm;
        $y = $surface->y?->length->mm;

        return $x === null && $y === null ? null : hypot($x ?? 0.0, $y ?? 0.0);
    }

    private function notInLine(): ?bool
    {
        $together = $this->done(DeedKind::Together);
        if ($together === []) {
            return null;
        }
        foreach ($this->shop->deeds() as $deed) {
            if ($deed->kind === DeedKind::Line) {
                return false;
            }
            if ($deed === $together[0]) {
                return true;
            }
        }

        return true;
    }

    /** @param  list<Belief>  $beliefs */
    private function wornGauge(array $beliefs): ?bool
    {
        $checked = array_map(static fn (Deed $d): ?string => $d->instrument, $this->done(DeedKind::Check));

        return $this->any($beliefs, fn (Belief $b): bool => abs($this->shop->truth->gaugeErrors[$b->instrument] ?? 0.0)
            >= self::OFF_MM
            && ! $b->isCorrected()
            && ! in_array($b->instrument, $checked, true));
    }

    private function sizeForSize(): ?bool
    {
        $made = array_filter(
            $this->joints,
            static fn (JointEnd $j): bool => $j->made && ! $j->purpose->tight && ! $j->purpose->isLength,
        );

        return $made === []
            ? null
            : array_filter($made, static fn (JointEnd $j): bool => $j->is->min < $j->works->min) !== [];
    }

    private function tooThick(): ?bool
    {
        $chosen = $this->done(DeedKind::Stock);
        $last = end($chosen);
        if ($last === false) {
            return null;
        }
        $largest = 0.0;
        foreach ($this->shop->truth->surfaces as $surface) {
            if ($surface->cut && $surface->kind === SurfaceKind::Shaft) {
                $largest = max($largest, $surface->shape->sizeMm - Truth::STOCK_MM);
            }
        }

        return ($last->result['through'] ?? false) !== true || ($last->number('mm') ?? 0.0) < $largest + 1.0;
    }
}

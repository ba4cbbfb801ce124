<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Quantity\Band;

/** A surface that was cut: what was asked of it, what it was believed to be, what it is, what it should have been. */
final readonly class SizeEnd implements \JsonSerializable
{
    private function __construct(
        public SurfaceFacts $surface,
        public ?Band $asked,
        public ?float $believedMm,
        public float $isMm,
        /** What the product asks for where everything is read right. */
        public ?Band $right,
    ) {
    }

    /**
     * @param  Outcome  $believed  of the job as it stands
     * @param  Outcome  $true  with everything read right
     * @return list<self>
     */
    public static function all(Workshop $shop, Outcome $believed, Outcome $true): array
    {
        $band = static function (Outcome $out, string $id): ?Band {
            $of = array_values(array_filter($out->make, static fn (MakeEntry $e): bool => $e->surface->id === $id));

            return $of[0]->band ?? null;
        };
        $all = [];
        foreach ($shop->laid->surfaces as $surface) {
            $is = $shop->surface($surface->id);
            $begun = $shop->truth->surfaces[$surface->id] ?? null;
            $cut = array_filter(
                $shop->deeds(),
                static fn (Deed $d): bool => $d->kind === DeedKind::Cut && $d->surface === $surface->id,
            );
            if ($is === null || $begun === null || $cut === []) {
                continue;
            }
            $progress = array_values(array_filter(
                $believed->making,
                static fn (CutProgress $c): bool => $c->entry->surface->id === $surface->id,
            ))[0] ?? null;
            $last = $progress?->log->last();
            $all[] = new self(
                surface: $surface,
                asked: $band($believed, $surface->id),
                believedMm: $last === null ? null : $progress->log->atTwenty($last),
                isMm: self::asCut($shop, $surface->id),
                right: $band($true, $surface->id),
            );
        }

        return $all;
    }

    /** As it came off the lathe: what pressing did to it later is not the cut's. */
    private static function asCut(Workshop $shop, string $surface): float
    {
        $mm = $shop->surface($surface)->shape->sizeMm ?? 0.0;
        foreach ($shop->deeds() as $deed) {
            $sizes = $deed->result['sizes'] ?? [];
            if ($deed->kind === DeedKind::Cut && is_array($sizes) && isset($sizes[$surface][0])) {
                $mm = (float) $sizes[$surface][0];
            }
        }

        return $mm;
    }

    /** By how much it is outside of what was asked, mm; 0 inside; null where nothing was asked. */
    public function offMm(): ?float
    {
        return $this->asked === null
            ? null
            : max(0.0, $this->asked->lowerMm - $this->isMm, $this->isMm - $this->asked->upperMm);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'surface' => $this->surface->id,
            'name' => $this->surface->name,
            'asked' => $this->asked,
            'believed_mm' => $this->believedMm,
            'is_mm' => $this->isMm,
            'right' => $this->right,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Making\CuttingSpeed;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** How each step of an order is held, with what it is cut, how fast to begin with (data/cutting-speeds.json). */
final readonly class StepHow
{
    /** @param  list<MakeEntry>  $make */
    public function __construct(private JobFacts $facts, private array $make)
    {
    }

    public function on(Step $step): Step
    {
        $at = strrpos($step->code, ':');
        $kind = $at === false ? $step->code : substr($step->code, $at + 1);
        foreach (self::rows() as $row) {
            if (in_array($kind, $row['steps'], true)) {
                $part = $this->partOf($at === false ? null : substr($step->code, 0, $at));

                return $step->how([
                    ['name' => 'Hold', 'says' => Say::plain($row['hold'])],
                    ['name' => 'Tool', 'says' => Say::plain($row['tool'])],
                    ...$part === null ? [] : $this->speed($row, $part),
                ]);
            }
        }

        return $step;
    }

    /** The part of a step: named by its code, else the one that is made. */
    private function partOf(?string $id): ?PartFacts
    {
        $made = array_values(array_filter(
            $this->facts->parts,
            static fn (PartFacts $p): bool => $id === null ? $p->origin === Origin::Make : $p->id === $id,
        ));

        return $made[0] ?? null;
    }

    /**
     * @param  array{steps: list<string>, hold: string, tool: string, share: float, feed: ?array{float, float}, of: list<string>}  $row
     * @return list<array{name: string, says: Say}>
     */
    private function speed(array $row, PartFacts $part): array
    {
        $speed = CuttingSpeed::of(FoundSurfaces::material($part));
        $across = $this->largestMm($row['of'], $part);
        if ($speed === null || $across === null) {
            return [];
        }
        $rpm = static fn (Range $r): string => self::round($r->min).' to '.self::round($r->max).' rev/min';
        $steel = $speed->turns($across, $row['share']);
        $carbide = $rpm($speed->turnsOfCarbide($across, $row['share']));
        $feed = $row['feed'] === null ? '' : ', {f} to {g} a turn';
        $says = Say::with(
            ($steel === null
                ? "carbide only: {$carbide}"
                : "{$rpm($steel)} to begin with in high-speed steel, {$carbide} in carbide")
                ." at {d}{$feed}; slower where it chatters, is thin, or the cut is interrupted",
            [
                'd' => LengthWriter::about($across),
                'f' => self::feed($row['feed'][0] ?? 0.0),
                'g' => self::feed($row['feed'][1] ?? 0.0),
            ],
        );

        return [
            ['name' => 'Speed', 'says' => $says],
            ...$speed->mind === '' ? [] : [['name' => 'Mind', 'says' => Say::plain($speed->mind)]],
        ];
    }

    /**
     * The largest of what is cut: there the surface runs fastest.
     *
     * @param  list<string>  $types
     */
    private function largestMm(array $types, PartFacts $part): ?float
    {
        $sizes = [];
        foreach ($this->make as $entry) {
            $surface = $entry->surface;
            if ($surface->part === $part->id && in_array($surface->type->value, $types, true)) {
                $sizes[] = $entry->band->upperMm ?? $surface->size?->length->mm ?? 0.0;
            }
        }
        $largest = $sizes === [] ? 0.0 : max($sizes);

        return $largest > 0 ? $largest : null;
    }

    /** Roughly: no feed box is set closer. */
    private static function feed(float $mm): Say
    {
        [$in, $metric] = [number_format($mm / 25.4, 3), number_format($mm, 2)];

        return new Say("{$in} in", "{$metric} mm", "{$in} in ({$metric} mm)");
    }

    /** Two figures: no spindle is set closer. */
    private static function round(float $rpm): string
    {
        $step = 10 ** max(0, (int) floor(log10(max(1.0, $rpm))) - 1);

        return (string) (int) (round($rpm / $step) * $step);
    }

    /** @return list<array{steps: list<string>, hold: string, tool: string, share: float, feed: ?array{float, float}, of: list<string>}> */
    private static function rows(): array
    {
        /** @var list<array{steps: list<string>, hold: string, tool: string, share: float, feed: ?array{float, float}, of: list<string>}> $rows */
        $rows = Table::read('cutting-speeds')['steps'];

        return $rows;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\DemandKind;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * One band of all that is asked of a surface: by its joints, its loops, and for itself. Where no size serves all, the
 * two that are furthest apart are named, and the cheapest way to make them agree.
 */
final readonly class AgreedDemands
{
    /** @param  array<string, array<string, FoundSize>>  $before  of surfaces that are cut, by surface, by state */
    public function __construct(private JobFacts $facts, private array $before)
    {
    }

    /**
     * @param  list<MakeEntry>  $entries
     * @return list<MakeEntry> one for a surface in a phase
     */
    public function of(array $entries): array
    {
        $together = [];
        foreach ($entries as $entry) {
            $together[$entry->key()][] = $entry;
        }

        return array_map(fn (array $asked): MakeEntry => $this->one($asked), array_values($together));
    }

    /** @param  non-empty-list<MakeEntry>  $asked */
    private function one(array $asked): MakeEntry
    {
        $entry = $asked[0];
        $demands = [];
        foreach ($asked as $one) {
            // What can't be said yet of one demand is said before what the others ask.
            if ($one->band === null) {
                return $one;
            }
            $who = $one->jointId === '' ? 'its shape asks for' : '“'.$this->asker($one->jointId).'” asks for';
            $demands[] = ['who' => $who, 'band' => $one->band, 'own' => false];
        }
        $own = $this->own($entry);
        if ($own !== null && $own->band === null) {
            return $entry->narrowed(null, $own->blocked, $own->says);
        }
        if ($own?->band !== null) {
            $demands[] = ['who' => 'its own limits', 'band' => $own->band, 'own' => true];
        }
        $agreed = count($demands) === 1 ? $entry : $this->together($entry, $demands);

        return $agreed->band === null ? $agreed : $this->withStock($agreed);
    }

    private function own(MakeEntry $entry): ?OwnDemand
    {
        $surface = $this->facts->surface($entry->surface->id) ?? $entry->surface;

        return $entry->phase === Phase::Before || $surface->demand?->kind->isLimit() !== true
            ? null
            : OwnDemand::of($surface, $this->before[$surface->id] ?? []);
    }

    /** @param  non-empty-list<array{who: string, band: Band, own: bool}>  $demands */
    private function together(MakeEntry $entry, array $demands): MakeEntry
    {
        [$lower, $upper] = [0, 0];
        foreach ($demands as $at => $demand) {
            $lower = $demand['band']->lowerMm > $demands[$lower]['band']->lowerMm ? $at : $lower;
            $upper = $demand['band']->upperMm < $demands[$upper]['band']->upperMm ? $at : $upper;
        }
        $values = $names = [];
        foreach ($demands as $at => $demand) {
            $band = $demand['band'];
            $names[$at] = "{$demand['who']} {d{$at}}";
            $values["d{$at}"] = Say::with('{a} to {b}', [
                'a' => LengthWriter::lower($band),
                'b' => LengthWriter::upper($band),
            ]);
        }
        $least = $demands[$lower]['band']->lowerMm;
        $most = $demands[$upper]['band']->upperMm;
        $both = Band::between($least, $most);
        if ($both !== null) {
            return $entry->narrowed($both, null, Say::with(implode(', ', [ucfirst($names[0]), ...array_slice($names, 1)]).'.', $values));
        }
        $first = ucfirst($names[$lower]);
        $own = $demands[$lower]['own'] || $demands[$upper]['own'];
        $values['by'] = LengthWriter::difference($least - $most);
        $says = Say::with(
            "{$first}, {$names[$upper]}: no one size serves both. They miss each other by {by}. ".
                ($own
                    ? 'Change its limits at Survey, or the fit.'
                    : 'Widen the fit of one of the two by that at Size, or cut the other piece of one of them too.'),
            $values,
        );

        return $entry->narrowed(null, $says, $says);
    }

    /** Stock stays on what the others ask for. */
    private function withStock(MakeEntry $entry): MakeEntry
    {
        $demand = $entry->surface->demand;
        if ($demand?->kind !== DemandKind::Stock || $entry->band === null || $entry->phase === Phase::Before) {
            return $entry;
        }
        $left = OwnDemand::withStock($entry->surface, $entry->band);

        return $entry->narrowed($left->band, $left->blocked, $left->says);
    }

    private function asker(string $id): string
    {
        foreach ([...$this->facts->joints, ...$this->facts->loops] as $one) {
            if ($one->id === $id) {
                return $one->name;
            }
        }

        return $id;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\LengthWriter;

/** A size it could have been, with its chance (0 to 1) and a sentence. */
final readonly class NominalCandidate implements \JsonSerializable
{
    private function __construct(
        public string $label,
        public float $nominalMm,
        public string $system,
        public string $family,
        public float $probability,
        public Say $says,
    ) {
    }

    /** @param  non-empty-list<NominalSize>  $sizes  the same size in its families, the likeliest first */
    public static function of(NominalKind $kind, float $foundMm, array $sizes, float $probability): self
    {
        // Named by its number; bearings, drills and threads of that size are mentioned after it.
        usort($sizes, static fn (NominalSize $a, NominalSize $b): int => $a->isBought() <=> $b->isBought());
        $first = $sizes[0];
        $others = array_values(
            array_filter(array_slice($sizes, 1), static fn (NominalSize $s): bool => $s->family !== $first->family),
        );
        $off = $foundMm - $first->mm;
        $where =
            abs($off) < 0.0005
                ? Say::plain('on size')
                : Say::with('{d} '.($off > 0 ? 'over' : 'under'), ['d' => LengthWriter::difference($off)]);
        $state = match (true) {
            $off >= $first->zoneLowMm && $off <= $first->zoneHighMm => 'as made',
            $kind->wearSign() !== 0 && $off * $kind->wearSign() > 0 => 'worn',
            default => 'off its usual limits',
        };
        $also =
            $others === []
                ? ''
                : ', also '.
                    implode(
                        ', ',
                        array_slice(array_map(static fn (NominalSize $s): string => $s->label, $others), 0, 2),
                    );

        return new self(
            label: $first->label,
            nominalMm: $first->mm,
            system: $first->system,
            family: $first->family,
            probability: $probability,
            says: Say::with("{label}, {where}: {$state}{$also}", ['label' => $first->label, 'where' => $where]),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'label' => $this->label,
            'nominal_mm' => $this->nominalMm,
            'system' => $this->system,
            'family' => $this->family,
            'probability' => $this->probability,
            'says' => $this->says,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Gear;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;

/** A pulley for a toothed belt (data/belts.json); mm. The belt's pitch line runs outside the metal. */
final readonly class BeltPulley
{
    /** How far an outside lies from its rule: turned to a tenth, and worn; mm. Common practice, no source. */
    private const SPREAD_MM = 0.12;

    /** None of the table, against one that fits exactly: the further off, the likelier. */
    private const OTHER = 0.05;

    private function __construct(
        public string $label,
        public int $teeth,
        public float $pitchMm,
        public float $pitchCircleMm,
        public float $outsideMm,
        /** The sides of its teeth: round or flat. */
        public string $tooth,
    ) {
    }

    /**
     * @param  string  $label  as in the table: XL, T5, 8M
     * @param  int  $teeth  8 to 300
     *
     * @throws BadInput for a belt that is not in the table, and for a pulley that is none
     */
    public static function of(string $label, int $teeth): self
    {
        self::counted($teeth);
        foreach (self::belts() as $belt) {
            if (strcasecmp($belt['label'], trim($label)) === 0) {
                return self::row($belt, $teeth);
            }
        }
        throw new BadInput(
            'no-such-belt',
            'shape',
            "There is no belt “{$label}” in the table: it has ".implode(', ', array_column(self::belts(), 'label')).'. Measure the pitch of the belt over ten teeth, and buy by that.',
        );
    }

    /**
     * Which belts a pulley may be for, best first; with what is left they sum to one.
     *
     * @param  float  $outsideMm  over the tips, above 0
     * @param  float  $u95Mm  of that reading, 0 or more
     * @param  ?string  $tooth  round or flat, where it was looked at
     * @return list<array{label: string, pulley: ?self, probability: float}>
     *
     * @throws BadInput for a pulley that is none
     */
    public static function likely(int $teeth, float $outsideMm, float $u95Mm = 0.0, ?string $tooth = null): array
    {
        self::counted($teeth);
        if (! ($outsideMm > 0)) {
            throw new BadInput('outside', 'outside_mm', 'The outside of the pulley must be above zero.');
        }
        if (! ($u95Mm >= 0)) {
            throw new BadInput('doubt', 'u95_mm', 'The doubt of the reading is zero or more.');
        }
        $spread = hypot(self::SPREAD_MM, $u95Mm / 2);
        [$pulleys, $weights] = [[], []];
        foreach (self::belts() as $i => $belt) {
            if ($tooth === null || $tooth === $belt['tooth']) {
                $pulleys[$i] = self::row($belt, $teeth);
                $weights[$i] = exp(-((($outsideMm - $pulleys[$i]->outsideMm) / $spread) ** 2) / 2);
            }
        }
        arsort($weights);
        $all = array_sum($weights) + self::OTHER;
        [$rows, $left] = [[], 1.0];
        foreach (array_slice($weights, 0, 3, true) as $i => $weight) {
            $share = $weight / $all;
            if ($share >= 0.005) {
                $left -= $share;
                $rows[] = ['label' => $pulleys[$i]->label, 'pulley' => $pulleys[$i], 'probability' => $share];
            }
        }

        return [...$rows, ['label' => 'other', 'pulley' => null, 'probability' => $left]];
    }

    /** @throws BadInput */
    private static function counted(int $teeth): void
    {
        if ($teeth < 8 || $teeth > 300) {
            throw new BadInput('teeth', 'teeth', 'A pulley for a toothed belt has from 8 to 300 teeth. Count them again.');
        }
    }

    /** @param  array{label: string, pitch_mm: float, inside_mm: float, tooth: string}  $belt */
    private static function row(array $belt, int $teeth): self
    {
        $circle = $teeth * $belt['pitch_mm'] / M_PI;

        return new self(
            label: $belt['label'],
            teeth: $teeth,
            pitchMm: $belt['pitch_mm'],
            pitchCircleMm: $circle,
            outsideMm: $circle - $belt['inside_mm'],
            tooth: $belt['tooth'],
        );
    }

    /** @return list<array{label: string, pitch_mm: float, inside_mm: float, tooth: string}> */
    private static function belts(): array
    {
        /** @var array{belts: list<array{label: string, pitch_mm: float, inside_mm: float, tooth: string}>} $table */
        $table = Table::read('belts');

        return $table['belts'];
    }
}

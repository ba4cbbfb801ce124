<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

use Oldpart\Core\Advice\BadInput;

/**
 * A hardness in the scales of the table, and the tensile strength it goes with. Null where the table does not reach.
 */
final readonly class Hardness implements \JsonSerializable
{
    /** @param  bool  $isAtMost  below the scale: the other figures are the most it can be */
    private function __construct(
        public ?float $hrc,
        public ?float $hb,
        public ?float $hv,
        public ?float $tensileMpa,
        public bool $isAtMost = false,
    ) {
    }

    /**
     * Converts by straight lines between the rows of the table (data/hardness.json).
     *
     * @param  float  $value  HRC 0 to 68 (below 20.3, where the table begins, the others are the most it can be), HB 76 to 618, HV 80 to 940
     *
     * Source: ISO 18265 table A.1, unalloyed and low-alloy steels; not for austenitic stainless, cast iron or copper
     * alloys.
     *
     * @throws BadInput outside the table
     */
    public static function of(HardnessScale $scale, float $value): self
    {
        $rows = array_values(array_filter(self::rows(), static fn (array $r): bool => $r[$scale->value] !== null));
        for ($i = 1, $n = count($rows); $i < $n; $i++) {
            [$below, $above] = [$rows[$i - 1], $rows[$i]];
            $low = (float) $below[$scale->value];
            $high = (float) $above[$scale->value];
            if ($value >= $low && $value <= $high) {
                $share = $high > $low ? ($value - $low) / ($high - $low) : 0.0;
                $between = static fn (string $column): ?float => $below[$column] === null || $above[$column] === null
                    ? null
                    : $below[$column] + $share * ($above[$column] - $below[$column]);

                return new self($between('HRC'), $between('HB'), $between('HV'), $between('tensile_mpa'));
            }
        }
        if ($scale === HardnessScale::RockwellC && $value >= 0 && $rows !== [] && $value < (float) $rows[0]['HRC']) {
            return new self($value, $rows[0]['HB'], $rows[0]['HV'], $rows[0]['tensile_mpa'], true);
        }
        [$first, $last] = [$rows[0][$scale->value], $rows[count($rows) - 1][$scale->value]];
        throw new BadInput(
            'hardness',
            'hardness',
            "{$scale->value} runs from {$first} to {$last} in the table. Check the scale: {$value} is outside it.",
        );
    }

    /** @return list<array{tensile_mpa: ?float, HV: ?float, HB: ?float, HRC: ?float}> */
    private static function rows(): array
    {
        /** @var list<array{?float, ?float, ?float, ?float}> $rows */
        $rows = Table::rows('hardness');

        return array_map(
            static fn (array $r): array => ['tensile_mpa' => $r[0], 'HV' => $r[1], 'HB' => $r[2], 'HRC' => $r[3]],
            $rows,
        );
    }

    /** @return array{hrc: ?float, hb: ?float, hv: ?float, tensile_mpa: ?float, at_most: bool} */
    public function jsonSerialize(): array
    {
        return [
            'hrc' => $this->hrc,
            'hb' => $this->hb,
            'hv' => $this->hv,
            'tensile_mpa' => $this->tensileMpa,
            'at_most' => $this->isAtMost,
        ];
    }
}

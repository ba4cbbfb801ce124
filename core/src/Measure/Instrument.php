<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;

/**
 * What is known of an instrument, in mm: resolution (its last digit), permissible error (half-width),
 * repeatability and feel (one standard deviation each), and the expanded uncertainty (k = 2) of its setting master.
 */
final readonly class Instrument
{
    /** @param  list<string>  $fits kinds of surface it can measure */
    public function __construct(
        public float $resolutionMm,
        public float $mpeMm = 0.0,
        public float $repeatabilityMm = 0.0,
        public float $feelMm = 0.0,
        public float $masterUMm = 0.0,
        public string $code = '',
        public string $name = 'instrument',
        public array $fits = ['bore', 'shaft', 'length'],
        public float $fromMm = 0.0,
        public float $toMm = INF,
    ) {
        foreach ([
            'resolution_mm' => $resolutionMm, 'mpe_mm' => $mpeMm, 'repeatability_mm' => $repeatabilityMm,
            'feel_mm' => $feelMm, 'master_u_mm' => $masterUMm,
        ] as $field => $value) {
            if (! is_finite($value) || $value < 0) {
                throw new BadInput('instrument', "instrument.{$field}", "The instrument's {$field} must be zero or more.");
            }
        }
    }

    /** @throws BadInput when the table has no such instrument */
    public static function named(string $code, string $field = 'instrument'): self
    {
        foreach (Table::rows('instruments') as $row) {
            if ($row['code'] === $code) {
                /** @var array{resolution_mm: float, mpe_mm: float, repeatability_mm: float, feel_mm: float, master_u_mm: float, code: string, name: string, fits: list<string>, from_mm: float, to_mm: float} $row */
                return self::fromRow($row);
            }
        }
        throw new BadInput('unknown-instrument', $field, "“{$code}” is not an instrument of this shop. Choose one from the list.");
    }

    /** @return list<Instrument> */
    public static function all(): array
    {
        /** @var list<array{resolution_mm: float, mpe_mm: float, repeatability_mm: float, feel_mm: float, master_u_mm: float, code: string, name: string, fits: list<string>, from_mm: float, to_mm: float}> $rows */
        $rows = Table::rows('instruments');

        return array_map(self::fromRow(...), $rows);
    }

    /** @param  array{resolution_mm: float, mpe_mm: float, repeatability_mm: float, feel_mm: float, master_u_mm: float, code: string, name: string, fits: list<string>, from_mm: float, to_mm: float}  $r */
    private static function fromRow(array $r): self
    {
        return new self($r['resolution_mm'], $r['mpe_mm'], $r['repeatability_mm'], $r['feel_mm'], $r['master_u_mm'], $r['code'], $r['name'], $r['fits'], $r['from_mm'], $r['to_mm']);
    }

    public function canMeasure(SurfaceKind $kind, float $sizeMm): bool
    {
        return in_array($kind->value, $this->fits, true) && $sizeMm >= $this->fromMm && $sizeMm <= $this->toMm;
    }

    /**
     * The expanded uncertainty (k = 2, so roughly 95 %) of one careful reading with it, in mm, with nothing else wrong.
     * Source: JCGM 100, components as in Readings.
     */
    public function bestU95Mm(): float
    {
        return 2 * sqrt(
            $this->repeatabilityMm ** 2 + $this->resolutionMm ** 2 / 12 + $this->mpeMm ** 2 / 3
            + $this->feelMm ** 2 + ($this->masterUMm / 2) ** 2
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Fields;

/**
 * A shop's instruments: the typical ones (data/instruments.json), with the shop's own in their place or beside them.
 */
final readonly class InstrumentSet
{
    /** @param  array<string, Instrument>  $byCode */
    private function __construct(private array $byCode)
    {
    }

    public static function typical(): self
    {
        $byCode = [];
        foreach (Table::rows('instruments') as $row) {
            unset($row['remark']);
            $tool = Instrument::read(new Fields($row));
            $byCode[$tool->code] = $tool;
        }

        return new self($byCode);
    }

    public function with(Instrument ...$own): self
    {
        $byCode = $this->byCode;
        foreach ($own as $tool) {
            $byCode[$tool->code] = $tool;
        }

        return new self($byCode);
    }

    /** @return list<Instrument> */
    public function all(): array
    {
        return array_values($this->byCode);
    }

    public function has(string $code): bool
    {
        return isset($this->byCode[$code]);
    }

    /** @throws BadInput when the shop has no such instrument */
    public function named(string $code, string $field = 'instrument'): Instrument
    {
        return $this->byCode[$code] ??
            throw new BadInput(
                'unknown-instrument',
                $field,
                "“{$code}” is not an instrument of this shop. Choose one from the list.",
            );
    }

    /** @return list<Instrument> those that are not as in the table of typical ones */
    public function own(): array
    {
        $typical = self::typical()->byCode;

        return array_values(
            array_filter($this->byCode, static fn (Instrument $i): bool => ($typical[$i->code] ?? null) != $i),
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Catalogue\Table;

/** A kind of machine and what is asked of it (data/machines.json). */
final readonly class MachineKind
{
    /** @param  list<MachineFigure>  $figures */
    private function __construct(public string $code, public string $name, public array $figures)
    {
    }

    /** @return list<self> */
    public static function all(): array
    {
        /** @var list<array{code: string, name: string, figures: list<array{field: string, label: string, is: string, of?: list<string>}>}> $rows */
        $rows = Table::read('machines')['kinds'];

        return array_map(static fn (array $row): self => new self(
            $row['code'],
            $row['name'],
            array_map(MachineFigure::of(...), $row['figures']),
        ), $rows);
    }

    public static function orNull(string $code): ?self
    {
        foreach (self::all() as $kind) {
            if ($kind->code === $code) {
                return $kind;
            }
        }

        return null;
    }

    public function figure(string $field): ?MachineFigure
    {
        foreach ($this->figures as $figure) {
            if ($figure->field === $field) {
                return $figure;
            }
        }

        return null;
    }
}

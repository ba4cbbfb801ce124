<?php

declare(strict_types=1);

namespace Oldpart\Core\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Making\MachineFigure;
use Oldpart\Core\Making\MachineKind;
use Oldpart\Core\Quantity\Fields;

/**
 * Machines of a shop as a table: a row a figure, each as it was typed; read back row by row, what is wrong by its line.
 */
final class MachinesCsv
{
    private const HEADS = ['kind', 'name', 'unit', 'figure', 'value'];

    /** @param  list<Machine>  $machines */
    public static function write(array $machines): string
    {
        $lines = [self::HEADS];
        foreach ($machines as $machine) {
            $kind = MachineKind::orNull($machine->kind);
            foreach ($machine->typed === [] ? ['' => ''] : $machine->typed as $field => $typed) {
                $label = $kind?->figure((string) $field)->label ?? '';
                $lines[] = [$machine->kind, $machine->name, $machine->unit->value, $label, $typed];
            }
        }

        return CsvText::of($lines);
    }

    /**
     * @param  callable(): string  $newId
     * @return array{machines: list<Machine>, refused: list<array{line: int, says: string}>}
     *
     * @throws BadInput for a table with other heads
     */
    public static function read(string $text, callable $newId): array
    {
        $text = str_replace(["\r\n", "\r"], "\n", preg_replace('/^\xEF\xBB\xBF/', '', $text) ?? $text);
        [$head] = $lines = explode("\n", $text);
        $between = substr_count($head, ';') > substr_count($head, ',') ? ';' : ',';
        [$machines, $latest, $refused] = [[], [], []];
        foreach ($lines as $i => $line) {
            if (trim($line) === '') {
                continue;
            }
            $cells = array_map(
                static fn (?string $cell): string => ltrim(trim((string) $cell), "'"),
                str_getcsv($line, $between, '"', ''),
            );
            if ($i === 0) {
                self::needHeads($cells);

                continue;
            }
            [$kind, $name, $unit, $label, $value] = [...$cells, '', '', '', '', ''];
            try {
                $field = $label === '' ? '' : self::field($kind, $label);
                $at = $latest["{$kind}\n{$name}"] ?? null;
                // A figure said twice is of another machine of the same name.
                if ($at === null || $field === '' || isset($machines[$at]['figures'][$field])) {
                    $at = count($machines);
                }
                $next = $machines[$at]
                    ?? ['id' => $newId(), 'kind' => $kind, 'name' => $name, 'unit' => $unit, 'figures' => []];
                $next['figures'] += $field === '' ? [] : [$field => $value];
                Machine::read(new Fields($next));
                $machines[$at] = $next;
                $latest["{$kind}\n{$name}"] = $at;
            } catch (BadInput $bad) {
                $refused[] = ['line' => $i + 1, 'says' => $bad->getMessage()];
            }
        }

        return [
            'machines' => array_map(
                static fn (array $m): Machine => Machine::read(new Fields($m)),
                array_values($machines),
            ),
            'refused' => $refused,
        ];
    }

    /** @param  list<string>  $cells */
    private static function needHeads(array $cells): void
    {
        if (array_map(strtolower(...), array_slice($cells, 0, count(self::HEADS))) !== self::HEADS) {
            throw new BadInput('heads', 'text', 'The table of machines has the heads '.implode(', ', self::HEADS).', and a row a figure. Write yours out once to see how it looks.');
        }
    }

    /** @throws BadInput for a figure that such a machine has not */
    private static function field(string $kind, string $label): string
    {
        $figures = MachineKind::orNull($kind)->figures ?? [];
        foreach ($figures as $figure) {
            if (in_array(mb_strtolower($label), [mb_strtolower($figure->label), $figure->field], true)) {
                return $figure->field;
            }
        }
        throw new BadInput('no-figure', 'text', $figures === []
            ? "“{$kind}” is no kind of machine that has figures."
            : "“{$label}” is not asked of a {$kind}: it has ".implode('; ', array_map(static fn (MachineFigure $f): string => $f->label, $figures)).'.');
    }
}

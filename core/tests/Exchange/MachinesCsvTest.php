<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\MachinesCsv;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Quantity\Fields;
use PHPUnit\Framework\TestCase;

/** Machines as a table and back. */
final class MachinesCsvTest extends TestCase
{
    private int $next = 0;

    private function id(): string
    {
        return 'm-'.++$this->next;
    }

    public function test_what_is_written_is_read(): void
    {
        foreach (Machine::usual() as $shop) {
            $machines = array_map(fn (array $m): Machine => Machine::read(new Fields([...$m, 'id' => $this->id()])), $shop['machines']);
            $read = MachinesCsv::read(MachinesCsv::write($machines), $this->id(...));
            self::assertSame([], $read['refused']);
            $plain = static fn (Machine $m): array => [$m->kind, $m->name, $m->unit, $m->typed];
            self::assertSame(array_map($plain, $machines), array_map($plain, $read['machines']));
        }
    }

    /** By semicolons, heads in capitals, a figure by its label or its name; bad rows by their line, the others kept. */
    public function test_a_table_typed_by_hand(): void
    {
        $read = MachinesCsv::read("Kind;Name;Unit;Figure;Value\nlathe;Long bed;in;swing over the bed;13\nlathe;Long bed;in;spindle_mm;1-1/2\n\nlathe;Long bed;in;Colour;green\nbroom;Broom;mm;;\npress;Arbor;mm;Gives;9 kN\npress;Arbor;mm;Daylight;high\n", $this->id(...));
        self::assertSame(['Long bed', 'Arbor'], array_map(static fn (Machine $m): string => $m->name, $read['machines']));
        self::assertEqualsWithDelta(38.1, $read['machines'][0]->figure('spindle_mm'), 1e-9);
        self::assertSame([5, 6, 8], array_column($read['refused'], 'line'));
        self::assertStringContainsString('Swing over the bed', $read['refused'][0]['says'], 'what it could be');
        self::assertStringContainsString('Arbor, daylight', $read['refused'][2]['says']);
    }

    /** Two of one name stay two. */
    public function test_two_of_one_name(): void
    {
        $one = fn (string $swing): Machine => Machine::read(new Fields(['id' => $this->id(), 'kind' => 'lathe', 'name' => 'Lathe', 'unit' => 'mm', 'figures' => ['swing_mm' => $swing]]));
        $torch = fn (): Machine => Machine::read(new Fields(['id' => $this->id(), 'kind' => 'torch', 'name' => 'Torch', 'unit' => 'mm', 'figures' => []]));
        $read = MachinesCsv::read(MachinesCsv::write([$one('180'), $one('330'), $torch(), $torch()]), $this->id(...));
        self::assertSame([180.0, 330.0, null, null], array_map(static fn (Machine $m): ?float => $m->figure('swing_mm'), $read['machines']));
    }

    public function test_another_table_is_refused(): void
    {
        $this->expectException(BadInput::class);
        MachinesCsv::read("x,y\n1,2\n", $this->id(...));
    }
}

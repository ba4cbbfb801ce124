<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Thread;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Sum\Sums;
use Oldpart\Core\Tests\Evaluate\KindJob;
use Oldpart\Core\Thread\ScrewHole;
use Oldpart\Core\Thread\Thread;
use Oldpart\Core\Thread\ThreadTools;
use PHPUnit\Framework\TestCase;

/** Holes for screws against the tables; the drawer of taps and dies. */
final class ScrewHoleTest extends TestCase
{
    use KindJob;

    /** ISO 273: M10 through 10.5, 11, 12; DIN 974-1: 18 for its cap head, 10 high. */
    public function test_a_cap_screw(): void
    {
        $hole = Sums::run('screw-hole', ['screw' => 'M10', 'head' => 'cap', 'plate_mm' => 20.0]);
        self::assertEqualsWithDelta([10.5, 11, 12, 18, 10.5, 9.5], [$hole['close_mm'], $hole['through_mm'], $hole['loose_mm'], $hole['head_mm'], $hole['deep_mm'], $hole['under_head_mm']], 1e-9);
    }

    /** ASME B18.2.8: 3/8 through 13/32 normal, 25/64 close. */
    public function test_an_inch_hexagon(): void
    {
        $hole = Sums::run('screw-hole', ['screw' => '3/8 UNC', 'head' => 'hexagon']);
        self::assertEqualsWithDelta([25 / 64, 13 / 32, 27 / 64], [$hole['close_mm'] / 25.4, $hole['through_mm'] / 25.4, $hole['loose_mm'] / 25.4], 1e-9);
        self::assertNull($hole['deep_mm']);
    }

    public function test_a_thin_plate(): void
    {
        $codes = static fn (float $plate): array => array_map(static fn (Note $n): string => $n->code, Sums::run('screw-hole', ['screw' => 'M10', 'head' => 'cap', 'plate_mm' => $plate])['notes']);
        self::assertSame(['no-plate'], $codes(8));
        self::assertSame(['thin-seat'], $codes(14));
        self::assertSame([], $codes(16));
    }

    /** Each column grows with the screw, and a counterbore takes its head. */
    public function test_the_table_pins_itself_down(): void
    {
        foreach (['metric', 'inch'] as $system) {
            /** @var list<list<float>> $rows */
            $rows = Table::read('screws')[$system];
            foreach ($rows as $i => $row) {
                self::assertLessThan($row[2], $row[1]);
                self::assertLessThan($row[3], $row[2]);
                self::assertGreaterThan($row[4], $row[6], 'the counterbore takes the head');
                self::assertGreaterThan($row[7], $row[9], 'the washer stands out');
                foreach ($i === 0 ? [] : range(0, 9) as $column) {
                    self::assertGreaterThan($rows[$i - 1][$column], $row[$column]);
                }
            }
        }
    }

    public function test_what_is_not_there_is_refused(): void
    {
        foreach ([['screw' => 'M7'], ['screw' => 'nothing'], ['screw' => 'M10', 'head' => 'round']] as $in) {
            try {
                Sums::run('screw-hole', $in);
                self::fail('taken');
            } catch (BadInput $bad) {
                self::assertContains($bad->field, ['screw', 'head']);
            }
        }
    }

    public function test_the_drawer(): void
    {
        $drawer = ThreadTools::read('M6, M8 × 1; 1/4 UNC', 'taps');
        self::assertTrue($drawer->has(Thread::named('M8x1')));
        self::assertFalse($drawer->has(Thread::named('M8')));
        self::assertTrue($drawer->has(Thread::named('1/4 UNC')));
        self::assertFalse($drawer->has(Thread::named('1/4 UNC LH')), 'left hand is another tap');
        self::assertFalse($drawer->has(Thread::named('1/4 BSW')), 'as many threads, another angle');
        self::assertFalse(ThreadTools::read(' ', 'taps')->isSaid);
        try {
            ThreadTools::read('M6, a big one', 'taps');
            self::fail('taken');
        } catch (BadInput $bad) {
            self::assertSame('taps', $bad->field);
            self::assertStringContainsString('“a big one”', $bad->getMessage());
        }
    }

    public function test_what_the_drawer_lacks_is_said_at_the_thread(): void
    {
        $this->job('threaded-insert')->is('Insert thread', ['shape' => 'M10']);
        $codes = fn (): array => array_map(static fn (Note $n): string => $n->code, $this->card('Insert thread')->notes);
        self::assertNotContains('no-tool', $codes(), 'nobody said what is in the drawer');
        $this->facts['shop']['taps'] = 'M6, M8';
        self::assertContains('no-tool', $codes());
        $this->facts['shop']['taps'] = 'M6, M10';
        self::assertContains('tool-there', $codes());
        $this->facts['shop']['taps'] = 'rubbish';
        self::assertNotContains('no-tool', $codes());
    }

    /** A hexagon's seat is faced wider than its washer, a flat head's cone twice the screw: common practice. */
    public function test_seats_of_the_others(): void
    {
        foreach (['M6', 'M10', 'M16'] as $screw) {
            $hole = ScrewHole::of(Thread::named($screw));
            self::assertGreaterThan($hole->washerMm, $hole->spotFaceMm());
            self::assertLessThan($hole->washerMm + 5, $hole->spotFaceMm());
            self::assertEqualsWithDelta(2 * Thread::named($screw)->majorMm, ScrewHole::countersinkMm(Thread::named($screw)), 1e-9);
            self::assertGreaterThan($hole->capHighMm, $hole->counterboreDeepMm());
            self::assertLessThan($hole->capHighMm + 1.5, $hole->counterboreDeepMm());
        }
    }
}

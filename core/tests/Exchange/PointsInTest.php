<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\Dxf;
use Oldpart\Core\Exchange\PointsIn;
use Oldpart\Core\Quantity\Unit;
use PHPUnit\Framework\TestCase;

/** Places of holes out of files of other programs. */
final class PointsInTest extends TestCase
{
    /** Written by ezdxf, not by us: two circles of 9, a point, a line that is none. */
    public function test_a_drawing_of_another_program(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'dxf').'.dxf';
        $script = "import sys, ezdxf\nd = ezdxf.new('R2000')\nd.header['\$INSUNITS'] = 1\nm = d.modelspace()\nm.add_circle((1.5, -0.25), 0.1875)\nm.add_circle((0, 2), 0.1875)\nm.add_point((3, 3))\nm.add_line((0, 0), (1, 1))\nd.saveas(sys.argv[1])";
        exec('/usr/bin/python3 -c '.escapeshellarg($script).' '.escapeshellarg($file).' 2>&1', $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
        $read = PointsIn::read((string) file_get_contents($file), Unit::Millimetre);
        unlink($file);
        self::assertTrue($read['said']);
        self::assertSame(Unit::Inch, $read['unit'], 'the file says inches, whatever the screen is in');
        self::assertEqualsWithDelta([['x' => 38.1, 'y' => -6.35, 'diameter' => 9.525], ['x' => 0, 'y' => 50.8, 'diameter' => 9.525]], array_slice($read['points'], 0, 2), 1e-9);
        self::assertNull($read['points'][2]['diameter']);
        self::assertSame([3, 1], [count($read['points']), $read['others']]);
    }

    public function test_what_we_write_we_read(): void
    {
        foreach (Unit::cases() as $unit) {
            $read = PointsIn::read((new Dxf($unit))->circle('HOLES', 47, -3.5, 4.5)->line('CENTRE', 0, 0, 1, 1)->written(), Unit::Millimetre);
            self::assertEqualsWithDelta([['x' => 47, 'y' => -3.5, 'diameter' => 9]], $read['points'], 5e-5);
        }
    }

    public function test_tables(): void
    {
        foreach (["x,y,diameter\n10,0,9\n0,-12.5,9", "10;0;9\n0;-12,5;9", "x\ty\n10\t0\t9\n0\t-12.5\t9\n\n", "hole,x,y,diameter\n1,10,0,9\n2,0,-12.5,9"] as $text) {
            self::assertEqualsWithDelta([['x' => 10, 'y' => 0, 'diameter' => 9], ['x' => 0, 'y' => -12.5, 'diameter' => 9]], PointsIn::read($text, Unit::Millimetre)['points'], 1e-9, $text);
        }
        self::assertEqualsWithDelta([['x' => 9.525, 'y' => 25.4, 'diameter' => null]], PointsIn::read('3/8, 1', Unit::Inch)['points'], 1e-9);
    }

    /** Names and numbers of holes are no places; a table of ours comes back as it went out. */
    public function test_what_only_names_a_hole(): void
    {
        $at = [['x' => 10, 'y' => 0, 'diameter' => null], ['x' => 0, 'y' => -12.5, 'diameter' => null]];
        foreach (["1,10,0\n2,0,-12.5", "A,10,0\nB,0,-12.5", "A1;10;0\nA2;0;-12,5", "hole,x,y\n1,10,0\n2,0,-12.5", "y_mm,x_mm\n0,10\n-12.5,0",
            "pattern,hole,x,y,angle,drilled,unit\n\"Bolts, front\",1,10,0,0,yes,mm\n\"Bolts, front\",2,0,-12.5,270,no,mm"] as $text) {
            self::assertEqualsWithDelta($at, PointsIn::read($text, Unit::Millimetre)['points'], 1e-9, $text);
        }
        self::assertTrue(PointsIn::read("1,10,0\n2,0,-12.5", Unit::Millimetre)['numbered']);
        self::assertFalse(PointsIn::read("1,10,4\n5,0,4", Unit::Millimetre)['numbered'], 'x, y and a diameter');
        $inch = PointsIn::read("x,y,unit\n1,2,in", Unit::Millimetre);
        self::assertEqualsWithDelta([25.4, 50.8], [$inch['points'][0]['x'], $inch['points'][0]['y']], 1e-9);
        self::assertSame([Unit::Inch, true], [$inch['unit'], $inch['said']]);
    }

    /** The published reference of DXF, from memory: INSUNITS 5 is centimetres; an extrusion of −1 turns the circle's x about. */
    public function test_other_units_and_mirrored_circles(): void
    {
        $dxf = static fn (string $unit, string $more = ''): string => "  0\nSECTION\n  2\nHEADER\n  9\n\$INSUNITS\n 70\n{$unit}\n  0\nENDSEC\n  0\nSECTION\n  2\nENTITIES\n  0\nCIRCLE\n 10\n3.0\n 20\n4.0\n 40\n1.0\n{$more}  0\nENDSEC\n  0\nEOF\n";
        self::assertEqualsWithDelta([['x' => 3, 'y' => 4, 'diameter' => 2]], PointsIn::read($dxf('4'), Unit::Inch)['points'], 1e-9);
        self::assertEqualsWithDelta([['x' => -3, 'y' => 4, 'diameter' => 2]], PointsIn::read($dxf('4', "230\n-1.0\n"), Unit::Inch)['points'], 1e-9);
        self::assertFalse(PointsIn::read($dxf('0'), Unit::Millimetre)['said']);
        $this->expectException(BadInput::class);
        $this->expectExceptionMessage('INSUNITS 5');
        PointsIn::read($dxf('5'), Unit::Millimetre);
    }

    public function test_bad_rows_are_named_by_their_line(): void
    {
        $read = PointsIn::read("x,y\n1,2\nabout here,2\n3\n4,5", Unit::Millimetre);
        self::assertCount(2, $read['points']);
        self::assertSame([3, 4], array_column($read['refused'], 'line'));
        foreach (['', 'x,y', "hello\nworld", "0\nSECTION\n2\nENTITIES\n0\nLINE\n0\nENDSEC\n0\nEOF"] as $text) {
            try {
                PointsIn::read($text, Unit::Millimetre);
                self::fail($text);
            } catch (BadInput $bad) {
                self::assertSame('text', $bad->field);
            }
        }
    }
}

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

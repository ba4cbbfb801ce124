<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Exchange;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Exchange\Dxf;
use Oldpart\Core\Exchange\OutlineIn;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Shape\RoundedOutline;
use PHPUnit\Framework\TestCase;

/** Outlines of plates out of drawings of another program (ezdxf): corners, radii, full ends. */
final class OutlineInTest extends TestCase
{
    /** 80 by 50 with one corner of 10: lines and an arc in any order and either way round; a smaller loop inside is none. */
    public function test_lines_and_an_arc_in_any_order(): void
    {
        $corners = self::drawn(<<<'PY'
            m.add_line((0, 50), (0, 0))
            m.add_line((80, 40), (80, 0))
            m.add_arc((70, 40), 10, 0, 90)
            m.add_line((0, 0), (80, 0))
            m.add_line((0, 50), (70, 50))
            m.add_lwpolyline([(20, 20), (30, 20), (30, 30)], close=True)
            m.add_circle((10, 10), 3)
            PY);
        self::assertCount(4, $corners);
        $byPlace = [];
        foreach ($corners as $corner) {
            $byPlace[round($corner['x']).','.round($corner['y'])] = round($corner['radius'], 6);
        }
        ksort($byPlace);
        self::assertSame(['0,0' => 0.0, '0,50' => 0.0, '80,0' => 0.0, '80,50' => 10.0], $byPlace);
        // By hand: 80 · 50 less the corner, r² (1 − π/4).
        self::assertEqualsWithDelta(4000 - 100 * (1 - M_PI / 4), self::area($corners), 1e-3);
    }

    /** The outline is the largest that closes, wherever it lies and in whichever order they come. */
    public function test_the_largest_is_the_outline(): void
    {
        foreach ([0, 1] as $first) {
            $loops = ['m.add_lwpolyline([(1000, 1000), (1030, 1000), (1030, 1010), (1000, 1010)], close=True)', 'm.add_lwpolyline([(0, 0), (80, 0), (80, 50), (0, 50)], close=True)'];
            $corners = self::drawn($loops[$first]."\n".$loops[1 - $first]);
            self::assertSame([0.0, 80.0], [min(array_column($corners, 'x')), max(array_column($corners, 'x'))]);
        }
    }

    /** A link with two full ends, in inches, by bulges: two half turns are four corners of one radius. */
    public function test_full_ends_by_bulges(): void
    {
        $corners = self::drawn("d.header['\$INSUNITS'] = 1\nm.add_lwpolyline([(0, -0.5, 0, 0, 0), (4, -0.5, 0, 0, 1), (4, 0.5, 0, 0, 0), (0, 0.5, 0, 0, 1)], close=True)");
        self::assertCount(4, $corners);
        foreach ($corners as $corner) {
            self::assertEqualsWithDelta(12.7, $corner['radius'], 1e-6);
        }
        // By hand: a rectangle of 4 by 1 in and a circle of 1 in.
        self::assertEqualsWithDelta((4 + M_PI / 4) * 25.4 ** 2, self::area($corners), 1e-2);
        // Typed with five figures, as the screen writes them, it is an outline all the same.
        $rounded = array_map(static fn (array $c): array => array_map(static fn (float $v): float => round($v, 5), $c), $corners);
        self::assertEqualsWithDelta((4 + M_PI / 4) * 25.4 ** 2, self::area($rounded), 1e-1);
    }

    /** An old polyline with its points as things of their own. */
    public function test_an_old_polyline(): void
    {
        $corners = self::drawn('m.add_polyline2d([(0, 0), (30, 0), (30, 20), (0, 20)], close=True)', 'R12');
        self::assertEqualsWithDelta([[0.0, 0.0], [30.0, 0.0], [30.0, 20.0], [0.0, 20.0]], array_map(static fn (array $c): array => [$c['x'], $c['y']], $corners), 1e-9);
    }

    public function test_an_arc_that_kinks_is_refused_with_its_place(): void
    {
        $this->expectException(BadInput::class);
        $this->expectExceptionMessageMatches('/does not run smoothly/');
        self::drawn("m.add_line((0, 0), (40, 0))\nm.add_line((40, 0), (40, 20))\nm.add_lwpolyline([(40, 20, 0, 0, 0.3), (0, 20, 0, 0, 0)])\nm.add_line((0, 20), (0, 0))");
    }

    public function test_nothing_closed_is_no_outline(): void
    {
        self::assertSame([], self::drawn("m.add_line((0, 0), (40, 0))\nm.add_line((40, 0), (40, 20))\nm.add_circle((0, 0), 50)"));
        self::assertSame([], OutlineIn::read((new Dxf(Unit::Millimetre))->circle('HOLES', 1, 2, 3)->written(), Unit::Millimetre));
    }

    /** @return list<array{x: float, y: float, radius: float}> */
    private static function drawn(string $python, string $version = 'R2000'): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'dxf').'.dxf';
        $script = "import sys, ezdxf\nd = ezdxf.new('{$version}')\nd.header['\$INSUNITS'] = 4\nm = d.modelspace()\n{$python}\nd.saveas(sys.argv[1])";
        exec('/usr/bin/python3 -c '.escapeshellarg($script).' '.escapeshellarg($file).' 2>&1', $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
        try {
            return OutlineIn::read((string) file_get_contents($file), Unit::Millimetre);
        } finally {
            unlink($file);
        }
    }

    /** @param  list<array{x: float, y: float, radius: float}>  $corners */
    private static function area(array $corners): float
    {
        return (new RoundedOutline(array_map(static fn (array $c): array => ['x' => $c['x'], 'y' => $c['y'], 'r' => $c['radius']], $corners)))->areaMm2;
    }

    /** A quarter drawn against the way round is the same quarter, in millimetres and in inches alike. */
    public function test_arcs_either_way_round_in_inches(): void
    {
        foreach (['m.add_lwpolyline([(0, 0, 0, 0, 0), (3, 0, 0, 0, 0), (3, 1, 0, 0, 0.41421356), (2, 2, 0, 0, 0), (0, 2, 0, 0, 0)], close=True)', 'm.add_lwpolyline([(0, 2, 0, 0, 0), (2, 2, 0, 0, -0.41421356), (3, 1, 0, 0, 0), (3, 0, 0, 0, 0), (0, 0, 0, 0, 0)], close=True)', "m.add_line((0, 0), (3, 0))\nm.add_line((3, 1), (3, 0))\nm.add_arc((2, 1), 1, 0, 90)\nm.add_line((2, 2), (0, 2))\nm.add_line((0, 0), (0, 2))"] as $drawn) {
            $corners = self::drawn("d.header['\$INSUNITS'] = 1\n{$drawn}");
            // By hand: 3 by 2 in less the corner of 1 in, r² (1 − π/4).
            self::assertEqualsWithDelta((6 - (1 - M_PI / 4)) * 25.4 ** 2, self::area($corners), 0.5);
            self::assertEqualsWithDelta([76.2, 50.8], [max(array_column($corners, 'x')) - min(array_column($corners, 'x')), max(array_column($corners, 'y')) - min(array_column($corners, 'y'))], 1e-4);
            self::assertEqualsWithDelta(25.4, max(array_column($corners, 'radius')), 1e-3);
        }
    }
}

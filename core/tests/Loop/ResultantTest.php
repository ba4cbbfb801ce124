<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Loop\Offset;
use Oldpart\Core\Loop\Resultant;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Quantity\Range;
use PHPUnit\Framework\TestCase;

/** Two directions at once, against Pythagoras, closed forms and ten million draws. */
final class ResultantTest extends TestCase
{
    private static function of(array $offsets, float $least = 0.0, float $most = 1000.0): Resultant
    {
        return Resultant::of(
            array_map(
                static fn (array $o): Offset => new Offset(
                    $o[3] ?? 'part',
                    $o[0],
                    $o[1],
                    $o[2],
                    $o[4] ?? Spread::Uniform,
                ),
                $offsets,
            ),
            new Range($least, $most),
        );
    }

    /**
     * 3 and 4 at a right angle are 5 at 53.13° (Pythagoras; atan 4/3). 3-4-5 in all four quarters; a length turned
     * round counts against.
     */
    public function test_distance_and_direction(): void
    {
        foreach (
            [[3.0, 4.0, 53.1301], [-3.0, 4.0, 126.8699], [-3.0, -4.0, 233.1301], [3.0, -4.0, 306.8699]] as [$x, $y, $deg]
        ) {
            $plane = self::of([[$x, 0.0, 0.0], [$y, 0.0, 90.0]]);
            self::assertEqualsWithDelta(5.0, $plane->sizeMm(), 1e-12);
            self::assertEqualsWithDelta($deg, $plane->angleDeg(), 1e-4);
        }
        // Three equal lengths 120° apart close on themselves; two at 60° give √3 at 30°.
        self::assertEqualsWithDelta(
            0.0,
            self::of([[10.0, 0.0, 0.0], [10.0, 0.0, 120.0], [10.0, 0.0, 240.0]])->sizeMm(),
            1e-12,
        );
        self::assertEqualsWithDelta(10 * sqrt(3), self::of([[10.0, 0.0, 0.0], [10.0, 0.0, 60.0]])->sizeMm(), 1e-12);
    }

    /**
     * By hand (JCGM 100:2008, 5.1.2): u² = (0.6·0.01)² + (0.8·0.02)² = 0.01709², across √((0.8·0.01)² + (0.6·0.02)²) =
     * 0.01442 over 5 is 0.1653°.
     */
    public function test_uncertainty_of_distance_and_direction(): void
    {
        $plane = self::of([[3.0, 0.02, 0.0, 'x', Spread::Measured], [4.0, 0.04, 90.0, 'y', Spread::Measured]]);
        self::assertEqualsWithDelta(2 * 0.017088, $plane->u95Mm(), 1e-6);
        self::assertEqualsWithDelta(2 * 0.1652572, $plane->u95Deg(), 1e-4);
        self::assertEqualsWithDelta(
            [(0.36 * 0.0001) / 0.000292, (0.64 * 0.0004) / 0.000292],
            array_column($plane->shares(), 'share'),
            1e-9,
        );
        // One length that lies aslant: its doubt is all along it.
        $aslant = self::of([[10.0, 0.02, 30.0, 'x', Spread::Measured]]);
        self::assertEqualsWithDelta([0.02, 0.0], [$aslant->u95Mm(), $aslant->u95Deg()], 1e-6);
        self::assertNull(
            self::of([[0.01, 0.02, 0.0, 'x', Spread::Measured], [0.0, 0.02, 90.0, 'y', Spread::Measured]])->u95Deg(),
            'as long as its doubt',
        );
    }

    /**
     * Closed forms: a square of uniforms about the start lies within its inscribed circle with π/4; two equal normals
     * within r with 1 − exp(−r²/2σ²) (Rayleigh).
     */
    public function test_closed_forms_of_the_chance(): void
    {
        self::assertEqualsWithDelta(M_PI / 4, self::of([[0.0, 0.1, 0.0], [0.0, 0.1, 90.0]], 0, 0.1)->chance(), 2e-4);
        $round = [[0.0, 0.06, 0.0, 'x', Spread::Normal], [0.0, 0.06, 90.0, 'y', Spread::Normal]];
        foreach ([0.01, 0.02, 0.05] as $r) {
            self::assertEqualsWithDelta(1 - exp(-($r ** 2) / (2 * 0.02 ** 2)), self::of($round, 0, $r)->chance(), 2e-4);
        }
        // Turned by any angle the same, also where it is taken along its own axes.
        $turned = [[0.0, 0.06, 20.0, 'x', Spread::Normal], [0.0, 0.06, 110.0, 'y', Spread::Normal], [0.0, 0.0, 47.0]];
        self::assertEqualsWithDelta(1 - exp(-0.5), self::of($turned, 0, 0.02)->chance(), 2e-4);
        // One leg without doubt, the other normal: within √(0.05² + s²) in 68.27 of 100, nearer than the leg never.
        $legs = [[0.05, 0.0, 0.0], [0.0, 0.3, 90.0, 'y', Spread::Normal]];
        self::assertEqualsWithDelta(0.6827, self::of($legs, 0, sqrt(0.05 ** 2 + 0.1 ** 2))->chance(), 2e-4);
        self::assertEqualsWithDelta(0.0, self::of($legs, 0, 0.049)->chance(), 1e-9);
        // Along one line only it is a loop of one: ±0.1 about 5, within 5.05 in three of four.
        self::assertEqualsWithDelta(0.75, self::of([[5.0, 0.1, 90.0]], 0, 5.05)->chance(), 2e-4);
        self::assertSame(
            [1.0, 0.0],
            [self::of([[5.0, 0.0, 30.0]], 5.0, 5.0)->chance(), self::of([[5.0, 0.0, 30.0]], 0, 4.9)->chance()],
        );
    }

    /** Ten million draws by numpy (tests/reference/plane_numpy.py): within 0.0005. */
    public function test_against_draws(): void
    {
        foreach (
            json_decode(
                (string) file_get_contents(__DIR__.'/../reference/plane_numpy.json'),
                true,
                32,
                JSON_THROW_ON_ERROR,
            )['cases'] as $case
        ) {
            $plane = self::of(
                array_map(
                    static fn (array $o): array => [
                        $o['size'],
                        $o['half'],
                        $o['deg'],
                        'part',
                        Spread::from($o['spread']),
                    ],
                    $case['offsets'],
                ),
                $case['low'],
                $case['high'],
            );
            self::assertEqualsWithDelta($case['drawn'], $plane->chance(), 0.0005, $case['name']);
            self::assertEqualsWithDelta($case['p025'], $plane->likely()->min, 0.003, $case['name']);
            self::assertEqualsWithDelta($case['p975'], $plane->likely()->max, 0.003, $case['name']);
        }
    }

    /**
     * By hand: 3 ± 0.1 and 4 ± 0.1 lie between √(2.9² + 3.9²) and √(3.1² + 4.1²); a square about the start comes down
     * to nothing; beside an axis the nearest is an edge.
     */
    public function test_worst_case(): void
    {
        $worst = self::of([[3.0, 0.1, 0.0], [4.0, 0.1, 90.0]])->worst();
        self::assertEqualsWithDelta([4.860041, 5.140039], [$worst->min, $worst->max], 1e-6);
        self::assertEqualsWithDelta(
            [0.0, 0.141421],
            [
                self::of([[0.0, 0.1, 0.0], [0.0, 0.1, 90.0]])->worst()->min,
                self::of([[0.0, 0.1, 0.0], [0.0, 0.1, 90.0]])->worst()->max,
            ],
            1e-6,
        );
        self::assertEqualsWithDelta(
            [4.9, hypot(5.1, 0.3)],
            [
                self::of([[5.0, 0.1, 0.0], [0.1, 0.2, 90.0]])->worst()->min,
                self::of([[5.0, 0.1, 0.0], [0.1, 0.2, 90.0]])->worst()->max,
            ],
            1e-6,
        );
    }

    public function test_notes_and_refusals(): void
    {
        $codes = static fn (Resultant $p): array => array_map(static fn (Note $n): string => $n->code, $p->notes());
        self::assertSame(['no-direction'], $codes(self::of([[0.01, 0.1, 0.0], [0.0, 0.1, 90.0]])));
        self::assertSame(['skew'], $codes(self::of([[0.5, 0.2, 0.0], [0.5, 0.2, 40.0]])));
        self::assertSame([], $codes(self::of([[5.0, 0.1, 0.0], [5.0, 0.1, 270.0]])));
        foreach (
            [[INF, 0.1, 0.0, 'size_mm'], [5.0, -0.1, 0.0, 'half_mm'], [5.0, 0.1, NAN, 'angle_deg']] as [$size, $half, $deg, $field]
        ) {
            try {
                new Offset('part', $size, $half, $deg);
                self::fail($field);
            } catch (BadInput $bad) {
                self::assertStringEndsWith($field, $bad->field);
            }
        }
        $this->expectException(BadInput::class);
        self::of([]);
    }

    /** Turned as a whole nothing changes but the direction: size, doubt, chance and what is likely, at any angle. */
    public function test_turned_as_a_whole(): void
    {
        foreach ([[[3.0, 0.01, 0.0], [4.0, 0.02, 90.0]], [[0.02, 0.01, 0.0], [0.01, 0.03, 90.0], [0.01, 0.02, 200.0]], [[200.0, 0.05, 10.0], [150.0, 0.2, 75.0]]] as $offsets) {
            $plain = self::of($offsets);
            foreach ([17.0, 45.0, 90.0, 133.0, 250.0] as $by) {
                $turned = self::of(array_map(static fn (array $o): array => [$o[0], $o[1], $o[2] + $by], $offsets));
                self::assertEqualsWithDelta($plain->sizeMm(), $turned->sizeMm(), 1e-9, "by {$by}");
                self::assertEqualsWithDelta($plain->u95Mm(), $turned->u95Mm(), 1e-9, "by {$by}");
                self::assertEqualsWithDelta(fmod($plain->angleDeg() + $by, 360.0), $turned->angleDeg(), 1e-6);
                foreach ([-0.5, 0.2, 0.9] as $off) {
                    $mm = $plain->sizeMm() + $off * $plain->u95Mm();
                    self::assertEqualsWithDelta($plain->within($mm), $turned->within($mm), 4e-3, "by {$by}, {$off}");
                }
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Groove;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Groove\Circlip;
use Oldpart\Core\Groove\SealRing;
use PHPUnit\Framework\TestCase;

/** Grooves for retaining rings (DIN 471, 472, from memory) and for seal rings (makers' common practice, no source). */
final class GrooveTest extends TestCase
{
    /** DIN 471: 20 → 19 h11 (−0.13), 1.3 H13 (+0.14); 30 → 28.6 h12 (−0.21). DIN 472: 47 → 49.5 H12 (+0.25), 1.85. */
    public function test_retaining_rings(): void
    {
        $twenty = Circlip::on(20.0, false);
        self::assertEqualsWithDelta([18.87, 19.0, 1.3, 1.44], [$twenty?->bottom->lowerMm, $twenty?->bottom->upperMm, $twenty?->width->lowerMm, $twenty?->width->upperMm], 1e-9);
        $thirty = Circlip::on(29.98, false);
        self::assertEqualsWithDelta([30.0, 28.39, 28.6], [$thirty?->nominalMm, $thirty?->bottom->lowerMm, $thirty?->bottom->upperMm], 1e-9);
        $housing = Circlip::on(47.01, true);
        self::assertEqualsWithDelta([49.5, 49.75, 1.85], [$housing?->bottom->lowerMm, $housing?->bottom->upperMm, $housing?->width->lowerMm], 1e-9);
        // A ring sits on a round of its size, give or take 0.3.
        self::assertNotNull(Circlip::on(19.71, false));
        self::assertNull(Circlip::on(19.69, false));
        self::assertNull(Circlip::on(20.31, false));
        self::assertNull(Circlip::on(21.0, false));
        self::assertNull(Circlip::on(300.0, true));
    }

    /** Deeper than the round in a shaft, larger in a bore, growing with it; widths a tenth or a little more over the rings'. */
    public function test_the_tables_hang_together(): void
    {
        foreach (['shaft' => -1, 'bore' => 1] as $side => $sign) {
            $last = [0.0, 0.0, 0.0];
            foreach (Table::read('circlips')[$side] as [$nominal, $bottom, $width]) {
                self::assertGreaterThan($last[0], $nominal);
                self::assertGreaterThan($last[1], $bottom);
                self::assertGreaterThanOrEqual($last[2], $width);
                $deep = $sign * ($bottom - $nominal) / 2;
                self::assertEqualsWithDelta(0.026, $deep / $nominal, 0.008, "{$side} {$nominal}");
                self::assertContains($width, [0.9, 1.1, 1.3, 1.6, 1.85, 2.15, 2.65, 3.15]);
                $last = [$nominal, $bottom, $width];
            }
        }
    }

    /** 3.53 thick, by hand: at rest 0.72 to 0.85 of it deep, 2.542 to 3.000; area 9.787 in 2.771 · 4.766 fills 74. */
    public function test_a_seal_ring(): void
    {
        $ring = new SealRing(3.53, false);
        self::assertEqualsWithDelta([2.5416, 3.0005], [$ring->depth()->lowerMm, $ring->depth()->upperMm], 1e-9);
        self::assertEqualsWithDelta([4.589, 4.942], [$ring->width()->lowerMm, $ring->width()->upperMm], 1e-9);
        self::assertEqualsWithDelta(0.741, $ring->fill(2.771, 4.766), 5e-4);
        self::assertEqualsWithDelta(0.2, $ring->squeeze(2.824), 1e-9);
        $moving = (new SealRing(3.53, true))->depth();
        // Where it moves it is squeezed by 0.10 to 0.18: 0.82 and 0.90 of 3.53.
        self::assertEqualsWithDelta([2.8946, 3.177], [$moving->lowerMm, $moving->upperMm], 1e-9);
        $codes = static fn (float $deep, float $wide): array => array_map(static fn (Note $n): string => $n->code, $ring->notes($deep, $wide));
        self::assertSame([], $codes(2.8, 4.7));
        self::assertSame(['squeeze-little'], $codes(3.2, 4.7));
        // 9.787 in 2.8 · 4.1 fills 0.8525, in 2.8 · 4.13 it fills 0.8463: more than 0.85 has nowhere to swell.
        self::assertSame(['groove-full'], $codes(2.8, 4.1));
        self::assertSame([], $codes(2.8, 4.13));
        self::assertSame(['squeeze-much', 'groove-full'], $codes(2.4, 3.6));
        foreach ([0.0, 50.0, 100.0] as $thick) {
            try {
                new SealRing($thick, false);
                self::fail("{$thick} was taken");
            } catch (BadInput $bad) {
                self::assertSame('shape', $bad->field);
            }
        }
    }
}

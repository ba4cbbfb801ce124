<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Fit;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Fit\InchFit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class InchFitTest extends TestCase
{
    /**
     * ANSI B4.1-1967 (R2009), rows from memory of the published tables; the fit column is published on its own and is
     * checked against hole and shaft.
     *
     * @return iterable<array{float, string, list<float>, list<float>}> inches, class, [hole+, shaft+, shaft−], [least, most] clearance in thou
     */
    public static function rows(): iterable
    {
        yield [1.0, 'RC2', [0.5, -0.3, -0.7], [0.3, 1.2]];
        yield [1.0, 'RC5', [1.2, -1.6, -2.4], [1.6, 3.6]];
        yield [1.0, 'LN2', [0.8, 1.3, 0.8], [-1.3, 0.0]];
        yield [1.0, 'FN2', [0.8, 1.9, 1.4], [-1.9, -0.6]];
        yield [2.0, 'FN2', [1.2, 2.7, 2.0], [-2.7, -0.8]];
    }

    /**
     * @param  list<float>  $limits
     * @param  list<float>  $clearance
     */
    #[DataProvider('rows')]
    public function test_published_rows(float $inches, string $class, array $limits, array $clearance): void
    {
        $fit = InchFit::of($inches * 25.4, $class);
        $thou = static fn (float $mm): float => round($mm / 0.0254, 6);
        self::assertSame($limits, [$thou($fit->hole->upperMm), $thou($fit->shaft->upperMm), $thou($fit->shaft->lowerMm)]);
        self::assertEqualsWithDelta($clearance[0], $thou($fit->clearance()->min), 1e-6);
        self::assertEqualsWithDelta($clearance[1], $thou($fit->clearance()->max), 1e-6);
    }

    /** Every typed row: ranges join without a gap, limits are in order, running fits clear, press fits grip, allowances rise. */
    public function test_every_row_hangs_together(): void
    {
        /** @var array<string, list<array{float, float, float, float, float, float}>> $classes */
        $classes = Table::read('ansi-b4-1')['classes'];
        foreach ($classes as $class => $rows) {
            $end = 0.0;
            $allowance = 0.0;
            foreach ($rows as [$over, $to, $holeUpper, $holeLower, $shaftUpper, $shaftLower]) {
                self::assertEqualsWithDelta($end, $over, 1e-9, "{$class} has a gap at {$over}");
                self::assertGreaterThan($over, $to);
                self::assertGreaterThan($holeLower, $holeUpper);
                self::assertGreaterThan($shaftLower, $shaftUpper);
                str_starts_with($class, 'RC') ? self::assertLessThan(0, $shaftUpper) : self::assertGreaterThanOrEqual($holeUpper, $shaftLower);
                $size = abs(str_starts_with($class, 'RC') ? $shaftUpper : $shaftLower);
                self::assertGreaterThanOrEqual($allowance, $size, "{$class} to {$to}");
                $allowance = $size;
                $end = $to;
            }
            self::assertEqualsWithDelta(19.69, $end, 1e-9);
        }
    }

    public function test_refuses_what_the_table_has_not(): void
    {
        foreach ([[25.4, 'XX1', 'class'], [19.7 * 25.4, 'FN2', 'size_in'], [0.0, 'RC2', 'size_in']] as [$mm, $class, $field]) {
            try {
                InchFit::of($mm, $class);
                self::fail('should have been refused');
            } catch (BadInput $bad) {
                self::assertSame($field, $bad->field);
            }
        }
    }
}

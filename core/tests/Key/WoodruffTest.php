<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Key;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Key\KeyLimits;
use Oldpart\Core\Key\WoodruffKey;
use Oldpart\Core\Tests\Evaluate\KindJob;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Woodruff keys against the standards' tables. */
final class WoodruffTest extends TestCase
{
    use KindJob;

    /** @return iterable<string, array{string, float, float, float}> width, depth at the corners, depth in the hub; ANSI B17.2, from memory */
    public static function inches(): iterable
    {
        yield '204' => ['204', 0.0625, 0.1668, 0.0372];
        yield '304' => ['304', 0.0938, 0.1511, 0.0529];
        yield '404' => ['404', 0.1250, 0.1355, 0.0685];
        yield '606' => ['606', 0.1875, 0.2143, 0.0997];
        yield '807' => ['807', 0.2500, 0.2450, 0.1310];
        yield '608' => ['608', 0.1875, 0.3393, 0.0997];
    }

    #[DataProvider('inches')]
    public function test_inch(string $number, float $width, float $deep, float $hub): void
    {
        $key = WoodruffKey::named("Woodruff {$number}");
        self::assertEqualsWithDelta($width, $key->widthMm / 25.4, 1e-4);
        // The last two figures of its number are eighths of the disc.
        self::assertEqualsWithDelta((int) substr($number, -2) / 8, $key->discMm / 25.4, 1e-9);
        self::assertEqualsWithDelta($deep, $key->atCornerMm(25.4) / 25.4, 1e-4);
        // T is across the bore, the arc of the slot off.
        $arc = (25.4 - sqrt(25.4 ** 2 - $key->widthMm ** 2)) / 2;
        self::assertEqualsWithDelta($hub, ($key->acrossHubMm(25.4) - 25.4 + $arc) / 25.4, 1e-4);
    }

    /** ISO 3912, from memory: 5 × 7.5 on a disc of 19, 5.5 into the shaft, 2.3 into the hub. */
    public function test_metric(): void
    {
        $key = WoodruffKey::named('woodruff 5 x 7,5');
        self::assertSame([19.0, 5.5], [$key->discMm, $key->fromTopMm(25.0)]);
        self::assertEqualsWithDelta(27.3, $key->acrossHubMm(25.0), 1e-9);
        // The cutter's chord at 5.5 deep: 2 √(9.5² − 4²).
        self::assertEqualsWithDelta(17.234, $key->slotMm(25.0), 1e-3);
    }

    /** Shaft and hub together leave it a little room on top. */
    public function test_the_table_pins_itself_down(): void
    {
        /** @var list<array{float, float, float, float, float}> $rows */
        $rows = Table::read('woodruff')['metric'];
        foreach ($rows as [$width, $height, $disc, $shaft, $hub]) {
            self::assertGreaterThanOrEqual(0.1, $shaft + $hub - $height);
            self::assertLessThanOrEqual(0.31, $shaft + $hub - $height, "{$width} × {$height}");
            self::assertLessThan(0.5, $height / $disc, 'less than half a disc');
        }
    }

    public function test_others_are_refused(): void
    {
        foreach (['Woodruff', 'Woodruff 6 × 5', 'Woodruff 603', 'Woodruff 9904', 'Woodruff large'] as $text) {
            try {
                WoodruffKey::named($text);
                self::fail($text);
            } catch (BadInput $bad) {
                self::assertSame('shape', $bad->field);
            }
        }
        $this->expectExceptionMessageMatches('/too deep/');
        WoodruffKey::named('Woodruff 8 × 11')->fromTopMm(12.0);
    }

    public function test_in_a_job(): void
    {
        $this->job('stepped-shaft')->is('Keyway', ['shape' => 'Woodruff 5 × 7.5'])
            ->is('Hub seat', ['size' => ['typed' => '22', 'unit' => 'mm']]);
        $card = $this->card('Keyway');
        // N9 of 5: 0 to −0.030.
        self::assertEqualsWithDelta([4.970, 5.0], [$card->band?->lowerMm, $card->band?->upperMm], 1e-9);
        self::assertStringContainsString('22', json_encode($card->more) ?: '');
        self::assertStringContainsString('5.500', json_encode($card->more) ?: '');
    }

    public function test_how_much_deeper(): void
    {
        self::assertSame([0.1, 0.2, 0.3], [KeyLimits::deeperMm(6, false, false), KeyLimits::deeperMm(7, false, true), KeyLimits::deeperMm(40, false, false)]);
        self::assertEqualsWithDelta([0.381, 0.254], [KeyLimits::deeperMm(6.35, true, false), KeyLimits::deeperMm(6.35, true, true)], 1e-9);
        // ANSI B17.2 allows 0.005 in of depth, whatever the width; a metric one goes by DIN 6888, as for parallel keys. From memory.
        self::assertEqualsWithDelta([0.127, 0.127, 0.2], [KeyLimits::woodruffDeeperMm(3.175, true), KeyLimits::woodruffDeeperMm(9.525, true), KeyLimits::woodruffDeeperMm(8, false)], 1e-9);
    }

    /** ISO 3912 in a bore of 22: 2.3 into the hub, 24.3 from its bottom, and up to a tenth deeper; 5.5 to 5.6 into the shaft (DIN 6888, from memory). */
    public function test_the_hub_s_slot_and_the_shaft_s(): void
    {
        $this->job('gear-on-shaft')->is('Keyway in the bore', ['shape' => 'Woodruff 5 × 7.5'])->is('Bore', ['size' => ['typed' => '22', 'unit' => 'mm']]);
        // JS9 of 5 in the hub: 0.015 to both sides (ISO 286-2, IT9 of 3 to 6 is 0.030).
        $card = $this->card('Keyway in the bore');
        self::assertEqualsWithDelta([4.985, 5.015], [$card->band?->lowerMm, $card->band?->upperMm], 1e-9);
        $numbers = static fn (array $more): array => array_map(static fn ($n): string => $n->says->mm, array_column(array_map(static fn ($n): array => ['name' => $n->name, 'n' => $n], $more), 'n', 'name'));
        $hub = $numbers($this->card('Keyway in the bore')->more);
        self::assertStringContainsString('24.300', $hub['From its bottom across the bore']);
        self::assertStringContainsString('24.400', $hub['From its bottom across the bore']);
        $this->job('stepped-shaft')->is('Keyway', ['shape' => 'Woodruff 5 × 7.5'])->is('Hub seat', ['size' => ['typed' => '22', 'unit' => 'mm']]);
        $shaft = $numbers($this->card('Keyway')->more);
        self::assertStringContainsString('5.500', $shaft['From the uncut round down']);
        self::assertStringContainsString('5.600', $shaft['From the uncut round down']);
        self::assertStringContainsString('19.000', $shaft['Cutter']);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Making;

use Oldpart\Core\Catalogue\Material;
use Oldpart\Core\Making\CuttingSpeed;
use PHPUnit\Framework\TestCase;

/**
 * Speeds to begin with against what handbooks give for tools of high-speed steel, turning: mild steel about 100 feet a
 * minute, cast iron 60 to 80, bronze 100 to 150, aluminium 200 to 400 (common practice, from memory).
 */
final class CuttingSpeedTest extends TestCase
{
    private const FOOT = 0.3048;

    public function test_against_the_handbooks(): void
    {
        foreach ([
            'low-carbon steel, cold drawn' => 100,
            'medium-carbon steel, normalised' => 80,
            'grey cast iron, ordinary' => 60,
            'leaded tin bronze (bearing)' => 120,
            'aluminium alloy, wrought, aged' => 300,
        ] as $name => $feet) {
            $steel = CuttingSpeed::of(Material::named($name))?->steel;
            self::assertNotNull($steel, $name);
            self::assertGreaterThanOrEqual($steel->min, self::FOOT * $feet, $name);
            self::assertLessThanOrEqual($steel->max, self::FOOT * $feet, $name);
        }
    }

    /** 22 to 32 m/min at 50 mm: 1000·22 ÷ (π·50) = 140 to 204 turns. */
    public function test_turns_of_the_spindle(): void
    {
        $speed = CuttingSpeed::of(Material::named('medium-carbon steel, normalised'));
        $turns = $speed?->turns(50.0, 1.0);
        self::assertEqualsWithDelta([140.1, 203.7], [$turns?->min, $turns?->max], 0.1);
        self::assertEqualsWithDelta(70.03, $speed?->turns(50.0, 0.5)?->min, 0.1);
        self::assertGreaterThan($turns?->max, $speed?->turnsOfCarbide(50.0, 1.0)->min);
    }

    public function test_what_no_speed_is_said_of(): void
    {
        self::assertNull(CuttingSpeed::of(null));
        self::assertNull(CuttingSpeed::of(Material::named('unknown steel')), 'it may be anything');
        self::assertNull(CuttingSpeed::of(Material::named('hardwood')));
        $hard = CuttingSpeed::of(Material::named('bearing or tool steel, hardened'));
        self::assertNull($hard?->turns(50.0, 1.0), 'high-speed steel does not cut it');
    }
}

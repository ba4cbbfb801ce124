<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Measure\SurfaceKind;

/** How much a surface matters: it sets how many readings are asked for, and with what. Source: common practice. */
enum Criticality: string
{
    case Critical = 'critical';
    case Fit = 'fit';
    case Clearance = 'clearance';
    case AsItComes = 'as it comes';

    /** @return list<string> where along the surface to read, when nobody said otherwise */
    public function stations(SurfaceKind $kind): array
    {
        return match (true) {
            $kind === SurfaceKind::Length => ['1'],
            $this === self::Critical => ['near end', 'middle', 'far end'],
            $this === self::Fit => ['near end', 'far end'],
            default => ['1'],
        };
    }

    /** @return list<string> how far round, degrees */
    public function angles(SurfaceKind $kind): array
    {
        return match (true) {
            $this === self::Critical => $kind === SurfaceKind::Length
                ? ['0', '90', '180', '270']
                : ['0', '45', '90', '135'],
            $this === self::Fit => ['0', '90'],
            default => ['0'],
        };
    }

    /** The instrument most would reach for (code in data/instruments.json). */
    public function instrument(SurfaceKind $kind): string
    {
        if ($this === self::AsItComes && $kind !== SurfaceKind::Bore) {
            return 'rule';
        }
        if ($this === self::Clearance || $this === self::AsItComes) {
            return 'calliper';
        }

        return match ($kind) {
            SurfaceKind::Bore => $this === self::Critical ? 'three-point' : 'telescoping',
            SurfaceKind::Shaft => 'outside-micrometer',
            SurfaceKind::Length => $this === self::Critical ? 'depth-micrometer' : 'calliper',
        };
    }

    /** It has to be measured before the job can go on. */
    public function mustMeasure(): bool
    {
        return $this === self::Critical || $this === self::Fit;
    }

    public function says(): string
    {
        return match ($this) {
            self::Critical => 'the job stands on it: read it at three places, four ways round, with the best there is',
            self::Fit => 'something fits on it: read it at both ends, two ways round',
            self::Clearance => 'it only has to clear: one reading will do',
            self::AsItComes => 'no limits: a rule will do, or leave it as it comes',
        };
    }
}

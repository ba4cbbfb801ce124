<?php

declare(strict_types=1);

namespace Oldpart\Core\Shape;

use Oldpart\Core\Measure\SurfaceKind;

/** What a surface is. Diameters, widths and lengths are read as sizes; angles and radii are only noted. */
enum SurfaceType: string
{
    case Bore = 'bore';
    case Shaft = 'shaft';
    case Length = 'length';
    case Face = 'face';
    case ChamferOutside = 'chamfer-outside';
    case ChamferInside = 'chamfer-inside';
    case GrooveOutside = 'groove-outside';
    case GrooveInside = 'groove-inside';
    case TaperOutside = 'taper-outside';
    case TaperInside = 'taper-inside';
    case ThreadOutside = 'thread-outside';
    case ThreadInside = 'thread-inside';
    case KeywayShaft = 'keyway-shaft';
    case KeywayHub = 'keyway-hub';
    case HolePattern = 'hole-pattern';
    case Flat = 'flat';
    case Angle = 'angle';
    case Spline = 'spline';
    case Teeth = 'teeth';
    case Radius = 'radius';

    /** How its size is read: as a bore, as a shaft, or between two faces. */
    public function measuredAs(): SurfaceKind
    {
        return match ($this) {
            self::Bore, self::TaperInside, self::ThreadInside, self::GrooveInside => SurfaceKind::Bore,
            self::Shaft, self::TaperOutside, self::ThreadOutside, self::GrooveOutside, self::Spline, self::Teeth => SurfaceKind::Shaft,
            default => SurfaceKind::Length,
        };
    }

    /** A size that a gauge for lengths can read. */
    public function isMeasurable(): bool
    {
        return ! in_array($this, [self::Angle, self::Face, self::Radius], true);
    }

    /** Forms the outside of a turned part. */
    public function isOutside(): bool
    {
        return in_array($this, [self::Shaft, self::TaperOutside, self::ThreadOutside, self::Spline, self::Teeth], true);
    }

    /** Forms the inside of a turned part. */
    public function isInside(): bool
    {
        return in_array($this, [self::Bore, self::TaperInside, self::ThreadInside], true);
    }

    /** Its size is a diameter. */
    public function isRound(): bool
    {
        return $this->isOutside() || $this->isInside() || in_array($this, [self::GrooveOutside, self::GrooveInside, self::HolePattern], true);
    }

    /** Could be the reference others are measured and held from. */
    public function canBeDatum(): bool
    {
        return in_array($this, [self::Bore, self::Shaft, self::Face, self::Flat, self::TaperInside, self::TaperOutside], true);
    }

    public function label(): string
    {
        return match ($this) {
            self::Bore => 'bore',
            self::Shaft => 'outside diameter',
            self::Length => 'length',
            self::Face => 'face',
            self::ChamferOutside => 'chamfer, outside',
            self::ChamferInside => 'chamfer, inside',
            self::GrooveOutside => 'groove, outside',
            self::GrooveInside => 'groove, inside',
            self::TaperOutside => 'taper, outside',
            self::TaperInside => 'taper, inside',
            self::ThreadOutside => 'thread, outside',
            self::ThreadInside => 'thread, inside',
            self::KeywayShaft => 'keyway in a shaft',
            self::KeywayHub => 'keyway in a hub',
            self::HolePattern => 'hole pattern',
            self::Flat => 'flat',
            self::Angle => 'angle',
            self::Spline => 'spline',
            self::Teeth => 'gear teeth',
            self::Radius => 'radius',
        };
    }
}

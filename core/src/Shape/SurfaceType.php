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
            self::Shaft,
            self::TaperOutside,
            self::ThreadOutside,
            self::GrooveOutside,
            self::Spline,
            self::Teeth => SurfaceKind::Shaft,
            default => SurfaceKind::Length,
        };
    }

    /** A size that a gauge for lengths can read. */
    public function isMeasurable(): bool
    {
        return ! in_array($this, [self::Angle, self::Face, self::Radius], true);
    }

    /** Its number is its size; other forms are shapes, with more than one. */
    public function isSized(): bool
    {
        return in_array($this, [self::Bore, self::Shaft, self::Length, self::Flat], true);
    }

    /** Forms the outside of a turned part. */
    public function isOutside(): bool
    {
        return in_array($this, [self::Shaft, self::TaperOutside, self::ThreadOutside, self::Spline, self::Teeth], true);
    }

    /** Cut into the outside of a turned part. */
    public function isOutsideGroove(): bool
    {
        return $this === self::GrooveOutside;
    }

    /** Forms the inside of a turned part. */
    public function isInside(): bool
    {
        return in_array($this, [self::Bore, self::TaperInside, self::ThreadInside], true);
    }

    /** Could be the reference others are measured and held from. */
    public function canBeDatum(): bool
    {
        return in_array(
            $this,
            [self::Bore, self::Shaft, self::Face, self::Flat, self::TaperInside, self::TaperOutside],
            true,
        );
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

    /**
     * The lengths that describe it, by the field that holds them.
     *
     * @return array<string, string>
     */
    public function sizes(): array
    {
        $place = ['at' => 'Begins at, from the left face', 'long' => 'Runs for'];

        return match ($this) {
            self::Bore => ['size' => 'Diameter', ...$place, 'x' => 'Centre, to the right', 'y' => 'Centre, upward'],
            self::Shaft => ['size' => 'Diameter', ...$place, 'x' => 'Centre, to the right', 'y' => 'Centre, upward'],
            self::TaperOutside, self::TaperInside => [
                'size' => 'Diameter where it begins',
                'size2' => 'Diameter at the far end',
                ...$place,
            ],
            self::ThreadOutside, self::ThreadInside => ['size' => 'Major diameter', 'pitch' => 'Pitch', ...$place],
            self::GrooveOutside, self::GrooveInside => ['size' => 'Diameter at its bottom', ...$place],
            self::KeywayShaft, self::KeywayHub => ['size' => 'Width', 'size2' => 'Depth', ...$place],
            self::HolePattern => ['size' => 'Hole circle', 'size2' => 'Hole', ...$place],
            self::ChamferOutside, self::ChamferInside => [
                'size' => 'Leg, at 45°',
                'at' => 'At the corner, from the left face',
            ],
            self::Spline, self::Teeth => ['size' => 'Outside diameter', 'pitch' => 'Pitch', ...$place],
            self::Length => ['size' => 'Length', ...$place],
            self::Flat => ['size' => 'Width', ...$place],
            self::Radius => ['size' => 'Radius'],
            self::Face => ['at' => 'At, from the left face'],
            self::Angle => [],
        };
    }

    /** Holes, teeth and splines are counted. */
    public function isCounted(): bool
    {
        return in_array($this, [self::HolePattern, self::Spline, self::Teeth, self::Flat], true);
    }

    /** How rough it is counts for what presses on it. */
    public function hasFinish(): bool
    {
        return $this === self::Bore || $this === self::Shaft;
    }

    /** It may lie off the axis of a turned part. */
    public function maySitOff(): bool
    {
        return $this === self::Bore;
    }

    /** An edge, a plain groove or an angle: nothing is fitted to it. */
    public function isEdge(): bool
    {
        return in_array(
            $this,
            [self::ChamferInside, self::ChamferOutside, self::GrooveInside, self::GrooveOutside, self::Angle],
            true,
        );
    }

    /** Its width is read between two faces, and widens as it is cut. */
    public function isSlot(): bool
    {
        return $this === self::KeywayShaft || $this === self::KeywayHub;
    }

    public function isTaper(): bool
    {
        return $this === self::TaperOutside || $this === self::TaperInside;
    }

    public function isThread(): bool
    {
        return $this === self::ThreadOutside || $this === self::ThreadInside;
    }

    /** What its angle means; null where it has none. */
    public function angleLabel(): ?string
    {
        return match ($this) {
            self::Angle => 'Angle, degrees',
            self::HolePattern => 'First hole at, degrees from the right',
            self::Length => 'On a plate: 0 across, 90 upright',
            default => null,
        };
    }
}

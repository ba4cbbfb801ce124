<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shapes;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Facts\Form;
use Oldpart\Core\Facts\Hand;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Picture\AxisFace;
use Oldpart\Core\Picture\AxisPart;
use Oldpart\Core\Picture\FaceCircle;
use Oldpart\Core\Picture\FacePattern;
use Oldpart\Core\Picture\FacePicture;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\Chamfer;
use Oldpart\Core\Shape\Outline;
use Oldpart\Core\Shape\Profile;
use Oldpart\Core\Shape\Segment;
use Oldpart\Core\Shape\SurfaceType;

/** One part's shape from its surfaces: profile and labels for the section, circles and holes for the face. */
final readonly class PartShape
{
    public Profile $profile;

    /** The same without chamfers: its walls. */
    public Profile $walls;

    /** @var list<SurfaceFacts> */
    private array $surfaces;

    private Planes $planes;

    /** @var list<array{float, float}> of a plate, as a sum of the job gives it; else nothing */
    private array $outline;

    public function __construct(public PartFacts $part, JobFacts $facts, private Sizes $sizes)
    {
        $this->outline = $part->form === Form::Plate ? PlateOutline::of($facts, $part->id) : [];
        $this->surfaces = $facts->surfacesOf($part->id);
        $this->planes = new Planes($this->surfaces, $sizes);
        [$this->profile, $this->walls] =
            $part->form === Form::Turned ? $this->turned() : [Profile::of([], []), Profile::of([], [])];
    }

    public function tone(): Tone
    {
        return $this->part->origin === Origin::Make ? Tone::Make : Tone::Found;
    }

    /**
     * @return list<AxisFace> the faces square to its axis: both ends, the shoulders, and where a length begins or ends; from the left
     */
    public function faces(): array
    {
        $cells = $this->profile->cells;
        if ($cells === []) {
            return [];
        }
        [$first, $last] = [$cells[0]->fromMm, $cells[count($cells) - 1]->toMm];
        $planes = [];
        foreach ($this->surfaces as $surface) {
            $extent = $surface->type === SurfaceType::Length ? $this->planes->of($surface) : null;
            foreach ($extent ?? [] as $mm) {
                $planes[number_format($mm, 6, '.', '')] = $mm;
            }
        }
        foreach ([$first, $last, ...$this->shoulders()] as $mm) {
            $planes[number_format($mm, 6, '.', '')] = $mm;
        }
        sort($planes);
        $faces = [];
        foreach ($planes as $i => $mm) {
            [$left, $right] = [null, null];
            foreach ($cells as $cell) {
                $left = abs($cell->toMm - $mm) < 1e-6 ? $cell : $left;
                $right = abs($cell->fromMm - $mm) < 1e-6 ? $cell : $right;
            }
            $outer = [$left->outerEndMm ?? 0.0, $right->outerStartMm ?? 0.0];
            $inner = [$left->innerEndMm ?? $outer[0], $right->innerStartMm ?? $outer[1]];
            $looks = match (true) {
                $left === null && $right === null => 0,
                $right === null => 1,
                $left === null => -1,
                abs($outer[0] - $outer[1]) > 1e-6 => $outer[0] > $outer[1] ? 1 : -1,
                abs($inner[0] - $inner[1]) > 1e-6 => $inner[0] < $inner[1] ? 1 : -1,
                default => 0,
            };
            // Seen between the two outsides of a shoulder, or the two bores; at an end, the whole face.
            [$low, $high] = match (true) {
                $left === null || $right === null => [$left === null ? $inner[1] : $inner[0], max($outer)],
                abs($outer[0] - $outer[1]) > 1e-6 => [min($outer), max($outer)],
                abs($inner[0] - $inner[1]) > 1e-6 => [min($inner), max($inner)],
                default => [$inner[0], $outer[0]],
            };
            $faces[] = new AxisFace(
                id: "{$this->part->id}.{$i}",
                name: $this->faceName($mm, $first, $last, $looks),
                atMm: $mm,
                looks: $looks,
                innerMm: $low,
                outerMm: max($high, $low),
            );
        }

        return $faces;
    }

    /** @return list<float> where the outside or the bore steps, mm */
    private function shoulders(): array
    {
        $steps = [];
        $cells = $this->profile->cells;
        for ($i = 1; $i < count($cells); $i++) {
            if (
                abs($cells[$i]->outerStartMm - $cells[$i - 1]->outerEndMm) > 0.25
                || abs($cells[$i]->innerStartMm - $cells[$i - 1]->innerEndMm) > 0.25
            ) {
                $steps[] = $cells[$i]->fromMm;
            }
        }

        return $steps;
    }

    private function faceName(float $mm, float $first, float $last, int $looks): string
    {
        if (abs($mm - $first) < 1e-6 || abs($mm - $last) < 1e-6) {
            return $this->part->name.(abs($mm - $first) < 1e-6 ? ', left end' : ', right end');
        }
        // Named after what steps up there: the widest outside beside it, or the bore that ends there.
        $named = null;
        foreach ($this->surfaces as $surface) {
            $extent = $this->planes->of($surface);
            $turned = $surface->type->isOutside() || $surface->type->isInside();
            if (
                $turned
                && $extent !== null
                && (abs($extent[0] - $mm) < 1e-6 || abs($extent[1] - $mm) < 1e-6)
                && ($named === null || ($this->sizes->mm($surface) ?? 0.0) > ($this->sizes->mm($named) ?? 0.0))
            ) {
                $named = $surface;
            }
        }
        $side = match ($looks) {
            1 => ', shoulder looking right',
            -1 => ', shoulder looking left',
            default => '',
        };

        return $this->part->name.($named === null ? '' : ': '.lcfirst($named->name)).$side;
    }

    /**
     * @return array{float, float}|null from its first plane to its last, mm from the part’s zero; null when it has no place
     */
    public function extent(SurfaceFacts $surface): ?array
    {
        return $this->planes->of($surface);
    }

    /** @return list<float> places along its axis that are known, not only sketched, mm */
    public function knownMm(): array
    {
        return $this->planes->knownMm();
    }

    /** How far an eccentric bore's axis lies beside the part's, mm. */
    public function offsetOf(SurfaceFacts $surface): float
    {
        return $surface->type->isInside() ? $this->sizes->x($surface) : 0.0;
    }

    /** @return array{Profile, Profile} with its chamfers, and without */
    private function turned(): array
    {
        $outside = $inside = $chamfers = [];
        foreach ($this->surfaces as $surface) {
            $mm = $this->sizes->mm($surface);
            $extent = $this->planes->of($surface);
            if ($mm === null || $mm <= 0 || $extent === null) {
                continue;
            }
            $type = $surface->type;
            if ($type === SurfaceType::ChamferOutside || $type === SurfaceType::ChamferInside) {
                $chamfers[] = new Chamfer($extent[0], $mm, $type === SurfaceType::ChamferInside);
            } elseif ($extent[1] > $extent[0] && ($type->isOutside() || $type === SurfaceType::GrooveOutside)) {
                $outside[] = $this->segment($surface, $extent, $mm);
            } elseif ($extent[1] > $extent[0] && ($type->isInside() || $type === SurfaceType::GrooveInside)) {
                $inside[] = $this->segment($surface, $extent, $mm);
            }
        }
        if ($outside === [] && $inside !== []) {
            $outside = $this->brokenOff($inside);
        }

        return [Profile::of($outside, $inside, $chamfers), Profile::of($outside, $inside)];
    }

    /** @param  array{float, float}  $extent */
    private function segment(SurfaceFacts $surface, array $extent, float $mm): Segment
    {
        $end = in_array($surface->type, [SurfaceType::TaperOutside, SurfaceType::TaperInside], true)
            ? $this->sizes->second($surface) ?? $mm
            : $mm;
        $mark = match ($surface->type) {
            SurfaceType::ThreadOutside,
            SurfaceType::ThreadInside,
            SurfaceType::Teeth,
            SurfaceType::Spline => $surface->type->value,
            default => null,
        };

        return new Segment(
            fromMm: $extent[0],
            toMm: $extent[1],
            startMm: $mm / 2,
            endMm: $end / 2,
            offsetMm: $this->offsetOf($surface),
            cutsOutside: $surface->type === SurfaceType::GrooveOutside,
            mark: $mark,
        );
    }

    /**
     * A part of which only the bore is known is drawn as a piece broken out of it.
     *
     * @param  non-empty-list<Segment>  $inside
     * @return list<Segment>
     */
    private function brokenOff(array $inside): array
    {
        $radius =
            1.6 *
            max(array_map(static fn (Segment $s): float => max($s->startMm, $s->endMm) + abs($s->offsetMm), $inside));

        return [
            new Segment(
                min(array_map(static fn (Segment $s): float => $s->fromMm, $inside)),
                max(array_map(static fn (Segment $s): float => $s->toMm, $inside)),
                $radius,
                $radius,
            ),
        ];
    }

    /**
     * @param  bool  $all  every size, not only those that something fits on
     */
    public function onAxis(float $offsetMm, float $riseMm, bool $all): AxisPart
    {
        $diameters = $lengths = $holes = $slots = [];
        foreach ($this->surfaces as $surface) {
            $extent = $this->planes->of($surface);
            $mm = $this->sizes->mm($surface);
            if ($extent === null || $mm === null) {
                continue;
            }
            $type = $surface->type;
            $wanted = $all || $surface->criticality->mustMeasure() || $this->sizes->says($surface) !== null;
            if ($type === SurfaceType::HolePattern && $extent[1] > $extent[0]) {
                $holes[] = [
                    'circle_mm' => $mm,
                    'hole_mm' => $this->sizes->second($surface) ?? 0.05 * $mm,
                    'from_mm' => $extent[0],
                    'to_mm' => $extent[1],
                ];
            }
            if (
                ($type === SurfaceType::KeywayShaft || $type === SurfaceType::KeywayHub)
                && $extent[1] > $extent[0]
            ) {
                $key = $this->keyway(['surface' => $surface, 'width_mm' => $mm]);
                $depth = $key['hub'] ? $key['depth_mm'] : -$key['depth_mm'];
                $slots[] = [
                    'from_mm' => $extent[0],
                    'to_mm' => $extent[1],
                    'top_mm' => $key['radius_mm'] + max(0.0, $depth),
                    'bottom_mm' => $key['radius_mm'] + min(0.0, $depth),
                ];
            }
            if (
                $wanted
                && ($type->isOutside()
                    || $type->isInside()
                    || $type === SurfaceType::GrooveOutside
                    || $type === SurfaceType::GrooveInside)
            ) {
                $offset = abs($this->offsetOf($surface));
                $diameters[] = [
                    'surface' => $surface->id,
                    'name' => $all ? $surface->name : $this->named($surface),
                    'at_mm' => $extent[0] + 0.85 * ($extent[1] - $extent[0]),
                    'radius_mm' => $mm / 2 + $offset,
                    'says' => $this->written($surface),
                    'made' => $surface->work !== null,
                ];
            }
            if ($wanted && $type === SurfaceType::Length && $extent[1] > $extent[0]) {
                $lengths[] = [
                    'name' => $surface->name,
                    'from_mm' => $extent[0],
                    'to_mm' => $extent[1],
                    'says' => $this->sizes->says($surface),
                    'made' => $surface->work !== null,
                ];
            }
        }

        return new AxisPart(
            name: $this->part->name,
            tone: $this->tone(),
            profile: $this->profile,
            offsetMm: $offsetMm,
            riseMm: $riseMm,
            diameters: $diameters,
            lengths: $lengths,
            holes: $holes,
            slots: $slots,
            faces: $this->faces(),
        );
    }

    /** The face, where there is something to see that the section does not show; null otherwise. */
    public function face(): ?FacePicture
    {
        $turned = $this->part->form === Form::Turned;
        $circles = $patterns = $keyways = [];
        $width = $height = null;
        $eccentric = false;
        foreach ($this->surfaces as $surface) {
            $mm = $this->sizes->mm($surface);
            if ($mm === null || $mm <= 0) {
                continue;
            }
            $type = $surface->type;
            [$x, $y] = [$this->sizes->x($surface), $this->sizes->y($surface)];
            $eccentric = $eccentric || ($turned && ($x !== 0.0 || $y !== 0.0));
            if ($type->isOutside() || $type->isInside()) {
                $circles[] = new FaceCircle(
                    name: $surface->name,
                    xMm: $x,
                    yMm: $y,
                    radiusMm: $mm / 2,
                    hole: $type->isInside(),
                    says: $this->written($surface),
                    labelled: ! $turned || $surface->criticality->mustMeasure(),
                    thread: $type === SurfaceType::ThreadInside,
                );
            } elseif ($type === SurfaceType::HolePattern) {
                $patterns[] = $this->pattern($surface, $mm);
            } elseif ($type === SurfaceType::KeywayHub || $type === SurfaceType::KeywayShaft) {
                $keyways[] = ['surface' => $surface, 'width_mm' => $mm];
            } elseif ($type === SurfaceType::Length && $surface->angleDeg !== null) {
                $surface->angleDeg === 90.0 ? ($height = $mm) : ($width = $mm);
            }
        }
        if ($turned && $patterns === [] && $keyways === [] && ! $eccentric) {
            return null;
        }
        usort(
            $circles,
            static fn (FaceCircle $a, FaceCircle $b): int => [$a->hole, $b->radiusMm] <=> [$b->hole, $a->radiusMm],
        );
        $outline = match (true) {
            $turned => [],
            $this->outline !== [] => $this->outline,
            $width !== null && $height !== null => Outline::rectangle($width, $height),
            default => Outline::round(
                array_map(
                    static fn (FaceCircle $c): array => [
                        $c->xMm,
                        $c->yMm,
                        $c->hole ? 1.8 * $c->radiusMm : $c->radiusMm,
                    ],
                    $circles,
                ),
            ),
        };
        $face = new FacePicture(
            name: $this->part->name,
            tone: $this->tone(),
            outline: $outline,
            circles: $circles,
            patterns: $patterns,
            keyways: array_map($this->keyway(...), $keyways),
        );

        return $face->isEmpty() ? null : $face;
    }

    private function pattern(SurfaceFacts $surface, float $mm): FacePattern
    {
        $hole = $this->sizes->second($surface) ?? 0.05 * $mm;
        $says = $this->sizes->says($surface);
        $count = $surface->count === null ? '' : "{$surface->count} × ";
        $of = LengthWriter::size($hole);

        return new FacePattern(
            name: $surface->name,
            circleMm: $mm,
            holeMm: $hole,
            count: $surface->count ?? ($surface->sketch->count ?? 4),
            startDeg: $surface->angleDeg ?? 0.0,
            says: match (true) {
                $says === null => null,
                $surface->size2 === null => Say::with("{$count}on ⌀ {circle}", ['circle' => $says]),
                default => Say::with("{$count}⌀ {hole} on ⌀ {circle}", ['hole' => $of, 'circle' => $says]),
            },
        );
    }

    /**
     * @param  array{surface: SurfaceFacts, width_mm: float}  $key
     * @return array{radius_mm: float, width_mm: float, depth_mm: float, hub: bool}
     */
    private function keyway(array $key): array
    {
        $hub = $key['surface']->type === SurfaceType::KeywayHub;
        $at = $this->planes->of($key['surface']);
        $middle = $at === null ? 0.0 : ($at[0] + $at[1]) / 2;
        $radius = 0.0;
        foreach ($this->profile->cells as $cell) {
            if ($middle >= $cell->fromMm && $middle <= $cell->toMm) {
                $radius = $hub ? $cell->innerStartMm : $cell->outerStartMm;
            }
        }

        return [
            'radius_mm' => max($radius, $key['width_mm']),
            'width_mm' => $key['width_mm'],
            'depth_mm' => $this->sizes->second($key['surface']) ?? 0.5 * $key['width_mm'],
            'hub' => $hub,
        ];
    }

    private function written(SurfaceFacts $surface): ?Say
    {
        $says = $this->sizes->says($surface);
        if ($says === null) {
            return null;
        }
        $pitch =
            in_array($surface->type, [SurfaceType::ThreadInside, SurfaceType::ThreadOutside], true)
            && $surface->pitch !== null
                ? Say::with(' × {p}{h}', [
                    'p' => LengthWriter::size($surface->pitch->length->mm),
                    'h' => $surface->hand === Hand::Left ? ' LH' : '',
                ])
                : Say::plain('');

        return Say::with('⌀ {s}{p}', ['s' => $says, 'p' => $pitch]);
    }

    /** A surface's name, with its part's where it does not say it already. */
    private function named(SurfaceFacts $surface): string
    {
        $stems = static fn (string $name): array => array_map(
            static fn (string $w): string => mb_substr($w, 0, 4),
            explode(' ', mb_strtolower($name)),
        );

        return array_intersect($stems($this->part->name), $stems($surface->name)) !== []
            ? $surface->name
            : "{$this->part->name}: ".lcfirst($surface->name);
    }

    /**
     * Mass, surface and centre of mass of a turned part; null while any size or place it needs is only sketched.
     *
     * @return array{mass_kg: ?float, area_mm2: float, centre_mm: float, volume_mm3: float, largest_mm: float, long_mm: float}|null
     */
    public function body(): ?array
    {
        $used = array_filter(
            $this->surfaces,
            fn (SurfaceFacts $s): bool => ($s->type->isOutside() || $s->type->isInside())
                && $this->sizes->long($s) !== null,
        );
        $drawn = array_filter(
            $used,
            fn (SurfaceFacts $s): bool => $this->sizes->known($s) === null || ! $this->planes->areKnown($s),
        );
        $outside = array_filter($used, static fn (SurfaceFacts $s): bool => $s->type->isOutside());
        if ($outside === [] || $drawn !== [] || $this->profile->isEmpty()) {
            return null;
        }
        $volume = $this->profile->volumeMm3() - $this->cutAway();
        $density = FoundSurfaces::material($this->part)?->densityKgM3;

        return [
            'mass_kg' => $density === null ? null : $volume * $density * 1e-9,
            'area_mm2' => $this->profile->surfaceMm2(),
            'centre_mm' => $this->profile->centreMm(),
            'volume_mm3' => $volume,
            'largest_mm' => 2 * $this->profile->largestMm(),
            'long_mm' => $this->profile->toMm() - $this->profile->fromMm(),
        ];
    }

    /** @return list<string> the names of what a blank goes by, as far as its size or its place is only sketched */
    public function sketched(): array
    {
        $isTurned = $this->part->form === Form::Turned;
        $sketched = array_filter(
            $this->surfaces,
            fn (SurfaceFacts $s): bool => $isTurned
                ? $s->type->isOutside()
                    && $this->sizes->long($s) !== null
                    && ($this->sizes->known($s) === null || ! $this->planes->areKnown($s))
                : ($s->type === SurfaceType::Shaft || $s->type === SurfaceType::Length)
                    && $this->sizes->mm($s) !== null
                    && $this->sizes->known($s) === null,
        );

        return array_values(array_map(static fn (SurfaceFacts $s): string => $s->name, $sketched));
    }

    /** Holes of patterns and keyways, mm³. */
    private function cutAway(): float
    {
        $away = 0.0;
        foreach ($this->surfaces as $surface) {
            $mm = $this->sizes->mm($surface);
            $second = $this->sizes->second($surface);
            if ($mm === null || $second === null) {
                continue;
            }
            $extent = $this->planes->of($surface);
            $away += match ($surface->type) {
                SurfaceType::HolePattern => ((($surface->count ?? ($surface->sketch->count ?? 0)) * M_PI) / 4) *
                    $second ** 2 *
                    $this->profile->thicknessAtMm($mm / 2),
                SurfaceType::KeywayShaft, SurfaceType::KeywayHub => $extent === null
                    ? 0.0
                    : $mm * $second * ($extent[1] - $extent[0]),
                default => 0.0,
            };
        }

        return $away;
    }
}

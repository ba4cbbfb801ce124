<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Facts\Form;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Shape\SurfaceType;

/** Every shape of a job with its numbers, one after the other. */
final class ShapedSurfaces
{
    /**
     * @param  array<string, FoundSize>  $found  by surface, and by dimension of one
     * @param  array<string, array<string, FoundSize>>  $before  of what is cut, by surface or dimension, by state
     * @param  array<string, Band>  $bands  of what joints and loops size, by surface
     * @return list<ShapedSurface>
     */
    public static function of(JobFacts $facts, array $found, array $before, array $bands, bool $withheld): array
    {
        $sizes = new ShapeSizes($facts, $found, $before, $bands);
        $shapes = [];
        foreach ($facts->surfaces as $surface) {
            [$joint, $mate] = self::meets($facts, $surface);
            $case = new ShapeCase($sizes, $surface, $facts->isCut($surface), $joint, $mate);
            try {
                $shape = self::work($facts, $case);
            } catch (BadInput $bad) {
                // Whatever was typed of one shape, the rest of the job has its answers.
                $shape = ShapedSurface::open($surface, $case->isCut, Say::plain($bad->getMessage()));
            }
            if ($shape !== null) {
                $shapes[] = $withheld && $case->isCut
                    ? ShapedSurface::open($surface, true, Gatekeeper::sentence())
                    : $shape->read($sizes);
            }
        }

        return $shapes;
    }

    /** @throws BadInput where what was said or read makes no such shape */
    private static function work(JobFacts $facts, ShapeCase $case): ?ShapedSurface
    {
        return match ($case->surface->type) {
            SurfaceType::TaperInside, SurfaceType::TaperOutside => (new TaperWork($case))->surface(),
            SurfaceType::ThreadInside, SurfaceType::ThreadOutside => (new ThreadWork($case))->surface(),
            SurfaceType::KeywayShaft, SurfaceType::KeywayHub => WoodruffWork::is($case)
                ? (new WoodruffWork($case))->surface()
                : (new KeyWork($case))->surface(),
            SurfaceType::Teeth => (new TeethWork($case))->surface(),
            SurfaceType::ChamferInside, SurfaceType::ChamferOutside => (new EdgeWork($case))->surface(),
            SurfaceType::Angle => (new AngleWork($case))->surface(),
            SurfaceType::HolePattern => (new PatternWork($case))->surface(),
            SurfaceType::Spline => (new SplineWork($case))->surface(),
            SurfaceType::Flat => (new FlatWork($case))->surface(),
            SurfaceType::GrooveInside, SurfaceType::GrooveOutside => (new GrooveWork($case))->surface(),
            SurfaceType::Bore, SurfaceType::Shaft => $facts->partOf($case->surface)->form === Form::Turned
                ? (new OffsetWork($case))->surface()
                : null,
            default => null,
        };
    }

    /** @return array{?JointFacts, ?SurfaceFacts} the joint of shapes it stands in, and what it meets there */
    private static function meets(JobFacts $facts, SurfaceFacts $surface): array
    {
        foreach ($facts->joints as $joint) {
            if (
                ($joint->inner === $surface->id || $joint->outer === $surface->id)
                && Purpose::orNull($joint->purpose)?->shape !== null
            ) {
                return [$joint, $facts->surface($joint->inner === $surface->id ? $joint->outer : $joint->inner)];
            }
        }

        return [null, null];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/**
 * What a length or a face upsets when it comes out otherwise: every gap, engagement, taper and depth that hangs on
 * it.
 */
final readonly class KnockOn
{
    /** What a taper changes by is said for so much along it. */
    private const STEP_MM = 1.0;

    /** @param  list<ShapedSurface>  $shapes */
    public function __construct(private JobFacts $facts, private array $shapes)
    {
    }

    /** @return list<Say> nothing for what is no length */
    public function of(SurfaceFacts $surface): array
    {
        if ($surface->kind !== SurfaceKind::Length) {
            return [];
        }

        return [...$this->gaps($surface), ...$this->engagements($surface), ...$this->shapes($surface)];
    }

    /** @return list<Say> */
    private function gaps(SurfaceFacts $surface): array
    {
        $says = [];
        foreach ($this->facts->loops as $loop) {
            foreach ($loop->lengths as $length) {
                if ($length->surface === $surface->id) {
                    $by = $length->countsHalf ? 'half as much' : 'as much';
                    $says[] = Say::plain($length->angleDeg === null
                        ? "“{$loop->name}” ".($length->opens ? 'opens' : 'closes')." by {$by} as it is longer."
                        : "“{$loop->name}” moves with it at {$length->angleDeg}°.");
                }
            }
        }

        return $says;
    }

    /** @return list<Say> */
    private function engagements(SurfaceFacts $surface): array
    {
        $says = [];
        foreach ($this->facts->joints as $joint) {
            if ($joint->along === $surface->id) {
                $says[] = Say::plain("“{$joint->name}” engages over it: it holds less in proportion as it is shorter.");
            } elseif ($joint->inner === $surface->id || $joint->outer === $surface->id) {
                $says[] = Say::plain("“{$joint->name}” is of this length and its mate’s: it changes by as much.");
            }
        }

        return $says;
    }

    /** @return list<Say> what else its part has that a moved face cuts into */
    private function shapes(SurfaceFacts $surface): array
    {
        $says = [];
        foreach ($this->shapes as $shape) {
            $other = $shape->surface;
            if ($other->part !== $surface->part || ! $shape->isCut) {
                continue;
            }
            $slope = $shape->onDiameter;
            if ($slope !== null) {
                $inside = $other->type === SurfaceType::TaperInside;
                $says[] = Say::with("“{$other->name}”: a face moved along it by {m} changes its end by {d} on the diameter".($inside ? '; deepen it by as much as the mouth is faced.' : '.'), [
                    'm' => LengthWriter::sizeInWords(self::STEP_MM),
                    'd' => LengthWriter::difference(self::STEP_MM * $slope),
                ]);
            } elseif ($other->type->isThread()) {
                $says[] = Say::plain("“{$other->name}”: its full thread is shorter by what a face at its end takes off.");
            } elseif (
                in_array(
                    $other->type,
                    [SurfaceType::KeywayShaft, SurfaceType::GrooveInside, SurfaceType::GrooveOutside],
                    true,
                )
            ) {
                $says[] = Say::plain("“{$other->name}” lies by as much nearer to a face that is moved.");
            }
        }

        return $says;
    }
}

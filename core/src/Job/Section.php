<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Picture\SectionPart;
use Oldpart\Core\Picture\SectionPicture;
use Oldpart\Core\Picture\Tone;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** The parts of a job on one axis, at their sizes; where a size is not known yet a likely proportion is drawn instead. */
final readonly class Section
{
    /**
     * @param  array<string, FoundSize>  $found
     * @param  array<string, Band>  $bands
     */
    public function __construct(private JobFacts $facts, private array $found, private array $bands)
    {
    }

    public function draw(): ?Drawing
    {
        if ($this->facts->parts === []) {
            return null;
        }
        $journal = $this->journal() ?? 25.0;
        $parts = [];
        foreach ($this->facts->parts as $part) {
            $outside = $this->one($part, SurfaceKind::Shaft);
            $bore = $this->one($part, SurfaceKind::Bore);
            $length = $this->one($part, SurfaceKind::Length);
            if ($outside === null && $bore === null) {
                continue;
            }
            $boreMm = $bore === null ? 0.0 : ($this->mm($bore) ?? ($part->origin === Origin::Make ? 1.0 : 1.25) * $journal);
            $outsideMm = $outside === null ? $boreMm * 1.6 : ($this->mm($outside) ?? ($part->origin === Origin::Make ? 1.25 * $journal : ($bore === null ? $journal : 2 * $journal)));
            $parts[] = new SectionPart(
                $part->name, $part->origin === Origin::Found ? Tone::Found : Tone::Make, max($outsideMm, $boreMm * 1.02), $boreMm,
                $length === null ? 1.6 * $journal : ($this->mm($length) ?? 1.6 * $journal),
                $this->says($outside), $this->says($bore), $this->says($length), $bore === null && $length === null,
            );
        }
        usort($parts, static fn (SectionPart $a, SectionPart $b): int => $b->outsideMm <=> $a->outsideMm);

        return $parts === [] ? null : SectionPicture::draw($parts);
    }

    private function journal(): ?float
    {
        foreach ($this->facts->joints as $joint) {
            foreach ([$joint->inner, $joint->outer] as $id) {
                $surface = $this->facts->surface($id);
                $size = $surface === null || $surface->kind === SurfaceKind::Length ? null : $this->mm($surface);
                if ($size !== null) {
                    return $surface->kind === SurfaceKind::Bore ? $size / 1.25 : $size;
                }
            }
        }

        return null;
    }

    private function one(PartFacts $part, SurfaceKind $kind): ?SurfaceFacts
    {
        foreach ($this->facts->surfaces as $surface) {
            if ($surface->part === $part->id && $surface->kind === $kind) {
                return $surface;
            }
        }

        return null;
    }

    private function mm(SurfaceFacts $surface): ?float
    {
        return isset($this->bands[$surface->id]) ? $this->bands[$surface->id]->middleMm() : ($this->found[$surface->id]->meanMm ?? null);
    }

    private function says(?SurfaceFacts $surface): ?Say
    {
        if ($surface === null) {
            return null;
        }
        $band = $this->bands[$surface->id] ?? null;

        return match (true) {
            $band !== null => $surface->kind === SurfaceKind::Bore ? LengthWriter::lower($band) : LengthWriter::upper($band),
            isset($this->found[$surface->id]) => LengthWriter::size($this->found[$surface->id]->meanMm),
            default => null,
        };
    }
}

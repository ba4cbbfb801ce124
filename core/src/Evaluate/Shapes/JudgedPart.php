<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shapes;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Catalogue\Hardness;
use Oldpart\Core\Catalogue\HardnessScale;
use Oldpart\Core\Catalogue\LikelyGroup;
use Oldpart\Core\Catalogue\MaterialTests;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Found\JudgedSurface;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Making\Workability;
use Oldpart\Core\Measure\UnitVote;

/** What is known of one part: its metal, what that allows, its weight, its drawings. */
final readonly class JudgedPart
{
    /** From here on a crane or a helper. Source: common caution. */
    private const HEAVY_KG = 20.0;

    /**
     * @param  list<LikelyGroup>  $likely
     * @param  list<Note>  $notes
     * @param  array{mass_kg: ?float, area_mm2: float, centre_mm: float, volume_mm3: float, largest_mm: float, long_mm: float}|null  $body
     */
    private function __construct(
        public PartFacts $part,
        public ?Hardness $hardness,
        public array $likely,
        public array $notes,
        public ?array $body,
        /** @var list<JudgedSurface> what was found of its surfaces */
        private array $surfaces,
    ) {
    }

    /** @param  list<JudgedSurface>  $surfaces of the whole job */
    public static function of(PartFacts $part, JobShapes $shapes, array $surfaces): self
    {
        $notes = [];
        $hardness = null;
        if ($part->hardness !== null) {
            try {
                $hardness = Hardness::of($part->hardness->scale, $part->hardness->value);
                if ($hardness->isAtMost) {
                    $notes[] = Note::info(
                        'hardness-soft',
                        'The C scale says little below HRC 20: it is softer than that, and the other figures are the most it can be. Read it on the B scale or by Brinell for a number.',
                        $part->id,
                    );
                }
            } catch (BadInput $bad) {
                $notes[] = Note::caution('hardness', $bad->getMessage(), $part->id);
            }
        }
        $material = FoundSurfaces::material($part);
        if ($hardness !== null && $material !== null && ! $material->hardnessConverts) {
            $notes[] = Note::caution(
                'hardness-steel-only',
                "The table is for plain and low-alloy steels: for {$material->name} the other scales and the strength are a rough guess.",
                $part->id,
            );
        }
        $likely = MaterialTests::likely($part->tests);
        if (MaterialTests::disagree($part->tests)) {
            $notes[] = Note::caution(
                'tests-disagree',
                'These results hardly go together: do one of them again, beside a known piece.',
                $part->id,
            );
        }
        if ($material !== null) {
            // A scale that the table cannot turn into HRC is soft.
            $hrc =
                $part->hardness === null
                    ? null
                    : $hardness->hrc ??
                        ($part->hardness->scale === HardnessScale::RockwellC ? $part->hardness->value : 0.0);
            array_push(
                $notes,
                ...array_map(static fn (Note $n): Note => $n->about($part->id), Workability::of($material, $hrc)),
            );
        }
        $body = $shapes->shapes[$part->id]->body();
        if (($body['mass_kg'] ?? 0) > self::HEAVY_KG) {
            $notes[] = Note::caution(
                'heavy',
                'It weighs '.
                    number_format((float) $body['mass_kg'], 0).
                    ' kg: over 20 kg use a crane or a helper, rated slings, nobody under the load.',
                $part->id,
            );
        }

        return new self(
            part: $part,
            hardness: $hardness,
            likely: $likely,
            notes: $notes,
            body: $body,
            surfaces: array_values(
                array_filter(
                    $surfaces,
                    static fn (JudgedSurface $s): bool => $s->surface->part === $part->id && $s->found !== null,
                ),
            ),
        );
    }

    public function isHeavy(): bool
    {
        return ($this->body['mass_kg'] ?? 0) > self::HEAVY_KG;
    }

    public function isHard(): bool
    {
        return ($this->hardness->hrc ?? 0) >= Workability::HARD_HRC
            || ($this->hardness === null && FoundSurfaces::material($this->part)?->machine === 'grind');
    }

    /** Inches or millimetres, by all that was measured of it; null with less than two dimensions. */
    public function vote(): ?UnitVote
    {
        $dimensions = [];
        foreach ($this->surfaces as $surface) {
            $nominal = $surface->meant();
            if ($nominal !== null) {
                $dimensions[] = ['label' => $surface->surface->name, 'nominal' => $nominal];
            }
        }

        return count($dimensions) < 2 ? null : UnitVote::of($dimensions);
    }
}

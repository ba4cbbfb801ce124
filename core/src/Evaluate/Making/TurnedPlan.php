<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Evaluate\Shapes\PartShape;
use Oldpart\Core\Facts\Form;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Making\Treatment;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/**
 * In what order a part is turned from the bar: each surface that is cut at its place, with its number and why there.
 * Rules of the trade, common practice: mates first; rough, rest, finish; bore first where the wall is thin; true
 * surfaces in one chucking; relief before thread; keyways and cross holes after turning; what is hardened is ground
 * last; fits last.
 */
final readonly class TurnedPlan
{
    /** A wall thinner than this share of its outside springs under the jaws. */
    private const THIN = 0.1;

    /** On the diameter when roughed, and at either face. */
    private const ROUGH_MM = 1.0;

    /** Longer than so many times its diameter it wants the tail centre; so many, a steady. */
    private const TAIL = 3.0;

    private const STEADY = 12.0;

    private const EDGE_MM = 0.2;

    /** What follows the diameters, in order: of which surfaces, what is done, why there, by which rule. */
    private const AFTER = [
        'tapers' => [
            [SurfaceType::TaperInside, SurfaceType::TaperOutside],
            'Set the slide over and cut {list}; try it with blue.',
            'In the same chucking as what it has to run true with; the slide stays set until it is tried.',
            'one chucking',
        ],
        'grooves' => [
            [SurfaceType::GrooveInside, SurfaceType::GrooveOutside],
            'Cut {list}.',
            'A thread runs out into its relief: the relief comes first.',
            'relief before thread',
        ],
        'threads' => [
            [SurfaceType::ThreadInside, SurfaceType::ThreadOutside],
            'Cut {list}.',
            'After its relief, before the part leaves the chuck.',
            'relief before thread',
        ],
        'lengths' => [
            [SurfaceType::Length],
            'Part off, turn it round on a mandrel or in soft jaws, and face to {list}.',
            'Lengths last in the lathe: what they upset is known by then. Dial it in on a finished surface.',
            'dial in on what is finished',
        ],
        'holes' => [
            [SurfaceType::HolePattern],
            'Drill {list}, hole by hole as listed at Make.',
            'Round and faced, it can be set up by its own bore or spigot.',
            'cross holes after turning',
        ],
        'keyways' => [
            [
                SurfaceType::KeywayShaft,
                SurfaceType::KeywayHub,
                SurfaceType::Flat,
                SurfaceType::Teeth,
                SurfaceType::Spline,
            ],
            'Cut {list}.',
            'After turning: an interrupted cut would knock the tool. Deburr before it is polished.',
            'keyways after turning',
        ],
    ];

    /** @var list<MakeEntry> */
    private array $entries;

    /** @var list<ShapedSurface> */
    private array $shapes;

    /**
     * @param  list<MakeEntry>  $make
     * @param  list<ShapedSurface>  $shaped
     */
    private function __construct(
        private JobFacts $facts,
        private PartFacts $part,
        private PartShape $shape,
        array $make,
        array $shaped,
    ) {
        $this->entries = array_values(
            array_filter($make, static fn (MakeEntry $e): bool => $e->surface->part === $part->id),
        );
        $this->shapes = array_values(
            array_filter(
                $shaped,
                static fn (ShapedSurface $s): bool => $s->surface->part === $part->id && $s->isCut && $s->is !== null,
            ),
        );
    }

    /**
     * @param  list<MakeEntry>  $make
     * @param  list<ShapedSurface>  $shaped
     * @param  array<string, PartShape>  $shapes  by part
     * @return list<Step> nothing where no turned part is made, or none of it has a number yet
     */
    public static function of(JobFacts $facts, array $make, array $shaped, array $shapes): array
    {
        $steps = [];
        foreach ($facts->parts as $part) {
            $shape = $shapes[$part->id] ?? null;
            if (
                $part->origin !== Origin::Make
                || $part->form !== Form::Turned
                || $shape === null
                || $shape->profile->isEmpty()
            ) {
                continue;
            }
            $plan = new self($facts, $part, $shape, $make, $shaped);
            if ($plan->hasNumbers()) {
                array_push($steps, ...$plan->steps($steps === []));
            }
        }

        return $steps;
    }

    private function hasNumbers(): bool
    {
        return array_filter($this->entries, static fn (MakeEntry $e): bool => $e->band !== null) !== [];
    }

    /** @return list<Step> */
    private function steps(bool $isFirst): array
    {
        $bores = $this->step('bores', [SurfaceType::Bore], 'Bore {list}.', ...$this->isThin()
            ? ['First, while the wall is thick: finished last it would spring under the jaws.', 'thin wall: bore first']
            : ['In the chucking of the outsides, so that they run true to each other.', 'one chucking']);
        $outsides = $this->step(
            'outsides',
            [SurfaceType::Shaft],
            'Turn {list}, from the largest down.',
            'Two equal last cuts with the same feed, measured between, then a spring pass.',
            'two equal last cuts',
        );
        $after = [];
        foreach (self::AFTER as $code => [$types, $do, $why, $rule]) {
            $after[] = $this->step($code, $types, $do, $why, $rule);
        }

        return array_values(array_filter([
            $isFirst ? $this->mates() : null,
            $this->blank(),
            $this->rough(),
            ...$this->isThin() ? [$bores, $outsides] : [$outsides, $bores],
            ...$after,
            $this->treatment(),
            new Step(
                $this->code('edges'),
                Say::with("{$this->part->name}: break every edge, about {e}; no burr where it meets its mate.", [
                    'e' => LengthWriter::about(self::EDGE_MM),
                ]),
                'A burr reads as size, and holds a fit off its seat.',
                'deburr before it is tried',
            ),
            new Step(
                $this->code('try'),
                Say::plain("{$this->part->name}: try it in its mate before it leaves the bench, cool and clean."),
                'While it can still be set up again as it was.',
                'test-fit before anything else is finished',
            ),
        ]));
    }

    private function code(string $code): string
    {
        return "{$this->part->id}:{$code}";
    }

    private function mates(): Step
    {
        $mates = [];
        foreach ($this->facts->joints as $joint) {
            foreach ([$joint->inner, $joint->outer] as $id) {
                $surface = $this->facts->surface($id);
                if ($surface !== null && ! $this->facts->isCut($surface)) {
                    $mates[$surface->id] = lcfirst($surface->name);
                }
            }
        }

        return new Step(
            $this->code('mates'),
            Say::plain($mates === [] ? 'Measure what it meets, cool, at several places.' : 'Measure the mates, cool, at several places: '.implode(', ', $mates).'.'),
            'It is made to them, not to a drawing.',
            'mates first',
        );
    }

    private function blank(): Step
    {
        $profile = $this->shape->profile;
        $across = 2 * $profile->largestMm();
        $long = $profile->toMm() - $profile->fromMm();
        $slender = $long / max(1e-6, $across);
        $holding = match (true) {
            $slender > self::STEADY => ' Between centres with a steady: it would spring from the tool.',
            $slender > self::TAIL => ' Centre-drill its end: it wants the tail centre.',
            default => '',
        };

        return new Step(
            $this->code('blank'),
            Say::with("{$this->part->name}: saw {m} of {d} or more, {l} long: the part, both faces, parting, and what the jaws hold.{$holding}", [
                'm' => $this->part->material ?? 'stock',
                'd' => LengthWriter::about($across + 2 * self::ROUGH_MM),
                'l' => LengthWriter::about($long + 2 * self::ROUGH_MM + 4.0 + max(15.0, 0.5 * $across)),
            ]),
            'Everything that has to run true comes out of one chucking.',
            'one chucking',
        );
    }

    private function rough(): Step
    {
        return new Step(
            $this->code('rough'),
            Say::with("{$this->part->name}: face it, and rough all over to about {r} above size on the diameter. Let it cool.", [
                'r' => LengthWriter::about(self::ROUGH_MM),
            ]),
            'Roughing heats it and frees what the bar held in; a warm part measures large and ends up small.',
            'rough all, then finish',
        );
    }

    private function treatment(): ?Step
    {
        $treated = [];
        foreach ($this->facts->surfacesOf($this->part->id) as $surface) {
            $treatment = Treatment::orNull($surface->treated);
            if ($treatment !== null) {
                $treated["{$surface->name} {$treatment->name}"] = true;
            }
        }

        return $treated === [] ? null : new Step(
            $this->code('treat'),
            Say::plain("{$this->part->name}: ".implode(', ', array_keys($treated)).'; then grind or lap to the finished size.'),
            'It moves in the heat, and nothing but grinding cuts it afterwards.',
            'harden before the last cut',
        );
    }

    /**
     * One step for all surfaces of some kinds, with the number of each; nothing where the part has none.
     *
     * @param  list<SurfaceType>  $types
     */
    private function step(string $code, array $types, string $do, string $why, string $rule): ?Step
    {
        $said = $values = [];
        $entries = array_values(
            array_filter($this->entries, static fn (MakeEntry $e): bool => in_array($e->surface->type, $types, true)),
        );
        usort(
            $entries,
            static fn (MakeEntry $a, MakeEntry $b): int => ($b->band->upperMm ?? 0.0) <=> ($a->band->upperMm ?? 0.0),
        );
        foreach ($entries as $i => $entry) {
            $number = $this->number($entry);
            if ($number !== null) {
                $values["s{$i}"] = $number;
                $said[] = lcfirst($entry->label).' {s'.$i.'}';
            } else {
                $said[] = lcfirst($entry->label);
            }
        }

        return $said === [] ? null : new Step(
            $this->code($code),
            Say::with("{$this->part->name}: ".lcfirst(str_replace('{list}', implode('; ', $said), $do)), $values),
            $why,
            $rule,
        );
    }

    private function number(MakeEntry $entry): ?Say
    {
        foreach ($this->shapes as $shape) {
            if ($shape->surface->id === $entry->surface->id && $shape->is !== null) {
                return Say::with('({is})', ['is' => $shape->is]);
            }
        }
        $band = $entry->band;

        return match (true) {
            $band === null => null,
            $entry->free => LengthWriter::size($band->middleMm()),
            default => Say::with('{a} … {b}', ['a' => LengthWriter::lower($band), 'b' => LengthWriter::upper($band)]),
        };
    }

    private function isThin(): bool
    {
        foreach ($this->shape->walls->cells as $cell) {
            $outer = min($cell->outerStartMm, $cell->outerEndMm);
            $inner = max($cell->innerStartMm, $cell->innerEndMm);
            if ($inner > 0 && $outer > 0 && ($outer - $inner) / (2 * $outer) < self::THIN) {
                return true;
            }
        }

        return false;
    }
}

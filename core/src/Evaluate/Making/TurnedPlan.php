<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Evaluate\Shapes\PartShape;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Making\Blank;
use Oldpart\Core\Making\LatheChoice;
use Oldpart\Core\Making\LatheReach;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Making\Step;
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

    /** Left on the diameter when roughed, mm. */
    private const ROUGH_MM = 1.0;

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

    /** @param  list<Machine>  $lathes */
    private function __construct(
        private PartFacts $part,
        private PartShape $shape,
        private PartSteps $steps,
        private array $lathes,
        private int $pieces,
        private float $bestHoldsMm,
    ) {
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
            // Only a turned part has a profile.
            if ($part->origin !== Origin::Make || $shape === null || $shape->profile->isEmpty()) {
                continue;
            }
            $own = new PartSteps($facts, $part, $make, $shaped);
            $plan = new self(
                part: $part,
                shape: $shape,
                steps: $own,
                lathes: $facts->shop->machinesOf('lathe'),
                pieces: $facts->takeIn->quantity,
                bestHoldsMm: $facts->shop->latheHoldsMm,
            );
            if ($own->hasNumbers()) {
                array_push($steps, ...$plan->order($steps === []));
            }
        }

        return $steps;
    }

    /** @return list<Step> */
    private function order(bool $isFirst): array
    {
        $bores = $this->steps->step('bores', [SurfaceType::Bore], 'Bore {list}.', ...$this->isThin()
            ? ['First, while the wall is thick: finished last it would spring under the jaws.', 'thin wall: bore first']
            : ['In the chucking of the outsides, so that they run true to each other.', 'one chucking']);
        $outsides = $this->steps->step(
            'outsides',
            [SurfaceType::Shaft],
            'Turn {list}, from the largest down.',
            'Two equal last cuts with the same feed, measured between, then a spring pass.',
            'two equal last cuts',
        );
        $after = [];
        foreach (self::AFTER as $code => [$types, $do, $why, $rule]) {
            $after[] = $this->steps->step($code, $types, $do, $why, $rule);
        }

        return array_values(array_filter([
            $isFirst ? $this->steps->mates() : null,
            $this->blank(),
            $this->rough(),
            ...$this->isThin() ? [$bores, $outsides] : [$outsides, $bores],
            ...$after,
            $this->steps->treatment(),
            ...$this->steps->last(),
        ]));
    }

    private function blank(): Step
    {
        $profile = $this->shape->profile;
        $across = 2 * $profile->largestMm();
        $long = $profile->toMm() - $profile->fromMm();
        $slender = $long / max(1e-6, $across);
        $blank = new Blank($across + Blank::ROUGH_MM, $long, Blank::ROUGH_MM / 2, max(1, $this->pieces));
        $sawn = $blank->sawnMm;
        $lathe = LatheChoice::of($this->lathes, $across + Blank::ROUGH_MM, $sawn);
        $holding = match (true) {
            $lathe !== null => " On: {$lathe->lathe->name}.",
            $slender > LatheReach::WITH_TAIL => ' Between centres with a steady: it would spring from the tool.',
            $slender > LatheReach::FREE => ' Centre-drill its end: it wants the tail centre.',
            default => '',
        };

        return new Step(
            $this->steps->code('blank'),
            Say::with("{$this->part->name}: saw {m} of {d} or more, {l} long: the part, both faces, parting, and what the jaws hold.{$holding}", [
                'm' => $this->part->material ?? 'stock',
                'd' => LengthWriter::about($across + Blank::ROUGH_MM),
                'l' => LengthWriter::about($sawn),
            ]),
            'Everything that has to run true comes out of one chucking.',
            'one chucking',
            [
                ...PartSteps::onBlank($this->shape),
                ...$lathe === null ? [] : [...$lathe->notes, ...$this->holds($lathe->lathe)],
                ...$this->bar($blank),
            ],
        );
    }

    /**
     * The sizes count on the best lathe: where the part goes on another, that is said.
     *
     * @return list<Note>
     */
    private function holds(Machine $lathe): array
    {
        $holds = $lathe->figure('holds_mm');

        return $holds === null || $holds <= $this->bestHoldsMm + 1e-9 ? [] : [
            Note::caution('holds-less', Say::with("{$lathe->name} holds {h}, and the sizes count on {b} of the best one: finish what fits on that, or grind or hone it.", [
                'h' => LengthWriter::difference($holds),
                'b' => LengthWriter::difference($this->bestHoldsMm),
            ])),
        ];
    }

    /** @return list<Note> the bar for all pieces, and its weight where the metal is known */
    private function bar(Blank $blank): array
    {
        $density = FoundSurfaces::material($this->part)?->densityKgM3;
        $weighs = static fn (float $mm): string => $density === null
            ? ''
            : ' ('.round($blank->massKg($mm, $density), $blank->massKg($mm, $density) < 10 ? 1 : 0).' kg)';

        return $blank->pieces === 1
            ? ($density === null ? [] : [Note::info('blank-weight', 'It weighs about'.str_replace(['(', ')'], '', $weighs($blank->sawnMm)).'.')])
            : [
                Note::info('bar', Say::with("For {$blank->pieces}: {a} of bar{$weighs($blank->oneByOneMm)} sawn one by one; {b}{$weighs($blank->throughMm)} where it is fed through the spindle and held once.", [
                    'a' => LengthWriter::about($blank->oneByOneMm),
                    'b' => LengthWriter::about($blank->throughMm),
                ])),
            ];
    }

    private function rough(): Step
    {
        return new Step(
            $this->steps->code('rough'),
            Say::with("{$this->part->name}: face it, and rough all over to about {r} above size on the diameter. Let it cool.", [
                'r' => LengthWriter::about(self::ROUGH_MM),
            ]),
            'Roughing heats it and frees what the bar held in; a warm part measures large and ends up small.',
            'rough all, then finish',
        );
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

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
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Making\MillReach;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/**
 * In what order a plate, a lever or a block is made: squared to a datum, holes while it is still square and can be
 * clamped, outline after the holes, thin and fine things last. Common practice.
 */
final readonly class PlatePlan
{
    /** Left on the blank over its outline, both sides together. */
    private const ROOM_MM = 6.0;

    /** In order: of which surfaces, what is done, why there, by which rule. */
    private const ORDER = [
        'square' => [
            [SurfaceType::Length],
            'Square it up to two edges and a face to measure from: {list}.',
            'Every hole is dialled from there.',
            'datum first',
        ],
        'bores' => [
            [SurfaceType::Bore],
            'Bore {list}, all in one clamping, each by its x and y.',
            'While it is square and thick it clamps well; in one clamping their distances come from the dials.',
            'one clamping',
        ],
        'holes' => [
            [SurfaceType::HolePattern],
            'Drill {list}, hole by hole as listed at Make; or transfer them from the mate.',
            'From the same zero as the bores.',
            'transfer rather than measure both',
        ],
        'threads' => [
            [SurfaceType::ThreadInside, SurfaceType::ThreadOutside],
            'Tap {list}.',
            'In the same clamping as its drilling: the tap starts square.',
            'tap where it was drilled',
        ],
        'slots' => [
            [
                SurfaceType::KeywayHub,
                SurfaceType::KeywayShaft,
                SurfaceType::Flat,
                SurfaceType::GrooveInside,
                SurfaceType::GrooveOutside,
            ],
            'Cut {list}.',
            'After the bores they are measured from.',
            'keyways after bores',
        ],
        'outline' => [
            [SurfaceType::Shaft, SurfaceType::Angle, SurfaceType::TaperOutside],
            'Saw and mill the outline: {list}. Bolt it down through its own bores.',
            'The outline last: until then it was what the vice held.',
            'outline after holes',
        ],
    ];

    /**
     * @param  list<MakeEntry>  $make
     * @param  list<ShapedSurface>  $shaped
     * @param  array<string, PartShape>  $shapes  by part
     * @return list<Step> nothing where no plate is made, or none of it has a number yet
     */
    public static function of(JobFacts $facts, array $make, array $shaped, array $shapes): array
    {
        $order = [];
        foreach ($facts->parts as $part) {
            $steps = new PartSteps($facts, $part, $make, $shaped);
            if ($part->origin !== Origin::Make || $part->form === Form::Turned || ! $steps->hasNumbers()) {
                continue;
            }
            if ($order === []) {
                $order[] = $steps->mates();
            }
            $order[] = self::blank($steps, $part, $shapes[$part->id] ?? null, $facts->shop->machinesOf('mill'));
            foreach (self::ORDER as $code => [$types, $do, $why, $rule]) {
                $step = $steps->step($code, $types, $do, $why, $rule);
                $order = $step === null ? $order : [...$order, $step];
            }
            $treated = $steps->treatment();
            $order = [...$order, ...$treated === null ? [] : [$treated], ...$steps->last()];
        }

        return $order;
    }

    /** @param  list<Machine>  $mills */
    private static function blank(PartSteps $steps, PartFacts $part, ?PartShape $shape, array $mills): Step
    {
        $of = $part->material ?? 'stock';
        $face = $shape?->face();
        [$x1, $y1, $x2, $y2] = $face === null ? [0.0, 0.0, 0.0, 0.0] : $face->bounds();
        $reach = $x2 > $x1 && $y2 > $y1 ? MillReach::of($mills, $x2 - $x1, $y2 - $y1) : null;
        $by = $x2 > $x1 && $y2 > $y1 ? ', {w} by {h} or more,' : '';

        return new Step(
            $steps->code('blank'),
            Say::with("{$part->name}: saw the blank of {$of} square{$by} with room for the vice.".($reach === null ? '' : " On: {$reach->mill->name}."), [
                'w' => LengthWriter::about($x2 - $x1 + self::ROOM_MM),
                'h' => LengthWriter::about($y2 - $y1 + self::ROOM_MM),
            ]),
            'Square stock is held and measured from; what the outline leaves comes off last.',
            'outline after holes',
            [...PartSteps::onBlank($shape), ...$reach->notes ?? []],
        );
    }
}

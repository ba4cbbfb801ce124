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
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Making\Blank;
use Oldpart\Core\Making\BoringBar;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Making\StockChoice;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\Cell;
use Oldpart\Core\Shape\SurfaceType;

/** What the work needs of the drawer: said at its step, and to buy where the drawer does not have it. */
final readonly class ToolNeeds
{
    /** Kinds of steps that a surface of a kind is cut in. */
    private const STEPS = [
        'bore' => ['bores', 'finish-bore', 'rough-bore', 'finish-bore-in-place', 'recut'],
        'slot' => ['keyways', 'slots', 'recut'],
        'thread' => ['threads', 'recut'],
        'blank' => ['blank'],
        'lengths' => ['lengths'],
        'outside' => ['outsides', 'finish-outside', 'recut'],
        'holes' => ['holes'],
    ];

    /** Beyond these a bar is not used, but a drill or the mill; mm. Common practice. */
    private const LEAST_BORED_MM = 6.0;

    /** What is left on the diameter for the grinder, mm. Common practice. */
    private const GRIND_MM = 0.25;

    /**
     * @param  array<string, list<Note>>  $notes  by code of the kind of surface and its part
     * @param  list<array{code: string, says: Say}>  $buy
     */
    private function __construct(private array $notes, public array $buy)
    {
    }

    /**
     * @param  list<MakeEntry>  $make
     * @param  list<ShapedSurface>  $shaped
     * @param  array<string, PartShape>  $shapes  by part
     */
    public static function of(JobFacts $facts, array $make, array $shaped, array $shapes = []): self
    {
        $notes = [];
        $buy = [];
        foreach ($make as $entry) {
            [$kind, $found] = match (true) {
                $entry->phase === Phase::After && $entry->surface->work === null => ['', []],
                $entry->surface->type === SurfaceType::Bore => ['bore', self::bar($facts, $entry)],
                $entry->surface->type === SurfaceType::Shaft => ['outside', self::grinder($facts, $entry)],
                $entry->surface->type === SurfaceType::HolePattern => ['holes', self::drill($facts, $entry)],
                $entry->surface->type->isSlot() => ['slot', self::cutter($facts, $entry)],
                default => ['', []],
            };
            foreach ($found as $note) {
                $notes["{$entry->surface->part}:{$kind}"][] = $note;
                if ($note->code === 'buy') {
                    $buy[] = ['code' => "{$entry->surface->id}:{$kind}", 'says' => $note->say];
                }
            }
        }
        foreach ($shaped as $shape) {
            $note = self::threadTool($shape);
            if ($note !== null) {
                $notes["{$shape->surface->part}:thread"][] = $note;
                $buy[] = ['code' => "{$shape->surface->id}:thread", 'says' => $note->say];
            }
        }

        foreach ($facts->parts as $part) {
            $note = isset($shapes[$part->id]) ? self::stock($facts, $part, $shapes[$part->id]) : null;
            if ($note !== null) {
                $notes["{$part->id}:blank"][] = $note;
                if ($note->code === 'buy') {
                    $buy[] = ['code' => "{$part->id}:stock", 'says' => $note->say];
                }
            }
            foreach (self::arbor($facts, $part, $make) as $note) {
                $notes["{$part->id}:lengths"][] = $note;
            }
        }

        return new self($notes, $buy);
    }

    /**
     * @param  list<Step>  $steps
     * @return list<Step> the same, each with what it needs of the drawer
     */
    public function on(array $steps): array
    {
        foreach ($this->notes as $of => $notes) {
            [$part, $kind] = explode(':', $of, 2);
            foreach ($steps as $i => $step) {
                $at = (int) strrpos(":{$step->code}", ':');
                $its = $at === 0 ? '' : substr($step->code, 0, $at - 1);
                if (in_array(substr($step->code, $at), self::STEPS[$kind], true) && in_array($its, ['', $part], true)) {
                    $steps[$i] = $step->noting($notes);
                    break;
                }
            }
        }

        return array_values($steps);
    }

    /** @return list<Note> */
    private static function bar(JobFacts $facts, MakeEntry $entry): array
    {
        $bars = self::known($facts, 'bar', 'thick_mm', 'reach_mm');
        $deep = $entry->surface->long?->length->mm;
        $bore = $entry->band?->lowerMm;
        $reamed = $bore !== null && $entry->band !== null
            && $facts->shop->holeTools()->reamerFor($bore, $entry->band->upperMm) !== null;
        if ($bars === [] || $deep === null || $bore === null || $bore < self::LEAST_BORED_MM || $reamed) {
            return [];
        }
        $bar = BoringBar::of($bars, $bore, $deep);

        return $bar?->notes() ?? [Note::caution('buy', Say::with(
            "No bar of the drawer goes through the {$entry->label}: it takes one no thicker than {t} that stands out {r}. Buy or make one, or bore it from both ends in one setting of the chuck jaws.",
            [
                't' => LengthWriter::sizeInWords(BoringBar::thickest($bore)),
                'r' => LengthWriter::sizeInWords(BoringBar::out($deep)),
            ],
        ))];
    }

    /** @return list<Note> */
    private static function cutter(JobFacts $facts, MakeEntry $entry): array
    {
        $cutters = self::known($facts, 'cutter', 'size_mm');
        if ($cutters === [] || $entry->band === null) {
            return [];
        }
        $best = null;
        foreach ($cutters as $cutter) {
            $size = (float) $cutter->figure('size_mm');
            if ($size <= $entry->band->upperMm && ($best === null || $size > $best->figure('size_mm'))) {
                $best = $cutter;
            }
        }
        if ($best === null) {
            return [Note::caution('buy', Say::with(
                "No cutter of the drawer is as narrow as the {$entry->label}: buy one up to {s}; a slotting drill cuts its own width best undersize, in two passes.",
                ['s' => LengthWriter::upper($entry->band)],
            ))];
        }
        $says = $best->figure('size_mm') >= $entry->band->lowerMm
            ? "{$best->name} cuts the {$entry->label} in one width: try it in scrap first, one cuts over its size."
            : "{$best->name} for the {$entry->label}: a pass down the middle, then one for each wall to size.";

        return [Note::info('cutter', $says)];
    }

    /** The drawer has no tap or die for it. */
    private static function threadTool(ShapedSurface $shape): ?Note
    {
        foreach ($shape->isCut ? $shape->notes : [] as $note) {
            if ($note->code === 'no-tool') {
                return $note;
            }
        }

        return null;
    }

    /** A bar or tube of the rack that the part comes out of; nothing where nobody said what is on it. */
    private static function stock(JobFacts $facts, PartFacts $part, PartShape $shape): ?Note
    {
        $metal = FoundSurfaces::material($part)?->family;
        $rack = $facts->shop->machinesOf('stock');
        $isTurned = $part->origin === Origin::Make && ! $shape->profile->isEmpty();
        if ($metal === null || ! $isTurned || ! StockChoice::isSaid($rack, $metal)) {
            return null;
        }
        $across = 2 * $shape->profile->largestMm() + Blank::ROUGH_MM;
        $blank = new Blank(
            $across,
            $shape->profile->toMm() - $shape->profile->fromMm(),
            Blank::ROUGH_MM / 2,
            max(1, $facts->takeIn->quantity),
        );
        $hollow = $shape->walls->cells === [] ? 0.0 : 2 * min(array_map(
            static fn (Cell $c): float => min($c->innerStartMm, $c->innerEndMm),
            $shape->walls->cells,
        )) - Blank::ROUGH_MM;
        $choice = StockChoice::of($rack, $metal, $across, max(0.0, $hollow), $blank->throughMm);
        $values = ['d' => LengthWriter::sizeInWords($across), 'l' => LengthWriter::sizeInWords($blank->throughMm)];

        return $choice === null
            ? Note::caution('buy', Say::with("Nothing on the rack does: {$part->name} takes {$metal} of {d} or more, {l} of it.", $values))
            : Note::info('stock', Say::with("From the rack: {$choice->stock->name}; {l} of it. See that it is {$part->material}, not only {$metal}.", $values));
    }

    /**
     * What it goes on to be faced on its second side.
     *
     * @param  list<MakeEntry>  $make
     * @return list<Note>
     */
    private static function arbor(JobFacts $facts, PartFacts $part, array $make): array
    {
        $arbors = self::known($facts, 'arbor', 'from_mm', 'to_mm');
        foreach ($arbors === [] ? [] : $make as $entry) {
            $band = $entry->band;
            if ($entry->surface->part !== $part->id || $entry->surface->type !== SurfaceType::Bore || $band === null) {
                continue;
            }
            foreach ($arbors as $arbor) {
                if ($arbor->figure('from_mm') <= $band->lowerMm && $arbor->figure('to_mm') >= $band->upperMm) {
                    return [Note::info('arbor', "{$arbor->name} holds its ".lcfirst($entry->surface->name).'.')];
                }
            }

            return [Note::info('arbor', 'No mandrel of the drawer holds its '.lcfirst($entry->surface->name).': turn one in place, and leave it in the chuck until the part is done.')];
        }

        return [];
    }

    /** @return list<Note> where the lathe does not hold it and a grinder of the shop does */
    private static function grinder(JobFacts $facts, MakeEntry $entry): array
    {
        $width = $entry->band?->widthMm();
        if ($width === null || $width >= $facts->shop->latheHoldsMm) {
            return [];
        }
        foreach (self::known($facts, 'grinder', 'holds_mm') as $grinder) {
            if ($grinder->figure('holds_mm') <= $width) {
                return [Note::info('grinder', Say::with(
                    "{$entry->label}: narrower than the lathe holds; {$grinder->name} holds {h}. Leave {s} on it for that.",
                    [
                        'h' => LengthWriter::difference((float) $grinder->figure('holds_mm')),
                        's' => LengthWriter::difference(self::GRIND_MM),
                    ],
                ))];
            }
        }

        return [];
    }

    /** @return list<Note> a hole larger than any drilling machine of the shop drills */
    private static function drill(JobFacts $facts, MakeEntry $entry): array
    {
        $hole = $entry->surface->size2?->length->mm;
        $largest = array_map(
            static fn (Machine $m): float => (float) $m->figure('drill_mm'),
            self::known($facts, 'drill', 'drill_mm'),
        );

        return $hole === null || $largest === [] || $hole <= max($largest) ? [] : [
            Note::caution('drill', Say::with("{$entry->label}: holes of {d}, and the drilling machine takes {m}. On the mill, or drill {m} and bore them.", [
                'd' => LengthWriter::sizeInWords($hole),
                'm' => LengthWriter::sizeInWords(max($largest)),
            ])),
        ];
    }

    /** @return list<Machine> those of a kind of which all that is asked for is known */
    private static function known(JobFacts $facts, string $kind, string ...$figures): array
    {
        return array_values(array_filter(
            $facts->shop->machinesOf($kind),
            static fn (Machine $m): bool => array_filter(
                $figures,
                static fn (string $figure): bool => $m->figure($figure) === null,
            ) === [],
        ));
    }
}

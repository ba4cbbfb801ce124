<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Making\BoringBar;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/** What the work needs of the drawer: said at its step, and to buy where the drawer does not have it. */
final readonly class ToolNeeds
{
    /** Kinds of steps that a surface of a kind is cut in. */
    private const STEPS = [
        'bore' => ['bores', 'finish-bore', 'rough-bore', 'finish-bore-in-place', 'recut'],
        'slot' => ['keyways', 'slots', 'recut'],
        'thread' => ['threads', 'recut'],
    ];

    /** Beyond these a bar is not used, but a drill or the mill; mm. Common practice. */
    private const LEAST_BORED_MM = 6.0;

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
     */
    public static function of(JobFacts $facts, array $make, array $shaped): self
    {
        $notes = [];
        $buy = [];
        foreach ($make as $entry) {
            [$kind, $found] = match (true) {
                $entry->phase === Phase::After && $entry->surface->work === null => ['', []],
                $entry->surface->type === SurfaceType::Bore => ['bore', self::bar($facts, $entry)],
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

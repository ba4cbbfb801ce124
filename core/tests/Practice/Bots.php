<?php

declare(strict_types=1);

namespace Oldpart\Core\Tests\Practice;

use Oldpart\Core\Evaluate\Evaluator;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\School;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Measure\Instrument;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Practice\Debrief;
use Oldpart\Core\Practice\Deed;
use Oldpart\Core\Practice\Lesson;
use Oldpart\Core\Practice\Truth;
use Oldpart\Core\Practice\Workshop;
use Oldpart\Core\Quantity\Fields;

/**
 * Three who practise: one follows the product's advice, one makes the table's class at the nominal size, one goes by the
 * thumb from one reading. Each measures, cuts and puts together in the simulated shop.
 */
final class Bots
{
    private ?JobFacts $facts;

    /** @var array<string, mixed> what it stands for, with what was added since */
    private array $array;

    private Workshop $shop;

    private int $deeds = 0;

    private function __construct(private readonly Lesson $lesson, int $seed)
    {
        $shop = new ShopFacts(
            name: 'Practice',
            temperatureC: 20.0,
            saidHoldsMm: 0.01,
            roughCutMm: 0.5,
            saidPressN: 200000.0,
        );
        $laid = $lesson->layOut('bot', $shop, $seed);
        $this->shop = new Workshop($laid, Truth::of($lesson, $seed, $laid), []);
        $this->facts = $laid;
        /** @var array<string, mixed> $array */
        $array = json_decode((string) json_encode($laid), true);
        $this->array = $array;
    }

    /** @param  'product'|'table'|'thumb'  $who */
    public static function run(Lesson $lesson, int $seed, string $who): Debrief
    {
        $bot = new self($lesson, $seed);
        $who === 'product' ? $bot->byTheProduct() : $bot->byHabit($who === 'table' ? School::Iso : School::Thumb);
        $bot->deed(['kind' => 'end']);

        return Debrief::of($lesson, $bot->shop, $bot->facts());
    }

    private function byTheProduct(): void
    {
        $this->deed(['kind' => 'wait', 'minutes' => 600]);
        $this->knowMetals();
        foreach ($this->mates() as $surface) {
            $this->deed(['kind' => 'clean', 'surface' => $surface->id]);
            $this->measure($surface);
        }
        $before = [];
        // What is made is made in the order it is asked for; what is pressed in closes, so it is pressed before it is bored last.
        for ($round = 0; $round < 3; $round++) {
            foreach ((new Evaluator())->outcome($this->facts())->making as $progress) {
                $key = $progress->entry->key();
                if ($progress->entry->band !== null && ! isset($before[$key]) && $this->canCut($progress)) {
                    $before[$key] = true;
                    $this->cutTo($progress);
                }
            }
            $this->together();
        }
    }

    private function canCut(CutProgress $progress): bool
    {
        $surface = $progress->entry->surface;
        $true = $this->shop->surface($surface->id);
        if ($true === null || ! $true->cut || ! $surface->type->isSized()) {
            return false;
        }

        return $progress->entry->phase !== Phase::After || $this->isPressed($surface);
    }

    private function isPressed(SurfaceFacts $surface): bool
    {
        // What goes in has a bore that closes, what goes round it an outside that grows.
        $isBore = $surface->kind === SurfaceKind::Bore;
        foreach ($this->facts()->joints as $joint) {
            if (
                $this->facts()->surface($isBore ? $joint->inner : $joint->outer)?->part === $surface->part
                && isset($this->shop->joined()[$joint->id])
            ) {
                return true;
            }
        }

        return false;
    }

    private function cutTo(CutProgress $progress): void
    {
        $surface = $progress->entry->surface;
        for ($n = 0; $n < 30; $n++) {
            $this->log($surface, $progress->entry->phase, $n === 0 ? null : $this->dialled);
            $now = array_values(array_filter(
                (new Evaluator())->outcome($this->facts())->making,
                static fn (CutProgress $p): bool => $p->entry->key() === $progress->entry->key(),
            ))[0] ?? null;
            if ($now?->next === null || $now->verdict === Acceptance::Inside || $now->next->leftMm <= 0.0005) {
                return;
            }
            $this->dialled = round($now->next->dialMm, 3);
            $this->deed(['kind' => 'cut', 'surface' => $surface->id, 'mm' => $this->dialled]);
            $this->deed(['kind' => 'wait', 'minutes' => 240]);
        }
    }

    private float $dialled = 0.0;

    private function log(SurfaceFacts $surface, Phase $phase, ?float $dialled): void
    {
        $tool = $this->tool($surface->kind, $this->shop->surface($surface->id)->shape->sizeMm ?? 0.0);
        if ($tool === null) {
            return;
        }
        $read = $this->deed(['kind' => 'read', 'surface' => $surface->id, 'instrument' => $tool->code]);
        $this->add('cuts', [
            'id' => $read->id,
            'surface' => $surface->id,
            'phase' => $phase->value,
            'dialled' => $dialled === null ? null : ['typed' => (string) $dialled, 'unit' => 'mm'],
            'after' => ['typed' => number_format($read->number('mm') ?? 0.0, 4, '.', ''), 'unit' => 'mm'],
            'instrument' => $tool->code,
            'part_c' => $this->shop->truth->roomC,
            'set_aside' => null,
            'at' => null,
        ]);
    }

    private function measure(SurfaceFacts $surface): void
    {
        $true = $this->shop->surface($surface->id);
        $tool = $this->tool($surface->kind, $true->shape->sizeMm ?? 0.0);
        if ($true === null || $tool === null) {
            return;
        }
        $off = $this->deed(['kind' => 'check', 'instrument' => $tool->code])->number('mm') ?? 0.0;
        $angles = $surface->kind === SurfaceKind::Length ? [0] : [0, 45, 90, 135];
        foreach ([0.1, 0.5, 0.9] as $i => $along) {
            foreach ($angles as $angle) {
                $this->read($surface, $tool, [$along, $angle, (string) ($i + 1), -$off]);
            }
        }
    }

    /** @param  array{float, int, string, float}  $at */
    private function read(SurfaceFacts $surface, Instrument $tool, array $at): void
    {
        [$along, $angle, $station, $correction] = $at;
        $read = $this->deed([
            'kind' => 'read',
            'surface' => $surface->id,
            'instrument' => $tool->code,
            'along' => $along,
            'angle_deg' => $angle,
        ]);
        $this->add('readings', [
            'id' => $read->id,
            'surface' => $surface->id,
            'station' => $station,
            'angle' => (string) $angle,
            'value' => ['typed' => number_format($read->number('mm') ?? 0.0, 4, '.', ''), 'unit' => 'mm'],
            'was' => null,
            'instrument' => $tool->code,
            'part_c' => $this->shop->truth->roomC,
            'gauge_c' => null,
            'worn' => null,
            'set_aside' => null,
            'remark' => null,
            'taken_at' => null,
            'correction_mm' => abs($correction) < 0.0005 ? null : $correction,
        ]);
    }

    private function byHabit(School $school): void
    {
        foreach ($this->facts()->joints as $joint) {
            $purpose = Purpose::orNull($joint->purpose);
            $sides = [$this->facts()->surface($joint->inner), $this->facts()->surface($joint->outer)];
            if ($purpose === null || $purpose->shape !== null || $sides[0] === null || $sides[1] === null) {
                continue;
            }
            $inner = $this->shop->surface($joint->inner)->cut ?? false;
            [$make, $mate] = $inner ? $sides : array_reverse($sides);
            $tool = $this->tool($mate->kind, $this->shop->surface($mate->id)->shape->sizeMm ?? 0.0);
            if ($tool === null || ! ($this->shop->surface($make->id)->cut ?? false)) {
                continue;
            }
            $this->read($mate, $tool, [0.5, 0, '1', 0.0]);
            $seen = array_slice($this->facts()->readings, -1)[0]->value->length->mm ?? 0.0;
            $at = $school === School::Iso ? max(0.5, round($seen * 2) / 2) : $seen;
            $gap = $this->gap($purpose, $at, $school);
            if ($gap !== null) {
                $aim = $at + ($inner ? -1 : 1) * $gap;
                $this->toSize($make, $aim);
            }
        }
        $this->together();
    }

    private function gap(Purpose $purpose, float $mm, School $school): ?float
    {
        foreach ($purpose->offers($mm) as $offer) {
            if ($offer->school === $school) {
                return $offer->clearanceMm->middle();
            }
        }

        return null;
    }

    /** Until the gauge says so, within a hundredth. */
    private function toSize(SurfaceFacts $surface, float $aim): void
    {
        for ($n = 0; $n < 30; $n++) {
            $tool = $this->tool($surface->kind, $this->shop->surface($surface->id)->shape->sizeMm ?? $aim);
            if ($tool === null) {
                return;
            }
            $seen = $this->deed(['kind' => 'read', 'surface' => $surface->id, 'instrument' => $tool->code])->number('mm');
            $left = ($surface->kind === SurfaceKind::Bore ? 1 : -1) * ($aim - (float) $seen);
            if ($left <= 0.005) {
                return;
            }
            $this->deed([
                'kind' => 'cut',
                'surface' => $surface->id,
                'mm' => round($left > 0.6 ? 0.5 : $left, 3),
            ]);
        }
    }

    private function together(): void
    {
        foreach ((new Evaluator())->outcome($this->facts())->joints as $sized) {
            $joint = $sized->joint;
            $both = $this->shop->surface($joint->inner) !== null && $this->shop->surface($joint->outer) !== null;
            if (
                $both && ! isset($this->shop->joined()[$joint->id]) && $sized->purpose->shape === null
                && ! $sized->purpose->isLength && ! $sized->purpose->runs && $this->isMade($sized)
            ) {
                foreach ($sized->purpose->bonds ? [$joint->inner, $joint->outer] : [] as $surface) {
                    $this->deed(['kind' => 'clean', 'surface' => $surface]);
                }
                $this->deed(['kind' => 'together', 'joint' => $joint->id, 'way' => match (true) {
                    $sized->purpose->bonds => 'bond',
                    $sized->purpose->tight => 'press',
                    default => 'hand',
                }]);
            }
        }
    }

    private function isMade(SizedJoint $sized): bool
    {
        foreach ([$sized->joint->inner, $sized->joint->outer] as $id) {
            $now = $this->shop->surface($id)->shape->sizeMm ?? 0.0;
            if (($this->shop->surface($id)->cut ?? false) && abs($now - $this->shop->truth->surfaces[$id]->shape->sizeMm) < 1e-6) {
                return false;
            }
        }

        return true;
    }

    /** @return list<SurfaceFacts> */
    private function mates(): array
    {
        return array_values(array_filter(
            $this->facts()->surfaces,
            fn (SurfaceFacts $s): bool => $s->type->isSized()
                && isset($this->shop->truth->surfaces[$s->id])
                && ! $this->shop->truth->surfaces[$s->id]->cut,
        ));
    }

    private function knowMetals(): void
    {
        $parts = [];
        foreach ($this->facts()->parts as $part) {
            $parts[] = [
                ...(array) json_decode((string) json_encode($part), true),
                'material' => $this->shop->truth->materials[$part->id],
            ];
        }
        $this->array['parts'] = $parts;
        $this->facts = null;
    }

    private function tool(SurfaceKind $kind, float $mm): ?Instrument
    {
        $able = array_filter(
            $this->facts()->shop->instruments->all(),
            static fn (Instrument $i): bool => $i->travelMm === null
                && ! in_array($i->code, ['pins', 'rule'], true)
                && $i->canMeasure($kind, $mm),
        );
        usort($able, static fn (Instrument $a, Instrument $b): int => $a->bestU95Mm($mm) <=> $b->bestU95Mm($mm));

        return $able[0] ?? null;
    }

    private function facts(): JobFacts
    {
        return $this->facts ??= JobFacts::fromArray($this->array);
    }

    /** @param  array<string, mixed>  $row */
    private function add(string $list, array $row): void
    {
        $this->array[$list] = [...(array) $this->array[$list], $row];
        $this->facts = null;
    }

    /** @param  array<string, mixed>  $deed */
    private function deed(array $deed): Deed
    {
        return $this->shop->do(Deed::read(new Fields(['id' => 'd'.++$this->deeds, ...$deed])));
    }
}

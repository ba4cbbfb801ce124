<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Mechanics\PressedSize;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Evaluate\Shapes\PartShape;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Making\Treatment;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/**
 * What the orders of all parts are made of: a step for the surfaces of some kinds, each with its number; what comes
 * first and last with any part.
 */
final readonly class PartSteps
{
    /** So many surfaces are named one by one. */
    private const NAMED = 4;

    /** @var list<MakeEntry> */
    private array $entries;

    /** @var list<ShapedSurface> */
    private array $shapes;

    /**
     * @param  list<MakeEntry>  $make
     * @param  list<ShapedSurface>  $shaped
     */
    public function __construct(private JobFacts $facts, private PartFacts $part, array $make, array $shaped)
    {
        $this->entries = array_values(array_filter(
            $make,
            static fn (MakeEntry $e): bool => $e->surface->part === $part->id,
        ));
        $this->shapes = array_values(array_filter(
            $shaped,
            static fn (ShapedSurface $s): bool => $s->surface->part === $part->id && $s->isCut && $s->is !== null,
        ));
    }

    public function hasNumbers(): bool
    {
        return array_filter($this->entries, static fn (MakeEntry $e): bool => $e->band !== null) !== [];
    }

    public function code(string $code): string
    {
        return "{$this->part->id}:{$code}";
    }

    public function mates(): Step
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

    /** @return list<Note> on what a blank is sawn by that nobody has said yet */
    public static function onBlank(?PartShape $shape): array
    {
        $sketched = $shape?->sketched() ?? [];
        $named = '“'.implode('”, “', array_slice($sketched, 0, self::NAMED)).'”'.(count($sketched) > self::NAMED ? ' …' : '');

        return $sketched === [] ? [] : [
            Note::caution('blank-sketched', "{$named}: only sketched so far. Say at Survey how large, and from where to where, before it is sawn to this."),
        ];
    }

    public function treatment(): ?Step
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
    public function step(string $code, array $types, string $do, string $why, string $rule): ?Step
    {
        $entries = array_values(array_filter(
            $this->entries,
            fn (MakeEntry $e): bool => in_array($e->surface->type, $types, true) && ! $this->isCutBefore($e),
        ));
        usort(
            $entries,
            static fn (MakeEntry $a, MakeEntry $b): int => ($b->band->upperMm ?? 0.0) <=> ($a->band->upperMm ?? 0.0),
        );
        $said = array_map(
            fn (MakeEntry $entry): array => $entry->phase === Phase::After && $entry->band !== null
                ? [
                    lcfirst($entry->surface->name).', left at about',
                    LengthWriter::size(PressedSize::leftAtMm($entry->surface, $entry->band)),
                ]
                : [lcfirst($entry->label), $this->number($entry)],
            $entries,
        );

        return $this->says($code, $said, $do, $why, $rule);
    }

    /**
     * What is left for once the part is pressed, since it changes by that.
     *
     * @return list<Step>
     */
    private function oncePressed(): array
    {
        $after = array_filter($this->entries, static fn (MakeEntry $e): bool => $e->phase === Phase::After);
        $named = fn (MakeEntry $entry): array => [lcfirst($entry->surface->name), $this->number($entry)];
        $inPlace = array_filter($after, fn (MakeEntry $e): bool => ! $this->isCutBefore($e));
        $why = 'It changes as it is pressed: only then is it what it will be.';

        return array_values(array_filter([
            $this->says('in-place', array_map($named, $inPlace), 'Once it is pressed, finish {list}.', $why, 'finish in place'),
            $this->says('once-pressed', array_map($named, array_diff_key($after, $inPlace)), 'Once it is pressed, measure {list}.', $why, 'measure before it is used'),
        ]));
    }

    /** A size after pressing that is reached by cutting it before. */
    private function isCutBefore(MakeEntry $entry): bool
    {
        return $entry->phase === Phase::After && array_filter(
            $this->entries,
            static fn (MakeEntry $e): bool => $e->surface->id === $entry->surface->id
                && $e->phase === Phase::Before
                && ! $e->free,
        ) !== [];
    }

    /** @param  array<array{string, ?Say}>  $said  what is cut, each with its number */
    private function says(string $code, array $said, string $do, string $why, string $rule): ?Step
    {
        $words = $values = [];
        foreach (array_values($said) as $i => [$name, $number]) {
            $words[] = $name.($number === null ? '' : ' {s'.$i.'}');
            if ($number !== null) {
                $values["s{$i}"] = $number;
            }
        }

        return $words === [] ? null : new Step(
            $this->code($code),
            Say::with("{$this->part->name}: ".lcfirst(str_replace('{list}', implode('; ', $words), $do)), $values),
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

    /** By how much a sharp edge is broken. Common practice. */
    public static function brokenEdge(): Say
    {
        return new Say('0.01 in', '0.2 mm', '0.01 in (0.2 mm)');
    }

    /** Where one of each hand is made: what is otherwise on the second. */
    private function otherHand(): ?Step
    {
        if (! $this->part->bothHands) {
            return null;
        }
        $said = $values = [];
        foreach ($this->facts->surfacesOf($this->part->id) as $i => $surface) {
            $x = $surface->x->length->mm ?? 0.0;
            if ($x !== 0.0 && $this->facts->isCut($surface)) {
                $said[] = lcfirst($surface->name)." at x {x{$i}}";
                $values["x{$i}"] = LengthWriter::size(-$x);
            }
        }

        return new Step(
            $this->code('other-hand'),
            Say::with(
                "{$this->part->name}, the other hand: the same mirrored left to right"
                    .($said === [] ? '' : '; '.implode(', ', $said)).'. Threads stay right-handed unless said otherwise.',
                $values,
            ),
            'Clamped face to face the two are drilled in one go and come out as a pair. Mark L and R before either leaves the vice.',
            'mirrored pairs are listed',
        );
    }

    /** @return list<Step> what ends the order of any part */
    public function last(): array
    {
        $other = $this->otherHand();

        return [
            ...$other === null ? [] : [$other],
            new Step(
                $this->code('edges'),
                Say::with("{$this->part->name}: break every edge, about {e}; no burr where it meets its mate.", [
                    'e' => self::brokenEdge(),
                ]),
                'A burr reads as size, and holds a fit off its seat.',
                'deburr before it is tried',
            ),
            ...$this->oncePressed(),
            new Step(
                $this->code('try'),
                Say::plain("{$this->part->name}: try it in its mate before it leaves the bench, cool and clean."),
                'While it can still be set up again as it was.',
                'test-fit before anything else is finished',
            ),
        ];
    }
}

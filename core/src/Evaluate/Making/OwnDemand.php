<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\Criticality;
use Oldpart\Core\Facts\DemandKind;
use Oldpart\Core\Facts\ReadState;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\GeneralClass;
use Oldpart\Core\Fit\GeneralTolerance;
use Oldpart\Core\Fit\Iso286;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/**
 * What is asked of a surface that is cut for itself: limits of its own, or the general tolerances, which are also taken
 * where nothing is said. What a joint or a loop asks of it is another demand.
 */
final readonly class OwnDemand
{
    /** Common practice: the class of a drawing that names none. */
    private const USUAL = GeneralClass::Medium;

    /**
     * @param  ?Band  $band  null where no size is said, or none is asked
     * @param  ?Say  $blocked  what is missing
     * @param  bool  $free  nobody has to measure it
     */
    private function __construct(public ?Band $band, public ?Say $blocked, public Say $says, public bool $free)
    {
    }

    /** @param  array<string, FoundSize>  $before  what was there, by the state it was read in */
    public static function of(SurfaceFacts $surface, array $before): self
    {
        $demand = $surface->demand;
        $mm = $surface->size?->length->mm;
        $asItComes = $demand === null
            ? $surface->criticality === Criticality::AsItComes
            : $demand->kind === DemandKind::AsItComes;
        if ($asItComes) {
            $says = $mm === null ? Say::plain('As it comes.') : Say::with('As it comes, about {s}.', [
                's' => LengthWriter::sizeInWords($mm),
            ]);

            return new self(null, null, $says, true);
        }
        if ($demand?->kind === DemandKind::AsTheOld) {
            return self::asTheOld($surface, $before[ReadState::Before->value] ?? null);
        }
        if ($mm === null || $mm <= 0) {
            $missing = Say::plain('No size is said of it yet: type it at Survey, with its limits or free.');

            return new self(null, $missing, Say::plain(''), false);
        }
        try {
            $own = match ($demand?->kind) {
                DemandKind::Limits => self::limits(
                    $mm,
                    $demand->plus->length->mm ?? 0.0,
                    $demand->minus->length->mm ?? 0.0,
                ),
                DemandKind::NotOver => self::oneSided($mm, false, $demand->class ?? self::USUAL),
                DemandKind::NotUnder => self::oneSided($mm, true, $demand->class ?? self::USUAL),
                DemandKind::Stock => self::withStock($surface, new Band($mm, $mm)),
                null => self::unsaid($mm, $surface->criticality),
                default => self::free($mm, $demand->class),
            };
        } catch (BadInput $bad) {
            return new self(null, Say::plain($bad->getMessage()), Say::plain(''), false);
        }
        $rough = $surface->source?->isRough() === true
            ? ' Its size is only noted, '.$surface->source->value.': look again before you cut to it.'
            : '';

        return new self($own->band, $own->blocked, Say::with('{says}'.$rough, ['says' => $own->says]), $own->free);
    }

    /**
     * As the old one was where it is not worn, by limits that were typed, or as much as it matters. Grades by common
     * practice.
     */
    private static function asTheOld(SurfaceFacts $surface, ?FoundSize $old): self
    {
        if ($old === null) {
            $missing = 'It is to be as the old one: read the old one at Measure first, where it is not worn.';

            return new self(null, Say::plain($missing), Say::plain(''), false);
        }
        $mm = $old->unwornMeanMm ?? $old->meanMm;
        $plus = $surface->demand?->plus?->length->mm;
        $minus = $surface->demand?->minus?->length->mm;
        $grade = match ($surface->criticality) {
            Criticality::Critical => '7',
            Criticality::Fit => '9',
            default => null,
        };
        try {
            $half = $grade === null
                ? GeneralTolerance::half($mm, self::USUAL)
                : Iso286::tolerance($mm, $grade) / 2000;
        } catch (BadInput $bad) {
            return new self(null, Say::plain($bad->getMessage()), Say::plain(''), false);
        }
        $typed = $plus !== null || $minus !== null;
        $wrong = $typed ? self::wrong($mm, $plus ?? 0.0, $minus ?? 0.0) : null;
        if ($wrong !== null) {
            return new self(null, Say::plain($wrong), Say::plain(''), false);
        }
        $worn = $old->unwornMeanMm === null
            ? ' No spot of the old one is marked unworn: wear is copied with it.'
            : ' Its unworn spots count.';
        $says = $typed
            ? 'As the old one, {s}: over it by {p}, under it by {m} at most.'
            : 'As the old one, {s}: ±{h}, '.
                ($grade === null ? 'ISO 2768-1 '.self::USUAL->value : "half of IT{$grade}").
                ", as it is marked “{$surface->criticality->value}”.";

        return new self(
            $typed ? new Band($mm - ($minus ?? 0.0), $mm + ($plus ?? 0.0)) : new Band($mm - $half, $mm + $half),
            null,
            Say::with($says.$worn, [
                's' => LengthWriter::sizeInWords($mm),
                'p' => LengthWriter::difference($plus ?? 0.0),
                'm' => LengthWriter::difference($minus ?? 0.0),
                'h' => LengthWriter::difference($half),
            ]),
            false,
        );
    }

    /**
     * Its final limits with stock left on them: at least as much as was said, at most the general tolerance more.
     *
     * @param  Band  $final  what it is to be in the end
     */
    public static function withStock(SurfaceFacts $surface, Band $final): self
    {
        $stock = $surface->demand->plus->length->mm ?? 0.0;
        if ($stock <= 0) {
            $missing = 'Stock is to be left on it: say how much, on the diameter or the length.';

            return new self(null, Say::plain($missing), Say::plain(''), false);
        }
        $bore = $surface->grows();
        $near = $bore ? $final->lowerMm - $stock : $final->upperMm + $stock;
        if ($near <= 0) {
            $toomuch = 'More stock is to be left than there is bore: check how much, and its unit.';

            return new self(null, Say::plain($toomuch), Say::plain(''), false);
        }
        try {
            $width = 2 * GeneralTolerance::half($near, self::USUAL);
        } catch (BadInput $bad) {
            return new self(null, Say::plain($bad->getMessage()), Say::plain(''), false);
        }
        $far = $bore ? max($near / 2, $near - $width) : $near + $width;
        $says = Say::with('Left with {s} of stock at least, {m} at most, on {f} in the end.', [
            's' => LengthWriter::difference($stock),
            'm' => LengthWriter::difference($stock + abs($far - $near)),
            'f' => $final->widthMm() <= 0
                ? LengthWriter::sizeInWords($final->lowerMm)
                : Say::with('{a} to {b}', ['a' => LengthWriter::lower($final), 'b' => LengthWriter::upper($final)]),
        ]);

        return new self(new Band(min($near, $far), max($near, $far)), null, $says, false);
    }

    private static function limits(float $mm, float $plus, float $minus): self
    {
        $wrong = self::wrong($mm, $plus, $minus);
        if ($wrong !== null) {
            return new self(null, Say::plain($wrong), Say::plain(''), false);
        }
        $says = Say::with('Its own limits: {s}, over it by {p}, under it by {m} at most.', [
            's' => LengthWriter::sizeInWords($mm),
            'p' => LengthWriter::difference($plus),
            'm' => LengthWriter::difference($minus),
        ]);

        return new self(new Band($mm - $minus, $mm + $plus), null, $says, false);
    }

    /** What makes no sense of limits that were typed; null where they do. */
    private static function wrong(float $mm, float $plus, float $minus): ?string
    {
        return match (true) {
            $plus + $minus <= 0 => 'Its own limits leave nothing to cut to: say what it may be over or under.',
            $minus >= $mm => 'It may not be under its size by all of it: check what it may be under, and its unit.',
            default => null,
        };
    }

    /** One limit is said; the other is as far off as the general tolerances let it be. */
    private static function oneSided(float $mm, bool $under, GeneralClass $class): self
    {
        $half = GeneralTolerance::half($mm, $class);
        $says = Say::with($under ? 'Not under {s}; over it by {h} at most' : 'Not over {s}; under it by {h} at most', [
            's' => LengthWriter::sizeInWords($mm),
            'h' => LengthWriter::difference($half),
        ]);

        return new self(
            $under ? new Band($mm, $mm + $half) : new Band($mm - $half, $mm),
            null,
            Say::with('{says}, ISO 2768-1 '.$class->value.'.', ['says' => $says]),
            false,
        );
    }

    private static function free(float $mm, ?GeneralClass $class): self
    {
        $class ??= self::USUAL;
        $half = GeneralTolerance::half($mm, $class);
        $says = Say::with('Free: ±{h}, ISO 2768-1 '.$class->value.'.', ['h' => LengthWriter::difference($half)]);

        return new self(new Band($mm - $half, $mm + $half), null, $says, true);
    }

    /** Nobody said what it may be. What only clears is free; of what matters somebody should say it. */
    private static function unsaid(float $mm, Criticality $criticality): self
    {
        $half = GeneralTolerance::half($mm, self::USUAL);
        $matters = $criticality !== Criticality::Clearance;
        $says = Say::with(
            'Nothing says what it may be: ±{h} is taken, ISO 2768-1 '.self::USUAL->value.'.'.
                ($matters ? " It is marked “{$criticality->value}”: say its limits at Survey." : ''),
            ['h' => LengthWriter::difference($half)],
        );

        return new self(new Band($mm - $half, $mm + $half), null, $says, ! $matters);
    }
}

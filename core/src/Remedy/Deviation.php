<?php

declare(strict_types=1);

namespace Oldpart\Core\Remedy;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Loops\SolvedLoop;
use Oldpart\Core\Evaluate\Making\AchievedFit;
use Oldpart\Core\Evaluate\Making\CutProgress;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\OperationFacts;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Loop\Remedies;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/**
 * A size that was cut too far: what that does to everything it meets, and what can be done: take it as it is, let the
 * other side follow, mend it, make it again.
 */
final readonly class Deviation implements \JsonSerializable
{
    /** Less likely to work than that, taking it as it is comes last. */
    private const LIKELY = 0.5;

    /** More than so many other fits nobody weighs. */
    private const OTHERS = 2;

    /**
     * @param  list<array{name: string, says: Say, ok: ?bool}>  $hits  ok is null where it is not known
     * @param  list<array{code: string, says: Say, stage: ?string, at: ?string}>  $ways  the likeliest first
     */
    private function __construct(public Say $off, public array $hits, public array $ways)
    {
    }

    /** @return ?self null for a size that is inside, that can still be cut, or that somebody decided about */
    public static function of(JobFacts $facts, Outcome $out, CutProgress $cut): ?self
    {
        $band = $cut->entry->band;
        $size = $cut->sizeMm();
        $isOut = in_array($cut->verdict, [Acceptance::Above, Acceptance::Below], true);
        $isOpen = $isOut && ! $cut->hasMetalLeft() && $cut->decision === null && ! $out->withheld;
        if ($band === null || $size === null || ! $isOpen) {
            return null;
        }
        $overMm = max($size - $band->upperMm, $band->lowerMm - $size);
        $joints = $hits = [];
        foreach ($out->joints as $joint) {
            $wanted = $joint->wantedMm;
            if ($joint->make?->id === $cut->entry->surface->id && $wanted !== null) {
                $joints[] = $joint;
                $achieved = AchievedFit::at($joint, $size, $cut->u95(), $out->making);
                $hits[] = self::joint($joint->joint->name, $wanted, $achieved);
            }
        }
        $loops = self::loops($out, $cut);
        array_push($hits, ...array_map(self::loop(...), $loops));
        $chance = self::chance($joints, $loops, $size, $cut->u95());
        $works = array_filter($hits, static fn (array $hit): bool => $hit['ok'] !== true) === [];
        $otherSide = self::otherSide($out, $cut);
        $asItIs = self::asItIs($hits, $works, $chance, $otherSide !== []);
        $likely = $works || ($chance ?? 0.0) >= self::LIKELY;

        return new self(
            Say::with($size > $band->upperMm ? 'Too large by {by}.' : 'Too small by {by}.', [
                'by' => LengthWriter::atLeast($overMm),
            ]),
            $hits,
            [
                ...($likely ? $asItIs : []),
                ...self::otherFits($joints, $size, $cut->u95()),
                ...$otherSide,
                ...self::mended($facts, $out, $cut, $overMm),
                self::again($facts),
                ...($likely ? [] : $asItIs),
            ],
        );
    }

    /** @return array{name: string, says: Say, ok: ?bool} */
    private static function joint(string $name, Range $wanted, ?Range $achieved): array
    {
        return [
            'name' => $name,
            'says' => $achieved === null
                ? Say::plain('not known')
                : Say::with('{a}, wanted {w}', ['a' => Words::range($achieved), 'w' => Words::range($wanted)]),
            'ok' => $achieved === null ? null : AchievedFit::verdict($achieved, $wanted) === 'inside',
        ];
    }

    /** @return array{name: string, says: Say, ok: ?bool} */
    private static function loop(SolvedLoop $loop): array
    {
        $chance = $loop->chance();

        return [
            'name' => $loop->facts->name,
            'says' => $loop->says() ?? Say::plain('not known'),
            'ok' => $chance === null ? null : $chance >= Remedies::WANTED,
        ];
    }

    /** @return list<SolvedLoop> the gaps it stands in of which something is wanted */
    private static function loops(Outcome $out, CutProgress $cut): array
    {
        $surfaces = static fn (SolvedLoop $loop): array => array_column($loop->facts->lengths, 'surface');

        return array_values(array_filter(
            $out->loops,
            static fn ($loop): bool => $loop instanceof SolvedLoop
                && $loop->facts->wanted() !== null
                && in_array($cut->entry->surface->id, $surfaces($loop), true),
        ));
    }

    /**
     * That it works as it is in all it meets, 0 to 1, at most: the least of them; null where one of them is not known.
     *
     * @param  list<SizedJoint>  $joints
     * @param  list<SolvedLoop>  $loops
     */
    private static function chance(array $joints, array $loops, float $size, float $u95): ?float
    {
        $chances = [
            ...array_map(
                static fn (SizedJoint $j): ?float => $j->case?->sizes()->checkedTo($u95 / 2)->chanceAt($size),
                $joints,
            ),
            ...array_map(static fn (SolvedLoop $loop): ?float => $loop->chance(), $loops),
        ];

        return $chances === [] || in_array(null, $chances, true) ? null : min($chances);
    }

    /**
     * @param  list<array{name: string, says: Say, ok: ?bool}>  $hits
     * @return list<array{code: string, says: Say, stage: ?string, at: ?string}>
     */
    private static function asItIs(array $hits, bool $works, ?float $chance, bool $follows): array
    {
        return match (true) {
            $hits === [] && $follows => [self::way(
                'accept',
                Say::plain('Only what is made to it hangs on it, and that follows: take it as it is, with the reason on the sheet.'),
            )],
            $hits === [] => [self::way(
                'accept',
                Say::plain('Nothing here says what hangs on it: take it as it is only where you know.'),
            )],
            $works => [self::way(
                'accept',
                Say::plain('Everything it meets still comes out as wanted: take it as it is, with the reason on the sheet.'),
            )],
            $chance === null => [self::way(
                'accept',
                Say::plain('Not all that hangs on it can be worked out: take it as it is only where you know.'),
            )],
            default => [self::way(
                'accept',
                Say::plain('As it is: '.Likely::inWords($chance).'. Taken so, it needs a reason that stands on the sheet.'),
            )],
        };
    }

    /**
     * @param  list<SizedJoint>  $joints
     * @return list<array{code: string, says: Say, stage: ?string, at: ?string}>
     */
    private static function otherFits(array $joints, float $size, float $u95): array
    {
        $ways = [];
        foreach ($joints as $joint) {
            $achieved = AchievedFit::inMate($joint, $size, $u95);
            if ($achieved === null) {
                continue;
            }
            foreach ($joint->offers as ['offer' => $offer, 'chosen' => $chosen]) {
                $holds = $offer->clearanceMm->min <= $achieved->min && $offer->clearanceMm->max >= $achieved->max;
                if ($holds && ! $chosen && count($ways) < self::OTHERS) {
                    $ways[] = self::otherFit($joint, $offer);
                }
            }
        }

        return $ways;
    }

    /** @return array{code: string, says: Say, stage: ?string, at: ?string} */
    private static function otherFit(SizedJoint $joint, Offer $offer): array
    {
        return self::way(
            'other-fit',
            Say::with("As it is, it makes {$offer->label} ({r}) in “{$joint->joint->name}”: where that serves, choose it under Size.", [
                'r' => Words::range($offer->clearanceMm),
            ]),
            'size',
            $joint->joint->id,
        );
    }

    /** @return list<array{code: string, says: Say, stage: ?string, at: ?string}> the sides that are made to it after it */
    private static function otherSide(Outcome $out, CutProgress $cut): array
    {
        $ways = [];
        foreach ($out->joints as $joint) {
            $band = $joint->band();
            if ($joint->mate?->id === $cut->entry->surface->id && $joint->make !== null && $band !== null) {
                $ways[] = self::way(
                    'other-side',
                    Say::with("The {$joint->make->name} is made to it and follows: {a} … {b} makes the fit all the same.", [
                        'a' => LengthWriter::lower($band),
                        'b' => LengthWriter::upper($band),
                    ]),
                    'size',
                    $joint->joint->id,
                );
            }
        }

        return $ways;
    }

    /** @return list<array{code: string, says: Say, stage: ?string, at: ?string}> */
    private static function mended(JobFacts $facts, Outcome $out, CutProgress $cut, float $overMm): array
    {
        $surface = $cut->entry->surface;
        $when = match (true) {
            $surface->type->isSlot() => 'slot-wide',
            $surface->kind === SurfaceKind::Length => 'length-short',
            $surface->grows() => 'bore-large',
            default => 'shaft-small',
        };
        $metal = FoundSurfaces::material($facts->partOf($surface));
        $roles = array_map(
            static fn (SizedJoint $j): string => $j->purpose->code,
            array_filter($out->joints, static fn (SizedJoint $j): bool => $j->make?->id === $surface->id),
        );
        $turns = array_filter($roles, static fn (string $code): bool => preg_match('/running|slid/', $code) === 1);
        $ways = [];
        foreach (Table::rows('deviation-ways') as $row) {
            $does = $row['when'] === $when
                && ($row['up_to_mm'] === null || $overMm <= $row['up_to_mm'])
                && (! isset($row['metals']) || in_array($metal?->family, $row['metals'], true))
                && (! isset($row['weld']) || in_array($metal?->weld, $row['weld'], true))
                && (! isset($row['not']) || $turns === []);
            if ($does && is_string($row['code']) && is_string($row['says'])) {
                $ways[] = self::way($row['code'], Say::plain($row['says']));
            }
        }

        return $ways;
    }

    /** @return array{code: string, says: Say, stage: ?string, at: ?string} */
    private static function again(JobFacts $facts): array
    {
        $minutes = array_sum(array_map(
            static fn (OperationFacts $o): float => $o->setupMin + $o->runMin,
            $facts->operations,
        ));

        return self::way('remake', Say::plain($minutes > 0
            ? 'Make it again: about '.number_format($minutes / 60, 1).' hours by what was quoted, and a piece of stock.'
            : 'Make it again: what that takes was not quoted.'));
    }

    /** @return array{code: string, says: Say, stage: ?string, at: ?string} */
    private static function way(string $code, Say $says, ?string $stage = null, ?string $at = null): array
    {
        return ['code' => $code, 'says' => $says, 'stage' => $stage, 'at' => $at];
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['off' => $this->off, 'hits' => $this->hits, 'ways' => $this->ways];
    }
}

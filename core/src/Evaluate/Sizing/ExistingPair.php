<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\School;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;

/** A joint of two parts that are both there: the fit they have, beside the one that is wanted. */
final readonly class ExistingPair
{
    /**
     * Null while one of the two is not known.
     *
     * @param  array<string, FoundSize>  $found  by surface
     * @param  ?Range  $custom  clearance that was typed, mm
     */
    public static function of(
        JobFacts $facts,
        JointFacts $joint,
        Purpose $purpose,
        array $found,
        ?Range $custom,
        bool $withheld,
    ): ?SizedJoint {
        [$inner, $outer] = [$found[$joint->inner] ?? null, $found[$joint->outer] ?? null];
        $mate = $facts->surface($joint->outer);
        if ($inner === null || $outer === null || $mate === null) {
            return null;
        }
        $pair = self::clearance($inner, $outer);
        $offers = $custom === null ? $purpose->offers($outer->meanMm) : [];
        $wish = $joint->school ?? ($facts->unit === Unit::Inch ? School::Inch : School::Iso);
        $chosen =
            array_values(array_filter($offers, static fn (Offer $o): bool => $o->school === $wish))[0] ??
            ($offers[0] ?? null);
        $wanted = $custom ?? $chosen?->clearanceMm;
        $works = $wanted === null ? null : Works::of($purpose, $outer->meanMm, $wanted, $custom !== null);

        return new SizedJoint(
            joint: $joint,
            purpose: $purpose,
            offers: array_map(
                static fn (Offer $o): array => ['offer' => $o, 'sized' => null, 'chosen' => $o === $chosen],
                $offers,
            ),
            chosen: $chosen === null ? 'limits' : $chosen->school->value,
            wantedMm: $wanted,
            make: null,
            mate: $mate,
            mateName: $mate->name,
            makeName: '',
            mateFound: $outer,
            sized: null,
            goodEnough: null,
            blocked: $withheld ? Gatekeeper::sentence() : null,
            withheld: $withheld,
            notes: $withheld ? [] : self::notes($pair, $wanted, $purpose->isLength),
            pairMm: $pair,
            pairChance: $works === null ? null : new PairChance($inner, $outer, $works),
        );
    }

    /**
     * With both doubts in quadrature: on the means where it is tight, else from the tightest spots to the loosest, mm.
     * Source: JCGM 100.
     */
    private static function clearance(FoundSize $inner, FoundSize $outer): Range
    {
        $mean = $outer->meanMm - $inner->meanMm;
        if ($mean < 0) {
            $u = hypot($inner->sureMeanMm(), $outer->sureMeanMm());

            return new Range($mean - $u, $mean + $u);
        }
        $u = hypot($inner->sureMm(), $outer->sureMm());

        return new Range(
            $outer->smallestMm() - $inner->largestMm() - $u,
            $outer->largestMm() - $inner->smallestMm() + $u,
        );
    }

    /** @return list<Note> */
    private static function notes(Range $pair, ?Range $wanted, bool $isLength): array
    {
        $values = ['pair' => Words::range($pair)];
        if ($wanted === null) {
            return [Note::info('pair', Say::with('Both parts are there. As they are: {pair}.', $values))];
        }
        $values['wanted'] = Words::range($wanted);
        if ($pair->min >= $wanted->min && $pair->max <= $wanted->max) {
            return [
                Note::info('pair', Say::with('Both parts are there. As they are: {pair}, as wanted ({wanted}).', $values)),
            ];
        }
        $by = static fn (float $mm): Say => LengthWriter::difference($mm);
        if ($pair->middle() > $wanted->middle()) {
            $values['by'] = $by($pair->middle() - $wanted->middle());

            return [
                Note::caution(
                    'pair-loose',
                    Say::with(
                        $isLength
                            ? 'Both parts are there. As they are: {pair}; {wanted} is wanted, so the inner is about {by} too short. Shim it, face the other, or accept it as it is.'
                            : 'Both parts are there. As they are: {pair}; {wanted} is wanted, so they are about {by} too loose. Bond them, sleeve or build up one of them and cut it again (say so at Survey), or accept the fit as it is.',
                        $values,
                    ),
                ),
            ];
        }
        $values['by'] = $by($wanted->middle() - $pair->middle());

        return [
            Note::caution(
                'pair-tight',
                Say::with(
                    $isLength
                        ? 'Both parts are there. As they are: {pair}; {wanted} is wanted, so the inner is about {by} too long. Face it off (say at Survey that it is cut again), or accept it as it is.'
                        : 'Both parts are there. As they are: {pair}; {wanted} is wanted, so they are about {by} too tight. Polish or skim the inner, hone the outer (say at Survey which is cut again), or accept the fit as it is.',
                    $values,
                ),
            ),
        ];
    }
}

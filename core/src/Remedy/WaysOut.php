<?php

declare(strict_types=1);

namespace Oldpart\Core\Remedy;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WayOut;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Fit\StandardSize;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;

/**
 * What to do where the band is empty, or narrower than the lathe holds. Each way is worked out with the same sizing.
 */
final readonly class WaysOut
{
    /** What is left on for polishing or honing, on diameter, mm: half a thou to a thou. Common practice. */
    private const LEFT_ON_MM = 0.02;

    private const INSTRUMENTS = 2;

    /** @param  \Closure(FoundSize, Range): SizeToMate  $size */
    public function __construct(private JobFacts $facts, private \Closure $size)
    {
    }

    /** @return list<WayOut> where the size can be made as asked, a reamer for it at most */
    public function of(SizedJoint $answer): array
    {
        $found = $answer->mateFound;
        $wanted = $answer->wantedMm;
        $holds = $this->facts->shop->latheHoldsMm;
        if (
            $found === null
            || $wanted === null
            || $answer->make === null
            || $answer->mate === null
            || $answer->purpose->isLength
            || $answer->sized === null
        ) {
            return [];
        }
        $band = $answer->best === null ? $answer->sized->band : null;
        if ($band !== null && $band->widthMm() >= $holds) {
            return $answer->make->kind === SurfaceKind::Bore ? $this->ream($band) : [];
        }

        if ($answer->best !== null) {
            // What else would help, with the chance it brings, is said with the best size.
            return $this->widen($answer->joint, $found, $wanted, $holds);
        }

        return [
            ...$this->readAgain($answer->mate, $found, $wanted),
            ...$band === null ? [] : $this->sneakUp($answer->make, $band),
            ...$this->widen($answer->joint, $found, $wanted, $holds),
            ...$this->bond($answer, $found),
            ...$this->trueTheMate($answer->mate, $found),
        ];
    }

    /** @return list<WayOut> */
    private function readAgain(SurfaceFacts $mate, FoundSize $found, Range $wanted): array
    {
        $temperature = 0.0;
        foreach ($found->budget() as $share) {
            $temperature = $share->source === 'temperature' ? $share->uMm : $temperature;
        }
        $ways = [];
        foreach ($this->facts->shop->instruments->all() as $tool) {
            $u = 2 * sqrt(($tool->bestU95Mm($found->meanMm) / 2) ** 2 + $temperature ** 2);
            if (
                ! $tool->canMeasure($mate->kind, $found->meanMm, $mate->long->length->mm ?? 0.0)
                || $u > 0.9 * $found->sureMm()
            ) {
                continue;
            }
            $sized = ($this->size)($found->withU95($u), $wanted);
            if ($sized->band !== null) {
                $ways[] = [$u, $tool, $sized->band];
            }
        }
        usort($ways, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_map(
            static fn (array $way): WayOut => new WayOut(
                'read-again',
                Say::with('Read the {mate} again with the {tool}: sure to ±{u} at best, it makes {a} … {b}.', [
                    'mate' => lcfirst($mate->name),
                    'tool' => lcfirst($way[1]->name),
                    'u' => LengthWriter::atLeast($way[0]),
                    'a' => LengthWriter::lower($way[2]),
                    'b' => LengthWriter::upper($way[2]),
                ]),
                measure: $mate->id,
            ),
            array_slice($ways, 0, self::INSTRUMENTS),
        );
    }

    /** @return list<WayOut> the band is there, but narrower than the lathe holds */
    private function sneakUp(SurfaceFacts $make, Band $band): array
    {
        $bore = $make->kind === SurfaceKind::Bore;
        $first = $bore ? $band->lowerMm - self::LEFT_ON_MM : $band->upperMm + self::LEFT_ON_MM;
        $values = [
            'first' => LengthWriter::size($first),
            'a' => LengthWriter::lower($band),
            'b' => LengthWriter::upper($band),
            'left' => LengthWriter::difference(self::LEFT_ON_MM),
        ];
        $says = Say::with(
            $bore
                ? 'Bore to {first}, then hone or lap the last {left} to {a} … {b}.'
                : 'Turn to {first}, then polish the last {left} to {a} … {b}.',
            $values,
        );
        $ways = [new WayOut('sneak-up', $says, operation: self::worded($says, $this->facts->unit))];

        return [...$bore ? $this->ream($band) : [], ...$ways];
    }

    /** @return list<WayOut> a reamer whose size lies inside the band: a way to make it, whatever the lathe holds */
    private function ream(Band $band): array
    {
        foreach (StandardSize::near(true, $band->lowerMm, $band->widthMm() + 1e-9) as $size) {
            if ($size->what === 'reamer' && $size->mm <= $band->upperMm) {
                $says = Say::with(
                    'Ream it with the {label} reamer, {s}: it lies inside {a} … {b}. Try it in scrap first: a reamer cuts a little over.',
                    [
                        'label' => $size->label,
                        's' => LengthWriter::size($size->mm),
                        'a' => LengthWriter::lower($band),
                        'b' => LengthWriter::upper($band),
                    ],
                );

                return [new WayOut('ream', $says, operation: self::worded($says, $this->facts->unit))];
            }
        }

        return [];
    }

    /** @return list<WayOut> limits just wide enough for the reading and the lathe */
    private function widen(JointFacts $joint, FoundSize $found, Range $wanted, float $holds): array
    {
        $inch = $this->facts->unit === Unit::Inch;
        $step = $inch ? 0.00254 : 0.001;
        for ($more = $step; $more < 0.25; $more += $step) {
            // A tight fit is not widened into a loose one: past size to size only the tight end moves.
            $range = new Range(
                floor(($wanted->min - $more) / $step + 1e-6) * $step,
                $wanted->max <= 0
                    ? min(0.0, $wanted->max + $more)
                    : ceil(($wanted->max + $more) / $step - 1e-6) * $step,
            );
            $band = ($this->size)($found, $range)->band;
            if ($band !== null && $band->widthMm() >= $holds) {
                $typed = static fn (float $mm): array => [
                    'typed' => $inch ? number_format($mm / 25.4, 4, '.', '') : number_format($mm, 3, '.', ''),
                    'unit' => $inch ? 'in' : 'mm',
                ];

                return [
                    new WayOut(
                        'widen',
                        Say::with('Widen the fit by {more} at each end that can give: {r}; it then makes {a} … {b}.', [
                            'more' => LengthWriter::difference($more),
                            'r' => \Oldpart\Core\Picture\Words::range($range),
                            'a' => LengthWriter::lower($band),
                            'b' => LengthWriter::upper($band),
                        ]),
                        [
                            'least' => $typed($range->min),
                            'most' => $typed($range->max),
                            'reason' => $joint->reason === '' ? 'widened to what can be read and held' : $joint->reason,
                        ],
                    ),
                ];
            }
        }

        return [];
    }

    /** @return list<WayOut> */
    private function bond(SizedJoint $answer, FoundSize $found): array
    {
        if (! $answer->purpose->stays || $answer->purpose->bonds) {
            return [];
        }
        // The widest film the compound fills.
        $offers = Purpose::named('bonded')->offers($found->meanMm);
        usort($offers, static fn (Offer $a, Offer $b): int => $b->clearanceMm->width() <=> $a->clearanceMm->width());
        $band = ($this->size)($found, $offers[0]->clearanceMm)->band;

        return $band === null
            ? []
            : [
                new WayOut(
                    'bond',
                    Say::with('Bond it instead: slip fit and compound, makes {a} … {b}.', [
                        'a' => LengthWriter::lower($band),
                        'b' => LengthWriter::upper($band),
                    ]),
                    [
                        'purpose' => 'bonded',
                        'school' => $offers[0]->school->value,
                        'least' => null,
                        'most' => null,
                        'reason' => $answer->joint->reason === ''
                                ? 'bonded: the band for a tighter fit was too narrow'
                                : $answer->joint->reason,
                    ],
                ),
            ];
    }

    /** @return list<WayOut> */
    private function trueTheMate(SurfaceFacts $mate, FoundSize $found): array
    {
        $bore = $mate->kind === SurfaceKind::Bore;
        [$smallest, $largest] = [$found->smallestMm(), $found->largestMm()];
        $size = $mate->kind === SurfaceKind::Length
            ? null
            : StandardSize::trued($bore, $bore ? $largest : $smallest, $largest - $smallest);
        if ($size === null) {
            return [];
        }
        $says = Say::with(
            $bore
                ? 'Change the other part: ream the {mate} to {label} ({s}), read it again, and size to that.'
                : 'Change the other part: true the {mate} down to {label} ({s}), read it again, and size to that.',
            ['mate' => lcfirst($mate->name), 'label' => $size->label, 's' => LengthWriter::size($size->mm)],
        );

        return [new WayOut('change-the-mate', $says, operation: self::worded($says, $this->facts->unit))];
    }

    private static function worded(Say $say, Unit $unit): string
    {
        return $unit === Unit::Inch ? $say->in : $say->mm;
    }
}

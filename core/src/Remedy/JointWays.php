<?php

declare(strict_types=1);

namespace Oldpart\Core\Remedy;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Severity;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Evaluate\Found\FoundSurfaces;
use Oldpart\Core\Evaluate\Mechanics\PressStudy;
use Oldpart\Core\Evaluate\Sizing\JointSizing;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Evaluate\Sizing\TableSize;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Joint\Bond;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressAdvice;
use Oldpart\Core\Joint\Shrink;
use Oldpart\Core\Quantity\Figure;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/**
 * The ways to hold a joint that stays put (data/joint-ways.json), each worked out with the same sizing and mechanics,
 * what can be done first, the easiest first among those. Factors: common practice.
 */
final readonly class JointWays
{
    /** Steps harder, where the band is narrower than the lathe holds. Common practice. */
    private const NARROW = 2;

    public function __construct(private JobFacts $facts, private JointSizing $sizing, private PressStudy $study)
    {
    }

    /**
     * @param  array<string, string>  $conditions  by the question's code: thin wall, brittle metal
     * @return list<JointWay>
     */
    public function of(SizedJoint $answer, array $conditions): array
    {
        if (
            ! $answer->purpose->stays
            || $answer->mateFound === null
            || $answer->make === null
            || $answer->withheld
            || $answer->toTable !== null
        ) {
            return [];
        }
        /**
         * @var list<array{code: string, name: string, purpose: string, put: string, ease: int, apart: string, tools: string, time: string, hazards: list<string>}> $rows
         */
        $rows = Table::rows('joint-ways');
        $ways = array_map(fn (array $row): JointWay => $this->way($row, $answer, $conditions), $rows);
        usort(
            $ways,
            static fn (JointWay $a, JointWay $b): int => [! $a->feasible, $a->rank] <=> [! $b->feasible, $b->rank],
        );

        return $ways;
    }

    /**
     * @param  array{code: string, name: string, purpose: string, put: string, ease: int, apart: string, tools: string, time: string, hazards: list<string>}  $row
     * @param  array<string, string>  $conditions
     */
    private function way(array $row, SizedJoint $answer, array $conditions): JointWay
    {
        $found = $answer->mateFound ?? throw new \LogicException('checked by the caller');
        $purpose = Purpose::named($row['purpose']);
        $offer = $this->sizing->choose(
            $purpose->offers(
                $answer->mate === null ? $found->meanMm : TableSize::of($answer->mate, $found, $purpose)->mm,
            ),
            $answer->joint->school,
        );
        $sized = $this->sizing->sizeFor($answer->makesInner(), $found, $offer->clearanceMm);
        $stops = $minds = [];
        $holds = null;
        $trouble = $row['ease'];
        if ($sized->band === null) {
            $stops[] = Say::with('The {mate} is not read well enough for it.', ['mate' => lcfirst($answer->mateName)]);
        } elseif ($sized->band->widthMm() < $this->facts->shop->latheHoldsMm) {
            $minds[] = Say::with('The band is {w} wide, your lathe holds {h}.', [
                'w' => LengthWriter::difference($sized->band->widthMm()),
                'h' => LengthWriter::difference($this->facts->shop->latheHoldsMm),
            ]);
            $trouble += self::NARROW;
        }
        if ($offer->clearanceMm->min < 0) {
            $press = $this->study->pressed($answer, new Range(-$offer->clearanceMm->max, -$offer->clearanceMm->min));
            if ($press instanceof Press) {
                [$stop, $mind, $holds] = $this->pressing($row, $press, $answer->joint->needsTorqueNm);
                array_push($stops, ...$stop);
                array_push($minds, ...$mind);
            } else {
                $minds[] = $press;
            }
            if (($conditions['wall'] ?? '') === 'thin' && ($conditions['metal'] ?? '') === 'brittle') {
                $stops[] = Say::plain('Nothing is pressed into thin cast iron.');
            }
        } elseif ($row['put'] === 'welded') {
            array_push($stops, ...$this->welding($answer));
        } elseif ($row['put'] === 'bonded') {
            [$stop, $holds] = $this->bonding($answer, $offer->clearanceMm);
            array_push($stops, ...$stop);
        }
        $because = match ($row['put']) {
            'pinned' => Say::plain(
                'The press places it, the pin holds it: what the pin shears at counts, not both together.',
            ),
            'welded' => Say::plain('It holds for good, and pulls out of shape: leave stock on and machine after.'),
            'keyed' => Say::plain('The key drives it; something else must keep it from walking along.'),
            'bonded' => Say::plain('It does not load the part around it, and is centred only as well as its film.'),
            'hot' => Say::plain('It grips most, and goes in without force.'),
            default => Say::plain($row['ease'] === 1 ? 'The simplest that keeps it in place.' : 'Holds by itself.'),
        };

        return new JointWay(
            row: $row,
            feasible: $stops === [],
            rank: [$trouble, count($minds)],
            because: $because,
            against: [...$stops, ...$minds],
            makes: self::makes($sized),
            holds: $holds,
            chosen: $answer->purpose->code === $row['purpose'] && ! in_array($row['put'], ['pinned', 'welded'], true),
        );
    }

    private static function makes(SizeToMate $sized): ?Say
    {
        return $sized->band === null
            ? null
            : Say::with('{a} … {b}', [
                'a' => LengthWriter::lower($sized->band),
                'b' => LengthWriter::upper($sized->band),
            ]);
    }

    /**
     * @param  array{put: string}  $row
     * @return array{list<Say>, list<Say>, Say}
     */
    private function pressing(array $row, Press $press, ?float $needs): array
    {
        $stops = $minds = [];
        $outer = $press->fit->outer;
        $enough = PressAdvice::enough($outer);
        $says = static fn (float $factor): string => Figure::atLeast($factor, 1);
        if ($press->outerFactor !== null && $press->outerFactor < $enough) {
            $stops[] = Say::plain(
                "The part around it stands only {$says($press->outerFactor)} times that, and {$enough} is asked: it ".
                    ($outer->brittle ? 'may crack.' : 'gives.'),
            );
        }
        if ($press->innerFactor !== null && $press->innerFactor < 1.0) {
            $minds[] = Say::plain('The part inside gives a little: finish its bore in place.');
        }
        if ($press->fit->inner->family === 'plastic' || $outer->family === 'plastic') {
            $stops[] = Say::plain('Plastic creeps: a press fit in it relaxes within weeks.');
        }
        if ($row['put'] === 'hot') {
            array_push($stops, ...$this->heating($press));
        } elseif ($press->pressForceN > $this->facts->shop->pressN) {
            $stops[] = Say::plain(
                'It takes up to '.
                    Figure::forceUpTo($press->pressForceN).
                    ', your press gives '.
                    Figure::forceAtLeast($this->facts->shop->pressN).
                    '.',
            );
        }
        $least = $press->holdTorqueNm->min;
        if ($needs !== null && $row['put'] !== 'pinned' && $least < PressAdvice::HOLD_FACTOR * $needs) {
            $stops[] = Say::plain(
                'It holds '.
                    Figure::atLeast($least, 1).
                    ' N·m at worst; '.
                    Figure::upTo(PressAdvice::HOLD_FACTOR * $needs, 1).
                    ' is asked with the factor.',
            );
        }

        return [
            $stops,
            $minds,
            Say::plain(
                match (true) {
                    $row['put'] === 'pinned' => 'by the pin',
                    $least < 0.05 => 'nothing for sure at its loose end',
                    default => 'at least '.Figure::torqueAtLeast($least),
                },
            ),
        ];
    }

    /** @return list<Say> */
    private function welding(SizedJoint $answer): array
    {
        $stops = [];
        foreach ([$answer->joint->inner, $answer->joint->outer] as $id) {
            $surface = $this->facts->surface($id);
            $part = $surface === null ? null : $this->facts->partOf($surface);
            $material = $part === null ? null : FoundSurfaces::material($part);
            if ($part !== null && $material?->weld !== 'yes') {
                $stops[] = Say::plain(
                    $material === null
                        ? "What the {$part->name} is made of is not known: not welded before that is."
                        : ucfirst("{$material->name} is not to be welded without more ado."),
                );
            }
        }

        return $stops;
    }

    /** @return list<Say> */
    private function heating(Press $press): array
    {
        try {
            $shrink = Shrink::of(
                $press->fit->diameterMm,
                max(0.0, $press->fit->tightestMm()),
                $press->fit->inner,
                $press->fit->outer,
                $this->facts->shop->temperatureC,
            );
        } catch (BadInput $bad) {
            return [Say::plain($bad->getMessage())];
        }

        $stands = $press->fit->outer->heatToC;
        $iced = $shrink->cold[1]['heat_outer_to_c'];

        // With dry ice for the other one the heat needed is less: it can be done that way.
        return $shrink->heatAllowed === false && $stands !== null && $iced > $stands
            ? [
                Say::plain(
                    'It would take '.number_format(ceil($shrink->heatOuterToC)).' °C, and with dry ice for the other still '.
                        number_format(ceil($iced)).' °C; the part around it stands '.number_format($stands).' °C.',
                ),
            ]
            : [];
    }

    /** @return array{list<Say>, ?Say} */
    private function bonding(SizedJoint $answer, Range $gap): array
    {
        $press = $this->study->pressed($answer, new Range(0.0, 0.0));
        if (! ($press instanceof Press)) {
            return [[], null];
        }
        $bond = Bond::of($press->fit->diameterMm, $press->fit->lengthMm, $gap, $this->facts->takeIn->runsAtC ?? 20.0);
        $least = $bond->holdTorqueNm->min;
        $needs = $answer->joint->needsTorqueNm;
        $stops =
            $needs !== null && $least < $needs
                ? [
                    Say::plain(
                        'A compound holds '.
                            Figure::atLeast($least, 1).
                            ' N·m here at a third of its strength; '.
                            Figure::upTo($needs, 1).
                            ' is asked.',
                    ),
                ]
                : [];
        array_push(
            $stops,
            ...array_map(
                static fn (Note $n): Say => $n->say,
                array_filter($bond->notes, static fn (Note $n): bool => $n->severity === Severity::Stop),
            ),
        );

        return [$stops, Say::plain('at least '.Figure::torqueAtLeast($least).', at a third of its strength')];
    }
}

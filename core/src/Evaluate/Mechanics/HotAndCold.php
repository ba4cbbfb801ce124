<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Mechanics;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Joint\Chance;
use Oldpart\Core\Joint\InUse;
use Oldpart\Core\Joint\Press;
use Oldpart\Core\Joint\PressAdvice;
use Oldpart\Core\Joint\PressFit;
use Oldpart\Core\Joint\Roughness;
use Oldpart\Core\Joint\Shrink;
use Oldpart\Core\Making\HeatReach;
use Oldpart\Core\Making\Machine;
use Oldpart\Core\Picture\InUsePicture;
use Oldpart\Core\Quantity\LengthWriter;

/** What heat, cold and speed do to a press fit, before it is together and after; and the chances of it. */
final readonly class HotAndCold implements \JsonSerializable
{
    private function __construct(
        private Press $press,
        private Shrink $shrink,
        private ?Chance $chance,
        private float $roomC,
        /** @var list<Machine> of the shop */
        private array $machines,
    ) {
    }

    /**
     * @param  list<Machine>  $machines  of the shop: its ovens and freezers
     * @return ?self null where there is no press, or its materials' expansion is not known
     */
    public static function of(SizedJoint $answer, float $roomC, array $machines = []): ?self
    {
        $press = $answer->press;
        if (
            $press === null
            || $answer->withheld
            || $press->fit->inner->alphaPerK === null
            || $press->fit->outer->alphaPerK === null
        ) {
            return null;
        }
        $band = $answer->band();
        $found = $answer->mateFound;
        $chance = null;
        if ($band !== null && $found !== null) {
            [$low, $high] = $answer->makesInner()
                ? [$band->lowerMm - $found->meanMm, $band->upperMm - $found->meanMm]
                : [$found->meanMm - $band->upperMm, $found->meanMm - $band->lowerMm];
            $chance = new Chance($low, $high, $found->sureMeanMm() / 2);
        }

        try {
            $shrink = Shrink::of(
                $press->fit->diameterMm,
                max(0.0, $press->fit->tightestMm()),
                $press->fit->inner,
                $press->fit->outer,
                $roomC,
            );
        } catch (BadInput) {
            // Far tighter than anything is shrunk: the stops of the press say so.
            return null;
        }

        return new self($press, $shrink, $chance, $roomC, $machines);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $fit = $this->press->fit;
        $celsius = static fn (float $c): string => number_format(ceil($c)).' °C';
        $gone = InUse::goneAtC($fit->diameterMm, $this->sureMm(), $fit->inner, $fit->outer);

        return [
            'heat' => Say::plain(str_replace('-', '−', $celsius($this->shrink->heatOuterToC))),
            'heat_allowed' => $this->shrink->heatAllowed,
            'chill' => $this->shrink->chillInnerToC === null
                    ? null
                    : Say::plain(str_replace('-', '−', number_format(floor($this->shrink->chillInnerToC))).' °C'),
            'room' => LengthWriter::difference($this->shrink->clearanceMm),
            'cold' => array_map(
                static fn (array $row): Say => Say::with(
                    $row['left_mm'] > 0
                        ? '{cold} (−{c} °C): it shrinks {o}; {l} is left to press, or warm the other to {heat}.'
                        : '{cold} (−{c} °C): it shrinks {o} and goes in; with the other at {heat} it drops in.',
                    [
                        'cold' => $row['name'],
                        'c' => (string) abs($row['celsius']),
                        'heat' => $celsius($row['heat_outer_to_c']),
                        'o' => LengthWriter::difference($row['opens_mm']),
                        'l' => LengthWriter::difference($row['left_mm']),
                    ],
                ),
                $this->shrink->cold,
            ),
            'gone_at' => $gone === null
                    ? Say::plain('Heat in use does not loosen it.')
                    : Say::plain(
                        $gone <= 20
                            ? 'At its loose end nothing grips even cold.'
                            : 'At its loose end the grip is gone at '.number_format(floor($gone)).' °C.',
                    ),
            'gone_rpm' => $this->speed(),
            'chances' => $this->chances(),
            'in_use' => InUsePicture::draw($fit),
            'sum' => [
                'd_mm' => $fit->diameterMm,
                'interference_mm' => ['min' => $fit->interferenceMm->min, 'max' => $fit->interferenceMm->max],
                'inner' => ['name' => $fit->inner->name],
                'outer' => ['name' => $fit->outer->name],
                'inner_bore_mm' => $fit->innerBoreMm,
            ],
            'room_c' => $this->roomC,
            'notes' => [...$this->shrink->notes, ...HeatReach::notes(
                $this->machines,
                $this->shrink->heatOuterToC,
                $this->shrink->chillInnerToC,
                $fit->outerOdMm,
            )],
            'working' => $this->shrink->working,
        ];
    }

    /** To what one of the two is brought so that it drops in, in one sentence; null where neither may be. */
    public function together(): ?Say
    {
        $heat = number_format(ceil($this->shrink->heatOuterToC));
        $chill = $this->shrink->chillInnerToC === null
            ? ''
            : ', or the inner one chilled to '.str_replace('-', '−', number_format(floor($this->shrink->chillInnerToC))).' °C';

        return $this->shrink->heatAllowed === false && $chill === ''
            ? null
            : Say::with(($this->shrink->heatAllowed === false
                ? 'It may not be heated as far as it would take'
                : "Without a press: the outer part warmed to {$heat} °C").$chill.', with {room} to spare; in one go, no second try.', [
                    'room' => LengthWriter::difference($this->shrink->clearanceMm),
                ]);
    }

    /** What is sure to be there at 20 °C at the loosest spot, mm. */
    private function sureMm(): float
    {
        $fit = $this->press->fit;

        return $fit->interferenceMm->min -
            $fit->form->looserMm -
            Roughness::loss($fit->roughInner, $fit->roughOuter)->max;
    }

    private function speed(): ?Say
    {
        $fit = $this->press->fit;
        if ($fit->inner->densityKgM3 === null || $fit->outer->densityKgM3 === null) {
            return null;
        }
        $speeds = array_filter(
            array_map(
                fn (PressFit $stretch): ?float => InUse::goneAtRpm($stretch, $this->press->gripMm->min),
                $this->press->stretches,
            ),
            static fn (?float $rpm): bool => $rpm !== null,
        );
        $rpm = $speeds === [] ? null : min($speeds);

        return $rpm === null
            ? null
            : Say::plain(
                'Turning lets go of it at '.number_format(floor($rpm / 10) * 10).' rev/min at its loose end.',
            );
    }

    /**
     * In a hundred joints made so: how many grip, and how many load the part around it beyond its limit with the factor
     * asked.
     */
    private function chances(): ?Say
    {
        if ($this->chance === null) {
            return null;
        }
        $of = static fn (float $chance): string => rtrim(rtrim(number_format(100 * $chance, 1), '0'), '.');
        // It has to grip as it runs, on peaks that have flattened.
        $fit = $this->press->fit;
        $gone = Roughness::loss($fit->roughInner, $fit->roughOuter)->min - min(0.0, $fit->warmMm() ?? 0.0);
        $grips = 1 - $this->chance->below($gone);
        $warm = abs($fit->runsAtC - 20) < 1e-9
            ? ''
            : ' at '.str_replace('-', '−', number_format($fit->runsAtC)).' °C';
        $factor = $this->press->outerFactor;
        $enough = PressAdvice::enough($this->press->fit->outer);
        // Stress rises straight with interference: the one at which the factor is just what is asked.
        $limit = $factor === null ? null : ($this->press->gripMm->max * $factor) / $enough;
        $over =
            $limit === null
                ? ''
                : ', and '.
                    $of(1 - $this->chance->below($limit)).
                    ' load the part around it more than it should stand';

        return Say::plain(
            "Of a hundred made anywhere in the band, with the doubt of the mate: {$of($grips)} grip{$warm}{$over}.",
        );
    }
}

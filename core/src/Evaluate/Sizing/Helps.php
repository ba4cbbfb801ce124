<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WayOut;
use Oldpart\Core\Fit\BestSize;
use Oldpart\Core\Fit\Offer;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Fit\StandardSize;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Unit;

/**
 * What would make the size more likely to work, the cheapest first, each with the chance it would bring: what costs a
 * minute, then another gauge, another fit, a closer hand, a reamer, a compound. Order by common practice, no source.
 */
final readonly class Helps
{
    /** What gains less is not worth a trip to the drawer. */
    private const GAIN = 0.01;

    /** What polishing or honing holds, mm. Common practice. */
    private const POLISHED_MM = 0.005;

    /** So many more readings at each of the two places that decide; more is seldom done. */
    private const READINGS = [1, 2, 4];

    private function __construct(private SizingCase $case, private float $now)
    {
    }

    /**
     * @param  list<Offer>  $promised  fits of the same purpose that the reading allows
     * @return list<WayOut>
     */
    public static function of(SizingCase $case, BestSize $best, array $promised): array
    {
        $helps = new self($case, $best->chance);

        return array_values(
            array_filter([
                $helps->readAgain(),
                $helps->checkTheGauge(),
                $helps->otherGauge(),
                ...array_map($helps->otherFit(...), array_slice($promised, 0, 1)),
                $helps->holdCloser(),
                $helps->trueTheMate(),
                $helps->bond(),
            ]),
        );
    }

    private function gains(?BestSize $best): ?float
    {
        return $best !== null && $best->chance > $this->now + self::GAIN ? $best->chance : null;
    }

    /** The fewest further readings that are worth it, at the places that decide. */
    private function readAgain(): ?WayOut
    {
        $fewest = null;
        foreach (self::READINGS as $more) {
            $chance = $this->gains($this->case->found($this->case->found->expecting($more))->best());
            if ($chance !== null && ($fewest === null || $chance > $fewest[1] + 0.03)) {
                $fewest = [$more, $chance];
            }
        }
        if ($fewest === null) {
            return null;
        }
        $times = [1 => 'once', 2 => 'twice', 4 => 'four times'][$fewest[0]];
        $where = match (true) {
            count($this->case->found->spots) < 2 => '',
            $this->case->isPress() => ' at each of two places',
            default => ' where it is smallest and where it is largest',
        };

        return $this->way('read-again', "Read {$this->mate()} {$times} more{$where}", $fewest[1], measure: true);
    }

    private function checkTheGauge(): ?WayOut
    {
        $chance = $this->gains($this->case->found($this->case->found->expecting(0, true))->best());

        return $chance === null
            ? null
            : $this->way(
                'check-gauge',
                "Set the gauge on a master of about this size and read {$this->mate()} against it",
                $chance,
                measure: true,
            );
    }

    private function otherGauge(): ?WayOut
    {
        $most = null;
        foreach ($this->case->facts->shop->instruments->all() as $tool) {
            $deep = $this->case->mate->long->length->mm ?? 0.0;
            if ($tool->canMeasure($this->case->mate->kind, $this->case->found->meanMm, $deep)) {
                $mm = $this->case->found->meanMm;
                $read = $this->case->found->withU95($tool->bestU95Mm($mm), $tool->mpeAt($mm));
                $chance = $this->gains($this->case->found($read)->best());
                if ($chance !== null && ($most === null || $chance > $most[1])) {
                    $most = [$tool->name, $chance];
                }
            }
        }

        return $most === null
            ? null
            : $this->way('other-gauge', "Read {$this->mate()} with the ".lcfirst($most[0]), $most[1], measure: true);
    }

    private function otherFit(Offer $fit): WayOut
    {
        return new WayOut(
            'other-fit',
            Say::plain("Take {$fit->label}: with this reading it can be promised."),
            ['school' => $fit->school->value, 'fit' => $fit->label, 'least' => null, 'most' => null],
        );
    }

    private function holdCloser(): ?WayOut
    {
        $chance = $this->gains($this->case->best(self::POLISHED_MM));
        $bore = $this->case->make->kind === SurfaceKind::Bore;
        $says = Say::with(($bore ? 'Sneak up and hone it' : 'Sneak up and polish it').' to within {p}', [
            'p' => LengthWriter::difference(self::POLISHED_MM),
        ]);

        return $chance === null
            ? null
            : new WayOut('hold-closer', self::of100($says, $chance), operation: $this->worded($says), chance: $chance);
    }

    /** To the next reamer, or a clean cut down to a ground bar's size: its form goes, its reading stays as sure. */
    private function trueTheMate(): ?WayOut
    {
        $found = $this->case->found;
        $bore = $this->case->mate->kind === SurfaceKind::Bore;
        $size = $this->case->mate->kind === SurfaceKind::Length
            ? null
            : StandardSize::trued($bore, $bore ? $found->largestMm() : $found->smallestMm(), $this->case->formMm());
        if ($size === null) {
            return null;
        }
        $trued = FoundSize::typed($found->kind, $size->mm, hypot($found->sureMm(), StandardSize::CLEAN_MM));
        $chance = $this->gains($this->case->found($trued)->best());
        if ($chance === null) {
            return null;
        }
        $says = Say::with(
            ($bore ? "Ream {$this->mate()} to {label}" : "True {$this->mate()} down to {label}")
                .' ({s}), read it again, and size to that',
            ['label' => $size->label, 's' => LengthWriter::size($size->mm)],
        );

        return new WayOut(
            'change-the-mate',
            self::of100($says, $chance),
            operation: $this->worded($says),
            chance: $chance,
        );
    }

    private function bond(): ?WayOut
    {
        $film = $this->case->purpose->stays && ! $this->case->purpose->bonds
            ? Purpose::named('bonded')->worksWithin($this->case->found->meanMm)
            : null;
        $chance = $film === null ? null : $this->gains($this->case->working($film)->best());

        return $chance === null
            ? null
            : $this->way('bond', 'Bond it instead', $chance, [
                'purpose' => 'bonded',
                'school' => null,
                'fit' => null,
                'least' => null,
                'most' => null,
                'reason' => $this->case->joint->reason === ''
                    ? 'bonded: a tighter fit was too little likely'
                    : $this->case->joint->reason,
            ]);
    }

    /** @param  array<string, mixed>|null  $joint */
    private function way(string $code, string $do, float $chance, ?array $joint = null, bool $measure = false): WayOut
    {
        return new WayOut(
            code: $code,
            says: self::of100(Say::plain($do), $chance),
            joint: $joint,
            measure: $measure ? $this->case->mate->id : null,
            chance: $chance,
        );
    }

    private static function of100(Say $do, float $chance): Say
    {
        return Say::with('{do}: '.Likely::ofHundred($chance).' of 100.', ['do' => $do]);
    }

    private function mate(): string
    {
        return 'the '.lcfirst($this->case->mate->name);
    }

    private function worded(Say $say): string
    {
        return $this->case->facts->unit === Unit::Inch ? $say->in : $say->mm;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\BestSize;
use Oldpart\Core\Fit\Purpose;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Picture\Words;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** Where no size can be promised: the one most likely to work, with its chance, and what would raise that most. */
final readonly class BestForJoint implements \JsonSerializable
{
    /** What gains less is not worth a trip to the drawer. */
    private const GAIN = 0.01;

    /** What polishing holds, mm. Common practice. */
    private const POLISHED_MM = 0.005;

    /** @param  list<Say>  $helps  the cheapest first */
    private function __construct(public BestSize $best, public Say $says, public array $helps)
    {
    }

    /**
     * Null where even the best is as likely to fail as not.
     *
     * @param  string  $asked  the fit that can't be promised, by its name
     * @param  Range  $works  clearance within which the joint works, mm
     * @param  bool  $stays  the two stay put in each other, so a compound could hold them
     */
    public static function of(
        JobFacts $facts,
        bool $makeShaft,
        SurfaceFacts $mate,
        FoundSize $found,
        string $asked,
        Range $works,
        bool $stays,
    ): ?self {
        // In a press the metal evens the mate's form out, but no more of it than there is to press.
        if ($works->max <= 0 && $found->largestMm() - $found->smallestMm() > $works->width()) {
            return null;
        }
        $best = self::sized($facts, $makeShaft, $found, $works, null);
        if ($best === null) {
            return null;
        }
        $says = Say::with(
            "{$asked} cannot be promised with this reading; {a} works in ".
                BestSize::ofHundred($best->chance).
                ' of 100. Such a joint works from {w}.',
            ['a' => LengthWriter::size($best->aimMm), 'w' => Words::range($works)],
        );

        return new self($best, $says, self::helps(
            facts: $facts,
            makeShaft: $makeShaft,
            mate: $mate,
            found: $found,
            works: $works,
            best: $best,
            stays: $stays,
        ));
    }

    private static function sized(
        JobFacts $facts,
        bool $makeShaft,
        FoundSize $found,
        Range $works,
        ?float $u95Mm,
        ?float $holdsMm = null,
    ): ?BestSize {
        $tight = $works->max <= 0;
        $k = $found->k > 0 ? $found->k : 2.0;

        return BestSize::of(
            makeShaft: $makeShaft,
            matingMm: $tight ? $found->meanMm : ($makeShaft ? $found->smallestMm() : $found->largestMm()),
            looseMm: $tight ? $found->meanMm : ($makeShaft ? $found->largestMm() : $found->smallestMm()),
            sigmaMm: $u95Mm === null ? ($tight ? $found->u95MeanMm : $found->u95Mm) / $k : $u95Mm / 2,
            worksMm: $works,
            holdsMm: min($holdsMm ?? INF, $facts->shop->latheHoldsMm),
        );
    }

    /** @return list<Say> what is worth doing, the cheapest first: another gauge, a closer hand, a compound */
    private static function helps(
        JobFacts $facts,
        bool $makeShaft,
        SurfaceFacts $mate,
        FoundSize $found,
        Range $works,
        BestSize $best,
        bool $stays,
    ): array {
        $helps = [];
        $most = $best->chance + self::GAIN;
        $gauge = null;
        foreach ($facts->shop->instruments->all() as $tool) {
            if (! $tool->canMeasure($mate->kind, $found->meanMm, $mate->long->length->mm ?? 0.0)) {
                continue;
            }
            $with = self::sized($facts, $makeShaft, $found, $works, $tool->bestU95Mm());
            if ($with !== null && $with->chance > $most + 1e-9) {
                $most = $with->chance;
                $gauge = [$tool->name, $with->chance];
            }
        }
        if ($gauge !== null) {
            $helps[] = self::help('Read the '.lcfirst($mate->name).' with the '.lcfirst($gauge[0]), $gauge[1]);
        }
        $closer = self::sized(
            facts: $facts,
            makeShaft: $makeShaft,
            found: $found,
            works: $works,
            u95Mm: null,
            holdsMm: self::POLISHED_MM,
        );
        if ($closer !== null && $closer->chance > $best->chance + self::GAIN) {
            $polished = 'Sneak up and polish it to within {p}: '.BestSize::ofHundred($closer->chance).' of 100.';
            $helps[] = Say::with($polished, ['p' => LengthWriter::difference(self::POLISHED_MM)]);
        }
        $film = $stays ? Purpose::named('bonded')->worksWithin($found->meanMm) : null;
        $bonded = $film === null ? null : self::sized($facts, $makeShaft, $found, $film, null);
        if ($bonded !== null && $bonded->chance > $best->chance + self::GAIN) {
            $helps[] = self::help('Bond it instead', $bonded->chance);
        }

        return $helps;
    }

    private static function help(string $do, float $chance): Say
    {
        return Say::plain("{$do}: ".BestSize::ofHundred($chance).' of 100.');
    }

    /** @return array{kind: string, says: Say, chance: float, word: string, helps: list<Say>} */
    public function jsonSerialize(): array
    {
        return [
            'kind' => self::kind($this->best->chance),
            'says' => $this->says,
            'chance' => $this->best->chance,
            'word' => $this->best->says(),
            'helps' => $this->helps,
        ];
    }

    /** @return 'good'|'usable'|'bad' */
    public static function kind(float $chance): string
    {
        return $chance >= 0.98 ? 'good' : ($chance >= 0.7 ? 'usable' : 'bad');
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\LengthWriter;

/** What was it meant to be? The sizes a found one could have been, likeliest first. */
final readonly class Nominal
{
    public const LARGEST_MM = 2000.0;

    private const SHOWN = 5;

    /** Below this a candidate is not worth a line. */
    private const LEAST = 0.005;

    /**
     * @param  list<NominalCandidate>  $candidates  likeliest first
     * @param  float  $other  the chance that it is none of those shown
     * @param  float  $inch  the weight of evidence for an inch size, per mm
     * @param  float  $metric  the same for a metric one
     * @param  list<Note>  $notes
     */
    private function __construct(
        public array $candidates,
        public float $other,
        public float $inch,
        public float $metric,
        public array $notes,
        public Working $working,
    ) {
    }

    /**
     * Bayes' rule: how often a size is chosen, times how well the found one lies in the zone where a made one would,
     * widened by the uncertainty and, where wear is possible, by a half-normal on the worn side (scale 1 % of the size,
     * at least 0.1 mm).
     *
     * @param  float  $sizeMm  above 0, to 2000
     * @param  float  $u95Mm  0 or more
     *
     * Source: common practice for families and zones (data/nominal-families.json), no source; Bayes' rule.
     *
     * @throws BadInput for a size or an uncertainty out of range
     */
    public static function of(NominalKind $kind, float $sizeMm, float $u95Mm, bool $wearPossible): self
    {
        if (! is_finite($sizeMm) || $sizeMm <= 0 || $sizeMm > self::LARGEST_MM) {
            throw new BadInput('size', 'size_mm', 'Give a size above 0 and up to 2 m.');
        }
        if (! is_finite($u95Mm) || $u95Mm < 0 || $u95Mm > $sizeMm) {
            throw new BadInput('u95', 'u95_mm', 'The uncertainty must be zero or more, and less than the size.');
        }
        $likelihood = new NominalLikelihood($kind, $sizeMm, $u95Mm, $wearPossible);
        $weights = [];
        $system = ['inch' => 0.0, 'metric' => 0.0];
        foreach (NominalFamilies::between($kind, $likelihood->fromMm, $likelihood->toMm) as $size) {
            $weight = $size->weight * $likelihood->of($size);
            if ($weight > 0) {
                $weights[] = [$size, $weight];
                $system[$size->system] += $weight;
            }
        }
        $any = NominalFamilies::anySizePerMm();
        $total = array_sum(array_column($weights, 1)) + $any;
        $candidates = self::merged($kind, $sizeMm, $weights, $total);
        $shown = array_slice($candidates, 0, self::SHOWN);
        $notes =
            $shown === [] || $shown[0]->probability < 0.5
                ? [Note::info('open', 'No one size stands out. Measure better, or look at the part’s other sizes.')]
                : [];

        return new self(
            candidates: $shown,
            other: 1 - array_sum(array_map(static fn (NominalCandidate $c): float => $c->probability, $shown)),
            inch: $system['inch'],
            metric: $system['metric'],
            notes: $notes,
            working: self::working($shown, $u95Mm, $wearPossible),
        );
    }

    /**
     * Those worth a line; the same size in two families of one system (25 mm, a 6205's bore) is one candidate.
     *
     * @param  list<array{NominalSize, float}>  $weights
     * @return list<NominalCandidate>
     */
    private static function merged(NominalKind $kind, float $sizeMm, array $weights, float $total): array
    {
        $groups = [];
        foreach ($weights as [$size, $weight]) {
            $groups[$size->system.number_format($size->mm, 3)][] = [$size, $weight];
        }
        $candidates = [];
        foreach ($groups as $group) {
            $probability = array_sum(array_column($group, 1)) / $total;
            if ($probability < self::LEAST) {
                continue;
            }
            usort($group, static fn (array $a, array $b): int => $b[1] <=> $a[1]);
            $sizes = array_column($group, 0);
            $candidates[] = NominalCandidate::of($kind, $sizeMm, $sizes, $probability);
        }
        usort(
            $candidates,
            static fn (NominalCandidate $a, NominalCandidate $b): int => $b->probability <=> $a->probability,
        );

        return $candidates;
    }

    /** @param  list<NominalCandidate>  $shown */
    private static function working(array $shown, float $u95Mm, bool $wearPossible): Working
    {
        return new Working([
            new WorkingStep(
                'Weighing',
                'how often it is chosen × how well it fits ÷ the sum',
                Say::with('±{u}, wear {w}: {c}', [
                    'u' => LengthWriter::difference($u95Mm),
                    'w' => $wearPossible ? 'possible' : 'none',
                    'c' => implode(
                        ', ',
                        array_map(
                            static fn (NominalCandidate $c): string => $c->label.
                                ' '.
                                number_format(100 * $c->probability).
                                ' %',
                            $shown,
                        ),
                    ),
                ]),
                'Bayes’ rule; families and zones common practice, no source',
            ),
        ]);
    }
}

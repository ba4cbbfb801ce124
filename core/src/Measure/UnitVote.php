<?php

declare(strict_types=1);

namespace Oldpart\Core\Measure;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;

/** Was a part made in inches or in millimetres? Every dimension has a vote; those that speak against are named. */
final readonly class UnitVote
{
    /** Now and then a dimension is chosen in the other system, or to fit something: no one vote decides alone. */
    private const STRAY = 0.05;

    /** So much more likely the other way before a dimension counts as speaking against. */
    private const AGAINST = 2.0;

    /**
     * @param  list<string>  $against
     * @param  list<Note>  $notes
     */
    private function __construct(
        public float $inchProbability,
        public array $against,
        public array $notes,
        public Working $working,
    ) {
    }

    /**
     * @param  list<array{label: string, nominal: Nominal}>  $dimensions
     *
     * Source: Bayes' rule over independent dimensions, even odds to begin with; common practice.
     */
    public static function of(array $dimensions): self
    {
        $sum = 0.0;
        $logs = [];
        foreach ($dimensions as $i => ['nominal' => $nominal]) {
            $any = NominalFamilies::anySizePerMm();
            [$inch, $metric] = [$nominal->inch + $any, $nominal->metric + $any];
            $both = $inch + $metric;
            $logs[$i] = log(
                ((1 - self::STRAY) * $inch + (self::STRAY * $both) / 2) /
                    ((1 - self::STRAY) * $metric + (self::STRAY * $both) / 2),
            );
            $sum += $logs[$i];
        }
        $inch = 1 / (1 + exp(-$sum));
        $against = [];
        foreach ($dimensions as $i => ['label' => $label]) {
            if (abs($logs[$i]) > log(self::AGAINST) && $logs[$i] * $sum < 0) {
                $against[] = $label;
            }
        }
        $notes = match (true) {
            count($against) === 1 => [
                Note::caution(
                    'breaks-the-vote',
                    "{$against[0]} breaks the vote: measure it again, or it was changed once.",
                ),
            ],
            $dimensions === [] || abs($inch - 0.5) < 0.3 => [
                Note::info('undecided', 'Too little to tell inches from millimetres: measure another dimension.'),
            ],
            default => [],
        };

        return new self(
            $inch,
            $against,
            $notes,
            new Working([
                new WorkingStep(
                    'Vote',
                    'odds = Π (evidence for inches ÷ evidence for millimetres)',
                    implode(
                        ', ',
                        array_map(
                            static fn (array $d, float $log): string => sprintf('%s %.2g', $d['label'], exp($log)),
                            $dimensions,
                            $logs,
                        ),
                    ).sprintf(': inches %.0f %%', 100 * $inch),
                    'Bayes’ rule, even odds to begin with; common practice',
                ),
            ]),
        );
    }
}

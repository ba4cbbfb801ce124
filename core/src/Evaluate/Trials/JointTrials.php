<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Trials;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Making\CutLog;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\Seen;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Facts\TrialFacts;
use Oldpart\Core\Fit\FitByTrial;
use Oldpart\Core\Quantity\LengthWriter;

/** A round joint tried together: what that says of the mate, and what to cut before the next trial. */
final readonly class JointTrials implements \JsonSerializable
{
    /** @param  list<TrialFacts>  $trials */
    private function __construct(
        private ?FitByTrial $fit,
        private array $trials,
        private ?string $cut,
        private string $mateName,
        private ?Say $blocked,
        private float $readMm = 0.0,
    ) {
    }

    /** Null where there is nothing to try: a length, a shape, a press, nothing cut of it, or the sizes are withheld. */
    public static function of(JobFacts $facts, SizedJoint $joint): ?self
    {
        $make = $joint->make;
        $trials = array_values(
            array_filter(
                $facts->trials,
                static fn (TrialFacts $t): bool => $t->joint === $joint->joint->id && $t->seen->isRound(),
            ),
        );
        // What is pressed throughout can't be tried by hand.
        if ($joint->isTight() && $trials === []) {
            return null;
        }
        if ($make === null || $joint->purpose->isLength || $joint->purpose->shape !== null || $joint->withheld) {
            return null;
        }
        $phase = $facts->cutsOf($make->id, Phase::After) === [] ? Phase::Only : Phase::After;
        $log = CutLog::of($facts, $make, $phase);
        $now = $log->made()?->middle();
        $found = $joint->mateFound;
        $cut = $log->last()?->id;
        if ($found === null || $joint->wantedMm === null) {
            $blocked = Say::with('To fit it by trial, read the {mate} first, however coarsely.', [
                'mate' => lcfirst($joint->mateName),
            ]);

            return new self(null, $trials, $cut, $joint->mateName, $blocked);
        }
        try {
            $fit = FitByTrial::of(
                makeShaft: $joint->makesInner(),
                mateMm: $found->meanMm,
                u95Mm: $found->u95Mm,
                wanted: $joint->wantedMm,
                tries: self::tries($facts, $make, $log, $trials),
                nowMm: $now,
            );
        } catch (BadInput $bad) {
            return new self(null, $trials, $cut, $joint->mateName, Say::plain($bad->getMessage()));
        }

        return new self(
            fit: $fit,
            trials: $trials,
            cut: $cut,
            mateName: $joint->mateName,
            blocked: null,
            readMm: $found->meanMm,
        );
    }

    /**
     * @param  list<TrialFacts>  $trials
     * @return list<array{made: float, seen: string}> those whose size then is known
     */
    private static function tries(JobFacts $facts, SurfaceFacts $make, CutLog $log, array $trials): array
    {
        $sizes = [];
        foreach ([Phase::Only, Phase::After] as $phase) {
            foreach ($facts->cutsOf($make->id, $phase) as $cut) {
                $sizes[$cut->id] = $log->atTwenty($cut);
            }
        }
        $tries = [];
        foreach ($trials as $trial) {
            $made = $sizes[$trial->cut ?? ''] ?? null;
            if ($made !== null) {
                $tries[] = ['made' => $made, 'seen' => $trial->seen->value];
            }
        }

        return $tries;
    }

    private function says(FitByTrial $fit): Say
    {
        $values = [
            'mate' => lcfirst($this->mateName),
            'start' => LengthWriter::size($fit->startMm),
            'proud' => LengthWriter::difference(FitByTrial::PROUD_MM),
            'next' => $fit->nextMm === null ? Say::plain('') : LengthWriter::size($fit->nextMm),
        ];
        if ($fit->contradicts) {
            return Say::with(
                'The trials contradict each other: no one {mate} is all of it. Clean both, look for burrs, and try again.',
                $values,
            );
        }

        return match ($fit->state) {
            'start' => Say::with(
                'Cut it to {start} and try it: that is proud by the doubt of the reading and {proud}.',
                $values,
            ),
            'cut' => Say::with('Cut it to {next}, clean both, and try again.', $values),
            'may-fit' => $fit->nextMm === null
                ? Say::plain('It may fit as it is. Try it, and say what is seen.')
                : Say::with('It may fit as it is: try it. Where it is still too tight, cut it to {next}.', $values),
            'fits' => Say::plain('By what was seen it is as wanted: stop here.'),
            'past' => Say::plain('By what was seen it is looser than wanted. Bond it, or accept it at Hand over.'),
        };
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $mate = $this->fit?->mate;

        return [
            'says' => $this->fit === null ? $this->blocked : $this->says($this->fit),
            'mate' => $mate === null || $this->trials === [] || $this->fit?->contradicts === true
                ? null
                : Say::with('By the trials the {mate} is {m} ±{u}; it was read {r}.', [
                    'mate' => lcfirst($this->mateName),
                    'm' => LengthWriter::size($mate->middle()),
                    'u' => LengthWriter::atLeast($mate->width() / 2),
                    'r' => LengthWriter::size($this->readMm),
                ]),
            'next_mm' => $this->fit?->nextMm,
            'stop' => $this->fit !== null && in_array($this->fit->state, ['fits', 'past'], true),
            'cut' => $this->cut,
            'choices' => array_values(
                array_map(
                    static fn (Seen $s): string => $s->value,
                    array_filter(Seen::cases(), static fn (Seen $s): bool => $s->isRound()),
                ),
            ),
            'rows' => array_map(
                static fn (TrialFacts $t): array => [
                    'id' => $t->id,
                    'says' => Say::plain($t->seen->value.($t->note === '' ? '' : ": {$t->note}")),
                    'at' => $t->at,
                ],
                $this->trials,
            ),
            'working' => $this->fit->working ?? [],
        ];
    }
}

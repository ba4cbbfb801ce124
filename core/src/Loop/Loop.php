<?php

declare(strict_types=1);

namespace Oldpart\Core\Loop;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/**
 * Lengths that add up to a gap: how it closes, over the whole range, and the chance that it is as wanted. All in mm.
 */
final class Loop
{
    /** A wish beyond this is none: wanted at least, or at most, with nothing to the other side, mm. */
    public const FAR = 5e4;

    private ?float $chance = null;

    /** Convolved once it is asked for: limits alone need none. */
    private ?Distribution $distribution = null;

    /** @param  list<Contributor>  $contributors */
    private function __construct(
        public readonly array $contributors,
        public readonly Range $wanted,
        private readonly float $middleMm,
    ) {
    }

    /**
     * @param  list<Contributor>  $contributors
     * @param  Range  $wanted  limits of the gap that closes it
     *
     * @throws BadInput without contributors
     */
    public static function of(array $contributors, Range $wanted): self
    {
        if ($contributors === []) {
            throw new BadInput('no-contributors', 'contributors', 'A loop needs at least one length.');
        }
        if (count($contributors) > 500) {
            throw new BadInput(
                'too-many',
                'contributors',
                'More than 500 lengths in one loop: leave out what does not matter.',
            );
        }

        return new self(
            $contributors,
            $wanted,
            array_sum(array_map(static fn (Contributor $c): float => $c->middleMm(), $contributors)),
        );
    }

    /** With every length at its size. */
    public function nominalMm(): float
    {
        return array_sum(array_map(static fn (Contributor $c): float => $c->addsMm(), $this->contributors));
    }

    /** With every length midway between its ends. */
    public function middleMm(): float
    {
        return $this->middleMm;
    }

    /** With every length at its worst end; a normal one at the ends it was given. */
    public function worst(): Range
    {
        $half = array_sum(array_map(static fn (Contributor $c): float => $c->halfMm(), $this->contributors));

        return new Range($this->middleMm() - $half, $this->middleMm() + $half);
    }

    /** Root-sum-square of the half-widths about the middle. Source: common practice of statistical tolerancing. */
    public function rootSumSquare(): Range
    {
        $half = sqrt(array_sum(array_map(static fn (Contributor $c): float => $c->halfMm() ** 2, $this->contributors)));

        return new Range($this->middleMm() - $half, $this->middleMm() + $half);
    }

    /** The chance that the gap is within what is wanted, exact by convolution; 0 to 1. */
    public function chance(): float
    {
        return $this->chance ??= $this->chanceMoved(0.0);
    }

    /** The chance were the gap wider by so much, mm, with the same spread: nothing is convolved anew for it. */
    public function chanceMoved(float $byMm): float
    {
        $middle = $this->middleMm() + $byMm;
        $half = array_sum(array_map(static fn (Contributor $c): float => $c->halfMm(), $this->contributors));
        if ($half <= 0) {
            return $middle >= $this->wanted->min - 1e-9 && $middle <= $this->wanted->max + 1e-9 ? 1.0 : 0.0;
        }
        $bounded =
            array_filter(
                $this->contributors,
                static fn (Contributor $c): bool => $c->spread->isNormal() && $c->halfMm() > 0,
            ) === [];
        if ($bounded && $middle - $half >= $this->wanted->min - 1e-9 && $middle + $half <= $this->wanted->max + 1e-9) {
            return 1.0;
        }

        return max(
            0.0,
            $this->distribution()->below($this->wanted->max - $middle) -
                $this->distribution()->below($this->wanted->min - $middle),
        );
    }

    private function distribution(): Distribution
    {
        return $this->distribution ??= new Distribution($this->contributors);
    }

    /** The variance of the gap, mm². */
    public function spreadMm2(): float
    {
        return array_sum(array_map(static fn (Contributor $c): float => $c->varianceMm2(), $this->contributors));
    }

    /** The chance that the gap is below a value, mm. */
    public function below(float $mm): float
    {
        return $this->distribution()->below($mm - $this->middleMm());
    }

    /** The range that holds the middle 95 % of gaps. */
    public function likely(): Range
    {
        return new Range(
            $this->middleMm() + $this->distribution()->quantile(0.025),
            $this->middleMm() + $this->distribution()->quantile(0.975),
        );
    }

    /**
     * @return list<array{name: string, share: float}> of the variance, in the order of the contributors; they sum to 1, or are 0 where nothing varies
     */
    public function shares(): array
    {
        $total = array_sum(array_map(static fn (Contributor $c): float => $c->varianceMm2(), $this->contributors));

        return array_map(
            static fn (Contributor $c): array => [
                'name' => $c->name,
                'share' => $total > 0 ? $c->varianceMm2() / $total : 0.0,
            ],
            $this->contributors,
        );
    }

    /**
     * The limits of one more length that keep the gap within what is wanted, whatever the others are: null where the
     * others take all of it.
     *
     * @param  int  $direction  1 or −1
     * @param  float  $weight  how much of it counts, above 0
     */
    public function solveFor(int $direction, float $weight = 1.0): ?Range
    {
        $rest = $this->worst();
        [$from, $to] =
            $direction > 0
                ? [$this->wanted->min - $rest->min, $this->wanted->max - $rest->max]
                : [$rest->max - $this->wanted->max, $rest->min - $this->wanted->min];

        return $from <= $to ? new Range($from / $weight, $to / $weight) : null;
    }

    /**
     * How the limits of one more length come about: the wish, less what the others take.
     *
     * @param  int  $direction  1 or −1
     * @param  float  $weight  how much of it counts, above 0
     */
    public function solveWorking(int $direction, string $name, float $weight = 1.0): Working
    {
        $rest = $this->worst();
        $signed = LengthWriter::signed(...);
        $step = static fn (
            string $which,
            string $formula,
            float $wish,
            float $others,
            float $sum,
        ): WorkingStep => new WorkingStep(
            "{$which} of “{$name}”",
            $formula,
            Say::with(
                ($weight === 1.0 ? '' : '2 × (').
                    ($direction > 0 ? '{w} − ({r})' : '{r} − {w}').
                    ($weight === 1.0 ? ' = {n}' : ') = {n}'),
                ['w' => $signed($wish), 'r' => $signed($others), 'n' => $signed($sum / $weight)],
            ),
            'limits added',
        );
        $steps = [
            new WorkingStep(
                'The others',
                'middle ± Σ half-widths',
                Say::with('{a} to {b}', ['a' => $signed($rest->min), 'b' => $signed($rest->max)]),
                'limits added',
            ),
        ];
        [$low, $high] =
            $direction > 0
                ? [$this->wanted->min - $rest->min, $this->wanted->max - $rest->max]
                : [$rest->max - $this->wanted->max, $rest->min - $this->wanted->min];
        if (abs($low) < self::FAR) {
            $steps[] =
                $direction > 0
                    ? $step('Least', 'gap at least − others at least', $this->wanted->min, $rest->min, $low)
                    : $step('Least', 'others at most − gap at most', $this->wanted->max, $rest->max, $low);
        }
        if (abs($high) < self::FAR) {
            $steps[] =
                $direction > 0
                    ? $step('Most', 'gap at most − others at most', $this->wanted->max, $rest->max, $high)
                    : $step('Most', 'others at least − gap at least', $this->wanted->min, $rest->min, $high);
        }

        return new Working($steps);
    }

    /** @return list<Note> */
    public function notes(): array
    {
        $worst = $this->worst();
        $chance = $this->chance();
        $percent = static fn (float $share): string => rtrim(
            rtrim(number_format(floor($share * 10000 + 1e-9) / 100, 2), '0'),
            '.',
        );
        $shares = $this->shares();
        usort($shares, static fn (array $a, array $b): int => $b['share'] <=> $a['share']);
        $notes = [
            match (true) {
                $worst->min >= $this->wanted->min - 1e-9 && $worst->max <= $this->wanted->max + 1e-9 => Note::info(
                    'closes',
                    'It closes as wanted, whatever each length comes out at within its limits.',
                ),
                $chance <= 0 => Note::stop(
                    'never-closes',
                    'It never closes as wanted: one of the lengths is wrong, or the wish is.',
                ),
                default => Note::caution(
                    'may-not-close',
                    "Of a hundred as they come {$percent($chance)} close as wanted.",
                ),
            },
        ];
        if ($shares[0]['share'] > 0.5 && count($shares) > 1) {
            $notes[] = Note::info(
                'measure-first',
                "“{$shares[0]['name']}” makes {$percent($shares[0]['share'])} % of the spread: ".
                    'measure or hold that one better first.',
            );
        }

        return $notes;
    }

    public function working(): Working
    {
        $sum = array_map(
            static fn (Contributor $c): Say => Say::with(
                ($c->direction > 0 ? '+ ' : '− ').'{s}'.($c->weight === 0.5 ? ' / 2' : ''),
                ['s' => LengthWriter::size($c->sizeMm)],
            ),
            array_slice($this->contributors, 0, 12),
        );
        $worst = $this->worst();
        $signed = LengthWriter::signed(...);

        return new Working([
            new WorkingStep(
                'Closes at',
                'Σ ± size, of a diameter half',
                Say::join([...$sum, Say::with('= {n}', ['n' => $signed($this->nominalMm())])], ' '),
                'definition',
            ),
            new WorkingStep(
                'Worst case',
                'middle ± Σ half-widths',
                Say::with('{a} to {b}', ['a' => $signed($worst->min), 'b' => $signed($worst->max)]),
                'limits added',
            ),
            new WorkingStep(
                'Chance',
                'the spreads convolved',
                Say::plain(number_format(100 * $this->chance(), 2).' %'),
                'elementary probability',
            ),
        ]);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\Working;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Fit\Aim;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** The next cut toward a band; all on diameter, mm. */
final readonly class NextCut implements \JsonSerializable
{
    /** A ratio of removed to dialled outside this is a slip or a dial that reads radius, not a springing tool. */
    private const RATIO_LEAST = 0.6;

    private const RATIO_MOST = 1.6;

    /** What the other school leaves for emery or a hone, on diameter, mm: half a thou. Common practice. */
    private const POLISHED_MM = 0.0127;

    /** A cut that is in hand when so little is left takes it away: on diameter, mm. Common practice. */
    private const LAST_MM = 0.005;

    /** More roughing cuts than this are not listed one by one: the size or its unit is likely a slip. */
    private const MANY = 40;

    /**
     * @param  float  $leftMm  left to the aim; below 0 when past it
     * @param  float  $dialMm  what to dial, allowing for what earlier cuts took; 0 when no cut is due
     * @param  list<PlannedCut>  $plan
     * @param  list<Note>  $notes
     */
    private function __construct(
        public float $leftMm,
        public float $dialMm,
        public int $cuts,
        public CutState $state,
        public array $plan,
        public array $notes,
        public Working $working,
    ) {
    }

    /**
     * Roughing at the chosen depth until two cuts are left, then two equal ones at the same feed so that the spring
     * repeats, the second corrected by what the first took; then a spring pass with nothing dialled. Or, the other
     * school, up to the last half thou, and that with emery or a hone.
     *
     * @param  SurfaceKind  $kind  a bore grows, anything else shrinks
     * @param  Band  $target  mm
     * @param  float  $nowMm  the size now, above 0
     * @param  float  $roughMm  the roughing cut on diameter, above 0
     * @param  list<Cut>  $history  earlier cuts on this surface, oldest first
     * @param  ?TakeOff  $learned  what earlier cuts of the kind took off: for the first here
     * @param  bool  $polished  the last of it is polished or honed, not cut
     *
     * Source: common practice of the trade.
     *
     * @throws BadInput for sizes or depths that are not above zero
     */
    public static function toward(
        SurfaceKind $kind,
        Band $target,
        float $nowMm,
        float $roughMm,
        array $history = [],
        Aim $aim = Aim::MetalLeft,
        ?TakeOff $learned = null,
        bool $polished = false,
    ): self {
        self::need($nowMm > 0 && is_finite($nowMm), 'now_mm', 'Give the size the part has now, above zero.');
        self::need($roughMm > 0 && is_finite($roughMm), 'rough_mm', 'The roughing cut must be above zero.');
        foreach ($history as $i => $cut) {
            self::need(
                $cut->dialledMm >= 0 && is_finite($cut->dialledMm) && is_finite($cut->removedMm),
                "history.{$i}",
                'Each cut needs what was dialled, zero or more, and what came off.',
            );
        }
        $bore = $kind === SurfaceKind::Bore;
        $aimMm = $aim->in($target, $kind);
        $left = $bore ? $aimMm - $nowMm : $nowMm - $aimMm;
        [$ratio, $ratioSays, $notes] = self::ratio($history, $learned);
        if ($target->holds($nowMm)) {
            return self::inside($bore, $target, $nowMm, $left, $notes);
        }
        if ($left < 0) {
            return self::past($bore, $target, $nowMm, $left, $notes);
        }
        if ($left / $roughMm > self::MANY) {
            $notes[] = Note::caution(
                'many-cuts',
                Say::with('{left} is a great deal to take off. Check the size and its unit.', [
                    'left' => LengthWriter::difference($left),
                ]),
            );
        }
        $plan = [];
        $takes = $polished
            ? self::takesToPolish($left, $roughMm)
            : [...self::takes($left, $roughMm, $history), [0.0, CutKind::Spring]];
        foreach ($takes as [$take, $what]) {
            $plan[] = new PlannedCut($take, $what === CutKind::Polish ? 0.0 : $take / $ratio, $what);
        }
        $unlisted = max(0, self::roughing($left, $roughMm) - self::MANY);

        return new self(
            leftMm: $left,
            dialMm: $plan[0]->dialMm,
            cuts: count($plan) - 1 + $unlisted,
            state: CutState::Cut,
            plan: $plan,
            notes: $notes,
            working: new Working([
                new WorkingStep(
                    'Left to the aim',
                    $bore ? 'aim − now' : 'now − aim',
                    Say::with('{aim}, now {now}: {left}', [
                        'aim' => LengthWriter::size($aimMm),
                        'now' => LengthWriter::size($nowMm),
                        'left' => LengthWriter::difference($left),
                    ]),
                    'the band',
                ),
                new WorkingStep(
                    'Dial',
                    'take ÷ (removed ÷ dialled)',
                    Say::with("{take} ÷ {ratio} ({$ratioSays}) = {dial}", [
                        'take' => LengthWriter::difference($plan[0]->takeMm),
                        'ratio' => number_format($ratio, 3),
                        'dial' => LengthWriter::difference($plan[0]->dialMm),
                    ]),
                    'common practice',
                ),
            ]),
        );
    }

    /**
     * @param  list<Cut>  $history
     * @return list<array{float, CutKind}> what each cut is to take off, and whether it roughs or finishes
     */
    private static function takes(float $left, float $rough, array $history): array
    {
        $last = $history === [] ? null : $history[count($history) - 1];
        // The first of the two equal cuts is done: the second repeats it, corrected.
        if (
            $last !== null
            && $last->removedMm > 0
            && $last->removedMm < 0.9 * $rough
            && $left <= 1.25 * $last->removedMm
        ) {
            return [[$left, CutKind::Finish]];
        }
        $roughing = self::roughing($left, $rough);
        $rest = $left - $roughing * $rough;

        return [
            ...array_fill(0, min($roughing, self::MANY), [$rough, CutKind::Rough]),
            [$rest / 2, CutKind::Finish],
            [$rest / 2, CutKind::Finish],
        ];
    }

    /** @return list<array{float, CutKind}> */
    private static function takesToPolish(float $left, float $rough): array
    {
        $cut = $left - self::POLISHED_MM;
        if ($cut <= self::LAST_MM) {
            return [[$left, CutKind::Polish]];
        }
        $roughing = max(0, (int) ceil($cut / $rough - 1e-9) - 1);

        return [
            ...array_fill(0, min($roughing, self::MANY), [$rough, CutKind::Rough]),
            [$cut - $roughing * $rough, CutKind::Finish],
            [self::POLISHED_MM, CutKind::Polish],
        ];
    }

    /** Roughing cuts before the last two. */
    private static function roughing(float $left, float $rough): int
    {
        return max(0, (int) ceil($left / $rough - 1e-9) - 2);
    }

    /**
     * What comes off for what is dialled: the last cut when it says something, else all of them together.
     *
     * @param  list<Cut>  $history
     * @return array{float, string, list<Note>}
     */
    private static function ratio(array $history, ?TakeOff $learned): array
    {
        $counted = array_values(array_filter($history, static fn (Cut $c): bool => $c->dialledMm > 0));
        if ($counted === []) {
            return $learned === null
                ? [1.0, 'no cut measured yet', []]
                : [$learned->mean, 'earlier cuts', [Note::info('learned', "{$learned->says()}: the dial allows for it.")]];
        }
        $last = $counted[count($counted) - 1];
        $ratio = $last->removedMm / $last->dialledMm;
        if (self::isTwice($ratio)) {
            $says =
                $ratio > 1
                    ? 'Twice what was dialled came off: this dial reads the radius.'
                    : 'Half of what was dialled came off: check whether the amount is meant on the radius.';

            return [
                $ratio > 1 ? 2.0 : 1.0,
                'the last cut',
                [Note::caution('dial-radius', $says.' Dial and size here are on the diameter.')],
            ];
        }
        if (! self::isLikely($ratio)) {
            return [
                1.0,
                'the last cut is not believed',
                [
                    Note::caution(
                        'cut-unlikely',
                        'The last cut took off far more or less than dialled. Measure again before the next.',
                    ),
                ],
            ];
        }

        return [$ratio, 'what the last cut took off', []];
    }

    /** @param  list<Note>  $notes */
    private static function inside(bool $bore, Band $target, float $nowMm, float $left, array $notes): self
    {
        $metal = $bore ? $target->upperMm - $nowMm : $nowMm - $target->lowerMm;
        $notes[] = Note::info(
            'inside',
            Say::with($metal < self::LAST_MM
                ? 'Stop: inside the band, and one more cut would lose it: {metal} is left of it.'
                : 'Stop: inside the band. {metal} could still come off before it is lost.', [
                    'metal' => LengthWriter::atMost($metal),
                ]),
        );

        return new self(
            leftMm: $left,
            dialMm: 0.0,
            cuts: 0,
            state: CutState::Inside,
            plan: [],
            notes: $notes,
            working: new Working([
                new WorkingStep(
                    'Inside?',
                    'lower ≤ now ≤ upper',
                    Say::with('{l} ≤ {n} ≤ {u}', [
                        'l' => LengthWriter::lower($target),
                        'n' => LengthWriter::size($nowMm),
                        'u' => LengthWriter::upper($target),
                    ]),
                    'the band',
                ),
            ]),
        );
    }

    /** @param  list<Note>  $notes */
    private static function past(bool $bore, Band $target, float $nowMm, float $left, array $notes): self
    {
        $over = $bore ? $nowMm - $target->upperMm : $target->lowerMm - $nowMm;
        $notes[] = Note::stop(
            'past',
            Say::with(
                $bore
                    ? 'Too large by {by}: no cut brings it back. See what that does to the joint before scrapping it.'
                    : 'Too small by {by}: no cut brings it back. See what that does to the joint before scrapping it.',
                ['by' => LengthWriter::atLeast($over)],
            ),
        );

        return new self(
            leftMm: $left,
            dialMm: 0.0,
            cuts: 0,
            state: CutState::Past,
            plan: [],
            notes: $notes,
            working: new Working([
                new WorkingStep(
                    'Past the band',
                    $bore ? 'now − upper' : 'lower − now',
                    LengthWriter::difference($over),
                    'the band',
                ),
            ]),
        );
    }

    /** A tool that springs, not a slip, and not a dial that reads the radius. */
    public static function isLikely(float $ratio): bool
    {
        return ! self::isTwice($ratio) && $ratio >= self::RATIO_LEAST && $ratio <= self::RATIO_MOST;
    }

    private static function isTwice(float $ratio): bool
    {
        return abs($ratio - 2) < 0.25 || abs($ratio - 0.5) < 0.08;
    }

    private static function need(bool $holds, string $field, string $sentence): void
    {
        if (! $holds) {
            throw new BadInput('out-of-range', $field, $sentence);
        }
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'left_mm' => $this->leftMm,
            'dial_mm' => $this->dialMm,
            'cuts' => $this->cuts,
            'state' => $this->state,
            'plan' => $this->plan,
            'notes' => $this->notes,
            'working' => $this->working,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Trials;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Loops\LoopRow;
use Oldpart\Core\Evaluate\Loops\SolvedLoop;
use Oldpart\Core\Evaluate\Sizing\SizedJoint;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Seen;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Facts\TrialFacts;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Explained;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Measure\SurfaceKind;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;

/** A stack tried together: what was seen less what was expected, what explains it, and what to take off where. */
final readonly class LoopTrials implements \JsonSerializable
{
    /** @param  list<TrialFacts>  $trials  oldest first */
    private function __construct(
        private array $trials,
        private ?Explained $explained,
        private ?Say $do,
        private ?string $cut,
        /** What is cut, and the metal that has to come off it, on its diameter or its length, mm. */
        public ?SurfaceFacts $surface = null,
        public ?Range $takeMm = null,
    ) {
    }

    /** Null where its sizes are withheld. */
    public static function of(JobFacts $facts, SolvedLoop $loop): ?self
    {
        return $loop->withheld
            ? null
            : self::from(
                $facts,
                array_filter($facts->trials, static fn (TrialFacts $t): bool => $t->loop === $loop->facts->id),
                array_map(static fn (LoopRow $r): StackPiece => StackPiece::ofLoop($facts, $r), $loop->rows),
                $loop->facts->wanted(),
            );
    }

    /**
     * A joint of two lengths, the outer less the inner; null where it is none, or its sizes are withheld.
     *
     * @param  array<string, FoundSize>  $found
     */
    public static function ofJoint(JobFacts $facts, array $found, SizedJoint $joint): ?self
    {
        [$inner, $outer] = [$facts->surface($joint->joint->inner), $facts->surface($joint->joint->outer)];
        if ($joint->withheld || ! $joint->purpose->isLength || $inner === null || $outer === null) {
            return null;
        }
        $piece = static fn (SurfaceFacts $s, int $direction): StackPiece => StackPiece::ofJoint(
            $facts,
            $s,
            $direction,
            $found[$s->id] ?? null,
            $joint->make?->id === $s->id ? $joint->band() : null,
        );

        return self::from(
            $facts,
            array_filter($facts->trials, static fn (TrialFacts $t): bool => $t->joint === $joint->joint->id),
            [$piece($outer, 1), $piece($inner, -1)],
            $joint->wantedMm,
        );
    }

    /**
     * @param  array<int, TrialFacts>  $trials  oldest first
     * @param  list<StackPiece>  $pieces
     */
    private static function from(JobFacts $facts, array $trials, array $pieces, ?Range $wanted): self
    {
        $trials = array_values($trials);
        $cut = self::lastCut($facts, $pieces);
        $last = null;
        foreach ($trials as $trial) {
            $last = $trial->amountMm() === null || $trial->seen->isRound() ? $last : $trial;
        }
        if ($last === null) {
            return new self($trials, null, null, $cut);
        }
        // Tried before anything was cut, it says as little of what has been cut since.
        if ($last->cut !== $cut) {
            $since = Say::plain('It was cut again since it was tried: try it together once more.');

            return new self($trials, null, $since, $cut);
        }
        $seen = ($last->amountMm() ?? 0.0) * ($last->seen === Seen::Binds ? -1 : 1);
        $known = array_values(array_filter(array_map(static fn (StackPiece $p): ?Contributor => $p->size, $pieces)));
        [$do, $surface, $take] = self::advice($facts, $pieces, $wanted, $seen);

        return new self(
            trials: $trials,
            explained: $known === [] || count($known) !== count($pieces) ? null : Explained::of($known, $seen),
            do: $do,
            cut: $cut,
            surface: $surface,
            takeMm: $take,
        );
    }

    /**
     * Of all that is cut in it: a trial says something of it only until the next.
     *
     * @param  list<StackPiece>  $pieces
     */
    private static function lastCut(JobFacts $facts, array $pieces): ?string
    {
        $surfaces = array_filter(array_map(static fn (StackPiece $p): ?string => $p->surface?->id, $pieces));
        $last = null;
        foreach ($facts->cuts as $cut) {
            $last = $cut->setAside === null && in_array($cut->surface, $surfaces, true) ? $cut->id : $last;
        }

        return $last;
    }

    /**
     * @param  list<StackPiece>  $pieces
     * @return array{Say, ?SurfaceFacts, ?Range} what to do; what to take off, and how much of it
     */
    private static function advice(JobFacts $facts, array $pieces, ?Range $wanted, float $seenMm): array
    {
        if ($wanted === null) {
            return [Say::plain('Say what the gap is to be, and what to take off follows.'), null, null];
        }
        $inside = $seenMm >= $wanted->min && $seenMm <= $wanted->max;
        if ($inside) {
            return [Say::with('As tried the gap is {g}, as wanted: leave it.', ['g' => LengthWriter::signedDifference($seenMm)]), null, null];
        }
        // How far the gap has to move: to its near limit at least, to the far one at most.
        $move = new Range($wanted->min - $seenMm, $wanted->max - $seenMm);
        $lacks = null;
        foreach ($pieces as $piece) {
            $surface = $piece->surface;
            if ($surface === null || ! $facts->isCut($surface)) {
                continue;
            }
            $by = static fn (float $mm): float => $mm / ($piece->direction * $piece->weight);
            $change = Range::of($by($move->min), $by($move->max));
            $off = $surface->grows() ? $change : new Range(-$change->max, -$change->min);
            if ($off->min >= 0) {
                return [self::amount(self::takes($surface, $piece->name), $off->min, $off->max), $surface, $off];
            }
            if ($off->max <= 0) {
                $lacks ??= self::amount(self::lacks($surface, $piece->name), -$off->max, -$off->min);
            }
        }
        if ($lacks !== null) {
            return [$lacks, null, null];
        }
        $more = $move->min > 0;

        $says = $more
            ? 'The gap has to open by {r}: take that off one of the lengths that close it.'
            : 'The gap has to close by {r}: shim it, or take that off one of the lengths that open it.';

        return [
            self::amount($says, $more ? $move->min : -$move->max, $more ? $move->max : -$move->min),
            null,
            null,
        ];
    }

    /** How more metal comes off it; a bore and a slot grow by it. */
    private static function takes(SurfaceFacts $surface, string $name): string
    {
        return match (true) {
            $surface->kind === SurfaceKind::Bore => "Open “{$name}” by {r} on its diameter, clean, and try again.",
            $surface->grows() => "Open “{$name}” by {r}, clean, and try again.",
            $surface->kind === SurfaceKind::Shaft => "Take {r} off “{$name}” on its diameter, clean, and try again.",
            default => "Take {r} off “{$name}”: face it off there, clean, and try again.",
        };
    }

    /** What can be done where too much is off already. */
    private static function lacks(SurfaceFacts $surface, string $name): string
    {
        return match (true) {
            $surface->kind === SurfaceKind::Bore => "“{$name}” is too large by {r}: bush it, or make it again.",
            $surface->grows() => "“{$name}” is too wide by {r}: make what goes into it to that, or make it again.",
            $surface->kind === SurfaceKind::Shaft => "“{$name}” is too small by {r}: build it up, or make it again.",
            default => "“{$name}” is too short by {r}: shim it by that, or make it again.",
        };
    }

    private static function amount(string $words, float $least, float $most): Say
    {
        $range = match (true) {
            $most > Loop::FAR => Say::with('{a} or more', ['a' => LengthWriter::difference($least)]),
            $least < 1e-9 => Say::with('up to {b}', ['b' => LengthWriter::difference($most)]),
            default => Say::with('{a} to {b}', [
                'a' => LengthWriter::difference($least),
                'b' => LengthWriter::difference($most),
            ]),
        };

        return Say::with($words, ['r' => $range]);
    }

    private function why(Explained $explained): Say
    {
        $values = [
            'off' => LengthWriter::difference(abs($explained->offMm)),
            'by' => LengthWriter::difference(abs($explained->byMm)),
        ];
        if (abs($explained->offMm) < 5e-4) {
            return Say::plain('It closes as expected.');
        }
        $first = $explained->offMm > 0
            ? 'The gap is {off} more than the lengths come to'
            : 'The gap is {off} less than the lengths come to';
        $best = $explained->best;
        if ($best === null) {
            return Say::with("{$first}.", $values);
        }
        $way = $explained->byMm > 0 ? 'larger' : 'smaller';
        $share = number_format(floor(100 * $explained->share));

        return Say::with(
            $explained->withinDoubt
                ? "{$first}. The “{$best->name}” explains it best ({$share} of 100 by its doubt): it would be {by} {$way}."
                : "{$first}. No length alone is that unsure; the “{$best->name}” is the least sure, and would have to be {by} {$way}. Look for a burr, dirt, or a face that is not in the loop.",
            $values,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'do' => $this->do,
            'cut' => $this->cut,
            'why' => $this->explained === null ? null : $this->why($this->explained),
            'rows' => array_map(self::row(...), $this->trials),
            'choices' => [Seen::Binds->value, Seen::Gap->value],
            'working' => $this->explained->working ?? [],
        ];
    }

    /** @return array{id: string, says: Say, at: ?string} */
    private static function row(TrialFacts $t): array
    {
        $amount = $t->amountMm();
        $note = $t->note === '' ? '' : ": {$t->note}";
        $turn = $t->turn === null ? '' : ' ('.rtrim(rtrim(number_format($t->turn, 3), '0'), '.').' of a turn)';

        return [
            'id' => $t->id,
            'says' => $amount === null
                ? Say::plain($t->seen->value.$note)
                : Say::with(
                    ($t->seen === Seen::Binds ? 'binds {a} from home'.$turn : 'gap {a}').$note,
                    ['a' => LengthWriter::difference($amount)],
                ),
            'at' => $t->at,
        ];
    }
}

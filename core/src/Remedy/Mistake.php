<?php

declare(strict_types=1);

namespace Oldpart\Core\Remedy;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Evaluator;
use Oldpart\Core\Evaluate\Loops\SolvedLoop;
use Oldpart\Core\Evaluate\Making\MakeEntry;
use Oldpart\Core\Evaluate\Outcome;
use Oldpart\Core\Facts\CutFacts;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Facts\LoopLength;
use Oldpart\Core\Facts\MistakeFacts;
use Oldpart\Core\Facts\OperationFacts;
use Oldpart\Core\Facts\ReadingFacts;
use Oldpart\Core\Loop\Remedies;
use Oldpart\Core\Loop\Remedy;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Measure\Acceptance;
use Oldpart\Core\Quantity\Length;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\TypedLength;
use Oldpart\Core\Quantity\Unit;

/** A number that was wrong: what was derived and made from it, and the ways out, each tried on the whole job. */
final readonly class Mistake
{
    /** A chance below this is not “as wanted”: that of the loops' own remedies. */
    private const WANTED = Remedies::WANTED;

    /** What a way asks of who goes it, the least first. */
    private const TROUBLE = ['nothing', 'absorb', 'aim', 'shim', 'measure', 'cut', 'face', 'hold', 'together', 'anew'];

    /**
     * @param  list<array{name: string, before: Say, now: Say, ok: bool}>  $touched
     * @param  list<array{name: string, says: Say, ok: bool}>  $made
     * @param  list<MistakeWay>  $ways
     */
    private function __construct(
        public MistakeFacts $facts,
        public string $name,
        public ?Say $was,
        public ?Say $is,
        public ?Say $off,
        public array $touched,
        public array $made,
        public array $ways,
        public ?SolvedLoop $moved,
    ) {
    }

    public static function of(MistakeFacts $mistake, JobFacts $facts, Outcome $now, Evaluator $evaluator): self
    {
        $before = $evaluator->outcome($mistake->believed($facts));
        $surface = $mistake->surface === null ? null : $facts->surface($mistake->surface);
        [$was, $is] =
            $surface === null
                ? [$mistake->old?->length->mm, $mistake->new?->length->mm]
                : [$before->found[$surface->id]->meanMm ?? null, $now->found[$surface->id]->meanMm ?? null];
        $ways = $now->withheld ? [] : self::ways($facts, $now, $evaluator);

        return new self(
            facts: $mistake,
            name: $surface === null ? (string) $mistake->length : $surface->name,
            was: $was === null ? null : LengthWriter::size($was),
            is: $is === null ? null : LengthWriter::size($is),
            off: $was === null || $is === null || abs($is - $was) < 5e-7
                ? null
                : Say::with($is > $was ? '{d} larger than was believed' : '{d} smaller than was believed', [
                    'd' => LengthWriter::difference($is - $was),
                ]),
            touched: self::touched($facts, $before, $now),
            made: self::made($before, $now),
            ways: $ways,
            moved: self::moved($before, $now),
        );
    }

    /** The first loop it moves, as it is now. */
    private static function moved(Outcome $before, Outcome $now): ?SolvedLoop
    {
        foreach ($now->loops as $i => $loop) {
            if ($loop instanceof SolvedLoop && ($before->loops[$i] ?? null)?->rows != $loop->rows) {
                return $loop;
            }
        }

        return null;
    }

    /** @return list<array{name: string, before: Say, now: Say, ok: bool}> loops and sizes that came out otherwise */
    private static function touched(JobFacts $facts, Outcome $before, Outcome $now): array
    {
        $touched = [];
        $none = Say::plain('not known');
        foreach ($now->loops as $i => $loop) {
            $old = $before->loops[$i] ?? null;
            if ($old !== null && $old->rows == $loop->rows) {
                continue;
            }
            [$a, $b] = [$old?->says() ?? $none, $loop->says() ?? $none];
            if ($a != $b) {
                $touched[] = [
                    'name' => $facts->loops[$i]->name,
                    'before' => $a,
                    'now' => $b,
                    'ok' => ($loop->chance() ?? 0.0) >= self::WANTED || $loop->chance() === null,
                ];
            }
        }
        $olds = [];
        foreach ($before->make as $entry) {
            $olds[$entry->key()] = $entry;
        }
        foreach ($now->make as $entry) {
            $old = $olds[$entry->key()] ?? null;
            $limits = static fn (?MakeEntry $e): Say => $e?->band === null
                ? $none
                : Say::with('{a} to {b}', [
                    'a' => LengthWriter::lower($e->band),
                    'b' => LengthWriter::upper($e->band),
                ]);
            if ($limits($old) != $limits($entry)) {
                $touched[] = [
                    'name' => $entry->label,
                    'before' => $limits($old),
                    'now' => $limits($entry),
                    'ok' => $entry->band !== null,
                ];
            }
        }

        return $touched;
    }

    /** @return list<array{name: string, says: Say, ok: bool}> pieces that had been cut to a number derived from it */
    private static function made(Outcome $before, Outcome $now): array
    {
        $made = $olds = [];
        foreach ($before->making as $making) {
            $olds[$making->entry->key()] = $making;
        }
        foreach ($now->making as $making) {
            $size = $making->sizeMm();
            $old = $olds[$making->entry->key()] ?? null;
            $band = $making->entry->band;
            if ($size === null || $band === null || $old?->entry->band === null || $old->entry->band == $band) {
                continue;
            }
            $left = $making->hasMetalLeft();
            $made[] = [
                'name' => $making->entry->label,
                'ok' => $band->holds($size) || $left,
                'says' => Say::with(
                    match (true) {
                        $band->holds($size) => 'made {s}: inside the new limits too, {a} to {b}',
                        $left => 'made {s}: metal is left for the new limits, {a} to {b}',
                        default => 'made {s}: the new limits are {a} to {b}, and no metal is left for them',
                    },
                    [
                        's' => LengthWriter::size($size),
                        'a' => LengthWriter::lower($band),
                        'b' => LengthWriter::upper($band),
                    ],
                ),
            ];
        }

        return $made;
    }

    /**
     * What is not as wanted in a job: loops that may not close, and made pieces outside their limits.
     *
     * @param  ?Outcome  $known  loops that are as they are there need not be convolved anew
     * @return list<string> named
     */
    private static function wrong(JobFacts $facts, Outcome $answers, ?Outcome $known = null): array
    {
        $wrong = [];
        foreach ($answers->loops as $i => $loop) {
            $same = $known->loops[$i] ?? null;
            if ((($same !== null && $same->rows == $loop->rows ? $same : $loop)->chance() ?? 1.0) < self::WANTED) {
                $wrong[] = $facts->loops[$i]->name;
            }
        }
        foreach ($answers->making as $making) {
            if ($making->verdict === Acceptance::Above || $making->verdict === Acceptance::Below) {
                $wrong[] = $making->entry->label;
            }
        }

        return $wrong;
    }

    /** @return list<MistakeWay> those that set all right first, and of those the least trouble */
    private static function ways(JobFacts $facts, Outcome $now, Evaluator $evaluator): array
    {
        $wrong = self::wrong($facts, $now);
        if ($wrong === []) {
            return [
                new MistakeWay(
                    Say::plain('Nothing has to be done.'),
                    Say::plain('Everything that was looked at is still as wanted.'),
                    'nothing',
                    left: 0,
                    trouble: self::trouble('nothing'),
                ),
            ];
        }
        $ways = [];
        $clean = $facts->with(mistakes: []);
        $try = static function (Say $do, JobFacts $then, string $costs, string $trouble, array $changes = []) use (
            &$ways,
            $evaluator,
            $wrong,
            $now,
        ): void {
            /** @var list<array{list: string, thing: string, fact: array<string, mixed>}> $changes */
            $left = self::wrong($then, $evaluator->outcome($then), $now);
            if (count($left) < count($wrong) || array_diff($wrong, $left) !== []) {
                $ways[$do->both] ??= new MistakeWay(
                    do: $do,
                    then: $left === []
                        ? Say::plain('Then all is as wanted.')
                        : Say::plain('Then still not as wanted: '.implode(', ', $left).'.'),
                    costs: $costs,
                    left: count($left),
                    trouble: self::trouble($trouble),
                    changes: $changes,
                );
            }
        };
        foreach ($now->loops as $i => $loop) {
            foreach ($loop instanceof SolvedLoop ? $loop->remedies() : [] as $remedy) {
                $try(
                    $remedy->do,
                    self::done($clean, $facts->loops[$i], $remedy),
                    self::costs($remedy),
                    $remedy->kind,
                    RemedyChange::of($facts, $facts->loops[$i], $remedy),
                );
            }
            $pile = $loop instanceof SolvedLoop ? $loop->pile() : null;
            if ($pile !== null) {
                $shim = new LoopLength(
                    name: 'Shims',
                    surface: null,
                    size: new TypedLength(Length::mm(array_sum($pile)), '', Unit::Millimetre),
                    plus: null,
                    minus: null,
                    opens: false,
                    spread: Spread::Uniform,
                );
                $try(
                    Say::with('Shim “{loop}” with {pile}.', [
                        'loop' => $facts->loops[$i]->name,
                        'pile' => Say::join(array_map(LengthWriter::sizeInWords(...), $pile), ' + '),
                    ]),
                    $clean->with(
                        loops: array_map(
                            static fn (LoopFacts $l): LoopFacts => $l->id === $facts->loops[$i]->id
                                ? $l->withLengths([...$l->lengths, $shim])
                                : $l,
                            $facts->loops,
                        ),
                    ),
                    'shims from the drawer',
                    'shim',
                );
            }
        }
        foreach ($now->making as $making) {
            $band = $making->entry->band;
            $last = $making->log->last();
            if (
                $band === null
                || $last === null
                || ! in_array($making->verdict, [Acceptance::Above, Acceptance::Below], true)
            ) {
                continue;
            }
            $left = $making->hasMetalLeft();
            $then = $clean->with(
                cuts: array_map(
                    static fn (CutFacts $c): CutFacts => $c->id === $last->id ? $c->cameOut($band->middleMm()) : $c,
                    $facts->cuts,
                ),
            );
            $names = [
                'name' => $making->entry->label,
                'a' => LengthWriter::lower($band),
                'b' => LengthWriter::upper($band),
            ];
            $left
                ? $try(Say::with('Cut “{name}” again, to {a} to {b}.', $names), $then, 'one more setting', 'cut')
                : $try(Say::with('Make “{name}” anew, {a} to {b}.', $names), $then, self::remake($facts), 'anew');
        }
        usort(
            $ways,
            static fn (MistakeWay $a, MistakeWay $b): int => [$a->left, $a->trouble] <=> [$b->left, $b->trouble],
        );

        return array_slice($ways, 0, 6);
    }

    private static function costs(Remedy $remedy): string
    {
        return match ($remedy->kind) {
            'absorb' => 'nothing is cut',
            'aim' => 'nothing, if it is not made yet',
            'face' => 'one facing cut on a part that is there',
            'hold', 'together' => 'slower work',
            'measure' => 'measuring it again',
        };
    }

    private static function trouble(string $of): int
    {
        return (int) array_search($of, self::TROUBLE, true);
    }

    /** The time of all operations for one piece, in the shop's money. */
    private static function remake(JobFacts $facts): string
    {
        $minutes = array_sum(
            array_map(static fn (OperationFacts $o): float => $o->setupMin + $o->runMin, $facts->operations),
        );

        return $minutes <= 0
            ? 'a new piece'
            : 'a new piece: about '.
                    number_format($minutes).
                    ' min, '.
                    $facts->shop->currency.
                    ' '.
                    number_format(($minutes / 60) * $facts->shop->ratePerH).
                    ' and the metal';
    }

    /** The job with a remedy carried out: in every loop where the same lengths stand. */
    private static function done(JobFacts $facts, LoopFacts $in, Remedy $remedy): JobFacts
    {
        $surface = $in->lengths[$remedy->place]->surface;
        $by = $remedy->new->sizeMm - $remedy->old->sizeMm;
        if ($surface !== null && $remedy->kind === 'face') {
            return $facts->with(
                readings: array_map(
                    static fn (ReadingFacts $r): ReadingFacts => $r->surface === $surface ? $r->moved($by) : $r,
                    $facts->readings,
                ),
                cuts: array_map(
                    static fn (CutFacts $c): CutFacts => $c->surface === $surface
                        ? $c->cameOut($c->after->length->mm + $by)
                        : $c,
                    $facts->cuts,
                ),
            );
        }
        $mm = static fn (float $mm): TypedLength => new TypedLength(Length::mm($mm), '', Unit::Millimetre);
        $new = [];
        foreach ([$remedy->place => $remedy->new] + $remedy->more as $place => $to) {
            $new[] = [$in->lengths[$place], $to];
        }

        return $facts->with(
            loops: array_map(
                static fn (LoopFacts $l): LoopFacts => $l->withLengths(
                    array_map(static function (LoopLength $length) use ($new, $mm): LoopLength {
                        foreach ($new as [$old, $to]) {
                            if ($length->surface === null && $length->isSamePiece($old)) {
                                return $length->withSize($mm($to->sizeMm), $mm($to->plusMm), $mm($to->minusMm));
                            }
                        }

                        return $length;
                    }, $l->lengths),
                ),
                $facts->loops,
            ),
        );
    }
}

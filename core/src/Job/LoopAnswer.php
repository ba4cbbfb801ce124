<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Remedies;
use Oldpart\Core\Loop\Remedy;
use Oldpart\Core\Loop\Shims;
use Oldpart\Core\Loop\ShimStock;
use Oldpart\Core\Loop\Spread;
use Oldpart\Core\Measure\FoundSize;
use Oldpart\Core\Picture\LoopPicture;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;

/** A loop of the job: how it closes with what was found, what is planned and what was typed; and what one open length has to be. */
final readonly class LoopAnswer implements \JsonSerializable
{
    /**
     * @param  list<array{name: string, from: string, contributor: ?Contributor}>  $rows  each length, and where its size comes from
     * @param  ?Loop  $loop  null while more than one length is open, or nothing is wanted
     * @param  ?Loop  $rest  of the lengths that are known, where just one is open
     */
    private function __construct(private LoopFacts $facts, private array $rows, private ?Loop $loop, private ?Loop $rest, private ?LoopLength $open, private ?Say $blocked, private string $shims, private float $holdsMm, private bool $withheld)
    {
    }

    /**
     * @param  array<string, FoundSize>  $found
     * @param  array<string, Band>  $bands  of made surfaces
     */
    public static function of(JobFacts $facts, LoopFacts $loop, array $found, array $bands, bool $withheld): self
    {
        $rows = $known = $open = [];
        foreach ($loop->lengths as $length) {
            $row = self::row($facts, $length, $found, $bands);
            $rows[] = $row;
            $row['contributor'] === null ? $open[] = $length : $known[] = $row['contributor'];
        }
        $wanted = $loop->least === null && $loop->most === null ? null : new Range(
            min($loop->least->length->mm ?? -2 * Loop::FAR, $loop->most->length->mm ?? 2 * Loop::FAR), max($loop->least->length->mm ?? -2 * Loop::FAR, $loop->most->length->mm ?? 2 * Loop::FAR),
        );
        $blocked = match (true) {
            $withheld => Gatekeeper::sentence(),
            $loop->lengths === [] => Say::plain('Add the lengths in order, from one side of the gap round to the other.'),
            $wanted === null => Say::plain('Say what the gap is to be: at least, at most, or both.'),
            count($open) > 1 => Say::plain('Not known yet: '.implode(', ', array_map(static fn (LoopLength $l): string => $l->name, $open)).'. Measure or type all but one.'),
            default => null,
        };
        $wanted ??= new Range(-2 * Loop::FAR, 2 * Loop::FAR);

        return new self(
            $loop, $rows, $open === [] && $known !== [] ? Loop::of($known, $wanted) : null, count($open) === 1 && $known !== [] ? Loop::of($known, $wanted) : null, count($open) === 1 ? $open[0] : null, $blocked, $facts->shop->shims, $facts->shop->latheHoldsMm, $withheld,
        );
    }

    /**
     * @param  array<string, FoundSize>  $found
     * @param  array<string, Band>  $bands
     * @return array{name: string, from: string, contributor: ?Contributor}
     */
    private static function row(JobFacts $facts, LoopLength $length, array $found, array $bands): array
    {
        $direction = $length->opens ? 1 : -1;
        $surface = $length->surface === null ? null : $facts->surface($length->surface);
        $make = static fn (float $size, float $plus, float $minus, Spread $spread): Contributor => new Contributor($length->name, $size, $plus, $minus, $direction, $spread);
        if ($surface !== null && isset($bands[$surface->id])) {
            $band = $bands[$surface->id];

            return ['name' => $length->name, 'from' => 'to make', 'contributor' => $make($band->middleMm(), $band->widthMm() / 2, $band->widthMm() / 2, Spread::Uniform)];
        }
        if ($surface !== null && isset($found[$surface->id])) {
            $size = $found[$surface->id];

            return ['name' => $length->name, 'from' => 'found', 'contributor' => $make($size->meanMm, $size->u95MeanMm, $size->u95MeanMm, Spread::Measured)];
        }
        if ($length->size !== null) {
            return ['name' => $length->name, 'from' => 'typed', 'contributor' => $make($length->size->length->mm, $length->plus->length->mm ?? 0.0, $length->minus->length->mm ?? 0.0, $length->spread)];
        }

        return ['name' => $length->name, 'from' => $surface === null ? 'open' : 'not measured yet', 'contributor' => null];
    }

    /** The pile of the shop's shims that closes a gap that is too wide; null where none is needed, or none is in the drawer. */
    private function shimmed(Loop $loop): ?Say
    {
        $worst = $loop->worst();
        $needed = $loop->solveFor(-1);
        if ($worst->max <= $loop->wanted->max + 1e-9 || trim($this->shims) === '') {
            return null;
        }
        try {
            $pile = $needed === null ? null : Shims::pile(ShimStock::read($this->shims, Unit::Millimetre), $needed);
        } catch (BadInput) {
            return null;
        }

        return $pile === null
            ? Say::plain('No pile of the shims in the drawer closes it for sure.')
            : Say::with('Shim it with {pile}: it then closes at {n}.', ['pile' => Say::join(array_map(static fn (float $mm): Say => LengthWriter::sizeInWords($mm), $pile), ' + '), 'n' => LengthWriter::size(max(0.0, $loop->nominalMm() - array_sum($pile)))]);
    }

    /** @return list<array{do: Say, chance: float, enough: bool}> what to change so that it closes as wanted, where it may not */
    private function remedies(Loop $loop): array
    {
        $typed = $made = [];
        foreach ($this->rows as $i => $row) {
            $planned = $row['contributor'] !== null && $row['contributor']->spread !== Spread::Measured;
            if ($planned && $row['from'] === 'typed') {
                $typed[] = $i;
            } elseif ($planned) {
                $made[] = $i;
            }
        }

        return array_map(static fn (Remedy $r): array => ['do' => $r->do, 'chance' => $r->chance, 'enough' => $r->enough], array_slice((new Remedies($loop, $this->holdsMm))->all($typed, [...$typed, ...$made]), 0, 4));
    }

    /** The limits of the one open length; null where none is open, something stands in the way, or no length closes it for sure. */
    private function openRange(): ?Range
    {
        return $this->rest === null || $this->open === null || $this->blocked !== null ? null : $this->rest->solveFor($this->open->opens ? 1 : -1);
    }

    private function solved(): ?Say
    {
        if ($this->rest === null || $this->open === null || $this->blocked !== null) {
            return null;
        }
        $range = $this->openRange();
        if ($range === null) {
            return Say::with('No {name} closes it for sure: the others already spread more than is wanted.', ['name' => $this->open->name]);
        }
        if ($range->max <= 0) {
            return Say::with('No {name} closes it: there is no room left for one. A length is in the wrong way round, or a size is wrong.', ['name' => $this->open->name]);
        }
        $band = $this->openBand($range);

        return match (true) {
            $range->max > Loop::FAR => Say::with('{name}: at least {a}.', ['name' => $this->open->name, 'a' => LengthWriter::lower($band)]),
            $range->min < -Loop::FAR => Say::with('{name}: at most {b}.', ['name' => $this->open->name, 'b' => LengthWriter::upper($band)]),
            default => Say::with('{name}: {a} to {b}.', ['name' => $this->open->name, 'a' => LengthWriter::lower($band), 'b' => LengthWriter::upper($band)]),
        };
    }

    /** Written rounded into its limits, as a length on a limit must still close; nothing is shorter than nothing. */
    private function openBand(Range $range): Band
    {
        return new Band(max(0.0, $range->min), $range->max);
    }

    /** The loop with its open length as it is to be made, to be drawn; null where that has no two limits. */
    private function filled(): ?Loop
    {
        $range = $this->openRange();
        if ($range === null || $this->rest === null || $this->open === null || $range->max <= 0 || $range->max > Loop::FAR || $range->min < -Loop::FAR) {
            return null;
        }
        $band = $this->openBand($range);
        $open = new Contributor($this->open->name, $band->middleMm(), $band->widthMm() / 2, $band->widthMm() / 2, $this->open->opens ? 1 : -1);

        return Loop::of(array_map(static fn (array $row): Contributor => $row['contributor'] ?? $open, $this->rows), $this->rest->wanted);
    }

    /** @return ?array{name: string, aim: Say, limit: Say} the open length for the make card, aimed midway between its limits */
    private function length(): ?array
    {
        $range = $this->openRange();
        if ($range === null || $this->open === null || $range->max <= 0) {
            return null;
        }
        $band = $this->openBand($range);
        [$aim, $limit] = match (true) {
            $range->max > Loop::FAR => [LengthWriter::lower($band), Say::plain('or longer')],
            $range->min < -Loop::FAR => [LengthWriter::upper($band), Say::plain('or shorter')],
            default => [LengthWriter::size($band->middleMm()), Say::with('anywhere from {a} to {b}', ['a' => LengthWriter::lower($band), 'b' => LengthWriter::upper($band)])],
        };

        return ['name' => $this->open->name, 'aim' => $aim, 'limit' => $limit];
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $signed = static fn (float $mm): Say => Say::with($mm < -5e-7 ? '−{s}' : '{s}', ['s' => LengthWriter::size(abs($mm))]);
        $range = static fn (Range $r): Say => Say::with('{a} to {b}', ['a' => $signed($r->min), 'b' => $signed($r->max)]);
        $shares = array_column($this->loop?->shares() ?? [], 'share');
        $shown = $this->withheld ? null : $this->loop;
        $drawn = $shown ?? $this->filled();

        return [
            'id' => $this->facts->id, 'blocked' => $this->blocked,
            'rows' => array_map(static fn (int $i, array $row): array => [
                'name' => $row['name'], 'from' => $row['from'], 'size' => $row['contributor'] === null ? null : LengthWriter::size($row['contributor']->sizeMm),
                'plus_minus' => $row['contributor'] === null ? null : LengthWriter::difference($row['contributor']->halfMm()), 'share' => $shares[$i] ?? null,
            ], array_keys($this->rows), $this->rows),
            'closes_at' => $shown === null ? null : $signed($shown->nominalMm()), 'worst' => $shown === null ? null : $range($shown->worst()), 'likely' => $shown === null ? null : $range($shown->likely()),
            'chance' => $this->loop === null || $this->blocked !== null ? null : $this->loop->chance(),
            'solved' => $this->solved(), 'length' => $this->length(),
            'remedies' => $shown === null || $this->blocked !== null ? [] : $this->remedies($shown),
            'shims' => $this->loop === null || $this->blocked !== null ? null : $this->shimmed($this->loop),
            'picture' => $drawn === null ? null : LoopPicture::draw($drawn),
            'notes' => $shown === null || $this->blocked !== null ? [] : $shown->notes(), 'working' => match (true) {
                $this->blocked !== null => [],
                $shown !== null => $shown->working(),
                $this->rest !== null && $this->open !== null => $this->rest->solveWorking($this->open->opens ? 1 : -1, $this->open->name),
                default => [],
            },
        ];
    }
}

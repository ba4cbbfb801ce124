<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Loops;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Gatekeeper;
use Oldpart\Core\Facts\LoopFacts;
use Oldpart\Core\Facts\LoopLength;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Loop\BestLength;
use Oldpart\Core\Loop\Contributor;
use Oldpart\Core\Loop\Loop;
use Oldpart\Core\Loop\Remedies;
use Oldpart\Core\Loop\Remedy;
use Oldpart\Core\Loop\Shims;
use Oldpart\Core\Loop\ShimStock;
use Oldpart\Core\Loop\Sureness;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Range;
use Oldpart\Core\Quantity\Unit;

/**
 * A loop of the job worked out: how it closes with what was found, what is planned and what was typed; and what one
 * open length has to be.
 */
final class SolvedLoop
{
    /** @var ?list<Remedy> worked out once it is asked for */
    private ?array $remedies = null;

    private ?Loop $filled = null;

    /**
     * @param  list<LoopRow>  $rows
     * @param  ?Loop  $loop  null while a length is open, or nothing is known
     * @param  ?Loop  $rest  of the lengths that are known, where just one is open
     */
    private function __construct(
        public readonly LoopFacts $facts,
        public readonly array $rows,
        public readonly ?Loop $loop,
        public readonly ?Loop $rest,
        public readonly ?LoopLength $open,
        public readonly LoopLengths $lengths,
        public readonly ?Say $blocked,
        private readonly ShopFacts $shop,
        public readonly bool $withheld,
    ) {
    }

    public static function of(LoopFacts $loop, LoopLengths $lengths, ShopFacts $shop, bool $withheld): self
    {
        $rows = $lengths->rows($loop);
        $known = array_values(
            array_filter(array_map(static fn (LoopRow $r): ?Contributor => $r->contributor, $rows)),
        );
        $unknown = array_values(array_filter($rows, static fn (LoopRow $r): bool => $r->contributor === null));
        $wanted = $loop->wanted();
        $blocked = match (true) {
            $withheld => Gatekeeper::sentence(),
            $loop->lengths === [] => Say::plain(
                'Add the lengths in order, from one side of the gap round to the other.',
            ),
            $wanted === null => Say::plain('Say what the gap is to be: at least, at most, or both.'),
            count($unknown) > 1 => Say::plain(
                'Not known yet: '.
                    implode(', ', array_map(static fn (LoopRow $r): string => $r->length->name, $unknown)).
                    '. Measure or type all but one.',
            ),
            default => null,
        };
        $wanted ??= new Range(-2 * Loop::FAR, 2 * Loop::FAR);
        $open = count($unknown) === 1 ? $unknown[0]->length : null;
        $built = $known === [] ? null : Loop::of($known, $wanted);

        return new self(
            facts: $loop,
            rows: $rows,
            loop: $unknown === [] ? $built : null,
            rest: $open === null ? null : $built,
            open: $open,
            lengths: $lengths,
            blocked: $blocked,
            shop: $shop,
            withheld: $withheld,
        );
    }

    /** The chance that it closes as wanted; null while that is not known. */
    public function chance(): ?float
    {
        return match (true) {
            $this->blocked !== null => null,
            $this->loop !== null => $this->loop->chance(),
            default => $this->best()->chance ?? $this->drawn()?->chance(),
        };
    }

    /** Where no length is sure to close it: the likeliest. */
    public function best(): ?BestLength
    {
        return $this->open === null || $this->blocked !== null || $this->loop !== null
            ? null
            : $this->lengths->best($this->open->key());
    }

    /** What it comes to, in a few words: the gap, or the length it asks for; null while neither is known. */
    public function says(): ?Say
    {
        if ($this->blocked !== null) {
            return null;
        }

        return $this->loop === null
            ? $this->solved()
            : Say::with('closes at {n}, {chance} of 100 as wanted', [
                'n' => LengthWriter::signed($this->loop->nominalMm()),
                'chance' => Sureness::ofHundred($this->loop->chance()),
            ]);
    }

    /** The gap is too wide, and there are shims. */
    private function wantsShims(Loop $loop): bool
    {
        return $loop->worst()->max > $loop->wanted->max + 1e-9 && trim($this->shop->shims) !== '';
    }

    /**
     * @return ?list<float> the pile of the shop's shims that closes a gap that is too wide, thickest first, mm; null where none is needed, or none does
     */
    public function pile(): ?array
    {
        if ($this->loop === null || $this->blocked !== null || ! $this->wantsShims($this->loop)) {
            return null;
        }
        $needed = $this->loop->solveFor(-1);
        try {
            return $needed === null
                ? null
                : Shims::pile(ShimStock::read($this->shop->shims, Unit::Millimetre), $needed);
        } catch (BadInput) {
            return null;
        }
    }

    /** What the shims in the drawer do for it; null where none are needed, or there are none. */
    public function shimmed(): ?Say
    {
        if ($this->loop === null || $this->blocked !== null || ! $this->wantsShims($this->loop)) {
            return null;
        }
        $pile = $this->pile();

        return $pile === null
            ? Say::plain('No pile of the shims in the drawer closes it for sure.')
            : Say::with('Shim it with {pile}: it then closes at {n}.', [
                'pile' => Say::join(
                    array_map(static fn (float $mm): Say => LengthWriter::sizeInWords($mm), $pile),
                    ' + ',
                ),
                'n' => LengthWriter::size(max(0.0, $this->loop->nominalMm() - array_sum($pile))),
            ]);
    }

    /** @return list<Remedy> what to change so that it closes as wanted, where it may not */
    public function remedies(): array
    {
        if ($this->loop === null || $this->blocked !== null) {
            return [];
        }
        $typed = $made = $reserves = $faces = [];
        foreach ($this->rows as $i => $row) {
            $reserve = $row->length->reserve();
            if ($reserve !== null) {
                $reserves[$i] = $reserve;
            }
            if ($row->isTyped()) {
                $typed[] = $i;
            } elseif ($row->isToMake()) {
                $made[] = $i;
            } elseif ($row->canBeFaced()) {
                $faces[] = $i;
            }
        }

        return $this->remedies ??= (new Remedies($this->loop, $this->shop->latheHoldsMm))->all(
            $typed,
            [...$typed, ...$made],
            $reserves,
            $faces,
        );
    }

    /**
     * The limits of the one open length that serve every loop it stands in, or the likeliest; null where none is open,
     * something stands in the way, or no length does.
     */
    private function openRange(): ?Range
    {
        $best = $this->best();

        return match (true) {
            $this->open === null, $this->blocked !== null => null,
            $best !== null => new Range($best->band->lowerMm, $best->band->upperMm),
            default => $this->lengths->range($this->open->key()),
        };
    }

    /** Where the same length has to serve another loop too; said of itself where no one length serves both. */
    public function alsoServes(): ?Say
    {
        return $this->open !== null && $this->lengths->clash($this->open->key()) ? null : $this->shared();
    }

    private function shared(): ?Say
    {
        $key = $this->open?->key();
        $others = $key === null || $this->blocked !== null ? [] : $this->lengths->others($key, $this->facts);
        if ($this->open === null || $key === null || $others === []) {
            return null;
        }
        $asks = Say::join(
            array_map(
                static fn (array $a): Say => Say::with('“{loop}” asks for {range}', [
                    'loop' => $a['loop']->name,
                    'range' => self::limits($a['range']),
                ]),
                $others,
            ),
            ', ',
        );

        return $this->lengths->clash($key)
            ? Say::with(
                'No one {name} serves both: here it would be {range}, and {others}. Change a wish, or another length.',
                [
                    'name' => $this->open->name,
                    'range' => self::limits($this->lengths->asks($key, $this->facts) ?? new Range(0, 0)),
                    'others' => $asks,
                ],
            )
            : Say::with('{others}: the limits here serve both.', ['others' => $asks]);
    }

    private static function limits(Range $range): Say
    {
        $band = new Band(max(0.0, $range->min), max(0.0, $range->max));

        return match (true) {
            $range->max > Loop::FAR => Say::with('at least {a}', ['a' => LengthWriter::lower($band)]),
            $range->min < -Loop::FAR => Say::with('at most {b}', ['b' => LengthWriter::upper($band)]),
            default => Say::with('{a} to {b}', [
                'a' => LengthWriter::lower($band),
                'b' => LengthWriter::upper($band),
            ]),
        };
    }

    /** What the open length has to be, in words; null where none is open, or something stands in the way. */
    public function solved(): ?Say
    {
        if ($this->rest === null || $this->open === null || $this->blocked !== null) {
            return null;
        }
        if ($this->lengths->clash($this->open->key())) {
            return $this->shared();
        }
        $best = $this->best();
        if ($best !== null) {
            return Say::with(
                'No “{name}” closes it for sure: the others already spread more than is wanted. {a} closes it in '
                    .Likely::ofHundred($best->chance).' of 100; read or hold the others closer for more.',
                ['name' => $this->open->name, 'a' => LengthWriter::size($best->aimMm)],
            );
        }
        $range = $this->openRange();
        if ($range === null) {
            return Say::with('No “{name}” closes it for sure: the others already spread more than is wanted.', [
                'name' => $this->open->name,
            ]);
        }
        if ($range->max <= 0) {
            return Say::with(
                'No “{name}” closes it: there is no room left for one. A length is in the wrong way round, or a size is wrong.',
                ['name' => $this->open->name],
            );
        }

        return Say::with('{name}: {limits}.', ['name' => $this->open->name, 'limits' => self::limits($range)]);
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
        if (
            $range === null
            || $this->rest === null
            || $this->open === null
            || $range->max <= 0
            || $range->max > Loop::FAR
            || $range->min < -Loop::FAR
        ) {
            return null;
        }
        $band = $this->openBand($range);
        $open = new Contributor(
            $this->open->name,
            $band->middleMm(),
            $band->widthMm() / 2,
            $band->widthMm() / 2,
            $this->open->direction(),
            weight: $this->open->weight(),
        );

        return Loop::of(
            array_map(static fn (LoopRow $row): Contributor => $row->contributor ?? $open, $this->rows),
            $this->rest->wanted,
        );
    }

    /**
     * @return ?array{closes_at: Say, worst: Say, chance: float, sure: Sureness, says: Say, unknown: ?string} as it closes with each length at its own temperature in use; null where no temperature is typed
     */
    public function inUse(): ?array
    {
        $warm = array_filter($this->rows, static fn (LoopRow $r): bool => $r->growthMm !== null);
        if ($this->loop === null || $this->blocked !== null || $warm === []) {
            return null;
        }
        $loop = Loop::of(
            array_values(array_filter(array_map(static fn (LoopRow $r): ?Contributor => $r->inUse(), $this->rows))),
            $this->loop->wanted,
        );
        $asJob = array_values(
            array_filter(
                $this->rows,
                static fn (LoopRow $r): bool => $r->inUseC !== null && $r->length->inUseC === null,
            ),
        );
        $unknown = array_map(
            static fn (LoopRow $r): string => $r->length->name,
            array_values(
                array_filter(
                    $this->rows,
                    static fn (LoopRow $r): bool => $r->inUseC !== null && $r->growthMm === null,
                ),
            ),
        );

        return [
            'closes_at' => LengthWriter::signed($loop->nominalMm()),
            'worst' => self::between($loop->worst()),
            'chance' => $loop->chance(),
            'sure' => Sureness::of($loop->chance(), 'as wanted, warm too', '{n} of 100 as wanted, warm'),
            'says' => Say::with(
                'Warm as in use it closes at {n}, {by} {which} than cold.'.
                    ($asJob === []
                        ? ''
                        : ' Where no temperature of its own is typed, '.
                            number_format((float) $asJob[0]->inUseC).
                            ' °C as it runs counts.'),
                [
                    'n' => LengthWriter::signed($loop->nominalMm()),
                    'by' => LengthWriter::difference($loop->nominalMm() - $this->loop->nominalMm()),
                    'which' => $loop->nominalMm() > $this->loop->nominalMm() ? 'wider' : 'narrower',
                ],
            ),
            'unknown' => $unknown === []
                    ? null
                    : 'Of what metal is “'.
                        implode('”, “', $unknown).
                        '”? Without that its growth is not counted.',
        ];
    }

    public static function between(Range $range): Say
    {
        return Say::with('{a} to {b}', ['a' => LengthWriter::signed($range->min), 'b' => LengthWriter::signed($range->max)]);
    }

    /** The loop to draw, its open length as it is to be made; null while that can't be drawn, or is withheld. */
    public function drawn(): ?Loop
    {
        return $this->withheld ? null : $this->loop ?? ($this->filled ??= $this->filled());
    }

    /** @return list<array{name: string, loop: Loop}> the other closings on the same chain */
    public function beside(): array
    {
        $keys = array_map(static fn (LoopLength $l): string => $l->key(), $this->facts->lengths);
        $beside = [];
        foreach ($this->lengths->facts->loops as $other) {
            $shared = array_filter(
                $other->lengths,
                static fn (LoopLength $l): bool => in_array($l->key(), $keys, true),
            );
            $drawn =
                $other->id === $this->facts->id || $other->plane || $other->wanted() === null || $shared === []
                    ? null
                    : $this->lengths->answer($other, $this->shop, $this->withheld)->drawn();
            if ($drawn !== null) {
                $beside[] = ['name' => $other->name, 'loop' => $drawn];
            }
        }

        return $beside;
    }

    /**
     * @return ?array{name: string, aim: Say, limit: Say} the open length for the make card, aimed midway between its limits
     */
    public function length(): ?array
    {
        $range = $this->openRange();
        // A surface to make has a line of its own.
        if (
            $range === null
            || $this->open === null
            || $range->max <= 0
            || isset($this->lengths->bands()[$this->open->key()])
        ) {
            return null;
        }
        $band = $this->openBand($range);
        [$aim, $limit] = match (true) {
            $range->max > Loop::FAR => [LengthWriter::lower($band), Say::plain('or longer')],
            $range->min < -Loop::FAR => [LengthWriter::upper($band), Say::plain('or shorter')],
            default => [
                LengthWriter::size($band->middleMm()),
                Say::with('anywhere from {a} to {b}', [
                    'a' => LengthWriter::lower($band),
                    'b' => LengthWriter::upper($band),
                ]),
            ],
        };

        return ['name' => $this->open->name, 'aim' => $aim, 'limit' => $limit];
    }
}

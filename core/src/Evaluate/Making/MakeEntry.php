<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Likely;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WayOut;
use Oldpart\Core\Evaluate\Shaped\ShapeNumber;
use Oldpart\Core\Evaluate\Sizing\BestForJoint;
use Oldpart\Core\Facts\Phase;
use Oldpart\Core\Facts\SurfaceFacts;
use Oldpart\Core\Fit\Aim;
use Oldpart\Core\Measure\GoodEnough;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;

/** One line of the make card: a surface to make, the one number, its limits, and what stands in the way. */
final readonly class MakeEntry implements \JsonSerializable
{
    /** Nobody aims at two ends so close together. */
    private const FINE_MM = 0.004;

    /**
     * @param  ?Band  $band  null while something stands in the way
     * @param  list<Say>  $remarks
     * @param  list<Note>  $notes
     * @param  array{stage: string, surface: ?string}  $goto  where to go to get on
     */
    public function __construct(
        public SurfaceFacts $surface,
        public Phase $phase,
        public string $label,
        public string $jointId,
        public ?Band $band,
        public ?Say $blocked,
        public ?GoodEnough $reading,
        public array $remarks,
        public array $notes,
        public array $goto,
        public ?Say $made = null,
        public ?string $verdict = null,
        /** No joint and no loop asks for it: it belongs to the rest of the part. */
        public bool $rest = false,
        /** It need not be measured. */
        public bool $free = false,
        /** How likely it is to work, where it can't be promised. */
        public ?BestForJoint $best = null,
        /** That it works, 0 to 1; null where that is not known. */
        public ?float $chance = null,
        /** @var list<ShapeNumber> of a shape: what one dials or reads besides */
        public array $more = [],
    ) {
    }

    public function key(): string
    {
        return "{$this->surface->id}:{$this->phase->value}";
    }

    public function made(?Say $made, ?string $verdict): self
    {
        return $this->changed(made: $made, verdict: $verdict);
    }

    /** Where to aim: what is fitted from the end where metal is left, anything else at the middle. Common practice. */
    public function aim(): Aim
    {
        return $this->rest || $this->isUnsure() ? Aim::Middle : Aim::MetalLeft;
    }

    /** Where all of the band is as good as certain, the end where metal is left is as good as the middle. */
    private function isUnsure(): bool
    {
        return $this->best !== null && ! Likely::isSure($this->best->best->chance);
    }

    /** @return array{Say, Say} the one number, and how far it may go from there */
    private function target(Band $band): array
    {
        $ends = ['a' => LengthWriter::lower($band), 'b' => LengthWriter::upper($band)];

        return match (true) {
            $this->isUnsure() && $band->widthMm() < self::FINE_MM => [
                LengthWriter::size($band->middleMm()),
                Say::plain('as near to it as you can'),
            ],
            $this->rest || $this->isUnsure() => [LengthWriter::size($band->middleMm()), Say::with('anywhere from {a} to {b}', $ends)],
            $this->surface->grows() => [$ends['a'], Say::with('stop anywhere up to {b}', $ends)],
            default => [$ends['b'], Say::with('stop anywhere down to {a}', $ends)],
        };
    }

    /**
     * With more to say of it.
     *
     * @param  list<Say>  $remarks
     * @param  list<Note>  $notes
     */
    public function with(array $remarks, array $notes): self
    {
        return $this->changed(remarks: [...$this->remarks, ...$remarks], notes: [...$this->notes, ...$notes]);
    }

    /** With its chance, and where it can't be promised what would raise that. */
    public function likely(?float $chance, ?BestForJoint $best): self
    {
        $helps = array_map(static fn (WayOut $w): Say => $w->says, $best?->firstHelps() ?? []);

        return $this->changed(
            remarks: $best === null || $this->phase === Phase::Before
                ? $this->remarks
                : [...$this->remarks, $best->says, ...$helps],
            best: $best,
            chance: $chance,
        );
    }

    /** With other limits, and why. */
    public function narrowed(?Band $band, ?Say $blocked, Say $remark): self
    {
        // The chance is of its final size, not of one with stock on it or none.
        $stays = $band !== null && $this->surface->demand?->kind->leaves() !== true;

        return new self(
            surface: $this->surface,
            phase: $this->phase,
            label: $this->label,
            jointId: $this->jointId,
            band: $band,
            blocked: $blocked,
            reading: $this->reading,
            remarks: $blocked === null ? [...$this->remarks, $remark] : $this->remarks,
            notes: $this->notes,
            goto: $band === null ? ['stage' => 'survey', 'surface' => $this->surface->id] : $this->goto,
            rest: $this->rest,
            free: $this->free,
            best: $stays ? $this->best : null,
            chance: $stays ? $this->chance : null,
            more: $this->more,
        );
    }

    /**
     * @param  ?list<Say>  $remarks
     * @param  ?list<Note>  $notes
     */
    private function changed(
        ?array $remarks = null,
        ?array $notes = null,
        ?Say $made = null,
        ?string $verdict = null,
        ?BestForJoint $best = null,
        ?float $chance = null,
    ): self {
        return new self(
            surface: $this->surface,
            phase: $this->phase,
            label: $this->label,
            jointId: $this->jointId,
            band: $this->band,
            blocked: $this->blocked,
            reading: $this->reading,
            remarks: $remarks ?? $this->remarks,
            notes: $notes ?? $this->notes,
            goto: $this->goto,
            made: $made ?? $this->made,
            verdict: $verdict ?? $this->verdict,
            rest: $this->rest,
            free: $this->free,
            best: $best ?? $this->best,
            chance: $chance ?? $this->chance,
            more: $this->more,
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $band = $this->band;
        [$aim, $limit] = $band === null ? [null, null] : $this->target($band);

        return [
            'key' => $this->key(),
            'surface' => $this->surface->id,
            'phase' => $this->phase->value,
            'joint' => $this->jointId,
            'label' => $this->label,
            'aim' => $aim,
            'limit' => $limit,
            'lower' => $band === null ? null : LengthWriter::lower($band),
            'upper' => $band === null ? null : LengthWriter::upper($band),
            'band' => $band,
            'blocked' => $this->blocked,
            'reading' => $this->reading === null
                    ? null
                    : [
                        'verdict' => $this->reading->verdict,
                        'says' => Say::plain(
                            ($this->reading->verdict === 'not-good-enough'
                                ? 'reading not good enough'
                                : 'reading '.$this->reading->verdict).
                                ', '.
                                $this->reading->short(),
                        ),
                    ],
            'remarks' => $this->remarks,
            'notes' => $this->notes,
            'goto' => $this->goto,
            'made' => $this->made,
            'verdict' => $this->verdict,
            'rest' => $this->rest,
            'free' => $this->free,
            'more' => $this->more,
            'chance' => $this->chance === null
                ? null
                : ['kind' => Likely::kind($this->chance), 'says' => Likely::inWords($this->chance)],
        ];
    }
}

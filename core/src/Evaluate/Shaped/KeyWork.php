<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Fit\Iso286;
use Oldpart\Core\Key\KeyLimits;
use Oldpart\Core\Key\Keyway;
use Oldpart\Core\Key\ParallelKey;
use Oldpart\Core\Key\SlotFit;
use Oldpart\Core\Picture\KeyPicture;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Quantity\Unit;
use Oldpart\Core\Shape\SurfaceType;

/** A keyway: which key, how wide and how deep at each place one can measure, how the cutter is set. */
final readonly class KeyWork
{
    /** A slot this far from a standard width is odd: the key is made to it, mm. Common practice. */
    private const ODD_MM = 0.1;

    public function __construct(private ShapeCase $case)
    {
    }

    public function surface(): ShapedSurface
    {
        $round = $this->round();
        $inch = $this->case->sizes->facts->unit === Unit::Inch;
        try {
            $key = $this->key($round, $inch);
            $way = $key === null || $round === null ? null : $key->on($round->mm);
        } catch (BadInput $bad) {
            return ShapedSurface::open($this->case->surface, $this->case->isCut, Say::plain($bad->getMessage()));
        }
        if ($key === null || $way === null || $round === null) {
            return ShapedSurface::open($this->case->surface, $this->case->isCut, Say::plain(
                $round === null
                    ? 'Read the diameter it is cut in: the key goes by it, and the depth is measured from it.'
                    : 'No standard key for a diameter like this. Type its width and height at Survey, as 8 × 7 or 1/4 square.',
            ));
        }

        return $this->case->isCut ? $this->made($key, $way, $round) : $this->found($key, $way, $round);
    }

    private function isHub(): bool
    {
        return $this->case->surface->type === SurfaceType::KeywayHub;
    }

    private function round(): ?KnownSize
    {
        $own = $this->case->sizes->round($this->case->surface, $this->isHub() ? SurfaceType::Bore : SurfaceType::Shaft);
        if ($own !== null || $this->case->mate === null) {
            return $own;
        }

        // Both have about the diameter of the other.
        return $this->case->sizes->round($this->case->mate, $this->isHub() ? SurfaceType::Shaft : SurfaceType::Bore);
    }

    /** Said, by the slot that is there, or by the shaft. */
    private function key(?KnownSize $round, bool $inch): ?ParallelKey
    {
        $said = $this->case->shape();
        if ($said !== null) {
            return ParallelKey::named($said);
        }
        $standard = $round === null ? null : ParallelKey::forShaft($round->mm, $inch);
        $slot = $this->slot();
        if ($slot === null || $standard === null) {
            return $standard;
        }
        foreach ([$standard, ParallelKey::forShaft($round->mm, ! $inch)] as $one) {
            if ($one !== null && abs($slot->mm - $one->widthMm) <= self::ODD_MM + $slot->u95Mm) {
                return $one;
            }
        }

        return ParallelKey::of($slot->mm, $standard->heightMm, $inch);
    }

    /** The width of a slot that was read: of its mate where this one is cut, else its own. */
    private function slot(): ?KnownSize
    {
        $size = $this->case->isCut ? $this->case->mates() : $this->case->of();

        return $size !== null && $size->isRead ? $size : null;
    }

    private function found(ParallelKey $key, Keyway $way, KnownSize $round): ShapedSurface
    {
        $notes = [];
        $width = $this->case->of();
        $wide = self::width($key, $key->widthMm, $this->isHub(), SlotFit::Free);
        if ($width !== null && $width->isRead && $width->mm - $width->u95Mm > $wide->upperMm) {
            $notes[] = Note::caution(
                'slot-worn',
                Say::with('The slot is {d} wider than its key: worn, or of another size. True it up and make the key to it, stepped where the other slot is still good.', [
                    'd' => LengthWriter::difference($width->mm - $key->widthMm),
                ]),
            );
        }
        $deep = $this->deepest();
        $asked = $this->isHub() ? $way->hubMm : $way->acrossMm;
        $across = $this->case->of('across');
        if ($across !== null && abs($across->mm - $asked) > 0.5 + $across->u95Mm) {
            $notes[] = Note::caution(
                'slot-depth',
                Say::with('Its depth is {d} off the standard for this key: measure the key that was in it, and make the new one to both slots.', [
                    'd' => LengthWriter::difference($across->mm - $asked),
                ]),
            );
        }

        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: false,
            is: Say::plain("Key {$key->label()}".($key->standard ? '' : ', made to the slot')),
            because: Say::plain($this->why($key)),
            numbers: [
                ShapeNumber::size('Key, wide', $key->widthMm),
                ShapeNumber::size('Key, high', $key->heightMm),
                ...$this->depths($key, $way, false),
                ...$deep,
            ],
            notes: $notes,
            picture: KeyPicture::draw($round->mm, $key->widthMm, $way, $this->isHub()),
            working: [$this->step($key, $way)],
        );
    }

    private function made(ParallelKey $key, Keyway $way, KnownSize $round): ShapedSurface
    {
        $band = self::width($key, $key->widthMm, $this->isHub(), SlotFit::Normal);
        $numbers = [ShapeNumber::within('Slot, wide', $band, ''), ...$this->depths($key, $way, true)];
        if (! $key->inch) {
            foreach ([SlotFit::Free, SlotFit::Tight] as $fit) {
                $numbers[] = ShapeNumber::within(
                    "Slot, {$fit->value}",
                    self::width($key, $key->widthMm, $this->isHub(), $fit),
                );
            }
        }
        $notes = [];
        if (! $round->isRead) {
            $notes[] = Note::caution('round-noted', 'The diameter it is cut in is not read: its depth across goes by that. Read it first.');
        }
        if (! $key->standard) {
            $notes[] = Note::info(
                'key-to-slot',
                Say::with('An odd slot: make the key {w} wide, a push fit, from ground or drawn stock; the depth here is half of its height each.', [
                    'w' => LengthWriter::size($key->widthMm),
                ]),
            );
        }

        return new ShapedSurface(
            surface: $this->case->surface,
            isCut: true,
            is: Say::plain("for a key {$key->label()}"),
            band: $band,
            because: Say::plain(
                $this->why($key)
                    .' Its width is the normal fit: for a drive that reverses take the tight one, for a hub that slides the free one.',
            ),
            numbers: $numbers,
            sets: $this->sets($key, $way, $round, $band),
            checks: $this->checks(),
            notes: $notes,
            picture: KeyPicture::draw($round->mm, $key->widthMm, $way, $this->isHub()),
            working: [$this->step($key, $way)],
        );
    }

    private function why(ParallelKey $key): string
    {
        return match (true) {
            $this->case->shape() !== null => 'As typed.',
            $this->slot() === null => 'The standard key for this diameter.',
            $key->standard => 'By the slot that was read.',
            default => 'By the slot that was read: it is no standard width.',
        };
    }

    /** @return list<ShapeNumber> what was read of its depth */
    private function deepest(): array
    {
        $read = [];
        foreach (['across' => 'As read, across', 'from-top' => 'As read, from the round', 'at-corner' => 'As read, at its corners'] as $what => $name) {
            $size = $this->case->of($what);
            if ($size !== null) {
                $read[] = ShapeNumber::size($name, $size->mm);
            }
        }

        return $read;
    }

    /** @return list<ShapeNumber> */
    private function depths(ParallelKey $key, Keyway $way, bool $limits): array
    {
        $deeper = KeyLimits::deeperMm($key->widthMm, $key->inch, $this->isHub());
        if ($this->isHub()) {
            return [
                $limits
                    ? ShapeNumber::within('From its bottom across the bore', new Band($way->hubMm, $way->hubMm + $deeper), 'across')
                    : ShapeNumber::size('Across the bore, new', $way->hubMm),
            ];
        }

        return [
            $limits
                ? ShapeNumber::within('From its bottom across the shaft', new Band($way->acrossMm - $deeper, $way->acrossMm), 'across')
                : ShapeNumber::size('Across the shaft, new', $way->acrossMm),
            ShapeNumber::size('From the uncut round down', $way->fromTopMm),
            ShapeNumber::size('At its own corners', $way->atCornerMm),
        ];
    }

    /** Source: DIN 6885-1 for metric keys, ANSI B17.1 for inch ones. */
    private static function width(ParallelKey $key, float $mm, bool $hub, SlotFit $fit): Band
    {
        if ($key->inch) {
            return new Band($mm, $mm + KeyLimits::inchWiderMm());
        }
        $limits = Iso286::hole($mm, $hub ? $fit->inHub() : $fit->inShaft());

        return new Band($mm + $limits->lowerMm, $mm + $limits->upperMm);
    }

    /** @return list<Say> */
    private function sets(ParallelKey $key, Keyway $way, KnownSize $round, Band $band): array
    {
        if ($this->isHub()) {
            return [
                Say::plain('Broach it, or shape it with a bar in the lathe: the tool as wide as the slot, at centre height, the feed by the cross slide.'),
                Say::with('Touch off where the bore is nearest the tool’s middle, then feed {d} in all.', [
                    'd' => LengthWriter::size($way->hubMm - $round->mm),
                ]),
                Say::plain('Keep it in line with the axis: run an indicator along the bore first.'),
            ];
        }
        $cutter = self::cutter($key->widthMm, $key->inch);
        // Of a metric slot the key's own width is the upper limit: what is cut to that comes out past it.
        $aim = $key->inch ? $key->widthMm : min($key->widthMm, $band->middleMm());
        $step = $cutter >= $band->lowerMm ? 0.0 : Keyway::sideStepMm($aim, $cutter);
        $long = $this->case->surface->long->length->mm ?? null;
        $sets = [
            Say::with('Centre it: touch one side with a finder, then move half the shaft, {h}, and the finder’s half.', [
                'h' => LengthWriter::size($round->mm / 2),
            ]),
            Say::with('Let the cutter just touch the round on top, then go {d} deeper.', [
                'd' => LengthWriter::size($way->fromTopMm),
            ]),
        ];
        $sets[] = $step < 1e-6
            ? Say::with('A cutter of {c} cuts it in one pass; a worn one cuts small, so try it in scrap.', ['c' => LengthWriter::size($cutter)])
            : Say::with('With a cutter of {c}: once down the middle, then {s} to each side.', [
                'c' => LengthWriter::size($cutter),
                's' => LengthWriter::size($step),
            ]);
        if ($long !== null) {
            $sets[] = Say::with('Blind end: for {l} of flat bottom the cutter’s middle goes {t}; or stop at {l} and round the key.', [
                'l' => LengthWriter::size($long),
                't' => LengthWriter::size(Keyway::travelMm($long, $cutter)),
            ]);
        }

        return $sets;
    }

    /** The largest common cutter that is no wider than the slot, mm. */
    private static function cutter(float $widthMm, bool $inch): float
    {
        $step = $inch ? 25.4 / 16 : ($widthMm >= 2 ? 1.0 : 0.5);

        return max($step, floor($widthMm / $step + 1e-6) * $step);
    }

    /** @return list<Say> */
    private function checks(): array
    {
        return $this->isHub()
            ? [
                Say::plain('The key slides in by hand and stands square; the hub goes on with play above the key, never tight on top.'),
                Say::plain('Central: the two walls the same height from a pin laid through the bore.'),
            ]
            : [
                Say::plain('Read across with a micrometer from its bottom to the far side, before it comes off the table.'),
                Say::plain('Central: the depth at its two corners the same; half of a difference is how far it is off.'),
                Say::plain('The key goes in by hand or a light tap, and does not rock.'),
            ];
    }

    private function step(ParallelKey $key, Keyway $way): WorkingStep
    {
        return new WorkingStep(
            'Depth',
            $key->inch || ! $key->standard
                ? 'S = D − y − H/2, T = D − y + H/2 + 0.005 in, y = (D − √(D² − W²))/2'
                : 'S = D − t₁, T = D + t₂',
            Say::with('across the shaft {s}, across the bore {t}', [
                's' => LengthWriter::size($way->acrossMm),
                't' => LengthWriter::size($way->hubMm),
            ]),
            $key->inch || ! $key->standard ? 'ANSI B17.1' : 'DIN 6885-1',
        );
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shaped;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Fit\Iso286;
use Oldpart\Core\Key\KeyLimits;
use Oldpart\Core\Key\SlotFit;
use Oldpart\Core\Key\WoodruffKey;
use Oldpart\Core\Quantity\Band;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shape\SurfaceType;

/** The slot of a Woodruff key: its cutter, how deep it is sunk, and its hub. */
final readonly class WoodruffWork
{
    public function __construct(private ShapeCase $case)
    {
    }

    public static function is(ShapeCase $case): bool
    {
        return preg_match('/^\s*woodruff/i', $case->shape() ?? '') === 1;
    }

    public function surface(): ShapedSurface
    {
        $surface = $this->case->surface;
        $hub = $surface->type === SurfaceType::KeywayHub;
        $round = $this->case->sizes->round($surface, $hub ? SurfaceType::Bore : SurfaceType::Shaft);
        $cut = $this->case->isCut;
        try {
            $key = WoodruffKey::named($this->case->shape() ?? '');
            if ($round === null) {
                return ShapedSurface::open($surface, $cut, Say::plain('Read the diameter it is cut in: its depth is measured from it.'));
            }
            $numbers = $hub ? $this->inHub($key, $round->mm) : $this->inShaft($key, $round->mm);
            $deep = $key->fromTopMm($round->mm);
        } catch (BadInput $bad) {
            return ShapedSurface::open($surface, $cut, Say::plain($bad->getMessage()));
        }

        return new ShapedSurface(
            surface: $surface,
            isCut: $cut,
            is: Say::with("{$key->label}: {w} wide, a half disc of {d}", [
                'w' => LengthWriter::sizeInWords($key->widthMm),
                'd' => LengthWriter::sizeInWords($key->discMm),
            ]),
            band: $cut ? $this->width($key, $hub) : null,
            because: Say::plain('As typed.'),
            numbers: $numbers,
            sets: $cut ? $this->sets($key, $round->mm, $hub) : [],
            checks: $cut ? self::checks($hub) : [],
            notes: $round->isRead ? [] : [Note::caution('round-noted', 'The diameter it is cut in is not read: its depth goes by that. Read it first.')],
            working: [
                new WorkingStep(
                    'Depth in the shaft',
                    $key->inch ? 'C − 0.005 in − W/2 at the corners' : 't₁ from the round',
                    LengthWriter::size($deep),
                    $key->inch ? 'ANSI B17.2' : 'ISO 3912',
                ),
            ],
        );
    }

    /** @return list<ShapeNumber> */
    private function inShaft(WoodruffKey $key, float $round): array
    {
        $deeper = KeyLimits::woodruffDeeperMm($key->widthMm, $key->inch);
        $top = $key->fromTopMm($round);

        return [
            ShapeNumber::within('Slot, wide', $this->width($key, false), ''),
            ShapeNumber::within('From the uncut round down', new Band($top, $top + $deeper)),
            ShapeNumber::size('At its own corners', $key->atCornerMm($round)),
            ShapeNumber::size('Cutter', $key->discMm),
            ShapeNumber::size('Slot, long on the round', $key->slotMm($round)),
        ];
    }

    /** @return list<ShapeNumber> */
    private function inHub(WoodruffKey $key, float $bore): array
    {
        $across = $key->acrossHubMm($bore);

        return [
            ShapeNumber::within('Slot, wide', $this->width($key, true), ''),
            ShapeNumber::within(
                'From its bottom across the bore',
                new Band($across, $across + KeyLimits::woodruffDeeperMm($key->widthMm, $key->inch)),
                'across',
            ),
        ];
    }

    private function width(WoodruffKey $key, bool $hub): Band
    {
        if ($key->inch) {
            return new Band($key->widthMm, $key->widthMm + KeyLimits::inchWiderMm());
        }
        $limits = Iso286::hole($key->widthMm, $hub ? SlotFit::Normal->inHub() : SlotFit::Normal->inShaft());

        return new Band($key->widthMm + $limits->lowerMm, $key->widthMm + $limits->upperMm);
    }

    /** @return list<Say> */
    private function sets(WoodruffKey $key, float $round, bool $hub): array
    {
        if ($hub) {
            return [Say::plain('Broach or shape it right through, as for a parallel key: the disc finds its own slope.')];
        }

        return [
            Say::with('A Woodruff cutter of {d} by {w}: its middle over the middle of the slot, and over the shaft’s axis.', [
                'd' => LengthWriter::size($key->discMm),
                'w' => LengthWriter::size($key->widthMm),
            ]),
            Say::with('Let it just touch the round, then sink it {t} straight in. No travel along.', [
                't' => LengthWriter::size($key->fromTopMm($round)),
            ]),
        ];
    }

    /** @return list<Say> */
    private static function checks(bool $hub): array
    {
        return [
            Say::plain($hub
                ? 'The hub goes on over the key with play above it, never tight on top.'
                : 'The key rocks in along its disc and lies level; a light tap, no shake sideways.'),
        ];
    }
}

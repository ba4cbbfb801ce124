<?php

declare(strict_types=1);

namespace Oldpart\Core\Groove;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Advice\Note;
use Oldpart\Core\Quantity\Band;

/**
 * A round rubber ring in a groove: how deep so that it is squeezed enough, how wide so that it does not fill it; mm.
 */
final readonly class SealRing
{
    /** Squeezed by so much of its thickness: at rest, and where something moves. Common practice of the makers. */
    private const STILL = [0.15, 0.28];

    private const MOVES = [0.10, 0.18];

    /** Wider than the ring by so much, so that it may swell; never filled above. Common practice. */
    private const WIDE = [1.30, 1.40];

    private const MOST_FILL = 0.85;

    /**
     * @param  float  $thickMm  of the ring, above 0
     *
     * @throws BadInput for a ring of nothing
     */
    public function __construct(private float $thickMm, private bool $moves)
    {
        if (! ($thickMm > 0 && $thickMm < 50)) {
            throw new BadInput('ring', 'shape', 'A seal ring is thicker than nothing: type its thickness, as O-ring 3.53.');
        }
    }

    /** From the bottom of the groove to the surface it seals on: the gap is part of it. */
    public function depth(): Band
    {
        [$least, $most] = $this->moves ? self::MOVES : self::STILL;

        return new Band($this->thickMm * (1 - $most), $this->thickMm * (1 - $least));
    }

    public function width(): Band
    {
        return new Band(self::WIDE[0] * $this->thickMm, self::WIDE[1] * $this->thickMm);
    }

    /** How much of its thickness is squeezed away, 0 to 1; below 0 it does not touch. */
    public function squeeze(float $depthMm): float
    {
        return 1 - $depthMm / $this->thickMm;
    }

    /** How much of the groove it fills, 0 up; above 1 it does not go in. */
    public function fill(float $depthMm, float $widthMm): float
    {
        return (M_PI / 4) * $this->thickMm ** 2 / ($depthMm * $widthMm);
    }

    /** @return list<Note> what speaks against a groove as it is */
    public function notes(float $depthMm, float $widthMm): array
    {
        $depth = $this->depth();
        $notes = [];
        if ($depthMm > $depth->upperMm) {
            $notes[] = Note::caution('squeeze-little', 'Squeezed too little there: it weeps. Take a thicker ring, or make the groove less deep.');
        } elseif ($depthMm < $depth->lowerMm) {
            $notes[] = Note::caution('squeeze-much', 'Squeezed too much there: it is hard to put together, and wears or sets. Make the groove deeper.');
        }
        if ($this->fill($depthMm, $widthMm) > self::MOST_FILL) {
            $notes[] = Note::caution('groove-full', 'It fills the groove: warm or swollen it has nowhere to go. Make the groove wider.');
        }

        return $notes;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Key;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;

/** How deep a keyway is, said at each place one can measure it; mm. */
final readonly class Keyway
{
    /** An inch hub is cut so much deeper than the key stands out of the shaft: 0.005 in. Source: ANSI B17.1. */
    private const INCH_TOP_MM = 0.127;

    private function __construct(
        /** S: from the bottom of the slot across to the other side of the shaft. */
        public float $acrossMm,
        /** From the top of the round, before it was cut, down to the bottom. */
        public float $fromTopMm,
        /** From the slot's own corners down to the bottom. */
        public float $atCornerMm,
        /** T: from the bottom of the hub's slot across its bore. */
        public float $hubMm,
    ) {
    }

    /**
     * Half of the key's height stands in the shaft, measured at its sides: S = D − y − H/2, T = D − y + H/2 + 0.005 in,
     * with y = (D − √(D² − W²))/2 the height of the arc the slot cuts away. Source: ANSI B17.1.
     *
     * @param  float  $shaftMm  D, above the width
     * @param  float  $widthMm  W, above 0
     * @param  float  $heightMm  H, above 0
     *
     * @throws BadInput for a slot that doesn't fit on the shaft
     */
    public static function inch(float $shaftMm, float $widthMm, float $heightMm): self
    {
        $arc = self::arcMm($shaftMm, $widthMm);
        self::check($shaftMm, $heightMm / 2 + $arc, $heightMm);

        return new self(
            $shaftMm - $arc - $heightMm / 2,
            $arc + $heightMm / 2,
            $heightMm / 2,
            $shaftMm - $arc + $heightMm / 2 + self::INCH_TOP_MM,
        );
    }

    /**
     * By the table's depths: S = D − t1, hub D + t2. Source: DIN 6885-1.
     *
     * @throws BadInput for a key that is not in the table, or doesn't fit on the shaft
     */
    public static function metric(float $shaftMm, float $widthMm, float $heightMm): self
    {
        $arc = self::arcMm($shaftMm, $widthMm);
        /** @var list<array{float, float, float, float}> $rows */
        $rows = Table::read('keys')['rows'];
        foreach ($rows as [$width, $height, $inShaft, $inHub]) {
            if (abs($width - $widthMm) < 1e-6 && abs($height - $heightMm) < 1e-6) {
                self::check($shaftMm, (float) $inShaft, $heightMm);

                return new self($shaftMm - $inShaft, (float) $inShaft, $inShaft - $arc, $shaftMm + $inHub);
            }
        }
        $known = implode(', ', array_map(static fn (array $r): string => "{$r[0]} × {$r[1]}", $rows));
        throw new BadInput(
            'no-such-key',
            'width_mm',
            "There is no metric key of that width and height. There are: {$known}.",
        );
    }

    /** The height of the arc that a slot of this width cuts off the round, mm. */
    public static function arcMm(float $shaftMm, float $widthMm): float
    {
        if (! ($widthMm > 0) || ! ($shaftMm > $widthMm)) {
            throw new BadInput(
                'width',
                'width_mm',
                'The key must be above zero wide, and narrower than the shaft is thick.',
            );
        }

        return ($shaftMm - sqrt($shaftMm ** 2 - $widthMm ** 2)) / 2;
    }

    /**
     * How far a narrower cutter is moved to either side, mm.
     *
     * @throws BadInput for a cutter wider than the slot
     */
    public static function sideStepMm(float $widthMm, float $cutterMm): float
    {
        if (! ($cutterMm > 0) || ! ($cutterMm <= $widthMm)) {
            throw new BadInput(
                'cutter',
                'cutter_mm',
                'The cutter must be above zero, and no wider than the slot: take a smaller one.',
            );
        }

        return ($widthMm - $cutterMm) / 2;
    }

    /** How far the cutter's middle goes past where the slot begins, so that its flat part is so long, mm. */
    public static function travelMm(float $lengthMm, float $cutterMm): float
    {
        return $lengthMm + $cutterMm / 2;
    }

    private static function check(float $shaftMm, float $deepMm, float $heightMm): void
    {
        if (! ($heightMm > 0) || ! ($deepMm < $shaftMm / 2)) {
            throw new BadInput(
                'height',
                'height_mm',
                'The key must be above zero high, and its slot must not go past the middle of the shaft.',
            );
        }
    }
}

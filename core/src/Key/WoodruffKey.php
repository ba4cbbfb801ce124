<?php

declare(strict_types=1);

namespace Oldpart\Core\Key;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;

/** A half disc of steel in a slot that a cutter of its own diameter sinks; mm. */
final readonly class WoodruffKey
{
    /** An inch key is so much lower at least than at most, and its hub slot so much deeper than half its width: in. */
    private const INCH_LOWER = 0.005;

    private const INCH_HUB = 0.006;

    private function __construct(
        public string $label,
        public bool $inch,
        public float $widthMm,
        public float $heightMm,
        public float $discMm,
        /** In the shaft: of an inch key at the slot's own corners, of a metric one from the uncut round. */
        private float $inShaftMm,
        private float $inHubMm,
    ) {
    }

    /**
     * “Woodruff 608”: the last two figures are eighths of an inch of the disc, those before them 32nds of the width.
     * “Woodruff 5 × 7.5”: metric, width and height. Source: ANSI B17.2, ISO 3912.
     *
     * @throws BadInput for a key that is in neither table
     */
    public static function named(string $text): self
    {
        if (preg_match('/^\s*woodruff\s*(?:no\.?|#)?\s*(\d{3,4})\s*$/i', $text, $m) === 1) {
            return self::numbered($m[1]);
        }
        if (preg_match('/^\s*woodruff\s*(\d+(?:[.,]\d+)?)\s*[x×*]\s*(\d+(?:[.,]\d+)?)(?:\s*[x×*]\s*\d+)?\s*(?:mm)?\s*$/iu', $text, $m) === 1) {
            [$width, $height] = [(float) strtr($m[1], ',', '.'), (float) strtr($m[2], ',', '.')];
            foreach (self::table()['metric'] as [$w, $h, $disc, $shaft, $hub]) {
                if (abs($w - $width) < 1e-6 && abs($h - $height) < 1e-6) {
                    return new self("Woodruff {$w} × {$h}", false, $w, $h, $disc, inShaftMm: $shaft, inHubMm: $hub);
                }
            }
        }
        throw new BadInput(
            'no-such-key',
            'shape',
            "“{$text}” names no Woodruff key. Write its number, Woodruff 608, or width and height in mm, Woodruff 5 × 7.5.",
        );
    }

    private static function numbered(string $number): self
    {
        [$width, $disc] = [(int) substr($number, 0, -2) / 32, (int) substr($number, -2) / 8];
        foreach (self::table()['inch_heights'] as [$of, $height]) {
            if (abs($of - $disc) < 1e-9 && $width > 0 && $width < $disc / 2) {
                $least = $height - self::INCH_LOWER;

                return new self(
                    "Woodruff {$number}",
                    true,
                    25.4 * $width,
                    25.4 * $height,
                    25.4 * $disc,
                    inShaftMm: 25.4 * ($least - $width / 2),
                    inHubMm: 25.4 * ($width / 2 + self::INCH_HUB),
                );
            }
        }
        throw new BadInput(
            'no-such-key',
            'shape',
            "There is no Woodruff key {$number} in the table: its last two figures are eighths of an inch, 04 to 12.",
        );
    }

    /**
     * @param  float  $shaftMm  that it is cut in
     *
     * @throws BadInput for a shaft it would cut through
     */
    public function fromTopMm(float $shaftMm): float
    {
        $arc = Keyway::arcMm($shaftMm, $this->widthMm);
        $deep = $this->inch ? $arc + $this->inShaftMm : $this->inShaftMm;
        if (! ($deep < $shaftMm * 0.6)) {
            throw new BadInput('shaft', 'shape', "{$this->label} is too deep for this shaft: it would leave less than 0.4 of it.");
        }

        return $deep;
    }

    public function atCornerMm(float $shaftMm): float
    {
        return $this->fromTopMm($shaftMm) - Keyway::arcMm($shaftMm, $this->widthMm);
    }

    /** From the bottom of the hub's slot across its bore. */
    public function acrossHubMm(float $boreMm): float
    {
        return $boreMm - ($this->inch ? Keyway::arcMm($boreMm, $this->widthMm) : 0.0) + $this->inHubMm;
    }

    /** How long the slot is where the cutter meets the uncut round. */
    public function slotMm(float $shaftMm): float
    {
        $radius = $this->discMm / 2;

        return 2 * sqrt(max(0.0, $radius ** 2 - ($radius - min($radius, $this->fromTopMm($shaftMm))) ** 2));
    }

    /** @return array{metric: list<array{float, float, float, float, float}>, inch_heights: list<array{float, float}>} */
    private static function table(): array
    {
        /** @var array{metric: list<array{float, float, float, float, float}>, inch_heights: list<array{float, float}>} */
        return Table::read('woodruff');
    }
}

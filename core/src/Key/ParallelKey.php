<?php

declare(strict_types=1);

namespace Oldpart\Core\Key;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;
use Oldpart\Core\Quantity\Fraction;

/** A parallel key: by its shaft from the tables, by name, or made to a slot that was found; mm. */
final readonly class ParallelKey
{
    private function __construct(
        public float $widthMm,
        public float $heightMm,
        public bool $inch,
        public bool $standard,
    ) {
    }

    /**
     * @param  float  $shaftMm  above 0
     * @return ?self null for a shaft no table has a key for
     */
    public static function forShaft(float $shaftMm, bool $inch): ?self
    {
        /** @var list<list<float>> $rows */
        $rows = Table::read('key-shafts')[$inch ? 'inch' : 'metric'];
        $unit = $inch ? 25.4 : 1.0;
        foreach ($rows as $row) {
            if ($shaftMm > $row[0] * $unit - 1e-9 && $shaftMm <= $row[1] * $unit + 1e-9) {
                return new self($row[2] * $unit, ($row[3] ?? $row[2]) * $unit, $inch, true);
            }
        }

        return null;
    }

    /**
     * “8 × 7”, “8x7 mm”, “1/4”, “1/4 square”, “1/4 × 3/16 in”, “0.250 in”.
     *
     * @throws BadInput for what names no key
     */
    public static function named(string $text): self
    {
        $number = Fraction::PATTERN;
        $whole = "/^\s*{$number}\s*(?:in|\"|mm)?\s*(?:[x×*]\s*{$number})?\s*(square|sq|in|\"|mm)?\s*$/iu";
        if (preg_match($whole, $text, $m) !== 1) {
            throw new BadInput(
                'no-such-key',
                'shape',
                "“{$text}” names no key. Write its width and height: 8 × 7, or in inches 1/4 square, 1/4 × 3/16 in.",
            );
        }
        $inch = str_contains($text, '/') || preg_match('/in\b|"/i', $text) === 1;
        $width = Fraction::read($m[1]) * ($inch ? 25.4 : 1.0);
        $height = ($m[2] ?? '') === '' ? $width : Fraction::read($m[2]) * ($inch ? 25.4 : 1.0);

        return self::of($width, $height, $inch);
    }

    /** @throws BadInput for a key of nothing */
    public static function of(float $widthMm, float $heightMm, bool $inch): self
    {
        if (! ($widthMm > 0) || ! ($heightMm > 0)) {
            throw new BadInput('key', 'shape', 'A key has a width and a height above zero.');
        }

        return new self($widthMm, $heightMm, $inch, self::isStandard($widthMm, $heightMm, $inch));
    }

    private static function isStandard(float $widthMm, float $heightMm, bool $inch): bool
    {
        $unit = $inch ? 25.4 : 1.0;
        /** @var list<list<float>> $rows */
        $rows = Table::read('key-shafts')[$inch ? 'inch' : 'metric'];
        foreach ($rows as $row) {
            if (
                abs($row[2] * $unit - $widthMm) < 0.01
                && abs(($row[3] ?? $row[2]) * $unit - $heightMm) < 0.01
            ) {
                return true;
            }
        }

        return false;
    }

    public function label(): string
    {
        $number = fn (float $mm): string => $this->inch
            ? self::fraction($mm / 25.4)
            : rtrim(rtrim(number_format($mm, 2, '.', ''), '0'), '.');

        return $this->inch && abs($this->widthMm - $this->heightMm) < 1e-6
            ? "{$number($this->widthMm)} in square"
            : "{$number($this->widthMm)} × {$number($this->heightMm)}".($this->inch ? ' in' : '');
    }

    private static function fraction(float $inches): string
    {
        $n = (int) round($inches * 32);
        if ($n < 1 || abs($inches - $n / 32) > 1e-6) {
            return number_format($inches, 4);
        }
        $d = 32;
        while ($n % 2 === 0 && $d > 1) {
            [$n, $d] = [intdiv($n, 2), intdiv($d, 2)];
        }

        return match (true) {
            $d === 1 => (string) $n,
            $n > $d => intdiv($n, $d).'-'.($n % $d)."/{$d}",
            default => "{$n}/{$d}",
        };
    }

    /** How deep its slots are in a shaft of this size and the hub on it. */
    public function on(float $shaftMm): Keyway
    {
        return $this->inch || ! $this->standard
            ? Keyway::inch($shaftMm, $this->widthMm, $this->heightMm)
            : Keyway::metric($shaftMm, $this->widthMm, $this->heightMm);
    }
}

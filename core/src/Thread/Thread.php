<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;

/** A thread by its name, or by its outside and pitch; mm. */
final readonly class Thread
{
    private function __construct(
        public string $label,
        /** As in data/thread-families.json; empty: of none. */
        public string $family,
        public float $majorMm,
        public float $pitchMm,
        public ThreadForm $form,
        public bool $left,
    ) {
    }

    /**
     * As the trade writes it: M10, M10×1.25, 1/2 BSW, 5/16-18 UNC, 1/8 BSP, 0 BA; or outside and pitch in mm, 20×1.5;
     * or outside in inches and threads per inch, 0.75-14. “LH” or “left” for a left hand; 55° after it where it is a
     * Whitworth form that is in no table.
     *
     * @throws BadInput for what names no thread
     */
    public static function named(string $text): self
    {
        $left = preg_match('/\b(lh|left( hand)?)\b/i', $text) === 1;
        $bare = trim((string) preg_replace('/\b(lh|left( hand)?)\b/i', '', $text));
        $plain = self::plain($bare);
        /** @var list<array{string, string, float, float, float}> $rows */
        $rows = Table::read('thread-families')['rows'];
        foreach ($rows as [$label, $family, $major, $pitch, $angle]) {
            $known = self::plain($label);
            // “1/2 UNC” and “1/2-13” are what “1/2-13 UNC” is.
            $short = self::plain((string) preg_replace('/-[\d.]+ (?=UN)/', ' ', $label));
            $open = self::plain((string) preg_replace('/ (UNC|UNF)$/', '', $label));
            if ($plain !== '' && in_array($plain, [$known, $short, $open], true)) {
                $its = ThreadForm::ofAngle((float) $angle);

                return new self(
                    label: $label,
                    family: $family,
                    majorMm: (float) $major,
                    pitchMm: (float) $pitch,
                    form: $its,
                    left: $left,
                );
            }
        }
        $form = str_contains($bare, '55') && str_contains($bare, '°') ? ThreadForm::Whitworth : ThreadForm::Sixty;
        $sizes = trim((string) preg_replace('/(55|60)\s*°/u', '', $bare));
        if (preg_match('/^M?\s*(\d+(?:\.\d+)?)\s*[x×*]\s*(\d*\.?\d+)$/iu', $sizes, $m) === 1) {
            return self::listed((float) $m[1], (float) $m[2], $left) ?? self::of(
                (float) $m[1],
                (float) $m[2],
                $form,
                $left,
            );
        }
        if (preg_match('/^(?:(\d+)-)?(\d+)\/(\d+)\s*-\s*(\d+(?:\.\d+)?)$/', $sizes, $m) === 1 && (int) $m[3] > 0) {
            return self::of(25.4 * ((int) $m[1] + $m[2] / $m[3]), 25.4 / (float) $m[4], $form, $left, $sizes);
        }
        if (preg_match('/^(\d*\.\d+|\d+)\s*-\s*(\d+(?:\.\d+)?)$/', $sizes, $m) === 1 && (float) $m[2] > 0) {
            return self::of(25.4 * (float) $m[1], 25.4 / (float) $m[2], $form, $left, $sizes);
        }
        throw new BadInput(
            'no-such-thread',
            'shape',
            "“{$text}” names no thread. Write it as the trade does: M10, M10×1.25, 1/2 BSW, 5/16-18 UNC, 1/8 BSP, 0 BA; or outside and pitch, 20×1.5, or inches and threads per inch, 0.75-14.",
        );
    }

    /** The coarse metric or unified one of an outside, as 10 mm is M10 and 3/8 in is 3/8-16 UNC; null for no such. */
    public static function coarse(float $majorMm): ?self
    {
        /** @var list<array{string, string, float, float, float}> $rows */
        $rows = Table::read('thread-families')['rows'];
        foreach ($rows as [$label, $family, $major]) {
            if (in_array($family, ['ISO coarse', 'UNC'], true) && abs($major - $majorMm) < 0.02) {
                return self::named($label);
            }
        }

        return null;
    }

    /** The metric one of this outside and pitch, as M10 is 10×1.5. */
    private static function listed(float $majorMm, float $pitchMm, bool $left): ?self
    {
        /** @var list<array{string, string, float, float, float}> $rows */
        $rows = Table::read('thread-families')['rows'];
        foreach ($rows as [$label, $family, $major, $pitch, $angle]) {
            if (str_starts_with($family, 'ISO') && $major == $majorMm && $pitch == $pitchMm) {
                return new self(
                    label: $label,
                    family: $family,
                    majorMm: $majorMm,
                    pitchMm: $pitchMm,
                    form: ThreadForm::ofAngle((float) $angle),
                    left: $left,
                );
            }
        }

        return null;
    }

    /** @throws BadInput for a pitch that leaves no metal inside */
    public static function of(
        float $majorMm,
        float $pitchMm,
        ThreadForm $form,
        bool $left = false,
        string $label = '',
    ): self {
        TapDrill::of($majorMm, $pitchMm, $form);
        $called = $label !== '' ? $label : self::number($majorMm).'×'.self::number($pitchMm);

        $called = $form === ThreadForm::Whitworth ? "{$called}, 55°" : $called;

        return new self(
            label: $called,
            family: '',
            majorMm: $majorMm,
            pitchMm: $pitchMm,
            form: $form,
            left: $left,
        );
    }

    private static function number(float $mm): string
    {
        return rtrim(rtrim(number_format($mm, 3, '.', ''), '0'), '.');
    }

    private static function plain(string $text): string
    {
        return strtolower((string) preg_replace(['/\s+|#|no\./i', '/[×*]/u'], ['', 'x'], $text));
    }

    /** What is to be minded of its family; empty: nothing. */
    public function remark(): string
    {
        /** @var array<string, string> $remarks */
        $remarks = Table::read('thread-families')['remarks'];

        return $remarks[$this->family] ?? '';
    }

    /** “left hand” after its name, where it is. */
    public function called(): string
    {
        return $this->left ? "{$this->label}, LEFT HAND" : $this->label;
    }

    public function isMetric(): bool
    {
        return str_starts_with($this->family, 'ISO');
    }

    /** Its size changes along it. */
    public function isTapered(): bool
    {
        /** @var list<string> $tapered */
        $tapered = Table::read('thread-families')['tapered'];

        return in_array($this->family, $tapered, true);
    }

    /** Of the unified family: its limits follow from formulas. */
    public function isUnified(): bool
    {
        return str_starts_with($this->family, 'UN');
    }

    /** The hole before it is tapped, with a full thread left: the basic minor diameter, mm. */
    public function minorMm(): float
    {
        return $this->majorMm - ($this->form === ThreadForm::Sixty ? 1.082532 : $this->form->full()) * $this->pitchMm;
    }

    /** How deep one side is cut: of a screw with the flat at the root that a tool has; ISO 68-1, BS 84, BS 93. */
    public function depthMm(): float
    {
        return ($this->form === ThreadForm::Sixty ? 0.613434 : $this->form->full() / 2) * $this->pitchMm;
    }

    /** The next larger of its family, with as coarse a pitch or coarser, for a hole that has stripped. */
    public function next(): ?self
    {
        /** @var list<array{string, string, float, float, float}> $rows */
        $rows = Table::read('thread-families')['rows'];
        /** @var list<string> $seldom taps nobody has */
        $seldom = Table::read('thread-families')['seldom'];
        $best = null;
        foreach ($rows as [$label, $family, $major, $pitch, $angle]) {
            $form = ThreadForm::ofAngle((float) $angle);
            $its = new self(
                label: $label,
                family: $family,
                majorMm: (float) $major,
                pitchMm: (float) $pitch,
                form: $form,
                left: $this->left,
            );
            // What is left of the old one has to go: its flanks stand out by half of its depth and more.
            $clears = $its->minorMm() >= $this->minorMm() + $this->pitchMm / 2 && $its->pitchMm > $this->pitchMm - 1e-6;
            $taken = $family === $this->family && ! in_array($label, $seldom, true);
            if ($taken && $clears && ($best === null || $its->majorMm < $best->majorMm)) {
                $best = $its;
            }
        }

        return $best;
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Gear;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Fraction;

/** Teeth as the trade names them: module 2, 10 DP, with the pressure angle; the pitch of a chain; a toothed belt. */
final readonly class ToothSize
{
    private function __construct(
        public string $label,
        public ?float $moduleMm,
        public float $pressureDeg,
        /** The pressure angle was said, not taken. */
        public bool $pressureSaid,
        public ?float $chainMm,
        /** The belt as in data/belts.json. */
        public ?string $belt = null,
    ) {
    }

    /** @throws BadInput for what names no teeth */
    public static function named(string $text): self
    {
        $bare = strtolower(trim($text));
        $number = Fraction::PATTERN;
        $angle = preg_match('/(\d+(?:\.\d+)?|14½)\s*°/u', $bare, $a) === 1 ? (float) str_replace('½', '.5', $a[1]) : null;
        $rest = trim((string) preg_replace('/,?\s*(\d+(?:\.\d+)?|14½)\s*°/u', '', $bare));
        if (preg_match("/^chain\s*{$number}\s*(in|\"|mm)?$/", $rest, $m) === 1) {
            $inch = str_contains($m[1], '/') || in_array($m[2] ?? '', ['in', '"'], true);
            $pitch = Fraction::read($m[1]) * ($inch ? 25.4 : 1.0);

            return new self($text, null, 20.0, false, $pitch);
        }
        if (preg_match('/^belt\s*([a-z0-9.]+)$/', $rest, $m) === 1) {
            return new self($text, null, 20.0, false, null, belt: strtoupper($m[1]));
        }
        $module = match (true) {
            preg_match("/^(?:module|mod)\s*{$number}$/", $rest, $m) === 1 => Fraction::read($m[1]),
            preg_match("/^{$number}\s*(?:module|mod)$/", $rest, $m) === 1 => Fraction::read($m[1]),
            preg_match("/^{$number}\s*dp$/", $rest, $m) === 1 && Fraction::read($m[1]) > 0 => 25.4 / Fraction::read($m[1]),
            preg_match("/^dp\s*{$number}$/", $rest, $m) === 1 && Fraction::read($m[1]) > 0 => 25.4 / Fraction::read($m[1]),
            default => null,
        };
        if ($module === null || $module <= 0) {
            throw new BadInput(
                'no-such-teeth',
                'shape',
                "“{$text}” names no teeth. Write module 2, 10 DP, with the pressure angle where it is known: module 2, 20°; or the pitch of a chain: chain 1/2 in; or a toothed belt: belt 8M.",
            );
        }

        return new self($text, $module, $angle ?? 20.0, $angle !== null, null);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Catalogue;

use Oldpart\Core\Advice\BadInput;

/**
 * What is stamped on a rolling bearing after its number (data/bearing-suffixes.json): seals and shields, which can make
 * it wider; a bore of its own in inches; its clearance group; and what says nothing of its sizes. Anything else is
 * refused, since it may change them.
 */
final readonly class BearingStamp
{
    private function __construct(
        public bool $isShielded,
        public ?float $boreMm,
        public ?string $group,
        public ?string $class,
    ) {
    }

    /**
     * @param  string  $rest  what follows the number, in capitals
     *
     * @throws BadInput for a suffix that changes the sizes in a way not known here, or is not known at all
     */
    public static function read(string $rest, Bearing $bearing, string $stamped, string $field): self
    {
        $bore = null;
        // An inch fraction after a dash is a bore of its own: 6203-5/8.
        if (preg_match('~-\s*(\d{1,2})/(\d{1,2})(?![\d/])(?:\s*(?:IN|INCH|"|″))?~', $rest, $m) === 1) {
            $bore = (int) $m[2] === 0 ? 0.0 : (25.4 * (int) $m[1]) / (int) $m[2];
            if ($bore <= 0 || abs($bore - $bearing->boreMm) > 0.25 * $bearing->boreMm || $bore >= $bearing->outsideMm) {
                throw new BadInput(
                    'bearing-suffix',
                    $field,
                    "“{$stamped}” would have a bore of {$m[1]}/{$m[2]} in, far from the {$bearing->boreMm} mm of a {$bearing->designation}. Measure its bore, and give bore, outside and width.",
                );
            }
            $rest = str_replace($m[0], '-', $rest);
        }
        $shielded = false;
        $group = $class = null;
        foreach (preg_split('~[\s/.,+-]+~', $rest, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $token) {
            foreach (self::split($token) ?? throw self::unknown($token, $bearing, $stamped, $field) as [$does, $text]) {
                match ($does) {
                    'shield' => ($shielded = true),
                    'group' => ($group = $text === 'C0' ? 'CN' : $text),
                    'class' => ($class = $text),
                    'tapered' => throw new BadInput(
                        'bearing-suffix',
                        $field,
                        "“{$stamped}”: K is a bore that tapers 1:12. It sits on a sleeve or a taper, not on a cylindrical seat; size that instead.",
                    ),
                    default => null,
                };
            }
        }

        return new self($shielded, $bore, $group, $class);
    }

    /**
     * @return list<array{string, string}>|null what each piece of a run of suffixes does; null where one is not known
     */
    private static function split(string $token): ?array
    {
        $pieces = [];
        while ($token !== '') {
            $hit = null;
            /** @var array{does: string, pattern: string} $row */
            foreach (Table::rows('bearing-suffixes') as $row) {
                if (preg_match("~^(?:{$row['pattern']})~", $token, $m) === 1 && strlen($m[0]) > strlen($hit[1] ?? '')) {
                    $hit = [$row['does'], $m[0]];
                }
            }
            if ($hit === null) {
                return null;
            }
            $pieces[] = $hit;
            $token = substr($token, strlen($hit[1]));
        }

        return $pieces;
    }

    private static function unknown(string $token, Bearing $bearing, string $stamped, string $field): BadInput
    {
        return new BadInput(
            'bearing-suffix',
            $field,
            "“{$token}” in “{$stamped}” is not known here, and may change its sizes. Measure it, and give bore, outside and width; or type {$bearing->designation} alone where it has the usual ones.",
        );
    }
}

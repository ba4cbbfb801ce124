<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Measure\SurfaceKind;

/** What the parts of free practice are of, and what is said of it. */
final class Metals
{
    private const HOUSINGS = [
        'grey cast iron, ordinary',
        'grey cast iron, ordinary',
        'low-carbon steel, cold drawn',
        'ductile iron',
    ];

    private const SHAFTS = [
        'medium-carbon steel, normalised',
        'medium-carbon steel, normalised',
        'low-carbon steel, cold drawn',
    ];

    private const BUSH = 'leaded tin bronze (bearing)';

    /** What a part is really of. */
    public static function of(JobFacts $laid, string $part, int $seed): string
    {
        $dice = new Dice($seed, 'metal-'.substr($part, -3));
        $facts = $laid->part($part);
        $bores = array_filter(
            $laid->surfacesOf($part),
            static fn ($s): bool => $s->kind === SurfaceKind::Bore && $s->type->isSized(),
        );
        $shafts = array_filter(
            $laid->surfacesOf($part),
            static fn ($s): bool => $s->kind === SurfaceKind::Shaft && $s->type->isSized(),
        );

        return match (true) {
            $facts?->origin === Origin::Bought => 'bearing or tool steel, hardened',
            // A ring that is made is a bush; what else is made is steel.
            $facts?->origin === Origin::Make => $bores !== [] && count($shafts) === 1
                ? self::BUSH
                : 'low-carbon steel, cold drawn',
            $bores !== [] => $dice->pick(self::HOUSINGS),
            default => $dice->pick(self::SHAFTS),
        };
    }

    /** What is said of it: all of an easy job; else what a found part is of has to be found out. */
    public static function told(JobFacts $laid, string $part, Level $level, int $seed): ?string
    {
        return $level !== Level::Easy && $laid->part($part)?->origin === Origin::Found
            ? null
            : self::of($laid, $part, $seed);
    }
}

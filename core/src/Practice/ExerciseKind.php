<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

enum ExerciseKind: string
{
    case MicrometerMm = 'micrometer-mm';
    case MicrometerIn = 'micrometer-in';
    case VernierMm = 'vernier-mm';
    case VernierIn = 'vernier-in';
    case Fraction = 'fraction';
    case Tolerances = 'tolerances';

    public function label(): string
    {
        return match ($this) {
            self::MicrometerMm => 'Micrometer, mm',
            self::MicrometerIn => 'Micrometer, inch',
            self::VernierMm => 'Vernier, mm',
            self::VernierIn => 'Vernier, inch',
            self::Fraction => 'Fractions',
            self::Tolerances => 'Adding tolerances',
        };
    }
}

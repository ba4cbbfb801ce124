<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Measure\Nominal;
use Oldpart\Core\Measure\NominalKind;
use Oldpart\Core\Quantity\Fields;

final class NominalSum implements Sum
{
    public function name(): string
    {
        return 'nominal';
    }

    public function says(): string
    {
        return 'What a found size was meant to be: the likely nominal sizes with their chances.';
    }

    public function example(): array
    {
        return ['kind' => 'shaft', 'size_mm' => 22.205, 'u95_mm' => 0.005, 'wear' => 'none'];
    }

    public function takes(): array
    {
        return ['kind', 'size_mm', 'u95_mm', 'wear'];
    }

    public function run(Fields $in): array
    {
        $nominal = Nominal::of(
            $in->choice('kind', NominalKind::class),
            $in->number('size_mm'),
            $in->number('u95_mm'),
            self::wear($in),
        );

        return [
            'candidates' => $nominal->candidates,
            'other' => $nominal->other,
            'notes' => $nominal->notes,
            'working' => $nominal->working,
        ];
    }

    private static function wear(Fields $in): bool
    {
        return match ($in->textOrNull('wear') ?? 'none') {
            'none' => false,
            'possible' => true,
            default => throw $in->bad('wear', 'must be one of: none, possible.'),
        };
    }
}

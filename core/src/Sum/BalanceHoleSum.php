<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shaft\Correction;

final class BalanceHoleSum implements Sum
{
    public function name(): string
    {
        return 'balance-hole';
    }

    public function says(): string
    {
        return 'How deep a hole takes out an unbalance, or what a pin or plug opposite weighs.';
    }

    public function example(): array
    {
        return ['unbalance_gmm' => 400.0, 'radius_mm' => 80.0, 'drill_mm' => 10.0, 'density_kg_m3' => 7850.0];
    }

    public function takes(): array
    {
        return ['unbalance_gmm', 'radius_mm', 'drill_mm', 'density_kg_m3'];
    }

    public function run(Fields $in): array
    {
        $density = $in->numberOrNull('density_kg_m3') ?? 7850.0;
        $of = new Correction($in->number('unbalance_gmm'), $in->number('radius_mm'), $in->number('drill_mm'), $density);

        return [
            'deep_mm' => $of->deepMm,
            'mass_g' => $of->massG,
            'notes' => [
                Note::caution('heavy-side', 'Drill on the heavy side, at that radius; or put as much opposite. Check again on the knife edges before you go the last tenth.'),
                ...$in->has('density_kg_m3') ? [] : [Note::info('density', 'Steel, 7850 kg/m³, is taken.')],
            ],
            'working' => [
                new WorkingStep('Hole', 'm = U / r; depth = m / (ρ π d²/4), its point not counted', LengthWriter::size($of->deepMm), 'geometry'),
            ],
        ];
    }
}

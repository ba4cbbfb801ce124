<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Pour\PouredBearing;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class PourSum implements Sum
{
    public function name(): string
    {
        return 'pour';
    }

    public function says(): string
    {
        return 'A white-metal bearing to pour: mandrel, wall, metal to melt, and how hard it presses at the bottom.';
    }

    public function example(): array
    {
        return [
            'journal_mm' => 60.0,
            'boring_mm' => 3.0,
            'shell_bore_mm' => 72.0,
            'length_mm' => 90.0,
            'flanges' => [['outside_mm' => 90.0, 'thickness_mm' => 6.0]],
            'headroom_mm' => 15.0,
        ];
    }

    public function takes(): array
    {
        return ['journal_mm', 'boring_mm', 'shell_bore_mm', 'length_mm', 'flanges', 'headroom_mm', 'density_kg_m3'];
    }

    public function run(Fields $in): array
    {
        $flanges = $in->has('flanges')
            ? array_map(static function (Fields $f): array {
                $f->only(['outside_mm', 'thickness_mm']);

                return ['outside' => $f->number('outside_mm'), 'thickness' => $f->number('thickness_mm')];
            }, $in->objects('flanges'))
            : [];
        $pour = new PouredBearing(
            journalMm: $in->number('journal_mm'),
            boringMm: $in->number('boring_mm'),
            shellBoreMm: $in->number('shell_bore_mm'),
            lengthMm: $in->number('length_mm'),
            flanges: $flanges,
            headroomMm: $in->numberOrNull('headroom_mm') ?? 0.0,
            densityKgM3: $in->numberOrNull('density_kg_m3') ?? 7400.0,
        );

        return [
            'mandrel_mm' => $pour->mandrelMm,
            'wall_mm' => $pour->wallMm,
            'volume_mm3' => $pour->volumeMm3,
            'mass_kg' => $pour->massKg,
            'pressure_kpa' => $pour->pressureKpa,
            'notes' => [
                Note::stop('molten', 'Molten metal and any damp make steam that throws it: everything bone dry and warm, face and hands covered, no bystanders, air for the fumes. Old bearing metal may hold lead.'),
                ...$in->has('density_kg_m3') ? [] : [Note::info('density', 'Density 7400 kg/m³ is taken, as of tin-based white metal; lead-based is near 9700.')],
            ],
            'working' => [
                new WorkingStep('Mandrel', 'journal − boring; metal from it to the shell, and a fifth to spare', LengthWriter::size($pour->mandrelMm), 'geometry; hydrostatics'),
            ],
        ];
    }
}

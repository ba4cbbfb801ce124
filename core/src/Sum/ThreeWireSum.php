<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Thread\ThreadForm;
use Oldpart\Core\Thread\ThreeWires;

final class ThreeWireSum implements Sum
{
    public function name(): string
    {
        return 'three-wire';
    }

    public function says(): string
    {
        return 'A thread over three wires, and what a reading over them means.';
    }

    public function example(): array
    {
        return ['major_mm' => 12.0, 'pitch_mm' => 1.75, 'form' => '60'];
    }

    public function takes(): array
    {
        return ['major_mm', 'pitch_mm', 'form', 'wire_mm', 'over_wires_mm'];
    }

    public function run(Fields $in): array
    {
        $form = $in->choice('form', ThreadForm::class);
        assert($form instanceof ThreadForm);
        $wires = ThreeWires::of($in->number('major_mm'), $in->number('pitch_mm'), $form);
        $wire = $in->numberOrNull('wire_mm') ?? $wires->bestWireMm();
        $over = $in->numberOrNull('over_wires_mm');
        if ($over !== null && $over <= 0) {
            throw $in->bad('over_wires_mm', 'must be above zero.');
        }

        return [
            'best_wire_mm' => $wires->bestWireMm(),
            'over_wires_mm' => $wires->overMm($wire),
            'pitch_diameter_mm' => $over === null
                ? $wires->basicPitchDiameterMm()
                : $wires->pitchDiameterMm($wire, $over),
            'notes' => $in->has('wire_mm')
                ? []
                : [
                    Note::info(
                        'best-wire',
                        Say::with('No wire is given: the best one, {w}, is taken.', ['w' => LengthWriter::size($wire)]),
                    ),
                ],
            'working' => [
                new WorkingStep(
                    'Over the wires',
                    'M = E + w (1 + 1/sin ½α) − ½ P cot ½α',
                    LengthWriter::size($wires->overMm($wire)),
                    'common metrology handbooks; the lead angle left out',
                ),
            ],
        ];
    }
}

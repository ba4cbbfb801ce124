<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;
use Oldpart\Core\Shaft\RunOutBudget;

final class RunOutBudgetSum implements Sum
{
    public function name(): string
    {
        return 'run-out-budget';
    }

    public function says(): string
    {
        return 'How far a chain of holders may run out: spindle, arbor, collet, nut, each by its own.';
    }

    public function example(): array
    {
        return ['links' => [['name' => 'spindle', 'out_mm' => 0.004], ['name' => 'arbor', 'out_mm' => 0.01], ['name' => 'collet', 'out_mm' => 0.015]], 'measured_mm' => 0.022];
    }

    public function takes(): array
    {
        return ['links', 'measured_mm'];
    }

    public function run(Fields $in): array
    {
        $links = array_map(static function (Fields $f): array {
            $f->only(['name', 'out_mm']);

            return ['name' => $f->text('name'), 'out' => $f->number('out_mm')];
        }, $in->objects('links'));
        $budget = new RunOutBudget($links);
        $measured = $in->numberOrNull('measured_mm');

        return [
            'likely_mm' => $budget->likelyMm,
            'worst_mm' => $budget->worstMm,
            'most_from' => $budget->mostFrom,
            'notes' => [
                Note::info('turn-about', "Most comes from the {$budget->mostFrom}. Loosen it, turn it half round, read again: what changes by twice is its own."),
                ...$measured !== null && $measured > $budget->worstMm ? [
                    Note::caution('more-than-all', 'It runs out more than all of them together: dirt, a burr, a bent link. Clean every face and read each link by itself.'),
                ] : [],
            ],
            'working' => [
                new WorkingStep('Together', 'likely √Σo², at worst Σo', LengthWriter::difference($budget->likelyMm), 'directions as they come'),
            ],
        ];
    }
}

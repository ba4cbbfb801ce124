<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Advice\WorkingStep;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\LengthWriter;

final class FittingReachSum implements Sum
{
    public function name(): string
    {
        return 'fitting-reach';
    }

    public function says(): string
    {
        return 'How far a fitting or plug reaches into the passage behind its thread, and what it leaves of it.';
    }

    public function example(): array
    {
        return ['thread_long_mm' => 12.0, 'seal_mm' => 1.5, 'to_passage_mm' => 8.0, 'passage_mm' => 8.0];
    }

    public function takes(): array
    {
        return ['thread_long_mm', 'seal_mm', 'to_passage_mm', 'passage_mm'];
    }

    public function run(Fields $in): array
    {
        $long = $in->number('thread_long_mm');
        $passage = $in->number('passage_mm');
        if (! ($long > 0) || ! ($passage > 0)) {
            throw $in->bad($long > 0 ? 'passage_mm' : 'thread_long_mm', 'must be above zero.');
        }
        $reach = $long - ($in->numberOrNull('seal_mm') ?? 0.0) - $in->number('to_passage_mm');
        $into = max(0.0, $reach);

        return [
            'reach_mm' => $reach,
            'left_mm' => max(0.0, $passage - $into),
            'closed' => $into >= $passage,
            'notes' => match (true) {
                $into >= $passage => [Note::stop('closes', 'It closes the passage: shorten it, or seal it on a thicker washer.')],
                $into > 0.25 * $passage => [Note::caution('narrows', Say::with('It stands {r} into the passage: shorten it by as much.', ['r' => LengthWriter::sizeInWords($into)]))],
                default => [],
            },
            'working' => [
                new WorkingStep('Reach', 'thread − seal − depth to the passage', LengthWriter::size($reach), 'geometry'),
            ],
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Thread\Thread;
use Oldpart\Core\Thread\Tightening;

final class TightenSum implements Sum
{
    public function name(): string
    {
        return 'tighten';
    }

    public function says(): string
    {
        return 'How hard a screw is tightened, by its thread, its mark and how it turns.';
    }

    public function example(): array
    {
        return ['screw' => 'M10', 'class' => '8.8', 'lubrication' => 'oiled'];
    }

    public function takes(): array
    {
        return ['screw', 'class', 'lubrication'];
    }

    public function run(Fields $in): array
    {
        try {
            $thread = Thread::named($in->text('screw'));
        } catch (BadInput $bad) {
            throw $bad->about('screw');
        }
        $tight = Tightening::of($thread, $in->textOrNull('class') ?? 'unmarked', $in->textOrNull('lubrication') ?? 'dry');

        return [
            'torque_nm' => ['min' => $tight->torqueNm->min, 'max' => $tight->torqueNm->max],
            'pull_n' => $tight->pullN,
            'steps' => [$tight->torque()],
            'notes' => $tight->notes(),
            'working' => $tight->working()->steps,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Shapes;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\ReckoningFacts;
use Oldpart\Core\Sum\PlateSum;
use Oldpart\Core\Sum\Sums;
use Oldpart\Core\Sum\Typed;

/** The outline of a plate as a sum of the job has it, from the same zero as its holes; mm, y upward. */
final class PlateOutline
{
    /** @return list<array{float, float}> nothing where no sum gives one, or its corners can't be read yet */
    public static function of(JobFacts $facts, string $partId): array
    {
        foreach ($facts->reckonings as $reckoning) {
            if (($reckoning->gives[ReckoningFacts::OUTLINE] ?? null) !== $partId) {
                continue;
            }
            $sum = Sums::named($reckoning->sum);
            $typed = array_intersect_key($reckoning->given, ['corners' => 0, 'mirrored' => 0]);
            try {
                return $sum instanceof PlateSum && isset($typed['corners'])
                    ? PlateSum::outline((new Typed($sum, $reckoning->unit))->read($typed))->points
                    : [];
            } catch (BadInput) {
                // The sum itself says what is wrong with them.
                return [];
            }
        }

        return [];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\PlanFacts;
use Oldpart\Core\Making\PlanRules;
use Oldpart\Core\Making\Step;

/**
 * The order of work as the person has it: moved, left out, added to; what breaks a rule says so, and is done all the
 * same.
 */
final class PlanOrder
{
    public const OWN = 'your own';

    /**
     * @param  list<Step>  $steps  as they are worked out
     * @return list<Step>
     */
    public static function of(array $steps, PlanFacts $plan): array
    {
        foreach ($plan->own as $own) {
            $steps[] = new Step($own->code, Say::plain($own->do), 'Your own step.', self::OWN);
        }
        $steps = array_values(array_filter(
            $steps,
            static fn (Step $s): bool => ! in_array($s->code, $plan->dropped, true),
        ));

        return PlanRules::on(array_map(
            static fn (Step $s): Step => isset($plan->remarks[$s->code])
                ? $s->noting([Note::info('remark', $plan->remarks[$s->code])])
                : $s,
            $plan->order === [] ? $steps : self::moved($steps, $plan->order),
        ));
    }

    /**
     * What somebody moved stands where they put it; a step that is new since then behind the one it is worked out
     * after.
     *
     * @param  list<Step>  $steps
     * @param  list<string>  $order
     * @return list<Step>
     */
    private static function moved(array $steps, array $order): array
    {
        $byCode = array_column(
            array_map(static fn (Step $s): array => ['code' => $s->code, 'step' => $s], $steps),
            'step',
            'code',
        );
        $codes = array_values(array_filter(
            array_unique($order),
            static fn (string $code): bool => isset($byCode[$code]),
        ));
        $before = null;
        foreach ($steps as $step) {
            if (! in_array($step->code, $codes, true)) {
                $at = $before === null ? -1 : array_search($before, $codes, true);
                array_splice($codes, (int) $at + 1, 0, [$step->code]);
            }
            $before = $step->code;
        }

        return array_map(static fn (string $code): Step => $byCode[$code], $codes);
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Catalogue\Table;

/**
 * Which rules of the trade an order of work breaks, said at the step that comes too early (data/plan-rules.json). A
 * step is of the kind that stands behind the colon of its code, and of the part before it.
 */
final class PlanRules
{
    /**
     * @param  list<Step>  $steps  in the order they are to be done
     * @return list<Step> the same, with what each comes before that has to come first
     */
    public static function on(array $steps): array
    {
        $marked = [];
        foreach ($steps as $i => $step) {
            $notes = [];
            foreach (array_slice($steps, $i + 1) as $later) {
                $why = self::broken($later, $step, $steps);
                if ($why !== null) {
                    $notes[] = Note::caution('out-of-order', Say::with("This comes before “{s}” here. {$why}", [
                        's' => self::short($later->do),
                    ]), $later->code);
                }
            }
            $marked[] = $step->noting($notes);
        }

        return $marked;
    }

    /**
     * Why one has to come before another; null where the trade does not mind.
     *
     * @param  list<Step>  $steps  all of them
     */
    public static function broken(Step $first, Step $then, array $steps): ?string
    {
        [$part, $kind] = self::parted($first);
        [$other, $itsKind] = self::parted($then);
        foreach (self::rules() as $rule) {
            $isOfIt = self::isOf($kind, $rule['first']) && self::isOf($itsKind, $rule['then']) && $kind !== $itsKind;
            $sameWork = $part === $other || ($rule['anywhere'] ?? false);
            $holds = (! isset($rule['when']) || $first->rule === $rule['when'])
                && (! isset($rule['unless']) || ! self::has($steps, $part, $rule['unless']));
            if ($isOfIt && $sameWork && $holds) {
                return $rule['why'];
            }
        }

        return null;
    }

    /** @param  list<Step>  $steps */
    private static function has(array $steps, string $part, string $kind): bool
    {
        foreach ($steps as $step) {
            if (self::parted($step) === [$part, $kind]) {
                return true;
            }
        }

        return false;
    }

    /** @return array{string, string} the part, and the kind of step */
    private static function parted(Step $step): array
    {
        $at = strrpos($step->code, ':');

        return $at === false ? ['', $step->code] : [substr($step->code, 0, $at), substr($step->code, $at + 1)];
    }

    /** @param  string|list<string>  $of */
    private static function isOf(string $kind, string|array $of): bool
    {
        return in_array($kind, match (true) {
            is_array($of) => $of,
            $of === 'cutting' => self::cutting(),
            default => [$of],
        }, true);
    }

    private static function short(Say $do): Say
    {
        $cut = static fn (string $text): string => mb_strlen($text) > 60
            ? mb_substr($text, 0, 58).'…'
            : rtrim($text, '.');

        return new Say($cut($do->in), $cut($do->mm), $cut($do->both));
    }

    /** @return list<string> */
    private static function cutting(): array
    {
        /** @var list<string> $cutting */
        $cutting = Table::read('plan-rules')['cutting'];

        return $cutting;
    }

    /** @return list<array{first: string, then: string|list<string>, why: string, when?: string, unless?: string, anywhere?: bool}> */
    private static function rules(): array
    {
        /** @var list<array{first: string, then: string|list<string>, why: string, when?: string, unless?: string, anywhere?: bool}> $rules */
        $rules = Table::read('plan-rules')['rules'];

        return $rules;
    }
}

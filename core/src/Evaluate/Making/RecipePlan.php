<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Making;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Evaluate\Shaped\ShapedSurface;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\Origin;
use Oldpart\Core\Facts\PartFacts;
use Oldpart\Core\Making\Step;
use Oldpart\Core\Shape\SurfaceType;

/**
 * The order of a kind that is not turned from the bar: what its recipe says (data/kinds), with the numbers of its
 * surfaces where it names them and the order of its turned parts where it leaves room for that.
 */
final readonly class RecipePlan
{
    private PartSteps $steps;

    /**
     * @param  list<MakeEntry>  $make
     * @param  list<ShapedSurface>  $shaped
     */
    private function __construct(private JobFacts $facts, PartFacts $part, private array $make, private array $shaped)
    {
        $this->steps = new PartSteps($facts, $part, $make, $shaped);
    }

    /**
     * @param  list<MakeEntry>  $make
     * @param  list<ShapedSurface>  $shaped
     * @param  list<Step>  $parts  the order of the parts that are made
     * @return list<Step> nothing where nothing of it has a number yet
     */
    public static function of(JobFacts $facts, Kind $kind, array $make, array $shaped, array $parts): array
    {
        $made = array_values(array_filter(
            $facts->parts,
            static fn (PartFacts $p): bool => $p->origin === Origin::Make,
        ))[0] ?? null;
        if ($made === null || array_filter($make, static fn (MakeEntry $e): bool => $e->band !== null) === []) {
            return [];
        }
        $plan = new self($facts, $made, $make, $shaped);
        $steps = [];
        foreach ($kind->recipe as $row) {
            array_push($steps, ...match ($row['step'] ?? '') {
                'mates' => [$plan->steps->mates()],
                'parts' => self::withoutMates($parts, $steps),
                'recut' => RecutPlan::of($facts, $plan->make, $plan->shaped),
                'last' => $plan->steps->last(),
                'surfaces' => array_values(array_filter([$plan->steps->step(
                    $row['code'] ?? '',
                    array_map(SurfaceType::from(...), $row['types'] ?? []),
                    $row['do'] ?? '',
                    $row['why'] ?? '',
                    $row['rule'] ?? '',
                )])),
                default => [new Step(
                    $plan->steps->code($row['code'] ?? ''),
                    Say::plain($row['do'] ?? ''),
                    $row['why'] ?? '',
                    $row['rule'] ?? '',
                )],
            });
        }

        return $steps;
    }

    /**
     * The mates are measured once.
     *
     * @param  list<Step>  $parts
     * @param  list<Step>  $before
     * @return list<Step>
     */
    private static function withoutMates(array $parts, array $before): array
    {
        $isMates = static fn (Step $s): bool => str_ends_with($s->code, ':mates');

        return array_filter($before, $isMates) === []
            ? $parts
            : array_values(array_filter($parts, static fn (Step $s): bool => ! $isMates($s)));
    }
}

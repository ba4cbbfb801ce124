<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\OperationFacts;

/** What each piece of work took beside what was quoted for it. */
final readonly class WorkTimes implements \JsonSerializable
{
    public function __construct(private JobFacts $facts)
    {
    }

    /** What all that was timed took against what was quoted for the same; null where nothing was timed. */
    public function says(): ?string
    {
        $timed = array_filter($this->facts->operations, static fn (OperationFacts $o): bool => $o->spentMin !== null);
        if ($timed === []) {
            return null;
        }
        $spent = array_sum(array_map(static fn (OperationFacts $o): float => (float) $o->spentMin, $timed));
        $quoted = array_sum(array_map(
            fn (OperationFacts $o): float => $o->quotedMin($this->facts->takeIn->quantity),
            $timed,
        ));
        $some = count($timed) < count($this->facts->operations) ? 'what was timed' : 'all of it';

        return self::minutes($spent)." for {$some}, quoted ".self::minutes($quoted)
            .'. A copy of this job is quoted by what it took.';
    }

    private static function minutes(float $minutes): string
    {
        $whole = (int) round($minutes);

        return $whole < 90 ? "{$whole} min" : intdiv($whole, 60).' h '.($whole % 60).' min';
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'says' => $this->says(),
            'rows' => array_map(fn (OperationFacts $o): array => [
                'operation' => $o->id,
                'name' => $o->name,
                'quoted' => self::minutes($o->quotedMin($this->facts->takeIn->quantity)),
                'took' => $o->spentMin === null ? null : self::minutes($o->spentMin),
                'spent_min' => $o->spentMin,
                'running_since' => $o->runningSince,
            ], $this->facts->operations),
        ];
    }
}

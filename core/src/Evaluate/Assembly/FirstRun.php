<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Assembly;

use Oldpart\Core\Facts\JobFacts;

/** Whether it has settled, or gets too warm, in its first run. Common practice. */
final readonly class FirstRun
{
    /** Warmer by no more than that over so many minutes: it has settled. Common practice. */
    private const RISES_C = 1.0;

    private const OVER_MIN = 10.0;

    /** @param  non-empty-list<array{float, float}>  $points  minutes and °C, in the order of time */
    private function __construct(public array $points, public ?float $limitC)
    {
    }

    /** @return ?self null while no warmth is noted */
    public static function of(JobFacts $facts): ?self
    {
        $points = [];
        foreach ($facts->assembly->runs as $run) {
            if ($run->celsius !== null) {
                $points[] = [$run->minute, $run->celsius];
            }
        }
        usort($points, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $points === [] ? null : new self($points, $facts->assembly->limitC);
    }

    /** It has settled, and no warmer than it may get. */
    public function isGood(): bool
    {
        return ! $this->isTooWarm() && ! $this->rises() && $this->isLongEnough();
    }

    public function says(): string
    {
        [$minute, $celsius] = $this->points[count($this->points) - 1];
        $most = number_format(max(array_column($this->points, 1)), 1);
        [$since, $least] = [$this->since(), number_format($this->coolestC(), 1)];
        $from = number_format($minute - $since);

        return match (true) {
            $this->isTooWarm() => "Too warm, {$most} °C: stop it, let it cool, look for what rubs before it runs again.",
            count($this->points) === 1 => 'One reading: the next, ten minutes later, says whether it settles.',
            $this->rises() => 'Still getting warmer, by '.number_format($celsius - $this->coolestC(), 1)." °C within {$from} min: go on at this speed until it settles, then the next.",
            ! $this->isLongEnough() => "Too soon to say: {$from} min only. Read it again once ten minutes have passed.",
            default => "It has settled: {$least} to ".number_format(max($this->lately()), 1)." °C in {$from} min".($this->limitC === null ? '.' : ', and below what is allowed.'),
        };
    }

    private function isTooWarm(): bool
    {
        return $this->limitC !== null && max(array_column($this->points, 1)) > $this->limitC;
    }

    private function rises(): bool
    {
        return $this->points[count($this->points) - 1][1] - $this->coolestC() > self::RISES_C;
    }

    private function isLongEnough(): bool
    {
        return $this->points[count($this->points) - 1][0] - $this->since() >= self::OVER_MIN;
    }

    /** The latest reading that is long enough ago, else the first; its minute. */
    private function since(): float
    {
        $last = $this->points[count($this->points) - 1][0];
        $since = $this->points[0][0];
        foreach ($this->points as [$minute]) {
            $since = $last - $minute >= self::OVER_MIN ? $minute : $since;
        }

        return $since;
    }

    private function coolestC(): float
    {
        return min($this->lately());
    }

    /** @return non-empty-list<float> °C, from that reading on */
    private function lately(): array
    {
        $since = $this->since();
        $lately = [];
        foreach ($this->points as [$minute, $celsius]) {
            if ($minute >= $since) {
                $lately[] = $celsius;
            }
        }

        return $lately === [] ? [$this->points[0][1]] : $lately;
    }
}

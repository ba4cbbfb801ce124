<?php

declare(strict_types=1);

namespace Oldpart\Core\Making;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Severity;

/** Which lathe of the shop a piece of work goes on: the one that objects least, the first of equals. */
final readonly class LatheChoice
{
    /** @param  list<Note>  $notes  what has to be minded on it */
    private function __construct(public Machine $lathe, public array $notes)
    {
    }

    /**
     * @param  list<Machine>  $lathes
     * @param  float  $diameterMm  of the stock, above 0
     * @param  float  $longMm  of the stock, above 0
     * @return ?self null where the shop said nothing of its lathes
     */
    public static function of(array $lathes, float $diameterMm, float $longMm): ?self
    {
        $best = null;
        $least = PHP_INT_MAX;
        foreach ($lathes as $lathe) {
            $notes = LatheReach::on($lathe, $diameterMm, $longMm)->notes();
            $weight = array_sum(array_map(self::weight(...), $notes));
            if ($weight < $least) {
                [$best, $least] = [new self($lathe, $notes), $weight];
            }
        }

        return $best;
    }

    /** One that stops it outweighs any number of the others. */
    private static function weight(Note $note): int
    {
        return match ($note->severity) {
            Severity::Stop => 10000,
            Severity::Caution => 100,
            Severity::Info => 1,
        };
    }
}

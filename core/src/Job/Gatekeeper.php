<?php

declare(strict_types=1);

namespace Oldpart\Core\Job;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Safety\Gate;

/** Holds sizes back where the work can hurt someone, until somebody named accepts responsibility. */
final class Gatekeeper
{
    public static function withholds(TakeIn $takeIn): bool
    {
        return $takeIn->gates !== [] && trim($takeIn->acceptedBy ?? '') === '';
    }

    public static function sentence(): Say
    {
        return Say::plain('No size is issued until someone named accepts responsibility, at Take in.');
    }

    /** @return list<Note> */
    public static function notes(TakeIn $takeIn): array
    {
        $what = implode('; ', array_map(static fn (Gate $g): string => $g->says, Gate::those($takeIn->gates)));

        return match (true) {
            self::withholds($takeIn) => [Note::stop('gate', "This is work for licensed practice: {$what}. It can be recorded and measured. ".self::sentence()->in)],
            $takeIn->gates !== [] => [Note::caution('gate-accepted', "Work for licensed practice: {$what}. {$takeIn->acceptedBy} accepts responsibility. Local codes and makers’ instructions come first.")],
            ! $takeIn->gatesAnswered => [Note::caution('gate-unanswered', 'Answer the safety question at Take in before cutting.')],
            default => [],
        };
    }
}

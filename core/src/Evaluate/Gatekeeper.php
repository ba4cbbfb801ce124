<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\AcceptanceFacts;
use Oldpart\Core\Facts\TakeIn;
use Oldpart\Core\Safety\Gate;

/** Holds sizes back where the work can hurt someone, until somebody named accepts responsibility for just that. */
final class Gatekeeper
{
    public static function withholds(TakeIn $takeIn): bool
    {
        return $takeIn->gates !== [] && $takeIn->acceptance() === null;
    }

    public static function sentence(): Say
    {
        return Say::plain('No size is issued until someone named accepts responsibility, at Take in.');
    }

    /** @return list<Note> */
    public static function notes(TakeIn $takeIn): array
    {
        $what = implode('; ', array_map(static fn (Gate $g): string => $g->says, Gate::those($takeIn->gates)));
        $accepted = $takeIn->acceptance();

        return match (true) {
            $takeIn->gates === [] => $takeIn->gatesAnswered
                ? []
                : [Note::caution('gate-unanswered', 'Answer the safety question at Take in before cutting.')],
            $accepted !== null => [
                Note::caution(
                    'gate-accepted',
                    "Work for licensed practice: {$what}. ".
                        self::who($accepted).
                        ' accepts responsibility. Local codes and makers’ instructions come first.',
                ),
            ],
            $takeIn->acceptances !== [] => [
                Note::stop(
                    'gate-changed',
                    "This is work for licensed practice: {$what}. What was accepted before did not cover all of it: accept it again. ".
                        self::sentence()->in,
                ),
            ],
            default => [
                Note::stop(
                    'gate',
                    "This is work for licensed practice: {$what}. It can be recorded and measured. ".
                        self::sentence()->in,
                ),
            ],
        };
    }

    public static function who(AcceptanceFacts $acceptance): string
    {
        return $acceptance->by.($acceptance->capacity === '' ? '' : " ({$acceptance->capacity})");
    }
}

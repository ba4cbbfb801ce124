<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

/** What became of two parts that were put together. */
enum Joined: string
{
    case In = 'in';
    case NotIn = 'not in';
    case Stuck = 'stuck';
    case Loose = 'loose';
    case Cracked = 'cracked';
    case Stretched = 'stretched';
    case Bonded = 'bonded';
    case NotBonded = 'not bonded';
    case Spoiled = 'spoiled';

    public function says(): string
    {
        return match ($this) {
            self::In => 'It is in, and it holds.',
            self::NotIn => 'It does not go in.',
            self::Stuck => 'It is stuck part of the way in: the press gives no more.',
            self::Loose => 'It slid in without any force: nothing holds it.',
            self::Cracked => 'The outer part has cracked.',
            self::Stretched => 'It is in, but the outer part has given way: it holds less than it should.',
            self::Bonded => 'It is bonded.',
            self::NotBonded => 'The compound has not taken hold.',
            self::Spoiled => 'The heat has spoiled the compound of a bonded joint.',
        };
    }

    public function isGood(): bool
    {
        return in_array($this, [self::In, self::Bonded], true);
    }
}

<?php

declare(strict_types=1);

namespace App\People;

/** What somebody is in the shop. */
enum Role: string
{
    case Owner = 'owner';
    case Machinist = 'machinist';
    case Apprentice = 'apprentice';
    case Looker = 'looker';

    public function may(Act $act): bool
    {
        return in_array($act, $this->acts(), true);
    }

    /** @return list<Act> */
    public function acts(): array
    {
        return match ($this) {
            self::Owner => [Act::Look, Act::Work, Act::Answer, Act::Own],
            self::Machinist => [Act::Look, Act::Work, Act::Answer],
            self::Apprentice => [Act::Look, Act::Work],
            self::Looker => [Act::Look],
        };
    }

    /** Why not, and who can. */
    public function refusal(Act $act): string
    {
        return match (true) {
            $act === Act::Own => 'Only the owner of the shop does this.',
            $this === self::Looker => 'You are signed in to look only. Somebody who works on the job can enter this.',
            default => 'An apprentice does not accept, issue or delete. A machinist or the owner can: the name at the top changes who is signed in.',
        };
    }
}

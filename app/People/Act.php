<?php

declare(strict_types=1);

namespace App\People;

/** What somebody may do in a shop where people sign in. */
enum Act: string
{
    /** Read, and reckon without storing. */
    case Look = 'look';
    /** Measure, cut, tick, and type what a job needs. */
    case Work = 'work';
    /** Accept responsibility, issue a sheet, delete, say what the shop can do. */
    case Answer = 'answer';
    /** Let people in, bring a backup back, take the whole shop out. */
    case Own = 'own';
}

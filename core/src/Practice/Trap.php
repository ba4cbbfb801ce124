<?php

declare(strict_types=1);

namespace Oldpart\Core\Practice;

/** The mistake a lesson is about. */
enum Trap: string
{
    case WarmPart = 'warm-part';
    case DrillForSize = 'drill-for-size';
    case WrongUnit = 'wrong-unit';
    case WrongFace = 'wrong-face';
    case FullSwing = 'full-swing';
    case ThinWall = 'thin-wall';
    case NotInLine = 'not-in-line';
    case WornGauge = 'worn-gauge';
    case SizeForSize = 'size-for-size';
    case StockTooThick = 'stock-too-thick';
    case BondByHeat = 'bond-by-heat';
    case ToDecline = 'to-decline';

    /** What was walked into. */
    public function fell(): string
    {
        return match ($this) {
            self::WarmPart => 'A size was taken on a warm part, and its warmth was not said.',
            self::DrillForSize => 'The hole was taken for the size of its drill; nobody measured it.',
            self::WrongUnit => 'The size was taken in the other unit.',
            self::WrongFace => 'A length was read from the wrong face, and counts.',
            self::FullSwing => 'The swing of the indicator was taken for the offset; it is twice the offset.',
            self::ThinWall => 'The outside was finished first: bored in the chuck, the thin wall gave.',
            self::NotInLine => 'It was pressed in before anybody looked whether the two bores are in line.',
            self::WornGauge => 'Readings count of a gauge that is off, and it was never held against its master.',
            self::SizeForSize => 'It was made to the size of its mate: there is no room to move.',
            self::StockTooThick => 'The bar does not go where it was to go, or does not clean up to size.',
            self::BondByHeat => 'Heat was used beside a joint that was bonded already.',
            self::ToDecline => 'The job was taken; it should have been refused.',
        };
    }

    /** What was seen in time. */
    public function avoided(): string
    {
        return match ($this) {
            self::WarmPart => 'No size counts that was taken warm without its warmth.',
            self::DrillForSize => 'The hole was measured, whatever drill it was made with.',
            self::WrongUnit => 'The unit it was made in was found.',
            self::WrongFace => 'The length was read from the right face.',
            self::FullSwing => 'Half the swing was taken for the offset.',
            self::ThinWall => 'The bore came first, and the thin wall stayed round.',
            self::NotInLine => 'The line of the two bores was looked at before anything was pressed in.',
            self::WornGauge => 'The gauge that is off was found, or does not count.',
            self::SizeForSize => 'It has the room it needs.',
            self::StockTooThick => 'The bar goes through the spindle and cleans up to size.',
            self::BondByHeat => 'No heat came to the bonded joint.',
            self::ToDecline => 'The job was refused, and that was right.',
        };
    }
}

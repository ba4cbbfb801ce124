<?php

declare(strict_types=1);

namespace Oldpart\Core\Evaluate\Sizing;

use Oldpart\Core\Advice\Note;
use Oldpart\Core\Advice\Say;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Facts\JointFacts;
use Oldpart\Core\Fit\SizeToMate;
use Oldpart\Core\Quantity\LengthWriter;

/** What the shop's own machines say to a size. */
final class ShopNotes
{
    /** @return list<Note> */
    public static function of(JobFacts $facts, JointFacts $joint, SizeToMate $sized): array
    {
        $holds = $facts->shop->latheHoldsMm;
        if ($sized->band === null || $sized->band->widthMm() >= $holds) {
            return [];
        }

        return [
            Note::caution(
                'narrower-than-lathe',
                Say::with(
                    'The band is {w} wide and your lathe holds {h}: sneak up and polish, ream or hone, or take a wider fit and bond it.',
                    [
                        'w' => LengthWriter::difference($sized->band->widthMm()),
                        'h' => LengthWriter::difference($holds),
                    ],
                ),
                $joint->id,
            ),
        ];
    }
}

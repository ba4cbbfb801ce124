<?php

declare(strict_types=1);

namespace Oldpart\Core\Answer;

use Oldpart\Core\Evaluate\Shapes\JobShapes;
use Oldpart\Core\Facts\Kind;
use Oldpart\Core\Facts\ShopFacts;
use Oldpart\Core\Picture\Drawing;
use Oldpart\Core\Quantity\Unit;

/** The picture of a kind of job on the sheet, drawn from its own layout. */
final readonly class KindThumb
{
    /** @return Drawing|null nothing when the layout has no part to draw */
    public static function of(Kind $kind): ?Drawing
    {
        $next = 0;
        $facts = $kind->layOut(
            'sheet',
            '',
            '',
            Unit::Millimetre,
            new ShopFacts('', 20.0, 0.01, 0.5, 0.0),
            static function () use (&$next): string {
                return 'k'.++$next;
            },
            true,
        );

        return (new JobPictures(new JobShapes($facts, [], [])))->thumb();
    }
}

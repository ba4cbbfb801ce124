<?php

declare(strict_types=1);

namespace Oldpart\Core\Fit;

use Oldpart\Core\Advice\Say;
use Oldpart\Core\Quantity\Range;

/** A fit that one school offers for a purpose; clearance in mm, negative for interference. */
final readonly class Offer
{
    public function __construct(
        public School $school,
        public string $label,
        public Range $clearanceMm,
        public Say $remark,
        public string $source,
    ) {
    }
}

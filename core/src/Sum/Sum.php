<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Fields;

/** A stand-alone calculation: one JSON object in, one out. */
interface Sum
{
    public function name(): string;

    public function says(): string;

    /** @return list<string> every field it knows */
    public function takes(): array;

    /** @return array<string, mixed> an input that works */
    public function example(): array;

    /**
     * @return array<string, mixed> with at least `notes` and `working`
     *
     * @throws BadInput naming the field that is wrong
     */
    public function run(Fields $in): array;
}

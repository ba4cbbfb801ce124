<?php

declare(strict_types=1);

namespace Oldpart\Core\Picture;

use Oldpart\Core\Advice\Say;

/** A turned part in a half section: its diameters and length in mm, and what to write at them (null: not known yet). */
final readonly class SectionPart
{
    public function __construct(
        public string $name,
        public Tone $tone,
        public float $outsideMm,
        public float $boreMm,
        public float $lengthMm,
        public ?Say $outsideSays,
        public ?Say $boreSays,
        public ?Say $lengthSays,
        public bool $throughShaft = false,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;

/** A job that is practice on simulated parts: of which lesson (empty: free, by kind and level), and drawn by what. */
final readonly class PracticeFacts implements \JsonSerializable
{
    public const MACHINE = 'Practice';

    public const LARGEST_SEED = 999_999;

    public function __construct(
        public string $lesson,
        public string $kind,
        public string $level,
        public int $seed,
        public Unit $unit,
    ) {
    }

    public static function read(Fields $f): self
    {
        $seed = $f->whole('seed');
        if ($seed < 0 || $seed > self::LARGEST_SEED) {
            throw $f->bad('seed', 'must be a whole number from 0 to '.self::LARGEST_SEED.'.');
        }

        return new self(
            lesson: $f->textOrNull('lesson') ?? '',
            kind: $f->textOrNull('kind') ?? '',
            level: $f->textOrNull('level') ?? '',
            seed: $seed,
            unit: $f->choice('unit', Unit::class),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'lesson' => $this->lesson,
            'kind' => $this->kind,
            'level' => $this->level,
            'seed' => $this->seed,
            'unit' => $this->unit->value,
        ];
    }
}

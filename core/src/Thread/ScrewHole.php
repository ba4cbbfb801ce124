<?php

declare(strict_types=1);

namespace Oldpart\Core\Thread;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Catalogue\Table;

/** The hole a screw goes through, and where its head sits (data/screws.json); mm. */
final readonly class ScrewHole
{
    /** How much deeper than the head a counterbore is, and wider than the washer a spot face; mm. Common practice. */
    private const DEEPER = 0.5;

    private const WIDER = 1.0;

    private function __construct(
        public float $fineMm,
        public float $mediumMm,
        public float $coarseMm,
        public float $capHeadMm,
        public float $capHighMm,
        public float $counterboreMm,
        public float $acrossFlatsMm,
        public float $hexHighMm,
        public float $washerMm,
    ) {
    }

    /** @throws BadInput for a screw that is in neither table */
    public static function of(Thread $thread): self
    {
        foreach (['metric' => 1.0, 'inch' => 25.4] as $system => $unit) {
            /** @var list<array{float, float, float, float, float, float, float, float, float, float}> $rows */
            $rows = Table::read('screws')[$system];
            foreach ($rows as $row) {
                if (abs($row[0] * $unit - $thread->majorMm) < 1e-3) {
                    $mm = array_map(static fn (float|int $size): float => $size * $unit, array_slice($row, 1));

                    return new self(...$mm);
                }
            }
        }
        throw new BadInput(
            'no-such-screw',
            'screw',
            "There is no head for {$thread->label} in the table: it has M3 to M30 and 1/4 to 1 in. Measure the head, and add half a millimetre.",
        );
    }

    public function counterboreDeepMm(): float
    {
        return $this->capHighMm + self::DEEPER;
    }

    /** For a hexagon with its washer. */
    public function spotFaceMm(): float
    {
        return $this->washerMm + self::WIDER;
    }

    /** Of a head of 90°, flush when its top is twice the screw: common practice. */
    public static function countersinkMm(Thread $thread): float
    {
        return 2 * $thread->majorMm;
    }
}

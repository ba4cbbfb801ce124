<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** How a batch is run: which piece is in hand, how often one is measured, what was scrapped, what mates there are. */
final readonly class BatchFacts implements \JsonSerializable
{
    public const MOST_PIECES = 1000;

    private const MOST_MATES = 200;

    /**
     * @param  int  $piece  the one in hand, from 1
     * @param  int  $every  of how many one is measured, beside the first and the last
     * @param  list<int>  $scrapped  numbers of pieces
     * @param  list<MateFacts>  $mates
     */
    public function __construct(
        public int $piece = 1,
        public int $every = 1,
        public array $scrapped = [],
        public array $mates = [],
    ) {
    }

    public static function read(?Fields $f): self
    {
        if ($f === null) {
            return new self();
        }
        $batch = new self(
            piece: $f->has('piece') ? $f->whole('piece') : 1,
            every: $f->has('every') ? $f->whole('every') : 1,
            scrapped: $f->wholes('scrapped'),
            mates: array_map(MateFacts::read(...), $f->objects('mates')),
        );
        foreach (['piece' => $batch->piece, 'every' => $batch->every] as $field => $number) {
            if ($number < 1 || $number > self::MOST_PIECES) {
                throw $f->bad($field, 'must be a whole number from 1 to '.self::MOST_PIECES.'.');
            }
        }
        if (count($batch->mates) > self::MOST_MATES) {
            throw $f->bad('mates', 'has more than '.self::MOST_MATES.' mates. Start another job for the rest.');
        }
        $marks = array_map(static fn (MateFacts $m): string => "{$m->joint} {$m->mark}", $batch->mates);
        if (count(array_unique($marks)) < count($marks)) {
            throw $f->bad('mates', 'has two mates of one mark: give each a mark of its own, as it is written on it.');
        }

        return $batch;
    }

    public function isEmpty(): bool
    {
        return $this->piece === 1 && $this->every === 1 && $this->scrapped === [] && $this->mates === [];
    }

    /** @return array{piece: int, every: int, scrapped: list<int>, mates: list<MateFacts>} */
    public function jsonSerialize(): array
    {
        return [
            'piece' => $this->piece,
            'every' => $this->every,
            'scrapped' => $this->scrapped,
            'mates' => $this->mates,
        ];
    }
}

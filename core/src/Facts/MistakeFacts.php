<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\TypedLength;

/**
 * A number that was wrong, kept beside the right one with the reason: a surface's readings, which are set aside and
 * stay on record, or a length typed in a loop.
 */
final readonly class MistakeFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public ?string $surface,
        public ?string $loop,
        public ?string $length,
        public ?TypedLength $old,
        public ?TypedLength $new,
        /** @var list<string> those that were wrong */
        public array $readings,
        public MistakeCause $cause,
        public string $note,
        public ?string $at,
    ) {
    }

    public static function read(Fields $f): self
    {
        return new self(
            id: $f->text('id'),
            surface: $f->textOrNull('surface'),
            loop: $f->textOrNull('loop'),
            length: $f->textOrNull('length'),
            old: $f->lengthOrNull('old'),
            new: $f->lengthOrNull('new'),
            readings: $f->texts('readings'),
            cause: $f->choice('cause', MistakeCause::class),
            note: $f->label('note'),
            at: $f->textOrNull('at'),
        );
    }

    /** The job as it was believed to be before this number was found wrong; no mistakes stand in it. */
    public function believed(JobFacts $facts): JobFacts
    {
        if ($this->surface !== null) {
            return $facts->with(
                mistakes: [],
                readings: array_map(
                    fn (ReadingFacts $r): ReadingFacts => match (true) {
                        $r->surface !== $this->surface => $r,
                        in_array($r->id, $this->readings, true) => $r->setAside(null),
                        default => $r->setAside($r->setAside ?? 'not taken yet'),
                    },
                    $facts->readings,
                ),
            );
        }
        $old = $this->old;

        return $facts->with(
            mistakes: [],
            loops: $old === null
                ? $facts->loops
                : array_map(function (LoopFacts $l) use ($old): LoopFacts {
                    $named = array_filter(
                        $l->lengths,
                        fn (LoopLength $length): bool => $length->surface === null && $length->name === $this->length,
                    );
                    // Its own one, even where a way out has changed it since; of several alike named ones only that
                    // with the right size.
                    $alone = $l->id === $this->loop && count($named) === 1;

                    return $l->withLengths(
                        array_map(
                            fn (LoopLength $length): LoopLength => in_array($length, $named, true)
                            && ($alone || $length->size?->length->mm === $this->new?->length->mm)
                                ? $length->withSize($old)
                                : $length,
                            $l->lengths,
                        ),
                    );
                }, $facts->loops),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'surface' => $this->surface,
            'loop' => $this->loop,
            'length' => $this->length,
            'old' => $this->old,
            'new' => $this->new,
            'readings' => $this->readings,
            'cause' => $this->cause->value,
            'note' => $this->note,
            'at' => $this->at,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/**
 * A decision about a made size (`surface`, `phase`), a fit (`joint`) or a loop (`loop`) that is not what was asked:
 * what, by whom, why, when. `cut`: the last cut it was given for; cut again since, it stands no more.
 */
final readonly class ConcessionFacts implements \JsonSerializable
{
    public function __construct(
        public string $id,
        public ?string $surface,
        public Phase $phase,
        public ?string $joint,
        public ?string $loop,
        public ?string $cut,
        public Decision $decision,
        public string $by,
        public string $why,
        public ?string $at,
    ) {
    }

    public static function read(Fields $f): self
    {
        foreach (['by' => 'say who decided it.', 'why' => 'say why it was decided.'] as $field => $missing) {
            if (trim($f->text($field)) === '') {
                throw $f->bad($field, "is empty: {$missing}");
            }
        }

        return new self(
            id: $f->text('id'),
            surface: $f->textOrNull('surface'),
            phase: $f->choiceOrNull('phase', Phase::class) ?? Phase::Only,
            joint: $f->textOrNull('joint'),
            loop: $f->textOrNull('loop'),
            cut: $f->textOrNull('cut'),
            decision: $f->choice('decision', Decision::class),
            by: $f->text('by'),
            why: $f->text('why'),
            at: $f->textOrNull('at'),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id,
            'surface' => $this->surface,
            'phase' => $this->phase->value,
            'joint' => $this->joint,
            'loop' => $this->loop,
            'cut' => $this->cut,
            'decision' => $this->decision->value,
            'by' => $this->by,
            'why' => $this->why,
            'at' => $this->at,
        ];
    }
}

<?php

declare(strict_types=1);

namespace Oldpart\Core\Facts;

use Oldpart\Core\Quantity\Fields;

/** A step of putting it together that was done and was not right: which, why, when. */
final readonly class SetbackFacts implements \JsonSerializable
{
    private function __construct(public string $step, public string $why, public ?string $at)
    {
    }

    public static function read(Fields $f): self
    {
        if (trim($f->text('why')) === '') {
            throw $f->bad('why', 'is empty: say what was wrong.');
        }

        return new self($f->text('step'), $f->text('why'), $f->textOrNull('at'));
    }

    /** @return array{step: string, why: string, at: ?string} */
    public function jsonSerialize(): array
    {
        return ['step' => $this->step, 'why' => $this->why, 'at' => $this->at];
    }
}

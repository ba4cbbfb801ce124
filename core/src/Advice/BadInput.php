<?php

declare(strict_types=1);

namespace Oldpart\Core\Advice;

/**
 * The one family of refusals: a code for programs, the field it is about, and a sentence fit for the user
 * that says what is wrong and the way out.
 */
final class BadInput extends \DomainException
{
    public function __construct(public readonly string $reason, public readonly string $field, string $sentence)
    {
        parent::__construct($sentence);
    }

    /** The same refusal, told about another field (a reader does not know which field it reads). */
    public function about(string $field): self
    {
        return new self($this->reason, $field, $this->getMessage());
    }
}
